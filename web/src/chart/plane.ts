import { chalk, cobalt, type Context, drawLabel, ink, saffron } from '../canvas/frames'
import { drawWire } from '../canvas/wires'
import { View } from '../canvas/view.svelte'
import type { ChartInfo, Facing, ID, MapInfo, Passage, Point, Rect, Seam } from '../core/types'
import type { Workspace } from '../workspace.svelte'

/** What is chosen on the chart. */
export type Chosen =
	{ is: 'maps'; ids: ID[] } | { is: 'passage'; id: ID } | { is: 'seam'; a: ID; b: ID } | { is: 'nothing' }

export interface Plane {
	info: ChartInfo
	chosen: Chosen
	/** Where maps are dragged to, in pixels of the chart. */
	moved: Map<ID, Point>
	hover: ID
}

const brick = '#b1442c'
const sage = '#4f8a4b'
const grey = '#7b8286'

/** Where the maps lie, those that are dragged included. */
export function placesOf(p: Plane): Map<ID, Rect> {
	return new Map(p.info.places.map((r) => [r.map, { ...r, ...p.moved.get(r.map) }]))
}

/** The middle of an end of a passage, in pixels of the chart. */
export function endOf(w: Workspace, places: Map<ID, Rect>, end: { map: ID; entity: ID; side?: Facing }): Point | null {
	const m = w.project.map(end.map)
	const r = places.get(end.map)
	if (!m || !r) return null
	if (end.side) {
		const at = { up: [0.5, 0], right: [1, 0.5], down: [0.5, 1], left: [0, 0.5] }[end.side]
		return { x: r.x + r.w * at[0], y: r.y + r.h * at[1] }
	}
	const e = w.project.entity(end.map, end.entity)
	if (!e) return null
	return {
		x: r.x + e.x + e.w / 2 - m.bounds.x * m.cellWidth,
		y: r.y + e.y + e.h / 2 - m.bounds.y * m.cellHeight,
	}
}

/** The stretches of a seam as lines, in pixels of the chart; one that is closed or none has its whole edge. */
export function seamLines(w: Workspace, places: Map<ID, Rect>, s: Seam): [Point, Point][] {
	const m = w.project.map(s.a)
	const [a, b] = [places.get(s.a), places.get(s.b)]
	if (!m || !a || !b) return []
	const upright = s.side === 'left' || s.side === 'right'
	const line = { left: a.x, right: a.x + a.w, up: a.y, down: a.y + a.h }[s.side]
	const at = (v: number): Point => (upright ? { x: line, y: v } : { x: v, y: line })
	if (s.why || s.closed || !s.open.length) {
		const from = upright ? Math.max(a.y, b.y) : Math.max(a.x, b.x)
		const to = upright ? Math.min(a.y + a.h, b.y + b.h) : Math.min(a.x + a.w, b.x + b.w)
		return [[at(from), at(to)]]
	}
	const [cell, origin] = upright ? [m.cellHeight, a.y] : [m.cellWidth, a.x]
	return s.open.map((o) => [at(origin + o.from * cell), at(origin + o.to * cell)])
}

/** Pictures of maps at a quarter of their size, drawn when they are first seen and after they change. */
export class Thumbs {
	private kept = new Map<ID, { canvas: OffscreenCanvas; stale: boolean }>()
	private readonly view = new View()

	forget(ids?: Iterable<ID>) {
		for (const id of ids ?? this.kept.keys()) {
			const t = this.kept.get(id)
			if (t) t.stale = true
		}
	}

	/** Draws a map's picture; false when it has to come with a later frame. */
	draw(ctx: Context, w: Workspace, m: MapInfo, r: Rect, budget: { left: number }): boolean {
		let t = this.kept.get(m.id)
		let done = true
		if (!t || t.stale) {
			if (budget.left > 0) {
				budget.left--
				const scale = Math.min(0.25, 512 / Math.max(m.bounds.w * m.cellWidth, m.bounds.h * m.cellHeight))
				const [width, height] = [m.bounds.w * m.cellWidth * scale, m.bounds.h * m.cellHeight * scale]
				t = { canvas: new OffscreenCanvas(Math.max(1, width), Math.max(1, height)), stale: false }
				this.view.width = t.canvas.width
				this.view.height = t.canvas.height
				this.view.scale = scale
				this.view.x = m.bounds.x * m.cellWidth
				this.view.y = m.bounds.y * m.cellHeight
				const into = t.canvas.getContext('2d')! as unknown as CanvasRenderingContext2D
				t.stale = !w.scene.draw(into, { ...m, grid: '' }, this.view)
				this.kept.set(m.id, t)
				done = !t.stale
			} else done = false
		}
		if (t) ctx.drawImage(t.canvas, r.x, r.y, r.w, r.h)
		else {
			ctx.fillStyle = '#bcb4a4'
			ctx.fillRect(r.x, r.y, r.w, r.h)
		}
		return done
	}
}

