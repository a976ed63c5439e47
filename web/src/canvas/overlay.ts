import type { Entity, Ghost, MapInfo, Merged, Point, Rect, Selected } from '../core/types'
import type { Workspace } from '../workspace.svelte'
import { drawZone } from './hatches'
import { outlineOf } from './outline'
import { lossWords } from '../stack/lossWords'
import { areaOf, boxOf, cased, casedArea, cellArea } from './scene'
import type { View } from './view.svelte'

type Context = CanvasRenderingContext2D

const chalk = '#fcfaf5'
const ink = '#1e2a2e'
const saffron = '#e2a52a'
const cobalt = '#33509e'
const brick = '#b1442c'

/** What the pointer is doing, as far as it is drawn. */
export interface Doing {
	ghost: Ghost | null
	/** How far entities are dragged, in map pixels. */
	moved: Point | null
	/** How far selected cells are dragged. */
	shifted: Point | null
	/** A box on the screen that selects. */
	band: Rect | null
	/** The end of a wire that is being drawn, on the screen. */
	wire: { from: Entity; to: Point; door: Entity | null } | null
	/** The cell cursor, when the keyboard is used. */
	cursor: Point | null
	hover: Entity | null
}

/** Draws what lies above the map: grid, logic, selection, ghost, other people. */
export function drawOverlay(ctx: Context, w: Workspace, m: MapInfo, view: View, doing: Doing, dpr: number) {
	if (w.grid && m.cellWidth * view.scale >= 6) drawGrid(ctx, m, view)
	drawEdge(ctx, m, view)
	if (w.solids) drawSolids(ctx, w, m, view, dpr)
	if (w.screen) drawScreen(ctx, w, m, view, dpr)
	if (w.resizing) drawResizing(ctx, w, m, view, dpr)
	else if (!w.hand.holding && w.hand.mirrorOf(m).mode === '' && !view.diamond) drawSides(ctx, m, view, dpr)
	const entities = w.project.entities(m.id)
	drawPassages(ctx, w, m, view, entities, doing.hover, dpr)
	drawWires(ctx, w, m, view, entities)
	for (const e of entities) {
		if (w.selected.includes(e.id)) drawSelected(ctx, view, e, doing.moved)
		else if (e === doing.hover && !w.hand.holding) outline(ctx, frameOf(view, e), chalk, ink)
	}
	const one = w.selection.length === 1 && !w.hand.holding ? w.selection[0] : null
	if (one && hasNub(one) && !doing.moved) drawNub(ctx, nubOf(view, one, dpr), dpr)
	if (doing.wire) drawWire(ctx, middle(boxOf(view, doing.wire.from)), doing.wire.to, true)
	if (doing.wire?.door) outline(ctx, frameOf(view, doing.wire.door), saffron, ink)
	if (w.area?.map === m.id) drawArea(ctx, m, view, w.area, doing.shifted, dpr)
	drawAxes(ctx, w, m, view, dpr)
	if (doing.ghost) drawGhost(ctx, w, m, view, doing.ghost, dpr)
	if (doing.band) {
		ctx.fillStyle = 'rgb(226 165 42 / 0.18)'
		ctx.fillRect(doing.band.x, doing.band.y, doing.band.w, doing.band.h)
		cased(ctx, doing.band.x + 0.5, doing.band.y + 0.5, doing.band.w, doing.band.h, saffron)
	}
	if (doing.cursor && view.diamond) outline(ctx, cellArea(view, m, doing.cursor.x, doing.cursor.y), saffron, ink)
	else if (doing.cursor) drawCursor(ctx, view.cellRect(m, { ...doing.cursor, w: 1, h: 1 }))
	if (w.rulers && !view.diamond) drawRulers(ctx, w, m, view, dpr)
	for (const p of w.project.pointers.values()) {
		if (p.map === m.id) drawPointer(ctx, view.screen(p.x, p.y), p.name, dpr)
	}
}

