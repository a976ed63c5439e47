import type { Pin, Point } from '../core/types'
import { casedLine, chalk, cobalt, type Context, drawLabel, ink } from '../draw/frames'

/** How far from its point a pin is still pressed, in pixels of the page. */
export const pinReach = 22

/** Draws a pin that stands at a place of the screen: a stem to the spot, and a head with a notch. */
export function drawPin(ctx: Context, at: Point, pin: Pin, named: boolean, dpr: number) {
	const [x, top, r] = [at.x, at.y - 18 * dpr, 6 * dpr]
	const stem = new Path2D()
	stem.moveTo(x, at.y)
	stem.lineTo(x, top)
	casedLine(ctx, stem, cobalt, 2, 5, dpr)
	ctx.beginPath()
	ctx.rect(x - r, top - r, 2 * r, 2 * r)
	ctx.fillStyle = cobalt
	ctx.strokeStyle = chalk
	ctx.lineWidth = 3 * dpr
	ctx.stroke()
	ctx.fill()
	ctx.beginPath()
	ctx.arc(x, top, 2 * dpr, 0, 2 * Math.PI)
	ctx.fillStyle = chalk
	ctx.fill()
	if (named) drawLabel(ctx, pin.name, x, top - 16 * dpr, dpr, ink)
}
