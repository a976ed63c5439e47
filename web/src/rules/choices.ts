import type { ID, ToldRule, Wish } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Something that a word of a rule can be, under a heading. */
export interface Offer {
	group: string
	label: string
	/** Other words by which it is looked for. */
	also: string
	run: () => void
}

/** What pressing a word of a rule offers, or a slot of it, as the core lists it. */
export function offersOf(w: Workspace, rule: ToldRule, part: ID, blank: string): Offer[] {
	const change = (wish: Wish) => void w.project.try('changeRule', wish)
	const out: Offer[] = []
	let group = ''
	for (const c of w.project.ask('ruleChoices', { rule: rule.id, part, blank })) {
		if (c.heading) {
			group = c.label
			continue
		}
		const point = () => {
			w.station = 'map'
			w.hand.letGo()
			w.picking = {
				kinds: c.points!,
				what: c.what ?? '',
				done: (map, e) => change({ ...c.wish, map, entity: e.id }),
			}
			queueMicrotask(() => w.canvas?.focus())
		}
		out.push({ group, label: c.label, also: c.also ?? '', run: c.points ? point : () => change(c.wish) })
	}
	return out
}
