import type { Layer, Point } from '../core/types'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Moves the picture of a layer that is worked on with an empty hand. */
export class Slide implements Gesture {
	readonly what = 'move'

	constructor(
		private press: Press,
		private layer: Layer,
		/** Where it began, in map pixels. */
		private from: Point,
		private by: Point = { x: 0, y: 0 },
	) {}

	move({ at, ctrl }: Moved): Gesture {
		const { w } = this.press
		const p = w.view.at(at.x, at.y)
		const far = { x: Math.round(p.x - this.from.x), y: Math.round(p.y - this.from.y) }
		const by = w.project.ask('snapMove', { map: w.map!.id, by: far, snap: this.press.snap(!ctrl) })
		return by.x === this.by.x && by.y === this.by.y ? this : new Slide(this.press, this.layer, this.from, by)
	}

	private get place(): Point {
		const { image } = this.layer
		return { x: image!.x + this.by.x, y: image!.y + this.by.y }
	}

	up() {
		const { w } = this.press
		if (!this.by.x && !this.by.y) return
		const ref = { type: 'layer', map: w.map!.id, id: this.layer.id }
		const value = { ...this.layer.image, ...this.place }
		w.project.try('set', { ref, field: 'image', value, text: `Moved the picture of ${this.layer.name}` })
	}

	shows() {
		const { width, height, scale } = this.layer.image!
		const { view } = this.press.w
		const { x, y } = this.place
		const a = view.screen(x + this.layer.offsetX, y + this.layer.offsetY)
		const size = (length: number) => (length * scale * view.scale) / 100
		return { band: { x: a.x, y: a.y, w: size(width), h: size(height) } }
	}
}

/** The layer whose picture a drag over the map moves: the one that is worked on, when it shows one that lies free. */
export function slides(press: Press): Layer | undefined {
	const { w, m } = press
	const l = m?.layers.find((o) => o.id === w.active)
	const i = l?.kind === 'picture' && l.open ? l.image : null
	return i?.picture && !i.stretch && !(i.repeatX && i.repeatY) ? l : undefined
}
