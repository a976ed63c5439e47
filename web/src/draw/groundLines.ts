import type { Entity, Kind } from '../core/types'
import type { Pictures } from './pictures'
import { isClosed, pointsOf, settingOf } from './points'
import type { View } from './view.svelte'

/** Draws ground that is drawn freely: a line, or a shape that is filled with its colour or its picture. */
export function drawGroundLine(
	ctx: CanvasRenderingContext2D,
	pictures: Pictures,
	view: View,
	e: Entity,
	k: Kind,
	look: number,
	cell: { w: number; h: number },
) {
	if (!e.points?.length) return
	const closed = isClosed(e, k)
	const colour = settingOf(e, k, 'colour')
	const way = new Path2D()
	const points = pointsOf(e).map((p) => view.screen(p.x, p.y))
	for (const p of points) way.lineTo(p.x, p.y)
	if (closed) way.closePath()
	if (closed && look) {
		ctx.save()
		ctx.clip(way)
		const [left, top] = [Math.min(...points.map((p) => p.x)), Math.min(...points.map((p) => p.y))]
		const [right, bottom] = [Math.max(...points.map((p) => p.x)), Math.max(...points.map((p) => p.y))]
		const a = view.at(Math.max(0, left), Math.max(0, top))
		const b = view.at(Math.min(view.width, right), Math.min(view.height, bottom))
		for (let cy = Math.floor(a.y / cell.h) * cell.h; cy < b.y; cy += cell.h) {
			for (let cx = Math.floor(a.x / cell.w) * cell.w; cx < b.x; cx += cell.w) {
				const p = view.screen(cx, cy)
				pictures.draw(ctx, look, p.x, p.y, cell.w * view.scale, cell.h * view.scale)
			}
		}
		ctx.restore()
	} else if (closed) {
		ctx.fillStyle = colour
		ctx.fill(way)
	}
	const broad = Number(settingOf(e, k, 'thickness')) * view.scale
	if (!broad) return
	ctx.strokeStyle = colour
	ctx.lineWidth = broad
	ctx.lineJoin = ctx.lineCap = 'round'
	ctx.stroke(way)
}
