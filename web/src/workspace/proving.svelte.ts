import type { Proof } from '../core/types'
import type { Project } from '../project/project.svelte'
import { Checking } from './checking.svelte'

/** How many ticks are looked ahead at once, and for how many milliseconds, so that nothing is held up. */
const slice = 600
const atOnce = 9
/** How long after a change the question is asked again, in milliseconds. */
const pause = 700

/** Whether the project can be finished, as the core finds out a little at a time. */
export class Proving {
	answer = $state.raw<Proof | null>(null)
	/** It is being looked for; the answer is that of before. */
	busy = $state(false)
	/** All else that is found out, where somebody looks. */
	readonly checking: Checking
	private timer = 0

	constructor(
		private readonly project: Project,
		/** Whether there is something else to do now. */
		private readonly waits: () => boolean,
	) {
		this.checking = new Checking(project, waits, (known) => this.busy || (this.answer = known))
	}

	/** Asks anew, soon. */
	later() {
		clearTimeout(this.timer)
		this.busy = true
		this.timer = window.setTimeout(() => this.on(), pause)
		this.checking.later()
	}

	private on() {
		if (this.waits()) return this.later()
		const until = performance.now() + atOnce
		let said: Proof
		do said = this.project.ask('prove', { ticks: slice })
		while (!said.is && performance.now() < until)
		if (said.is) {
			this.answer = said
			this.busy = false
			this.checking.later(0)
		} else this.timer = window.setTimeout(() => this.on(), 7)
	}
}
