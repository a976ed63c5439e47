<script lang="ts">
	import { onMount } from 'svelte'
	import { cellOf } from '../draw/pictures'
	import { framesOf } from '../draw/figures'
	import type { Facing, Kind } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// How a kind looks: a tile, or a character sheet cut by rows into facings and by
	// columns into frames, previewed walking.
	let { kind: k, put }: { kind: Kind; put: (to: Partial<Kind>) => void } = $props()
	const w = workspace()
	const sets = $derived(w.project.head.tilesets)
	const facings: Facing[] = ['up', 'right', 'down', 'left']
	let sheet = $state(0)
	let from = $state(0)
	let frames = $state(3)
	let rows = $state<(Facing | '')[]>(['down', 'left', 'right', 'up'])
	let canvas: HTMLCanvasElement
	const walks = $derived(k.frames.some((f) => f?.length))
	const tray = $derived(
		w.hand.tray.flatMap((s) => (s && s.grip.what === 'tiles' && s.grip.cells?.length === 1 ? [s.grip.cells[0]] : [])),
	)

	function cutSheet() {
		const t = sets[sheet]
		if (!t) return
		const out: (number[] | null)[] = [null, null, null, null]
		rows.forEach((facing, row) => {
			const start = from + row * t.columns
			if (!facing || start + frames > t.columns * t.rows) return
			out[facings.indexOf(facing)] = Array.from({ length: frames }, (_, i) => cellOf(t.number, start + i))
		})
		put({ frames: out.map((f) => f ?? []) })
	}

	onMount(() => {
		const clock = setInterval(draw, 60)
		return () => clearInterval(clock)
	})

	function draw() {
		const ctx = canvas?.getContext('2d')
		if (!ctx) return
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		ctx.imageSmoothingEnabled = false
		const now = Math.floor(performance.now() / Math.max(1, k.frameMs || 150))
		facings.forEach((facing, i) => {
			const all = framesOf(k, facing)
			const cell = all?.length ? all[all.length > 1 ? 1 + (now % (all.length - 1)) : 0] : k.look
			if (cell) w.scene.pictures.draw(ctx, cell, i * 52 + 2, 2, 48, 48)
			else if (i === 2) w.scene.figures.glyph(ctx, k.id, i * 52 + 8, 8, 36)
		})
	}
</script>

<h2 class="heading">Look</h2>
<canvas
	bind:this={canvas}
	width="208"
	height="52"
	class="h-[52px] w-[208px] bg-well pixels"
	aria-label="How it looks, up, right, down and left"
></canvas>
<div class="flex flex-wrap items-center gap-1.5">
	{#if tray.length}<button class="button h-6" onclick={() => put({ look: tray[0] })}>The tile held last</button>{/if}
	{#if k.look || walks}
		<button class="button h-6" onclick={() => put({ look: 0, frames: [[], [], [], []] })}>Its glyph</button>
	{:else if !tray.length}
		<span class="text-[12px] text-dim">Hold a tile on the map to offer it here.</span>
	{/if}
</div>
{#if sets.length}
	<details>
		<summary class="cursor-pointer text-dim">A character sheet…</summary>
		<div class="flex flex-col gap-1.5 pt-1.5">
			<label class="flex items-center gap-2"
				><span class="w-20 text-dim">Tileset</span>
				<select class="field min-w-0 grow" bind:value={sheet}>
					{#each sets as t, i (t.id)}<option value={i}>{t.name}</option>{/each}
				</select></label
			>
			<div class="flex items-center gap-2">
				<label class="flex items-center gap-1"
					>first tile <input class="field w-16 font-mono" type="number" min="0" bind:value={from} /></label
				>
				<label class="flex items-center gap-1"
					>frames <input class="field w-14 font-mono" type="number" min="1" max="16" bind:value={frames} /></label
				>
			</div>
			<div class="flex flex-wrap items-center gap-1">
				<span class="text-dim">rows</span>
				{#each rows as _, i (i)}
					<select class="field w-[70px] px-1" aria-label="Row {i + 1} looks" bind:value={rows[i]}>
						<option value="">none</option>
						{#each facings as f (f)}<option value={f}>{f}</option>{/each}
					</select>
				{/each}
			</div>
			<button class="button self-start" onclick={cutSheet}>Cut it</button>
			<p class="text-[12px] text-dim">A facing that is missing is the one of the other side, mirrored.</p>
		</div>
	</details>
{/if}
{#if walks}
	<label class="flex items-center gap-2"
		>each frame <input
			class="field w-20 font-mono"
			type="number"
			min="1"
			value={k.frameMs}
			onchange={(e) => put({ frameMs: Math.trunc(e.currentTarget.valueAsNumber) || 0 })}
		/> ms</label
	>
{/if}
