import type { Grip } from '../../core/types'
import type { Workspace } from '../../workspace/workspace.svelte'

/** Something that can be done by key or from the finder. */
export interface Action {
	name: string
	group: 'Hand' | 'Selection' | 'Map' | 'Entities' | 'Play' | 'Go to' | 'View' | 'Project'
	/** Keys as shown; several mean the same. */
	keys?: string[]
	/** It belongs to the map: its key works there, and elsewhere where nothing is typed and no menu is open. */
	canvas?: boolean
	/** Works now; absent means always. */
	when?: () => boolean
	run: () => void
	/** What it takes into the hand, to be shown. */
	shows?: Grip
}

/** When an action makes sense. */
export interface When {
	onMap: () => boolean
	editing: () => boolean
	/** Entities are selected. */
	selected: () => boolean
	/** Cells are selected. */
	area: () => boolean
	/** Something is held, or cells are selected. */
	inHand: () => boolean
}

/** The actions of one group. */
export type Group = (w: Workspace, when: When) => Action[]

export function whenOf(w: Workspace): When {
	const onMap = () => w.station === 'map' && w.map !== undefined
	const editing = () => onMap() && !w.play.on
	return {
		onMap,
		editing,
		selected: () => editing() && w.selected.length > 0,
		area: () => editing() && w.area !== null,
		inHand: () => onMap() && (w.hand.holding || (w.area !== null && !w.play.on)),
	}
}
