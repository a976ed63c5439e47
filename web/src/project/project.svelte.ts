import { keyOf, newID } from './marks'
import { counted } from './counted'
import { Core, CoreError, type Answered, type Args, type Change, type Method, type Sent } from '../core/module'
import type { LayerChunks, Entity, Head, ID, Kind, MapInfo, Outcome, Tileset } from '../core/types'
import { Connection, type Mark, type Person, type Pointer, type Row } from '../live/connection'
import { ask, greet, read, Refused, send } from '../live/http'
import { hold, Kept, type KeptEdit } from '../live/kept'
import type { Notices } from './notices.svelte'
import { SvelteMap } from 'svelte/reactivity'
import { headWith } from './listed'
import { lookups } from './indexed'
import { largestSocketEdit, Leaving } from './leaving'
import { type SavedState, savedState } from './saved'
import { sentWith } from './sent'
import { Standing } from './standing'

/** How long to wait before a server without room is tried again. */
const tryAgain = 5000

/** One open project: the core with its document, and the way of edits to the server. */
export class Project {
	head = $state.raw() as Head
	people = $state.raw<Person[]>([])
	pointers = new SvelteMap<ID, Pointer>()
	/** How many edits are not confirmed. */
	waiting = $state(0)
	connected = $state(false)
	canUndo = $state('')
	canRedo = $state('')
	/** Why this page cannot go on with the project: it was put back meanwhile. */
	parted = $state('')
	/** What cannot be read of the project; then it is only looked at. */
	lost = $state.raw<string[] | null>(null)
	/** Why nothing is stored at the moment. */
	trouble = $state('')
	/** Edits that this browser kept from a former state of the project. */
	leftovers = $state.raw<KeptEdit[]>([])
	/** Goes up with every change to entities, so that what shows them looks again. */
	entityTurn = $state(0)
	/** Goes up with every change of any kind. */
	turn = $state(0)

	/** Told when an edit of this page is stored. */
	onStored: (seq: number) => void = () => {}
	readonly onChunks = new Set<(chunks: LayerChunks[]) => void>()

	private leaving = new Leaving((mark, text) => {
		this.kept.keep({ project: this.id, ...mark, edit: text, born: this.born }).catch(() => {
			this.notices.say('This browser has no room to keep edits: stay until the strip says Saved.', 'wrong')
		})
		this.dispatch(mark, text)
	})
	private outbox = new Map<string, { mark: Mark; text: string }>()
	private standing: Standing
	private connection?: Connection
	/** The number of the last edit that is confirmed here. */
	seq = 0
	private last: Mark = { client: '', number: 0 }
	private born = ''
	private turning: Promise<void> = Promise.resolve()

	constructor(
		readonly id: ID,
		readonly core: Core,
		readonly client: ID,
		private kept: Kept,
		readonly notices: Notices,
	) {
		this.standing = new Standing(core)
	}

	static async open(id: ID, notices: Notices): Promise<Project> {
		const client = newID()
		// the state comes while the module starts; who asks has to be known first
		const greeted = greet()
		const stored = greeted.then(async () => {
			const answer = await ask('GET', `/api/projects/${id}/state`)
			return { answer, state: new Uint8Array(await answer.arrayBuffer()) }
		})
		const [core, kept, session, { answer, state }] = await Promise.all([
			Core.load(),
			Kept.open(),
			greeted,
			stored,
			hold(client),
		])
		const p = new Project(id, core, client, kept, notices)
		const { seq, born, last, lost } = sentWith(answer)
		;[p.seq, p.born, p.last, p.lost] = [seq, born, last, lost]
		core.open(state, seq, session.person, client)
		const past = core.call('history', await read<Args<'history'>>(`/api/projects/${id}/history/${seq}`))
		p.canUndo = past.canUndo
		p.canRedo = past.canRedo
		if (!p.lost) await p.adopt()
		p.refreshHead()
		p.waiting = p.outbox.size
		if (p.lost) return p
		p.connection = new Connection(id, client, session.format, {
			past: () => ({ since: p.seq, last: p.last, born: p.born }),
			opened: () => p.opened(),
			closed: () => {
				p.connected = false
				p.people = []
				p.pointers.clear()
			},
			message: (m) => {
				switch (m.t) {
					case 'rows':
						return p.receive(m.rows)
					case 'refused':
						return p.refused(m.mark, m.why)
					case 'people':
						p.people = m.people
						for (const c of p.pointers.keys()) if (!m.people.some((o) => o.client === c)) p.pointers.delete(c)
						return
					case 'pointer':
						p.pointers.set(m.client, m)
						return
					case 'stale':
						return location.reload() // what was not sent is kept and adopted
					case 'sorry':
						return notices.say(m.why, 'wrong')
					case 'parted':
						return p.part(m.why)
					case 'trouble':
						p.trouble = m.why
						return p.connection?.later(tryAgain)
				}
			},
		})
		return p
	}

