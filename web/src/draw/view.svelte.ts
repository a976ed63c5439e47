import type { MapInfo, Point, Rect } from '../core/types'

/** Whole-number scales keep pixels sharp; below one they halve. Device pixels for each map pixel. */
const mapScales = [1 / 256, 1 / 128, 1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 3, 4, 6, 8, 12, 16, 24, 32]

/** The chart goes farther out, and no nearer than the pixels of the maps. */
export const chartScales = [1 / 64, 1 / 32, 1 / 16, 1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 2, 3, 4]

/** What part of a map is seen: x and y are the map pixel at the top left, all sizes in device pixels. */
export class View {
	scale = $state(2)
	x = $state(0)
	y = $state(0)
	width = $state(0)
	height = $state(0)
	/** The size of a cell where the map's grid is of diamonds, in map pixels; null for squares. */
	diamond = $state.raw<{ w: number; h: number } | null>(null)

	/** The size of the map that is seen, in map pixels. */
	private extent?: { w: number; h: number }

	constructor(readonly scales: readonly number[] = mapScales) {}

	/** Takes over a map's grid and size. */
	use(m: MapInfo) {
		const now = this.diamond
		if (m.grid !== 'diamond') {
			if (now) this.diamond = null
		} else if (now?.w !== m.cellWidth || now.h !== m.cellHeight) this.diamond = { w: m.cellWidth, h: m.cellHeight }
		const { w, h } = m.bounds
		this.extent = this.diamond
			? { w: ((w + h) * m.cellWidth) / 2, h: ((w + h) * m.cellHeight) / 2 }
			: { w: w * m.cellWidth, h: h * m.cellHeight }
	}

	/** Where a place of the ground plane lies on the drawn plane, both in map pixels. */
	private project(x: number, y: number): Point {
		const d = this.diamond
		if (!d) return { x, y }
		const [u, v] = [x / d.w, y / d.h]
		return { x: ((u - v) * d.w) / 2, y: ((u + v) * d.h) / 2 }
	}

	/** The corners of a rectangle of the ground plane, in map pixels, on the screen. */
	corners(r: Rect): Point[] {
		return [
			this.screen(r.x, r.y),
			this.screen(r.x + r.w, r.y),
			this.screen(r.x + r.w, r.y + r.h),
			this.screen(r.x, r.y + r.h),
		]
	}

	/** What brings a path in cells onto the screen. */
	matrix(m: MapInfo): DOMMatrix {
		const o = this.screen(0, 0)
		const [w, h] = [m.cellWidth * this.scale, m.cellHeight * this.scale]
		return this.diamond ? new DOMMatrix([w / 2, h / 2, -w / 2, h / 2, o.x, o.y]) : new DOMMatrix([w, 0, 0, h, o.x, o.y])
	}

