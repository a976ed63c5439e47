<script lang="ts">
	import type { Layout, Panel } from '../workspace/layout.svelte'

	// The edge of a panel: dragged, it makes the panel broader or narrower; dragged to nothing it folds it.
	let { panel, layout }: { panel: Panel; layout: Layout } = $props()
	const way = $derived(panel === 'stack' ? 1 : -1)
	const width = $derived(layout.width(panel))
	const range = $derived(layout.range(panel))
	let from = $state<{ x: number; width: number } | null>(null)

	function to(next: number) {
		if (next < range[0] / 2) {
			from = null
			layout.fold(panel)
		} else layout.drag(panel, Math.min(next, range[2]))
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowLeft: -8, ArrowRight: 8 }[e.key]
		if (step) layout.drag(panel, Math.min(width + step * way, range[2]))
		else if (e.key === 'Home') layout.drag(panel, range[0])
		else if (e.key === 'End') layout.drag(panel, range[2])
		else if (e.key === 'Enter') layout.fold(panel)
		else return
		e.preventDefault()
		e.stopPropagation()
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<div
	class="absolute inset-y-0 z-20 w-2 cursor-col-resize touch-none hover:bg-glaze/40 focus-visible:bg-glaze {panel ===
	'stack'
		? '-right-1'
		: '-left-1'} {from ? 'bg-glaze/40' : ''}"
	role="separator"
	aria-orientation="vertical"
	aria-label="Width of the {panel}"
	aria-valuenow={width}
	aria-valuemin={range[0]}
	aria-valuemax={range[2]}
	tabindex="0"
	title="Drag to make the {panel} broader; a double press brings its usual width back"
	onpointerdown={(e) => {
		if (e.button) return
		e.currentTarget.setPointerCapture(e.pointerId)
		from = { x: e.clientX, width }
	}}
	onpointermove={(e) => from && to(from.width + (e.clientX - from.x) * way)}
	onpointerup={() => (from = null)}
	onpointercancel={() => {
		if (from) layout.drag(panel, from.width)
		from = null
	}}
	ondblclick={() => layout.drag(panel, range[1])}
	onkeydown={keydown}
></div>
