<script lang="ts">
	import { cellOf, tileOf, tileRect, tilesetOf } from '../draw/pictures'
	import type { Point, Tileset } from '../core/types'
	import { Pinch } from '../canvas/pinch'
	import { workspace } from '../workspace/workspace.svelte'

	// The sheet of a tileset, from which tiles are taken into the hand. Gutters are left out. Among other things
	// that were found it takes a part of the height.
	let { tileset: t, among = false }: { tileset: Tileset; among?: boolean } = $props()
	const w = workspace()
	const scales = [1, 2, 3, 4, 6, 8]
	let holder: HTMLDivElement
	let canvas: HTMLCanvasElement
	let turn = $state(0)
	let from = $state.raw<Point | null>(null)
	let cursor = $state.raw<Point>({ x: 0, y: 0 })
	let focused = $state(false)
	// tiles are seen as on a map that is zoomed in a little; large ones as they are
	const scale = $derived(w.layout.sheets[t.id] ?? (Math.max(t.cut.cellWidth, t.cut.cellHeight) > 40 ? 1 : 2))
	const cw = $derived(t.cut.cellWidth * scale)
	const ch = $derived(t.cut.cellHeight * scale)

	/** The block that is held, when it comes from this sheet as it stands there. */
	const held = $derived.by(() => {
		const g = w.hand.grip
		const first = g.cells?.find((c) => c) ?? 0
		if (g.what !== 'tiles' || tilesetOf(first) !== t.number || !g.width) return null
		return {
			x: tileOf(first) % t.columns,
			y: Math.floor(tileOf(first) / t.columns),
			w: g.width,
			h: g.cells!.length / g.width,
		}
	})

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})

	$effect(() => {
		void turn
		const dpr = devicePixelRatio
		canvas.width = t.columns * cw * dpr
		canvas.height = t.rows * ch * dpr
		const ctx = canvas.getContext('2d')!
		ctx.scale(dpr, dpr)
		ctx.imageSmoothingEnabled = false
		const image = w.scene.pictures.image(t.picture)
		if (!image) return
		for (let i = 0; i < t.columns * t.rows; i++) {
			const r = tileRect(t, i)
			ctx.drawImage(image, r.x, r.y, r.w, r.h, (i % t.columns) * cw, Math.floor(i / t.columns) * ch, cw, ch)
		}
		ctx.strokeStyle = 'rgb(30 42 46 / 0.14)'
		ctx.lineWidth = 1
		for (let x = 1; x < t.columns; x++) ctx.strokeRect(x * cw - 0.5, -1, 0, t.rows * ch + 2)
		for (let y = 1; y < t.rows; y++) ctx.strokeRect(-1, y * ch - 0.5, t.columns * cw + 2, 0)
		const mark = (x: number, y: number, bw: number, bh: number, colour: string) => {
			ctx.lineWidth = 4
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(x * cw + 1, y * ch + 1, bw * cw - 2, bh * ch - 2)
			ctx.lineWidth = 2
			ctx.strokeStyle = colour
			ctx.strokeRect(x * cw + 1, y * ch + 1, bw * cw - 2, bh * ch - 2)
		}
		// of a loose set each tile by itself
		const loose = w.hand.grip.cells?.some((c) => !c)
		if (held && !loose) mark(held.x, held.y, held.w, held.h, '#e2a52a')
		for (const c of loose ? w.hand.grip.cells! : []) {
			if (c && tilesetOf(c) === t.number)
				mark(tileOf(c) % t.columns, Math.floor(tileOf(c) / t.columns), 1, 1, '#e2a52a')
		}
		if (focused) mark(cursor.x, cursor.y, 1, 1, '#fcfaf5')
	})

	/** Shows the sheet larger or smaller. */
	function zoom(steps: number) {
		const next = scales[Math.max(0, Math.min(scales.length - 1, scales.findIndex((s) => s >= scale) + steps))]
		w.layout.sheets[t.id] = next
	}

	// one finger holds, two move and zoom the sheet
	const pinch = new Pinch({ pan: (dx, dy) => holder.scrollBy(-dx, -dy), zoom }, () => (from = null))

	const at = (e: PointerEvent): Point => {
		const r = canvas.getBoundingClientRect()
		const clamp = (v: number, n: number) => Math.max(0, Math.min(n - 1, Math.floor(v)))
		return { x: clamp((e.clientX - r.left) / cw, t.columns), y: clamp((e.clientY - r.top) / ch, t.rows) }
	}

	function hold(a: Point, b: Point) {
		const x = Math.min(a.x, b.x)
		const y = Math.min(a.y, b.y)
		const width = Math.abs(a.x - b.x) + 1
		const height = Math.abs(a.y - b.y) + 1
		const cells = Array.from({ length: width * height }, (_, i) =>
			cellOf(t.number, (y + Math.floor(i / width)) * t.columns + x + (i % width)),
		)
		w.hold({ what: 'tiles', cells, width })
	}

	/** Takes a tile into the held set or out of it: what is between stays out. */
	function toggle(p: Point) {
		const tiles = new Map<number, Point>()
		const put = (q: Point) => tiles.set(q.y * t.columns + q.x, q)
		if (w.hand.grip.what === 'tiles') {
			for (const c of w.hand.grip.cells ?? []) {
				if (c && tilesetOf(c) === t.number) put({ x: tileOf(c) % t.columns, y: Math.floor(tileOf(c) / t.columns) })
			}
		}
		const index = p.y * t.columns + p.x
		if (tiles.has(index) && tiles.size > 1) tiles.delete(index)
		else put(p)
		const all = [...tiles.values()]
		const x = Math.min(...all.map((q) => q.x))
		const y = Math.min(...all.map((q) => q.y))
		const width = Math.max(...all.map((q) => q.x)) - x + 1
		const height = Math.max(...all.map((q) => q.y)) - y + 1
		const cells = Array.from({ length: width * height }, (_, i) => {
			const tile = (y + Math.floor(i / width)) * t.columns + x + (i % width)
			return tiles.has(tile) ? cellOf(t.number, tile) : 0
		})
		w.hold({ what: 'tiles', cells, width, scatter: w.hand.grip.scatter && {} })
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		if (step) {
			e.preventDefault()
			const next = {
				x: Math.max(0, Math.min(t.columns - 1, cursor.x + step[0])),
				y: Math.max(0, Math.min(t.rows - 1, cursor.y + step[1])),
			}
			if (e.shiftKey) hold((from ??= cursor), next)
			else from = null
			cursor = next
		} else if (e.key === 'Enter' || e.key === ' ') {
			e.preventDefault()
			hold(cursor, from ?? cursor)
			if (e.key === 'Enter') w.canvas?.focus()
		}
	}
