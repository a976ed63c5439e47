import { CoreError } from '../core/module'
import type { ID, PlayView, Point } from '../core/types'
import type { Project } from '../project/project.svelte'

/** The inputs of the play engine, by the physical keys that hold them down. */
const inputs: Record<string, number> = {
	ArrowUp: 1,
	KeyW: 1,
	ArrowRight: 2,
	KeyD: 2,
	ArrowDown: 4,
	KeyS: 4,
	ArrowLeft: 8,
	KeyA: 8,
	KeyE: 16,
	Space: 16,
	Enter: 16,
}

/** Milliseconds a tick. */
const pace = 1000 / 60

/** The game that is being played on the canvas. */
export class Play {
	view = $state.raw<PlayView | null>(null)
	private held = new Map<string, number>()
	/** Keys that went down since the last tick: each counts for one tick at least, in their order. */
	private taps: number[] = []
	private last = 0
	private before = 0
	private left = 0
	private frame = 0

	constructor(
		private project: Project,
		/** Told after each frame, and when the game ends for a reason. */
		private moved: (view: PlayView) => void,
	) {}

	get on(): boolean {
		return this.view !== null
	}

	/** Begins at the spawn, or at a cell; throws the core's sentence. */
	start(map: ID, at?: Point) {
		const seed = Math.floor(Math.random() * 2 ** 31)
		this.view = at ? this.project.ask('playAt', { map, active: '', at, seed }) : this.project.ask('play', { map, seed })
		this.release()
		this.last = 0
		this.left = 0
		this.before = performance.now()
		cancelAnimationFrame(this.frame)
		this.frame = requestAnimationFrame(this.step)
		this.moved(this.view!)
	}

	stop() {
		if (!this.view) return
		cancelAnimationFrame(this.frame)
		this.view = null
		this.project.ask('stop')
	}

	private step = (now: number) => {
		this.frame = requestAnimationFrame(this.step)
		// after a pause the game goes on from where it was instead of catching up
		this.left += Math.min(now - this.before, 100)
		this.before = now
		const ticks = Math.floor(this.left / pace)
		if (ticks === 0) return
		this.left -= ticks * pace
		try {
			for (let n = ticks; n > 0;) n -= this.tick(n)
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.stop()
			return
		}
		if (this.view) this.moved(this.view)
	}

	/** Plays at most n ticks with one input; gives how many. */
	private tick(n: number): number {
		let input = 0
		for (const bit of this.held.values()) input |= bit
		for (const tap of this.taps) input &= ~tap
		const [tap] = this.taps
		// a key that is pressed again was let go between, however short that was
		if (tap && !(tap & this.last)) input |= this.taps.shift()!
		const ticks = tap ? 1 : n
		this.last = input
		this.view = this.project.ask('step', { input, ticks })
		return ticks
	}

	/** Takes a key of the game; false when it is none. */
	key(e: KeyboardEvent, down: boolean): boolean {
		const bit = inputs[e.code]
		if (!bit || (down && (e.ctrlKey || e.metaKey || e.altKey))) return false
		this.lean(e.code, down ? bit : 0)
		return true
	}

	/** Holds inputs down by a name of what is pressed; 0 lets them go. */
	lean(by: string, bits: number) {
		const before = this.held.get(by) ?? 0
		for (let bit = 1; bit <= bits; bit <<= 1) {
			if (!(bits & ~before & bit)) continue
			// a key that is hit faster than the game can tell apart leaves no queue to walk off afterwards
			if (this.taps.at(-1) !== bit) this.taps.push(bit)
		}
		if (bits) this.held.set(by, bits)
		else this.held.delete(by)
	}

	release() {
		this.held.clear()
		this.taps = []
	}
}
