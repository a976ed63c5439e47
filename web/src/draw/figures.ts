import { drawGroundLine } from './groundLines'
import { isGround } from './points'
import { drawFigure, drawGlyph, glyphs } from './glyphs'
import { casedArea } from './frames'
import { crowd, Kept } from './kept'
import { View } from './view.svelte'
import { type Picture, Pictures } from './pictures'
import { areaOf, boxOf } from './areas'
import { inSight } from './nearby'
import { drawToll, tollsOf } from './tolls'
import { type Acting, idsOf, type Walking, whereTheyAre } from './moving'
import { Project } from '../project/project.svelte'
import { untrack } from 'svelte'
import type { Entity, Kind, Layer, MapInfo, PlayView } from '../core/types'

/** Draws what stands on maps: entities and, in play, the hero. */
export class Figures {
	private looks?: { of: object; by: Map<string, { look: number; lookOn: number }> }
	private dye?: OffscreenCanvas

	constructor(
		private project: Project,
		private pictures: Pictures,
	) {}

	/** The tick of the game that is drawn; 0 while one designs. */
	beat = 0

	/** The tile that an entity is drawn as, or the first of several; 0 for its glyph. */
	look(e: Pick<Entity, 'kind' | 'look' | 'lookOn'> & { facing?: string }, on: boolean): number {
		return this.picture(e, on).cell
	}

	/** The picture that an entity is drawn as. */
	picture(e: Pick<Entity, 'kind' | 'look' | 'lookOn'> & Acting, on: boolean): Picture {
		const { project } = this.project.head
		if (this.looks?.of !== project) {
			this.looks = { of: project, by: new Map((project.looks ?? []).map((l) => [l.kind, l])) }
		}
		const k = this.project.kind(e.kind)
		const kind = this.looks.by.get(e.kind) ?? this.looks.by.get(k?.of ?? '')
		const own = (cell: number) => ({ cell, across: 1, down: 1 })
		const many = (cell: number) => ({ cell, across: k?.across || 1, down: k?.down || 1 })
		const posed = poseOf(k, e.pose || (on ? 'on' : ''), e.facing ?? 'down', e.pose ? (e.beat ?? 0) : this.beat)
		if (posed) return many(posed)
		if (on && e.lookOn) return own(e.lookOn)
		if (on && k?.lookOn) return many(k.lookOn)
		if (on && kind?.lookOn) return own(kind.lookOn)
		if (e.look) return own(e.look)
		const frames = framesOf(k, e.facing ?? 'down')
		// the first picture stands, the others walk
		const ticks = ticksOf(k?.frameMs ?? 150)
		const step = e.steps && frames && frames.length > 1 ? 1 + (Math.floor(e.steps / ticks) % (frames.length - 1)) : 0
		const of = frames?.[step] || k?.look
		return of ? many(of) : own(kind?.look ?? 0)
	}

	/** The entities of a map that may be seen; in play with the looks that were drawn for them. */
	entitiesOf(m: MapInfo, view: View, play?: PlayView): Entity[] {
		let all = inSight(this.project.entities(m.id), view, m)
		if (play?.moved.length) all = whereTheyAre(all, m.id, play, (id) => this.project.entity(m.id, id))
		const made = play?.made.filter((o) => o.map === m.id)
		if (made?.length) all = [...all, ...made.map((o) => ({ ...o, name: '', look: 0, lookOn: 0, on: false }) as Walking)]
		if (!play?.looks.length) return all
		const looks = new Map(play.looks.map((o) => [o.id, o.look]))
		return all.map((e) => (looks.has(e.id) ? { ...e, look: looks.get(e.id)! } : e))
	}

	/** What has no picture of its own is left out, as for the player. */
	plain = false

