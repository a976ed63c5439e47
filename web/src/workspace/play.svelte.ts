import { flushSync } from 'svelte'
import { CoreError } from '../core/module'
import type { Given, ID, PlayEvent, PlayView, Point, Spot, ToldView, WalkKeys } from '../core/types'
import { Frames } from './frames'
import { gameKeys } from './gameKeys.svelte'
import { padInputs } from './pads'
import type { Project } from '../project/project.svelte'

/** Milliseconds a tick. */
const pace = 1000 / 60
/** The core plays no more at once. */
const most = 15
/** The inputs that take what is in a quick slot in hand, and the one that takes what comes next. */
const slots = [256, 512, 1024, 2048]
const next = 4096
const nothing: Given = { flags: [], taken: [], language: '' }
const someSeed = () => Math.floor(Math.random() * 2 ** 31)
/** How fast a game can go. */
export const speeds = [0.25, 0.5, 1, 2, 4]

/** The game that is being played on the canvas, and its time: it can be frozen, stepped and pulled back. */
export class Play {
	view = $state.raw<PlayView | null>(null)
	/** The view as it is drawn: what moves may still be on its way to where it is. */
	shown = $state.raw<PlayView | null>(null)
	frozen = $state(false)
	speed = $state(1)
	/** The tick that is looked back at; null while the game is where it is. */
	behind = $state<number | null>(null)
	/** What has happened, as far as the bar reaches. */
	events = $state.raw<PlayEvent[]>([])
	/** What is pointed at on the bar. */
	pointed = $state.raw<PlayEvent | null>(null)
	/** Where the hero went when the same keys were held before. */
	before = $state.raw<Spot[]>([])
	/** What games are read in that begin now: as the last one was. */
	private language = ''
	/** Told of what happened, as it does. */
	told: ((events: PlayEvent[], tick: number) => void) | null = null
	/** What is said is still being written: a press writes all of it. */
	writing = $state(false)
	private held = new Map<string, number>()
	/** Keys that went down since the last tick: each counts for one tick at least, in their order. */
	private taps: number[] = []
	/** What a gamepad holds down counts only once it was let go: it was pressed elsewhere. */
	letGo = false
	/** A recording: what is held tick by tick, played as fast as it can be before keys count again. */
	fed: number[] = []
	private last = 0
	private since = 0
	private left = 0
	private frame = 0
	private readonly frames: Frames
	/** How far what is shown is on its way to the tick that was played last. */
	private part = 1

	constructor(
		private project: Project,
		/** Told after each frame, and when the game ends for a reason. */
		private moved: (view: PlayView) => void,
		private failed: (sentence: string) => void,
	) {
		this.frames = new Frames(project.core, () => project.head.poses)
	}

	/** A game is there, and on which map; told apart from its view, which is another one with each tick. */
	readonly on = $derived(this.view !== null)
	readonly map = $derived(this.view?.map)

	/** The game runs at this moment. */
	get runs(): boolean {
		return this.on && !this.frozen
	}

	/** Stands still until somebody lets it go on. */
	stand() {
		this.frozen = true
		this.release()
	}

	/** Begins at the spawn, or at a cell; throws the core's sentence, as all that begin do. */
	start(map: ID, at?: Point, given: Given = nothing) {
		const from = { map, given: { ...given, language: given.language || this.language }, seed: someSeed() }
		this.begin(at ? this.project.ask('playAt', { ...from, active: '', at }) : this.project.ask('play', from))
	}

	/** Begins where one comes out of a passage. */
	through(passage: ID, given: Given) {
		given = { ...given, language: this.language }
		this.begin(this.project.ask('playThrough', { passage, given, seed: someSeed() }))
	}

	/** Goes on from a pin. */
	resume(id: ID) {
		this.begin(this.project.ask('resume', { id }))
	}

	/** Goes on with a kept game; gives how many things are not in it any more. */
	load(data: string): number {
		const { view, gone } = this.project.ask('loadGame', { data })
		this.begin(view)
		return gone
	}

	/** Reads on in a language of the project, empty for what the texts are written in. */
	read(language: string) {
		this.language = language
		if (this.view) this.try(() => this.project.ask('read', { language }))
	}

	/** Plays the walk that was found, faster than one walks. */
	showWalk(walk: WalkKeys) {
		this.begin(this.project.ask('showWalk', walk))
		this.speed = 2
	}

	/** Plays a recording. */
	watch(id: ID) {
		this.begin(this.project.ask('watch', { id }))
	}

