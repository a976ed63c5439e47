import type { Workspace } from '../workspace/workspace.svelte'
import { fileName, keep } from './exchange'

/** The largest side of a saved picture, in pixels. */
export const largest = 8192

/** Gives a picture to the browser to be saved under a name. */
export async function saveCanvas(w: Workspace, canvas: HTMLCanvasElement, name: string): Promise<boolean> {
	const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
	if (!blob) {
		w.notices.say('This browser cannot save a picture that large.', 'wrong')
		return false
	}
	keep(blob, `${fileName(name)}.png`)
	return true
}
