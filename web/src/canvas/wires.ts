import type { Entity, MapInfo, Point, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, casedArea, chalk, cobalt, type Context, drawLabel, middle, rulerRoom } from '../draw/frames'
import { areaOf, boxOf } from '../draw/areas'
import { inSight, nearby } from '../draw/nearby'
import type { View } from '../draw/view.svelte'

/** What stops no player, but does nothing. */
const doubt = '#855300'
/** Lines of what was asked. */
export const asked = '#0f6a6c'

const seen = (view: View, r: Rect) => r.x < view.width && r.y < view.height && r.x + r.w > 0 && r.y + r.h > 0

/** Where passages begin on a map. */
const waysFrom = (w: Workspace, m: MapInfo) =>
	new Map(w.project.head.passages.filter((p) => p.from.map === m.id).map((p) => [p.from.entity, p]))

/** Joined exits have a double line; one that leads nowhere is dashed in brick. Tells whether there are any. */
export function drawPassages(
	ctx: Context,
	w: Workspace,
	m: MapInfo,
	view: View,
	entities: Entity[],
	dpr: number,
): boolean {
	let any = false
	const from = waysFrom(w, m)
	const leading = new Map<string, boolean>() // asked once for a kind, since entities are thousands
	for (const e of inSight(entities, view, m)) {
		let leads = leading.get(e.kind)
		if (leads === undefined) leading.set(e.kind, (leads = w.project.kind(e.kind)?.leads === 'on'))
		if (!leads && !from.has(e.id)) continue
		if (!seen(view, boxOf(view, e))) continue
		any = true
		if (!from.has(e.id)) {
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
	}
	return any
}

/** Where exits lead that are pointed at or selected. */
export function drawLeads(ctx: Context, w: Workspace, m: MapInfo, view: View, hover: Entity | null, dpr: number) {
	const told = w.selection.length > 100 ? [] : [...w.selection]
	if (hover && !told.includes(hover)) told.push(hover)
	const from = told.length ? waysFrom(w, m) : undefined
	for (const e of told) {
		const p = from!.get(e.id)
		const r = boxOf(view, e)
		if (!p || !seen(view, r)) continue
		const to = w.project.map(p.to.map)
		drawLabel(ctx, to ? `to ${to.name}` : 'to a map that was removed', r.x + r.w / 2, r.y - 8 * dpr, dpr, cobalt)
	}
}

interface Marked {
	entity: Entity
	at: Point
	text: string
	serious: boolean
}

let marks: { of: unknown; entities: unknown; all: Map<string, Omit<Marked, 'at'>[]> } | undefined

/** What is wrong with the ways at entities of a map, by entity. */
function marksOn(w: Workspace, m: MapInfo): Map<string, Omit<Marked, 'at'>[]> {
	const [of, entities] = [w.charting.of(m.id), w.project.entities(m.id)]
	if (marks?.of !== of || marks.entities !== entities) {
		marks = { of, entities, all: new Map() }
		for (const f of of) {
			const entity = (f.serious || f.idle) && f.entity ? w.project.entity(m.id, f.entity) : undefined
			if (!entity) continue
			const one = { entity, text: f.text, serious: f.serious }
			marks.all.set(entity.id, [...(marks.all.get(entity.id) ?? []), one])
		}
	}
	return marks.all
}

/** Where the mark of an entity is. */
function markOf(view: View, e: Entity): Point {
	const r = boxOf(view, e)
	return { x: r.x + r.w, y: r.y }
}

/** The entity whose mark lies under a point of the screen. */
export function markedAt(w: Workspace, m: MapInfo, view: View, p: Point, dpr: number): Entity | null {
	const all = marksOn(w, m)
	if (!all.size) return null
	const room = (10 * dpr) / view.scale
	const at = view.seen()
	const [x, y] = [at.x + p.x / view.scale, at.y + p.y / view.scale]
	const near = view.diamond
		? w.project.entities(m.id)
		: nearby(w.project.entities(m.id), { x: x - room, y: y - room, w: 2 * room, h: 2 * room })
	for (const e of near) {
		if (!all.has(e.id)) continue
		const mark = markOf(view, e)
		if (Math.hypot(mark.x - p.x, mark.y - p.y) <= 9 * dpr) return e
	}
	return null
}

/** What is wrong with a way is marked where it is; tells whether anything is. */
export function drawFindings(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number): boolean {
	let any = false
	for (const all of marksOn(w, m).values()) {
		if (!seen(view, boxOf(view, all[0].entity))) continue
		any = true
		const { x, y } = markOf(view, all[0].entity)
		const s = 7 * dpr
		ctx.beginPath()
		ctx.moveTo(x, y - s)
		ctx.lineTo(x + s, y + s * 0.8)
		ctx.lineTo(x - s, y + s * 0.8)
		ctx.closePath()
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.fillStyle = all.some((f) => f.serious) ? brick : doubt
		ctx.fill()
		ctx.fillStyle = chalk
		ctx.fillRect(x - dpr, y - s * 0.4, 2 * dpr, s * 0.6)
		ctx.fillRect(x - dpr, y + s * 0.4, 2 * dpr, 2 * dpr)
	}
	return any
}

/** What is wrong is said where it is pointed at. */
export function drawFinding(ctx: Context, w: Workspace, m: MapInfo, view: View, hover: Entity | null, dpr: number) {
	const told = (hover && marksOn(w, m).get(hover.id)) ?? []
	told.forEach((f, i) => {
		const at = markOf(view, f.entity)
		const y = Math.max(at.y - (12 + 18 * told.length) * dpr, (rulerRoom + 9) * dpr) + 18 * dpr * i
		drawLabel(ctx, f.text, at.x, y, dpr, f.serious ? brick : doubt)
	})
}

/** Wires of the map, those of what is selected with their words. */
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
