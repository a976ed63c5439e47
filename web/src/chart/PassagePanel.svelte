<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Passage } from '../core/types'
	import MessageFit from '../entities/MessageFit.svelte'
	import { edgeOf } from '../project/edges'
	import { workspace } from '../workspace/workspace.svelte'
	import { removePassage } from './removal'
	import GateList from './GateList.svelte'

	// A passage: its two ends, what is seen and heard in it, and when it is open.
	let { passage: p }: { passage: Passage } = $props()
	const w = workspace()
	const exit = $derived(w.project.entity(p.from.map, p.from.entity))
	const from = $derived(p.from.side ? `the ${edgeOf(p.from.side)}` : (exit?.name ?? 'a removed exit'))
	const wrong = $derived(w.charting.info.findings.filter((f) => f.passage === p.id))
	const put = (to: Partial<Passage>) => w.project.try('changePassage', { ...p, ...to })
</script>

<div class="flex flex-col gap-2">
	<h2 class="text-[15px] font-semibold">Passage</h2>
	<button
		class="min-h-6 truncate text-left text-cobalt underline"
		onclick={() => (p.from.entity ? w.goTo(p.from.map, p.from.entity) : w.show(p.from.map))}
		>from {from} on {w.project.map(p.from.map)?.name ?? 'a removed map'}</button
	>
	<button class="min-h-6 truncate text-left text-cobalt underline" onclick={() => w.goTo(p.to.map, p.to.entity)}
		>to {w.project.entity(p.to.map, p.to.entity)?.name ?? 'a removed place'} on {w.project.map(p.to.map)?.name ??
			'a removed map'}</button
	>
	{#each wrong as f, i (i)}<p class="text-brick">{f.text}</p>{/each}
	<div class="flex gap-1">
		<button class="button grow" onclick={() => (w.joining = p.from)}>Lead elsewhere…</button>
		<button class="button hover:text-brick" onclick={() => removePassage(w, p)}><Trash2 size={14} /> Remove</button>
	</div>
	<label class="flex items-center gap-1.5"
		><span class="w-16 text-dim">Seen</span>
		<select
			class="field min-w-0 grow"
			value={p.transition || 'fade'}
			onchange={(e) => put({ transition: e.currentTarget.value })}
		>
			{#each w.project.head.transitions as t (t)}<option value={t}>{t}</option>{/each}
		</select>
	</label>
	<label class="flex items-center gap-1.5"
		><span class="w-16 text-dim">Heard</span>
		<input
			class="field min-w-0 grow"
			placeholder="a file of the game"
			value={p.sound ?? ''}
			onchange={(e) => put({ sound: e.currentTarget.value.trim() })}
		/>
	</label>
	<h3 class="pt-1 heading">Opens if</h3>
	{#if !p.if?.length}<p class="text-dim">Always open.</p>{/if}
	<GateList gates={p.if ?? []} change={(gates) => put({ if: gates })} />
	{#if p.if?.length}
		<label class="flex flex-col"
			><span class="text-dim">said while it is shut</span>
			<input
				class="field"
				value={p.shut ?? ''}
				maxlength="500"
				onchange={(e) => put({ shut: e.currentTarget.value.trim() })}
			/>
		</label>
		{#if p.shut}<MessageFit text={p.shut} change={(text) => put({ shut: text })} />{/if}
	{/if}
</div>
