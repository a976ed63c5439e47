import type { MapInfo, Point } from '../core/types'
import { lossWords } from '../workspace/lossWords'
import type { Workspace } from '../workspace/workspace.svelte'
import {
	brick,
	casedArea,
	chalk,
	type Context,
	drawLabel,
	ink,
	middle,
	outline,
	rulerRoom,
	saffron,
} from '../draw/frames'
import { cellArea, cellsFrame } from '../draw/areas'
import type { View } from '../draw/view.svelte'

// What shows how a map lies and how large it is.

/** Neither of the themes' papers nor what is painted is of this grey. */
const gridColour = 'rgb(116 122 122 / 0.4)'

export function drawGrid(ctx: Context, m: MapInfo, view: View) {
	const b = m.bounds
	if (view.diamond) {
		const lines = new Path2D()
		for (let x = b.x; x <= b.x + b.w; x++) [lines.moveTo(x, b.y), lines.lineTo(x, b.y + b.h)]
		for (let y = b.y; y <= b.y + b.h; y++) [lines.moveTo(b.x, y), lines.lineTo(b.x + b.w, y)]
		const placed = new Path2D()
		placed.addPath(lines, view.matrix(m))
		ctx.lineWidth = 1
		ctx.strokeStyle = gridColour
		ctx.stroke(placed)
		return
	}
	const all = view.cellRect(m, b)
	const first = view.cell(m, 0, 0)
	const last = view.cell(m, view.width, view.height)
	ctx.beginPath()
	for (let x = Math.max(b.x, first.x); x <= Math.min(b.x + b.w, last.x + 1); x++) {
		const sx = view.screen(x * m.cellWidth, 0).x + 0.5
		ctx.moveTo(sx, Math.max(0, all.y))
		ctx.lineTo(sx, Math.min(view.height, all.y + all.h))
	}
	for (let y = Math.max(b.y, first.y); y <= Math.min(b.y + b.h, last.y + 1); y++) {
		const sy = view.screen(0, y * m.cellHeight).y + 0.5
		ctx.moveTo(Math.max(0, all.x), sy)
		ctx.lineTo(Math.min(view.width, all.x + all.w), sy)
	}
	ctx.lineWidth = 1
	ctx.strokeStyle = gridColour
	ctx.stroke()
}

export function drawEdge(ctx: Context, m: MapInfo, view: View) {
	const r = view.cellRect(m, m.bounds)
	ctx.lineWidth = 1
	ctx.strokeStyle = ink
	if (view.diamond) return ctx.stroke(cellArea(view, m, m.bounds.x, m.bounds.y, m.bounds.w, m.bounds.h))
	ctx.strokeRect(r.x - 0.5, r.y - 0.5, r.w + 1, r.h + 1)
}

/** Cells numbered along the top and the left, from the map's own corner. */
export function drawRulers(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	if (view.diamond) return drawSlantedRulers(ctx, w, m, view, dpr)
	const thick = rulerRoom * dpr
	const kiln = w.theme === 'kiln'
	ctx.fillStyle = kiln ? 'rgb(32 38 40 / 0.92)' : 'rgb(252 250 245 / 0.92)'
	ctx.fillRect(0, 0, view.width, thick)
	ctx.fillRect(0, 0, thick, view.height)
	ctx.fillStyle = ctx.strokeStyle = grey(w)
	ctx.font = `${10 * dpr}px 'Sometype Mono Variable', monospace`
	ctx.textBaseline = 'middle'
	ctx.lineWidth = 1
	ctx.beginPath()
	const nx = spacing(m.cellWidth * view.scale, 34 * dpr)
	ctx.textAlign = 'left'
	for (let i = 0; i < m.bounds.w; i += nx) {
		const x = view.screen((m.bounds.x + i) * m.cellWidth, 0).x
		if (x < thick || x > view.width) continue
		ctx.moveTo(x + 0.5, thick * 0.35)
		ctx.lineTo(x + 0.5, thick)
		ctx.fillText(String(i), x + 3 * dpr, thick / 2 + 1)
	}
	const ny = spacing(m.cellHeight * view.scale, 34 * dpr)
	for (let i = 0; i < m.bounds.h; i += ny) {
		const y = view.screen(0, (m.bounds.y + i) * m.cellHeight).y
		if (y < thick || y > view.height) continue
		ctx.moveTo(thick * 0.35, y + 0.5)
		ctx.lineTo(thick, y + 0.5)
		ctx.save()
		ctx.translate(thick / 2 + 1, y + 3 * dpr)
		ctx.rotate(Math.PI / 2)
		ctx.fillText(String(i), 0, 0)
		ctx.restore()
	}
	ctx.stroke()
	if (!w.cell) return
	const r = view.cellRect(m, { ...w.cell, w: 1, h: 1 })
	ctx.fillStyle = saffron
	ctx.fillRect(Math.max(thick, r.x), thick - 3 * dpr, r.w, 3 * dpr)
	ctx.fillRect(thick - 3 * dpr, Math.max(thick, r.y), 3 * dpr, r.h)
}

