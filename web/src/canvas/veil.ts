import type { MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

const shade = '#0d1112'

/** Draws what lies over a game while one goes through a passage. */
export function drawVeil(ctx: Context, view: View, m: MapInfo, play: PlayView) {
	const { width, height } = ctx.canvas
	const much = play.dark / 255
	if (!much) return
	ctx.fillStyle = shade
	switch (play.veil) {
		case 'slide': {
			// a curtain goes on in the direction in which the hero looks: over the one map, and off the other
			const [dx, dy] = { up: [0, -1], right: [1, 0], down: [0, 1], left: [-1, 0] }[play.facing] ?? [1, 0]
			const off = play.coming ? 1 - much : much - 1
			ctx.fillRect(dx * off * width, dy * off * height, width, height)
			return
		}
		case 'iris': {
			const c = view.screen(play.x + m.cellWidth / 2, play.y + m.cellHeight / 2)
			const far = Math.max(...[0, width].flatMap((x) => [0, height].map((y) => Math.hypot(c.x - x, c.y - y))))
			ctx.beginPath()
			ctx.rect(0, 0, width, height)
			ctx.arc(c.x, c.y, far * (1 - much), 0, 2 * Math.PI)
			ctx.fill('evenodd')
			return
		}
	}
	ctx.globalAlpha = much
	ctx.fillRect(0, 0, width, height)
	ctx.globalAlpha = 1
}
