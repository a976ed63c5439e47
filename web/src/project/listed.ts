import type { ID } from '../core/contract.gen'

/** What differs in a list of objects, as the core tells it. */
export interface Listed<T> {
	set?: T[]
	gone?: ID[]
	order?: ID[]
}

/** A list with what differs in it brought in; the list that was stays as it is. */
export function brought<T extends { id: ID }>(list: T[], change: Listed<T> | undefined): T[] {
	if (!change) return list
	const changed = new Map((change.set ?? []).map((o) => [o.id, o]))
	const gone = new Set(change.gone)
	if (!change.order) return list.filter((o) => !gone.has(o.id)).map((o) => changed.get(o.id) ?? o)
	const by = new Map(list.map((o) => [o.id, o]))
	return change.order.map((id) => changed.get(id) ?? by.get(id)!)
}
