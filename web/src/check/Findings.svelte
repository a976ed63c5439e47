<script lang="ts">
	import Download from '@lucide/svelte/icons/download'
	import Hint from '../controls/Hint.svelte'
	import SearchField from '../controls/SearchField.svelte'
	import type { CheckFinding } from '../core/types'
	import { counted } from '../project/counted'
	import { fileName, keep } from '../share/exchange'
	import { workspace } from '../workspace/workspace.svelte'
	import FindingRow from './FindingRow.svelte'
	import Sorts from './Sorts.svelte'

	// All that is wrong or suspicious, what matters most first.
	const w = workspace()
	const { checking } = w.proving
	const heads = [
		{ as: 'stops', name: 'Stops a player' },
		{ as: 'matters', name: 'Matters' },
		{ as: 'note', name: 'Worth a look' },
	]
	/** Of so many findings of a sort the places are shown: each is drawn anew when something changes there. */
	const pictured = 20
	let wanted = $state('')
	let silenced = $state(false)
	let choosing = $state(false)
	let more = $state<Record<string, boolean>>({})
	const key = (f: CheckFinding) => `${f.what} ${f.map} ${f.id} ${f.text}`
	const sortOf = (what: string) => checking.info.sorts.find((s) => s.what === what)
	const words = $derived(wanted.toLowerCase().split(/\s+/).filter(Boolean))
	const found = $derived(
		checking.info.findings.filter(
			(f) =>
				(silenced || !f.silent) &&
				words.every((word) =>
					`${f.text} ${sortOf(f.what)?.name} ${w.project.map(f.map)?.name ?? ''}`.toLowerCase().includes(word),
				),
		),
	)
	const quiet = $derived(checking.info.findings.filter((f) => f.silent).length)

	/** What is shown, with what the proof and the pictures told, as a file. */
	function table() {
		const text = w.project.ask('findingsTable', { findings: found })
		keep(new Blob([text], { type: 'text/csv' }), `${fileName(w.project.head.project.name)} – findings.csv`)
	}
</script>

<section class="flex min-w-0 flex-col gap-4" aria-labelledby="found" data-testid="found">
	<div class="flex flex-wrap items-center gap-3">
		<h2 id="found" class="heading">Findings{checking.looked ? ` (${found.length})` : ''}</h2>
		<div class="min-w-48 grow"><SearchField label="Look for findings" bind:value={wanted} /></div>
		{#if quiet}<label class="flex items-center gap-1.5"
				><input type="checkbox" bind:checked={silenced} /> {quiet} silenced</label
			>{/if}
		{#if found.length}
			<Hint label="Keep the findings as a table (CSV)" class="button-plain" onclick={table}><Download size={15} /></Hint
			>
		{/if}
		<button class="button" aria-expanded={choosing} onclick={() => (choosing = !choosing)}>What is looked for</button>
	</div>
	{#if choosing}<Sorts />{/if}
	{#if w.charting.left}
		<p class="text-dim">Looking at the maps…</p>
	{:else if !w.project.head.maps.length}
		<p class="text-dim">There is nothing to look at yet: make a map first.</p>
	{:else if !checking.looked}
		<p class="text-dim" role="status">Looking for what is wrong…</p>
	{:else if !checking.info.findings.length}
		<p class="text-[15px] text-sage">Nothing is wrong, as far as can be seen.</p>
	{:else if !found.length && words.length}
		<p class="text-dim">No finding has these words.</p>
	{/if}
	{#each heads as h (h.as)}
		{@const all = found.filter((f) => f.as === h.as)}
		{#if all.length}
			<section aria-label={h.name}>
				<h3 class="pb-1 font-semibold">{h.name} <span class="font-normal text-dim">{all.length}</span></h3>
				{#each [...new Set(all.map((f) => f.what))] as what (what)}
					{@const of = all.filter((f) => f.what === what)}
					{@const shown = more[what] ? of : of.slice(0, 5)}
					<div class="cut mb-2">
						<div class="px-3 py-2">
							<h4 class="pb-1 text-dim">{sortOf(what)?.name ?? what}</h4>
							<ul>
								{#each shown as f, i (key(f))}
									<FindingRow {f} pictured={i < pictured} />
								{/each}
							</ul>
							{#if of.length > 5}
								<button class="pt-1 text-glaze hover:underline" onclick={() => (more[what] = !more[what])}
									>{more[what] ? 'Show fewer' : `Show all ${counted(of.length, 'finding')}`}</button
								>
							{/if}
						</div>
					</div>
				{/each}
			</section>
		{/if}
	{/each}
</section>
