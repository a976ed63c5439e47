import type { MapInfo, Rect } from '../core/types'
import { rectOn, type Plane, placesOf } from './places'
import type { Context } from '../draw/frames'
import { reachPicture } from '../draw/reach'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'

/** Draws over the maps of the chart how far one comes. */
export function drawFrontier(ctx: Context, w: Workspace, view: View, p: Plane) {
	const { checking } = w.proving
	if (!checking.reach) return
	const places = placesOf(p)
	ctx.imageSmoothingEnabled = false
	const seen = (s: Rect) => s.x < view.width && s.y < view.height && s.x + s.w > 0 && s.y + s.h > 0
	for (const m of w.project.head.maps as MapInfo[]) {
		const r = places.get(m.id)
		if (!r || m.template || !seen(rectOn(view, r))) continue
		const reach = checking.reachOn(m.id)
		const s = rectOn(view, r)
		if (reach) ctx.drawImage(reachPicture(reach), s.x, s.y, s.w, s.h)
	}
}