</script>

<div bind:this={holder} class="min-h-24 {among ? 'max-h-[340px]' : 'shrink grow'} overflow-auto">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		style:width="{t.columns * cw}px"
		style:height="{t.rows * ch}px"
		class="touch-none bg-sheet outline-none pixels focus-visible:outline-2 focus-visible:outline-glaze"
		tabindex="0"
		role="application"
		aria-label="Sheet of {t.name}: arrows choose a tile, Enter holds it, now tile {cursor.y * t.columns + cursor.x}"
		data-testid="sheet"
		onpointerdown={(e) => {
			canvas.setPointerCapture(e.pointerId)
			if (e.pointerType === 'touch') pinch.down(e.pointerId, { x: e.clientX, y: e.clientY })
			if (pinch.on) return
			cursor = at(e)
			if (e.ctrlKey || e.metaKey) return toggle(cursor)
			from = cursor
			hold(from, from)
		}}
		onpointermove={(e) => {
			if (e.pointerType === 'touch') pinch.move(e.pointerId, { x: e.clientX, y: e.clientY })
			if (!from || !canvas.hasPointerCapture(e.pointerId)) return
			const to = at(e)
			if (to.x !== cursor.x || to.y !== cursor.y) hold(from, (cursor = to))
		}}
		onpointercancel={(e) => {
			from = null
			pinch.up(e.pointerId)
		}}
		onpointerup={(e) => {
			pinch.up(e.pointerId)
			from = null
			w.canvas?.focus()
		}}
		onfocus={() => (focused = canvas.matches(':focus-visible'))}
		onblur={() => (focused = false)}
		onkeydown={keydown}
	></canvas>
</div>
<div class="flex shrink-0 items-center gap-1 px-1.5 text-[12px] text-dim">
	<span class="grow">Press a tile or drag a block; Ctrl adds one.</span>
	<button class="button-plain" aria-label="Show the sheet smaller" disabled={scale <= 1} onclick={() => zoom(-1)}
		>−</button
	>
	<span class="w-6 text-center font-mono whitespace-nowrap" data-testid="sheet-scale">{scale}×</span>
	<button class="button-plain" aria-label="Show the sheet larger" disabled={scale >= 8} onclick={() => zoom(1)}
		>+</button
	>
</div>
