import type { Entity } from '../core/types'
import { casedLine, type Context, chalk, cobalt } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import { isGround, pointsOf } from '../draw/points'
import type { Workspace } from '../workspace/workspace.svelte'

/** The ways that entities have points of, as lines of beads, whether they are selected or not; tells whether there are any. */
export function drawBeads(ctx: Context, w: Workspace, view: View, entities: readonly Entity[], dpr: number): boolean {
	let any = false
	const lines = new Path2D()
	const beads = new Path2D()
	for (const e of entities) {
		if (!e.points?.length || e.hidden) continue // most have none, and are thousands
		const k = w.project.kind(e.kind)
		// ground has a look of its own
		if (!k?.ways || isGround(k)) continue
		any = true
		const [first, ...rest] = pointsOf(e).map((p) => view.screen(p.x, p.y))
		let last = first
		for (const at of rest) {
			lines.moveTo(last.x, last.y)
			lines.lineTo(at.x, at.y)
			beads.moveTo(at.x + 3 * dpr, at.y)
			beads.arc(at.x, at.y, 3 * dpr, 0, Math.PI * 2)
			last = at
		}
	}
	if (!any) return false
	casedLine(ctx, lines, cobalt, 1.5, 4, dpr)
	ctx.lineWidth = 2 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke(beads)
	ctx.fillStyle = cobalt
	ctx.fill(beads)
	return true
}
