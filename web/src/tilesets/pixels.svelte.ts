import type { Rect, Tileset } from '../core/types'
import { Pictures, tileRect } from '../draw/pictures'

export type PixelShape = 'dots' | 'fill' | 'all alike' | 'selection'

const hex = (d: Uint8ClampedArray, i: number) =>
	'#' + [d[i], d[i + 1], d[i + 2]].map((n) => n.toString(16).padStart(2, '0')).join('')
const copy = (of: ImageData) => new ImageData(new Uint8ClampedArray(of.data), of.width, of.height)

/** What was copied last, for any tile. */
let copied: ImageData | null = null

/** Some tiles of a sheet while they are drawn pixel by pixel: one at a time, the others beside it. */
export class PixelWork {
	/** The tile that is drawn on, and the pixels of all. */
	tile = $state(0)
	all = $state.raw<Map<number, ImageData>>(new Map())
	past = $state.raw<{ tile: number; pixels: ImageData }[]>([])
	colours = $state.raw<string[]>([])
	colour = $state('#1f2a33')
	shape = $state<PixelShape>('dots')
	/** What is selected, in pixels of the tile; null is all of it. */
	area = $state.raw<Rect | null>(null)
	/** The pixels as they were. */
	private first = new Map<number, ImageData>()
	/** What is moved, and what lies below it. */
	private lifted: { pixels: ImageData; below: ImageData; from: Rect } | null = null

	constructor(
		readonly t: Tileset,
		readonly tiles: number[],
	) {
		this.tile = tiles[0]
	}

	get pixels(): ImageData | undefined {
		return this.all.get(this.tile)
	}

	get w(): number {
		return this.t.cut.cellWidth
	}

	get h(): number {
		return this.t.cut.cellHeight
	}

	async begin() {
		const bitmap = await createImageBitmap(await Pictures.source(this.t.picture))
		const whole = new OffscreenCanvas(this.t.width, this.t.height)
		const ctx = whole.getContext('2d')!
		ctx.drawImage(bitmap, 0, 0)
		const all = new Map<number, ImageData>()
		for (const tile of this.tiles) {
			const r = tileRect(this.t, tile)
			all.set(tile, ctx.getImageData(r.x, r.y, r.w, r.h))
		}
		this.first = new Map(all)
		this.all = all
		// the colours that the sheet has most of, those of the tile first
		const counts = new Map<string, number>()
		for (const [data, times] of [
			[this.pixels!.data, 1000],
			[ctx.getImageData(0, 0, Math.min(this.t.width, 512), Math.min(this.t.height, 512)).data, 1],
		] as const)
			for (let i = 0; i < data.length; i += 4)
				if (data[i + 3] === 255) counts.set(hex(data, i), (counts.get(hex(data, i)) ?? 0) + times)
		this.colours = [...counts]
			.sort((a, b) => b[1] - a[1])
			.slice(0, 30)
			.map(([c]) => c)
		this.colour = this.colours[0] ?? this.colour
	}

	/** The tiles that are drawn otherwise, with what they were and are. */
	changed(): { tile: number; was: ImageData; is: ImageData }[] {
		return this.tiles
			.map((tile) => ({ tile, was: this.first.get(tile)!, is: this.all.get(tile)! }))
			.filter(({ was, is }) => was !== is && was.data.some((v, i) => v !== is.data[i]))
	}

	private change(to: (next: ImageData) => void, goesOn = false) {
		const now = this.pixels
		if (!now) return
		const next = copy(now)
		to(next)
		if (!goesOn) this.past = [...this.past, { tile: this.tile, pixels: now }].slice(-200)
		this.all = new Map(this.all).set(this.tile, next)
	}

	undo() {
		const before = this.past.at(-1)
		if (!before) return
		this.past = this.past.slice(0, -1)
		this.tile = before.tile
		this.all = new Map(this.all).set(before.tile, before.pixels)
	}

	private within(x: number, y: number): boolean {
		const a = this.area ?? { x: 0, y: 0, w: this.w, h: this.h }
		return x >= a.x && y >= a.y && x < a.x + a.w && y < a.y + a.h
	}

	/** Puts the colour down at a pixel, or takes away what is there; nothing outside of what is selected. */
	put(x: number, y: number, clear: boolean, goesOn = false) {
		const { w, h } = this
		if (!this.pixels || !this.within(x, y) || x < 0 || y < 0 || x >= w || y >= h) return
		const n = parseInt(this.colour.slice(1), 16)
		const to = clear ? [0, 0, 0, 0] : [(n >> 16) & 255, (n >> 8) & 255, n & 255, 255]
		this.change((next) => {
			const d = next.data
			const key = (i: number) => (d[i + 3] === 0 ? -1 : (d[i] << 16) | (d[i + 1] << 8) | d[i + 2])
			const first = 4 * (y * w + x)
			const was = key(first)
			const paint = (i: number) => d.set(to, i)
			if (this.shape === 'dots' || this.shape === 'selection') return paint(first)
			if (this.shape === 'all alike') {
				for (let p = 0; p < w * h; p++) if (key(4 * p) === was && this.within(p % w, Math.floor(p / w))) paint(4 * p)
				return
			}
			const seen = new Uint8Array(w * h)
			const todo = [y * w + x]
			seen[todo[0]] = 1
			while (todo.length) {
				const p = todo.pop()!
				const [px, py] = [p % w, Math.floor(p / w)]
				for (const [nx, ny] of [
					[px - 1, py],
					[px + 1, py],
					[px, py - 1],
					[px, py + 1],
				]) {
					const o = ny * w + nx
					if (nx < 0 || ny < 0 || nx >= w || ny >= h || !this.within(nx, ny) || seen[o] || key(4 * o) !== was) continue
					seen[o] = 1
					todo.push(o)
				}
			}
			for (let p = 0; p < seen.length; p++) if (seen[p]) paint(4 * p)
		}, goesOn)
	}

