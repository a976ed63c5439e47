import type { Entity, MapInfo } from '../core/types'
import { casedLine, cobalt, type Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'

/** How many poses of a motion come in a second. */
const perSecond = 15

/** Draws what an entity does by itself: its way, and a ghost that goes it. */
export function drawWalking(ctx: Context, w: Workspace, m: MapInfo, view: View, e: Entity, dpr: number): boolean {
	const motion = w.chosen.motionOf(e.id)
	if (!motion.length) return false
	const way = new Path2D()
	motion.forEach((p, i) => {
		const s = view.screen(p.x + e.w / 2, p.y + e.h / 2)
		if (i) way.lineTo(s.x, s.y)
		else way.moveTo(s.x, s.y)
	})
	ctx.lineJoin = ctx.lineCap = 'round'
	ctx.setLineDash([1, 6 * dpr])
	casedLine(ctx, way, cobalt, 2.5, 5, dpr)
	ctx.setLineDash([])
	const now = w.animated ? Math.floor((performance.now() / 1000) * perSecond) % motion.length : motion.length - 1
	ctx.globalAlpha = 0.7
	w.scene.figures.entity(ctx, m, view, { ...e, ...motion[now] }, e.on)
	ctx.globalAlpha = 1
	return w.animated
}
