import type { ID, PlayResult } from '../core/types'

/** How the player wants the game; nothing of it is the designer's. */
export interface Wants {
	/** What is read in, empty for what the texts are written in; null was never chosen. */
	language: string | null
	/** How loud, in tenths. */
	music: number
	surroundings: number
	sounds: number
	letters: 'small' | 'normal' | 'large' | ''
	lessMotion: boolean
	noFlicker: boolean
}

export const usual: Wants = {
	language: null,
	music: 7,
	surroundings: 8,
	sounds: 8,
	letters: '',
	lessMotion: false,
	noFlicker: false,
}

/** A kept game. */
export interface Save {
	data: string
	map: string
	seconds: number
	/** When that was, in milliseconds. */
	at: number
	/** A small picture of it, as base64 of a JPEG. */
	picture: string
}

/** What was reached on a map: only ever better. */
export interface Progress {
	tries: number
	finished: boolean
	best: PlayResult | null
}

interface Kept {
	wants: Wants
	saves: (Save | null)[]
	progress: Record<ID, Progress>
}

const object = (v: unknown): Record<string, unknown> =>
	v && typeof v === 'object' ? (v as Record<string, unknown>) : {}

/** What a player keeps of one game, in the browser; what cannot be read is as at first. */
export class Keeping {
	constructor(private readonly key: string) {}

	read(): Kept {
		let kept: Record<string, unknown> = {}
		try {
			kept = object(JSON.parse(localStorage.getItem(this.key) ?? '{}'))
		} catch {
			// as at first
		}
		const wants = { ...usual }
		for (const [name, is] of Object.entries(object(kept.wants)))
			if (name in usual && (typeof is === typeof usual[name as keyof Wants] || name === 'language'))
				Object.assign(wants, { [name]: is })
		const saves = Array.isArray(kept.saves)
			? kept.saves.map((s: unknown) => (typeof object(s).data === 'string' ? (s as Save) : null))
			: []
		return { wants, saves, progress: object(kept.progress) as Record<ID, Progress> }
	}

	/** Keeps all of it; false where there is no room. */
	write(kept: Kept): boolean {
		try {
			localStorage.setItem(this.key, JSON.stringify(kept))
			return true
		} catch {
			return false
		}
	}
}

/** A small picture of what a canvas shows, as base64 of a JPEG; empty where that cannot be had. */
export function smallPicture(of: HTMLCanvasElement | undefined): string {
	if (!of?.width) return ''
	const small = document.createElement('canvas')
	;[small.width, small.height] = [192, 108]
	const scale = Math.max(small.width / of.width, small.height / of.height)
	const [w, h] = [of.width * scale, of.height * scale]
	small.getContext('2d')!.drawImage(of, (small.width - w) / 2, (small.height - h) / 2, w, h)
	return small.toDataURL('image/jpeg', 0.7).replace(/^[^,]*,/, '')
}
