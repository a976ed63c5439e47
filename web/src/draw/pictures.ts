import type { Cut, Point, Rect, Tileset } from '../core/types'

const mirrorX = 0x80000000
const mirrorY = 0x40000000
const exchange = 0x20000000
const material = 0x10000000

/** How a cell is coded is the core's: these only read it for drawing. */
export const tilesetOf = (cell: number) => (cell >>> 16) & 0xfff
export const tileOf = (cell: number) => cell & 0xffff
export const cellOf = (tileset: number, tile: number) => ((tileset << 16) | tile) >>> 0

/** The pixel at the top left of the first tile of a cut. */
export const firstOf = ({ margin, left = 0, top = 0 }: Cut): Point => ({ x: margin + left, y: margin + top })

/** Where a tile lies in a picture that is so many of them across. */
export function tileIn(cut: Cut, columns: number, tile: number): Rect {
	const { cellWidth: w, cellHeight: h, spacing } = cut
	const { x, y } = firstOf(cut)
	return { x: x + (tile % columns) * (w + spacing), y: y + Math.floor(tile / columns) * (h + spacing), w, h }
}

/** The part of a tileset's picture that a tile is. */
export const tileRect = (t: Tileset, tile: number): Rect => tileIn(t.cut, t.columns, tile)

/** A picture of tiles: the first, and how many it is across and down. */
export interface Picture {
	cell: number
	across: number
	down: number
}

export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

/** The tilesets' pictures, loaded as they are needed. */
export class Pictures {
	/** Told when a picture has come, or could not be had. */
	loaded: (sha: string) => void = () => {}
	/** Where pictures come from: the server, unless a page brings its own. */
	static source = async (sha: string): Promise<Blob> => {
		const answer = await fetch(`/api/pictures/${sha}`)
		if (!answer.ok) throw new Error(String(answer.status))
		return answer.blob()
	}
	private images = new Map<string, ImageBitmap | 'coming' | 'missing'>()

	constructor(
		private tileset: (number: number) => Tileset | undefined,
		/** The four quarters that a fitted material is put together of; undefined for a gap. */
		private composed: (place: number) => number[] | undefined,
	) {}

	image(sha: string): ImageBitmap | undefined {
		const found = this.images.get(sha)
		if (found === undefined) void this.load(sha)
		return typeof found === 'object' ? found : undefined
	}

	/** Whether a picture could not be had; turn has a component ask again when pictures come. */
	isMissing(sha: string, turn = 0): boolean {
		void turn
		this.image(sha)
		return this.images.get(sha) === 'missing'
	}

	/** Asks again for a picture that was missing: it has been supplied. */
	retry(sha: string) {
		if (this.images.get(sha) === 'missing') void this.load(sha)
	}

	// animation

	private clips = new Map<number, { frames: { cell: number; end: number }[]; length: number }>()
	private now = new Map<number, number>()
	/** Goes up whenever an animated tile shows its next frame. */
	turn = 0

	/** Takes over which tiles are animated. */
	animate(tilesets: Tileset[]) {
		this.clips.clear()
		this.now.clear()
		for (const t of tilesets) {
			for (const info of t.infos ?? []) {
				if (!info.frames?.length) continue
				let end = 0
				const frames = info.frames.map((f) => ({ cell: cellOf(t.number, f.tile), end: (end += f.ms) }))
				this.clips.set(cellOf(t.number, info.tile), { frames, length: end })
			}
		}
	}

	/** Moves the animated tiles on to a time in milliseconds; true when one shows another frame. */
	tick(ms: number): boolean {
		let changed = false
		for (const [cell, clip] of this.clips) {
			const at = ms % clip.length
			const next = clip.frames.find((f) => at < f.end)!.cell
			if (this.now.get(cell) === next) continue
			this.now.set(cell, next)
			changed = true
		}
		if (changed) this.turn++
		return changed
	}

	isAnimated(cell: number): boolean {
		if (!this.clips.size) return false
		if (cell & material) return this.composed(cell & 0xfffffff)?.some((q) => this.isAnimated(q)) ?? false
		return this.clips.has(cell & 0xfffffff)
	}

