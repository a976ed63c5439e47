<script lang="ts">
	import type { Snippet } from 'svelte'

	// A part of the Details card that can be folded; which are open is remembered by the page.
	let { title, open = false, children }: { title: string; open?: boolean; children: Snippet } = $props()
</script>

<details class="border-t border-line pt-1" {open}>
	<summary class="cursor-pointer py-0.5 heading">{title}</summary>
	<div class="flex flex-col gap-1 pt-1">{@render children()}</div>
</details>
