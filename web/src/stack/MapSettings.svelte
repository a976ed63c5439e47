<script lang="ts">
	import type { MapInfo } from '../core/types'
	import EntityPart from '../entities/EntityPart.svelte'
	import SettingRow from '../entities/SettingRow.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// All that is set for a map, or without one for all of them, by headings.
	let { map: m }: { map?: MapInfo } = $props()
	const w = workspace()
	const details = $derived.by(() => {
		void w.project.head
		return w.project.ask('mapDetails', { map: m?.id ?? '' })
	})
	const groups = $derived([...new Set(details.map((d) => d.group))])
	const set = (key: string, value: string | null) => w.project.try('setMapSetting', { map: m?.id ?? '', key, value })
</script>

<div class="flex flex-col gap-1" role="group" aria-label="Settings of {m ? m.name : 'all maps'}">
	{#each groups as g, i (g)}
		{@const of = details.filter((d) => d.group === g)}
		{@const own = of.filter((d) => d.differs).length}
		<EntityPart title={own ? `${g} (${own} of ${m ? 'its' : 'your'} own)` : g} open={i === 0 || g === 'Your own'}>
			{#each of as d (d.key)}
				<SettingRow detail={d} set={(value) => set(d.key, value)} reset={() => set(d.key, null)} />
			{/each}
		</EntityPart>
	{/each}
</div>
