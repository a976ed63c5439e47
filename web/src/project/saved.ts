/** Kept: the edits are in this browser and the server is away, or has no room. */
export type SavedState = 'saved' | 'saving' | 'kept' | 'away' | 'full' | 'parted' | 'broken'

/** How it stands with the edits of a page. */
export function savedState(p: {
	lost: string[] | null
	parted: string
	trouble: string
	waiting: number
	connected: boolean
}): SavedState {
	if (p.lost) return 'broken'
	if (p.parted) return 'parted'
	if (p.trouble && p.waiting) return 'full'
	if (p.connected) return p.waiting ? 'saving' : 'saved'
	return p.waiting ? 'kept' : 'away'
}
