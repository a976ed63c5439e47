import { getContext, setContext } from 'svelte'
import { SvelteMap } from 'svelte/reactivity'
import { Scene } from './canvas/scene'
import { Charting } from './chart/charting.svelte'
import { chartScales, View } from './canvas/view.svelte'
import { CoreError, type Answered, type AreaChange, type Args, type EntityChange } from './core/module'
import type {
	Detail,
	End,
	Entity,
	Grip,
	ID,
	Layer,
	Loss,
	MapInfo,
	Outcome,
	Passage,
	Point,
	Rect,
	Selected,
	Shape,
	Trace,
} from './core/types'
import type { Notices } from './frame/notices.svelte'
import { send } from './live/http'
import { Hand } from './hand/hand.svelte'
import { Play } from './play/play.svelte'
import { counted, type Project } from './project/project.svelte'
import { Sketches } from './project/sketches.svelte'

export type Station = 'chart' | 'map' | 'tilesets' | 'kinds' | 'rules'
export type Drawer = 'materials' | 'tiles' | 'motifs' | 'zones' | 'kinds' | 'rules' | 'history'

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
	drawer = $state<Drawer>('tiles')
	selected = $state.raw<ID[]>([])
	/** The selected cells; null when there are none. */
	area = $state.raw<Selected | null>(null)
	grid = $state(true)
	stackOpen = $state(true)
	cabinetOpen = $state(true)
	finderOpen = $state(false)
	keysOpen = $state(false)
	/** The sheet of what is done to a whole map. */
	sheetOpen = $state(false)
	/** The bounds that a map would get, while they are chosen. */
	resizing = $state.raw<{ bounds: Rect; loss: Loss } | null>(null)
	/** Shows all of a map in a corner when the view holds only a part. */
	minimap = $state(true)
	/** Numbers cells along the top and the left. */
	rulers = $state(true)
	/** Parts of a cell that dragged entities snap to; 0 is every pixel. */
	snap = $state(1)
	/** Small pictures of what edits of this page touched, by their number in the log. */
	readonly snaps = new SvelteMap<number, ImageBitmap>()
	readonly sketches: Sketches
	readonly charting: Charting
	/** Lets animated tiles move. */
	animated = $state(!matchMedia('(prefers-reduced-motion: reduce)').matches)
	/** The one layer or group that is shown alone, to this designer only. */
	solo = $state<ID | undefined>(undefined)
	/** The entities of the map as a list, in the place of the stack. */
	listing = $state(false)
	/** The stack turned sideways: layers as sheets before and behind the hero. */
	depth = $state(false)
	/** Shows what is solid. */
	solids = $state(false)
	/** Shows what the player sees at once. */
	screen = $state(true)
	theme = $state(document.documentElement.dataset.theme ?? 'plaster')
	/** The exit whose passage is being made. */
	joining = $state.raw<End | null>(null)
	/** The passage through which one looks at the far end. */
	looking = $state.raw<Passage | null>(null)
	picking = $state.raw<Pick | null>(null)
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

	readonly view = new View()
	readonly chartView = new View(chartScales)
	readonly scene: Scene
	readonly hand: Hand
	readonly play: Play
	/** The canvas gives this so that actions can give it the focus and presses back. */
	canvas: {
		focus: () => void
		cancel: () => boolean
		press: (remove: boolean) => void
		point: (cell: Point) => void
	} | null = null
	private before: { map: ID; view: ReturnType<View['save']> } | null = null
	private warned = ''

	constructor(
		readonly project: Project,
		readonly notices: Notices,
	) {
		this.scene = new Scene(project)
		this.sketches = new Sketches(project.id)
		this.charting = new Charting(project)
		this.hand = new Hand(`azzel.hand.${project.id}`)
		this.play = new Play(project, () => this.played())
		const last = localStorage.getItem(`azzel.map.${project.id}`) ?? ''
		this.mapId = project.map(last)?.id ?? project.head.maps[0]?.id ?? ''
	}

	/** The map that is shown: in play, the one that the hero is on. */
	get map(): MapInfo | undefined {
		return this.project.map(this.play.view?.map ?? this.mapId) ?? this.project.head.maps[0]
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

	private chosen: { ids: ID[]; of: Entity[]; list: Entity[] } = { ids: [], of: [], list: [] }

	get selection(): Entity[] {
		const m = this.map
		if (!m || !this.selected.length) return []
		const of = this.project.entities(m.id)
		if (this.chosen.ids !== this.selected || this.chosen.of !== of) {
			const ids = new Set(this.selected)
			this.chosen = { ids: this.selected, of, list: of.filter((e) => ids.has(e.id)) }
		}
		return this.chosen.list
	}

	show(map: ID) {
		if (this.play.on) this.stopPlay()
		this.station = 'map'
		if (map === this.mapId) return
		this.mapId = map
		this.selected = []
		this.solo = undefined
		this.dropArea()
		localStorage.setItem(`azzel.map.${this.project.id}`, map)
	}

	/** Selects entities, together with those of their groups; alone leaves groups out. */
	select(ids: ID[], alone = false) {
		const m = this.map
		if (!alone && m && ids.length) ids = this.project.ask('grouped', { map: m.id, ids, dx: 0, dy: 0 })
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

	resize() {
		const m = this.map
		const r = this.resizing
		this.resizing = null
		if (!m || !r) return false
		return this.project.try('resize', { map: m.id, bounds: r.bounds }) !== undefined
	}

	cropToArea() {
		if (this.map && this.area && this.project.try('crop', { map: this.map.id })) this.dropArea()
	}

	removeMap(id: ID) {
		const maps = this.project.head.maps
		const name = this.project.map(id)?.name
		const next = maps.find((m) => m.id !== id)
		if (!this.project.try('removeMap', { map: id })) return
		const { station } = this
		if (next && this.mapId === id) this.show(next.id)
		this.station = station
		this.notices.say(`${name} is deleted.`, 'plain', { label: 'Undo', run: () => void this.project.undo() })
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
		if (layer && this.map?.layers.some((l) => l.id === layer)) this.hand.work(this.map.id, layer)
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

	// selected cells

	/** The layer that an action on the selected cells is about; '' is all of them and the entities. */
	private get areaLayer(): ID {
		return this.hand.picks.what === 'layer' ? this.active : ''
	}

	private setArea(s: Selected | undefined) {
		this.area = s?.count ? s : null
	}

	selectCells(picking: Picking, keep = true) {
		const m = this.map
		if (!m) return
		try {
			const method = keep ? 'select' : 'previewSelect'
			this.setArea(
				this.project.ask(method, {
					map: m.id,
					active: this.active,
					picking: { corners: false, even: false, ...picking },
				}),
			)
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	/** Shows the selection as it is, after one that was begun is cancelled. */
	refreshArea() {
		this.setArea(this.project.ask('selection'))
	}

	selectAll(invert = false) {
		if (this.hand.picks.what === 'entities') this.hand.pick({ what: 'all' })
		if (this.map) this.setArea(this.project.ask('selectAll', { map: this.map.id, invert }))
	}

	dropArea() {
		if (this.area) this.project.ask('deselect')
		this.area = null
	}

	private changeArea<M extends AreaChange>(method: M, args: Omit<Args<M>, 'map' | 'layer'>): Answered<M> | undefined {
		const m = this.map
		if (!m || !this.area) return
		const made = this.project.try(method, { map: m.id, layer: this.areaLayer, ...args } as unknown as Args<M>)
		if (made) this.setArea(made.selected)
		return made
	}

	moveArea(dx: number, dy: number) {
		this.changeArea('moveArea', { dx, dy })
	}

	turnArea(turn: number) {
		this.changeArea('turnArea', { turn })
	}

	emptyArea() {
		this.changeArea('emptyArea', {})
	}

	/** Puts what is held into all of the selection. */
	fillArea() {
		const m = this.map
		if (!m || !this.area || !this.hand.holding) return
		const { x, y, w, h } = this.area.bounds
		const way = [
			{ x, y },
			{ x: x + w - 1, y: y + h - 1 },
		]
		const grip = { ...this.hand.grip, shape: 'box' as const }
		const gesture = { way, remove: false, seed: this.hand.seed }
		this.project.try('press', { map: m.id, active: this.active, grip, gesture, mirror: { mode: '', x: 0, y: 0 } })
	}

	async copyArea(): Promise<boolean> {
		const m = this.map
		if (!m || !this.area) return false
		try {
			const copied = this.project.ask('liftArea', { map: m.id, layer: this.areaLayer })
			await navigator.clipboard.writeText(JSON.stringify({ azzel: 'piece', copied }))
			const { w, h } = copied.piece
			this.notices.say(`${w} × ${h} cells copied: Ctrl+V takes them into the hand, here or in another project.`)
			return true
		} catch (e) {
			this.notices.wrong(e)
			return false
		}
	}

	async cut() {
		if (this.selected.length) {
			await this.copySelected()
			this.removeSelected()
		} else if (await this.copyArea()) this.emptyArea()
	}

	/** Turns back the latest change inside the selection, later work elsewhere staying. */
	turnBackHere() {
		if (this.map && this.area) void this.project.turnBackHere(this.map.id)
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

	/** Takes a copy of what is selected into the hand. */
	holdArea() {
		const m = this.map
		if (!m || !this.area) return
		try {
			const motif = this.project.ask('keepSelected', { map: m.id, layer: this.areaLayer })
			this.dropArea()
			this.hold({ what: 'motif', motif, shape: 'freehand' })
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	/** Keeps what is selected as a motif. */
	makeMotif() {
		const made = this.changeArea('addMotif', { name: 'Motif 1' })
		if (!made) return
		const name = this.project.head.motifs.find((m) => m.id === made.made)?.name
		this.drawer = 'motifs'
		this.cabinetOpen = true
		this.notices.say(`${name} is in the cabinet: double press renames it.`, 'done')
	}

	replaceMotif(id: ID, update: boolean) {
		const made = this.changeArea('replaceMotif', { id, update })
		if (made) this.notices.say(`${made.text}.`, 'done', { label: 'Undo', run: () => void this.project.undo() })
	}

	/** Empties the hand and lets it select cells. */
	startSelecting() {
		this.hand.letGo()
		if (this.hand.picks.what === 'entities') this.hand.pick({ what: 'all' })
		this.canvas?.focus()
	}

	// materials

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

	// zones

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
		this.hold({ what: 'zone', number })
		this.canvas?.focus()
	}

	// entities

	/** Changes what is selected; what is done depends on the method. */
	changeEntities<M extends EntityChange>(method: M, what: Args<M>['do']): Outcome | undefined {
		const m = this.map
		if (!m || !this.selected.length) return
		return this.project.try(method, { map: m.id, ids: this.selected, do: what } as unknown as Args<M>)
	}

	private asked = { turn: -1, details: new Map<string, Detail[]>(), traces: new Map<string, Trace[]>() }

	private remembered() {
		if (this.asked.turn !== this.project.turn)
			this.asked = { turn: this.project.turn, details: new Map(), traces: new Map() }
		return this.asked
	}

	/** The settings of entities of the map that is shown. */
	detailsOf(ids: ID[]): Detail[] {
		const { details } = this.remembered()
		const key = ids.join()
		let out = details.get(key)
		if (!out) {
			out = this.map ? this.project.ask('details', { map: this.map.id, ids, dx: 0, dy: 0 }) : []
			details.set(key, out)
		}
		return out
	}

	/** What an entity of the map that is shown does, for drawing. */
	tracesOf(id: ID): Trace[] {
		const { traces } = this.remembered()
		let out = traces.get(id)
		if (!out) {
			out = this.map ? this.project.ask('behaviour', { map: this.map.id, ids: [id], dx: 0, dy: 0 }) : []
			traces.set(id, out)
		}
		return out
	}

	/** Makes a rule that begins with an entity, and shows it. */
	newRuleFor(e: Entity) {
		const m = this.map
		if (!m) return
		const made = this.project.try('startRule', { map: m.id, entity: e.id })
		if (made?.made) [this.rule, this.drawer] = [made.made, 'rules']
	}

	/** Selects everything on the map of the same kinds, or with the same tags, as what is selected. */
	selectAlike(by: 'kind' | 'tag') {
		const m = this.map
		if (!m) return
		this.select(this.project.ask('alike', { map: m.id, ids: this.selected, dx: 0, dy: 0, by }), true)
	}

	/** Removes what is selected, and says what referred to it. */
	removeSelected() {
		const m = this.map
		if (!m || !this.selected.length) return
		const uses = this.project.ask('uses', { map: m.id, ids: this.selected, dx: 0, dy: 0 })
		const made = this.project.try('removeEntities', { map: m.id, ids: this.selected, dx: 0, dy: 0 })
		if (!made) return
		this.selected = []
		if (!uses.length) return
		const told = uses.slice(0, 2).map((u) => u.text)
		if (uses.length > 2) told.push(`${uses.length - 2} more`)
		this.notices.say(`${made.text}: ${told.join(', ')} referred to it.`, 'plain', {
			label: 'Undo',
			run: () => void this.project.undo(),
		})
	}

	duplicateSelected() {
		const m = this.map
		if (m) this.paste(m, this.selection, m.cellWidth, m.cellHeight)
	}

	private paste(m: MapInfo, entities: Entity[], dx: number, dy: number) {
		if (!entities.length) return
		const made = this.project.try('copyEntities', { map: m.id, entities, dx, dy })
		if (made?.ids) this.selected = made.ids
	}

	/** The clipboard holds entities as text, so that they cross to another tab. */
	async copySelected() {
		const list = this.selection
		if (!list.length) return
		await navigator.clipboard.writeText(JSON.stringify({ azzel: 'entities', entities: list }))
		this.notices.say(`${counted(list.length, 'entity').replace('entitys', 'entities')} copied.`)
	}

	pasteText(text: string) {
		const m = this.map
		if (!m) return
		let entities: Entity[]
		try {
			const found = JSON.parse(text) as { azzel?: string; entities?: Entity[]; copied?: unknown }
			if (found.azzel === 'piece') return void this.holdPiece(found.copied)
			if (found.azzel !== 'entities' || !found.entities?.length) throw new Error()
			entities = found.entities
		} catch {
			return this.notices.say('There is nothing of Azzel on the clipboard.', 'wrong')
		}
		// the first one comes to the cell that is pointed at
		const at = this.cell ?? m.bounds
		this.paste(m, entities, at.x * m.cellWidth - entities[0].x, at.y * m.cellHeight - entities[0].y)
	}

	/** Holds what was copied, and brings in what it is made of where this project lacks it. */
	private async holdPiece(copied: unknown) {
		type Adopted = Outcome & { needs: number; held: ID }
		try {
			let adopted = this.project.make('adoptPiece', { copied, numbers: [] }) as Adopted
			if (adopted.needs) {
				const numbers: number[] = []
				for (let i = 0; i < adopted.needs; i++)
					numbers.push(await send<number>(`/api/projects/${this.project.id}/numbers`, ''))
				adopted = this.project.make('adoptPiece', { copied, numbers }) as Adopted
				this.notices.say('What the copy is made of was brought into this project as well.', 'done')
			}
			this.dropArea()
			this.hold({ what: 'motif', motif: adopted.held, shape: 'freehand' })
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	// play

	togglePlay(at?: Point | null) {
		if (this.play.on) return this.stopPlay()
		const m = this.map
		if (!m) return
		this.canvas?.cancel()
		this.station = 'map'
		try {
			this.before = { map: this.mapId, view: this.view.save() }
			// near enough to feel like the game, and never farther than it was seen
			const near = Math.max(1, Math.floor(this.view.width / (22 * m.cellWidth)))
			this.view.scale = Math.max(this.view.scale, near)
			this.play.start(m.id, at ?? undefined)
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.view.restore(this.before!.view)
			this.before = null
			const spawn = !at && e.code === 'noSpawn'
			this.notices.say(e.message, 'wrong', spawn ? { label: 'Place a spawn', run: () => this.placeSpawn() } : undefined)
			return
		}
		const warning = this.project.ask('warning', { map: m.id })
		if (warning) this.notices.say(warning, 'wrong', { label: 'Open Tilesets', run: () => this.open('tilesets') })
		this.warned = ''
		queueMicrotask(() => this.canvas?.focus())
	}

	private placeSpawn() {
		this.hold({ what: 'entity', kind: 'spawn', shape: 'freehand' })
		this.drawer = 'kinds'
		this.notices.say('Holding a spawn: press the cell where the hero begins.')
		this.canvas?.focus()
	}

	private played() {
		const { view } = this.play
		const m = this.map
		if (!view || !m) return
		this.view.follow(m, view.x + m.cellWidth / 2, view.y + m.cellHeight / 2, this.charting.around(m))
		if (view.notice && view.notice !== this.warned) this.notices.say(view.notice, 'wrong')
		this.warned = view.notice
	}

	stopPlay() {
		this.play.stop()
		if (this.before) {
			if (this.project.map(this.before.map)) this.mapId = this.before.map
			this.view.restore(this.before.view)
		}
		this.before = null
	}

	open(station: Station) {
		if (this.play.on) this.stopPlay()
		this.station = station
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
		else if (this.kindBeside) this.kindBeside = ''
		else if (this.looking) this.looking = null
		else if (this.play.on) this.stopPlay()
		else if (this.selected.length) this.selected = []
		else if (this.hand.holding) this.hand.letGo()
		else if (this.area) this.dropArea()
	}
}

const key = Symbol()
export const giveWorkspace = (w: Workspace) => setContext(key, w)
export const workspace = () => getContext<Workspace>(key)
