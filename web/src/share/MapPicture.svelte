<script lang="ts">
	import { View } from '../draw/view.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { fileName, keep } from './exchange'

	// A map as a PNG, shown as it will be.
	const w = workspace()
	/** The most pixels that browsers make a picture of. */
	const most = 64_000_000
	const side = 16_384
	let scale = $state(1)
	let things = $state(true)
	let chosen = $state(w.mapId)
	let busy = $state(false)
	const maps = $derived(w.project.head.maps)
	const m = $derived(maps.find((o) => o.id === chosen) ?? maps[0])
	let shown = $state<HTMLCanvasElement>()

	const sizeOf = (by: number) => {
		const r = new View().drawn(m)
		return { w: Math.round(r.w * by), h: Math.round(r.h * by) }
	}
	const size = $derived(m ? sizeOf(scale) : { w: 0, h: 0 })
	const tooLarge = $derived(size.w > side || size.h > side || size.w * size.h > most)

	/** Draws the map as large as a canvas is; false when some of it comes later. */
	function draw(on: HTMLCanvasElement, by: number): boolean {
		const view = new View()
		const r = view.drawn(m)
		;[view.x, view.y, view.scale, view.width, view.height] = [r.x, r.y, by, on.width, on.height]
		const ctx = on.getContext('2d')!
		ctx.clearRect(0, 0, on.width, on.height)
		return w.scene.draw(ctx, m, view, { paper: things ? 'all' : 'ground' })
	}

	const frame = () => new Promise((done) => requestAnimationFrame(done))

	// The picture in the station, as large as there is room, is drawn anew with whatever changes.
	let turn = $state(0)
	$effect(() => {
		const stale = () => turn++
		w.scene.onStale.add(stale)
		return () => void w.scene.onStale.delete(stale)
	})
	$effect(() => {
		void turn
		if (!m || !shown) return
		const whole = sizeOf(1)
		const by = Math.min(4, 420 / whole.w, 260 / whole.h)
		const nice = by >= 1 ? Math.floor(by) : 2 ** Math.floor(Math.log2(by))
		;[shown.width, shown.height] = [Math.max(1, Math.round(whole.w * nice)), Math.max(1, Math.round(whole.h * nice))]
		if (!draw(shown, nice)) requestAnimationFrame(() => turn++)
	})

	async function save() {
		busy = true
		try {
			const on = document.createElement('canvas')
			;[on.width, on.height] = [size.w, size.h]
			for (let n = 0; n < 600 && !draw(on, scale); n++) await frame()
			const data = await new Promise<Blob | null>((done) => on.toBlob(done, 'image/png'))
			if (!data) throw new Error('This browser cannot make a picture that large: choose a smaller scale.')
			keep(data, `${fileName(m.name)}.png`)
			w.notices.say(`${m.name} is saved as a picture of ${size.w} × ${size.h} pixels.`, 'done')
		} catch (e) {
			w.notices.wrong(e)
		} finally {
			busy = false
		}
	}
</script>

{#if m}
	<div class="flex flex-wrap items-end gap-3">
		<label class="flex flex-col gap-1">
			<span class="text-dim">Map</span>
			<select class="field w-44" bind:value={chosen}>
				{#each maps as o (o.id)}<option value={o.id}>{o.name}</option>{/each}
			</select>
		</label>
		<label class="flex flex-col gap-1">
			<span class="text-dim">Scale</span>
			<select class="field w-24" bind:value={scale}>
				{#each [1, 2, 3, 4] as n (n)}<option value={n}>{n} ×</option>{/each}
			</select>
		</label>
		<label class="flex h-7 items-center gap-2">
			<input type="checkbox" class="accent-glaze" bind:checked={things} /> with what stands there
		</label>
	</div>
	<div class="flex min-h-[120px] items-center justify-center border border-line bg-well p-2">
		<canvas bind:this={shown} class="max-w-full" aria-label="{m.name} as it will be saved"></canvas>
	</div>
	<div class="flex items-center gap-3">
		<button class="button" disabled={busy || tooLarge} onclick={() => void save()}>Save as a PNG</button>
		<span class="font-mono text-[12px] {tooLarge ? 'text-brick' : 'text-dim'}"
			>{size.w} × {size.h}{tooLarge ? ': larger than a browser can make' : ''}</span
		>
	</div>
{:else}
	<p class="text-dim">There is no map yet.</p>
{/if}
