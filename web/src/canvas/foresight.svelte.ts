import { untrack } from 'svelte'
import { afterFrame } from '../controls/afterFrame'
import { Paint } from './paint'
import { Pan } from './pan'
import type { Args } from '../core/module'
import type { Ghost, Point, Rect, Standing } from '../core/types'
import { chunkSide } from '../draw/chunks'
import { Press } from './press.svelte'

/** How long the pointer rests before it is looked at what a press would bring about, in milliseconds. */
const restsFor = 250
/** How many ghosts of what is held are kept. */
const kept = 8
/** A ghost of so many cells is looked at anew only once it is seen what was pressed. */
const many = 1000
/** Cells from which on a map is large. */
const large = 500_000

/** Tells what a press would do, before it is done. */
export class Foresight {
	private ghostOf: { key: string; hold: string; turn: number; way: Point[]; ghost: Ghost } | null = null
	/** Where in the cells of a stroke's ghost each of them stands. */
	private cellsAt = new Map<number, number>()
	private cellsOf: number[] = []
	/** The rectangles of a stroke's ghost by their chunks. */
	private pieces = new Map<string, Rect[]>()
	private piecesOf?: Rect[]
	/** The last ghosts of what is held, by their numbers: fills of areas that the pointer goes over by turns. */
	private lately = new Map<number, Ghost>()
	/** What the press would bring about for finishing the game, once the pointer rests; empty for nothing that is known. */
	warning = $state('')
	private resting = 0
	/** Counts how often a ghost was put off until what was pressed is seen. */
	private seen = $state(0)
	private putOff = false
	private standingOf: { key: string; standing: Standing } | null = null

	constructor(private press: Press) {}

	/** What is drawn of it. */
	shown() {
		return { ghost: this.ghost(), warning: this.warning }
	}

	/** What the press would do, asked from the core only when something differs. */
	ghost(): Ghost | null {
		const { w, m, does } = this.press
		if (!m || !w.hand.holding || does instanceof Pan || w.picking) return null
		const cell = w.cell
		const painting = does instanceof Paint ? does : null
		if (!painting && (!cell || !inside(m.bounds, cell))) return null
		const way = painting?.way ?? [cell!]
		const gesture = {
			way,
			remove: painting?.how.remove ?? false,
			even: painting?.how.even ?? false,
			seed: w.hand.seed,
			at: this.free(way),
			trace: painting?.trace ?? [],
		}
		const mirror = w.hand.mirrorOf(m)
		const last = way[way.length - 1]
		const hold = `${m.id} ${w.active} ${gesture.remove} ${JSON.stringify([w.hand.grip, mirror, w.hand.seed, w.area?.count, w.area?.bounds])}`
		const key = `${hold} ${way.length} ${last.x},${last.y} ${gesture.even} ${gesture.at?.x} ${gesture.at?.y} ${gesture.trace.length}`
		if (this.waits()) return null
		const before = this.ghostOf?.hold === hold && this.ghostOf.turn === w.project.turn ? this.ghostOf.ghost : null
		if (this.ghostOf?.key !== key || this.ghostOf.turn !== w.project.turn) {
			const asked = { map: m.id, active: w.active, grip: w.hand.grip, gesture, mirror }
			if (!before) this.lately.clear()
			const ghost = (before && this.ledOn(before, asked)) ?? this.whole(asked)
			this.ghostOf = { key, hold, turn: w.project.turn, way, ghost }
			if (ghost !== before) this.rests(asked, ghost)
		}
		return this.ghostOf.ghost
	}

	/** Whether a large ghost waits until what was pressed is drawn. */
	private waits(): boolean {
		void this.seen
		const { turn } = this.press.w.project
		if (this.putOff || !this.ghostOf || this.ghostOf.turn === turn || this.ghostOf.ghost.count < many)
			return this.putOff
		this.putOff = true
		this.ghostOf = null
		afterFrame(() => {
			this.putOff = false
			this.seen++
		})
		return true
	}

	/** Asks for all of a ghost. */
	private whole(asked: Args<'preview'>): Ghost {
		const found = this.press.w.project.ask('preview', { ...asked, known: [...this.lately.keys()] })
		// a fill from another cell of its area does the same
		const ghost = (found.same && this.lately.get(found.number ?? 0)) || found
		if (ghost.number && asked.grip.shape !== 'freehand') this.lately.set(ghost.number, ghost)
		if (this.lately.size > kept) this.lately.delete([...this.lately.keys()][0])
		return ghost
	}

	/** Asks only for what a stroke does besides that is led on; null where it is another one. */
	private ledOn(before: Ghost, asked: Args<'preview'>): Ghost | null {
		const known = this.ghostOf?.way ?? []
		const way = asked.gesture.way ?? []
		const on =
			known.length > 0 &&
			way.length > known.length &&
			way[0] === known[0] &&
			way[known.length - 1] === known[known.length - 1]
		if (!on || !before.number || before.refusal || asked.grip.shape !== 'freehand') return null
		const gesture = { ...asked.gesture, way: way.slice(known.length) }
		const more = this.press.w.project.ask('preview', { ...asked, gesture, of: before.number, after: known.length })
		if (!more.more) return null
		if (more.cells && before.cells) this.addCells(before.cells, more.cells)
		const { number, bounds, count, drawn } = more
		const rects = this.withPieces(before.rects ?? [], more.rects ?? [])
		return { ...before, number, bounds, count, drawn, rects, cells: more.covered ? undefined : before.cells }
	}

