import type { Code, ID, Methods, Outcome } from './contract.gen'

interface Answer {
	ok?: string
	error?: string
	code?: Code
	/** The edit that was made, as it is sent. */
	sent?: string
}

/** An outcome beside the edit that was made, as it is sent, which the page only passes on. */
export type Sent<O> = O & { sent?: string }

/** What the core can be asked. */
export type Method = keyof Methods
export type Args<M extends Method> = Methods[M]['args']
export type Answered<M extends Method> = Methods[M]['answer']

/** Methods that change what is selected: cells of a map, or entities on it. */
export type AreaChange = 'moveArea' | 'turnArea' | 'emptyArea' | 'addMotif' | 'replaceMotif'
export type EntityChange = {
	[M in Method]: Args<M> extends { map: ID; ids: ID[] | null; do: unknown } ? M : never
}[Method]

/** Methods that make an edit. */
export type Change = { [M in Method]: Answered<M> extends Outcome ? M : never }[Method]

interface Exposed {
	open(state: Uint8Array, seq: number, person: ID, client: ID): Answer
	call(method: string, args: string): Answer
	chunk(map: ID, layer: ID, cx: number, cy: number, into: Uint8Array): boolean
	chunks(map: ID, layers: string, at: Uint8Array, step: number, into: Uint8Array): number
	frame(into: Uint8Array): number
	jump(state: Uint8Array, label: string): Answer
	hash(): string
	tidy(): boolean
}

declare global {
	var azzelCore: Exposed | undefined
	var Go: new () => { importObject: WebAssembly.Imports; run(instance: WebAssembly.Instance): Promise<void> }
}

/** A sentence from the core that says what is wrong. */
export class CoreError extends Error {
	constructor(
		message: string,
		readonly code: Code = 'refused',
	) {
		super(message)
	}
}

function taken(answer: Answer): Answer & { ok: string } {
	if (answer.error !== undefined) {
		const text = answer.error
		// the page that plays has fewer methods: whoever asks for another is told of, even where the error is passed over
		if (answer.code === 'method') console.error(text)
		throw new CoreError(text[0].toUpperCase() + text.slice(1) + (text.endsWith('.') ? '' : '.'), answer.code)
	}
	return { ok: answer.ok ?? 'null', sent: answer.sent }
}

/** How long nothing is asked before what is not used any more is looked for, in milliseconds. */
const restsFor = 400

/** What the core was told that changes the project: edits that are not confirmed, or a method without a new edit. */
export type Fed = { adopt: string[] } | { method: Method; args: unknown }

/** Methods by which a project changes without a new edit. */
const told = new Set<Method>(['receive', 'refuse'])

/** The editing core: the same code as on the server, run as a WebAssembly module. */
export class Core {
	/** Told what changes the project, after it did. */
	changed?: (by: Fed) => void
	private cells = new Uint8Array(4096)
	private several = new Uint8Array(0)
	private game = new Uint8Array(4096)
	private resting: ReturnType<typeof setTimeout> | undefined
	private calls = 0
	/** How often memory that was not used any more was looked for while nothing was done. */
	tidied = 0

	private constructor(
		private exposed: Exposed,
		private memory: WebAssembly.Memory,
	) {}

	/** How many bytes the module holds. */
	get held(): number {
		return this.memory.buffer.byteLength
	}

	static async load(module: Response | Promise<Response> = fetch('/azzel.wasm')): Promise<Core> {
		const go = new Go()
		const { instance } = await WebAssembly.instantiateStreaming(module, go.importObject)
		void go.run(instance)
		if (!globalThis.azzelCore) throw new Error('The editing core did not start.')
		return new Core(globalThis.azzelCore, instance.exports.mem as WebAssembly.Memory)
	}

	open(state: Uint8Array, seq: number, person: ID, client: ID) {
		taken(this.exposed.open(state, seq, person, client))
	}

	call<M extends Method>(method: M, args?: Args<M>): Answered<M> {
		this.calls++
		if (!this.resting) this.rest()
		const { ok, sent } = taken(this.exposed.call(method, args === undefined ? '' : JSON.stringify(args)))
		const answer = JSON.parse(ok) as Answered<M>
		if (sent !== undefined) return this.sending(answer, sent)
		if (told.has(method)) this.changed?.({ method, args })
		return answer
	}

	/** Has memory that is not used any more be looked for once nothing is asked for a while, since that would hold up what is done next. */
	private rest() {
		const { calls } = this
		this.resting = setTimeout(() => {
			this.resting = undefined
			if (this.calls !== calls) this.rest()
			else if (this.exposed.tidy()) this.tidied++
		}, restsFor)
	}

	/** Takes up edits that are not confirmed yet, as they were sent. */
	adopt(edits: string[]): Outcome {
		const { ok } = taken(this.exposed.call('adopt', `{"edits":[${edits.join()}]}`))
		this.changed?.({ adopt: edits })
		return JSON.parse(ok)
	}

	/** Makes the project what a stored state of it was. */
	jump(state: Uint8Array, label: string): Outcome {
		const { ok, sent } = taken(this.exposed.jump(state, label))
		return this.sending(JSON.parse(ok) as Outcome, sent!)
	}

	private sending<O>(answer: O, sent: string): O {
		this.changed?.({ adopt: [sent] })
		const made: Sent<O> = Object.assign(answer as object, { sent }) as Sent<O>
		return made
	}

	/** The 1,024 cells of a chunk, or null when all are empty; good until the next call. */
	chunk(map: ID, layer: ID, cx: number, cy: number): Uint32Array | null {
		this.calls++
		return this.exposed.chunk(map, layer, cx, cy, this.cells) ? new Uint32Array(this.cells.buffer) : null
	}

	/**
	 * What chunks of layers show, place by place (`at` is their columns and rows by turns) and of each the layers in their
	 * order: how many cells follow (0 of an empty chunk, 1 of one whose cells are all alike, else all, or one of every
	 * `step` along each side), and those. One call for many, since a call takes longer than what it asks for. Good until
	 * the next call.
	 */
	chunksOf(map: ID, layers: ID[], at: number[], step = 1): Uint32Array {
		this.calls++
		const room = (at.length / 2) * layers.length * (4 + 4096 / (step * step))
		if (this.several.length < room) this.several = new Uint8Array(room)
		const places = new Uint8Array(Int32Array.from(at).buffer)
		const n = this.exposed.chunks(map, layers.join(), places, step, this.several.subarray(0, room))
		return new Uint32Array(this.several.buffer, 0, n / 4)
	}

	/** What moves in the game, as it was shown last, or null where nothing is played; good until the next call. */
	frame(): Int32Array | null {
		let length = this.exposed.frame(this.game)
		if (length > this.game.length) {
			this.game = new Uint8Array(2 * length)
			length = this.exposed.frame(this.game)
		}
		return length ? new Int32Array(this.game.buffer, 0, length / 4) : null
	}

	hash(): string {
		return this.exposed.hash()
	}
}
