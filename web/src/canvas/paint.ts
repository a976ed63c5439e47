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
		/** The pixels of the map that the pointer went over, where what is held is drawn freely. */
		readonly trace: Point[] = [],
	) {}

	move({ at, cell, shift }: Moved): Gesture {
		if (this.how.byKey) return this
		const last = this.way[this.way.length - 1]
		const how = { ...this.how, even: shift }
		const trace = this.traced(at)
		if (last.x !== cell.x || last.y !== cell.y) return new Paint(this.press, [...this.way, cell], how, trace)
		return this.how.even === shift && trace === this.trace ? this : new Paint(this.press, this.way, how, trace)
	}

	private traced(at: Point): Point[] {
		const { w } = this.press
		if (!this.trace.length || this.trace.length >= 4000) return this.trace
		const p = w.view.at(at.x, at.y)
		const to = { x: Math.round(p.x), y: Math.round(p.y) }
		const last = this.trace[this.trace.length - 1]
		return last.x === to.x && last.y === to.y ? this.trace : [...this.trace, to]
	}

	/** The same, led on to a cell by the keyboard. */
	to(cell: Point): Paint {
		return this.how.byKey ? new Paint(this.press, [...this.way, cell], this.how) : this
	}

	up() {
		this.press.put(this.way, this.how.remove, this.how.even, this.trace)
	}
}
