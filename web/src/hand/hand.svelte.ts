import type { Grip, ID, Shape } from '../core/types'

export interface Slot {
	grip: Grip
	layer: ID
}

const kept = 5
const empty: Grip = { what: 'nothing', shape: 'freehand' }

/** What the designer holds, and the tray: slots 1–5 are kept, 6–0 a trail of what was held last. */
export class Hand {
	grip = $state.raw<Grip>(empty)
	/** The layer that is worked on by each map. */
	layers = $state.raw<Record<ID, ID>>({})
	tray = $state.raw<(Slot | null)[]>(Array.from({ length: 10 }, () => null))
	private last?: Slot

	constructor(private store: string) {
		try {
			const saved = JSON.parse(localStorage.getItem(store) ?? '{}') as {
				tray?: (Slot | null)[]
				layers?: Record<ID, ID>
			}
			if (saved.tray?.length === 10) this.tray = saved.tray
			if (saved.layers) this.layers = saved.layers
		} catch {
			// what cannot be read is started anew
		}
	}

	private save() {
		localStorage.setItem(this.store, JSON.stringify({ tray: this.tray, layers: this.layers }))
	}

	get holding(): boolean {
		return this.grip.what !== 'nothing'
	}

	/** Takes something into the hand; the shape stays what it was unless one is given. */
	hold(grip: Omit<Grip, 'shape'> & { shape?: Shape }, layer: ID = '') {
		this.grip = { turn: 0, ...grip, shape: grip.shape ?? this.grip.shape }
		if (grip.what !== 'nothing' && grip.what !== 'eraser') this.trail({ grip: this.grip, layer })
		else this.last = undefined
	}

	letGo() {
		this.grip = { ...empty, shape: this.grip.shape }
		this.last = undefined
	}

	shape(shape: Shape) {
		this.change({ shape })
	}

	turn(quarters: number) {
		const turn = this.grip.turn ?? 0
		this.change({ turn: (turn & 4) | ((turn + quarters + 4) & 3) })
	}

	mirror() {
		this.change({ turn: (this.grip.turn ?? 0) ^ 4 })
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
		a.width === b.width &&
		(a.look ?? 0) === (b.look ?? 0) &&
		String(a.cells) === String(b.cells)
	)
}
