import { Foresight, inside } from './foresight.svelte'
import type { Entity, ID, MapInfo, Point, Rect, Selected } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { barAt } from './bounds'
import { Axis } from './axis'
import { Band } from './band'
import { Drag } from './drag'
import { Edge } from './edge'
import { type Gesture, idle } from './gesture'
import { Paint } from './paint'
import { Pan } from './pan'
import { Pick } from './pick'
import { Pull } from './pull'
import { Shift } from './shift'
import { Slide, slides } from './slide'
import { Wire } from './wire'
import { type Handle, handleAt, handlesOf } from './handles'
import { axisHandles } from './mirrorLines'
import type { Doing } from './overlay'
import { nearby } from '../draw/nearby'
import { liesOn } from '../draw/points'
import { hasNub, markedAt, nubOf, nubRadius } from './wires'

/** What pointer and keys do on the map, from a press to its release. */
export class Press {
	does = $state.raw<Gesture>(idle)
	/** The cell cursor; null while the mouse is used. */
	cursor = $state.raw<Point | null>(null)
	spaceDown = $state(false)
	/** The press took a path's point away: it opens no menu as well. */
	tookPoint = false
	private hovered = $state.raw<Entity | null>(null)
	/** What a press would do. */
	readonly ahead = new Foresight(this)

	constructor(
		readonly w: Workspace,
		private dpr: () => number,
	) {}

	/** The entity that is pointed at. */
	get hover(): Entity | null {
		return this.hovered
	}

	set hover(e: Entity | null) {
		this.hovered = e
		this.w.over = e?.id ?? ''
	}

	get m(): MapInfo | undefined {
		return this.w.map
	}

	// the pointer

	down(e: { button: number; shiftKey: boolean; altKey: boolean; ctrlKey: boolean; metaKey: boolean }, at: Point) {
		const { w, m } = this
		if (!m) return
		this.cursor = null
		this.tookPoint = false
		this.point(at)
		if (e.button === 1 || (e.button === 0 && this.spaceDown)) {
			this.does = new Pan(this, at)
			return
		}
		const cell = w.view.cell(m, at.x, at.y)
		if (w.picking) {
			const e = this.entityAt(at)
			if (e && w.picking.kinds.includes(e.kind)) {
				const { done } = w.picking
				w.picking = null
				done(m.id, e)
			} else w.notices.say(`Point at ${w.picking.what}, or press Escape.`)
			return
		}
		if (e.altKey && e.button === 0) return w.pickUp(cell)
		const grabbed = this.handles().length ? handleAt(this.handles(), at, this.dpr()) : undefined
		if (grabbed && e.button === 2 && grabbed.is === 'point') return this.takePoint(grabbed.index)
		if (grabbed && e.button === 0) {
			const from = w.view.at(at.x, at.y)
			const handle = grabbed.is === 'setting' ? { ...grabbed, from } : grabbed
			this.does = new Pull(this, handle)
			return
		}
		if (e.button === 0 && !w.play.on) {
			const handle = axisHandles(w, m, w.view, this.dpr()).find(
				(h) => Math.hypot(h.x - at.x, h.y - at.y) < 10 * this.dpr(),
			)
			if (handle) {
				this.does = new Axis(this, handle.upright)
				return
			}
		}
		if (e.button === 0 && !w.play.on && !w.hand.holding && w.hand.mirrorOf(m).mode === '') {
			const bar = barAt(m, w.view, at, this.dpr())
			if (bar) {
				this.does = new Edge(this, bar.side)
				return
			}
		}
		// painting goes on while the game is played; otherwise an empty hand selects
		if (w.hand.holding) {
			if (e.button === 0 || e.button === 2) this.begin(cell, e.button === 2, false, e.shiftKey)
			return
		}
		if (w.play.on) return e.button === 0 ? w.play.walkTo(cell) : undefined
		const ctrl = e.ctrlKey || e.metaKey
		if (e.button === 0 && w.hand.picks.what !== 'entities') this.pick(e.shiftKey, ctrl, cell)
		else if (e.button === 0) this.select(e.shiftKey, at)
		else if (e.button === 2) this.aim(at)
	}

	/** Selects cells, or moves those that are selected. */
	private pick(shift: boolean, ctrl: boolean, cell: Point) {
		const { w } = this
		if (!shift && !ctrl && w.area && has(w.area, cell)) {
			this.does = new Shift(this, cell)
			return
		}
		const mode = shift && ctrl ? 'common' : shift ? 'add' : ctrl ? 'take' : 'replace'
		const picked = new Pick(this, [cell], mode)
		this.does = w.hand.picks.by === 'box' ? picked : picked.show()
	}

	/** Selects what the context menu is going to be about. */
	private aim(at: Point) {
		if (this.w.hand.holding) return
		const e = this.entityAt(at)
		this.w.pile = this.pile(this.w.view.at(at.x, at.y))
		if (e && !this.w.selected.includes(e.id)) this.w.select([e.id])
		else if (!e) this.w.select([])
	}

