const store = 'azzel.keys.own'

/** Keys that stay what they are: one goes on, leaves and finds help by them. */
const fixed = /^(Esc|Enter|Tab|Del|Backspace| |F\d+|(Shift\+)?(Arrow.*|Home|End)|[?]|Ctrl\+[CXVKZ])$/

/** The keys as their designer wants them: what an action is given by default, and what does it instead. */
class Keys {
	private own = $state.raw<Record<string, string>>({})

	constructor() {
		try {
			const kept: unknown = JSON.parse(localStorage.getItem(store) ?? '{}')
			if (kept && typeof kept === 'object')
				this.own = Object.fromEntries(Object.entries(kept).filter(([, v]) => typeof v === 'string'))
		} catch {
			// what cannot be read is as it was at first
		}
	}

	/** The key that does now what a key does by default. */
	now = (key: string): string => this.own[key] ?? key

	/** What a key that goes down does by default; a key that was given away does nothing. */
	meant(key: string): string {
		for (const [usual, now] of Object.entries(this.own)) if (now === key) return usual
		return key in this.own ? '' : key
	}

	canChange = (key: string) => !fixed.test(key)

	get changed(): boolean {
		return Object.keys(this.own).length > 0
	}

	isOwn = (key: string) => key in this.own

	/** Gives what a key does by default to another one; the two change places. False where that one stays. */
	change(usual: string, next: string): boolean {
		if (!this.canChange(next)) return false
		const before = this.now(usual)
		const other = this.meant(next)
		const own = { ...this.own, [usual]: next }
		if (other && other !== usual) own[other] = before
		this.own = Object.fromEntries(Object.entries(own).filter(([a, b]) => a !== b))
		localStorage.setItem(store, JSON.stringify(this.own))
		return true
	}

	reset() {
		this.own = {}
		localStorage.removeItem(store)
	}
}

export const keys = new Keys()

/** The name of the key that went down, as actions write it. */
export function named(e: KeyboardEvent): string {
	const digit = /^(?:Digit|Numpad)(\d)$/.exec(e.code)
	let key = digit
		? digit[1]
		: e.key.length === 1
			? e.key.toUpperCase()
			: ({ Delete: 'Del', Escape: 'Esc' }[e.key] ?? e.key)
	const shifted = e.shiftKey && (digit !== null || /^([A-Z]|F\d+)$/.test(key))
	if (shifted) key = `Shift+${key}`
	return e.ctrlKey || e.metaKey ? `Ctrl+${key}` : key
}
