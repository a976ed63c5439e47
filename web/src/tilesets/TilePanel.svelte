<script lang="ts">
	import Pencil from '@lucide/svelte/icons/pencil'
	import X from '@lucide/svelte/icons/x'
	import { cellOf } from '../draw/pictures'
	import type { Frame, Tileset } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import PixelSheet from './PixelSheet.svelte'
	import OwnPart from './OwnPart.svelte'
	import PropertyField from './PropertyField.svelte'

	// What is set up for one tile.
	let { set: t, tile, framing = $bindable(false) }: { set: Tileset; tile: number; framing?: boolean } = $props()
	const w = workspace()
	let drawing = $state(false)
	const info = $derived(t.infos?.find((i) => i.tile === tile))
	const frames = $derived(info?.frames ?? [])
	const mark = (to: object) => w.project.try('markTiles', { id: t.id, tiles: [tile], mark: to })
	const time = (i: number, ms: number) => mark({ frames: frames.map((f, k): Frame => (k === i ? { ...f, ms } : f)) })

	function drop(i: number) {
		const left = frames.filter((_, k) => k !== i)
		mark({ frames: left.length > 1 ? left : [] })
	}

	const valueOf = (name: string) => info?.values?.find((v) => v.name === name)?.value

	// the live preview shows what a player sees
	let now = $state(0)
	$effect(() => {
		if (!frames.length) return
		const timer = setInterval(() => (now = performance.now()), 40)
		return () => clearInterval(timer)
	})
	const shown = $derived.by(() => {
		let at =
			now %
			Math.max(
				1,
				frames.reduce((n, f) => n + f.ms, 0),
			)
		for (const f of frames) {
			if (at < f.ms) return f.tile
			at -= f.ms
		}
		return tile
	})
</script>

<PixelSheet set={t} {tile} bind:open={drawing} />
<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Tile">
	<div class="flex flex-wrap items-center gap-2">
		<GripPicture grip={{ what: 'tiles', cells: [cellOf(t.number, shown)], width: 1, shape: 'freehand' }} size={32} />
		<h2 class="grow font-semibold whitespace-nowrap">Tile {tile}</h2>
		<button class="button" onclick={() => (drawing = true)}><Pencil size={14} /> Pixels…</button>
		<label class="flex items-center gap-1.5" title="Its weight when a scatter draws among tiles"
			>odds
			<input
				class="field w-14 px-1.5 font-mono"
				type="number"
				min="0"
				max="10000"
				aria-label="Odds of the tile"
				value={info?.odds ?? 1}
				onchange={(e) => mark({ odds: Math.trunc(e.currentTarget.valueAsNumber) || 0 })}
			/></label
		>
	</div>
	<label class="flex items-center gap-2"
		><span class="w-12 text-dim">Tags</span>
		{#key `${tile} ${info?.tags?.join()}`}
			<input
				class="field grow"
				value={info?.tags?.join(', ') ?? ''}
				placeholder="words, with commas between"
				aria-label="Tags of the tile"
				onchange={(e) =>
					mark({
						tags: e.currentTarget.value
							.split(',')
							.map((s) => s.trim())
							.filter((s) => s),
					})}
			/>
		{/key}
	</label>
	<label class="flex items-center gap-2"
		><span class="w-12 text-dim">Mirror</span>
		<span class="grow text-[12px]"
			>{(info?.partner ?? -1) >= 0 ? `tile ${info!.partner} shows it flipped` : 'shown flipped by'}</span
		>
		<input
			class="field w-20 font-mono"
			type="number"
			min="0"
			placeholder="none"
			aria-label="Partner of the tile"
			value={(info?.partner ?? -1) >= 0 ? info!.partner : ''}
			onchange={(e) =>
				mark({ partner: Number.isNaN(e.currentTarget.valueAsNumber) ? -1 : Math.trunc(e.currentTarget.valueAsNumber) })}
		/>
	</label>
	<label
		class="flex items-center gap-2"
		title="What the ground of the tile is, wherever it lies; zones are made on a map"
	>
		<span class="w-12 text-dim">Zone</span>
		<select
			class="field grow"
			aria-label="Zone of the tile"
			value={w.project.head.zones.some((z) => z.id === info?.zone) ? info!.zone : ''}
			onchange={(e) => mark({ zone: e.currentTarget.value })}
		>
			<option value="">none</option>
			{#each w.project.head.zones as z (z.id)}
				<option value={z.id}>{z.name}</option>
			{/each}
		</select>
	</label>
	{#each t.properties ?? [] as p (p.name)}
		<div class="flex items-center gap-1.5">
			<span class="w-20 truncate {valueOf(p.name) === undefined ? 'text-dim' : 'font-semibold'}" title={p.name}
				>{p.name}</span
			>
			<PropertyField
				property={p}
				value={valueOf(p.name) ?? p.default}
				label="{p.name} of the tile"
				change={(value) => mark({ value: { name: p.name, value } })}
			/>
			{#if valueOf(p.name) !== undefined}
				<button
					class="button-plain"
					aria-label="Put {p.name} back to its default"
					onclick={() => mark({ reset: p.name })}><X size={13} /></button
				>
			{/if}
		</div>
	{/each}
	<OwnPart
		set={t}
		{tile}
		own={info?.part === 'own' ? (info.own ?? []) : []}
		change={(own) => mark(own ? { own } : { part: '' })}
	/>
	<div class="flex flex-col gap-1">
		<div class="flex items-center gap-2">
			<span class="grow text-dim">Animation</span>
			<button
				class="button h-6 {framing ? 'border-held' : ''}"
				aria-pressed={framing}
				onclick={() => (framing = !framing)}
				>{framing ? 'Press its tiles, then here' : frames.length ? 'Add frames' : 'Animate it'}</button
			>
		</div>
		{#if frames.length}
			<ol class="flex flex-wrap gap-1" aria-label="Frames">
				{#each frames as f, i (i)}
					<li class="flex items-center gap-1 border border-line bg-chalk p-0.5">
						<GripPicture
							grip={{ what: 'tiles', cells: [cellOf(t.number, f.tile)], width: 1, shape: 'freehand' }}
							size={20}
						/>
						<input
							class="field h-6 w-16 font-mono"
							type="number"
							min="10"
							max="60000"
							step="10"
							value={f.ms}
							aria-label="Milliseconds of frame {i + 1}"
							onchange={(e) => time(i, Math.trunc(e.currentTarget.valueAsNumber) || 0)}
						/>
						<button class="button-plain size-5" aria-label="Take frame {i + 1} out" onclick={() => drop(i)}
							><X size={12} /></button
						>
					</li>
				{/each}
			</ol>
		{/if}
	</div>
</section>
