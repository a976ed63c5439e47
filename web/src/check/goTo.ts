import type { CheckFinding, MapInfo, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** What stands beside a finding, by how much it matters; what matters most first. */
export const marks: Record<string, string> = { stops: 'border-brick', matters: 'border-held', note: 'border-line' }

/** Opens a rule as a card. */
export function showRule(w: Workspace, rule: string) {
	w.rule = rule
	w.layout.ruling = 'rules'
	w.open('rules')
}

/** The end of a passage that is there. */
function endOf(w: Workspace, passage: string) {
	const p = w.project.head.passages.find((o) => o.id === passage)
	return p && (w.project.entity(p.from.map, p.from.entity ?? '') ? p.from : p.to)
}

/** Where what a finding is about is seen: some cells of a map, or a whole map; null where it has no place. */
export function placeOf(w: Workspace, f: CheckFinding): { map: MapInfo; place: Rect | null } | null {
	const end = f.of === 'passage' ? endOf(w, f.id) : f.of === 'entity' ? { map: f.map, entity: f.id } : null
	const map = w.project.map(end?.map ?? f.map)
	if (!map || f.of === 'rule') return null
	const e = end && w.project.entity(map.id, end.entity ?? '')
	if (!e) return { map, place: f.at ? { ...f.at, w: 1, h: 1 } : null }
	const [x, y] = [Math.floor(e.x / map.cellWidth), Math.floor(e.y / map.cellHeight)]
	const to = (at: number, size: number) => Math.max(1, Math.ceil(at / size))
	return { map, place: { x, y, w: to(e.x + e.w, map.cellWidth) - x, h: to(e.y + e.h, map.cellHeight) - y } }
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
			const end = endOf(w, f.id)
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
