import { CoreError, type Answered, type Args, type Fed, type Method } from '../core/module'
import type { Code } from '../core/contract.gen'
import type { ID } from '../core/types'

/** What the worker is asked: to open a state, or a method of the core. */
export type Question = { id: number; state: Uint8Array; seq: number; person: ID; client: ID } | ({ id: number } & Fed)

export type Told = { id: number; answer: unknown } | { id: number; wrong: string; code?: Code }

/** Where a second instance of the core begins. */
export interface Beginning {
	state: Uint8Array
	seq: number
	person: ID
	client: ID
	/** The edits that are not confirmed, oldest first. */
	waiting: string[]
}

interface Waits {
	resolve: (answer: unknown) => void
	reject: (error: Error) => void
}

/** How long nothing is asked before what presses ask for first is done once, in milliseconds. */
const restsFor = 2500

/** An edit as long as this is passed on so many milliseconds later, when what it did has been seen: the worker would take time from that. */
const large = 1 << 16
const later = 50

/** How often a worker that broke is begun anew. */
const mostStarts = 3

/**
 * Finds out what takes long in a worker, with a core of its own that is fed the same edits; of large projects on the server. Where there can
 * be no worker, or it broke again and again, this page's core answers instead.
 */
export class Thinker {
	private worker?: Worker
	private opened?: Promise<void>
	private waiting = new Map<number, Waits>()
	/** What came in while the state was fetched, or waits for the next frame. */
	private fed: Fed[] = []
	private next = 1
	private starts = 0
	/** What presses ask for first was done once here, so that it is quick in the page. */
	warmed = false
	private warms = true
	private resting: ReturnType<typeof setTimeout> | undefined
	/** The server is asked: the project is too large for a second core. */
	private far = false

	constructor(
		private readonly begins: () => Promise<Beginning | null>,
		/** Answers in this thread. */
		private readonly here: <M extends Method>(method: M, args: Args<M>) => Answered<M>,
		/** Answers on the server, which is asked where there is nothing to begin with. */
		private readonly there: <M extends Method>(method: M, args: Args<M>) => Promise<Answered<M>>,
	) {}

	/** Tells it what the project's core was told. */
	feed(by: Fed) {
		if (!this.opened || this.helpless || this.far) return
		this.fed.push(by)
		if (!this.worker) return
		if ('adopt' in by && by.adopt.some((text) => text.length > large)) setTimeout(() => this.pass(), later)
		else this.pass()
	}

	/** Passes on what came in. */
	private pass() {
		const { fed, opened } = this
		if (!this.worker || !opened) return
		this.fed = []
		for (const f of fed) this.post(f).catch(this.breaks(opened))
	}

	/** Asks it something that changes nothing. */
	async ask<M extends Method>(method: M, args: Args<M>): Promise<Answered<M>> {
		if (this.helpless) return this.here(method, args)
		const opened = (this.opened ??= this.start())
		try {
			await opened
			if (this.far) return await this.there(method, args)
			this.pass()
			return (await this.post({ method, args })) as Answered<M>
		} catch (e) {
			if (e instanceof CoreError) throw e
			this.breaks(opened)()
			return this.ask(method, args)
		}
	}

	private get helpless() {
		return this.starts >= mostStarts || typeof Worker === 'undefined'
	}

	private async start() {
		const beginning = await this.begins()
		this.far = !beginning
		if (!beginning) return
		const { waiting, ...at } = beginning
		const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' })
		worker.onmessage = (e: MessageEvent<Told>) => this.told(e.data)
		worker.onerror = (e) => {
			e.preventDefault()
			if (this.worker === worker && this.opened) this.breaks(this.opened)()
		}
		this.worker = worker
		const opening = this.post(at, [at.state.buffer])
		// in the order in which they come to this page's core
		this.fed = [...waiting.map((text) => ({ adopt: [text] })), ...this.fed]
		this.pass()
		await opening
	}

	private post(question: object, moved: Transferable[] = []): Promise<unknown> {
		const id = this.next++
		return new Promise((resolve, reject) => {
			if (!this.worker) return reject(new Error('The worker has ended.'))
			this.waiting.set(id, { resolve, reject })
			this.worker.postMessage({ id, ...question }, moved)
		})
	}

	private told(told: Told) {
		const waits = this.waiting.get(told.id)
		this.waiting.delete(told.id)
		if ('wrong' in told) waits?.reject(told.code ? new CoreError(told.wrong, told.code) : new Error(told.wrong))
		else waits?.resolve(told.answer)
		clearTimeout(this.resting)
		if (this.warms && this.opened && !this.waiting.size) this.resting = setTimeout(() => this.warm(), restsFor)
	}

	/** Makes ready what presses ask for first, a little at a time: it gives way to whatever is asked, and goes on afterwards. */
	private async warm() {
		try {
			while (this.warms && this.worker && !this.waiting.size) {
				const { left } = (await this.post({ method: 'warm' })) as Answered<'warm'>
				this.warms = left > 0
				this.warmed = !left
			}
		} catch {
			this.warms = false // it was only to be quicker
		}
	}

	/** Has it be begun anew with the next question, unless that was done already. */
	private breaks(opened: Promise<void>) {
		return () => {
			if (this.opened !== opened) return
			this.starts++
			this.worker?.terminate()
			this.worker = this.opened = undefined
			this.fed = []
			const all = [...this.waiting.values()]
			this.waiting.clear()
			for (const w of all) w.reject(new Error('The worker broke.'))
		}
	}
}
