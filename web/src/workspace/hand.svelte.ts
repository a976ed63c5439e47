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

/** How a thing is put down. */
type Way = Pick<
	Grip,
	'shape' | 'size' | 'round' | 'depth' | 'oval' | 'corners' | 'shown' | 'aligned' | 'inside' | 'replace'
>

/** So many things are remembered with how they were put down. */
const memory = 100

/** What the designer holds, and the tray: slots 1–5 are kept, 6–0 are what was held last, each in its place. */
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
	/** The slot of the trail that shows what is held; -1 is none. */
	private shows = -1
	/** The slots of the trail, the one used last first. */
	private recent = $state.raw<number[]>([])
	/** How each thing was put down last, the latest first. */
	private ways: [string, Way][] = []

	constructor(private store: string) {
		try {
			const saved = JSON.parse(localStorage.getItem(store) ?? '{}') as {
				tray?: (Slot | null)[]
				layers?: Record<ID, ID>
				mirrors?: Record<ID, Mirror>
				picks?: Picks
				recent?: number[]
				ways?: [string, Way][]
			}
			if (saved.tray?.length === 10) this.tray = saved.tray
			if (saved.layers) this.layers = saved.layers
			if (saved.mirrors) this.mirrors = saved.mirrors
			if (saved.picks) this.picks = saved.picks
			if (Array.isArray(saved.recent)) this.recent = saved.recent
			if (Array.isArray(saved.ways)) this.ways = saved.ways
		} catch {
			// what cannot be read is started anew
		}
	}

	private save() {
		localStorage.setItem(
			this.store,
			JSON.stringify({
				tray: this.tray,
				layers: this.layers,
				mirrors: this.mirrors,
				picks: this.picks,
				recent: this.recent,
				ways: this.ways,
			}),
		)
	}

	get holding(): boolean {
		return this.grip.what !== 'nothing'
	}

	/** How what is held is put down. */
	private get way(): Way {
		const { shape, size, round, depth, oval, corners, shown, aligned, inside, replace } = this.grip
		return { shape, size, round, depth, oval, corners, shown, aligned, inside, replace }
	}

	/**
	 * Takes something into the hand. How it is put down is what it was with this thing, or with the one
	 * before when it is new, unless it is given.
	 */
	hold(grip: Omit<Grip, 'shape'> & { shape?: Shape }, layer: ID = '') {
		const before = this.ways.find(([thing]) => thing === thingOf(grip))?.[1]
		// what lies under one kind does not go for the next
		this.grip = { turn: 0, ...(before ?? { ...this.way, replace: undefined }), ...grip }
		this.remember()
		if (grip.what !== 'nothing' && grip.what !== 'eraser') this.trail({ grip: this.grip, layer })
		else this.shows = -1
		this.save()
	}

	private remember() {
		const thing = thingOf(this.grip)
		if (!this.holding || thing.length > 400) return
		this.ways = [[thing, this.way] as [string, Way], ...this.ways.filter(([t]) => t !== thing)].slice(0, memory)
	}

	letGo() {
		this.grip = { ...this.way, replace: undefined, what: 'nothing' }
		this.shows = -1
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

	/** How broad a stroke or how deep a rim is. */
	get breadth(): number {
		return (this.grip.shape === 'rim' ? this.grip.depth : this.grip.size) ?? 1
	}

	size(breadth: number) {
		const within = Math.max(1, Math.min(64, breadth))
		this.change(this.grip.shape === 'rim' ? { depth: within } : { size: within })
	}

	scatter(scatter: Scatter | undefined) {
		this.change({ scatter })
	}

	/** What the rim leaves, empties or puts inside. */
	inside(inside: Grip | undefined) {
		this.change({ inside: inside && { ...inside, inside: undefined } })
	}

	/** How a shape is drawn out: its tip, how far a fill goes, where blocks begin. */
	manner(manner: Pick<Grip, 'round' | 'oval' | 'corners' | 'shown' | 'aligned' | 'replace'>) {
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
		this.remember()
		const shown = this.tray[this.shows]
		// the trail shows the grip as it is now
		if (shown) this.tray = this.tray.with(this.shows, { ...shown, grip: this.grip })
		this.save()
	}

	/** Shows a thing in the trail, where it has been or in the place of the one that was used longest ago. */
	private trail(slot: Slot) {
		const has = this.tray.findIndex((s) => s && sameThing(s.grip, slot.grip))
		if (has >= 0 && has < kept) {
			this.shows = -1
			return
		}
		const places = Array.from({ length: 10 - kept }, (_, i) => kept + i)
		const free = places.find((i) => !this.tray[i])
		const to = has >= 0 ? has : (free ?? places.find((i) => !this.recent.includes(i)) ?? this.recent.at(-1)!)
		this.tray = this.tray.with(to, slot)
		this.use(to)
	}

	/** What is in the tray, what was held last first, then what is kept. */
	get lately(): Slot[] {
		const trail = [...this.recent, ...Array.from({ length: 10 - kept }, (_, i) => kept + i)]
		return [...new Set(trail), 0, 1, 2, 3, 4].flatMap((i) => this.tray[i] ?? [])
	}

	private use(slot: number) {
		this.shows = slot >= kept ? slot : -1
		if (slot >= kept) this.recent = [slot, ...this.recent.filter((i) => i !== slot)]
	}

	/** Keeps what is held in one of the first five slots; it is in no other any more. */
	keep(slot: number, layer: ID) {
		if (!this.holding || slot >= kept) return
		this.tray = this.tray
			.map((s) => (s && sameThing(s.grip, this.grip) ? null : s))
			.with(slot, { grip: this.grip, layer })
		this.shows = -1
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
			this.remember()
			this.use(slot)
			this.save()
		}
		return found
	}

	work(map: ID, layer: ID) {
		this.layers = { ...this.layers, [map]: layer }
		this.save()
	}
}

/** What is held, whatever way it is put down. */
const thingOf = (g: Omit<Grip, 'shape'>) =>
	[g.what, g.kind, g.number, g.motif, g.width, g.look ?? 0, g.cells].map((v) => v ?? '').join(';')

export const sameThing = (a: Grip, b: Grip) => thingOf(a) === thingOf(b)
