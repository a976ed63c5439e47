import type { Entity, Kind, Point, Rect } from '../core/types'

// Entities that have points reach beyond their boxes: ways, and ground that is drawn freely.

/** The points of an entity on the map, its own middle first. */
export function pointsOf(e: Entity): Point[] {
	const [x, y] = [e.x + e.w / 2, e.y + e.h / 2]
	return [{ x, y }, ...(e.points ?? []).map((p) => ({ x: x + p.x, y: y + p.y }))]
}

/** The box of an entity with all of its points. */
export function extentOf(e: Entity): Rect {
	if (!e.points?.length) return e
	const all = [...pointsOf(e), { x: e.x + e.w, y: e.y + e.h }, e]
	const [x, y] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))]
	return { x, y, w: Math.max(...all.map((p) => p.x)) - x, h: Math.max(...all.map((p) => p.y)) - y }
}

/** Whether a kind is ground that is drawn freely. */
export const isGround = (k: Kind | undefined): k is Kind => !!k && k.free && k.ways

/** What a setting of an entity says: its own, or its kind's. */
export const settingOf = (e: Entity, k: Kind, key: string): string =>
	String(e.values?.find((v) => v.key === key)?.value ?? k.settings.find((s) => s.key === key)?.default ?? '')

/** Whether the last point of a ground line joins the first. */
export const isClosed = (e: Entity, k: Kind) => ['true', 'yes'].includes(settingOf(e, k, 'closed'))

/** Whether a map pixel lies on an entity: in its box, within so many pixels of its lines, or inside its shape. */
export function liesOn(e: Entity, k: Kind | undefined, p: Point, near: number): boolean {
	if (p.x >= e.x && p.y >= e.y && p.x < e.x + e.w && p.y < e.y + e.h) return true
	if (!e.points?.length) return false
	const all = pointsOf(e)
	const closed = isGround(k) && isClosed(e, k)
	if (closed) all.push(all[0])
	let inside = false
	for (let i = 1; i < all.length; i++) {
		const [a, b] = [all[i - 1], all[i]]
		const [dx, dy] = [b.x - a.x, b.y - a.y]
		const part = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
		if (Math.hypot(a.x + dx * part - p.x, a.y + dy * part - p.y) <= near) return true
		// even and odd crossings of a line to the right
		if (a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) * dx) / dy) inside = !inside
	}
	return closed && inside
}
