<script lang="ts">
	import GripPicture from '../hand/GripPicture.svelte'

	// The mouse over the game, shown as a tile of the designer's own; its top left is where it points.
	let { cell }: { cell: number } = $props()
	let at = $state.raw<{ x: number; y: number } | null>(null)

	function move(e: PointerEvent) {
		const over = e.target instanceof Element && e.target.matches('[data-testid=map]')
		at = over && e.pointerType === 'mouse' ? { x: e.clientX, y: e.clientY } : null
	}

	$effect(() => {
		document.body.dataset.pointer = 'own'
		return () => delete document.body.dataset.pointer
	})
</script>

<svelte:window onpointermove={move} />
{#if at}
	<div class="pointer-events-none fixed z-50" style:left="{at.x}px" style:top="{at.y}px" data-testid="pointer">
		{#key cell}<GripPicture grip={{ what: 'tiles', cells: [cell], width: 1, shape: 'freehand' }} size={32} />{/key}
	</div>
{/if}
