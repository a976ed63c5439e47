import type { Detail, Entity, ID, Outcome, Pose, Trace } from '../core/types'
import type { Args, EntityChange } from '../core/module'
import type { Workspace } from './workspace.svelte'

/** What is known of, and done with, the entities that are selected. */
export class Chosen {
	private asked = {
		turn: -1,
		details: new Map<string, Detail[]>(),
		traces: new Map<string, Trace[]>(),
		motions: new Map<string, Pose[]>(),
	}

	constructor(private readonly w: Workspace) {}

	/** Changes what is selected; what is done depends on the method. */
	changeEntities<M extends EntityChange>(method: M, what: Args<M>['do']): Outcome | undefined {
		const m = this.w.map
		if (!m || !this.w.selected.length) return
		return this.w.project.try(method, { map: m.id, ids: this.w.selected, do: what } as unknown as Args<M>)
	}

	private remembered() {
		if (this.asked.turn !== this.w.project.turn)
			this.asked = { turn: this.w.project.turn, details: new Map(), traces: new Map(), motions: new Map() }
		return this.asked
	}

	/** The settings of entities of the map that is shown. */
	detailsOf(ids: ID[]): Detail[] {
		const { details } = this.remembered()
		const key = ids.join()
		let out = details.get(key)
		if (!out) {
			out = this.w.map ? this.w.project.ask('details', { map: this.w.map.id, ids, dx: 0, dy: 0 }) : []
			details.set(key, out)
		}
		return out
	}

	/** What an entity of the map that is shown does, for drawing. */
	tracesOf(id: ID): Trace[] {
		const { traces } = this.remembered()
		let out = traces.get(id)
		if (!out) {
			out = this.w.map ? this.w.project.ask('behaviour', { map: this.w.map.id, ids: [id], dx: 0, dy: 0 }) : []
			traces.set(id, out)
		}
		return out
	}

	/** How an entity of the map that is shown moves by itself, from its place on; empty where it does not. */
	motionOf(id: ID): Pose[] {
		const { motions } = this.remembered()
		let out = motions.get(id)
		if (!out) {
			out = this.w.map ? this.w.project.ask('motion', { map: this.w.map.id, id }) : []
			if (out.every((p) => p.x === out![0].x && p.y === out![0].y)) out = []
			motions.set(id, out)
		}
		return out
	}

	/** Makes a rule that begins with an entity, and shows it. */
	newRuleFor(e: Entity) {
		const m = this.w.map
		if (!m) return
		const made = this.w.project.try('startRule', { map: m.id, entity: e.id })
		if (!made?.made) return
		this.w.rule = made.made
		this.w.layout.show('rules')
	}

	/** Makes a rule that is ready made for an entity, and shows it. */
	makeBundle(e: Entity, key: string) {
		const m = this.w.map
		const made = m && this.w.project.try('makeBundle', { map: m.id, entity: e.id, key })
		if (!made?.made) return
		this.w.rule = made.made
		this.w.layout.show('rules')
	}

	/** Selects everything on the map of the same kinds, or with the same tags, as what is selected. */
	selectAlike(by: 'kind' | 'tag') {
		const m = this.w.map
		if (!m) return
		this.w.select(this.w.project.ask('alike', { map: m.id, ids: this.w.selected, dx: 0, dy: 0, by }), true)
	}

	/** Removes what is selected, and says what referred to it. */
	removeSelected() {
		const m = this.w.map
		if (!m || !this.w.selected.length) return
		const uses = this.w.project.ask('uses', { map: m.id, ids: this.w.selected, dx: 0, dy: 0 })
		const made = this.w.project.try('removeEntities', { map: m.id, ids: this.w.selected, dx: 0, dy: 0 })
		if (!made) return
		this.w.selected = []
		if (!uses.length) return
		const told = uses.slice(0, 2).map((u) => u.text)
		if (uses.length > 2) told.push(`${uses.length - 2} more`)
		this.w.notices.say(`${made.text}: ${told.join(', ')} referred to it.`, 'plain', this.w.project.undoOf(made))
	}

	duplicateSelected() {
		const m = this.w.map
		if (m) this.w.clipboard.paste(m, this.w.selection, m.cellWidth, m.cellHeight)
	}
}
