import type { Entity, ID } from '../core/types'

/** Whether any of some entities is in a group, so that there is more to them. */
export function inGroups(all: Entity[], ids: ID[]): boolean {
	if (!ids.length || !all.some((e) => e.group)) return false
	const some = new Set(ids)
	return all.some((e) => e.group && some.has(e.id))
}
