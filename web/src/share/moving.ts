import { applyPalette, GIFEncoder, quantize } from 'gifenc'
import type { Workspace } from '../workspace/workspace.svelte'
import { fileName, keep } from './exchange'

/** How much of a game is saved as a moving picture, and how often a second it is seen; ticks are 60 a second. */
const ticksBack = 600
const every = 6
/** How broad it is at most, in pixels. */
const broadest = 480

const frame = () => new Promise(requestAnimationFrame)

/**
 * Saves the last seconds of a game as a GIF: each moment is looked back at, as on the time bar, and drawn smaller. `told` hears how
 * much of it is done, and says whether to go on.
 */
export async function saveMoving(w: Workspace, from: HTMLCanvasElement, told: (part: number) => boolean) {
	const { play } = w
	if (!play.view) return
	const was = play.frozen
	if (!was) play.freeze()
	const [first, last] = [Math.max(play.view.from, play.view.to - ticksBack), play.view.to]
	const by = Math.min(1, broadest / from.width)
	const small = document.createElement('canvas')
	;[small.width, small.height] = [Math.round(from.width * by), Math.round(from.height * by)]
	const ctx = small.getContext('2d', { willReadFrequently: true })!
	ctx.imageSmoothingEnabled = by < 0.5
	const gif = GIFEncoder()
	let whole = true
	for (let tick = first; tick <= last && play.view; tick += every) {
		if (!told((tick - first) / Math.max(1, last - first))) {
			whole = false
			break
		}
		play.lookAt(tick)
		await frame()
		await frame()
		ctx.fillRect(0, 0, small.width, small.height)
		ctx.drawImage(from, 0, 0, small.width, small.height)
		const { data } = ctx.getImageData(0, 0, small.width, small.height)
		const palette = quantize(data, 256)
		gif.writeFrame(applyPalette(data, palette), small.width, small.height, { palette, delay: (1000 * every) / 60 })
	}
	if (play.view) play.lookAt(last)
	if (!was && play.view) play.freeze()
	if (!whole) return
	gif.finish()
	const { name } = w.project.head.project
	keep(new Blob([gif.bytes()], { type: 'image/gif' }), `${fileName(name)}.gif`)
	w.notices.say(
		`The last ${Math.round((last - first) / 60)} seconds of the game are saved as a moving picture.`,
		'done',
	)
}
