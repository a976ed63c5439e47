<script lang="ts">
	import Volume2 from '@lucide/svelte/icons/volume-2'
	import VolumeX from '@lucide/svelte/icons/volume-x'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { Ambience } from './ambience'
	import { Effects } from './effects'

	// Whether one hears what the hero hears, and what that is.
	let { done }: { done: () => void } = $props()
	const w = workspace()
	const ambience = new Ambience()
	const heard = $derived(w.play.view?.heard ?? [])
	const words = $derived(
		heard.length ? heard.map((h) => (h.by ? `${h.plays}, ${h.by}` : h.plays)).join(' · ') : 'nothing',
	)

	const effects = new Effects()
	let heardOnce = 0
	$effect(() => {
		const show = w.play.view?.show
		if (!show) return
		const { sound, sounds } = show
		if (w.layout.sound && w.play.runs && sounds === heardOnce + 1) effects.play(sound, w.wants?.sounds)
		heardOnce = sounds
	})
	$effect(() => ambience.hear(w.layout.sound && w.play.runs ? heard : [], w.wants?.surroundings))
	$effect(() => () => ambience.hear([]))
</script>

<Hint
	label="Sound {w.layout.sound ? 'on' : 'off'}. Heard here: {words}"
	class="button w-9 px-0"
	onclick={() => ((w.layout.sound = !w.layout.sound), done())}
	>{#if w.layout.sound}<Volume2 size={15} />{:else}<VolumeX size={15} />{/if}</Hint
>
