import type { ID } from '../core/types'
import { Core, CoreError, type Fed } from '../core/module'
import type { Question, Told } from './thinker'

// A second instance of the core, in a thread of its own, fed the same edits: what takes long is found out here, so that the page never waits for it.

let core: Core | undefined
/** The number of the edit that the state was of: rows up to it are in it already. */
let from = 0

const tell = (told: Told) => self.postMessage(told)

async function open(state: Uint8Array, seq: number, person: ID, client: ID) {
	await import(/* @vite-ignore */ new URL('/wasm_exec.js', self.location.origin).href)
	core = await Core.load()
	core.open(state, seq, person, client)
	from = seq
}

interface Rows {
	rows: { seq: number; mark: { client: ID; number: number } }[]
}

function ask(q: Fed): unknown {
	if (!core) throw new Error('Nothing is open.')
	if ('adopt' in q) return core.adopt(q.adopt)
	const { method, args } = q
	if (method === 'receive') {
		// what was stored before the state was taken is in it: it waits for nothing any more
		for (const row of (args as Rows).rows) if (row.seq <= from) core.call('refuse', row.mark)
	}
	return core.call(method, args as never)
}

self.onmessage = async (e: MessageEvent<Question>) => {
	const q = e.data
	try {
		if ('state' in q) {
			await open(q.state, q.seq, q.person, q.client)
			tell({ id: q.id, answer: null })
		} else tell({ id: q.id, answer: ask(q) })
	} catch (error) {
		tell({ id: q.id, wrong: (error as Error).message, code: error instanceof CoreError ? error.code : undefined })
	}
}
