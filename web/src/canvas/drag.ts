import type { Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves the entities that are selected. */
export class Drag implements Gesture {
	readonly what = 'move'

	constructor(
		private press: Press,
		/** Where it began, in map pixels. */
		private from: Point,
		/** A press that moves nothing selects what lies beneath. */
		private again: boolean,
		private by: Point = { x: 0, y: 0 },
	) {}

	move({ at, ctrl }: Moved): Gesture {
		const { w } = this.press
		const p = w.view.at(at.x, at.y)
		const far = { x: Math.round(p.x - this.from.x), y: Math.round(p.y - this.from.y) }
		const by = w.project.ask('snapMove', { map: w.map!.id, by: far, snap: this.press.snap(ctrl) })
		return by.x === this.by.x && by.y === this.by.y ? this : new Drag(this.press, this.from, this.again, by)
	}

	up() {
		const { w } = this.press
		if (this.by.x || this.by.y)
			w.project.try('moveEntities', { map: w.map!.id, ids: w.selected, dx: this.by.x, dy: this.by.y })
		else if (this.again) this.press.selectBeneath(this.from)
	}

	shows() {
		return { moved: this.by.x || this.by.y ? this.by : null }
	}
}
