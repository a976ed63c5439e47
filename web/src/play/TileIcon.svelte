<script lang="ts">
	import type { Snippet } from 'svelte'
	import GripPicture from '../hand/GripPicture.svelte'

	// What is counted, shown with a tile of the designer's own, or with Azzel's sign.
	let { cell, size = 16, children }: { cell: string | undefined; size?: number; children: Snippet } = $props()
	const tile = $derived(Number(cell) || 0)
</script>

{#if tile}
	{#key tile}<GripPicture grip={{ what: 'tiles', cells: [tile], width: 1, shape: 'freehand' }} {size} />{/key}
{:else}{@render children()}{/if}
