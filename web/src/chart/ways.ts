import { Workspace } from '../workspace/workspace.svelte'
import { asked, drawWire } from '../canvas/wires'
import { View } from '../draw/view.svelte'
import type { Facing, ID, Passage, Point, Rect } from '../core/types'
import { type Context, brick, chalk, cobalt, drawLabel, saffron } from '../draw/frames'
import type { Plane } from './places'
interface Ends {
	from: { map: ID; x: number; y: number } | null
	to: { map: ID; x: number; y: number } | null
}

let ends: { of: object; turn: number; all: Map<ID, Ends> } | null = null

/** Where passages begin and end on their maps, looked up once for each state. */
export function endsOf(w: Workspace): Map<ID, Ends> {
	const { head, entityTurn } = w.project
	if (ends?.of !== head || ends.turn !== entityTurn) {
		const all = new Map(head.passages.map((p) => [p.id, { from: onMap(w, p.from), to: onMap(w, p.to) }]))
		ends = { of: head, turn: entityTurn, all }
	}
	return ends.all
}

/** The middle of an end of a passage, in pixels from the top left of its map. */
function onMap(w: Workspace, end: { map: ID; entity: ID; side?: Facing }): Ends['from'] {
	const m = w.project.map(end.map)
	if (!m) return null
	if (end.side) {
		const at = { up: [0.5, 0], right: [1, 0.5], down: [0.5, 1], left: [0, 0.5] }[end.side]
		return { map: m.id, x: m.bounds.w * m.cellWidth * at[0], y: m.bounds.h * m.cellHeight * at[1] }
	}
	const e = w.project.entity(end.map, end.entity)
	if (!e) return null
	return { map: m.id, x: e.x + e.w / 2 - m.bounds.x * m.cellWidth, y: e.y + e.h / 2 - m.bounds.y * m.cellHeight }
}

/** The line of a passage, in pixels of the chart. */
export interface Line {
	way: Passage
	ax: number
	ay: number
	bx: number
	by: number
}

let kept: { ends: object; places: object; all: Line[] } | undefined

/** The lines of all passages, as long as maps and passages stay where they are. */
export function linesOf(w: Workspace, places: Map<ID, Rect>): Line[] {
	const ends = endsOf(w)
	if (kept?.ends !== ends || kept.places !== places) {
		const all: Line[] = []
		for (const way of w.project.head.passages) {
			const line = lineOf(places, ends.get(way.id))
			if (line) all.push({ way, ax: line[0].x, ay: line[0].y, bx: line[1].x, by: line[1].y })
		}
		kept = { ends, places, all }
	}
	return kept.all
}

function lineOf(places: Map<ID, Rect>, e: Ends | undefined): [Point, Point] | null {
	const [a, b] = [e?.from && places.get(e.from.map), e?.to && places.get(e.to.map)]
	if (!a || !b) return null
	return [
		{ x: a.x + e!.from!.x, y: a.y + e!.from!.y },
		{ x: b.x + e!.to!.x, y: b.y + e!.to!.y },
	]
}

/** What was asked about is joined to what brings it about and what comes of it, over maps. */
export function drawAsked(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>) {
	for (const l of w.wiring.links) {
		const line = lineOf(places, { from: onMap(w, l.from), to: onMap(w, l.to) })
		if (!line) continue
		const [a, b] = line.map((q) => view.screen(q.x, q.y))
		drawWire(ctx, a, b, true, asked)
	}
}

/** What is seen, heard and asked for on a way, where it is not as usual. */
function words(p: Passage): string {
	const out = []
	if (p.transition && p.transition !== 'fade') out.push(p.transition)
	if (p.sound) out.push('sound')
	if (p.if?.length) out.push('if')
	return out.join(' · ')
}

/** So many lines are drawn at once. */
const slice = 25

