<script lang="ts">
	import ImagePlus from '@lucide/svelte/icons/image-plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Cut, Tileset } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { send } from '../live/http'
	import GripPicture from '../hand/GripPicture.svelte'
	import { drawZone } from '../draw/hatches'
	import { cellOf } from '../draw/pictures'
	import type { MaterialTile, TileInfo } from '../core/types'
	import CutCanvas, { type Stroke } from './CutCanvas.svelte'
	import { drawMarks, drawWord, hasMark, type SheetMark, valueOf, wordOf } from './sheetMarks'
	import ReshapePanel from './ReshapePanel.svelte'
	import SheetBrush from './SheetBrush.svelte'
	import TilePanel from './TilePanel.svelte'
	import PropertyList from './PropertyList.svelte'
	import { counted } from '../project/project.svelte'
	import MaterialPanel from './MaterialPanel.svelte'
	import MaterialSheet from './MaterialSheet.svelte'
	import HeroSize from './HeroSize.svelte'
	import { accepted, type Intake } from './intake.svelte'
	import StarterOffer from './StarterOffer.svelte'

	let { intake }: { intake: Intake } = $props()
	const w = workspace()
	const sets = $derived(w.project.head.tilesets)
	const shown = $derived(sets.find((t) => t.id === w.tilesetId) ?? sets[0])
	const material = $derived(intake.taken ? undefined : w.project.head.materials.find((m) => m.id === w.materialId))
	let chosen = $state(0)
	let recognising = $state(false)
	let choose: HTMLInputElement
	const told = $derived(intake.told)
	const fields: { key: keyof Cut; label: string }[] = [
		{ key: 'cellWidth', label: 'Cell width' },
		{ key: 'cellHeight', label: 'Cell height' },
		{ key: 'margin', label: 'Margin' },
		{ key: 'spacing', label: 'Spacing' },
	]

	const solid = $derived(new Set(shown?.solid ?? []))

	const infos = $derived(new Map((shown?.infos ?? []).map((i) => [i.tile, i])))
	let mark = $state.raw<SheetMark>({ kind: 'solid' })
	/** Whether pressed tiles become frames of the chosen one. */
	let framing = $state(false)
	let another: HTMLInputElement
	let missing = $state(0)
	$effect(() => {
		const again = () => missing++
		w.scene.onPictures.add(again)
		return () => w.scene.onPictures.delete(again)
	})
	/** The tileset that the next picture is for. */
	let replaces = $state.raw<Tileset | null>(null)

	const zones = $derived(new Map(w.project.head.zones.map((z) => [z.id, z])))

	const bare = (tile: number): TileInfo => ({
		tile,
		odds: 1,
		partner: -1,
		part: '',
		own: null,
		oneWay: '',
		is: '',
		zone: '',
		tags: null,
		frames: null,
		values: null,
	})

	function paint(stroke: Stroke) {
		const tiles = [...stroke.hits.keys()].sort((a, b) => a - b)
		w.project.try('markTiles', { id: shown!.id, tiles, mark: valueOf(mark, stroke.on) })
	}

	function addFrame(tile: number) {
		const before = infos.get(chosen)?.frames ?? []
		// the first two are put in together: an animation has at least two frames
		const frames = before.length
			? [...before, { tile, ms: before[before.length - 1].ms }]
			: [
					{ tile: chosen, ms: 200 },
					{ tile, ms: 200 },
				]
		w.project.try('markTiles', { id: shown!.id, tiles: [chosen], mark: { frames } })
	}

	/** Looks for tiles that are mirror images of each other. */
	async function findPartners(t: Tileset) {
		try {
			const body = JSON.stringify({ picture: t.picture, cut: t.cut })
			const pairs = await send<[number, number][]>(`/api/projects/${w.project.id}/partners`, body)
			if (!pairs.length) return w.notices.say('No tile is the mirror image of another.')
			if (w.project.try('setPartners', { id: t.id, pairs }))
				w.notices.say(`${counted(pairs.length, 'tile')} have a mirrored partner.`, 'done')
		} catch (e) {
			w.notices.wrong(e)
		}
	}

	/** Has the tiles of the material found, from the one that it covers. */
	async function recognise(tile: number) {
		if (!material || !shown) return
		try {
			const ask = { picture: shown.picture, cut: shown.cut, full: tile, by: material.by }
			const found = await send<{ tile: number; form: number }[]>(
				`/api/projects/${w.project.id}/recognise`,
				JSON.stringify(ask),
			)
			const tiles: MaterialTile[] = found.map((f) => ({
				cell: cellOf(shown.number, f.tile),
				form: f.form,
				odds: 1,
				beside: 0,
			}))
			if (w.project.try('markMaterial', { id: material.id, tiles }))
				w.notices.say(`${tiles.length} tiles are recognised: look whether all are right.`, 'done', {
					label: 'Undo',
					run: () => void w.project.undo(),
				})
		} catch (e) {
			w.notices.wrong(e)
		}
	}

	const same = (a: Cut, b: Cut) => fields.every((f) => a[f.key] === b[f.key])

	function words(c: Cut): string {
		let out = `${c.cellWidth} × ${c.cellHeight}`
		if (c.margin) out += `, margin ${c.margin}`
		if (c.spacing) out += `, spacing ${c.spacing}`
		return out
	}

	function unused(right: number, bottom: number): string {
		const parts = []
		if (right) parts.push(`${right} px at the right`)
		if (bottom) parts.push(`${bottom} px at the bottom`)
		return `This cut leaves ${parts.join(' and ')} of the picture unused.`
	}
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
<main class="grid min-h-0 grid-cols-[200px_1fr_288px]" aria-label="Tilesets">
	<aside class="flex min-h-0 flex-col gap-2 border-r border-line p-2" aria-label="All tilesets">
		<button class="button button-main" disabled={intake.busy} onclick={() => choose.click()}>
			<ImagePlus size={15} />
			{intake.busy ? 'Looking at it…' : 'Bring in a picture…'}
		</button>
		<ul class="min-h-0 grow overflow-y-auto">
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
	<div class="min-h-0 min-w-0 overflow-auto p-4">
		{#if intake.taken}
			<CutCanvas
				picture={intake.taken.picture}
				width={intake.taken.width}
				height={intake.taken.height}
				cut={intake.cut}
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
			<MaterialSheet set={shown} {material} bind:recognising bind:chosen {recognise} />
		{:else if shown}
			<CutCanvas
				picture={shown.picture}
				width={shown.width}
				height={shown.height}
				cut={shown.cut}
				columns={shown.columns}
				rows={shown.rows}
				bind:chosen
				decorate={(ctx, tile, x, y, tw, th, stroke) => {
					let info = infos.get(tile)
					let full = solid.has(tile)
					if (stroke?.hits.has(tile)) {
						const to = valueOf(mark, stroke.on) as { solid?: boolean; part?: string }
						info = { ...(info ?? bare(tile)), ...to }
						if (mark.kind === 'tag' && stroke.on) info.tags = [...(info.tags ?? []), mark.tag]
						if (mark.kind === 'value' && stroke.on) info.values = [mark]
						full = to.solid ?? (full && !to.part)
						if (full) info.part = ''
					}
					if (info?.zone) drawZone(ctx, zones.get(info.zone), x, y, tw, th)
					drawMarks(ctx, w.project.head.parts, shown.cut, info, full, x, y, tw, th)
					const word = wordOf(mark, info)
					if (word) drawWord(ctx, word, x, y, tw, th)
				}}
				begins={(tile, _, remove) => !remove && !hasMark(mark, infos.get(tile), solid.has(tile))}
				ends={paint}
				pressed={(tile) => {
					if (framing) addFrame(tile)
					return framing
				}}
				tells={(tile) => `tile ${tile} is ${solid.has(tile) ? 'solid' : 'not solid'}`}
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
	</div>
	<aside class="min-h-0 overflow-y-auto border-l border-line p-3" aria-label="Cut">
		{#if intake.taken}
			{@const t = intake.taken}
			<form
				class="flex flex-col gap-3"
				novalidate
				onsubmit={(e) => {
					e.preventDefault()
					intake.accept()
				}}
			>
				{#if intake.target}
					<p><b>{intake.target.name}</b> is painted with. Cut it anew: what becomes of its tiles is shown first.</p>
				{:else}
					<label class="flex flex-col gap-1">
						<span class="heading">Name</span>
						<input class="field" maxlength="80" bind:value={intake.name} />
					</label>
				{/if}
				{#if t.guesses?.length}
					<div class="flex flex-col gap-1" role="group" aria-label="Guessed cuts">
						<span class="heading">Guessed from the picture</span>
						{#each t.guesses as g (words(g.cut))}
							<button
								type="button"
								class="flex min-h-7 items-center gap-2 border px-2 text-left hover:border-glaze {same(g.cut, intake.cut)
									? 'border-glaze bg-chalk font-semibold'
									: 'border-line'}"
								aria-pressed={same(g.cut, intake.cut)}
								onclick={() => intake.change(g.cut)}
							>
								<span class="grow font-mono">{words(g.cut)}</span>
								<span class="text-[12px] font-normal text-dim">{g.why}</span>
							</button>
						{/each}
					</div>
				{/if}
				<div class="grid grid-cols-2 gap-2">
					{#each fields as f (f.key)}
						<label class="flex flex-col gap-0.5">
							<span class="text-[12px] text-dim">{f.label}</span>
							<input
								class="field font-mono"
								type="number"
								min="0"
								value={intake.cut[f.key]}
								oninput={(e) => intake.change({ [f.key]: Math.trunc(e.currentTarget.valueAsNumber) || 0 })}
							/>
						</label>
					{/each}
				</div>
				<div aria-live="polite" data-testid="cut-told">
					{#if typeof told === 'string'}
						<p class="border-l-2 border-brick pl-2 text-brick">{told}</p>
					{:else}
						<p>{told.columns} × {told.rows} = <b>{told.columns * told.rows} tiles</b></p>
						{#if told.right || told.bottom}
							<p class="mt-1 border-l-2 border-brick pl-2 text-brick">{unused(told.right, told.bottom)}</p>
						{/if}
					{/if}
				</div>
				{#if typeof told !== 'string'}<HeroSize picture={t.picture} cut={intake.cut} />{/if}
				{#if !intake.target || intake.target.picture !== t.picture}<ReshapePanel {intake} />{/if}
				{#if intake.waiting.length}
					<button type="button" class="button" disabled={intake.busy} onclick={() => void intake.gather()}
						>Gather all {intake.waiting.length + 1} pictures into one tileset</button
					>
				{/if}
				{#if intake.target && intake.plan}
					<div class="flex flex-col gap-1 border-l-2 border-glaze pl-2" data-testid="recut">
						{#if intake.plan.lost.tiles?.length}
							<p>
								{counted(intake.plan.lost.tiles.length, 'tile')} of {intake.target.name} have no match.
								{#if intake.plan.lost.cells}
									<b class="text-brick">{counted(intake.plan.lost.cells, 'painted cell')} would be emptied:</b>
								{:else}None of them is painted with.{/if}
							</p>
							<div class="flex flex-wrap gap-1">
								{#each (intake.plan.lost.used ?? []).slice(0, 40) as tile (tile)}
									<GripPicture
										grip={{
											what: 'tiles',
											cells: [cellOf(intake.target.number, tile)],
											width: 1,
											shape: 'freehand',
										}}
										size={24}
									/>
								{/each}
							</div>
						{:else}
							<p>Every tile has a match: all painting comes along.</p>
						{/if}
					</div>
				{/if}
				<div class="flex gap-2">
					<button class="button grow button-main" disabled={typeof told === 'string' || intake.busy}
						>{intake.target ? (intake.plan ? 'Cut it anew' : 'Show what changes') : 'Use this cut'}</button
					>
					<button type="button" class="button" onclick={() => intake.leave()}>Leave it</button>
				</div>
			</form>
		{:else if shown && material}
			{#if sets.length > 1}
				<label class="mb-3 flex items-center gap-2"
					><span class="w-20 text-dim">Sheet</span>
					<select class="field grow" value={shown.id} onchange={(e) => (w.tilesetId = e.currentTarget.value)}>
						{#each sets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
					</select></label
				>
			{/if}
			<MaterialPanel {material} set={shown} {chosen} bind:recognising />
		{:else if shown}
			<div class="flex flex-col gap-3">
				<label class="flex flex-col gap-1">
					<span class="heading">Name</span>
					{#key shown.id + shown.name}
						<input
							class="field"
							maxlength="80"
							value={shown.name}
							onblur={(e) => {
								if (e.currentTarget.value === shown.name) return
								w.project.try('set', {
									ref: { type: 'tileset', id: shown.id },
									field: 'name',
									value: e.currentTarget.value,
									text: 'Renamed a tileset',
								})
							}}
							onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
						/>
					{/key}
				</label>
				<p>
					{shown.width} × {shown.height} pixels, cut into {shown.columns} × {shown.rows} tiles of {words(shown.cut)}.
				</p>
				<p><b>{shown.solid?.length ?? 0} tiles are solid.</b></p>
				<SheetBrush bind:mark properties={shown.properties ?? []} />
				<PropertyList
					properties={shown.properties ?? []}
					title="Own properties of tiles"
					change={(properties) => w.project.try('setProperties', { id: shown.id, properties })}
				/>
				<TilePanel set={shown} tile={chosen} bind:framing />
				<HeroSize picture={shown.picture} cut={shown.cut} />
				<div class="grid grid-cols-2 gap-1">
					<button class="button" onclick={() => intake.recut(shown)}>Recut…</button>
					<button
						class="button"
						onclick={() => {
							replaces = shown
							another.click()
						}}>New picture…</button
					>
					<button class="col-span-2 button" onclick={() => void findPartners(shown)}>Find mirrored partners</button>
				</div>
				<Hint
					label="Delete this tileset"
					class="button self-start hover:text-brick"
					onclick={() =>
						w.project.try('remove', { ref: { type: 'tileset', id: shown.id }, text: `Deleted tileset ${shown.name}` })}
				>
					<Trash2 size={14} /> Delete this tileset
				</Hint>
			</div>
		{:else}
			<p class="text-dim">Solid tiles, cell size and margins are set up here.</p>
		{/if}
	</aside>
</main>
