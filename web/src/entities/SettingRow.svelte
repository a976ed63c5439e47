<script lang="ts">
	import Undo from '@lucide/svelte/icons/undo'
	import type { Detail } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import TileChoice from '../hand/TileChoice.svelte'
	import SharesField from './SharesField.svelte'
	import SeveralWords from './SeveralWords.svelte'
	import MessagePreview from './MessagePreview.svelte'

	// One setting of what is selected: its name, its value in the field that its
	// type asks for, and the way back to what its kind says.
	let { detail: d, set, reset }: { detail: Detail; set: (value: string) => void; reset?: () => void } = $props()
	const w = workspace()
	const spoken = $derived(d.type === 'text' && d.key === 'says')
	/** What needs all of the width has its name above it. */
	const wide = $derived(
		spoken ||
			['several', 'shares'].includes(d.type) ||
			(d.type === 'choice' && d.choices.some((c) => c.name.length > 13)),
	)
	const others = $derived(d.type === 'entity' && w.map ? w.project.entities(w.map.id) : [])

	/** None of it is shown as the word for that. */
	const shown = $derived(d.zero && d.value === '0' ? '' : d.value)

	function write(input: HTMLInputElement | HTMLTextAreaElement) {
		const written = input.value.trim() || (d.zero && !d.mixed ? '0' : '')
		if (written !== d.value || d.mixed) set(written)
		// what was refused shows as it is
		queueMicrotask(() => (input.value = d.mixed ? '' : shown))
	}

	function keydown(e: KeyboardEvent & { currentTarget: HTMLInputElement }) {
		e.stopPropagation()
		if (e.key === 'Escape') e.currentTarget.value = d.value
		if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
	}
</script>

<div class="flex min-h-7 items-center gap-1.5 {wide ? 'flex-wrap' : ''}" title={d.help} data-setting={d.key}>
	<span class="{wide ? 'grow' : 'w-[84px]'} shrink-0 leading-tight {d.differs ? 'font-semibold' : 'text-dim'}"
		>{d.name}</span
	>
	<span class="flex min-w-0 grow items-center gap-1 {wide ? 'order-last w-full' : ''}">
		{#if d.type === 'yes/no'}
			<label class="flex grow items-center gap-1.5">
				<input
					type="checkbox"
					class="accent-glaze"
					aria-label={d.name}
					checked={d.value === 'yes'}
					indeterminate={d.mixed}
					onchange={(e) => set(e.currentTarget.checked ? 'yes' : 'no')}
				/>
				{d.mixed ? 'differs' : d.value}
			</label>
		{:else if d.type === 'choice'}
			<select
				class="field min-w-0 grow"
				aria-label={d.name}
				value={d.mixed ? '' : d.value}
				onchange={(e) => set(e.currentTarget.value)}
			>
				{#if d.mixed}<option value="" disabled>differs</option>{/if}
				{#each d.choices as c (c.key)}<option value={c.key}>{c.name}</option>{/each}
			</select>
		{:else if d.type === 'shares'}
			<SharesField name={d.name} unit={d.unit} value={d.value} mixed={d.mixed} {set} />
		{:else if d.type === 'several'}
			<SeveralWords name={d.name} choices={d.choices.map((c) => c.name)} value={d.value} mixed={d.mixed} {set} />
		{:else if d.type === 'entity'}
			<select
				class="field min-w-0 grow"
				aria-label={d.name}
				value={d.mixed ? '?' : d.value}
				onchange={(e) => set(e.currentTarget.value)}
			>
				{#if d.mixed}<option value="?" disabled>differs</option>{/if}
				<option value="">none</option>
				{#each others as o (o.id)}
					{#if d.key !== 'path' || w.project.kind(o.kind)?.ways}<option value={o.id}>{o.name}</option>{/if}
				{/each}
			</select>
		{:else if d.type === 'tile'}
			<TileChoice name={d.name} cell={Number(d.value) || 0} set={(cell) => set(String(cell))} />
		{:else if d.type === 'colour'}
			<input
				type="color"
				class="h-7 w-10 grow"
				aria-label={d.name}
				value={d.value || '#000000'}
				onchange={(e) => set(e.currentTarget.value)}
			/>
		{:else if spoken}
			<MessagePreview value={d.mixed ? '' : d.value} mixed={d.mixed} change={set} />
		{:else}
			{#key `${d.value} ${d.mixed}`}
				<input
					class="field min-w-0 grow {['number', 'duration'].includes(d.type) ? 'font-mono' : ''}"
					aria-label={d.name}
					placeholder={d.mixed ? 'differs' : d.zero || (d.type === 'counts' ? '3, 5, 8' : '')}
					value={d.mixed ? '' : shown}
					inputmode={['number', 'duration'].includes(d.type) ? 'decimal' : undefined}
					onblur={(e) => write(e.currentTarget)}
					onkeydown={keydown}
				/>
			{/key}
			{#if d.unit && !(d.zero && !shown)}<span class="max-w-14 shrink-0 truncate text-[11px] text-dim">{d.unit}</span
				>{/if}
		{/if}
	</span>
	{#if reset && d.differs}
		<button class="button-plain w-6" aria-label="Put back {d.name}" title="Put back what its kind says" onclick={reset}
			><Undo size={14} /></button
		>
	{/if}
</div>
