import type { Side } from './bounds'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves a side of the map. */
export class Edge implements Gesture {
	readonly what = 'side'

	constructor(
		private press: Press,
		private side: Side,
	) {}

	move({ at }: Moved): Gesture {
		const { w } = this.press
		const m = w.map!
		const { side } = this
		const p = w.view.at(at.x, at.y)
		const b = { ...m.bounds }
		const line = Math.round(side === 'left' || side === 'right' ? p.x / m.cellWidth : p.y / m.cellHeight)
		if (side === 'left') [b.x, b.w] = [Math.min(line, b.x + b.w - 1), Math.max(1, b.x + b.w - line)]
		if (side === 'top') [b.y, b.h] = [Math.min(line, b.y + b.h - 1), Math.max(1, b.y + b.h - line)]
		if (side === 'right') b.w = Math.max(1, line - b.x)
		if (side === 'bottom') b.h = Math.max(1, line - b.y)
		const now = w.resizing?.bounds ?? m.bounds
		if (now.x !== b.x || now.y !== b.y || now.w !== b.w || now.h !== b.h) w.tryBounds(b)
		return this
	}

	up() {
		void this.press.w.resize()
	}

	cancel() {
		this.press.w.tryBounds(null)
	}
}
