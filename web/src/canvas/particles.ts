import type { ID, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** How particles of a sort look and go: times in ticks, lengths in map pixels a tick. */
interface Sort {
	life: number
	colours: string[]
	size: [number, number]
	/** How fast one goes at first, how much that is spread, and what pulls it. */
	vx: number
	vy: number
	spread: number
	pull: number
	/** How far it sways to either side. */
	sways?: number
}

const sorts: Record<string, Sort> = {
	smoke: {
		life: 110,
		colours: ['#6b7478', '#8d979b', '#aeb6b8'],
		size: [2, 5],
		vx: 0.1,
		vy: -0.35,
		spread: 0.15,
		pull: 0,
		sways: 3,
	},
	rain: { life: 34, colours: ['#8fb7c9', '#b9d6e0'], size: [1, 1], vx: -0.5, vy: 5, spread: 0.3, pull: 0 },
	snow: { life: 200, colours: ['#fcfaf5', '#e6ecee'], size: [1, 2], vx: 0.1, vy: 0.5, spread: 0.2, pull: 0, sways: 6 },
	sparks: {
		life: 40,
		colours: ['#ffd890', '#e2a52a', '#b1442c'],
		size: [1, 1],
		vx: 0,
		vy: -1.4,
		spread: 1.2,
		pull: 0.06,
	},
	leaves: {
		life: 180,
		colours: ['#5d7d3a', '#8a7a2c', '#a0562c'],
		size: [2, 2],
		vx: 0.4,
		vy: 0.45,
		spread: 0.3,
		pull: 0,
		sways: 8,
	},
	bubbles: {
		life: 90,
		colours: ['#b9d6e0', '#dff0f4'],
		size: [1, 2],
		vx: 0,
		vy: -0.6,
		spread: 0.15,
		pull: 0,
		sways: 2,
	},
}

/** A number from 0 to 1 that follows from three whole ones. */
export function chance(a: number, b: number, c: number): number {
	let n = (a * 374761393 + b * 668265263 + c * 2147483647) | 0
	n = Math.imul(n ^ (n >>> 13), 1274126177)
	return ((n ^ (n >>> 16)) >>> 0) / 2 ** 32
}

/** At most so many of an emitter are drawn, and of all together. */
const most = 400
const mostOfAll = 3000

/** Draws what emitters give at a tick: the same for the same tick, whatever was drawn before. */
export function drawParticles(ctx: Context, view: View, map: ID, play: PlayView) {
	let left = mostOfAll
	for (const e of play.emitters) {
		const s = sorts[e.gives]
		if (e.map !== map || !s || left <= 0) continue
		const newest = Math.floor((play.tick * e.rate) / 60)
		const oldest = Math.max(0, newest - Math.min(most, left, Math.ceil((s.life * e.rate) / 60)))
		left -= newest - oldest
		for (let i = newest; i > oldest; i--) {
			const age = play.tick - (i * 60) / e.rate
			if (age < 0 || age >= s.life) continue
			const drawn = (n: number) => chance(i, e.seed + 1, n)
			const sway = s.sways ? s.sways * Math.sin(age / 14 + drawn(5) * 6.28) : 0
			const x = e.x + drawn(1) * e.w + age * (s.vx + (drawn(2) - 0.5) * 2 * s.spread) + sway
			const y = e.y + drawn(3) * e.h + age * (s.vy + (drawn(4) - 0.5) * s.spread) + s.pull * age * age * 0.5
			const p = view.screen(x, y)
			if (p.x < -20 || p.y < -20 || p.x > view.width + 20 || p.y > view.height + 20) continue
			const size = (s.size[0] + (s.size[1] - s.size[0]) * (age / s.life)) * view.scale
			ctx.globalAlpha = 1 - age / s.life
			ctx.fillStyle = s.colours[Math.floor(drawn(6) * s.colours.length)]
			ctx.fillRect(p.x - size / 2, p.y - size / 2, size, e.gives === 'rain' ? size * 4 : size)
		}
	}
	ctx.globalAlpha = 1
}
