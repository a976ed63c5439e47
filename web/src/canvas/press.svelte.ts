import type { Entity, Ghost, ID, MapInfo, Point, Pulled, Rect, Selected, Standing } from '../core/types'
import type { Picking, Workspace } from '../workspace/workspace.svelte'
import { barAt, type Side } from './bounds'
import { dragged, type Handle, handleAt, handlesOf } from './handles'
import { axisHandles } from './mirrorLines'
import type { Doing } from './overlay'
import { nearby } from '../draw/nearby'
import { hasNub, nubOf, nubRadius } from './wires'
import { boxOf } from '../draw/areas'

type Does =
	| { what: 'nothing' }
	| { what: 'pan'; x: number; y: number }
	| { what: 'paint'; way: Point[]; remove: boolean; byKey: boolean; even: boolean }
	| { what: 'move'; from: Point; by: Point; again: boolean }
	| { what: 'band'; from: Point; to: Point; add: boolean }
	| { what: 'pick'; way: Point[]; mode: Picking['mode'] }
	| { what: 'axis'; upright: boolean }
	| { what: 'side'; side: Side }
	| { what: 'shift'; from: Point; by: Point }
	| { what: 'wire'; from: Entity; to: Point }
	| { what: 'handle'; handle: Handle; draft: Pulled }

const idle: Does = { what: 'nothing' }

/** What pointer and keys do on the map, from a press to its release. */
export class Press {
	does = $state.raw<Does>(idle)
	/** The cell cursor; null while the mouse is used. */
	cursor = $state.raw<Point | null>(null)
	hover = $state.raw<Entity | null>(null)
	spaceDown = $state(false)
	private ghostOf: { key: string; hold: string; turn: number; ghost: Ghost } | null = null

	constructor(
		private w: Workspace,
		private dpr: () => number,
	) {}

	private get m(): MapInfo | undefined {
		return this.w.map
	}

	// the pointer

	down(e: { button: number; shiftKey: boolean; altKey: boolean; ctrlKey: boolean; metaKey: boolean }, at: Point) {
		const { w, m } = this
		if (!m) return
		this.cursor = null
		this.point(at)
		if (e.button === 1 || (e.button === 0 && this.spaceDown)) {
			this.does = { what: 'pan', x: at.x, y: at.y }
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
			this.does = { what: 'handle', handle, draft: { entity: w.selection[0], name: '', text: '', traces: [] } }
			return
		}
		if (e.button === 0 && !w.play.on) {
			const handle = axisHandles(w, m, w.view, this.dpr()).find(
				(h) => Math.hypot(h.x - at.x, h.y - at.y) < 10 * this.dpr(),
			)
			if (handle) {
				this.does = { what: 'axis', upright: handle.upright }
				return
			}
		}
		if (e.button === 0 && !w.play.on && !w.hand.holding && w.hand.mirrorOf(m).mode === '') {
			const bar = barAt(m, w.view, at, this.dpr())
			if (bar) {
				this.does = { what: 'side', side: bar.side }
				return
			}
		}
		// painting goes on while the game is played; otherwise an empty hand selects
		if (w.hand.holding) {
			if (e.button === 0 || e.button === 2) this.begin(cell, e.button === 2, false, e.shiftKey)
			return
		}
		if (w.play.on) return
		const ctrl = e.ctrlKey || e.metaKey
		if (e.button === 0 && w.hand.picks.what !== 'entities') this.pick(e.shiftKey, ctrl, cell)
		else if (e.button === 0) this.select(e.shiftKey, at)
		else if (e.button === 2) this.aim(at)
	}

	/** Selects cells, or moves those that are selected. */
	private pick(shift: boolean, ctrl: boolean, cell: Point) {
		const { w } = this
		if (!shift && !ctrl && w.area && has(w.area, cell)) {
			this.does = { what: 'shift', from: cell, by: { x: 0, y: 0 } }
			return
		}
		const mode = shift && ctrl ? 'common' : shift ? 'add' : ctrl ? 'take' : 'replace'
		this.does = { what: 'pick', way: [cell], mode }
		if (w.hand.picks.by !== 'box') this.showPick()
	}

