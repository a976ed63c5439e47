<script lang="ts">
	import type { ChunkAt, Layer, MapInfo, ReachInfo } from '../core/types'
	import { reachPicture } from '../draw/reach'
	import { inTurn } from '../draw/turns'
	import { View } from '../draw/view.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// A live picture of one layer, or of a whole map when none is given, with how far one comes over it if that is known.
	let {
		map,
		layer,
		reach = null,
		width = 40,
		height = 28,
	}: { map: MapInfo; layer?: Layer; reach?: ReachInfo | null; width?: number; height?: number } = $props()
	const w = workspace()
	const view = new View()
	let canvas: HTMLCanvasElement
	let turn = $state(0)

	$effect(() => {
		const again = (changed?: ChunkAt[]) => {
			if (!changed || changed.some((c) => c.map === map.id && (!layer || c.layer === layer.id))) turn++
		}
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	// not while a stroke is drawn: a little later
	$effect(() => {
		void [turn, map, layer, reach, w.project.entityTurn, w.theme]
		let done = () => {}
		const timer = setTimeout(() => (done = inTurn(draw)), 120)
		function draw() {
			const ctx = canvas.getContext('2d')!
			view.width = canvas.width = width * devicePixelRatio
			view.height = canvas.height = height * devicePixelRatio
			view.whole(map)
			const done = w.scene.draw(ctx, map, view, { solo: layer?.id, small: true })
			if (reach) {
				const r = view.cellRect(map, reach.box)
				ctx.imageSmoothingEnabled = false
				ctx.drawImage(reachPicture(reach), r.x, r.y, r.w, r.h)
			}
			return done
		}
		return () => {
			clearTimeout(timer)
			done()
		}
	})
</script>

<canvas bind:this={canvas} style:width="{width}px" style:height="{height}px" class="shrink-0 bg-well" aria-hidden="true"
></canvas>
