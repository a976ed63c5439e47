<script lang="ts">
	import ArrowRight from '@lucide/svelte/icons/arrow-right'
	import type { Changes, Cut, Tileset } from '../core/types'
	import { cellOf } from '../draw/pictures'
	import GripPicture from '../hand/GripPicture.svelte'
	import { counted } from '../project/counted'
	import CutPicture from './CutPicture.svelte'
	import { words } from './cutWords'
	import TilePicture from './TilePicture.svelte'

	// What another cut or picture of a tileset would do to what is painted, before it is done.
	let {
		target,
		picture,
		cut,
		columns,
		width,
		height,
		match,
		changes: c,
	}: {
		target: Tileset
		picture: string
		cut: Cut
		columns: number
		width: number
		height: number
		match: number[]
		changes: Changes
	} = $props()
	const most = 30
	const both = $derived([
		{ when: 'Before', of: target.picture, cut: target.cut, w: target.width, h: target.height },
		{ when: 'After', of: picture, cut, w: width, h: height },
	])
	const shown = $derived([...new Set([...(c.used ?? []), ...(c.joined ?? []).flat(), ...(c.moved ?? [])])])
	const kept = $derived(c.cells - c.emptied - c.movedCells)
	const larger = $derived(cut.cellWidth !== target.cut.cellWidth || cut.cellHeight !== target.cut.cellHeight)
</script>

<div class="flex flex-col gap-1 border-l-2 border-glaze pl-2" data-testid="recut">
	<div class="grid grid-cols-2 gap-1.5">
		{#each both as one (one.when)}
			<figure class="min-w-0">
				<CutPicture picture={one.of} width={one.w} height={one.h} cut={one.cut} />
				<figcaption class="text-[12px] leading-tight">
					<b>{one.when}</b> <span class="font-mono">{words(one.cut)}</span>
				</figcaption>
			</figure>
		{/each}
	</div>
	{#if !c.cells}
		<p>Nothing is painted with {target.name}.</p>
	{:else if !shown.length}
		<p>Every tile has a match of its own: all {counted(c.cells, 'painted cell')} come along.</p>
	{:else}
		<p>
			Of {counted(c.cells, 'painted cell')}
			{kept === 1 ? '1 keeps its tile' : `${kept} keep their tile`}{c.movedCells
				? `, ${c.movedCells} get another tile`
				: ''}{c.emptied ? ', and' : '.'}
			{#if c.emptied}<b class="text-brick">{c.emptied} would be emptied.</b>{/if}
		</p>
	{/if}
	{#if c.tiles?.length}
		<p>
			{c.tiles.length === 1 ? '1 tile has' : `${c.tiles.length} tiles have`} no match, {c.used?.length
				? `${c.used.length} of them painted with`
				: 'none of them painted with'}.
		</p>
	{/if}
	{#if c.joinedCells}
		<p>
			<b class="text-brick">{counted((c.joined ?? []).flat().length, 'tile')} become {c.joined?.length}:</b>
			{c.joinedCells} cells that differ now will look the same.
		</p>
	{/if}
	{#if larger && c.cells}
		<p>Tiles of {cut.cellWidth} × {cut.cellHeight} stand on the lower edge of their cells.</p>
	{/if}
	{#if c.beyond}
		<p class="text-dim">{counted(c.beyond, 'cell')} of these lie outside maps that were made smaller.</p>
	{/if}
	{#if shown.length}
		<ul class="flex max-h-48 flex-wrap gap-x-3 gap-y-1 overflow-y-auto" aria-label="Tiles before and after">
			{#each shown.slice(0, most) as tile (tile)}
				<li class="flex items-center gap-0.5">
					<GripPicture
						grip={{ what: 'tiles', cells: [cellOf(target.number, tile)], width: 1, shape: 'freehand' }}
						size={24}
					/>
					<ArrowRight size={12} class="text-dim" aria-label="becomes" />
					{#if (match[tile] ?? -1) >= 0}<TilePicture {picture} {cut} {columns} tile={match[tile]} />
					{:else}<span class="grid size-6 place-items-center border border-dashed border-brick text-brick">–</span>{/if}
				</li>
			{/each}
		</ul>
		{#if shown.length > most}<p class="text-[12px] text-dim">and {shown.length - most} more</p>{/if}
	{/if}
</div>
