import type { MapInfo, Rect } from '../core/types'
import type { View } from './view.svelte'

// Where boxes of the ground plane lie on the screen, on square grids and on diamonds.

/** The rectangle of the screen around a box of the ground plane, in map pixels. */
export function boxOf(view: View, e: Rect): Rect {
	if (!view.diamond) return view.box(e)
	const all = view.corners(e)
	return { x: all[3].x, y: all[0].y, w: all[1].x - all[3].x, h: all[2].y - all[0].y }
}

/** The outline of a box of the ground plane on the screen, drawn in by so many pixels. */
export function areaOf(view: View, e: Rect, inset = 0): Path2D {
	const out = new Path2D()
	if (!view.diamond) {
		const r = boxOf(view, e)
		out.rect(r.x + inset, r.y + inset, r.w - 2 * inset, r.h - 2 * inset)
		return out
	}
	view.corners(e).forEach((p, i) => out[i ? 'lineTo' : 'moveTo'](p.x, p.y))
	out.closePath()
	return out
}

export const cellArea = (view: View, m: MapInfo, x: number, y: number, w = 1, h = 1) =>
	areaOf(view, { x: x * m.cellWidth, y: y * m.cellHeight, w: w * m.cellWidth, h: h * m.cellHeight })

/** The frame of a box of the ground plane: outside it where cells are square. */
export const frameOf = (view: View, e: Rect): Rect | Path2D => (view.diamond ? areaOf(view, e) : boxOf(view, e))

export const cellsFrame = (view: View, m: MapInfo, r: Rect): Rect | Path2D =>
	view.diamond ? cellArea(view, m, r.x, r.y, r.w, r.h) : view.cellRect(m, r)
