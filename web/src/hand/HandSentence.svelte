<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import type { Grip } from '../core/types'
	import Menu, { type Choice } from '../controls/Menu.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { mannerOf, mirrors, nameOf, shapes, turnOf } from './naming'
	import ScatterWord from './ScatterWord.svelte'

	const w = workspace()
	const { hand } = w
	const grip = $derived(hand.grip)
	const kind = $derived(w.project.head.kinds.find((k) => k.id === grip.kind))
	const area = $derived(grip.what === 'entity' && kind?.area)
	const name = $derived(nameOf(w.project, grip))
	const target = $derived(w.target)
	const turns = $derived(['tiles', 'motif'].includes(grip.what) || (grip.what === 'entity' && kind?.faces))
	const scatters = $derived(grip.what === 'tiles' || (grip.what === 'entity' && !area))
	const repeats = $derived(grip.what === 'motif' || (grip.what === 'tiles' && (grip.cells?.length ?? 0) > 1))
	const manner = $derived(mannerOf(grip))
	const mirror = $derived(w.map ? hand.mirrorOf(w.map).mode : '')

	const things = $derived.by(() => {
		const out: Choice[] = [
			{ label: 'nothing: select and move', keys: 'Esc', run: () => hand.letGo() },
			{ label: 'the eraser', keys: 'X', run: () => w.hold({ what: 'eraser' }) },
		]
		for (const [heading, list] of [
			[
				'Motifs',
				w.project.head.motifs.map((m) => ({ label: m.name, run: () => w.hold({ what: 'motif', motif: m.id }) })),
			],
			[
				'Materials',
				w.project.head.materials.map((m) => ({
					label: m.name,
					hint: m.is,
					run: () => w.hold({ what: 'material', number: m.number }),
				})),
			],
			[
				'Zones',
				w.project.head.zones.map((z) => ({
					label: z.name,
					hint: z.is,
					run: () => w.hold({ what: 'zone', number: z.number }),
				})),
			],
			[
				'Entities',
				w.project.head.kinds.map((k) => ({
					label: k.name.toLowerCase(),
					run: () => w.hold({ what: 'entity', kind: k.id }),
				})),
			],
		] as [string, Choice[]][]) {
			if (list.length) out.push({ heading }, ...list)
		}
		out.push({ heading: 'Tiles' })
		out.push({ label: 'a tile from the cabinet…', run: () => ([w.cabinetOpen, w.drawer] = [true, 'tiles']) })
		return out
	})

	const ways = $derived<Choice[]>(
		shapes.map((s) => ({
			label: s.id,
			hint: s.help,
			keys: s.key,
			chosen: s.id === grip.shape,
			run: () => hand.shape(s.id),
		})),
	)

	const manners = $derived.by(() => {
		const size = grip.size ?? 1
		const sizes = (what: string): Choice[] => [
			{ label: `1 ${what} more`, keys: ']', run: () => hand.size(size + 1) },
			{ label: `1 ${what} less`, keys: '[', run: () => hand.size(size - 1) },
			...[1, 2, 3, 5, 9].map((n) => ({ label: `${n} ${what}`, chosen: n === size, run: () => hand.size(n) })),
		]
		switch (grip.shape) {
			case 'fill':
				return [
					{ label: 'over sides only', chosen: !grip.corners, run: () => hand.manner({ corners: false }) },
					{ label: 'over corners too', chosen: grip.corners, run: () => hand.manner({ corners: true }) },
					{ heading: 'The same is what' },
					{ label: 'this layer holds', chosen: !grip.shown, run: () => hand.manner({ shown: false }) },
					{ label: 'all layers show together', chosen: grip.shown, run: () => hand.manner({ shown: true }) },
				]
			case 'rim':
				return [
					...sizes('deep'),
					{ heading: 'Outline of' },
					{ label: 'a box', chosen: !grip.round, run: () => hand.manner({ round: false }) },
					{ label: 'an oval', chosen: grip.round, run: () => hand.manner({ round: true }) },
				]
			default:
				return [
					...sizes('broad'),
					{ heading: 'Tip' },
					{ label: 'square', chosen: !grip.round, run: () => hand.manner({ round: false }) },
					{ label: 'round', chosen: grip.round, run: () => hand.manner({ round: true }) },
				]
		}
	})

	// what was held before can go inside, as long as it is painted
	const insides = $derived.by(() => {
		const out: Choice[] = [
			{ label: 'left as it is', chosen: !grip.inside, run: () => hand.inside(undefined) },
			{ label: 'emptied', run: () => hand.inside({ what: 'eraser', shape: 'box' }) },
			{ heading: 'Filled with what is in the tray' },
		]
		for (const slot of hand.tray) {
			if (slot && ['tiles', 'material'].includes(slot.grip.what))
				out.push({ label: nameOf(w.project, slot.grip), run: () => hand.inside(slot.grip) })
		}
		return out
	})
	const insideOf = (g: Grip | undefined) =>
		!g ? 'left as it is' : g.what === 'eraser' ? 'emptied' : nameOf(w.project, g)

	const layers = $derived<Choice[]>(
		[...(w.map?.layers ?? [])].reverse().map((l) => ({
			label: l.name,
			hint: l.kind,
			chosen: l.id === w.active,
			run: () => hand.work(w.map!.id, l.id),
		})),
	)

	const quarters: Choice[] = [
		{ label: 'a quarter to the right', keys: 'R', run: () => hand.turn(1) },
		{ label: 'a quarter to the left', keys: 'Shift+R', run: () => hand.turn(-1) },
		{ label: 'flipped left–right', keys: 'M', run: () => hand.flip() },
	]

	const aligned: Choice[] = [
		{ label: 'where the stroke began', run: () => hand.manner({ aligned: false }) },
		{ label: 'the map’s corner', run: () => hand.manner({ aligned: true }) },
	]

	const over: Choice[] = [
		{ label: 'on top of others', run: () => hand.manner({ replace: false }) },
		{ label: 'in place of others', hint: 'what lies under it goes', run: () => hand.manner({ replace: true }) },
	]

	const reflections = $derived<Choice[]>(
		mirrors.map((m) => ({
			label: m.label,
			hint: m.hint,
			chosen: m.mode === mirror,
			run: () => hand.mirror(w.map!, { mode: m.mode }),
		})),
	)

	const whats: Choice[] = [
		{ label: 'entities', run: () => hand.pick({ what: 'entities' }) },
		{ label: 'cells of this layer', run: () => hand.pick({ what: 'layer' }) },
		{ label: 'cells of all layers, with entities', run: () => hand.pick({ what: 'all' }) },
	]
	const bys: Choice[] = [
		{ label: 'box', hint: 'between two corners', run: () => hand.pick({ by: 'box' }) },
		{ label: 'connected area', hint: 'of the same', run: () => hand.pick({ by: 'area' }) },
		{ label: 'same tile', hint: 'wherever it lies', run: () => hand.pick({ by: 'same' }) },
	]
	const whatNames = { entities: 'entities', layer: 'cells of this layer', all: 'cells of all layers' }
	const byNames = { box: 'box', area: 'connected area', same: 'same tile' }
