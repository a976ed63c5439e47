import type { LayerImage, MapInfo } from '../core/types'
import { View } from './view.svelte'
import { Pictures, drawMissing } from './pictures'
/** Draws the picture or the gradient of a layer. */
export function drawBackdrop(ctx: CanvasRenderingContext2D, m: MapInfo, i: LayerImage, view: View, pictures: Pictures) {
	const b = m.bounds
	const all = view.cellRect(m, b)
	if (!i.picture) {
		const end = i.across ? [all.x + all.w, all.y] : [all.x, all.y + all.h]
		const g = ctx.createLinearGradient(all.x, all.y, end[0], end[1])
		g.addColorStop(0, i.from)
		g.addColorStop(1, i.to)
		ctx.fillStyle = g
		ctx.fillRect(all.x, all.y, all.w, all.h)
		return
	}
	const image = pictures.image(i.picture)
	if (!image) {
		if (!pictures.isMissing(i.picture)) return
		const [p, q] = [
			view.screen(i.x, i.y),
			view.screen(i.x + (i.width * i.scale) / 100, i.y + (i.height * i.scale) / 100),
		]
		return i.stretch ? drawMissing(ctx, all.x, all.y, all.w, all.h) : drawMissing(ctx, p.x, p.y, q.x - p.x, q.y - p.y)
	}
	if (i.stretch) return ctx.drawImage(image, all.x, all.y, all.w, all.h)
	const [w, h] = [(i.width * i.scale) / 100, (i.height * i.scale) / 100]
	const t = performance.now() / 1000
	let [x, y] = [i.x + i.driftX * t, i.y + i.driftY * t]
	let [columns, rows] = [1, 1]
	const seen = { x: view.x, y: view.y, w: view.width / view.scale, h: view.height / view.scale }
	if (i.repeatX) {
		x = seen.x - ((((seen.x - x) % w) + w) % w)
		columns = Math.min(200, Math.ceil((seen.x + seen.w - x) / w))
	}
	if (i.repeatY) {
		y = seen.y - ((((seen.y - y) % h) + h) % h)
		rows = Math.min(200, Math.ceil((seen.y + seen.h - y) / h))
	}
	for (let row = 0; row < rows; row++) {
		for (let column = 0; column < columns; column++) {
			const p = view.screen(x + column * w, y + row * h)
			const q = view.screen(x + (column + 1) * w, y + (row + 1) * h)
			ctx.drawImage(image, p.x, p.y, q.x - p.x, q.y - p.y)
		}
	}
}
