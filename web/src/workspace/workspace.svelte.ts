import { Sketches } from '../project/sketches.svelte'
import { Project } from '../project/project.svelte'
import { Play } from './play.svelte'
import { Proving } from './proving.svelte'
import { those, withGroups } from './groups'
import { Hand } from './hand.svelte'
import { send } from '../live/http'
import { Notices } from '../project/notices.svelte'
import type { Shape, End, Entity, Grip, ID, Layer, Loss, MapInfo, Passage, Point, Rect, Selected } from '../core/types'
import { getContext, setContext } from 'svelte'
import { SvelteMap } from 'svelte/reactivity'
import { Areas } from './areas.svelte'
import { Chosen } from './chosen.svelte'
import { Clipboard } from './clipboard'
import { Moments } from './moments.svelte'
import { Playing } from './playing.svelte'
import { Scene } from '../draw/scene'
import { Wiring } from './wiring.svelte'
import { Layout } from './layout.svelte'
import { MapViews } from './mapViews'
import { Charting } from './charting.svelte'
import { chartScales, View } from '../draw/view.svelte'

export const stations = ['chart', 'map', 'tilesets', 'kinds', 'rules', 'game', 'check', 'versions', 'share'] as const
export type Station = (typeof stations)[number]

/** What an act of selecting is made of. */
export interface Picking {
	by: string
	through: boolean
	way: Point[]
	mode: 'replace' | 'add' | 'take' | 'common'
	even?: boolean
}

/** Something to be pointed at on the map: any entity of these kinds. */
export interface Pick {
	kinds: string[]
	what: string
	done: (map: ID, e: Entity) => void
}

/** What is open and in hand in one project's page; the panels share it. */
export class Workspace {
	station = $state<Station>('map')
	mapId = $state<ID>('')
	selected = $state.raw<ID[]>([])
	/** The selected cells; null when there are none. */
	area = $state.raw<Selected | null>(null)
	finderOpen = $state(false)
	keysOpen = $state(false)
	/** A figure is being made, or a house, a tree, a rock, or a picture is about to be chosen. */
	making = $state<'' | 'figure' | 'scenery' | 'picture'>('')
	/** How a game begins is being chosen. */
	beginOpen = $state(false)
	/** Single keys work wherever nothing is typed, and not only on the map. */
	keysAnywhere = $state(localStorage.getItem('azzel.keys') !== 'map')
	/** Fingers are used: play has a pad. */
	touch = $state(matchMedia('(pointer: coarse)').matches)
	/** The sheet of what is done to a whole map, and the part of it that was asked for. */
	sheetOpen = $state(false)
	sheetPart = $state('')
	/** A cell is asked for, to go to it. */
	seeking = $state(false)
	/** The bounds that a map would get, while they are chosen. */
	resizing = $state.raw<{ bounds: Rect; loss: Loss } | null>(null)
	/** Parts of a cell that dragged entities snap to; 0 is every pixel. */
	snap = $state(1)
	/** Small pictures of what edits of this page touched, by their number in the log. */
	readonly snaps = new SvelteMap<number, ImageBitmap>()
	readonly sketches: Sketches
	readonly charting: Charting
	/** How who plays wants the game, where that is asked. */
	wants = $state.raw<{ calm: boolean; flickers: boolean; music: number; surroundings: number; sounds: number } | null>(
		null,
	)
	/** Lets animated tiles move. */
	animated = $state(!matchMedia('(prefers-reduced-motion: reduce)').matches)
	/** The one layer or group that is shown alone, to this designer only. */
	solo = $state<ID | undefined>(undefined)
	/** The stack turned sideways: layers as sheets before and behind the hero. */
	depth = $state(false)
	/** Shows what is solid. */
	solids = $state(false)
	theme = $state(document.documentElement.dataset.theme ?? 'plaster')
	/** The exit whose passage is being made. */
	joining = $state.raw<End | null>(null)
	/** The entity that is pointed at on the map. */
	over = $state<ID>('')
	/** The passage through which one looks at the far end. */
	looking = $state.raw<Passage | null>(null)
	picking = $state.raw<Pick | null>(null)
	/** The entity, flag or counter about which something is asked. */
	asking = $state.raw<{ type: string; map: ID; id: ID } | null>(null)
	readonly wiring = new Wiring(this)
	/** The entities that were under the pointer when the menu was asked for, the topmost first. */
	pile = $state.raw<Entity[]>([])
	/** The cell under the pointer, or where the cell cursor is. */
	cell = $state.raw<Point | null>(null)
	pixel = $state.raw<Point | null>(null)
	/** What the press would do, in words. */
	ghost = $state('')
	/** How often each choice of a scatter would come, then nothing. */
	drawn = $state.raw<number[]>([])
	/** The rule whose card was asked for. */
	rule = $state<ID>('')
	tilesetId = $state<ID>('')
	/** The kind that is looked at in the Kinds station. */
	kindId = $state<ID>('')
	/** The kind that is set up beside the map; '' for none. */
	kindBeside = $state<ID>('')
	/** The material that is set up in the Tilesets station; '' for a tileset. */
	materialId = $state<ID>('')

