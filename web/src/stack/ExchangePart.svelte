<script lang="ts">
	import type { Grip, MapInfo } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { nameOf } from '../hand/naming'
	import { workspace } from '../workspace/workspace.svelte'

	// Exchanging a tile for another one, or a tileset for another, place by place.
	let { map: m }: { map: MapInfo } = $props()
	const w = workspace()
	let where = $state<'selection' | 'map' | 'project'>('map')
	/** Cells of the two tiles; 0 is none. */
	let from = $state(0)
	let to = $state(0)
	let laid = $state(false)
	let setFrom = $state('')
	let setTo = $state('')

	const singles = $derived(
		w.hand.lately
			.flatMap((s) => (s.grip.what === 'tiles' && s.grip.cells?.length === 1 ? [s.grip] : []))
			.filter((g, i, all) => all.findIndex((o) => o.cells![0] === g.cells![0]) === i),
	)

	function exchange() {
		const done = w.project.try('exchange', {
			map: m.id,
			in: where,
			swaps: [{ from, to }],
			from: '',
			to: '',
			laid: laid && where !== 'project',
		})
		if (!done) return
		w.notices.say(
			done.made ? `${done.text}. A rule lays it: “lay layer”, under The map.` : `${done.text}.`,
			'done',
			w.project.undoOf(done),
		)
	}

	function exchangeSets() {
		const done = w.project.try('exchange', { map: m.id, in: where, swaps: [], from: setFrom, to: setTo, laid: false })
		if (done) w.notices.say(`${done.text}.`, 'done', w.project.undoOf(done))
	}
</script>

{#snippet tilePick(label: string, chosen: number, choose: (cell: number) => void, none: string)}
	<div class="flex flex-wrap gap-1" role="radiogroup" aria-label={label}>
		{#if none}
			<button role="radio" aria-checked={!chosen} class="button {chosen ? '' : 'border-held'}" onclick={() => choose(0)}
				>{none}</button
			>
		{/if}
		{#each singles as g (g.cells![0])}
			{@const cell = g.cells![0]}
			<button
				role="radio"
				aria-checked={chosen === cell}
				aria-label={nameOf(w.project, g as Grip)}
				class="border-2 p-0.5 {chosen === cell ? 'border-held' : 'border-line'}"
				onclick={() => choose(cell)}><GripPicture grip={g} size={24} /></button
			>
		{/each}
	</div>
{/snippet}

<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Exchange tiles">
	<h3 class="heading">Exchange tiles</h3>
	<label class="flex items-center gap-2"
		>In <select class="field grow" bind:value={where} aria-label="Where tiles are exchanged">
			<option value="selection" disabled={!w.area}>the selection</option>
			<option value="map">this map</option>
			<option value="project">all maps</option>
		</select></label
	>
	{#if singles.length}
		{@render tilePick('Tile that is exchanged', from, (cell) => (from = cell), '')}
		<span class="text-[12px] text-dim">for</span>
		{@render tilePick('Tile that takes its place', to, (cell) => (to = cell), 'nothing')}
		{#if where !== 'project'}
			<label class="flex items-start gap-2">
				<input type="checkbox" class="mt-0.5 accent-glaze" bind:checked={laid} />
				on a layer of its own, which rules lay over the map and lift off again
			</label>
		{/if}
		<button class="button" disabled={!from || from === to || (laid && where !== 'project' && !to)} onclick={exchange}
			>{laid && where !== 'project' ? 'Make the layer' : 'Exchange the tile'}</button
		>
	{:else}
		<p class="text-[12px] text-dim">Hold the tiles once: they are offered here from the tray.</p>
	{/if}
	{#if w.project.head.tilesets.length > 1}
		<div class="grid grid-cols-2 gap-1.5">
			<select class="field" bind:value={setFrom} aria-label="Tileset that is exchanged">
				<option value="">a tileset…</option>
				{#each w.project.head.tilesets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
			</select>
			<select class="field" bind:value={setTo} aria-label="Tileset that takes its place">
				<option value="">for…</option>
				{#each w.project.head.tilesets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
			</select>
		</div>
		<button class="button" disabled={!setFrom || !setTo || setFrom === setTo} onclick={exchangeSets}
			>Exchange the tileset, place by place</button
		>
	{/if}
</section>
