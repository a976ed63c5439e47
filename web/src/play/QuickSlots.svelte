<script lang="ts">
	import GripPicture from '../hand/GripPicture.svelte'
	import type { Grip, SlotView } from '../core/types'
	import { type GameInput, gameInputs, gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What the hero can do: strike, where it waits between two blows, and what it carries, of which the first have a key each and
	// the one in hand is framed. What is not ready again is covered, and uncovered as its time passes.
	let { words }: { words: Record<string, string> } = $props()
	const w = workspace()
	const slot = 'pointer-events-auto relative flex h-11 min-w-11 items-center gap-1.5 border-2 px-1.5'
	const view = $derived(w.play.view)
	const inputs: GameInput[] = ['slot1', 'slot2', 'slot3', 'slot4']
	const grip = (s: SlotView): Grip => {
		const e = s.id ? w.project.entity(s.map, s.id) : undefined
		return { what: 'entity', shape: 'freehand', kind: s.kind || 'item', look: e?.look ?? 0, lookOn: 0 }
	}
	const bit = (input: GameInput) => gameInputs.find((g) => g.input === input)!.bit

	function press(input: GameInput) {
		w.play.lean('slot', bit(input))
		w.play.lean('slot', 0)
	}
</script>

{#snippet waits(rests: number)}
	{#if rests}
		<span class="absolute inset-x-0 bottom-0 bg-held/40" style:height="{rests / 10}%" data-testid="waits"></span>
		<span class="sr-only">{words.notReady}</span>
	{/if}
{/snippet}

{#if view && (view.slots.length || view.blowWaits)}
	<div class="flex flex-wrap gap-1" role="group" aria-label="Items" data-testid="slots">
		{#if view.blowWaits}
			{@const key = keyWord(gameKeys.of('use')[0])}
			<button
				class="{slot} border-transparent bg-ink text-plaster"
				tabindex="-1"
				title="Strike: press {key}"
				data-testid="strike"
				onmousedown={(e) => e.preventDefault()}
				onclick={() => press('use')}
			>
				{@render waits(view.blowRests)}
				<span class="relative key" aria-hidden="true">{key}</span>
				<span class="relative">{words.strike}</span>
			</button>
		{/if}
		{#each view.slots.slice(0, inputs.length) as s, i (s.word)}
			{@const held = view.hand === s.word}
			<button
				class="{slot} {held ? 'border-held bg-held text-[#1e2a2e]' : 'border-transparent bg-ink text-plaster'}"
				tabindex="-1"
				aria-pressed={held}
				title="{s.name}: press {keyWord(gameKeys.of(inputs[i])[0])} to take it in hand, or put it away"
				onmousedown={(e) => e.preventDefault()}
				onclick={() => press(inputs[i])}
			>
				{@render waits(s.rests)}
				<span class="relative key" aria-hidden="true">{keyWord(gameKeys.of(inputs[i])[0])}</span>
				{#key s.id}<GripPicture grip={grip(s)} size={22} />{/key}
				<span class="relative max-w-28 truncate">{s.name}</span>
				{#if s.amount > 1}<span class="relative font-mono">{s.amount}</span>{/if}
			</button>
		{/each}
		{#if view.slots.length > inputs.length}
			<span class="flex items-center bg-ink px-2 text-plaster"
				>and {view.slots.length - inputs.length} more
				<span class="ml-1.5 key">{keyWord(gameKeys.of('next')[0])}</span></span
			>
		{/if}
	</div>
{/if}
