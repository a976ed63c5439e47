<script lang="ts">
	import { roving } from '../controls/roving'
	import ListStart from '@lucide/svelte/icons/list-start'
	import PersonStanding from '@lucide/svelte/icons/person-standing'
	import Plus from '@lucide/svelte/icons/plus'
	import type { Kind } from '../core/types'
	import Context from '../controls/Context.svelte'
	import SearchField from '../controls/SearchField.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import FigureMaker from './FigureMaker.svelte'
	import KindPanel from './KindPanel.svelte'
	import KindUses from './KindUses.svelte'
	import { kindMenu } from './kindMenu'
	import { groupsOf } from './groups'

	// The kinds of entity: those that come with Azzel, and the designer's own.
	const w = workspace()
	let query = $state('')
	const groups = $derived(groupsOf(w.project.head, query))
	const shown = $derived(groups.flatMap((g) => g.kinds))
	const kind = $derived(w.project.kind(w.kindId) ?? shown[0] ?? w.project.head.kinds[0])
	const pinned = $derived(new Set(w.project.head.project.pins ?? []))
	const counts = $derived.by(() => {
		void w.project.entityTurn
		const out: Record<string, number> = {}
		for (const m of w.project.head.maps) for (const e of w.project.entities(m.id)) out[e.kind] = (out[e.kind] ?? 0) + 1
		return out
	})

	function add(from: string, variant = '') {
		const made = variant
			? w.project.try('addVariant', { from, name: variant })
			: w.project.try('addKind', { from, name: '' })
		if (made?.made) [w.kindId, query] = [made.made, '']
	}

	function keys(e: KeyboardEvent, k: Kind) {
		const step = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0
		const next = shown[shown.indexOf(k) + step]
		if (!step || !next) return
		e.preventDefault()
		w.kindId = next.id
		document.getElementById(`kind-${next.id}`)?.focus()
	}
</script>

<FigureMaker
	bind:open={() => w.making === 'figure', (on) => (w.making = on ? 'figure' : '')}
	made={(id) => ([w.kindId, query] = [id, ''])}
/>
<div
	class="grid min-h-0 grid-cols-[264px_minmax(0,1fr)_260px] max-[1000px]:grid-cols-[196px_minmax(0,1fr)] max-[1000px]:grid-rows-[minmax(0,1fr)_auto]"
>
	<aside class="flex min-h-0 flex-col border-r border-line max-[1000px]:row-span-2" aria-label="Kinds">
		<div class="flex flex-col gap-2 p-2">
			<button class="button button-main" onclick={() => add('')}><Plus size={15} /> A kind from nothing</button>
			<button class="button" onclick={() => (w.making = 'figure')}><PersonStanding size={15} /> A figure…</button>
			<SearchField bind:value={query} label="Search kinds" />
		</div>
		<div class="min-h-0 grow overflow-y-auto pb-2" {@attach roving}>
			{#each groups as g (g.name)}
				<h2 class="px-3 pt-2 pb-1 heading">{g.name}</h2>
				<ul aria-label={g.name}>
					{#each g.kinds as k (k.id)}
						<li class="flex items-center {kind?.id === k.id ? 'bg-well' : ''}">
							<Context choices={() => kindMenu(w, k, false)} class="flex min-w-0 grow">
								<button
									id="kind-{k.id}"
									class="flex min-w-0 grow items-center gap-2 px-3 py-1 text-left hover:bg-well {kind?.id === k.id
										? 'font-semibold'
										: ''}"
									aria-current={kind?.id === k.id ? 'true' : undefined}
									onclick={() => (w.kindId = k.id)}
									onkeydown={(e) => keys(e, k)}
								>
									<GripPicture grip={{ what: 'entity', kind: k.id, shape: 'freehand' }} size={22} />
									<span class="min-w-0 grow truncate">{k.name}</span>
									<span class="font-mono text-[11px] text-dim">{counts[k.id] ?? ''}</span>
								</button>
							</Context>
							<button
								class="button-plain w-7 {pinned.has(k.id) ? 'text-glaze' : 'opacity-40'}"
								aria-label="Offer {k.name} first"
								aria-pressed={pinned.has(k.id)}
								title="Offered first everywhere"
								onclick={() => w.project.try('pinKind', { id: k.id, pinned: !pinned.has(k.id) })}
								><ListStart size={14} /></button
							>
						</li>
					{/each}
				</ul>
			{:else}
				<p class="p-3 text-dim">No kind is called that.</p>
			{/each}
		</div>
	</aside>
	{#if kind}
		<main class="min-h-0" aria-label="Kind {kind.name}">
			{#key kind.id}<KindPanel {kind} {add} />{/key}
		</main>
		<aside
			class="flex min-h-0 flex-col overflow-y-auto border-l border-line max-[1000px]:max-h-44 max-[1000px]:border-t max-[1000px]:border-l-0"
			aria-label="Where it is used"
		>
			<KindUses {kind} />
		</aside>
	{/if}
</div>
