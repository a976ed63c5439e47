<script lang="ts">
	import { workspace } from '../workspace.svelte'

	// A small picture of what an edit of this page touched, as it looked right after it.
	let { seq }: { seq: number } = $props()
	const w = workspace()
	let canvas: HTMLCanvasElement
	const picture = $derived(w.snaps.get(seq))

	$effect(() => {
		const ctx = canvas.getContext('2d')!
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		if (picture) ctx.drawImage(picture, 0, 0, canvas.width, canvas.height)
	})
</script>

<canvas bind:this={canvas} width="64" height="44" class="h-[22px] w-8 shrink-0 bg-well" aria-hidden="true"></canvas>
