import type { MapInfo, Merged, Point } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, cased, casedArea, chalk, type Context, drawLabel } from '../draw/frames'
import { cellArea } from '../draw/areas'
import type { View } from '../draw/view.svelte'

let merged: { turn: number; map: string; pieces: Merged } | null = null

/** What is solid, in as few pieces as play and export use, each with its size. */
export function drawSolids(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	if (merged?.turn !== w.project.turn || merged.map !== m.id) {
		merged = { turn: w.project.turn, map: m.id, pieces: w.project.ask('solids', { map: m.id }) }
	}
	for (const piece of merged.pieces.rects ?? []) {
		const r = view.cellRect(m, piece)
		if (r.x > view.width || r.y > view.height || r.x + r.w < 0 || r.y + r.h < 0) continue
		const area = cellArea(view, m, piece.x, piece.y, piece.w, piece.h)
		ctx.fillStyle = 'rgb(177 68 44 / 0.28)'
		ctx.fill(area)
		if (view.diamond) casedArea(ctx, area, brick)
		else cased(ctx, r.x + 1, r.y + 1, r.w - 2, r.h - 2, brick)
		if (r.w > 44 * dpr && r.h > 20 * dpr) {
			drawLabel(ctx, `${piece.w} × ${piece.h}`, r.x + r.w / 2, r.y + r.h / 2, dpr, brick)
		}
	}
	const lines = partLines(merged.pieces, view)
	for (const [width, colour] of [
		[5, chalk],
		[2.5, brick],
	] as const) {
		ctx.lineWidth = width * dpr
		ctx.strokeStyle = colour
		ctx.stroke(lines)
	}
}

/** The solid parts of tiles as lines: rectangles whole, of the others their sides. */
export function partLines(pieces: Merged, view: View): Path2D {
	const path = new Path2D()
	const line = (...points: Point[]) =>
		points.forEach((p, i) => {
			const at = view.screen(p.x / 2, p.y / 2)
			path[i ? 'lineTo' : 'moveTo'](at.x, at.y)
		})
	for (const s of pieces.segments ?? []) line(s.a, s.b)
	for (const { x, y, w, h } of pieces.parts ?? []) {
		line({ x, y }, { x: x + w, y }, { x: x + w, y: y + h }, { x, y: y + h })
		path.closePath()
	}
	return path
}
