<script lang="ts">
	import { workspace } from '../workspace.svelte'

	// What the player sees above the map: the count, and what is being said.
	const w = workspace()
	const view = $derived(w.play.view)
</script>

{#if view}
	<div class="pointer-events-none absolute inset-0 border-4 border-held" data-testid="playing">
		<div class="absolute top-3 left-3 flex items-center gap-3 bg-ink px-3 py-1.5 text-plaster">
			<b>Playing {w.map?.name}</b>
			<span data-testid="count">{view.taken} of {view.total} collected</span>
		</div>
		{#if view.line}
			<div class="cut absolute bottom-6 left-1/2 w-[min(520px,86%)] -translate-x-1/2" role="status" data-testid="line">
				<div class="flex items-end gap-3 px-5 py-4 text-[16px]">
					<p class="grow whitespace-pre-wrap">{view.line}</p>
					<span class="key text-dim">E</span>
				</div>
			</div>
		{/if}
		<div class="absolute top-3 right-3 flex items-center gap-2 bg-ink px-3 py-1.5 text-plaster">
			<span class="key">Arrows</span> walk <span class="key">E</span> use <span class="key">P</span> back to the map
		</div>
	</div>
{/if}
