<script lang="ts">
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// The items or the signals of the project: what rules and things are joined by. They are there as soon as they are said.
	let { what }: { what: 'item' | 'signal' } = $props()
	const w = workspace()
	const all = $derived.by(() => {
		void w.project.turn
		return w.project.ask('ruleWords', { what })
	})

	function rename(from: string, input: HTMLInputElement) {
		const to = input.value.trim()
		if (to !== from && !w.project.try('renameWord', { what, from, to })) input.value = from
	}

	const told = (u: (typeof all)[number]) =>
		[...(u.rules ?? []), ...(u.things ? [counted(u.things, 'thing') + ' on maps'] : [])].join(', ')
</script>

{#if all.length}
	<section class="mb-5" aria-label={what === 'item' ? 'Items' : 'Signals'}>
		<h2 class="mb-1 heading">{what === 'item' ? 'Items' : 'Signals'}</h2>
		<p class="mb-2 text-[12px] text-dim">
			{what === 'item'
				? 'What the hero can have, by the words that rules and things call it. Renamed here, it is so everywhere.'
				: 'What rules send out, and what wakes others. Renamed here, it is so everywhere.'}
		</p>
		<ul class="flex flex-col gap-1">
			{#each all as u (u.word)}
				<li class="flex items-center gap-2">
					<input
						class="field w-28 min-w-0 grow"
						value={u.word}
						maxlength="80"
						aria-label="Name of the {what}"
						onblur={(e) => rename(u.word, e.currentTarget)}
						onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
					/>
					<span class="w-36 shrink-0 text-right text-[12px] {u.note ? 'text-saffron' : 'text-dim'}" title={told(u)}
						>{u.note || counted((u.rules ?? []).length + u.things, 'use')}</span
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