/** On diamonds the numbers stand along the two upper sides of the map itself. */
function drawSlantedRulers(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { x, y } = m.bounds
	const step = Math.hypot(m.cellWidth, m.cellHeight) / 2
	const every = spacing(step * view.scale, 28 * dpr)
	ctx.font = `${10 * dpr}px 'Sometype Mono Variable', monospace`
	ctx.textBaseline = 'middle'
	const line = (count: number, at: (i: number) => Point, sign: 1 | -1, here: number | undefined) => {
		ctx.textAlign = sign > 0 ? 'left' : 'right'
		const named = (i: number) => i % every === 0 || i === here
		for (let i = 0; i < count; i++) {
			if (!named(i) || (here !== undefined && i !== here && Math.abs(i - here) < every / 2)) continue
			const p = at(i + 0.5)
			if (p.x < 0 || p.y < 0 || p.x > view.width || p.y > view.height) continue
			ctx.beginPath()
			ctx.moveTo(p.x, p.y)
			ctx.lineTo(p.x + sign * 6 * dpr, p.y - 4 * dpr)
			ctx.lineWidth = i === here ? 3 * dpr : 1
			ctx.strokeStyle = i === here ? saffron : grey(w)
			ctx.stroke()
			ctx.fillStyle = grey(w)
			ctx.fillText(String(i), p.x + sign * 8 * dpr, p.y - 7 * dpr)
		}
	}
	const cell = w.cell
	line(m.bounds.w, (i) => view.screen((x + i) * m.cellWidth, y * m.cellHeight), 1, cell ? cell.x - x : undefined)
	line(m.bounds.h, (i) => view.screen(x * m.cellWidth, (y + i) * m.cellHeight), -1, cell ? cell.y - y : undefined)
}

const grey = (w: Workspace) => (w.theme === 'kiln' ? '#a6aca9' : '#566067')

/** After how many cells the next number has room. */
const spacing = (cell: number, room: number) =>
	[1, 2, 5, 10, 20, 50, 100, 200, 500].find((n) => n * cell >= room) ?? 1000

export type Side = 'left' | 'top' | 'right' | 'bottom'

/** A bar outside the middle of a side, by which a map is resized: its ends on the screen. */
export interface SideBar {
	side: Side
	a: Point
	b: Point
}

export function sideBars(m: MapInfo, view: View, dpr: number): SideBar[] {
	const { x, y, w, h } = m.bounds
	const at = (cx: number, cy: number) => view.screen(cx * m.cellWidth, cy * m.cellHeight)
	const corners = { lt: at(x, y), rt: at(x + w, y), rb: at(x + w, y + h), lb: at(x, y + h) }
	const between = middle(view.cellRect(m, m.bounds))
	const bar = (side: Side, p: Point, q: Point): SideBar => {
		const length = Math.hypot(q.x - p.x, q.y - p.y) || 1
		const [ux, uy] = [(q.x - p.x) / length, (q.y - p.y) / length]
		const [cx, cy] = [(p.x + q.x) / 2, (p.y + q.y) / 2]
		// outward is away from the middle of the map
		const out = (cx - between.x) * -uy + (cy - between.y) * ux > 0 ? 1 : -1
		// along the upper sides of a diamond there are numbers between
		const gap = (view.diamond && (side === 'left' || side === 'top') ? 38 : 13) * dpr
		const half = 22 * dpr
		const [mx, my] = [cx - uy * out * gap, cy + ux * out * gap]
		// of a long side the bar stays where it is seen
		const inView = (v: number, unit: number, most: number) =>
			Math.abs(unit) > 0.99 ? Math.max(half, Math.min(most - half, v)) : v
		const [bx, by] = [inView(mx, ux, view.width), inView(my, uy, view.height)]
		return {
			side,
			a: { x: bx - ux * half, y: by - uy * half },
			b: { x: bx + ux * half, y: by + uy * half },
		}
	}
	return [
		bar('left', corners.lt, corners.lb),
		bar('right', corners.rt, corners.rb),
		bar('top', corners.lt, corners.rt),
		bar('bottom', corners.lb, corners.rb),
	]
}

