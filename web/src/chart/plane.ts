import { chalk, cobalt, type Context, drawLabel, ink, saffron } from '../draw/frames'
import { drawWire } from '../canvas/wires'
import { View } from '../draw/view.svelte'
import type { ChartInfo, Facing, ID, MapInfo, Passage, Point, Rect, Seam } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** What is chosen on the chart. */
export type Chosen =
	{ is: 'maps'; ids: ID[] } | { is: 'passage'; id: ID } | { is: 'seam'; a: ID; b: ID } | { is: 'nothing' }

export interface Plane {
	info: ChartInfo
	chosen: Chosen
	/** Where maps are dragged to, in pixels of the chart. */
	moved: Map<ID, Point>
	hover: ID
}

const brick = '#b1442c'
const sage = '#4f8a4b'
const grey = '#7b8286'

/** Where the maps lie, those that are dragged included. */
export function placesOf(p: Plane): Map<ID, Rect> {
	return new Map(p.info.places.map((r) => [r.map, { ...r, ...p.moved.get(r.map) }]))
}

interface Ends {
	from: { map: ID; x: number; y: number } | null
	to: { map: ID; x: number; y: number } | null
}

let ends: { of: object; turn: number; all: Map<ID, Ends> } | null = null

/** Where passages begin and end on their maps, looked up once for each state. */
function endsOf(w: Workspace): Map<ID, Ends> {
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
function lineOf(places: Map<ID, Rect>, e: Ends | undefined): [Point, Point] | null {
	const [a, b] = [e?.from && places.get(e.from.map), e?.to && places.get(e.to.map)]
	if (!a || !b) return null
	return [
		{ x: a.x + e!.from!.x, y: a.y + e!.from!.y },
		{ x: b.x + e!.to!.x, y: b.y + e!.to!.y },
	]
}

/** The stretches of a seam as lines, in pixels of the chart; one that is closed or none has its whole edge. */
export function seamLines(w: Workspace, places: Map<ID, Rect>, s: Seam): [Point, Point][] {
	const m = w.project.map(s.a)
	const [a, b] = [places.get(s.a), places.get(s.b)]
	if (!m || !a || !b) return []
	const upright = s.side === 'left' || s.side === 'right'
	const line = { left: a.x, right: a.x + a.w, up: a.y, down: a.y + a.h }[s.side]
	const at = (v: number): Point => (upright ? { x: line, y: v } : { x: v, y: line })
	if (s.why || s.closed || !s.open.length) {
		const from = upright ? Math.max(a.y, b.y) : Math.max(a.x, b.x)
		const to = upright ? Math.min(a.y + a.h, b.y + b.h) : Math.min(a.x + a.w, b.x + b.w)
		return [[at(from), at(to)]]
	}
	const [cell, origin] = upright ? [m.cellHeight, a.y] : [m.cellWidth, a.x]
	return s.open.map((o) => [at(origin + o.from * cell), at(origin + o.to * cell)])
}

/** Pictures of maps at a quarter of their size, drawn when they are first seen and after they change. */
export class Thumbs {
	private kept = new Map<ID, { canvas: OffscreenCanvas; stale: boolean }>()
	private readonly view = new View()

	/** Has maps drawn anew: these, or all. */
	forget(ids?: Iterable<ID>) {
		for (const id of ids ?? this.kept.keys()) {
			const t = this.kept.get(id)
			if (t) t.stale = true
		}
	}

	/** Draws a map's picture; false when it has to come with a later frame, after the time is up. */
	draw(ctx: Context, w: Workspace, m: MapInfo, r: Rect, until: number): boolean {
		let t = this.kept.get(m.id)
		let done = true
		if (!t || t.stale) {
			if (performance.now() < until) {
				const scale = Math.min(0.25, 512 / Math.max(m.bounds.w * m.cellWidth, m.bounds.h * m.cellHeight))
				const [width, height] = [m.bounds.w * m.cellWidth * scale, m.bounds.h * m.cellHeight * scale]
				t = { canvas: new OffscreenCanvas(Math.max(1, width), Math.max(1, height)), stale: false }
				this.view.width = t.canvas.width
				this.view.height = t.canvas.height
				this.view.scale = scale
				this.view.x = m.bounds.x * m.cellWidth
				this.view.y = m.bounds.y * m.cellHeight
				const into = t.canvas.getContext('2d')! as unknown as CanvasRenderingContext2D
				t.stale = !w.scene.draw(into, { ...m, grid: '' }, this.view)
				this.kept.set(m.id, t)
				done = !t.stale
			} else done = false
		}
		if (t) ctx.drawImage(t.canvas, r.x, r.y, r.w, r.h)
		else {
			ctx.fillStyle = '#bcb4a4'
			ctx.fillRect(r.x, r.y, r.w, r.h)
		}
		return done
	}
}

/** With more maps than these the chart is kept as bitmaps, as far as it is not too large. */
const many = 60
const largest = 4e6

/** What is drawn of many maps, kept for a scale: the maps, and above them seams, ways and names. */
export class Sheets {
	private maps = new OffscreenCanvas(1, 1)
	private ways = new OffscreenCanvas(1, 1)
	private key: unknown[] = []
	private waysKey: unknown[] = []
	private done = new Set<ID>()
	private scale = 0
	private wanted = 0
	private since = 0
	private left = 0
	private top = 0
	private readonly view = new View()

	forget(ids?: Iterable<ID>) {
		if (!ids) this.done.clear()
		else for (const id of ids) this.done.delete(id)
	}

	/** Draws the chart from what is kept; undefined when it is too small or too large for that. */
	draw(ctx: Context, w: Workspace, view: View, p: Plane, thumbs: Thumbs, dpr: number): boolean | undefined {
		const places = placesOf({ ...p, moved: new Map() })
		if (places.size <= many) return
		const all = [...places.values()]
		const pad = 24 * dpr
		const x = Math.min(...all.map((r) => r.x)) - pad / view.scale
		const y = Math.min(...all.map((r) => r.y)) - pad / view.scale
		const width = Math.ceil((Math.max(...all.map((r) => r.x + r.w)) - x) * view.scale + pad)
		const height = Math.ceil((Math.max(...all.map((r) => r.y + r.h)) - y) * view.scale + pad)
		if (width * height > largest) return
		;[this.view.x, this.view.y, this.view.scale] = [x, y, view.scale]
		;[this.view.width, this.view.height] = [width, height]
		const key = [p.info.places, w.theme, dpr]
		const same = !key.some((k, i) => k !== this.key[i])
		// while one zooms, what is kept is drawn larger or smaller, and anew once that rests
		const now = performance.now()
		if (same && this.scale !== view.scale && this.scale) {
			if (this.wanted !== view.scale) [this.wanted, this.since] = [view.scale, now]
			if (now - this.since < 140) {
				const q = view.screen(this.left, this.top)
				const k = view.scale / this.scale
				for (const c of [this.maps, this.ways]) ctx.drawImage(c, q.x, q.y, c.width * k, c.height * k)
				return false
			}
		}
		if (!same || this.scale !== view.scale) {
			;[this.key, this.scale, this.wanted, this.left, this.top] = [key, view.scale, view.scale, x, y]
			;[this.maps.width, this.maps.height] = [width, height]
			this.done.clear()
			this.waysKey = []
		}
		const into = this.maps.getContext('2d')! as unknown as CanvasRenderingContext2D
		const until = now + 6
		let whole = true
		for (const m of w.project.head.maps) {
			const r = places.get(m.id)
			if (!r) continue
			const s = rectOn(this.view, r)
			if (p.moved.has(m.id)) {
				// what is dragged is not where it was
				if (this.done.delete(m.id)) into.clearRect(s.x - 3, s.y - 3, s.w + 6, s.h + 6)
				continue
			}
			if (this.done.has(m.id)) continue
			if (thumbs.draw(into, w, m, s, until)) {
				this.done.add(m.id)
				drawFrame(into, s, ink, dpr)
			} else whole = false
		}
		const waysKey = [p.info, w.project.head.passages, p.chosen.is === 'maps' ? '' : p.chosen]
		if (!p.moved.size && waysKey.some((k, i) => k !== this.waysKey[i])) {
			this.waysKey = waysKey
			;[this.ways.width, this.ways.height] = [width, height]
			const over = this.ways.getContext('2d')! as unknown as CanvasRenderingContext2D
			drawAbove(over, w, this.view, p, places, dpr)
		}
		const at = view.screen(x, y)
		ctx.drawImage(this.maps, at.x, at.y)
		ctx.drawImage(this.ways, at.x, at.y)
		return whole
	}
}

const near = new View()

/** Draws the chart; false when some of it has to come with a later frame. */
export function drawPlane(
	ctx: Context,
	w: Workspace,
	view: View,
	p: Plane,
	thumbs: Thumbs,
	sheets: Sheets,
	dpr: number,
): boolean {
	const places = placesOf(p)
	const chosen = p.chosen.is === 'maps' ? new Set(p.chosen.ids) : new Set<ID>()
	const kept = sheets.draw(ctx, w, view, p, thumbs, dpr)
	let whole = kept ?? true
	ctx.imageSmoothingEnabled = view.scale < 1
	const until = performance.now() + 6
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r || (kept !== undefined && !p.moved.has(m.id) && !chosen.has(m.id) && p.hover !== m.id)) continue
		const s = rectOn(view, r)
		if (s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		if (kept !== undefined && !p.moved.has(m.id)) {
			drawFrame(ctx, s, chosen.has(m.id) ? saffron : cobalt, dpr, chosen.has(m.id))
			continue
		}
		if (view.scale >= 1) {
			near.width = view.width
			near.height = view.height
			near.scale = view.scale
			near.x = view.x - r.x + m.bounds.x * m.cellWidth
			near.y = view.y - r.y + m.bounds.y * m.cellHeight
			whole = w.scene.draw(ctx, { ...m, grid: '' }, near) && whole
			ctx.imageSmoothingEnabled = view.scale < 1
		} else whole = thumbs.draw(ctx, w, m, s, until) && whole
		const on = chosen.has(m.id)
		drawFrame(ctx, s, on ? saffron : p.hover === m.id ? cobalt : ink, dpr, on)
	}
	if (kept === undefined) drawAbove(ctx, w, view, p, places, dpr)
	return whole
}

