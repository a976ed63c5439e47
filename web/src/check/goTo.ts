import type { CheckFinding } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Opens a rule as a card. */
export function showRule(w: Workspace, rule: string) {
	w.rule = rule
	w.layout.ruling = 'rules'
	w.open('rules')
}

/** Goes to what a finding is about. */
export function goToFinding(w: Workspace, f: CheckFinding) {
	switch (f.of) {
		case 'rule':
			return showRule(w, f.id)
		case 'flag':
			w.layout.ruling = 'rules'
			return w.open('rules')
		case 'wording':
			w.layout.ruling = 'texts'
			return w.open('rules')
		case 'passage': {
			const p = w.project.head.passages.find((o) => o.id === f.id)
			const end = p && (w.project.entity(p.from.map, p.from.entity ?? '') ? p.from : p.to)
			if (!end) return w.open('chart')
			w.open('map')
			return w.goTo(end.map, end.entity ?? '')
		}
		case 'recording':
			w.open('map')
			return w.moments.watchParting(f.id)
		case 'tileset':
			w.tilesetId = f.id
			return w.open('tilesets')
		case 'material':
			w.materialId = f.id
			return w.open('tilesets')
		case 'kind':
			w.kindId = f.id
			return w.open('kinds')
		case 'project':
			return
	}
	const m = w.project.map(f.map)
	if (!m) return
	w.open('map')
	w.show(m.id)
	if (f.of === 'entity') w.goTo(m.id, f.id)
	else if (f.of === 'layer') w.hand.work(m.id, f.id)
	else if (f.at) {
		if (f.what === 'stuck for good') {
			w.proving.checking.walk = true
			w.proving.checking.later(0)
		}
		w.goToCell(f.at.x - m.bounds.x, f.at.y - m.bounds.y)
	}
}
