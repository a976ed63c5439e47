import type { ChartInfo, Finding, ID, MapInfo, Rect } from '../core/types'
import { chartWith } from '../project/listed'
import type { Project } from '../project/project.svelte'

const none: Finding[] = []

const empty: ChartInfo = { places: [], seams: [], findings: [], returning: [] }

/** How the maps hang together, as the core finds it after each change. */
export class Charting {
	info = $state.raw<ChartInfo>(empty)
	/** How many layers have to be read yet before the maps can be looked at together. */
	left = $state(1)
	private timer = 0
	/** The change after which they were looked at last. */
	private at = -1

	constructor(private readonly project: Project) {
		this.ahead()
	}

	/** Reads what was not needed yet, a little at a time, and then finds how it hangs together. */
	private ahead() {
		this.left = this.project.ask('readAhead')
		if (this.left) setTimeout(() => this.ahead(), 4)
		else this.refresh()
	}

	refresh() {
		if (this.left) return
		this.at = this.project.turn
		const { info, project } = this
		if (info === empty) this.info = project.ask('chart')
		else this.info = chartWith(info, project.ask('chartChange'))
	}

	/** Refreshes soon, so that a stroke is not held up. */
	later() {
		clearTimeout(this.timer)
		this.timer = window.setTimeout(() => this.at !== this.project.turn && this.refresh(), 120)
	}

	/** The maps beyond a map's open seams, and how far they lie from its own frame, in pixels. */
	beyond(m: MapInfo): { map: MapInfo; dx: number; dy: number }[] {
		const { seams, places } = this.info
		const here = places.find((p) => p.map === m.id)
		if (!here || m.grid === 'diamond') return []
		return seams.flatMap((s) => {
			if (s.why || s.closed || (s.a !== m.id && s.b !== m.id)) return []
			const map = this.project.map(s.a === m.id ? s.b : s.a)
			const there = places.find((p) => p.map === map?.id)
			if (!map || !there) return []
			const [left, top] = [m.bounds.x * m.cellWidth, m.bounds.y * m.cellHeight]
			return {
				map,
				dx: left + there.x - here.x - map.bounds.x * map.cellWidth,
				dy: top + there.y - here.y - map.bounds.y * map.cellHeight,
			}
		})
	}

	/** What is there to be seen from a map in play: itself, and on as far as maps beyond its seams reach. */
	around(m: MapInfo): Rect {
		const own = frameOf(m, 0, 0)
		let [x, y, right, bottom] = [own.x, own.y, own.x + own.w, own.y + own.h]
		for (const o of this.beyond(m)) {
			const r = frameOf(o.map, o.dx, o.dy)
			;[x, y] = [Math.min(x, r.x), Math.min(y, r.y)]
			;[right, bottom] = [Math.max(right, r.x + r.w), Math.max(bottom, r.y + r.h)]
		}
		return { x, y, w: right - x, h: bottom - y }
	}

	private found: { in: ChartInfo; by: Map<ID, Finding[]> } = { in: empty, by: new Map() }

	of(map: ID): Finding[] {
		if (this.found.in !== this.info) {
			this.found = { in: this.info, by: new Map() }
			for (const f of this.info.findings) {
				const all = this.found.by.get(f.map)
				if (all) all.push(f)
				else this.found.by.set(f.map, [f])
			}
		}
		return this.found.by.get(map) ?? none
	}
}

const frameOf = (m: MapInfo, dx: number, dy: number): Rect => ({
	x: m.bounds.x * m.cellWidth + dx,
	y: m.bounds.y * m.cellHeight + dy,
	w: m.bounds.w * m.cellWidth,
	h: m.bounds.h * m.cellHeight,
})
