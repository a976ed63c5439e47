import type { Action, Group } from './action'

export const stationsActions: Group = (w, { onMap }) => [
	{ name: 'Chart', group: 'Go to', run: () => w.open('chart') },
	{ name: 'Map', group: 'Go to', run: () => w.open('map') },
	{ name: 'Tilesets', group: 'Go to', run: () => w.open('tilesets') },
	{ name: 'Kinds', group: 'Go to', run: () => w.open('kinds') },
	{ name: 'Rules', group: 'Go to', run: () => w.open('rules') },
	{
		name: 'Make a figure',
		group: 'Go to',
		run: () => w.open('kinds', 'figure'),
	},
	{
		name: 'Bring in a picture',
		group: 'Go to',
		run: () => w.open('tilesets', 'picture'),
	},
	{
		name: 'Make a house, a tree, a rock',
		group: 'Go to',
		run: () => w.open('tilesets', 'scenery'),
	},
	{ name: 'Game', group: 'Go to', run: () => w.open('game') },
	{ name: 'Check', group: 'Go to', run: () => w.open('check') },
	{
		name: 'The walk to the goal, over the map',
		group: 'Go to',
		when: onMap,
		run: () => {
			w.proving.checking.walk = !w.proving.checking.walk
			w.proving.checking.later(0)
		},
	},
	{
		name: 'In how few steps cells are come to',
		group: 'Go to',
		when: () => onMap() || w.station === 'chart',
		run: () => {
			w.proving.checking.reach = !w.proving.checking.reach
			w.proving.checking.later(0)
		},
	},
	{ name: 'Versions', group: 'Go to', run: () => w.open('versions') },
	{ name: 'Share', group: 'Go to', run: () => w.open('share') },
	{
		name: 'Texts and languages',
		group: 'Go to',
		run: () => {
			w.layout.ruling = 'texts'
			w.open('rules')
		},
	},
	{ name: 'All projects', group: 'Go to', run: () => location.assign('/') },
	{
		name: 'History',
		group: 'Go to',
		keys: ['Ctrl+H'],
		when: onMap,
		run: () => w.layout.show('history'),
	},
	...w.project.head.maps.map((m): Action => ({ name: `Map ${m.name}`, group: 'Go to', run: () => w.show(m.id) })),
]
