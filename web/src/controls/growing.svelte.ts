/**
 * How much of a long list is there yet: a few at first, and more as one nears their end, so that a list of thousands opens as
 * quickly as a short one.
 */
export class Growing {
	many = $state(0)
	readonly #step: number
	readonly #all: () => number

	constructor(step: number, all: () => number) {
		this.many = this.#step = step
		this.#all = all
	}

	/** Attached to an element behind the last one. */
	end = (node: HTMLElement) => {
		if (this.many >= this.#all()) return
		let root = node.parentElement
		while (root && !/auto|scroll/.test(getComputedStyle(root).overflowY)) root = root.parentElement
		const seen = new IntersectionObserver((e) => e.some((x) => x.isIntersecting) && (this.many += this.#step), {
			root,
			rootMargin: '0px 0px 1200px 0px',
		})
		seen.observe(node)
		return () => seen.disconnect()
	}
}
