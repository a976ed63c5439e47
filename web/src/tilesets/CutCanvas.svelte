<script lang="ts">
	import { onMount } from 'svelte'
	import type { Cut } from '../core/types'
	import { workspace } from '../workspace.svelte'

	// A tileset's picture with its cut drawn over it. Painting over tiles marks them, when they can be.
	let {
		picture,
		width,
		height,
		cut,
		columns,
		rows,
		solid = null,
		mark,
	}: {
		picture: string
		width: number
		height: number
		cut: Cut
		columns: number
		rows: number
		solid?: number[] | null
		mark?: (tiles: number[], solid: boolean) => void
	} = $props()

	const w = workspace()
	let canvas: HTMLCanvasElement
	let holder: HTMLDivElement
	let room = $state(600)
	let turn = $state(0)
	let stroke = $state.raw<{ tiles: Set<number>; solid: boolean } | null>(null)
	let cursor = $state(0)
	let focused = $state(false)
	const scale = $derived(Math.max(1, Math.min(6, Math.floor(room / width))))
	const marked = $derived(new Set(solid ?? []))

	onMount(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		const resized = new ResizeObserver(() => (room = holder.clientWidth - 8))
		resized.observe(holder)
		return () => {
			w.scene.onPictures.delete(again)
			resized.disconnect()
		}
	})

	const tileX = (i: number) => cut.margin + (i % columns) * (cut.cellWidth + cut.spacing)
	const tileY = (i: number) => cut.margin + Math.floor(i / columns) * (cut.cellHeight + cut.spacing)

	$effect(() => {
		void turn
		const dpr = devicePixelRatio
		canvas.width = width * scale * dpr
		canvas.height = height * scale * dpr
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		const s = scale * dpr
		const image = w.scene.pictures.image(picture)
		if (image) ctx.drawImage(image, 0, 0, canvas.width, canvas.height)
		// what no tile covers is veiled
		ctx.fillStyle = 'rgb(177 68 44 / 0.45)'
		const right = columns ? tileX(columns - 1) + cut.cellWidth : 0
		const bottom = rows ? tileY((rows - 1) * columns) + cut.cellHeight : 0
		if (right + cut.margin < width) ctx.fillRect(right * s, 0, canvas.width, canvas.height)
		if (bottom + cut.margin < height) ctx.fillRect(0, bottom * s, right * s, canvas.height)
		const edges = (colour: string, thick: number) => {
			ctx.lineWidth = thick
			ctx.strokeStyle = colour
			for (let i = 0; i < columns * rows; i++)
				ctx.strokeRect(tileX(i) * s + 0.5, tileY(i) * s + 0.5, cut.cellWidth * s - 1, cut.cellHeight * s - 1)
		}
		if (cut.cellWidth * s > 5 && columns * rows < 20000) {
			edges('rgb(252 250 245 / 0.8)', 1)
			ctx.setLineDash([2, 2])
			edges('rgb(30 42 46 / 0.75)', 1)
			ctx.setLineDash([])
		}
		for (let i = 0; i < columns * rows; i++) {
			const on = stroke?.tiles.has(i) ? stroke.solid : marked.has(i)
			if (on) hatch(ctx, tileX(i) * s, tileY(i) * s, cut.cellWidth * s, cut.cellHeight * s)
		}
		if (focused && mark) {
			ctx.lineWidth = 4
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(tileX(cursor) * s + 1, tileY(cursor) * s + 1, cut.cellWidth * s - 2, cut.cellHeight * s - 2)
			ctx.lineWidth = 2
			ctx.strokeStyle = '#e2a52a'
			ctx.strokeRect(tileX(cursor) * s + 1, tileY(cursor) * s + 1, cut.cellWidth * s - 2, cut.cellHeight * s - 2)
		}
	})

	/** Solid tiles carry slanting lines and a frame, not a colour alone. */
	function hatch(ctx: CanvasRenderingContext2D, x: number, y: number, tw: number, th: number) {
		ctx.save()
		ctx.beginPath()
		ctx.rect(x, y, tw, th)
		ctx.clip()
		ctx.beginPath()
		const gap = Math.max(8, tw / 2)
		for (let d = -th; d < tw; d += gap) {
			ctx.moveTo(x + d, y + th)
			ctx.lineTo(x + d + th, y)
		}
		ctx.lineWidth = 3
		ctx.strokeStyle = 'rgb(252 250 245 / 0.6)'
		ctx.stroke()
		ctx.lineWidth = 1.5
		ctx.strokeStyle = '#b1442c'
		ctx.stroke()
		ctx.lineWidth = 3
		ctx.strokeRect(x, y, tw, th)
		ctx.restore()
	}

	function tileAt(e: PointerEvent): number {
		const r = canvas.getBoundingClientRect()
		const x = (e.clientX - r.left) / scale - cut.margin
		const y = (e.clientY - r.top) / scale - cut.margin
		const column = Math.floor(x / (cut.cellWidth + cut.spacing))
		const row = Math.floor(y / (cut.cellHeight + cut.spacing))
		return column >= 0 && row >= 0 && column < columns && row < rows ? row * columns + column : -1
	}

	function down(e: PointerEvent) {
		const i = tileAt(e)
		if (!mark || i < 0) return
		canvas.setPointerCapture(e.pointerId)
		// the first tile decides whether the stroke marks or clears; the secondary button clears
		stroke = { tiles: new Set([i]), solid: e.button !== 2 && !marked.has(i) }
	}

	function move(e: PointerEvent) {
		const i = tileAt(e)
		if (stroke && i >= 0 && !stroke.tiles.has(i)) stroke = { ...stroke, tiles: new Set([...stroke.tiles, i]) }
	}

	function up() {
		if (stroke)
			mark?.(
				[...stroke.tiles].sort((a, b) => a - b),
				stroke.solid,
			)
		stroke = null
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: -columns, ArrowRight: 1, ArrowDown: columns, ArrowLeft: -1 }[e.key]
		if (step) {
			e.preventDefault()
			const next = cursor + step
			if (next >= 0 && next < columns * rows) cursor = next
		} else if (e.key === 'Enter' || e.key === ' ') {
			e.preventDefault()
			mark?.([cursor], !marked.has(cursor))
		} else if (e.key === 'Escape' && stroke) {
			e.stopPropagation()
			stroke = null
		}
	}
</script>

<div bind:this={holder} class="overflow-auto">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		style:width="{width * scale}px"
		style:height="{height * scale}px"
		class="touch-none bg-sheet outline-none pixels focus-visible:outline-2 focus-visible:outline-glaze"
		tabindex={mark ? 0 : -1}
		role={mark ? 'application' : 'img'}
		aria-label={mark
			? `Tiles: arrows choose, Enter marks solid; tile ${cursor} is ${marked.has(cursor) ? 'solid' : 'not solid'}`
			: 'The picture with its cut'}
		data-testid="cut"
		onpointerdown={down}
		onpointermove={move}
		onpointerup={up}
		onpointercancel={() => (stroke = null)}
		oncontextmenu={(e) => e.preventDefault()}
		onkeydown={keydown}
		onfocus={() => (focused = canvas.matches(':focus-visible'))}
		onblur={() => (focused = false)}
	></canvas>
</div>