const near = new View()

/** Draws the chart; false when some of it has to come with a later frame. */
export function drawPlane(ctx: Context, w: Workspace, view: View, p: Plane, thumbs: Thumbs, dpr: number): boolean {
	const places = placesOf(p)
	const budget = { left: 3 }
	let whole = true
	ctx.imageSmoothingEnabled = view.scale < 1
	const chosen = p.chosen.is === 'maps' ? new Set(p.chosen.ids) : new Set<ID>()
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r) continue
		const s = rectOn(view, r)
		if (s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		if (view.scale >= 1) {
			near.width = view.width
			near.height = view.height
			near.scale = view.scale
			near.x = view.x - r.x + m.bounds.x * m.cellWidth
			near.y = view.y - r.y + m.bounds.y * m.cellHeight
			whole = w.scene.draw(ctx, { ...m, grid: '' }, near) && whole
			ctx.imageSmoothingEnabled = view.scale < 1
		} else whole = thumbs.draw(ctx, w, m, s, budget) && whole
		const on = chosen.has(m.id)
		ctx.lineWidth = (on ? 5 : 3) * dpr
		ctx.strokeStyle = on ? ink : chalk
		ctx.strokeRect(s.x, s.y, s.w, s.h)
		ctx.lineWidth = (on ? 2.5 : 1.2) * dpr
		ctx.strokeStyle = on ? saffron : p.hover === m.id ? cobalt : ink
		ctx.strokeRect(s.x, s.y, s.w, s.h)
	}
	for (const s of p.info.seams) drawSeam(ctx, w, view, places, s, isSeam(p.chosen, s), dpr)
	drawWays(ctx, w, view, places, p, dpr)
	for (const f of p.info.findings) {
		const e = f.entity ? w.project.entity(f.map, f.entity) : undefined
		const r = places.get(f.map)
		const m = w.project.map(f.map)
		if (!e || !r || !m || view.scale < 0.2) continue
		const at = rectOn(view, {
			x: r.x + e.x - m.bounds.x * m.cellWidth,
			y: r.y + e.y - m.bounds.y * m.cellHeight,
			w: e.w,
			h: e.h,
		})
		ctx.setLineDash([4 * dpr, 3 * dpr])
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = chalk
		ctx.strokeRect(at.x - 2, at.y - 2, at.w + 4, at.h + 4)
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = f.serious ? brick : grey
		ctx.strokeRect(at.x - 2, at.y - 2, at.w + 4, at.h + 4)
		ctx.setLineDash([])
	}
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r) continue
		const s = rectOn(view, r)
		if (s.w < 26 * dpr || s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		const wrong = p.info.findings.filter((f) => f.map === m.id && f.serious).length
		const text = `${m.name}${m.template ? ' (template)' : ''}${wrong ? ` · ${wrong}!` : ''}`
		drawLabel(
			ctx,
			fitted(ctx, text, Math.max(s.w, 90 * dpr), dpr),
			s.x + s.w / 2,
			s.y - 12 * dpr,
			dpr,
			wrong ? brick : ink,
		)
	}
	return whole
}

function fitted(ctx: Context, text: string, room: number, dpr: number): string {
	ctx.font = `600 ${12 * dpr}px 'Sometype Mono Variable', monospace`
	if (ctx.measureText(text).width <= room) return text
	while (text.length > 4 && ctx.measureText(`${text}…`).width > room) text = text.slice(0, -1)
	return `${text}…`
}

