import type { Said, ToldRule, Wish } from '../core/types'
import type { Choice } from '../controls/Menu.svelte'
import type { Workspace } from '../workspace/workspace.svelte'

/** What pressing a word of a rule's sentence offers, as the core lists it. */
export function choicesOf(w: Workspace, rule: ToldRule, said: Pick<Said, 'part' | 'blank'>): Choice[] {
	const change = (wish: Wish) => void w.project.try('changeRule', wish)
	const all = w.project.ask('ruleChoices', { rule: rule.id, part: said.part ?? '', blank: said.blank ?? '' })
	return all.map((c) => {
		if (c.heading) return { heading: c.label }
		if (!c.points) return { label: c.label, run: () => change(c.wish) }
		return {
			label: c.label,
			run: () => {
				w.station = 'map'
				w.hand.letGo()
				w.picking = {
					kinds: c.points!,
					what: c.what ?? '',
					done: (map, e) => change({ ...c.wish, map, entity: e.id }),
				}
				queueMicrotask(() => w.canvas?.focus())
			},
		}
	})
}
