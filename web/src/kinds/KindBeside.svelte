<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import { workspace } from '../workspace/workspace.svelte'
	import KindPanel from './KindPanel.svelte'

	// A kind set up beside the map, so that nobody leaves it.
	const w = workspace()
	const kind = $derived(w.project.kind(w.kindBeside))

	function add(from: string, variant = '') {
		const made = variant
			? w.project.try('addVariant', { from, name: variant })
			: w.project.try('addKind', { from, name: '' })
		if (made?.made) w.kindBeside = made.made
	}
</script>

{#if kind}
	<aside
		class="cut absolute top-3 right-3 bottom-3 z-20 flex w-[540px] max-w-[92%] flex-col"
		aria-label="Kind beside the map"
		data-testid="kind-beside"
	>
		<div class="flex items-center gap-2 border-b border-line py-1 pr-4 pl-4">
			<b class="grow">Kind</b>
			<button
				class="button h-6"
				onclick={() => {
					w.kindId = kind.id
					w.kindBeside = ''
					w.open('kinds')
				}}>All kinds</button
			>
			<button class="button-plain w-6" aria-label="Close the kind" onclick={() => (w.kindBeside = '')}
				><X size={15} /></button
			>
		</div>
		<div class="min-h-0 grow">
			{#key kind.id}<KindPanel {kind} {add} />{/key}
		</div>
	</aside>
{/if}
