<script lang="ts">
	import ScanSearch from '@lucide/svelte/icons/scan-search'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { cellOf } from '../draw/pictures'
	import type { Material, Tileset } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'
	import { follows } from './cutWords'
	import FormPicture from './FormPicture.svelte'

	let {
		material: m,
		set: t,
		chosen,
		recognising = $bindable(false),
	}: { material: Material; set: Tileset; chosen: number; recognising?: boolean } = $props()
	const w = workspace()
	const one = $derived(m.tiles?.find((o) => o.cell === cellOf(t.number, chosen)))
	const counts = $derived.by(() => {
		const out = { has: 0, turned: 0, composed: 0, lacks: 0 }
		for (const c of m.covers) out[c.how]++
		return out
	})
	const set = (field: string, value: unknown, text = `Changed material ${m.name}`) =>
		w.project.try('set', { ref: { type: 'material', id: m.id }, field, value, text })
	const mark = (change: { odds?: number; beside?: number }) =>
		one && w.project.try('markMaterial', { id: m.id, tiles: [{ ...one, ...change }], by: '' })
	/** What the edges of all its tiles are to; −1 where they differ. */
	const beside = $derived(m.tiles?.every((o) => o.beside === m.tiles![0].beside) ? (m.tiles[0]?.beside ?? 0) : -1)
</script>

<div class="flex flex-col gap-3" aria-label="Material" role="group">
	<label class="flex flex-col gap-1">
		<span class="heading">Name</span>
		{#key m.id + m.name}
			<input
				class="field"
				maxlength="80"
				value={m.name}
				onblur={(e) =>
					e.currentTarget.value !== m.name && set('name', e.currentTarget.value, `Renamed material ${m.name}`)}
				onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
			/>
		{/key}
	</label>
	<label class="flex items-center gap-2"
		><span class="w-20 text-dim">Is</span>
		<select class="field grow" value={m.is} onchange={(e) => set('is', e.currentTarget.value)}>
			{#each w.project.head.materialWords as o (o.is)}<option value={o.is}>{o.is}: {o.help}</option>{/each}
		</select></label
	>
	<label class="flex items-center gap-2"
		><span class="w-20 text-dim">Edges follow</span>
		<select class="field grow" value={m.by} onchange={(e) => set('by', e.currentTarget.value)}>
			{#each Object.entries(follows) as [by, words] (by)}<option value={by}>{words}</option>{/each}
		</select></label
	>
	<div class="border-l-2 border-glaze pl-2">
		<p>
			Paint over the sheet: which sides and corners of each tile are {m.name}. The middle takes a tile in; the secondary
			button clears.
		</p>
	</div>
	<Hint
		label={recognising
			? `Now press the tile that is all ${m.name}…`
			: `Recognise the tiles, from the one that is ${m.name} all over`}
		class="button {recognising ? 'border-held' : m.tiles?.length ? '' : 'button-main'}"
		expanded={recognising}
		onclick={() => (recognising = !recognising)}
	>
		<ScanSearch size={15} />
		{recognising ? `Now press the tile that is all ${m.name}…` : 'Recognise the tiles'}
	</Hint>
	<section class="flex flex-col gap-1.5" aria-label="Forms">
		<h2 class="heading">Forms</h2>
		<p data-testid="covers">
			{counts.has} of {m.covers.length} have a tile{counts.turned
				? `, ${counts.turned} by turning`
				: ''}{counts.composed ? `, ${counts.composed} of quarters` : ''}{counts.lacks ? '' : '.'}
			{#if counts.lacks}<b class="text-brick">{counted(counts.lacks, 'gap')}.</b>{/if}
		</p>
		<div class="flex flex-wrap gap-1">
			{#each m.covers as c (c.form)}<FormPicture cover={c} />{/each}
		</div>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="accent-glaze"
				checked={m.turns}
				onchange={(e) => set('turns', e.currentTarget.checked)}
			/> fill missing forms by turning and flipping</label
		>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="accent-glaze"
				checked={m.composes}
				onchange={(e) => set('composes', e.currentTarget.checked)}
			/> put missing forms together of quarters</label
		>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="accent-glaze"
				checked={m.beyond}
				onchange={(e) => set('beyond', e.currentTarget.checked)}
			/> goes on beyond the map’s border</label
		>
	</section>
	{#if m.tiles?.length}
		<label class="flex items-center gap-2"
			><span class="grow">Edges of all its tiles are to</span>
			<select
				class="field w-36"
				value={beside}
				onchange={(e) => w.project.try('setBeside', { id: m.id, beside: Number(e.currentTarget.value) })}
			>
				{#if beside < 0}<option value={-1} disabled>different ones</option>{/if}
				<option value={0}>anything</option>
				{#each w.project.head.materials.filter((o) => o.id !== m.id) as o (o.id)}<option value={o.number}
						>{o.name}</option
					>{/each}
			</select></label
		>
	{/if}
	{#if one}
		<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Tile of the material">
			<h2 class="heading">Tile {chosen}</h2>
			<label class="flex items-center gap-2"
				><span class="grow">Odds among tiles of its form</span>
				<input
					class="field w-20 font-mono"
					type="number"
					min="0"
					max="10000"
					value={one.odds}
					title="0 counts as {m.name} and is never put down"
					onchange={(e) => mark({ odds: Math.max(0, Math.trunc(e.currentTarget.valueAsNumber) || 0) })}
				/></label
			>
			<label class="flex items-center gap-2"
				><span class="grow">Its edges are to</span>
				<select class="field w-36" value={one.beside} onchange={(e) => mark({ beside: Number(e.currentTarget.value) })}>
					<option value={0}>anything</option>
					{#each w.project.head.materials.filter((o) => o.id !== m.id) as o (o.id)}<option value={o.number}
							>{o.name}</option
						>{/each}
				</select></label
			>
		</section>
	{/if}
	<div class="flex gap-2">
		<button
			class="button grow"
			onclick={() => {
				w.layout.show('materials')
				w.holdOnMap({ what: 'material', number: m.number })
			}}>Hold it</button
		>
		<Hint
			label="Delete this material"
			class="button hover:text-brick"
			onclick={() => {
				w.project.try('remove', { ref: { type: 'material', id: m.id }, text: `Deleted material ${m.name}` })
				w.materialId = ''
			}}><Trash2 size={14} /> Delete</Hint
		>
	</div>
</div>
