import type { PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

const margin = 26

/** Points from the edge of what is seen to the goals that lie beyond it; one that is seen has a mark above it. */
export function drawGoals(ctx: Context, view: View, { goals }: PlayView, dpr: number) {
	const { width, height } = ctx.canvas
	for (const g of goals ?? []) {
		const p = view.screen(g.x, g.y)
		const [x, y] = [
			Math.max(margin * dpr, Math.min(width - margin * dpr, p.x)),
			Math.max(margin * dpr, Math.min(height - margin * dpr, p.y)),
		]
		const away = x !== p.x || y !== p.y
		ctx.save()
		ctx.translate(x, away ? y : y - 14 * view.scale)
		ctx.rotate(away ? Math.atan2(p.y - y, p.x - x) : Math.PI / 2)
		ctx.scale(dpr, dpr)
		// a plumb bob that points: drawn with a casing, so that it is seen on any ground
		ctx.beginPath()
		ctx.moveTo(15, 0)
		ctx.lineTo(-2, 9)
		ctx.lineTo(-9, 0)
		ctx.lineTo(-2, -9)
		ctx.closePath()
		ctx.lineJoin = 'round'
		ctx.lineWidth = 5
		ctx.strokeStyle = '#fcfaf5'
		ctx.stroke()
		ctx.fillStyle = '#b06d00'
		ctx.fill()
		ctx.restore()
	}
}
