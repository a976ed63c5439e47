<script lang="ts">
	import { Popover } from 'bits-ui'
	import { cellOf, tileOf, tileRect, tilesetOf } from '../draw/pictures'
	import { workspace } from '../workspace/workspace.svelte'
	import GripPicture from './GripPicture.svelte'

	// A tile that something is shown as: chosen on the sheets, by pressing it or by arrows and Enter.
	let { name, cell, set }: { name: string; cell: number; set: (cell: number) => void } = $props()
	const w = workspace()
	let open = $state(false)
	let chosen = $state(0)
	let turn = $state(0)
	let cursor = $state(0)
	let canvas = $state<HTMLCanvasElement>()
	const sets = $derived(w.project.head.tilesets)
	const t = $derived(sets.find((o) => o.number === (chosen || tilesetOf(cell))) ?? sets[0])
	const scale = $derived(t ? Math.max(1, Math.min(3, Math.floor(528 / (t.columns * t.cut.cellWidth)))) : 1)
	const [cw, ch] = $derived(t ? [t.cut.cellWidth * scale, t.cut.cellHeight * scale] : [0, 0])

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})
	$effect(() => {
		void turn
		if (!canvas || !t) return
		const dpr = devicePixelRatio
		;[canvas.width, canvas.height] = [t.columns * cw * dpr, t.rows * ch * dpr]
		const ctx = canvas.getContext('2d')!
		ctx.scale(dpr, dpr)
		ctx.imageSmoothingEnabled = false
		const image = w.scene.pictures.image(t.picture)
		if (!image) return
		for (let i = 0; i < t.columns * t.rows; i++) {
			const r = tileRect(t, i)
			ctx.drawImage(image, r.x, r.y, r.w, r.h, (i % t.columns) * cw, Math.floor(i / t.columns) * ch, cw, ch)
		}
		const mark = (tile: number, colour: string) => {
			const [x, y] = [(tile % t.columns) * cw, Math.floor(tile / t.columns) * ch]
			ctx.lineWidth = 4
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(x + 1, y + 1, cw - 2, ch - 2)
			ctx.lineWidth = 2
			ctx.strokeStyle = colour
			ctx.strokeRect(x + 1, y + 1, cw - 2, ch - 2)
		}
		mark(cursor, '#fcfaf5')
		if (cell && tilesetOf(cell) === t.number) mark(tileOf(cell), '#e2a52a')
	})

	function take(tile: number) {
		open = false
		set(cellOf(t.number, tile))
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: -t.columns, ArrowRight: 1, ArrowDown: t.columns, ArrowLeft: -1 }[e.key]
		if (step) cursor = Math.max(0, Math.min(t.columns * t.rows - 1, cursor + step))
		else if (e.key === 'Enter' || e.key === ' ') take(cursor)
		else return
		e.preventDefault()
		e.stopPropagation()
	}
</script>

<Popover.Root bind:open>
	<Popover.Trigger
		class="button h-8 min-w-0 grow justify-start gap-2"
		aria-label="{name}: {cell ? 'another' : 'choose a'} tile…"
	>
		{#if cell}
			{#key cell}<GripPicture grip={{ what: 'tiles', cells: [cell], width: 1, shape: 'freehand' }} size={20} />{/key}
			<span class="truncate">another tile…</span>
		{:else}<span class="truncate text-dim">choose a tile…</span>{/if}
	</Popover.Trigger>
	<Popover.Portal>
		<Popover.Content
			class="z-60 flex max-h-[70vh] w-fit max-w-[560px] min-w-[260px] flex-col gap-2 border border-dim bg-chalk p-3 outline-none"
			side="right"
			align="start"
			sideOffset={6}
			role="dialog"
			aria-label="A tile for {name}"
		>
			{#if t}
				<select
					class="field"
					aria-label="Tileset"
					value={t.number}
					onchange={(e) => ([chosen, cursor] = [Number(e.currentTarget.value), 0])}
				>
					{#each sets as o (o.id)}<option value={o.number}>{o.name}</option>{/each}
				</select>
				<div class="min-h-0 overflow-auto bg-sheet">
					<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
					<canvas
						bind:this={canvas}
						style:width="{t.columns * cw}px"
						style:height="{t.rows * ch}px"
						class="outline-none pixels focus-visible:outline-2 focus-visible:outline-glaze"
						tabindex="0"
						role="application"
						aria-label="Sheet of {t.name}: arrows choose a tile, Enter takes it, now tile {cursor}"
						onclick={(e) => {
							const r = canvas!.getBoundingClientRect()
							const [x, y] = [Math.floor((e.clientX - r.left) / cw), Math.floor((e.clientY - r.top) / ch)]
							if (x >= 0 && x < t.columns && y >= 0 && y < t.rows) take(y * t.columns + x)
						}}
						onkeydown={keydown}
					></canvas>
				</div>
			{:else}<p>There is no tileset yet: bring one in first.</p>{/if}
			{#if cell}<button
					class="button"
					onclick={() => {
						open = false
						set(0)
					}}>None: as Azzel shows it</button
				>{/if}
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
