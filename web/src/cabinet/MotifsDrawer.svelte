<script lang="ts">
	import { roving } from '../controls/roving'
	import Replace from '@lucide/svelte/icons/replace'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { ID, MotifInfo } from '../core/types'
	import NameField from '../controls/NameField.svelte'
	import Hint from '../controls/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const motifs = $derived(w.project.head.motifs.filter((m) => m.name.toLowerCase().includes(wanted)))
	let naming = $state('')
	/** The motif that is going to be replaced, and in how many places it stands. */
	let replacing = $state<{ id: ID; places: number } | null>(null)

	function ask(m: MotifInfo) {
		if (!w.area) return w.notices.say('Select the cells that the motif should be made of first.')
		const places = w.project.ask('placings', { id: m.id }).length
		if (places) replacing = { id: m.id, places }
		else w.areas.replaceMotif(m.id, false)
	}

	function replace(update: boolean) {
		if (replacing) w.areas.replaceMotif(replacing.id, update)
		replacing = null
	}
</script>

{#if motifs.length}
	<ul class="grid grid-cols-2 gap-1 p-1.5" aria-label="Motifs" {@attach roving}>
		{#each motifs as m (m.id)}
			{@const held = w.hand.grip.what === 'motif' && w.hand.grip.motif === m.id}
			<li class="group flex flex-col border {held ? 'border-held bg-chalk' : 'border-line'}">
				<button
					class="flex flex-col items-center gap-1 p-1.5 hover:bg-well"
					aria-pressed={held}
					aria-label="Hold motif {m.name}"
					onclick={() => {
						w.hold({ what: 'motif', motif: m.id })
						w.canvas?.focus()
					}}
					ondblclick={() => (naming = m.id)}
				>
					<GripPicture grip={{ what: 'motif', motif: m.id, shape: 'freehand' }} size={72} />
				</button>
				{#if naming === m.id}
					<NameField
						name={m.name}
						label="Name of the motif"
						class="w-full"
						named={(name) => {
							naming = ''
							if (name !== m.name)
								w.project.try('set', {
									ref: { type: 'motif', id: m.id },
									field: 'name',
									value: name,
									text: `Renamed motif ${m.name}`,
								})
						}}
					/>
				{:else}
					<div class="flex flex-wrap items-center justify-end pl-1.5">
						<button
							class="min-w-0 grow basis-full truncate text-left text-[12px]"
							title="{m.w} × {m.h} cells; a press renames"
							onclick={() => (naming = m.id)}>{m.name}</button
						>
						<Hint label="Make it of what is selected" class="button-plain w-6" disabled={!w.area} onclick={() => ask(m)}
							><Replace size={13} /></Hint
						>
						<Hint
							label="Delete motif {m.name}"
							class="button-plain w-6 hover:text-brick"
							onclick={() =>
								w.project.try('remove', { ref: { type: 'motif', id: m.id }, text: `Deleted motif ${m.name}` })}
							><Trash2 size={13} /></Hint
						>
					</div>
				{/if}
				{#if replacing?.id === m.id}
					<div
						class="flex flex-col gap-1 border-t border-line p-1.5 text-[12px]"
						role="group"
						aria-label="Update places"
					>
						<p>It stands unchanged in {replacing.places} {replacing.places === 1 ? 'place' : 'places'}.</p>
						<button class="button button-main" onclick={() => replace(true)}>Change those too</button>
						<button class="button" onclick={() => replace(false)}>Only the motif</button>
					</div>
				{/if}
			</li>
		{/each}
	</ul>
{/if}
{#if !wanted}
	<div class="flex flex-col gap-2 p-3">
		{#if !motifs.length}
			<p>
				A motif is an arrangement that is used again: a house, a lamp with its light, a bend of the road. Select its
				cells and keep them.
			</p>
		{/if}
		<button class="button {motifs.length ? '' : 'button-main'}" disabled={!w.area} onclick={() => w.areas.makeMotif()}
			>Keep the selection as a motif</button
		>
		{#if !w.area}
			<button class="button" onclick={() => w.areas.startSelecting()}>Select cells on the map</button>
		{/if}
	</div>
{/if}
