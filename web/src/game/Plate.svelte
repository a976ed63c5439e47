<script lang="ts">
	import type { Snippet } from 'svelte'

	// What lies over the game: a plate with a heading, and what can be pressed.
	let {
		heading,
		children,
		wide = false,
		clear = false,
	}: { heading: string; children: Snippet; wide?: boolean; clear?: boolean } = $props()
	let plate: HTMLDivElement

	// the first thing that can be pressed has the focus, so that keys and gamepads can go on from there
	$effect(() => {
		void heading
		plate.querySelector<HTMLElement>('button:not(:disabled), input, select')?.focus({ preventScroll: true })
	})

	/** Arrows go from one to the next, as the tabulator does. */
	function keydown(e: KeyboardEvent) {
		const by = { ArrowDown: 1, ArrowUp: -1 }[e.key]
		if (!by || (e.target instanceof HTMLElement && ['INPUT', 'SELECT'].includes(e.target.tagName))) return
		const all = [...plate.querySelectorAll<HTMLElement>('button:not(:disabled), input, select')]
		const at = all.indexOf(document.activeElement as HTMLElement)
		e.preventDefault()
		e.stopPropagation()
		all[(at + by + all.length) % all.length]?.focus()
	}
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
	class="absolute inset-0 flex items-center justify-center overflow-y-auto p-4 {clear ? '' : 'bg-night/75'}"
	onkeydown={keydown}
>
	<div bind:this={plate} class="cut m-auto max-w-full {wide ? 'w-[40rem]' : 'w-[22rem]'}">
		<div class="flex flex-col items-stretch gap-3 p-6">
			<h1 class="text-center text-[22px] leading-tight font-semibold text-balance">{heading}</h1>
			{@render children()}
		</div>
	</div>
</div>
