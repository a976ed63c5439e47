import { CoreError } from '../core/module'
import type { CheckInfo, ExpectationInfo, ID, ParInfo, Proof, ReachInfo, StudyInfo } from '../core/types'
import { Pictures } from '../draw/pictures'
import { base64 } from '../project/base64'
import type { Project } from '../project/project.svelte'
import type { Thinker } from '../think/thinker'

/** How many ticks are looked ahead before something else can be asked. */
const slice = 8000

/** What Check finds out: all about finishing the game, findings, what is expected; a little at a time, while somebody looks. */
export class Checking {
	/** From which map or pin it is studied; empty is as a player begins. */
	from = $state<ID>('')
	study = $state.raw<StudyInfo | null>(null)
	info = $state.raw<CheckInfo>({ findings: [], sorts: [], pars: [] })
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
	/** Goes up when it is known of another map in how few steps one comes to its cells. */
	reached = $state(0)
	private timer = 0
	private looks = 0
	/** Which questions are asked: whatever is answered to earlier ones is not looked at. */
	private round = 0

	constructor(
		private readonly project: Project,
		private readonly thinker: Thinker,
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
		this.round++
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

	private async on() {
		if (!this.shown && !this.expects) return
		if (this.waits()) return this.later(200)
		const { round, from, thinker } = this
		const over = () => round !== this.round
		do {
			if (this.shown) {
				const study = await thinker.ask('study', { from, ticks: slice })
				if (over()) return
				this.study = study
				if (study.is && !from) this.answers(study)
			}
			if (!this.shown || this.study?.is) {
				const expectations = await thinker.ask('expectations', { ticks: slice })
				if (over()) return
				this.expectations = expectations
			}
			if (this.shown && this.parOf) await this.seeks(over)
			if (this.looks && !over()) await this.findings(over)
		} while (!over() && (this.shown ? !this.done : this.expectations.some((e) => !e.verdict)))
	}

	/** Goes on looking for the fewest moves of a map. */
	private async seeks(over: () => boolean) {
		const map = this.project.map(this.parOf)
		const par = map ? await this.thinker.ask('par', { map: map.id, ticks: slice }) : null
		if (over()) return
		this.par = par
		if (!map) this.parOf = ''
	}

	private toldOf = ''
	/** Something is known of findings: until then there is not nothing to be found. */
	get looked() {
		return this.info.sorts.length > 0
	}

	/** Findings are told again where there may be others. */
	private async findings(over: () => boolean) {
		const key = `${this.project.turn} ${this.study?.is} ${this.study?.traps.length} ${this.study?.done} ${this.expectations.map((e) => e.verdict)}`
		if (key === this.toldOf) return
		await this.sees(over)
		if (over()) return
		const info = await this.thinker.ask('checks', {})
		if (over()) return
		this.toldOf = key
		this.info = info
	}

	/** Has pictures of tilesets be looked at that were not yet: what is hard to see is found by them. */
	private async sees(over: () => boolean) {
		const missing = new Set<string>()
		for (;;) {
			const pictures = (await this.thinker.ask('unseen', {})).filter((p) => !missing.has(p))
			if (!pictures.length) return
			for (const picture of pictures) {
				try {
					const png = new Uint8Array(await (await Pictures.source(picture)).arrayBuffer())
					if (over()) return
					await this.thinker.ask('seen', { picture, png: base64(png) })
				} catch (e) {
					if (e instanceof CoreError) throw e
					missing.add(picture) // it is not to be had now
				}
			}
		}
	}

	/** Something else has been found out: findings are told again. */
	again() {
		this.toldOf = ''
		if (this.looks) this.later(0)
	}

	begin(from: ID) {
		this.from = from
		this.study = null
		this.stepsOf = -1 // one comes elsewhere
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
		const found = this.steps.get(map)
		if (found === undefined) {
			this.steps.set(map, null) // asked
			void this.askReach(map, this.project.turn)
		}
		return found ?? null
	}

	private async askReach(map: ID, turn: number) {
		let found: ReachInfo | undefined
		const from = this.from
		try {
			found = await this.thinker.ask('reach', { map, from })
		} catch {
			// it is not known yet
		}
		if (turn !== this.stepsOf || from !== this.from) return
		if (found) this.steps.set(map, found)
		else this.steps.delete(map)
		if (found || this.study?.done) this.reached++
	}
}
