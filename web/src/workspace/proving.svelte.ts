import { CoreError } from '../core/module'
import type { Proof, WalkArgs, WalkKeys } from '../core/types'
import type { Project } from '../project/project.svelte'
import { thinkerOf } from '../think/begin'
import type { Thinker } from '../think/thinker'
import { Checking } from './checking.svelte'

/** How many ticks are looked ahead before something else can be asked. */
const slice = 8000
/** How long after a change the question is asked again, in milliseconds. */
const pause = 700

/** Whether the project can be finished, as the core finds out in its worker, a little at a time. */
export class Proving {
	answer = $state.raw<Proof | null>(null)
	/** It is being looked for; the answer is that of before. */
	busy = $state(false)
	/** All else that is found out, where somebody looks. */
	readonly checking: Checking
	/** What finds it out. */
	readonly thinker: Thinker
	private timer = 0
	/** Which question is asked: whatever is answered to an earlier one is not looked at. */
	private round = 0

	constructor(
		private readonly project: Project,
		/** Whether there is something else to do now. */
		private readonly waits: () => boolean,
	) {
		this.thinker = thinkerOf(project)
		this.checking = new Checking(project, this.thinker, waits, (known) => this.busy || (this.answer = known))
	}

	/** Asks anew, soon. */
	later() {
		clearTimeout(this.timer)
		this.round++
		this.busy = true
		this.timer = window.setTimeout(() => this.on(), pause)
		this.checking.later()
	}

	/** What is held on a walk that was found; nothing where there is none any more. */
	async walk(of: Partial<WalkArgs>): Promise<WalkKeys | undefined> {
		try {
			return await this.thinker.ask('walk', { from: '', trap: 0, expectation: '', ...of })
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.project.notices.wrong(e)
		}
	}

	private async on() {
		if (this.waits()) return this.later()
		const round = this.round
		let said: Proof
		do {
			said = await this.thinker.ask('prove', { ticks: slice })
			if (round !== this.round) return
			if (said.is) {
				this.answer = said
				this.busy = false
			}
		} while (!said.is || said.more)
		this.checking.later(0)
	}
}
