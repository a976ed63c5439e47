import type { Entity, Kind } from '../core/types'
import type { Picture, Pictures } from './pictures'
import { isClosed, pointsOf, settingOf } from './points'
import type { View } from './view.svelte'

/** Where ground that is drawn freely runs on the screen. */
export function groundWay(view: View, e: Entity, k: Kind): Path2D {
	const way = new Path2D()
	for (const p of pointsOf(e)) {
		const at = view.screen(p.x, p.y)
		way.lineTo(at.x, at.y)
	}
	if (isClosed(e, k)) way.closePath()
	return way
}

/** Draws ground that is drawn freely: a line, or a shape that is filled with its colour or its picture. */
export function drawGroundLine(
	ctx: CanvasRenderingContext2D,
	pictures: Pictures,
	view: View,
	e: Entity,
	k: Kind,
	look: Picture,
	cell: { w: number; h: number },
) {
	if (!e.points?.length) return
	const closed = isClosed(e, k)
	const colour = settingOf(e, k, 'colour')
	const points = pointsOf(e).map((p) => view.screen(p.x, p.y))
	const way = groundWay(view, e, k)
	if (closed && look.cell) {
		// a picture repeats at its own size
		const { w, h } = pictures.sizeOf(look, cell.w, cell.h)
		ctx.save()
		ctx.clip(way)
		const [left, top] = [Math.min(...points.map((p) => p.x)), Math.min(...points.map((p) => p.y))]
		const [right, bottom] = [Math.max(...points.map((p) => p.x)), Math.max(...points.map((p) => p.y))]
		const a = view.at(Math.max(0, left), Math.max(0, top))
		const b = view.at(Math.min(view.width, right), Math.min(view.height, bottom))
		for (let y = Math.floor(a.y / h) * h; y < b.y; y += h) {
			for (let x = Math.floor(a.x / w) * w; x < b.x; x += w) {
				const p = view.screen(x, y)
				pictures.drawMany(ctx, look, p.x, p.y, w * view.scale, h * view.scale)
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
