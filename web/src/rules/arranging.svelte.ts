import type { RuleLine, ToldRule, Wish } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'

/** Where a line that is dragged would come: over or under another one, or into it. */
export interface Landing {
	line: number
	where: 'before' | 'after' | 'in'
}

/** Moves the parts of one rule by keys, by a menu, and by dragging their lines. */
export class Arranging {
	/** The part that is dragged, and where it would come. */
	dragged = $state('')
	landing = $state<Landing | null>(null)

	constructor(
		private readonly w: Workspace,
		private readonly rule: () => ToldRule,
	) {}

	private change(wish: Omit<Wish, 'rule'>) {
		return this.w.project.try('changeRule', { rule: this.rule().id, ...wish })
	}

	/** The lines that stand in the same slot as one, in their order. */
	private beside(line: RuleLine): RuleLine[] {
		return this.rule().lines.filter((l) => l.part && l.parent === line.parent && l.slot === line.slot)
	}

	/** Moves a part before the one above it, or behind the one below. */
	move(line: RuleLine, by: -1 | 1) {
		const all = this.beside(line)
		const at = all.findIndex((l) => l.part === line.part)
		if (!all[at + by]) return
		const before = by < 0 ? all[at - 1].part : all[at + 2]?.part
		this.change({ part: line.part, move: true, parent: line.parent, slot: line.slot, before })
	}

	first(line: RuleLine): boolean {
		return this.beside(line)[0]?.part === line.part
	}

	last(line: RuleLine): boolean {
		return this.beside(line).at(-1)?.part === line.part
	}

	off(line: RuleLine) {
		this.change({ part: line.part, off: !line.off })
	}

	copy(line: RuleLine) {
		this.change({ part: line.part, copy: true })
	}

	/** Puts a line as text on the clipboard, with what stands in it. */
	async copyText(line: RuleLine) {
		let text: string
		try {
			text = this.w.project.ask('partText', { rule: this.rule().id, part: line.part })
		} catch (e) {
			this.w.notices.say((e as Error).message, 'wrong')
			return
		}
		try {
			await navigator.clipboard.writeText(text)
			this.w.notices.say('Copied the line: paste it behind another one, in this rule or in another.')
		} catch {
			this.w.notices.say('The browser did not let it be copied.', 'wrong')
		}
	}

	/** Puts lines that were copied behind one, or at the end of the rule. */
	async paste(behind: string) {
		let text: string
		try {
			text = await navigator.clipboard.readText()
		} catch {
			this.w.notices.say('The browser did not let the clipboard be read.', 'wrong')
			return
		}
		this.w.project.try('pasteParts', { rule: this.rule().id, behind, text })
	}

	remove(line: RuleLine) {
		this.change({ part: line.part, remove: true })
	}

	/** Begins to drag a line by its grip, until the pointer is let go. */
	drag(e: PointerEvent, line: RuleLine) {
		const grip = e.currentTarget as HTMLElement
		grip.setPointerCapture(e.pointerId)
		const from = { x: e.clientX, y: e.clientY }
		const over = (e: PointerEvent) => {
			if (!this.dragged && Math.hypot(e.clientX - from.x, e.clientY - from.y) < 4) return
			this.dragged = line.part
			this.landing = this.landingAt(grip, e.clientY)
		}
		const done = (e: PointerEvent) => {
			grip.removeEventListener('pointermove', over)
			grip.removeEventListener('pointerup', done)
			grip.removeEventListener('pointercancel', done)
			const landing = this.landing
			const dragged = this.dragged
			this.dragged = ''
			this.landing = null
			if (e.type === 'pointerup' && dragged && landing) this.land(line, landing)
		}
		grip.addEventListener('pointermove', over)
		grip.addEventListener('pointerup', done)
		grip.addEventListener('pointercancel', done)
	}

	private landingAt(grip: HTMLElement, y: number): Landing | null {
		const rows = [...grip.closest('[data-lines]')!.querySelectorAll<HTMLElement>('[data-line]')]
		for (const row of rows) {
			const box = row.getBoundingClientRect()
			if (y > box.bottom && row !== rows.at(-1)) continue
			const at = Number(row.dataset.line)
			const line = this.rule().lines[at]
			const part = (y - box.top) / box.height
			if (line.adds && part > 0.4) return { line: at, where: 'in' }
			if (!line.part) return { line: at, where: 'in' }
			return { line: at, where: part < 0.5 ? 'before' : 'after' }
		}
		return null
	}

	private land(line: RuleLine, landing: Landing) {
		const at = this.rule().lines[landing.line]
		if (at.part === line.part) return
		if (landing.where === 'in') {
			const parent = at.part || at.parent
			this.change({ part: line.part, move: true, parent, slot: at.part ? at.adds : at.slot })
			return
		}
		const all = this.beside(at)
		const n = all.findIndex((l) => l.part === at.part) + (landing.where === 'after' ? 1 : 0)
		if (all[n]?.part === line.part) return
		this.change({ part: line.part, move: true, parent: at.parent, slot: at.slot, before: all[n]?.part })
	}
}
