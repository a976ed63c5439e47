import type { Core } from '../core/module'
import type { ID, PlayView } from '../core/types'

// What moves in a game comes in bytes, as core/session/frame.go lays them out, and is shown between two ticks where it
// is on its way from the one to the other.

const facings = ['up', 'right', 'down', 'left'] as const
/** Parts of a map pixel. */
const unit = 256
/** Farther than this, in map pixels, nothing goes from one frame to the next: it was put elsewhere. */
const farthest = 40

interface Place {
	x: number
	y: number
}

interface Body extends Place {
	number: number
	steps: number
	beat: number
	facing: (typeof facings)[number]
	pose: string
}

interface Shot extends Place {
	vx: number
	vy: number
}

interface Frame {
	map: ID
	hero: Place
	camera: Place
	bodies: Body[]
	party: Place[]
	shots: Shot[]
	rays: PlayView['rays']
}

type Named = PlayView['named'][number]

/** The frames of a game: the one that is there, and the one before it. */
export class Frames {
	private named = new Map<number, Named>()
	private now: Frame | null = null
	private tick = 0
	private before: Frame | null = null
	/** How many ticks lie between them. */
	private ticks = 1

	constructor(
		private readonly core: Core,
		/** What pictures can show being done, in the order of the core. */
		private readonly poses: () => string[],
	) {}

	/** Takes over the frame of a view; without `on`, nothing was on its way to it. */
	take(view: PlayView, on: boolean) {
		this.ticks = Math.max(1, view.tick - this.tick)
		this.tick = view.tick
		if (view.renamed) this.named.clear()
		for (const n of view.named) this.named.set(n.number, n)
		const numbers = this.core.frame()
		// numbers that are given anew are of others
		this.before = on && !view.renamed && this.now?.map === view.map ? this.now : null
		this.now = numbers && this.read(numbers, view.map)
	}

	private read(numbers: Int32Array, map: ID): Frame {
		let at = 0
		const next = () => numbers[at++]
		const place = () => ({ x: next() / unit, y: next() / unit })
		const [bodies, party, shots, rays] = [next(), next(), next(), next()]
		const poses = this.poses()
		return {
			map,
			hero: place(),
			camera: place(),
			bodies: Array.from({ length: bodies }, () => {
				const [number, x, y] = [next(), next() / unit, next() / unit]
				const [steps, beat, word] = [next(), next(), next()]
				return { number, x, y, steps, beat, facing: facings[word & 3], pose: poses[(word >> 8) - 1] ?? '' }
			}),
			party: Array.from({ length: party }, place),
			shots: Array.from({ length: shots }, () => ({ ...place(), vx: next() / unit, vy: next() / unit })),
			rays: Array.from({ length: rays }, () => ({ from: place(), to: place() })),
		}
	}

	/** A view with all that moves where it is so far on its way from the tick before: 0 is there, 1 is where it is now. */
	shown(view: PlayView, ofTick: number): PlayView {
		const { now, before, ticks } = this
		if (!now) return view
		const part = (ticks - 1 + ofTick) / ticks
		const between = (from: Place | undefined, to: Place): Place => {
			if (!from || part >= 1 || Math.abs(to.x - from.x) + Math.abs(to.y - from.y) > farthest) return to
			return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part }
		}
		const moved: PlayView['moved'] = []
		const made = [...view.made]
		const was = before && placesOf(before.bodies)
		for (const [i, b] of now.bodies.entries()) {
			const n = this.named.get(b.number)
			if (!n) continue
			const { facing, steps, pose, beat } = b
			const { x, y } = between(was?.(b.number, i), b)
			const is = { map: n.map, id: n.id, x, y, facing, steps, pose, beat }
			if (n.kind) made.push({ ...is, layer: n.layer ?? '', kind: n.kind, w: n.w ?? 0, h: n.h ?? 0 })
			else moved.push(is)
		}
		return {
			...view,
			...between(before?.hero, now.hero),
			camera: { ...view.camera, ...between(before?.camera, now.camera) },
			moved,
			made,
			party: view.party.map((c, i) =>
				now.party[i] ? { ...c, ...between(c.map === view.map ? before?.party[i] : undefined, now.party[i]) } : c,
			),
			rays: now.rays,
			shots: now.shots.map((s) => ({ x: s.x - s.vx * (1 - ofTick), y: s.y - s.vy * (1 - ofTick) })),
		}
	}
}

/** Finds where bodies were by their numbers; mostly each is the one at the same place of the list. */
function placesOf(bodies: Body[]) {
	let by: Map<number, Body> | undefined
	return (number: number, i: number): Body | undefined => {
		if (bodies[i]?.number === number) return bodies[i]
		by ??= new Map(bodies.map((b) => [b.number, b]))
		return by.get(number)
	}
}
