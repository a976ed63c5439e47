<script lang="ts">
	import { drawEdge, drawGrid } from '../canvas/bounds'
	import { Pinch } from '../canvas/pinch'
	import { cased, drawFacing } from '../draw/frames'
	import { View } from '../draw/view.svelte'
	import type { MapInfo, Point } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import type { Joining } from './joining.svelte'

	// The map to which a passage leads: the place is pressed, the view goes with wheel, drag and keys.
	let { joining: j, map }: { joining: Joining; map: MapInfo } = $props()
	const w = workspace()
	const view = new View()
	let canvas = $state<HTMLCanvasElement>()
	let hover = $state.raw<Point | null>(null)
	let turn = $state(0)
	let fitted = ''
	let dragged: Point | null = null
	let far = false

	$effect(() => {
		const again = () => turn++
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	$effect(() => {
		canvas?.focus()
		const sized = new ResizeObserver(() => turn++)
		if (canvas) sized.observe(canvas)
		return () => sized.disconnect()
	})

	$effect(() => {
		void [turn, w.project.entityTurn, w.project.head]
		if (!canvas) return
		const dpr = devicePixelRatio
		view.width = canvas.width = canvas.clientWidth * dpr
		view.height = canvas.height = canvas.clientHeight * dpr
		const size = `${map.id} ${view.width} ${view.height}`
		if (fitted !== size) view.whole(map, 4) // as large as it fits
		fitted = size
		const ctx = canvas.getContext('2d')!
		if (!w.scene.draw(ctx, map, view)) requestAnimationFrame(() => turn++)
		// an empty map shows where it is as well
		if (map.cellWidth * view.scale >= 8 * dpr) drawGrid(ctx, map, view)
		drawEdge(ctx, map, view)
		for (const e of j.arrivals) {
			const cell = { x: Math.floor(e.x / map.cellWidth), y: Math.floor(e.y / map.cellHeight), w: 1, h: 1 }
			const r = view.cellRect(map, cell)
			w.scene.figures.glyph(ctx, e.kind, r.x, r.y, Math.max(10, r.w))
		}
		const frame = (cells: { x: number; y: number; w: number; h: number }, colour: string, out = 0) => {
			const r = view.cellRect(map, cells)
			cased(ctx, r.x - out, r.y - out, r.w + 2 * out, r.h + 2 * out, colour)
			return r
		}
		if (j.returns) {
			const r = frame(j.returns.exit, '#33509e')
			w.scene.figures.glyph(ctx, 'exit', r.x, r.y, Math.max(10, Math.min(r.w, r.h)))
		}
		if (hover) frame({ ...hover, w: 1, h: 1 }, '#0f6a6c')
		if (!j.at) return
		w.scene.figures.heroAt(ctx, map, view, j.at.x * map.cellWidth, j.at.y * map.cellHeight, j.facing)
		drawFacing(ctx, frame({ ...j.at, w: 1, h: 1 }, j.place?.free ? '#33509e' : '#b1442c', 1), j.facing)
	})

	function at(e: MouseEvent): Point {
		const r = canvas!.getBoundingClientRect()
		return { x: (e.clientX - r.left) * devicePixelRatio, y: (e.clientY - r.top) * devicePixelRatio }
	}

	function cellAt(e: MouseEvent): Point {
		const p = at(e)
		return view.cell(map, p.x, p.y)
	}

	const pinch = new Pinch(view, () => (dragged = null))

	function down(e: PointerEvent) {
		if (e.button > 1) return
		if (e.button === 1) e.preventDefault()
		canvas!.setPointerCapture(e.pointerId)
		if (e.pointerType === 'touch') pinch.down(e.pointerId, at(e))
		if (pinch.on) return
		dragged = at(e)
		far = e.button === 1
	}

	function moved(e: PointerEvent) {
		const p = at(e)
		if (e.pointerType === 'touch') pinch.move(e.pointerId, p)
		if (dragged && !pinch.on) {
			far ||= Math.hypot(p.x - dragged.x, p.y - dragged.y) > 5 * devicePixelRatio
			if (far) {
				view.pan(p.x - dragged.x, p.y - dragged.y)
				dragged = p
			}
		}
		hover = cellAt(e)
	}

	/** A press that stayed where it was chooses the place; one that went on has moved the picture. */
	function up(e: PointerEvent) {
		if (dragged && !far && !pinch.on) j.choose(cellAt(e))
		pinch.up(e.pointerId)
		dragged = null
	}

	function wheel(e: WheelEvent) {
		e.preventDefault()
		const p = at(e)
		if (e.ctrlKey || e.metaKey) view.zoom(e.deltaY < 0 ? 1 : -1, p.x, p.y)
		else view.pan(-(e.shiftKey ? e.deltaY : e.deltaX), -(e.shiftKey ? e.deltaX : e.deltaY))
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		const key = e.key.toLowerCase()
		if (step) {
			j.step(step[0], step[1])
			if (j.at) view.reveal(map, j.at)
		} else if (key === 'r') j.turn()
		else if (key === '+' || key === '=') view.zoom(1)
		else if (key === '-') view.zoom(-1)
		else if (key === '0') view.whole(map, 4)
		else return
		e.preventDefault()
	}
</script>

<div class="relative min-h-0 grow border-y border-line bg-well">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		class="absolute inset-0 size-full cursor-crosshair touch-none outline-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-glaze"
		tabindex="0"
		role="application"
		aria-label="{map.name}: press a cell, or move with the arrows and turn with R; plus and minus zoom"
		onpointermove={moved}
		onpointerleave={() => (hover = null)}
		onpointerdown={down}
		onpointerup={up}
		onpointercancel={(e) => {
			pinch.up(e.pointerId)
			dragged = null
		}}
		onwheel={wheel}
		onkeydown={keydown}
	></canvas>
	<div class="absolute right-2 bottom-2 flex border border-line bg-chalk" role="group" aria-label="Zoom">
		<button type="button" class="size-7" aria-label="Zoom out" onclick={() => view.zoom(-1)}>–</button>
		<button type="button" class="h-7 px-1.5 font-mono text-[12px]" title="All of it" onclick={() => view.whole(map, 4)}
			>{view.percent} %</button
		>
		<button type="button" class="size-7" aria-label="Zoom in" onclick={() => view.zoom(1)}>+</button>
	</div>
</div>
