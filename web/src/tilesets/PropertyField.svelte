<script lang="ts">
	import type { Property } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// The value of a property, in the field that its type asks for.
	let {
		property: p,
		value,
		label,
		change,
	}: { property: Property; value: string; label: string; change: (value: string) => void } = $props()
	const w = workspace()
	const names = $derived(
		p.type === 'entity' ? w.project.head.maps.flatMap((m) => w.project.entities(m.id).map((e) => e.name)) : [],
	)
</script>

{#if p.type === 'yes/no'}
	<select class="field grow" aria-label={label} {value} onchange={(e) => change(e.currentTarget.value)}>
		<option value="yes">yes</option>
		<option value="no">no</option>
	</select>
{:else if p.type === 'choice' || p.type === 'entity'}
	<select class="field min-w-0 grow" aria-label={label} {value} onchange={(e) => change(e.currentTarget.value)}>
		{#if p.type === 'entity'}<option value="">none</option>{/if}
		{#each p.type === 'choice' ? (p.choices ?? []) : names as c, i (i)}<option value={c}>{c}</option>{/each}
	</select>
{:else if p.type === 'colour'}
	<input
		type="color"
		class="h-7 grow"
		aria-label={label}
		value={value || '#000000'}
		onchange={(e) => change(e.currentTarget.value)}
	/>
{:else}
	{#key value}
		<input
			class="field min-w-0 grow {p.type === 'number' ? 'font-mono' : ''}"
			aria-label={label}
			{value}
			onchange={(e) => change(e.currentTarget.value.trim())}
		/>
	{/key}
{/if}
