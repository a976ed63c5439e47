<script lang="ts">
	import Check from '@lucide/svelte/icons/check'
	import X from '@lucide/svelte/icons/x'
	import Hint from '../controls/Hint.svelte'
	import type { AskReply } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// What changes a thing, a flag or a counter, who needs it, and in a game which of that is so now.
	const w = workspace()
	const answer = $derived.by(() => {
		void w.project.turn
		// a game that runs is asked anew a few times a second
		void (w.play.frozen ? w.play.view?.tick : Math.floor((w.play.view?.tick ?? 0) / 20))
		if (!w.asking) return null
		const tick = w.play.view ? w.play.view.tick : 0
		return w.project.ask('ask', { ...w.asking, tick })
	})

	$effect(() => {
		w.wiring.links = answer?.links ?? []
		return () => (w.wiring.links = [])
	})

	function follow(l: AskReply) {
		if (l.rule) {
			w.rule = l.rule
			w.layout.show('rules')
		} else if (l.map) w.goTo(l.map, l.entity)
	}
</script>

{#if answer}
	<section
		class="cut absolute top-14 z-20 flex max-h-[calc(100%-5rem)] w-80 flex-col {w.station === 'rules'
			? 'right-[312px]'
			: 'right-3'}"
		aria-label="What {answer.of} is about"
		data-testid="ask"
	>
		<div class="flex items-start gap-2 px-3 pt-2 pr-5">
			<div class="min-w-0 grow">
				<h2 class="truncate text-[15px] font-semibold">{answer.of}</h2>
				{#if answer.now}<p class="text-dim">{answer.now}</p>{/if}
			</div>
			<Hint label="Close" keys="Esc" class="button-plain shrink-0" onclick={() => (w.asking = null)}
				><X size={15} /></Hint
			>
		</div>
		<div class="min-h-0 overflow-y-auto px-3 pb-3">
			{#each answer.groups as g (g.title)}
				<h3 class="mt-2 heading">{g.title}</h3>
				{#if !g.lines.length}<p class="text-dim">{g.nothing}</p>{/if}
				<ul>
					{#each g.lines as l, i (i)}
						<li class="border-l-2 border-line py-1 pl-2">
							<button class="text-left hover:underline" onclick={() => follow(l)}>{l.text}</button>
							{#each l.asks as c (c.text)}
								<p
									class="flex items-start gap-1.5 {c.is === 'no'
										? 'text-brick'
										: c.is === 'yes'
											? 'text-sage'
											: 'text-dim'}"
								>
									{#if c.is === 'yes'}<Check
											size={14}
											class="mt-0.5 shrink-0"
											aria-label="so:"
										/>{:else if c.is === 'no'}<X size={14} class="mt-0.5 shrink-0" aria-label="not so:" />{:else}<span
											class="shrink-0">if</span
										>{/if}
									<span>{c.text}</span>
								</p>
							{/each}
						</li>
					{/each}
				</ul>
			{/each}
		</div>
	</section>
{/if}
