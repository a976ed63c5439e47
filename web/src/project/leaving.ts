import type { Mark } from '../live/connection'

/** Edits larger than this go by POST instead of over the socket. */
export const largestSocketEdit = 256 << 10

/** What was made and is about to be kept and sent, in its order: a large edit is seen first, and then goes, since that takes longer than a frame. */
export class Leaving {
	private all: { mark: Mark; text: string }[] = []

	constructor(private readonly goes: (mark: Mark, text: string) => void) {}

	add(mark: Mark, text: string) {
		this.all.push({ mark, text })
		if (text.length > largestSocketEdit) setTimeout(() => this.leave())
		else this.leave()
	}

	private leave() {
		for (const { mark, text } of this.all.splice(0)) this.goes(mark, text)
	}
}
