<script lang="ts">
	import Settings2 from '@lucide/svelte/icons/settings-2'
	import { DropdownMenu } from 'bits-ui'
	import Hint from '../controls/Hint.svelte'
	import Menu, { type Choice } from '../controls/Menu.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import StarterOffer from '../tilesets/StarterOffer.svelte'
	import TileSheet from './TileSheet.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const sets = $derived(w.project.head.tilesets.filter((t) => t.name.toLowerCase().includes(wanted)))
	const shown = $derived(sets.find((t) => t.id === w.tilesetId) ?? sets[0])
	/** Makes the cells of the map as large as the tiles. */
	function fit(width: number, height: number) {
		const made = w.map && w.project.try('setCellSize', { map: w.map.id, w: width, h: height })
		if (!made) return
		w.view.fit(w.map!)
		w.notices.say(`${w.map!.name} has cells of ${width} × ${height} pixels.`, 'done', w.project.undoOf(made))
	}

	const choices = $derived<Choice[]>(
		sets.map((t) => ({
			label: t.name,
			hint: `${t.columns} × ${t.rows}`,
			chosen: t === shown,
			run: () => (w.tilesetId = t.id),
		})),
	)
</script>

{#if shown}
	<section class="flex flex-col gap-1 px-0.5 py-2 {wanted ? '' : 'min-h-0 grow'}" aria-label="Tiles">
		<div class="flex items-center gap-1 px-1.5">
			<Menu {choices} side="bottom">
				{#snippet trigger()}
					<DropdownMenu.Trigger class="word min-w-0" aria-label="Tileset: {shown.name}">
						<span class="truncate">{shown.name}</span>
					</DropdownMenu.Trigger>
				{/snippet}
			</Menu>
			<span class="grow text-right font-mono text-[11px] whitespace-nowrap text-dim"
				>{shown.cut.cellWidth} × {shown.cut.cellHeight} px</span
			>
			<Hint
				label="Set up this tileset"
				class="button-plain"
				onclick={() => {
					w.tilesetId = shown.id
					w.open('tilesets')
				}}
			>
				<Settings2 size={15} />
			</Hint>
		</div>
		{#if w.map && (shown.cut.cellWidth !== w.map.cellWidth || shown.cut.cellHeight !== w.map.cellHeight)}
			{@const { cellWidth, cellHeight } = shown.cut}
			<div
				class="mx-1.5 flex flex-col items-start gap-1 border-l-2 border-brick pl-2 text-[12px]"
				data-testid="odd-size"
			>
				<p>
					<b class="text-brick">Other than this map’s cells of {w.map.cellWidth} × {w.map.cellHeight}:</b>
					its tiles keep their size and stand on the lower edge of a cell.
				</p>
				<button class="button" onclick={() => fit(cellWidth, cellHeight)}
					>Give the map cells of {cellWidth} × {cellHeight}</button
				>
			</div>
		{/if}
		<TileSheet tileset={shown} among={wanted !== ''} />
	</section>
{:else if !wanted}
	<div class="flex flex-col gap-3 p-3">
		<p>There are no tiles yet. Bring in a picture of your own, or begin with ours.</p>
		<button class="button button-main" onclick={() => w.open('tilesets', 'picture')}>Bring in a picture…</button>
		<StarterOffer />
	</div>
{/if}
