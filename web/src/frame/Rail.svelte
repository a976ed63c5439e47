<script lang="ts">
	import { roving } from '../controls/roving'
	import Images from '@lucide/svelte/icons/images'
	import MapIcon from '@lucide/svelte/icons/map'
	import Shapes from '@lucide/svelte/icons/shapes'
	import Waypoints from '@lucide/svelte/icons/waypoints'
	import Clapperboard from '@lucide/svelte/icons/clapperboard'
	import FlagTriangleRight from '@lucide/svelte/icons/flag-triangle-right'
	import Bookmark from '@lucide/svelte/icons/bookmark'
	import Share2 from '@lucide/svelte/icons/share-2'
	import ScrollText from '@lucide/svelte/icons/scroll-text'
	import { workspace, type Station } from '../workspace/workspace.svelte'

	const w = workspace()
	const groups: { name: string; stations: { id: Station; name: string; icon: typeof MapIcon }[] }[] = [
		{
			name: 'World',
			stations: [
				{ id: 'chart', name: 'Chart', icon: Waypoints },
				{ id: 'map', name: 'Map', icon: MapIcon },
			],
		},
		{
			name: 'Workshop',
			stations: [
				{ id: 'tilesets', name: 'Tilesets', icon: Images },
				{ id: 'kinds', name: 'Kinds', icon: Shapes },
				{ id: 'rules', name: 'Rules', icon: ScrollText },
				{ id: 'game', name: 'Game', icon: Clapperboard },
			],
		},
		{
			name: 'Gate',
			stations: [
				{ id: 'check', name: 'Check', icon: FlagTriangleRight },
				{ id: 'versions', name: 'Versions', icon: Bookmark },
				{ id: 'share', name: 'Share', icon: Share2 },
			],
		},
	]
</script>

<nav class="flex flex-col items-stretch border-r border-line bg-plaster pt-1" aria-label="Stations" {@attach roving}>
	{#each groups as g, i (g.name)}
		<div class="flex flex-col pb-2 {i ? 'border-t border-line pt-1' : ''}" role="group" aria-label={g.name}>
			<span class="px-1 py-1 text-center text-[10px] text-dim" aria-hidden="true">{g.name}</span>
			{#each g.stations as s (s.id)}
				<button
					data-row
					class="relative flex h-12 flex-col items-center justify-center gap-0.5 text-[11px] hover:bg-well {w.station ===
					s.id
						? 'bg-chalk font-semibold text-glaze'
						: ''}"
					aria-current={w.station === s.id ? 'page' : undefined}
					onclick={() => w.open(s.id)}
				>
					{#if w.station === s.id}<span class="absolute inset-y-0 left-0 w-1 bg-glaze"></span>{/if}
					<s.icon size={18} />
					{s.name}
				</button>
			{/each}
		</div>
	{/each}
</nav>
