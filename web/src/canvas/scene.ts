import type { Core } from '../core/module'
import type { ChunkAt, Entity, Layer, MapInfo, PlayView } from '../core/types'
import type { Project } from '../project/project.svelte'
import { Chunks, chunkSide, levelOf } from './chunks'
import { drawFigure, drawGlyph } from './glyphs'
import { Pictures } from './pictures'
import type { View } from './view.svelte'

/** Draws maps: layers, entities and, in play, the hero. One is shared by all that shows maps. */
export class Scene {
	readonly pictures: Pictures
	readonly chunks: Chunks
	/** Told when what is drawn of maps has changed; with the chunks, when only those have. */
	readonly onStale = new Set<(changed?: ChunkAt[]) => void>()
	/** Told when a tileset's picture has come or gone, or the theme has changed. */
	readonly onPictures = new Set<() => void>()
	private looks?: { of: object; by: Map<string, { look: number; lookOn: number }> }

	constructor(
		private project: Project,
		core: Core = project.core,
	) {
		this.pictures = new Pictures(
			(n) => project.tileset(n),
			(place) => this.composed(place),
		)
		this.chunks = new Chunks(core, this.pictures, (n) => project.head.zones.find((z) => z.number === n))
		this.pictures.loaded = () => {
			this.chunks.forgetAll()
			this.stale()
		}
		project.onChunks.add((changed: ChunkAt[]) => {
			this.chunks.forget(changed)
			for (const told of this.onStale) told(changed)
		})
	}

	private quarters: number[][] = []

	private composed(place: number): number[] | undefined {
		if (place >= this.quarters.length) {
			this.quarters.push(...this.project.ask<number[][]>('composed', { from: this.quarters.length }))
		}
		return this.quarters[place]
	}

	private looksOf?: object
	private looksKey = ''

	/** Forgets what is drawn when tilesets, materials or zones look otherwise than before. */
	private checkLooks() {
		const { head } = this.project
		if (head === this.looksOf) return
		this.looksOf = head
		const key = JSON.stringify([
			head.tilesets.map((t) => [t.number, t.picture, t.cut, (t.infos ?? []).map((i) => [i.tile, i.frames])]),
			head.materials.map(({ covers: _, ...m }) => m),
			head.zones.map((z) => [z.number, z.hatch, z.colour]),
		])
		if (this.looksKey && key !== this.looksKey) this.chunks.forgetAll()
		if (key !== this.looksKey) this.pictures.animate(head.tilesets)
		this.looksKey = key
	}

	/** Has everything drawn anew. */
	stale() {
		for (const told of this.onStale) told()
		for (const told of this.onPictures) told()
	}

	/** Draws a map as the view shows it; false when some of it has to come in a later frame. */
	draw(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, play?: PlayView, solo?: Layer): boolean {
		this.checkLooks()
		this.chunks.beginFrame()
		ctx.imageSmoothingEnabled = view.scale < 1
		const a = view.screen(m.bounds.x * m.cellWidth, m.bounds.y * m.cellHeight)
		const b = view.screen((m.bounds.x + m.bounds.w) * m.cellWidth, (m.bounds.y + m.bounds.h) * m.cellHeight)
		ctx.fillStyle = play ? '#0d1112' : ground()
		ctx.fillRect(a.x, a.y, b.x - a.x, b.y - a.y)
		ctx.save()
		ctx.beginPath()
		ctx.rect(a.x, a.y, b.x - a.x, b.y - a.y)
		ctx.clip()
		let whole = true
		let heroDrawn = !play
		let run: Layer[] = []
		// neighbouring layers of tiles are drawn together
		const flush = () => {
			if (run.length) whole = this.tiles(ctx, m, run, view) && whole
			run = []
		}
		for (const l of m.layers) {
			if (play && l.front && !heroDrawn) {
				flush()
				this.hero(ctx, m, view, play)
				heroDrawn = true
			}
			if ((l.hidden && !solo) || (solo && l.id !== solo.id)) continue
			if (l.kind === 'zones' && play) continue
			if (l.kind !== 'entities') {
				run.push(l)
				continue
			}
			flush()
			ctx.globalAlpha = l.opacity / 100
			this.entities(ctx, m, l, view, play)
			ctx.globalAlpha = 1
		}
		flush()
		if (!heroDrawn && play) this.hero(ctx, m, view, play)
		ctx.restore()
		return whole
	}

