<script lang="ts">
	import { onMount } from 'svelte'
	import { cellOf, type Picture, tilesetOf } from '../draw/pictures'
	import { framesOf, poseOf } from '../draw/figures'
	import { poseWords } from './poses'
	import type { Facing, Kind, Taken } from '../core/types'
	import { send } from '../live/http'
	import { accepted } from '../tilesets/intake.svelte'
	import FigureSheet from './FigureSheet.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// How a kind looks: a tile or several, a picture of its own, or a sheet of figures,
	// previewed walking.
	let { kind: k, put }: { kind: Kind; put: (to: Partial<Kind>) => void } = $props()
	const w = workspace()
	const facings: Facing[] = ['up', 'right', 'down', 'left']
	let canvas: HTMLCanvasElement
	const walks = $derived(k.frames.some((f) => f?.length))
	/** What is previewed: a pose, or standing and walking. */
	let chosen = $state('')
	const pose = $derived(k.poses?.find((p) => p.does === chosen))
	/** The block of tiles that was held last, as a picture. */
	const held = $derived.by(() => {
		for (const { grip } of w.hand.lately) {
			const { cells, width } = grip.what === 'tiles' ? grip : {}
			const p = cells && width && blockOf(cells, width)
			if (p) return p
		}
		return null
	})

	/** The picture that a block of tiles is, where they lie side by side on their sheet. */
	function blockOf(cells: number[], across: number): Picture | null {
		const t = w.project.tileset(tilesetOf(cells[0]))
		const whole = t && cells.every((c, i) => c === cells[0] + (i % across) + Math.floor(i / across) * t.columns)
		return whole ? { cell: cells[0], across, down: cells.length / across } : null
	}

	let busy = $state(false)
	let chooser = $state<HTMLInputElement>()

	/** Brings a picture in as a tileset of one tile, which is what the kind looks like. */
	async function bring(file: File | undefined) {
		if (!file) return
		busy = true
		try {
			const taken = await send<Taken>(`/api/projects/${w.project.id}/pictures`, file)
			const set = {
				name: k.name,
				number: taken.number,
				picture: taken.picture,
				width: taken.width,
				height: taken.height,
				cut: { cellWidth: taken.width, cellHeight: taken.height, margin: 0, spacing: 0 },
				solid: [],
				infos: [],
				properties: [],
			}
			if (w.project.try('addTileset', set)) look({ cell: cellOf(taken.number, 0), across: 1, down: 1 })
		} catch (e) {
			w.notices.wrong(e)
		}
		busy = false
	}

	function look(p: Picture) {
		put({ look: p.cell, across: p.across, down: p.down, frames: [[], [], [], []], poses: [] })
	}

	/** Sets how long each of the pictures that are previewed is shown. */
	function time(ms: number) {
		if (pose) put({ poses: k.poses!.map((p) => (p.does === pose.does ? { ...p, ms } : p)) })
		else put({ frameMs: ms })
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
			const posed = pose && poseOf(k, pose.does, facing, (performance.now() * 60) / 1000)
			const cell = posed ? posed : all?.length ? all[all.length > 1 ? 1 + (now % (all.length - 1)) : 0] : k.look
			if (cell) w.scene.pictures.drawFitting(ctx, { cell, across: k.across || 1, down: k.down || 1 }, i * 52 + 2, 2, 48)
			else if (i === 2) w.scene.figures.glyph(ctx, k.id, i * 52 + 8, 8, 36)
		})
	}
</script>

<h3 class="heading">Look</h3>
<canvas
	bind:this={canvas}
	width="208"
	height="52"
	class="h-[52px] w-[208px] bg-well pixels"
	aria-label="How it looks, up, right, down and left"
></canvas>
<div class="flex flex-wrap items-center gap-1.5">
	{#if held}
		<button class="button h-6" onclick={() => look(held)}
			>{held.across * held.down > 1
				? `The ${held.across} × ${held.down} tiles held last`
				: 'The tile held last'}</button
		>
	{/if}
	<button class="button h-6" disabled={busy} onclick={() => chooser?.click()}>A picture of its own…</button>
	<input
		bind:this={chooser}
		type="file"
		class="hidden"
		accept={accepted}
		aria-label="A picture for the kind"
		onchange={(e) => {
			void bring(e.currentTarget.files?.[0])
			e.currentTarget.value = ''
		}}
	/>
	{#if k.look || walks}
		<button class="button h-6" onclick={() => put({ look: 0, across: 0, down: 0, frames: [[], [], [], []], poses: [] })}
			>Its glyph</button
		>
	{:else if !held}
		<span class="text-[12px] text-dim">Hold a tile, or a block of them, on the map to offer it here.</span>
	{/if}
</div>
<FigureSheet kind={k} />
{#if walks || k.poses?.length}
	<div class="flex flex-wrap items-center gap-2">
		{#if k.poses?.length}
			<select class="field w-36 px-1" aria-label="What the pictures show" bind:value={chosen}>
				<option value="">stands and walks</option>
				{#each k.poses as p (p.does)}<option value={p.does}>{poseWords[p.does] ?? p.does}</option>{/each}
			</select>
		{/if}
		<label class="flex items-center gap-2"
			>each frame <input
				class="field w-20 font-mono"
				type="number"
				min="1"
				value={pose?.ms ?? k.frameMs}
				onchange={(e) => time(Math.trunc(e.currentTarget.valueAsNumber) || 0)}
			/> ms</label
		>
		{#if pose}
			<button class="button h-6" onclick={() => put({ poses: k.poses!.filter((p) => p.does !== pose.does) })}
				>Take these away</button
			>
		{/if}
	</div>
{/if}