function drawGrid(ctx: Context, m: MapInfo, view: View) {
	const b = m.bounds
	if (view.diamond) {
		const lines = new Path2D()
		for (let x = b.x; x <= b.x + b.w; x++) [lines.moveTo(x, b.y), lines.lineTo(x, b.y + b.h)]
		for (let y = b.y; y <= b.y + b.h; y++) [lines.moveTo(b.x, y), lines.lineTo(b.x + b.w, y)]
		const placed = new Path2D()
		placed.addPath(lines, view.matrix(m))
		ctx.lineWidth = 1
		ctx.strokeStyle = 'rgb(30 42 46 / 0.22)'
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
	ctx.strokeStyle = 'rgb(30 42 46 / 0.16)'
	ctx.stroke()
}

function drawEdge(ctx: Context, m: MapInfo, view: View) {
	const r = view.cellRect(m, m.bounds)
	ctx.lineWidth = 1
	ctx.strokeStyle = ink
	if (view.diamond) return ctx.stroke(cellArea(view, m, m.bounds.x, m.bounds.y, m.bounds.w, m.bounds.h))
	ctx.strokeRect(r.x - 0.5, r.y - 0.5, r.w + 1, r.h + 1)
}

let merged: { turn: number; map: string; pieces: Merged } | null = null

/** What is solid, in as few pieces as play and export use, each with its size. */
function drawSolids(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	if (merged?.turn !== w.project.turn || merged.map !== m.id) {
		merged = { turn: w.project.turn, map: m.id, pieces: w.project.ask<Merged>('solids', { map: m.id }) }
	}
	for (const piece of merged.pieces.rects) {
		const r = view.cellRect(m, piece)
		if (r.x > view.width || r.y > view.height || r.x + r.w < 0 || r.y + r.h < 0) continue
		const area = cellArea(view, m, piece.x, piece.y, piece.w, piece.h)
		ctx.fillStyle = 'rgb(177 68 44 / 0.28)'
		ctx.fill(area)
		if (view.diamond) casedArea(ctx, area, brick)
		else cased(ctx, r.x + 1, r.y + 1, r.w - 2, r.h - 2, brick)
		if (r.w > 44 * dpr && r.h > 20 * dpr) {
			drawLabel(ctx, `${piece.w} × ${piece.h}`, r.x + r.w / 2, r.y + r.h / 2, dpr, brick)
		}
	}
	ctx.beginPath()
	for (const s of merged.pieces.segments) {
		const [a, b] = [view.screen(s.a.x / 2, s.a.y / 2), view.screen(s.b.x / 2, s.b.y / 2)]
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
	}
	for (const [width, colour] of [
		[5, chalk],
		[2.5, brick],
	] as const) {
		ctx.lineWidth = width * dpr
		ctx.strokeStyle = colour
		ctx.stroke()
	}
}

/** Cells numbered along the top and the left, from the map's own corner. */
function drawRulers(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const thick = 16 * dpr
	const kiln = w.theme === 'kiln'
	ctx.fillStyle = kiln ? 'rgb(32 38 40 / 0.92)' : 'rgb(252 250 245 / 0.92)'
	ctx.fillRect(0, 0, view.width, thick)
	ctx.fillRect(0, 0, thick, view.height)
	ctx.fillStyle = ctx.strokeStyle = kiln ? '#a6aca9' : '#566067'
	ctx.font = `${10 * dpr}px 'Sometype Mono Variable', monospace`
	ctx.textBaseline = 'middle'
	ctx.lineWidth = 1
	ctx.beginPath()
	const every = (cell: number) =>
		[1, 2, 5, 10, 20, 50, 100, 200, 500].find((n) => n * cell * view.scale >= 34 * dpr) ?? 1000
	const nx = every(m.cellWidth)
	ctx.textAlign = 'left'
	for (let i = 0; i < m.bounds.w; i += nx) {
		const x = view.screen((m.bounds.x + i) * m.cellWidth, 0).x
		if (x < thick || x > view.width) continue
		ctx.moveTo(x + 0.5, thick * 0.35)
		ctx.lineTo(x + 0.5, thick)
		ctx.fillText(String(i), x + 3 * dpr, thick / 2 + 1)
	}
	const ny = every(m.cellHeight)
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

export type Side = 'left' | 'top' | 'right' | 'bottom'

/** The bars outside the middle of each side, by which a map is resized. */
export function sideHandles(m: MapInfo, view: View, dpr: number): (Rect & { side: Side })[] {
	const r = view.cellRect(m, m.bounds)
	const [long, thick, gap] = [44 * dpr, 10 * dpr, 8 * dpr]
	const x = Math.max(0, Math.min(r.x + r.w / 2 - long / 2, view.width - long))
	const y = Math.max(0, Math.min(r.y + r.h / 2 - long / 2, view.height - long))
	return [
		{ side: 'left', x: r.x - gap - thick, y, w: thick, h: long },
		{ side: 'right', x: r.x + r.w + gap, y, w: thick, h: long },
		{ side: 'top', x, y: r.y - gap - thick, w: long, h: thick },
		{ side: 'bottom', x, y: r.y + r.h + gap, w: long, h: thick },
	]
}

function drawSides(ctx: Context, m: MapInfo, view: View, dpr: number) {
	for (const h of sideHandles(m, view, dpr)) {
		const upright = h.h > h.w
		// a thin line with its middle nub, so that it reads as something to hold
		const [cx, cy] = [h.x + h.w / 2, h.y + h.h / 2]
		ctx.beginPath()
		if (upright) [ctx.moveTo(cx, h.y), ctx.lineTo(cx, h.y + h.h)]
		else [ctx.moveTo(h.x, cy), ctx.lineTo(h.x + h.w, cy)]
		ctx.lineCap = 'round'
		ctx.lineWidth = 5 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = '#566067'
		ctx.stroke()
		ctx.lineCap = 'butt'
	}
}

/** The bounds that are being chosen, and what they would take away. */
function drawResizing(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { bounds, loss } = w.resizing!
	ctx.fillStyle = 'rgb(177 68 44 / 0.45)'
	for (const s of loss.spans) {
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
function drawScreen(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
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

const middle = (r: Rect): Point => ({ x: r.x + r.w / 2, y: r.y + r.h / 2 })

/** A frame of two colours around a rectangle of the screen, or along any outline. */
function outline(ctx: Context, shape: Rect | Path2D, colour: string, casing: string, out = 2) {
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

/** The frame of a box of the ground plane: outside it where cells are square. */
const frameOf = (view: View, e: Rect): Rect | Path2D => (view.diamond ? areaOf(view, e) : boxOf(view, e))

const cellsFrame = (view: View, m: MapInfo, r: Rect): Rect | Path2D =>
	view.diamond ? cellArea(view, m, r.x, r.y, r.w, r.h) : view.cellRect(m, r)

function drawSelected(ctx: Context, view: View, e: Entity, moved: Point | null) {
	if (moved) e = { ...e, x: e.x + moved.x, y: e.y + moved.y }
	const r = boxOf(view, e)
	if (moved) {
		ctx.fillStyle = 'rgb(226 165 42 / 0.3)'
		ctx.fill(areaOf(view, e))
	}
	outline(ctx, frameOf(view, e), saffron, ink)
	if (e.kind === 'spawn' || e.kind === 'arrival') drawFacing(ctx, r, e.facing)
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

/** Joined exits have a double line; one that leads nowhere is dashed in brick. */
function drawPassages(
	ctx: Context,
	w: Workspace,
	m: MapInfo,
	view: View,
	entities: Entity[],
	hover: Entity | null,
	dpr: number,
) {
	const from = new Map(w.project.head.passages.filter((p) => p.from.map === m.id).map((p) => [p.from.entity, p]))
	for (const e of entities) {
		if (e.kind !== 'exit') continue
		const r = boxOf(view, e)
		const p = from.get(e.id)
		if (!p) {
			ctx.setLineDash([4 * dpr, 3 * dpr])
			casedArea(ctx, areaOf(view, e, 0.5), brick)
			ctx.setLineDash([])
			continue
		}
		const area = areaOf(view, e)
		ctx.lineWidth = 5
		ctx.strokeStyle = cobalt
		ctx.stroke(area)
		ctx.lineWidth = 2
		ctx.strokeStyle = chalk
		ctx.stroke(area)
		if (e === hover || w.selected.includes(e.id)) {
			const to = w.project.map(p.to.map)
			drawLabel(ctx, to ? `to ${to.name}` : 'to a map that was removed', r.x + r.w / 2, r.y - 8 * dpr, dpr, cobalt)
		}
	}
}

function drawWires(ctx: Context, w: Workspace, m: MapInfo, view: View, entities: Entity[]) {
	const by = new Map(entities.map((e) => [e.id, e]))
	for (const wire of w.project.head.wires) {
		if (wire.from.map !== m.id || wire.to.map !== m.id) continue
		const a = by.get(wire.from.entity)
		const b = by.get(wire.to.entity)
		if (!a || !b) continue
		const seen = w.selected.includes(a.id) || w.selected.includes(b.id) || w.rule === wire.rule
		drawWire(ctx, middle(boxOf(view, a)), middle(boxOf(view, b)), seen)
	}
}

/** One line with barbs that point the way. */
function drawWire(ctx: Context, a: Point, b: Point, strong: boolean) {
	const length = Math.hypot(b.x - a.x, b.y - a.y)
	if (length < 1) return
	const ux = (b.x - a.x) / length
	const uy = (b.y - a.y) / length
	ctx.beginPath()
	ctx.moveTo(a.x, a.y)
	ctx.lineTo(b.x, b.y)
	for (const at of [0.35, 0.65, 1]) {
		const x = a.x + (b.x - a.x) * at
		const y = a.y + (b.y - a.y) * at
		ctx.moveTo(x - ux * 8 - uy * 5, y - uy * 8 + ux * 5)
		ctx.lineTo(x, y)
		ctx.lineTo(x - ux * 8 + uy * 5, y - uy * 8 - ux * 5)
	}
	ctx.lineJoin = 'round'
	ctx.globalAlpha = strong ? 1 : 0.75
	ctx.lineWidth = strong ? 6 : 5
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.lineWidth = strong ? 2.5 : 2
	ctx.strokeStyle = cobalt
	ctx.stroke()
	ctx.globalAlpha = 1
}

/** Switches are wired and exits joined from a nub beside them. */
export const hasNub = (e: Entity) => e.kind === 'switch' || e.kind === 'exit'

export function nubOf(view: View, e: Entity, dpr: number): Point {
	const r = boxOf(view, e)
	return { x: r.x + r.w + 12 * dpr, y: r.y + r.h / 2 }
}

export const nubRadius = 8

function drawNub(ctx: Context, at: Point, dpr: number) {
	ctx.beginPath()
	ctx.arc(at.x, at.y, (nubRadius - 1) * dpr, 0, Math.PI * 2)
	ctx.lineWidth = 3 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.fillStyle = cobalt
	ctx.fill()
	ctx.beginPath()
	ctx.moveTo(at.x - 3 * dpr, at.y)
	ctx.lineTo(at.x + 3 * dpr, at.y)
	ctx.moveTo(at.x + 0.5 * dpr, at.y - 2.5 * dpr)
	ctx.lineTo(at.x + 3 * dpr, at.y)
	ctx.lineTo(at.x + 0.5 * dpr, at.y + 2.5 * dpr)
	ctx.lineWidth = 1.5 * dpr
	ctx.stroke()
}

let traced: { of: Selected; path: Path2D } | null = null

/** The selected cells: a dashed edge on a casing, and where they are dragged to. */
function drawArea(ctx: Context, m: MapInfo, view: View, s: Selected, shifted: Point | null, dpr: number) {
	if (traced?.of !== s) traced = { of: s, path: outlineOf(s) }
	const trace = (by: Point) => {
		const scaled = new Path2D()
		scaled.addPath(traced!.path, view.matrix(m).translate(by.x, by.y))
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = ink
		ctx.stroke(scaled)
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke(scaled)
		ctx.setLineDash([5 * dpr, 5 * dpr])
		ctx.strokeStyle = saffron
		ctx.stroke(scaled)
		ctx.setLineDash([])
	}
	if (shifted) {
		ctx.globalAlpha = 0.4
		trace({ x: 0, y: 0 })
		ctx.globalAlpha = 1
	}
	const by = shifted ?? { x: 0, y: 0 }
	trace(by)
	const r = view.cellRect(m, { ...s.bounds, x: s.bounds.x + by.x, y: s.bounds.y + by.y })
	const text = shifted ? `${signed(by.x)}, ${signed(by.y)}` : `${s.bounds.w} × ${s.bounds.h}`
	drawLabel(ctx, text, r.x + r.w / 2, Math.max(r.y - 12 * dpr, 12 * dpr), dpr, ink)
}

const signed = (n: number) => (n > 0 ? `+${n}` : String(n))

/** The lines that the mirror repeats about. */
function axes(w: Workspace, m: MapInfo, view: View) {
	const mirror = w.hand.mirrorOf(m)
	const b = view.cellRect(m, m.bounds)
	const at = view.screen((mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight)
	const upright = mirror.mode !== '' && mirror.mode !== 'up–down'
	const level = mirror.mode !== '' && mirror.mode !== 'left–right'
	return { b, at, upright, level }
}

/** The knobs by which the mirror's lines are dragged, at the ends of each. */
export function axisHandles(w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { b, at, upright, level } = axes(w, m, view)
	const out: (Point & { upright: boolean })[] = []
	if (view.diamond) {
		// on diamonds the knobs lie at the ends of the lines themselves
		const mirror = w.hand.mirrorOf(m)
		const [x, y] = [(mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight]
		const { bounds } = m
		if (upright) out.push({ ...view.screen(x, bounds.y * m.cellHeight), upright: true })
		if (upright) out.push({ ...view.screen(x, (bounds.y + bounds.h) * m.cellHeight), upright: true })
		if (level) out.push({ ...view.screen(bounds.x * m.cellWidth, y), upright: false })
		if (level) out.push({ ...view.screen((bounds.x + bounds.w) * m.cellWidth, y), upright: false })
		return out
	}
	const [top, left] = [Math.max(b.y - 12 * dpr, 12 * dpr), Math.max(b.x - 12 * dpr, 12 * dpr)]
	const [bottom, right] = [
		Math.min(b.y + b.h + 12 * dpr, view.height - 12 * dpr),
		Math.min(b.x + b.w + 12 * dpr, view.width - 12 * dpr),
	]
	if (upright) out.push({ x: at.x, y: top, upright: true }, { x: at.x, y: bottom, upright: true })
	if (level) out.push({ x: left, y: at.y, upright: false }, { x: right, y: at.y, upright: false })
	return out
}

function drawAxes(ctx: Context, w: Workspace, m: MapInfo, view: View, dpr: number) {
	const { upright, level } = axes(w, m, view)
	if (!upright && !level) return
	const mirror = w.hand.mirrorOf(m)
	const [x, y] = [(mirror.x / 2) * m.cellWidth, (mirror.y / 2) * m.cellHeight]
	const { bounds } = m
	const line = (x0: number, y0: number, x1: number, y1: number) => {
		const [a, b] = [view.screen(x0, y0), view.screen(x1, y1)]
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
	}
	ctx.beginPath()
	if (upright) line(x, bounds.y * m.cellHeight, x, (bounds.y + bounds.h) * m.cellHeight)
	if (level) line(bounds.x * m.cellWidth, y, (bounds.x + bounds.w) * m.cellWidth, y)
	ctx.lineWidth = 3 * dpr
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.setLineDash([10 * dpr, 3 * dpr, 2 * dpr, 3 * dpr])
	ctx.lineWidth = 1.5 * dpr
	ctx.strokeStyle = ink
	ctx.stroke()
	ctx.setLineDash([])
	for (const h of axisHandles(w, m, view, dpr)) {
		ctx.beginPath()
		const [dx, dy] = h.upright ? [8 * dpr, 5 * dpr] : [5 * dpr, 8 * dpr]
		ctx.moveTo(h.x - dx, h.y)
		ctx.lineTo(h.x, h.y - dy)
		ctx.lineTo(h.x + dx, h.y)
		ctx.lineTo(h.x, h.y + dy)
		ctx.closePath()
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = chalk
		ctx.stroke()
		ctx.fillStyle = ink
		ctx.fill()
	}
}

/** Draws the cells of a ghost or piece: zones are told apart by their sign. */
export function drawCell(ctx: Context, w: Workspace, cell: number, r: Rect, m?: MapInfo, area?: Path2D) {
	if (cell < 0)
		drawZone(
			ctx,
			w.project.head.zones.find((z) => z.number === -cell),
			r.x,
			r.y,
			r.w,
			r.h,
			area,
		)
	else if (cell) {
		const p = m ? w.scene.pictures.standing(cell, m.cellWidth, m.cellHeight, r) : r
		w.scene.pictures.draw(ctx, cell, p.x, p.y, p.w, p.h)
	}
}

function drawGhost(ctx: Context, w: Workspace, m: MapInfo, view: View, g: Ghost, dpr: number) {
	if (g.refusal) return
	const all = view.cellRect(m, g.bounds)
	ctx.imageSmoothingEnabled = false
	if (g.removing) {
		fillRegion(ctx, m, view, g, 'rgb(177 68 44 / 0.4)')
		const taken = new Set(g.take)
		for (const e of w.project.entities(m.id)) if (taken.has(e.id)) outline(ctx, frameOf(view, e), brick, chalk)
	} else {
		ctx.globalAlpha = 0.8
		for (let i = 0; g.cells && i < g.cells.length; i += 3) {
			const [x, y] = [g.cells[i], g.cells[i + 1]]
			const area = view.diamond ? cellArea(view, m, x, y) : undefined
			drawCell(ctx, w, g.cells[i + 2], view.cellRect(m, { x, y, w: 1, h: 1 }), m, area)
		}
		for (const e of g.entities ?? []) w.scene.entity(ctx, m, view, e, false)
		ctx.globalAlpha = 1
		if (!g.cells) fillRegion(ctx, m, view, g, `rgb(226 165 42 / ${g.entities?.length ? 0.16 : 0.45})`)
		else if (g.count > 1) fillRegion(ctx, m, view, g, 'rgb(226 165 42 / 0.16)')
		const one = g.entities?.length === 1 ? g.entities[0] : null
		if (one && (one.kind === 'spawn' || one.kind === 'arrival')) drawFacing(ctx, boxOf(view, one), one.facing)
	}
	outline(ctx, cellsFrame(view, m, g.bounds), g.removing ? brick : saffron, ink, 1)
	if (g.bounds.w > 1 || g.bounds.h > 1) {
		const text = `${g.bounds.w} × ${g.bounds.h}`
		drawLabel(ctx, text, all.x + all.w / 2, Math.max(all.y - 10 * dpr, 12 * dpr), dpr, g.removing ? brick : ink)
	}
}

function fillRegion(ctx: Context, m: MapInfo, view: View, g: Ghost, colour: string) {
	ctx.fillStyle = colour
	if (g.cells) {
		for (let i = 0; i < g.cells.length; i += 3) {
			ctx.fill(cellArea(view, m, g.cells[i], g.cells[i + 1]))
		}
		return
	}
	// many spans are kept as one path, in cells
	if (spanned?.of !== g) {
		const path = new Path2D()
		for (const s of g.spans ?? []) path.rect(s.x0, s.y, s.x1 - s.x0, 1)
		spanned = { of: g, path }
	}
	const placed = new Path2D()
	placed.addPath(spanned.path, view.matrix(m))
	ctx.fill(placed)
}

let spanned: { of: Ghost; path: Path2D } | null = null

export function drawLabel(ctx: Context, text: string, x: number, y: number, dpr: number, colour: string) {
	ctx.font = `600 ${12 * dpr}px 'Sometype Mono Variable', monospace`
	ctx.textBaseline = 'middle'
	ctx.textAlign = 'center'
	const w = ctx.measureText(text).width + 10 * dpr
	ctx.fillStyle = chalk
	ctx.fillRect(x - w / 2, y - 9 * dpr, w, 18 * dpr)
	ctx.fillStyle = colour
	ctx.fillText(text, x, y + 0.5)
}

function drawCursor(ctx: Context, r: Rect) {
	const s = Math.max(4, r.w / 4)
	ctx.beginPath()
	for (const [x, y, dx, dy] of [
		[r.x, r.y, 1, 1],
		[r.x + r.w, r.y, -1, 1],
		[r.x, r.y + r.h, 1, -1],
		[r.x + r.w, r.y + r.h, -1, -1],
	]) {
		ctx.moveTo(x + dx * s, y)
		ctx.lineTo(x, y)
		ctx.lineTo(x, y + dy * s)
	}
	ctx.lineWidth = 5
	ctx.strokeStyle = ink
	ctx.stroke()
	ctx.lineWidth = 2.5
	ctx.strokeStyle = saffron
	ctx.stroke()
}

function drawPointer(ctx: Context, p: Point, name: string, dpr: number) {
	ctx.save()
	ctx.translate(p.x, p.y)
	ctx.scale(dpr, dpr)
	ctx.beginPath()
	ctx.moveTo(0, 0)
	ctx.lineTo(4, 13)
	ctx.lineTo(7, 8)
	ctx.lineTo(13, 7)
	ctx.closePath()
	ctx.lineWidth = 3
	ctx.strokeStyle = chalk
	ctx.stroke()
	ctx.fillStyle = cobalt
	ctx.fill()
	ctx.restore()
	drawLabel(ctx, name, p.x + 34 * dpr, p.y + 20 * dpr, dpr, cobalt)
}
