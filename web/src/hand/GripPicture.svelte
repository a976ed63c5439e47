<script lang="ts">
	import { drawZone } from '../draw/hatches'
	import { drawPiece, spanOf } from '../canvas/piece'
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
		const { across, down } = spanOf(piece)
		const cell = px / Math.max(across, down)
		drawPiece(ctx, w, piece, (px - across * cell) / 2, (px - down * cell) / 2, cell)
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
			const size = w.scene.pictures.sizeOf({ cell: grip.cells.find((c) => c) ?? 0, across: 1, down: 1 }, 16, 16)
			const s = px / Math.max(width * size.w, height * size.h)
			const [cw, ch] = [size.w * s, size.h * s]
			const [left, top] = [(px - width * cw) / 2, (px - height * ch) / 2]
			grip.cells.forEach((c, i) => {
				if (c) w.scene.pictures.draw(ctx, c, left + (i % width) * cw, top + Math.floor(i / width) * ch, cw, ch)
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
