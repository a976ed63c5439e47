<script lang="ts">
	import { Dialog } from 'bits-ui'
	import ExchangePart from './ExchangePart.svelte'
	import MapSettings from './MapSettings.svelte'
	import LayerPlan from './LayerPlan.svelte'
	import { bringSetting } from '../controls/setting'
	import { workspace } from '../workspace/workspace.svelte'
	import { lossWords } from '../workspace/lossWords'

	// What is done to a whole map: its size, shifting, exchanging tiles, clearing.
	const w = workspace()
	const m = $derived(w.map)
	const project = $derived(w.project.head.project)
	const sides = [
		{ id: 'left', label: 'Left' },
		{ id: 'top', label: 'Top' },
		{ id: 'right', label: 'Right' },
		{ id: 'bottom', label: 'Bottom' },
	] as const
	let grow = $state({ left: 0, top: 0, right: 0, bottom: 0 })
	let shift = $state({ x: 0, y: 0, wrap: true })
	const number = (e: { currentTarget: HTMLInputElement }) => Math.trunc(e.currentTarget.valueAsNumber) || 0
	const bounds = $derived(
		m && {
			x: m.bounds.x - grow.left,
			y: m.bounds.y - grow.top,
			w: m.bounds.w + grow.left + grow.right,
			h: m.bounds.h + grow.top + grow.bottom,
		},
	)
	const changed = $derived(Object.values(grow).some((n) => n))
	/** The cell size that is being chosen. */
	let cell = $state<{ w: number; h: number } | null>(null)

	function refit() {
		if (m) w.view.fit(m)
	}

	function newMaps() {
		if (!cell) return
		for (const [field, value] of [
			['cellWidth', cell.w],
			['cellHeight', cell.h],
		] as const)
			w.project.try('set', { ref: { type: 'project' }, field, value, text: 'Changed the cell size of new maps' })
	}

	function try_() {
		w.tryBounds(changed && bounds && bounds.w > 0 && bounds.h > 0 ? bounds : null)
	}

	function open(is: boolean) {
		if (is) return
		w.sheetOpen = false
		w.tryBounds(null)
		grow = { left: 0, top: 0, right: 0, bottom: 0 }
	}

	function screen(axis: 'w' | 'h', value: number) {
		const now = project.screen.w ? project.screen : { w: 20, h: 14 }
		w.project.try('set', {
			ref: { type: 'project' },
			field: 'screen',
			value: { ...now, [axis]: value },
			text: 'Changed the screen',
		})
	}
</script>

