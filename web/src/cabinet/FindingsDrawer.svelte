<script lang="ts">
	import FindingRow from '../check/FindingRow.svelte'
	import { marks } from '../check/goTo'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// What is wrong or suspicious on the map that is open, beside it: what matters most first.
	const w = workspace()
	const { checking } = w.proving
	$effect(() => checking.look())
	/** Of so many the places are shown, and so many are listed. */
	const [pictured, listed] = [20, 200]
	const heavy = Object.keys(marks)
	const told = $derived(checking.info.findings.filter((f) => !f.silent))
	const here = $derived(
		told.filter((f) => f.map === w.map?.id).sort((a, b) => heavy.indexOf(a.as) - heavy.indexOf(b.as)),
	)
</script>

<section class="flex flex-col gap-2 px-3 py-2" aria-label="Findings" data-testid="findings-here">
	{#if w.charting.left || !checking.looked}
		<p class="text-dim" role="status">Looking for what is wrong…</p>
	{:else if w.map && !here.length}
		<p class="text-sage">Nothing is wrong on {w.map.name}, as far as can be seen.</p>
	{/if}
	<ul class="flex flex-col gap-1">
		{#each here.slice(0, listed) as f, i (`${f.what} ${f.id} ${f.text}`)}
			<FindingRow {f} pictured={i < pictured} narrow />
		{/each}
	</ul>
	{#if here.length > listed}<p class="text-dim">and {counted(here.length - listed, 'more finding')}</p>{/if}
	{#if checking.looked && told.length > here.length}
		<button class="button self-start" onclick={() => w.open('check')}
			>{counted(told.length - here.length, 'finding')} elsewhere</button
		>
	{/if}
</section>