	readonly layout = new Layout()
	readonly view = new View()
	/** How maps lie in the view. */
	readonly views = new MapViews(this.view)
	readonly chartView = new View(chartScales)
	readonly scene: Scene
	readonly hand: Hand
	readonly play: Play
	readonly proving: Proving
	readonly areas = new Areas(this)
	readonly chosen = new Chosen(this)
	readonly clipboard = new Clipboard(this)
	readonly playing = new Playing(this)
	readonly moments = new Moments(this)
	/** The canvas gives this so that actions can give it the focus and presses back. */
	canvas: {
		focus: () => void
		/** What is drawn below all that moves with the pointer. */
		picture: () => HTMLCanvasElement
		cancel: () => boolean
		/** A press is going on. */
		busy: () => boolean
		press: (remove: boolean) => void
		/** Removes at a cell what is of the held sort. */
		remove: (cell: Point) => void
		point: (cell: Point) => void
		/** Drags move the view, where the pointer or the focus is on the map. */
		grab: (on: boolean) => boolean
	} | null = null

	constructor(
		readonly project: Project,
		readonly notices: Notices,
	) {
		this.scene = new Scene(project)
		this.sketches = new Sketches(project.id)
		this.charting = new Charting(project)
		this.proving = new Proving(
			project,
			() => this.play.runs || this.charting.left > 0 || (this.canvas?.busy() ?? false),
		)
		this.hand = new Hand(`azzel.hand.${project.id}`)
		this.play = new Play(
			project,
			() => this.playing.played(),
			(text) => this.notices.say(text, 'wrong'),
		)
		const last = localStorage.getItem(`azzel.map.${project.id}`) ?? ''
		this.mapId = project.map(last)?.id ?? project.head.maps[0]?.id ?? ''
	}

	/** The map that is shown: in play, the one that the hero is on. */
	get map(): MapInfo | undefined {
		return this.project.map(this.play.map ?? this.mapId) ?? this.project.head.maps[0]
	}

	/** Whether the map reaches beyond what is seen. */
	get beyondView(): boolean {
		const m = this.map
		const { view } = this
		return (
			!!m &&
			(m.bounds.w * m.cellWidth * view.scale > view.width || m.bounds.h * m.cellHeight * view.scale > view.height)
		)
	}

	/** The layer that is worked on. */
	get active(): ID {
		const m = this.map
		if (!m) return ''
		const chosen = this.hand.layers[m.id]
		return m.layers.some((l) => l.id === chosen)
			? chosen
			: (m.layers.find((l) => l.kind === 'tiles')?.id ?? m.layers[0]?.id ?? '')
	}

	/** The layer that what is held goes to, as the core says. */
	get target(): Layer | undefined {
		const m = this.map
		if (!m || !this.hand.holding) return
		void this.project.turn
		const id = this.project.ask('target', { map: m.id, active: this.active, grip: this.hand.grip })
		return m.layers.find((l) => l.id === id)
	}

	private listed: { ids: ID[]; of: Entity[]; list: Entity[] } = { ids: [], of: [], list: [] }

	get selection(): Entity[] {
		const m = this.map
		if (!m || !this.selected.length) return []
		const of = this.project.entities(m.id)
		if (this.listed.ids !== this.selected || this.listed.of !== of) {
			this.listed = { ids: this.selected, of, list: those(of, this.selected) }
		}
		return this.listed.list
	}

	show(map: ID) {
		if (this.play.on) this.playing.stopPlay()
		this.station = 'map'
		if (map === this.mapId) return
		this.mapId = map
		const m = this.project.map(map)
		if (m) this.views.turnTo(m)
		this.selected = []
		this.solo = undefined
		this.areas.dropArea()
		localStorage.setItem(`azzel.map.${this.project.id}`, map)
	}

	/** Selects entities, together with those of their groups; alone leaves groups out. */
	select(ids: ID[], alone = false) {
		if (!alone && this.map) ids = withGroups(this.project, this.map.id, ids)
		this.selected = ids
	}

	/** Whether a passage can begin at an entity. */
	leads(e: Entity | undefined): boolean {
		return !!e && !!this.project.kind(e.kind)?.leads
	}

	/** Shows what other bounds would take away from the map. */
	tryBounds(bounds: Rect | null) {
		const m = this.map
		if (!m || !bounds) this.resizing = null
		else this.resizing = { bounds, loss: this.project.ask('lossOf', { map: m.id, bounds }) }
	}

	/** Opens the sheet of what is done to a whole map, at a part of it. */
	openSheet(part = '') {
		this.sheetPart = part
		this.sheetOpen = true
	}

	resize() {
		const m = this.map
		const r = this.resizing
		this.resizing = null
		if (!m || !r) return false
		return this.project.try('resize', { map: m.id, bounds: r.bounds }) !== undefined
	}

