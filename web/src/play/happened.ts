import type { ID, PlayEvent, PlayView } from '../core/types'

/** What sounds when something has happened, by what the core tells. */
const told: Record<string, string> = {
	take: 'take',
	use: 'switch',
	turnOn: 'switch',
	turnOff: 'switch',
	flip: 'switch',
	open: 'open',
	shut: 'locked',
	shuts: 'close',
	hit: 'strike',
	defeat: 'defeat',
	struck: 'hurt',
	fell: 'hurt',
	back: 'back',
	spring: 'spring',
	blast: 'blast',
	push: 'push',
	falls: 'crash',
	gives: 'crash',
	built: 'knock',
	checkpoint: 'checkpoint',
	goal: 'goal',
	win: 'win',
	done: 'win',
	lose: 'lose',
	arrive: 'arrive',
}

/** Something that is to be heard: its word, and of what kind it is, empty for none. */
export interface Sounded {
	word: string
	kind: ID
}

/** Ticks between two steps. */
const stride = 17

/** Tells what is to be heard of what happens in a game, from one view to the next. */
export class Happened {
	private last = -1
	private before: PlayView | null = null
	private foot = 0

	/** What sounds since the last call: of events, and of how the view differs. */
	since(view: PlayView, events: PlayEvent[]): Sounded[] {
		const out: Sounded[] = []
		const hear = (word: string, kind: ID = '') => out.push({ word, kind })
		const was = this.before
		this.before = view
		// another game, or one that was pulled back: nothing of it has just happened
		if (!was || view.tick < was.tick || view.tick > was.tick + 60) {
			this.last = view.tick
			return out
		}
		if (view.tick === was.tick) return out
		for (const e of events) {
			if (e.tick > this.last && told[e.is] && !e.rule) hear(told[e.is], e.kind)
		}
		this.last = view.tick
		if (view.line && view.line !== was.line) hear('message')
		else if (view.answers.length && view.chosen !== was.chosen) hear('choose')
		if (view.map !== was.map) return out
		if (view.strikes > 0 && was.strikes === 0) hear('swing')
		if (view.shots.length > was.shots.length) hear('shot')
		if (view.does !== was.does) {
			if (view.does === 'swims') hear('splash')
			else if (view.does === 'flies' && view.side && view.y < was.y) hear('jump')
			else if (was.does === 'flies' && view.does === 'walks') hear('land')
		}
		const foot = view.steps > 0 ? 1 + Math.floor(view.steps / stride) : 0
		if (view.does === 'walks' && foot > 0 && foot !== this.foot) hear(`step ${view.under || 'plain'}`)
		this.foot = foot
		return out
	}
}
