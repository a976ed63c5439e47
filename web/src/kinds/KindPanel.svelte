<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import Menu from '../controls/Menu.svelte'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Kind } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { glyphs } from '../draw/glyphs'
	import { whole, words } from './fields'
	import { workspace } from '../workspace/workspace.svelte'
	import { removeKind } from './kindMenu'
	import GuisePart from '../entities/GuisePart.svelte'
	import KindPicture from './KindPicture.svelte'
	import KindSettings from './KindSettings.svelte'
	import KindStage from './KindStage.svelte'
	import type { Would } from './trial.svelte'

	// One kind: what all entities of it have in common. Built-in ones are shown as
	// they are; one's own are made from them.
	let { kind: k, add }: { kind: Kind; add: (from: string, variant?: string) => void } = $props()
	const readyMade = $derived(k.variants.map((v) => ({ label: v.name, hint: v.help, run: () => add(k.id, v.name) })))
	const w = workspace()
	/** A setting as it would be while it is dragged. */
	let would = $state.raw<Would | null>(null)
	const own = $derived(k.own)
	const from = $derived(w.project.kind(k.of))
	const numbers = [
		{ field: 'mapLeast', label: 'at least on a map' },
		{ field: 'mapMost', label: 'at most on a map' },
		{ field: 'projectLeast', label: 'at least in the project' },
		{ field: 'projectMost', label: 'at most in the project' },
	] as const
	const traits = [
		{ field: 'area', label: 'covers an area of cells' },
		{ field: 'resizes', label: 'can be resized' },
		{ field: 'faces', label: 'looks into a direction' },
		{ field: 'turns', label: 'can be turned and flipped' },
		{ field: 'tints', label: 'can be tinted and made faint' },
		{ field: 'ways', label: 'has points that something follows' },
		{ field: 'solid', label: 'is solid' },
	] as const

	function put(to: Partial<Kind>) {
		const next = { ...k, ...to }
		// a field that is left tells its value again
		if (JSON.stringify(next) !== JSON.stringify(k)) w.project.try('changeKind', next)
	}

	// what was refused shows as it is
	function back(e: { currentTarget: HTMLInputElement }, is: () => string | number) {
		const input = e.currentTarget
		queueMicrotask(() => (input.value = String(is())))
	}
</script>

