import type { OnChart, Plane } from './places'
import { Workspace } from '../workspace/workspace.svelte'
import { View } from '../draw/view.svelte'
import { type Context, brick, chalk, saffron } from '../draw/frames'
import { grey, sage } from './places'
import type { ID, Point, Rect, Seam } from '../core/types'
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

export const isSeam = (c: OnChart, s: Seam) => c.is === 'seam' && c.a === s.a && c.b === s.b

/** So many seams are drawn at once. */
const slice = 100

/** Draws the seams, some at a time. */
export function* drawingSeams(
	ctx: Context,
	w: Workspace,
	view: View,
	places: Map<ID, Rect>,
	p: Plane,
	dpr: number,
): Generator<void> {
	for (const [i, s] of p.info.seams.entries()) {
		drawSeam(ctx, w, view, places, s, isSeam(p.chosen, s), dpr)
		if (i % slice === slice - 1) yield
	}
}

function drawSeam(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>, s: Seam, on: boolean, dpr: number) {
	const shut = s.closed || s.why !== '' || !s.open.length
	for (const [from, to] of seamLines(w, places, s)) {
		const [a, b] = [view.screen(from.x, from.y), view.screen(to.x, to.y)]
		if (
			Math.max(a.x, b.x) < 0 ||
			Math.max(a.y, b.y) < 0 ||
			Math.min(a.x, b.x) > view.width ||
			Math.min(a.y, b.y) > view.height
		)
			continue
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