export function rectOn(view: View, r: Rect): Rect {
	const a = view.screen(r.x, r.y)
	const b = view.screen(r.x + r.w, r.y + r.h)
	return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
}

const isSeam = (c: Chosen, s: Seam) => c.is === 'seam' && c.a === s.a && c.b === s.b

function drawSeam(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>, s: Seam, on: boolean, dpr: number) {
	const shut = s.closed || s.why !== '' || !s.open.length
	for (const [from, to] of seamLines(w, places, s)) {
		const [a, b] = [view.screen(from.x, from.y), view.screen(to.x, to.y)]
		ctx.beginPath()
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
		ctx.lineWidth = (on ? 10 : 8) * dpr
		ctx.strokeStyle = on ? saffron : chalk
		ctx.stroke()
		if (shut) ctx.setLineDash([7 * dpr, 5 * dpr])
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = s.closed ? brick : s.why || !s.open.length ? grey : sage
		ctx.stroke()
		ctx.setLineDash([])
	}
}

/** Passages of which another one leads back between the same two maps. */
export function twoWay(passages: Passage[]): Set<ID> {
	const ways = new Set(passages.map((p) => `${p.from.map} ${p.to.map}`))
	return new Set(passages.filter((p) => ways.has(`${p.to.map} ${p.from.map}`)).map((p) => p.id))
}

function drawWays(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>, p: Plane, dpr: number) {
	const both = twoWay(w.project.head.passages)
	const simple = w.project.head.passages.length > 400
	for (const way of w.project.head.passages) {
		const [from, to] = [endOf(w, places, way.from), endOf(w, places, way.to)]
		if (!from || !to) continue
		const [a, b] = [view.screen(from.x, from.y), view.screen(to.x, to.y)]
		if (Math.max(a.x, b.x) < 0 || Math.max(a.y, b.y) < 0) continue
		if (Math.min(a.x, b.x) > view.width || Math.min(a.y, b.y) > view.height) continue
		const on = p.chosen.is === 'passage' && p.chosen.id === way.id
		const broken = p.info.findings.some((f) => f.passage === way.id)
		if (both.has(way.id) || simple) {
			ctx.beginPath()
			ctx.moveTo(a.x, a.y)
			ctx.lineTo(b.x, b.y)
			ctx.lineWidth = (on ? 9 : 7) * dpr
			ctx.strokeStyle = on ? saffron : chalk
			ctx.stroke()
			ctx.lineWidth = 4 * dpr
			ctx.strokeStyle = broken ? brick : cobalt
			ctx.stroke()
			ctx.lineWidth = 1.5 * dpr
			ctx.strokeStyle = chalk
			ctx.stroke()
		} else {
			if (on) {
				ctx.beginPath()
				ctx.moveTo(a.x, a.y)
				ctx.lineTo(b.x, b.y)
				ctx.lineWidth = 10 * dpr
				ctx.strokeStyle = saffron
				ctx.stroke()
			}
			drawWire(ctx, a, b, true)
		}
		if (simple) continue
		for (const [at, fill] of [
			[a, chalk],
			[b, broken ? brick : cobalt],
		] as const) {
			ctx.beginPath()
			ctx.arc(at.x, at.y, 4 * dpr, 0, Math.PI * 2)
			ctx.lineWidth = 2 * dpr
			ctx.strokeStyle = broken ? brick : cobalt
			ctx.fillStyle = fill
			ctx.fill()
			ctx.stroke()
		}
	}
}

/** What lies under a place of the screen: a passage, a seam, or a map. */
export function hitOn(w: Workspace, view: View, p: Plane, at: Point, dpr: number): Chosen {
	const places = placesOf(p)
	const line = (a: Point, b: Point) => away(view.screen(a.x, a.y), view.screen(b.x, b.y), at)
	for (const way of w.project.head.passages) {
		const [from, to] = [endOf(w, places, way.from), endOf(w, places, way.to)]
		if (from && to && line(from, to) < 6 * dpr) return { is: 'passage', id: way.id }
	}
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

/** How far a place is from a line between two others. */
function away(a: Point, b: Point, p: Point): number {
	const [dx, dy] = [b.x - a.x, b.y - a.y]
	const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
	return Math.hypot(a.x + dx * t - p.x, a.y + dy * t - p.y)
}
