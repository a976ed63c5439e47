import { SvelteMap } from 'svelte/reactivity'
import type { Project } from '../project/project.svelte'

// When something last left the project, in this browser: by its form.
const at = new SvelteMap<string, number>()
const key = (p: Project, form: string) => `left ${p.id} ${form}`

/** Notes that something has left now. */
export function left(p: Project, form: string) {
	at.set(key(p, form), Date.now())
	try {
		localStorage.setItem(key(p, form), String(Date.now()))
	} catch {
		// it is only not remembered
	}
}

const spans: [Intl.RelativeTimeFormatUnit, number][] = [
	['day', 86_400_000],
	['hour', 3_600_000],
	['minute', 60_000],
]
const words = new Intl.RelativeTimeFormat('en-GB', { numeric: 'auto' })

/** When something last left, as “saved 3 hours ago”; empty where it never did. */
export function lately(p: Project, form: string): string {
	let when = at.get(key(p, form)) ?? 0
	try {
		when ||= Number(localStorage.getItem(key(p, form))) || 0
	} catch {
		return ''
	}
	if (!when) return ''
	const passed = Date.now() - when
	const span = spans.find(([, ms]) => passed >= ms)
	return span ? `saved ${words.format(-Math.round(passed / span[1]), span[0])}` : 'saved just now'
}
