<script lang="ts">
	import ChevronsRight from '@lucide/svelte/icons/chevrons-right'
	import Search from '@lucide/svelte/icons/search'
	import { Tabs } from 'bits-ui'
	import Hint from '../controls/Hint.svelte'
	import HistoryDrawer from './HistoryDrawer.svelte'
	import { workspace, type Drawer } from '../workspace/workspace.svelte'
	import Details from './Details.svelte'
	import KindsDrawer from './KindsDrawer.svelte'
	import MaterialsDrawer from './MaterialsDrawer.svelte'
	import MotifsDrawer from './MotifsDrawer.svelte'
	import RulesDrawer from './RulesDrawer.svelte'
	import TilesDrawer from './TilesDrawer.svelte'
	import ZonesDrawer from './ZonesDrawer.svelte'

	const w = workspace()
	let query = $state('')
	const drawers: { id: Drawer; name: string }[] = [
		{ id: 'materials', name: 'Materials' },
		{ id: 'tiles', name: 'Tiles' },
		{ id: 'motifs', name: 'Motifs' },
		{ id: 'zones', name: 'Zones' },
		{ id: 'kinds', name: 'Kinds' },
		{ id: 'rules', name: 'Rules' },
		{ id: 'history', name: 'History' },
	]
	const wanted = $derived(query.trim().toLowerCase())
</script>

<aside class="flex min-h-0 flex-col border-l border-line bg-plaster" aria-label="Cabinet">
	<div class="flex items-center gap-1 p-2 pb-1">
		<label class="flex field grow items-center gap-2 focus-within:border-glaze">
			<Search size={14} class="shrink-0 text-dim" />
			<input
				class="w-full min-w-0 bg-transparent outline-none placeholder:text-dim"
				type="search"
				placeholder="Search the cabinet"
				aria-label="Search the cabinet"
				bind:value={query}
				onkeydown={(e) => {
					if (e.key === 'Escape' && query) {
						e.stopPropagation()
						query = ''
					}
				}}
			/>
		</label>
		<Hint label="Fold the cabinet away" keys="Ctrl+]" class="button-plain" onclick={() => (w.cabinetOpen = false)}
			><ChevronsRight size={16} /></Hint
		>
	</div>
	{#if wanted}
		<div class="min-h-0 grow overflow-y-auto">
			<MaterialsDrawer {wanted} />
			<TilesDrawer {wanted} />
			<MotifsDrawer {wanted} />
			<ZonesDrawer {wanted} />
			<KindsDrawer {wanted} />
			<RulesDrawer {wanted} />
		</div>
	{:else}
		<Tabs.Root bind:value={() => w.drawer, (d) => (w.drawer = d as Drawer)} class="flex min-h-0 grow flex-col">
			<Tabs.List class="grid grid-cols-4 border-b border-line px-2" aria-label="Drawers">
				{#each drawers as d (d.id)}
					<Tabs.Trigger
						value={d.id}
						class="h-7 grow text-dim data-[state=active]:border-b-2 data-[state=active]:border-glaze data-[state=active]:font-semibold data-[state=active]:text-ink"
					>
						{d.name}
					</Tabs.Trigger>
				{/each}
			</Tabs.List>
			<Tabs.Content value={w.drawer} class="min-h-0 grow overflow-y-auto outline-none" tabindex={-1}>
				{#if w.drawer === 'materials'}<MaterialsDrawer />{:else if w.drawer === 'tiles'}<TilesDrawer
					/>{:else if w.drawer === 'motifs'}<MotifsDrawer />{:else if w.drawer === 'zones'}<ZonesDrawer
					/>{:else if w.drawer === 'kinds'}<KindsDrawer />{:else if w.drawer === 'history'}<HistoryDrawer
					/>{:else}<RulesDrawer />{/if}
			</Tabs.Content>
		</Tabs.Root>
	{/if}
	{#if w.selection.length && !w.play.on}<Details />{/if}
</aside>
