<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import Menu, { type Choice } from '../controls/Menu.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { mirrors, turnOf } from './naming'
	import ScatterWord from './ScatterWord.svelte'
	import { Sentence } from './sentence.svelte'

	const w = workspace()
	const { hand } = w
	const s = new Sentence(w)
</script>

{#snippet control(label: string, what: string, choices: Choice[], wrong = false)}
	<Menu {choices}>
		{#snippet trigger()}
			<DropdownMenu.Trigger class="word max-w-60 {wrong ? 'border-brick text-brick' : ''}" aria-label="{what}: {label}">
				<span class="truncate">{label}</span>
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
		<span class="[--glaze:var(--held)]">{@render control(s.name, 'Held', s.things)}</span>
		{#if !s.area}
			<span class="text-dim">as</span>
			{@render control(s.grip.shape, 'Shape', s.ways)}
			{#if s.manner && !(s.repeats && s.grip.shape !== 'fill' && s.grip.shape !== 'rim')}
				{@render control(s.manner, 'Manner', s.manners)}
			{/if}
			{#if s.grip.shape === 'rim'}
				<span class="text-dim">inside</span>
				{@render control(s.insideOf(s.grip.inside), 'Inside', s.insides)}
			{/if}
		{:else}
			<span class="text-dim">over</span>
			<b>the cells of a box</b>
		{/if}
		<span class="text-dim">on</span>
		{@render control(s.target?.name ?? 'no layer that fits', 'Layer', s.layers, !s.target)}
		{#if w.area}
			<span class="text-dim">within</span>
			<button class="word" aria-label="Within the selection: press to drop it" onclick={() => w.areas.dropArea()}
				>the selection</button
			>
		{/if}
		{#if s.turns}
			<span class="text-dim">·</span>
			{@render control(turnOf(s.grip), 'Turn', s.quarters)}
		{/if}
		{#if s.repeats && !s.grip.scatter}
			<span class="text-dim">·</span>
			<span class="text-dim">from</span>
			{@render control(s.grip.aligned ? 'the map’s corner' : 'where the stroke began', 'Repeats from', s.aligned)}
		{/if}
		{#if s.grip.what === 'entity'}
			<span class="text-dim">·</span>
			{@render control(s.grip.replace ? 'in place of others' : 'on top', 'Over others', s.over)}
		{/if}
		{#if s.scatters}
			<span class="text-dim">·</span>
			<span class="text-dim">scatter</span>
			<ScatterWord />
		{/if}
		<span class="text-dim">·</span>
		<span class="text-dim">mirror</span>
		{@render control(mirrors.find((m) => m.mode === s.mirror)?.label ?? 'off', 'Mirror', s.reflections)}
	{:else}
		<span class="text-dim">Holding</span>
		{@render control('nothing', 'Held', s.things)}
		<span class="text-dim">and selecting</span>
		{@render control(s.whatNames[hand.picks.what], 'Selects', s.whats)}
		{#if hand.picks.what !== 'entities'}
			<span class="text-dim">by</span>
			{@render control(s.byNames[hand.picks.by], 'Selects by', s.bys)}
			<span class="text-dim">·</span>
			<span class="truncate text-dim">Shift adds, Ctrl takes away, a drag inside moves</span>
		{:else}
			<span class="truncate text-dim">by press or box; a drag moves them</span>
		{/if}
		{#if w.area}
			<button class="word" onclick={() => w.areas.dropArea()}>drop the selection</button>
		{/if}
	{/if}
</div>
