import type { Ready } from './ownSounds'
import { sounding } from './sounding'
import { dull, type Maker, noise } from './tones'

// Sounds that are heard once, made when they are first asked for: nothing is loaded.

/** Fills a sound from what it is at a time in seconds. */
const made =
	(at: (t: number) => number): Maker =>
	(out, rate) => {
		for (let i = 0; i < out.length; i++) out[i] = at(i / rate)
	}

const tone = (hertz: number, t: number) => Math.sin(2 * Math.PI * hertz * t)
const ring =
	(hertz: number, from: number, fast: number, loud = 1) =>
	(t: number) =>
		t < from ? 0 : loud * Math.exp(-(t - from) * fast) * tone(hertz, t - from)

function all(...parts: ((t: number) => number)[]): (t: number) => number {
	return (t) => parts.reduce((sum, part) => sum + part(t), 0)
}

/** A low noise that fades, as fast as is said. */
function rush(seed: number, by: number, loud: number, fast: number, from = 0): (t: number) => number {
	const low = dull(noise(seed), by)
	return (t) => (t < from ? 0 : low() * loud * Math.exp(-(t - from) * fast))
}

/** A tone that goes from one height to another in some seconds, and fades. */
const slide = (from: number, to: number, in_: number, fast: number, loud = 0.6) => {
	let phase = 0
	let last = 0
	return (t: number) => {
		const hertz = from + (to - from) * Math.min(1, t / in_)
		phase += 2 * Math.PI * hertz * (t - last)
		last = t
		return loud * Math.exp(-t * fast) * Math.sin(phase)
	}
}

const makers: Record<string, () => Maker> = {
	// what rules can ask for
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
	// what happens by itself
	'step plain': () => made(rush(21, 0.25, 0.5, 60)),
	'step wood': () => made(all(ring(190, 0, 55, 0.5), rush(22, 0.3, 0.3, 90))),
	'step grass': () => made(rush(23, 0.6, 0.28, 34)),
	'step sand': () => made(rush(24, 0.4, 0.4, 28)),
	'step stone': () => made(all(ring(640, 0, 95, 0.22), rush(25, 0.7, 0.3, 110))),
	'step water': () => made(all(rush(26, 0.3, 0.5, 16), slide(420, 700, 0.1, 22, 0.15))),
	jump: () => made(slide(210, 480, 0.14, 11, 0.5)),
	land: () => made(all(ring(95, 0, 30, 0.6), rush(27, 0.2, 0.5, 40))),
	take: () => made(all(ring(990, 0, 13, 0.5), ring(1485, 0.07, 10, 0.5))),
	open: () => made(all(rush(28, 0.12, 1, 7), ring(240, 0, 9, 0.25), ring(320, 0.16, 9, 0.25))),
	close: () => made(all(rush(29, 0.12, 1, 14), ring(120, 0.08, 20, 0.7))),
	locked: () => made(all(ring(220, 0, 40, 0.5), ring(200, 0.1, 40, 0.5), rush(30, 0.6, 0.3, 60))),
	switch: () => made(all(ring(520, 0, 60, 0.4), rush(31, 0.7, 0.4, 90), ring(390, 0.06, 50, 0.4))),
	strike: () => made(all(rush(32, 0.5, 0.9, 26), ring(160, 0, 30, 0.6))),
	swing: () => made((t) => 0.5 * Math.exp(-Math.pow((t - 0.07) * 16, 2)) * rush(33, 0.35, 1, 0)(t)),
	defeat: () => made(all(slide(430, 90, 0.35, 6, 0.5), rush(34, 0.2, 0.5, 9))),
	hurt: () => made(all(slide(300, 130, 0.18, 9, 0.6), rush(35, 0.5, 0.5, 22))),
	back: () => made(all(ring(440, 0, 6, 0.4), ring(554, 0.12, 6, 0.4), ring(659, 0.24, 5, 0.4))),
	spring: () => made((t) => 0.5 * Math.exp(-t * 7) * tone(180 + 240 * Math.min(1, t * 5) + 22 * tone(19, t), t)),
	blast: () => made(all(rush(36, 0.05, 5, 4), rush(37, 0.3, 1.2, 12), ring(48, 0, 5, 0.8))),
	push: () => made(rush(38, 0.09, 1.6, 9)),
	crash: () => made(all(rush(39, 0.4, 1, 14), ring(140, 0, 22, 0.5), ring(260, 0.05, 26, 0.3))),
	checkpoint: () => made(all(ring(659, 0, 5, 0.45), ring(988, 0.14, 4, 0.45))),
	goal: () => made(all(...[523, 659, 784, 1047].map((h, n) => ring(h, n * 0.1, 4, 0.4)))),
	win: () => made(all(...[523, 659, 784, 1047, 1319].map((h, n) => ring(h, n * 0.13, 2.6, 0.36)))),
	lose: () => made(all(...[392, 349, 311, 262].map((h, n) => ring(h, n * 0.2, 3.4, 0.42)))),
	arrive: () => made(all(rush(40, 0.08, 0.9, 8), ring(330, 0, 8, 0.18))),
	message: () => made(all(ring(1175, 0, 40, 0.2), ring(1480, 0.03, 40, 0.16))),
	choose: () => made(ring(880, 0, 55, 0.28)),
	shot: () => made(all(slide(760, 260, 0.12, 16, 0.4), rush(41, 0.7, 0.4, 40))),
}

