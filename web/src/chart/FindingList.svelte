<script lang="ts">
	import { Growing } from '../controls/growing.svelte'
	import type { ID } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	/** What is told here, of which map. */
	interface Told {
		map: ID
		entity?: ID
		passage?: ID
		text: string
		serious: boolean
	}

	// What is wrong with the ways between the maps, and then on them; a press shows the map or the passage.
	let { choose }: { choose: (f: Told) => void } = $props()
	const w = workspace()
	const { checking } = w.proving
	$effect(() => checking.look())
	const first = (all: Told[]) => [...all].sort((a, b) => Number(b.serious) - Number(a.serious))
	const all = $derived(first(w.charting.info.findings))
	const onMaps = $derived.by(() => {
		const known = new Set(all.map((f) => f.text))
		const others = checking.info.findings.filter((f) => f.map && !f.silent && !known.has(f.text))
		return first(others.map((f) => ({ ...f, entity: f.of === 'entity' ? f.id : '', serious: f.as === 'stops' })))
	})
	const rows = new Growing(40, () => all.length)
	const rowsOnMaps = new Growing(40, () => onMaps.length)
</script>

<section class="flex max-h-[45%] min-h-0 flex-col border-t border-line" aria-label="Findings" data-testid="findings">
	<h2 class="px-2.5 pt-2 pb-1 heading">
		{w.charting.left
			? 'Looking at the maps…'
			: all.length
				? `Findings (${all.length})`
				: w.project.head.maps.length
					? 'Every way leads somewhere'
					: 'No maps yet'}
	</h2>
	<div class="min-h-0 overflow-y-auto pb-1">
		{@render list(all, rows)}
		{#if onMaps.length}
			<h3 class="px-2.5 pt-2 pb-1 heading">On the maps ({onMaps.length})</h3>
			{@render list(onMaps, rowsOnMaps)}
		{/if}
	</div>
</section>

{#snippet list(all: Told[], rows: Growing)}
	<ul>
		{#each all.slice(0, rows.many) as f, i (i)}
			<li>
				<button
					class="w-full border-l-2 px-2.5 py-1 text-left leading-tight hover:bg-well {f.serious
						? 'border-brick'
						: 'border-line text-dim'}"
					onclick={() => choose(f)}
					ondblclick={() => f.entity && w.goTo(f.map, f.entity)}>{f.text}</button
				>
			</li>
		{/each}
	</ul>
	<div {@attach rows.end}></div>
{/snippet}
