import type { Kind, MapInfo, Tileset } from '../core/types'

/** Finds the things of a list by what tells them apart, looked up once for each list. */
function indexed<T, K>(key: (one: T) => K): (list: T[], of: K) => T | undefined {
	let known: { list: T[]; by: Map<K, T> } | undefined
	return (list, of) => {
		if (known?.list !== list) known = { list, by: new Map(list.map((one) => [key(one), one])) }
		return known.by.get(of)
	}
}

/** What is asked for by its id or number again and again. */
export const lookups = () => ({
	map: indexed((m: MapInfo) => m.id),
	tileset: indexed((t: Tileset) => t.number),
	kind: indexed((k: Kind) => k.id as string),
})
