<script lang="ts">
	import type { Finding } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// What is wrong with the ways between the maps; a press shows the place.
	let { choose }: { choose: (f: Finding) => void } = $props()
	const w = workspace()
	const all = $derived([...w.charting.info.findings].sort((a, b) => Number(b.serious) - Number(a.serious)))
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
	<ul class="min-h-0 overflow-y-auto pb-1">
		{#each all.slice(0, 300) as f, i (i)}
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
</section>
