<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import { View } from '../draw/view.svelte'
	import { drawGhost } from '../canvas/ghost'
	import { drawFacing } from '../draw/frames'
	import type { Point } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// The far end of a passage at true scale. What is held can be put down there as
	// well, freehand, without leaving this map.
	const w = workspace()
	const passage = $derived(w.looking!)
	const map = $derived(w.project.map(passage.to.map))
	const arrival = $derived(w.project.entity(passage.to.map, passage.to.entity))
	const view = new View()
	let canvas = $state<HTMLCanvasElement>()
	let turn = $state(0)
	let hover = $state.raw<Point | null>(null)
	let way = $state.raw<Point[]>([])
	let remove = false

	$effect(() => {
		const again = () => turn++
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	const active = $derived(
		map?.layers.find((l) => l.id === w.hand.layers[map.id])?.id ??
			map?.layers.find((l) => l.kind === 'tiles')?.id ??
			'',
	)
	const asked = (cells: Point[]) => ({
		map: map!.id,
		active,
		grip: { ...w.hand.grip, shape: 'freehand' as const },
		gesture: { way: cells, remove, seed: w.hand.seed },
		mirror: { mode: '' as const, x: 0, y: 0 },
	})

	$effect(() => {
		void [turn, w.project.turn, w.view.scale, w.theme]
		if (!canvas || !map) return
		const dpr = devicePixelRatio
		view.width = canvas.width = canvas.clientWidth * dpr
		view.height = canvas.height = canvas.clientHeight * dpr
		view.scale = w.view.scale
		view.use(map)
		const at = arrival ?? { x: map.bounds.x * map.cellWidth, y: map.bounds.y * map.cellHeight, w: 0, h: 0 }
		view.centre(at.x + at.w / 2, at.y + at.h / 2)
		const ctx = canvas.getContext('2d')!
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		if (!w.scene.draw(ctx, map, view)) requestAnimationFrame(() => turn++)
		if (arrival) {
			w.scene.figures.heroAt(ctx, map, view, arrival.x, arrival.y, arrival.facing)
			drawFacing(
				ctx,
				view.cellRect(map, {
					x: Math.floor(arrival.x / map.cellWidth),
					y: Math.floor(arrival.y / map.cellHeight),
					w: 1,
					h: 1,
				}),
				arrival.facing,
			)
		}
		const cells = way.length ? way : hover ? [hover] : []
		if (w.hand.holding && cells.length) {
			drawGhost(ctx, w, map, view, w.project.ask('preview', asked(cells)), dpr)
		}
	})

	function cellAt(e: MouseEvent): Point {
		const r = canvas!.getBoundingClientRect()
		return view.cell(map!, (e.clientX - r.left) * devicePixelRatio, (e.clientY - r.top) * devicePixelRatio)
	}

	function move(e: PointerEvent) {
		hover = cellAt(e)
		const last = way[way.length - 1]
		if (last && (last.x !== hover.x || last.y !== hover.y)) way = [...way, hover]
	}

	function up() {
		if (way.length) w.project.try('press', asked(way))
		way = []
	}
</script>

<aside
	class="cut absolute right-3 bottom-3 z-20 flex h-[260px] w-[340px] max-w-[70%] flex-col"
	aria-label="Look-through"
	data-testid="look-through"
>
	<div class="flex items-center gap-2 py-1 pr-4 pl-3">
		<b class="min-w-0 grow truncate">Through to {map?.name ?? 'a removed map'}</b>
		<button class="text-cobalt underline" onclick={() => w.goTo(passage.to.map, passage.to.entity)}>go there</button>
		<button class="button-plain w-6" aria-label="Close the look-through" onclick={() => (w.looking = null)}
			><X size={15} /></button
		>
	</div>
	<canvas
		bind:this={canvas}
		class="min-h-0 w-full grow touch-none bg-well {w.hand.holding ? 'cursor-crosshair' : ''}"
		aria-label="The far end of the passage"
		onpointerdown={(e) => {
			if (!w.hand.holding || (e.button !== 0 && e.button !== 2)) return
			e.currentTarget.setPointerCapture(e.pointerId)
			remove = e.button === 2
			way = [cellAt(e)]
		}}
		onpointermove={move}
		onpointerup={up}
		onpointercancel={() => (way = [])}
		onpointerleave={() => (hover = null)}
		oncontextmenu={(e) => e.preventDefault()}
	></canvas>
</aside>
