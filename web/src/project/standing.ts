import type { Core } from '../core/module'
import type { Entity, ID } from '../core/types'

/** As entities are drawn: by their order, then by id. */
const drawn = (a: Entity, b: Entity) => (a.order ?? 0) - (b.order ?? 0) || (a.id < b.id ? -1 : 1)

/** A list without what is gone and with what was set, which is quicker than ordering all of it anew. */
function merged(list: Entity[], set: Entity[], gone: ID[]): Entity[] {
	const left = new Set(gone)
	for (const e of set) left.add(e.id)
	const more = [...set].sort(drawn)
	const out: Entity[] = []
	let next = 0
	for (const e of list) {
		if (left.has(e.id)) continue
		while (next < more.length && drawn(more[next], e) < 0) out.push(more[next++])
		out.push(e)
	}
	return out.concat(more.slice(next))
}

/** The entities of the maps that were asked for, kept by id; what differs is read from the core. */
export class Standing {
	private stores = new Map<ID, Map<ID, Entity>>()
	private lists = new Map<ID, Entity[]>()

	constructor(private core: Core) {}

	/** Those of a map, in the order in which they are drawn, and by id. */
	on(map: ID): Entity[] {
		let list = this.lists.get(map)
		if (!list) {
			list = [...this.store(map).values()].sort(drawn)
			this.lists.set(map, list)
		}
		return list
	}

	one(map: ID, id: ID): Entity | undefined {
		return this.store(map).get(id)
	}

	/** Those of a map are not what they were. */
	changed(map: ID) {
		const store = this.stores.get(map)
		if (store) this.read(map, store)
		else this.lists.delete(map)
	}

	private store(map: ID): Map<ID, Entity> {
		let store = this.stores.get(map)
		if (!store) {
			this.stores.set(map, (store = new Map()))
			this.read(map, store)
		}
		return store
	}

	private read(map: ID, store: Map<ID, Entity>) {
		try {
			const { set, gone } = this.core.call('entityChange', { map })
			for (const id of gone) store.delete(id)
			for (const e of set) store.set(e.id, e)
			const list = this.lists.get(map)
			if (list) this.lists.set(map, merged(list, set, gone))
		} catch {
			this.stores.delete(map) // the map is gone
			this.lists.delete(map)
		}
	}
}
