import type { Core } from '../core/module'
import type { Layer, LayerChunks, MapInfo, Zone } from '../core/types'
import { drawZone } from './hatches'
import { drawMissing, tilesetOf, type Pictures } from './pictures'

/** Cells along a chunk's side, as the core stores them. */
const side = 32
/** Memory for drawn chunks, in bytes. */
const most = 256 << 20
/** How long a frame may draw chunks that are not there yet, in milliseconds. */
const perFrame = 3
/** And chunks that were edited, so that a stroke is seen at once and a fill holds nothing up. */
const perEdit = 24

/** A bitmap of a chunk, and which of its cells the last change drew anew. */
interface Sheet {
	place: string
	/** The layers that it shows. */
	layers: string[]
	bitmap: OffscreenCanvas | null
	bytes: number
	used: number
	/** Goes up with every change. */
	version: number
	changed: number[]
	/** The cells as they are drawn, for a single layer. */
	cells: Uint32Array | null
	/** Something was edited since it was drawn. */
	stale: boolean
	/** The turn of the animation that it shows; −1 where nothing on it is animated. */
	clock: number
	/** Cells whose tiles have another size than the map's: index and cell by turns; drawn by the scene. */
	odd: number[]
	/** The versions of the layers' sheets that a sheet of several layers shows. */
	of: number[]
}

/**
 * Chunks drawn once and kept as bitmaps: of each layer, and of neighbouring
 * layers together, so that a frame draws few of them. They are at full size or
 * halved as often as the view is zoomed out. An edit draws only its cells anew;
 * what was used longest ago goes first.
 */
export class Chunks {
	private sheets = new Map<string, Sheet>()
	/** The keys of the sheets of a place, by map and chunk. */
	private places = new Map<string, Set<string>>()
	private bytes = 0
	private turn = 0
	private until = 0
	private editsUntil = 0
	/** Something of this frame shows how it was, since there was no time. */
	behind = false
	/** Told when a chunk could not be drawn. */
	faulty: (error: unknown) => void = () => {}

	constructor(
		private core: Core,
		private pictures: Pictures,
		private zone: (number: number) => Zone | undefined,
	) {}

	forget(changed: LayerChunks[]) {
		if (!this.places.size) return
		for (const { map, layer, at } of changed) {
			for (let i = 0; i < at.length; i += 2) {
				for (const key of this.places.get(`${map},${at[i]},${at[i + 1]}`) ?? []) {
					const sheet = this.sheets.get(key)!
					if (sheet.layers.includes(layer)) sheet.stale = true
				}
			}
		}
	}

	forgetAll() {
		this.sheets.clear()
		this.places.clear()
		this.bytes = 0
	}

	/** Begins a frame; of a small picture beside the map, edits wait like all else. */
	beginFrame(small: boolean) {
		this.turn++
		this.behind = false
		const now = performance.now()
		this.until = now + perFrame
		this.editsUntil = now + (small ? perFrame : perEdit)
	}

	/** The bitmap of a chunk of layers: null when it is empty, undefined when there was no time. */
	get(m: MapInfo, run: Layer[], cx: number, cy: number, level: number): OffscreenCanvas | null | undefined {
		if (run.length === 1) return this.single(m, run[0], cx, cy, level)?.bitmap
		const key = `${m.id} ${run.map((l) => l.id + l.opacity).join()} ${cx},${cy},${level}`
		const found = this.sheets.get(key)
		if (found && !found.stale && !this.late(found)) {
			found.used = this.turn
			return found.bitmap
		}
		const parts: Sheet[] = []
		for (const l of run) {
			const part = this.single(m, l, cx, cy, level)
			if (!part || part.stale) {
				this.behind = true
				return found?.bitmap // the old picture until there is time
			}
			parts.push(part)
		}
		// put together in a frame of its own when drawing the parts took the time
		if (!found && performance.now() > this.until) return undefined
		return this.compose(m, run, found ?? this.add(key, `${m.id},${cx},${cy}`, run), parts, level)
	}

	/** Whether animated tiles have moved on since a sheet was drawn. */
	private late(s: Sheet): boolean {
		return s.clock >= 0 && s.clock !== this.pictures.turn
	}