/** The bar under a point of the screen. */
export function barAt(m: MapInfo, view: View, at: Point, dpr: number): SideBar | undefined {
	return sideBars(m, view, dpr).find(({ a, b }) => {
		const [dx, dy] = [b.x - a.x, b.y - a.y]
		const on = Math.max(0, Math.min(1, ((at.x - a.x) * dx + (at.y - a.y) * dy) / (dx * dx + dy * dy)))
		return Math.hypot(at.x - a.x - on * dx, at.y - a.y - on * dy) < 6 * dpr
	})
}

export function drawSides(ctx: Context, m: MapInfo, view: View, dpr: number) {
	ctx.beginPath()
	for (const { a, b } of sideBars(m, view, dpr)) {
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
	}
	ctx.lineCap = 'round'
	ctx.lineWidth = 5 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.lineWidth = 2 * dpr
	ctx.strokeStyle = '#566067'
	ctx.stroke()
	ctx.lineCap = 'butt'
}

/** The bounds that are being chosen, and what they would take away. */
export function drawResizing(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { bounds, loss } = w.resizing!
	ctx.fillStyle = 'rgb(177 68 44 / 0.45)'
	for (const s of loss.spans ?? []) {
		ctx.fill(cellArea(view, m, s.x0, s.y, s.x1 - s.x0, 1))
	}
	const r = view.cellRect(m, bounds)
	outline(ctx, cellsFrame(view, m, bounds), saffron, ink, 1)
	const words = lossWords(loss)
	drawLabel(ctx, `${bounds.w} × ${bounds.h}`, r.x + r.w / 2, Math.max(r.y + 14 * dpr, 14 * dpr), dpr, ink)
	if (words)
		drawLabel(ctx, words.split(' would')[0] + ' outside', r.x + r.w / 2, Math.max(r.y + 36 * dpr, 36 * dpr), dpr, brick)
}

/** What the player sees at once, as corners at the map's top left, with marks where the next one begins. */
export function drawScreen(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { screen } = w.project.head.project
	if (!screen.w || !screen.h || screen.w * m.cellWidth * view.scale < 40) return
	ctx.beginPath()
	if (view.diamond) return casedArea(ctx, cellArea(view, m, m.bounds.x, m.bounds.y, screen.w, screen.h), ink)
	for (let y = m.bounds.y; y < m.bounds.y + m.bounds.h; y += screen.h) {
		for (let x = m.bounds.x; x < m.bounds.x + m.bounds.w; x += screen.w) {
			const r = view.cellRect(m, { x, y, w: screen.w, h: screen.h })
			const s = 12 * dpr
			for (const [cx, cy, dx, dy] of [
				[r.x, r.y, 1, 1],
				[r.x + r.w, r.y, -1, 1],
				[r.x, r.y + r.h, 1, -1],
				[r.x + r.w, r.y + r.h, -1, -1],
			]) {
				ctx.moveTo(cx + dx * s, cy + dy * 2)
				ctx.lineTo(cx + dx * 2, cy + dy * 2)
				ctx.lineTo(cx + dx * 2, cy + dy * s)
			}
		}
	}
	ctx.lineWidth = 4 * dpr
	ctx.strokeStyle = 'rgb(252 250 245 / 0.8)'
	ctx.stroke()
	ctx.lineWidth = 1.5 * dpr
	ctx.strokeStyle = ink
	ctx.stroke()
}
