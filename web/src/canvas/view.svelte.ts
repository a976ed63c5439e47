import type { MapInfo, Point, Rect } from '../core/types'

/** Whole-number scales keep pixels sharp; below one they halve. Device pixels for each map pixel. */
const scales = [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 3, 4, 6, 8, 12, 16, 24]

/** What part of a map is seen: x and y are the map pixel at the top left, all sizes in device pixels. */
export class View {
	scale = $state(2)
	x = $state(0)
	y = $state(0)
	width = $state(0)
	height = $state(0)

	get percent(): number {
		return Math.round(this.scale * 100)
	}

	/** The map pixel under a point of the screen. */
	at(sx: number, sy: number): Point {
		return { x: this.x + sx / this.scale, y: this.y + sy / this.scale }
	}

	cell(m: MapInfo, sx: number, sy: number): Point {
		const p = this.at(sx, sy)
		return { x: Math.floor(p.x / m.cellWidth), y: Math.floor(p.y / m.cellHeight) }
	}

	/** The place on the screen of a map pixel, on whole device pixels. */
	screen(x: number, y: number): Point {
		return { x: Math.round((x - this.x) * this.scale), y: Math.round((y - this.y) * this.scale) }
	}

	cellRect(m: MapInfo, r: Rect): Rect {
		const a = this.screen(r.x * m.cellWidth, r.y * m.cellHeight)
		const b = this.screen((r.x + r.w) * m.cellWidth, (r.y + r.h) * m.cellHeight)
		return { x: a.x, y: a.y, w: b.x - a.x, h: b.y - a.y }
	}

	pan(dx: number, dy: number) {
		this.x -= dx / this.scale
		this.y -= dy / this.scale
	}

	/** Goes steps up or down the scales; the map pixel under the point stays there. */
	zoom(steps: number, sx = this.width / 2, sy = this.height / 2) {
		const now = scales.findIndex((s) => s >= this.scale - 1e-6)
		const next = scales[Math.min(scales.length - 1, Math.max(0, now + steps))]
		const p = this.at(sx, sy)
		this.scale = next
		this.x = p.x - sx / next
		this.y = p.y - sy / next
	}

	/** Shows all of a map, or as much as fits at the smallest scale. */
	fit(m: MapInfo, most = 4) {
		const w = m.bounds.w * m.cellWidth
		const h = m.bounds.h * m.cellHeight
		const room = Math.min((this.width - 24) / w, (this.height - 24) / h)
		this.scale = [...scales].reverse().find((s) => s <= room && s <= most) ?? scales[0]
		this.centre((m.bounds.x + m.bounds.w / 2) * m.cellWidth, (m.bounds.y + m.bounds.h / 2) * m.cellHeight)
	}

	centre(x: number, y: number) {
		this.x = x - this.width / 2 / this.scale
		this.y = y - this.height / 2 / this.scale
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

	/** Keeps a map pixel in the middle, without showing more than is needed beyond the map. */
	follow(m: MapInfo, x: number, y: number) {
		const place = (at: number, from: number, length: number, room: number) =>
			length <= room ? from - (room - length) / 2 : Math.min(Math.max(at - room / 2, from), from + length - room)
		this.x = place(x, m.bounds.x * m.cellWidth, m.bounds.w * m.cellWidth, this.width / this.scale)
		this.y = place(y, m.bounds.y * m.cellHeight, m.bounds.h * m.cellHeight, this.height / this.scale)
	}

	/** The view from which what is displaced by so many map pixels is seen. */
	displaced(dx: number, dy: number): View {
		const out = new View()
		out.scale = this.scale
		out.width = this.width
		out.height = this.height
		out.x = this.x - dx
		out.y = this.y - dy
		return out
	}

	save() {
		return { scale: this.scale, x: this.x, y: this.y }
	}

	restore(s: { scale: number; x: number; y: number }) {
		Object.assign(this, s)
	}
}
