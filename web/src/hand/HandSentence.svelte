<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import Menu, { type Choice } from '../frame/Menu.svelte'
	import { workspace } from '../workspace.svelte'
	import { nameOf, shapes, turnOf } from './naming'

	const w = workspace()
	const { hand } = w
	const kind = $derived(w.project.head.kinds.find((k) => k.id === hand.grip.kind))
	const name = $derived(nameOf(w.project, hand.grip))
	const target = $derived(w.target)
	const turns = $derived(hand.grip.what === 'tiles' || (hand.grip.what === 'entity' && kind?.faces))

	const things = $derived.by(() => {
		const out: Choice[] = [
			{ label: 'nothing: select and move', keys: 'Esc', run: () => hand.letGo() },
			{ label: 'the eraser', keys: 'X', run: () => w.hold({ what: 'eraser' }) },
			{ heading: 'Entities' },
		]
		for (const k of w.project.head.kinds) {
			out.push({ label: k.name.toLowerCase(), run: () => w.hold({ what: 'entity', kind: k.id }) })
		}
		out.push({ heading: 'Tiles' })
		out.push({ label: 'a tile from the cabinet…', run: () => ([w.cabinetOpen, w.drawer] = [true, 'tiles']) })
		return out
	})

	const ways = $derived<Choice[]>(
		shapes.map((s) => ({ label: s.id, hint: s.help, keys: s.key, run: () => hand.shape(s.id) })),
	)

	const layers = $derived<Choice[]>(
		[...(w.map?.layers ?? [])].reverse().map((l) => ({
			label: l.name,
			hint: l.kind === 'tiles' ? 'tiles' : 'entities',
			run: () => hand.work(w.map!.id, l.id),
		})),
	)

	const quarters: Choice[] = [
		{ label: 'a quarter to the right', keys: 'R', run: () => hand.turn(1) },
		{ label: 'a quarter to the left', keys: 'Shift+R', run: () => hand.turn(-1) },
		{ label: 'mirrored left–right', keys: 'M', run: () => hand.mirror() },
	]
</script>

{#snippet control(label: string, what: string, choices: Choice[], wrong = false)}
	<Menu {choices}>
		{#snippet trigger()}
			<DropdownMenu.Trigger
				class="word max-w-72 truncate {wrong ? 'border-brick text-brick' : ''}"
				aria-label="{what}: {label}"
			>
				{label}
			</DropdownMenu.Trigger>
		{/snippet}
	</Menu>
{/snippet}

<div class="flex min-h-7 items-center gap-1.5 px-3" role="group" aria-label="Hand sentence" data-testid="hand">
	{#if w.picking}
		<span>Point at <b class="text-cobalt">{w.picking.what}</b> on the map, or press</span>
		<button class="word" onclick={() => (w.picking = null)}>Escape</button>
	{:else if hand.holding}
		<span class="text-dim">Holding</span>
		<span class="[--glaze:var(--held)]">{@render control(name, 'Held', things)}</span>
		{#if !kind?.area}
			<span class="text-dim">as</span>
			{@render control(hand.grip.shape, 'Shape', ways)}
		{:else}
			<span class="text-dim">over</span>
			<b>the cells of a box</b>
		{/if}
		<span class="text-dim">on</span>
		{@render control(target?.name ?? 'no layer that fits', 'Layer', layers, !target)}
		{#if turns}
			{@render control(turnOf(hand.grip), 'Turn', quarters)}
		{/if}
	{:else}
		<span class="text-dim">Holding</span>
		{@render control('nothing', 'Held', things)}
		<span class="truncate text-dim">: a press selects, a drag moves or selects by box</span>
	{/if}
</div>
