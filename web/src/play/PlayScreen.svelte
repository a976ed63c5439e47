<script lang="ts">
	import MessageBox from '../entities/MessageBox.svelte'
	import { keys } from '../controls/keys.svelte'
	import PlayPad from './PlayPad.svelte'
	import { workspace } from '../workspace/workspace.svelte'

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
			<div class="absolute bottom-6 left-1/2 -translate-x-1/2" role="status" data-testid="line">
				<MessageBox text={view.line} />
			</div>
		{/if}
		{#if w.touch}
			<PlayPad />
			<button
				class="pointer-events-auto absolute top-3 right-3 bg-ink px-3 py-1.5 text-plaster"
				onclick={() => w.playing.stopPlay()}>Back to the map</button
			>
		{:else}
			<div class="absolute top-3 right-3 flex items-center gap-2 bg-ink px-3 py-1.5 text-plaster">
				<span class="key">Arrows</span> walk <span class="key">E</span> use <span class="key">{keys.now('P')}</span> back
				to the map
			</div>
		{/if}
	</div>
{/if}
