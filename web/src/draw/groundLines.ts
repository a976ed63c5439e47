import type { Entity, Kind } from '../core/types'
import type { Pictures } from './pictures'
import type { View } from './view.svelte'

/** What of a ground line is drawn otherwise than its kind says. */
const setting = (e: Entity, k: Kind, key: string): string => {
	const own = e.values?.find((v) => v.key === key)?.value
	return String(own ?? k.settings.find((s) => s.key === key)?.default ?? '')
}

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
	const [x, y] = [e.x + e.w / 2, e.y + e.h / 2]
	const closed = ['true', 'yes'].includes(setting(e, k, 'closed'))
	const colour = setting(e, k, 'colour') || '#7a6248'
	const way = new Path2D()
	const points = [{ x: 0, y: 0 }, ...e.points].map((p) => view.screen(x + p.x, y + p.y))
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
	const broad = Number(setting(e, k, 'thickness')) * view.scale
	if (!broad) return
	ctx.strokeStyle = colour
	ctx.lineWidth = broad
	ctx.lineJoin = ctx.lineCap = 'round'
	ctx.stroke(way)
}