	/** Plays so many ticks of what leads the hero at once, and stands still there. */
	runTo(ticks: number) {
		if (!this.view) return
		const to = this.view.tick + ticks
		while (this.view.tick < to && this.view.shows)
			this.take(this.project.ask('step', { input: 0, ticks: Math.min(most, to - this.view.tick) }))
		this.frozen = true
		this.moved(this.view)
	}

	private begin(told: ToldView) {
		const view = this.put(told, false)
		this.release()
		this.frozen = false
		this.speed = 1
		this.behind = null
		this.events = view.events
		this.before = []
		this.last = 0
		this.left = 0
		this.since = performance.now()
		cancelAnimationFrame(this.frame)
		this.frame = requestAnimationFrame(this.step)
		this.moved(view)
	}

	stop() {
		if (!this.view) return
		cancelAnimationFrame(this.frame)
		this.view = this.shown = null
		this.pointed = null
		this.project.ask('stop')
	}

	private drawNow?: () => void

	/** What draws, where something is planned to be drawn with the next frame, until what is given back is called. */
	draws(now: () => void): () => void {
		this.drawNow = now
		return () => {
			if (this.drawNow === now) this.drawNow = undefined
		}
	}

	/** A frame: what is played in it is seen in it as well, not only in the one after it. */
	private step = (now: number) => {
		this.frame = requestAnimationFrame(this.step)
		this.advance(now)
		flushSync()
		this.drawNow?.()
	}

	private advance(now: number) {
		const pads = navigator.getGamepads().filter((pad) => pad?.connected) as Gamepad[]
		this.letGo &&= pads.some((pad) => padInputs(pad))
		for (const pad of pads) this.lean(`gamepad ${pad.index}`, this.letGo ? 0 : padInputs(pad))
		// after a pause the game goes on from where it was instead of catching up
		this.left += Math.min(now - this.since, 100) * this.speed
		this.since = now
		if (this.frozen) {
			this.left = 0
			if (this.part < 1) this.draw()
			return
		}
		if (this.fed.length) return this.feed()
		const ticks = Math.floor(this.left / pace)
		if (ticks === 0) return this.draw()
		this.left -= ticks * pace
		try {
			for (let n = ticks; n > 0;) n -= this.tick(n)
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.stop()
			return
		}
		this.draw()
	}

	/** Plays what was recorded, for as long as a frame has time. */
	private feed() {
		const until = performance.now() + 12
		this.left = 0
		while (this.fed.length && performance.now() < until) {
			const [input] = this.fed
			let ticks = 1
			while (ticks < most && this.fed[ticks] === input) ticks++
			this.fed = this.fed.slice(ticks)
			this.take(this.project.ask('step', { input, ticks }))
			if (!this.view) this.fed = []
		}
		this.draw()
	}

	/** Shows what moves on its way, as far as the next tick is due. */
	private draw() {
		if (!this.view) return
		this.part = this.frozen || this.speed > 1 ? 1 : Math.min(1, this.left / pace)
		this.shown = this.frames.shown(this.view, this.part)
		this.moved(this.view)
	}

	/** Takes over a view: lists that are left out of it are as they were. */
	private put(told: ToldView, on: boolean, seen = true): PlayView {
		const view = (this.view = { ...this.view, ...told } as PlayView)
		if (!view.shows) this.language = view.language
		this.frames.take(view, on)
		this.part = 1
		if (seen) this.shown = this.frames.shown(view, 1)
		return view
	}

	/** Plays at most n ticks with one input, for the frame that is drawn afterwards; gives how many. */
	private tick(n: number): number {
		let input = 0
		for (const bit of this.held.values()) input |= bit
		for (const tap of this.taps) input &= ~tap
		const [tap] = this.taps
		// a key that is pressed again was let go between, however short that was
		if (tap && !(tap & this.last)) input |= this.taps.shift()!
		const ticks = tap ? 1 : Math.min(n, most)
		this.last = input
		this.take(this.project.ask('step', { input, ticks }), false)
		return ticks
	}

	/** Takes over what was played; without `seen` it is not what is shown yet. */
	private take(view: ToldView, seen = true) {
		if (view.events.length) this.events = [...this.events, ...view.events].filter((e) => e.tick >= view.from)
		if (this.before.length && this.view?.shows && !view.shows) this.before = []
		this.put(view, !this.frozen, seen)
		this.told?.(view.events, view.tick)
	}

