import type { Entity, Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Draws a wire from an entity to another one. */
export class Wire implements Gesture {
	readonly what = 'wire'

	constructor(
		private press: Press,
		private from: Entity,
		private to: Point,
	) {}

	move({ at }: Moved): Gesture {
		return new Wire(this.press, this.from, at)
	}

	/** What the wire would end at. */
	private get end(): Entity | null {
		const e = this.press.entityAt(this.to)
		return e && e.id !== this.from.id && this.press.w.project.kind(e.kind)?.wired ? e : null
	}

	up() {
		const { w } = this.press
		const { from, end } = this
		if (!end)
			return w.notices.say(
				'A wire ends on what it changes: drag it there. For something on another map, press “Wire it…” in Details.',
			)
		w.wiring.offer({ map: w.map!.id, entity: from.id }, w.map!.id, end)
	}

	shows() {
		return { wire: { from: this.from, to: this.to, door: this.end } }
	}
}
