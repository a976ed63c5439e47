<script lang="ts">
	import FlipHorizontal2 from '@lucide/svelte/icons/flip-horizontal-2'
	import FlipVertical2 from '@lucide/svelte/icons/flip-vertical-2'
	import { Dialog } from 'bits-ui'
	import type { Taken, Tileset } from '../core/types'
	import { Pictures, tileRect } from '../draw/pictures'
	import { send } from '../live/http'
	import { workspace } from '../workspace/workspace.svelte'

	// One tile, pixel by pixel: a colour is put down as dots, as a fill, or in place of all that are alike. What is kept is
	// one edit of the tileset.
	let { set: t, tile, open = $bindable(false) }: { set: Tileset; tile: number; open: boolean } = $props()
	const w = workspace()
	const r = $derived(tileRect(t, tile))
	const side = 384
	const scale = $derived(Math.max(1, Math.floor(side / Math.max(r.w, r.h))))
	/** The pixels as they were. */
	let first: ImageData | null = null
	/** The pixels, and those of before each press. */
	let pixels = $state.raw<ImageData | null>(null)
	let past = $state.raw<ImageData[]>([])
	let colours = $state.raw<string[]>([])
	let colour = $state('#1f2a33')
	let shape = $state<'dots' | 'fill' | 'all alike'>('dots')
	let at = $state({ x: 0, y: 0 })
	let busy = $state(false)
	let canvas = $state<HTMLCanvasElement>()
	let around = $state<HTMLCanvasElement>()
	let down = 0

	const hex = (d: Uint8ClampedArray, i: number) =>
		'#' + [d[i], d[i + 1], d[i + 2]].map((n) => n.toString(16).padStart(2, '0')).join('')

	async function begin() {
		;[past, pixels, at] = [[], null, { x: 0, y: 0 }]
		const bitmap = await createImageBitmap(await Pictures.source(t.picture))
		const whole = new OffscreenCanvas(t.width, t.height)
		const ctx = whole.getContext('2d')!
		ctx.drawImage(bitmap, 0, 0)
		pixels = first = ctx.getImageData(r.x, r.y, r.w, r.h)
		// the colours that the sheet has most of, those of the tile first
		const counts = new Map<string, number>()
		for (const [data, times] of [
			[pixels.data, 1000],
			[ctx.getImageData(0, 0, Math.min(t.width, 512), Math.min(t.height, 512)).data, 1],
		] as const)
			for (let i = 0; i < data.length; i += 4)
				if (data[i + 3] === 255) counts.set(hex(data, i), (counts.get(hex(data, i)) ?? 0) + times)
		colours = [...counts]
			.sort((a, b) => b[1] - a[1])
			.slice(0, 30)
			.map(([c]) => c)
		colour = colours[0] ?? colour
	}

	function base64(bytes: Uint8ClampedArray): string {
		let out = ''
		for (let i = 0; i < bytes.length; i += 8192) out += String.fromCharCode(...bytes.subarray(i, i + 8192))
		return btoa(out)
	}

	const copy = (of: ImageData) => new ImageData(new Uint8ClampedArray(of.data), of.width, of.height)

	function change(to: (next: ImageData) => void, goesOn = false) {
		if (!pixels) return
		const next = copy(pixels)
		to(next)
		if (!goesOn) past = [...past, pixels].slice(-200)
		pixels = next
	}

	function undo() {
		const before = past.at(-1)
		if (!before) return
		past = past.slice(0, -1)
		pixels = before
	}

	/** Puts the colour down at a pixel, or takes away what is there. */
	function put(x: number, y: number, clear: boolean, goesOn = false) {
		if (!pixels || x < 0 || y < 0 || x >= r.w || y >= r.h) return
		const n = parseInt(colour.slice(1), 16)
		const to = clear ? [0, 0, 0, 0] : [(n >> 16) & 255, (n >> 8) & 255, n & 255, 255]
		change((next) => {
			const d = next.data
			const key = (i: number) => (d[i + 3] === 0 ? -1 : (d[i] << 16) | (d[i + 1] << 8) | d[i + 2])
			const first = 4 * (y * r.w + x)
			const was = key(first)
			const paint = (i: number) => d.set(to, i)
			if (shape === 'dots') return paint(first)
			if (shape === 'all alike') {
				for (let i = 0; i < d.length; i += 4) if (key(i) === was) paint(i)
				return
			}
			const seen = new Uint8Array(r.w * r.h)
			const todo = [y * r.w + x]
			seen[todo[0]] = 1
			while (todo.length) {
				const p = todo.pop()!
				const [px, py] = [p % r.w, Math.floor(p / r.w)]
				for (const [nx, ny] of [
					[px - 1, py],
					[px + 1, py],
					[px, py - 1],
					[px, py + 1],
				]) {
					const o = ny * r.w + nx
					if (nx < 0 || ny < 0 || nx >= r.w || ny >= r.h || seen[o] || key(4 * o) !== was) continue
					seen[o] = 1
					todo.push(o)
				}
			}
			for (let p = 0; p < seen.length; p++) if (seen[p]) paint(4 * p)
		}, goesOn)
	}

	/** Takes every pixel from another place. */
	function moved(from: (x: number, y: number) => [number, number]) {
		change((next) => {
			const d = pixels!.data
			for (let y = 0; y < r.h; y++)
				for (let x = 0; x < r.w; x++) {
					const [fx, fy] = from(x, y)
					const i = 4 * (((fy + r.h) % r.h) * r.w + ((fx + r.w) % r.w))
					next.data.set(d.subarray(i, i + 4), 4 * (y * r.w + x))
				}
		})
	}

	function draw(on: HTMLCanvasElement, tile: OffscreenCanvas, by: number, times: number) {
		const ctx = on.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		ctx.clearRect(0, 0, on.width, on.height)
		for (let y = 0; y < times; y++)
			for (let x = 0; x < times; x++) ctx.drawImage(tile, x * r.w * by, y * r.h * by, r.w * by, r.h * by)
		return ctx
	}

	$effect(() => {
		if (!pixels || !canvas || !around) return
		const small = new OffscreenCanvas(r.w, r.h)
		small.getContext('2d')!.putImageData(pixels, 0, 0)
		draw(around, small, Math.max(1, Math.floor(40 / Math.max(r.w, r.h))), 3)
		const ctx = draw(canvas, small, scale, 1)
		if (scale >= 6) {
			ctx.fillStyle = 'rgb(120 120 120 / 0.25)'
			for (let x = 1; x < r.w; x++) ctx.fillRect(x * scale, 0, 1, canvas.height)
			for (let y = 1; y < r.h; y++) ctx.fillRect(0, y * scale, canvas.width, 1)
		}
		ctx.strokeStyle = '#e2a52a'
		ctx.lineWidth = 2
		ctx.strokeRect(at.x * scale + 1, at.y * scale + 1, Math.max(2, scale - 2), Math.max(2, scale - 2))
	})

	const spot = (e: PointerEvent) => {
		const b = canvas!.getBoundingClientRect()
		return {
			x: Math.floor(((e.clientX - b.left) / b.width) * r.w),
			y: Math.floor(((e.clientY - b.top) / b.height) * r.h),
		}
	}

	function pick(x: number, y: number) {
		const i = 4 * (y * r.w + x)
		if (pixels && pixels.data[i + 3]) colour = hex(pixels.data, i)
	}

	function press(e: PointerEvent) {
		const p = spot(e)
		at = p
		if (e.altKey) return pick(p.x, p.y)
		canvas!.setPointerCapture(e.pointerId)
		down = e.button === 2 ? 2 : 1
		put(p.x, p.y, down === 2)
	}

	function drag(e: PointerEvent) {
		if (!down || shape !== 'dots') return
		const p = spot(e)
		// a fast hand leaves no gaps
		const steps = Math.max(Math.abs(p.x - at.x), Math.abs(p.y - at.y), 1)
		for (let i = 1; i <= steps; i++)
			put(
				Math.round(at.x + ((p.x - at.x) * i) / steps),
				Math.round(at.y + ((p.y - at.y) * i) / steps),
				down === 2,
				true,
			)
		at = p
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }[e.key]
		if (step) {
			at = {
				x: Math.max(0, Math.min(r.w - 1, at.x + step[0])),
				y: Math.max(0, Math.min(r.h - 1, at.y + step[1])),
			}
		} else if (e.key === 'Enter' || e.key === ' ') put(at.x, at.y, false)
		else if (e.key === 'Delete' || e.key === 'Backspace') put(at.x, at.y, true)
		else if (e.key.toLowerCase() === 'i') pick(at.x, at.y)
		else return
		e.preventDefault()
	}

	async function keep() {
		if (!pixels || !first) return
		busy = true
		try {
			const ask = { picture: t.picture, part: r, was: base64(first.data), is: base64(pixels.data) }
			const { picture, width, height } = await send<Taken>(
				`/api/projects/${w.project.id}/pictures/pixels`,
				JSON.stringify(ask),
			)
			w.scene.pictures.retry(picture)
			const match = Array.from({ length: t.columns * t.rows }, (_, i) => i)
			const made = w.project.make('recut', { id: t.id, recut: { picture, width, height, cut: t.cut, match } })
			open = false
			w.notices.say(`Tile ${tile} of ${t.name} is drawn otherwise.`, 'done', w.project.undoOf(made))
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
			onkeydown={(e) => {
				e.stopPropagation()
				if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') (e.preventDefault(), undo())
			}}
		>
			<div class="flex flex-col gap-3 overflow-y-auto p-5">
				<Dialog.Title class="text-[19px] font-semibold">Pixels of tile {tile}</Dialog.Title>
				<Dialog.Description class="text-dim"
					>The second button clears, <span class="key">Alt</span> and a press take a colour up; arrows and
					<span class="key">Enter</span> draw as well.</Dialog.Description
				>
				<div class="flex flex-wrap items-center gap-2" role="group" aria-label="How it is drawn">
					Putting
					<input type="color" class="h-8 w-12" aria-label="Colour" bind:value={colour} />
					as
					{#each ['dots', 'fill', 'all alike'] as const as s (s)}
						<button
							class="button {shape === s ? 'button-main' : ''}"
							aria-pressed={shape === s}
							onclick={() => (shape = s)}>{s}</button
						>
					{/each}
				</div>
				<div class="flex flex-wrap gap-5">
					<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
					<canvas
						bind:this={canvas}
						width={r.w * scale}
						height={r.h * scale}
						class="cursor-crosshair touch-none self-start border border-line bg-sheet"
						tabindex="0"
						role="application"
						aria-label="Pixels, at {at.x}, {at.y}"
						data-testid="pixels"
						onpointerdown={press}
						onpointermove={drag}
						onpointerup={() => (down = 0)}
						onpointercancel={() => (down = 0)}
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
							{#each colours as c (c)}
								<button
									class="size-6 border-2 {colour === c ? 'border-ink' : 'border-transparent'}"
									style:background={c}
									aria-label="Colour {c}"
									aria-pressed={colour === c}
									onclick={() => (colour = c)}
								></button>
							{/each}
						</div>
						<div class="flex flex-wrap gap-1">
							<button class="button" onclick={() => moved((x, y) => [r.w - 1 - x, y])}
								><FlipVertical2 size={15} /> Mirror</button
							>
							<button class="button" onclick={() => moved((x, y) => [x, r.h - 1 - y])}
								><FlipHorizontal2 size={15} /> Turn over</button
							>
						</div>
						<div class="grid w-fit grid-cols-3 gap-1" role="group" aria-label="Shift round">
							{#each [['', 0, 0], ['↑', 0, 1], ['', 0, 0], ['←', 1, 0], ['', 0, 0], ['→', -1, 0], ['', 0, 0], ['↓', 0, -1], ['', 0, 0]] as const as [arrow, dx, dy], i (i)}
								{#if arrow}<button
										class="button w-8 px-0"
										aria-label="Shift {arrow}"
										onclick={() => moved((x, y) => [x + dx, y + dy])}>{arrow}</button
									>{:else}<span></span>{/if}
							{/each}
						</div>
					</div>
				</div>
				<div class="flex justify-end gap-2 border-t border-line pt-3">
					<button class="button" disabled={!past.length} onclick={undo}>Undo <span class="key">Ctrl+Z</span></button>
					<button class="button" onclick={() => (open = false)}>Leave it</button>
					<button class="button button-main" disabled={busy || !past.length} onclick={() => void keep()}
						>{busy ? 'Keeping it…' : 'Keep it'}</button
					>
				</div>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