	/** The smallest rectangle of the drawn plane that holds a map, in map pixels. */
	drawn(m: MapInfo): Rect {
		this.use(m)
		const b = m.bounds
		const ground = { x: b.x * m.cellWidth, y: b.y * m.cellHeight, w: b.w * m.cellWidth, h: b.h * m.cellHeight }
		const all = [
			this.project(ground.x, ground.y),
			this.project(ground.x + ground.w, ground.y),
			this.project(ground.x, ground.y + ground.h),
			this.project(ground.x + ground.w, ground.y + ground.h),
		]
		const [x, y] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))]
		return { x, y, w: Math.max(...all.map((p) => p.x)) - x, h: Math.max(...all.map((p) => p.y)) - y }
	}

	/** Shows all of a map as large as it fits, at any scale up to the most. */
	whole(m: MapInfo, most = Infinity) {
		const all = this.drawn(m)
		this.scale = Math.min(this.width / all.w, this.height / all.h, most)
		this.x = all.x + all.w / 2 - this.width / 2 / this.scale
		this.y = all.y + all.h / 2 - this.height / 2 / this.scale
	}

	/** Shows some cells in the middle, with what is around them: some five of them above each other, or all of them. */
	around(m: MapInfo, cells: Rect) {
		this.use(m)
		this.scale = this.height / (5 * m.cellHeight)
		const r = this.cellRect(m, cells)
		this.scale *= Math.min(1, (0.8 * this.width) / r.w, (0.8 * this.height) / r.h)
		const { x, y, w, h } = this.cellRect(m, cells)
		this.x += (x + w / 2 - this.width / 2) / this.scale
		this.y += (y + h / 2 - this.height / 2) / this.scale
	}

	get percent(): number {
		return this.scale < 0.01 ? Math.round(this.scale * 1000) / 10 : Math.round(this.scale * 100)
	}

	/** The map pixel under a point of the screen. */
	at(sx: number, sy: number): Point {
		const [x, y] = [this.x + sx / this.scale, this.y + sy / this.scale]
		const d = this.diamond
		if (!d) return { x, y }
		const [a, b] = [(2 * x) / d.w, (2 * y) / d.h]
		return { x: ((a + b) / 2) * d.w, y: ((b - a) / 2) * d.h }
	}

	cell(m: MapInfo, sx: number, sy: number): Point {
		const p = this.at(sx, sy)
		return { x: Math.floor(p.x / m.cellWidth), y: Math.floor(p.y / m.cellHeight) }
	}

	/** The place on the screen of a map pixel, on whole device pixels. */
	screen(x: number, y: number): Point {
		const p = this.project(x, y)
		return { x: Math.round((p.x - this.x) * this.scale), y: Math.round((p.y - this.y) * this.scale) }
	}

	/** The box of a grid of squares on the screen: what `screen` says of its corners, without a point for each, since it is asked thousands of times a frame. */
	box(r: Rect): Rect {
		const { x, y, scale } = this
		const left = Math.round((r.x - x) * scale)
		const top = Math.round((r.y - y) * scale)
		return {
			x: left,
			y: top,
			w: Math.round((r.x + r.w - x) * scale) - left,
			h: Math.round((r.y + r.h - y) * scale) - top,
		}
	}

	/** The rectangle of the screen that cells lie in; of diamonds the one around them. */
	cellRect(m: MapInfo, r: Rect): Rect {
		if (this.diamond) {
			const all = this.corners({
				x: r.x * m.cellWidth,
				y: r.y * m.cellHeight,
				w: r.w * m.cellWidth,
				h: r.h * m.cellHeight,
			})
			return { x: all[3].x, y: all[0].y, w: all[1].x - all[3].x, h: all[2].y - all[0].y }
		}
		const a = this.screen(r.x * m.cellWidth, r.y * m.cellHeight)
		const b = this.screen((r.x + r.w) * m.cellWidth, (r.y + r.h) * m.cellHeight)
		return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
	}

	/** cellRect of a grid of squares for many: how the view is is read once. */
	placing(m: Pick<MapInfo, 'cellWidth' | 'cellHeight'>): (r: Rect) => Rect {
		const { scale, x, y } = this
		const [w, h] = [m.cellWidth, m.cellHeight]
		return (r) => {
			const [left, top] = [Math.round((r.x * w - x) * scale), Math.round((r.y * h - y) * scale)]
			return {
				x: left,
				y: top,
				w: Math.round(((r.x + r.w) * w - x) * scale) - left,
				h: Math.round(((r.y + r.h) * h - y) * scale) - top,
			}
		}
	}

	pan(dx: number, dy: number) {
		this.x -= dx / this.scale
		this.y -= dy / this.scale
	}

	/** Goes steps up or down the scales; the map pixel under the point stays there. */
	zoom(steps: number, sx = this.width / 2, sy = this.height / 2) {
		const now = this.scales.findIndex((s) => s >= this.scale - 1e-6)
		const next = this.scales[Math.min(this.scales.length - 1, Math.max(this.least(), now + steps))]
		const [x, y] = [this.x + sx / this.scale, this.y + sy / this.scale]
		this.scale = next
		this.x = x - sx / next
		this.y = y - sy / next
	}

	/** The place of the smallest scale: there is no need to go farther out than all of the map is seen. */
	private least(): number {
		if (!this.extent) return 0
		const all = Math.min(this.width / this.extent.w, this.height / this.extent.h)
		return Math.max(
			0,
			this.scales.findLastIndex((s) => s <= Math.min(1 / 16, all)),
		)
	}

	/** Shows all of a map, or as much as fits at the smallest scale. */
	fit(m: MapInfo, most = 4) {
		const { w, h } = this.drawn(m)
		const room = Math.min((this.width - 24) / w, (this.height - 24) / h)
		this.scale = [...this.scales].reverse().find((s) => s <= room && s <= most) ?? this.scales[0]
		this.centre((m.bounds.x + m.bounds.w / 2) * m.cellWidth, (m.bounds.y + m.bounds.h / 2) * m.cellHeight)
	}

	/** Brings a place of the ground plane, in map pixels, into the middle. */
	centre(x: number, y: number) {
		const p = this.project(x, y)
		this.x = p.x - this.width / 2 / this.scale
		this.y = p.y - this.height / 2 / this.scale
	}

	/** Moves as little as is needed to show a cell. */
	reveal(m: MapInfo, c: Point) {
		const r = this.cellRect(m, { ...c, w: 1, h: 1 })
		const pad = Math.min(48, this.width / 4, this.height / 4)
		if (r.x < pad) this.x -= (pad - r.x) / this.scale
		if (r.y < pad) this.y -= (pad - r.y) / this.scale
		if (r.x + r.w > this.width - pad) this.x += (r.x + r.w - this.width + pad) / this.scale
		if (r.y + r.h > this.height - pad) this.y += (r.y + r.h - this.height + pad) / this.scale
	}

	/** Brings a cell into the middle, unless it is well in view and not in a corner. */
	bring(m: MapInfo, c: Point) {
		const r = this.cellRect(m, { ...c, w: 1, h: 1 })
		const well = r.x > 48 && r.y > 48 && r.x + r.w < this.width * 0.75 && r.y + r.h < this.height * 0.75
		if (!well) this.centre((c.x + 0.5) * m.cellWidth, (c.y + 0.5) * m.cellHeight)
	}

	/** Keeps a map pixel in the middle, without showing more than is needed beyond what is there. */
	follow(m: MapInfo, x: number, y: number, there: Rect) {
		this.use(m)
		if (this.diamond) return this.centre(x, y)
		const place = (at: number, from: number, length: number, room: number) =>
			length <= room ? from - (room - length) / 2 : Math.min(Math.max(at - room / 2, from), from + length - room)
		this.x = place(x, there.x, there.w, this.width / this.scale)
		this.y = place(y, there.y, there.h, this.height / this.scale)
	}

	/** The view from which what is displaced by so many map pixels is seen. */
	displaced(dx: number, dy: number): View {
		const out = new View()
		out.scale = this.scale
		out.width = this.width
		out.height = this.height
		out.diamond = this.diamond
		out.x = this.x - dx
		out.y = this.y - dy
		return out
	}

	/** The rectangle of the ground plane that is seen, in map pixels; on diamonds the one around it. */
	seen(): Rect {
		const all = [this.at(0, 0), this.at(this.width, 0), this.at(this.width, this.height), this.at(0, this.height)]
		const [x, y] = [Math.min(...all.map((p) => p.x)), Math.min(...all.map((p) => p.y))]
		return { x, y, w: Math.max(...all.map((p) => p.x)) - x, h: Math.max(...all.map((p) => p.y)) - y }
	}

	/** Whether all of a map is seen, of a grid of squares. */
	shows(m: MapInfo): boolean {
		const [all, seen] = [this.drawn(m), this.seen()]
		if (this.diamond) return false
		return all.x >= seen.x && all.y >= seen.y && all.x + all.w <= seen.x + seen.w && all.y + all.h <= seen.y + seen.h
	}

	save() {
		return { scale: this.scale, x: this.x, y: this.y }
	}

	restore(s: { scale: number; x: number; y: number }) {
		Object.assign(this, s)
	}
}
