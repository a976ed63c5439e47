<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Hint from '../controls/Hint.svelte'
	import type { Tileset } from '../core/types'
	import { send } from '../live/http'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'
	import { words } from './cutWords'
	import HeroSize from './HeroSize.svelte'
	import type { Intake } from './intake.svelte'
	import PropertyList from './PropertyList.svelte'
	import SheetBrush from './SheetBrush.svelte'
	import type { SheetMark } from './sheetMarks'
	import TilePanel from './TilePanel.svelte'

	// What is set up of a tileset, and of the tile of it that is chosen.
	let {
		shown,
		intake,
		chosen,
		mark = $bindable(),
		framing = $bindable(),
		another,
	}: {
		shown: Tileset
		intake: Intake
		chosen: number
		mark: SheetMark
		/** Whether pressed tiles become frames of the chosen one. */
		framing: boolean
		/** Asks for another picture. */
		another: () => void
	} = $props()
	const w = workspace()

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
</script>

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
						text: `Renamed tileset ${shown.name}`,
					})
				}}
				onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
			/>
		{/key}
	</label>
	<p>
		{shown.width} × {shown.height} pixels, cut into {shown.columns} × {shown.rows} tiles of {words(shown.cut)}.
	</p>
	<p><b>{counted(shown.solid?.length ?? 0, 'tile')} {shown.solid?.length === 1 ? 'is' : 'are'} solid.</b></p>
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
		<button class="button" onclick={another}>New picture…</button>
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
