/** Brings a setting of a part of the page into view, with the focus in its field; false where it is not there. */
export function bringSetting(part: ParentNode | null, key: string): boolean {
	const row = key && part?.querySelector(`[data-setting="${key}"]`)
	if (!row) return false
	row.scrollIntoView({ block: 'center' })
	row.querySelector<HTMLElement>('input, select, textarea, button')?.focus()
	return true
}