	/** The menu comes instead of what was begun. */
	rest(at: Point) {
		this.cancel()
		this.point(at)
		this.aim(at)
	}

	private select(add: boolean, at: Point) {
		const { w } = this
		const one = w.selection.length === 1 ? w.selection[0] : null
		if (one && hasNub(w, one)) {
			const nub = nubOf(w.view, one, this.dpr())
			if (Math.hypot(nub.x - at.x, nub.y - at.y) <= (nubRadius + 2) * this.dpr()) {
				if (w.leads(one)) w.joining = { map: this.m!.id, entity: one.id }
				else this.does = new Wire(this, one, at)
				return
			}
		}
		const e = this.entityAt(at)
		const picture = e || add ? undefined : slides(this)
		if (picture) {
			this.does = new Slide(this, picture, w.view.at(at.x, at.y))
			return
		}
		if (!e) {
			this.does = new Band(this, at, at, add)
			return
		}
		if (add) {
			w.select(w.selected.includes(e.id) ? w.selected.filter((id) => id !== e.id) : [...w.selected, e.id])
			return
		}
		const again = w.selected.length === 1 && w.selected[0] === e.id
		const p = w.view.at(at.x, at.y)
		// one that was chosen out of a pile is the one that is moved
		const chosen = w.selection.length === 1 && this.on(w.selection[0], p)
		if (!chosen && !w.selected.includes(e.id)) w.select([e.id])
		this.does = new Drag(this, p, again || chosen)
	}

	/** The entities under a place of the map, the topmost first. */
	pile(p: Point): Entity[] {
		return this.shown()
			.filter((e) => this.on(e, p))
			.reverse()
	}

	/** Selects the one under the one that is selected, in a pile the first one after the last. */
	selectBeneath(p: Point) {
		const pile = this.pile(p)
		if (pile.length < 2) return
		const at = pile.findIndex((e) => e.id === this.w.selected[0])
		this.w.select([pile[(at + 1) % pile.length].id], true)
	}

	/** The pointer came to a place on the screen. */
	point(at: Point | null) {
		const { w, m } = this
		if (!m) return
		if (!at) {
			w.cell = w.pixel = null
			this.hover = null
			return
		}
		const p = w.view.at(at.x, at.y)
		const cell = w.view.cell(m, at.x, at.y)
		w.pixel = { x: Math.floor(p.x), y: Math.floor(p.y) }
		if (w.cell?.x !== cell.x || w.cell.y !== cell.y) w.cell = cell
		const over = this.entityAt(at)
		if (over !== this.hover) this.hover = over
		w.project.pointAt(m.id, w.pixel.x, w.pixel.y)
	}

	/** The handles of the one entity that is selected with an empty hand. */
	handles(): Handle[] {
		const { w } = this
		const one = w.selection.length === 1 && !w.hand.holding && !w.play.on ? w.selection[0] : null
		return one ? handlesOf(w, w.view, one, w.chosen.tracesOf(one.id), this.dpr()) : []
	}

	private takePoint(index: number) {
		this.tookPoint = true
		const e = this.w.selection[0]
		this.w.chosen.changeEntities(
			'setPoints',
			(e?.points ?? []).filter((_, i) => i !== index),
		)
	}

	move(at: Point, shift = false, ctrl = false) {
		const { w, m, does } = this
		if (!m) return
		if (this.cursor && !(does instanceof Paint) && !(does instanceof Pick)) this.cursor = null
		if (!(does instanceof Pan)) this.point(at)
		this.does = does.move({ at, cell: w.view.cell(m, at.x, at.y), shift, ctrl })
	}

	/** Parts of a cell that are snapped to; a held Ctrl turns it round. */
	snap(ctrl: boolean): number {
		return ctrl ? (this.w.snap ? 0 : 1) : this.w.snap
	}

	up() {
		const { m, does } = this
		this.does = idle
		if (m) does.up()
	}

	// putting down

	private begin(cell: Point, remove: boolean, byKey: boolean, even = false) {
		this.does = new Paint(this, [cell], { remove, byKey, even }, byKey ? [] : this.ahead.traceFrom())
	}

	/** What the last press touched, in cells. */
	last: Rect | null = null

	/** Puts the cell cursor on a cell. */
	pointTo(c: Point) {
		this.setCursor(c)
	}

	/** Puts down what is held along a way of cells, or removes there. */
	put(way: Point[], remove: boolean, even: boolean, trace: Point[] = []) {
		const { w, m } = this
		if (!m) return
		this.last = this.ahead.covered
		const { grip, seed } = w.hand
		const gesture = { way, remove, even, seed, at: this.ahead.free(way), trace }
		const shut = this.ahead.shut()
		if (shut) return w.notices.say(shut.why, 'wrong', shut.help)
		w.project.try('press', { map: m.id, active: w.active, grip, gesture, mirror: w.hand.mirrorOf(m) })
		// each press of a scatter, and of a material's alternatives, is drawn anew
		if (grip.scatter || grip.what === 'material') w.hand.drawAgain()
	}

