import type { Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves the cells that are selected. */
export class Shift implements Gesture {
	readonly what = 'shift'

	constructor(
		private press: Press,
		private from: Point,
		private by: Point = { x: 0, y: 0 },
	) {}

	move({ cell }: Moved): Gesture {
		const by = { x: cell.x - this.from.x, y: cell.y - this.from.y }
		return by.x === this.by.x && by.y === this.by.y ? this : new Shift(this.press, this.from, by)
	}

	up() {
		if (this.by.x || this.by.y) this.press.w.areas.moveArea(this.by.x, this.by.y)
	}

	shows() {
		return { shifted: this.by.x || this.by.y ? this.by : null }
	}
}
