<script lang="ts">
	import { saveAs } from './exchange'
	import SaveButton from './SaveButton.svelte'
	import { lately, left } from './lately.svelte'
	import { saveGuide } from './guide'
	import { workspace } from '../workspace/workspace.svelte'
	import { drawMap, saveMapPicture, sizeOf, tooLarge } from './mapPicture'

	// A map as a PNG, shown as it will be.
	const w = workspace()
	let scale = $state(1)
	let things = $state(true)
	let chosen = $state(w.mapId)
	let busy = $state(false)
	const maps = $derived(w.project.head.maps)
	const m = $derived(maps.find((o) => o.id === chosen) ?? maps[0])
	let shown = $state<HTMLCanvasElement>()
	const size = $derived(m ? sizeOf(m, scale) : { w: 0, h: 0 })

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
		const whole = sizeOf(m, 1)
		const by = Math.min(4, 420 / whole.w, 260 / whole.h)
		const nice = by >= 1 ? Math.floor(by) : 2 ** Math.floor(Math.log2(by))
		const small = sizeOf(m, nice)
		;[shown.width, shown.height] = [small.w, small.h]
		if (!drawMap(w, m, shown, { scale: nice, things })) requestAnimationFrame(() => turn++)
	})

	async function save() {
		busy = true
		await saveMapPicture(w, m, { scale, things })
		left(w.project, `map/${m.id}`)
		busy = false
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
	<div class="flex flex-wrap items-center gap-3">
		<button class="button" disabled={busy || tooLarge(size)} onclick={() => void save()}>Save as a PNG</button>
		<button
			class="button"
			title="Outlines of what is solid, of zones and of entities, to paint over"
			onclick={() => void saveGuide(w, scale, m)}>Its guide</button
		>
		<SaveButton
			says="In layers"
			title="Each layer by itself, as OpenRaster, for programs in which one paints"
			save={(leaving) => saveAs(w.project, w.notices, `layered/${m.id}`, '.ora', 'in layers', m.name, leaving)}
		/>
		<span class="font-mono text-[12px] {tooLarge(size) ? 'text-brick' : 'text-dim'}"
			>{size.w} × {size.h}{tooLarge(size) ? ': larger than a browser can make' : ''}</span
		>
		<span class="text-dim">{lately(w.project, `map/${m.id}`) || lately(w.project, `layered/${m.id}`)}</span>
	</div>
{:else}
	<p class="text-dim">There is no map yet.</p>
{/if}