	private tiles(ctx: CanvasRenderingContext2D, m: MapInfo, run: Layer[], view: View): boolean {
		const level = levelOf(view.scale)
		const first = view.cell(m, 0, 0)
		const last = view.cell(m, view.width, view.height)
		const from = { x: Math.max(first.x, m.bounds.x), y: Math.max(first.y, m.bounds.y) }
		const to = { x: Math.min(last.x, m.bounds.x + m.bounds.w - 1), y: Math.min(last.y, m.bounds.y + m.bounds.h - 1) }
		let whole = true
		// of a single layer the bitmap is opaque, of several it holds their opacity
		ctx.globalAlpha = run.length === 1 ? run[0].opacity / 100 : 1
		for (let cy = Math.floor(from.y / chunkSide); cy <= Math.floor(to.y / chunkSide); cy++) {
			for (let cx = Math.floor(from.x / chunkSide); cx <= Math.floor(to.x / chunkSide); cx++) {
				const bitmap = this.chunks.get(m, run, cx, cy, level)
				if (bitmap === undefined) whole = false
				if (!bitmap) continue
				const r = view.cellRect(m, { x: cx * chunkSide, y: cy * chunkSide, w: chunkSide, h: chunkSide })
				ctx.drawImage(bitmap, r.x, r.y, r.w, r.h)
			}
		}
		ctx.globalAlpha = 1
		return whole
	}

	/** The tiles that an entity is drawn as; 0 for its glyph. */
	look(e: Pick<Entity, 'kind' | 'look' | 'lookOn'>, on: boolean): number {
		const { project } = this.project.head
		if (this.looks?.of !== project) {
			this.looks = { of: project, by: new Map((project.looks ?? []).map((l) => [l.kind, l])) }
		}
		const kind = this.looks.by.get(e.kind)
		const off = e.look || kind?.look || 0
		return on ? e.lookOn || kind?.lookOn || off : off
	}

	private entities(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, play?: PlayView) {
		const gone = play && new Set(play.gone)
		const on = play && new Set(play.on)
		for (const e of this.project.entities(m.id)) {
			if (e.layer !== l.id || gone?.has(e.id)) continue
			this.entity(ctx, m, view, e, on ? on.has(e.id) : e.on, play !== undefined)
		}
	}

	/** Draws one entity; in play only what the player sees. */
	entity(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, e: Entity, on: boolean, playing = false) {
		const a = view.screen(e.x, e.y)
		const b = view.screen(e.x + e.w, e.y + e.h)
		if (b.x < 0 || b.y < 0 || a.x > view.width || a.y > view.height) return
		const look = this.look(e, on)
		if (look) {
			// what covers many cells repeats its tile
			for (let y = e.y; y < e.y + e.h; y += m.cellHeight) {
				for (let x = e.x; x < e.x + e.w; x += m.cellWidth) {
					const p = view.screen(x, y)
					const q = view.screen(x + m.cellWidth, y + m.cellHeight)
					this.pictures.draw(ctx, look, p.x, p.y, q.x - p.x, q.y - p.y)
				}
			}
			return
		}
		if (playing) {
			if (e.kind === 'spawn' || e.kind === 'arrival' || e.kind === 'exit' || (e.kind === 'door' && on)) return
		} else if (e.kind === 'exit' || e.kind === 'door') {
			cased(ctx, a.x + 0.5, a.y + 0.5, b.x - a.x - 1, b.y - a.y - 1, e.kind === 'exit' ? '#33509e' : '#8a4b22')
		}
		const cell = Math.min(b.x - a.x, b.y - a.y, m.cellWidth * view.scale)
		const size = Math.max(6, Math.min(cell * 0.86, 40))
		drawGlyph(ctx, e.kind, (a.x + b.x - size) / 2, (a.y + b.y - size) / 2, size)
	}

	/** Draws the hero with the top left of its picture's cell at a map pixel. */
	heroAt(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, x: number, y: number, facing: string, steps = 0) {
		const frames = this.project.head.project.hero.frames[['up', 'right', 'down', 'left'].indexOf(facing)]
		const a = view.screen(x, y)
		const b = view.screen(x + m.cellWidth, y + m.cellHeight)
		// the first picture stands, the others walk
		const frame = frames && steps > 0 && frames.length > 1 ? 1 + (Math.floor(steps / 8) % (frames.length - 1)) : 0
		if (frames?.length) this.pictures.draw(ctx, frames[frame], a.x, a.y, b.x - a.x, b.y - a.y)
		else drawFigure(ctx, facing, a.x, a.y, b.x - a.x, b.y - a.y)
	}

	private hero(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, play: PlayView) {
		this.heroAt(ctx, m, view, play.x, play.y, play.facing, play.steps)
	}
}

/** A line with a casing of chalk, so that it shows on any art. */
export function cased(ctx: CanvasRenderingContext2D, x: number, y: number, w: number, h: number, colour: string) {
	ctx.lineWidth = 3
	ctx.strokeStyle = '#fcfaf5'
	ctx.strokeRect(x, y, w, h)
	ctx.lineWidth = 1.5
	ctx.strokeStyle = colour
	ctx.strokeRect(x, y, w, h)
}

const grounds: Record<string, string> = { plaster: '#e9e2d5', kiln: '#262c2e' }
const ground = () => grounds[document.documentElement.dataset.theme ?? 'plaster']
