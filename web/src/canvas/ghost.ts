import type { Ghost, MapInfo, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { brick, chalk, type Context, drawFacing, drawLabel, ink, labelWidth, outline, saffron } from '../draw/frames'
import { drawZone } from '../draw/hatches'
import { boxOf, cellArea, cellsFrame, frameOf } from '../draw/areas'
import type { View } from '../draw/view.svelte'

/** Draws the cells of a ghost or piece: zones are told apart by their sign. */
export function drawCell(ctx: Context, w: Workspace, cell: number, r: Rect, m?: MapInfo, area?: Path2D) {
	if (cell < 0)
		drawZone(
			ctx,
			w.project.head.zones.find((z) => z.number === -cell),
			r.x,
			r.y,
			r.w,
			r.h,
			area,
		)
	else if (cell) {
		const p = m ? w.scene.pictures.standing(cell, m.cellWidth, m.cellHeight, r) : r
		w.scene.pictures.draw(ctx, cell, p.x, p.y, p.w, p.h)
	}
}

export function drawGhost(ctx: Context, w: Workspace, m: MapInfo, view: View, g: Ghost, dpr: number, warning = '') {
	if (g.refusal) return
	const all = view.cellRect(m, g.bounds)
	ctx.imageSmoothingEnabled = false
	if (g.removing) {
		fillRegion(ctx, m, view, g, 'rgb(177 68 44 / 0.4)')
		const taken = new Set(g.take)
		for (const e of w.project.entities(m.id)) if (taken.has(e.id)) outline(ctx, frameOf(view, e), brick, chalk)
	} else {
		ctx.globalAlpha = 0.8
		for (let i = 0; g.cells && i < g.cells.length; i += 3) {
			const [x, y] = [g.cells[i], g.cells[i + 1]]
			const area = view.diamond ? cellArea(view, m, x, y) : undefined
			drawCell(ctx, w, g.cells[i + 2], view.cellRect(m, { x, y, w: 1, h: 1 }), m, area)
		}
		for (const e of g.entities ?? []) w.scene.figures.entity(ctx, m, view, e, false)
		ctx.globalAlpha = 1
		if (!g.cells) fillRegion(ctx, m, view, g, `rgb(226 165 42 / ${g.entities?.length ? 0.16 : 0.45})`)
		else if (g.count > 1) fillRegion(ctx, m, view, g, 'rgb(226 165 42 / 0.16)')
		const one = g.entities?.length === 1 ? g.entities[0] : null
		if (one && w.project.kind(one.kind)?.faces) drawFacing(ctx, boxOf(view, one), one.facing)
	}
	outline(ctx, cellsFrame(view, m, g.bounds), g.removing ? brick : saffron, ink, 1)
	if (warning) {
		const room = labelWidth(ctx, warning, dpr) / 2
		const x = Math.max(room, Math.min(view.width - room, all.x + all.w / 2))
		drawLabel(ctx, warning, x, Math.min(all.y + all.h + 14 * dpr, view.height - 12 * dpr), dpr, brick)
	}
	if (g.bounds.w > 1 || g.bounds.h > 1) {
		const text = `${g.bounds.w} × ${g.bounds.h}`
		drawLabel(ctx, text, all.x + all.w / 2, Math.max(all.y - 10 * dpr, 12 * dpr), dpr, g.removing ? brick : ink)
	}
}

function fillRegion(ctx: Context, m: MapInfo, view: View, g: Ghost, colour: string) {
	ctx.fillStyle = colour
	if (!view.diamond) {
		const place = view.placing(m)
		for (const r of g.rects ?? []) {
			const s = place(r)
			if (s.x < view.width && s.y < view.height && s.x + s.w > 0 && s.y + s.h > 0) ctx.fillRect(s.x, s.y, s.w, s.h)
		}
		return
	}
	// many are kept as one path, in cells
	if (covered?.of !== g) {
		const path = new Path2D()
		for (const r of g.rects ?? []) path.rect(r.x, r.y, r.w, r.h)
		covered = { of: g, path }
	}
	const placed = new Path2D()
	placed.addPath(covered.path, view.matrix(m))
	ctx.fill(placed)
}

let covered: { of: Ghost; path: Path2D } | null = null
