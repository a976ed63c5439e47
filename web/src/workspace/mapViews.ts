import type { ID, MapInfo } from '../core/types'
import type { View } from '../draw/view.svelte'

type Saved = ReturnType<View['save']>

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
}
