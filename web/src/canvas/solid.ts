import { CoreError } from '../core/module'
import type { Grip, Point } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** What can be done about whether tiles are solid: its words, and doing it. */
export interface SolidChoice {
	label: string
	run: () => void
}

/** Makes what a grip puts down solid wherever it is painted, or lets the hero through; nothing where that is not about tiles. */
export function solidChoice(w: Workspace, grip: Grip, what: string): SolidChoice | undefined {
	const { tiles, solid } = w.project.ask('solidity', { grip })
	if (!tiles) return
	const make = solid < tiles
	return {
		label: make ? `Make ${what} solid` : `Let the hero through ${what}`,
		run: () => {
			const made = w.project.try('makeSolid', { grip, solid: make })
			if (made)
				w.notices.say(
					`${made.text}, wherever ${tiles === 1 ? 'it is' : 'they are'} painted.`,
					'done',
					w.project.undoOf(made),
				)
		},
	}
}

/** The same for what lies in a cell of the map that is open. */
export function solidHere(w: Workspace, at: Point): SolidChoice | undefined {
	if (!w.map) return
	try {
		return solidChoice(w, w.project.ask('pickUp', { map: w.map.id, active: w.active, at }).grip, 'what is here')
	} catch (e) {
		if (!(e instanceof CoreError)) throw e // there is nothing
	}
}
