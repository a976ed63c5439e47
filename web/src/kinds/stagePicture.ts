import { drawDangers } from '../canvas/dangers'
import { drawDarkness } from '../canvas/darkness'
import { drawParticles } from '../canvas/particles'
import type { Entity, MapInfo, PlayView, Trial } from '../core/types'
import type { Figures } from '../draw/figures'
import { idsOf, placed } from '../draw/moving'
import type { View } from '../draw/view.svelte'

/** The colours of the ground of a trial, by the letter of a cell. */
const ground = {
	plaster: { free: '#efe7d6', '#': '#8d8271', '~': '#7fb3b8', '^': '#b1442c', line: '#d9cdb6', edge: '#6f6557' },
	kiln: { free: '#2a3032', '#': '#5d5a52', '~': '#2f6f73', '^': '#b1442c', line: '#343b3d', edge: '#837d70' },
}

/** Draws a kind on its piece of ground, as it is at the moment. */
export function drawStage(
	ctx: CanvasRenderingContext2D,
	figures: Figures,
	view: View,
	trial: Trial,
	play: PlayView,
	theme: string,
) {
	const m = mapOf(trial)
	const colours = theme === 'kiln' ? ground.kiln : ground.plaster
	ctx.fillStyle = colours.free
	ctx.fillRect(0, 0, view.width, view.height)
	trial.rows.forEach((row, y) => {
		for (let x = 0; x < row.length; x++) drawCell(ctx, view, m, trial, x, y, colours)
	})
	figures.beat = play.tick
	for (const e of trial.entities) if (e.points?.length) drawWay(ctx, view, e, colours.edge)
	const gone = idsOf(play.gone)
	const on = idsOf(play.on)
	const at = new Map(play.moved.map((o) => [o.id, o]))
	for (const e of [...trial.entities, ...play.made.map(madeOf)]) {
		if (gone.has(e.id)) continue
		const to = at.get(e.id)
		const now = to ? { ...e, ...placed(to) } : e
		// what the player never sees is what is tried, and shown
		figures.entity(ctx, m, view, now as Entity, on.has(e.id), e.id !== subject || e.kind === 'door')
	}
	figures.hero(ctx, m, view, play)
	drawParticles(ctx, view, m.id, play)
	drawDangers(ctx, view, m, play)
	drawDarkness(ctx, view, play, m)
}

/** A path or a lane is a dashed line from point to point. */
function drawWay(ctx: CanvasRenderingContext2D, view: View, e: Entity, colour: string) {
	const from = { x: e.x + e.w / 2, y: e.y + e.h / 2 }
	ctx.beginPath()
	for (const p of [{ x: 0, y: 0 }, ...e.points!]) {
		const at = view.screen(from.x + p.x, from.y + p.y)
		ctx.lineTo(at.x, at.y)
	}
	ctx.setLineDash([view.scale * 3, view.scale * 2])
	ctx.lineWidth = Math.max(1, view.scale)
	ctx.strokeStyle = colour
	ctx.stroke()
	ctx.setLineDash([])
}

const subject = 'subjectsubje'

const madeOf = (o: PlayView['made'][number]) => ({ ...o, name: '', look: 0, lookOn: 0, on: false }) as unknown as Entity

/** The piece of ground as a map to draw on. */
const mapOf = (t: Trial) =>
	({
		id: t.view.map,
		cellWidth: t.cellWidth,
		cellHeight: t.cellHeight,
		grid: '',
		bounds: { x: 0, y: 0, w: t.rows[0].length, h: t.rows.length },
	}) as MapInfo

function drawCell(
	ctx: CanvasRenderingContext2D,
	view: View,
	m: MapInfo,
	t: Trial,
	x: number,
	y: number,
	colours: typeof ground.plaster,
) {
	const letter = t.rows[y][x]
	const r = view.cellRect(m, { x, y, w: 1, h: 1 })
	const thin = Math.max(1, Math.round(view.scale))
	ctx.strokeStyle = colours.line
	ctx.lineWidth = 1
	if (letter === '#' || letter === '~') {
		ctx.fillStyle = colours[letter]
		ctx.fillRect(r.x, r.y, r.w, r.h)
	}
	if (letter === '#' && y > 0 && t.rows[y - 1][x] !== '#') {
		ctx.fillStyle = colours.edge
		ctx.fillRect(r.x, r.y, r.w, thin * 2)
	}
	if (letter === '^') {
		ctx.fillStyle = colours['^']
		ctx.beginPath()
		for (const n of [0, 1, 2]) {
			ctx.moveTo(r.x + (r.w * n) / 3, r.y + r.h)
			ctx.lineTo(r.x + (r.w * (n + 0.5)) / 3, r.y + r.h * 0.35)
			ctx.lineTo(r.x + (r.w * (n + 1)) / 3, r.y + r.h)
		}
		ctx.fill()
	}
	if (letter === 'H') {
		ctx.fillStyle = colours.edge
		for (const part of [0.15, 0.75]) ctx.fillRect(r.x + r.w * part, r.y, thin * 2, r.h)
		for (const part of [0.2, 0.7]) ctx.fillRect(r.x + r.w * 0.15, r.y + r.h * part, r.w * 0.7, thin * 2)
	}
	if (letter === '-') {
		ctx.fillStyle = colours.edge
		ctx.fillRect(r.x, r.y, r.w, thin * 3)
	}
	if (letter !== '#' && !t.side) ctx.strokeRect(r.x + 0.5, r.y + 0.5, r.w, r.h)
}
