import type { OnChart } from './places'
import { Workspace } from '../workspace/workspace.svelte'
import { seamLines } from './seams'
import { View } from '../draw/view.svelte'
import { linesOf } from './ways'
import { pinReach } from '../canvas/pins'
import type { ID, Pin, Point, Rect } from '../core/types'
import { type Plane, placesOf, rectOn } from './places'
/** What lies under a place of the screen: a passage, a seam, or a map. */
export function hitOn(w: Workspace, view: View, p: Plane, at: Point, dpr: number): OnChart {
	const places = placesOf(p)
	// in pixels of the chart, where lines do not have to be brought onto the screen
	const q = view.at(at.x, at.y)
	const near = dpr / view.scale
	let best: ID = ''
	let least = 6 * near
	for (const l of linesOf(w, places)) {
		const far = away(l.ax, l.ay, l.bx, l.by, q)
		if (far < least) [best, least] = [l.way.id, far]
	}
	if (best) return { is: 'passage', id: best }
	for (const s of p.info.seams) {
		const [a, b] = [places.get(s.a), places.get(s.b)]
		if (!a || !b || !(within(a, q, 7 * near) && within(b, q, 7 * near))) continue
		if (seamLines(w, places, s).some(([a, b]) => away(a.x, a.y, b.x, b.y, q) < 7 * near))
			return { is: 'seam', a: s.a, b: s.b }
	}
	const map = mapOn(w, view, p, at)
	return map ? { is: 'maps', ids: [map] } : { is: 'nothing' }
}

/** The map under a place of the screen, whatever lies above it. */
export function mapOn(w: Workspace, view: View, p: Plane, at: Point): ID | undefined {
	const [places, q] = [placesOf(p), view.at(at.x, at.y)]
	return w.project.head.maps.findLast((m) => {
		const r = places.get(m.id)
		return r && q.x >= r.x && q.y >= r.y && q.x < r.x + r.w && q.y < r.y + r.h
	})?.id
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

const within = (r: Rect, q: Point, room: number) =>
	q.x >= r.x - room && q.y >= r.y - room && q.x <= r.x + r.w + room && q.y <= r.y + r.h + room

/** How far a place is from a line between two others. */
function away(ax: number, ay: number, bx: number, by: number, p: Point): number {
	const [dx, dy] = [bx - ax, by - ay]
	const t = Math.max(0, Math.min(1, ((p.x - ax) * dx + (p.y - ay) * dy) / (dx * dx + dy * dy || 1)))
	return Math.hypot(ax + dx * t - p.x, ay + dy * t - p.y)
}
