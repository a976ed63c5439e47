<script lang="ts">
	import { tileOf, tilesetOf, cellOf } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'

	// The frame of the message box, of nine tiles of a sheet: corners as they are, edges and the middle again and again.
	let { cell }: { cell: number } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	let size = $state.raw({ w: 0, h: 0 })
	let turn = $state(0)
	const t = $derived(w.project.head.tilesets.find((o) => o.number === tilesetOf(cell)))

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		const watch = new ResizeObserver(() => (size = { w: canvas.clientWidth, h: canvas.clientHeight }))
		watch.observe(canvas)
		return () => {
			w.scene.onPictures.delete(again)
			watch.disconnect()
		}
	})
	$effect(() => {
		void turn
		if (!t || !size.w) return
		const dpr = devicePixelRatio
		;[canvas.width, canvas.height] = [Math.round(size.w * dpr), Math.round(size.h * dpr)]
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		// small tiles are seen twice as large; two of them have room in the box
		const by = Math.min(2, Math.max(1, Math.floor(size.h / (2 * t.cut.cellHeight)))) * dpr
		const [cw, ch] = [t.cut.cellWidth * by, t.cut.cellHeight * by]
		const [wide, tall] = [canvas.width, canvas.height]
		const put = (column: number, row: number, x: number, y: number, pw: number, ph: number) => {
			ctx.save()
			ctx.beginPath()
			ctx.rect(x, y, pw, ph)
			ctx.clip()
			const tile = cellOf(t.number, tileOf(cell) + row * t.columns + column)
			for (let b = y; b < y + ph; b += ch)
				for (let a = x; a < x + pw; a += cw) w.scene.pictures.draw(ctx, tile, a, b, cw, ch)
			ctx.restore()
		}
		const across = [
			[0, 0, cw],
			[1, cw, wide - 2 * cw],
			[2, wide - cw, cw],
		]
		const down = [
			[0, 0, ch],
			[1, ch, tall - 2 * ch],
			[2, tall - ch, ch],
		]
		for (const [row, y, ph] of down) for (const [column, x, pw] of across) put(column, row, x, y, pw, ph)
	})
</script>

<canvas bind:this={canvas} class="absolute inset-0 size-full pixels" aria-hidden="true" data-testid="frame"></canvas>