	removeMap(id: ID) {
		const maps = this.project.head.maps
		const name = this.project.map(id)?.name
		const next = maps.find((m) => m.id !== id)
		const made = this.project.try('removeMap', { map: id })
		if (!made) return
		const { station } = this
		if (next && this.mapId === id) this.show(next.id)
		this.station = station
		this.notices.say(`${name} is deleted.`, 'plain', this.project.undoOf(made))
	}

	/** Shows an entity and selects it. */
	goTo(map: ID, id: ID) {
		this.show(map)
		const m = this.project.map(map)
		const e = this.project.entity(map, id)
		if (!m || !e) return
		this.hand.letGo()
		this.selected = [id]
		this.view.bring(m, { x: Math.floor(e.x / m.cellWidth), y: Math.floor(e.y / m.cellHeight) })
	}

	hold(grip: Omit<Grip, 'shape'> & { shape?: Shape }, layer: ID = '') {
		this.selected = []
		this.hand.hold(grip, layer)
		this.layout.aside()
		if (layer && this.map?.layers.some((l) => l.id === layer)) this.hand.work(this.map.id, layer)
	}

	/** Takes something into the hand from wherever it is listed, and goes to the map with it. */
	holdOnMap(grip: Omit<Grip, 'shape'>) {
		if (this.station !== 'map') this.open('map') // a game that is played goes on
		this.hold(grip)
		this.canvas?.focus()
	}

	holdSlot(slot: number) {
		const found = this.hand.take(slot)
		if (!found) return this.notices.say(`Slot ${(slot + 1) % 10} of the tray is empty.`)
		this.selected = []
		if (this.map?.layers.some((l) => l.id === found.layer)) this.hand.work(this.map.id, found.layer)
	}

	pickUp(at: Point | null = this.cell) {
		const m = this.map
		if (!m || !at) return
		try {
			const { grip, layer } = this.project.ask('pickUp', {
				map: m.id,
				active: this.active,
				at,
			})
			const { shape: _, ...thing } = grip
			this.hold(thing, layer)
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	goToCell(x: number, y: number) {
		const m = this.map
		if (!m) return
		const cell = {
			x: Math.min(Math.max(x, 0), m.bounds.w - 1) + m.bounds.x,
			y: Math.min(Math.max(y, 0), m.bounds.h - 1) + m.bounds.y,
		}
		this.view.centre((cell.x + 0.5) * m.cellWidth, (cell.y + 0.5) * m.cellHeight)
		this.canvas?.point(cell)
		this.canvas?.focus()
	}

	/** Makes a material of a sort, to be shown on the sheet. */
	async newMaterial(is: string) {
		const name = is[0].toUpperCase() + is.slice(1) // one that is taken gets a number
		try {
			const number = await send<number>(`/api/projects/${this.project.id}/numbers`, '')
			const made = this.project.make('addMaterial', { name, number, is, composes: true })
			this.materialId = made.made ?? ''
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	/** Makes a zone of a sort and takes it into the hand; a map without a layer of zones gets one. */
	async newZone(is: string) {
		const name = is === 'own' ? 'Zone' : is[0].toUpperCase() + is.slice(1)
		try {
			const number = await send<number>(`/api/projects/${this.project.id}/numbers`, '')
			this.project.make('addZone', { name, number, is })
			this.holdZone(number)
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	holdZone(number: number) {
		const m = this.map
		if (m && !m.layers.some((l) => l.kind === 'zones')) {
			const made = this.project.try('addLayer', {
				map: m.id,
				kind: 'zones',
				above: m.layers[m.layers.length - 1]?.id ?? '',
			})
			if (made?.made) this.hand.work(m.id, made.made)
		}
		this.holdOnMap({ what: 'zone', number })
	}

	/** Goes to a station, to make something there; a game stands still meanwhile, and is there again on the map. */
	open(station: Station, making: typeof this.making = '') {
		if (this.play.on && station !== 'map') this.play.stand()
		;[this.station, this.making] = [station, making]
	}

	setKeys(anywhere: boolean) {
		this.keysAnywhere = anywhere
		localStorage.setItem('azzel.keys', anywhere ? 'anywhere' : 'map')
	}

	setTheme(theme: string) {
		this.theme = theme
		document.documentElement.dataset.theme = theme
		localStorage.setItem('azzel.theme', theme)
		this.scene.stale()
	}

	/** Escape goes down one rung: the press, what is open, the selection, what is held. */
	escape() {
		if (this.canvas?.cancel()) return
		if (this.picking) this.picking = null
		else if (this.asking) this.asking = null
		else if (this.kindBeside) this.kindBeside = ''
		else if (this.looking) this.looking = null
		else if (this.play.on) this.playing.stopPlay()
		else if (this.selected.length) this.selected = []
		else if (this.hand.holding) this.hand.letGo()
		else if (this.area) this.areas.dropArea()
	}
}

const key = Symbol()
export const giveWorkspace = (w: Workspace) => setContext(key, w)
export const workspace = () => getContext<Workspace>(key)
