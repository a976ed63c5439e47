<script lang="ts">
	import { roving } from '../controls/roving'
	import Eye from '@lucide/svelte/icons/eye'
	import EyeOff from '@lucide/svelte/icons/eye-off'
	import Lock from '@lucide/svelte/icons/lock'
	import type { Entity } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// The entities of the map that is shown: found, sorted, counted, jumped to, selected.
	const w = workspace()
	let query = $state('')
	let sort = $state<'name' | 'kind' | 'place'>('name')
	let most = $state(100)
	const all = $derived(w.map ? w.project.entities(w.map.id) : [])
	const place = (e: Entity) => `${e.x} ${e.y} ${e.w} ${e.h}`
	const piles = $derived.by(() => {
		const count = new Map<string, number>()
		for (const e of all) count.set(place(e), (count.get(place(e)) ?? 0) + 1)
		return new Set(all.filter((e) => count.get(place(e))! > 1).map((e) => e.id))
	})
	const found = $derived.by(() => {
		const words = query.toLowerCase().split(/\s+/).filter(Boolean)
		const name = (e: Entity) => w.project.kind(e.kind)?.name ?? ''
		const hits = all.filter((e) => {
			if (query === 'piles') return piles.has(e.id)
			const text =
				`${e.name} ${name(e)} ${e.group ?? ''} ${(w.project.kind(e.kind)?.tags ?? []).join(' ')}`.toLowerCase()
			return words.every((word) => text.includes(word))
		})
		const by: Record<typeof sort, (a: Entity, b: Entity) => number> = {
			name: (a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }),
			kind: (a, b) => name(a).localeCompare(name(b)) || a.name.localeCompare(b.name, 'en', { numeric: true }),
			place: (a, b) => a.y - b.y || a.x - b.x,
		}
		return hits.sort(by[sort])
	})
	const selected = $derived(new Set(w.selected))

	function choose(e: Entity, add: boolean) {
		if (!add) return w.goTo(w.map!.id, e.id)
		w.hand.letGo()
		w.select(selected.has(e.id) ? w.selected.filter((id) => id !== e.id) : [...w.selected, e.id], true)
	}

	function thin() {
		const made = w.project.try('thinPiles', { map: w.map!.id })
		if (made) w.notices.say(`${made.text}.`, 'done', w.project.undoOf(made))
	}
</script>

<div class="flex min-h-0 grow flex-col" data-testid="entity-list">
	<div class="flex gap-1 p-1.5">
		<input
			class="field w-full min-w-0"
			type="search"
			placeholder="Find"
			aria-label="Search entities"
			bind:value={query}
			onkeydown={(e) => e.stopPropagation()}
		/>
		<select class="field w-[76px] shrink-0 px-1" aria-label="Sort by" bind:value={sort}>
			<option value="name">name</option>
			<option value="kind">kind</option>
			<option value="place">place</option>
		</select>
	</div>
	<div class="flex flex-wrap items-center gap-x-2 px-2 pb-1 text-[12px] text-dim">
		<span>{found.length === all.length ? `${all.length} in all` : `${found.length} of ${all.length}`}</span>
		{#if found.length > 1}<button
				class="underline hover:text-ink"
				onclick={() => (w.hand.letGo(), w.select(found.map((e) => e.id)))}>select</button
			>{/if}
		{#if piles.size}
			<button class="text-brick underline" onclick={() => (query = query === 'piles' ? '' : 'piles')}
				>{piles.size} in piles</button
			>
			{#if query === 'piles'}<button class="underline hover:text-ink" onclick={thin}>thin out</button>{/if}
		{/if}
	</div>
	<ul class="min-h-0 grow overflow-y-auto" aria-label="Entities of this map" {@attach roving}>
		{#each found.slice(0, most) as e (e.id)}
			<li
				class="group flex items-center {selected.has(e.id) ? 'bg-chalk outline-2 -outline-offset-2 outline-held' : ''}"
			>
				<button
					class="flex h-7 min-w-0 grow items-center gap-1.5 px-2 text-left hover:bg-well"
					aria-pressed={selected.has(e.id)}
					title={w.project.kind(e.kind)?.name}
					onclick={(ev) => choose(e, ev.shiftKey || ev.ctrlKey)}
				>
					<span class="size-2 shrink-0" style:background={w.scene.figures.colourOf(e.kind)} aria-hidden="true"></span>
					<span class="min-w-0 grow truncate {e.hidden ? 'text-dim line-through' : ''}">{e.name}</span>
					{#if e.locked}<Lock size={12} class="text-brick" />{/if}
				</button>
				<button
					class="button-plain w-6 {e.hidden ? '' : 'invisible group-focus-within:visible group-hover:visible'}"
					aria-label="{e.hidden ? 'Show' : 'Hide'} {e.name}"
					onclick={() =>
						w.project.try('setField', { map: w.map!.id, ids: [e.id], do: { field: 'hidden', value: !e.hidden } })}
				>
					{#if e.hidden}<EyeOff size={13} />{:else}<Eye size={13} />{/if}
				</button>
			</li>
		{:else}
			<li class="px-2 text-dim">
				{all.length ? 'Nothing is called that.' : 'Nothing stands on this map yet: hold a kind and put it down.'}
			</li>
		{/each}
		{#if found.length > most}
			<li><button class="m-1.5 button" onclick={() => (most += 400)}>Show more</button></li>
		{/if}
	</ul>
</div>
