<script lang="ts">
	import type { MapInfo } from '../core/types'
	import { counted } from '../project/counted'
	import { reachCount } from '../draw/reach'
	import LayerThumb from '../stack/LayerThumb.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// Where it cannot be finished: the maps on which something is in the way, and those one comes to, with how far.
	const w = workspace()
	const { checking } = w.proving
	/** How many maps are shown, and how many are asked about for that. */
	const [shown, asked] = [4, 12]

	const maps = $derived.by(() => {
		void checking.reached
		const blocked = new Set(checking.study?.missing.map((m) => m.map))
		const all = (w.project.head.maps as MapInfo[]).filter((m) => !m.template)
		const first = [...all.filter((m) => blocked.has(m.id)), ...all.filter((m) => !blocked.has(m.id))].slice(0, asked)
		return first
			.map((m) => ({ m, reach: checking.reachOn(m.id) }))
			.filter(({ m, reach }) => reach && (blocked.has(m.id) || reachCount(reach)))
			.slice(0, shown)
	})
	const often = $derived((w.project.head.maps as MapInfo[]).filter((m) => !m.template).length)

	function open(station: 'map' | 'chart', map?: MapInfo) {
		checking.reach = true
		checking.later(0)
		if (map) w.show(map.id)
		w.open(station)
	}
</script>

{#if maps.length}
	<div class="flex flex-col gap-2 border-t border-line pt-3" data-testid="frontier">
		<h3 class="font-semibold">How far one comes</h3>
		<div class="grid grid-cols-2 gap-2">
			{#each maps as { m, reach } (m.id)}
				<button
					class="flex min-w-0 flex-col gap-1 border border-line p-1.5 text-left hover:border-glaze"
					onclick={() => open('map', m)}
				>
					<LayerThumb map={m} {reach} width={150} height={96} />
					<span class="w-full truncate">{m.name}</span>
					<span class="text-[12px] text-dim">{counted(reachCount(reach!), 'cell')}</span>
				</button>
			{/each}
		</div>
		<p class="text-[12px] text-dim">What is dark nobody comes to.</p>
		{#if often > 1}
			<button class="button self-start" onclick={() => open('chart')}>On all maps</button>
		{/if}
	</div>
{/if}
