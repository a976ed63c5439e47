import type { Entity, ID, MapInfo, Outcome } from '../core/types'
import { send } from '../live/http'
import { counted } from '../project/counted'
import type { Workspace } from './workspace.svelte'

/** What is copied and pasted, as text, so that it crosses to another tab. */
export class Clipboard {
	constructor(private readonly w: Workspace) {}

	async copyArea(): Promise<boolean> {
		const m = this.w.map
		if (!m || !this.w.area) return false
		try {
			const copied = this.w.project.ask('liftArea', { map: m.id, layer: this.w.areas.areaLayer })
			await navigator.clipboard.writeText(JSON.stringify({ azzel: 'piece', copied }))
			const { w, h } = copied.piece
			this.w.notices.say(`${w} × ${h} cells copied: Ctrl+V takes them into the hand, here or in another project.`)
			return true
		} catch (e) {
			this.w.notices.wrong(e)
			return false
		}
	}

	async cut() {
		if (this.w.selected.length) {
			await this.copySelected()
			this.w.chosen.removeSelected()
		} else if (await this.copyArea()) this.w.areas.emptyArea()
	}

	paste(m: MapInfo, entities: Entity[], dx: number, dy: number) {
		if (!entities.length) return
		const made = this.w.project.try('copyEntities', { map: m.id, entities, dx, dy })
		if (made?.ids) this.w.selected = made.ids
	}

	/** The clipboard holds entities as text, so that they cross to another tab. */
	async copySelected() {
		const list = this.w.selection
		if (!list.length) return
		await navigator.clipboard.writeText(JSON.stringify({ azzel: 'entities', entities: list }))
		this.w.notices.say(`${counted(list.length, 'entity').replace('entitys', 'entities')} copied.`)
	}

	pasteText(text: string) {
		const m = this.w.map
		if (!m) return
		let entities: Entity[]
		try {
			const found = JSON.parse(text) as { azzel?: string; entities?: Entity[]; copied?: unknown }
			if (found.azzel === 'piece') return void this.holdPiece(found.copied)
			if (found.azzel !== 'entities' || !found.entities?.length) throw new Error()
			entities = found.entities
		} catch {
			return this.w.notices.say('There is nothing of Azzel on the clipboard.', 'wrong')
		}
		// the first one comes to the cell that is pointed at
		const at = this.w.cell ?? m.bounds
		this.paste(m, entities, at.x * m.cellWidth - entities[0].x, at.y * m.cellHeight - entities[0].y)
	}

	/** Holds what was copied, and brings in what it is made of where this project lacks it. */
	private async holdPiece(copied: unknown) {
		type Adopted = Outcome & { needs: number; held: ID }
		try {
			let adopted = this.w.project.make('adoptPiece', { copied, numbers: [] }) as Adopted
			if (adopted.needs) {
				const numbers: number[] = []
				for (let i = 0; i < adopted.needs; i++)
					numbers.push(await send<number>(`/api/projects/${this.w.project.id}/numbers`, ''))
				adopted = this.w.project.make('adoptPiece', { copied, numbers }) as Adopted
				this.w.notices.say('What the copy is made of was brought into this project as well.', 'done')
			}
			this.w.areas.dropArea()
			this.w.hold({ what: 'motif', motif: adopted.held, shape: 'freehand' })
		} catch (e) {
			this.w.notices.wrong(e)
		}
	}
}
