import type { Core } from '../core/module'
import type { ChunkAt, Layer, MapInfo, Rect, Zone } from '../core/types'
import { chunkSide } from './chunks'
import { tilesetOf, type Context, type Pictures } from './pictures'
import type { View } from './view.svelte'

/** Chunks along a region's side. */
const across = 8
/** Cells along it, and pixels: from afar a cell is one pixel. */
const side = across * chunkSide
/** Cells that are no larger, in pixels of the screen, are seen from afar. */
const largest = 2
/** How many regions are kept: a quarter of a megabyte each. */
const most = 320
/** How long a frame may draw what comes into view, in milliseconds, and what was edited. */
const perFrame = 5
const perEdit = 10
/** How many chunks of a layer are asked for at once: some hundred kilobytes. */
const atOnce = 48

/** Whether a map is seen from so far that a cell is no more than a dot. */
export const isAfar = (view: View, m: MapInfo) =>
	m.cellWidth * view.scale <= largest && m.cellHeight * view.scale <= largest

/** A square of a map as some layers show it, one pixel a cell. */
interface Region {
	place: string
	/** The layers that it shows. */
	layers: string[]
	dots: OffscreenCanvasRenderingContext2D
	/** The chunks that have to be drawn, by their place in the region. */
	dirty: Set<number>
	/** All of it was drawn at some time. */
	drawn: boolean
	bounds: Rect
	used: number
}