	entities(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View, play?: PlayView) {
		this.beat = play?.tick ?? 0
		const list = this.project.entities(m.id)
		if (!play && list.length > crowd && m.cellWidth * view.scale < 5) {
			let kept = this.kept.get(l.id)
			if (!kept) this.kept.set(l.id, (kept = new Kept()))
			const dots = (c: CanvasRenderingContext2D, v: View) => this.dots(c, m, l, v)
			if (!kept.draw(ctx, m, view, [list, this.project.head.kinds], dots)) this.dots(ctx, m, l, view)
			return
		}
		const gone = play && idsOf(play.gone)
		const on = play && idsOf(play.on)
		const alpha = ctx.globalAlpha
		const seen = this.entitiesOf(m, view, play)
		void this.project.head
		// that this depends on the view and on the kinds was told above: for each of thousands it takes as long as drawing
		untrack(() => {
			for (const e of seen) {
				if (e.layer !== l.id || gone?.has(e.id) || (play ? this.project.kind(e.kind)?.heroic : e.hidden)) continue
				const part = shown(e, play !== undefined)
				if (part !== 1) ctx.globalAlpha = alpha * part
				this.entity(ctx, m, view, e, on ? on.has(e.id) : e.on, play !== undefined)
				if (part !== 1) ctx.globalAlpha = alpha
			}
			if (!play?.tolls.length) return
			const tolls = tollsOf(play.tolls)
			for (const e of seen) {
				const toll = e.layer === l.id && tolls.get(e.id)
				if (toll) drawToll(ctx, boxOf(view, e), toll)
			}
		})
	}

	/** The dots of layers. */
	private readonly kept = new Map<string, Kept>()

	/** From afar entities are no more than dots, those of a colour drawn together; tells whether there are any. */
	private dots(ctx: CanvasRenderingContext2D, m: MapInfo, l: Layer, view: View): boolean {
		const colours = new Map<string, Entity[]>()
		for (const e of this.entitiesOf(m, view)) {
			if (e.layer !== l.id || e.hidden) continue
			const colour = this.colourOf(e.kind)
			const all = colours.get(colour)
			if (all) all.push(e)
			else colours.set(colour, [e])
		}
		for (const [colour, all] of colours) {
			ctx.fillStyle = colour
			for (const e of all) {
				const r = boxOf(view, e)
				ctx.fillRect(r.x, r.y, Math.max(2, r.w), Math.max(2, r.h))
			}
		}
		return colours.size > 0
	}

	/** Draws one picture of an entity, turned and tinted: into its box, or, where it has other proportions, at its
	 * own size, standing on the box's lower edge. */
	private whole(ctx: CanvasRenderingContext2D, view: View, m: MapInfo, e: Entity, look: Picture) {
		const box = boxOf(view, e)
		const size = this.pictures.sizeOf(look, m.cellWidth, m.cellHeight)
		let r = view.diamond ? this.pictures.standing(look.cell, m.cellWidth, m.cellHeight, box) : box
		if (!view.diamond && size.w * e.h !== size.h * e.w) {
			const [w, h] = [Math.round(size.w * view.scale), Math.round(size.h * view.scale)]
			r = { x: box.x + Math.round((box.w - w) / 2), y: box.y + box.h - h, w, h }
		}
		if (!e.turn && !e.tint) return this.pictures.drawMany(ctx, look, r.x, r.y, r.w, r.h)
		const turn = e.turn ?? 0
		const [w, h] = turn & 1 ? [r.h, r.w] : [r.w, r.h]
		ctx.save()
		ctx.translate(r.x + r.w / 2, r.y + r.h / 2)
		ctx.rotate(((turn & 3) * Math.PI) / 2)
		if (turn & 4) ctx.scale(-1, 1)
		if (e.tint && w >= 1 && h >= 1) {
			this.dye ??= new OffscreenCanvas(1, 1)
			;[this.dye.width, this.dye.height] = [Math.ceil(w), Math.ceil(h)]
			const apart = this.dye.getContext('2d')! as unknown as CanvasRenderingContext2D
			apart.imageSmoothingEnabled = ctx.imageSmoothingEnabled
			this.pictures.drawMany(apart, look, 0, 0, w, h)
			apart.globalCompositeOperation = 'multiply'
			apart.fillStyle = e.tint
			apart.fillRect(0, 0, w, h)
			apart.globalCompositeOperation = 'destination-in'
			this.pictures.drawMany(apart, look, 0, 0, w, h)
			ctx.drawImage(this.dye, -w / 2, -h / 2)
		} else this.pictures.drawMany(ctx, look, -w / 2, -h / 2, w, h)
		ctx.restore()
	}

