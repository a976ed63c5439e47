/** What the server answered instead of what was asked for; the message is for people. */
export class Refused extends Error {
	constructor(
		readonly status: number,
		message: string,
	) {
		super(message)
	}
}

function token(): string {
	return /(?:^|; )azzel_csrf=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}

const away = 'The server does not answer. Your work is kept here; try again in a moment.'

/** Asks the server; a token that has run out is renewed once. */
export async function ask(method: string, path: string, body?: BodyInit, again = true): Promise<Response> {
	let answer: Response
	try {
		answer = await fetch(path, { method, body, headers: method === 'GET' ? {} : { 'X-Csrf-Token': token() } })
	} catch {
		throw new Refused(0, away)
	}
	if (answer.ok) return answer
	if (answer.status === 403 && method !== 'GET' && again) {
		await ask('GET', '/api/session')
		return ask(method, path, body, false)
	}
	const said = (await answer.json().catch(() => ({}))) as { error?: string }
	throw new Refused(answer.status, said.error ?? `The server answered ${answer.status}. Try again.`)
}

export async function read<T>(path: string): Promise<T> {
	return (await ask('GET', path)).json() as Promise<T>
}

export async function send<T>(path: string, body: BodyInit): Promise<T> {
	return (await ask('POST', path, body)).json() as Promise<T>
}
