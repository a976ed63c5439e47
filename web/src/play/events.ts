import type { PlayEvent } from '../core/types'

const said: Record<string, (name: string) => string> = {
	take: (n) => `took ${n}`,
	use: (n) => `used ${n}`,
	open: (n) => `${n} was opened`,
	arrive: (n) => `came to ${n}`,
	goal: (n) => `reached the goal, ${n}`,
	checkpoint: (n) => `reached ${n}`,
	shut: (n) => `found ${n} shut`,
	struck: () => 'was struck',
	fell: () => 'fell over the edge',
	back: () => 'came back',
	enter: (n) => `${n} was come to`,
	push: (n) => `pushed ${n}`,
	spring: (n) => `was thrown by ${n}`,
	hit: (n) => `hit ${n}`,
	defeat: (n) => `defeated ${n}`,
	gives: (n) => `${n} gave way`,
	shuts: (n) => `${n} fell shut`,
	turnOn: (n) => `${n} was turned on`,
	turnOff: (n) => `${n} was turned off`,
	flip: (n) => `${n} was flipped`,
	show: (n) => `${n} was shown`,
	hide: (n) => `${n} was hidden`,
	bring: (n) => `${n} was put there`,
	remove: (n) => `${n} was taken away`,
	enable: (n) => `${n} was enabled`,
	disable: (n) => `${n} was disabled`,
	make: (n) => `${n} made one`,
	made: (n) => `${n} came`,
	rings: (n) => `${n} rang`,
	ends: (n) => `${n} has nothing left`,
	wave: (n) => `${n}: the next wave`,
	through: (n) => `${n} came through`,
	falls: (n) => `${n} fell`,
	lit: (n) => `${n} was lit`,
	blast: (n) => `${n} went off`,
	built: (n) => `put up ${n}`,
	sinks: (n) => `${n} sank`,
	leads: (n) => `${n || 'the hero'} is led`,
	tried: (n) => (n ? `“${n}” was tried` : 'a rule was tried'),
	guise: (n) => `${n}`,
	lay: (n) => `${n} was laid`,
	lift: (n) => `${n} was lifted`,
	skips: () => 'skipped the scene',
	win: (n) => (n ? `won: ${n}` : 'won'),
	lose: (n) => (n ? `lost: ${n}` : 'lost'),
	read: (n) => `listened to ${n}`,
}

/** What happened, in words. */
export const told = (e: PlayEvent) => (e.rule ? ruled(e) : toldAs(e.is, e.name))

/** Something that happened, in words. */
export const toldAs = (is: string, name: string) => said[is]?.(name) ?? is

/** A rule that ran, or that was asked and did not: what it asks for was not so. */
function ruled(e: PlayEvent): string {
	const rule = e.name ? `the rule “${e.name}”` : 'a rule'
	if (e.is !== 'asked') return `${rule} ran`
	return `${rule} was asked, but not: ${e.why ?? 'what it asks for'}${e.counted === undefined ? '' : ` (it was ${e.counted})`}`
}

/** Ticks as seconds. */
export const seconds = (ticks: number) => `${(ticks / 60).toFixed(1)} s`

/** Events that fall on the same part of the bar, and where that lies, in hundredths. */
export function marks(events: PlayEvent[], from: number, to: number): { at: number; events: PlayEvent[] }[] {
	const out: { at: number; events: PlayEvent[] }[] = []
	const length = Math.max(1, to - from)
	for (const e of events) {
		const at = Math.round(((e.tick - from) / length) * 100)
		if (at < 0 || at > 100) continue
		const last = out.at(-1)
		if (last?.at === at) last.events.push(e)
		else out.push({ at, events: [e] })
	}
	return out
}
