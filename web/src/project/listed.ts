import type { ChartChange, ChartInfo, Head, HeadChange, ID } from '../core/contract.gen'

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

/** The head with what differs in it brought in. */
export function headWith(h: Head, c: HeadChange): Head {
	return {
		...h,
		project: c.project ?? h.project,
		plan: c.plan ?? h.plan,
		mapProperties: c.mapProperties ?? h.mapProperties,
		wires: c.wires ?? h.wires,
		tilesets: brought(h.tilesets, c.tilesets),
		maps: brought(h.maps, c.maps),
		passages: brought(h.passages, c.passages),
		rules: brought(h.rules, c.rules),
		flags: brought(h.flags, c.flags),
		counters: brought(h.counters, c.counters),
		sounds: brought(h.sounds, c.sounds),
		materials: brought(h.materials, c.materials),
		motifs: brought(h.motifs, c.motifs),
		zones: brought(h.zones, c.zones),
		kinds: brought(h.kinds, c.kinds),
		pins: brought(h.pins, c.pins),
		recordings: brought(h.recordings, c.recordings),
	}
}

/** A list with a piece of it replaced, as the core tells it; the list that was stays as it is. */
const spliced = <T>(list: T[], change: { from: number; cut: number; put: T[] } | undefined): T[] =>
	change ? [...list.slice(0, change.from), ...change.put, ...list.slice(change.from + change.cut)] : list

/** The chart with what differs on it brought in; it is the same one where nothing does. */
export function chartWith(was: ChartInfo, c: ChartChange): ChartInfo {
	if (!c.places && !c.seams && !c.findings && !c.returning) return was
	return {
		places: spliced(was.places, c.places),
		seams: spliced(was.seams, c.seams),
		findings: spliced(was.findings, c.findings),
		returning: spliced(was.returning, c.returning),
	}
}
