import type { PlayView } from '../core/types'
import { chalk, type Context, ink } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** The colours that a view takes on, and how much of it they cover. */
const tints: Record<string, readonly [string, number]> = {
	dusk: ['#7a3f6d', 0.36],
	night: ['#141d4a', 0.55],
	dawn: ['#ee8a55', 0.36],
	storm: ['#3a4c54', 0.48],
	ember: ['#b8401c', 0.34],
	deep: ['#00474f', 0.46],
}

/** Draws what rules let be seen over a game: a colour, thoughts, the dark. */
export function drawShow(ctx: Context, view: View, { show }: PlayView, dpr: number) {
	const { width, height } = ctx.canvas
	const cover = (colour: string, much: number) => {
		if (much <= 0) return
		ctx.globalAlpha = much
		ctx.fillStyle = colour
		ctx.fillRect(0, 0, width, height)
		ctx.globalAlpha = 1
	}
	for (const [tint, part] of [
		[show.tintWas, 1000 - show.tinted],
		[show.tint, show.tinted],
	] as const) {
		const [colour, much] = tints[tint] ?? ['', 0]
		cover(colour, (much * part) / 1000)
	}
	for (const t of show.thoughts) drawThought(ctx, t.text, view.screen(t.x, t.y), dpr)
	cover('#0d1112', show.dark / 255)
}

/** A thought over a head: a plate with one cut corner, and two drops down to it. */
function drawThought(ctx: Context, text: string, at: { x: number; y: number }, dpr: number) {
	ctx.font = `600 ${13 * dpr}px Inter Variable, sans-serif`
	const w = Math.max(26 * dpr, ctx.measureText(text).width + 16 * dpr)
	const h = 24 * dpr
	const cut = 6 * dpr
	const [x, y] = [at.x - w / 2, at.y - h - 12 * dpr]
	const plate = new Path2D()
	plate.moveTo(x, y)
	plate.lineTo(x + w - cut, y)
	plate.lineTo(x + w, y + cut)
	plate.lineTo(x + w, y + h)
	plate.lineTo(x, y + h)
	plate.closePath()
	for (const [dy, r] of [
		[8, 2.6],
		[3, 1.6],
	]) {
		plate.moveTo(at.x + r * dpr, at.y - dy * dpr)
		plate.arc(at.x, at.y - dy * dpr, r * dpr, 0, 2 * Math.PI)
	}
	ctx.lineWidth = 2 * dpr
	ctx.strokeStyle = ink
	ctx.stroke(plate)
	ctx.fillStyle = chalk
	ctx.fill(plate)
	ctx.fillStyle = ink
	ctx.textAlign = 'center'
	ctx.textBaseline = 'middle'
	ctx.fillText(text, at.x, y + h / 2 + 0.5)
}
