import type { MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'

type Sheet = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

/** The dark is drawn at half the size: it has no edges. */
const coarse = 2
/** How far one sees around the hero in the dark, in map pixels. */
const around = 22

let veil: OffscreenCanvas | null = null

/** Draws the dark over a map that is played on, with what its lights keep free of it. */
export function drawDarkness(ctx: Context, view: View, play: PlayView, m: MapInfo) {
	if (!isDark(view, play)) return
	veil ??= new OffscreenCanvas(1, 1)
	cover(veil, view)
	darken(veil.getContext('2d')!, view, play, m, true)
	// smoothing would take twice as long, for steps that nobody sees in a fade
	ctx.imageSmoothingEnabled = false
	ctx.drawImage(veil, 0, 0, view.width, view.height)
}

/**
 * Lays the dark over a map that is played on as a canvas of its own, which the browser puts above that of the map: drawing one into
 * the other takes longer than all else that is dark. False where there is none.
 */
export function layDarkness(
	sheet: HTMLCanvasElement,
	view: View,
	play: PlayView,
	m: MapInfo,
	flickers = true,
): boolean {
	if (!isDark(view, play)) return false
	cover(sheet, view)
	darken(sheet.getContext('2d')!, view, play, m, flickers)
	return true
}

const isDark = (view: View, play: PlayView) => play.darkness > 0 && !view.diamond

/** Gives a sheet the size of the view, coarsely. */
function cover(sheet: HTMLCanvasElement | OffscreenCanvas, view: View) {
	const [w, h] = [Math.ceil(view.width / coarse), Math.ceil(view.height / coarse)]
	if (sheet.width !== w || sheet.height !== h) [sheet.width, sheet.height] = [w, h]
}

/** Draws the dark onto a sheet that covers the view. */
function darken(dark: Sheet, view: View, play: PlayView, m: MapInfo, flickers: boolean) {
	const { width: w, height: h } = dark.canvas
	dark.globalCompositeOperation = 'source-over'
	dark.clearRect(0, 0, w, h)
	dark.fillStyle = shade(play)
	dark.fillRect(0, 0, w, h)
	dark.globalCompositeOperation = 'destination-out'
	const lights = play.lights.filter((l) => l.map === m.id)
	const radius = (l: (typeof lights)[number]) => l.radius * burning(flickers ? l.flicker : '', play.tick, l.x + l.y)
	for (const l of lights) shine(dark, view, l.x, l.y, radius(l), '')
	shine(dark, view, play.x + m.cellWidth / 2, play.y + m.cellHeight / 2, around, '')
	// the lights' own colours, faintly over what they light, lie below the dark
	dark.globalCompositeOperation = 'destination-over'
	for (const l of lights) shine(dark, view, l.x, l.y, radius(l), l.colour)
}

/** What the dark is: as black as a cave, or tinted as the night is. */
function shade(play: PlayView): string {
	const n = parseInt(play.nightColour.slice(1), 16) || 0
	const much = play.darkness ? play.night / play.darkness : 0
	const part = (at: number, cave: number) => Math.round(cave + (((n >> at) & 255) - cave) * Math.min(1, much))
	return `rgb(${part(16, 8)} ${part(8, 10)} ${part(0, 18)} / ${play.darkness / 100})`
}

/** Draws a fade around a place of the map onto the dark, which is drawn coarsely. */
function shine(dark: Sheet, view: View, x: number, y: number, radius: number, colour: string) {
	const p = view.screen(x, y)
	const r = Math.round((radius * view.scale) / coarse)
	const [left, top] = [Math.round(p.x / coarse) - r, Math.round(p.y / coarse) - r]
	if (r < 1 || left + 2 * r < 0 || top + 2 * r < 0 || left > dark.canvas.width || top > dark.canvas.height) return
	dark.drawImage(fadeOf(colour, Math.min(r, largest)), left, top, 2 * r, 2 * r)
}

/** Fades by what they are of and their radius: a gradient takes several times as long to draw as a picture. */
const fades = new Map<string, OffscreenCanvas>()
/** So many are kept, up to a radius; larger ones are drawn from that one. */
const maxFades = 200
const largest = 128

/** A round fade of a light's colour; without one, of how far it takes the dark away. */
function fadeOf(colour: string, r: number): OffscreenCanvas {
	const key = `${colour} ${r}`
	const kept = fades.get(key)
	if (kept) return kept
	if (fades.size >= maxFades) fades.clear()
	const out = new OffscreenCanvas(2 * r, 2 * r)
	const ctx = out.getContext('2d')!
	const fade = ctx.createRadialGradient(r, r, 0, r, r, r)
	fade.addColorStop(0, colour ? `${colour}38` : 'rgb(0 0 0 / 1)')
	if (!colour) fade.addColorStop(0.55, 'rgb(0 0 0 / 0.75)')
	fade.addColorStop(1, colour ? `${colour}00` : 'rgb(0 0 0 / 0)')
	ctx.fillStyle = fade
	ctx.fillRect(0, 0, 2 * r, 2 * r)
	fades.set(key, out)
	return out
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
