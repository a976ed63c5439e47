<script lang="ts">
	import { Dialog } from 'bits-ui'
	import type { Beginnings, End } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import { seconds } from './events'

	// How a game begins: where, and what is so from the beginning.
	const w = workspace()
	const { playing } = w
	let all = $state.raw<Beginnings>({ here: '', ways: [], taken: [] })
	/** What is chosen: spawn, cell, or the id of a passage or a pin. */
	let from = $state('spawn')
	let query = $state('')
	const pins = $derived(w.project.head.pins)
	const pin = $derived(pins.find((p) => p.id === from))
	const wanted = $derived(query.trim().toLowerCase())
	const fits = (text: string) => text.toLowerCase().includes(wanted)
	const places = $derived([
		{ id: 'spawn', name: all.here, group: '' },
		...(w.cell ? [{ id: 'cell', name: `At cell ${w.cell.x}, ${w.cell.y} of ${w.map?.name}`, group: '' }] : []),
		...pins.map((p) => ({ id: p.id, name: `${p.name}, ${seconds(p.tick)}`, group: 'Pins' })),
		...all.ways.map((p) => ({ id: p.id, name: `${p.from} → ${p.to}`, group: 'Out of a passage' })),
	])
	const shown = $derived(places.filter((p) => !p.group || fits(p.name)))
	const same = (a: End, b: End) => a.map === b.map && a.entity === b.entity
	const taken = (e: End) => playing.given.taken.some((o) => same(o, e))

	function open() {
		query = ''
		all = w.project.ask('beginnings', { map: w.map?.id ?? '' })
		if (!places.some((p) => p.id === from)) from = 'spawn'
	}

	function give<T>(list: T[], one: T, on: boolean, is: (a: T, b: T) => boolean): T[] {
		const others = list.filter((o) => !is(o, one))
		return on ? [...others, one] : others
	}

	function begin() {
		const given = $state.snapshot(playing.given)
		w.beginOpen = false
		if (pin) return w.moments.resume(pin.id)
		const m = w.map
		if (!m) return
		const cell = w.cell
		playing.begin(() => {
			if (from === 'spawn') w.play.start(m.id, undefined, given)
			else if (from === 'cell') w.play.start(m.id, cell ?? undefined, given)
			else w.play.through(from, given)
		})
	}
</script>

<Dialog.Root bind:open={w.beginOpen} onOpenChangeComplete={(is) => !is && !w.play.on && w.canvas?.focus()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 flex max-h-[86vh] w-[min(820px,92vw)] -translate-x-1/2 -translate-y-1/2 flex-col outline-none"
			preventScroll={false}
			onOpenAutoFocus={open}
			data-testid="begin"
		>
			<form
				class="flex min-h-0 flex-col"
				onsubmit={(e) => {
					e.preventDefault()
					begin()
				}}
			>
				<div class="flex items-baseline gap-3 px-4 pt-3 pb-2">
					<Dialog.Title class="text-[16px] font-semibold">Begin a game</Dialog.Title>
					<Dialog.Description class="grow text-dim">Where, and with what.</Dialog.Description>
					<input
						class="field w-48"
						type="search"
						placeholder="Search"
						aria-label="Search beginnings"
						bind:value={query}
					/>
				</div>
				<div class="grid min-h-0 grid-cols-2 gap-4 overflow-hidden px-4">
					<fieldset class="max-h-[60vh] min-h-40 overflow-y-auto">
						<legend class="heading">Where</legend>
						{#each shown as p, i (p.id)}
							{#if p.group && p.group !== shown[i - 1]?.group}<h3 class="mt-2 text-dim">{p.group}</h3>{/if}
							<label class="flex min-h-7 items-center gap-2">
								<input type="radio" class="accent-glaze" name="where" value={p.id} bind:group={from} />
								<span class="min-w-0 truncate" title={p.name}>{p.name}</span>
							</label>
						{/each}
					</fieldset>
					<fieldset class="max-h-[60vh] min-h-40 overflow-y-auto" disabled={!!pin}>
						<legend class="heading">With</legend>
						{#if pin}
							<p class="text-dim">A pin has all that was so: {pin.note || 'it has no note'}</p>
						{:else}
							{#if !w.project.head.flags.length && !all.taken.length}
								<p class="text-dim">There are no flags and nothing to take yet.</p>
							{/if}
							{#each w.project.head.flags.filter((f) => fits(f.name)) as f, i (f.id)}
								{#if !i}<h3 class="text-dim">Flags that are set</h3>{/if}
								<label class="flex min-h-7 items-center gap-2">
									<input
										type="checkbox"
										class="accent-glaze"
										checked={playing.given.flags.includes(f.id)}
										onchange={(e) =>
											(playing.given.flags = give(
												playing.given.flags,
												f.id,
												e.currentTarget.checked,
												(a, b) => a === b,
											))}
									/>
									<span class="min-w-0 truncate">{f.name}</span>
								</label>
							{/each}
							{#each all.taken.filter((t) => fits(`${t.name} ${t.on}`)) as t, i (t.of.map + t.of.entity)}
								{#if !i}<h3 class="mt-2 text-dim">Taken already</h3>{/if}
								<label class="flex min-h-7 items-center gap-2">
									<input
										type="checkbox"
										class="accent-glaze"
										checked={taken(t.of)}
										onchange={(e) =>
											(playing.given.taken = give(playing.given.taken, t.of, e.currentTarget.checked, same))}
									/>
									<span class="min-w-0 grow truncate">{t.name}</span>
									<span class="text-[12px] text-dim">{t.on}</span>
								</label>
							{/each}
						{/if}
					</fieldset>
				</div>
				<div class="flex gap-2 p-4">
					<button class="button button-main">Begin</button>
					<Dialog.Close class="button" type="button">Cancel</Dialog.Close>
					{#if playing.given.flags.length + playing.given.taken.length}
						<button
							type="button"
							class="ml-auto button"
							onclick={() => (playing.given = { flags: [], taken: [], language: '' })}>With nothing</button
						>
					{/if}
				</div>
			</form>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
