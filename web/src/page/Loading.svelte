<script lang="ts">
	import { brought, loadingOf } from './game'

	// What is seen until the game is there: the map behind its title, and that it is coming.
	let canvas: HTMLCanvasElement

	$effect(() => {
		const blob = loadingOf(brought())
		if (!blob) return
		void createImageBitmap(blob).then((image) => {
			if (!canvas) return
			;[canvas.width, canvas.height] = [image.width, image.height]
			canvas.getContext('2d')!.drawImage(image, 0, 0)
		})
	})
</script>

<main class="relative flex h-full items-end justify-center overflow-hidden bg-night p-8 text-plaster">
	<canvas bind:this={canvas} class="absolute inset-0 size-full object-cover opacity-60 pixels" aria-hidden="true"
	></canvas>
	<p class="relative bg-night/75 px-4 py-1.5" role="status">Opening the game…</p>
</main>