/** Draws the ways, some at a time. */
export function* drawingWays(
	ctx: Context,
	w: Workspace,
	view: View,
	places: Map<ID, Rect>,
	p: Plane,
	dpr: number,
): Generator<void> {
	const both = new Set(p.info.returning)
	const wrong = new Set(p.info.findings.map((f) => f.passage))
	const all = linesOf(w, places)
	const simple = all.length > 400
	for (let from = 0; from < all.length; from += slice) {
		if (!simple) return drawLines(ctx, view, all, { both, wrong }, p, dpr)
		for (const l of all.slice(from, from + slice)) drawSlim(ctx, view, l, wrong.has(l.way.id), p, dpr)
		yield
	}
}

/** One way among very many: alone, since many lines in one path take far longer to be drawn. */
function drawSlim(ctx: Context, view: View, line: Line, broken: boolean, p: Plane, dpr: number) {
	const [a, b] = [view.screen(line.ax, line.ay), view.screen(line.bx, line.by)]
	if (Math.max(a.x, b.x) < 0 || Math.max(a.y, b.y) < 0) return
	if (Math.min(a.x, b.x) > view.width || Math.min(a.y, b.y) > view.height) return
	const stroke = (width: number, colour: string) => {
		ctx.beginPath()
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
		ctx.lineWidth = width * dpr
		ctx.strokeStyle = colour
		ctx.stroke()
	}
	if (p.chosen.is === 'passage' && p.chosen.id === line.way.id) stroke(10, saffron)
	if (view.scale >= 0.25) stroke(4.5, chalk)
	stroke(broken ? 2.5 : 1.5, broken ? brick : cobalt)
}

function drawLines(
	ctx: Context,
	view: View,
	all: Line[],
	{ both, wrong }: { both: Set<ID>; wrong: Set<ID | undefined> },
	p: Plane,
	dpr: number,
) {
	// double lines are drawn together: chalk, colour, and chalk in the middle
	const lines = { plain: new Path2D(), broken: new Path2D(), chosen: new Path2D() }
	const dots: [Point, string, string][] = []
	const marks: [Point, string, string][] = []
	const wires: [Point, Point, boolean][] = []
	for (const line of all) {
		const { way } = line
		const [a, b] = [view.screen(line.ax, line.ay), view.screen(line.bx, line.by)]
		if (Math.max(a.x, b.x) < 0 || Math.max(a.y, b.y) < 0) continue
		if (Math.min(a.x, b.x) > view.width || Math.min(a.y, b.y) > view.height) continue
		const broken = wrong.has(way.id)
		const into = [broken ? lines.broken : lines.plain]
		if (p.chosen.is === 'passage' && p.chosen.id === way.id) into.push(lines.chosen)
		// one way has barbs
		if (!both.has(way.id)) {
			wires.push([a, b, broken])
			into.shift()
		}
		for (const path of into) {
			path.moveTo(a.x, a.y)
			path.lineTo(b.x, b.y)
		}
		const told = words(way)
		if (told && Math.hypot(b.x - a.x, b.y - a.y) > 60 * dpr)
			marks.push([{ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 + 16 * dpr }, told, broken ? brick : cobalt])
		dots.push([a, chalk, broken ? brick : cobalt], [b, broken ? brick : cobalt, broken ? brick : cobalt])
	}
	const stroke = (path: Path2D, width: number, colour: string) => {
		ctx.lineWidth = width * dpr
		ctx.strokeStyle = colour
		ctx.stroke(path)
	}
	stroke(lines.chosen, 10, saffron)
	stroke(lines.plain, 7, chalk)
	stroke(lines.broken, 7, chalk)
	stroke(lines.plain, 4, cobalt)
	stroke(lines.broken, 4, brick)
	stroke(lines.plain, 1.5, chalk)
	stroke(lines.broken, 1.5, chalk)
	for (const [a, b, broken] of wires) drawWire(ctx, a, b, true, broken ? brick : cobalt)
	for (const [at, text, colour] of marks) drawLabel(ctx, text, at.x, at.y, dpr, colour)
	for (const [at, fill, colour] of dots) {
		ctx.beginPath()
		ctx.arc(at.x, at.y, 4 * dpr, 0, Math.PI * 2)
		ctx.fillStyle = fill
		ctx.fill()
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = colour
		ctx.stroke()
	}
}
