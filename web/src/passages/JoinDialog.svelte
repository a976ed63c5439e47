<script lang="ts">
	import { Dialog } from 'bits-ui'
	import LayerThumb from '../stack/LayerThumb.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import FacingPicker from './FacingPicker.svelte'
	import { Joining } from './joining.svelte'
	import JoinPicture from './JoinPicture.svelte'

	const w = workspace()
	const j = new Joining(w, w.joining!)
	const map = $derived(j.map)

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
				<Dialog.Title class="text-[16px] font-semibold">Where does {j.name} on {j.here?.name} lead?</Dialog.Title>
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
						bind:value={j.query}
						onkeydown={(e) => {
							if (e.key !== 'Enter' || !j.choices.length) return
							e.preventDefault()
							j.show(j.choices[0].id)
						}}
					/>
				</div>
				<div class="grid min-h-0 grow grid-cols-3 content-start gap-3 overflow-y-auto p-4">
					{#each j.choices as m (m.id)}
						<button
							class="flex flex-col gap-1 border border-line p-2 text-left hover:border-glaze"
							onclick={() => j.show(m.id)}
						>
							<LayerThumb map={m} width={280} height={170} />
							<span class="flex w-full items-baseline gap-2">
								<b class="truncate">{m.name}</b>
								{#if m.id === j.from.map}<span class="text-dim">this map</span>{/if}
								<span class="grow text-right font-mono text-[12px] text-dim">{m.bounds.w}×{m.bounds.h}</span>
							</span>
						</button>
					{:else}
						<p class="text-dim">No map is called that.</p>
					{/each}
				</div>
			{:else}
				<JoinPicture joining={j} {map} />
				<div class="flex min-h-14 items-center gap-4 px-4 py-2">
					<button class="button" onclick={() => j.show('')}>Another map</button>
					<div class="min-w-0 grow" aria-live="polite">
						{#if j.place && !j.place.free}
							<p class="text-brick">{j.place.reason}</p>
							{#if j.place.nearest}
								<button class="text-glaze underline" onclick={() => j.choose(j.place!.nearest!)}>
									Use the nearest free cell, {j.told(j.place.nearest)}
								</button>
							{/if}
						{:else if j.refused}
							<p class="text-brick">{j.refused}</p>
						{:else if j.at}
							<p>
								{map.name} at cell <span class="font-mono">{j.told(j.at)}</span>{j.arrival
									? `, by ${j.arrival.name}`
									: ''}
							</p>
							{#if j.returns}
								<p class="text-dim" data-testid="way-back">
									{j.returns.stays ? 'The way back stays' : 'The way back begins beside it'}, {j.returns.exit.w} × {j
										.returns.exit.h}
									{j.returns.exit.w * j.returns.exit.h === 1 ? 'cell' : 'cells'}
								</p>
							{/if}
						{:else}
							<p class="text-dim">No place yet.</p>
						{/if}
					</div>
					<FacingPicker value={j.facing} change={(f) => (j.facing = f)} />
					<label class="flex items-center gap-1.5">
						<input type="checkbox" class="accent-glaze" bind:checked={j.back} />
						and back
					</label>
					<button class="button button-main" disabled={!j.place?.free} onclick={() => j.join() && close()}
						>{j.leads ? 'Lead there' : 'Join'}</button
					>
				</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
