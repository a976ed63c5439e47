import { Workspace } from '../workspace/workspace.svelte'
import { Thumbs } from './thumbnails'
import type { ID } from '../core/types'
import { drawAbove, drawFrame } from './above'
import { View } from '../draw/view.svelte'
import { type Context, ink } from '../draw/frames'
import { type Plane, placesOf, rectOn } from './places'
/** With more maps than these the chart is kept as bitmaps, as far as it is not too large. */
export const many = 60

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
