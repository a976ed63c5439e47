import { View } from '../draw/view.svelte'
import type { MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { largest, saveCanvas } from './savedPicture'

/** Frames after which a picture that still lacks something is saved as it is. */
const patience = 600

/** How a map is drawn as a picture: how many pixels one of its own becomes, and whether with what stands there. */
export interface Taken {
	scale: number
	things: boolean
}

/** How large a picture of a map is. */
export function sizeOf(m: MapInfo, scale: number): { w: number; h: number } {
	const all = new View().drawn(m)
	return { w: Math.max(1, Math.round(all.w * scale)), h: Math.max(1, Math.round(all.h * scale)) }
}

export const tooLarge = (size: { w: number; h: number }) => Math.max(size.w, size.h) > largest

/** Draws a map all over a canvas, on nothing; false when some of it comes later. */
export function drawMap(w: Workspace, m: MapInfo, on: HTMLCanvasElement, { scale, things }: Taken): boolean {
	const view = new View()
	const all = view.drawn(m)
	Object.assign(view, { x: all.x, y: all.y, scale, width: on.width, height: on.height })
	const ctx = on.getContext('2d')!
	ctx.clearRect(0, 0, on.width, on.height)
	return w.scene.draw(ctx, m, view, { paper: things ? 'all' : 'ground' })
}

/** Saves a map as it is drawn, as a PNG. */
export async function saveMapPicture(w: Workspace, m: MapInfo, taken: Taken = { scale: 1, things: true }) {
	const size = sizeOf(m, taken.scale)
	if (tooLarge(size)) return w.notices.say('This map is too large for one picture: crop a copy of it first.', 'wrong')
	const canvas = document.createElement('canvas')
	;[canvas.width, canvas.height] = [size.w, size.h]
	for (let n = 0; n < patience; n++) {
		if (drawMap(w, m, canvas, taken) && n > 2) break
		await new Promise(requestAnimationFrame)
	}
	if (await saveCanvas(w, canvas, m.name))
		w.notices.say(`A picture of ${m.name} is saved, ${size.w} × ${size.h} pixels.`, 'done')
}
