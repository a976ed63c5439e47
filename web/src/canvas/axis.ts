import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves a line of the mirror. */
export class Axis implements Gesture {
	readonly what = 'axis'

	constructor(
		private press: Press,
		private upright: boolean,
	) {}

	move({ at }: Moved): Gesture {
		const { w } = this.press
		const m = w.map!
		const now = w.hand.mirrorOf(m)
		const p = w.view.at(at.x, at.y)
		const [line, cell] = this.upright ? [p.x, m.cellWidth] : [p.y, m.cellHeight]
		const to = w.project.ask('linePulled', { at: Math.round(line), cell })
		if (to !== (this.upright ? now.x : now.y)) w.hand.mirror(m, this.upright ? { x: to } : { y: to })
		return this
	}

	up() {}
}
