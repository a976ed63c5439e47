import type { OnChart } from './places'
import { Workspace } from '../workspace/workspace.svelte'
import { seamLines } from './seams'
import { View } from '../draw/view.svelte'
import { endsOf, lineOf } from './ways'
import { pinReach } from '../canvas/pins'
import type { ID, Pin, Point, Rect } from '../core/types'
import { type Plane, placesOf, rectOn } from './places'
/** What lies under a place of the screen: a passage, a seam, or a map. */
export function hitOn(w: Workspace, view: View, p: Plane, at: Point, dpr: number): OnChart {
	const places = placesOf(p)
	const line = (a: Point, b: Point) => away(view.screen(a.x, a.y), view.screen(b.x, b.y), at)
	const all = endsOf(w)
	let best: ID = ''
	let least = 6 * dpr
	for (const way of w.project.head.passages) {
		const ends = lineOf(places, all.get(way.id))
		const far = ends ? line(...ends) : Infinity
		if (far < least) [best, least] = [way.id, far]
	}
	if (best) return { is: 'passage', id: best }
	for (const s of p.info.seams) {
		if (seamLines(w, places, s).some(([a, b]) => line(a, b) < 7 * dpr)) return { is: 'seam', a: s.a, b: s.b }
	}
	const q = view.at(at.x, at.y)
	for (const m of [...w.project.head.maps].reverse()) {
		const r = places.get(m.id)
		if (r && q.x >= r.x && q.y >= r.y && q.x < r.x + r.w && q.y < r.y + r.h) return { is: 'maps', ids: [m.id] }
	}
	return { is: 'nothing' }
}

/** Where a pin stands on the chart's canvas; undefined where its map is gone. */
export function placeOfPin(w: Workspace, view: View, places: Map<ID, Rect>, pin: Pin): Point | undefined {
	const [r, m] = [places.get(pin.at.map), w.project.map(pin.at.map)]
	if (!r || !m) return
	const [x, y] = [r.x + pin.at.x - m.bounds.x * m.cellWidth, r.y + pin.at.y - m.bounds.y * m.cellHeight]
	const at = rectOn(view, { x, y, w: 0, h: 0 })
	return { x: at.x, y: at.y }
}

/** The pin whose head or stem lies under a place of the screen. */
export function pinOn(w: Workspace, view: View, p: Plane, at: Point, dpr: number): Pin | undefined {
	const places = placesOf(p)
	return w.project.head.pins.findLast((pin) => {
		const on = placeOfPin(w, view, places, pin)
		return on && Math.abs(on.x - at.x) <= 8 * dpr && at.y <= on.y + 4 * dpr && at.y >= on.y - pinReach * dpr - 4 * dpr
	})
}

/** How far a place is from a line between two others. */
function away(a: Point, b: Point, p: Point): number {
	const [dx, dy] = [b.x - a.x, b.y - a.y]
	const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
	return Math.hypot(a.x + dx * t - p.x, a.y + dy * t - p.y)
}
