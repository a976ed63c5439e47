import { Pinch } from '../canvas/pinch'
import { Rest } from '../canvas/rest'
import { afterFrame } from '../controls/afterFrame'
import type { ID, Point } from '../core/types'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'
import { hitOn, mapOn } from './hits'
import { type OnChart, placesOf, type Plane } from './places'
import { removePassage } from './removal'

type Press = Pick<
	PointerEvent,
	'button' | 'shiftKey' | 'ctrlKey' | 'metaKey' | 'pointerType' | 'pointerId' | 'clientX' | 'clientY'
>

interface Drag {
	is: 'pan' | 'maps'
	from: Point
	start: Map<ID, Point>
	far: boolean
	/** What is chosen instead once it is dragged far: the maps below a line that was pressed. */
	chooses?: OnChart
}

/** What pointer and keys do on the chart: maps are chosen and dragged, the view is moved. */
export class Handling {
	/** Where maps are dragged to, in pixels of the chart. */
	moved = $state.raw(new Map<ID, Point>())
	/** The map that is pointed at. */
	hover = $state<ID>('')
	/** Space is held: a drag moves the view. */
	space = $state(false)
	readonly plane = $derived.by<Plane>(() => ({
		info: this.w.charting.info,
		chosen: this.on.chosen,
		moved: this.moved,
		hover: this.hover,
	}))
	private drag: Drag | null = null
	private readonly pinch: Pinch
	private readonly rest: Rest

	constructor(
		private readonly w: Workspace,
		private readonly view: View,
		/** What is chosen, shared with the panels. */
		private readonly on: { chosen: OnChart },
		private readonly dpr: () => number,
		/** Asks for the menu at a place of the page. */
		menu: (at: { clientX: number; clientY: number }) => void,
	) {
		this.pinch = new Pinch(view, () => this.drop())
		this.rest = new Rest((at) => {
			this.drop()
			menu(at)
		})
	}

	/** Gives up what a press began. */
	drop() {
		this.drag = null
		this.moved = new Map()
	}

	/** A pointer went down; two fingers move and zoom, one that rests asks for the menu. */
	down(e: Press, p: Point) {
		const { w, on } = this
		this.rest.down(e)
		if (e.pointerType === 'touch') this.pinch.down(e.pointerId, p)
		if (this.pinch.on) return this.rest.end()
		const hit = hitOn(w, this.view, this.plane, p, this.dpr())
		if (e.button === 1 || this.space || (e.button === 0 && hit.is === 'nothing')) {
			this.drag = { is: 'pan', from: p, start: new Map(), far: false }
			if (e.button === 0 && !this.space) on.chosen = hit
			return
		}
		if (hit.is !== 'maps') {
			// a line is chosen; a drag that begins on it is one of what lies below
			const map = e.button === 0 ? mapOn(w, this.view, this.plane, p) : undefined
			const before = on.chosen
			const chooses: OnChart =
				before.is === 'maps' && map && before.ids.includes(map) ? before : { is: 'maps', ids: map ? [map] : [] }
			on.chosen = hit
			if (map) this.begin(p, chooses.ids, chooses)
			else if (e.button === 0) this.drag = { is: 'pan', from: p, start: new Map(), far: false }
			return
		}
		const id = hit.ids[0]
		const now = on.chosen.is === 'maps' ? on.chosen.ids : []
		if (e.shiftKey) on.chosen = { is: 'maps', ids: now.includes(id) ? now.filter((o) => o !== id) : [...now, id] }
		else if (!now.includes(id)) on.chosen = hit
		if (e.button !== 0 || on.chosen.is !== 'maps') return
		this.begin(p, on.chosen.ids)
	}

	/** Begins to drag maps. */
	private begin(p: Point, ids: ID[], chooses?: OnChart) {
		const places = placesOf(this.plane)
		const start = new Map(ids.map((o) => [o, places.get(o)!]))
		this.drag = { is: 'maps', from: this.view.at(p.x, p.y), start, far: false, chooses }
	}

