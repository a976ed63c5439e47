import type { Core } from '../core/module'
import type { Layer, LayerChunks, MapInfo, Rect, Zone } from '../core/types'
import { chunkSide } from './chunks'
import { bytesOf } from './frames'
import { tilesetOf, type Context, type Pictures } from './pictures'
import type { View } from './view.svelte'

/** Pixels along a region's side. */
const side = 256
/** Cells that are no larger, in pixels of the screen, are seen from afar. */
const largest = 2
/** How many regions are kept: a quarter of a megabyte each. */
const most = 320
/** How long a frame may draw what comes into view, in milliseconds, and what was edited. */
const perFrame = 5
const perEdit = 10
/** How many chunks of a layer are asked for at once: some hundred kilobytes. */
const atOnce = 48

/** One number for where a chunk lies. */
const placeOf = (cx: number, cy: number) => cx * 2 ** 21 + cy

function placesOf(at: number[]): Set<number> {
	const out = new Set<number>()
	for (let i = 0; i < at.length; i += 2) out.add(placeOf(at[i], at[i + 1]))
	return out
}

/** Whether a map is seen from so far that a cell is no more than a dot. */
export const isAfar = (view: View, m: MapInfo) =>
	m.cellWidth * view.scale <= largest && m.cellHeight * view.scale <= largest

/**
 * How many cells a pixel stands for, along each side: a power of two, so that there are at least two pixels of the bitmap to
 * one of the screen. Of a map that is seen from very far not every cell is looked at.
 */
function stepOf(view: View, m: MapInfo): number {
	let step = 1
	while (step < chunkSide && step * 4 * Math.max(m.cellWidth, m.cellHeight) * view.scale <= 1) step *= 2
	return step
}

/** A square of a map as some layers show it, one pixel for `step` × `step` cells. */
interface Region {
	map: string
	step: number
	/** Its first chunk, and how many lie along its side. */
	left: number
	top: number
	across: number
	/** The layers that it shows. */
	layers: string[]
	dots: OffscreenCanvasRenderingContext2D
	/** Its pixels, where a chunk has too few to be drawn by itself. */
	pixels: Uint32Array<ArrayBuffer> | null
	/** The chunks that have to be drawn, by their place in the region. */
	dirty: Set<number>
	/** All of it was drawn at some time. */
	drawn: boolean
	bounds: Rect
	used: number
}

/** Maps from afar: neighbouring layers together, one pixel a cell or several, in few large bitmaps. */
export class Afar {
	private regions = new Map<string, Region>()
	private turn = 0
	private until = 0
	private editsUntil = 0
	/** Told when a chunk could not be drawn. */
	faulty: (error: unknown) => void = () => {}

	constructor(
		private core: Core,
		private pictures: Pictures,
		private zone: (number: number) => Zone | undefined,
	) {}

	/** Begins a frame. */
	beginFrame() {
		this.turn++
		this.until = performance.now() + perFrame
		this.editsUntil = this.until - perFrame + perEdit
	}

	forget(changed: LayerChunks[]) {
		for (const { map, layer, at } of changed) {
			let places: Set<number> | null = null
			for (const r of this.regions.values()) {
				if (r.map !== map || !r.layers.includes(layer)) continue
				// of very many chunks few lie in a region, and of a large region few differ
				if (at.length / 2 > r.across ** 2) {
					places ??= placesOf(at)
					for (let i = 0; i < r.across ** 2; i++) {
						if (places.has(placeOf(r.left + (i % r.across), r.top + Math.floor(i / r.across)))) r.dirty.add(i)
					}
					continue
				}
				for (let i = 0; i < at.length; i += 2) {
					const [x, y] = [at[i] - r.left, at[i + 1] - r.top]
					if (x >= 0 && y >= 0 && x < r.across && y < r.across) r.dirty.add(y * r.across + x)
				}
			}
		}
	}

	forgetAll() {
		this.regions.clear()
		this.pictures.forgetColours()
	}

