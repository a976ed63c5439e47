import type { Facing } from '../core/types'
import type { Side } from './bounds'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

const facings: Record<Side, Facing> = { left: 'left', top: 'up', right: 'right', bottom: 'down' }

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
		const p = w.view.at(at.x, at.y)
		const to = { x: Math.round(p.x), y: Math.round(p.y) }
		const b = w.project.ask('sidePulled', { map: m.id, side: facings[this.side], to })
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
