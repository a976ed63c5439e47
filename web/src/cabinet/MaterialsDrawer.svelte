<script lang="ts">
	import { roving } from '../controls/roving'
	import Settings2 from '@lucide/svelte/icons/settings-2'
	import Hint from '../controls/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const materials = $derived(w.project.head.materials.filter((m) => `${m.name} ${m.is}`.toLowerCase().includes(wanted)))
</script>

{#if materials.length}
	<ul class="flex flex-col p-1" aria-label="Materials" {@attach roving}>
		{#each materials as m (m.id)}
			{@const held = w.hand.grip.what === 'material' && w.hand.grip.number === m.number}
			<li class="flex items-center {held ? 'bg-chalk outline-2 -outline-offset-2 outline-held' : ''}">
				<button
					class="flex min-w-0 grow items-center gap-2.5 p-1.5 text-left hover:bg-well"
					aria-pressed={held}
					onclick={() => {
						w.hold({ what: 'material', number: m.number })
						w.canvas?.focus()
					}}
				>
					<GripPicture grip={{ what: 'material', number: m.number, shape: 'freehand' }} size={28} />
					<span class="min-w-0 grow leading-tight">
						<span class="block truncate font-semibold">{m.name}</span>
						<span class="block text-[12px] text-dim"
							>{m.is}{m.tiles?.length ? '' : ': no tiles yet'}{m.covers.some((c) => c.how === 'lacks') &&
							m.tiles?.length
								? ', with gaps'
								: ''}</span
						>
					</span>
				</button>
				<Hint
					label="Set up material {m.name}"
					class="button-plain"
					onclick={() => {
						w.materialId = m.id
						w.open('tilesets')
					}}><Settings2 size={15} /></Hint
				>
			</li>
		{/each}
	</ul>
{:else if !wanted}
	<div class="flex flex-col gap-2 p-3">
		<p>
			A material is paint whose edges fit themselves: ground, a path, water, a wall. Show on the sheet which sides of
			each tile belong to it, or let it be recognised.
		</p>
		<button class="button button-main" onclick={() => w.open('tilesets')}>Set up a material…</button>
	</div>
{/if}