	/** Draws layers; false when some of them has to come in a later frame. */
	draw(ctx: Context, m: MapInfo, run: Layer[], view: View): boolean {
		const seen = view.seen()
		const b = m.bounds
		const from = {
			x: Math.max(b.x, Math.floor(seen.x / m.cellWidth)),
			y: Math.max(b.y, Math.floor(seen.y / m.cellHeight)),
		}
		const to = {
			x: Math.min(b.x + b.w - 1, Math.floor((seen.x + seen.w) / m.cellWidth)),
			y: Math.min(b.y + b.h - 1, Math.floor((seen.y + seen.h) / m.cellHeight)),
		}
		let whole = true
		ctx.save()
		ctx.globalAlpha = 1
		ctx.imageSmoothingEnabled = m.cellWidth * view.scale < 1
		if (view.diamond) ctx.setTransform(view.matrix(m))
		const step = stepOf(view, m)
		const cells = side * step
		for (let ry = Math.floor(from.y / cells); ry <= Math.floor(to.y / cells); ry++) {
			for (let rx = Math.floor(from.x / cells); rx <= Math.floor(to.x / cells); rx++) {
				const region = this.region(m, run, step, rx, ry)
				if (!this.bringUp(region, m, run)) whole = false
				const place = { x: rx * cells, y: ry * cells, w: cells, h: cells }
				const r = view.diamond ? place : view.cellRect(m, place)
				ctx.drawImage(region.dots.canvas, r.x, r.y, r.w, r.h)
			}
		}
		ctx.restore()
		return whole
	}

	private region(m: MapInfo, run: Layer[], step: number, rx: number, ry: number): Region {
		const key = `${m.id} ${step} ${rx},${ry} ${run.map((l) => `${l.id}/${l.opacity}`).join()}`
		let r = this.regions.get(key)
		const { x, y, w, h } = m.bounds
		if (!r) {
			if (this.regions.size >= most) this.evict()
			const across = (side * step) / chunkSide
			r = {
				map: m.id,
				step,
				left: rx * across,
				top: ry * across,
				across,
				layers: run.map((l) => l.id),
				dots: new OffscreenCanvas(side, side).getContext('2d')!,
				pixels: step > 1 ? new Uint32Array(side * side) : null,
				dirty: new Set(),
				drawn: false,
				bounds: { x, y, w: 0, h: 0 },
				used: 0,
			}
			this.regions.set(key, r)
		}
		r.used = this.turn
		const was = r.bounds
		if (was.x !== x || was.y !== y || was.w !== w || was.h !== h) {
			// what lies outside now has to be emptied as well
			for (const b of [was, { x, y, w, h }]) this.within(r, b)
			r.bounds = { x, y, w, h }
		}
		return r
	}

	/** Has the chunks of a region drawn that lie within bounds, in cells. */
	private within(r: Region, b: Rect) {
		const last = (from: number, n: number, first: number) =>
			Math.min(r.across, Math.floor((from + n - 1) / chunkSide) - first + 1)
		for (let y = Math.max(0, Math.floor(b.y / chunkSide) - r.top); y < last(b.y, b.h, r.top); y++) {
			for (let x = Math.max(0, Math.floor(b.x / chunkSide) - r.left); x < last(b.x, b.w, r.left); x++) {
				r.dirty.add(y * r.across + x)
			}
		}
	}

	private evict() {
		const old = [...this.regions].sort((a, b) => a[1].used - b[1].used)
		for (const [key, r] of old.slice(0, most / 4)) if (r.used !== this.turn) this.regions.delete(key)
	}

	/** Draws what is not yet as it should be, as far as there is time. */
	private bringUp(region: Region, m: MapInfo, run: Layer[]): boolean {
		const until = region.drawn ? this.editsUntil : this.until
		const most = Math.max(1, Math.floor((atOnce * region.step) / run.length))
		let some = false
		while (region.dirty.size && performance.now() <= until) {
			const places: number[] = []
			for (const place of region.dirty) {
				if (places.length === most) break
				places.push(place)
				region.dirty.delete(place)
			}
			this.lay(region, m, run, places)
			some = true
		}
		if (some && region.pixels) {
			region.dots.putImageData(new ImageData(new Uint8ClampedArray(region.pixels.buffer), side, side), 0, 0)
		}
		region.drawn ||= !region.dirty.size
		return !region.dirty.size
	}

