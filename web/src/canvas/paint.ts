import type { Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** How a stroke is made: whether it removes, whether the keyboard makes it, whether its shape is even. */
interface Manner {
	remove: boolean
	byKey: boolean
	even: boolean
}

/** Puts down what is held along a way of cells, or removes there. */
export class Paint implements Gesture {
	readonly what = 'paint'

	constructor(
		private press: Press,
		readonly way: Point[],
		readonly how: Manner,
	) {}

	move({ cell, shift }: Moved): Gesture {
		if (this.how.byKey) return this
		const last = this.way[this.way.length - 1]
		const how = { ...this.how, even: shift }
		if (last.x !== cell.x || last.y !== cell.y) return new Paint(this.press, [...this.way, cell], how)
		return this.how.even === shift ? this : new Paint(this.press, this.way, how)
	}

	/** The same, led on to a cell by the keyboard. */
	to(cell: Point): Paint {
		return this.how.byKey ? new Paint(this.press, [...this.way, cell], this.how) : this
	}

	up() {
		this.press.put(this.way, this.how.remove, this.how.even)
	}
}
