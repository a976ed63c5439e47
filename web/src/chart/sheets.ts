import { Workspace } from '../workspace/workspace.svelte'
import { Thumbs } from './thumbnails'
import type { ID, Rect } from '../core/types'
import { drawFrame, drawingAbove } from './above'
import { View } from '../draw/view.svelte'
import { type Context, ink } from '../draw/frames'
import { type Plane, rectOn, restingOf } from './places'
/** With more maps than these the chart is kept as bitmaps, as far as it is not too large. */
export const many = 60

const largest = 4e6

/** Of so many maps a frame draws the pictures at the most. */
const mapsAtOnce = 60

/** So long a frame draws on what is to be seen later, in milliseconds. */
const budget = 5

/** What is drawn on these is drawn at once, and not only when somebody looks: so it can be measured how long that takes. */
const settings: CanvasRenderingContext2DSettings = { willReadFrequently: true }

function contextOf(of: OffscreenCanvas): CanvasRenderingContext2D {
	return of.getContext('2d', settings)! as unknown as CanvasRenderingContext2D
}

/** What is kept for one scale: the maps, and above them seams, ways and names. */
class Sheet {
	maps = new OffscreenCanvas(1, 1)
	ways = new OffscreenCanvas(1, 1)
	/** The ways as they come to be. */
	private next: OffscreenCanvas | null = null
	private steps: Generator<void> | null = null
	private waysKey: unknown[] = []
	private drawn = new Map<ID, Rect>()
	private readonly view = new View()

	constructor(
		readonly box: Rect,
		readonly scale: number,
		readonly key: unknown[],
	) {
		;[this.maps.width, this.maps.height] = [box.w, box.h]
		;[this.view.x, this.view.y, this.view.scale, this.view.width, this.view.height] = [
			box.x,
			box.y,
			scale,
			box.w,
			box.h,
		]
	}

	/** Whether all that is seen, and a share of that around it, is kept here. */
	serves(view: View, all: Rect, key: unknown[], room: number): boolean {
		if (this.scale !== view.scale || !key.every((k, i) => k === this.key[i])) return false
		const b = this.box
		if (all.w * all.h <= largest) return b.x === all.x && b.y === all.y && b.w === all.w && b.h === all.h
		// beyond the chart there is nothing to keep
		const holds = (from: number, long: number, seen: number, size: number, first: number, last: number) =>
			from <= Math.max(first, seen - (room * size) / this.scale) &&
			from + long / this.scale >= Math.min(last, seen + (size * (1 + room)) / this.scale)
		return (
			holds(b.x, b.w, view.x, view.width, all.x, all.x + all.w / this.scale) &&
			holds(b.y, b.h, view.y, view.height, all.y, all.y + all.h / this.scale)
		)
	}

	forget(ids?: Iterable<ID>) {
		if (!ids) this.drawn.clear()
		else for (const id of ids) this.drawn.delete(id)
	}

	/** Goes on for about a frame; true when all is drawn. */
	goOn(w: Workspace, p: Plane, thumbs: Thumbs, dpr: number): boolean {
		const whole = this.drawMaps(w, p, thumbs, dpr)
		return (p.moved.size > 0 || this.drawWays(w, p, dpr)) && whole
	}

	private drawMaps(w: Workspace, p: Plane, thumbs: Thumbs, dpr: number): boolean {
		const into = contextOf(this.maps)
		const places = restingOf(p.info)
		const clear = (id: ID) => {
			const was = this.drawn.get(id)
			if (!was) return
			this.drawn.delete(id)
			const s = rectOn(this.view, was)
			into.clearRect(s.x - 3, s.y - 3, s.w + 6, s.h + 6)
			for (const [other, r] of this.drawn) if (meets(r, was, 8 / this.scale)) this.drawn.delete(other)
		}
		// what is dragged, or was, is not where it was
		for (const [id, was] of this.drawn) {
			const r = places.get(id)
			if (p.moved.has(id) || !r || r.x !== was.x || r.y !== was.y || r.w !== was.w || r.h !== was.h) clear(id)
		}
		const until = performance.now() + budget
		let [whole, n] = [true, 0]
		for (const m of w.project.head.maps) {
			const r = places.get(m.id)
			if (!r || p.moved.has(m.id) || this.drawn.has(m.id)) continue
			const s = rectOn(this.view, r)
			if (this.scale >= 1 || s.x > this.box.w || s.y > this.box.h || s.x + s.w < 0 || s.y + s.h < 0) continue
			if (n++ < mapsAtOnce && thumbs.draw(into, w, m, s, until)) {
				this.drawn.set(m.id, r)
				drawFrame(into, s, ink, dpr)
			} else whole = false
		}
		if (n) into.getImageData(0, 0, 1, 1)
		return whole
	}

