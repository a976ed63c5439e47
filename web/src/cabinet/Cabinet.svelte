<script lang="ts">
	import Amphora from '@lucide/svelte/icons/amphora'
	import Blocks from '@lucide/svelte/icons/blocks'
	import ChevronsLeft from '@lucide/svelte/icons/chevrons-left'
	import ChevronsRight from '@lucide/svelte/icons/chevrons-right'
	import Grid2x2 from '@lucide/svelte/icons/grid-2x2'
	import History from '@lucide/svelte/icons/history'
	import ListChecks from '@lucide/svelte/icons/list-checks'
	import Pin from '@lucide/svelte/icons/pin'
	import PaintRoller from '@lucide/svelte/icons/paint-roller'
	import Scroll from '@lucide/svelte/icons/scroll-text'
	import SquareDashed from '@lucide/svelte/icons/square-dashed'
	import { Tabs } from 'bits-ui'
	import { afterFrame } from '../controls/afterFrame'
	import type { Entity } from '../core/types'
	import SearchField from '../controls/SearchField.svelte'
	import Hint from '../controls/Hint.svelte'
	import Splitter from '../controls/Splitter.svelte'
	import HistoryDrawer from './HistoryDrawer.svelte'
	import type { Drawer } from '../workspace/layout.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import Details from './Details.svelte'
	import FindingsDrawer from './FindingsDrawer.svelte'
	import KindsDrawer from './KindsDrawer.svelte'
	import MaterialsDrawer from './MaterialsDrawer.svelte'
	import MotifsDrawer from './MotifsDrawer.svelte'
	import PinsDrawer from './PinsDrawer.svelte'
	import RulesDrawer from './RulesDrawer.svelte'
	import TilesDrawer from './TilesDrawer.svelte'
	import ZonesDrawer from './ZonesDrawer.svelte'

	const w = workspace()
	const { layout } = w
	let query = $state('')
	const drawers = [
		{ id: 'materials', name: 'Materials', icon: PaintRoller },
		{ id: 'tiles', name: 'Tiles', icon: Grid2x2 },
		{ id: 'motifs', name: 'Motifs', icon: Blocks },
		{ id: 'zones', name: 'Zones', icon: SquareDashed },
		{ id: 'kinds', name: 'Kinds', icon: Amphora },
		{ id: 'rules', name: 'Rules', icon: Scroll },
		{ id: 'pins', name: 'Pins', icon: Pin },
		{ id: 'findings', name: 'Findings', icon: ListChecks },
		{ id: 'history', name: 'History', icon: History },
	] as const
	const wanted = $derived(query.trim().toLowerCase())
	const open = $derived(layout.isOpen('cabinet'))

	/** What is selected and told of: of very many a frame later, so that telling holds up neither the press nor what marks them. */
	const many = 500
	let later = $state.raw<Entity[]>([])
	const told = $derived(w.selection.length > many ? later : w.selection)
	$effect(() => {
		const now = w.selection
		if (now.length <= many) later = []
		else return afterFrame(() => (later = now))
	})

	/** Opens a drawer, in the place of what was searched for. */
	function press(d: Drawer) {
		query = ''
		layout.show(d)
	}
</script>

<aside class="relative flex min-h-0 min-w-0 flex-col border-l border-line bg-plaster" aria-label="Cabinet">
	{#if open}<Splitter panel="cabinet" {layout} />{/if}
	<Tabs.Root
		bind:value={() => layout.drawer, (d) => layout.show(d as Drawer)}
		orientation="vertical"
		activationMode="manual"
		class="flex min-h-24 w-full min-w-0 grow"
	>
		{#if open}
			<div class="flex min-h-0 min-w-0 grow flex-col">
				<div class="p-2 pb-1">
					<SearchField bind:value={query} label="Search the cabinet" />
				</div>
				{#if wanted}
					<div class="min-h-0 grow overflow-y-auto">
						<MaterialsDrawer {wanted} />
						<TilesDrawer {wanted} />
						<MotifsDrawer {wanted} />
						<ZonesDrawer {wanted} />
						<KindsDrawer {wanted} />
						<RulesDrawer {wanted} />
						<PinsDrawer {wanted} />
					</div>
				{:else}
					<Tabs.Content
						value={layout.drawer}
						class="flex min-h-0 grow flex-col overflow-y-auto outline-none"
						tabindex={-1}
					>
						{#if layout.drawer === 'materials'}<MaterialsDrawer />{:else if layout.drawer === 'tiles'}<TilesDrawer
							/>{:else if layout.drawer === 'motifs'}<MotifsDrawer />{:else if layout.drawer === 'zones'}<ZonesDrawer
							/>{:else if layout.drawer === 'kinds'}<KindsDrawer />{:else if layout.drawer === 'pins'}<PinsDrawer
							/>{:else if layout.drawer === 'history'}<HistoryDrawer
							/>{:else if layout.drawer === 'findings'}<FindingsDrawer />{:else}<RulesDrawer />{/if}
					</Tabs.Content>
				{/if}
			</div>
		{/if}
		<div
			class="flex w-12 shrink-0 [scrollbar-width:none] flex-col overflow-x-hidden overflow-y-auto {open
				? 'border-l border-line'
				: ''}"
		>
			<Hint
				label={open ? 'Fold the cabinet away' : 'Open the cabinet'}
				keys="Ctrl+]"
				side="left"
				class="button-plain h-8 w-full"
				onclick={() => layout.fold('cabinet', !open)}
			>
				{#if open}<ChevronsRight size={16} />{:else}<ChevronsLeft size={16} />{/if}
			</Hint>
			<Tabs.List class="flex min-h-0 grow flex-col" aria-label="Drawers">
				{#each drawers as d (d.id)}
					{@const shown = open && !wanted && layout.drawer === d.id}
					<Tabs.Trigger
						value={d.id}
						class="relative flex max-h-11 min-h-9 flex-1 flex-col items-center justify-center gap-0.5 text-[10px] leading-3 hover:bg-well {shown
							? 'bg-chalk font-medium text-ink'
							: 'text-dim'}"
						onclick={() => press(d.id)}
						onkeydown={(e) => ['Enter', ' '].includes(e.key) && press(d.id)}
					>
						{#if shown}<span class="absolute inset-y-0 right-0 w-0.5 bg-glaze"></span>{/if}
						<d.icon size={15} />
						{d.name}
					</Tabs.Trigger>
				{/each}
			</Tabs.List>
		</div>
	</Tabs.Root>
	{#if open && told.length && !w.play.on}<Details list={told} />{/if}
</aside>
