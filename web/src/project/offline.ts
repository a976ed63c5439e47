import type { Core } from '../core/module'
import type { Kept } from '../live/kept'
import { newID } from './marks'
import type { Notices } from './notices.svelte'
import { Project } from './project.svelte'

/** A project without a server, to be played: nothing of it is changed, so nothing is kept. */
export function offline(core: Core, state: Uint8Array, notices: Notices): Project {
	const client = newID()
	core.open(state, 0, '', client)
	const p = new Project('', core, client, undefined as unknown as Kept, notices)
	p.refreshHead()
	return p
}
