<script lang="ts">
	import type { Cut } from '../core/types'
	import { firstOf } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'

	// A part of a picture as a cut would divide it: some three cells across, where most is drawn.
	let { picture, width, height, cut }: { picture: string; width: number; height: number; cut: Cut } = $props()
	const w = workspace()
	const [wide, high] = [104, 72]
	let canvas: HTMLCanvasElement
	let turn = $state(0)
	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => void w.scene.onPictures.delete(again)
	})

	$effect(() => {
		void turn
		const dpr = devicePixelRatio
		;[canvas.width, canvas.height] = [wide * dpr, high * dpr]
		const image = w.scene.pictures.image(picture)
		if (!image) return
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		const [stepX, stepY] = [cut.cellWidth + cut.spacing, cut.cellHeight + cut.spacing]
		const fits = Math.min(wide / (3.2 * stepX), high / (2.2 * stepY)) * dpr
		const s = fits >= 1 ? Math.floor(fits) : fits
		ctx.drawImage(image, 0, 0, width * s, height * s)
		ctx.beginPath()
		for (let y = firstOf(cut).y; y + cut.cellHeight <= height && y * s < canvas.height; y += stepY)
			for (let x = firstOf(cut).x; x + cut.cellWidth <= width && x * s < canvas.width; x += stepX)
				ctx.rect(Math.round(x * s) + 0.5, Math.round(y * s) + 0.5, cut.cellWidth * s - 1, cut.cellHeight * s - 1)
		ctx.lineWidth = 3 * dpr
		ctx.strokeStyle = '#fcfaf5'
		ctx.stroke()
		ctx.lineWidth = dpr
		ctx.strokeStyle = '#a63d27'
		ctx.stroke()
	})
</script>

<canvas bind:this={canvas} class="bg-sheet pixels" style:width="{wide}px" style:height="{high}px" aria-hidden="true"
></canvas>
