<script lang="ts">
	import { drawZone } from '../draw/hatches'
	import { drawPiece } from '../canvas/piece'
	import type { Grip, Piece } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	let { grip, size = 24 }: { grip: Grip; size?: number } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	let turn = $state(0)

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})

	function drawMotif(ctx: CanvasRenderingContext2D, id: string, px: number) {
		let piece: Piece
		try {
			piece = w.project.ask('motifOf', { id })
		} catch {
			return // it is gone; its name says so
		}
		drawPiece(ctx, w, piece, 0, 0, px / Math.max(piece.w, piece.h))
	}

	$effect(() => {
		void [turn, w.project.head]
		const ctx = canvas.getContext('2d')!
		const px = Math.round(size * devicePixelRatio)
		canvas.width = canvas.height = px
		ctx.imageSmoothingEnabled = false
		if (grip.what === 'tiles' && grip.cells) {
			const width = grip.width ?? 1
			const height = grip.cells.length / width
			const cell = px / Math.max(width, height)
			grip.cells.forEach((c, i) => {
				if (c) w.scene.pictures.draw(ctx, c, (i % width) * cell, Math.floor(i / width) * cell, cell, cell)
			})
		} else if (grip.what === 'entity') {
			const look = w.scene.figures.picture(
				{ kind: grip.kind ?? '', look: grip.look ?? 0, lookOn: grip.lookOn ?? 0 },
				false,
			)
			if (look.cell) w.scene.pictures.drawFitting(ctx, look, 0, 0, px)
			else w.scene.figures.glyph(ctx, grip.kind ?? '', px * 0.06, px * 0.06, px * 0.88)
		} else if (grip.what === 'material') {
			const sample = w.project.head.materials.find((m) => m.number === grip.number)?.sample
			if (sample) w.scene.pictures.draw(ctx, sample, 0, 0, px, px)
		} else if (grip.what === 'zone') {
			const zone = w.project.head.zones.find((z) => z.number === grip.number)
			drawZone(ctx, zone, 0, 0, px, px)
		} else if (grip.what === 'motif' && grip.motif) {
			drawMotif(ctx, grip.motif, px)
		} else if (grip.what === 'eraser') {
			ctx.strokeStyle = '#b1442c'
			ctx.lineWidth = px / 10
			ctx.strokeRect(px * 0.2, px * 0.2, px * 0.6, px * 0.6)
			ctx.beginPath()
			ctx.moveTo(px * 0.2, px * 0.8)
			ctx.lineTo(px * 0.8, px * 0.2)
			ctx.stroke()
		}
	})
</script>

<canvas bind:this={canvas} style:width="{size}px" style:height="{size}px" class="shrink-0 pixels" aria-hidden="true"
></canvas>
