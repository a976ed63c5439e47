import { View } from '../draw/view.svelte'
import type { ChartInfo, ID, Point, Rect } from '../core/types'
/** What is chosen on the chart. */
export type OnChart =
	{ is: 'maps'; ids: ID[] } | { is: 'passage'; id: ID } | { is: 'seam'; a: ID; b: ID } | { is: 'nothing' }

export interface Plane {
	info: ChartInfo
	chosen: OnChart
	/** Where maps are dragged to, in pixels of the chart. */
	moved: Map<ID, Point>
	hover: ID
}

const nowhere = new Map<ID, Point>()
let last: { info: ChartInfo; moved: Map<ID, Point>; all: Map<ID, Rect> } | undefined
let resting: { info: ChartInfo; all: Map<ID, Rect> } | undefined

/** Where the maps lie, those that are dragged included; the same map as long as that stays so. */
export function placesOf(p: Plane): Map<ID, Rect> {
	if (!p.moved.size) return restingOf(p.info)
	if (last?.info !== p.info || last.moved !== p.moved)
		last = { info: p.info, moved: p.moved, all: laid(p.info, p.moved) }
	return last.all
}

/** Where the maps lie that nobody drags. */
export function restingOf(info: ChartInfo): Map<ID, Rect> {
	if (resting?.info !== info) resting = { info, all: laid(info, nowhere) }
	return resting.all
}

const laid = (info: ChartInfo, moved: Map<ID, Point>) =>
	new Map(info.places.map((r) => [r.map, { ...r, ...moved.get(r.map) }]))

export function rectOn(view: View, r: Rect): Rect {
	const a = view.screen(r.x, r.y)
	const b = view.screen(r.x + r.w, r.y + r.h)
	return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
}

export const brick = '#b1442c'

export const sage = '#4f8a4b'

export const grey = '#7b8286'
