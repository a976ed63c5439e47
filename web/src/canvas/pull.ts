import type { Pulled } from '../core/types'
import { dragged, type Handle } from './handles'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Drags a handle of the one entity that is selected. */
export class Pull implements Gesture {
	readonly what = 'handle'

	constructor(
		private press: Press,
		private handle: Handle,
		private draft: Pulled = { entity: press.w.selection[0], name: '', text: '', traces: [] },
	) {}

	move({ at, ctrl }: Moved): Gesture {
		const { w } = this.press
		const e = w.selection[0]
		if (!e) return this
		const draft = dragged(w, w.map!, e, this.handle, w.view.at(at.x, at.y), this.press.snap(ctrl))
		return new Pull(this.press, { ...this.handle, at }, draft)
	}

	/** Makes what is shown. */
	up() {
		const { w } = this.press
		const { handle } = this
		const { entity: e, text } = this.draft
		const old = w.selection[0]
		if (!old || (old === e && !text && handle.is !== 'tie')) return
		switch (handle.is) {
			case 'size':
				return void w.chosen.changeEntities('resizeEntity', { x: e.x, y: e.y, w: e.w, h: e.h })
			case 'tie': {
				const onto = this.press.entityAt(handle.at)
				if (onto) return void w.chosen.changeEntities('setField', { field: 'carrier', value: onto.id })
				return w.notices.say('Drag the link onto something that moves: a platform, a being, a block.')
			}
			case 'facing':
				if (e.facing !== old.facing) w.chosen.changeEntities('setField', { field: 'facing', value: e.facing })
				return
			case 'setting':
				if (text && text !== handle.detail.value)
					w.chosen.changeEntities('setSetting', { key: handle.detail.key, value: text })
				return
			default:
				w.chosen.changeEntities('setPoints', e.points ?? [])
		}
	}

	shows() {
		return { dragged: { handle: this.handle, draft: this.draft } }
	}
}
