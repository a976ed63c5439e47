import type { Entity, ID } from '../core/types'
import type { Project } from '../project/project.svelte'

/** Entities of a map, with all that are in a group with one of them. */
export function withGroups(project: Project, map: ID, ids: ID[]): ID[] {
	const grouped = project.entities(map).filter((e) => e.group)
	if (!ids.length || !grouped.length) return ids
	const some = new Set(ids)
	return grouped.some((e) => some.has(e.id)) ? project.ask('grouped', { map, ids, dx: 0, dy: 0 }) : ids
}

/** Those of a list that have one of some ids. Selecting tells ids in the order of the list, which takes no table of them. */
export function those(of: Entity[], ids: ID[]): Entity[] {
	const found: Entity[] = []
	for (const e of of) if (e.id === ids[found.length]) found.push(e)
	if (found.length === ids.length) return found
	const some = new Set(ids)
	return of.filter((e) => some.has(e.id))
}
