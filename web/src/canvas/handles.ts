import type { Detail, Entity, Facing, MapInfo, Point, Pulled, Rect, Trace } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { boxOf } from '../draw/areas'
import { chalk, cobalt, type Context, drawLabel, ink, saffron } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** Something on the map that is dragged instead of typed. */
export type Handle =
	| { is: 'size'; dx: -1 | 0 | 1; dy: -1 | 0 | 1; at: Point }
	| { is: 'facing'; at: Point }
	| { is: 'setting'; detail: Detail; at: Point; from?: Point }
	| { is: 'point'; index: number; at: Point }
	| { is: 'between'; index: number; at: Point }
	| { is: 'tie'; at: Point }

const middleOf = (e: Rect): Point => ({ x: e.x + e.w / 2, y: e.y + e.h / 2 })
const steps: Record<Facing, Point> = {
	up: { x: 0, y: -1 },
	right: { x: 1, y: 0 },
	down: { x: 0, y: 1 },
	left: { x: -1, y: 0 },
}

/** The handles of the one entity that is selected. */
export function handlesOf(w: Workspace, view: View, e: Entity, traces: Trace[], dpr: number): Handle[] {
	const k = w.project.kind(e.kind)
	if (!k || e.locked) return []
	const out: Handle[] = []
	const r = boxOf(view, e)
	if (k.ways) {
		const c = middleOf(e)
		const all = [{ x: 0, y: 0 }, ...(e.points ?? [])].map((p) => view.screen(c.x + p.x, c.y + p.y))
		for (let i = 1; i < all.length; i++) {
			out.push({ is: 'point', index: i - 1, at: all[i] })
			out.push({
				is: 'between',
				index: i - 1,
				at: { x: (all[i - 1].x + all[i].x) / 2, y: (all[i - 1].y + all[i].y) / 2 },
			})
		}
		const [a, b] = [all[all.length - 2] ?? all[0], all[all.length - 1]]
		const length = Math.hypot(b.x - a.x, b.y - a.y) || 1
		out.push({
			is: 'between',
			index: all.length - 1,
			at: { x: b.x + ((b.x - a.x) / length) * 22 * dpr, y: b.y + ((b.y - a.y) / length) * 22 * dpr },
		})
	}
	// on the box itself no handle lies: it is what one drags the entity by
	const middle = view.screen(e.x + e.w / 2, e.y + e.h / 2)
	const outside = (at: Point, way: Point): Point => {
		const far = Math.abs(way.x) * (r.w / 2) + Math.abs(way.y) * (r.h / 2) + 14 * dpr
		const along = (at.x - middle.x) * way.x + (at.y - middle.y) * way.y
		return along >= far ? at : { x: middle.x + way.x * far, y: middle.y + way.y * far }
	}
	for (const detail of w.chosen.detailsOf([e.id])) {
		if (!detail.handle || detail.type !== 'number') continue
		const trace = traces.find((t) => t.setting === detail.key)
		const c = middleOf(e)
		if (detail.handle === 'up') {
			out.push({ is: 'setting', detail, at: { x: r.x + r.w / 2, y: r.y - 14 * dpr } })
		} else if (!trace && Number(detail.value) > 0) {
			continue // it counts for nothing here: what goes along a path goes as far as that
		} else if (detail.handle === 'round') {
			const radius = (trace?.radius ?? 0) * 0.7071
			out.push({
				is: 'setting',
				detail,
				at: outside(view.screen(c.x + radius, c.y - radius), { x: 0.7071, y: -0.7071 }),
			})
		} else {
			const end = trace?.points[trace.points.length - 1] ?? c
			out.push({ is: 'setting', detail, at: outside(view.screen(end.x, end.y), steps[e.facing]) })
		}
	}
	// dragged onto something that moves it ties the two together
	if (w.map && w.project.entities(w.map.id).some((o) => o.id !== e.id && w.project.kind(o.kind)?.moves))
		out.push({ is: 'tie', at: { x: r.x - 10 * dpr, y: r.y + r.h + 10 * dpr } })
	if (k.faces) {
		const s = steps[e.facing]
		out.push({
			is: 'facing',
			at: { x: r.x + r.w / 2 + s.x * (r.w / 2 + 16 * dpr), y: r.y + r.h / 2 + s.y * (r.h / 2 + 16 * dpr) },
		})
	}
	if (k.resizes) {
		// round a small box, so that it can still be dragged itself
		const off = { x: r.w < 40 * dpr ? 8 * dpr : 0, y: r.h < 40 * dpr ? 8 * dpr : 0 }
		for (const dx of [-1, 0, 1] as const) {
			for (const dy of [-1, 0, 1] as const) {
				if (!dx && !dy) continue
				// sides only where there is room between the corners
				if ((!dx && r.w < 40 * dpr) || (!dy && r.h < 40 * dpr)) continue
				const at = { x: r.x + ((dx + 1) * r.w) / 2 + dx * off.x, y: r.y + ((dy + 1) * r.h) / 2 + dy * off.y }
				out.push({ is: 'size', dx, dy, at })
			}
		}
	}
	return out
}

/** The handle under a place on the screen. */
export function handleAt(all: Handle[], at: Point, dpr: number): Handle | undefined {
	let best: Handle | undefined
	let near = 9 * dpr
	for (const h of all) {
		const away = Math.hypot(h.at.x - at.x, h.at.y - at.y)
		if (away < near) [best, near] = [h, away]
	}
	return best
}

