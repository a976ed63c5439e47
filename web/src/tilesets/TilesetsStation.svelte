<script lang="ts">
	import { roving } from '../controls/roving'
	import TreePine from '@lucide/svelte/icons/tree-pine'
	import ImagePlus from '@lucide/svelte/icons/image-plus'
	import type { Tileset } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import CutCanvas from './CutCanvas.svelte'
	import { Marking } from './marking.svelte'
	import CutPanel from './CutPanel.svelte'
	import TilesetPanel from './TilesetPanel.svelte'
	import MaterialPanel from './MaterialPanel.svelte'
	import MaterialSheet from './MaterialSheet.svelte'
	import { accepted, type Intake } from './intake.svelte'
	import SceneryMaker from './SceneryMaker.svelte'
	import StarterOffer from './StarterOffer.svelte'

	let { intake }: { intake: Intake } = $props()
	const w = workspace()
	const sets = $derived(w.project.head.tilesets)
	const marking = new Marking(w)
	const shown = $derived(marking.shown)
	const material = $derived(intake.taken ? undefined : w.project.head.materials.find((m) => m.id === w.materialId))
	let choose: HTMLInputElement
	const told = $derived(intake.told)

	let another: HTMLInputElement
	let missing = $state(0)
	$effect(() => {
		const again = () => missing++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})
	$effect(() => {
		if (w.making !== 'picture') return
		w.making = ''
		choose.click()
	})
	/** The tileset that the next picture is for. */
	let replaces = $state.raw<Tileset | null>(null)
</script>

<input
	bind:this={choose}
	type="file"
	accept={accepted}
	multiple
	class="hidden"
	aria-label="Picture for a tileset"
	onchange={(e) => {
		void intake.bring(e.currentTarget.files)
		e.currentTarget.value = ''
	}}
/>
<input
	bind:this={another}
	type="file"
	accept={accepted}
	class="hidden"
	aria-label="Another picture for the tileset"
	onchange={(e) => {
		void intake.bring(e.currentTarget.files, replaces)
		e.currentTarget.value = ''
	}}
/>
<SceneryMaker
	bind:open={() => w.making === 'scenery', (on) => (w.making = on ? 'scenery' : '')}
	made={(motif) => {
		if (!w.map) return
		w.open('map')
		w.hold({ what: 'motif', motif })
	}}
