<script lang="ts">
	import type { Snippet } from 'svelte'
	import { contextMenu } from './contextMenu.svelte'
	import type { Choice } from './Menu.svelte'

	// What lies in it has a menu: by the secondary button, a long press, or the menu key.
	let {
		choices,
		class: classes = '',
		children,
	}: { choices: () => Choice[]; class?: string; children: Snippet } = $props()
	/** How long a finger rests for the menu, in milliseconds. */
	const rest = 700
	let resting = 0

	function open(e: MouseEvent) {
		clearTimeout(resting)
		if (e.defaultPrevented) return
		e.preventDefault()
		contextMenu.open(choices, e.clientX, e.clientY)
	}

	function down(e: PointerEvent) {
		if (e.pointerType === 'mouse') return
		clearTimeout(resting)
		resting = window.setTimeout(() => contextMenu.open(choices, e.clientX, e.clientY), rest)
	}

	const away = (e: PointerEvent) => e.pointerType !== 'mouse' && clearTimeout(resting)
	$effect(() => () => clearTimeout(resting))
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
	class={classes}
	tabindex="-1"
	oncontextmenu={open}
	onpointerdown={down}
	onpointermove={away}
	onpointercancel={away}
	onpointerup={away}
>
	{@render children()}
</div>
