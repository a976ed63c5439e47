import type { ID, MapInfo, Point } from '../core/types'
import type { View } from '../draw/view.svelte'

type Saved = ReturnType<View['save']>

/** What is nearer to the canvas's side, in pixels, is as good as not seen. */
const edge = 24

/** Remembers how each map lay in the view when it was left, and turns the view to the one that is shown. */
export class MapViews {
	/** The map that the view shows. */
	private of: ID = ''
	private readonly left = new Map<ID, Saved>()
	/** How it lay when it was last shown whole. */
	private whole: Saved | null = null

	constructor(private readonly view: View) {}

	/** Turns to a map: it lies as it was left, and whole when it is opened for the first time. */
	turnTo(m: MapInfo) {
		const { view, of } = this
		if (of === m.id || !view.width) return
		if (of) this.left.set(of, view.save())
		this.of = m.id
		this.whole = null
		const before = this.left.get(m.id)
		if (before) view.restore(before)
		else this.showWhole(m)
	}

	private sized = ''

	/** A map that was made smaller, or larger, on the side that is seen: some of it is brought into view where there was none left. */
	resized(m: MapInfo) {
		const { view } = this
		const b = m.bounds
		const sized = `${m.id} ${b.x},${b.y} ${b.w}×${b.h}`
		const another = !this.sized.startsWith(m.id)
		if (this.sized === sized) return
		this.sized = sized
		if (another || this.of !== m.id) return
		const r = view.cellRect(m, b)
		const seen = r.x < view.width - edge && r.x + r.w > edge && r.y < view.height - edge && r.y + r.h > edge
		if (seen) return
		const middle = view.cell(m, view.width / 2, view.height / 2)
		const nearest = (at: number, from: number, n: number) => Math.min(Math.max(at, from), from + n - 1)
		view.bring(m, { x: nearest(middle.x, b.x, b.w), y: nearest(middle.y, b.y, b.h) })
	}

	private showWhole(m: MapInfo) {
		this.view.fit(m)
		this.whole = this.view.save()
	}

	/** The canvas got another size, in device pixels: as long as nobody moved it, the whole map is what is wanted. */
	resize(m: MapInfo | undefined, width: number, height: number) {
		const { view, whole } = this
		const now = view.save()
		const untouched = whole && now.x === whole.x && now.y === whole.y && now.scale === whole.scale
		view.width = width
		view.height = height
		if (untouched && m?.id === this.of) this.showWhole(m)
	}

	/** As resize, while somebody points at the map: it stays where it is on the page, so that nothing moves under the hand. */
	resizeUnderHand(moved: Point, width: number, height: number) {
		const { view } = this
		view.width = width
		view.height = height
		view.pan(-moved.x, -moved.y)
	}
}
