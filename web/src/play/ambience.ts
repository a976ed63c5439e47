import type { HeardView } from '../core/types'
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
}

/** Plays what the core says is heard; it is silent until it is told to play. */
export class Ambience {
	private context?: AudioContext
	private buffers = new Map<string, AudioBuffer>()
	private voices = new Map<string, Voice>()

	/** Takes over what is heard now; louder and softer within a moment. */
	hear(all: HeardView[], volume = 1) {
		if (!all.length && !this.voices.size) return
		this.context ??= new AudioContext()
		const now = this.context.currentTime
		// of two that play the same the louder is heard
		const loudest = new Map<string, HeardView>()
		for (const h of all) if ((loudest.get(h.plays)?.loud ?? -1) < h.loud) loudest.set(h.plays, h)
		for (const [plays, h] of loudest) {
			const voice = this.voices.get(plays) ?? this.voice(plays)
			if (!voice) continue
			voice.gain.gain.setTargetAtTime((h.loud / 1000) * 0.5 * volume, now, 0.08)
			voice.side.pan.setTargetAtTime(Math.max(-1, Math.min(1, h.side / 1000)), now, 0.08)
		}
		for (const [plays, voice] of this.voices) {
			if (loudest.has(plays)) continue
			this.voices.delete(plays)
			voice.gain.gain.setTargetAtTime(0, now, 0.08)
			voice.source.stop(now + 0.6)
		}
	}

	private voice(plays: string): Voice | undefined {
		const make = makers[plays]
		const c = this.context
		if (!make || !c) return
		let buffer = this.buffers.get(plays)
		if (!buffer) {
			buffer = c.createBuffer(1, Math.round(lasts * c.sampleRate), c.sampleRate)
			make(buffer.getChannelData(0), c.sampleRate)
			this.buffers.set(plays, buffer)
		}
		const [source, gain, side] = [c.createBufferSource(), c.createGain(), c.createStereoPanner()]
		source.buffer = buffer
		source.loop = true
		gain.gain.value = 0
		source.connect(gain).connect(side).connect(c.destination)
		source.start()
		const voice = { source, gain, side }
		this.voices.set(plays, voice)
		return voice
	}
}
