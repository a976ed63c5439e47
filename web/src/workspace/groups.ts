import type { ID } from '../core/types'
import type { Project } from '../project/project.svelte'

/** Entities of a map, with all that are in a group with one of them. */
export function withGroups(project: Project, map: ID, ids: ID[]): ID[] {
	const grouped = project.entities(map).filter((e) => e.group)
	if (!ids.length || !grouped.length) return ids
	const some = new Set(ids)
	return grouped.some((e) => some.has(e.id)) ? project.ask('grouped', { map, ids, dx: 0, dy: 0 }) : ids
}
