import { View } from '../draw/view.svelte'
import type { MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { largest, saveCanvas } from './savedPicture'

/** Frames after which a picture that still lacks something is saved as it is. */
const patience = 600

/** Saves a map as it is drawn, as a PNG of one pixel for each of its own. */
export async function saveMapPicture(w: Workspace, m: MapInfo) {
	const all = new View().drawn(m)
	if (Math.max(all.w, all.h) > largest)
		return w.notices.say('This map is too large for one picture: crop a copy of it first.', 'wrong')
	const canvas = document.createElement('canvas')
	;[canvas.width, canvas.height] = [all.w, all.h]
	const ctx = canvas.getContext('2d')!
	const view = new View()
	Object.assign(view, { scale: 1, width: all.w, height: all.h })
	view.use(m)
	;[view.x, view.y] = [all.x, all.y]
	for (let n = 0; n < patience; n++) {
		ctx.clearRect(0, 0, all.w, all.h)
		if (w.scene.draw(ctx, m, view) && n > 2) break
		await new Promise(requestAnimationFrame)
	}
	if (await saveCanvas(w, canvas, m.name))
		w.notices.say(`A picture of ${m.name} is saved, ${all.w} × ${all.h} pixels.`, 'done')
}
