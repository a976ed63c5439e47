import type { CourseMark, JumpInfo, MapInfo, ReachInfo, TrapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, cased, chalk, casedLine, type Context, drawLabel, ink, middle } from '../draw/frames'
import type { View } from '../draw/view.svelte'

const sage = '#3c7a4e'

/** Draws what is known of finishing the game over a map: in how few steps cells are come to, the walk to the goal, where one is stuck. */
export function drawProof(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { checking } = w.proving
	const study = checking.study
	if (w.play.on) return
	if (checking.reach) {
		const reach = checking.reachOn(m.id)
		if (reach) drawReach(ctx, m, view, reach)
	}
	if (!checking.walk || !study) return
	drawWalk(ctx, m, view, study.walk, dpr)
	drawJumps(ctx, m, view, study.jumps, dpr)
	const trap = study.traps[checking.trap] ?? study.traps[0]
	if (trap?.map === m.id) drawTrap(ctx, m, view, trap, dpr)
}

/** Cells are the paler the more steps they take; those that nobody comes to are hatched. */
function drawReach(ctx: Context, m: MapInfo, view: View, reach: ReachInfo) {
	const { box, runs, most } = reach
	const seen = view.seen()
	const never = new Path2D()
	let at = 0
	for (let i = 0; i < runs.length; i += 2) {
		const [steps, n] = [runs[i], runs[i + 1]]
		for (let k = 0; k < n;) {
			const y = Math.floor((at + k) / box.w)
			const x = (at + k) % box.w
			const wide = Math.min(n - k, box.w - x)
			k += wide
			const [px, py] = [(box.x + x) * m.cellWidth, (box.y + y) * m.cellHeight]
			if (
				py + m.cellHeight < seen.y ||
				py > seen.y + seen.h ||
				px > seen.x + seen.w ||
				px + wide * m.cellWidth < seen.x
			)
				continue
			const r = view.cellRect(m, { x: box.x + x, y: box.y + y, w: wide, h: 1 })
			if (steps < 0) never.rect(r.x, r.y, r.w, r.h)
			else {
				ctx.fillStyle = `hsl(${182 - 130 * (steps / Math.max(1, most))} 70% 40% / 0.42)`
				ctx.fillRect(r.x, r.y, r.w, r.h)
			}
		}
		at += n
	}
	ctx.fillStyle = 'rgb(30 42 46 / 0.45)'
	ctx.fill(never)
}

/** The way of the walk on a map, with what happens on it numbered. */
function drawWalk(ctx: Context, m: MapInfo, view: View, course: CourseMark[], dpr: number) {
	const at = (c: CourseMark) => middle(view.cellRect(m, { x: c.x, y: c.y, w: 1, h: 1 }))
	const line = new Path2D()
	let last: CourseMark | null = null
	for (const c of course) {
		if (c.map !== m.id) {
			last = null
			continue
		}
		const p = at(c)
		// whoever was sent elsewhere did not walk there
		if (last && Math.abs(last.x - c.x) <= 2 && Math.abs(last.y - c.y) <= 2) line.lineTo(p.x, p.y)
		else line.moveTo(p.x, p.y)
		last = c
	}
	casedLine(ctx, line, sage, 3 * dpr, 2 * dpr, dpr)
	ctx.textAlign = 'center'
	ctx.textBaseline = 'middle'
	const happens = course.filter((c) => c.is && c.is !== 'rule')
	happens.forEach((c, i) => {
		if (c.map !== m.id) return
		const p = at(c)
		const r = 9 * dpr
		// a lozenge with its number: several on one cell stand beside each other
		const same = happens.slice(0, i).filter((o) => o.map === m.id && o.x === c.x && o.y === c.y).length
		p.x += same * 2 * r
		ctx.beginPath()
		ctx.moveTo(p.x, p.y - r)
		ctx.lineTo(p.x + r, p.y)
		ctx.lineTo(p.x, p.y + r)
		ctx.lineTo(p.x - r, p.y)
		ctx.closePath()
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.fillStyle = sage
		ctx.fill()
		ctx.fillStyle = chalk
		ctx.font = `600 ${9 * dpr}px 'Inter Variable', sans-serif`
		ctx.fillText(String(i + 1), p.x, p.y + dpr / 2)
	})
}

/** Where the walk jumps, and in how many ticks that can be begun: those that leave little time stand out. */
function drawJumps(ctx: Context, m: MapInfo, view: View, jumps: JumpInfo[], dpr: number) {
	for (const j of jumps) {
		if (j.map !== m.id) continue
		const r = view.cellRect(m, { x: j.x + m.bounds.x, y: j.y + m.bounds.y, w: 1, h: 1 })
		const [x, y, half] = [r.x + r.w / 2, r.y + r.h, 7 * dpr]
		const hop = new Path2D()
		hop.moveTo(x - half, y)
		hop.quadraticCurveTo(x, y - 2 * half, x + half, y)
		casedLine(ctx, hop, j.tight ? brick : sage, 2 * dpr, 2 * dpr, dpr)
		if (j.tight) drawLabel(ctx, j.ticks === 1 ? '1 tick' : `${j.ticks} ticks`, x, y + 10 * dpr, dpr, brick)
	}
}

/** A cell from which on one is stuck for good. */
function drawTrap(ctx: Context, m: MapInfo, view: View, t: TrapInfo, dpr: number) {
	const r = view.cellRect(m, { x: t.x + m.bounds.x, y: t.y + m.bounds.y, w: 1, h: 1 })
	cased(ctx, r.x + 0.5, r.y + 0.5, r.w, r.h, brick)
	ctx.fillStyle = 'rgb(177 68 44 / 0.35)'
	ctx.fillRect(r.x, r.y, r.w, r.h)
	drawLabel(
		ctx,
		t.sure ? 'stuck for good' : 'no way on was found',
		r.x + r.w / 2,
		r.y - 10 * dpr,
		dpr,
		t.sure ? brick : ink,
	)
}
