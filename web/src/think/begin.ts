import { ask } from '../live/http'
import type { Project } from '../project/project.svelte'
import { sentWith } from '../project/sent'
import { Thinker, type Beginning } from './thinker'

/** The state as it is stored by now, with what is not confirmed of this page's edits. */
async function begins(project: Project): Promise<Beginning> {
	const answer = await ask('GET', `/api/projects/${project.id}/state`)
	const state = new Uint8Array(await answer.arrayBuffer())
	const waiting = project.core.call('pending').map((edit) => JSON.stringify(edit))
	return { state, seq: sentWith(answer).seq, person: project.client, client: project.client, waiting }
}

/** A thinker that is told all that a project's core is told. */
export function thinkerOf(project: Project): Thinker {
	const thinker = new Thinker(
		() => begins(project),
		(method, args) => project.ask(method, args),
	)
	project.core.changed = (method, args, answer) => {
		if (method === 'adopt' || method === 'receive' || method === 'refuse') thinker.feed(method, args as never)
		else if (answer?.edit) thinker.feed('adopt', { edits: [answer.edit] })
	}
	return thinker
}
