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
		return e && this.press.w.project.kind(e.kind)?.wired ? e : null
	}

	up() {
		const { w } = this.press
		const { from, end } = this
		if (!end)
			return w.notices.say('A wire ends on a door: drag it there. For a door on another map, use the rule’s card.')
		const map = w.map!.id
		const made = w.project.try('wire', { from: { map, entity: from.id }, to: { map, entity: end.id } })
		if (!made?.made) return
		w.rule = made.made
		w.notices.say(`${from.name} opens ${end.name}.`, 'done', {
			label: 'Show the rule',
			run: () => w.layout.show('rules'),
		})
	}

	shows() {
		return { wire: { from: this.from, to: this.to, door: this.end } }
	}
}
