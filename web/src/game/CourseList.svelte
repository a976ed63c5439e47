<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'

	// The maps in their order: which of them start the next one, and for what they give stars.
	const w = workspace()
	const maps = $derived(w.project.head.maps.filter((m) => !m.template))
	const courses = $derived.by(() => {
		void w.project.head
		return w.project.ask('gameInfo', { language: '' }).courses
	})
	const stars = (id: string) => courses.flatMap((c) => c.maps).find((m) => m.id === id)?.stars ?? 'nothing'

	function follow(id: string, next: boolean, name: string) {
		w.project.try('set', { ref: { type: 'map', id }, field: 'next', value: next, text: `Changed what follows ${name}` })
	}
</script>

<section class="mt-1 flex flex-col gap-1" aria-label="Maps in their order">
	<p class="text-dim">
		Tick the maps whose goal starts the next one. Their order is that of the chart, and time, moves and stars are set
		there for each.
	</p>
	<ol class="flex flex-col border border-line">
		{#each maps as m, i (m.id)}
			{@const last = i === maps.length - 1}
			<li class="flex min-h-8 items-center gap-2 px-2 {i ? 'border-t border-line' : ''}">
				<span class="w-5 text-right text-dim tabular-nums">{i + 1}</span>
				<button class="min-w-0 grow truncate text-left hover:underline" onclick={() => w.show(m.id)}>{m.name}</button>
				{#if stars(m.id) !== 'nothing'}<span class="text-[11px] text-dim">stars</span>{/if}
				{#if !last}
					<label class="flex items-center gap-1 text-dim"
						><input
							type="checkbox"
							class="accent-glaze"
							aria-label="Finishing {m.name} starts {maps[i + 1].name}"
							checked={m.next ?? false}
							onchange={(e) => follow(m.id, e.currentTarget.checked, m.name)}
						/>next</label
					>
				{:else}<span class="text-dim">the end</span>{/if}
			</li>
		{/each}
	</ol>
</section>