function drawFrame(ctx: Context, s: Rect, colour: string, dpr: number, strong = false) {
	ctx.lineWidth = (strong ? 5 : 3) * dpr
	ctx.strokeStyle = strong ? ink : chalk
	ctx.strokeRect(s.x, s.y, s.w, s.h)
	ctx.lineWidth = (strong ? 2.5 : 1.2) * dpr
	ctx.strokeStyle = colour
	ctx.strokeRect(s.x, s.y, s.w, s.h)
}

/** Draws seams, ways, findings and names. */
function drawAbove(ctx: Context, w: Workspace, view: View, p: Plane, places: Map<ID, Rect>, dpr: number) {
	for (const s of p.info.seams) drawSeam(ctx, w, view, places, s, isSeam(p.chosen, s), dpr)
	drawWays(ctx, w, view, places, p, dpr)
	for (const f of p.info.findings) {
		if (view.scale < 0.2) break
		const e = f.entity ? w.project.entity(f.map, f.entity) : undefined
		const r = places.get(f.map)
		const m = w.project.map(f.map)
		if (!e || !r || !m) continue
		const at = rectOn(view, {
			x: r.x + e.x - m.bounds.x * m.cellWidth,
			y: r.y + e.y - m.bounds.y * m.cellHeight,
			w: e.w,
			h: e.h,
		})
		ctx.setLineDash([4 * dpr, 3 * dpr])
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = chalk
		ctx.strokeRect(at.x - 2, at.y - 2, at.w + 4, at.h + 4)
		ctx.lineWidth = 2 * dpr
		ctx.strokeStyle = f.serious ? brick : grey
		ctx.strokeRect(at.x - 2, at.y - 2, at.w + 4, at.h + 4)
		ctx.setLineDash([])
	}
	const wrong = new Map<ID, number>()
	for (const f of p.info.findings) if (f.serious) wrong.set(f.map, (wrong.get(f.map) ?? 0) + 1)
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r) continue
		const s = rectOn(view, r)
		if (s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		if (s.w > 90 * dpr) drawEdges(ctx, m, s, dpr)
		// of maps that lie close together only those with room have their names
		if (s.w < (places.size > many ? 60 : 26) * dpr) continue
		const n = wrong.get(m.id)
		const text = `${m.name}${m.template ? ' (template)' : ''}${n ? ` · ${n}!` : ''}`
		const room = Math.max(s.w, 90 * dpr)
		drawLabel(ctx, fitted(ctx, text, room, dpr), s.x + s.w / 2, s.y - 12 * dpr, dpr, n ? brick : ink)
	}
}

