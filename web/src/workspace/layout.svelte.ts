import type { ID } from '../core/types'

export type Drawer = 'materials' | 'tiles' | 'motifs' | 'zones' | 'kinds' | 'rules' | 'pins' | 'findings' | 'history'
export type Panel = 'stack' | 'cabinet'

const store = 'azzel.layout'

/** Narrowest, usual and broadest, in pixels. */
export const widths: Record<Panel, [number, number, number]> = { stack: [150, 176, 420], cabinet: [220, 272, 640] }

/** What the canvas keeps at least, in pixels, and what lies left of the panels. */
const canvas = 320
const rail = 64

/** In a window of fewer pixels one panel at a time is open: a tablet that is held upright. */
const narrow = 960

/** In one of fewer none is open until it is wanted: a phone, or a page that is zoomed a great deal. */
const small = 720

/** How the panels lie and what of them is open. It belongs to the browser, and is found so again. */
export class Layout {
	/** The panels stand aside, whatever is open of them: a game is played. */
	folded = $state(false)
	stackOpen = $state(true)
	cabinetOpen = $state(true)
	/** The widths that were dragged, in pixels. */
	private dragged = $state({ stack: widths.stack[1], cabinet: widths.cabinet[1] })
	drawer = $state<Drawer>('tiles')
	/** The entities of the map as a list, in the place of the stack. */
	listing = $state(false)
	grid = $state(true)
	/** Shows all of a map in a corner when the view holds only a part. */
	minimap = $state(true)
	/** Numbers cells along the top and the left. */
	rulers = $state(true)
	/** Shows what the player sees at once. */
	screen = $state(true)
	/** What of the rules is shown in their station. */
	ruling = $state<'rules' | 'texts'>('rules')
	/** Lets one hear what the hero hears in a game. */
	sound = $state(true)
	/** Parts of panels that were opened or folded, by their titles. */
	parts = $state<Record<string, boolean>>({})
	/** At what scale the sheets of tilesets are shown. */
	sheets = $state<Record<ID, number>>({})
	private room = $state(innerWidth)
	/** The panel that is open in a narrow window; undefined until one was opened or folded there. */
	private chosen = $state<Panel | null>()

	constructor() {
		try {
			this.take(JSON.parse(localStorage.getItem(store) ?? '{}') ?? {})
		} catch {
			// what cannot be read is laid out anew
		}
		addEventListener('resize', () => (this.room = innerWidth))
		$effect.root(() => {
			$effect(() => localStorage.setItem(store, JSON.stringify(this.kept)))
		})
	}

	private get kept() {
		const { stackOpen, cabinetOpen, dragged, drawer, listing, grid, minimap, rulers, screen, sound, parts, sheets } =
			this
		return { stackOpen, cabinetOpen, dragged, drawer, listing, grid, minimap, rulers, screen, sound, parts, sheets }
	}

	/** Takes over what is of the sort that it should be. */
	private take(kept: Record<string, unknown>) {
		for (const [name, now] of Object.entries(this.kept)) {
			const was = kept[name]
			if (typeof was !== typeof now || was === null) continue
			if (name !== 'dragged') Object.assign(this, { [name]: was })
			else for (const p of ['stack', 'cabinet'] as const) this.drag(p, Number((was as Record<string, unknown>)[p]))
		}
	}

	/** How wide a panel is: what was dragged, as far as the window lets the canvas have its part. */
	width(p: Panel): number {
		const [least, , most] = this.range(p)
		return Math.min(most, Math.max(least, this.dragged[p]))
	}

	/** Narrowest, usual and broadest now. */
	range(p: Panel): [number, number, number] {
		const other = p === 'stack' ? 'cabinet' : 'stack'
		const beside = this.isOpen(other) ? Math.min(this.dragged[other], widths[other][1]) : 28
		const [least, usual, most] = widths[p]
		return [least, usual, Math.max(least, Math.min(most, this.room - rail - beside - canvas))]
	}

	drag(p: Panel, width: number) {
		const [least, , most] = widths[p]
		if (Number.isFinite(width)) this.dragged[p] = Math.round(Math.min(most, Math.max(least, width)))
	}

	isOpen(p: Panel): boolean {
		if (this.folded) return false
		return this.room < narrow ? this.alone === p : p === 'stack' ? this.stackOpen : this.cabinetOpen
	}

	toggle(p: Panel) {
		if (this.folded) this.folded = false
		else this.fold(p, !this.isOpen(p))
	}

	/** The panel that is open in a narrow window. */
	private get alone(): Panel | null {
		return this.chosen === undefined ? (this.room < small ? null : 'cabinet') : this.chosen
	}

	/** Leaves a small window to the map, once something was taken into the hand. */
	aside() {
		if (this.room < small) this.chosen = null
	}

	fold(p: Panel, open = false) {
		if (this.room < narrow) this.chosen = open ? p : this.alone === p ? null : this.alone
		else if (p === 'stack') this.stackOpen = open
		else this.cabinetOpen = open
	}

	/** Opens a drawer, and the cabinet for it. */
	show(drawer: Drawer) {
		this.drawer = drawer
		this.fold('cabinet', true)
		this.folded = false
	}
}
