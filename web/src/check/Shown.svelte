<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// What of the proof is drawn over the map, and how it is put away.
	const w = workspace()
	const { checking } = w.proving
	const s = $derived(checking.study)
	const says = $derived(
		s?.is === 'can'
			? `The walk to the goal, ${counted(s.steps, 'step')}`
			: s?.is
				? 'There is no walk to the goal'
				: 'Looking for a walk…',
	)
	$effect(() => {
		if (checking.reach || checking.walk) return checking.look()
	})
</script>

{#if ((checking.walk && w.station === 'map') || checking.reach) && (!w.play.on || w.station === 'chart')}
	<div
		class="absolute top-2 left-1/2 flex -translate-x-1/2 items-center gap-2 border border-line bg-chalk py-1 pr-1 pl-3"
		role="status"
		data-testid="proof-shown"
	>
		{#if checking.walk && w.station === 'map'}<span>{says}</span>{/if}
		{#if checking.reach}
			<span class="flex items-center gap-1.5">
				{checking.walk && w.station === 'map' ? '·' : ''} few steps
				<span class="inline-block h-3 w-16 bg-[linear-gradient(90deg,#1f9fad,#4dad20,#ad9b1f)]" aria-hidden="true"
				></span>
				many, dark is never
			</span>
		{/if}
		<button
			class="button-plain"
			aria-label="Put away what is drawn of the proof"
			onclick={() => ((checking.walk = checking.reach = false), w.canvas?.focus())}><X size={15} /></button
		>
	</div>
{/if}
