import type { AskLink, End, Entity, WireChoice } from '../core/types'
import type { Workspace } from './workspace.svelte'

/** Wires: which entity changes which, and what it does there. Each is a rule. */
export class Wiring {
	/** A wire whose end was chosen, and what it can do. */
	offered = $state.raw<{ from: End; to: End; choices: WireChoice[] } | null>(null)

	/** What was asked about, as lines from one thing to another. */
	links = $state.raw<AskLink[]>([])

	constructor(private w: Workspace) {}

	/** The kinds at which a wire can end. */
	get ends() {
		return this.w.project.head.kinds.filter((k) => k.wired).map((k) => k.id)
	}

	/** Lets the end of a wire be pointed at, on this map or another one. */
	point(from: End) {
		const { w } = this
		w.station = 'map'
		w.hand.letGo()
		w.picking = { kinds: this.ends, what: 'what it changes', done: (map, e) => this.offer(from, map, e) }
		queueMicrotask(() => w.canvas?.focus())
	}

	/** Offers what a wire can do; says why where it can do nothing. */
	offer(from: End, map: string, to: Entity) {
		const end = { map, entity: to.id }
		try {
			this.offered = { from, to: end, choices: this.w.project.ask('wireChoices', { from, to: end }) }
		} catch (e) {
			this.w.notices.say((e as Error).message)
		}
	}

	make(choice: WireChoice) {
		const { w } = this
		const { from, to } = this.offered!
		this.offered = null
		const made = w.project.try('wire', { from, to, word: choice.word, how: choice.how })
		if (!made?.made) return
		w.rule = made.made
		const name = w.project.entity(from.map, from.entity)?.name ?? 'It'
		w.notices.say(`${name} ${choice.label} ${choice.when}.`, 'done', {
			label: 'Show the rule',
			run: () => w.layout.show('rules'),
		})
	}
}