const edgeWords: Record<string, string> = { fall: 'fall', wrap: 'wraps', exit: 'exit' }

/** What the edges of a map are, where they are no walls. */
function drawEdges(ctx: Context, m: MapInfo, s: Rect, dpr: number) {
	const at = [
		[s.x + s.w / 2, s.y + 12 * dpr],
		[s.x + s.w - 24 * dpr, s.y + s.h / 2],
		[s.x + s.w / 2, s.y + s.h - 12 * dpr],
		[s.x + 24 * dpr, s.y + s.h / 2],
	]
	m.sides?.forEach((is, i) => {
		if (edgeWords[is]) drawLabel(ctx, edgeWords[is], at[i][0], at[i][1], dpr, is === 'fall' ? brick : cobalt)
	})
}

function fitted(ctx: Context, text: string, room: number, dpr: number): string {
	ctx.font = `600 ${12 * dpr}px 'Sometype Mono Variable', monospace`
	if (ctx.measureText(text).width <= room) return text
	while (text.length > 4 && ctx.measureText(`${text}…`).width > room) text = text.slice(0, -1)
	return `${text}…`
}

export function rectOn(view: View, r: Rect): Rect {
	const a = view.screen(r.x, r.y)
	const b = view.screen(r.x + r.w, r.y + r.h)
	return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
}

