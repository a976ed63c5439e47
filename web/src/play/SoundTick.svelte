<script lang="ts">
	import Volume2 from '@lucide/svelte/icons/volume-2'
	import VolumeX from '@lucide/svelte/icons/volume-x'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { Ambience } from './ambience'
	import { Effects } from './effects'
	import { Happened } from './happened'
	import { Music } from './music'

	// Whether one hears what the hero hears, and what that is: surroundings, music, and what happens.
	let { done, says }: { done: () => void; /** What the game calls it, where that is the player's. */ says?: string } =
		$props()
	const w = workspace()
	const ambience = new Ambience()
	const effects = new Effects()
	const happened = new Happened()
	const music = new Music()
	const view = $derived(w.play.view)
	const heard = $derived(view?.heard ?? [])
	const words = $derived(
		[
			...heard.map((h) => (h.by ? `${h.plays}, ${h.by}` : h.plays)),
			...(view?.music ? [`${view.music} music`] : []),
		].join(' · ') || 'nothing',
	)
	const plays = $derived(w.layout.sound && w.play.runs)
	/** Who was struck not long ago, or has one heart left, is in danger. */
	const danger = $derived(!!view && view.most > 0 && (view.unhurt > 0 || view.hearts === 1))

	let heardOnce = 0
	$effect(() => {
		if (!view) return
		const { sound, sounds } = view.show
		// what happened is noted even where it is not heard, so that nothing of it is heard later
		const since = happened.since(view, w.play.events)
		if (plays || view.show.over) {
			if (w.layout.sound) for (const word of since) effects.happens(word, w.wants?.sounds)
		}
		if (plays && sounds === heardOnce + 1) effects.play(sound, w.wants?.sounds)
		heardOnce = sounds
	})
	$effect(() => ambience.hear(plays ? heard : [], w.wants?.surroundings))
	$effect(() => music.play(plays ? (view?.music ?? '') : '', view?.key ?? 0, danger, w.wants?.music ?? 0.7))
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
