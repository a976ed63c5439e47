import type { Attachment } from 'svelte/attachments'

const pressable = 'button:not([disabled])'

/**
 * Makes what can be pressed in a list one stop of the Tab key: up and down go through its rows,
 * left and right along what is in one. A list without rows is one row.
 */
export const roving: Attachment<HTMLElement> = (list) => {
	const rowOf = (e: Element) => e.closest('li, tr, [data-row]')
	const all = () => [...list.querySelectorAll<HTMLElement>(pressable)]
	let now: HTMLElement | null = null

	function settle() {
		const items = all()
		const chosen = items.find((e) => e.matches('[aria-current=true], [aria-current=page], [aria-pressed=true]'))
		if (!now || !items.includes(now)) now = chosen ?? items[0] ?? null
		for (const e of items) e.tabIndex = e === now ? 0 : -1
	}

	function keydown(e: KeyboardEvent) {
		if (e.altKey || e.ctrlKey || e.metaKey || e.defaultPrevented) return
		const items = all()
		const at = items.indexOf(e.target as HTMLElement)
		if (at < 0) return
		const row = rowOf(items[at])
		const rows = row ? [...new Set(items.map(rowOf))] : []
		const along = items.filter((o) => rowOf(o) === row)
		const step = { ArrowUp: -1, ArrowDown: 1, ArrowLeft: -1, ArrowRight: 1 }[e.key]
		let next: HTMLElement | undefined
		if (e.key === 'Home') next = items[0]
		else if (e.key === 'End') next = row ? items.find((o) => rowOf(o) === rows.at(-1)) : items.at(-1)
		else if (!step) return
		else if (row && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
			const beside = rows[rows.indexOf(row) + step]
			const there = items.filter((o) => beside && rowOf(o) === beside)
			next = there[Math.min(along.indexOf(items[at]), there.length - 1)]
		} else next = along[along.indexOf(items[at]) + step]
		e.preventDefault()
		e.stopPropagation()
		next?.focus()
	}

	function focusin(e: FocusEvent) {
		const item = all().find((o) => o === e.target)
		if (!item) return
		now = item
		settle()
	}

	settle()
	const changed = new MutationObserver(settle)
	changed.observe(list, { childList: true, subtree: true, attributeFilter: ['disabled', 'aria-current'] })
	list.addEventListener('keydown', keydown)
	list.addEventListener('focusin', focusin)
	return () => {
		changed.disconnect()
		list.removeEventListener('keydown', keydown)
		list.removeEventListener('focusin', focusin)
	}
}
