import type { Follows, ID, Pin } from '../core/types'
import { CoreError } from '../core/module'
import type { Workspace } from './workspace.svelte'

/** How many ticks of a recording are followed before something else can be asked. */
const slice = 10_000

/** What is kept of games: pins to go on from, and recordings, which are compared with what happens now. */
export class Moments {
	/** The pin whose note is being written, and whether the game goes on afterwards. */
	noting = $state<{ id: ID; goOn: boolean } | null>(null)
	/** How each recording goes on the project as it is. */
	follows = $state.raw<Record<ID, Follows>>({})
	private timer = 0

	constructor(private readonly w: Workspace) {}

	/** Keeps the moment that is seen, and asks for a note while the game stands still. */
	pin() {
		const { play } = this.w
		if (!play.on) return
		const made = this.w.project.try('addPin', { name: '', note: '', tick: play.behind ?? 0 })
		if (!made?.made) return
		this.noting = { id: made.made, goOn: !play.frozen }
		if (!play.frozen) play.freeze()
	}

	/** The note is written: the game goes on if it did. */
	noted() {
		const { play } = this.w
		if (!this.noting) return
		if (this.noting.goOn && play.on && play.frozen) play.freeze()
		this.noting = null
		this.w.canvas?.focus()
	}

	keep() {
		const made = this.w.project.try('addRecording', { name: '' })
		if (made?.made)
			this.w.notices.say('The game is kept as a recording.', 'done', {
				label: 'Show it',
				run: () => this.w.layout.show('pins'),
			})
	}

	resume(id: ID) {
		this.w.playing.begin(() => this.w.play.resume(id))
	}

	watch(id: ID) {
		this.w.playing.begin(() => this.w.play.watch(id))
	}

	/** Watches a recording up to where it goes otherwise, and stops there. */
	watchParting(id: ID) {
		const tick = this.follows[id]?.parts?.tick
		if (tick === undefined) return
		this.w.playing.begin(() => this.w.play.watch(id))
		this.w.play.runTo(tick)
	}

	change(p: { type: 'pin' | 'recording'; id: ID; name: string }, field: 'name' | 'note', value: string) {
		const text = field === 'name' ? `Renamed ${p.name}` : `Changed the note of ${p.name}`
		this.w.project.try('set', { ref: { type: p.type, id: p.id }, field, value, text })
	}

	remove(p: { type: 'pin' | 'recording'; id: ID; name: string }) {
		this.w.project.try('remove', { ref: { type: p.type, id: p.id }, text: `Deleted ${p.name}` })
	}

	/** The pin that is shown near a map pixel, within so many. */
	near(map: ID, x: number, y: number, within: number): Pin | undefined {
		const far = (p: Pin) => Math.hypot(p.at.x - x, p.at.y - y)
		return this.w.project.head.pins
			.filter((p) => p.at.map === map && far(p) <= within)
			.sort((a, b) => far(a) - far(b))[0]
	}

	/** Follows the recordings on the project as it is, a little at a time, while somebody looks; gives what ends that. */
	follow(): () => void {
		this.follows = {}
		let looks = true
		const step = async () => {
			const next = this.w.project.head.recordings.find((r) => !this.follows[r.id]?.done)
			if (!next || !looks) return
			if (!this.w.canvas?.busy() && !this.w.play.runs) {
				const said = await this.followOn(next.id)
				if (!looks) return
				if (said?.done) this.follows = { ...this.follows, [next.id]: said }
			}
			this.timer = window.setTimeout(step, 7)
		}
		this.timer = window.setTimeout(step, 400)
		return () => {
			looks = false
			clearTimeout(this.timer)
		}
	}

	private async followOn(id: ID): Promise<Follows | undefined> {
		try {
			return await this.w.proving.thinker.ask('follow', { id, ticks: slice })
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
		}
	}
}