	/** The pointer went on; gives what it is to look like, where nothing is dragged. */
	move(e: Press, p: Point): string | undefined {
		const { drag, view } = this
		this.rest.move(e)
		if (e.pointerType === 'touch') this.pinch.move(e.pointerId, p)
		if (this.pinch.on) return
		if (!drag) {
			const hit = hitOn(this.w, view, this.plane, p, this.dpr())
			this.hover = hit.is === 'maps' ? hit.ids[0] : ''
			return hit.is === 'nothing' ? (this.space ? 'grab' : 'default') : 'pointer'
		}
		if (drag.is === 'pan') {
			view.pan(p.x - drag.from.x, p.y - drag.from.y)
			drag.from = p
			return
		}
		const q = view.at(p.x, p.y)
		const [dx, dy] = [Math.round(q.x - drag.from.x), Math.round(q.y - drag.from.y)]
		drag.far ||= Math.hypot(dx, dy) * view.scale > 4 * this.dpr()
		if (!drag.far) return
		if (drag.chooses) this.on.chosen = drag.chooses
		drag.chooses = undefined
		const next = new Map<ID, Point>()
		for (const [id, r] of drag.start) next.set(id, { x: r.x + dx, y: r.y + dy })
		if (next.size === 1) {
			const [[id, to]] = next
			next.set(id, this.w.project.ask('snapped', { map: id, at: to, within: this.within(e) }))
		}
		this.moved = next
	}

	/** Edges draw maps to them from so many pixels; a held Ctrl lets go. */
	private within(e: Press): number {
		return e.ctrlKey || e.metaKey ? 0 : Math.min(200, Math.round((14 * this.dpr()) / this.view.scale))
	}

	up(e: Press) {
		this.lift(e)
		const { drag, moved } = this
		this.drop()
		if (drag?.is === 'maps' && drag.far) this.place(moved)
	}

	/** The pointer is lost: nothing is done. */
	lost(e: Press) {
		this.lift(e)
		this.drop()
	}

	private lift(e: Press) {
		this.rest.end()
		this.pinch.up(e.pointerId)
	}

	/** Puts maps down; how they hang together then is looked at when they are seen there, since both take time where there are many. */
	private place(to: Map<ID, Point>) {
		const maps = [...to].map(([map, p]) => ({ map, at: { x: p.x, y: p.y } }))
		if (!maps.length || !this.w.project.try('placeMaps', { maps, within: 0 })) return
		this.moved = to
		const look = () => {
			this.w.charting.refresh()
			if (this.moved === to) this.moved = new Map()
		}
		afterFrame(look)
	}

	/** Does what a key asks for; false when it is none of the chart's. */
	key(e: KeyboardEvent, fit: () => void): boolean {
		const { w, on, view } = this
		if (e.code === 'Space') {
			this.space = true
			return true
		}
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		const { chosen } = on
		if (e.key === 'Escape') {
			this.drop()
			on.chosen = { is: 'nothing' }
		} else if (e.key === 'Enter' && chosen.is === 'maps' && chosen.ids.length === 1) w.show(chosen.ids[0])
		else if (e.key === '+' || e.key === '=') view.zoom(1)
		else if (e.key === '-') view.zoom(-1)
		else if (e.key === 'Home') fit()
		else if (e.key === 'Delete' && chosen.is === 'passage') {
			const p = w.project.head.passages.find((o) => o.id === chosen.id)
			if (p) removePassage(w, p)
			on.chosen = { is: 'nothing' }
		} else if (step && chosen.is === 'maps') this.nudge(chosen.ids, step, e.shiftKey ? 8 : 1)
		else if (step) view.pan(-step[0] * 60, -step[1] * 60)
		else return false
		return true
	}

	/** Moves maps by cells of their own. */
	private nudge(ids: ID[], step: number[], by: number) {
		const places = placesOf(this.plane)
		const to = new Map<ID, Point>()
		for (const id of ids) {
			const [m, r] = [this.w.project.map(id), places.get(id)]
			if (m && r) to.set(id, { x: r.x + step[0] * m.cellWidth * by, y: r.y + step[1] * m.cellHeight * by })
		}
		this.place(to)
	}
}
