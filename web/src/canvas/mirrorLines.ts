import type { MapInfo, Point } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { chalk, type Context, ink } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** The lines that the mirror repeats about. */
function axes(w: Workspace, m: MapInfo, view: View) {
	const mirror = w.hand.mirrorOf(m)
	const b = view.cellRect(m, m.bounds)
	const at = view.screen((mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight)
	const upright = mirror.mode !== '' && mirror.mode !== 'up–down'
	const level = mirror.mode !== '' && mirror.mode !== 'left–right'
	return { b, at, upright, level }
}

/** The knobs by which the mirror's lines are dragged, at the ends of each. */
export function axisHandles(w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { b, at, upright, level } = axes(w, m, view)
	const out: (Point & { upright: boolean })[] = []
	if (view.diamond) {
		// on diamonds the knobs lie at the ends of the lines themselves
		const mirror = w.hand.mirrorOf(m)
		const [x, y] = [(mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight]
		const { bounds } = m
		if (upright) out.push({ ...view.screen(x, bounds.y * m.cellHeight), upright: true })
		if (upright) out.push({ ...view.screen(x, (bounds.y + bounds.h) * m.cellHeight), upright: true })
		if (level) out.push({ ...view.screen(bounds.x * m.cellWidth, y), upright: false })
		if (level) out.push({ ...view.screen((bounds.x + bounds.w) * m.cellWidth, y), upright: false })
		return out
	}
	const [top, left] = [Math.max(b.y - 12 * dpr, 12 * dpr), Math.max(b.x - 12 * dpr, 12 * dpr)]
	const [bottom, right] = [
		Math.min(b.y + b.h + 12 * dpr, view.height - 12 * dpr),
		Math.min(b.x + b.w + 12 * dpr, view.width - 12 * dpr),
	]
	if (upright) out.push({ x: at.x, y: top, upright: true }, { x: at.x, y: bottom, upright: true })
	if (level) out.push({ x: left, y: at.y, upright: false }, { x: right, y: at.y, upright: false })
	return out
}

export function drawAxes(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { upright, level } = axes(w, m, view)
	if (!upright && !level) return
	const mirror = w.hand.mirrorOf(m)
	const [x, y] = [(mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight]
	const { bounds } = m
	const line = (x0: number, y0: number, x1: number, y1: number) => {
		const [a, b] = [view.screen(x0, y0), view.screen(x1, y1)]
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
	}
	ctx.beginPath()
	if (upright) line(x, bounds.y * m.cellHeight, x, (bounds.y + bounds.h) * m.cellHeight)
	if (level) line(bounds.x * m.cellWidth, y, (bounds.x + bounds.w) * m.cellWidth, y)
	ctx.lineWidth = 3 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.setLineDash([10 * dpr, 3 * dpr, 2 * dpr, 3 * dpr])
	ctx.lineWidth = 1.5 * dpr
	ctx.strokeStyle = ink
	ctx.stroke()
	ctx.setLineDash([])
	for (const h of axisHandles(w, m, view, dpr)) {
		ctx.beginPath()
		const [dx, dy] = h.upright ? [8 * dpr, 5 * dpr] : [5 * dpr, 8 * dpr]
		ctx.moveTo(h.x - dx, h.y)
		ctx.lineTo(h.x, h.y - dy)
		ctx.lineTo(h.x + dx, h.y)
		ctx.lineTo(h.x, h.y + dy)
		ctx.closePath()
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.fillStyle = ink
		ctx.fill()
	}
}
