import { drawZone } from '../draw/hatches'
import { areaOf, boxOf, cellArea } from '../draw/areas'
import { drawGrounds, partLines } from '../canvas/solids'
import { groundWay } from '../draw/groundLines'
import { isClosed, isGround } from '../draw/points'
import { View } from '../draw/view.svelte'
import type { Rect } from '../core/types'
import { largest, saveCanvas } from './savedPicture'
import type { MapInfo } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** How large a guide is at a scale, in words. */
export function guideSize(w: Workspace, scale: number): string {
	if (!w.map) return ''
	const { w: width, h } = new View().drawn(w.map)
	return Math.max(width, h) * scale > largest ? 'too large' : `${width * scale} × ${h * scale}`
}

/** Saves outlines of what is solid, of zones and of entities as a PNG to paint over. */
export async function saveGuide(w: Workspace, scale: number, m: MapInfo | undefined = w.map) {
	if (!m) return
	// a guide is of what is drawn: diamonds too
	const all = new View().drawn(m)
	const [width, height] = [all.w, all.h]
	if (Math.max(width, height) * scale > largest)
		return w.notices.say(
			scale > 1
				? 'That guide would be too large for one picture: choose a smaller scale.'
				: 'This map is too large for one picture: crop a copy of it first.',
			'wrong',
		)
	const canvas = document.createElement('canvas')
	canvas.width = width * scale
	canvas.height = height * scale
	const ctx = canvas.getContext('2d')!
	ctx.fillStyle = '#ffffff'
	ctx.fillRect(0, 0, canvas.width, canvas.height)
	const view = new View()
	view.scale = scale
	view.use(m)
	view.x = all.x
	view.y = all.y
	const frame = (area: Path2D, colour: string, dash: number[] = []) => {
		ctx.setLineDash(dash)
		ctx.lineWidth = 2
		ctx.strokeStyle = colour
		ctx.stroke(area)
		ctx.setLineDash([])
	}
	const cells = (r: Rect) => cellArea(view, m, r.x, r.y, r.w, r.h)
	for (const area of w.project.ask('zoneAreas', { map: m.id })) {
		const zone = w.project.head.zones.find((z) => z.number === area.zone)
		for (const rect of area.rects ?? []) {
			for (let y = rect.y; y < rect.y + rect.h; y++)
				for (let x = rect.x; x < rect.x + rect.w; x++) {
					const r = view.cellRect(m, { x, y, w: 1, h: 1 })
					drawZone(ctx, zone, r.x, r.y, r.w, r.h, cellArea(view, m, x, y))
				}
			frame(cells(rect), zone?.colour ?? '#33509e', [6, 4])
		}
	}
	const solid = w.project.ask('solids', { map: m.id })
	for (const rect of solid.rects ?? []) {
		ctx.fillStyle = 'rgb(30 42 46 / 0.12)'
		ctx.fill(cells(rect))
		frame(cells(rect), '#1e2a2e')
	}
	ctx.lineWidth = 2
	ctx.strokeStyle = '#1e2a2e'
	ctx.stroke(partLines(solid, view))
	drawGrounds(ctx, w, m, view, 1)
	for (const e of w.project.entities(m.id)) {
		const k = w.project.kind(e.kind)
		if (k && isGround(k) && e.points?.length) {
			const way = groundWay(view, e, k)
			ctx.fillStyle = 'rgb(30 42 46 / 0.12)'
			if (isClosed(e, k)) ctx.fill(way)
			frame(way, '#1e2a2e')
			continue
		}
		const r = boxOf(view, e)
		frame(areaOf(view, e, 1), '#33509e', [3, 3])
		const size = Math.min(r.w, r.h)
		w.scene.figures.glyph(ctx, e.kind, r.x + (r.w - size) / 2, r.y + (r.h - size) / 2, size)
	}
	if (!(await saveCanvas(w, canvas, `${m.name} guide`))) return
	w.notices.say(
		`The guide is saved, ${canvas.width} × ${canvas.height} pixels. Paint over it, and put it back as a layer.`,
	)
}
