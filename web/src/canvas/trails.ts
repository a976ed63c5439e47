import type { MapInfo, PlayView, Point } from '../core/types'
import { brick, casedLine, cobalt, ink, outline, saffron, type Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'

/** Draws what lies over a game that is played: ways, and where something happened. */
export function drawTrails(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { play } = w
	if (!play.view) return
	ctx.lineJoin = ctx.lineCap = 'round'
	// where the hero went before with the same keys
	let line: Point[] = []
	const walks = [line]
	for (const s of play.before) {
		if (s.map === m.id) line.push(s)
		else if (line.length) walks.push((line = []))
	}
	for (const walk of walks) casedLine(ctx, along(view, walk), brick, 2, 5, dpr)
	if (play.view.way.length) {
		const cells = play.view.way.map((p) => ({ x: (p.x + 0.5) * m.cellWidth, y: (p.y + 0.5) * m.cellHeight }))
		ctx.setLineDash([1, 7 * dpr])
		casedLine(ctx, along(view, cells), cobalt, 3, 6, dpr)
		ctx.setLineDash([])
		const end = play.view.way[play.view.way.length - 1]
		outline(ctx, view.cellRect(m, { ...end, w: 1, h: 1 }), cobalt, '#fcfaf5', 0)
	}
	const at = play.pointed
	if (at?.map === m.id) {
		const p = view.screen(at.x, at.y)
		for (const [colour, width] of [
			[ink, 5],
			[saffron, 3],
		] as const) {
			ctx.beginPath()
			ctx.arc(p.x, p.y, 16 * dpr, 0, 2 * Math.PI)
			ctx.strokeStyle = colour
			ctx.lineWidth = width * dpr
			ctx.stroke()
		}
	}
}

function along(view: View, points: Point[]): Path2D {
	const path = new Path2D()
	points.forEach((p, i) => {
		const s = view.screen(p.x, p.y)
		if (i) path.lineTo(s.x, s.y)
		else path.moveTo(s.x, s.y)
	})
	return path
}

/** Dims what lies beyond the player's screen. */
export function drawBeyond(ctx: Context, view: View, { camera }: PlayView) {
	if (!camera.w || camera.whole || view.diamond) return
	const a = view.screen(camera.x - camera.w / 2, camera.y - camera.h / 2)
	const [w, h] = [camera.w * view.scale, camera.h * view.scale]
	ctx.fillStyle = 'rgb(13 17 18 / 0.6)'
	ctx.beginPath()
	ctx.rect(0, 0, view.width, view.height)
	ctx.rect(a.x, a.y, w, h)
	ctx.fill('evenodd')
}
