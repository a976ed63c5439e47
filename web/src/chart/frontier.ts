import type { MapInfo, ReachInfo, Rect } from '../core/types'
import { rectOn, type Plane, placesOf } from './places'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'

/** Pictures of how far one comes, a pixel a cell. */
const pictures = new WeakMap<ReachInfo, OffscreenCanvas>()

function pictureOf(reach: ReachInfo): OffscreenCanvas {
	let out = pictures.get(reach)
	if (out) return out
	const { box, runs, most } = reach
	out = new OffscreenCanvas(box.w, box.h)
	const ctx = out.getContext('2d')!
	const all = ctx.createImageData(box.w, box.h)
	let at = 0
	for (let i = 0; i < runs.length; i += 2) {
		const far = runs[i] / Math.max(1, most)
		// from glaze over green to saffron, as on the map; dark is where nobody comes
		const colour = runs[i] < 0 ? [30, 42, 46, 150] : [31 + 142 * far, 159 - 4 * far, 173 - 142 * far, 120]
		for (let k = 0; k < runs[i + 1]; k++, at += 4) all.data.set(colour, at)
	}
	ctx.putImageData(all, 0, 0)
	pictures.set(reach, out)
	return out
}

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
		if (reach) ctx.drawImage(pictureOf(reach), s.x, s.y, s.w, s.h)
	}
}