/** Seconds that the longest of them lasts. */
const lasts = 1.6
/** Seconds for which the same sound is not heard again by itself; of a step it is its own pace. */
const rests = 0.5
/** How high one is against the time before, so that nothing is heard twice alike. */
const heights = [1, 0.94, 1.05, 0.98, 1.09, 0.91]

/** Lets a sound be heard, which goes over by itself. */
export class Effects {
	private buffers = new Map<string, AudioBuffer>()
	private last = new Map<string, number>()
	private n = 0
	/** What was asked to sound, the last at the end: for tests, which hear nothing. */
	readonly asked: string[] = []

	/** Plays one that happens by itself, unless it has just been heard. */
	happens(word: string, volume = 1, own?: Ready) {
		const now = performance.now() / 1000
		if (!word.startsWith('step') && now - (this.last.get(word) ?? -9) < rests) return
		this.last.set(word, now)
		const step = word.startsWith('step') && !own
		this.play(word, volume * (step ? 0.35 : 0.8), own ? 1 : heights[this.n++ % heights.length], own)
	}

	/** Plays one by its word, or the designer's own in its place; one that there is not is silent. */
	play(word: string, volume = 1, height = 1, own?: Ready) {
		const make = makers[word]
		if ((!make && !own) || volume <= 0) return
		this.asked.push(own ? `${word}: ${own.sound.name}` : word)
		if (this.asked.length > 200) this.asked.shift()
		const c = sounding()
		if (own) return this.hear(c, own, volume)
		let buffer = this.buffers.get(word)
		if (!buffer) {
			buffer = c.createBuffer(1, Math.round(lasts * c.sampleRate), c.sampleRate)
			make()(buffer.getChannelData(0), c.sampleRate)
			this.buffers.set(word, buffer)
		}
		const source = c.createBufferSource()
		const gain = c.createGain()
		source.buffer = buffer
		source.playbackRate.value = height
		gain.gain.value = 0.4 * volume
		source.connect(gain).connect(c.destination)
		source.start()
	}

	private hear(c: AudioContext, own: Ready, volume: number) {
		const source = c.createBufferSource()
		const gain = c.createGain()
		source.buffer = own.buffer
		gain.gain.value = own.loud * volume
		source.connect(gain).connect(c.destination)
		source.start(0, own.from, own.lasts)
	}
}
