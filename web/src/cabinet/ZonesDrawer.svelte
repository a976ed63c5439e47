<script lang="ts">
	import { roving } from '../controls/roving'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Zone } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import PropertyList from '../tilesets/PropertyList.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const head = $derived(w.project.head)
	const zones = $derived(head.zones.filter((z) => `${z.name} ${z.is}`.toLowerCase().includes(wanted)))
	const fresh = $derived(head.zoneWords.filter((o) => o.is === 'own' || !head.zones.some((z) => z.is === o.is)))
	let open = $state('')

	const set = (z: Zone, field: string, value: string) =>
		w.project.try('set', { ref: { type: 'zone', id: z.id }, field, value, text: `Changed zone ${z.name}` })
</script>

{#if zones.length}
	<ul class="flex flex-col p-1" aria-label="Zones" {@attach roving}>
		{#each zones as z (z.id)}
			{@const held = w.hand.grip.what === 'zone' && w.hand.grip.number === z.number}
			<li>
				<div class="flex items-center {held ? 'bg-chalk outline-2 -outline-offset-2 outline-held' : ''}">
					<button
						class="flex min-w-0 grow items-center gap-2.5 p-1.5 text-left hover:bg-well"
						aria-pressed={held}
						onclick={() => {
							w.holdZone(z.number)
						}}
					>
						<GripPicture grip={{ what: 'zone', number: z.number, shape: 'freehand' }} size={28} />
						<span class="min-w-0 grow leading-tight">
							<span class="block truncate font-semibold">{z.name}</span>
							<span class="block text-[12px] text-dim">{z.is}</span>
						</span>
					</button>
					<button
						class="button-plain w-12 text-[12px]"
						aria-expanded={open === z.id}
						onclick={() => (open = open === z.id ? '' : z.id)}>edit</button
					>
				</div>
				{#if open === z.id}
					<div class="flex flex-col gap-2 border-l-2 border-glaze bg-chalk p-2">
						{#key z.name}
							<input
								class="field"
								value={z.name}
								maxlength="80"
								aria-label="Name of the zone"
								onchange={(e) => set(z, 'name', e.currentTarget.value)}
							/>
						{/key}
						<label class="flex items-center gap-2"
							><span class="w-14 text-dim">Is</span>
							<select class="field grow" value={z.is} onchange={(e) => set(z, 'is', e.currentTarget.value)}>
								{#each head.zoneWords as o (o.is)}<option value={o.is}>{o.is}</option>{/each}
							</select>
						</label>
						<label class="flex items-center gap-2"
							><span class="w-14 text-dim">Hatch</span>
							<select class="field grow" value={z.hatch} onchange={(e) => set(z, 'hatch', e.currentTarget.value)}>
								{#each head.hatches as h (h)}<option value={h}>{h}</option>{/each}
							</select>
						</label>
						<label class="flex items-center gap-2"
							><span class="w-14 text-dim">Colour</span>
							<input
								type="color"
								class="h-7 grow"
								value={z.colour}
								onchange={(e) => set(z, 'colour', e.currentTarget.value)}
							/>
						</label>
						<PropertyList
							properties={z.properties ?? []}
							title="Own properties"
							change={(properties) => w.project.try('setZoneProperties', { id: z.id, properties })}
						/>
						<Hint
							label="Delete zone {z.name}"
							class="button self-start hover:text-brick"
							onclick={() =>
								w.project.try('remove', { ref: { type: 'zone', id: z.id }, text: `Deleted zone ${z.name}` })}
							><Trash2 size={14} /> Delete</Hint
						>
					</div>
				{/if}
			</li>
		{/each}
	</ul>
{/if}
{#if !wanted}
	<div class="flex flex-col gap-1 p-2">
		<p class="px-1 text-[12px] text-dim">
			{zones.length
				? 'More zones:'
				: 'Zones are painted over the map and say what the ground is, whatever the tiles show. Take one into the hand:'}
		</p>
		{#each fresh as o (o.is)}
			<button
				class="flex items-center gap-2 border border-line bg-chalk px-2 py-1 text-left hover:border-glaze"
				onclick={() => void w.newZone(o.is)}
			>
				<span class="grow leading-tight"><b>{o.is}</b><span class="block text-[12px] text-dim">{o.help}</span></span>
			</button>
		{/each}
	</div>
{/if}
