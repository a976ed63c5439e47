<script lang="ts">
	import MessageBox from '../entities/MessageBox.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What is being said, written letter by letter if the designer wants that, and what can be answered.
	let { is, letters = '' }: { is: Record<string, string>; letters?: string } = $props()
	const w = workspace()
	const view = $derived(w.play.view)
	const line = $derived(view?.line ?? '')
	const speed = $derived(Number(is.textSpeed) || 0)
	let written = $state(Infinity)

	$effect(() => {
		const all = line.length
		if (!speed || !all) {
			written = Infinity
			return
		}
		written = 0
		w.play.writing = true
		const began = performance.now()
		const timer = setInterval(() => {
			written = Math.floor(((performance.now() - began) * speed) / 1000)
			if (written >= all || !w.play.writing) end()
		}, 16)
		const end = () => {
			written = Infinity
			w.play.writing = false
			clearInterval(timer)
		}
		return end
	})

	const places: Record<string, string> = { top: 'top-16', middle: 'top-1/2 -translate-y-1/2' }
	const place = $derived(places[is.textPlace] ?? (w.touch ? 'bottom-52' : 'bottom-4'))
</script>

{#if view}
	<div class="absolute left-1/2 w-max max-w-full -translate-x-1/2 {place}" role="status" data-testid="line">
		<MessageBox text={line} {written} speaker={view.speaker} {is} {letters} keyed={!w.touch} />
		{#if view.answers.length && written >= line.length}
			<ul class="pointer-events-auto mt-1 flex flex-col bg-ink p-1 text-plaster" aria-label="Answers">
				{#each view.answers as answer, i (i)}
					<li>
						<button
							class="flex min-h-8 w-full items-center gap-2 px-2 text-left {i === view.chosen
								? 'bg-plaster font-semibold text-ink'
								: ''}"
							aria-current={i === view.chosen}
							onclick={() => w.play.answer(i)}>{answer}</button
						>
					</li>
				{/each}
			</ul>
		{/if}
	</div>
{/if}
