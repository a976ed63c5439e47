<script lang="ts">
	import type { ID } from '../core/types'
	import { View } from '../draw/view.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// A map behind the title: large pixels, drifting slowly where motion is wanted.
	let { map, moves }: { map: ID; moves: boolean } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	/** After how many pictures one that stands still is left as it is, though some of it is to come. */
	const patience = 120
	const m = $derived(w.project.map(map))

	$effect(() => {
		if (!m) return
		const of = m
		void w.project.turn
		const view = new View()
		let frame = 0
		let last = 0
		let still = 0
		const began = performance.now()
		const draw = (now: number) => {
			frame = requestAnimationFrame(draw)
			const [width, height] = [
				Math.round(canvas.clientWidth * devicePixelRatio),
				Math.round(canvas.clientHeight * devicePixelRatio),
			]
			if (!width || (now - last < 33 && canvas.width === width)) return
			last = now
			if (canvas.width !== width || canvas.height !== height) [canvas.width, canvas.height] = [width, height]
			const [mw, mh] = [of.bounds.w * of.cellWidth, of.bounds.h * of.cellHeight]
			const scale = Math.max(1, Math.ceil(Math.max(width / mw, height / mh, 2)))
			const room = { x: Math.max(0, mw - width / scale), y: Math.max(0, mh - height / scale) }
			const t = moves ? (now - began) / 24000 : 0.15
			Object.assign(view, {
				x: of.bounds.x * of.cellWidth + room.x * (0.5 - 0.5 * Math.cos(t * 1.1)),
				y: of.bounds.y * of.cellHeight + room.y * (0.5 - 0.5 * Math.cos(t * 0.7)),
				scale,
				width,
				height,
			})
			const ctx = canvas.getContext('2d')!
			ctx.clearRect(0, 0, width, height)
			const whole = w.scene.draw(ctx, of, view, { paper: 'seen' })
			if (!moves && (whole || ++still > patience)) cancelAnimationFrame(frame)
		}
		frame = requestAnimationFrame(draw)
		return () => cancelAnimationFrame(frame)
	})
</script>

<canvas bind:this={canvas} class="absolute inset-0 size-full bg-night" aria-hidden="true" data-testid="behind"></canvas>
