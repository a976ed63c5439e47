import type { Beside, Differing } from '../share/exchange'
import { ask, read, send } from '../live/http'
import type { Project } from '../project/project.svelte'

/** A moment of the project that somebody gave a name: as it was after an edit of the log. */
export interface Version {
	id: string
	seq: number
	name: string
	/** Who named it, and when the project was so. */
	by: string
	at: string
}

/** What differs from one moment to another. */
export interface Compared {
	changes: Differing[]
	maps: Beside[]
}

const path = (p: Project) => `/api/projects/${p.id}/versions`

export const versionsOf = (p: Project) => read<Version[]>(path(p))

/** Gives a moment a name; its id. */
export const nameVersion = async (p: Project, name: string, seq: number) =>
	(await send<{ id: string }>(path(p), JSON.stringify({ name, seq }))).id

export const renameVersion = (p: Project, id: string, name: string) =>
	ask('POST', `${path(p)}/${id}/name`, JSON.stringify({ name }))

export const forgetVersion = (p: Project, id: string) => ask('POST', `${path(p)}/${id}/remove`, '')

/** What differs from one moment to a later one, by the numbers of edits. */
export const compared = async (p: Project, from: number, to: number, signal: AbortSignal): Promise<Compared> =>
	(await ask('GET', `/api/projects/${p.id}/compare/${from}/${to}`, undefined, true, signal)).json()
