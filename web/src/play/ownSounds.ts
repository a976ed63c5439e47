import type { ID } from '../core/types'
import type { Sound } from '../core/contract.gen'
import type { Project } from '../project/project.svelte'

/** A sound of the designer's own that can be heard now. */
export interface Ready {
	sound: Sound
	buffer: AudioBuffer
	/** Seconds of it that are heard. */
	from: number
	lasts: number
	loud: number
}

const rate = 44_100

/** The sounds of the designer's own, decoded as they are needed; one that is not there yet, or cannot be read, is nothing. */
export class OwnSounds {
	/** Where files come from: the server, unless a page brings its own. */
	static source = async (file: string): Promise<ArrayBuffer> => {
		const answer = await fetch(`/api/sounds/${file}`)
		if (!answer.ok) throw new Error(String(answer.status))
		return answer.arrayBuffer()
	}
	private static files = new Map<string, Promise<AudioBuffer | null>>()
	private buffers = new Map<string, AudioBuffer | null>()
	private failed = new Set<string>()
	private turns = new Map<string, number>()
	private known = new Map<string, ID[]>()
	private turn = -1

	constructor(private p: Project) {}

	/** The samples of a file, null where it cannot be had or read; each is decoded once a page. */
	static decoded(file: string): Promise<AudioBuffer | null> {
		let coming = OwnSounds.files.get(file)
		if (!coming) {
			coming = OwnSounds.source(file)
				.then((data) => new OfflineAudioContext(1, 1, rate).decodeAudioData(data))
				.catch(() => null)
			OwnSounds.files.set(file, coming)
		}
		return coming
	}

	/** Has all sounds be ready by the time they are heard. */
	prepare() {
		for (const s of this.p.head.sounds) this.bufferOf(s)
	}

	private bufferOf(s: Sound): AudioBuffer | null {
		const known = this.buffers.get(s.file)
		if (known !== undefined) return known
		this.buffers.set(s.file, null)
		void OwnSounds.decoded(s.file).then((buffer) => {
			this.buffers.set(s.file, buffer)
			if (!buffer) this.failed.add(s.file)
		})
		return null
	}

	/** Whether one cannot be had or read. */
	wrong(id: ID): boolean {
		const sound = this.p.head.sounds.find((s) => s.id === id)
		return !sound || this.failed.has(sound.file)
	}

	/** One by its id. */
	get(id: ID): Ready | undefined {
		const sound = this.p.head.sounds.find((s) => s.id === id)
		const buffer = sound && this.bufferOf(sound)
		return sound && buffer ? readied(sound, buffer) : undefined
	}

	/** What is heard as something, of a kind and on a map: one after the other, where there are several. */
	heardAs(when: string, kind: ID, on: ID): Ready | undefined {
		if (!this.p.head.sounds.length) return
		if (this.turn !== this.p.turn) this.known.clear()
		this.turn = this.p.turn
		const key = `${when} ${kind} ${on}`
		let ids = this.known.get(key)
		if (!ids) this.known.set(key, (ids = this.p.ask('sounding', { when, kind, on })))
		if (!ids.length) return
		const n = this.turns.get(key) ?? 0
		this.turns.set(key, n + 1)
		return this.get(ids[n % ids.length])
	}
}

/** The part of a sound that is heard. */
export function readied(sound: Sound, buffer: AudioBuffer): Ready {
	const from = Math.min((sound.from ?? 0) / 1000, buffer.duration)
	const to = Math.min((sound.to || sound.lasts) / 1000, buffer.duration)
	return { sound, buffer, from, lasts: Math.max(0.01, to - from), loud: (sound.loud || 100) / 100 }
}
