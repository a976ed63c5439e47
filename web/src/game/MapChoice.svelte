<script lang="ts">
	import Lock from '@lucide/svelte/icons/lock'
	import Plate from './Plate.svelte'
	import Stars from './Stars.svelte'
	import type { Player } from './player.svelte'

	// The maps that follow each other, those that are opened, and what was reached on them.
	let { player }: { player: Player } = $props()
</script>

<Plate heading={player.word('chooseMap')} wide>
	{#each player.info.courses as course, c (c)}
		<ol class="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2">
			{#each course.maps as m, i (m.id)}
				{@const open = player.opened(course, i)}
				{@const best = player.progress[m.id]?.best}
				<li>
					<button
						class="button h-full min-h-20 w-full flex-col items-start gap-1 p-3 text-left"
						disabled={!open}
						onclick={() => player.begin(m.id)}
					>
						<span class="flex w-full items-center gap-2 text-[15px] font-semibold"
							><span class="text-dim tabular-nums">{i + 1}</span><span class="min-w-0 grow leading-tight text-balance"
								>{m.name}</span
							>
							{#if !open}<Lock size={14} aria-hidden="true" />{/if}</span
						>
						{#if !open}<span class="text-dim">{player.word('locked')}</span>
						{:else if m.stars !== 'nothing'}<Stars
								n={best?.stars ?? 0}
								says={player.word('stars', { n: best?.stars ?? 0 })}
							/>{/if}
					</button>
				</li>
			{/each}
		</ol>
	{/each}
	<button class="mx-auto button h-10 min-w-40" onclick={() => player.back()}>{player.word('back')}</button>
</Plate>
