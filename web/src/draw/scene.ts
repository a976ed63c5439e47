import { View } from './view.svelte'
import { Pictures } from './pictures'
import { Figures, shown } from './figures'
import { idsOf } from './moving'
import { drawBackdrop } from './backdrop'
import { Tiles } from './tiles'
import { areaOf } from './areas'
import type { Core } from '../core/module'
import type { LayerChunks, ID, Layer, MapInfo, PlayView } from '../core/types'
import type { Project } from '../project/project.svelte'
import { Afar, isAfar } from './afar'
import { Chunks } from './chunks'

/** Draws maps: layers, entities and, in play, the hero. One is shared by all that shows maps. */
export class Scene {
	readonly pictures: Pictures
	readonly chunks: Chunks
	private readonly afar: Afar
	/** Draws what stands on maps. */
	readonly figures: Figures
	private tiles: Tiles
	/** Told when what is drawn of maps has changed; with the chunks, when only those have. */
	readonly onStale = new Set<(changed?: LayerChunks[]) => void>()
	/** Told when a tileset's picture has come or gone, or the theme has changed. */
	readonly onPictures = new Set<() => void>()

	constructor(
		private project: Project,
		core: Core = project.core,
	) {
		this.pictures = new Pictures(
			(n) => project.tileset(n),
			(place) => this.composed(place),
		)
		const zone = (n: number) => project.head.zones.find((z) => z.number === n)
		this.chunks = new Chunks(core, this.pictures, zone)
		this.afar = new Afar(core, this.pictures, zone)
		this.figures = new Figures(project, this.pictures)
		this.tiles = new Tiles(project, this.pictures, this.chunks, this.afar)
		this.pictures.loaded = () => {
			this.forgetAll()
			this.stale()
		}
		this.chunks.faulty = this.afar.faulty = (error) => {
			console.warn(error)
			project.notices.say(
				'A part of this map cannot be drawn, and is shown in brick and chalk: nothing is lost. Reload the page, or go back in the history.',
				'wrong',
			)
		}
		project.onChunks.add((changed: LayerChunks[]) => {
			this.chunks.forget(changed)
			this.afar.forget(changed)
			for (const told of this.onStale) told(changed)
		})
	}

	private forgetAll() {
		this.chunks.forgetAll()
		this.afar.forgetAll()
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
		if (this.looksKey && key !== this.looksKey) this.forgetAll()
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
		this.chunks.beginFrame(o.small ?? false)
		this.afar.beginFrame()
		this.figures.plain = o.paper === 'seen'
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
		if (!o.paper) ctx.fill(all)
		ctx.save()
		// what stands on diamonds reaches over the map's edge
		if (!view.diamond) ctx.clip(all)
		let whole = true
		let heroDrawn = !play || o.heroless
		let run: Layer[] = []
		// neighbouring plain layers of tiles are drawn together
		const flush = () => {
			if (run.length) whole = this.tiles.draw(ctx, m, run, view) && whole
			run = []
		}
		const layers = this.shownLayers(m, o)
		// a dot is a dot, however its tile stands
		const afar = isAfar(view, m)
		const odd = afar ? none : this.oddLayers(m)
		for (let i = 0; i < layers.length; i++) {
			const l = layers[i]
			if (play && l.front && !heroDrawn) {
				flush()
				this.figures.hero(ctx, m, view, play)
				heroDrawn = true
			}
			if (
				(l.kind === 'tiles' || l.kind === 'zones') &&
				(plain(l) || (afar && l.foot && plain({ ...l, foot: false }))) &&
				!odd.has(l.id)
			) {
				run.push(l)
				continue
			}
			flush()
			// layers of entities and those sorted with them go together as far as they are neighbours
			const sorted = [l]
			while (sortable(l) && layers[i + 1] && sortable(layers[i + 1]) && layers[i + 1].front === l.front) {
				sorted.push(layers[++i])
			}
			if (!afar && sorted.some((s) => s.foot)) {
				whole = this.sorted(ctx, m, sorted, view, play, heroDrawn ? undefined : play) && whole
				heroDrawn = true
				continue
			}
			for (const one of sorted) whole = this.layer(ctx, m, one, view, o) && whole
		}
		flush()
		if (!heroDrawn && play) this.figures.hero(ctx, m, view, play)
		ctx.restore()
		return whole && !this.chunks.behind
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
	private shownLayers(m: MapInfo, { play, solo, paper }: Drawing): Layer[] {
		const groups = new Map(m.layers.filter((l) => l.kind === 'group').map((g) => [g.id, g]))
		const out: Layer[] = []
		for (const l of m.layers) {
			if (l.kind === 'group' || (l.kind === 'zones' && (play || paper))) continue
			if (l.kind === 'entities' && paper === 'ground') continue
			const g = groups.get(l.group)
			if (solo ? l.id !== solo && l.group !== solo : !l.shown) continue
			if (play?.lifted.some((t) => t.layer === l.id)) continue
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
			drawBackdrop(ctx, m, l.image!, view, this.pictures)
			ctx.globalAlpha = 1
			return true
		}
		if (l.kind === 'entities') {
			ctx.globalAlpha = l.opacity / 100
			this.figures.entities(ctx, m, l, view, play)
			ctx.globalAlpha = 1
			return true
		}
		return this.tiles.draw(ctx, m, [l], view)
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
		this.figures.beat = play?.tick ?? 0
		const gone = play && idsOf(play.gone)
		const on = play && idsOf(play.on)
		let whole = true
		for (const l of layers) {
			if (l.kind === 'entities') {
				for (const e of this.figures.entitiesOf(m, view, play)) {
					if (e.layer !== l.id || gone?.has(e.id) || (!play && e.hidden)) continue
					things.push({
						foot: e.y + e.h,
						draw: () => {
							ctx.globalAlpha = (l.opacity / 100) * shown(e, play !== undefined)
							this.figures.entity(ctx, m, view, e, on ? on.has(e.id) : e.on, play !== undefined)
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
					draw: () => (whole = this.tiles.draw(ctx, m, [l], seen, row) && whole),
				})
			}
		}
		if (hero) things.push({ foot: hero.y + m.cellHeight, draw: () => this.figures.hero(ctx, m, view, hero) })
		things.sort((a, b) => a.foot - b.foot)
		for (const t of things) {
			ctx.globalAlpha = 1
			t.draw()
		}
		ctx.globalAlpha = 1
		return whole
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
	/** It is a picture of its own, on nothing, without zones: of all, of what has pictures, or of the ground without what
	 * stands there. */
	paper?: 'all' | 'seen' | 'ground'
	/** It is a small picture beside the map, which has time. */
	small?: boolean
}

const none = new Set<ID>()

const plain = (l: Layer) => !l.tint && !l.offsetX && !l.offsetY && !l.lagX && !l.lagY && !l.foot
const sortable = (l: Layer) =>
	!l.tint && !l.lagX && !l.lagY && (l.kind === 'entities' ? !l.offsetX && !l.offsetY : l.kind === 'tiles' && l.foot)

const grounds: Record<string, string> = { plaster: '#e9e2d5', kiln: '#262c2e' }
const ground = () => grounds[document.documentElement.dataset.theme ?? 'plaster']
