<script lang="ts">
	import { seenFrom } from './seen'
	import SeenChoice from '../controls/SeenChoice.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// A new map: its name, and its size in cells or in screens.
	let { made }: { made: () => void } = $props()
	const w = workspace()
	const project = $derived(w.project.head.project)
	const screen = $derived(project.screen.w ? project.screen : { w: 20, h: 14 })
	const sizes = $derived([
		{ name: 'One screen', w: screen.w, h: screen.h },
		{ name: 'Two by two screens', w: screen.w * 2, h: screen.h * 2 },
		{ name: 'Four screens long', w: screen.w * 4, h: screen.h },
		...(project.presets ?? []),
	])
	const templates = $derived(w.project.head.maps.filter((m) => m.template))
	let name = $state('')
	let from = $state('')
	// as the map is that one comes from
	let seen = $state(seenFrom(w, w.map))
	let width = $state<number | null>(32)
	let height = $state<number | null>(24)
	const fits = $derived(
		width && height && width % screen.w === 0 && height % screen.h === 0
			? `${width / screen.w} × ${height / screen.h} screens`
			: '',
	)

	function make(e: Event) {
		e.preventDefault()
		const called = name.trim() || `Map ${w.project.head.maps.length + 1}`
		const done = from
			? w.project.try('copyMap', { map: from, name: called, passages: false, w: width ?? 0, h: height ?? 0 })
			: w.project.try('newMap', { name: called, w: width ?? 0, h: height ?? 0, seen })
		if (!done?.made) return
		made()
		w.show(done.made)
		const got = w.project.map(done.made)?.name
		if (name.trim() && got !== called) w.notices.taken(called, got ?? '')
	}

	function keep() {
		const presets = [...(project.presets ?? []), { name: `${width} × ${height}`, w: width ?? 0, h: height ?? 0 }]
		w.project.try('set', { ref: { type: 'project' }, field: 'presets', value: presets, text: 'Kept a size of maps' })
	}
</script>

<form class="flex flex-col gap-1.5 border-y border-line bg-chalk p-2" onsubmit={make} novalidate>
	<!-- svelte-ignore a11y_autofocus -->
	<input class="field w-full" placeholder="Name" aria-label="Name of the new map" bind:value={name} autofocus />
	{#if templates.length}
		<select
			class="field w-full"
			aria-label="Made from"
			bind:value={from}
			onchange={() => {
				const m = w.project.map(from)
				if (m) [width, height] = [m.bounds.w, m.bounds.h]
			}}
		>
			<option value="">the layer plan</option>
			{#each templates as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
		</select>
	{/if}
	<div class="flex items-center gap-1">
		<input
			class="field w-full font-mono"
			type="number"
			min="1"
			max="2048"
			aria-label="Width in cells"
			bind:value={width}
		/>
		×
		<input
			class="field w-full font-mono"
			type="number"
			min="1"
			max="2048"
			aria-label="Height in cells"
			bind:value={height}
		/>
	</div>
	{#if !from}<SeenChoice bind:seen wide />{/if}
	<p class="text-[12px] text-dim">
		{fits || `a screen is ${screen.w} × ${screen.h}`}
		{#if width && height && !sizes.some((s) => s.w === width && s.h === height)}
			· <button type="button" class="underline hover:text-ink" onclick={keep}>keep this size</button>
		{/if}
	</p>
	<ul class="flex flex-col" aria-label="Sizes">
		{#each sizes as s (s.name)}
			<li class="flex">
				<button
					type="button"
					class="flex h-6 min-w-0 grow items-center gap-1 px-1 text-left text-[12px] hover:bg-well"
					aria-pressed={s.w === width && s.h === height}
					onclick={() => ([width, height] = [s.w, s.h])}
				>
					<span class="grow truncate">{s.name}</span>
					<span class="font-mono text-dim">{s.w}×{s.h}</span>
				</button>
			</li>
		{/each}
	</ul>
	<button class="button button-main">Make the map</button>
</form>
