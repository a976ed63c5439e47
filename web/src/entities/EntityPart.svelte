<script lang="ts">
	import type { Snippet } from 'svelte'

	// A part of a card that can be folded; what is folded is not made.
	let { title, open = false, children }: { title: string; open?: boolean; children: Snippet } = $props()
	// svelte-ignore state_referenced_locally
	let shown = $state(open)
</script>

<details class="border-t border-line pt-1" bind:open={shown}>
	<summary class="cursor-pointer py-0.5 heading">{title}</summary>
	{#if shown}<div class="flex flex-col gap-1 pt-1">{@render children()}</div>{/if}
</details>