	private picking(does: { way: Point[]; mode: Picking['mode'] }): Picking {
		const { picks } = this.w.hand
		return { by: picks.by, through: picks.what === 'all', way: does.way, mode: does.mode }
	}

	private showPick() {
		if (this.does.what === 'pick') this.w.areas.selectCells(this.picking(this.does), false)
	}

	/** Selects what the context menu is going to be about. */
	private aim(at: Point) {
		const e = this.entityAt(at)
		this.w.pile = this.pile(this.w.view.at(at.x, at.y))
		if (e && !this.w.selected.includes(e.id)) this.w.select([e.id])
		else if (!e) this.w.select([])
	}

	private select(add: boolean, at: Point) {
		const { w } = this
		const one = w.selection.length === 1 ? w.selection[0] : null
		if (one && hasNub(w, one)) {
			const nub = nubOf(w.view, one, this.dpr())
			if (Math.hypot(nub.x - at.x, nub.y - at.y) <= (nubRadius + 2) * this.dpr()) {
				if (w.leads(one)) w.joining = { map: this.m!.id, entity: one.id }
				else this.does = { what: 'wire', from: one, to: at }
				return
			}
		}
		const e = this.entityAt(at)
		if (!e) {
			this.does = { what: 'band', from: at, to: at, add }
			return
		}
		if (add) {
			w.select(w.selected.includes(e.id) ? w.selected.filter((id) => id !== e.id) : [...w.selected, e.id])
			return
		}
		const again = w.selected.length === 1 && w.selected[0] === e.id
		const p = w.view.at(at.x, at.y)
		// one that was chosen out of a pile is the one that is moved
		const chosen = w.selection.length === 1 && contains(w.selection[0], p)
		if (!chosen && !w.selected.includes(e.id)) w.select([e.id])
		this.does = { what: 'move', from: p, by: { x: 0, y: 0 }, again: again || chosen }
	}

	/** The entities under a place of the map, the topmost first. */
	pile(p: Point): Entity[] {
		return this.shown()
			.filter((e) => contains(e, p))
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
		const e = this.w.selection[0]
		this.w.chosen.changeEntities(
			'setPoints',
			(e?.points ?? []).filter((_, i) => i !== index),
		)
	}

	/** Makes what a dragged handle shows. */
	private drop(handle: Handle, { entity: e, text }: Pulled) {
		const { w } = this
		const old = w.selection[0]
		if (!old || (old === e && !text && handle.is !== 'tie')) return
		switch (handle.is) {
			case 'size':
				return void w.chosen.changeEntities('resizeEntity', { x: e.x, y: e.y, w: e.w, h: e.h })
			case 'tie': {
				const onto = this.entityAt(handle.at)
				if (onto) return void w.chosen.changeEntities('setField', { field: 'carrier', value: onto.id })
				return w.notices.say('Drag the link onto something that moves: a platform, a being, a block.')
			}
			case 'facing':
				if (e.facing !== old.facing) w.chosen.changeEntities('setField', { field: 'facing', value: e.facing })
				return
			case 'setting':
				if (text && text !== handle.detail.value)
					w.chosen.changeEntities('setSetting', { key: handle.detail.key, value: text })
				return
			default:
				w.chosen.changeEntities('setPoints', e.points ?? [])
		}
	}

