<script lang="ts">
	import Volume2 from '@lucide/svelte/icons/volume-2'
	import VolumeX from '@lucide/svelte/icons/volume-x'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { Ambience, type Loop } from './ambience'
	import { Effects } from './effects'
	import { Happened } from './happened'
	import { Music } from './music'
	import { OwnSounds } from './ownSounds'

	// Whether one hears what the hero hears, and what that is: surroundings, music, and what happens.
	let { done, says }: { done: () => void; /** What the game calls it, where that is the player's. */ says?: string } =
		$props()
	const w = workspace()
	const ambience = new Ambience()
	const effects = new Effects()
	const happened = new Happened()
	const music = new Music()
	const own = new OwnSounds(w.project)
	const view = $derived(w.play.view)
	const heard = $derived(view?.heard ?? [])
	/** What is still coming is asked for again after a while. */
	let ticks = $state(0)
	/** The music is a sound of the designer's own. */
	const ownMusic = $derived((void ticks, heard.some((h) => h.plays === 'music' && h.own && !own.wrong(h.own))))
	const loops = $derived.by((): Loop[] => {
		void ticks
		const [surroundings, tune] = [w.wants?.surroundings ?? 1, w.wants?.music ?? 0.7]
		return heard.map((h) => ({
			...h,
			own: h.own ? own.get(h.own) : undefined,
			volume: h.plays === 'music' ? tune : surroundings,
		}))
	})
	$effect(() => {
		if (!plays || !heard.some((h) => h.own && !own.get(h.own) && !own.wrong(h.own))) return
		const timer = setTimeout(() => ticks++, 200)
		return () => clearTimeout(timer)
	})
	$effect(() => {
		if (w.layout.sound) own.prepare()
	})
	const words = $derived(
		[
			...heard.map((h) => {
				const plays = w.project.head.sounds.find((s) => s.id === h.own)?.name ?? h.plays
				return h.by ? `${plays}, ${h.by}` : plays
			}),
			...(view?.music && !ownMusic ? [`${view.music} music`] : []),
		].join(' · ') || 'nothing',
	)
	const plays = $derived(w.layout.sound && w.play.runs)
	/** Who was struck not long ago, or has one heart left, is in danger. */
	const danger = $derived(!!view && view.most > 0 && (view.unhurt > 0 || view.hearts === 1))

	let heardOnce = 0
	$effect(() => {
		if (!view) return
		const { sound, sounds, plays: named } = view.show
		// what happened is noted even where it is not heard, so that nothing of it is heard later
		const since = happened.since(view, w.play.events)
		if (plays || view.show.over) {
			if (w.layout.sound)
				for (const { word, kind } of since) effects.happens(word, w.wants?.sounds, own.heardAs(word, kind, view.map))
		}
		if (plays && sounds === heardOnce + 1)
			effects.play(sound || 'rule', w.wants?.sounds, 1, named ? own.get(named) : own.heardAs(sound, '', view.map))
		heardOnce = sounds
	})
	$effect(() => ambience.hear(plays ? loops : []))
	$effect(() =>
		music.play(plays && !ownMusic ? (view?.music ?? '') : '', view?.key ?? 0, danger, w.wants?.music ?? 0.7),
	)
	$effect(() => {
		Object.assign(globalThis, { azzelSounds: effects.asked })
		return () => (ambience.hear([]), music.play('', 0, false, 0))
	})
</script>

<Hint
	label={says ?? `Sound ${w.layout.sound ? 'on' : 'off'}. Heard here: ${words}`}
	class="button w-9 px-0"
	pressed={says ? w.layout.sound : undefined}
	onclick={() => ((w.layout.sound = !w.layout.sound), done())}
	>{#if w.layout.sound}<Volume2 size={15} />{:else}<VolumeX size={15} />{/if}</Hint
>
