import { ask, send } from '../live/http'
import type { Project } from '../project/project.svelte'
import type { Notices } from '../project/notices.svelte'
import { left } from './lately.svelte'

/** Something that would be otherwise. */
export interface Differing {
	what: string
	name: string
	how: 'new' | 'gone' | 'changed'
	/** How many cells of a map are otherwise, and how many of its entities and layers. */
	cells?: number
	entities?: number
}

/** A map as it is and as it would be, as pictures in base64; null where it is not there. */
export interface Beside {
	name: string
	before: string | null
	after: string | null
}

/** What would change if a project that was brought in came over this one. */
export interface Brought {
	name: string
	changes: Differing[]
	maps: Beside[]
	/** Which of its fields nothing here knows, a sentence each. */
	kept: string[]
	state: string
	file: File
	/** How often the project had changed when it was told. */
	turn: number
}

/** Gives the browser something to keep as a file. */
export function keep(data: Blob, name: string) {
	const url = URL.createObjectURL(data)
	const a = document.createElement('a')
	;[a.href, a.download] = [url, name]
	a.click()
	setTimeout(() => URL.revokeObjectURL(url), 10_000)
}

/** A name as a file can be called. */
export const fileName = (name: string) => name.replace(/[/\\:*?"<>|]/g, '-').replace(/^[. ]+|[. ]+$/g, '') || 'unnamed'

/** How something that leaves can be stopped, and who hears how much of it is there; null while that is not known. */
export interface Leaving {
	signal: AbortSignal
	told: (part: number | null) => void
}

/** Reads an answer, telling how far it is. */
async function received(answer: Response, leaving?: Leaving): Promise<Blob> {
	const all = Number(answer.headers.get('Content-Length'))
	if (!leaving || !answer.body || !all) return answer.blob()
	const parts: BlobPart[] = []
	let got = 0
	const reader = answer.body.getReader()
	for (let next = await reader.read(); !next.done; next = await reader.read()) {
		parts.push(next.value)
		leaving.told(Math.min(1, (got += next.value.length) / all))
	}
	return new Blob(parts, { type: answer.headers.get('Content-Type') ?? '' })
}

/** Saves what the server makes of the project, or of a part of it, as it is stored; what it is, is said with its size. */
export async function saveAs(
	p: Project,
	notices: Notices,
	form: string,
	end: string,
	is: string,
	name = p.head.project.name,
	leaving?: Leaving,
) {
	try {
		const answer = await ask('GET', `/api/projects/${p.id}/${form}`, undefined, true, leaving?.signal)
		const file = await received(answer, leaving)
		leaving?.signal.throwIfAborted()
		keep(file, `${fileName(name)}${end}`)
		left(p, form)
		const kept = Math.max(1, Math.round(file.size / 1024)).toLocaleString('en-GB')
		notices.say(`${name} is saved ${is}: ${kept} kB.`, 'done')
	} catch (e) {
		if (leaving?.signal.aborted) return notices.say('It was stopped: nothing was saved.')
		notices.wrong(e)
	}
}

export const saveZip = (p: Project, notices: Notices, leaving?: Leaving) =>
	saveAs(p, notices, 'export', '.zip', 'as a ZIP', undefined, leaving)
export const saveFolder = (p: Project, notices: Notices, leaving?: Leaving) =>
	saveAs(p, notices, 'page/folder', ' page.zip', 'as a page for a web server', undefined, leaving)
export const savePage = (p: Project, notices: Notices, leaving?: Leaving) =>
	saveAs(p, notices, 'page', '.html', 'as a page that plays', undefined, leaving)

/** Asks what a ZIP would change; nothing is changed by that. */
export async function bring(p: Project, file: File): Promise<Brought> {
	const { turn } = p
	const told = await send<Pick<Brought, 'changes' | 'state' | 'maps' | 'kept'>>(`/api/projects/${p.id}/bring-in`, file)
	return { ...told, name: file.name, file, turn }
}

/** Makes the project what was brought in, as one edit. */
export function takeOver(p: Project, b: Brought) {
	const state = Uint8Array.from(atob(b.state), (c) => c.charCodeAt(0))
	p.changeable()
	return p.made(p.core.jump(state, `Brought in ${b.name}`.slice(0, 190)))
}

/** Makes a project of a ZIP; its id. */
export async function asProject(file: File): Promise<string> {
	return (await send<{ id: string }>('/api/projects/import', file)).id
}
