import type { MapInfo, PlayView } from '../core/types'
import type { Context } from '../draw/frames'
import type { View } from '../draw/view.svelte'
import type { Workspace } from '../workspace/workspace.svelte'
import { drawDangers } from './dangers'
import { drawSight } from './darkness'
import { drawGoals } from './goals'
import { drawParticles } from './particles'
import { drawShow } from './showing'
import { drawBeyond, drawTrails } from './trails'
import { drawVeil } from './veil'
import { drawWeather } from './weather'

/** Draws what of a game lies on the map and below the dark: all of it follows from the tick. */
export function drawBelowDark(ctx: Context, w: Workspace, m: MapInfo, view: View, play: PlayView) {
	drawParticles(ctx, view, m.id, play)
	drawDangers(ctx, view, m, play)
	drawWeather(ctx, view, play, w.animated && !w.wants?.calm)
}

/** Draws what of a game lies above the dark; hand is what the hand would do, between the ways of those who walk and what is shown. */
export function drawAboveDark(
	top: Context,
	w: Workspace,
	m: MapInfo,
	view: View,
	play: PlayView,
	dpr: number,
	hand: () => void,
) {
	drawSight(top, m, view, play)
	drawBeyond(top, view, play)
	drawTrails(top, w, m, view, dpr)
	hand()
	drawGoals(top, view, play, dpr)
	drawShow(top, view, play, dpr)
	drawVeil(top, view, m, play)
}
