import { drawZone } from '../draw/hatches'
import { areaOf, boxOf, cellArea } from '../draw/areas'
import { partLines } from '../canvas/solids'
import { View } from '../draw/view.svelte'
import type { Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** The largest side of a saved picture, in pixels. */
const largest = 8192

/** Saves outlines of what is solid, of zones and of entities as a PNG to paint over. */
export async function saveGuide(w: Workspace, scale = 2) {
	const m = w.map
	if (!m) return
	// a guide is of what is drawn: diamonds too
	const all = new View().drawn(m)
	const [width, height] = [all.w, all.h]
	scale = Math.max(1, Math.min(scale, Math.floor(largest / Math.max(width, height))))
	if (Math.max(width, height) > largest)
		return w.notices.say('This map is too large for one picture: crop a copy of it first.', 'wrong')
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
	for (const e of w.project.entities(m.id)) {
		const r = boxOf(view, e)
		frame(areaOf(view, e, 1), '#33509e', [3, 3])
		const size = Math.min(r.w, r.h)
		w.scene.figures.glyph(ctx, e.kind, r.x + (r.w - size) / 2, r.y + (r.h - size) / 2, size)
	}
	const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
	if (!blob) return w.notices.say('This browser cannot save a picture that large.', 'wrong')
	const link = document.createElement('a')
	link.href = URL.createObjectURL(blob)
	link.download = `${m.name} guide.png`
	link.click()
	URL.revokeObjectURL(link.href)
	w.notices.say(
		`The guide is saved, ${canvas.width} × ${canvas.height} pixels. Paint over it, and put it back as a layer.`,
	)
}
