<script lang="ts">
	import { Dialog } from 'bits-ui'
	import { cased, drawFacing } from '../draw/frames'
	import { View } from '../draw/view.svelte'
	import type { Facing, ID, Point } from '../core/types'
	import LayerThumb from '../stack/LayerThumb.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import FacingPicker from './FacingPicker.svelte'

	const w = workspace()
	const from = $derived(w.joining!)
	const here = $derived(w.project.map(from.map))
	const exit = $derived(w.project.entity(from.map, from.entity))
	const name = $derived(from.side ? `the ${from.side} edge` : (exit?.name ?? 'the exit'))
	let query = $state('')
	const others = $derived(
		[...w.project.head.maps]
			.filter((m) => !m.template && `${m.name} ${m.folder ?? ''}`.toLowerCase().includes(query.trim().toLowerCase()))
			.sort((a, b) => Number(a.id === from.map) - Number(b.id === from.map)),
	)
	let to = $state<ID>('')
	let at = $state.raw<Point | null>(null)
	let facing = $state<Facing>('down')
	let back = $state(true)
	let refused = $state('')
	const map = $derived(w.project.map(to))
	/** Arrivals that are there already, to which the passage can lead as well. */
	const arrivals = $derived(w.project.entities(to).filter((e) => w.project.kind(e.kind)?.met))
	const arrival = $derived(
		map && at
			? arrivals.find(
					(e) =>
						!w.project.kind(e.kind)?.heroic &&
						Math.floor(e.x / map.cellWidth) === at!.x &&
						Math.floor(e.y / map.cellHeight) === at!.y,
				)
			: undefined,
	)
	const place = $derived(map && at ? w.project.ask('checkPlace', { map: map.id, active: '', at }) : null)

	const view = new View()
	let canvas = $state<HTMLCanvasElement>()
	let hover = $state.raw<Point | null>(null)
	let turn = $state(0)

	$effect(() => {
		const again = () => turn++
		w.scene.onStale.add(again)
		return () => w.scene.onStale.delete(again)
	})

	$effect(() => canvas?.focus())

	// the map as large as it fits
	$effect(() => {
		void [turn, w.project.entityTurn, facing]
		if (!canvas || !map) return
		const dpr = devicePixelRatio
		view.width = canvas.width = canvas.clientWidth * dpr
		view.height = canvas.height = canvas.clientHeight * dpr
		view.whole(map, 4)
		const ctx = canvas.getContext('2d')!
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		if (!w.scene.draw(ctx, map, view)) requestAnimationFrame(() => turn++)
		for (const e of arrivals) {
			const r = view.cellRect(map, {
				x: Math.floor(e.x / map.cellWidth),
				y: Math.floor(e.y / map.cellHeight),
				w: 1,
				h: 1,
			})
			w.scene.figures.glyph(ctx, e.kind, r.x, r.y, Math.max(10, r.w))
		}
		if (hover) {
			const r = view.cellRect(map, { ...hover, w: 1, h: 1 })
			cased(ctx, r.x, r.y, r.w, r.h, '#0f6a6c')
		}
		if (!at) return
		const r = view.cellRect(map, { ...at, w: 1, h: 1 })
		w.scene.figures.heroAt(ctx, map, view, at.x * map.cellWidth, at.y * map.cellHeight, facing)
		cased(ctx, r.x - 1, r.y - 1, r.w + 2, r.h + 2, place?.free ? '#33509e' : '#b1442c')
		drawFacing(ctx, r, facing)
	})

	function cellAt(e: MouseEvent): Point {
		const r = canvas!.getBoundingClientRect()
		return view.cell(map!, (e.clientX - r.left) * devicePixelRatio, (e.clientY - r.top) * devicePixelRatio)
	}

	/** A press on another cell moves the figure there; on the figure it turns it. */
	function choose(p: Point) {
		if (at?.x === p.x && at.y === p.y) turnFigure()
		at = p
		refused = ''
	}

	function turnFigure() {
		const ways: Facing[] = ['up', 'right', 'down', 'left']
		facing = ways[(ways.indexOf(facing) + 1) % 4]
	}

	function keydown(e: KeyboardEvent) {
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		if (!map || (!step && e.key.toLowerCase() !== 'r')) return
		e.preventDefault()
		if (!step) {
			turnFigure()
			return
		}
		const b = map.bounds
		const p = at ?? { x: b.x + (b.w >> 1), y: b.y + (b.h >> 1) }
		choose({ x: p.x + step[0], y: p.y + step[1] })
	}

	function join() {
		try {
			w.project.make('join', { from, to, at: at!, facing, back, arrival: arrival?.id ?? '' })
			w.notices.say(`${name} leads to ${map?.name}${back ? ', and back' : ''}.`, 'done')
			close()
		} catch (e) {
			refused = (e as Error).message
		}
	}

	function close() {
		w.joining = null
		queueMicrotask(() => w.canvas?.focus())
	}
