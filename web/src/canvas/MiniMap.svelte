<script lang="ts" module>
	// how large the map is drawn at most, in pixels
	const [mostWide, mostHigh] = [150, 110]
	/** How much it takes of the lower edge at most: with its frame, and the room below it. */
	export const miniMapHigh = mostHigh + 14
</script>

<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'
	import { View } from '../draw/view.svelte'

	// All of the map in a corner, with the frame of what is seen; pressing goes there.
	const w = workspace()
	const small = new View()
	let canvas: HTMLCanvasElement
	let over: HTMLCanvasElement
	let turn = $state(0)
	const m = $derived(w.map!)
	const all = $derived(new View().drawn(m))
	const scale = $derived(Math.min(mostWide / all.w, mostHigh / all.h))
	const width = $derived(Math.max(8, Math.round(all.w * scale)))
	const height = $derived(Math.max(8, Math.round(all.h * scale)))

	$effect(() => {
		const again = () => turn++
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	$effect(() => {
		void [turn, w.project.entityTurn, w.theme, w.project.head]
		let timer = setTimeout(draw, 150)
		function draw() {
			canvas.width = small.width = width
			canvas.height = small.height = height
			small.scale = scale
			small.x = all.x
			small.y = all.y
			if (!w.scene.draw(canvas.getContext('2d')!, m, small, { small: true })) timer = setTimeout(draw, 30)
		}
		return () => clearTimeout(timer)
	})

	$effect(() => {
		const { view } = w
		over.width = width
		over.height = height
		const ctx = over.getContext('2d')!
		const x = (view.x - all.x) * scale
		const y = (view.y - all.y) * scale
		const [fw, fh] = [(view.width / view.scale) * scale, (view.height / view.scale) * scale]
		for (const [line, colour] of [
			[3, '#1e2a2e'],
			[1.5, '#fcfaf5'],
		] as const) {
			ctx.lineWidth = line
			ctx.strokeStyle = colour
			ctx.strokeRect(Math.max(1, x), Math.max(1, y), Math.min(fw, width - 2), Math.min(fh, height - 2))
		}
	})

	function go(e: PointerEvent) {
		const r = over.getBoundingClientRect()
		w.view.x = all.x + (e.clientX - r.left) / scale - w.view.width / 2 / w.view.scale
		w.view.y = all.y + (e.clientY - r.top) / scale - w.view.height / 2 / w.view.scale
	}
</script>

<div
	class="absolute right-2 bottom-2 z-10 border border-dim bg-well p-0.5"
	data-testid="minimap"
	style:width="{width + 6}px"
	style:height="{height + 6}px"
>
	<canvas bind:this={canvas} class="absolute" aria-hidden="true"></canvas>
	<canvas
		bind:this={over}
		class="absolute cursor-pointer touch-none"
		aria-hidden="true"
		onmousedown={(e) => e.preventDefault()}
		onpointerdown={(e) => {
			over.setPointerCapture(e.pointerId)
			go(e)
		}}
		onpointermove={(e) => e.buttons && go(e)}
	></canvas>
</div>
