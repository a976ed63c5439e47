import { untrack } from 'svelte'
import type { Entity, MapInfo, Point, Rect } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { areaOf, boxOf, frameOf } from '../draw/areas'
import { bytesOf, type Context, drawFacing, ink, outline, saffron } from '../draw/frames'
import { Kept } from '../draw/kept'
import type { View } from '../draw/view.svelte'

/** The frames of many, which last as long as they stay selected where they are. */
const kept = new Kept()

/** Draws what marks the selected entities, which may be dragged by so many map pixels. */
export function drawSelection(ctx: Context, w: Workspace, m: MapInfo, view: View, moved: Point | null) {
	const list = w.selection
	if (list.length > 100) return drawMany(ctx, m, view, list, moved)
	for (const e of list) drawOne(ctx, w, view, moved ? { ...e, x: e.x + moved.x, y: e.y + moved.y } : e, !!moved)
}

function drawOne(ctx: Context, w: Workspace, view: View, e: Entity, dragged: boolean) {
	if (dragged) {
		ctx.fillStyle = 'rgb(226 165 42 / 0.3)'
		ctx.fill(areaOf(view, e))
	}
	outline(ctx, frameOf(view, e), saffron, ink)
	if (w.project.kind(e.kind)?.faces) drawFacing(ctx, boxOf(view, e), e.facing)
}

/** Of many the frames are drawn together, and once where there is room to keep them. */
function drawMany(ctx: Context, m: MapInfo, view: View, list: Entity[], moved: Point | null) {
	const from = moved && !view.diamond ? view.displaced(moved.x, moved.y) : view
	const by = view.diamond ? moved : null
	// from afar frames would only cover what they are around
	const afar = list.length > 1000 && view.scale < 0.5
	const drawn = (c: Context, v: View) =>
		untrack(() => {
			const all = boxes(v, list, by)
			drawFrames(c, all, afar, !!moved)
			return all.length > 0
		})
	if (!kept.draw(ctx, m, from, [list, !!moved], drawn)) drawn(ctx, from)
}

/** The boxes of those that are seen, two pixels larger than they are. */
function boxes(view: View, list: Entity[], by: Point | null): Rect[] {
	const place = view.diamond ? (e: Rect) => boxOf(view, e) : view.placing({ cellWidth: 1, cellHeight: 1 })
	const { width, height } = view
	const seen: Rect[] = []
	for (const e of list) {
		const r = place(by ? { x: e.x + by.x, y: e.y + by.y, w: e.w, h: e.h } : e)
		if (r.x <= width && r.y <= height && r.x + r.w >= 0 && r.y + r.h >= 0)
			seen.push({ x: r.x - 1, y: r.y - 1, w: r.w + 2, h: r.h + 2 })
	}
	return seen
}

function drawFrames(ctx: Context, all: Rect[], afar: boolean, dragged: boolean) {
	if (afar) return fillAll(ctx, all)
	ctx.fillStyle = 'rgb(226 165 42 / 0.3)'
	if (dragged) for (const r of all) ctx.fillRect(r.x, r.y, r.w, r.h)
	// one by one, since many in one path take several times as long
	ctx.lineWidth = 3
	ctx.strokeStyle = ink
	for (const r of all) ctx.strokeRect(r.x, r.y, r.w, r.h)
	ctx.lineWidth = 1.5
	ctx.strokeStyle = saffron
	for (const r of all) ctx.strokeRect(r.x, r.y, r.w, r.h)
}

/** Fills thousands of small boxes pixel by pixel: one after another they take a canvas many times as long. */
function fillAll(ctx: Context, all: Rect[]) {
	const { width, height } = ctx.canvas
	const colour = bytesOf(saffron)
	const pixels = new Uint32Array(width * height)
	for (const r of all) {
		const [left, right] = [Math.max(0, r.x), Math.min(width, r.x + r.w)]
		const bottom = Math.min(height, r.y + r.h)
		for (let y = Math.max(0, r.y); y < bottom; y++) {
			for (let i = y * width + left; i < y * width + right; i++) pixels[i] = colour
		}
	}
	const image = new OffscreenCanvas(width, height)
	image.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(pixels.buffer), width, height), 0, 0)
	ctx.drawImage(image, 0, 0)
}
