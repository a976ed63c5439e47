<script lang="ts">
	import FlipHorizontal2 from '@lucide/svelte/icons/flip-horizontal-2'
	import FlipVertical2 from '@lucide/svelte/icons/flip-vertical-2'
	import { Dialog } from 'bits-ui'
	import type { Rect, Taken, Tileset } from '../core/types'
	import { cellOf, tileRect } from '../draw/pictures'
	import { send } from '../live/http'
	import { base64 } from '../project/base64'
	import { workspace } from '../workspace/workspace.svelte'
	import PixelFrame from './PixelFrame.svelte'
	import { framesOf, PixelWork } from './pixels.svelte'

	// Tiles pixel by pixel: a colour is put down as dots, as a fill, or in place of all that are alike; what is selected is moved,
	// mirrored and copied. The frames of one stand beside each other. What is kept is one edit of the tileset.
	let { set: t, tile, open = $bindable(false) }: { set: Tileset; tile: number; open: boolean } = $props()
	const w = workspace()
	const side = 384
	const scale = $derived(Math.max(1, Math.floor(side / Math.max(t.cut.cellWidth, t.cut.cellHeight))))
	let work = $state.raw<PixelWork | null>(null)
	let at = $state({ x: 0, y: 0 })
	let busy = $state(false)
	let before = $state(false)
	let canvas = $state<HTMLCanvasElement>()
	let around = $state<HTMLCanvasElement>()
	let down = 0
	let start = { x: 0, y: 0 }
	let moves = false
	let moving = $state(0)

	async function begin() {
		at = { x: 0, y: 0 }
		const next = new PixelWork(t, framesOf(t, tile, w.project.head.kinds, cellOf(t.number, tile)))
		next.tile = tile
		await next.begin()
		work = next
	}

	function small(of: ImageData | undefined): OffscreenCanvas | null {
		if (!of) return null
		const out = new OffscreenCanvas(of.width, of.height)
		out.getContext('2d')!.putImageData(of, 0, 0)
		return out
	}

	function draw(on: HTMLCanvasElement, tile: OffscreenCanvas, by: number, times: number) {
		const ctx = on.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		ctx.clearRect(0, 0, on.width, on.height)
		for (let y = 0; y < times; y++)
			for (let x = 0; x < times; x++)
				ctx.drawImage(tile, x * tile.width * by, y * tile.height * by, tile.width * by, tile.height * by)
		return ctx
	}

	// several frames are seen one after the other, as they will be
	$effect(() => {
		if (!work || work.tiles.length < 2 || !w.animated) return
		const { length } = work.tiles
		const timer = setInterval(() => (moving = (moving + 1) % length), 180)
		return () => clearInterval(timer)
	})
	$effect(() => {
		if (!work || !around) return
		const shown = work.tiles.length > 1 ? work.all.get(work.tiles[moving % work.tiles.length]) : work.pixels
		const is = small(shown)
		if (is) draw(around, is, Math.max(1, Math.floor(40 / Math.max(is.width, is.height))), 3)
	})
	$effect(() => {
		const is = small(work?.pixels)
		if (!work || !is || !canvas) return
		const ctx = draw(canvas, is, scale, 1)
		const last = before && small(work.all.get(work.tiles[work.tiles.indexOf(work.tile) - 1] ?? -1))
		if (last) {
			ctx.globalAlpha = 0.35
			ctx.drawImage(last, 0, 0, last.width * scale, last.height * scale)
			ctx.globalAlpha = 1
		}
		if (scale >= 6) {
			ctx.fillStyle = 'rgb(120 120 120 / 0.25)'
			for (let x = 1; x < is.width; x++) ctx.fillRect(x * scale, 0, 1, canvas.height)
			for (let y = 1; y < is.height; y++) ctx.fillRect(0, y * scale, canvas.width, 1)
		}
		const frame = (r: Rect, colour: string) => {
			ctx.lineWidth = 4
			ctx.strokeStyle = '#1e2a2e'
			ctx.strokeRect(r.x * scale + 1, r.y * scale + 1, Math.max(2, r.w * scale - 2), Math.max(2, r.h * scale - 2))
			ctx.lineWidth = 2
			ctx.strokeStyle = colour
			ctx.strokeRect(r.x * scale + 1, r.y * scale + 1, Math.max(2, r.w * scale - 2), Math.max(2, r.h * scale - 2))
		}
		if (work.area) frame(work.area, '#fcfaf5')
		frame({ ...at, w: 1, h: 1 }, '#e2a52a')
	})

	const spot = (e: PointerEvent) => {
		const b = canvas!.getBoundingClientRect()
		return {
			x: Math.floor(((e.clientX - b.left) / b.width) * t.cut.cellWidth),
			y: Math.floor(((e.clientY - b.top) / b.height) * t.cut.cellHeight),
		}
	}

	function press(e: PointerEvent) {
		if (!work) return
		const p = spot(e)
		at = start = p
		if (e.altKey) return work.pick(p.x, p.y)
		canvas!.setPointerCapture(e.pointerId)
		down = e.button === 2 ? 2 : 1
		if (work.shape !== 'selection') return work.put(p.x, p.y, down === 2)
		moves = down === 1 && work.lifts(p.x, p.y)
		if (moves) work.lift()
		else work.area = null
	}

	function drag(e: PointerEvent) {
		if (!down || !work) return
		const p = spot(e)
		if (work.shape === 'selection') {
			if (moves) work.carry(p.x - start.x, p.y - start.y)
			else work.select(start, p)
			return
		}
		if (work.shape !== 'dots') return
		// a fast hand leaves no gaps
		const steps = Math.max(Math.abs(p.x - at.x), Math.abs(p.y - at.y), 1)
		for (let i = 1; i <= steps; i++)
			work.put(
				Math.round(at.x + ((p.x - at.x) * i) / steps),
				Math.round(at.y + ((p.y - at.y) * i) / steps),
				down === 2,
				true,
			)
		at = p
	}

	function up() {
		if (moves) work?.drop()
		down = 0
		moves = false
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[e.key]
		if (!work) return
		if (step) {
			const from = at
			at = {
				x: Math.max(0, Math.min(work.w - 1, at.x + step[0])),
				y: Math.max(0, Math.min(work.h - 1, at.y + step[1])),
			}
			if (e.shiftKey) {
				if (!work.area) start = from
				work.shape = 'selection'
				work.select(start, at)
			}
		} else if (e.key === 'Enter' || e.key === ' ') work.put(at.x, at.y, false)
		else if (e.key === 'Delete' || e.key === 'Backspace') {
			if (work.area) work.erase()
			else work.put(at.x, at.y, true)
		} else if (e.key.toLowerCase() === 'i') work.pick(at.x, at.y)
		else return
		e.preventDefault()
	}

	/** Keys of the whole sheet: undo, copy and paste, and out of what is selected first. */
	function keys(e: KeyboardEvent) {
		e.stopPropagation()
		if (!work) return
		if (e.key === 'Escape' && work.area) work.area = null
		else if (!(e.ctrlKey || e.metaKey)) return
		else if (e.key.toLowerCase() === 'z') work.undo()
		else if (e.key.toLowerCase() === 'c') work.copy()
		else if (e.key.toLowerCase() === 'v') work.paste()
		else if (e.key.toLowerCase() === 'a') work.select({ x: 0, y: 0 }, { x: work.w - 1, y: work.h - 1 })
		else return
		e.preventDefault()
	}

	async function keep() {
		const all = work?.changed() ?? []
		if (!all.length) return (open = false)
		busy = true
		try {
			let picture = t.picture
			let taken: Taken | null = null
			for (const { tile, was, is } of all) {
				const ask = { picture, part: tileRect(t, tile), was: base64(was.data), is: base64(is.data) }
				taken = await send<Taken>(`/api/projects/${w.project.id}/pictures/pixels`, JSON.stringify(ask))
				picture = taken.picture
			}
			const { width, height } = taken!
			w.scene.pictures.retry(picture)
			const match = Array.from({ length: t.columns * t.rows }, (_, i) => i)
			const made = w.project.make('recut', { id: t.id, recut: { picture, width, height, cut: t.cut, match } })
			open = false
			const what = all.length > 1 ? `${all.length} tiles of ${t.name} are` : `Tile ${all[0].tile} of ${t.name} is`
			w.notices.say(`${what} drawn otherwise.`, 'done', w.project.undoOf(made))
		} catch (e) {
			w.notices.wrong(e)
		}
		busy = false
	}
