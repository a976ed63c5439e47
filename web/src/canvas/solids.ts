import type { Facing, Ground, MapInfo, Merged, Point, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, cased, casedArea, casedLine, cobalt, type Context, drawLabel, saffron } from '../draw/frames'
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
	casedLine(ctx, lines, brick, 2.5, 5, dpr)
	// their sizes in pixels of the map, where there is room
	const told = (a: Point, b: Point) => {
		const [p, q] = [view.screen(a.x / 2, a.y / 2), view.screen(b.x / 2, b.y / 2)]
		if (Math.max(Math.abs(q.x - p.x), Math.abs(q.y - p.y)) < 60 * dpr) return
		const size = `${Math.abs(b.x - a.x) / 2} × ${Math.abs(b.y - a.y) / 2} px`
		drawLabel(ctx, size, (p.x + q.x) / 2, (p.y + q.y) / 2, dpr, brick)
	}
	for (const p of merged.pieces.parts ?? []) told(p, { x: p.x + p.w, y: p.y + p.h })
	for (const s of merged.pieces.segments ?? []) if (s.a.x !== s.b.x && s.a.y !== s.b.y) told(s.a, s.b)
	drawGrounds(ctx, w, m, view, dpr)
}

/** What the ground of tiles is besides solid: sides that let nobody back, water, ladders, hazards. */
export function drawGrounds(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	for (const g of groundsOf(w, m)) {
		const r = view.cellRect(m, g)
		if (view.width && (r.x > view.width || r.y > view.height || r.x + r.w < 0 || r.y + r.h < 0)) continue
		if (g.oneWay) drawSide(ctx, g.oneWay as Facing, r, dpr)
		if (!g.is) continue
		const colour = { water: cobalt, ladder: saffron, hazard: brick }[g.is] ?? cobalt
		if (view.diamond) casedArea(ctx, cellArea(view, m, g.x, g.y, g.w, g.h), colour)
		else cased(ctx, r.x + 1, r.y + 1, r.w - 2, r.h - 2, colour)
		if (r.w > 48 * dpr && r.h > 16 * dpr) drawLabel(ctx, g.is, r.x + r.w / 2, r.y + r.h / 2, dpr, colour)
	}
}

let grounds: { turn: number; map: string; all: Ground[] } | null = null

function groundsOf(w: Workspace, m: MapInfo): Ground[] {
	if (grounds?.turn !== w.project.turn || grounds.map !== m.id)
		grounds = { turn: w.project.turn, map: m.id, all: w.project.ask('grounds', { map: m.id }) }
	return grounds.all
}

/** A side that stops from without: a double line along it, with barbs that point where one gets through. */
function drawSide(ctx: Context, side: Facing, r: Rect, dpr: number) {
	const level = side === 'up' || side === 'down'
	const [x, y] = [side === 'right' ? r.x + r.w : r.x, side === 'down' ? r.y + r.h : r.y]
	const [dx, dy] = { up: [0, -1], right: [1, 0], down: [0, 1], left: [-1, 0] }[side].map((v) => v * 6 * dpr)
	const path = new Path2D()
	path.moveTo(x, y)
	path.lineTo(level ? x + r.w : x, level ? y : y + r.h)
	const length = level ? r.w : r.h
	for (let at = 10 * dpr; at < length; at += 24 * dpr) {
		const [px, py] = level ? [x + at, y] : [x, y + at]
		path.moveTo(px - dx, py - dy)
		path.lineTo(px + dx, py + dy)
		path.lineTo(px + dx / 2 + dy / 2, py + dy / 2 + dx / 2)
		path.moveTo(px + dx, py + dy)
		path.lineTo(px + dx / 2 - dy / 2, py + dy / 2 - dx / 2)
	}
	casedLine(ctx, path, brick, 2, 5, dpr)
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
