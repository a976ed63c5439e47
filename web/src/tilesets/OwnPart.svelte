<script lang="ts">
	import { cellOf } from '../canvas/pictures'
	import type { Point, Tileset } from '../core/types'
	import { workspace } from '../workspace.svelte'

	// The outline of a solid part of a tile's own: presses on the enlarged tile set its corners.
	let {
		set: t,
		tile,
		own,
		change,
	}: { set: Tileset; tile: number; own: Point[]; change: (own: Point[] | null) => void } = $props()
	const w = workspace()
	let drawing = $state.raw<Point[] | null>(null)
	let canvas = $state<HTMLCanvasElement>()
	const scale = $derived(Math.max(2, Math.floor(160 / Math.max(t.cut.cellWidth, t.cut.cellHeight))))
	const corners = $derived(drawing ?? own)

	$effect(() => {
		if (!canvas) return
		const [cw, ch] = [t.cut.cellWidth * scale, t.cut.cellHeight * scale]
		canvas.width = cw
		canvas.height = ch
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		w.scene.pictures.draw(ctx, cellOf(t.number, tile), 0, 0, cw, ch)
		if (!corners.length) return
		ctx.beginPath()
		corners.forEach((p, i) => ctx[i ? 'lineTo' : 'moveTo'](p.x * scale, p.y * scale))
		if (corners.length > 2) ctx.closePath()
		ctx.fillStyle = 'rgb(177 68 44 / 0.4)'
		ctx.fill()
		for (const [width, colour] of [
			[4, '#fcfaf5'],
			[2, '#b1442c'],
		] as const) {
			ctx.lineWidth = width
			ctx.strokeStyle = colour
			ctx.stroke()
		}
		for (const p of corners) {
			ctx.fillStyle = '#1e2a2e'
			ctx.fillRect(p.x * scale - 3, p.y * scale - 3, 6, 6)
		}
	})

	function press(e: PointerEvent) {
		const r = canvas!.getBoundingClientRect()
		const at = (v: number, most: number) => Math.max(0, Math.min(most, Math.round(v / scale)))
		drawing = [
			...(drawing ?? []),
			{ x: at(e.clientX - r.left, t.cut.cellWidth), y: at(e.clientY - r.top, t.cut.cellHeight) },
		]
	}

	function write(text: string) {
		const found = [...text.matchAll(/(\d+)\s*,\s*(\d+)/g)].map((f) => ({ x: Number(f[1]), y: Number(f[2]) }))
		if (found.length) change(found)
	}

	// another tile is another outline
	$effect(() => {
		void [tile, t.id]
		drawing = null
	})
</script>

<details open={own.length > 0}>
	<summary class="cursor-pointer text-dim">Solid in a part of its own</summary>
	<div class="flex gap-2 pt-1.5">
		<!-- the corners can be written as well -->
		<!-- svelte-ignore a11y_no_interactive_element_to_noninteractive_role -->
		<canvas
			bind:this={canvas}
			class="h-auto max-w-40 shrink-0 cursor-crosshair touch-none bg-sheet pixels"
			aria-label="Press to set corners of the solid part; {corners.length} are set"
			role="img"
			data-testid="own-part"
			onpointerdown={press}
		></canvas>
		<div class="flex flex-col gap-1">
			<button
				class="button"
				disabled={!drawing || drawing.length < 3}
				onclick={() => {
					change(drawing)
					drawing = null
				}}>Use it</button
			>
			<button
				class="button"
				disabled={!corners.length}
				onclick={() => {
					if (drawing) drawing = null
					else change(null)
				}}>Clear</button
			>
			{#key corners}
				<input
					class="field w-full font-mono text-[12px]"
					placeholder="0,8 16,8 16,16"
					aria-label="Corners of the solid part, as x,y pairs"
					value={corners.map((p) => `${p.x},${p.y}`).join(' ')}
					onchange={(e) => write(e.currentTarget.value)}
				/>
			{/key}
			<span class="text-[12px] text-dim">No corner points inward.</span>
		</div>
	</div>
</details>
