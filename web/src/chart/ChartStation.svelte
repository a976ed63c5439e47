<script lang="ts">
	import { roving } from '../controls/roving'
	import ArrowDown from '@lucide/svelte/icons/arrow-down'
	import ArrowUp from '@lucide/svelte/icons/arrow-up'
	import CircleAlert from '@lucide/svelte/icons/circle-alert'
	import Maximize from '@lucide/svelte/icons/maximize'
	import Plus from '@lucide/svelte/icons/plus'
	import type { MapInfo } from '../core/types'
	import { afterFrame } from '../controls/afterFrame'
	import Context from '../controls/Context.svelte'
	import { Growing } from '../controls/growing.svelte'
	import { mapMenu } from '../stack/mapMenu'
	import SearchField from '../controls/SearchField.svelte'
	import Shown from '../check/Shown.svelte'
	import Hint from '../controls/Hint.svelte'
	import NewMap from '../stack/NewMap.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import AskPanel from '../rules/AskPanel.svelte'
	import ChartCanvas from './ChartCanvas.svelte'
	import FindingList from './FindingList.svelte'
	import MapPanel from './MapPanel.svelte'
	import PassagePanel from './PassagePanel.svelte'
	import { type OnChart } from './places'
	import SeamPanel from './SeamPanel.svelte'

	// The chart: how the maps hang together, and all that is set for whole maps.
	const w = workspace()
	const view = w.chartView
	let chosen = $state.raw<OnChart>({ is: 'nothing' })
	let query = $state('')
	let making = $state(false)
	let canvas = $state<ReturnType<typeof ChartCanvas>>()
	const maps = $derived(w.project.head.maps)
	const found = $derived(
		maps.filter((m) =>
			`${m.name} ${m.folder ?? ''} ${(m.tags ?? []).join(' ')}`.toLowerCase().includes(query.trim().toLowerCase()),
		),
	)
	/** By their folders; of many the first ones, until one scrolls on to the others. */
	const rows = new Growing(60, () => found.length)
	const folders = $derived.by(() => {
		const names = [...new Set(found.map((m) => m.folder ?? ''))].sort()
		const all = names.flatMap((name) => found.filter((m) => (m.folder ?? '') === name)).slice(0, rows.many)
		return names
			.map((name) => ({ name, maps: all.filter((m) => (m.folder ?? '') === name) }))
			.filter((f) => f.maps.length)
	})
	const ids = $derived(new Set(chosen.is === 'maps' ? chosen.ids : []))
	/** What the panel tells of: what was chosen; on the plane once the press has been seen, since that may be the beginning of a drag. */
	let told = $state.raw<OnChart>({ is: 'nothing' })
	$effect(() => {
		const now = chosen
		return afterFrame(() => (told = now))
	})
	/** Chooses what is listed. */
	const take = (now: OnChart) => (told = chosen = now)
	const one = $derived(told.is === 'maps' && told.ids.length === 1 ? w.project.map(told.ids[0]) : undefined)
	const passage = $derived.by(() => {
		const c = told
		return c.is === 'passage' ? w.project.head.passages.find((p) => p.id === c.id) : undefined
	})
	const seam = $derived.by(() => {
		const c = told
		return c.is === 'seam' ? w.charting.info.seams.find((s) => s.a === c.a && s.b === c.b) : undefined
	})

	function choose(m: MapInfo) {
		take({ is: 'maps', ids: [m.id] })
		const r = w.charting.info.places.find((p) => p.map === m.id)
		if (r) view.centre(r.x + r.w / 2, r.y + r.h / 2)
	}

	function reorder(m: MapInfo, by: number) {
		w.project.try('reorderMap', { map: m.id, to: maps.indexOf(m) + by })
	}
</script>

