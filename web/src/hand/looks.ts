import type { Grip, ID } from '../core/types'

/** What shows how somebody looks: a tile of its own, or the picture of its kind. */
export function gripOf(of: { kind: ID; look: number }): Grip {
	return of.look
		? { what: 'tiles', cells: [of.look], width: 1, shape: 'freehand' }
		: { what: 'entity', kind: of.kind, shape: 'freehand' }
}