	/** The tiles of another size on a chunk that was drawn, index and cell by turns. */
	oddOf(m: MapInfo, l: Layer, cx: number, cy: number, level: number): number[] {
		return this.sheets.get(`${m.id} ${l.id} ${cx},${cy},${level}`)?.odd ?? []
	}

	private compose(m: MapInfo, run: Layer[], sheet: Sheet, parts: Sheet[], level: number): OffscreenCanvas | null {
		sheet.stale = false
		sheet.clock = parts.some((p) => p.clock >= 0) ? this.pictures.turn : -1
		sheet.used = this.turn
		if (parts.every((p) => !p.bitmap) && !sheet.bitmap) return null
		const fresh = !sheet.bitmap
		const bitmap = this.bitmapOf(sheet, m, level)
		const ctx = bitmap.getContext('2d')!
		const [w, h] = [m.cellWidth / 2 ** level, m.cellHeight / 2 ** level]
		// only the cells that differ, as long as no change was missed
		const step = parts.every((p, i) => p.version === sheet.of[i] || p.version === sheet.of[i] + 1)
		const cells = new Set<number>()
		if (!fresh && step) parts.forEach((p, i) => p.version !== sheet.of[i] && p.changed.forEach((c) => cells.add(c)))
		const whole = fresh || !step || cells.size > 300
		if (whole) ctx.clearRect(0, 0, bitmap.width, bitmap.height)
		const spots = whole ? [] : [...cells].map((c) => spot(c, w, h))
		for (const r of spots) ctx.clearRect(r.x, r.y, r.w, r.h)
		parts.forEach((p, i) => {
			if (!p.bitmap) return
			ctx.globalAlpha = run[i].opacity / 100
			if (whole) return ctx.drawImage(p.bitmap, 0, 0)
			for (const r of spots) ctx.drawImage(p.bitmap, r.x, r.y, r.w, r.h, r.x, r.y, r.w, r.h)
		})
		ctx.globalAlpha = 1
		sheet.of = parts.map((p) => p.version)
		return bitmap
	}

	private single(m: MapInfo, l: Layer, cx: number, cy: number, level: number): Sheet | undefined {
		const key = `${m.id} ${l.id} ${cx},${cy},${level}`
		let sheet = this.sheets.get(key)
		if (sheet && !sheet.stale && !this.late(sheet)) {
			sheet.used = this.turn
			return sheet
		}
		// what was edited is shown at once, as far as that goes; what comes into view waits its turn
		if (!sheet && performance.now() > this.until) return undefined
		if (sheet && performance.now() > this.editsUntil) {
			this.behind = true
			sheet.used = this.turn
			return sheet
		}
		sheet ??= this.add(key, `${m.id},${cx},${cy}`, [l])
		sheet.stale = false
		sheet.used = this.turn
		try {
			this.draw(m, l, sheet, cx, cy, level)
		} catch (error) {
			// the rest of the map is drawn all the same
			this.drawFaulty(m, sheet, level)
			this.faulty(error)
		}
		return sheet
	}

	private drawFaulty(m: MapInfo, sheet: Sheet, level: number) {
		const bitmap = this.bitmapOf(sheet, m, level)
		const ctx = bitmap.getContext('2d')!
		sheet.cells = null
		sheet.version += 2 // all of it has changed
		for (let y = 0; y < bitmap.height; y += 16) {
			for (let x = (y / 16) % 2 ? 16 : 0; x < bitmap.width; x += 32) drawMissing(ctx, x, y, 16, 16)
		}
	}

