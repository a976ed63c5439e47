import { sounding, whenSounding } from './sounding'

// Music that Azzel plays itself: patterns in a key and a mood, a bar at a time, more of it in danger. Nothing is loaded.

interface Mood {
	/** Beats a minute. */
	pace: number
	/** Half tones of the scale above its first. */
	scale: number[]
	/** The steps of the scale on which the chords of four bars stand. */
	chords: number[]
	/** How often of eight parts of a bar the tune has a note, in tenths; and how high it lies, in octaves. */
	tune: number
	octave: number
	wave: OscillatorType
	/** The bass has so many notes a bar. */
	bass: number
}

const major = [0, 2, 4, 5, 7, 9, 11]
const minor = [0, 2, 3, 5, 7, 8, 10]

const moods: Record<string, Mood> = {
	calm: { pace: 66, scale: major, chords: [0, 5, 3, 4], tune: 3, octave: 1, wave: 'sine', bass: 1 },
	bright: { pace: 104, scale: major, chords: [0, 4, 5, 3], tune: 6, octave: 1, wave: 'triangle', bass: 2 },
	dark: { pace: 58, scale: minor, chords: [0, 0, 5, 4], tune: 2, octave: 0, wave: 'sine', bass: 1 },
	tense: {
		pace: 92,
		scale: [0, 1, 3, 5, 6, 8, 10],
		chords: [0, 1, 0, 4],
		tune: 4,
		octave: 0,
		wave: 'triangle',
		bass: 4,
	},
	quick: { pace: 132, scale: minor, chords: [0, 3, 5, 4], tune: 7, octave: 1, wave: 'triangle', bass: 4 },
}

/** A number from 0 to 1 that follows from two whole ones. */
function chance(a: number, b: number): number {
	let n = (a * 374761393 + b * 668265263) | 0
	n = Math.imul(n ^ (n >>> 13), 1274126177)
	return ((n ^ (n >>> 16)) >>> 0) / 2 ** 32
}

/** A note: its height in half tones above the C that lies below the middle one, when and how long, in parts of a bar. */
export interface Note {
	half: number
	at: number
	lasts: number
	loud: number
	part: 'chord' | 'bass' | 'tune' | 'danger'
}

/** The notes of a bar, which follow from the mood, the key and the number of the bar alone. */
export function bar(mood: string, key: number, n: number, danger: boolean): Note[] {
	const m = moods[mood]
	if (!m) return []
	const out: Note[] = []
	const step = (i: number) => m.scale[((i % 7) + 7) % 7] + 12 * Math.floor(i / 7)
	const chord = m.chords[n % m.chords.length]
	for (const third of [0, 2, 4])
		out.push({ half: key + step(chord + third), at: 0, lasts: 1, loud: 0.12, part: 'chord' })
	for (let i = 0; i < m.bass; i++)
		out.push({
			half: key + step(chord + (i % 2 && m.bass > 2 ? 4 : 0)) - 12,
			at: i / m.bass,
			lasts: 0.9 / m.bass,
			loud: 0.22,
			part: 'bass',
		})
	// a phrase of four bars comes again with another ending
	const seed = (n % 4 === 3 ? n % 8 : n % 4) + 31 * key
	let at = chord + 2
	for (let i = 0; i < 8; i++) {
		if (chance(seed * 8 + i, 7) * 10 >= m.tune) continue
		at += Math.floor(chance(seed * 8 + i, 11) * 5) - 2
		at = Math.max(chord - 2, Math.min(chord + 7, at))
		out.push({ half: key + step(at) + 12 * m.octave, at: i / 8, lasts: 0.16, loud: 0.16, part: 'tune' })
	}
	if (danger)
		for (let i = 0; i < 8; i++)
			out.push({ half: key + step(chord) - 12 + (i % 2), at: i / 8, lasts: 0.07, loud: 0.2, part: 'danger' })
	return out
}

/** Plays on and on what a map is to sound like; another mood begins with the next bar. */
export class Music {
	private out?: GainNode
	private timer = 0
	private next = 0
	private n = 0
	private now = { mood: '', key: 0, danger: false }

	/** What is played from now on; an empty mood is silence. */
	play(mood: string, key: number, danger: boolean, volume: number) {
		if (volume <= 0) mood = ''
		if (mood !== this.now.mood) this.n = 0
		this.now = { mood, key, danger }
		if (!mood) return this.end()
		whenSounding(() => this.now.mood && this.begin(volume))
	}

	private begin(volume: number) {
		const c = sounding()
		if (!this.out) {
			this.out = c.createGain()
			this.out.gain.value = 0
			this.out.connect(c.destination)
		}
		this.out.gain.setTargetAtTime(volume * 0.5, c.currentTime, 0.4)
		if (this.timer) return
		this.next = c.currentTime + 0.05
		this.timer = window.setInterval(() => this.ahead(), 100)
		this.ahead()
	}

	private end() {
		clearInterval(this.timer)
		this.timer = 0
		if (!this.out) return
		const { out } = this
		this.out = undefined
		out.gain.setTargetAtTime(0, sounding().currentTime, 0.25)
		setTimeout(() => out.disconnect(), 2000)
	}

	/** Writes down the bars that begin soon. */
	private ahead() {
		const c = sounding()
		const mood = moods[this.now.mood]
		if (!mood || !this.out) return
		// a tab that was asleep goes on from now
		if (this.next < c.currentTime - 1) this.next = c.currentTime + 0.05
		while (this.next < c.currentTime + 0.4) {
			const long = (4 * 60) / mood.pace
			for (const note of bar(this.now.mood, this.now.key, this.n, this.now.danger)) this.sound(note, mood, long)
			this.next += long
			this.n++
		}
	}

	private sound(note: Note, mood: Mood, long: number) {
		const c = sounding()
		const [from, lasts] = [this.next + note.at * long, note.lasts * long]
		const o = c.createOscillator()
		const g = c.createGain()
		o.type =
			note.part === 'bass' ? 'triangle' : note.part === 'danger' ? 'square' : note.part === 'chord' ? 'sine' : mood.wave
		o.frequency.value = 130.8 * Math.pow(2, note.half / 12)
		const rise = note.part === 'chord' ? Math.min(0.5, lasts / 3) : 0.015
		g.gain.setValueAtTime(0, from)
		g.gain.linearRampToValueAtTime(note.loud, from + rise)
		g.gain.setTargetAtTime(0, from + Math.max(rise, lasts * 0.6), lasts * 0.25)
		o.connect(g).connect(this.out!)
		o.start(from)
		o.stop(from + lasts * 2 + 0.1)
	}
}
