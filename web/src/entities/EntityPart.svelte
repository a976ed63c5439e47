<script lang="ts">
	import type { Snippet } from 'svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// A part of a card that can be folded, and stays so; what is folded is not made.
	let { title, open = false, children }: { title: string; open?: boolean; children: Snippet } = $props()
	const { layout } = workspace()
	// titles that count something are one part whatever they count
	const name = $derived(title.replace(/ \(.*/, ''))
	const shown = $derived(layout.parts[name] ?? open)
</script>

<details class="border-t border-line pt-1" bind:open={() => shown, (on) => (layout.parts[name] = on)}>
	<summary class="cursor-pointer py-0.5 heading">{title}</summary>
	{#if shown}<div class="flex flex-col gap-1 pt-1">{@render children()}</div>{/if}
</details>
