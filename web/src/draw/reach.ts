import type { ReachInfo } from '../core/types'

/** Pictures of how far one comes, a pixel a cell. */
const pictures = new WeakMap<ReachInfo, OffscreenCanvas>()

/** How far one comes on a map, a pixel a cell: from glaze over green to saffron by steps, dark where nobody comes. */
export function reachPicture(reach: ReachInfo): OffscreenCanvas {
	let out = pictures.get(reach)
	if (out) return out
	const { box, runs, most } = reach
	out = new OffscreenCanvas(box.w, box.h)
	const ctx = out.getContext('2d')!
	const all = ctx.createImageData(box.w, box.h)
	let at = 0
	for (let i = 0; i < runs.length; i += 2) {
		const far = runs[i] / Math.max(1, most)
		const colour = runs[i] < 0 ? [30, 42, 46, 150] : [31 + 142 * far, 159 - 4 * far, 173 - 142 * far, 120]
		for (let k = 0; k < runs[i + 1]; k++, at += 4) all.data.set(colour, at)
	}
	ctx.putImageData(all, 0, 0)
	pictures.set(reach, out)
	return out
}

/** How many cells somebody comes to. */
export function reachCount({ runs }: ReachInfo): number {
	let comes = 0
	for (let i = 0; i < runs.length; i += 2) if (runs[i] >= 0) comes += runs[i + 1]
	return comes
}
