import type { Entity, Ghost, MapInfo, Point, Pulled, Rect, Selected, Standing } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { drawEdge, drawGrid, drawResizing, drawRulers, drawScreen, drawSides } from './bounds'
import { cased, chalk, cobalt, type Context, drawLabel, ink, middle, outline, saffron } from '../draw/frames'
import { drawGhost } from './ghost'
import { drawAxes } from './mirrorLines'
import { drawDraft, drawHandles, drawTraces, type Handle } from './handles'
import { crowd, Kept } from '../draw/kept'
import { inSight } from '../draw/nearby'
import { outlineOf } from '../draw/outline'
import { boxOf, cellArea, frameOf } from '../draw/areas'
import { drawBeads } from './beads'
import { drawPin } from './pins'
import { drawProof } from './proofWalk'
import { drawSelection } from './selection'
import { drawWalking } from './walking'
import { drawSolids } from './solids'
import type { View } from '../draw/view.svelte'
import {
	drawFinding,
	drawFindings,
	drawLeads,
	drawNub,
	drawPassages,
	drawWire,
	drawWires,
	hasNub,
	nubOf,
} from './wires'

/** What the pointer is doing, as far as it is drawn. */
export interface Doing {
	ghost: Ghost | null
	/** What the press would bring about for finishing the game. */
	warning: string
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
	/** The handles of what is selected, and the one that is dragged. */
	handles: Handle[]
	dragged: { handle: Handle; draft: Pulled } | null
	/** What is known of the place of a hero that is held. */
	standing: Standing | null
}

/** What marks the entities of a crowded map. */
const kept = new Kept()

/** Draws what lies above the map: grid, logic, selection, ghost, other people; true where it moves. */
export function drawOverlay(ctx: Context, w: Workspace, m: MapInfo, view: View, doing: Doing, dpr: number): boolean {
	let moves = false
	if (w.layout.grid && !w.play.on && m.cellWidth * view.scale >= 6) drawGrid(ctx, m, view)
	drawEdge(ctx, m, view)
	if (w.solids) drawSolids(ctx, w, m, view, dpr)
	if (w.layout.screen) drawScreen(ctx, w, m, view, dpr)
	if (w.resizing) drawResizing(ctx, w, m, view, dpr)
	else if (!w.hand.holding && w.hand.mirrorOf(m).mode === '') drawSides(ctx, m, view, dpr)
	const entities = w.project.entities(m.id)
	const standing = (c: Context, v: View) => {
		const passages = drawPassages(c, w, m, v, entities, dpr)
		const beads = drawBeads(c, w, v, inSight(entities, v, m), dpr)
		return drawFindings(c, w, m, v, dpr) || passages || beads
	}
	const { head } = w.project
	const key = [entities, head.passages, head.kinds, w.charting.info, w.theme, dpr]
	if (entities.length <= crowd || !kept.draw(ctx, m, view, key, standing)) standing(ctx, view)
	drawLeads(ctx, w, m, view, doing.hover, dpr)
	drawWires(ctx, w, m, view, dpr)
	if (doing.hover && !w.hand.holding && !w.selected.includes(doing.hover.id))
		outline(ctx, frameOf(view, doing.hover), chalk, ink)
	drawProof(ctx, w, m, view, dpr)
	drawFinding(ctx, w, m, view, doing.hover, dpr)
	if (!w.play.on || w.play.frozen) {
		for (const p of w.project.head.pins) {
			if (p.at.map === m.id) drawPin(ctx, view.screen(p.at.x, p.at.y), p, view.scale >= 2, dpr)
		}
	}
	drawSelection(ctx, w, m, view, doing.moved)
	const one = w.selection.length === 1 && !w.hand.holding ? w.selection[0] : null
	if (doing.hover && !w.hand.holding && doing.hover !== one)
		drawTraces(ctx, view, w.chosen.tracesOf(doing.hover.id), dpr)
	const walks = w.hand.holding || doing.moved || doing.dragged || w.play.on ? null : (doing.hover ?? one)
	if (walks) moves = drawWalking(ctx, w, m, view, walks, dpr)
	if (one && !doing.moved && !doing.dragged) {
		drawTraces(ctx, view, w.chosen.tracesOf(one.id), dpr)
		drawHandles(ctx, doing.handles, dpr)
	}
	if (doing.dragged) drawDraft(ctx, m, view, doing.dragged.draft, doing.dragged.handle, dpr)
	if (one && hasNub(w, one) && !doing.moved) drawNub(ctx, nubOf(view, one, dpr), dpr)
	if (doing.wire) drawWire(ctx, middle(boxOf(view, doing.wire.from)), doing.wire.to, true)
	if (doing.wire?.door) outline(ctx, frameOf(view, doing.wire.door), saffron, ink)
	if (w.area?.map === m.id) drawArea(ctx, m, view, w.area, doing.shifted, dpr)
	drawAxes(ctx, w, m, view, dpr)
	if (doing.standing && w.cell) drawStanding(ctx, m, view, doing.standing, w.cell, dpr)
	if (doing.ghost) drawGhost(ctx, w, m, view, doing.ghost, dpr, doing.warning)
	if (doing.band) {
		ctx.fillStyle = 'rgb(226 165 42 / 0.18)'
		ctx.fillRect(doing.band.x, doing.band.y, doing.band.w, doing.band.h)
		cased(ctx, doing.band.x + 0.5, doing.band.y + 0.5, doing.band.w, doing.band.h, saffron)
	}
	if (doing.cursor && view.diamond) outline(ctx, cellArea(view, m, doing.cursor.x, doing.cursor.y), saffron, ink)
	else if (doing.cursor) drawCursor(ctx, view.cellRect(m, { ...doing.cursor, w: 1, h: 1 }))
	if (w.layout.rulers) drawRulers(ctx, w, m, view, dpr)
	for (const p of w.project.pointers.values()) {
		if (p.map === m.id) drawPointer(ctx, view.screen(p.x, p.y), p.name, dpr)
	}
	return moves
}

/** How far a hero jumps from where it would stand, or why it could not stand there. */
function drawStanding(ctx: Context, m: MapInfo, view: View, s: Standing, at: Point, dpr: number) {
	ctx.fillStyle = 'rgb(15 106 108 / 0.28)'
	for (const span of s.reach) ctx.fill(cellArea(view, m, span.x0, span.y, span.x1 - span.x0))
	const r = view.cellRect(m, { ...at, w: 1, h: 1 })
	if (s.why) drawLabel(ctx, s.why, r.x + r.w / 2, r.y - 16 * dpr, dpr, s.free ? ink : '#b1442c')
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
