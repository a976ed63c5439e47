import { padInputs } from '../workspace/pads'

/** What a gamepad says where things are pressed instead of played. */
export type Press = 'up' | 'down' | 'less' | 'more' | 'press' | 'back' | 'pause'

const directions: [number, Press][] = [
	[1, 'up'],
	[4, 'down'],
	[8, 'less'],
	[2, 'more'],
]
const buttons: Press[] = ['press', 'back']

/** Gamepads before the plates of a game: each press counts once, when it begins. */
export class MenuPad {
	private held = new Set<string>()

	/** What has been pressed since this was asked last, with the pads that are held down. */
	pressed(): Press[] {
		const now = new Map<string, Press>()
		for (const pad of navigator.getGamepads()) {
			if (!pad?.connected) continue
			const bits = padInputs(pad)
			for (const [bit, press] of directions) if (bits & bit) now.set(`${pad.index} ${press}`, press)
			buttons.forEach((press, i) => pad.buttons[i]?.pressed && now.set(`${pad.index} ${press}`, press))
			for (const i of [8, 9]) if (pad.buttons[i]?.pressed) now.set(`${pad.index} ${i}`, 'pause')
		}
		const begun = [...now].filter(([by]) => !this.held.has(by)).map(([, press]) => press)
		this.held = new Set(now.keys())
		return begun
	}
}

const pressables = (plate: HTMLElement) => [
	...plate.querySelectorAll<HTMLElement>('button:not(:disabled), input, select'),
]

/** The first thing of a plate that can be pressed has the focus, so that keys and gamepads can go on from there. */
export const begin = (plate: HTMLElement) => pressables(plate)[0]?.focus({ preventScroll: true })

function go(plate: HTMLElement, by: number) {
	const all = pressables(plate)
	all[(all.indexOf(document.activeElement as HTMLElement) + by + all.length) % all.length]?.focus()
}

/** Arrows go from one to the next, as the tabulator does. */
export function arrows(e: KeyboardEvent, plate: HTMLElement) {
	const by = { ArrowDown: 1, ArrowUp: -1 }[e.key]
	if (!by || (e.target instanceof HTMLElement && ['INPUT', 'SELECT'].includes(e.target.tagName))) return
	e.preventDefault()
	e.stopPropagation()
	go(plate, by)
}

/** Does on a plate what was pressed; that nothing of it goes on to the game is its caller's. */
export function pressOn(plate: HTMLElement, press: Press) {
	const all = pressables(plate)
	const on = all.find((e) => e === document.activeElement)
	if (press === 'up' || press === 'down') go(plate, press === 'up' ? -1 : 1)
	else if (press === 'press') (on ?? all[0])?.click()
	else if (on instanceof HTMLSelectElement) {
		on.selectedIndex = Math.min(Math.max(on.selectedIndex + (press === 'more' ? 1 : -1), 0), on.length - 1)
		on.dispatchEvent(new Event('change', { bubbles: true }))
	} else if (on instanceof HTMLInputElement && on.type === 'range') {
		if (press === 'more') on.stepUp()
		else on.stepDown()
		on.dispatchEvent(new Event('input', { bubbles: true }))
		on.dispatchEvent(new Event('change', { bubbles: true }))
	}
}