	private async load(sha: string) {
		this.images.set(sha, 'coming')
		try {
			this.images.set(sha, await createImageBitmap(await Pictures.source(sha)))
		} catch {
			this.images.set(sha, 'missing')
		}
		this.loaded(sha)
	}

	/** Draws a picture of several tiles into a rectangle, turned as its first one says. */
	drawMany(ctx: Context, p: Picture, x: number, y: number, w: number, h: number) {
		const { cell, across, down } = p
		if (across * down === 1) return this.draw(ctx, cell, x, y, w, h)
		const t = this.tileset(tilesetOf(cell))
		if (!t) return drawMissing(ctx, x, y, w, h)
		const first = tileOf(cell)
		ctx.save()
		ctx.translate(x + w / 2, y + h / 2)
		ctx.scale(cell & mirrorX ? -1 : 1, cell & mirrorY ? -1 : 1)
		if (cell & exchange) {
			ctx.transform(0, 1, 1, 0, 0, 0)
			;[w, h] = [h, w]
		}
		for (let j = 0; j < down; j++) {
			for (let i = 0; i < across; i++) {
				if ((first % t.columns) + i >= t.columns) continue
				const tile = cellOf(t.number, first + j * t.columns + i)
				this.draw(ctx, tile, (i / across - 0.5) * w, (j / down - 0.5) * h, w / across, h / down)
			}
		}
		ctx.restore()
	}

	/** Draws a picture as large as it fits into a square, in the middle and with its own proportions. */
	drawFitting(ctx: Context, p: Picture, x: number, y: number, side: number) {
		const size = this.sizeOf(p, 1, 1)
		const s = side / Math.max(size.w, size.h)
		const [w, h] = [size.w * s, size.h * s]
		this.drawMany(ctx, p, x + (side - w) / 2, y + (side - h) / 2, w, h)
	}

	/** The size of a picture in map pixels, as it is turned; of a material a cell's. */
	sizeOf({ cell, across, down }: Picture, cellWidth: number, cellHeight: number): { w: number; h: number } {
		const t = cell & material ? undefined : this.tileset(tilesetOf(cell))
		const [w, h] = t ? [t.cut.cellWidth * across, t.cut.cellHeight * down] : [cellWidth, cellHeight]
		return cell & exchange ? { w: h, h: w } : { w, h }
	}

	/** Draws a cell into a rectangle, turned as it says; one that is missing is hatched. */
	draw(ctx: Context, cell: number, x: number, y: number, w: number, h: number) {
		if (cell & material) return this.drawComposed(ctx, cell & 0xfffffff, x, y, w, h)
		const frame = this.now.get(cell & 0xfffffff)
		if (frame !== undefined) cell = ((cell & 0xe0000000) | frame) >>> 0
		const t = this.tileset(tilesetOf(cell))
		const image = t && this.image(t.picture)
		if (!t || !image) {
			if (!t || this.images.get(t.picture) === 'missing') drawMissing(ctx, x, y, w, h)
			return
		}
		const r = tileRect(t, tileOf(cell))
		if (cell >>> 29 === 0) {
			ctx.drawImage(image, r.x, r.y, r.w, r.h, x, y, w, h)
			return
		}
		ctx.save()
		ctx.translate(x + w / 2, y + h / 2)
		ctx.scale(cell & mirrorX ? -1 : 1, cell & mirrorY ? -1 : 1)
		if (cell & exchange) {
			// what was its width is its height now, and fills the same rectangle
			ctx.transform(0, 1, 1, 0, 0, 0)
			;[w, h] = [h, w]
		}
		ctx.drawImage(image, r.x, r.y, r.w, r.h, -w / 2, -h / 2, w, h)
		ctx.restore()
	}

