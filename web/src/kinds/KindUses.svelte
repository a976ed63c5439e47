<script lang="ts">
	import type { Kind } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// Where entities of a kind stand, and what of their counts is not as it is to be.
	let { kind }: { kind: Kind } = $props()
	const w = workspace()
	const told = $derived.by(() => {
		void w.project.turn
		return w.project.ask('kindUses', kind.id)
	})
</script>

<div class="flex flex-col gap-2 p-3">
	<h3 class="heading">Where used</h3>
	{#each told.wrong as text (text)}<p class="text-brick">{text}</p>{/each}
	<ul class="flex flex-col">
		{#each told.uses as u (u.map)}
			<li>
				<button
					class="flex w-full items-baseline gap-2 px-1 py-1 text-left hover:bg-well"
					onclick={() => w.goTo(u.map, u.first)}
				>
					<span class="min-w-0 grow truncate">{u.name}</span>
					<span class="font-mono text-dim">{u.count}</span>
				</button>
			</li>
		{:else}
			<li class="text-dim">Nothing of this kind stands on a map yet.</li>
		{/each}
	</ul>
	<button
		class="button button-main"
		onclick={() => {
			w.open('map')
			w.hold({ what: 'entity', kind: kind.id })
		}}>Hold it on the map</button
	>
</div>
