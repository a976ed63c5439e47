import type { HeardView } from '../core/types'
import type { Ready } from './ownSounds'
import { sounding, whenSounding } from './sounding'
import { dull, type Maker, noise } from './tones'

// What is heard in a game, made of noise and tones when it is first asked for: nothing is loaded.

/** Seconds that a sound lasts before it begins again. */
const lasts = 6

const swell = (t: number, every: number, least: number) =>
	least + (1 - least) * (0.5 - 0.5 * Math.cos((2 * Math.PI * t) / every))

/** Puts short tones or clicks at places that chance draws. */
function strew(out: Float32Array, rate: number, seed: number, count: number, one: (t: number, n: number) => number) {
	const draw = noise(seed)
	for (let k = 0; k < count; k++) {
		const at = Math.floor(((draw() + 1) / 2) * (out.length - rate / 2))
		for (let i = 0; i < rate / 2; i++) out[at + i] += one(i / rate, k)
	}
}

const makers: Record<string, Maker> = {
	surf: (out, rate) => {
		const deep = dull(noise(1), 0.06)
		for (let i = 0; i < out.length; i++) out[i] = deep() * 2.2 * swell(i / rate, lasts / 2, 0.15)
	},
	wind: (out, rate) => {
		const low = dull(noise(2), 0.02)
		const high = dull(noise(3), 0.2)
		for (let i = 0; i < out.length; i++) out[i] = low() * 3 * swell(i / rate, lasts, 0.4) + high() * 0.05
	},
	drips: (out, rate) =>
		strew(out, rate, 4, 9, (t, n) => 0.4 * Math.exp(-t * 22) * Math.sin(2 * Math.PI * (900 + 160 * (n % 4)) * t)),
	hum: (out, rate) => {
		// whole numbers of turns, so that it goes round without a click
		for (let i = 0; i < out.length; i++) {
			const t = i / rate
			out[i] = 0.22 * Math.sin(2 * Math.PI * 55 * t) + 0.12 * Math.sin(2 * Math.PI * 110 * t) * swell(t, lasts / 6, 0.6)
		}
	},
	fire: (out, rate) => {
		const low = dull(noise(5), 0.03)
		for (let i = 0; i < out.length; i++) out[i] = low() * 0.9
		const crack = noise(6)
		strew(out, rate, 7, 70, (t) => (t < 0.02 ? crack() * 0.5 * Math.exp(-t * 300) : 0))
	},
	insects: (out, rate) => {
		for (let i = 0; i < out.length; i++) {
			const t = i / rate
			const chirps = Math.sin(2 * Math.PI * 1.5 * t) > 0.2 ? Math.max(0, Math.sin(2 * Math.PI * 28 * t)) : 0
			out[i] = 0.09 * chirps * Math.sin(2 * Math.PI * 4200 * t)
		}
	},
}

interface Voice {
	source: AudioBufferSourceNode
	gain: GainNode
	side: StereoPannerNode
	/** How slowly it becomes louder and softer, in seconds. */
	fades: number
}

/** What is heard all the time: the designer's own in its place, and how loud the player wants such things. */
export type Loop = Omit<HeardView, 'own'> & { own?: Ready; volume: number }

/** Plays what the core says is heard; it is silent until it is told to play. */
export class Ambience {
	private wanted: Loop[] = []
	private buffers = new Map<string, AudioBuffer>()
	private voices = new Map<string, Voice>()

	/** Takes over what is heard now, and how loud it is meant to be: near things within a moment, what is all over a map less fast. */
	hear(all: Loop[]) {
		this.wanted = all
		if (all.length || this.voices.size) whenSounding(() => this.wanted === all && this.sound(all))
	}

	private sound(all: Loop[]) {
		const now = sounding().currentTime
		// of two that play the same the louder is heard
		const loudest = new Map<string, Loop>()
		for (const h of all) {
			const name = h.own ? `own ${h.own.sound.id}` : h.plays
			if ((loudest.get(name)?.loud ?? -1) < h.loud) loudest.set(name, h)
		}
		for (const [name, h] of loudest) {
			const voice = this.voices.get(name) ?? this.voice(name, h)
			if (!voice) continue
			const loud = h.own ? h.own.loud : 0.5
			voice.gain.gain.setTargetAtTime((h.loud / 1000) * loud * h.volume, now, voice.fades)
			voice.side.pan.setTargetAtTime(Math.max(-1, Math.min(1, h.side / 1000)), now, 0.08)
		}
		for (const [name, voice] of this.voices) {
			if (loudest.has(name)) continue
			this.voices.delete(name)
			voice.gain.gain.setTargetAtTime(0, now, voice.fades)
			voice.source.stop(now + 7 * voice.fades)
		}
	}

	private voice(name: string, h: Loop): Voice | undefined {
		const c = sounding()
		const buffer = h.own?.buffer ?? this.made(c, h.plays)
		if (!buffer) return
		const [source, gain, side] = [c.createBufferSource(), c.createGain(), c.createStereoPanner()]
		source.buffer = buffer
		source.loop = true
		if (h.own) [source.loopStart, source.loopEnd] = [h.own.from, h.own.from + h.own.lasts]
		gain.gain.value = 0
		source.connect(gain).connect(side).connect(c.destination)
		source.start(0, source.loopStart)
		const voice = { source, gain, side, fades: h.by ? 0.08 : 0.5 }
		this.voices.set(name, voice)
		return voice
	}

	private made(c: AudioContext, plays: string): AudioBuffer | undefined {
		const make = makers[plays]
		if (!make) return
		let buffer = this.buffers.get(plays)
		if (!buffer) {
			buffer = c.createBuffer(1, Math.round(lasts * c.sampleRate), c.sampleRate)
			make(buffer.getChannelData(0), c.sampleRate)
			this.buffers.set(plays, buffer)
		}
		return buffer
	}
}
