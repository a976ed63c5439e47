import type { ID } from '../core/types'

export interface Mark {
	client: ID
	number: number
}

export interface Row {
	seq: number
	person: ID
	mark: Mark
	edit?: unknown
}

export interface Person {
	client: ID
	name: string
}

export interface Pointer {
	client: ID
	name: string
	map: ID
	x: number
	y: number
}

/** What comes over the socket; t says which fields there are. */
type Message =
	| { t: 'rows'; rows: Row[] }
	| { t: 'refused'; mark: Mark; why: string }
	| { t: 'people'; people: Person[] }
	| ({ t: 'pointer' } & Pointer)
	| { t: 'stale'; format: number }
	| { t: 'sorry'; why: string }
	/** The page's past is not the project's any more. */
	| { t: 'parted'; why: string }
	/** What was sent is not stored now, but may be later. */
	| { t: 'trouble'; why: string }

export interface Listener {
	/** What is here: the number of the last edit and its mark, of which birth of the project. */
	past(): { since: number; last: Mark; born: string }
	opened(): void
	closed(): void
	message(m: Message): void
}

const firstWait = 250
const longestWait = 4000

/** The live socket of a project; it connects anew by itself. */
export class Connection {
	open = false
	private socket?: WebSocket
	private wait = firstWait
	private timer = 0
	private ended = false
	private away = false

	constructor(
		private project: ID,
		private client: ID,
		private format: number,
		private listener: Listener,
	) {
		addEventListener('online', this.soon)
		addEventListener('pagehide', this.left)
		addEventListener('pageshow', this.back)
		this.connect()
	}

	private soon = () => {
		if (this.open || this.ended) return
		clearTimeout(this.timer)
		this.connect()
	}

	private connect() {
		const socket = new WebSocket(`${location.protocol.replace('http', 'ws')}//${location.host}/live/${this.project}`)
		this.socket = socket
		socket.onopen = () => {
			this.open = true
			this.wait = firstWait
			this.send({ t: 'hello', format: this.format, client: this.client, ...this.listener.past() })
			this.listener.opened()
		}
		socket.onmessage = (e) => this.listener.message(JSON.parse(e.data as string) as Message)
		socket.onclose = () => {
			if (this.socket !== socket) return
			this.open = false
			this.listener.closed()
			if (this.ended || this.away) return
			this.timer = setTimeout(() => this.connect(), this.wait) as unknown as number
			this.wait = Math.min(this.wait * 2, longestWait)
		}
	}

	send(message: object) {
		if (this.open) this.socket?.send(JSON.stringify(message))
	}

	/** Sends an edit whose text is JSON already. */
	sendEdit(edit: string) {
		if (this.open) this.socket?.send(`{"t":"edit","edit":${edit}}`)
	}

	/** Connects anew after a while. */
	later(ms: number) {
		setTimeout(() => this.renew(), ms)
	}

	/** Ends this socket and connects anew at once, from what is here now. */
	renew() {
		this.socket?.close()
	}

	/** A page that is left is not here any more, though the browser may keep it for going back. */
	private left = () => {
		this.away = true
		clearTimeout(this.timer)
		this.socket?.close()
	}

	private back = () => {
		if (!this.away) return
		this.away = false
		this.wait = firstWait
		this.connect()
	}

	end() {
		this.ended = true
		clearTimeout(this.timer)
		removeEventListener('online', this.soon)
		removeEventListener('pagehide', this.left)
		removeEventListener('pageshow', this.back)
		this.socket?.close()
	}
}
