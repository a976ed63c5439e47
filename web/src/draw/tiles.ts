import { Afar, isAfar } from './afar'
import { cellArea } from './areas'
import type { Layer, MapInfo } from '../core/types'
import { drawZone } from './hatches'
import { View } from './view.svelte'
import { Chunks, chunkSide, levelOf } from './chunks'
import { Pictures, tilesetOf } from './pictures'
import { Project } from '../project/project.svelte'

/** Draws layers of tiles and zones, from the bitmaps of their chunks or, on diamonds, cell by cell. */
export class Tiles {
	constructor(
		private project: Project,
		private pictures: Pictures,
		private chunks: Chunks,
		private afar: Afar,
	) {}

	/** Draws layers of tiles; of a single one also a single row. */
	draw(ctx: CanvasRenderingContext2D, m: MapInfo, run: Layer[], view: View, row?: number): boolean {
		if (isAfar(view, m)) return this.afar.draw(ctx, m, run, view)
		if (view.diamond) {
			for (const l of run) this.diamonds(ctx, m, l, view)
			return true
		}
		const level = levelOf(view.scale)
		const first = view.cell(m, 0, 0)
		const last = view.cell(m, view.width, view.height)
		const from = { x: Math.max(first.x, m.bounds.x), y: Math.max(first.y, m.bounds.y) }
		const to = { x: Math.min(last.x, m.bounds.x + m.bounds.w - 1), y: Math.min(last.y, m.bounds.y + m.bounds.h - 1) }
		if (row !== undefined) from.y = to.y = row
		const odd: [number, number][] = []
		let whole = true
		// of a single layer the bitmap is opaque, of several it holds their opacity
		ctx.globalAlpha = run.length === 1 ? run[0].opacity / 100 : 1
		for (let cy = Math.floor(from.y / chunkSide); cy <= Math.floor(to.y / chunkSide); cy++) {
			for (let cx = Math.floor(from.x / chunkSide); cx <= Math.floor(to.x / chunkSide); cx++) {
				const bitmap = this.chunks.get(m, run, cx, cy, level)
				if (bitmap === undefined) whole = false
				if (run.length === 1) odd.push([cx, cy])
				if (!bitmap) continue
				if (row !== undefined) {
					const r = view.cellRect(m, { x: cx * chunkSide, y: row, w: chunkSide, h: 1 })
					const h = m.cellHeight / 2 ** level
					const [top, bottom] = [row - cy * chunkSide, row - cy * chunkSide + 1].map((n) => Math.round(n * h))
					ctx.drawImage(bitmap, 0, top, bitmap.width, bottom - top, r.x, r.y, r.w, r.h)
					continue
				}
				const r = view.cellRect(m, { x: cx * chunkSide, y: cy * chunkSide, w: chunkSide, h: chunkSide })
				ctx.drawImage(bitmap, r.x, r.y, r.w, r.h)
			}
		}
		// what stands higher than its cell lies over the rows behind it
		for (const [cx, cy] of odd) {
			const list = this.chunks.oddOf(m, run[0], cx, cy, level)
			for (let i = 0; i < list.length; i += 2) {
				const at = { x: cx * chunkSide + (list[i] % chunkSide), y: cy * chunkSide + Math.floor(list[i] / chunkSide) }
				if (
					at.x < m.bounds.x ||
					at.y < m.bounds.y ||
					at.x >= m.bounds.x + m.bounds.w ||
					at.y >= m.bounds.y + m.bounds.h
				)
					continue
				if (row !== undefined && at.y !== row) continue
				const r = this.pictures.standing(
					list[i + 1],
					m.cellWidth,
					m.cellHeight,
					view.cellRect(m, { ...at, w: 1, h: 1 }),
				)
				this.pictures.draw(ctx, list[i + 1], r.x, r.y, r.w, r.h)
			}
		}
		ctx.globalAlpha = 1
		return whole
	}

	/** Draws a layer's cells on a grid of diamonds, the farthest first. */
	private diamonds(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View) {
		const b = m.bounds
		// the cells under the corners of what is seen, with room for what stands higher
		const seen = [
			view.cell(m, 0, 0),
			view.cell(m, view.width, 0),
			view.cell(m, 0, view.height + 128 * view.scale),
			view.cell(m, view.width, view.height + 128 * view.scale),
		]
		const x0 = Math.max(b.x, Math.min(...seen.map((c) => c.x)))
		const x1 = Math.min(b.x + b.w - 1, Math.max(...seen.map((c) => c.x)))
		const y0 = Math.max(b.y, Math.min(...seen.map((c) => c.y)))
		const y1 = Math.min(b.y + b.h - 1, Math.max(...seen.map((c) => c.y)))
		const chunks = new Map<string, Uint32Array | null>()
		const at = (x: number, y: number): number => {
			const [cx, cy] = [Math.floor(x / chunkSide), Math.floor(y / chunkSide)]
			const key = `${cx},${cy}`
			let cells = chunks.get(key)
			if (cells === undefined) {
				cells = this.project.core.chunk(m.id, l.id, cx, cy)?.slice() ?? null
				chunks.set(key, cells)
			}
			return cells ? cells[(y - cy * chunkSide) * chunkSide + x - cx * chunkSide] : 0
		}
		ctx.globalAlpha = l.opacity / 100
		for (let sum = x0 + y0; sum <= x1 + y1; sum++) {
			for (let x = Math.max(x0, sum - y1); x <= Math.min(x1, sum - y0); x++) {
				const cell = at(x, sum - x)
				if (!cell) continue
				const r = view.cellRect(m, { x, y: sum - x, w: 1, h: 1 })
				if (r.x > view.width || r.x + r.w < 0) continue
				if (l.kind === 'zones') {
					const zone = this.project.head.zones.find((z) => z.number === tilesetOf(cell))
					drawZone(ctx, zone, r.x, r.y, r.w, r.h, cellArea(view, m, x, sum - x))
				} else {
					const p = this.pictures.standing(cell, m.cellWidth, m.cellHeight, r)
					this.pictures.draw(ctx, cell, p.x, p.y, p.w, p.h)
				}
			}
		}
		ctx.globalAlpha = 1
	}
}
