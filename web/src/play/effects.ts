import { dull, type Maker, noise } from './tones'

// Sounds that rules let be heard once, made when they are first asked for: nothing is loaded.

/** Fills a sound from what it is at a time in seconds. */
const made =
	(at: (t: number) => number): Maker =>
	(out, rate) => {
		for (let i = 0; i < out.length; i++) out[i] = at(i / rate)
	}

const tone = (hertz: number, t: number) => Math.sin(2 * Math.PI * hertz * t)
const ring = (hertz: number, from: number, fast: number) => (t: number) =>
	t < from ? 0 : Math.exp(-(t - from) * fast) * tone(hertz, t - from)

function all(...parts: ((t: number) => number)[]): (t: number) => number {
	return (t) => parts.reduce((sum, part) => sum + part(t), 0)
}

/** A low noise that fades, as fast as is said. */
function rush(seed: number, by: number, loud: number, fast: number, from = 0): (t: number) => number {
	const low = dull(noise(seed), by)
	return (t) => (t < from ? 0 : low() * loud * Math.exp(-(t - from) * fast))
}

const makers: Record<string, () => Maker> = {
	chime: () => made(all(ring(880, 0, 4), ring(1320, 0.12, 4), ring(1760, 0.24, 3.5))),
	knock: () => made(all(ring(160, 0, 30), rush(11, 0.3, 1, 60), ring(150, 0.22, 30), rush(12, 0.3, 1, 60, 0.22))),
	splash: () => made(all(rush(13, 0.5, 1.2, 7), rush(14, 0.08, 1.6, 3.5, 0.06))),
	rumble: () => made(all(rush(15, 0.02, 6, 1.8), rush(16, 0.04, 2, 2.6))),
	creak: () => made((t) => 0.5 * Math.exp(-t * 1.4) * Math.sign(tone(34 + 22 * t, t)) * tone(410 + 130 * t, t)),
	horn: () =>
		made(
			(t) =>
				0.45 * Math.min(1, t * 12) * Math.exp(-t * 1.6) * (tone(147, t) + 0.5 * tone(294, t) + 0.25 * tone(441, t)),
		),
	sparkle: () => made(all(...[0, 1, 2, 3, 4, 5].map((n) => ring(1500 + 370 * n, n * 0.06, 9)))),
	thud: () => made(all(ring(70, 0, 14), rush(17, 0.1, 1.4, 30))),
}

/** Seconds that the longest of them lasts. */
const lasts = 1.6

/** Lets a sound be heard, which goes over by itself. */
export class Effects {
	private context?: AudioContext
	private buffers = new Map<string, AudioBuffer>()

	/** Plays one by its word; one that there is not is silent. */
	play(word: string, volume = 1) {
		const make = makers[word]
		if (!make || volume <= 0) return
		const c = (this.context ??= new AudioContext())
		let buffer = this.buffers.get(word)
		if (!buffer) {
			buffer = c.createBuffer(1, Math.round(lasts * c.sampleRate), c.sampleRate)
			make()(buffer.getChannelData(0), c.sampleRate)
			this.buffers.set(word, buffer)
		}
		const source = c.createBufferSource()
		const gain = c.createGain()
		source.buffer = buffer
		gain.gain.value = 0.4 * volume
		source.connect(gain).connect(c.destination)
		source.start()
	}
}
