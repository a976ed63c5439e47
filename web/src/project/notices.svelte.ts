export interface Notice {
	id: number
	text: string
	tone: 'plain' | 'wrong' | 'done'
	/** One thing to press that helps. */
	help?: { label: string; run: () => void }
}

/** Short sentences that come and go; the newest three are shown. */
export class Notices {
	shown = $state.raw<Notice[]>([])
	/** Where a value that was refused is put back, and told why; true when it was. */
	atField: ((text: string) => boolean) | null = null
	private next = 1

	say(text: string, tone: Notice['tone'] = 'plain', help?: Notice['help']) {
		const id = this.next++
		const rest = this.shown.filter((n) => n.text !== text)
		this.shown = [...rest, { id, text, tone, help }].slice(-3)
		setTimeout(() => this.drop(id), help || tone === 'wrong' ? 9000 : 4000)
	}

	/** A name was taken already. */
	taken(asked: string, called: string) {
		this.say(`There is a “${asked}” already, so this is called “${called}”.`)
	}

	wrong(error: unknown) {
		const text = error instanceof Error ? error.message : String(error)
		if (!this.atField?.(text)) this.say(text, 'wrong')
	}

	drop(id: number) {
		this.shown = this.shown.filter((n) => n.id !== id)
	}
}
