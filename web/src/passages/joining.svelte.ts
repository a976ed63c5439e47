import type { End, Entity, Facing, ID, MapInfo, Place, Point, Return } from '../core/types'
import { edgeOf } from '../project/edges'
import type { Workspace } from '../workspace/workspace.svelte'

const facings: Facing[] = ['up', 'right', 'down', 'left']

/** A passage that is being pointed at: where it leads, how one arrives, and the way back. */
export class Joining {
	to = $state<ID>('')
	at = $state.raw<Point | null>(null)
	facing = $state<Facing>('down')
	back = $state(true)
	query = $state('')
	refused = $state('')
	/** Set where the exit leads somewhere already: the passage only gets another end. */
	readonly leads: boolean

	constructor(
		private readonly w: Workspace,
		readonly from: End,
	) {
		const now = w.project.ask('joined', from)
		this.leads = !!now.passage
		if (!now.passage) return
		this.back = !!now.back
		this.facing = now.facing
		if (now.to) [this.to, this.at] = [now.to, now.at]
	}

	/** What the passage begins at. */
	get name(): string {
		if (this.from.side) return `the ${edgeOf(this.from.side)}`
		return this.w.project.entity(this.from.map, this.from.entity)?.name ?? 'the exit'
	}

	readonly here = $derived.by(() => this.w.project.map(this.from.map))
	readonly map = $derived.by((): MapInfo | undefined => this.w.project.map(this.to))

	/** The maps to choose from, the one that the exit is on last. */
	readonly choices = $derived.by(() =>
		[...this.w.project.head.maps]
			.filter(
				(m) => !m.template && `${m.name} ${m.folder ?? ''}`.toLowerCase().includes(this.query.trim().toLowerCase()),
			)
			.sort((a, b) => Number(a.id === this.from.map) - Number(b.id === this.from.map)),
	)

	/** Arrivals that are there already, to which the passage can lead as well. */
	readonly arrivals = $derived.by(() =>
		this.w.project.entities(this.to).filter((e) => this.w.project.kind(e.kind)?.met),
	)

	readonly arrival = $derived.by((): Entity | undefined => {
		const { map, at } = this
		if (!map || !at) return
		const on = (e: Entity) => Math.floor(e.x / map.cellWidth) === at.x && Math.floor(e.y / map.cellHeight) === at.y
		return this.arrivals.find((e) => !this.w.project.kind(e.kind)?.heroic && on(e))
	})

	readonly place = $derived.by((): Place | null => {
		const { map, at } = this
		return map && at ? this.w.project.ask('checkPlace', { map: map.id, active: '', at }) : null
	})

	private get way() {
		// the figure can be turned, an arrival that is there looks where it looks
		const { from, to, at, facing, back } = this
		const arrival = this.arrival && this.arrival.facing === facing ? this.arrival.id : ''
		return { from, to, at: at!, facing, back, arrival }
	}

	/** Where the way back would begin and end. */
	readonly returns = $derived.by((): Return | null => {
		if (!this.back || !this.place?.free) return null
		try {
			return this.w.project.ask('wayBack', this.way)
		} catch {
			return null // joining says why
		}
	})

	/** A cell as it is told to people, from the map's top left. */
	told(p: Point): string {
		const b = this.map?.bounds
		return b ? `${p.x - b.x}, ${p.y - b.y}` : ''
	}

	show(map: ID) {
		this.to = map
		this.at = null
		this.refused = ''
	}

	/** A press on another cell moves the figure there; on the figure it turns it. */
	choose(p: Point) {
		this.refused = ''
		if (this.at?.x === p.x && this.at.y === p.y) return this.turn()
		this.at = p
		if (this.arrival) this.facing = this.arrival.facing
	}

	turn() {
		this.facing = facings[(facings.indexOf(this.facing) + 1) % 4]
	}

	/** Moves the figure by cells, from the middle of the map at first. */
	step(dx: number, dy: number) {
		if (!this.map) return
		const b = this.map.bounds
		const p = this.at ?? { x: b.x + (b.w >> 1), y: b.y + (b.h >> 1) }
		this.choose({ x: p.x + dx, y: p.y + dy })
	}

	/** Makes the passage; true when it is done. */
	join(): boolean {
		const { project, notices } = this.w
		try {
			const made = project.make('join', this.way)
			notices.say(
				`${this.name} leads to ${this.map?.name}${this.back ? ', and back' : ''}.`,
				'done',
				project.undoOf(made),
			)
			return true
		} catch (e) {
			this.refused = (e as Error).message
			return false
		}
	}
}
