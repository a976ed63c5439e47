import type { Zone } from '../core/types'

type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

/** Draws a zone's cell: its hatch on a veil of its colour, so that colour alone tells nothing. */
export function drawZone(
	ctx: Context,
	zone: Zone | undefined,
	x: number,
	y: number,
	w: number,
	h: number,
	area?: Path2D,
) {
	ctx.save()
	if (area) ctx.clip(area)
	else {
		ctx.beginPath()
		ctx.rect(x, y, w, h)
		ctx.clip()
	}
	ctx.fillStyle = `${zone?.colour ?? '#808080'}4d`
	ctx.fillRect(x, y, w, h)
	ctx.beginPath()
	hatchOf(ctx, zone?.hatch ?? 'crosses', x, y, w, h)
	const thick = Math.max(1, Math.min(w, h) / 12)
	ctx.lineWidth = thick * 2.2
	ctx.strokeStyle = 'rgb(252 250 245 / 0.65)'
	ctx.stroke()
	ctx.lineWidth = thick
	ctx.strokeStyle = zone?.colour ?? '#808080'
	ctx.stroke()
	ctx.restore()
}

/** Adds the lines of a hatch to the path. */
export function hatchOf(ctx: Context, name: string, x: number, y: number, w: number, h: number) {
	const line = (...p: number[]) => {
		ctx.moveTo(x + p[0] * w, y + p[1] * h)
		for (let i = 2; i < p.length; i += 2) ctx.lineTo(x + p[i] * w, y + p[i + 1] * h)
	}
	const ring = (cx: number, cy: number, r: number) => {
		ctx.moveTo(x + (cx + r) * w, y + cy * h)
		ctx.ellipse(x + cx * w, y + cy * h, r * w, r * h, 0, 0, Math.PI * 2)
	}
	switch (name) {
		case 'dots':
			for (const [cx, cy] of [
				[0.25, 0.25],
				[0.75, 0.75],
			])
				ring(cx, cy, 0.06)
			return
		case 'crosses':
			line(0.25, 0.25, 0.75, 0.75)
			return line(0.75, 0.25, 0.25, 0.75)
		case 'waves':
			for (const top of [0.25, 0.75]) line(0, top, 0.25, top - 0.12, 0.5, top, 0.75, top + 0.12, 1, top)
			return
		case 'rungs':
			line(0.25, 0, 0.25, 1)
			line(0.75, 0, 0.75, 1)
			for (const top of [0.25, 0.75]) line(0.25, top, 0.75, top)
			return
		case 'teeth':
			return line(0, 0.75, 0.25, 0.25, 0.5, 0.75, 0.75, 0.25, 1, 0.75)
		case 'corners':
			line(0.15, 0.4, 0.15, 0.15, 0.4, 0.15)
			return line(0.6, 0.85, 0.85, 0.85, 0.85, 0.6)
		case 'rings':
			return ring(0.5, 0.5, 0.28)
		default:
			line(0, 0.5, 0.5, 0)
			line(0, 1, 1, 0)
			return line(0.5, 1, 1, 0.5)
	}
}