	/** Takes every pixel of what is selected from another place in it. */
	moved(from: (x: number, y: number, w: number, h: number) => [number, number]) {
		const a = this.area ?? { x: 0, y: 0, w: this.w, h: this.h }
		const was = this.pixels?.data
		if (!was) return
		this.change((next) => {
			for (let y = 0; y < a.h; y++)
				for (let x = 0; x < a.w; x++) {
					const [fx, fy] = from(x, y, a.w, a.h)
					const i = 4 * ((a.y + ((fy + a.h) % a.h)) * this.w + a.x + ((fx + a.w) % a.w))
					next.data.set(was.subarray(i, i + 4), 4 * ((a.y + y) * this.w + a.x + x))
				}
		})
	}

	/** Selects from one pixel to another. */
	select(a: { x: number; y: number }, b: { x: number; y: number }) {
		const clamp = (v: number, n: number) => Math.max(0, Math.min(n - 1, v))
		const [x, y] = [clamp(Math.min(a.x, b.x), this.w), clamp(Math.min(a.y, b.y), this.h)]
		this.area = {
			x,
			y,
			w: clamp(Math.max(a.x, b.x), this.w) - x + 1,
			h: clamp(Math.max(a.y, b.y), this.h) - y + 1,
		}
	}

	/** Whether a press at a pixel would move what is selected. */
	lifts(x: number, y: number): boolean {
		return this.shape === 'selection' && this.area !== null && this.within(x, y)
	}

	/** Takes what is selected up, to be put down elsewhere. */
	lift() {
		const a = this.area
		const now = this.pixels
		if (!a || !now) return
		const pixels = this.part(now, a)
		this.change((next) => this.clear(next, a))
		this.lifted = { pixels, below: this.pixels!, from: a }
		this.carry(0, 0)
	}

	/** Shows what was lifted so far from where it was. */
	carry(dx: number, dy: number) {
		if (!this.lifted) return
		const { pixels, below, from } = this.lifted
		const next = copy(below)
		this.lay(next, pixels, from.x + dx, from.y + dy)
		this.all = new Map(this.all).set(this.tile, next)
		this.area = { ...from, x: from.x + dx, y: from.y + dy }
	}

	/** Leaves what was lifted where it is. */
	drop() {
		this.lifted = null
		const a = this.area
		if (a) this.select(a, { x: a.x + a.w - 1, y: a.y + a.h - 1 })
	}

	/** Takes away what is selected. */
	erase() {
		const a = this.area
		if (a) this.change((next) => this.clear(next, a))
	}

	copy() {
		const a = this.area ?? { x: 0, y: 0, w: this.w, h: this.h }
		if (this.pixels) copied = this.part(this.pixels, a)
	}

	/** Puts what was copied where something is selected, else at the top left; it stays selected. */
	paste() {
		const of = copied
		if (!of) return
		const [x, y] = [this.area?.x ?? 0, this.area?.y ?? 0]
		this.change((next) => this.lay(next, of, x, y))
		this.shape = 'selection'
		this.select({ x, y }, { x: x + of.width - 1, y: y + of.height - 1 })
	}

	pick(x: number, y: number) {
		const d = this.pixels?.data
		const i = 4 * (y * this.w + x)
		if (d && d[i + 3]) this.colour = hex(d, i)
	}

	private part(of: ImageData, a: Rect): ImageData {
		const out = new ImageData(a.w, a.h)
		for (let y = 0; y < a.h; y++) {
			const i = 4 * ((a.y + y) * this.w + a.x)
			out.data.set(of.data.subarray(i, i + 4 * a.w), 4 * y * a.w)
		}
		return out
	}

	private clear(on: ImageData, a: Rect) {
		for (let y = a.y; y < a.y + a.h; y++) on.data.fill(0, 4 * (y * this.w + a.x), 4 * (y * this.w + a.x + a.w))
	}

	/** Lays pixels over others: what is nothing leaves what is below. */
	private lay(on: ImageData, of: ImageData, left: number, top: number) {
		for (let y = 0; y < of.height; y++)
			for (let x = 0; x < of.width; x++) {
				const [ox, oy] = [left + x, top + y]
				const i = 4 * (y * of.width + x)
				if (ox < 0 || oy < 0 || ox >= this.w || oy >= this.h || !of.data[i + 3]) continue
				on.data.set(of.data.subarray(i, i + 4), 4 * (oy * this.w + ox))
			}
	}
}

/** The tiles that belong to one as its frames: of its animation, or of the pictures of a kind; itself alone where it has none. */
export function framesOf(t: Tileset, tile: number, kinds: { frames?: (number[] | null)[] }[], cell: number): number[] {
	const clip = t.infos?.find((i) => i.frames?.length && (i.tile === tile || i.frames.some((f) => f.tile === tile)))
	const own = kinds.flatMap((k) => k.frames ?? []).find((row) => row?.includes(cell))
	const all = clip
		? [clip.tile, ...clip.frames!.map((f) => f.tile)]
		: (own ?? []).filter((c) => ((c >>> 16) & 0xfff) === t.number).map((c) => c & 0xffff)
	const unique = [...new Set([tile, ...all])].sort((a, b) => a - b)
	return unique.slice(0, 16)
}
