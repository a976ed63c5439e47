import type { Point } from '../core/types'

/** What two fingers move and zoom. */
export interface Moved {
	pan(dx: number, dy: number): void
	zoom(steps: number, x: number, y: number): void
}

/** How much farther apart two fingers have to come for the view to go one scale nearer. */
const perScale = 1.3

/** Two fingers move and zoom the view; what the first had begun alone is taken back. */
export class Pinch {
	private fingers = new Map<number, Point>()
	private last: { middle: Point; apart: number } | null = null

	constructor(
		private readonly view: Moved,
		/** Takes back what one finger had begun. */
		private readonly cancel: () => void,
	) {}

	/** Whether the fingers belong to the view, until all of them are lifted. */
	get on(): boolean {
		return this.last !== null
	}

	/** A finger came. */
	down(id: number, at: Point) {
		this.fingers.set(id, at)
		if (this.fingers.size !== 2) return
		this.cancel()
		this.last = this.measure()
	}

	move(id: number, at: Point) {
		if (!this.fingers.has(id)) return
		this.fingers.set(id, at)
		if (!this.last || this.fingers.size !== 2) return
		const now = this.measure()
		this.view.pan(now.middle.x - this.last.middle.x, now.middle.y - this.last.middle.y)
		const ratio = now.apart / this.last.apart
		const steps = ratio > perScale ? 1 : ratio < 1 / perScale ? -1 : 0
		if (steps) this.view.zoom(steps, now.middle.x, now.middle.y)
		this.last = { middle: now.middle, apart: steps ? now.apart : this.last.apart }
	}

	/** A finger was lifted, or is lost. */
	up(id: number) {
		this.fingers.delete(id)
		if (!this.fingers.size) this.last = null
	}

	private measure() {
		const [a, b] = [...this.fingers.values()]
		return { middle: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, apart: Math.max(1, Math.hypot(a.x - b.x, a.y - b.y)) }
	}
}