	/**
	 * Where a tile is drawn whose cell lies in a rectangle: a tile of another size than
	 * the map's cells keeps its own and stands on the lower edge, in the middle.
	 */
	standing(cell: number, cellWidth: number, cellHeight: number, r: Rect): Rect {
		const t = cell & material ? undefined : this.tileset(tilesetOf(cell))
		if (!t || (t.cut.cellWidth === cellWidth && t.cut.cellHeight === cellHeight)) return r
		const [sx, sy] = [r.w / cellWidth, r.h / cellHeight]
		const side = cell & exchange ? [t.cut.cellHeight, t.cut.cellWidth] : [t.cut.cellWidth, t.cut.cellHeight]
		const [w, h] = [Math.round(side[0] * sx), Math.round(side[1] * sy)]
		return { x: r.x + Math.round((r.w - w) / 2), y: r.y + r.h - h, w, h }
	}

	isOdd(cell: number, cellWidth: number, cellHeight: number): boolean {
		const t = cell & material ? undefined : this.tileset(tilesetOf(cell))
		return t !== undefined && (t.cut.cellWidth !== cellWidth || t.cut.cellHeight !== cellHeight)
	}

	private colours = new Map<number, number>()
	private small = new OffscreenCanvas(4, 4).getContext('2d', { willReadFrequently: true })!

	/** The colour that a cell is from afar, as the bytes of one pixel; however it is turned it is the same. */
	colourOf(cell: number): number {
		const frame = this.now.get(cell & 0xfffffff)
		const plain = frame !== undefined && !(cell & material) ? frame : (cell & 0x1fffffff) >>> 0
		const found = this.colours.get(plain)
		if (found !== undefined) return found
		const t = cell & material ? undefined : this.tileset(tilesetOf(plain))
		if (t && !this.image(t.picture) && !this.isMissing(t.picture)) return 0 // it is coming
		this.small.clearRect(0, 0, 4, 4)
		this.small.imageSmoothingQuality = 'medium'
		this.draw(this.small, plain, 0, 0, 4, 4)
		const { data } = this.small.getImageData(0, 0, 4, 4)
		const sum = [0, 0, 0, 0]
		for (let i = 0; i < data.length; i += 4) {
			for (let k = 0; k < 3; k++) sum[k] += data[i + k] * data[i + 3]
			sum[3] += data[i + 3]
		}
		const [r, g, b] = sum.map((v) => Math.round(v / Math.max(1, sum[3])))
		const colour = ((Math.round(sum[3] / 16) << 24) | (b << 16) | (g << 8) | r) >>> 0
		this.colours.set(plain, colour)
		return colour
	}

	/** Forgets how cells look from afar. */
	forgetColours() {
		this.colours.clear()
	}

	private drawComposed(ctx: Context, place: number, x: number, y: number, w: number, h: number) {
		const quarters = place ? this.composed(place) : undefined
		if (!quarters) return drawGap(ctx, x, y, w, h)
		quarters.forEach((cell, i) => {
			ctx.save()
			ctx.beginPath()
			ctx.rect(x + (i % 2) * (w / 2), y + (i >> 1) * (h / 2), w / 2, h / 2)
			ctx.clip()
			this.draw(ctx, cell, x, y, w, h)
			ctx.restore()
		})
	}
}

/** A material that has no tile of the form: a frame with a slash, on whatever lies below. */
function drawGap(ctx: Context, x: number, y: number, w: number, h: number) {
	ctx.lineWidth = Math.max(1, w / 12)
	for (const colour of ['#fcfaf5', '#b1442c']) {
		ctx.strokeStyle = colour
		ctx.beginPath()
		ctx.rect(x + w * 0.1, y + h * 0.1, w * 0.8, h * 0.8)
		ctx.moveTo(x + w * 0.1, y + h * 0.9)
		ctx.lineTo(x + w * 0.9, y + h * 0.1)
		ctx.stroke()
		ctx.lineWidth /= 2
	}
}

/** What stands for a picture that could not be had. */
export function drawMissing(ctx: Context, x: number, y: number, w: number, h: number) {
	ctx.fillStyle = '#fcfaf5'
	ctx.fillRect(x, y, w, h)
	ctx.fillStyle = '#b1442c'
	ctx.fillRect(x, y, w / 2, h / 2)
	ctx.fillRect(x + w / 2, y + h / 2, w / 2, h / 2)
}