	/** The colour of a kind's glyph. */
	colourOf(kind: string): string {
		const k = this.project.kind(kind)
		return k?.colour || (glyphs[k?.glyph ?? kind]?.colour ?? '#566067')
	}

	/** Draws a kind's glyph into a square. */
	glyph(ctx: CanvasRenderingContext2D, kind: string, x: number, y: number, size: number) {
		const k = this.project.kind(kind)
		drawGlyph(ctx, k?.glyph ?? kind, x, y, size, k?.colour)
	}

	/** What the entity that was drawn last is drawn as, if it stands still. */
	private last?: { e: Entity; on: boolean; beat: number; head: object; kind: Kind | undefined; picture: Picture }

	/** What an entity is drawn as, looked up once for those that are alike and come after each other, as most of a crowd do. */
	private drawnAs(e: Walking, on: boolean): { kind: Kind | undefined; picture: Picture } {
		const { head } = this.project
		const o = this.last
		const stands = !e.pose && !e.steps
		if (
			o &&
			stands &&
			o.head === head &&
			o.on === on &&
			o.beat === this.beat && // what is on may look otherwise at each tick
			o.e.kind === e.kind &&
			o.e.look === e.look &&
			o.e.lookOn === e.lookOn &&
			o.e.facing === e.facing
		)
			return o
		const is = { e, on, beat: this.beat, head, kind: this.project.kind(e.kind), picture: this.picture(e, on) }
		this.last = stands ? is : undefined
		return is
	}

	/** Draws one entity; in play only what the player sees. */
	entity(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, e: Entity, on: boolean, playing = false) {
		const { kind, picture } = this.drawnAs(e, on)
		if (isGround(kind) && e.points?.length) {
			const cell = { w: m.cellWidth, h: m.cellHeight }
			return drawGroundLine(ctx, this.pictures, view, e, kind, picture, cell)
		}
		const box = boxOf(view, e)
		const a = { x: box.x, y: box.y }
		const b = { x: box.x + box.w, y: box.y + box.h }
		if (b.x < 0 || b.y < 0 || a.x > view.width || a.y > view.height) return
		const look = picture.cell
		if (look && !kind?.area) return this.whole(ctx, view, m, e, picture)
		if (look) {
			// what covers many cells repeats its tile
			for (let y = e.y; y < e.y + e.h; y += m.cellHeight) {
				for (let x = e.x; x < e.x + e.w; x += m.cellWidth) {
					const r = boxOf(view, { x, y, w: m.cellWidth, h: m.cellHeight })
					const p = view.diamond ? this.pictures.standing(look, m.cellWidth, m.cellHeight, r) : r
					this.pictures.draw(ctx, look, p.x, p.y, p.w, p.h)
				}
			}
			return
		}
		if (this.plain) return
		if (playing) {
			if (kind?.veiled || (kind?.opens && on)) return
		} else if (kind?.area && (b.x - a.x > 6 || b.y - a.y > 6)) {
			casedArea(ctx, areaOf(view, e, 0.5), this.colourOf(e.kind))
		}
		const cell = Math.min(b.x - a.x, b.y - a.y, m.cellWidth * view.scale)
		const size = Math.max(6, Math.min(cell * 0.86, 40))
		drawGlyph(ctx, kind?.glyph ?? e.kind, (a.x + b.x - size) / 2, (a.y + b.y - size) / 2, size, kind?.colour)
	}