<Dialog.Root bind:open={() => w.sheetOpen && m !== undefined, open}>
	<Dialog.Portal>
		<Dialog.Content
			class="cut fixed top-12 left-[max(4px,min(252px,100vw-344px))] z-50 flex max-h-[86vh] w-[min(340px,100vw-8px)] flex-col outline-none"
			preventScroll={false}
			trapFocus={false}
			onOpenAutoFocus={(e) => {
				const sheet = document.querySelector('[role=dialog]')
				if (bringSetting(sheet, w.sheetPart)) return e.preventDefault()
				const part = w.sheetPart && sheet?.querySelector(`section[aria-label="${w.sheetPart}"]`)
				if (part) part.scrollIntoView({ block: 'start' })
			}}
			interactOutsideBehavior="ignore"
		>
			{#if m && bounds}
				<!-- what scrolls lies in the sheet, whose face stays -->
				<div class="flex min-h-0 flex-col gap-3 overflow-y-auto p-4">
					<div class="flex items-center">
						<Dialog.Title class="grow text-[15px] font-semibold">{m.name}</Dialog.Title>
						<Dialog.Close class="mr-3 button h-7">Close</Dialog.Close>
					</div>
					<MapSettings map={m} />
					<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Size">
						<h3 class="heading">Size: cells more (or less) at each side</h3>
						<div class="grid grid-cols-4 gap-1.5">
							{#each sides as s (s.id)}
								<label class="flex flex-col text-[12px] text-dim"
									>{s.label}
									<input
										class="field w-full font-mono"
										type="number"
										aria-label="Cells more at the {s.id}"
										value={grow[s.id]}
										oninput={(e) => {
											grow[s.id] = number(e)
											try_()
										}}
									/>
								</label>
							{/each}
						</div>
						<p data-testid="new-size">
							<span class="font-mono">{m.bounds.w} × {m.bounds.h}</span>
							{#if changed}becomes <b class="font-mono">{bounds.w} × {bounds.h}</b>{/if}
						</p>
						{#if w.resizing && lossWords(w.resizing.loss)}
							<p class="border-l-2 border-brick pl-2 text-brick">{lossWords(w.resizing.loss)}</p>
						{/if}
						<div class="flex gap-1.5">
							<button
								class="button grow button-main"
								disabled={!changed}
								onclick={() => {
									w.resizing = { bounds, loss: { cells: 0, entities: 0, spans: [] } }
									if (w.resize()) grow = { left: 0, top: 0, right: 0, bottom: 0 }
								}}>Resize</button
							>
							<button class="button" disabled={!w.area} onclick={() => w.areas.cropToArea()}
								>Crop to the selection</button
							>
						</div>
						{#if m.grid === ''}
							<p class="text-[12px] text-dim">With an empty hand, the map’s sides can be dragged too.</p>
						{/if}
					</section>
					<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Screen">
						<h3 class="heading">Screen: what the player sees at once</h3>
						<div class="flex items-center gap-1.5">
							{#each ['w', 'h'] as const as axis (axis)}
								<input
									class="field w-20 font-mono"
									type="number"
									aria-label="{axis === 'w' ? 'Width' : 'Height'} of the screen in cells"
									value={project.screen[axis] || (axis === 'w' ? 20 : 14)}
									onchange={(e) => screen(axis, number(e))}
								/>
								{#if axis === 'w'}×{/if}
							{/each}
							<label class="flex items-center gap-1.5"
								><input type="checkbox" class="accent-glaze" bind:checked={w.layout.screen} /> show it</label
							>
						</div>
					</section>
					<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Cell size">
						<div class="flex items-center gap-2">
							<h3 class="grow heading">Grid, and the size of a cell in pixels</h3>
							<select
								class="field"
								aria-label="Grid"
								value={m.grid}
								onchange={(e) => {
									if (w.project.try('setGrid', { map: m.id, grid: e.currentTarget.value })) refit()
								}}
							>
								<option value="">squares</option>
								<option value="diamond">diamonds</option>
							</select>
						</div>
						<div class="flex items-center gap-1.5">
							{#each ['w', 'h'] as const as axis (axis)}
								<input
									class="field w-16 font-mono"
									type="number"
									min="1"
									max="512"
									aria-label="{axis === 'w' ? 'Width' : 'Height'} of a cell"
									value={cell?.[axis] ?? (axis === 'w' ? m.cellWidth : m.cellHeight)}
									oninput={(e) => (cell = { w: cell?.w ?? m.cellWidth, h: cell?.h ?? m.cellHeight, [axis]: number(e) })}
								/>
								{#if axis === 'w'}×{/if}
							{/each}
							<button
								class="button grow"
								disabled={!cell}
								onclick={() => {
									if (cell && w.project.try('setCellSize', { map: m.id, ...cell })) cell = null
								}}>This map</button
							>
							<button class="button grow" disabled={!cell} onclick={newMaps}>New maps</button>
						</div>
						{#if cell}
							{@const others = w.project.head.tilesets.filter(
								(t) => t.cut.cellWidth !== cell!.w || t.cut.cellHeight !== cell!.h,
							)}
							<p class="text-[12px]" data-testid="cell-told">
								{#if others.length}
									Tiles of {others.map((t) => t.name).join(', ')} have another size: they keep it and stand on the lower edge
									of a cell.
								{:else}All tilesets have this size.{/if}
								Nothing that is painted moves.
							</p>
						{/if}
					</section>
					<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Shift">
						<h3 class="heading">Shift everything by cells</h3>
						<div class="flex items-center gap-1.5">
							{#each ['x', 'y'] as const as axis (axis)}
								<input
									class="field w-16 font-mono"
									type="number"
									aria-label="Shift {axis === 'x' ? 'to the right' : 'down'}"
									value={shift[axis]}
									oninput={(e) => (shift[axis] = number(e))}
								/>
							{/each}
							<label class="flex grow items-center gap-1.5"
								><input type="checkbox" class="accent-glaze" bind:checked={shift.wrap} /> around</label
							>
							<button
								class="button"
								onclick={() => w.project.try('shift', { map: m.id, dx: shift.x, dy: shift.y, wrap: shift.wrap })}
								>Shift</button
							>
						</div>
					</section>
					<ExchangePart map={m} />
					<section class="flex flex-col gap-1.5 border-t border-line pt-2" aria-label="Layer plan">
						<h3 class="heading">Layer plan: what a new map starts with</h3>
						<LayerPlan />
						<button class="button" onclick={() => w.project.try('planOf', { map: m.id })}
							>Start new maps with this map’s layers</button
						>
					</section>
					<section class="flex gap-1.5 border-t border-line pt-2" aria-label="Clear">
						<button class="button grow" onclick={() => w.project.try('clear', { map: m.id, layer: w.active })}
							>Clear {m.layers.find((l) => l.id === w.active)?.name ?? 'the layer'}</button
						>
						<button class="button grow" onclick={() => w.project.try('clear', { map: m.id, layer: '' })}
							>Clear the map</button
						>
					</section>
				</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
