import type { Entity, ID, PlayView } from '../core/types'

/** How something that acts is drawn: which way it looks, how long it has walked, and what it does for how long. */
export interface Acting {
	facing?: string
	steps?: number
	pose?: string
	beat?: number
}

/** An entity that has gone some steps without a stop. */
export type Walking = Entity & Omit<Acting, 'facing'>

type Moved = PlayView['moved'][number]

const sets = new WeakMap<ID[], Set<ID>>()

/** The ids of a list, which in a game stays the same one for many frames. */
export function idsOf(list: ID[]): Set<ID> {
	let all = sets.get(list)
	if (!all) sets.set(list, (all = new Set(list)))
	return all
}

/** Where and how something that moves is. */
export function placed({ x, y, facing, steps, pose, beat }: Moved) {
	return { x, y, facing, steps, pose, beat }
}

/** Entities that move in a game: each made once and put where it is, so that no frame makes them anew. */
const movers = new WeakMap<Entity, Walking>()

/** An entity where it is now; the next time that it is asked for it is the same one, elsewhere. */
function mover(e: Entity, to: Moved): Walking {
	let is = movers.get(e)
	if (!is) movers.set(e, (is = { ...e }))
	is.x = to.x
	is.y = to.y
	is.facing = to.facing
	is.steps = to.steps
	is.pose = to.pose
	is.beat = to.beat
	return is
}

/** Those of a map that are in sight, what moves being where the game says, however far from its place that is. */
export function whereTheyAre(
	all: Entity[],
	map: ID,
	play: PlayView,
	entity: (id: ID) => Entity | undefined,
): Walking[] {
	const at = new Map<ID, Moved>()
	for (const o of play.moved) if (o.map === map) at.set(o.id, o)
	if (!at.size) return all
	const out = all.map((e) => {
		const to = at.get(e.id)
		if (!to) return e
		at.delete(e.id)
		return mover(e, to)
	})
	for (const [id, to] of at) {
		const e = entity(id)
		if (e) out.push(mover(e, to))
	}
	return out
}
