import type { Material, MaterialTile, TileInfo, Tileset } from '../core/types'
import { drawZone } from '../draw/hatches'
import { cellOf } from '../draw/pictures'
import { send } from '../live/http'
import { counted } from '../project/counted'
import type { Workspace } from '../workspace/workspace.svelte'
import type { Stroke } from './CutCanvas.svelte'
import { follows } from './cutWords'
import { drawMarks, drawWord, hasMark, type SheetMark, valueOf, wordOf } from './sheetMarks'

const bare = (tile: number): TileInfo => ({
	tile,
	odds: 1,
	partner: -1,
	part: '',
	own: null,
	oneWay: '',
	is: '',
	zone: '',
	tags: null,
	frames: null,
	values: null,
})

/** What is set up for the tiles of the tileset that is shown, by painting over its sheet. */
export class Marking {
	/** What a stroke over the sheet marks. */
	mark = $state.raw<SheetMark>({ kind: 'solid' })
	/** Whether pressed tiles become frames of the chosen one. */
	framing = $state(false)
	/** Whether the next press names the tile that a material covers. */
	recognising = $state(false)
	/** The tile that was pressed last. */
	chosen = $state(0)
	readonly shown = $derived.by<Tileset | undefined>(() => {
		const { tilesets } = this.w.project.head
		return tilesets.find((t) => t.id === this.w.tilesetId) ?? tilesets[0]
	})
	private readonly solid = $derived(new Set(this.shown?.solid ?? []))
	private readonly infos = $derived(new Map((this.shown?.infos ?? []).map((i) => [i.tile, i])))
	private readonly zones = $derived.by(() => new Map(this.w.project.head.zones.map((z) => [z.id, z])))

	constructor(private readonly w: Workspace) {}

	/** Whether a stroke that begins at a tile marks. */
	begins = (tile: number, _: number, remove: boolean) =>
		!remove && !hasMark(this.mark, this.infos.get(tile), this.solid.has(tile))

	tells = (tile: number) => `tile ${tile} is ${this.solid.has(tile) ? 'solid' : 'not solid'}`

	/** Marks the tiles of a stroke, or clears the mark. */
	paint = (stroke: Stroke) => {
		const tiles = [...stroke.hits.keys()].sort((a, b) => a - b)
		this.w.project.try('markTiles', { id: this.shown!.id, tiles, mark: valueOf(this.mark, stroke.on) })
	}

	/** Takes a pressed tile as a frame, while frames are chosen. */
	pressed = (tile: number) => {
		if (this.framing) this.addFrame(tile)
		return this.framing
	}

	private addFrame(tile: number) {
		const before = this.infos.get(this.chosen)?.frames ?? []
		// the first two are put in together: an animation has at least two frames
		const frames = before.length
			? [...before, { tile, ms: before[before.length - 1].ms }]
			: [
					{ tile: this.chosen, ms: 200 },
					{ tile, ms: 200 },
				]
		this.w.project.try('markTiles', { id: this.shown!.id, tiles: [this.chosen], mark: { frames } })
	}

	/** Draws what is set up for a tile, as it would be after a stroke. */
	decorate = (
		ctx: CanvasRenderingContext2D,
		tile: number,
		x: number,
		y: number,
		w: number,
		h: number,
		stroke: Stroke | null,
	) => {
		const { mark, shown } = this
		let info = this.infos.get(tile)
		let full = this.solid.has(tile)
		if (stroke?.hits.has(tile)) {
			const to = valueOf(mark, stroke.on) as { solid?: boolean; part?: string }
			info = { ...(info ?? bare(tile)), ...to }
			if (mark.kind === 'tag' && stroke.on) info.tags = [...(info.tags ?? []), mark.tag]
			if (mark.kind === 'value' && stroke.on) info.values = [mark]
			full = to.solid ?? (full && !to.part)
			if (full) info.part = ''
		}
		if (info?.zone) drawZone(ctx, this.zones.get(info.zone), x, y, w, h)
		drawMarks(ctx, this.w.project.head.parts, shown!.cut, info, full, x, y, w, h)
		const word = wordOf(mark, info)
		if (word) drawWord(ctx, word, x, y, w, h)
	}

	/** Has the tiles of a material found, from the one that it covers, and what its edges follow. */
	async recognise(material: Material, tile: number) {
		const { w, shown } = this
		if (!shown) return
		try {
			const ask = { picture: shown.picture, cut: shown.cut, full: tile }
			const { by, tiles: found } = await send<{ by: string; tiles: { tile: number; form: number }[] }>(
				`/api/projects/${w.project.id}/recognise`,
				JSON.stringify(ask),
			)
			const tiles: MaterialTile[] = found.map((f) => ({
				cell: cellOf(shown.number, f.tile),
				form: f.form,
				odds: 1,
				beside: 0,
			}))
			const made = w.project.try('markMaterial', { id: material.id, tiles, by })
			if (!made) return
			const told = `${counted(tiles.length, 'tile')} recognised, by ${follows[by]}: look whether all are right.`
			w.notices.say(told, 'done', w.project.undoOf(made))
		} catch (e) {
			w.notices.wrong(e)
		}
	}
}
