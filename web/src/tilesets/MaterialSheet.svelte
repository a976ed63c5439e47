<script lang="ts">
	import { cellOf, tileOf, tilesetOf } from '../draw/pictures'
	import type { Material, Tileset } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import CutCanvas, { middlePart, type Stroke } from './CutCanvas.svelte'
	import { drawForm } from './marks'

	// The sheet over which the sides and corners that belong to a material are painted.
	let {
		set: t,
		material: m,
		recognising = $bindable(false),
		chosen = $bindable(0),
		recognise,
	}: {
		set: Tileset
		material: Material
		recognising?: boolean
		chosen?: number
		recognise: (tile: number) => void
	} = $props()
	const w = workspace()
	const of = $derived(
		new Map((m.tiles ?? []).filter((o) => tilesetOf(o.cell) === t.number).map((o) => [tileOf(o.cell), o])),
	)

	/** The parts that can be marked: what its edges do not follow is left out. */
	const follows = (part: number) =>
		part === middlePart || m.by === 'both' || (m.by === 'sides' ? part % 2 === 0 : part % 2 === 1)

	const formAfter = (tile: number, stroke: Stroke): number | null => {
		let form: number | null = of.get(tile)?.form ?? null
		for (const part of stroke.hits.get(tile) ?? []) {
			if (!follows(part)) continue
			if (part === middlePart) form = stroke.on ? (form ?? 0) : null
			else if (stroke.on) form = (form ?? 0) | (1 << part)
			else if (form !== null) form &= ~(1 << part)
		}
		return form
	}

	function ends(stroke: Stroke) {
		const tiles = [...stroke.hits.keys()]
			.sort((a, b) => a - b)
			.map((tile) => {
				const form = formAfter(tile, stroke)
				const before = of.get(tile)
				const odds = form === null ? -1 : (before?.odds ?? 1)
				return { cell: cellOf(t.number, tile), form: form ?? 0, odds, beside: before?.beside ?? 0 }
			})
		w.project.try('markMaterial', { id: m.id, tiles, by: '' })
	}
</script>

<CutCanvas
	picture={t.picture}
	width={t.width}
	height={t.height}
	cut={t.cut}
	columns={t.columns}
	rows={t.rows}
	bind:chosen
	decorate={(ctx, tile, x, y, tw, th, stroke) => {
		const form = stroke?.hits.has(tile) ? formAfter(tile, stroke) : (of.get(tile)?.form ?? null)
		if (form !== null) drawForm(ctx, form, x, y, tw, th)
	}}
	begins={(tile, part, remove) => {
		const o = of.get(tile)
		return !remove && (part === middlePart ? !o : !o || !(o.form & (1 << part)))
	}}
	pressed={(tile) => {
		if (!recognising) return false
		recognising = false
		recognise(tile)
		return true
	}}
	tells={(tile) =>
		`tile ${tile} ${of.has(tile) ? `belongs to ${m.name}` : `is not of ${m.name}`}; digits mark its parts`}
	{ends}
/>
