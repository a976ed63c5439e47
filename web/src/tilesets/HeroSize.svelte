<script lang="ts">
	import { drawFigure } from '../draw/glyphs'
	import type { Cut } from '../core/types'
	import { firstOf } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'

	// A tile of the picture beside the hero on the project's grid, at one scale:
	// a cut that is too small or too large is seen before anything is painted.
	let { picture, cut }: { picture: string; cut: Cut } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	let turn = $state(0)
	const { project } = $derived(w.project.head)

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})

	$effect(() => {
		void turn
		const dpr = devicePixelRatio
		canvas.width = 248 * dpr
		canvas.height = 132 * dpr
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		ctx.scale(dpr, dpr)
		const most = Math.max(cut.cellWidth + project.cellWidth, cut.cellHeight * 2, project.cellHeight * 2)
		const s = Math.max(0.5, Math.min(4, Math.floor(224 / most)))
		const ground = 122
		const image = w.scene.pictures.image(picture)
		if (image && cut.cellWidth > 0 && cut.cellHeight > 0) {
			ctx.drawImage(
				image,
				firstOf(cut).x,
				firstOf(cut).y,
				cut.cellWidth,
				cut.cellHeight,
				8,
				ground - cut.cellHeight * s,
				cut.cellWidth * s,
				cut.cellHeight * s,
			)
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(7.5, ground - cut.cellHeight * s - 0.5, cut.cellWidth * s + 1, cut.cellHeight * s + 1)
		}
		const x = 24 + cut.cellWidth * s
		const y = ground - project.cellHeight * s
		const frames = project.hero.frames[2]
		if (frames?.length) w.scene.pictures.draw(ctx, frames[0], x, y, project.cellWidth * s, project.cellHeight * s)
		else drawFigure(ctx, 'down', x, y, project.cellWidth * s, project.cellHeight * s)
		ctx.fillStyle = '#d9d0c1'
		ctx.fillRect(0, ground, 248, 2)
	})
</script>

<figure class="flex flex-col gap-1">
	<canvas bind:this={canvas} class="h-[132px] w-[248px] bg-sheet" aria-hidden="true"></canvas>
	<figcaption class="text-[12px] text-dim">
		A tile of {cut.cellWidth} × {cut.cellHeight} beside the hero on this project’s cell of {project.cellWidth} × {project.cellHeight}
	</figcaption>
</figure>
