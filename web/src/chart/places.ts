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

/** Where the maps lie, those that are dragged included. */
export function placesOf(p: Plane): Map<ID, Rect> {
	return new Map(p.info.places.map((r) => [r.map, { ...r, ...p.moved.get(r.map) }]))
}

export function rectOn(view: View, r: Rect): Rect {
	const a = view.screen(r.x, r.y)
	const b = view.screen(r.x + r.w, r.y + r.h)
	return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
}

export const brick = '#b1442c'

export const sage = '#4f8a4b'

export const grey = '#7b8286'