	/** Takes over what closed pages left; the state that was opened holds what of it was stored. */
	private async adopt() {
		const found = await this.kept.adopt(this.id)
		const ours = (e: KeptEdit) => e.born === undefined || e.born === this.born
		this.leftovers = found.filter((e) => !ours(e))
		await this.adoptAll(found.filter(ours))
	}

	private async adoptAll(left: KeptEdit[]) {
		const marks = left.map(({ client, number }) => ({ client, number }))
		const stored = new Set<string>()
		// a few at a time, so that no request grows without bound
		for (let i = 0; i < marks.length; i += 5000) {
			const part = JSON.stringify(marks.slice(i, i + 5000))
			for (const m of await send<Mark[]>(`/api/projects/${this.id}/edits/stored`, part)) stored.add(keyOf(m))
		}
		for (const e of left) {
			if (stored.has(keyOf(e))) {
				await this.kept.forget(this.id, e.client, e.number)
				continue
			}
			try {
				this.take(this.core.adopt([e.edit]))
				this.outbox.set(keyOf(e), { mark: { client: e.client, number: e.number }, text: e.edit })
			} catch (error) {
				this.notices.wrong(error)
				await this.kept.forget(this.id, e.client, e.number)
			}
		}
		if (this.outbox.size) this.notices.say(`${counted(this.outbox.size, 'edit')} kept in this browser: sent now.`)
	}

	/** This page's past is not the project's any more: nothing is sent, and nothing of it comes in. */
	private part(why: string) {
		this.parted = why
		this.connected = false
		this.connection?.end()
		void this.kept.part(this.id, this.client)
	}

	/** What this page, or a former one, has that the project lacks, as a file to keep. */
	unsentFile(): Blob {
		const texts = this.parted ? [...this.outbox.values()].map((e) => e.text) : this.leftovers.map((e) => e.edit)
		return new Blob([`[${texts.join(',\n')}]\n`], { type: 'application/json' })
	}

	/** Does the edits of a former state here, as far as what they change is here. */
	async takeLeftovers() {
		const left = this.leftovers
		this.leftovers = []
		await this.adoptAll(left)
		this.refreshHead()
		for (const e of left) {
			const held = this.outbox.get(keyOf(e))
			if (held) await this.kept.keep({ ...e, born: this.born })
		}
		this.waiting = this.outbox.size
		for (const { mark, text } of this.outbox.values()) this.dispatch(mark, text)
	}

	async dropLeftovers() {
		for (const e of this.leftovers) await this.kept.forget(this.id, e.client, e.number)
		this.leftovers = []
	}

	get saved(): SavedState {
		return savedState(this)
	}

	ask<M extends Method>(method: M, args?: Args<M>): Answered<M> {
		return this.core.call(method, args)
	}

	private readonly by = lookups()

	map(id: ID): MapInfo | undefined {
		return this.by.map(this.head.maps, id)
	}

	tileset(number: number): Tileset | undefined {
		return this.by.tileset(this.head.tilesets, number)
	}

	/** A kind, built in or the designer's own. */
	kind(id: string): Kind | undefined {
		return this.by.kind(this.head.kinds, id)
	}

	/** The entities of a map in the order in which they are drawn. */
	entities(map: ID): Entity[] {
		void this.entityTurn
		return this.standing.on(map)
	}

	entity(map: ID, id: ID): Entity | undefined {
		void this.entityTurn
		return this.standing.one(map, id)
	}

	/** Does something that may make an edit; throws the core's sentence. */
	make<M extends Change>(method: M, args?: Args<M>): Answered<M> {
		this.changeable()
		return this.made(this.core.call(method, args))
	}

	changeable() {
		if (this.parted) throw new CoreError(this.parted + ' Nothing can be changed on this page any more.')
		if (this.lost) throw new CoreError('This project cannot be read whole, so it can only be looked at.')
	}

	made<O extends Outcome>(outcome: Sent<O>): O {
		this.take(outcome)
		if (outcome.edit && outcome.sent) this.post(outcome.edit, outcome.sent)
		for (const [asked, called] of outcome.renamed ?? []) this.notices.taken(asked, called)
		return outcome
	}

	/** As make, but says what is wrong instead of throwing. */
	try<M extends Change>(method: M, args?: Args<M>): Answered<M> | undefined {
		try {
			return this.make(method, args)
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.notices.wrong(e)
		}
	}

	/** Turns back or forth one step after the other, since a step may have to be fetched first. */
	undo(method: 'undo' | 'redo' = 'undo'): Promise<void> {
		return (this.turning = this.turning.then(() => this.turnBack(method)))
	}

	/** The way to turn back what was made, whatever comes since, as a notice offers it. */
	undoOf(made: Outcome): { label: string; run: () => void } {
		const { client, number } = made.edit!
		const run = () => void (this.turning = this.turning.then(() => this.turnBack('undoOf', { client, number })))
		return { label: 'Undo', run }
	}