</script>

<Dialog.Root bind:open={() => true, (open) => !open && close()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 flex h-[min(640px,92vh)] w-[min(980px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
			data-testid="join"
		>
			<div class="flex items-baseline gap-3 px-4 pt-3 pb-2">
				<Dialog.Title class="text-[16px] font-semibold">Where does {name} on {here?.name} lead?</Dialog.Title>
				<Dialog.Description class="text-dim">
					{map
						? 'Press the place where the hero is set down; press the figure to turn it.'
						: 'Choose the map by its picture or its name.'}
				</Dialog.Description>
			</div>
			{#if !map}
				<div class="px-4">
					<input
						class="field w-64"
						type="search"
						placeholder="A map’s name"
						aria-label="A map’s name"
						bind:value={query}
						onkeydown={(e) => {
							if (e.key !== 'Enter' || !others.length) return
							e.preventDefault()
							to = others[0].id
						}}
					/>
				</div>
				<div class="grid min-h-0 grow grid-cols-3 content-start gap-3 overflow-y-auto p-4">
					{#each others as m (m.id)}
						<button
							class="flex flex-col gap-1 border border-line p-2 text-left hover:border-glaze"
							onclick={() => (to = m.id)}
						>
							<LayerThumb map={m} width={280} height={170} />
							<span class="flex w-full items-baseline gap-2">
								<b class="truncate">{m.name}</b>
								{#if m.id === from.map}<span class="text-dim">this map</span>{/if}
								<span class="grow text-right font-mono text-[12px] text-dim">{m.bounds.w}×{m.bounds.h}</span>
							</span>
						</button>
					{:else}
						<p class="text-dim">No map is called that.</p>
					{/each}
				</div>
			{:else}
				<div class="relative min-h-0 grow border-y border-line bg-well">
					<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
					<canvas
						bind:this={canvas}
						class="absolute inset-0 size-full cursor-crosshair outline-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-glaze"
						tabindex="0"
						role="application"
						aria-label="{map.name}: press a cell, or move with the arrows and turn with R"
						onpointermove={(e) => (hover = cellAt(e))}
						onpointerleave={() => (hover = null)}
						onpointerdown={(e) => e.button === 0 && choose(cellAt(e))}
						onkeydown={keydown}
					></canvas>
				</div>
				<div class="flex min-h-14 items-center gap-4 px-4 py-2">
					<button class="button" onclick={() => ([to, at] = ['', null])}>Another map</button>
					<div class="min-w-0 grow" aria-live="polite">
						{#if place && !place.free}
							<p class="text-brick">{place.reason}</p>
							{#if place.nearest}
								<button class="text-glaze underline" onclick={() => choose(place.nearest!)}>
									Use the nearest free cell, {place.nearest.x}, {place.nearest.y}
								</button>
							{/if}
						{:else if refused}
							<p class="text-brick">{refused}</p>
						{:else if at}
							<p>
								{map.name} at cell
								<span class="font-mono">{at.x - map.bounds.x}, {at.y - map.bounds.y}</span>{arrival
									? `, by ${arrival.name}`
									: ''}
							</p>
						{:else}
							<p class="text-dim">No place yet.</p>
						{/if}
					</div>
					<FacingPicker value={facing} change={(f) => (facing = f)} />
					<label class="flex items-center gap-1.5">
						<input type="checkbox" class="accent-glaze" bind:checked={back} />
						and back
					</label>
					<button class="button button-main" disabled={!place?.free} onclick={join}>Join</button>
				</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
