import { Thumbs } from './thumbnails'
import { drawAbove, drawFrame } from './above'
import { drawFrontier } from './frontier'
import { Sheets } from './sheets'
import { type Plane, placesOf, rectOn } from './places'
import { cobalt, type Context, ink, saffron } from '../draw/frames'
import { View } from '../draw/view.svelte'
import type { ID } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

const near = new View()

/** Draws the chart; false when some of it has to come with a later frame. */
export function drawPlane(
	ctx: Context,
	w: Workspace,
	view: View,
	p: Plane,
	thumbs: Thumbs,
	sheets: Sheets,
	dpr: number,
): boolean {
	const places = placesOf(p)
	const chosen = p.chosen.is === 'maps' ? new Set(p.chosen.ids) : new Set<ID>()
	const drawn = sheets.goOn(w, view, p, thumbs, dpr)
	const kept = drawn !== undefined
	let whole = drawn ?? true
	if (kept) sheets.show(ctx, view, 'maps')
	// nearer than that they are drawn as they are
	const asKept = kept && view.scale < 1
	ctx.imageSmoothingEnabled = view.scale < 1
	const until = performance.now() + 6
	for (const m of w.project.head.maps) {
		const r = places.get(m.id)
		if (!r || (asKept && !p.moved.has(m.id) && !chosen.has(m.id) && p.hover !== m.id)) continue
		const s = rectOn(view, r)
		if (s.x > view.width || s.y > view.height || s.x + s.w < 0 || s.y + s.h < 0) continue
		if (asKept && !p.moved.has(m.id)) {
			drawFrame(ctx, s, chosen.has(m.id) ? saffron : cobalt, dpr, chosen.has(m.id))
			continue
		}
		if (view.scale >= 1) {
			near.width = view.width
			near.height = view.height
			near.scale = view.scale
			near.x = view.x - r.x + m.bounds.x * m.cellWidth
			near.y = view.y - r.y + m.bounds.y * m.cellHeight
			whole = w.scene.draw(ctx, { ...m, grid: '' }, near) && whole
			ctx.imageSmoothingEnabled = view.scale < 1
		} else whole = thumbs.draw(ctx, w, m, s, until) && whole
		const on = chosen.has(m.id)
		drawFrame(ctx, s, on ? saffron : p.hover === m.id ? cobalt : ink, dpr, on)
	}
	drawFrontier(ctx, w, view, p)
	if (kept) sheets.show(ctx, view, 'ways')
	else drawAbove(ctx, w, view, p, places, dpr)
	return whole
}
