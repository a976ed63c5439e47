/** The parts of the page that one goes through with F6. */
const parts = 'header, nav, aside, main, [data-region], footer'
const focusable = 'button:not([disabled]), a[href], input:not([disabled]), select, textarea, summary, [tabindex="0"]'

/** Where the focus was last in each part. */
const last = new WeakMap<Element, HTMLElement>()

const seen = (e: Element) => e.checkVisibility() && !e.closest('[inert], [aria-hidden=true]')

/** What takes the focus in a part: what had it last, the map or chart, or the first that can. */
function entry(part: Element): HTMLElement | undefined {
	const own = (e: Element) => seen(e) && e.closest(parts) === part
	const before = last.get(part)
	if (before?.isConnected && own(before)) return before
	const all = [...part.querySelectorAll<HTMLElement>(focusable)].filter((e) => own(e) && e.tabIndex >= 0)
	return all.find((e) => e.matches('[role=application]')) ?? all[0]
}

/** Remembers where the focus is within its part. */
export function visited(e: FocusEvent) {
	const part = e.target instanceof HTMLElement && e.target.closest(parts)
	if (part) last.set(part, e.target as HTMLElement)
}

/** Goes to the next part of the page, or back to the one before. */
export function nextRegion(back: boolean) {
	const all = [...document.querySelectorAll(parts)].filter((e) => seen(e) && entry(e))
	const now = all.indexOf(document.activeElement?.closest(parts) as Element)
	const step = back ? -1 : 1
	const to = now < 0 ? (back ? all.length - 1 : 0) : (now + step + all.length) % all.length
	const target = all[to] && entry(all[to])
	target?.focus()
	// the part that was come to is shown, however it was come to
	if (target) target.scrollIntoView({ block: 'nearest' })
}