</script>

<Dialog.Root bind:open>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 flex max-h-[94vh] w-[min(720px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
			onOpenAutoFocus={() => void begin()}
			onkeydown={keys}
			escapeKeydownBehavior={work?.area ? 'ignore' : 'close'}
		>
			<div class="flex flex-col gap-3 overflow-y-auto p-5">
				<Dialog.Title class="text-[19px] font-semibold">Pixels of tile {work?.tile ?? tile}</Dialog.Title>
				<Dialog.Description class="text-dim"
					>The second button clears, <span class="key">Alt</span> and a press take a colour up; arrows and
					<span class="key">Enter</span> draw as well, with
					<span class="key">Shift</span> they select.</Dialog.Description
				>
				{#if work}
					{#if work.tiles.length > 1}
						<div class="flex flex-wrap items-center gap-1" role="group" aria-label="Frames">
							{#each work.tiles as f (f)}
								<button
									class="border-2 p-0.5 {f === work.tile ? 'border-ink' : 'border-transparent hover:border-line'}"
									aria-label="Tile {f}"
									aria-pressed={f === work.tile}
									onclick={() => work && (work.tile = f)}><PixelFrame pixels={work.all.get(f)} /></button
								>
							{/each}
							<label class="ml-2 flex items-center gap-1.5"
								><input type="checkbox" class="accent-glaze" bind:checked={before} /> the one before shines through</label
							>
						</div>
					{/if}
					<div class="flex flex-wrap items-center gap-2" role="group" aria-label="How it is drawn">
						Putting
						<input type="color" class="h-8 w-12" aria-label="Colour" bind:value={work.colour} />
						as
						{#each ['dots', 'fill', 'all alike', 'selection'] as const as s (s)}
							<button
								class="button {work.shape === s ? 'button-main' : ''}"
								aria-pressed={work.shape === s}
								onclick={() => work && (work.shape = s)}>{s}</button
							>
						{/each}
					</div>
					<div class="flex flex-wrap gap-5">
						<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
						<canvas
							bind:this={canvas}
							width={work.w * scale}
							height={work.h * scale}
							class="cursor-crosshair touch-none self-start border border-line bg-sheet"
							tabindex="0"
							role="application"
							aria-label="Pixels, at {at.x}, {at.y}"
							data-testid="pixels"
							onpointerdown={press}
							onpointermove={drag}
							onpointerup={up}
							onpointercancel={up}
							oncontextmenu={(e) => e.preventDefault()}
							onkeydown={keydown}
						></canvas>
						<div class="flex w-52 flex-col gap-3">
							<canvas
								bind:this={around}
								width="120"
								height="120"
								class="self-start border border-line bg-sheet"
								aria-hidden="true"
							></canvas>
							<div class="flex flex-wrap gap-0.5" role="group" aria-label="Colours of the sheet">
								{#each work.colours as c (c)}
									<button
										class="size-6 border-2 {work.colour === c ? 'border-ink' : 'border-transparent'}"
										style:background={c}
										aria-label="Colour {c}"
										aria-pressed={work.colour === c}
										onclick={() => work && (work.colour = c)}
									></button>
								{/each}
							</div>
							<div class="flex flex-wrap gap-1">
								<button class="button" onclick={() => work?.moved((x, y, wide) => [wide - 1 - x, y])}
									><FlipVertical2 size={15} /> Mirror</button
								>
								<button class="button" onclick={() => work?.moved((x, y, _, tall) => [x, tall - 1 - y])}
									><FlipHorizontal2 size={15} /> Turn over</button
								>
							</div>
							<div class="grid w-fit grid-cols-3 gap-1" role="group" aria-label="Shift round">
								{#each [['', 0, 0], ['↑', 0, 1], ['', 0, 0], ['←', 1, 0], ['', 0, 0], ['→', -1, 0], ['', 0, 0], ['↓', 0, -1], ['', 0, 0]] as const as [arrow, dx, dy], i (i)}
									{#if arrow}<button
											class="button w-8 px-0"
											aria-label="Shift {arrow}"
											onclick={() => work?.moved((x, y) => [x + dx, y + dy])}>{arrow}</button
										>{:else}<span></span>{/if}
								{/each}
							</div>
						</div>
					</div>
				{/if}
				<div class="flex justify-end gap-2 border-t border-line pt-3">
					<button class="button" disabled={!work?.past.length} onclick={() => work?.undo()}
						>Undo <span class="key">Ctrl+Z</span></button
					>
					<button class="button" onclick={() => (open = false)}>Leave it</button>
					<button class="button button-main" disabled={busy || !work?.past.length} onclick={() => void keep()}
						>{busy ? 'Keeping it…' : 'Keep it'}</button
					>
				</div>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
