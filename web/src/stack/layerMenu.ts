import type { Choice } from '../controls/Menu.svelte'
import type { Layer, MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Shows or hides, locks or opens a layer. */
export function toggleLayer(w: Workspace, m: MapInfo, l: Layer, field: 'hidden' | 'locked') {
	const words = { hidden: ['Hid', 'Showed'], locked: ['Locked', 'Unlocked'] }[field]
	const ref = { type: 'layer', map: m.id, id: l.id }
	w.project.try('set', { ref, field, value: !l[field], text: `${words[l[field] ? 1 : 0]} layer ${l.name}` })
}

/** What can be done with a layer. */
export function layerMenu(w: Workspace, m: MapInfo, l: Layer, rename: () => void): Choice[] {
	const row = m.layers.findIndex((o) => o.id === l.id)
	const move = (to: number) => () => w.project.try('moveLayer', { map: m.id, id: l.id, to })
	const act = (method: 'duplicateLayer' | 'mergeDown' | 'removeLayer' | 'groupLayer') => () => {
		const made = w.project.try(method, { map: m.id, id: l.id })
		if (made?.made && method !== 'groupLayer') w.hand.work(m.id, made.made)
	}
	return [
		{ label: 'Work on it', run: () => w.hand.work(m.id, l.id) },
		{ label: l.hidden ? 'Show' : 'Hide', run: () => toggleLayer(w, m, l, 'hidden') },
		{ label: l.locked ? 'Unlock' : 'Lock', run: () => toggleLayer(w, m, l, 'locked') },
		{
			label: w.solo === l.id ? 'Show the others again' : 'Show it alone',
			run: () => (w.solo = w.solo === l.id ? undefined : l.id),
		},
		{ label: 'Rename', keys: 'F2', run: rename },
		...(row < m.layers.length - 1 ? [{ label: 'Up', keys: 'Alt+↑', run: move(row + 1) }] : []),
		...(row > 0 ? [{ label: 'Down', keys: 'Alt+↓', run: move(row - 1) }] : []),
		...(l.kind === 'group'
			? []
			: [
					{ label: 'Duplicate', run: act('duplicateLayer') },
					...(row > 0 ? [{ label: 'Merge with the one below', run: act('mergeDown') }] : []),
					...(l.group ? [] : [{ label: 'Group of this layer', run: act('groupLayer') }]),
				]),
		{ label: 'Clear', run: () => w.project.try('clear', { map: m.id, layer: l.id }) },
		{ label: 'Delete', run: act('removeLayer') },
	]
}
