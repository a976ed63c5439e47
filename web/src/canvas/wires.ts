import type { Entity, MapInfo, Point, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, casedArea, chalk, cobalt, type Context, drawLabel, labelWidth, middle } from '../draw/frames'
import { areaOf, boxOf } from '../draw/areas'
import { nearby } from '../draw/nearby'
import type { View } from '../draw/view.svelte'

/** What stops no player, but does nothing. */
const doubt = '#855300'
/** Lines of what was asked. */
export const asked = '#0f6a6c'

const seen = (view: View, r: Rect) => r.x < view.width && r.y < view.height && r.x + r.w > 0 && r.y + r.h > 0

/** Joined exits have a double line; one that leads nowhere is dashed in brick. */
export function drawPassages(
	ctx: Context,
	w: Workspace,
	m: MapInfo,
	view: View,
	entities: Entity[],
	hover: Entity | null,
	dpr: number,
) {
	const from = new Map(w.project.head.passages.filter((p) => p.from.map === m.id).map((p) => [p.from.entity, p]))
	for (const e of nearby(entities, view.seen())) {
		if (w.project.kind(e.kind)?.leads !== 'on' && !from.has(e.id)) continue
		const r = boxOf(view, e)
		if (!seen(view, r)) continue
		const p = from.get(e.id)
		if (!p) {
			ctx.setLineDash([4 * dpr, 3 * dpr])
			casedArea(ctx, areaOf(view, e, 0.5), brick)
			ctx.setLineDash([])
			continue
		}
		const area = areaOf(view, e)
		ctx.lineWidth = 5
		ctx.strokeStyle = cobalt
		ctx.stroke(area)
		ctx.lineWidth = 2
		ctx.strokeStyle = chalk
		ctx.stroke(area)
		if (e === hover || w.selected.includes(e.id)) {
			const to = w.project.map(p.to.map)
			drawLabel(ctx, to ? `to ${to.name}` : 'to a map that was removed', r.x + r.w / 2, r.y - 8 * dpr, dpr, cobalt)
		}
	}
}

/** The entities of a map with whose ways something is wrong, and where they are marked. */
function findingsOn(
	w: Workspace,
	m: MapInfo,
	view: View,
): { entity: Entity; at: Point; text: string; serious: boolean }[] {
	return w.charting.of(m.id).flatMap((f) => {
		const entity = (f.serious || f.idle) && f.entity ? w.project.entity(m.id, f.entity) : undefined
		const r = entity && boxOf(view, entity)
		return r && seen(view, r) ? { entity: entity!, at: { x: r.x + r.w, y: r.y }, text: f.text, serious: f.serious } : []
	})
}

/** The entity whose mark lies under a point of the screen. */
export function markedAt(w: Workspace, m: MapInfo, view: View, p: Point, dpr: number): Entity | null {
	const near = (at: Point) => Math.hypot(at.x - p.x, at.y - p.y) <= 9 * dpr
	return findingsOn(w, m, view).find((f) => near(f.at))?.entity ?? null
}

/** What is wrong with a way is marked where it is, and said when it is pointed at. */
export function drawFindings(ctx: Context, w: Workspace, m: MapInfo, view: View, hover: Entity | null, dpr: number) {
	const all = findingsOn(w, m, view)
	for (const f of all) {
		const { x, y } = f.at
		const s = 7 * dpr
		ctx.beginPath()
		ctx.moveTo(x, y - s)
		ctx.lineTo(x + s, y + s * 0.8)
		ctx.lineTo(x - s, y + s * 0.8)
		ctx.closePath()
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.fillStyle = f.serious ? brick : doubt
		ctx.fill()
		ctx.fillStyle = chalk
		ctx.fillRect(x - dpr, y - s * 0.4, 2 * dpr, s * 0.6)
		ctx.fillRect(x - dpr, y + s * 0.4, 2 * dpr, 2 * dpr)
	}
	const told = all.filter((f) => f.entity.id === hover?.id)
	told.forEach((f, i) => {
		const room = labelWidth(ctx, f.text, dpr) / 2
		const x = Math.max(room, Math.min(view.width - room, f.at.x))
		drawLabel(
			ctx,
			f.text,
			x,
			Math.max(f.at.y - (30 + 18 * (told.length - 1 - i)) * dpr, 12 * dpr),
			dpr,
			f.serious ? brick : doubt,
		)
	})
}

