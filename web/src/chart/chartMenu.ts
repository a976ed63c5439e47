import type { Choice } from '../controls/Menu.svelte'
import type { Pin } from '../core/types'
import { mapMenu } from '../stack/mapMenu'
import type { Workspace } from '../workspace/workspace.svelte'
import type { OnChart } from './places'
import { removePassage } from './removal'

/** What can be done with what lies under the pointer on the chart. */
export function chartMenu(
	w: Workspace,
	on: OnChart,
	pin: Pin | undefined,
	all: () => void,
	make: () => void,
): Choice[] {
	const m = on.is === 'maps' && on.ids.length === 1 ? w.project.map(on.ids[0]) : undefined
	const p = on.is === 'passage' ? w.project.head.passages.find((o) => o.id === on.id) : undefined
	const out: Choice[] = []
	if (pin) out.push({ heading: pin.name }, { label: 'Go on from this pin', run: () => w.moments.resume(pin.id) })
	if (m) out.push({ heading: m.name }, ...mapMenu(w, m))
	else if (on.is === 'maps')
		out.push({
			label: `Delete ${on.ids.length} maps`,
			run: () => on.ids.forEach((id) => w.removeMap(id)),
		})
	if (p) {
		const exit = () => (p.from.entity ? w.goTo(p.from.map, p.from.entity) : w.show(p.from.map))
		out.push(
			{ heading: 'Passage' },
			{ label: 'Go to its exit', run: exit },
			{ label: 'Go to where it leads', run: () => w.goTo(p.to.map, p.to.entity) },
			{ label: 'Lead elsewhere…', run: () => (w.joining = p.from) },
			{
				label: 'Remove',
				keys: 'Del',
				run: () => removePassage(w, p),
			},
		)
	}
	if (on.is === 'seam') {
		for (const id of [on.a, on.b]) out.push({ label: `Open ${w.project.map(id)?.name}`, run: () => w.show(id) })
	}
	out.push({ heading: 'Chart' }, { label: 'New map', run: make }, { label: 'Show all maps', keys: 'Home', run: all })
	return out
}