</script>

{#snippet control(label: string, what: string, choices: Choice[], wrong = false)}
	<Menu {choices}>
		{#snippet trigger()}
			<DropdownMenu.Trigger
				class="word max-w-60 truncate {wrong ? 'border-brick text-brick' : ''}"
				aria-label="{what}: {label}"
			>
				{label}
			</DropdownMenu.Trigger>
		{/snippet}
	</Menu>
{/snippet}

<div
	class="flex min-h-7 flex-wrap items-center gap-x-1.5 px-3"
	role="group"
	aria-label="Hand sentence"
	data-testid="hand"
>
	{#if w.picking}
		<span>Point at <b class="text-cobalt">{w.picking.what}</b> on the map, or press</span>
		<button class="word" onclick={() => (w.picking = null)}>Escape</button>
	{:else if hand.holding}
		<span class="text-dim">Holding</span>
		<span class="[--glaze:var(--held)]">{@render control(name, 'Held', things)}</span>
		{#if !area}
			<span class="text-dim">as</span>
			{@render control(grip.shape, 'Shape', ways)}
			{#if manner && !(repeats && grip.shape !== 'fill' && grip.shape !== 'rim')}
				{@render control(manner, 'Manner', manners)}
			{/if}
			{#if grip.shape === 'rim'}
				<span class="text-dim">inside</span>
				{@render control(insideOf(grip.inside), 'Inside', insides)}
			{/if}
		{:else}
			<span class="text-dim">over</span>
			<b>the cells of a box</b>
		{/if}
		<span class="text-dim">on</span>
		{@render control(target?.name ?? 'no layer that fits', 'Layer', layers, !target)}
		{#if w.area}
			<span class="text-dim">within</span>
			<button class="word" aria-label="Within the selection: press to drop it" onclick={() => w.areas.dropArea()}
				>the selection</button
			>
		{/if}
		{#if turns}
			<span class="text-dim">·</span>
			{@render control(turnOf(grip), 'Turn', quarters)}
		{/if}
		{#if repeats && !grip.scatter}
			<span class="text-dim">·</span>
			<span class="text-dim">from</span>
			{@render control(grip.aligned ? 'the map’s corner' : 'where the stroke began', 'Repeats from', aligned)}
		{/if}
		{#if grip.what === 'entity'}
			<span class="text-dim">·</span>
			{@render control(grip.replace ? 'in place of others' : 'on top', 'Over others', over)}
		{/if}
		{#if scatters}
			<span class="text-dim">·</span>
			<span class="text-dim">scatter</span>
			<ScatterWord />
		{/if}
		<span class="text-dim">·</span>
		<span class="text-dim">mirror</span>
		{@render control(mirrors.find((m) => m.mode === mirror)?.label ?? 'off', 'Mirror', reflections)}
	{:else}
		<span class="text-dim">Holding</span>
		{@render control('nothing', 'Held', things)}
		<span class="text-dim">and selecting</span>
		{@render control(whatNames[hand.picks.what], 'Selects', whats)}
		{#if hand.picks.what !== 'entities'}
			<span class="text-dim">by</span>
			{@render control(byNames[hand.picks.by], 'Selects by', bys)}
			<span class="truncate text-dim">; Shift adds, Ctrl takes away, a drag inside moves</span>
		{:else}
			<span class="truncate text-dim">by press or box; a drag moves them</span>
		{/if}
		{#if w.area}
			<button class="word" onclick={() => w.areas.dropArea()}>drop the selection</button>
		{/if}
	{/if}
</div>