export function drawWires(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const labels: { text: string; x: number; y: number }[] = []
	for (const wire of w.project.head.wires) {
		if (wire.from.map !== m.id || wire.to.map !== m.id) continue
		const a = w.project.entity(m.id, wire.from.entity)
		const b = w.project.entity(m.id, wire.to.entity)
		if (!a || !b) continue
		const seen = w.selected.includes(a.id) || w.selected.includes(b.id) || w.rule === wire.rule
		const [from, to] = [middle(boxOf(view, a)), middle(boxOf(view, b))]
		drawWire(ctx, from, to, seen)
		if (seen) labels.push({ text: wire.says, x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 })
	}
	// several from one to the other are said one below the other
	for (const [i, l] of labels.entries()) {
		const above = labels.slice(0, i).filter((o) => o.x === l.x && o.y === l.y).length
		drawLabel(ctx, l.text, l.x, l.y + 20 * dpr * above, dpr, cobalt)
	}
}

/** What was asked about is joined to what brings it about and what comes of it. */
export function drawLinks(ctx: Context, w: Workspace, m: MapInfo, view: View) {
	for (const l of w.wiring.links) {
		const [from, to] = [l.from, l.to].map((e) => (e.map === m.id ? w.project.entity(e.map, e.entity) : undefined))
		if (from && to) drawWire(ctx, middle(boxOf(view, from)), middle(boxOf(view, to)), true, asked)
	}
}

/** One line with barbs that point the way. */
export function drawWire(ctx: Context, a: Point, b: Point, strong: boolean, colour = cobalt) {
	const length = Math.hypot(b.x - a.x, b.y - a.y)
	if (length < 1) return
	const ux = (b.x - a.x) / length
	const uy = (b.y - a.y) / length
	ctx.beginPath()
	ctx.moveTo(a.x, a.y)
	ctx.lineTo(b.x, b.y)
	for (const at of [0.35, 0.65, 1]) {
		const x = a.x + (b.x - a.x) * at
		const y = a.y + (b.y - a.y) * at
		ctx.moveTo(x - ux * 8 - uy * 5, y - uy * 8 + ux * 5)
		ctx.lineTo(x, y)
		ctx.lineTo(x - ux * 8 + uy * 5, y - uy * 8 - ux * 5)
	}
	ctx.lineJoin = 'round'
	ctx.globalAlpha = strong ? 1 : 0.75
	ctx.lineWidth = strong ? 6 : 5
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.lineWidth = strong ? 2.5 : 2
	ctx.strokeStyle = colour
	ctx.stroke()
	ctx.globalAlpha = 1
}

/** Switches are wired and exits joined from a nub beside them. */
export function hasNub(w: Workspace, e: Entity): boolean {
	const k = w.project.kind(e.kind)
	return !!k && (k.wires || k.leads === 'on')
}

export function nubOf(view: View, e: Entity, dpr: number): Point {
	const r = boxOf(view, e)
	return { x: r.x + r.w + 12 * dpr, y: r.y + r.h / 2 }
}

export const nubRadius = 8

export function drawNub(ctx: Context, at: Point, dpr: number) {
	ctx.beginPath()
	ctx.arc(at.x, at.y, (nubRadius - 1) * dpr, 0, Math.PI * 2)
	ctx.lineWidth = 3 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.fillStyle = cobalt
	ctx.fill()
	ctx.beginPath()
	ctx.moveTo(at.x - 3 * dpr, at.y)
	ctx.lineTo(at.x + 3 * dpr, at.y)
	ctx.moveTo(at.x + 0.5 * dpr, at.y - 2.5 * dpr)
	ctx.lineTo(at.x + 3 * dpr, at.y)
	ctx.lineTo(at.x + 0.5 * dpr, at.y + 2.5 * dpr)
	ctx.lineWidth = 1.5 * dpr
	ctx.stroke()
}
