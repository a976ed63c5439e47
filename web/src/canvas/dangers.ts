import type { MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** Draws what hurts from afar in a game: lines and what flies. */
export function drawDangers(ctx: Context, view: View, m: MapInfo, play: PlayView) {
	if (play.strikes) drawBlow(ctx, view, m, play)
	for (const b of play.blasts) drawBlast(ctx, view, b)
	const thick = Math.max(2, (m.cellHeight * view.scale) / 6)
	ctx.lineCap = 'round'
	for (const [colour, part] of [
		['rgb(177 68 44 / 0.45)', 2],
		['#b1442c', 1],
		['#fcfaf5', 0.4],
	] as const) {
		ctx.strokeStyle = ctx.fillStyle = colour
		ctx.lineWidth = thick * part
		for (const r of play.rays) {
			const [a, b] = [view.screen(r.from.x, r.from.y), view.screen(r.to.x, r.to.y)]
			ctx.beginPath()
			ctx.moveTo(a.x, a.y)
			ctx.lineTo(b.x, b.y)
			ctx.stroke()
		}
		for (const s of play.shots) {
			const p = view.screen(s.x, s.y)
			ctx.beginPath()
			ctx.arc(p.x, p.y, (thick * (0.6 + part)) / 2, 0, 2 * Math.PI)
			ctx.fill()
		}
	}
}

/** A blast is a disc that opens to how far it reaches, and fades. */
function drawBlast(ctx: Context, view: View, b: PlayView['blasts'][number]) {
	const part = b.left / 1000
	const p = view.screen(b.x, b.y)
	const radius = b.radius * view.scale * (1 - part * part * 0.6)
	for (const [colour, size] of [
		['rgb(177 68 44 / 0.5)', 1],
		['rgb(232 160 60 / 0.7)', 0.75],
		['rgb(252 250 245 / 0.9)', 0.4],
	] as const) {
		ctx.globalAlpha = part
		ctx.fillStyle = colour
		ctx.beginPath()
		ctx.arc(p.x, p.y, Math.max(1, radius * size), 0, 2 * Math.PI)
		ctx.fill()
	}
	ctx.globalAlpha = 1
}

/** A blow is an arc ahead of the hero that opens and fades. */
function drawBlow(ctx: Context, view: View, m: MapInfo, play: PlayView) {
	const part = play.strikes / 1000
	const ahead = { up: -90, right: 0, down: 90, left: 180 }[play.facing] ?? 0
	const c = view.screen(play.x + m.cellWidth / 2, play.y + (m.cellHeight * 5) / 8)
	const half = (35 + 30 * (1 - part)) * (Math.PI / 180)
	const mid = (ahead * Math.PI) / 180
	ctx.globalAlpha = part
	ctx.lineCap = 'round'
	for (const [colour, width] of [
		['#1e2a2e', 5],
		['#fcfaf5', 3],
	] as const) {
		ctx.beginPath()
		ctx.arc(c.x, c.y, m.cellWidth * view.scale * 0.8, mid - half, mid + half)
		ctx.strokeStyle = colour
		ctx.lineWidth = width * Math.max(1, view.scale / 2)
		ctx.stroke()
	}
	ctx.globalAlpha = 1
}
