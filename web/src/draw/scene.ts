import { areaOf, boxOf, cellArea } from './areas'
import { casedArea } from './frames'
import type { Core } from '../core/module'
import { drawZone } from './hatches'
import type { ChunkAt, Entity, ID, Kind, Layer, LayerImage, MapInfo, PlayView } from '../core/types'
import type { Project } from '../project/project.svelte'
import { Chunks, chunkSide, levelOf } from './chunks'
import { drawFigure, drawGlyph, glyphs } from './glyphs'
import { nearby } from './nearby'
import { drawMissing, Pictures, tilesetOf } from './pictures'
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
			this.quarters.push(...this.project.ask('composed', { from: this.quarters.length }))
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

	/**
	 * Draws a map as the view shows it; false when some of it has to come in a later frame.
	 * Solo draws one layer or group alone; with moves, layers go with the camera by their lag.
	 */
	draw(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, o: Drawing = {}): boolean {
		this.checkLooks()
		this.chunks.beginFrame()
		const { play } = o
		ctx.imageSmoothingEnabled = view.scale < 1
		view.use(m)
		const all = areaOf(view, {
			x: m.bounds.x * m.cellWidth,
			y: m.bounds.y * m.cellHeight,
			w: m.bounds.w * m.cellWidth,
			h: m.bounds.h * m.cellHeight,
		})
		ctx.fillStyle = play ? m.background : ground()
		ctx.fill(all)
		ctx.save()
		// what stands on diamonds reaches over the map's edge
		if (!view.diamond) ctx.clip(all)
		let whole = true
		let heroDrawn = !play || o.heroless
		let run: Layer[] = []
		// neighbouring plain layers of tiles are drawn together
		const flush = () => {
			if (run.length) whole = this.tiles(ctx, m, run, view) && whole
			run = []
		}
		const layers = this.shownLayers(m, o)
		const odd = this.oddLayers(m)
		for (let i = 0; i < layers.length; i++) {
			const l = layers[i]
			if (play && l.front && !heroDrawn) {
				flush()
				this.hero(ctx, m, view, play)
				heroDrawn = true
			}
			if ((l.kind === 'tiles' || l.kind === 'zones') && plain(l) && !odd.has(l.id)) {
				run.push(l)
				continue
			}
			flush()
			// layers of entities and those sorted with them go together as far as they are neighbours
			const sorted = [l]
			while (sortable(l) && layers[i + 1] && sortable(layers[i + 1]) && layers[i + 1].front === l.front) {
				sorted.push(layers[++i])
			}
			if (sorted.some((s) => s.foot)) {
				whole = this.sorted(ctx, m, sorted, view, play, heroDrawn ? undefined : play) && whole
				heroDrawn = true
				continue
			}
			for (const one of sorted) whole = this.layer(ctx, m, one, view, o) && whole
		}
		flush()
		if (!heroDrawn && play) this.hero(ctx, m, view, play)
		ctx.restore()
		return whole
	}

	private odd?: { turn: number; map: ID; layers: Set<ID> }

	/** The layers on which tiles of another size than the map's cells lie. */
	private oddLayers(m: MapInfo): Set<ID> {
		const { head, turn } = this.project
		const any = head.tilesets.some((t) => t.cut.cellWidth !== m.cellWidth || t.cut.cellHeight !== m.cellHeight)
		if (!any) return none
		if (this.odd?.turn !== turn || this.odd.map !== m.id) {
			this.odd = { turn, map: m.id, layers: new Set(this.project.ask('oddLayers', { map: m.id })) }
		}
		return this.odd.layers
	}

	/** The layers that are drawn, with what their groups add to them. */
	private shownLayers(m: MapInfo, { play, solo }: Drawing): Layer[] {
		const groups = new Map(m.layers.filter((l) => l.kind === 'group').map((g) => [g.id, g]))
		const out: Layer[] = []
		for (const l of m.layers) {
			if (l.kind === 'group' || (l.kind === 'zones' && play)) continue
			const g = groups.get(l.group)
			if (solo ? l.id !== solo && l.group !== solo : !l.shown) continue
			out.push(
				g
					? {
							...l,
							opacity: (l.opacity * g.opacity) / 100,
							tint: l.tint || g.tint,
							offsetX: l.offsetX + g.offsetX,
							offsetY: l.offsetY + g.offsetY,
							lagX: l.lagX + g.lagX,
							lagY: l.lagY + g.lagY,
						}
					: l,
			)
		}
		return out
	}

	/** Draws one layer that is displaced, tinted, of entities or of a picture. */
	private layer(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, o: Drawing): boolean {
		const seen = this.seen(m, l, view, o)
		if (l.tint) return this.tinted(ctx, m, l, seen, o)
		return this.bare(ctx, m, l, seen, o)
	}

	/** The view from which a layer is seen: displaced, and going along with the camera. */
	private seen(m: MapInfo, l: Layer, view: View, { play, moves }: Drawing): View {
		let [dx, dy] = [l.offsetX, l.offsetY]
		if ((play || moves) && (l.lagX || l.lagY)) {
			const cx = view.x + view.width / 2 / view.scale - (m.bounds.x + m.bounds.w / 2) * m.cellWidth
			const cy = view.y + view.height / 2 / view.scale - (m.bounds.y + m.bounds.h / 2) * m.cellHeight
			dx += (cx * l.lagX) / 100
			dy += (cy * l.lagY) / 100
		}
		return dx || dy ? view.displaced(dx, dy) : view
	}

	private bare(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, { play }: Drawing): boolean {
		if (l.kind === 'picture') {
			ctx.globalAlpha = l.opacity / 100
			this.picture(ctx, m, l.image!, view)
			ctx.globalAlpha = 1
			return true
		}
		if (l.kind === 'entities') {
			ctx.globalAlpha = l.opacity / 100
			this.entities(ctx, m, l, view, play)
			ctx.globalAlpha = 1
			return true
		}
		return this.tiles(ctx, m, [l], view)
	}

	private veil?: OffscreenCanvas

	/** Draws a layer apart, multiplies it with its tint, and puts it down. */
	private tinted(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, o: Drawing): boolean {
		const [w, h] = [Math.max(1, view.width), Math.max(1, view.height)]
		this.veil ??= new OffscreenCanvas(w, h)
		if (this.veil.width !== w || this.veil.height !== h) [this.veil.width, this.veil.height] = [w, h]
		const apart = this.veil.getContext('2d')! as unknown as CanvasRenderingContext2D
		apart.globalCompositeOperation = 'source-over'
		apart.clearRect(0, 0, w, h)
		apart.imageSmoothingEnabled = ctx.imageSmoothingEnabled
		const whole = this.bare(apart, m, { ...l, opacity: 100 }, view, o)
		// the tint lies only where something is drawn, and keeps its light and shade
		apart.globalCompositeOperation = 'source-atop'
		apart.globalAlpha = 1
		apart.save()
		apart.globalCompositeOperation = 'multiply'
		apart.fillStyle = l.tint
		apart.fillRect(0, 0, w, h)
		apart.restore()
		apart.globalCompositeOperation = 'destination-in'
		this.bare(apart, m, { ...l, opacity: 100 }, view, o)
		ctx.globalAlpha = l.opacity / 100
		ctx.drawImage(this.veil, 0, 0)
		ctx.globalAlpha = 1
		return whole
	}

	private picture(ctx: CanvasRenderingContext2D, m: MapInfo, i: LayerImage, view: View) {
		const b = m.bounds
		const all = view.cellRect(m, b)
		if (!i.picture) {
			const end = i.across ? [all.x + all.w, all.y] : [all.x, all.y + all.h]
			const g = ctx.createLinearGradient(all.x, all.y, end[0], end[1])
			g.addColorStop(0, i.from)
			g.addColorStop(1, i.to)
			ctx.fillStyle = g
			ctx.fillRect(all.x, all.y, all.w, all.h)
			return
		}
		const image = this.pictures.image(i.picture)
		if (!image) {
			if (!this.pictures.isMissing(i.picture)) return
			const [p, q] = [
				view.screen(i.x, i.y),
				view.screen(i.x + (i.width * i.scale) / 100, i.y + (i.height * i.scale) / 100),
			]
			return i.stretch ? drawMissing(ctx, all.x, all.y, all.w, all.h) : drawMissing(ctx, p.x, p.y, q.x - p.x, q.y - p.y)
		}
		if (i.stretch) return ctx.drawImage(image, all.x, all.y, all.w, all.h)
		const [w, h] = [(i.width * i.scale) / 100, (i.height * i.scale) / 100]
		const t = performance.now() / 1000
		let [x, y] = [i.x + i.driftX * t, i.y + i.driftY * t]
		let [columns, rows] = [1, 1]
		const seen = { x: view.x, y: view.y, w: view.width / view.scale, h: view.height / view.scale }
		if (i.repeatX) {
			x = seen.x - ((((seen.x - x) % w) + w) % w)
			columns = Math.min(200, Math.ceil((seen.x + seen.w - x) / w))
		}
		if (i.repeatY) {
			y = seen.y - ((((seen.y - y) % h) + h) % h)
			rows = Math.min(200, Math.ceil((seen.y + seen.h - y) / h))
		}
		for (let row = 0; row < rows; row++) {
			for (let column = 0; column < columns; column++) {
				const p = view.screen(x + column * w, y + row * h)
				const q = view.screen(x + (column + 1) * w, y + (row + 1) * h)
				ctx.drawImage(image, p.x, p.y, q.x - p.x, q.y - p.y)
			}
		}
	}

	/** Draws rows of tiles, entities and the hero by their lower edges. */
	private sorted(
		ctx: CanvasRenderingContext2D,
		m: MapInfo,
		layers: Layer[],
		view: View,
		play?: PlayView,
		hero?: PlayView,
	): boolean {
		const things: { foot: number; draw: () => void }[] = []
		const gone = play && new Set(play.gone)
		const on = play && new Set(play.on)
		let whole = true
		for (const l of layers) {
			if (l.kind === 'entities') {
				for (const e of this.entitiesOf(m, view, play)) {
					if (e.layer !== l.id || gone?.has(e.id) || (!play && e.hidden)) continue
					things.push({
						foot: e.y + e.h,
						draw: () => {
							ctx.globalAlpha = (l.opacity / 100) * shown(e, play !== undefined)
							this.entity(ctx, m, view, e, on ? on.has(e.id) : e.on, play !== undefined)
						},
					})
				}
				continue
			}
			const seen = this.seen(m, l, view, { play })
			const first = Math.max(m.bounds.y, seen.cell(m, 0, 0).y)
			const last = Math.min(m.bounds.y + m.bounds.h - 1, seen.cell(m, 0, seen.height).y)
			for (let row = first; row <= last; row++) {
				things.push({
					foot: (row + 1) * m.cellHeight + l.offsetY - 0.5,
					draw: () => (whole = this.tiles(ctx, m, [l], seen, row) && whole),
				})
			}
		}
		if (hero) things.push({ foot: hero.y + m.cellHeight, draw: () => this.hero(ctx, m, view, hero) })
		things.sort((a, b) => a.foot - b.foot)
		for (const t of things) {
			ctx.globalAlpha = 1
			t.draw()
		}
		ctx.globalAlpha = 1
		return whole
	}

	/** Draws layers of tiles; of a single one also a single row. */
	private tiles(ctx: CanvasRenderingContext2D, m: MapInfo, run: Layer[], view: View, row?: number): boolean {
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
					const h = bitmap.height / chunkSide
					ctx.drawImage(bitmap, 0, (row - cy * chunkSide) * h, bitmap.width, h, r.x, r.y, r.w, r.h)
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

	/** The tiles that an entity is drawn as; 0 for its glyph. */
	look(e: Pick<Entity, 'kind' | 'look' | 'lookOn'> & { facing?: string }, on: boolean): number {
		const { project } = this.project.head
		if (this.looks?.of !== project) {
			this.looks = { of: project, by: new Map((project.looks ?? []).map((l) => [l.kind, l])) }
		}
		const k = this.project.kind(e.kind)
		const kind = this.looks.by.get(e.kind)
		const off = e.look || framesOf(k, e.facing ?? 'down')?.[0] || k?.look || kind?.look || 0
		return on ? e.lookOn || k?.lookOn || kind?.lookOn || off : off
	}

	/** The entities of a map that may be seen; in play with the looks that were drawn for them. */
	private entitiesOf(m: MapInfo, view: View, play?: PlayView): Entity[] {
		const all = nearby(this.project.entities(m.id), view.seen())
		if (!play?.looks.length) return all
		const looks = new Map(play.looks.map((o) => [o.id, o.look]))
		return all.map((e) => (looks.has(e.id) ? { ...e, look: looks.get(e.id)! } : e))
	}

	private entities(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, play?: PlayView) {
		const crowded = this.project.entities(m.id).length > 500
		if (!play && crowded && m.cellWidth * view.scale < 5) return this.dots(ctx, m, l, view)
		const gone = play && new Set(play.gone)
		const on = play && new Set(play.on)
		for (const e of this.entitiesOf(m, view, play)) {
			if (e.layer !== l.id || gone?.has(e.id) || (!play && e.hidden)) continue
			const alpha = ctx.globalAlpha
			ctx.globalAlpha = alpha * shown(e, play !== undefined)
			this.entity(ctx, m, view, e, on ? on.has(e.id) : e.on, play !== undefined)
			ctx.globalAlpha = alpha
		}
	}

	/** From afar entities are no more than dots, those of a colour drawn together. */
	private dots(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View) {
		const colours = new Map<string, Entity[]>()
		for (const e of this.entitiesOf(m, view)) {
			if (e.layer !== l.id || e.hidden) continue
			const colour = this.colourOf(e.kind)
			const all = colours.get(colour)
			if (all) all.push(e)
			else colours.set(colour, [e])
		}
		for (const [colour, all] of colours) {
			ctx.fillStyle = colour
			for (const e of all) {
				const r = boxOf(view, e)
				ctx.fillRect(r.x, r.y, Math.max(2, r.w), Math.max(2, r.h))
			}
		}
	}

	private dye?: OffscreenCanvas

	/** Draws one picture into an entity's box, turned and tinted. */
	private whole(ctx: CanvasRenderingContext2D, view: View, m: MapInfo, e: Entity, look: number) {
		const box = boxOf(view, e)
		const r = view.diamond ? this.pictures.standing(look, m.cellWidth, m.cellHeight, box) : box
		if (!e.turn && !e.tint) return this.pictures.draw(ctx, look, r.x, r.y, r.w, r.h)
		const turn = e.turn ?? 0
		const [w, h] = turn & 1 ? [r.h, r.w] : [r.w, r.h]
		ctx.save()
		ctx.translate(r.x + r.w / 2, r.y + r.h / 2)
		ctx.rotate(((turn & 3) * Math.PI) / 2)
		if (turn & 4) ctx.scale(-1, 1)
		if (e.tint && w >= 1 && h >= 1) {
			this.dye ??= new OffscreenCanvas(1, 1)
			;[this.dye.width, this.dye.height] = [Math.ceil(w), Math.ceil(h)]
			const apart = this.dye.getContext('2d')! as unknown as CanvasRenderingContext2D
			apart.imageSmoothingEnabled = ctx.imageSmoothingEnabled
			this.pictures.draw(apart, look, 0, 0, w, h)
			apart.globalCompositeOperation = 'multiply'
			apart.fillStyle = e.tint
			apart.fillRect(0, 0, w, h)
			apart.globalCompositeOperation = 'destination-in'
			this.pictures.draw(apart, look, 0, 0, w, h)
			ctx.drawImage(this.dye, -w / 2, -h / 2)
		} else this.pictures.draw(ctx, look, -w / 2, -h / 2, w, h)
		ctx.restore()
	}

	/** The colour of a kind's glyph. */
	colourOf(kind: string): string {
		const k = this.project.kind(kind)
		return k?.colour || (glyphs[k?.glyph ?? kind]?.colour ?? '#566067')
	}

	/** Draws a kind's glyph into a square. */
	glyph(ctx: CanvasRenderingContext2D, kind: string, x: number, y: number, size: number) {
		const k = this.project.kind(kind)
		drawGlyph(ctx, k?.glyph ?? kind, x, y, size, k?.colour)
	}

	/** Draws one entity; in play only what the player sees. */
	entity(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, e: Entity, on: boolean, playing = false) {
		const box = boxOf(view, e)
		const a = { x: box.x, y: box.y }
		const b = { x: box.x + box.w, y: box.y + box.h }
		if (b.x < 0 || b.y < 0 || a.x > view.width || a.y > view.height) return
		const look = this.look(e, on)
		if (look && !this.project.kind(e.kind)?.area) return this.whole(ctx, view, m, e, look)
		if (look) {
			// what covers many cells repeats its tile
			for (let y = e.y; y < e.y + e.h; y += m.cellHeight) {
				for (let x = e.x; x < e.x + e.w; x += m.cellWidth) {
					const r = boxOf(view, { x, y, w: m.cellWidth, h: m.cellHeight })
					const p = view.diamond ? this.pictures.standing(look, m.cellWidth, m.cellHeight, r) : r
					this.pictures.draw(ctx, look, p.x, p.y, p.w, p.h)
				}
			}
			return
		}
		if (playing) {
			const kind = this.project.kind(e.kind)
			if (kind?.veiled || (kind?.opens && on)) return
		} else if (this.project.kind(e.kind)?.area && (b.x - a.x > 6 || b.y - a.y > 6)) {
			casedArea(ctx, areaOf(view, e, 0.5), this.colourOf(e.kind))
		}
		const cell = Math.min(b.x - a.x, b.y - a.y, m.cellWidth * view.scale)
		const size = Math.max(6, Math.min(cell * 0.86, 40))
		this.glyph(ctx, e.kind, (a.x + b.x - size) / 2, (a.y + b.y - size) / 2, size)
	}

	/** Draws the hero with the top left of its picture's cell at a map pixel. */
	heroAt(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, x: number, y: number, facing: string, steps = 0) {
		const frames = this.project.head.project.hero.frames[['up', 'right', 'down', 'left'].indexOf(facing)]
		const box = boxOf(view, { x, y, w: m.cellWidth, h: m.cellHeight })
		// on diamonds the hero keeps its size and stands in the middle of its cell
		const side = Math.min(box.w, m.cellWidth * view.scale)
		const r = view.diamond
			? { x: box.x + (box.w - side) / 2, y: box.y + box.h / 2 - side * 0.9, w: side, h: side }
			: box
		const a = { x: r.x, y: r.y }
		const b = { x: r.x + r.w, y: r.y + r.h }
		// the first picture stands, the others walk
		const frame = frames && steps > 0 && frames.length > 1 ? 1 + (Math.floor(steps / 8) % (frames.length - 1)) : 0
		if (frames?.length) this.pictures.draw(ctx, frames[frame], a.x, a.y, b.x - a.x, b.y - a.y)
		else drawFigure(ctx, facing, a.x, a.y, b.x - a.x, b.y - a.y)
	}

	private hero(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, play: PlayView) {
		this.heroAt(ctx, m, view, play.x, play.y, play.facing, play.steps)
	}
}

