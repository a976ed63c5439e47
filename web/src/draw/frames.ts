import type { Point, Rect } from '../core/types'

// Lines and labels that show on any art: a colour on a casing.

export type Context = CanvasRenderingContext2D

export const chalk = '#fcfaf5'
export const ink = '#1e2a2e'
export const saffron = '#e2a52a'
export const cobalt = '#33509e'
export const brick = '#b1442c'

/** The bytes of a pixel of a colour that is written as #rrggbb. */
export function bytesOf(colour: string): number {
	const rgb = parseInt(colour.slice(1), 16)
	return ((0xff << 24) | ((rgb & 255) << 16) | (rgb & 0xff00) | (rgb >> 16)) >>> 0
}

/** How much of the left and of the top the rulers take, in pixels of the page. */
export const rulerRoom = 16

export const middle = (r: Rect): Point => ({ x: r.x + r.w / 2, y: r.y + r.h / 2 })

/** A frame of two colours around a rectangle of the screen, or along any outline. */
export function outline(ctx: Context, shape: Rect | Path2D, colour: string, casing: string, out = 2) {
	let area: Path2D
	if (shape instanceof Path2D) area = shape
	else {
		area = new Path2D()
		area.rect(shape.x - out, shape.y - out, shape.w + 2 * out, shape.h + 2 * out)
	}
	ctx.lineWidth = 4
	ctx.strokeStyle = casing
	ctx.stroke(area)
	ctx.lineWidth = 2
	ctx.strokeStyle = colour
	ctx.stroke(area)
}

/** A line of a colour on a casing of chalk, so broad in pixels of the page. */
export function casedLine(ctx: Context, line: Path2D, colour: string, width: number, casing: number, dpr: number) {
	ctx.lineWidth = casing * dpr
	ctx.strokeStyle = chalk
	ctx.stroke(line)
	ctx.lineWidth = width * dpr
	ctx.strokeStyle = colour
	ctx.stroke(line)
}

/** How broad a label is, in device pixels. */
export function labelWidth(ctx: Context, text: string, dpr: number): number {
	ctx.font = `600 ${12 * dpr}px 'Sometype Mono Variable', monospace`
	return ctx.measureText(text).width + 10 * dpr
}

/** A small wedge on the side to which an entity looks. */
export function drawFacing(ctx: Context, r: Rect, facing: string) {
	const turns = ['up', 'right', 'down', 'left'].indexOf(facing)
	const c = middle(r)
	const s = Math.max(5, r.w / 4)
	ctx.save()
	ctx.translate(c.x, c.y)
	ctx.rotate((turns * Math.PI) / 2)
	ctx.beginPath()
	ctx.moveTo(-s, -r.h / 2 - 4)
	ctx.lineTo(0, -r.h / 2 - 4 - s)
	ctx.lineTo(s, -r.h / 2 - 4)
	ctx.closePath()
	ctx.fillStyle = saffron
	ctx.strokeStyle = ink
	ctx.lineWidth = 2
	ctx.stroke()
	ctx.fill()
	ctx.restore()
}

/** Writes what something is; of what lies in view all of it can be read, beside the rulers. */
export function drawLabel(ctx: Context, text: string, x: number, y: number, dpr: number, colour: string) {
	const w = labelWidth(ctx, text, dpr)
	const { width, height } = ctx.canvas
	if (x >= 0 && y >= 0 && x <= width && y <= height) {
		x = Math.max(rulerRoom * dpr + w / 2, Math.min(width - w / 2, x))
		y = Math.max((rulerRoom + 9) * dpr, Math.min(height - 9 * dpr, y))
	}
	ctx.textBaseline = 'middle'
	ctx.textAlign = 'center'
	ctx.fillStyle = chalk
	ctx.fillRect(x - w / 2, y - 9 * dpr, w, 18 * dpr)
	ctx.fillStyle = colour
	ctx.fillText(text, x, y + 0.5)
}

/** As cased, of any outline. */
export function casedArea(ctx: CanvasRenderingContext2D, area: Path2D, colour: string) {
	ctx.lineWidth = 3
	ctx.strokeStyle = chalk
	ctx.stroke(area)
	ctx.lineWidth = 1.5
	ctx.strokeStyle = colour
	ctx.stroke(area)
}

/** A line with a casing of chalk, so that it shows on any art. */
export function cased(ctx: CanvasRenderingContext2D, x: number, y: number, w: number, h: number, colour: string) {
	ctx.lineWidth = 3
	ctx.strokeStyle = chalk
	ctx.strokeRect(x, y, w, h)
	ctx.lineWidth = 1.5
	ctx.strokeStyle = colour
	ctx.strokeRect(x, y, w, h)
}
