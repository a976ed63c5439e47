import { drawingSeams } from './seams'
import { Workspace } from '../workspace/workspace.svelte'
import { many } from './sheets'
import { drawAsked, drawingWays } from './ways'
import { drawPin } from '../canvas/pins'
import type { ID, MapInfo, Rect } from '../core/types'
import { View } from '../draw/view.svelte'
import { type Context, brick, chalk, cobalt, drawLabel, ink } from '../draw/frames'
import { type Plane, grey, rectOn } from './places'
import { placeOfPin } from './hits'
export function drawFrame(ctx: Context, s: Rect, colour: string, dpr: number, strong = false) {
	ctx.lineWidth = (strong ? 5 : 3) * dpr
	ctx.strokeStyle = strong ? ink : chalk
	ctx.strokeRect(s.x, s.y, s.w, s.h)
	ctx.lineWidth = (strong ? 2.5 : 1.2) * dpr
	ctx.strokeStyle = colour
	ctx.strokeRect(s.x, s.y, s.w, s.h)
}

/** Draws seams, ways, findings and names. */
export function drawAbove(ctx: Context, w: Workspace, view: View, p: Plane, places: Map<ID, Rect>, dpr: number) {
	const steps = drawingAbove(ctx, w, view, p, places, dpr)
	while (!steps.next().done);
}

/** So many names are drawn at once. */
const slice = 30

/** Draws seams, ways, findings and names, some at a time. */
export function* drawingAbove(
	ctx: Context,
	w: Workspace,
	view: View,
	p: Plane,
	places: Map<ID, Rect>,
	dpr: number,
): Generator<void> {
	yield* drawingSeams(ctx, w, view, places, p, dpr)
	yield* drawingWays(ctx, w, view, places, p, dpr)
	drawAsked(ctx, w, view, places)
	for (const f of p.info.findings) {
		if (view.scale < 0.2) break
		const e = f.entity ? w.project.entity(f.map, f.entity) : undefined
		const r = places.get(f.map)
		const m = w.project.map(f.map)
		if (!e || !r || !m) continue
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
	for (const pin of w.project.head.pins) {
		const at = placeOfPin(w, view, places, pin)
		if (at) drawPin(ctx, at, pin, view.scale >= 1, dpr)
	}
	const wrong = new Map<ID, number>()
	for (const f of p.info.findings) if (f.serious) wrong.set(f.map, (wrong.get(f.map) ?? 0) + 1)
	let named = 0
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r) continue
		const s = rectOn(view, r)
		if (s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		if (s.w > 90 * dpr) drawEdges(ctx, m, s, dpr)
		// of maps that lie close together only those with room have their names
		if (s.w < (places.size > many ? 60 : 26) * dpr) continue
		const n = wrong.get(m.id)
		const text = `${m.name}${m.template ? ' (template)' : ''}${n ? ` · ${n}!` : ''}`
		const room = Math.max(s.w, 90 * dpr)
		drawLabel(ctx, fitted(ctx, text, room, dpr), s.x + s.w / 2, s.y - 12 * dpr, dpr, n ? brick : ink)
		if (++named % slice === 0) yield
	}
}

const edgeWords: Record<string, string> = { fall: 'fall', wrap: 'wraps', exit: 'exit' }

/** What the edges of a map are, where they are no walls. */
function drawEdges(ctx: Context, m: MapInfo, s: Rect, dpr: number) {
	const at = [
		[s.x + s.w / 2, s.y + 12 * dpr],
		[s.x + s.w - 24 * dpr, s.y + s.h / 2],
		[s.x + s.w / 2, s.y + s.h - 12 * dpr],
		[s.x + 24 * dpr, s.y + s.h / 2],
	]
	m.sides?.forEach((is, i) => {
		if (edgeWords[is]) drawLabel(ctx, edgeWords[is], at[i][0], at[i][1], dpr, is === 'fall' ? brick : cobalt)
	})
}

function fitted(ctx: Context, text: string, room: number, dpr: number): string {
	ctx.font = `600 ${12 * dpr}px 'Sometype Mono Variable', monospace`
	if (ctx.measureText(text).width <= room) return text
	while (text.length > 4 && ctx.measureText(`${text}…`).width > room) text = text.slice(0, -1)
	return `${text}…`
}