	/** Turns back the latest change inside the selection of a map. */
	turnBackHere(map: ID): Promise<void> {
		return (this.turning = this.turning.then(() => this.turnBack('turnBackHere', { map })))
	}

	/** Makes the project what it was after an edit of the log. */
	async jump(seq: number, label: string): Promise<Outcome | void> {
		try {
			if (this.lost) {
				// there is no present state to make an edit of: the server puts it back
				await send(`/api/projects/${this.id}/restore/${seq}`, '')
				return location.reload()
			}
			this.changeable()
			const answer = await ask('GET', `/api/projects/${this.id}/state/${seq}`)
			const state = new Uint8Array(await answer.arrayBuffer())
			return this.made(this.core.jump(state, label))
		} catch (e) {
			this.notices.wrong(e)
		}
	}

	private async turnBack<M extends 'undo' | 'redo' | 'undoOf' | 'turnBackHere'>(method: M, args?: Args<M>) {
		try {
			let outcome = this.make(method, args)
			while (outcome.fetch) {
				const revert = await read<unknown[]>(`/api/projects/${this.id}/edits/${outcome.fetch}/revert`)
				this.core.call('supply', { seq: outcome.fetch, revert })
				outcome = this.make(method, args)
			}
			if (method === 'turnBackHere' && outcome.edit) this.notices.say(`${outcome.text}.`, 'done', this.undoOf(outcome))
			if (outcome.kept) {
				const all = (outcome.restored ?? 0) + outcome.kept
				this.notices.say(`${outcome.text}: ${outcome.kept} of ${all} kept, because they were changed since.`)
			}
		} catch (e) {
			const nothing = e instanceof CoreError && e.code === 'nothing'
			if (!nothing) this.notices.wrong(e)
			else if (method !== 'undo' && method !== 'redo') this.notices.say(e.message)
		}
	}

	private post(mark: Mark, text: string) {
		this.outbox.set(keyOf(mark), { mark, text })
		this.waiting = this.outbox.size
		this.leaving.add(mark, text)
	}

	private dispatch(mark: Mark, text: string) {
		if (text.length <= largestSocketEdit) {
			this.connection?.sendEdit(text)
		} else if (this.connection?.open) {
			// the row comes over the socket; a failure is repeated when it connects anew
			ask('POST', `/api/projects/${this.id}/edits`, text).catch((e: Refused) => {
				if (e.code === 'full') {
					this.trouble = e.message
					this.connection?.later(tryAgain)
				} else if (e.code === 'busy') this.connection?.later(tryAgain)
				else if (e.status && e.status < 500) this.refused(mark, e.message)
				else this.connection?.renew()
			})
		}
	}

	private opened() {
		this.connected = true
		for (const { mark, text } of this.outbox.values()) this.dispatch(mark, text)
	}

	private receive(rows: Row[]) {
		let outcome: Outcome
		try {
			outcome = this.core.call('receive', { rows })
		} catch {
			return location.reload() // rows are missing: what is not sent is kept
		}
		const newest = rows[rows.length - 1]
		this.seq = newest.seq
		this.last = newest.mark
		for (const row of rows) {
			if (row.mark.client === this.client) this.onStored(row.seq)
			this.settled(row.mark)
		}
		this.take(outcome)
	}

	private refused(mark: Mark, why: string) {
		if (!this.outbox.has(keyOf(mark))) return why ? this.notices.say(why, 'wrong') : undefined
		this.settled(mark)
		this.take(this.core.call('refuse', mark))
		if (why) this.notices.say(`An edit was not taken and is turned back: ${why}`, 'wrong')
	}

	private settled(mark: Mark) {
		if (!this.outbox.delete(keyOf(mark))) return
		this.trouble = ''
		this.waiting = this.outbox.size
		void this.kept.forget(this.id, mark.client, mark.number)
	}

	private take(outcome: Outcome) {
		const { head, entities, chunks } = outcome.change
		for (const map of entities ?? []) this.standing.changed(map)
		if (head || entities?.length) this.refreshHead()
		if (entities?.length) this.entityTurn++
		if (chunks?.length) for (const told of this.onChunks) told(chunks)
		this.canUndo = outcome.canUndo
		this.canRedo = outcome.canRedo
		for (const text of outcome.dropped ?? []) this.notices.say(text, 'wrong')
		this.turn++
	}

	/** Reads the whole head the first time, and then what differs in it. */
	refreshHead() {
		if (!this.head) {
			this.head = this.core.call('head')
			return
		}
		const c = this.core.call('headChange')
		if (Object.keys(c).length) this.head = headWith(this.head, c)
	}

	pointAt(map: ID, x: number, y: number) {
		if (this.people.length > 1) this.connection?.send({ t: 'pointer', map, x, y })
	}
}
