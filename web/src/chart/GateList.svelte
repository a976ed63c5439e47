<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import type { Gate, MapInfo } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'

	// What a way asks for before it opens: flags, things taken, numbers of them.
	let { gates, change }: { gates: Gate[]; change: (gates: Gate[]) => void } = $props()
	const w = workspace()
	const takenOn = (m: MapInfo) => w.project.entities(m.id).filter((e) => w.project.kind(e.kind)?.taken)
	/** All that can be taken, once somebody chooses among it. */
	const things = $derived(
		w.project.head.maps.flatMap((m) =>
			takenOn(m).map((e) => ({ map: m.id, entity: e.id, name: `${e.name} on ${m.name}` })),
		),
	)
	const some = $derived(w.project.head.kinds.some((k) => k.taken))

	function addThing() {
		if (things.length) change([...gates, { asks: 'item', map: things[0].map, entity: things[0].entity }])
		else w.notices.say('There is nothing to be taken yet: put down a collectible, a key or an item first.', 'wrong')
	}
	const kinds = $derived(w.project.head.kinds.filter((k) => k.counted))
	const put = (i: number, to: Partial<Gate>) => change(gates.map((g, k) => (k === i ? { ...g, ...to } : g)))
</script>

<div class="flex flex-col gap-1" role="group" aria-label="Opens if">
	{#each gates as g, i (i)}
		<div class="flex items-center gap-1">
			{#if g.asks === 'flag'}
				<select
					class="field min-w-0 grow"
					aria-label="Flag"
					value={g.flag}
					onchange={(e) => put(i, { flag: e.currentTarget.value })}
				>
					{#each w.project.head.flags as f (f.id)}<option value={f.id}>{f.name}</option>{/each}
				</select>
				<select
					class="field w-20"
					aria-label="Is"
					value={g.not ? 'no' : 'yes'}
					onchange={(e) => put(i, { not: e.currentTarget.value === 'no' })}
				>
					<option value="yes">is set</option><option value="no">is not set</option>
				</select>
			{:else if g.asks === 'item'}
				<select
					class="field min-w-0 grow"
					aria-label="Thing"
					value={`${g.map} ${g.entity}`}
					onchange={(e) => {
						const [map, entity] = e.currentTarget.value.split(' ')
						put(i, { map, entity })
					}}
				>
					{#each things as o (o.entity)}<option value={`${o.map} ${o.entity}`}>{o.name}</option>{/each}
				</select>
				<span class="text-[12px] text-dim">taken</span>
			{:else}
				<input
					class="field w-14 font-mono"
					type="number"
					min="1"
					aria-label="How many"
					value={g.count ?? 1}
					onchange={(e) => put(i, { count: Math.max(1, Math.trunc(e.currentTarget.valueAsNumber) || 1) })}
				/>
				<select
					class="field min-w-0 grow"
					aria-label="Kind"
					value={g.kind}
					onchange={(e) => put(i, { kind: e.currentTarget.value })}
				>
					{#each kinds as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
				</select>
				<span class="text-[12px] text-dim">taken</span>
			{/if}
			<button
				class="button-plain w-6 hover:text-brick"
				aria-label="Take condition {i + 1} away"
				onclick={() => change(gates.filter((_, k) => k !== i))}><X size={14} /></button
			>
		</div>
	{/each}
	<div class="flex flex-wrap gap-1">
		{#if w.project.head.flags.length}
			<button class="button h-6" onclick={() => change([...gates, { asks: 'flag', flag: w.project.head.flags[0].id }])}
				>+ a flag</button
			>
		{/if}
		{#if some}<button class="button h-6" onclick={addThing}>+ a thing taken</button>{/if}
		<button class="button h-6" onclick={() => change([...gates, { asks: 'count', kind: kinds[0].id, count: 1 }])}
			>+ so many</button
		>
	</div>
</div>
