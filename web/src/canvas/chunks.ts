import type { Core } from '../core/module'
import type { ChunkAt, ID, Layer, MapInfo } from '../core/types'
import type { Pictures } from './pictures'

/** Cells along a chunk's side, as the core stores them. */
const side = 32
/** Memory for drawn chunks, in bytes. */
const most = 256 << 20
/** How long a frame may draw chunks that are not there yet, in milliseconds. */
const perFrame = 5

interface Drawn {
	bitmap: OffscreenCanvas | null
	bytes: number
	used: number
}

/**
 * Chunks of layers drawn once and kept as bitmaps, at full size or halved as
 * often as the view is zoomed out. What was used longest ago goes first.
 */
export class Chunks {
	private drawn = new Map<string, Drawn>()
	/** The level at which a chunk was last drawn, shown while another comes. */
	private bytes = 0
	private turn = 0
	private until = 0

	constructor(
		private core: Core,
		private pictures: Pictures,
	) {}

	forget(changed: ChunkAt[]) {
		for (const c of changed)
			for (let level = 0; level <= 4; level++) this.drop(keyOf(c.map, c.layer, c.cx, c.cy, level))
	}

	forgetAll() {
		this.drawn.clear()
		this.bytes = 0
	}

	beginFrame() {
		this.turn++
		this.until = performance.now() + perFrame
	}

	/** The bitmap of a chunk: null when it is empty, undefined when there was no time. */
	get(m: MapInfo, l: Layer, cx: number, cy: number, level: number): OffscreenCanvas | null | undefined {
		const key = keyOf(m.id, l.id, cx, cy, level)
		const found = this.drawn.get(key)
		if (found) {
			found.used = this.turn
			return found.bitmap
		}
		if (performance.now() > this.until) return undefined
		const bitmap = this.draw(m, l, cx, cy, level)
		const bytes = bitmap ? bitmap.width * bitmap.height * 4 : 64
		this.drawn.set(key, { bitmap, bytes, used: this.turn })
		this.bytes += bytes
		if (this.bytes > most) this.evict()
		return bitmap
	}

	private draw(m: MapInfo, l: Layer, cx: number, cy: number, level: number): OffscreenCanvas | null {
		const cells = this.core.chunk(m.id, l.id, cx, cy)
		if (!cells) return null
		const w = m.cellWidth / 2 ** level
		const h = m.cellHeight / 2 ** level
		const bitmap = new OffscreenCanvas(Math.ceil(side * w), Math.ceil(side * h))
		const ctx = bitmap.getContext('2d')!
		ctx.imageSmoothingEnabled = level > 0
		const { x, y, w: mw, h: mh } = m.bounds
		for (let i = 0; i < cells.length; i++) {
			const cellX = cx * side + (i % side)
			const cellY = cy * side + (i >> 5)
			if (cells[i] && cellX >= x && cellY >= y && cellX < x + mw && cellY < y + mh) {
				this.pictures.draw(ctx, cells[i], (i % side) * w, (i >> 5) * h, w, h)
			}
		}
		return bitmap
	}

	private evict() {
		const old = [...this.drawn].sort((a, b) => a[1].used - b[1].used)
		for (const [key] of old) {
			if (this.bytes < most * 0.75) return
			this.drop(key)
		}
	}

	private drop(key: string) {
		const found = this.drawn.get(key)
		if (!found) return
		this.bytes -= found.bytes
		this.drawn.delete(key)
	}
}

const keyOf = (map: ID, layer: ID, cx: number, cy: number, level: number) => `${map}${layer}${cx},${cy},${level}`

/** The halvings at which chunks are drawn for a scale. */
export const levelOf = (scale: number) => (scale >= 1 ? 0 : Math.min(4, Math.round(-Math.log2(scale))))

export const chunkSide = side
