import type { Choice } from './Menu.svelte'

/**
 * The one menu of the page that opens where something is pressed. A menu for each row of a list took most of the time
 * in which the list came to be.
 */
class ContextMenu {
	choices: () => Choice[] = $state.raw(() => [])
	/** The element at which it opens, of ContextHost. */
	host: HTMLElement | undefined

	/** Opens it at a place of the page. */
	open(choices: () => Choice[], x: number, y: number) {
		this.choices = choices
		this.host?.dispatchEvent(new MouseEvent('contextmenu', { bubbles: true, cancelable: true, clientX: x, clientY: y }))
	}

	/** Opens it below a button. */
	below(choices: () => Choice[], button: HTMLElement) {
		const box = button.getBoundingClientRect()
		this.open(choices, box.left, box.bottom)
	}
}

export const contextMenu = new ContextMenu()
