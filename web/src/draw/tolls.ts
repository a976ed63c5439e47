import type { ID, PlayView, Rect } from '../core/types'
import { brick, chalk, ink } from './frames'

type Toll = PlayView['tolls'][number]

const byID = new WeakMap<Toll[], Map<ID, Toll>>()

/** How much things take still, by their ids; in a game the list stays the same one for many frames. */
export function tollsOf(list: Toll[]): Map<ID, Toll> {
	let all = byID.get(list)
	if (!all) byID.set(list, (all = new Map(list.map((t) => [t.id, t]))))
	return all
}

/** The colour of what is left, while it is more than a third. */
const sound = '#6fae7c'

/** Draws above the box of something, in pixels of the screen, how much it takes still. */
export function drawToll(ctx: CanvasRenderingContext2D, box: Rect, { left, all }: Toll) {
	const [w, h] = [Math.max(16, Math.round(box.w)), Math.max(4, Math.round(box.h / 8))]
	const [x, y] = [Math.round(box.x + (box.w - w) / 2), Math.round(box.y) - h - 4]
	ctx.fillStyle = chalk
	ctx.fillRect(x - 1, y - 1, w + 2, h + 2)
	ctx.fillStyle = ink
	ctx.fillRect(x, y, w, h)
	ctx.fillStyle = left * 3 > all ? sound : brick
	ctx.fillRect(x, y, Math.max(1, Math.round((w * Math.max(0, left)) / all)), h)
}