	/** Draws chunks of a region, given by their places in it. */
	private lay(region: Region, m: MapInfo, run: Layer[], places: number[]) {
		// the uppermost layers first, until nothing shows through
		const layers = [...run].reverse()
		const { across, step, pixels } = region
		const at = places.flatMap((p) => [region.left + (p % across), region.top + Math.floor(p / across)])
		const ids = layers.map((l) => l.id)
		let words: Uint32Array | null = null
		try {
			words = this.core.chunksOf(m.id, ids, at, step)
		} catch (error) {
			this.faulty(error)
		}
		let next = 0
		const n = chunkSide / step
		for (let k = 0; k < places.length; k++) {
			let out: Uint32Array<ArrayBuffer> | null = null
			// the colour of all of it as long as no layer has cells that differ, as most have not after a fill
			let one = 0
			let drawn = words !== null
			if (words) {
				for (const l of layers) {
					const count = words[next++]
					try {
						if (!out && count <= 1) {
							if (count) one = this.over(one, l, words[next])
						} else {
							out ??= new Uint32Array(n * n).fill(one)
							this.layer(l, words.subarray(next, next + count), out)
						}
					} catch (error) {
						drawn = false
						this.faulty(error)
					}
					next += count
				}
			}
			const [cellX, cellY] = [at[2 * k] * chunkSide, at[2 * k + 1] * chunkSide]
			const [x, y] = [(places[k] % across) * n, Math.floor(places[k] / across) * n]
			if (!out && drawn && !pixels && isInside(m.bounds, cellX, cellY) && (!one || one >>> 24 === 255)) {
				if (!one) region.dots.clearRect(x, y, n, n)
				else paint(region.dots, one, x, y, n)
				continue
			}
			out ??= new Uint32Array(n * n).fill(one)
			// the rest of the map is drawn all the same
			if (!drawn) for (let i = 0; i < out.length; i++) out[i] = (i ^ (i >> 5)) & 4 ? 0xff2c44b1 : 0xfff5fafc
			clip(out, m.bounds, cellX, cellY, step)
			if (pixels) for (let row = 0; row < n; row++) pixels.set(out.subarray(row * n, row * n + n), (y + row) * side + x)
			else region.dots.putImageData(new ImageData(new Uint8ClampedArray(out.buffer), n, n), x, y)
		}
	}

	/** What a colour is with a cell of a layer below it. */
	private over(above: number, l: Layer, cell: number): number {
		if (!cell || above >>> 24 === 255) return above
		return above ? under(above, this.colour(l, cell)) : this.colour(l, cell)
	}

	/** Lays the cells of a layer below what is there; a single one stands for all. */
	private layer(l: Layer, cells: Uint32Array, out: Uint32Array) {
		if (!cells.length || (cells.length === 1 && !cells[0])) return
		const step = cells.length === 1 ? 0 : 1
		let last = 0
		let colour = 0
		for (let i = 0, k = 0; i < out.length; i++, k += step) {
			const above = out[i]
			const cell = cells[k]
			if (!cell || above >>> 24 === 255) continue
			if (cell !== last) {
				last = cell
				colour = this.colour(l, cell)
			}
			out[i] = above ? under(above, colour) : colour
		}
	}

	/** The colour of a cell from afar, as its layer shows it. */
	private colour(l: Layer, cell: number): number {
		return thinned(l.kind === 'zones' ? this.zoneColour(cell) : this.pictures.colourOf(cell), l.opacity)
	}

	private zoneColour(cell: number): number {
		return ((0xa0 << 24) | (bytesOf(this.zone(tilesetOf(cell))?.colour ?? '#808080') & 0xffffff)) >>> 0
	}
}

/** Paints a square in a colour, given as the bytes of a pixel, that covers what is there. */
function paint(dots: OffscreenCanvasRenderingContext2D, colour: number, x: number, y: number, n: number) {
	const rgb = ((colour & 255) << 16) | (colour & 0xff00) | ((colour >> 16) & 255)
	dots.fillStyle = `#${rgb.toString(16).padStart(6, '0')}`
	dots.fillRect(x, y, n, n)
}

/** Whether a chunk that begins at cell (x, y) lies in the map as a whole. */
const isInside = (b: Rect, x: number, y: number) =>
	x >= b.x && y >= b.y && x + chunkSide <= b.x + b.w && y + chunkSide <= b.y + b.h

/** Empties what lies outside of the map, of a chunk that begins at cell (x, y) and has a pixel for `step` cells. */
function clip(out: Uint32Array, b: Rect, x: number, y: number, step: number) {
	if (isInside(b, x, y)) return
	const n = chunkSide / step
	const middle = step >> 1
	for (let i = 0; i < out.length; i++) {
		const ax = x + (i % n) * step + middle
		const ay = y + Math.floor(i / n) * step + middle
		if (ax < b.x || ay < b.y || ax >= b.x + b.w || ay >= b.y + b.h) out[i] = 0
	}
}

/** A colour, as the bytes of a pixel, of which only so many parts in a hundred cover. */
const thinned = (colour: number, percent: number) =>
	percent === 100 ? colour : ((Math.round(((colour >>> 24) * percent) / 100) << 24) | (colour & 0xffffff)) >>> 0

/** What two colours are together, the first above the second. */
function under(above: number, below: number): number {
	const [a, rest] = [above >>> 24, ((below >>> 24) * (255 - (above >>> 24))) / 255]
	const all = a + rest
	if (all < 1) return 0
	let out = Math.round(all) << 24
	for (const shift of [0, 8, 16]) {
		out |= Math.round((((above >> shift) & 255) * a + ((below >> shift) & 255) * rest) / all) << shift
	}
	return out >>> 0
}
