<script lang="ts">
	import { View } from '../draw/view.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// All of the map in a corner of the player's screen: what the hero has seen of it, and where it is.
	const w = workspace()
	const side = 132
	let canvas = $state<HTMLCanvasElement>()
	const m = $derived(w.map)
	const scale = $derived(m ? Math.min(side / (m.bounds.w * m.cellWidth), side / (m.bounds.h * m.cellHeight)) : 1)
	const size = $derived(
		m
			? {
					w: Math.max(8, Math.round(m.bounds.w * m.cellWidth * scale)),
					h: Math.max(8, Math.round(m.bounds.h * m.cellHeight * scale)),
				}
			: { w: side, h: side },
	)
	const spot = $derived.by(() => {
		const v = w.play.view
		if (!v || !m) return { x: 0, y: 0 }
		return {
			x: (v.x + m.cellWidth / 2 - m.bounds.x * m.cellWidth) * scale,
			y: (v.y + m.cellHeight / 2 - m.bounds.y * m.cellHeight) * scale,
		}
	})
	/** What is known of the map: it is drawn anew when that grows, not with each step. */
	const known = $derived(w.play.view?.seen?.known.length ?? -1)

	let later = $state(0)
	$effect(() => {
		void [m, known, w.project.turn, later, w.play.view?.gone.length, w.play.view?.on.length]
		if (!canvas || !m) return
		const view = new View()
		Object.assign(view, {
			x: m.bounds.x * m.cellWidth,
			y: m.bounds.y * m.cellHeight,
			scale,
			width: canvas.width,
			height: canvas.height,
		})
		const ctx = canvas.getContext('2d')!
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		const whole = w.scene.draw(ctx, m, view, { paper: 'ground', small: true })
		const seen = w.play.view?.seen
		if (seen) {
			ctx.fillStyle = '#0d1112'
			ctx.beginPath()
			ctx.rect(0, 0, canvas.width, canvas.height)
			for (const s of seen.known)
				ctx.rect(
					(s.x0 - m.bounds.x) * m.cellWidth * scale,
					(s.y - m.bounds.y) * m.cellHeight * scale,
					(s.x1 - s.x0) * m.cellWidth * scale,
					m.cellHeight * scale,
				)
			ctx.fill('evenodd')
		}
		if (whole) return
		const again = setTimeout(() => later++, 60)
		return () => clearTimeout(again)
	})
</script>

<div class="relative border-2 border-ink bg-night" data-testid="small-map" aria-hidden="true">
	<canvas bind:this={canvas} width={size.w} height={size.h} class="block"></canvas>
	<span
		class="absolute size-2 -translate-1/2 rounded-full border border-ink bg-held"
		style:left="{spot.x}px"
		style:top="{spot.y}px"
	></span>
</div>
