import type { MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** Draws what hurts from afar in a game: lines and what flies. */
export function drawDangers(ctx: Context, view: View, m: MapInfo, play: PlayView) {
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
