<script lang="ts">
	import type { Facing, Property } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import PropertyField from './PropertyField.svelte'
	import { sameMark, type SheetMark } from './sheetMarks'

	// What is painted over the sheet.
	let { mark = $bindable(), properties }: { mark: SheetMark; properties: Property[] } = $props()
	const w = workspace()
	const sides: { side: Facing; help: string }[] = [
		{ side: 'up', help: 'nobody comes in from above' },
		{ side: 'right', help: 'nobody comes in from the right' },
		{ side: 'down', help: 'nobody comes in from below' },
		{ side: 'left', help: 'nobody comes in from the left' },
	]
	// what is named or written before it is painted
	let what = $state('tag')
	let tag = $state('')
	let odds = $state<number | null>(2)
	let zone = $state('')
	let value = $state('')
	const property = $derived(properties.find((p) => `own ${p.name}` === what))
	const written = $derived.by((): SheetMark | null => {
		if (what === 'tag') return tag.trim() ? { kind: 'tag', tag: tag.trim() } : null
		if (what === 'odds') return odds === null ? null : { kind: 'odds', odds }
		if (what === 'zone') {
			const z = w.project.head.zones.find((o) => o.id === zone) ?? w.project.head.zones[0]
			return z ? { kind: 'zone', zone: z.id } : null
		}
		return property ? { kind: 'value', name: property.name, value } : null
	})

	/** Takes what is written into the hand. */
	function hold() {
		if (written) mark = written
	}

	const look = (m: SheetMark) =>
		`flex h-8 items-center justify-center border px-1 hover:border-glaze ${
			sameMark(m, mark) ? 'border-held bg-chalk outline-2 -outline-offset-2 outline-held' : 'border-line'
		}`
</script>

<section class="flex flex-col gap-1.5" aria-label="Painted over the sheet">
	<h2 class="heading">Paint over the sheet with</h2>
	<div class="flex gap-1">
		<button
			class="{look({ kind: 'solid' })} grow"
			aria-pressed={mark.kind === 'solid'}
			onclick={() => (mark = { kind: 'solid' })}>solid</button
		>
		{#each w.project.head.grounds as is (is)}
			<button
				class="{look({ kind: 'is', is })} grow"
				aria-pressed={sameMark(mark, { kind: 'is', is })}
				onclick={() => (mark = { kind: 'is', is })}>{is}</button
			>
		{/each}
	</div>
	<div class="grid grid-cols-8 gap-1 pointer-coarse:grid-cols-4" aria-label="Solid parts">
		{#each w.project.head.parts as p (p.name)}
			<Hint
				label="Solid in part: {p.name}, {p.help}"
				class={look({ kind: 'part', part: p.name })}
				onclick={() => (mark = { kind: 'part', part: p.name })}
			>
				<svg viewBox="-0.2 -0.2 2.4 2.4" class="size-5" aria-hidden="true">
					<rect width="2" height="2" class="fill-none stroke-dim" stroke-width="0.12" />
					<polygon points={p.area?.map((q) => `${q.x},${q.y}`).join(' ')} class="fill-brick" />
				</svg>
			</Hint>
		{/each}
	</div>
	<div class="grid grid-cols-4 gap-1" aria-label="One-way">
		{#each sides as s, i (s.side)}
			<Hint
				label="One-way: {s.help}"
				class={look({ kind: 'oneWay', side: s.side })}
				onclick={() => (mark = { kind: 'oneWay', side: s.side })}
			>
				<svg viewBox="-1.2 -1.2 2.4 2.4" class="size-5" aria-hidden="true">
					<g transform="rotate({i * 90})" class="fill-none stroke-cobalt" stroke-width="0.25">
						<path d="M-1 -0.85H1M-0.4 0.5L0 0L0.4 0.5" />
					</g>
				</svg>
			</Hint>
		{/each}
	</div>
	<div class="flex gap-1">
		<select
			class="field w-24 shrink-0"
			aria-label="What else to paint over the sheet"
			bind:value={what}
			onchange={() => {
				value = property?.default ?? ''
				hold()
			}}
		>
			<option value="tag">tag</option>
			<option value="odds">odds</option>
			<option value="zone">zone</option>
			{#each properties as p (p.name)}<option value="own {p.name}">{p.name}</option>{/each}
		</select>
		{#if what === 'tag'}
			<input
				class="field min-w-0 grow"
				placeholder="a word"
				aria-label="Tag to paint"
				bind:value={tag}
				oninput={hold}
			/>
		{:else if what === 'odds'}
			<input
				class="field min-w-0 grow font-mono"
				type="number"
				min="0"
				max="10000"
				aria-label="Odds to paint"
				bind:value={odds}
				oninput={hold}
			/>
		{:else if what === 'zone'}
			<select
				class="field min-w-0 grow"
				aria-label="Zone to paint"
				disabled={!w.project.head.zones.length}
				value={written?.kind === 'zone' ? written.zone : ''}
				onchange={(e) => {
					zone = e.currentTarget.value
					hold()
				}}
			>
				{#each w.project.head.zones as z (z.id)}<option value={z.id}>{z.name}</option>{:else}
					<option value="">no zone yet</option>
				{/each}
			</select>
		{:else if property}
			<PropertyField
				{property}
				{value}
				label="{property.name} to paint"
				change={(v) => {
					value = v
					hold()
				}}
			/>
		{/if}
		<button
			class="{written ? look(written).replace('h-8', 'h-7') : 'button'} shrink-0 px-1.5"
			disabled={!written}
			aria-pressed={!!written && sameMark(written, mark)}
			onclick={hold}>paint it</button
		>
	</div>
	<p class="text-[12px] text-dim">Paint again, or with the secondary button, to clear.</p>
</section>
