<script lang="ts">
	import type { LayerChunks, Layer, MapInfo, ReachInfo, Rect } from '../core/types'
	import { brick, cased } from '../draw/frames'
	import { reachPicture } from '../draw/reach'
	import { inTurn } from '../draw/turns'
	import { View } from '../draw/view.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	interface Shown {
		map: MapInfo
		layer?: Layer
		reach?: ReachInfo | null
		/** Cells that it shows with what is around them, in place of all. */
		place?: Rect | null
		width?: number
		height?: number
	}

	// A live picture of one layer, or of a whole map when none is given, with how far one comes over it if that is known.
	let { map, layer, reach = null, place = null, width = 40, height = 28 }: Shown = $props()
	const w = workspace()
	const view = new View()
	let canvas: HTMLCanvasElement
	let turn = $state(0)

	$effect(() => {
		const again = (changed?: LayerChunks[]) => {
			if (!changed || changed.some((c) => c.map === map.id && (!layer || c.layer === layer.id))) turn++
		}
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	// not while a stroke is drawn: a little later
	$effect(() => {
		void [turn, map, layer, reach, place?.x, place?.y, place?.w, place?.h, w.project.entityTurn, w.theme]
		let done = () => {}
		const timer = setTimeout(() => (done = inTurn(draw)), 120)
		function draw() {
			const ctx = canvas.getContext('2d')!
			view.width = canvas.width = width * devicePixelRatio
			view.height = canvas.height = height * devicePixelRatio
			if (place) view.around(map, place)
			else view.whole(map)
			const done = w.scene.draw(ctx, map, view, { solo: layer?.id, small: true })
			if (reach) {
				const r = view.cellRect(map, reach.box)
				ctx.imageSmoothingEnabled = false
				ctx.drawImage(reachPicture(reach), r.x, r.y, r.w, r.h)
			}
			if (place) {
				const r = view.cellRect(map, place)
				cased(ctx, Math.round(r.x) - 0.5, Math.round(r.y) - 0.5, Math.round(r.w) + 1, Math.round(r.h) + 1, brick)
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
