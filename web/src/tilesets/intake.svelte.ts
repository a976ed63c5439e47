import { CoreError } from '../core/module'
import type { Cut, Taken, Tileset } from '../core/types'
import { send } from '../live/http'
import type { Workspace } from '../workspace.svelte'

/** The largest file that is sent; the server says the same. */
const largest = 32 << 20

/** A picture on its way to become a tileset: it is cut before it is accepted. */
export class Intake {
	taken = $state.raw<Taken | null>(null)
	name = $state('')
	cut = $state.raw<Cut>({ cellWidth: 16, cellHeight: 16, margin: 0, spacing: 0 })
	busy = $state(false)

	constructor(private w: Workspace) {}

	async bring(file: File | undefined) {
		if (!file) return
		if (file.size > largest)
			return this.w.notices.say('That file is larger than 32 MB: make the picture smaller.', 'wrong')
		if (file.size === 0) return this.w.notices.say('That file is empty: choose a PNG picture.', 'wrong')
		this.busy = true
		try {
			this.taken = await send<Taken>(`/api/projects/${this.w.project.id}/pictures`, file)
			this.name = file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Tileset'
			this.cut = this.taken.guesses?.[0]?.cut ?? { cellWidth: 16, cellHeight: 16, margin: 0, spacing: 0 }
			this.w.open('tilesets')
		} catch (e) {
			this.w.notices.wrong(e)
		}
		this.busy = false
	}

	/** What the cut makes of the picture, or the sentence that says what is wrong with it. */
	get told(): { columns: number; rows: number; right: number; bottom: number } | string {
		const t = this.taken
		if (!t) return ''
		try {
			return this.w.project.ask('cut', { cut: this.cut, width: t.width, height: t.height })
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			return e.message
		}
	}

	accept() {
		const t = this.taken
		if (!t) return
		const set: Omit<Tileset, 'columns' | 'rows' | 'id' | 'order'> = {
			name: this.name.trim() || 'Tileset',
			number: t.number,
			picture: t.picture,
			width: t.width,
			height: t.height,
			cut: this.cut,
			solid: [],
			infos: [],
		}
		const made = this.w.project.try('addTileset', set)
		if (!made?.made) return
		this.taken = null
		this.w.tilesetId = made.made
		this.w.drawer = 'tiles'
		this.w.notices.say(`${set.name} is in the cabinet. Paint over the tiles that stop the hero.`, 'done')
	}
}
