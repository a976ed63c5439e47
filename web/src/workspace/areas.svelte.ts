import type { ID, Selected } from '../core/types'
import type { Answered, AreaChange, Args } from '../core/module'
import type { Workspace, Picking } from './workspace.svelte'

/** What is done with the selected cells. */
export class Areas {
	constructor(private readonly w: Workspace) {}

	/** The layer that an action on the selected cells is about; '' is all of them and the entities. */
	get areaLayer(): ID {
		return this.w.hand.picks.what === 'layer' ? this.w.active : ''
	}

	private setArea(s: Selected | undefined) {
		this.w.area = s?.count ? s : null
	}

	selectCells(picking: Picking, keep = true) {
		const m = this.w.map
		if (!m) return
		try {
			const method = keep ? 'select' : 'previewSelect'
			this.setArea(
				this.w.project.ask(method, {
					map: m.id,
					active: this.w.active,
					picking: { corners: false, even: false, ...picking },
				}),
			)
		} catch (e) {
			this.w.notices.wrong(e)
		}
	}

	/** Shows the selection as it is, after one that was begun is cancelled. */
	refreshArea() {
		this.setArea(this.w.project.ask('selection'))
	}

	selectAll(invert = false) {
		if (this.w.hand.picks.what === 'entities') this.w.hand.pick({ what: 'all' })
		if (this.w.map) this.setArea(this.w.project.ask('selectAll', { map: this.w.map.id, invert }))
	}

	dropArea() {
		if (this.w.area) this.w.project.ask('deselect')
		this.w.area = null
	}

	private changeArea<M extends AreaChange>(method: M, args: Omit<Args<M>, 'map' | 'layer'>): Answered<M> | undefined {
		const m = this.w.map
		if (!m || !this.w.area) return
		const made = this.w.project.try(method, { map: m.id, layer: this.areaLayer, ...args } as unknown as Args<M>)
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
		const m = this.w.map
		if (!m || !this.w.area || !this.w.hand.holding) return
		const { x, y, w, h } = this.w.area.bounds
		const way = [
			{ x, y },
			{ x: x + w - 1, y: y + h - 1 },
		]
		const grip = { ...this.w.hand.grip, shape: 'box' as const }
		const gesture = { way, remove: false, seed: this.w.hand.seed }
		this.w.project.try('press', { map: m.id, active: this.w.active, grip, gesture, mirror: { mode: '', x: 0, y: 0 } })
	}

	/** Turns back the latest change inside the selection, later work elsewhere staying. */
	turnBackHere() {
		if (this.w.map && this.w.area) void this.w.project.turnBackHere(this.w.map.id)
	}

	/** Takes a copy of what is selected into the hand. */
	holdArea() {
		const m = this.w.map
		if (!m || !this.w.area) return
		try {
			const motif = this.w.project.ask('keepSelected', { map: m.id, layer: this.areaLayer })
			this.dropArea()
			this.w.hold({ what: 'motif', motif, shape: 'freehand' })
		} catch (e) {
			this.w.notices.wrong(e)
		}
	}

	/** Keeps what is selected as a motif. */
	makeMotif() {
		const made = this.changeArea('addMotif', { name: 'Motif 1' })
		if (!made) return
		const name = this.w.project.head.motifs.find((m) => m.id === made.made)?.name
		this.w.layout.show('motifs')
		this.w.notices.say(`${name} is in the cabinet: double press renames it.`, 'done')
	}

	replaceMotif(id: ID, update: boolean) {
		const made = this.changeArea('replaceMotif', { id, update })
		if (made) this.w.notices.say(`${made.text}.`, 'done', this.w.project.undoOf(made))
	}

	/** Empties the hand and lets it select cells. */
	startSelecting() {
		this.w.hand.letGo()
		if (this.w.hand.picks.what === 'entities') this.w.hand.pick({ what: 'all' })
		this.w.canvas?.focus()
	}

	cropToArea() {
		if (this.w.map && this.w.area && this.w.project.try('crop', { map: this.w.map.id })) this.dropArea()
	}
}
