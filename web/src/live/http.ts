/** What the server answered instead of what was asked for; the message is for people. */
export class Refused extends Error {
	constructor(
		readonly status: number,
		message: string,
		/** What the page tells apart; the message is only for people. */
		readonly code = '',
	) {
		super(message)
	}
}

export interface Session {
	person: string
	name: string
	format: number
	tokenCookie: string
}

let tokenCookie = ''

function token(): string {
	const found = document.cookie.split('; ').find((c) => c.startsWith(tokenCookie + '='))
	return found?.slice(tokenCookie.length + 1) ?? ''
}

/** Says who this browser is, and makes somebody of it the first time. */
export async function greet(): Promise<Session> {
	const session = (await (await ask('GET', '/api/session')).json()) as Session
	tokenCookie = session.tokenCookie
	return session
}

const away = 'The server does not answer. Your work is kept here; try again in a moment.'

/** Asks the server; a token that has run out is renewed once. */
export async function ask(
	method: string,
	path: string,
	body?: BodyInit,
	again = true,
	signal?: AbortSignal,
): Promise<Response> {
	let answer: Response
	try {
		answer = await fetch(path, { method, body, signal, headers: method === 'GET' ? {} : { 'X-Csrf-Token': token() } })
	} catch {
		signal?.throwIfAborted()
		throw new Refused(0, away)
	}
	if (answer.ok) return answer
	const said = (await answer.json().catch(() => ({}))) as { error?: string; code?: string }
	if (again && (said.code === 'token' || said.code === 'unknown')) {
		await greet()
		return ask(method, path, body, false, signal)
	}
	throw new Refused(answer.status, said.error ?? `The server answered ${answer.status}. Try again.`, said.code)
}

export async function read<T>(path: string): Promise<T> {
	return (await ask('GET', path)).json() as Promise<T>
}

export async function send<T>(path: string, body: BodyInit): Promise<T> {
	return (await ask('POST', path, body)).json() as Promise<T>
}
