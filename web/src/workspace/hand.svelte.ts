import type { Grip, ID, MapInfo, Mirror, MirrorMode, Scatter, Shape } from '../core/types'

export interface Slot {
	grip: Grip
	layer: ID
}

/** What a drag selects with an empty hand, and how. */
export interface Picks {
	what: 'entities' | 'layer' | 'all'
	by: 'box' | 'area' | 'same'
}

const kept = 5
const empty: Grip = { what: 'nothing', shape: 'freehand' }

/** What the designer holds, and the tray: slots 1–5 are kept, 6–0 a trail of what was held last. */
export class Hand {
	grip = $state.raw<Grip>(empty)
	/** The layer that is worked on by each map. */
	layers = $state.raw<Record<ID, ID>>({})
	tray = $state.raw<(Slot | null)[]>(Array.from({ length: 10 }, () => null))
	/** The mirror of each map; none is off. */
	mirrors = $state.raw<Record<ID, Mirror>>({})
	picks = $state.raw<Picks>({ what: 'entities', by: 'box' })
	/** What scatters are drawn with; another number draws again. */
	seed = $state(1)
	private last?: Slot

	constructor(private store: string) {
		try {
			const saved = JSON.parse(localStorage.getItem(store) ?? '{}') as {
				tray?: (Slot | null)[]
				layers?: Record<ID, ID>
				mirrors?: Record<ID, Mirror>
				picks?: Picks
			}
			if (saved.tray?.length === 10) this.tray = saved.tray
			if (saved.layers) this.layers = saved.layers
			if (saved.mirrors) this.mirrors = saved.mirrors
			if (saved.picks) this.picks = saved.picks
		} catch {
			// what cannot be read is started anew
		}
	}

	private save() {
		localStorage.setItem(
			this.store,
			JSON.stringify({ tray: this.tray, layers: this.layers, mirrors: this.mirrors, picks: this.picks }),
		)
	}

	get holding(): boolean {
		return this.grip.what !== 'nothing'
	}

	/** How things are put down, whatever is held. */
	private get way() {
		const { shape, size, round, corners, shown, aligned, inside } = this.grip
		return { shape, size, round, corners, shown, aligned, inside }
	}

	/** Takes something into the hand; the shape and how it is drawn out stay what they were unless one is given. */
	hold(grip: Omit<Grip, 'shape'> & { shape?: Shape }, layer: ID = '') {
		this.grip = { turn: 0, ...this.way, ...grip }
		if (grip.what !== 'nothing' && grip.what !== 'eraser') this.trail({ grip: this.grip, layer })
		else this.last = undefined
	}

	letGo() {
		this.grip = { ...this.way, what: 'nothing' }
		this.last = undefined
	}

	shape(shape: Shape) {
		this.change({ shape })
	}

	turn(quarters: number) {
		const turn = this.grip.turn ?? 0
		this.change({ turn: (turn & 4) | ((turn + quarters + 4) & 3) })
	}

	flip() {
		this.change({ turn: (this.grip.turn ?? 0) ^ 4 })
	}

	size(size: number) {
		this.change({ size: Math.max(1, Math.min(64, size)) })
	}

	scatter(scatter: Scatter | undefined) {
		this.change({ scatter })
	}

	/** What the rim leaves, empties or puts inside. */
	inside(inside: Grip | undefined) {
		this.change({ inside: inside && { ...inside, inside: undefined } })
	}

	/** How a shape is drawn out: its tip, how far a fill goes, where blocks begin. */
	manner(manner: Pick<Grip, 'round' | 'corners' | 'shown' | 'aligned' | 'replace'>) {
		this.change(manner)
	}

	/** Draws a scatter again. */
	drawAgain() {
		this.seed = crypto.getRandomValues(new Uint32Array(1))[0]
	}

	mirrorOf(m: MapInfo): Mirror {
		return this.mirrors[m.id] ?? { mode: '', x: 2 * m.bounds.x + m.bounds.w, y: 2 * m.bounds.y + m.bounds.h }
	}

	mirror(m: MapInfo, change: Partial<Mirror>) {
		this.mirrors = { ...this.mirrors, [m.id]: { ...this.mirrorOf(m), ...change } }
		this.save()
	}

	nextMirror(m: MapInfo) {
		const modes: MirrorMode[] = ['', 'left–right', 'up–down', 'both', 'quarters']
		this.mirror(m, { mode: modes[(modes.indexOf(this.mirrorOf(m).mode) + 1) % modes.length] })
	}

	pick(change: Partial<Picks>) {
		this.picks = { ...this.picks, ...change }
		this.save()
	}

	private change(change: Partial<Grip>) {
		this.grip = { ...this.grip, ...change }
		if (!this.last) return
		// the trail shows the grip as it is now
		const at = this.tray.indexOf(this.last)
		this.last = { ...this.last, grip: this.grip }
		if (at >= kept) this.tray = this.tray.with(at, this.last)
		this.save()
	}

	private trail(slot: Slot) {
		const same = (s: Slot | null) => s !== null && sameThing(s.grip, slot.grip)
		if (this.tray.slice(0, kept).some(same)) {
			this.last = undefined
			return
		}
		const rest = this.tray.slice(kept).filter((s) => s !== null && !same(s))
		this.last = slot
		this.tray = [
			...this.tray.slice(0, kept),
			...Array.from({ length: 10 - kept }, (_, i) => [slot, ...rest][i] ?? null),
		]
		this.save()
	}

	/** Keeps what is held in one of the first five slots. */
	keep(slot: number, layer: ID) {
		if (!this.holding || slot >= kept) return
		this.tray = this.tray.with(slot, { grip: this.grip, layer })
		this.save()
	}

	clear(slot: number) {
		this.tray = this.tray.with(slot, null)
		this.save()
	}

	take(slot: number): Slot | null {
		const found = this.tray[slot]
		if (found) {
			this.grip = found.grip
			this.last = undefined
		}
		return found
	}

	work(map: ID, layer: ID) {
		this.layers = { ...this.layers, [map]: layer }
		this.save()
	}
}

export function sameThing(a: Grip, b: Grip): boolean {
	return (
		a.what === b.what &&
		a.kind === b.kind &&
		a.number === b.number &&
		a.motif === b.motif &&
		a.width === b.width &&
		(a.look ?? 0) === (b.look ?? 0) &&
		String(a.cells) === String(b.cells)
	)
}
