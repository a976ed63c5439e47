<script lang="ts">
	import type { Cut } from '../core/types'
	import { tileIn } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'

	// One tile of a picture under a cut that no tileset has yet.
	let {
		picture,
		cut,
		columns,
		tile,
		size = 24,
	}: { picture: string; cut: Cut; columns: number; tile: number; size?: number } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	let turn = $state(0)

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})

	$effect(() => {
		void turn
		const ctx = canvas.getContext('2d')!
		const px = Math.round(size * devicePixelRatio)
		canvas.width = canvas.height = px
		ctx.imageSmoothingEnabled = false
		const image = w.scene.pictures.image(picture)
		if (!image) return
		const { x, y, w: wide, h: high } = tileIn(cut, columns, tile)
		const s = px / Math.max(wide, high)
		ctx.drawImage(image, x, y, wide, high, 0, px - high * s, wide * s, high * s)
	})
</script>

<canvas bind:this={canvas} class="bg-sheet" style:width="{size}px" style:height="{size}px" aria-hidden="true"></canvas>