const isSeam = (c: Chosen, s: Seam) => c.is === 'seam' && c.a === s.a && c.b === s.b

function drawSeam(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>, s: Seam, on: boolean, dpr: number) {
	const shut = s.closed || s.why !== '' || !s.open.length
	for (const [from, to] of seamLines(w, places, s)) {
		const [a, b] = [view.screen(from.x, from.y), view.screen(to.x, to.y)]
		ctx.beginPath()
		ctx.moveTo(a.x, a.y)
		ctx.lineTo(b.x, b.y)
		ctx.lineWidth = (on ? 10 : 8) * dpr
		ctx.strokeStyle = on ? saffron : chalk
		ctx.stroke()
		if (shut) ctx.setLineDash([7 * dpr, 5 * dpr])
		ctx.lineWidth = 4 * dpr
		ctx.strokeStyle = s.closed ? brick : s.why || !s.open.length ? grey : sage
		ctx.stroke()
		ctx.setLineDash([])
	}
}

/** Passages of which another one leads back between the same two maps. */
export function twoWay(passages: Passage[]): Set<ID> {
	const ways = new Set(passages.map((p) => `${p.from.map} ${p.to.map}`))
	return new Set(passages.filter((p) => ways.has(`${p.to.map} ${p.from.map}`)).map((p) => p.id))
}