	/** Draws the hero with the top left of its picture's cell at a map pixel. */
	heroAt(
		ctx: CanvasRenderingContext2D,
		m: MapInfo,
		view: View,
		x: number,
		y: number,
		facing: string,
		steps = 0,
		who = '',
		pose = '',
		beat = 0,
	) {
		// a kind of its own has its own pictures
		const kind = who ? this.project.kind(who) : undefined
		const posed = poseOf(kind, pose, facing, beat)
		const own = posed ? [posed] : (framesOf(kind, facing) ?? (kind?.look ? [kind.look] : undefined))
		const frames = own ?? this.project.head.project.hero.frames[['up', 'right', 'down', 'left'].indexOf(facing)]
		const box = boxOf(view, { x, y, w: m.cellWidth, h: m.cellHeight })
		// on diamonds the hero keeps its size and stands in the middle of its cell
		const side = Math.min(box.w, m.cellWidth * view.scale)
		const r = view.diamond
			? { x: box.x + (box.w - side) / 2, y: box.y + box.h / 2 - side * 0.9, w: side, h: side }
			: box
		const a = { x: r.x, y: r.y }
		const b = { x: r.x + r.w, y: r.y + r.h }
		// the first picture stands, the others walk
		const ticks = ticksOf(kind?.frameMs ?? 134)
		const frame = frames && steps > 0 && frames.length > 1 ? 1 + (Math.floor(steps / ticks) % (frames.length - 1)) : 0
		const large = own && ((kind?.across ?? 0) > 1 || (kind?.down ?? 0) > 1)
		if (large && !view.diamond) {
			// one of several tiles keeps its size, with its feet where those of a smaller one are
			const look = { cell: own[frame], across: kind?.across || 1, down: kind?.down || 1 }
			const size = this.pictures.sizeOf(look, m.cellWidth, m.cellHeight)
			const [w, h] = [Math.round(size.w * view.scale), Math.round(size.h * view.scale)]
			this.pictures.drawMany(ctx, look, r.x + Math.round((r.w - w) / 2), r.y + r.h - h, w, h)
		} else if (frames?.length) this.pictures.draw(ctx, frames[frame], a.x, a.y, b.x - a.x, b.y - a.y)
		else drawFigure(ctx, facing, a.x, a.y, b.x - a.x, b.y - a.y)
	}

	/** Draws the hero who is led, and before it those who wait or follow on the same map. */
	hero(ctx: CanvasRenderingContext2D, m: MapInfo, view: View, play: PlayView) {
		for (const c of play.party) if (c.map === play.map) this.heroAt(ctx, m, view, c.x, c.y, c.facing, 0, c.kind)
		this.heroAt(ctx, m, view, play.x, play.y, play.facing, play.steps, play.who, play.pose, play.beat)
	}
}

/** How much of an entity shows: what is not there at the start is faint while one designs. */
export const shown = (e: Entity, playing: boolean) =>
	(1 - (e.faint ?? 0) / 100) * (!playing && (e.absent || e.unseen) ? 0.5 : 1)

/** How many ticks so many milliseconds are, at least one. */
const ticksOf = (ms: number) => Math.max(1, Math.round((ms * 60) / 1000))

/** The picture of a kind that does something, after so many ticks; nothing where it has none of that. */
export function poseOf(k: Kind | undefined, does: string, facing: string, ticks: number): number | undefined {
	const pose = does ? k?.poses?.find((p) => p.does === does) : undefined
	const frames = pose && facingOf(pose.frames, facing)
	return frames?.[Math.floor(Math.max(0, ticks) / ticksOf(pose!.ms)) % frames.length]
}

/** A kind's pictures for a facing; where it lacks them, those of the other side flipped. */
export function framesOf(k: Kind | undefined, facing: string): number[] | undefined {
	return k && facingOf(k.frames, facing)
}

function facingOf(all: Kind['frames'], facing: string): number[] | undefined {
	if (!all.some((f) => f?.length)) return
	const i = ['up', 'right', 'down', 'left'].indexOf(facing)
	const own = all[i]
	if (own?.length) return own
	const mirrored = i === 1 || i === 3 ? all[4 - i] : undefined
	if (mirrored?.length) return mirrored.map((c) => (c ^ mirrorX) >>> 0)
	return all[2] ?? all.find((f) => f?.length) ?? undefined
}

const mirrorX = 0x80000000
