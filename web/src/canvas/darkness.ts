import type { ID, MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

/** The dark is drawn at half the size: it has no edges. */
const coarse = 2
/** How far one sees around the hero in the dark, in map pixels. */
const around = 22

let veil: OffscreenCanvas | null = null

/** Draws the dark over a map that is played on, with what its lights keep free of it. */
export function drawDarkness(
	ctx: Context,
	view: View,
	play: PlayView,
	map: ID,
	hero: { x: number; y: number },
	flickers = true,
) {
	if (!play.darkness || view.diamond) return
	const [w, h] = [Math.ceil(view.width / coarse), Math.ceil(view.height / coarse)]
	if (!veil || veil.width !== w || veil.height !== h) veil = new OffscreenCanvas(w, h)
	const dark = veil.getContext('2d')!
	dark.globalCompositeOperation = 'source-over'
	dark.clearRect(0, 0, w, h)
	dark.fillStyle = shade(play)
	dark.fillRect(0, 0, w, h)
	dark.globalCompositeOperation = 'destination-out'
	const shine = (x: number, y: number, radius: number) => {
		const p = view.screen(x, y)
		const [cx, cy, r] = [p.x / coarse, p.y / coarse, (radius * view.scale) / coarse]
		if (r < 1 || cx + r < 0 || cy + r < 0 || cx - r > w || cy - r > h) return
		const fade = dark.createRadialGradient(cx, cy, 0, cx, cy, r)
		fade.addColorStop(0, 'rgb(0 0 0 / 1)')
		fade.addColorStop(0.55, 'rgb(0 0 0 / 0.75)')
		fade.addColorStop(1, 'rgb(0 0 0 / 0)')
		dark.fillStyle = fade
		dark.fillRect(cx - r, cy - r, 2 * r, 2 * r)
	}
	for (const l of play.lights) {
		if (l.map !== map) continue
		const radius = l.radius * burning(flickers ? l.flicker : '', play.tick, l.x + l.y)
		shine(l.x, l.y, radius)
		glow(ctx, view, l.x, l.y, radius, l.colour)
	}
	shine(hero.x, hero.y, around)
	ctx.imageSmoothingEnabled = true
	ctx.drawImage(veil, 0, 0, view.width, view.height)
}

/** What the dark is: as black as a cave, or tinted as the night is. */
function shade(play: PlayView): string {
	const n = parseInt(play.nightColour.slice(1), 16) || 0
	const much = play.darkness ? play.night / play.darkness : 0
	const part = (at: number, cave: number) => Math.round(cave + (((n >> at) & 255) - cave) * Math.min(1, much))
	return `rgb(${part(16, 8)} ${part(8, 10)} ${part(0, 18)} / ${play.darkness / 100})`
}

/** A light's own colour, faintly over what it lights. */
function glow(ctx: Context, view: View, x: number, y: number, radius: number, colour: string) {
	const p = view.screen(x, y)
	const r = radius * view.scale
	if (r < 1 || p.x + r < 0 || p.y + r < 0 || p.x - r > view.width || p.y - r > view.height) return
	const fade = ctx.createRadialGradient(p.x, p.y, 0, p.x, p.y, r)
	fade.addColorStop(0, `${colour}38`)
	fade.addColorStop(1, `${colour}00`)
	ctx.fillStyle = fade
	ctx.fillRect(p.x - r, p.y - r, 2 * r, 2 * r)
}

/** How far a light shines at a moment, against what is set: it follows from the tick and its place. */
function burning(flicker: string, tick: number, place: number): number {
	if (flicker === 'pulsing') return 0.9 + 0.1 * Math.sin(tick / 24 + place)
	if (flicker === 'flickering') return 0.93 + 0.07 * Math.sin(tick / 3 + place) * Math.sin(tick / 7.3 + place * 2)
	return 1
}

/** Hides what the hero has not seen, and dims what it does not see now. */
export function drawSight(ctx: Context, m: MapInfo, view: View, play: PlayView) {
	if (!play.seen || view.diamond) return
	const { x, y, w, h } = m.bounds
	const all = view.cellRect(m, { x, y, w, h })
	for (const [spans, shade] of [
		[play.seen.known, 'rgb(8 10 18)'],
		[play.seen.now, 'rgb(8 10 18 / 0.55)'],
	] as const) {
		ctx.fillStyle = shade
		ctx.beginPath()
		ctx.rect(all.x, all.y, all.w, all.h)
		for (const s of spans) {
			const r = view.cellRect(m, { x: s.x0, y: s.y, w: s.x1 - s.x0, h: 1 })
			ctx.rect(r.x, r.y, r.w, r.h)
		}
		ctx.fill('evenodd')
	}
}