	/** Draws the cells that differ from what the sheet shows. */
	private draw(m: MapInfo, l: Layer, sheet: Sheet, cx: number, cy: number, level: number) {
		const cells = this.core.chunk(m.id, l.id, cx, cy)
		if (!cells && !sheet.bitmap) return
		const before = sheet.cells
		sheet.cells = cells ? cells.slice() : new Uint32Array(side * side)
		sheet.changed = []
		const bitmap = this.bitmapOf(sheet, m, level)
		const ctx = bitmap.getContext('2d')!
		ctx.imageSmoothingEnabled = level > 0
		const [w, h] = [m.cellWidth / 2 ** level, m.cellHeight / 2 ** level]
		const { x, y, w: mw, h: mh } = m.bounds
		const moved = this.late(sheet)
		sheet.clock = -1
		sheet.odd = []
		const within = cx * side >= x && cy * side >= y && (cx + 1) * side <= x + mw && (cy + 1) * side <= y + mh
		if (!before && within && l.kind === 'tiles' && this.tile(ctx, sheet.cells, m, w, h)) {
			sheet.changed = [...sheet.cells.keys()]
			sheet.version++
			return
		}
		sheet.cells.forEach((cell, i) => {
			const odd = cell !== 0 && l.kind === 'tiles' && this.pictures.isOdd(cell, m.cellWidth, m.cellHeight)
			if (odd) sheet.odd.push(i, cell)
			const lives = cell !== 0 && l.kind === 'tiles' && this.pictures.isAnimated(cell)
			if (lives) sheet.clock = this.pictures.turn
			if (cell === (before ? before[i] : 0) && !(lives && moved)) return
			sheet.changed.push(i)
			const [column, row] = [i % side, i >> 5]
			const r = spot(i, w, h)
			if (before) ctx.clearRect(r.x, r.y, r.w, r.h)
			const [cellX, cellY] = [cx * side + column, cy * side + row]
			if (cell && cellX >= x && cellY >= y && cellX < x + mw && cellY < y + mh) {
				if (l.kind === 'zones') drawZone(ctx, this.zone(tilesetOf(cell)), r.x, r.y, r.w, r.h)
				else if (!odd) this.pictures.draw(ctx, cell, r.x, r.y, r.w, r.h)
			}
		})
		if (sheet.changed.length) sheet.version++
	}

	/** Draws a chunk of nothing but one tile at once; false where it is not so. */
	private tile(ctx: OffscreenCanvasRenderingContext2D, cells: Uint32Array, m: MapInfo, w: number, h: number): boolean {
		const [cell] = cells
		if (!cell || w % 1 || h % 1 || cells.some((c) => c !== cell)) return false
		if (this.pictures.isOdd(cell, m.cellWidth, m.cellHeight) || this.pictures.isAnimated(cell)) return false
		const one = new OffscreenCanvas(w, h).getContext('2d')!
		one.imageSmoothingEnabled = ctx.imageSmoothingEnabled
		this.pictures.draw(one, cell, 0, 0, w, h)
		ctx.fillStyle = ctx.createPattern(one.canvas, 'repeat')!
		ctx.fillRect(0, 0, ctx.canvas.width, ctx.canvas.height)
		return true
	}

	private bitmapOf(sheet: Sheet, m: MapInfo, level: number): OffscreenCanvas {
		if (!sheet.bitmap) {
			sheet.bitmap = new OffscreenCanvas(
				Math.ceil((side * m.cellWidth) / 2 ** level),
				Math.ceil((side * m.cellHeight) / 2 ** level),
			)
			sheet.bytes = sheet.bitmap.width * sheet.bitmap.height * 4
			this.bytes += sheet.bytes
			if (this.bytes > most) this.evict()
		}
		return sheet.bitmap
	}

	private add(key: string, place: string, run: Layer[]): Sheet {
		const sheet: Sheet = {
			place,
			layers: run.map((l) => l.id),
			bitmap: null,
			bytes: 0,
			used: this.turn,
			version: 0,
			changed: [],
			cells: null,
			stale: false,
			clock: -1,
			odd: [],
			of: [],
		}
		this.sheets.set(key, sheet)
		const keys = this.places.get(place)
		if (keys) keys.add(key)
		else this.places.set(place, new Set([key]))
		return sheet
	}

	private evict() {
		const old = [...this.sheets].sort((a, b) => a[1].used - b[1].used)
		for (const [key, sheet] of old) {
			if (this.bytes < most * 0.75 || sheet.used === this.turn) return
			this.bytes -= sheet.bytes
			this.sheets.delete(key)
			this.places.get(sheet.place)?.delete(key)
		}
	}
}

/** Where a cell of a chunk lies on its bitmap, on whole pixels: nothing shows between cells of an odd size. */
function spot(i: number, w: number, h: number) {
	const [column, row] = [i % side, i >> 5]
	const [x, y] = [Math.round(column * w), Math.round(row * h)]
	return { x, y, w: Math.round((column + 1) * w) - x, h: Math.round((row + 1) * h) - y }
}

/** The halvings at which chunks are drawn for a scale. */
export const levelOf = (scale: number) => (scale >= 1 ? 0 : Math.min(4, Math.round(-Math.log2(scale))))

export const chunkSide = side