	private drawWays(w: Workspace, p: Plane, dpr: number): boolean {
		const key = [p.info, w.project.head.passages, p.chosen.is === 'maps' ? '' : p.chosen]
		if (key.some((k, i) => k !== this.waysKey[i])) {
			this.waysKey = key
			this.next = new OffscreenCanvas(this.box.w, this.box.h)
			this.steps = drawingAbove(contextOf(this.next), w, this.view, p, restingOf(p.info), dpr)
		}
		const until = performance.now() + budget
		while (!this.steps?.next().done) {
			if (this.next) contextOf(this.next).getImageData(0, 0, 1, 1)
			if (performance.now() > until) return false
		}
		if (this.next) [this.ways, this.next] = [this.next, null]
		return true
	}
}

const meets = (a: Rect, b: Rect, room: number) =>
	a.x < b.x + b.w + room && b.x < a.x + a.w + room && a.y < b.y + b.h + room && b.y < a.y + a.h + room

/** What is drawn of many maps, kept for a scale; while it is drawn for another one, what there is is shown larger or smaller. */
export class Sheets {
	private shown: Sheet | null = null
	private coming: Sheet | null = null
	private wanted = 0
	private since = 0

	forget(ids?: Iterable<ID>) {
		this.shown?.forget(ids)
		this.coming?.forget(ids)
	}

	/** Goes on drawing what is kept, and tells whether all of it is; undefined where there are too few maps to keep it. */
	goOn(w: Workspace, view: View, p: Plane, thumbs: Thumbs, dpr: number): boolean | undefined {
		const places = restingOf(p.info)
		if (places.size <= many) return
		const key = [w.theme, dpr]
		const all = around(places, 24 * dpr, view.scale)
		let whole = false
		if (this.shown?.serves(view, all, key, 0)) {
			whole = this.shown.goOn(w, p, thumbs, dpr)
			if (whole && !this.shown.serves(view, all, key, 0.2)) whole = this.comes(w, view, all, key, p, thumbs, dpr)
			else this.coming = null
		} else if (this.settled(view.scale)) this.comes(w, view, all, key, p, thumbs, dpr)
		return whole
	}

	/** Draws on a sheet that is shown once it is done; true then. */
	private comes(w: Workspace, view: View, all: Rect, key: unknown[], p: Plane, thumbs: Thumbs, dpr: number): boolean {
		if (!this.coming?.serves(view, all, key, 0)) this.coming = new Sheet(part(view, all), view.scale, key)
		const done = this.coming.goOn(w, p, thumbs, dpr)
		if (done || !this.shown) [this.shown, this.coming] = [this.coming, null]
		return done
	}

	/** Shows the maps, or the ways above them. */
	show(ctx: Context, view: View, what: 'maps' | 'ways') {
		const s = this.shown
		if (!s) return
		const at = view.screen(s.box.x, s.box.y)
		const k = view.scale / s.scale
		const smooth = ctx.imageSmoothingEnabled
		ctx.imageSmoothingEnabled = false
		if (k === 1) ctx.drawImage(s[what], Math.round(at.x), Math.round(at.y))
		else ctx.drawImage(s[what], at.x, at.y, s.box.w * k, s.box.h * k)
		ctx.imageSmoothingEnabled = smooth
	}

	/** Whether one has stopped zooming. */
	private settled(scale: number): boolean {
		const now = performance.now()
		if (this.wanted !== scale) [this.wanted, this.since] = [scale, this.shown ? now : 0]
		return now - this.since >= 140
	}
}

/** All maps with some room around; its size in pixels of the screen. */
function around(places: Map<ID, Rect>, pad: number, scale: number): Rect {
	let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
	for (const r of places.values()) {
		;[left, top] = [Math.min(left, r.x), Math.min(top, r.y)]
		;[right, bottom] = [Math.max(right, r.x + r.w), Math.max(bottom, r.y + r.h)]
	}
	const [x, y] = [left - pad / scale, top - pad / scale]
	return { x, y, w: Math.ceil((right - x) * scale + pad), h: Math.ceil((bottom - y) * scale + pad) }
}

/** What of the chart is kept: all of it, or what is seen and half as much around it. */
function part(view: View, all: Rect): Rect {
	if (all.w * all.h <= largest) return all
	const [w, h] = [view.width * 2, view.height * 2]
	return { x: view.x - view.width / 2 / view.scale, y: view.y - view.height / 2 / view.scale, w, h }
}
