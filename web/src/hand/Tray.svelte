<script lang="ts">
	import { roving } from '../controls/roving'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import GripPicture from './GripPicture.svelte'
	import { sameThing } from '../workspace/hand.svelte'
	import { nameOf, turnOf } from './naming'

	const w = workspace()
	const { hand } = w

	function press(i: number) {
		if (hand.tray[i]) w.holdSlot(i)
		else if (i < 5 && hand.holding) hand.keep(i, w.target?.id ?? '')
		w.canvas?.focus()
	}

	function label(i: number): string {
		const slot = hand.tray[i]
		const digit = (i + 1) % 10
		if (slot) return `Slot ${digit}: ${nameOf(w.project, slot.grip)}, ${slot.grip.shape}, ${turnOf(slot.grip)}`
		return i < 5 ? `Slot ${digit}: empty; press to keep what is held` : `Slot ${digit}: what was held earlier`
	}
</script>

<div class="flex items-center gap-1 px-3 pb-1.5" role="toolbar" aria-label="Tray" data-testid="tray" {@attach roving}>
	{#each hand.tray as slot, i (i)}
		{#if i === 5}<span class="mx-1 h-7 w-px bg-line"></span>{/if}
		<Hint
			label={label(i)}
			keys={i < 5 && !slot ? `Shift+${i + 1}` : String((i + 1) % 10)}
			side="top"
			onclick={() => press(i)}
			oncontextmenu={(e: MouseEvent) => {
				e.preventDefault()
				hand.clear(i)
			}}
			class="cut flex h-9 w-11 items-center justify-center [--cut:7px] hover:[--edge:var(--glaze)] {slot &&
			hand.holding &&
			sameThing(slot.grip, hand.grip)
				? 'bg-held [--edge:var(--held)] [--face:var(--well)]'
				: i < 5
					? '[--edge:var(--dim)]'
					: ''}"
		>
			{#if slot}<GripPicture grip={slot.grip} />{/if}
			<span class="absolute bottom-0 left-0.5 font-mono text-[10px] leading-3 text-dim">{(i + 1) % 10}</span>
		</Hint>
	{/each}
	<span class="ml-2 truncate text-[12px] text-dim">1–5 keep; 6–0 are what was held last, each in its place</span>
</div>