/** Maps from afar: neighbouring layers together, one pixel a cell, in few large bitmaps. */
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

	forget(changed: ChunkAt[]) {
		if (!this.regions.size) return
		const of = new Map<string, { layer: string; spot: number }[]>()
		for (const c of changed) {
			const [rx, ry] = [Math.floor(c.cx / across), Math.floor(c.cy / across)]
			const place = `${c.map} ${rx},${ry}`
			const spot = (c.cy - ry * across) * across + c.cx - rx * across
			const known = of.get(place)
			if (known) known.push({ layer: c.layer, spot })
			else of.set(place, [{ layer: c.layer, spot }])
		}
		for (const r of this.regions.values()) {
			for (const { layer, spot } of of.get(r.place) ?? []) if (r.layers.includes(layer)) r.dirty.add(spot)
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
		const of = run.map((l) => `${l.id}/${l.opacity}`).join()
		let whole = true
		ctx.save()
		ctx.globalAlpha = 1
		ctx.imageSmoothingEnabled = m.cellWidth * view.scale < 1
		if (view.diamond) ctx.setTransform(view.matrix(m))
		for (let ry = Math.floor(from.y / side); ry <= Math.floor(to.y / side); ry++) {
			for (let rx = Math.floor(from.x / side); rx <= Math.floor(to.x / side); rx++) {
				const region = this.region(`${m.id} ${rx},${ry}`, of, m, run)
				if (!this.bringUp(region, m, run, rx, ry)) whole = false
				const cells = { x: rx * side, y: ry * side, w: side, h: side }
				const r = view.diamond ? cells : view.cellRect(m, cells)
				ctx.drawImage(region.dots.canvas, r.x, r.y, r.w, r.h)
			}
		}
		ctx.restore()
		return whole
	}

	private region(place: string, of: string, m: MapInfo, run: Layer[]): Region {
		const key = `${place} ${of}`
		let r = this.regions.get(key)
		const { x, y, w, h } = m.bounds
		if (!r) {
			if (this.regions.size >= most) this.evict()
			const dots = new OffscreenCanvas(side, side).getContext('2d')!
			const layers = run.map((l) => l.id)
			r = { place, layers, dots, dirty: new Set(everything), drawn: false, bounds: { x, y, w, h }, used: 0 }
			this.regions.set(key, r)
		}
		r.used = this.turn
		const was = r.bounds
		if (was.x !== x || was.y !== y || was.w !== w || was.h !== h) {
			r.bounds = { x, y, w, h }
			r.dirty = new Set(everything)
		}
		return r
	}

	private evict() {
		const old = [...this.regions].sort((a, b) => a[1].used - b[1].used)
		for (const [key, r] of old.slice(0, most / 4)) if (r.used !== this.turn) this.regions.delete(key)
	}

	/** Draws what is not yet as it should be, as far as there is time. */
	private bringUp(region: Region, m: MapInfo, run: Layer[], rx: number, ry: number): boolean {
		const until = region.drawn ? this.editsUntil : this.until
		const most = Math.max(1, Math.floor(atOnce / run.length))
		while (region.dirty.size) {
			if (performance.now() > until) return false
			const places: number[] = []
			for (const place of region.dirty) {
				if (places.length === most) break
				places.push(place)
				region.dirty.delete(place)
			}
			this.lay(region, m, run, places, rx * across, ry * across)
		}
		region.drawn = true
		return true
	}

	/** Draws chunks of a region, given by their places in it; (left, top) is its first chunk. */
	private lay(region: Region, m: MapInfo, run: Layer[], places: number[], left: number, top: number) {
		// the uppermost layers first, until nothing shows through
		const layers = [...run].reverse()
		const at = places.flatMap((place) => [left + (place % across), top + Math.floor(place / across)])
		let words: Uint32Array | null = null
		try {
			words = this.core.chunksOf(
				m.id,
				layers.map((l) => l.id),
				at,
			)
		} catch (error) {
			this.faulty(error)
		}
		let next = 0
		places.forEach((_, k) => {
			const [cx, cy] = [at[2 * k], at[2 * k + 1]]
			const out = new Uint32Array(chunkSide * chunkSide)
			let drawn = words !== null
			for (const l of words ? layers : []) {
				const n = words![next]
				const cells = words!.subarray(next + 1, next + 1 + n)
				next += 1 + n
				try {
					this.layer(l, cells, out)
				} catch (error) {
					drawn = false
					this.faulty(error)
				}
			}
			// the rest of the map is drawn all the same
			if (!drawn) out.forEach((_, i) => (out[i] = (i ^ (i >> 5)) & 4 ? 0xff2c44b1 : 0xfff5fafc))
			clip(out, m.bounds, cx * chunkSide, cy * chunkSide)
			const dots = new ImageData(new Uint8ClampedArray(out.buffer), chunkSide, chunkSide)
			region.dots.putImageData(dots, (cx - left) * chunkSide, (cy - top) * chunkSide)
		})
	}

	/** Lays the cells of a layer below what is there; a single one stands for all. */
	private layer(l: Layer, cells: Uint32Array, out: Uint32Array) {
		if (!cells.length) return
		const step = cells.length === 1 ? 0 : 1
		let last = 0
		let colour = 0
		for (let i = 0, k = 0; i < out.length; i++, k += step) {
			const above = out[i]
			const cell = cells[k]
			if (!cell || above >>> 24 === 255) continue
			if (cell !== last) {
				last = cell
				colour = thinned(l.kind === 'zones' ? this.zoneColour(cell) : this.pictures.colourOf(cell), l.opacity)
			}
			out[i] = above ? under(above, colour) : colour
		}
	}

	private zoneColour(cell: number): number {
		const rgb = parseInt((this.zone(tilesetOf(cell))?.colour ?? '#808080').slice(1), 16)
		return ((0xa0 << 24) | ((rgb & 255) << 16) | (rgb & 0xff00) | (rgb >> 16)) >>> 0
	}
}

/** Empties what lies outside of the map, of a chunk that begins at cell (x, y). */
function clip(out: Uint32Array, b: Rect, x: number, y: number) {
	if (x >= b.x && y >= b.y && x + chunkSide <= b.x + b.w && y + chunkSide <= b.y + b.h) return
	for (let i = 0; i < out.length; i++) {
		const ax = x + (i % chunkSide)
		const ay = y + (i >> 5)
		if (ax < b.x || ay < b.y || ax >= b.x + b.w || ay >= b.y + b.h) out[i] = 0
	}
}

const everything = Array.from({ length: across * across }, (_, i) => i)

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
