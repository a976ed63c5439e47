<script lang="ts">
	import type { Entity } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// The picture of what is selected: the tile in hand, turned, tinted, fainter, or drawn by odds.
	let { list, set, turn }: { list: Entity[]; set: (field: string, value: unknown) => void; turn: (t: number) => void } =
		$props()
	const w = workspace()
	const one = $derived(list.length === 1 ? list[0] : null)
	const kinds = $derived(list.map((e) => w.project.kind(e.kind)))
	const tints = $derived(kinds.every((k) => k?.tints))
	const tray = $derived(
		w.hand.lately.flatMap((s) => (s.grip.what === 'tiles' && s.grip.cells?.length === 1 ? [s.grip.cells[0]] : [])),
	)
	const variants = $derived(one?.variants ?? [])
	const sum = $derived(variants.reduce((n, v) => n + v.odds, 0))
	const picture = (cell: number) => ({ what: 'tiles' as const, cells: [cell], width: 1, shape: 'freehand' as const })
</script>

<div class="flex flex-wrap items-center gap-1">
	<span class="w-16 text-dim">Picture</span>
	{#each tray.slice(0, 5) as cell, i (i)}
		<button
			class="border border-line p-0.5 hover:border-glaze"
			title="Shown as this tile"
			onclick={() => set('look', cell)}
		>
			<GripPicture grip={picture(cell)} size={20} />
		</button>
	{/each}
	{#if list.some((e) => e.look)}
		<button class="button h-6" onclick={() => set('look', 0)}>as its kind</button>
	{:else if !tray.length}
		<span class="text-[12px] text-dim">tiles in the tray are offered here</span>
	{/if}
</div>
<div class="flex items-center gap-1">
	<span class="w-16 text-dim">Turn</span>
	<button class="button h-6" onclick={() => turn(1)}>right</button>
	<button class="button h-6" onclick={() => turn(4)}>flip</button>
	<button class="button h-6" onclick={() => turn(6)}>up–down</button>
</div>
{#if tints}
	<label class="flex items-center gap-1"
		><span class="w-16 text-dim">Tint</span>
		<input
			type="color"
			class="h-6 w-10"
			value={one?.tint || '#ffffff'}
			onchange={(e) => set('tint', e.currentTarget.value === '#ffffff' ? '' : e.currentTarget.value)}
		/>
	</label>
	<label class="flex items-center gap-1"
		><span class="w-16 text-dim">Faint</span>
		<input
			type="range"
			min="0"
			max="100"
			step="5"
			class="min-w-0 grow accent-glaze"
			value={list[0]?.faint ?? 0}
			onchange={(e) => set('faint', Number(e.currentTarget.value))}
		/>
	</label>
{/if}
{#if one}
	<div class="flex flex-wrap items-center gap-1" role="group" aria-label="Variants">
		<span class="w-16 text-dim">Variants</span>
		{#each variants as v, i (i)}
			<span class="flex items-center gap-0.5 border border-line p-0.5">
				{#if v.look}<GripPicture grip={picture(v.look)} size={18} />{:else}<span class="px-1 text-[11px]"
						>not there</span
					>{/if}
				<input
					class="field h-6 w-11 px-1 font-mono"
					type="number"
					min="0"
					aria-label="Odds of variant {i + 1}"
					value={v.odds}
					onchange={(e) =>
						set(
							'variants',
							variants.map((o, k) => (k === i ? { ...o, odds: Math.trunc(e.currentTarget.valueAsNumber) || 0 } : o)),
						)}
				/>
				<span class="font-mono text-[11px] text-dim">{sum ? Math.round((100 * v.odds) / sum) : 0}%</span>
				<button
					class="px-1 text-dim hover:text-brick"
					aria-label="Take variant {i + 1} away"
					onclick={() =>
						set(
							'variants',
							variants.filter((_, k) => k !== i),
						)}>×</button
				>
			</span>
		{/each}
		<button
			class="button h-6"
			disabled={!tray.length}
			title="Adds the tile held last"
			onclick={() => set('variants', [...variants, { look: tray[0], odds: 1 }])}>+ tile</button
		>
		<button class="button h-6" onclick={() => set('variants', [...variants, { look: 0, odds: 1 }])}>+ not there</button>
	</div>
{/if}