	/** The rectangles of a ghost, those of some chunks being otherwise now. */
	private withPieces(rects: Rect[], more: Rect[]): Rect[] {
		if (this.piecesOf !== rects) this.pieces = byChunk(rects)
		for (const [chunk, some] of byChunk(more)) this.pieces.set(chunk, some)
		return (this.piecesOf = [...this.pieces.values()].flat())
	}

	/** Adds cells to those of a ghost; what is there already is as it is told last. */
	private addCells(cells: number[], more: number[]) {
		const at = (list: number[], i: number) => (list[i + 1] << 16) + list[i]
		if (this.cellsOf !== cells) {
			this.cellsOf = cells
			this.cellsAt.clear()
			for (let i = 0; i < cells.length; i += 3) this.cellsAt.set(at(cells, i), i)
		}
		for (let i = 0; i < more.length; i += 3) {
			const here = this.cellsAt.get(at(more, i))
			if (here !== undefined) cells[here + 2] = more[i + 2]
			else {
				this.cellsAt.set(at(more, i), cells.length)
				cells.push(more[i], more[i + 1], more[i + 2])
			}
		}
	}

	/** Looks at what the press would bring about when the pointer has rested for a while. */
	private rests(asked: Args<'preview'>, ghost: Ghost) {
		const { w } = this.press
		clearTimeout(this.resting)
		// not while this is worked out for what is drawn
		if (untrack(() => this.warning)) queueMicrotask(() => (this.warning = ''))
		if (ghost.refusal || w.play.on || w.proving.busy || w.proving.answer?.is !== 'can') return
		const stands = () => this.ghostOf?.ghost === ghost && w.hand.holding && !w.play.on
		this.resting = window.setTimeout(async () => {
			if (!stands()) return
			const { would } = w.project.ask('pressed', asked)
			if (!would) return
			const { text } = await w.proving.thinker.ask('foresee', { would })
			if (stands()) this.warning = text
		}, restsFor)
	}

	/** Where a decoration stands freely, in pixels of the map; by keys it keeps to the cell. */
	free(way: Point[]): Point | undefined {
		const { w, cursor } = this.press
		const { grip } = w.hand
		if (grip.what !== 'entity' || grip.shape !== 'freehand' || way.length > 1 || cursor) return
		return w.project.kind(grip.kind ?? '')?.free && w.pixel ? { ...w.pixel } : undefined
	}

	/** Where a line begins that is drawn freely; empty where what is held keeps to cells. */
	traceFrom(): Point[] {
		const { w } = this.press
		const { grip } = w.hand
		const k = grip.what === 'entity' ? w.project.kind(grip.kind ?? '') : undefined
		return k?.free && k.ways && w.pixel ? [{ ...w.pixel }] : []
	}

	/** With a hero in the hand: whether it could stand on the cell, and how far it jumps from there. */
	standing(): Standing | null {
		const { w, m } = this.press
		const { grip } = w.hand
		if (!m || !w.cell || grip.what !== 'entity' || !w.project.kind(grip.kind ?? '')?.heroic) return null
		if (!inside(m.bounds, w.cell)) return null
		const key = `${m.id} ${grip.kind} ${w.cell.x},${w.cell.y} ${w.project.turn}`
		if (this.standingOf?.key !== key) {
			this.standingOf = { key, standing: w.project.ask('stand', { map: m.id, kind: grip.kind ?? '', at: w.cell }) }
		}
		return this.standingOf.standing
	}

	/**
	 * Has a fill of a large map worked out once while nothing is done: the module's code is
	 * made fast by its first run, which takes twice as long.
	 */
	warm() {
		const { w, m } = this.press
		const t = w.project.head.tilesets[0]
		if (!m || !t || m.bounds.w * m.bounds.h < large || w.hand.holding) return
		const grip = { what: 'tiles' as const, shape: 'fill' as const, cells: [t.number << 16], width: 1 }
		const gesture = { way: [{ x: m.bounds.x, y: m.bounds.y }], remove: false }
		w.project.ask('preview', { map: m.id, active: w.active, grip, gesture, mirror: { mode: '', x: 0, y: 0 } })
	}

	/** Whether the layer that is worked on is in the way of the press, and what opens it. */
	shut(): { why: string; help: { label: string; run: () => void } } | null {
		const { w, m } = this.press
		const ghost = this.ghostOf?.ghost
		if (!m || !ghost?.shut || !ghost.refusal) return null
		const ref = { type: 'layer', map: m.id, id: ghost.shut }
		const open = ghost.hidden
			? { ref, field: 'hidden', value: false, text: 'Showed a layer' }
			: { ref, field: 'locked', value: false, text: 'Unlocked a layer' }
		const why = ghost.refusal[0].toUpperCase() + ghost.refusal.slice(1) + '.'
		return { why, help: { label: ghost.hidden ? 'Show it' : 'Unlock it', run: () => void w.project.try('set', open) } }
	}

	/** What the last ghost covered, in cells. */
	get covered(): Rect | null {
		return this.ghostOf?.ghost.bounds ?? null
	}
}

function byChunk(rects: Rect[]): Map<string, Rect[]> {
	const out = new Map<string, Rect[]>()
	for (const r of rects) {
		const chunk = `${Math.floor(r.x / chunkSide)},${Math.floor(r.y / chunkSide)}`
		const some = out.get(chunk)
		if (some) some.push(r)
		else out.set(chunk, [r])
	}
	return out
}

export const inside = (b: Rect, p: Point) => p.x >= b.x && p.y >= b.y && p.x < b.x + b.w && p.y < b.y + b.h