	moveBy(dx: number, dy: number) {
		const { w, m } = this
		if (!m) return
		if (!w.selected.length) w.areas.moveArea(dx, dy)
		else w.project.try('moveEntities', { map: m.id, ids: w.selected, dx: dx * m.cellWidth, dy: dy * m.cellHeight })
	}

	/** Enter or Delete on the canvas: puts down or removes at the cell cursor. */
	byKey(remove: boolean) {
		const { w, m, does } = this
		if (!m) return
		const cell = this.cursor ?? w.cell
		if (!cell) {
			this.setCursor(this.firstCursor())
			return
		}
		this.setCursor(cell)
		if (!w.hand.holding) {
			const e = this.shown().findLast((e) => covers(e, m, cell))
			if (w.picking && e && w.picking.kinds.includes(e.kind)) {
				const { done } = w.picking
				w.picking = null
				done(m.id, e)
			} else if (does instanceof Pick) {
				this.does = idle
				does.select()
			} else if (w.hand.picks.what === 'entities') w.select(e ? [e.id] : [])
			else if (w.hand.picks.by === 'box') this.does = new Pick(this, [cell], 'replace')
			else new Pick(this, [cell], 'replace').select()
			return
		}
		if (does instanceof Paint) {
			this.does = idle
			this.put(does.way, does.how.remove, false)
			return
		}
		const area = w.hand.grip.what === 'entity' && w.project.kind(w.hand.grip.kind ?? '')?.area
		if (['line', 'box', 'rim', 'oval'].includes(w.hand.grip.shape) || area) this.begin(cell, remove, true)
		else this.put([cell], remove, false)
	}

	private firstCursor(): Point {
		const { w, m } = this
		const c = w.view.cell(m!, w.view.width / 2, w.view.height / 2)
		const b = m!.bounds
		return { x: Math.min(Math.max(c.x, b.x), b.x + b.w - 1), y: Math.min(Math.max(c.y, b.y), b.y + b.h - 1) }
	}

	step(dx: number, dy: number) {
		const { m, w } = this
		if (!m) return
		const at = this.cursor ?? w.cell
		if (!at || (!this.cursor && !inside(m.bounds, at))) return this.setCursor(this.firstCursor())
		const b = m.bounds
		this.setCursor({
			x: Math.min(Math.max(at.x + dx, b.x), b.x + b.w - 1),
			y: Math.min(Math.max(at.y + dy, b.y), b.y + b.h - 1),
		})
	}

	private setCursor(c: Point) {
		const { m, w, does } = this
		this.cursor = c
		w.cell = c
		w.pixel = { x: c.x * m!.cellWidth, y: c.y * m!.cellHeight }
		w.view.reveal(m!, c)
		if (does instanceof Paint || does instanceof Pick) this.does = does.to(c)
	}

	cancel(): boolean {
		if (this.does === idle) return false
		this.does.cancel?.()
		this.does = idle
		return true
	}

	// what is there

	/** The entities that can be pointed at, the lowest first. */
	shown(): Entity[] {
		const m = this.m
		if (!m) return []
		const all = this.w.project.entities(m.id)
		if (this.shownOf?.all === all && this.shownOf.layers === m.layers) return this.shownOf.list
		const open = new Set<ID>(m.layers.filter((l) => l.open).map((l) => l.id))
		const list = all.filter((e) => open.has(e.layer) && !e.hidden)
		this.shownOf = { all, layers: m.layers, list }
		return list
	}

	private shownOf?: { all: Entity[]; layers: MapInfo['layers']; list: Entity[] }

	private on = (e: Entity, p: Point) => liesOn(e, this.w.project.kind(e.kind), p, (5 * this.dpr()) / this.w.view.scale)

	/** The smallest entity under a place on the screen. */
	entityAt(at: Point): Entity | null {
		const p = this.w.view.at(at.x, at.y)
		let best: Entity | null = null
		for (const e of nearby(this.shown(), { x: p.x, y: p.y, w: 1, h: 1 })) {
			if (this.on(e, p) && (!best || e.w * e.h <= best.w * best.h)) best = e
		}
		return best ?? (this.m && !this.w.play.on ? markedAt(this.w, this.m, this.w.view, at, this.dpr()) : null)
	}

	/** What has to be drawn above the map now. */
	doing(): Doing {
		const { does, w, ahead } = this
		return {
			...ahead.shown(),
			moved: null,
			shifted: null,
			band: null,
			wire: null,
			cursor: w.play.on ? null : this.cursor,
			hover: this.hover,
			handles: does === idle ? this.handles() : [],
			dragged: null,
			standing: ahead.standing(),
			...does.shows?.(),
		}
	}
}

const has = (s: Selected, c: Point) => s.spans.some((r) => r.y === c.y && c.x >= r.x0 && c.x < r.x1)

const covers = (e: Entity, m: MapInfo, c: Point) =>
	e.x < (c.x + 1) * m.cellWidth &&
	e.y < (c.y + 1) * m.cellHeight &&
	e.x + e.w > c.x * m.cellWidth &&
	e.y + e.h > c.y * m.cellHeight
