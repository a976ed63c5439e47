import { CoreError } from '../core/module'
import type { Changes, Cut, Rect, Taken, Tileset } from '../core/types'
import { send } from '../live/http'
import { counted } from '../project/counted'
import type { Workspace } from '../workspace/workspace.svelte'

/** The kinds of picture that can be brought in. */
export const accepted = 'image/png,image/webp,image/gif,image/jpeg,image/bmp'

/** The largest file that is sent; the server says the same. */
const largest = 32 << 20

/** What a new cut or picture of a tileset would change. */
interface Plan {
	match: number[]
	changes: Changes
}

/** A picture on its way to become a tileset, or another cut of one: it is seen before it is accepted. */
export class Intake {
	taken = $state.raw<Taken | null>(null)
	name = $state('')
	/** What pictures that are gathered are called together. */
	gathered = $state('')
	cut = $state.raw<Cut>({ cellWidth: 16, cellHeight: 16, margin: 0, spacing: 0 })
	busy = $state(false)
	/** The tileset that is recut or gets another picture. */
	target = $state.raw<Tileset | null>(null)
	plan = $state.raw<Plan | null>(null)
	/** Pictures that were brought in together and wait for their turn. */
	waiting = $state.raw<{ name: string; taken: Taken }[]>([])

	constructor(private w: Workspace) {}

	private path(end: string) {
		return `/api/projects/${this.w.project.id}/${end}`
	}

	private async working(what: () => Promise<void>) {
		this.busy = true
		try {
			await what()
		} catch (e) {
			this.w.notices.wrong(e)
		}
		this.busy = false
	}

	async bring(files: ArrayLike<File> | null | undefined, target: Tileset | null = null) {
		const all = Array.from(files ?? [])
		if (!all.length) return
		await this.working(async () => {
			const found: { name: string; taken: Taken }[] = []
			for (const file of all) {
				if (file.size > largest) {
					this.w.notices.say(`${file.name} is larger than 32 MB: make the picture smaller.`, 'wrong')
				} else if (file.size === 0) {
					this.w.notices.say('That file is empty: choose a picture.', 'wrong')
				} else {
					try {
						const taken = await send<Taken>(this.path('pictures'), file)
						this.w.scene.pictures.retry(taken.picture)
						found.push({ name: file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Tileset', taken })
					} catch (e) {
						this.w.notices.wrong(e)
					}
				}
			}
			if (!found.length) return
			if (target?.picture === found[0].taken.picture)
				return this.w.notices.say(`The picture of ${target.name} is there; all is as it was.`, 'done')
			this.waiting = target ? [] : found.slice(1)
			this.show(found[0].name, found[0].taken, target)
		})
	}

	private show(name: string, taken: Taken, target: Tileset | null) {
		this.taken = taken
		this.target = target
		this.plan = null
		this.name = target?.name ?? name
		this.cut = target?.cut ?? taken.guesses?.[0]?.cut ?? { cellWidth: 16, cellHeight: 16, margin: 0, spacing: 0 }
		this.w.materialId = ''
		this.w.open('tilesets')
	}

	/** Cuts a tileset that is there anew. */
	recut(t: Tileset) {
		this.show(t.name, { picture: t.picture, width: t.width, height: t.height, number: t.number, guesses: null }, t)
		// its picture is looked at again, and keeps what it is
		return this.working(async () => {
			const { picture, width, height } = t
			const body = JSON.stringify({ picture, crop: { x: 0, y: 0, w: width, h: height }, width, height })
			const { guesses } = await send<Taken>(this.path('pictures/reshape'), body)
			if (this.taken?.picture === picture && this.target === t) this.taken = { ...this.taken, guesses }
		})
	}

	/** One tile was dragged out on the picture: the others are cut as it is. */
	drag(tile: Rect) {
		const t = this.taken
		if (!t) return
		try {
			this.choose(this.w.project.ask('cutDragged', { tile, width: t.width, height: t.height }))
		} catch (e) {
			this.w.notices.wrong(e)
		}
	}

	leave() {
		this.taken = null
		this.target = null
		this.plan = null
		const next = this.waiting[0]
		this.waiting = this.waiting.slice(1)
		if (next) this.show(next.name, next.taken, null)
	}

	change(cut: Partial<Cut>) {
		this.choose({ ...this.cut, ...cut })
	}

	choose(cut: Cut) {
		this.cut = cut
		this.plan = null
	}

	/** A part of the picture, at another size. */
	reshape(crop: Rect, width: number, height: number) {
		const { taken, target } = this
		if (!taken) return
		return this.working(async () => {
			const body = JSON.stringify({ picture: taken.picture, crop, width, height })
			const next = await send<Taken>(this.path('pictures/reshape'), body)
			const { cut, name } = this
			this.show(name, next, target)
			if (target) this.cut = cut
		})
	}

	/** Puts all pictures that were brought in together on one sheet. */
	gather() {
		const { taken } = this
		if (!taken) return
		return this.working(async () => {
			const pictures = [taken.picture, ...this.waiting.map((o) => o.taken.picture)]
			const next = await send<Taken>(this.path('pictures/gather'), JSON.stringify({ pictures }))
			this.waiting = []
			this.show(this.gathered.trim() || this.name, next, null)
			this.gathered = ''
		})
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

	/** Finds what becomes of the tiles that are painted with, before anything is done. */
	look() {
		const { taken, target } = this
		if (!taken || !target) return
		return this.working(async () => {
			const body = JSON.stringify({
				from: { picture: target.picture, cut: target.cut, width: target.width, height: target.height },
				to: { picture: taken.picture, cut: this.cut },
			})
			const match = await send<number[]>(this.path('match'), body)
			this.plan = { match, changes: this.w.project.ask('changesBy', { id: target.id, match }) }
		})
	}

	accept() {
		const t = this.taken
		if (!t) return
		if (this.target) return this.acceptRecut(t, this.target)
		const set: Omit<Tileset, 'columns' | 'rows' | 'id' | 'order'> = {
			name: this.name.trim() || 'Tileset',
			number: t.number,
			picture: t.picture,
			width: t.width,
			height: t.height,
			cut: this.cut,
			solid: [],
			infos: [],
			properties: [],
		}
		const made = this.w.project.try('addTileset', set)
		if (!made?.made) return
		this.w.tilesetId = made.made
		this.w.layout.show('tiles')
		this.w.notices.say(`${set.name} is in the cabinet. Paint over the tiles that stop the hero.`, 'done')
		this.leave()
	}

	private acceptRecut(t: Taken, target: Tileset) {
		if (!this.plan) return void this.look()
		const { picture, width, height } = t
		const recut = { picture, width, height, cut: this.cut, match: this.plan.match }
		const made = this.w.project.try('recut', { id: target.id, recut })
		if (!made) return
		const { emptied } = this.plan.changes
		const what = emptied
			? `${counted(emptied, 'cell')} without a match ${emptied === 1 ? 'was' : 'were'} emptied`
			: 'all painting came along'
		this.w.notices.say(`${target.name} is cut anew; ${what}.`, 'done', this.w.project.undoOf(made))
		this.leave()
	}
}
