<script lang="ts" module>
	/** What a stroke over the sheet has touched: of each tile which of its nine parts. */
	export interface Stroke {
		hits: Map<number, Set<number>>
		/** Whether it marks or clears; the first part decides. */
		on: boolean
	}

	/** The part of a tile in its middle; 0 to 7 lie around it, clockwise from the top. */
	export const middlePart = 8
</script>

<script lang="ts">
	import { onMount } from 'svelte'
	import type { Cut, Point, Rect } from '../core/types'
	import { drawLabel, ink } from '../draw/frames'
	import { firstOf, tileIn } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'

	// A tileset's picture with its cut drawn over it. Painting over it marks tiles, or parts of
	// them, when somebody wants to know.
	let {
		picture,
		width,
		height,
		cut,
		columns,
		rows,
		decorate,
		begins,
		ends,
		pressed,
		tells,
		dragged,
		chosen = $bindable(0),
	}: {
		picture: string
		width: number
		height: number
		cut: Cut
		columns: number
		rows: number
		/** Draws what is marked on a tile. */
		decorate?: (
			ctx: CanvasRenderingContext2D,
			tile: number,
			x: number,
			y: number,
			w: number,
			h: number,
			stroke: Stroke | null,
		) => void
		/** Whether a stroke that begins at a part marks. */
		begins?: (tile: number, part: number, remove: boolean) => boolean
		ends?: (stroke: Stroke) => void
		/** Takes a press instead of a stroke; true when it did. */
		pressed?: (tile: number) => boolean
		/** What a tile is, for who cannot see it. */
		tells?: (tile: number) => string
		/** Takes a tile that was dragged out, in pixels of the picture. */
		dragged?: (tile: Rect) => void
		/** The tile that was pressed last. */
		chosen?: number
	} = $props()

	const w = workspace()
	let canvas: HTMLCanvasElement
	let holder: HTMLDivElement
	let room = $state(600)
	let turn = $state(0)
	let stroke = $state.raw<Stroke | null>(null)
	const rectOf = (a: Point, b: Point): Rect => ({
		x: Math.min(a.x, b.x),
		y: Math.min(a.y, b.y),
		w: Math.abs(a.x - b.x),
		h: Math.abs(a.y - b.y),
	})

	/** The tile that is being dragged out. */
	let drawn = $state.raw<{ from: Point; to: Point } | null>(null)
	const tile = $derived(drawn && rectOf(drawn.from, drawn.to))
	let focused = $state(false)
	let last = { clientX: 0, clientY: 0 }
	const scale = $derived(Math.max(1, Math.min(6, Math.floor(room / width))))

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

	const tileX = (i: number) => tileIn(cut, columns, i).x
	const tileY = (i: number) => tileIn(cut, columns, i).y

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
		// at the left and at the top only where whole tiles are left out
		if ((cut.left ?? 0) > cut.cellWidth) ctx.fillRect(0, 0, firstOf(cut).x * s, bottom * s)
		if ((cut.top ?? 0) > cut.cellHeight) ctx.fillRect(0, 0, right * s, firstOf(cut).y * s)
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
		if (decorate) {
			for (let i = 0; i < columns * rows; i++)
				decorate(ctx, i, tileX(i) * s, tileY(i) * s, cut.cellWidth * s, cut.cellHeight * s, stroke)
		}
		if (tile) {
			const frame = [tile.x * s, tile.y * s, tile.w * s, tile.h * s] as const
			for (const [thick, colour] of [
				[4, '#fcfaf5'],
				[2, '#855300'],
			] as const) {
				ctx.lineWidth = thick * dpr
				ctx.strokeStyle = colour
				ctx.strokeRect(...frame)
			}
			drawLabel(ctx, `${tile.w} × ${tile.h}`, frame[0] + frame[2] / 2, frame[1] + frame[3] + 12 * dpr, dpr, ink)
		}
		if (ends && chosen < columns * rows) {
			const frame = [
				tileX(chosen) * s + 1,
				tileY(chosen) * s + 1,
				cut.cellWidth * s - 2,
				cut.cellHeight * s - 2,
			] as const
			ctx.lineWidth = 4
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(...frame)
			ctx.lineWidth = 2
			ctx.strokeStyle = focused ? '#fcfaf5' : '#e2a52a'
			ctx.strokeRect(...frame)
		}
	})

	/** The pixel of the picture under the pointer, at its nearest corner. */
	function corner(e: { clientX: number; clientY: number }): Point {
		const r = canvas.getBoundingClientRect()
		const within = (v: number, most: number) => Math.max(0, Math.min(most, Math.round(v / scale)))
		return { x: within(e.clientX - r.left, width), y: within(e.clientY - r.top, height) }
	}

	/** The tile and its part under the pointer. */
	function at(e: { clientX: number; clientY: number }): { tile: number; part: number } | null {
		const r = canvas.getBoundingClientRect()
		const first = firstOf(cut)
		const x = (e.clientX - r.left) / scale - first.x
		const y = (e.clientY - r.top) / scale - first.y
		const [stepX, stepY] = [cut.cellWidth + cut.spacing, cut.cellHeight + cut.spacing]
		const column = Math.floor(x / stepX)
		const row = Math.floor(y / stepY)
		if (column < 0 || row < 0 || column >= columns || row >= rows) return null
		const third = (v: number, size: number) => Math.max(0, Math.min(2, Math.floor((v * 3) / size)))
		const parts = [7, 0, 1, 6, middlePart, 2, 5, 4, 3]
		const part = parts[third(y - row * stepY, cut.cellHeight) * 3 + third(x - column * stepX, cut.cellWidth)]
		return { tile: row * columns + column, part }
	}

	function down(e: PointerEvent) {
		if (dragged && e.button === 0) {
			canvas.setPointerCapture(e.pointerId)
			drawn = { from: corner(e), to: corner(e) }
			return
		}
		const hit = at(e)
		if (!hit) return
		if (pressed?.(hit.tile)) return
		if (!ends || !begins) return
		canvas.setPointerCapture(e.pointerId)
		chosen = hit.tile
		last = { clientX: e.clientX, clientY: e.clientY }
		stroke = { hits: new Map([[hit.tile, new Set([hit.part])]]), on: begins(hit.tile, hit.part, e.button === 2) }
	}

	function move(e: PointerEvent) {
		if (drawn) drawn = { ...drawn, to: corner(e) }
		if (!stroke) return
		// a quick pointer skips tiles: all that lie between are touched as well
		const [dx, dy] = [e.clientX - last.clientX, e.clientY - last.clientY]
		const steps = Math.ceil((Math.hypot(dx, dy) * 4) / (scale * Math.min(cut.cellWidth, cut.cellHeight))) || 1
		const hits = new Map(stroke.hits)
		let more = false
		for (let i = 1; i <= steps; i++) {
			const hit = at({ clientX: last.clientX + (dx * i) / steps, clientY: last.clientY + (dy * i) / steps })
			if (!hit || hits.get(hit.tile)?.has(hit.part)) continue
			hits.set(hit.tile, new Set([...(hits.get(hit.tile) ?? []), hit.part]))
			more = true
		}
		last = { clientX: e.clientX, clientY: e.clientY }
		if (more) stroke = { ...stroke, hits }
	}

	function up() {
		// what is hardly larger than a press was none
		if (tile && tile.w > 2 && tile.h > 2) dragged?.(tile)
		drawn = null
		if (stroke) ends?.(stroke)
		stroke = null
	}

	function keydown(e: KeyboardEvent) {
		if (!ends || !begins) return
		const step = { ArrowUp: -columns, ArrowRight: 1, ArrowDown: columns, ArrowLeft: -1 }[e.key]
		// digits lie as on a number pad
		const pad = /^(?:Digit|Numpad)([1-9])$/.exec(e.code)
		const part = pad ? [5, 4, 3, 6, middlePart, 2, 7, 0, 1][Number(pad[1]) - 1] : middlePart
		if (step) {
			e.preventDefault()
			const next = chosen + step
			if (next >= 0 && next < columns * rows) chosen = next
		} else if (e.key === 'Enter' || e.key === ' ' || pad) {
			e.preventDefault()
			if (!pad && pressed?.(chosen)) return
			ends({ hits: new Map([[chosen, new Set([part])]]), on: begins(chosen, part, false) })
		} else if (e.key === 'Escape' && stroke) {
			e.stopPropagation()
			stroke = null
		}
	}
</script>

<svelte:window onkeydowncapture={(e) => e.key === 'Escape' && drawn && ((drawn = null), e.stopPropagation())} />

<div bind:this={holder} class="overflow-auto">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		style:width="{width * scale}px"
		style:height="{height * scale}px"
		class="touch-none bg-sheet outline-none pixels {dragged
			? 'cursor-crosshair'
			: ''} focus-visible:outline-2 focus-visible:outline-glaze"
		tabindex={ends ? 0 : -1}
		role={ends ? 'application' : 'img'}
		aria-label={ends ? `Tiles: arrows choose, Enter marks; ${tells?.(chosen) ?? ''}` : 'The picture with its cut'}
		data-testid="cut"
		onpointerdown={down}
		onpointermove={move}
		onpointerup={up}
		onpointercancel={() => ((stroke = null), (drawn = null))}
		oncontextmenu={(e) => e.preventDefault()}
		onkeydown={keydown}
		onfocus={() => (focused = canvas.matches(':focus-visible'))}
		onblur={() => (focused = false)}
	></canvas>
</div>