<div class="@container flex h-full min-h-0 max-w-[760px] flex-col">
	<div class="flex flex-wrap items-center gap-3 px-5 pt-4 pb-3">
		<GripPicture grip={{ what: 'entity', kind: k.id, shape: 'freehand' }} size={40} />
		<div class="min-w-40 flex-1 grow">
			{#if own}
				{#key k.name}
					<input
						class="field w-full text-[16px] font-semibold"
						value={k.name}
						maxlength="80"
						aria-label="Name of the kind"
						onchange={(e) => {
							const input = e.currentTarget
							put({ name: input.value })
							queueMicrotask(() => (input.value = k.name))
						}}
					/>
				{/key}
			{:else}
				<h2 class="text-[16px] font-semibold">{k.name}</h2>
			{/if}
			<p class="text-dim">
				{own ? (from ? `Behaves as ${from.name.toLowerCase()}` : 'From nothing') : 'Built in'} · {k.help}
			</p>
		</div>
		<button class="button {own ? '' : 'button-main'}" onclick={() => add(k.id)}
			>{own ? 'Copy' : 'Make one of your own from it'}</button
		>
		{#if k.variants.length}
			<Menu choices={readyMade} side="bottom">
				{#snippet trigger()}
					<DropdownMenu.Trigger class="button">Ready-made…</DropdownMenu.Trigger>
				{/snippet}
			</Menu>
		{/if}
		{#if own}
			<button class="button hover:text-brick" onclick={() => removeKind(w, k)}><Trash2 size={14} /> Delete</button>
		{/if}
	</div>
	<div class="px-5 pb-2"><KindStage kind={k} {would} /></div>
	<!-- what is set scrolls below what it does -->
	<div class="flex min-h-0 grow flex-col gap-4 overflow-y-auto border-t border-line px-5 py-3">
		<KindSettings {k} {own} {put} drag={(to) => (would = to)} />
		{#if own && k.wired}
			<div class="flex max-w-[340px] flex-col gap-1.5" role="group" aria-label="Guises of all of it">
				<h3 class="heading">Guises of all of it</h3>
				<GuisePart at={{ map: '', entity: '', kind: k.id }} kind={k.id} look={k.look} own={k.guises ?? []} />
			</div>
		{/if}
		{#if own}
			<div class="grid gap-x-8 gap-y-4 @xl:grid-cols-2">
				<div class="flex flex-col gap-1.5" role="group" aria-label="About it">
					<h3 class="heading">About it</h3>
					<label class="flex items-center gap-2"
						><span class="w-20 text-dim">Help</span>
						<input class="field grow" value={k.help} onchange={(e) => put({ help: e.currentTarget.value })} />
					</label>
					<label class="flex items-center gap-2"
						><span class="w-20 text-dim">Tags</span>
						<input
							class="field grow"
							value={(k.tags ?? []).join(', ')}
							placeholder="words, with commas between"
							onchange={(e) => put({ tags: words(e.currentTarget.value) })}
						/>
					</label>
					<label class="flex items-center gap-2"
						><span class="w-20 text-dim">Category</span>
						<input
							class="field grow"
							value={k.category}
							onchange={(e) => put({ category: e.currentTarget.value.trim() })}
						/>
					</label>
					<label class="flex items-center gap-2"
						><span class="w-20 text-dim">On layers</span>
						<input
							class="field grow"
							value={(k.layers ?? []).join(', ')}
							placeholder="all layers of entities"
							onchange={(e) => put({ layers: words(e.currentTarget.value) })}
						/>
					</label>
					<label class="flex items-center gap-2"
						><span class="w-20 text-dim">State</span>
						<input
							class="field grow"
							value={k.state}
							placeholder="none; or as: Lit at the start"
							onchange={(e) => put({ state: e.currentTarget.value })}
						/>
					</label>
					<div class="flex flex-col pt-1">
						{#each traits as t (t.field)}
							<label class="flex items-center gap-2">
								<input
									type="checkbox"
									class="accent-glaze"
									checked={k[t.field]}
									onchange={(e) => put({ [t.field]: e.currentTarget.checked })}
								/>
								{t.label}
							</label>
						{/each}
					</div>
				</div>
				<div class="flex flex-col gap-1.5">
					<KindPicture kind={k} {put} />
					<div class="flex items-center gap-2">
						<span class="w-20 text-dim">Glyph</span>
						<select
							class="field min-w-0 grow"
							aria-label="Glyph"
							value={k.glyph}
							onchange={(e) => put({ glyph: e.currentTarget.value })}
						>
							<option value="">plain</option>
							{#each Object.keys(glyphs) as g (g)}<option value={g}>{w.project.kind(g)?.name ?? g}</option>{/each}
						</select>
						<input
							type="color"
							class="h-7 w-10"
							aria-label="Colour of the glyph"
							value={k.colour || w.scene.figures.colourOf(k.id)}
							onchange={(e) => put({ colour: e.currentTarget.value })}
						/>
					</div>
					<h3 class="pt-2 heading">Box, in pixels</h3>
					<div class="flex flex-wrap items-center gap-1.5">
						{#each [{ f: 'w', l: 'width' }, { f: 'h', l: 'height' }] as const as o (o.f)}
							<label class="flex items-center gap-1"
								>{o.l}
								<input
									class="field w-16 font-mono"
									type="number"
									min="0"
									value={k[o.f]}
									onchange={(e) => {
										put({ [o.f]: whole(e) })
										back(e, () => k[o.f])
									}}
								/></label
							>
						{/each}
						<span class="text-[12px] text-dim">0 is a cell</span>
					</div>
					<div class="flex flex-wrap items-center gap-1.5">
						<span class="text-dim">body</span>
						{#each ['x', 'y', 'w', 'h'] as const as f (f)}
							<label class="flex items-center gap-1"
								>{f}
								<input
									class="field w-12 px-1.5 font-mono"
									type="number"
									min="0"
									aria-label="Body {f}"
									value={k.body[f]}
									onchange={(e) => {
										put({ body: { ...k.body, [f]: whole(e) } })
										back(e, () => k.body[f])
									}}
								/></label
							>
						{/each}
					</div>
					<label class="flex items-center gap-2"
						>stands on its cell
						<select
							class="field grow"
							value={`${k.anchorX} ${k.anchorY}`}
							onchange={(e) => {
								const [x, y] = e.currentTarget.value.split(' ').map(Number)
								put({ anchorX: x, anchorY: y })
							}}
						>
							<option value="50 100">with its lower middle</option>
							<option value="50 50">with its middle</option>
							<option value="0 0">with its top left</option>
							<option value="50 0">with its upper middle</option>
							<option value="0 100">with its lower left</option>
							<option value="100 100">with its lower right</option>
							<option value="100 0">with its top right</option>
						</select>
					</label>
					<h3 class="pt-2 heading">How many</h3>
					<div class="grid grid-cols-2 gap-1.5">
						{#each numbers as o (o.field)}
							<label class="flex flex-col text-[12px] text-dim"
								>{o.label}
								<input
									class="field font-mono"
									type="number"
									min="0"
									value={k[o.field]}
									onchange={(e) => {
										put({ [o.field]: whole(e) })
										back(e, () => k[o.field])
									}}
								/></label
							>
						{/each}
					</div>
				</div>
			</div>
		{/if}
	</div>
</div>