	move(at: Point, shift = false, ctrl = false) {
		const { w, m, does } = this
		if (!m) return
		if (this.cursor && does.what !== 'paint' && does.what !== 'pick') this.cursor = null
		if (does.what === 'pan') {
			w.view.pan(at.x - does.x, at.y - does.y)
			this.does = { what: 'pan', x: at.x, y: at.y }
			return
		}
		this.point(at)
		const cell = w.view.cell(m, at.x, at.y)
		switch (does.what) {
			case 'paint': {
				if (does.byKey) return
				const last = does.way[does.way.length - 1]
				if (last.x !== cell.x || last.y !== cell.y) this.does = { ...does, even: shift, way: [...does.way, cell] }
				else if (does.even !== shift) this.does = { ...does, even: shift }
				return
			}
			case 'pick': {
				const last = does.way[does.way.length - 1]
				if (last.x === cell.x && last.y === cell.y) return
				this.does = { ...does, way: [does.way[0], cell] }
				return this.showPick()
			}
			case 'axis': {
				const now = w.hand.mirrorOf(m)
				const p = w.view.at(at.x, at.y)
				// lines lie before a cell or in its middle
				const to = does.upright ? Math.round((2 * p.x) / m.cellWidth) : Math.round((2 * p.y) / m.cellHeight)
				if (to !== (does.upright ? now.x : now.y)) w.hand.mirror(m, does.upright ? { x: to } : { y: to })
				return
			}
			case 'side': {
				const p = w.view.at(at.x, at.y)
				const b = { ...m.bounds }
				const line = Math.round(does.side === 'left' || does.side === 'right' ? p.x / m.cellWidth : p.y / m.cellHeight)
				if (does.side === 'left') [b.x, b.w] = [Math.min(line, b.x + b.w - 1), Math.max(1, b.x + b.w - line)]
				if (does.side === 'top') [b.y, b.h] = [Math.min(line, b.y + b.h - 1), Math.max(1, b.y + b.h - line)]
				if (does.side === 'right') b.w = Math.max(1, line - b.x)
				if (does.side === 'bottom') b.h = Math.max(1, line - b.y)
				const now = w.resizing?.bounds ?? m.bounds
				if (now.x !== b.x || now.y !== b.y || now.w !== b.w || now.h !== b.h) w.tryBounds(b)
				return
			}
			case 'handle': {
				const e = w.selection[0]
				if (!e) return
				const draft = dragged(w, m, e, does.handle, w.view.at(at.x, at.y), this.snap(ctrl))
				this.does = { ...does, draft, handle: { ...does.handle, at } }
				return
			}
			case 'move': {
				const p = w.view.at(at.x, at.y)
				const far = { x: Math.round(p.x - does.from.x), y: Math.round(p.y - does.from.y) }
				const by = w.project.ask('snapMove', { map: m.id, by: far, snap: this.snap(ctrl) })
				if (by.x !== does.by.x || by.y !== does.by.y) this.does = { ...does, by }
				return
			}
			case 'shift': {
				const by = { x: cell.x - does.from.x, y: cell.y - does.from.y }
				if (by.x !== does.by.x || by.y !== does.by.y) this.does = { ...does, by }
				return
			}
			case 'band':
			case 'wire':
				this.does = { ...does, to: at }
		}
	}

	/** Parts of a cell that are snapped to; a held Ctrl turns it round. */
	private snap(ctrl: boolean): number {
		return ctrl ? (this.w.snap ? 0 : 1) : this.w.snap
	}

	up() {
		const { w, m, does } = this
		this.does = idle
		if (!m) return
		switch (does.what) {
			case 'handle':
				return this.drop(does.handle, does.draft)
			case 'paint':
				return this.put(does.way, does.remove, does.even)
			case 'pick': {
				const [first, last] = [does.way[0], does.way[does.way.length - 1]]
				const still = first.x === last.x && first.y === last.y
				const e = still && does.mode === 'replace' ? this.hover : null
				if (e && w.hand.picks.by === 'box') return w.select([e.id])
				w.select([])
				// a press beside what is selected drops it
				if (w.hand.picks.by === 'box' && still && does.mode === 'replace' && w.area) w.areas.dropArea()
				else w.areas.selectCells(this.picking(does))
				return
			}
			case 'side':
				return void w.resize()
			case 'shift':
				if (does.by.x || does.by.y) w.areas.moveArea(does.by.x, does.by.y)
				return
			case 'move':
				if (does.by.x || does.by.y)
					w.project.try('moveEntities', { map: m.id, ids: w.selected, dx: does.by.x, dy: does.by.y })
				else if (does.again) this.selectBeneath(does.from)
				return
			case 'band': {
				const a = w.view.at(Math.min(does.from.x, does.to.x), Math.min(does.from.y, does.to.y))
				const b = w.view.at(Math.max(does.from.x, does.to.x), Math.max(does.from.y, does.to.y))
				const ids = this.shown()
					.filter((e) => {
						if (!w.view.diamond) return e.x < b.x && e.y < b.y && e.x + e.w > a.x && e.y + e.h > a.y
						// on diamonds what is seen in the box is meant
						const r = boxOf(w.view, e)
						const [from, to] = [does.from, does.to]
						return (
							r.x < Math.max(from.x, to.x) &&
							r.y < Math.max(from.y, to.y) &&
							r.x + r.w > Math.min(from.x, to.x) &&
							r.y + r.h > Math.min(from.y, to.y)
						)
					})
					.map((e) => e.id)
				const pressed = Math.hypot(does.to.x - does.from.x, does.to.y - does.from.y) < 3
				w.select(pressed && !does.add ? [] : does.add ? [...new Set([...w.selected, ...ids])] : ids)
				return
			}
			case 'wire': {
				const door = this.doorAt(does.to)
				if (!door)
					return w.notices.say('A wire ends on a door: drag it there. For a door on another map, use the rule’s card.')
				const made = w.project.try('wire', {
					from: { map: m.id, entity: does.from.id },
					to: { map: m.id, entity: door.id },
				})
				if (made?.made) {
					w.rule = made.made
					w.notices.say(`${does.from.name} opens ${door.name}.`, 'done', {
						label: 'Show the rule',
						run: () => (w.drawer = 'rules'),
					})
				}
			}
		}
	}

