<script lang="ts">
	import BellOff from '@lucide/svelte/icons/bell-off'
	import Download from '@lucide/svelte/icons/download'
	import Wrench from '@lucide/svelte/icons/wrench'
	import Hint from '../controls/Hint.svelte'
	import SearchField from '../controls/SearchField.svelte'
	import type { CheckFinding } from '../core/types'
	import { counted } from '../project/counted'
	import { fileName, keep } from '../share/exchange'
	import { workspace } from '../workspace/workspace.svelte'
	import LayerThumb from '../stack/LayerThumb.svelte'
	import { goToFinding, placeOf } from './goTo'
	import Sorts from './Sorts.svelte'

	// All that is wrong or suspicious, what matters most first: gone to, mended at a press, or silenced with a reason.
	const w = workspace()
	const { checking } = w.proving
	const heads = [
		{ as: 'stops', name: 'Stops a player', mark: 'border-brick' },
		{ as: 'matters', name: 'Matters', mark: 'border-held' },
		{ as: 'note', name: 'Worth a look', mark: 'border-line' },
	]
	/** Of so many findings of a sort the places are shown: each is drawn anew when something changes there. */
	const pictured = 20
	let wanted = $state('')
	let silenced = $state(false)
	let choosing = $state(false)
	/** The finding that is being silenced, and why. */
	let silencing = $state('')
	let why = $state('')
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

	function mend(f: CheckFinding) {
		const made = w.project.try('mend', { what: f.what, map: f.map, id: f.id, why: '', on: false })
		if (made) w.notices.say(`Mended: ${f.text}`, 'done', w.project.undoOf(made))
	}

	function silence(f: CheckFinding, on: boolean) {
		w.project.try('silence', { what: f.what, map: f.map, id: f.id, why: why.trim(), on })
		;[silencing, why] = ['', '']
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
									{@const seen = i < pictured ? placeOf(w, f) : null}
									<li class="border-l-2 {h.mark} py-1 pl-2 {f.silent ? 'opacity-60' : ''}" data-testid="finding">
										<div class="flex items-center gap-2">
											<button
												class="flex min-w-0 grow items-center gap-2 text-left hover:underline"
												onclick={() => goToFinding(w, f)}
											>
												{#if seen}<LayerThumb {...seen} width={72} height={44} />{/if}
												<span class="min-w-0">{f.text}</span>
											</button>
											{#if f.mend && !f.silent}
												<button class="button shrink-0" onclick={() => mend(f)}><Wrench size={14} /> {f.mend}</button>
											{/if}
											{#if f.silent}
												<button class="button shrink-0" onclick={() => silence(f, false)}>Tell it again</button>
											{:else}
												<button
													class="button-plain shrink-0"
													aria-label="Silence it: {f.text}"
													title="Not to be told any more, with a reason"
													aria-expanded={silencing === key(f)}
													onclick={() => ((silencing = silencing === key(f) ? '' : key(f)), (why = ''))}
													><BellOff size={15} /></button
												>
											{/if}
										</div>
										{#if f.silent && f.silenced}<p class="text-dim">Silenced: {f.silenced}</p>{/if}
										{#if silencing === key(f)}
											<form
												class="flex gap-2 pt-1"
												onsubmit={(e) => {
													e.preventDefault()
													silence(f, true)
												}}
											>
												<!-- svelte-ignore a11y_autofocus -->
												<input
													class="field min-w-0 grow"
													aria-label="Why it is all right"
													placeholder="Why it is all right"
													maxlength="500"
													autofocus
													bind:value={why}
												/>
												<button class="button">Silence it</button>
											</form>
										{/if}
									</li>
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
