import type { Workspace } from '../../workspace/workspace.svelte'
import type { Action, Group } from './action'

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
	{
		name: 'Begin a game otherwise: through a passage, from a pin, with flags set…',
		group: 'Play',
		keys: ['Ctrl+P'],
		run: () => (w.beginOpen = true),
	},
	...inGame(w, onMap),
	...w.project.head.pins.map((p): Action => ({
		name: `Go on from pin ${p.name}`,
		group: 'Play',
		run: () => w.moments.resume(p.id),
	})),
]

/** What can be done with the time of a game that is played. */
function inGame(w: Workspace, onMap: () => boolean): Action[] {
	const all: [string, string, () => void][] = [
		['Freeze the game, or let it go on', 'T', () => w.play.freeze()],
		['One step of the game', 'U', () => w.play.stepOn()],
		['Slower', 'Q', () => w.play.pace(-1)],
		['Faster', 'Shift+Q', () => w.play.pace(1)],
		['The same keys again from here', 'V', () => w.play.again()],
		['Pin this moment, with a note', 'N', () => w.moments.pin()],
		['Roam unhurt and through walls, or not', 'Z', () => w.play.roam()],
	]
	return all.map(([name, key, run]) => ({
		name,
		group: 'Play',
		keys: [key],
		canvas: true,
		when: () => w.play.on && onMap(),
		run,
	}))
}