	// putting down

	private begin(cell: Point, remove: boolean, byKey: boolean, even = false) {
		this.does = { what: 'paint', way: [cell], remove, byKey, even }
	}

	/** What the last press touched, in cells. */
	last: Rect | null = null

	/** Puts the cell cursor on a cell. */
	pointTo(c: Point) {
		this.setCursor(c)
	}

	private put(way: Point[], remove: boolean, even: boolean) {
		const { w, m } = this
		if (!m) return
		this.last = this.ghostOf?.ghost.bounds ?? null
		const { grip, seed } = w.hand
		const gesture = { way, remove, even, seed }
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
			} else if (does.what === 'pick') {
				this.does = idle
				w.areas.selectCells(this.picking(does))
			} else if (w.hand.picks.what === 'entities') w.select(e ? [e.id] : [])
			else if (w.hand.picks.by === 'box') this.does = { what: 'pick', way: [cell], mode: 'replace' }
			else w.areas.selectCells(this.picking({ way: [cell], mode: 'replace' }))
			return
		}
		if (does.what === 'paint') {
			this.does = idle
			this.put(does.way, does.remove, false)
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
		if (does.what === 'paint' && does.byKey) this.does = { ...does, way: [...does.way, c] }
		if (does.what === 'pick') {
			this.does = { ...does, way: [does.way[0], c] }
			this.showPick()
		}
	}

	cancel(): boolean {
		if (this.does.what === 'nothing') return false
		if (this.does.what === 'pick') this.w.areas.refreshArea()
		if (this.does.what === 'side') this.w.tryBounds(null)
		this.does = idle
		return true
	}

	// what is there

	/** The entities that can be pointed at, the lowest first. */
	private shown(): Entity[] {
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

	/** The smallest entity under a place on the screen. */
	entityAt(at: Point): Entity | null {
		const p = this.w.view.at(at.x, at.y)
		let best: Entity | null = null
		for (const e of nearby(this.shown(), { x: p.x, y: p.y, w: 1, h: 1 })) {
			const hit = p.x >= e.x && p.y >= e.y && p.x < e.x + e.w && p.y < e.y + e.h
			if (hit && (!best || e.w * e.h <= best.w * best.h)) best = e
		}
		return best
	}

	private doorAt(at: Point): Entity | null {
		const e = this.entityAt(at)
		return e && this.w.project.kind(e.kind)?.wired ? e : null
	}

	/** What has to be drawn above the map now. */
	doing(): Doing {
		const { does, w } = this
		const band: Rect | null =
			does.what === 'band'
				? {
						x: Math.min(does.from.x, does.to.x),
						y: Math.min(does.from.y, does.to.y),
						w: Math.abs(does.to.x - does.from.x),
						h: Math.abs(does.to.y - does.from.y),
					}
				: null
		return {
			ghost: this.ghost(),
			moved: does.what === 'move' && (does.by.x || does.by.y) ? does.by : null,
			shifted: does.what === 'shift' && (does.by.x || does.by.y) ? does.by : null,
			band,
			wire: does.what === 'wire' ? { from: does.from, to: does.to, door: this.doorAt(does.to) } : null,
			cursor: w.play.on ? null : this.cursor,
			hover: this.hover,
			handles: does.what === 'nothing' ? this.handles() : [],
			dragged: does.what === 'handle' ? does : null,
			standing: this.standing(),
		}
	}

	private standingOf: { key: string; standing: Standing } | null = null

	/** With a hero in the hand: whether it could stand on the cell, and how far it jumps from there. */
	private standing(): Standing | null {
		const { w, m } = this
		const { grip } = w.hand
		if (!m || !w.cell || grip.what !== 'entity' || !w.project.kind(grip.kind ?? '')?.heroic) return null
		if (!inside(m.bounds, w.cell)) return null
		const key = `${m.id} ${w.cell.x},${w.cell.y} ${w.project.turn}`
		if (this.standingOf?.key !== key) {
			this.standingOf = { key, standing: w.project.ask('stand', { map: m.id, active: '', at: w.cell }) }
		}
		return this.standingOf.standing
	}

	/** Whether a fill from another cell is sure to do the same. */
	private sameFill(g: Ghost, at: Point): boolean {
		const { grip } = this.w.hand
		const plain =
			['eraser', 'zone', 'material'].includes(grip.what) || (grip.what === 'tiles' && grip.cells?.length === 1)
		if (grip.shape !== 'fill' || !plain || g.refusal || this.w.hand.mirrorOf(this.m!).mode) return false
		return (g.spans ?? []).some((s) => s.y === at.y && at.x >= s.x0 && at.x < s.x1)
	}

	/** What the press would do, asked from the core only when something differs. */
	ghost(): Ghost | null {
		const { w, m, does } = this
		if (!m || !w.hand.holding || does.what === 'pan' || w.picking) return null
		const cell = w.cell
		const painting = does.what === 'paint'
		if (!painting && (!cell || !inside(m.bounds, cell))) return null
		const way = painting ? does.way : [cell!]
		const gesture = { way, remove: painting && does.remove, even: painting && does.even, seed: w.hand.seed }
		const mirror = w.hand.mirrorOf(m)
		const last = way[way.length - 1]
		const hold = `${m.id} ${w.active} ${gesture.remove} ${JSON.stringify([w.hand.grip, mirror, w.hand.seed, w.area?.count, w.area?.bounds])}`
		const key = `${hold} ${way.length} ${last.x},${last.y} ${gesture.even}`
		// a fill from anywhere in the same area is the same fill
		const before = this.ghostOf
		if (before?.hold === hold && before.turn === w.project.turn && this.sameFill(before.ghost, last))
			return before.ghost
		if (this.ghostOf?.key !== key || this.ghostOf.turn !== w.project.turn) {
			const ghost = w.project.ask('preview', {
				map: m.id,
				active: w.active,
				grip: w.hand.grip,
				gesture,
				mirror,
			})
			this.ghostOf = { key, hold, turn: w.project.turn, ghost }
		}
		return this.ghostOf.ghost
	}
}

const inside = (b: Rect, p: Point) => p.x >= b.x && p.y >= b.y && p.x < b.x + b.w && p.y < b.y + b.h

const has = (s: Selected, c: Point) => s.spans.some((r) => r.y === c.y && c.x >= r.x0 && c.x < r.x1)

const contains = (e: Entity, p: Point) => p.x >= e.x && p.y >= e.y && p.x < e.x + e.w && p.y < e.y + e.h

const covers = (e: Entity, m: MapInfo, c: Point) =>
	e.x < (c.x + 1) * m.cellWidth &&
	e.y < (c.y + 1) * m.cellHeight &&
	e.x + e.w > c.x * m.cellWidth &&
	e.y + e.h > c.y * m.cellHeight
