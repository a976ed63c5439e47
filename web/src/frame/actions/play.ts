import type { Group } from './action'

export const playActions: Group = (w, { onMap }) => [
	{
		name: 'Play, or go back to the map',
		group: 'Play',
		keys: ['P'],
		canvas: true,
		when: onMap,
		run: () => w.playing.togglePlay(),
	},
	{
		name: 'Play from the cell under the pointer',
		group: 'Play',
		keys: ['Shift+P'],
		canvas: true,
		when: onMap,
		run: () => w.playing.togglePlay(w.cell),
	},
]
