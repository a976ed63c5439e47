import { nextRegion } from '../../controls/regions'
import type { Group } from './action'

export const viewActions: Group = (w, { onMap }) => [
	{ name: 'Search everything', group: 'View', keys: ['Ctrl+K'], run: () => (w.finderOpen = true) },
	{ name: 'Show the keys that work here', group: 'View', keys: ['?'], run: () => (w.keysOpen = true) },
	{
		name: 'Show or hide the grid',
		group: 'View',
		keys: ['G'],
		canvas: true,
		when: onMap,
		run: () => (w.layout.grid = !w.layout.grid),
	},
	{
		name: 'Show or hide what is solid',
		group: 'View',
		keys: ['K'],
		canvas: true,
		when: onMap,
		run: () => (w.solids = !w.solids),
	},
	{ name: 'Let animated tiles move, or stand', group: 'View', when: onMap, run: () => (w.animated = !w.animated) },
	{ name: 'Zoom in', group: 'View', keys: ['+', '='], canvas: true, when: onMap, run: () => w.view.zoom(1) },
	{ name: 'Zoom out', group: 'View', keys: ['-'], canvas: true, when: onMap, run: () => w.view.zoom(-1) },
	{
		name: 'Show the whole map',
		group: 'View',
		keys: ['Home'],
		canvas: true,
		when: onMap,
		run: () => w.view.fit(w.map!, 16),
	},
	{
		name: 'Fold or open the stack',
		group: 'View',
		keys: ['Ctrl+['],
		run: () => w.layout.toggle('stack'),
	},
	{
		name: 'Fold or open the cabinet',
		group: 'View',
		keys: ['Ctrl+]'],
		run: () => w.layout.toggle('cabinet'),
	},
	{ name: 'Theme: Plaster, light', group: 'View', run: () => w.setTheme('plaster') },
	{ name: 'Theme: Kiln, dark', group: 'View', run: () => w.setTheme('kiln') },
	{ name: 'Show or hide the minimap', group: 'View', when: onMap, run: () => (w.layout.minimap = !w.layout.minimap) },
	{ name: 'Show or hide the rulers', group: 'View', when: onMap, run: () => (w.layout.rulers = !w.layout.rulers) },
	{ name: 'Go to the next part of the page', group: 'View', keys: ['F6'], run: () => nextRegion(false) },
	{ name: 'Go to the part of the page before', group: 'View', keys: ['Shift+F6'], run: () => nextRegion(true) },
	{ name: 'Show or hide the screen', group: 'View', when: onMap, run: () => (w.layout.screen = !w.layout.screen) },
]