/>
<div class="grid min-h-0 grid-cols-[200px_1fr_288px]">
	<aside class="flex min-h-0 flex-col gap-2 border-r border-line p-2" aria-label="All tilesets">
		<button class="button button-main" disabled={intake.busy} onclick={() => choose.click()}>
			<ImagePlus size={15} />
			{intake.busy ? 'Looking at it…' : 'Bring in a picture…'}
		</button>
		<button class="button" onclick={() => (w.making = 'scenery')}><TreePine size={15} /> House, tree, rock…</button>
		<ul class="min-h-0 grow overflow-y-auto" {@attach roving}>
			{#each sets as t (t.id)}
				<li>
					<button
						class="flex h-8 w-full items-center gap-2 px-2 text-left hover:bg-well {!intake.taken &&
						!material &&
						t === shown
							? 'bg-well font-semibold'
							: ''}"
						onclick={() => {
							w.tilesetId = t.id
							w.materialId = ''
							if (intake.taken) intake.leave()
						}}
					>
						<span class="min-w-0 grow truncate">{t.name}</span>
						<span class="font-mono text-[11px] text-dim">{t.columns * t.rows}</span>
					</button>
				</li>
			{/each}
			{#if sets.length}
				<li class="mt-3 px-2 heading">Materials</li>
			{/if}
			{#each w.project.head.materials as m (m.id)}
				<li>
					<button
						class="flex h-8 w-full items-center gap-2 px-2 text-left hover:bg-well {m === material
							? 'bg-well font-semibold'
							: ''}"
						aria-current={m === material ? 'true' : undefined}
						onclick={() => {
							w.materialId = m.id
							intake.taken = null
						}}
					>
						<GripPicture grip={{ what: 'material', number: m.number, shape: 'freehand' }} size={18} />
						<span class="min-w-0 grow truncate">{m.name}</span>
						<span class="font-mono text-[11px] text-dim">{m.tiles?.length ?? 0}</span>
					</button>
				</li>
			{/each}
			{#if sets.length}
				<li class="flex flex-wrap gap-1 p-2" aria-label="New material">
					{#each w.project.head.materialWords as o (o.is)}
						<Hint
							label="New material: {o.is}, {o.help}"
							class="button h-6 px-1.5"
							onclick={() => void w.newMaterial(o.is)}>+ {o.is}</Hint
						>
					{/each}
				</li>
			{/if}
		</ul>
	</aside>
	<main class="min-h-0 min-w-0 overflow-auto p-4" aria-label="Tilesets">
		{#if intake.taken}
			<CutCanvas
				picture={intake.taken.picture}
				width={intake.taken.width}
				height={intake.taken.height}
				cut={intake.cut}
				dragged={(tile) => intake.drag(tile)}
				columns={typeof told === 'string' ? 0 : told.columns}
				rows={typeof told === 'string' ? 0 : told.rows}
			/>
		{:else if shown && w.scene.pictures.isMissing(shown.picture, missing)}
			<div class="flex max-w-md flex-col items-start gap-3 p-6">
				<h2 class="text-[17px] font-semibold">The picture of {shown.name} is missing</h2>
				<p>Its tiles are drawn as brick and chalk squares until it is there again. Nothing that is painted is lost.</p>
				<button
					class="button button-main"
					onclick={() => {
						replaces = shown
						another.click()
					}}>Supply the picture…</button
				>
			</div>
		{:else if shown && material}
			<MaterialSheet
				set={shown}
				{material}
				bind:recognising={marking.recognising}
				bind:chosen={marking.chosen}
				recognise={(tile) => void marking.recognise(material, tile)}
			/>
		{:else if shown}
			<CutCanvas
				picture={shown.picture}
				width={shown.width}
				height={shown.height}
				cut={shown.cut}
				columns={shown.columns}
				rows={shown.rows}
				bind:chosen={marking.chosen}
				decorate={marking.decorate}
				begins={marking.begins}
				ends={marking.paint}
				pressed={marking.pressed}
				tells={marking.tells}
			/>
		{:else}
			<div class="flex max-w-md flex-col items-start gap-3 p-6">
				<h2 class="text-[17px] font-semibold">No tilesets yet</h2>
				<p>
					Drop pictures anywhere on this page, paste one, or choose them: PNG, WebP, GIF, JPEG or BMP. Its cell size is
					guessed from the picture and shown before anything is accepted.
				</p>
				<div class="flex gap-2">
					<button class="button button-main" onclick={() => choose.click()}>Choose a picture…</button>
					<StarterOffer />
				</div>
			</div>
		{/if}
	</main>
	<aside class="min-h-0 overflow-y-auto border-l border-line p-3" aria-label="Cut">
		{#if intake.taken}
			<CutPanel {intake} taken={intake.taken} />
		{:else if shown && material}
			{#if sets.length > 1}
				<label class="mb-3 flex items-center gap-2"
					><span class="w-20 text-dim">Sheet</span>
					<select class="field grow" value={shown.id} onchange={(e) => (w.tilesetId = e.currentTarget.value)}>
						{#each sets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
					</select></label
				>
			{/if}
			<MaterialPanel {material} set={shown} chosen={marking.chosen} bind:recognising={marking.recognising} />
		{:else if shown}
			<TilesetPanel
				{shown}
				{intake}
				chosen={marking.chosen}
				bind:mark={marking.mark}
				bind:framing={marking.framing}
				another={() => {
					replaces = shown
					another.click()
				}}
			/>
		{:else}
			<p class="text-dim">Solid tiles, cell size and margins are set up here.</p>
		{/if}
	</aside>
</div>
