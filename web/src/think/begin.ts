import { CoreError, type Answered, type Args, type Method } from '../core/module'
import { ask, Refused, send } from '../live/http'
import type { Project } from '../project/project.svelte'
import { sentWith } from '../project/sent'
import { Thinker, type Beginning } from './thinker'

/** The state as it is stored by now, with what is not confirmed of this page's edits. */
async function begins(project: Project): Promise<Beginning | null> {
	const answer = await ask('GET', `/api/projects/${project.id}/state`)
	// a project that is too large to have it twice in a page
	if (answer.headers.get('X-Azzel-Think')) return null
	const state = new Uint8Array(await answer.arrayBuffer())
	const waiting = project.core.call('pending').map((edit) => JSON.stringify(edit))
	return { state, seq: sentWith(answer).seq, person: project.client, client: project.client, waiting }
}

/** How long the server is let be before it is asked again, in milliseconds. */
const again = 1500

/** Asks the server, once it has all edits of this page; while it cannot be reached, or has others to look at, it is asked again. */
async function there<M extends Method>(project: Project, method: M, args: Args<M>): Promise<Answered<M>> {
	for (;;) {
		if (!project.waiting) {
			try {
				return await send<Answered<M>>(`/api/projects/${project.id}/think`, JSON.stringify({ method, args }))
			} catch (e) {
				if (e instanceof Refused && e.status === 400) throw new CoreError(e.message)
				if (e instanceof Refused && e.status && e.status < 500) throw e
			}
		}
		await new Promise((on) => setTimeout(on, again))
	}
}

/** A thinker that is told all that a project's core is told. */
export function thinkerOf(project: Project): Thinker {
	const thinker = new Thinker(
		() => begins(project),
		(method, args) => project.ask(method, args),
		(method, args) => there(project, method, args),
	)
	project.core.changed = (by) => thinker.feed(by)
	return thinker
}
