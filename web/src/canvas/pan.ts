import type { Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves what is seen. */
export class Pan implements Gesture {
	readonly what = 'pan'

	constructor(
		private press: Press,
		private from: Point,
	) {}

	move({ at }: Moved): Gesture {
		this.press.w.view.pan(at.x - this.from.x, at.y - this.from.y)
		return new Pan(this.press, at)
	}

	up() {}
}
