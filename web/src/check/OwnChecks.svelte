<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { OwnCheck } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// Checks of the designer's own, each a sentence whose words are pressed to change them.
	const w = workspace()
	let { ways }: { ways: { as: string; name: string }[] } = $props()
	const all = $derived((w.project.head.project.ownChecks ?? []) as OwnCheck[])
	const kinds = $derived(w.project.head.kinds)
	const wheres = [
		{ is: '', name: 'on any map' },
		{ is: 'dark', name: 'on dark maps' },
		{ is: 'above', name: 'on maps seen from above' },
		{ is: 'side', name: 'on maps seen from the side' },
		{ is: 'begins', name: 'where a game can begin' },
	]

	const change = (o: OwnCheck, to: Partial<OwnCheck>) =>
		w.project.try('ownCheck', { where: '', most: false, within: 0, ...o, ...to })

	function add() {
		w.project.try('ownCheck', {
			id: '',
			every: 'spawn',
			where: '',
			has: 'checkpoint',
			most: false,
			number: 1,
			within: 0,
			as: 'note',
		})
	}

	function remove(o: OwnCheck) {
		const made = change(o, { has: '' })
		if (made) w.notices.say('The check is removed.', 'done', w.project.undoOf(made))
	}

	function count(e: Event & { currentTarget: HTMLInputElement }, was: number, set: (n: number) => void) {
		const n = Number(e.currentTarget.value)
		if (Number.isInteger(n) && n >= 0 && n !== was) set(n)
		else e.currentTarget.value = String(was || '')
	}
</script>

<fieldset class="flex flex-col gap-2 border-b border-line p-4" data-testid="own-checks">
	<legend class="float-left w-full pb-1 font-semibold">Checks of your own</legend>
	{#each all as o, i (o.id)}
		<div class="flex flex-wrap items-center gap-1.5" role="group" aria-label="Check {i + 1}">
			<span>Every</span>
			<select
				class="field max-w-44"
				aria-label="What has it"
				value={o.every}
				onchange={(e) => change(o, { every: e.currentTarget.value })}
			>
				<option value="map">map</option>
				{#each kinds as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
			</select>
			<select
				class="field max-w-48"
				aria-label="On which maps"
				value={o.where ?? ''}
				onchange={(e) => change(o, { where: e.currentTarget.value })}
			>
				{#each wheres as one (one.is)}<option value={one.is}>{one.name}</option>{/each}
			</select>
			<span>has</span>
			<select
				class="field"
				aria-label="At least or at the most"
				value={o.most ? 'most' : 'least'}
				onchange={(e) => change(o, { most: e.currentTarget.value === 'most' })}
			>
				<option value="least">at least</option>
				<option value="most">at the most</option>
			</select>
			<input
				class="field w-14 font-mono"
				aria-label="How many"
				inputmode="numeric"
				value={o.number}
				onchange={(e) => count(e, o.number, (number) => change(o, { number }))}
			/>
			<select
				class="field max-w-44"
				aria-label="Of what"
				value={o.has}
				onchange={(e) => change(o, { has: e.currentTarget.value })}
			>
				{#each kinds as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
			</select>
			<span>within</span>
			<input
				class="field w-14 font-mono"
				aria-label="Within how many cells, empty for anywhere on its map"
				title="Empty is anywhere on its map"
				inputmode="numeric"
				placeholder="any"
				value={o.within || ''}
				onchange={(e) => count(e, o.within ?? 0, (within) => change(o, { within }))}
			/>
			<span>cells;</span>
			<select
				class="field"
				aria-label="How much it matters"
				value={o.as}
				onchange={(e) => change(o, { as: e.currentTarget.value })}
			>
				{#each ways as way (way.as)}<option value={way.as}>{way.name}</option>{/each}
			</select>
			<button class="button-plain w-7" aria-label="Remove check {i + 1}" title="Remove it" onclick={() => remove(o)}
				><Trash2 size={15} /></button
			>
		</div>
	{:else}
		<p class="text-dim">
			What every map, or everything of a kind, is to have: a light within five cells of every spawn on dark maps, say.
		</p>
	{/each}
	<button class="button self-start" onclick={add}><Plus size={15} /> New check</button>
</fieldset>