/** What an entity becomes when one of its handles is dragged to a place of the map. */
export function dragged(w: Workspace, m: MapInfo, e: Entity, h: Handle, to: Point, snap: number): Pulled {
	const whole = (p: Point) => ({ x: Math.round(p.x), y: Math.round(p.y) })
	if (h.is === 'tie') return { entity: e, name: '', text: '', traces: [] }
	return w.project.ask('pulling', {
		map: m.id,
		entity: e.id,
		is: h.is,
		dx: h.is === 'size' ? h.dx : 0,
		dy: h.is === 'size' ? h.dy : 0,
		index: h.is === 'point' || h.is === 'between' ? h.index : 0,
		setting: h.is === 'setting' ? h.detail.key : '',
		from: whole((h.is === 'setting' && h.from) || to),
		to: whole(to),
		snap,
	})
}

const marks: Record<Trace['is'], { colour: string; dash: number[] }> = {
	way: { colour: cobalt, dash: [] },
	ring: { colour: cobalt, dash: [6, 4] },
	shot: { colour: '#b1442c', dash: [8, 4] },
	tied: { colour: '#7a4a9a', dash: [2, 4] },
}

/** Draws what entities do: ways with points, rings, shots. */
export function drawTraces(ctx: Context, view: View, traces: Trace[], dpr: number) {
	for (const t of traces) {
		const path = new Path2D()
		const all = t.points.map((p) => view.screen(p.x, p.y))
		if (t.is === 'ring') {
			const edge = view.screen(t.points[0].x + t.radius, t.points[0].y)
			const radius = Math.hypot(edge.x - all[0].x, edge.y - all[0].y)
			path.ellipse(all[0].x, all[0].y, radius, view.diamond ? radius / 2 : radius, 0, 0, Math.PI * 2)
		} else {
			all.forEach((p, i) => (i ? path.lineTo(p.x, p.y) : path.moveTo(p.x, p.y)))
			if (t.closed) path.closePath()
		}
		ctx.lineWidth = 5 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke(path)
		ctx.setLineDash(marks[t.is].dash.map((n) => n * dpr))
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = marks[t.is].colour
		ctx.stroke(path)
		ctx.setLineDash([])
		if (t.is === 'way') for (const p of all) dot(ctx, p, 3 * dpr, cobalt)
		if (t.is === 'shot') dot(ctx, all[all.length - 1], 4 * dpr, '#b1442c')
	}
}

function dot(ctx: Context, p: Point, radius: number, colour: string) {
	ctx.beginPath()
	ctx.arc(p.x, p.y, radius, 0, Math.PI * 2)
	ctx.lineWidth = 3
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.fillStyle = colour
	ctx.fill()
}

/** Draws the handles of what is selected. */
export function drawHandles(ctx: Context, all: Handle[], dpr: number) {
	for (const h of all) {
		const s = (h.is === 'between' ? 3.5 : 5) * dpr
		ctx.beginPath()
		if (h.is === 'size') ctx.rect(h.at.x - s, h.at.y - s, 2 * s, 2 * s)
		else if (h.is === 'facing') {
			ctx.moveTo(h.at.x, h.at.y - s * 1.4)
			ctx.lineTo(h.at.x + s * 1.4, h.at.y)
			ctx.lineTo(h.at.x, h.at.y + s * 1.4)
			ctx.lineTo(h.at.x - s * 1.4, h.at.y)
			ctx.closePath()
		} else if (h.is === 'tie') {
			// a link of two rings
			ctx.arc(h.at.x - 2.5 * dpr, h.at.y, s * 0.7, 0, Math.PI * 2)
			ctx.moveTo(h.at.x + 2.5 * dpr + s * 0.7, h.at.y)
			ctx.arc(h.at.x + 2.5 * dpr, h.at.y, s * 0.7, 0, Math.PI * 2)
		} else ctx.arc(h.at.x, h.at.y, s, 0, Math.PI * 2)
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = ink
		ctx.stroke()
		ctx.fillStyle = h.is === 'between' ? chalk : saffron
		ctx.fill()
		if (h.is === 'setting' && h.detail.handle === 'up') {
			drawLabel(ctx, h.detail.value, h.at.x + 20 * dpr, h.at.y, dpr, ink)
		}
	}
}

/** Draws what a dragged handle would make. */
export function drawDraft(ctx: Context, m: MapInfo, view: View, d: Pulled, h: Handle, dpr: number) {
	const { entity: e } = d
	if (h.is === 'tie') {
		const to = view.at(h.at.x, h.at.y)
		drawTraces(ctx, view, [{ is: 'tied', points: [middleOf(e), to], closed: false, radius: 0, setting: '' }], dpr)
		return
	}
	drawTraces(ctx, view, d.traces, dpr)
	if (h.is === 'point' || h.is === 'between') return
	if (h.is === 'setting') return drawLabel(ctx, `${d.name} ${d.text}`, h.at.x, h.at.y - 18 * dpr, dpr, ink)
	const r = boxOf(view, e)
	ctx.lineWidth = 3 * dpr
	ctx.strokeStyle = saffron
	ctx.strokeRect(r.x, r.y, r.w, r.h)
	if (h.is === 'size') {
		const cells = `${round(e.w / m.cellWidth)} × ${round(e.h / m.cellHeight)}`
		drawLabel(ctx, cells, r.x + r.w / 2, r.y - 14 * dpr, dpr, ink)
	} else drawLabel(ctx, `looks ${e.facing}`, r.x + r.w / 2, r.y - 26 * dpr, dpr, ink)
}

const round = (n: number) => String(Math.round(n * 100) / 100)
