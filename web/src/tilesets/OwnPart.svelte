<script lang="ts">
	import { cellOf } from '../draw/pictures'
	import type { Point, Tileset } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// The outlines of a tile's own solid part, on the tile enlarged: a drag makes a rectangle,
	// presses set corners, and a press on the first of them closes the outline.
	let {
		set: t,
		tile,
		own,
		change,
	}: { set: Tileset; tile: number; own: Point[][]; change: (own: Point[][] | null) => void } = $props()
	const w = workspace()
	let corners = $state.raw<Point[]>([])
	let from = $state.raw<Point | null>(null)
	let to = $state.raw<Point | null>(null)
	let canvas = $state<HTMLCanvasElement>()
	const scale = $derived(Math.max(2, Math.floor(160 / Math.max(t.cut.cellWidth, t.cut.cellHeight))))

	const box = (a: Point, b: Point): Point[] => {
		const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
		const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
		return [
			{ x: left, y: top },
			{ x: right, y: top },
			{ x: right, y: bottom },
			{ x: left, y: bottom },
		]
	}

	const dragged = $derived(!corners.length && from && to && from.x !== to.x && from.y !== to.y ? box(from, to) : null)

	$effect(() => {
		if (!canvas) return
		const [cw, ch] = [t.cut.cellWidth * scale, t.cut.cellHeight * scale]
		canvas.width = cw
		canvas.height = ch
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		w.scene.pictures.draw(ctx, cellOf(t.number, tile), 0, 0, cw, ch)
		for (const o of [...own, ...(dragged ? [dragged] : [])]) drawOutline(ctx, o, true)
		if (corners.length) drawOutline(ctx, corners, false)
	})

	function drawOutline(ctx: CanvasRenderingContext2D, o: Point[], closed: boolean) {
		ctx.beginPath()
		o.forEach((p, i) => ctx[i ? 'lineTo' : 'moveTo'](p.x * scale, p.y * scale))
		if (closed) {
			ctx.closePath()
			ctx.fillStyle = 'rgb(177 68 44 / 0.4)'
			ctx.fill()
		}
		for (const [width, colour] of [
			[4, '#fcfaf5'],
			[2, '#b1442c'],
		] as const) {
			ctx.lineWidth = width
			ctx.strokeStyle = colour
			ctx.stroke()
		}
		for (const [i, p] of o.entries()) {
			const first = !closed && i === 0
			ctx.fillStyle = first ? '#e2a52a' : '#1e2a2e'
			const size = first ? 10 : 6
			ctx.fillRect(p.x * scale - size / 2, p.y * scale - size / 2, size, size)
		}
	}

	function at(e: PointerEvent): Point {
		const r = canvas!.getBoundingClientRect()
		const to = (v: number, most: number) => Math.max(0, Math.min(most, Math.round(v / scale)))
		return { x: to(e.clientX - r.left, t.cut.cellWidth), y: to(e.clientY - r.top, t.cut.cellHeight) }
	}

	function down(e: PointerEvent) {
		if (e.button) return
		canvas!.setPointerCapture(e.pointerId)
		from = to = at(e)
	}

	function up() {
		if (!from) return
		const [start] = corners
		if (dragged) change([...own, dragged])
		else if (start && Math.hypot(start.x - from.x, start.y - from.y) * scale < 8) close()
		else corners = [...corners, from]
		from = to = null
	}

	function close() {
		const done = corners
		corners = []
		change([...own, done])
	}

	/** Takes back the last corner, or the last outline. */
	function back() {
		if (corners.length) corners = corners.slice(0, -1)
		else change(own.length > 1 ? own.slice(0, -1) : null)
	}

	const words = (o: Point[]) => o.map((p) => `${p.x},${p.y}`).join(' ')

	function write(text: string) {
		const found = text
			.split(';')
			.map((part) => [...part.matchAll(/(\d+)\s*,\s*(\d+)/g)].map((f) => ({ x: Number(f[1]), y: Number(f[2]) })))
			.filter((o) => o.length)
		if (found.length) change(found)
	}

	// another tile is another part
	$effect(() => {
		void [tile, t.id]
		corners = []
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
			aria-label="Drag a rectangle or press to set corners; {own.length} outlines are set"
			role="img"
			data-testid="own-part"
			onpointerdown={down}
			onpointermove={(e) => from && (to = at(e))}
			onpointerup={up}
			onpointercancel={() => (from = to = null)}
		></canvas>
		<div class="flex min-w-0 flex-col gap-1">
			<button class="button" disabled={corners.length < 3} onclick={close}>Close it</button>
			<button class="button" disabled={!corners.length && !own.length} onclick={back}>Take back</button>
			<span class="text-[12px] text-dim">
				{corners.length ? 'Press the first corner to close.' : 'Drag a rectangle, or press corner after corner.'}
			</span>
		</div>
	</div>
	{#key own}
		<input
			class="mt-1.5 field w-full font-mono text-[12px]"
			placeholder="0,8 16,8 16,16; 0,0 4,0 4,4 0,4"
			aria-label="Corners of the solid part, as x,y pairs"
			value={own.map(words).join('; ')}
			onchange={(e) => write(e.currentTarget.value)}
		/>
	{/key}
</details>
