<script lang="ts">
	import type { Facing, ID, Kind, Point } from '../core/types'
	import { firstOf, tileRect } from '../draw/pictures'
	import { counted } from '../project/counted'
	import { poseWords } from './poses'
	import { workspace } from '../workspace/workspace.svelte'

	// A sheet of figures: its frames are dragged out on the tileset's picture, and each row is told which way it looks.
	let { kind: k }: { kind: Kind } = $props()
	const w = workspace()
	const sets = $derived(w.project.head.tilesets)
	const facings: Facing[] = ['up', 'right', 'down', 'left']
	let tileset = $state<ID>('')
	const t = $derived(sets.find((o) => o.id === tileset) ?? sets[0])
	let from = $state(0)
	let across = $state(1)
	let down = $state(1)
	let frames = $state(3)
	/** The order in which rows of a sheet mostly lie. */
	const usual: Facing[] = ['down', 'left', 'right', 'up']
	let rows = $state<(Facing | '')[]>([...usual])
	/** What each row shows being done; nothing is standing and walking. */
	let does = $state<string[]>(['', '', '', ''])
	let canvas = $state<HTMLCanvasElement>()
	let start: Point | null = null
	let turn = $state(0)
	// as large as it fits; a long one is scrolled rather than made small
	const scale = $derived(t ? Math.min(3, 248 / t.width, Math.max(1, 252 / t.height)) : 1)

	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})

	$effect(() => {
		void turn
		if (!canvas || !t) return
		const dpr = devicePixelRatio
		;[canvas.width, canvas.height] = [Math.round(t.width * scale * dpr), Math.round(t.height * scale * dpr)]
		const ctx = canvas.getContext('2d')!
		ctx.scale(scale * dpr, scale * dpr)
		ctx.imageSmoothingEnabled = false
		const image = w.scene.pictures.image(t.picture)
		if (image) ctx.drawImage(image, 0, 0)
		const [x0, y0] = [from % t.columns, Math.floor(from / t.columns)]
		for (let row = 0; row < rows.length; row++) {
			for (let n = 0; n < frames; n++) {
				const [x, y] = [x0 + n * across, y0 + row * down]
				const [a, b] = [tileRect(t, y * t.columns + x), tileRect(t, (y + down - 1) * t.columns + x + across - 1)]
				for (const [width, colour] of [
					[3, '#fcfaf5'],
					[1.5, rows[row] ? '#e2a52a' : '#566067'],
				] as const) {
					ctx.lineWidth = width / scale
					ctx.strokeStyle = colour
					ctx.strokeRect(a.x, a.y, b.x + b.w - a.x, b.y + b.h - a.y)
				}
			}
		}
	})

	/** The tile under the pointer; beside the picture it is the nearest. */
	function tileAt(e: PointerEvent): Point {
		const r = canvas!.getBoundingClientRect()
		const { cellWidth, cellHeight, spacing } = t!.cut
		const first = firstOf(t!.cut)
		const at = (v: number, from: number, size: number, n: number) =>
			Math.max(0, Math.min(n - 1, Math.floor((v / scale - from) / (size + spacing))))
		return {
			x: at(e.clientX - r.left, first.x, cellWidth, t!.columns),
			y: at(e.clientY - r.top, first.y, cellHeight, t!.rows),
		}
	}

	function drag(e: PointerEvent) {
		if (!start || !t) return
		const p = tileAt(e)
		const [x, y] = [Math.min(p.x, start.x), Math.min(p.y, start.y)]
		const [cols, lines] = [Math.abs(p.x - start.x) + 1, Math.abs(p.y - start.y) + 1]
		from = y * t.columns + x
		frames = Math.max(1, Math.floor(cols / across))
		const n = Math.max(1, Math.min(16, Math.floor(lines / down)))
		const next = rows.slice(0, n)
		while (next.length < n) next.push(usual.find((f) => !next.includes(f)) ?? '')
		rows = next
		does = next.map((_, i) => does[i] ?? '')
	}

	function cut() {
		if (!t) return
		const done = w.project.try('cutFigures', { kind: k.id, tileset: t.id, from, across, down, frames, rows, does })
		if (done) w.notices.say(`${k.name} has ${counted(frames, 'frame')} each way.`, 'done', w.project.undoOf(done))
	}
</script>

{#if t}
	<details>
		<summary class="cursor-pointer text-dim">A sheet of figures…</summary>
		<div class="flex flex-col gap-1.5 pt-1.5">
			<label class="flex items-center gap-2"
				><span class="w-20 text-dim">Tileset</span>
				<select class="field min-w-0 grow" value={t.id} onchange={(e) => (tileset = e.currentTarget.value)}>
					{#each sets as o (o.id)}<option value={o.id}>{o.name}</option>{/each}
				</select></label
			>
			<p class="text-[12px] text-dim">Drag over the frames, all rows at once.</p>
			<div class="max-h-64 overflow-auto">
				<canvas
					bind:this={canvas}
					class="cursor-crosshair touch-none bg-sheet pixels"
					style:width="{t.width * scale}px"
					style:height="{t.height * scale}px"
					aria-label="The frames on {t.name}; below they are told in numbers"
					data-testid="figures"
					onpointerdown={(e) => {
						canvas!.setPointerCapture(e.pointerId)
						start = tileAt(e)
						drag(e)
					}}
					onpointermove={drag}
					onpointerup={() => (start = null)}
					onpointercancel={() => (start = null)}
				></canvas>
			</div>
			<div class="flex flex-wrap items-center gap-x-3 gap-y-1.5">
				<label class="flex items-center gap-1"
					>first tile <input class="field w-16 font-mono" type="number" min="0" bind:value={from} /></label
				>
				<label class="flex items-center gap-1"
					>frames <input class="field w-14 font-mono" type="number" min="1" max="16" bind:value={frames} /></label
				>
				<span class="flex items-center gap-1"
					>each of <input
						class="field w-12 font-mono"
						type="number"
						min="1"
						max="16"
						aria-label="Tiles that a frame is across"
						bind:value={across}
					/>×<input
						class="field w-12 font-mono"
						type="number"
						min="1"
						max="16"
						aria-label="Tiles that a frame is down"
						bind:value={down}
					/> tiles</span
				>
			</div>
			<div class="grid grid-cols-[auto_1fr_1fr] items-center gap-x-2 gap-y-1">
				{#each rows as _, i (i)}
					<span class="text-dim">row {i + 1}</span>
					<select class="field px-1" aria-label="Row {i + 1} looks" bind:value={rows[i]}>
						<option value="">none</option>
						{#each facings as f (f)}<option value={f}>looks {f}</option>{/each}
					</select>
					<select class="field px-1" aria-label="Row {i + 1} shows" bind:value={does[i]}>
						<option value="">stands and walks</option>
						{#each w.project.head.poses as p (p)}<option value={p}>{poseWords[p] ?? p}</option>{/each}
					</select>
				{/each}
			</div>
			<button class="button self-start" onclick={cut}>Cut it</button>
			<p class="text-[12px] text-dim">A facing that is missing is the one of the other side, mirrored.</p>
		</div>
	</details>
{/if}
