<script lang="ts">
	import Play from '@lucide/svelte/icons/play'
	import Square from '@lucide/svelte/icons/square'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import X from '@lucide/svelte/icons/x'
	import { onDestroy } from 'svelte'
	import type { Hearing, Sound, SoundWord } from '../core/contract.gen'
	import type { ID } from '../core/types'
	import { OwnSounds, readied } from '../play/ownSounds'
	import { sounding } from '../play/sounding'
	import { workspace } from '../workspace/workspace.svelte'
	import SoundWave from './SoundWave.svelte'

	// A sound of the designer's own: how it is called, the part of it that is heard, and what it is heard as.
	let { sound, words }: { sound: Sound; words: SoundWord[] } = $props()
	const w = workspace()
	const p = w.project
	const groups = $derived([...new Set(words.map((o) => o.group))])
	let when = $state('take')
	let of = $state<ID>('')
	let on = $state<ID>('')
	const word = $derived(words.find((o) => o.word === when))

	const set = (field: string, value: unknown, text: string) =>
		p.try('set', { ref: { type: 'sound', id: sound.id }, field, value, text })

	function trim(from: number, to: number) {
		const end = to >= sound.lasts ? 0 : to
		if (from !== (sound.from ?? 0)) set('from', from, `${sound.name} begins elsewhere`)
		else if (end !== (sound.to ?? 0)) set('to', end, `${sound.name} ends elsewhere`)
	}

	const mapName = (id: ID) => p.head.maps.find((m) => m.id === id)?.name ?? 'a map that is gone'
	const kindName = (id: ID) => p.head.kinds.find((k) => k.id === id)?.name ?? 'a kind that is gone'
	const says = (h: Hearing) =>
		[
			words.find((o) => o.word === h.when)?.name ?? h.when,
			...(h.kind ? [`of ${kindName(h.kind)}`] : []),
			...(h.map ? [`on ${mapName(h.map)}`] : []),
		].join(' ')

	function hear() {
		const as: Hearing = { when }
		if (of && word?.ofKind) as.kind = of
		if (on) as.map = on
		p.try('hearSound', { id: sound.id, as, on: true })
	}

	// heard while it is chosen
	let source: AudioBufferSourceNode | null = null
	let at = $state(-1)
	let frame = 0

	function stop() {
		cancelAnimationFrame(frame)
		source?.stop()
		source = null
		at = -1
	}

	async function listen() {
		if (source) return stop()
		const buffer = await OwnSounds.decoded(sound.file)
		if (!buffer) return
		const part = readied(sound, buffer)
		const context = sounding()
		const gain = context.createGain()
		gain.gain.value = part.loud
		source = context.createBufferSource()
		source.buffer = buffer
		source.connect(gain).connect(context.destination)
		const begun = performance.now()
		// one that was stopped ends later, when another is heard
		const mine = source
		source.onended = () => source === mine && stop()
		source.start(0, part.from, part.lasts)
		const follow = () => {
			at = (sound.from ?? 0) + performance.now() - begun
			frame = requestAnimationFrame(follow)
		}
		follow()
	}
	onDestroy(stop)
</script>

<article class="flex flex-col gap-1 border border-line p-2" aria-label={sound.name}>
	<div class="flex items-center gap-1">
		<button class="button w-8 px-0" aria-label={at < 0 ? `Hear ${sound.name}` : 'Stop'} onclick={listen}
			>{#if at < 0}<Play size={14} />{:else}<Square size={14} />{/if}</button
		>
		{#key sound.name}
			<input
				class="field min-w-0 grow"
				aria-label="Name"
				value={sound.name}
				maxlength="80"
				onchange={(e) => {
					const name = e.currentTarget.value.trim()
					if (name) set('name', name, `Renamed ${sound.name}`)
					e.currentTarget.value = sound.name
				}}
			/>
		{/key}
		<span class="text-dim tabular-nums">{(sound.lasts / 1000).toFixed(1)} s</span>
		<button
			class="button w-8 px-0"
			aria-label="Remove {sound.name}"
			title="Remove"
			onclick={() => p.try('remove', { ref: { type: 'sound', id: sound.id }, text: `Removed ${sound.name}` })}
			><Trash2 size={14} /></button
		>
	</div>
	<SoundWave {sound} {at} set={trim} />
	<label class="flex items-center gap-1.5">
		<span class="w-[84px] shrink-0 text-dim">loudness</span>
		<input
			type="range"
			class="min-w-0 grow accent-glaze"
			min="5"
			max="200"
			step="5"
			value={sound.loud || 100}
			onchange={(e) => set('loud', e.currentTarget.valueAsNumber, `${sound.name} is as loud as this`)}
		/>
		<span class="w-10 text-right text-dim tabular-nums">{sound.loud || 100} %</span>
	</label>
	{#if sound.as?.length}
		<ul class="flex flex-wrap gap-1" aria-label="Heard when">
			{#each sound.as as h (JSON.stringify(h))}
				<li class="flex items-center gap-1 bg-well py-0.5 pr-0.5 pl-2">
					{says(h)}
					<button
						class="flex size-6 items-center justify-center hover:text-brick"
						aria-label="Not when {says(h)}"
						onclick={() => p.try('hearSound', { id: sound.id, as: h, on: false })}><X size={13} /></button
					>
				</li>
			{/each}
		</ul>
	{:else}<p class="text-dim">It is heard nowhere yet: say when, or let a rule play it.</p>{/if}
	<div class="grid grid-cols-[1fr_1fr_auto] gap-1">
		<select class="col-span-3 field" aria-label="Heard when" bind:value={when}>
			{#each groups as g (g)}<optgroup label={g}>
					{#each words.filter((o) => o.group === g) as o (o.word)}<option value={o.word}>{o.name}</option>{/each}
				</optgroup>{/each}
		</select>
		<select class="field min-w-0" aria-label="Of a kind" bind:value={of} disabled={!word?.ofKind}>
			<option value="">of anything</option>
			{#each p.head.kinds as k (k.id)}<option value={k.id}>of {k.name}</option>{/each}
		</select>
		<select class="field min-w-0" aria-label="On a map" bind:value={on}>
			<option value="">everywhere</option>
			{#each p.head.maps as m (m.id)}<option value={m.id}>on {m.name}</option>{/each}
		</select>
		<button class="button" onclick={hear}>Hear it then</button>
	</div>
</article>
