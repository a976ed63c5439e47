<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import Menu from '../controls/Menu.svelte'
	import type { End, Entity } from '../core/types'
	import { edgeOf } from '../project/edges'
	import { workspace } from '../workspace/workspace.svelte'

	// What an entity is tied to: passages, rules, and what it travels along with.
	let { one }: { one: Entity } = $props()
	const w = workspace()
	const m = $derived(w.map!)
	const kind = $derived(w.project.kind(one.kind))
	const leads = $derived(w.project.head.passages.find((p) => p.from.map === m.id && p.from.entity === one.id))
	const comes = $derived(w.project.head.passages.filter((p) => p.to.map === m.id && p.to.entity === one.id))
	/** The wires from it and to it, with the name of the other end. */
	const wires = $derived.by(() => {
		const of = (e: End) => e.map === m.id && e.entity === one.id
		const name = (e: End) => w.project.entity(e.map, e.entity)?.name ?? 'something that was removed'
		return w.project.head.wires.flatMap((o) => {
			if (of(o.from)) return [{ ...o, says: `${o.says} ${name(o.to)}`, other: o.to }]
			return of(o.to) ? [{ ...o, says: `${name(o.from)} ${o.says} this`, other: o.from }] : []
		})
	})
	const bundles = $derived(
		w.project
			.ask('bundles', { map: m.id, entity: one.id })
			.map((b) => ({ label: b.label, run: () => w.chosen.makeBundle(one, b.key) })),
	)
	const about = $derived(w.project.head.rules.filter((r) => r.names.includes(one.id) || r.kinds.includes(one.kind)))
	const carriers = $derived(w.project.entities(m.id).filter((e) => e.id !== one.id && w.project.kind(e.kind)?.moves))
</script>

{#if kind?.leads === 'on' || (kind?.leads && leads)}
	<div class="flex items-center gap-2">
		{#if leads}
			<button
				class="min-w-0 grow truncate text-left text-cobalt underline"
				onclick={() => w.goTo(leads.to.map, leads.to.entity)}
			>
				leads to {w.project.map(leads.to.map)?.name ?? 'a map that was removed'}
			</button>
		{:else}
			<span class="grow text-brick">leads nowhere yet</span>
		{/if}
		<button class="button {leads ? '' : 'button-main'}" onclick={() => (w.joining = { map: m.id, entity: one.id })}>
			{leads ? 'Change…' : 'Choose where…'}
		</button>
	</div>
	{#if leads}
		<button
			class="button self-start"
			aria-pressed={w.looking?.id === leads.id}
			onclick={() => (w.looking = w.looking ? null : leads)}
			>{w.looking?.id === leads.id ? 'Close the look-through' : 'Look through'}</button
		>
	{/if}
{:else if kind?.leads}
	<button class="button self-start" onclick={() => (w.joining = { map: m.id, entity: one.id })}
		>Let it lead somewhere…</button
	>
{/if}
{#each comes as p (p.id)}
	<div class="flex items-center gap-1">
		<button
			class="min-h-6 min-w-0 grow truncate text-left text-cobalt underline"
			onclick={() => (p.from.entity ? w.goTo(p.from.map, p.from.entity) : w.show(p.from.map))}
		>
			comes from {w.project.entity(p.from.map, p.from.entity)?.name ??
				(p.from.side ? `the ${edgeOf(p.from.side)}` : 'an exit that was removed')} on {w.project.map(p.from.map)?.name}
		</button>
		<button class="button h-6 px-1.5" title="Lets the exit lead elsewhere" onclick={() => (w.joining = p.from)}
			>Change…</button
		>
	</div>
{/each}
{#if kind?.wires || wires.length}
	<div class="flex flex-col gap-0.5" role="group" aria-label="Wires">
		{#each wires as o (o.rule + o.from.entity + o.to.entity + o.word)}
			<div class="flex items-center gap-1">
				<button
					class="min-h-6 min-w-0 grow truncate text-left text-cobalt underline"
					title="Shows the other end"
					onclick={() => w.goTo(o.other.map, o.other.entity)}>{o.says}</button
				>
				<button
					class="button h-6 px-1.5"
					onclick={() => w.project.try('unwire', { rule: o.rule, from: o.from, to: o.to })}
					aria-label="Remove the wire: {o.says}">Remove</button
				>
			</div>
		{/each}
		{#if kind?.wires}
			<button
				class="button self-start"
				title="Or drag its round nub to what it changes"
				onclick={() => w.wiring.point({ map: m.id, entity: one.id })}>Wire it…</button
			>
		{/if}
	</div>
{/if}
{#if bundles.length}
	<Menu choices={bundles} side="left">
		{#snippet trigger()}
			<DropdownMenu.Trigger class="button self-start">Ready-made rule…</DropdownMenu.Trigger>
		{/snippet}
	</Menu>
{/if}
{#each about as r (r.id)}
	<button
		class="border-l-2 border-cobalt pl-2 text-left hover:bg-well"
		onclick={() => ((w.rule = r.id), w.layout.show('rules'))}
	>
		{r.name ||
			r.sentence
				.map((s) => s.text)
				.join(' ')
				.replaceAll(' ,', ',')}
	</button>
{/each}
{#if kind?.wakes}
	<button class="button" onclick={() => w.chosen.newRuleFor(one)}>New rule for it</button>
{/if}
{#if carriers.length || one.carrier}
	<label class="flex items-center gap-1.5"
		><span class="w-20 shrink-0 {one.carrier ? 'font-semibold' : 'text-dim'}">travels with</span>
		<select
			class="field min-w-0 grow"
			value={one.carrier ?? ''}
			onchange={(e) => w.chosen.changeEntities('setField', { field: 'carrier', value: e.currentTarget.value })}
		>
			<option value="">nothing</option>
			{#each carriers as e (e.id)}<option value={e.id}>{e.name}</option>{/each}
		</select>
	</label>
{/if}
