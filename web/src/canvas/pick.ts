import type { Point } from '../core/types'
import type { Picking } from '../workspace/workspace.svelte'
import type { Press } from './press.svelte'
import type { Gesture, Moved } from './gesture'

/** Selects cells. */
export class Pick implements Gesture {
	readonly what = 'pick'

	constructor(
		private press: Press,
		readonly way: Point[],
		readonly mode: Picking['mode'],
	) {}

	private get picking(): Picking {
		const { picks } = this.press.w.hand
		return { by: picks.by, through: picks.what === 'all', way: this.way, mode: this.mode }
	}

	/** Shows what would be selected. */
	show(): this {
		this.press.w.areas.selectCells(this.picking, false)
		return this
	}

	move({ cell }: Moved): Gesture {
		const last = this.way[this.way.length - 1]
		return last.x === cell.x && last.y === cell.y ? this : this.to(cell)
	}

	/** The same, led to a cell. */
	to(cell: Point): Pick {
		return new Pick(this.press, [this.way[0], cell], this.mode).show()
	}

	/** Selects, whatever was pressed. */
	select() {
		this.press.w.areas.selectCells(this.picking)
	}

	up() {
		const { w, hover } = this.press
		const [first, last] = [this.way[0], this.way[this.way.length - 1]]
		const still = first.x === last.x && first.y === last.y
		const box = w.hand.picks.by === 'box'
		const e = still && this.mode === 'replace' ? hover : null
		if (e && box) return w.select([e.id])
		w.select([])
		// a press beside what is selected drops it
		if (box && still && this.mode === 'replace' && w.area) w.areas.dropArea()
		else this.select()
	}

	cancel() {
		this.press.w.areas.refreshArea()
	}
}
