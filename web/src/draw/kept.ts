import type { MapInfo, Rect } from '../core/types'
import type { Context } from './frames'
import { View } from './view.svelte'

/** What is kept is no larger, in pixels. */
const largest = 4e6

/** So many entities on a map are worth being kept as a bitmap. */
export const crowd = 500

/** A drawing of all of a map that is kept as long as nothing of it changes, and moved with the view. */
export class Kept {
	/** Null where nothing is to be seen. */
	private canvas?: OffscreenCanvas | null
	private key: unknown[] = []
	private readonly own = new View()

	/** Draws from what is kept; false where the map is too large on the screen, or no square grid. What draws it tells whether there was anything. */
	draw(ctx: Context, m: MapInfo, view: View, key: unknown[], drawn: (ctx: Context, view: View) => boolean): boolean {
		const pad = 24
		const all: Rect = {
			x: m.bounds.x * m.cellWidth,
			y: m.bounds.y * m.cellHeight,
			w: m.bounds.w * m.cellWidth,
			h: m.bounds.h * m.cellHeight,
		}
		const [w, h] = [Math.ceil(all.w * view.scale) + 2 * pad, Math.ceil(all.h * view.scale) + 2 * pad]
		if (view.diamond || w * h > largest) {
			this.canvas = undefined
			return false
		}
		const now = [view.scale, all.x, all.y, w, h, ...key]
		if (this.canvas === undefined || now.length !== this.key.length || now.some((k, i) => k !== this.key[i])) {
			this.key = now
			const canvas = new OffscreenCanvas(w, h)
			;[this.own.scale, this.own.width, this.own.height] = [view.scale, w, h]
			;[this.own.x, this.own.y] = [all.x - pad / view.scale, all.y - pad / view.scale]
			this.canvas = drawn(canvas.getContext('2d')! as unknown as Context, this.own) ? canvas : null
		}
		if (!this.canvas) return true
		const at = view.screen(all.x, all.y)
		ctx.drawImage(this.canvas, at.x - pad, at.y - pad)
		return true
	}
}
