import type { PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import { chance } from './particles'

/** How many drops or flakes fill a view. */
const many = 220

/** Draws the weather over a game: the same for the same tick, going along with the map. Without motion it stands still. */
export function drawWeather(ctx: Context, view: View, play: PlayView, moves: boolean) {
	if (!play.weather) return
	const { width, height } = ctx.canvas
	const t = moves ? play.tick : 40
	const size = Math.max(1, view.scale)
	// where the map lies in the view, so that what falls stays where it is while the view goes
	const [ox, oy] = [-view.x * view.scale, -view.y * view.scale]
	const wrap = (v: number, by: number) => ((v % by) + by) % by
	if (play.weather === 'rain') {
		ctx.fillStyle = 'rgb(52 70 84 / 0.16)'
		ctx.fillRect(0, 0, width, height)
		ctx.strokeStyle = 'rgb(190 216 226 / 0.55)'
		ctx.lineWidth = Math.max(1, size / 2)
		ctx.beginPath()
		for (let i = 0; i < many; i++) {
			const fast = 9 + 5 * chance(i, 1, 3)
			const x = wrap(chance(i, 1, 1) * width + ox - t * 1.6 * size, width + 40) - 20
			const y = wrap(chance(i, 1, 2) * height + oy + t * fast * size, height + 40) - 20
			ctx.moveTo(x, y)
			ctx.lineTo(x - 1.4 * size, y + 8 * size)
		}
		ctx.stroke()
	} else if (play.weather === 'snow') {
		for (let i = 0; i < many; i++) {
			const near = chance(i, 2, 3)
			const x = wrap(chance(i, 2, 1) * width + ox + 8 * size * Math.sin(t / 40 + i), width + 20) - 10
			const y = wrap(chance(i, 2, 2) * height + oy + t * (0.5 + near) * size * 0.6, height + 20) - 10
			ctx.fillStyle = near > 0.5 ? '#fcfaf5' : 'rgb(252 250 245 / 0.7)'
			const s = Math.round(size * (near > 0.6 ? 2 : 1))
			ctx.fillRect(x, y, s, s)
		}
	} else if (play.weather === 'fog') {
		ctx.fillStyle = 'rgb(214 218 214 / 0.3)'
		ctx.fillRect(0, 0, width, height)
		for (let i = 0; i < 9; i++) {
			const r = (60 + 70 * chance(i, 3, 3)) * size
			const x =
				wrap(chance(i, 3, 1) * (width + 2 * r) + ox + t * (0.15 + 0.2 * chance(i, 3, 4)) * size, width + 2 * r) - r
			const y = wrap(chance(i, 3, 2) * (height + 2 * r) + oy, height + 2 * r) - r
			const bank = ctx.createRadialGradient(x, y, 0, x, y, r)
			bank.addColorStop(0, 'rgb(232 234 230 / 0.34)')
			bank.addColorStop(1, 'rgb(232 234 230 / 0)')
			ctx.fillStyle = bank
			ctx.fillRect(x - r, y - r, 2 * r, 2 * r)
		}
	} else if (play.weather === 'heat') {
		ctx.fillStyle = 'rgb(232 150 60 / 0.13)'
		ctx.fillRect(0, 0, width, height)
		ctx.fillStyle = 'rgb(255 240 205 / 0.1)'
		for (let i = 0; i < 14; i++) {
			const y = wrap((i / 14) * height + oy - t * 0.5 * size, height)
			const bend = 5 * size * Math.sin(t / 24 + i)
			ctx.fillRect(bend - 10 * size, y, width + 20 * size, Math.max(1, size * (1 + chance(i, 4, 1))))
		}
	}
}