	/** Gives one of the answers to what is asked, as keys would. */
	answer(n: number) {
		if (!this.view || this.frozen) return
		const down = Math.max(0, n - this.view.chosen)
		const up = Math.max(0, this.view.chosen - n)
		this.taps.push(...Array<number>(down).fill(4), ...Array<number>(up).fill(1), 16)
	}

	/** Has an input go down for a tick, as a key would. */
	press(bit: number) {
		if (this.view && !this.frozen) this.taps.push(bit)
	}

	/** Asks something of the game; a sentence of the core is shown. */
	private try(ask: () => ToldView): boolean {
		try {
			this.take(ask())
			this.moved(this.view!)
			return true
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.failed(e.message)
			return false
		}
	}

	/** Takes over what was edited while the game stands still. */
	refresh() {
		if (this.view && this.frozen && this.behind === null) this.try(() => this.project.ask('look'))
	}

	freeze() {
		if (this.frozen) this.goOn()
		else this.frozen = true
	}

	/** Lets the game go on, from the tick that is looked at. */
	goOn() {
		const tick = this.behind
		if (tick !== null && this.try(() => this.project.ask('goOn', { tick }))) this.from(tick)
		this.behind = null
		this.frozen = false
		this.before = []
	}

	private from(tick: number) {
		this.events = this.events.filter((e) => e.tick <= tick)
	}

	/** Shows the game as it was after a tick. */
	lookAt(tick: number) {
		if (!this.view) return
		this.frozen = true
		const { from, to } = this.view
		const at = Math.max(from, Math.min(to, Math.round(tick)))
		this.behind = at === to ? null : at
		this.try(() => (at === to ? this.project.ask('look') : this.project.ask('back', { tick: at })))
	}

	/** Plays one tick, or looks at the one after that which is looked at. */
	stepOn() {
		if (!this.view) return
		if (!this.frozen) this.frozen = true
		if (this.behind !== null) return this.lookAt(this.behind + 1)
		this.tick(1)
		this.draw()
	}

	/** Holds the same keys once more from the tick that is looked at, or from the beginning of the bar. */
	again() {
		if (!this.view) return
		const tick = this.behind ?? this.view.from
		try {
			const { view, before } = this.project.ask('again', { tick })
			this.from(tick)
			this.before = before
			this.take(view)
			this.behind = null
			this.frozen = false
			this.moved(this.view!)
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.failed(e.message)
		}
	}

	pace(steps: number) {
		const i = speeds.indexOf(this.speed) + steps
		this.speed = speeds[Math.max(0, Math.min(speeds.length - 1, i))]
	}

	/** Does what a rule does, or a line of it, at once in the game as it is now. */
	doNow(rule: ID, part: ID) {
		this.behind = null
		this.try(() => this.project.ask('doNow', { rule, part }))
	}

	roam() {
		const on = !this.view?.roam
		if (this.behind === null) this.try(() => this.project.ask('roam', { on }))
	}

	/** What lies at a map pixel in the game, in words. */
	about(at: Point): string {
		return this.view ? this.project.ask('about', { at, tick: this.behind ?? 0 }) : ''
	}

	/** Has the hero go to a cell by the shortest way. */
	walkTo(at: Point) {
		if (!this.frozen) this.try(() => this.project.ask('walkTo', { at }))
	}

	/** Takes a key of the game; false when it is none. */
	key(e: KeyboardEvent, down: boolean): boolean {
		const bit = gameKeys.bit(e.code)
		if (!bit || (down && (e.ctrlKey || e.metaKey || e.altKey))) return false
		// without anything to take in hand these keys are the designer's, as they are in a game that stands still
		if (down && [...slots, next].includes(bit)) {
			const slot = this.view?.slots[bit === next ? 0 : slots.indexOf(bit)]
			if (this.frozen || !slot) return false
		}
		this.lean(e.code, down ? bit : 0)
		return true
	}

	/** Holds inputs down by a name of what is pressed; 0 lets them go. */
	lean(by: string, bits: number) {
		const before = this.held.get(by) ?? 0
		if (this.writing && bits & 48 & ~before) {
			this.writing = false
			return
		}
		for (let bit = 1; bit <= bits; bit <<= 1) {
			if (!(bits & ~before & bit)) continue
			// a key that is hit faster than the game can tell apart leaves no queue to walk off afterwards
			if (!this.frozen && this.taps.at(-1) !== bit) this.taps.push(bit)
		}
		if (bits) this.held.set(by, bits)
		else this.held.delete(by)
	}

	release() {
		this.held.clear()
		this.taps = []
	}
}