function drawWays(ctx: Context, w: Workspace, view: View, places: Map<ID, Rect>, p: Plane, dpr: number) {
	const { passages } = w.project.head
	const both = twoWay(passages)
	const all = endsOf(w)
	const wrong = new Set(p.info.findings.map((f) => f.passage))
	const simple = passages.length > 400
	// double lines are drawn together: chalk, colour, and chalk in the middle
	const lines = { plain: new Path2D(), broken: new Path2D(), chosen: new Path2D() }
	const dots: [Point, string, string][] = []
	const wires: [Point, Point][] = []
	for (const way of passages) {
		const line = lineOf(places, all.get(way.id))
		if (!line) continue
		const [a, b] = line.map((q) => view.screen(q.x, q.y))
		if (Math.max(a.x, b.x) < 0 || Math.max(a.y, b.y) < 0) continue
		if (Math.min(a.x, b.x) > view.width || Math.min(a.y, b.y) > view.height) continue
		const broken = wrong.has(way.id)
		const into = [broken ? lines.broken : lines.plain]
		if (p.chosen.is === 'passage' && p.chosen.id === way.id) into.push(lines.chosen)
		// one way has barbs
		if (!simple && !both.has(way.id)) {
			wires.push([a, b])
			into.shift()
		}
		for (const path of into) {
			path.moveTo(a.x, a.y)
			path.lineTo(b.x, b.y)
		}
		if (!simple) dots.push([a, chalk, broken ? brick : cobalt], [b, broken ? brick : cobalt, broken ? brick : cobalt])
	}
	const stroke = (path: Path2D, width: number, colour: string) => {
		ctx.lineWidth = width * dpr
		ctx.strokeStyle = colour
		ctx.stroke(path)
	}
	stroke(lines.chosen, 10, saffron)
	const slim = simple && view.scale < 0.25
	if (!slim) {
		stroke(lines.plain, 7, chalk)
		stroke(lines.broken, 7, chalk)
	}
	stroke(lines.plain, slim ? 1.5 : 4, cobalt)
	stroke(lines.broken, slim ? 2.5 : 4, brick)
	if (!slim) {
		stroke(lines.plain, 1.5, chalk)
		stroke(lines.broken, 1.5, chalk)
	}
	for (const [a, b] of wires) drawWire(ctx, a, b, true)
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

/** What lies under a place of the screen: a passage, a seam, or a map. */
export function hitOn(w: Workspace, view: View, p: Plane, at: Point, dpr: number): Chosen {
	const places = placesOf(p)
	const line = (a: Point, b: Point) => away(view.screen(a.x, a.y), view.screen(b.x, b.y), at)
	const all = endsOf(w)
	let best: ID = ''
	let least = 6 * dpr
	for (const way of w.project.head.passages) {
		const ends = lineOf(places, all.get(way.id))
		const far = ends ? line(...ends) : Infinity
		if (far < least) [best, least] = [way.id, far]
	}
	if (best) return { is: 'passage', id: best }
	for (const s of p.info.seams) {
		if (seamLines(w, places, s).some(([a, b]) => line(a, b) < 7 * dpr)) return { is: 'seam', a: s.a, b: s.b }
	}
	const q = view.at(at.x, at.y)
	for (const m of [...w.project.head.maps].reverse()) {
		const r = places.get(m.id)
		if (r && q.x >= r.x && q.y >= r.y && q.x < r.x + r.w && q.y < r.y + r.h) return { is: 'maps', ids: [m.id] }
	}
	return { is: 'nothing' }
}

/** How far a place is from a line between two others. */
function away(a: Point, b: Point, p: Point): number {
	const [dx, dy] = [b.x - a.x, b.y - a.y]
	const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy || 1)))
	return Math.hypot(a.x + dx * t - p.x, a.y + dy * t - p.y)
}
