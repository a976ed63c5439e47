<script lang="ts">
	// One of the frames beside each other.
	let { pixels }: { pixels: ImageData | undefined } = $props()
	let canvas: HTMLCanvasElement
	$effect(() => {
		if (pixels) canvas.getContext('2d')!.putImageData(pixels, 0, 0)
	})
</script>

<canvas bind:this={canvas} width={pixels?.width} height={pixels?.height} class="h-10 bg-sheet pixels" aria-hidden="true"
></canvas>