<div class="grid min-h-0 grid-cols-[208px_minmax(0,1fr)_272px]">
	<aside class="flex min-h-0 flex-col border-r border-line" aria-label="Maps">
		<div class="flex items-center gap-1 p-2 pb-1">
			<SearchField bind:value={query} label="Search maps" class="grow" />
			<Hint label="New map" class="button-plain" expanded={making} onclick={() => (making = !making)}
				><Plus size={16} /></Hint
			>
		</div>
		{#if making}<NewMap made={() => (making = false)} />{/if}
		<div class="min-h-0 grow overflow-y-auto" {@attach roving}>
			{#each folders as folder (folder.name)}
				{#if folder.name}<h2 class="px-2.5 pt-2 heading">{folder.name}</h2>{/if}
				<ol aria-label={folder.name || 'Maps in the order of play'}>
					{#each folder.maps as m (m.id)}
						{@const wrong = w.charting.of(m.id).filter((f) => f.serious).length}
						{@const on = ids.has(m.id)}
						<li class="flex items-center {on ? 'bg-well' : ''}">
							<Context choices={() => mapMenu(w, m)} class="flex min-w-0 grow">
								<button
									class="flex h-7 min-w-0 grow items-center gap-1.5 px-2.5 text-left hover:bg-well {on
										? 'font-semibold'
										: ''}"
									aria-current={on ? 'true' : undefined}
									onclick={() => choose(m)}
									ondblclick={() => w.show(m.id)}
									onkeydown={(e) => {
										if (!e.altKey || (e.key !== 'ArrowUp' && e.key !== 'ArrowDown')) return
										e.preventDefault()
										reorder(m, e.key === 'ArrowUp' ? -1 : 1)
									}}
								>
									<span class="min-w-0 grow truncate">{m.name}</span>
									{#if m.next}<span class="text-[11px] text-dim" title="Finishing it starts the next">→</span>{/if}
									{#if wrong}<CircleAlert size={14} class="text-brick" aria-label="{wrong} findings" />{/if}
									{#if m.template}<span class="text-[11px] text-dim">template</span>{/if}
									<span class="font-mono text-[11px] text-dim">{m.bounds.w}×{m.bounds.h}</span>
								</button>
							</Context>
							{#if on}
								<Hint
									label="Earlier in the order of play"
									keys="Alt+↑"
									class="button-plain w-6"
									onclick={() => reorder(m, -1)}><ArrowUp size={14} /></Hint
								>
								<Hint
									label="Later in the order of play"
									keys="Alt+↓"
									class="button-plain w-6"
									onclick={() => reorder(m, 1)}><ArrowDown size={14} /></Hint
								>
							{/if}
						</li>
					{/each}
				</ol>
			{/each}
			<div {@attach rows.end}></div>
		</div>
		<FindingList choose={(f) => take(f.passage ? { is: 'passage', id: f.passage } : { is: 'maps', ids: [f.map] })} />
	</aside>
	<main class="relative min-h-0 min-w-0" aria-label="Chart">
		{#if maps.length}
			<ChartCanvas bind:this={canvas} bind:chosen {view} make={() => (making = true)} />
			<AskPanel />
			<Shown />
			<div class="absolute right-2 bottom-2 flex items-center border border-line bg-chalk">
				<button class="h-7 w-7 hover:bg-well" aria-label="Zoom out" onclick={() => view.zoom(-1)}>−</button>
				<span class="w-12 text-center font-mono">{view.percent} %</span>
				<button class="h-7 w-7 hover:bg-well" aria-label="Zoom in" onclick={() => view.zoom(1)}>+</button>
				<Hint label="Show all maps" keys="Home" class="button-plain" side="top" onclick={() => canvas?.fit()}
					><Maximize size={15} /></Hint
				>
			</div>
		{:else}
			<div class="flex h-full items-center justify-center bg-well">
				<div class="cut w-[420px]">
					<div class="flex flex-col items-start gap-3 p-6">
						<h2 class="text-[17px] font-semibold">Maps lie here side by side</h2>
						<p class="text-dim">Drag them until their edges touch, and the hero walks across where both are open.</p>
						<button class="button button-main" onclick={() => (making = true)}>Make the first map</button>
					</div>
				</div>
			</div>
		{/if}
	</main>
	<aside class="min-h-0 overflow-y-auto border-l border-line p-3" aria-label="What is chosen" data-testid="chosen">
		{#if passage}
			<PassagePanel {passage} />
		{:else if seam}
			<SeamPanel {seam} />
		{:else if told.is === 'maps' && told.ids.length > 1}
			<b>{told.ids.length} maps</b>
			<p class="text-dim">Drag them together, or press the arrows.</p>
		{:else}
			{#key one?.id}<MapPanel
					map={one}
					gone={() => take({ is: 'nothing' })}
					made={(id) => take({ is: 'maps', ids: [id] })}
				/>{/key}
		{/if}
	</aside>
</div>
