<script lang="ts">
	import type { Snippet } from 'svelte'
	import { arrows, begin } from './presses'

	// What lies over the game: a plate with a heading, and what can be pressed.
	let {
		heading,
		children,
		wide = false,
		clear = false,
	}: { heading: string; children: Snippet; wide?: boolean; clear?: boolean } = $props()
	let plate: HTMLDivElement

	$effect(() => {
		void heading
		begin(plate)
	})
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
	class="absolute inset-0 flex items-center justify-center overflow-y-auto p-4 {clear ? '' : 'bg-night/75'}"
	onkeydown={(e) => arrows(e, plate)}
>
	<div bind:this={plate} data-plate class="cut m-auto max-w-full {wide ? 'w-[40rem]' : 'w-[22rem]'}">
		<div class="flex flex-col items-stretch gap-3 p-6">
			<h1 class="text-center text-[22px] leading-tight font-semibold text-balance">{heading}</h1>
			{@render children()}
		</div>
	</div>
</div>
