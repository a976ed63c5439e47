import { SvelteMap } from 'svelte/reactivity'
import { read } from '../live/http'

/** What a small picture of an edit is drawn from. */
export interface Sketch {
	/** The type of object that the edit is about. */
	about: string
	kind?: string
	w?: number
	h?: number
}

/** The sketches of a project's edits, fetched when they are first looked at. */
export class Sketches {
	private readonly known = new SvelteMap<number, Sketch>()
	private readonly asked = new Set<number>()

	constructor(private readonly project: string) {}

	get(seq: number): Sketch | undefined {
		return this.known.get(seq)
	}

	fetch(seq: number) {
		if (this.asked.has(seq)) return
		this.asked.add(seq)
		read<Sketch>(`/api/projects/${this.project}/edits/${seq}/sketch`).then(
			(s) => this.known.set(seq, s),
			() => this.asked.delete(seq), // the server is away; the next look asks again
		)
	}
}
