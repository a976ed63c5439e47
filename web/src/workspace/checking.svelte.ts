import type { CheckInfo, ExpectationInfo, ID, ParInfo, Proof, ReachInfo, StudyInfo } from '../core/types'
import type { Project } from '../project/project.svelte'

/** How many ticks are looked ahead at once, and for how many milliseconds of a turn. */
const slice = 800
const atOnce = 10

/** What Check finds out: all about finishing the game, findings, what is expected; a little at a time, while somebody looks. */
export class Checking {
	/** From which map or pin it is studied; empty is as a player begins. */
	from = $state<ID>('')
	study = $state.raw<StudyInfo | null>(null)
	info = $state.raw<CheckInfo>({ findings: [], sorts: [] })
	expectations = $state.raw<ExpectationInfo[]>([])
	/** The map whose fewest moves are looked for. */
	parOf = $state<ID>('')
	par = $state.raw<ParInfo | null>(null)
	/** What is drawn over the map: the walk with where one is stuck, and in how few steps cells are come to. */
	walk = $state(false)
	reach = $state(false)
	/** Which of the places where one is stuck is drawn with the walk. */
	trap = $state(0)
	/** The steps of cells by map, of this state of the project. */
	private steps = new Map<ID, ReachInfo | null>()
	private stepsOf = -1
	private timer = 0
	private looks = 0

	constructor(
		private readonly project: Project,
		private readonly waits: () => boolean,
		/** What is known by then of a game that begins as a player's does. */
		private readonly answers: (known: Proof) => void,
	) {}

	/** Somebody looks, until what is given back is called. */
	look(): () => void {
		this.looks++
		this.later(0)
		return () => {
			this.looks--
		}
	}

	/** Asks anew, soon: the project has changed, or something else is asked. */
	later(after = 400) {
		clearTimeout(this.timer)
		if (!this.expects) this.expectations = []
		if (this.shown || this.expects) this.timer = window.setTimeout(() => this.on(), after)
	}

	/** Somebody sees what is found out. */
	private get shown() {
		return !!this.looks || this.walk || this.reach
	}
	/** What is expected is looked at after every change, whatever is shown. */
	private get expects() {
		return !!this.project.head.project.expectations?.length
	}

	/** How many expectations do not hold. */
	get refuted() {
		return this.expectations.filter((e) => e.verdict === 'refuted').length
	}

	get done() {
		return !!this.study?.done && !this.expectations.some((e) => !e.verdict) && (!this.parOf || !!this.par?.done)
	}

	private on() {
		if (!this.shown && !this.expects) return
		if (this.waits()) return this.later(200)
		if (!this.shown) {
			this.expectations = this.project.ask('expectations', { ticks: 2 * slice })
			if (this.expectations.some((e) => !e.verdict)) this.timer = window.setTimeout(() => this.on(), 12)
			return
		}
		const until = performance.now() + atOnce
		const { from } = this
		let study = this.project.ask('study', { from, ticks: slice })
		while (!study.done && performance.now() < until) study = this.project.ask('study', { from, ticks: slice })
		this.study = study
		if (study.is && !from) this.answers(study)
		if (study.is) this.expectations = this.project.ask('expectations', { ticks: 4 * slice })
		if (this.parOf) {
			const map = this.project.map(this.parOf)
			this.par = map ? this.project.ask('par', { map: map.id, ticks: 4 * slice }) : null
			if (!map) this.parOf = ''
		}
		if (this.looks) this.findings()
		if (!this.done) this.timer = window.setTimeout(() => this.on(), 8)
	}

	private toldOf = ''
	/** Findings are told again where there may be others. */
	private findings() {
		const key = `${this.project.turn} ${this.study?.is} ${this.study?.traps.length} ${this.study?.done} ${this.expectations.map((e) => e.verdict)}`
		if (key === this.toldOf) return
		this.toldOf = key
		this.info = this.project.ask('checks', {})
	}

	/** Something else has been found out: findings are told again. */
	again() {
		this.toldOf = ''
		if (this.looks) this.findings()
	}

	begin(from: ID) {
		this.from = from
		this.study = null
		this.later(0)
	}

	/** Looks for the fewest moves of a map. */
	seek(map: ID) {
		this.parOf = map
		this.par = null
		this.later(0)
	}

	/** In how few steps the cells of a map are come to; null while that is not known. */
	reachOn(map: ID): ReachInfo | null {
		if (this.stepsOf !== this.project.turn) this.steps.clear()
		this.stepsOf = this.project.turn
		let found = this.steps.get(map)
		if (found === undefined) {
			try {
				found = this.project.ask('reach', { map })
			} catch {
				return null // it is not known yet
			}
			this.steps.set(map, found)
		}
		return found
	}
}