/** How a map is drawn. */
export interface Drawing {
	play?: PlayView
	/** The one layer or group that is shown. */
	solo?: ID
	/** Leaves the hero out: it is on another map. */
	heroless?: boolean
	/** Layers go with the camera outside of play as well. */
	moves?: boolean
}

/** How much of an entity shows: what is not there at the start is faint while one designs. */
const shown = (e: Entity, playing: boolean) =>
	(1 - (e.faint ?? 0) / 100) * (!playing && (e.absent || e.unseen) ? 0.5 : 1)

/** A kind's pictures for a facing; where it lacks them, those of the other side flipped. */
export function framesOf(k: Kind | undefined, facing: string): number[] | undefined {
	if (!k?.frames.some((f) => f?.length)) return
	const i = ['up', 'right', 'down', 'left'].indexOf(facing)
	const own = k.frames[i]
	if (own?.length) return own
	const mirrored = i === 1 || i === 3 ? k.frames[4 - i] : undefined
	if (mirrored?.length) return mirrored.map((c) => (c ^ mirrorX) >>> 0)
	return k.frames[2] ?? k.frames.find((f) => f?.length) ?? undefined
}

const mirrorX = 0x80000000

const none = new Set<ID>()

const plain = (l: Layer) => !l.tint && !l.offsetX && !l.offsetY && !l.lagX && !l.lagY && !l.foot
const sortable = (l: Layer) =>
	!l.tint && !l.lagX && !l.lagY && (l.kind === 'entities' ? !l.offsetX && !l.offsetY : l.kind === 'tiles' && l.foot)

const grounds: Record<string, string> = { plaster: '#e9e2d5', kiln: '#262c2e' }
const ground = () => grounds[document.documentElement.dataset.theme ?? 'plaster']
