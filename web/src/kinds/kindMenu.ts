import type { Choice } from '../controls/Menu.svelte'
import type { Kind } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Deletes a kind of one's own; what stood of it becomes the kind that it was made from. */
export function removeKind(w: Workspace, k: Kind) {
	const became = w.project.kind(k.of)?.name ?? 'Decoration'
	const made = w.project.try('removeKind', k.id)
	if (!made) return
	if (w.kindId === k.id) w.kindId = ''
	w.notices.say(`${made.text}: entities of it became ${became}.`, 'plain', w.project.undoOf(made))
}

/** What can be done with a kind, wherever it is listed. */
export function kindMenu(w: Workspace, k: Kind, hold: boolean): Choice[] {
	const first = (w.project.head.project.pins ?? []).includes(k.id)
	const here = w.map ? w.project.entities(w.map.id).filter((e) => e.kind === k.id) : []
	return [
		{ label: 'Hold it', run: () => w.holdOnMap({ what: 'entity', kind: k.id }) },
		...(hold ? [{ label: 'Set it up', run: () => ((w.kindId = k.id), w.open('kinds')) }] : []),
		...(here.length
			? [
					{
						label: 'Select all of them on this map',
						hint: String(here.length),
						run: () => {
							w.open('map')
							w.hand.letGo()
							w.select(
								here.map((e) => e.id),
								true,
							)
						},
					},
				]
			: []),
		{
			label: 'Make a kind from it',
			run: () => {
				const made = w.project.try('addKind', { from: k.id, name: '' })
				if (made?.made) ((w.kindId = made.made), w.open('kinds'))
			},
		},
		{
			label: first ? 'Offer it in its place' : 'Offer it first',
			run: () => w.project.try('pinKind', { id: k.id, pinned: !first }),
		},
		...(k.own ? [{ label: 'Delete', run: () => removeKind(w, k) }] : []),
	]
}
