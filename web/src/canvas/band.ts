import type { Point, Rect } from '../core/types'
import { boxOf } from '../draw/areas'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Selects entities by a box on the screen. */
export class Band implements Gesture {
	readonly what = 'band'

	constructor(
		private press: Press,
		private from: Point,
		private to: Point,
		private add: boolean,
	) {}

	move({ at }: Moved): Gesture {
		return new Band(this.press, this.from, at, this.add)
	}

	private get box(): Rect {
		const { from, to } = this
		return {
			x: Math.min(from.x, to.x),
			y: Math.min(from.y, to.y),
			w: Math.abs(to.x - from.x),
			h: Math.abs(to.y - from.y),
		}
	}

	up() {
		const { w } = this.press
		const box = this.box
		const a = w.view.at(box.x, box.y)
		const b = w.view.at(box.x + box.w, box.y + box.h)
		const ids = this.press
			.shown()
			.filter((e) => {
				if (!w.view.diamond) return e.x < b.x && e.y < b.y && e.x + e.w > a.x && e.y + e.h > a.y
				// on diamonds what is seen in the box is meant
				const r = boxOf(w.view, e)
				return r.x < box.x + box.w && r.y < box.y + box.h && r.x + r.w > box.x && r.y + r.h > box.y
			})
			.map((e) => e.id)
		const pressed = Math.hypot(box.w, box.h) < 3
		if (this.add) w.select([...new Set([...w.selected, ...ids])])
		else w.select(pressed ? [] : ids)
	}

	shows() {
		return { band: this.box }
	}
}
