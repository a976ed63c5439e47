import { Workspace } from '../workspace/workspace.svelte'
import type { Context } from '../draw/frames'
import type { ID, MapInfo, Rect } from '../core/types'
import { View } from '../draw/view.svelte'
/** Pictures of maps at a quarter of their size, drawn when they are first seen and after they change. */
export class Thumbs {
	private kept = new Map<ID, { canvas: OffscreenCanvas; stale: boolean }>()
	private readonly view = new View()

	/** Has maps drawn anew: these, or all. */
	forget(ids?: Iterable<ID>) {
		for (const id of ids ?? this.kept.keys()) {
			const t = this.kept.get(id)
			if (t) t.stale = true
		}
	}

	/** Draws a map's picture; false when it has to come with a later frame, after the time is up. */
	draw(ctx: Context, w: Workspace, m: MapInfo, r: Rect, until: number): boolean {
		let t = this.kept.get(m.id)
		let done = true
		if (!t || t.stale) {
			if (performance.now() < until) {
				const scale = Math.min(0.25, 512 / Math.max(m.bounds.w * m.cellWidth, m.bounds.h * m.cellHeight))
				const [width, height] = [m.bounds.w * m.cellWidth * scale, m.bounds.h * m.cellHeight * scale]
				t = { canvas: new OffscreenCanvas(Math.max(1, width), Math.max(1, height)), stale: false }
				this.view.width = t.canvas.width
				this.view.height = t.canvas.height
				this.view.scale = scale
				this.view.x = m.bounds.x * m.cellWidth
				this.view.y = m.bounds.y * m.cellHeight
				const into = t.canvas.getContext('2d')! as unknown as CanvasRenderingContext2D
				t.stale = !w.scene.draw(into, { ...m, grid: '' }, this.view, { small: true })
				this.kept.set(m.id, t)
				done = !t.stale
			} else done = false
		}
		if (t) ctx.drawImage(t.canvas, r.x, r.y, r.w, r.h)
		else {
			ctx.fillStyle = '#bcb4a4'
			ctx.fillRect(r.x, r.y, r.w, r.h)
		}
		return done
	}
}
