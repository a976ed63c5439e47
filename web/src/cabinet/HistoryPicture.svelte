<script lang="ts">
	import ArrowLeftRight from '@lucide/svelte/icons/arrow-left-right'
	import Images from '@lucide/svelte/icons/images'
	import Layers from '@lucide/svelte/icons/layers'
	import MapIcon from '@lucide/svelte/icons/map'
	import PencilLine from '@lucide/svelte/icons/pencil-line'
	import ScrollText from '@lucide/svelte/icons/scroll-text'
	import { drawPiece, spanOf } from '../canvas/piece'
	import { workspace } from '../workspace/workspace.svelte'

	// A small picture of what an edit wrote: of this page's own as the map looked
	// right after it, of others the cells that they put down.
	let { seq }: { seq: number } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	let seen = $state(false)
	let turn = $state(0)
	const snap = $derived(w.snaps.get(seq))
	const sketch = $derived(seen && !snap ? w.sketches.get(seq) : undefined)
	const about = {
		tileset: Images,
		material: Images,
		map: MapIcon,
		layer: Layers,
		rule: ScrollText,
		passage: ArrowLeftRight,
	}
	const Sign = $derived(sketch && !sketch.w && !sketch.kind ? (about[sketch.about as 'map'] ?? PencilLine) : undefined)

	$effect(() => {
		const watch = new IntersectionObserver((all) => (seen ||= all.some((e) => e.isIntersecting)))
		watch.observe(canvas)
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => {
			watch.disconnect()
			w.scene.onPictures.delete(again)
		}
	})

	$effect(() => {
		if (seen && !snap) w.sketches.fetch(seq)
	})

	$effect(() => {
		void turn
		const ctx = canvas.getContext('2d')!
		const { width, height } = canvas
		ctx.clearRect(0, 0, width, height)
		ctx.imageSmoothingEnabled = false
		if (snap) ctx.drawImage(snap, 0, 0, width, height)
		else if (sketch?.w && sketch.h) {
			const piece = w.project.ask('sketch', sketch)
			const { across, down } = spanOf(piece)
			const cell = Math.min(width / across, height / down, 22)
			drawPiece(ctx, w, piece, (width - across * cell) / 2, (height - down * cell) / 2, cell)
		} else if (sketch?.kind) w.scene.figures.glyph(ctx, sketch.kind, (width - 36) / 2, 4, 36)
	})
</script>

<span class="relative grid h-[22px] w-8 shrink-0 place-items-center bg-well" aria-hidden="true">
	<canvas bind:this={canvas} width="64" height="44" class="absolute inset-0 h-[22px] w-8"></canvas>
	{#if Sign}<Sign size={14} class="relative text-dim" />{/if}
</span>
