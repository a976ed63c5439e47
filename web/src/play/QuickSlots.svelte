<script lang="ts">
	import GripPicture from '../hand/GripPicture.svelte'
	import type { Grip, SlotView } from '../core/types'
	import { type GameInput, gameInputs, gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// What the hero carries: the first items have a key each, the one in hand is framed.
	const w = workspace()
	const view = $derived(w.play.view)
	const inputs: GameInput[] = ['slot1', 'slot2', 'slot3', 'slot4']
	const grip = (s: SlotView): Grip => {
		const e = s.id ? w.project.entity(s.map, s.id) : undefined
		return { what: 'entity', shape: 'freehand', kind: s.kind || 'item', look: e?.look ?? 0, lookOn: 0 }
	}
	const bit = (i: number) => gameInputs.find((g) => g.input === inputs[i])!.bit

	function take(i: number) {
		w.play.lean('slot', bit(i))
		w.play.lean('slot', 0)
	}
</script>

{#if view?.slots.length}
	<div class="flex flex-wrap gap-1" role="group" aria-label="Items" data-testid="slots">
		{#each view.slots.slice(0, inputs.length) as s, i (s.word)}
			{@const held = view.hand === s.word}
			<button
				class="pointer-events-auto flex h-11 min-w-11 items-center gap-1.5 border-2 border-held px-1.5 {held
					? 'bg-held text-[#1e2a2e]'
					: 'border-transparent bg-ink text-plaster'}"
				tabindex="-1"
				aria-pressed={held}
				title="{s.name}: press {keyWord(gameKeys.of(inputs[i])[0])} to take it in hand, or put it away"
				onmousedown={(e) => e.preventDefault()}
				onclick={() => take(i)}
			>
				<span class="key" aria-hidden="true">{keyWord(gameKeys.of(inputs[i])[0])}</span>
				{#key s.id}<GripPicture grip={grip(s)} size={22} />{/key}
				<span class="max-w-28 truncate">{s.name}</span>
				{#if s.amount > 1}<span class="font-mono">{s.amount}</span>{/if}
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
