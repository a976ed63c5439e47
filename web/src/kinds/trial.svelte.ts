import { CoreError } from '../core/module'
import type { PlayView, ToldView, Trial } from '../core/types'
import { gameKeys } from '../workspace/gameKeys.svelte'
import type { Project } from '../project/project.svelte'

const pace = 1000 / 60

/** A setting as it would be, while it is dragged. */
export interface Would {
	key: string
	text: string
}

/** A kind that is tried on a piece of ground of its own; it runs while it is shown. */
export class Trying {
	trial = $state.raw<Trial | null>(null)
	view = $state.raw<PlayView | null>(null)
	/** Why the kind cannot be tried. */
	error = $state('')
	frozen = $state(false)
	private held = new Map<string, number>()
	private frame = 0
	private since = 0
	private left = 0

	constructor(private project: Project) {
		this.frozen = matchMedia('(prefers-reduced-motion: reduce)').matches
	}

	/** Takes the kind as it is now, or as it would be; it goes on where it is, unless it is to begin again. */
	take(kind: string, seen: string, would: Would | null, again = false) {
		try {
			const { key, text } = would ?? { key: '', text: '' }
			this.trial = this.project.ask('tryKind', { kind, seen, again, key, text })
			this.see(this.trial.view)
			this.error = ''
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			// while a number is dragged past what it can be the one before stays
			if (!would) this.error = e.message
		}
	}

	/** Of a game on ground of its own nothing is left out of what is told. */
	private see(told: ToldView) {
		this.view = told as PlayView
	}

	run() {
		this.since = performance.now()
		const step = (now: number) => {
			this.frame = requestAnimationFrame(step)
			this.left += Math.min(now - this.since, 100)
			this.since = now
			if (this.frozen || !this.trial) this.left = 0
			const ticks = Math.floor(this.left / pace)
			if (!ticks) return
			this.left -= ticks * pace
			this.step(ticks)
		}
		this.frame = requestAnimationFrame(step)
	}

	private step(ticks: number) {
		let input = 0
		for (const bit of this.held.values()) input |= bit
		try {
			this.see(this.project.ask('tryStep', { input, ticks }))
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.trial = null
		}
	}

	end() {
		cancelAnimationFrame(this.frame)
		this.project.ask('stopTrying')
	}

	/** Takes a key of the game; false when it is none. */
	key(e: KeyboardEvent, down: boolean): boolean {
		const bit = gameKeys.bit(e.code)
		if (!bit || e.ctrlKey || e.metaKey || e.altKey) return false
		this.lean(e.code, down ? bit : 0)
		return true
	}

	/** Holds inputs down by a name of what is pressed; 0 lets them go. */
	lean(by: string, bits: number) {
		if (bits) this.held.set(by, bits)
		else this.held.delete(by)
	}

	release() {
		this.held.clear()
	}
}
