<script lang="ts">
	import { roving } from '../controls/roving'
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Settings2 from '@lucide/svelte/icons/settings-2'
	import Context from '../controls/Context.svelte'
	import NameField from '../controls/NameField.svelte'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { mapMenu } from './mapMenu'
	import NewMap from './NewMap.svelte'

	const w = workspace()
	const maps = $derived(w.project.head.maps)
	let making = $state(false)
	let naming = $state('')
	function rename(id: string, before: string, next: string) {
		naming = ''
		if (next !== before)
			w.project.try('set', { ref: { type: 'map', id }, field: 'name', value: next, text: `Renamed map ${before}` })
	}
</script>

<div class="flex h-8 items-center pl-2">
	<h2 class="grow heading">Maps</h2>
	<Hint label="New map" class="button-plain" expanded={making} onclick={() => (making = !making)}
		><Plus size={16} /></Hint
	>
</div>
{#if making}
	<NewMap made={() => (making = false)} />
{/if}
<ul class="max-h-40 shrink-0 overflow-y-auto pb-1" aria-label="Maps" {@attach roving}>
	{#each maps as m (m.id)}
		<li class="flex {w.map?.id === m.id ? 'bg-well' : ''}">
			{#if naming === m.id}
				<NameField name={m.name} label="Name of the map" class="w-full" named={(name) => rename(m.id, m.name, name)} />
			{:else}
				<Context choices={() => mapMenu(w, m, () => (naming = m.id))} class="flex min-w-0 grow">
					<button
						class="flex h-7 w-full min-w-0 items-center gap-2 px-2.5 text-left hover:bg-well {w.map?.id === m.id
							? 'font-semibold'
							: ''}"
						title="Double press or F2 renames"
						aria-current={w.map?.id === m.id ? 'true' : undefined}
						onclick={() => w.show(m.id)}
						ondblclick={() => (naming = m.id)}
						onkeydown={(e) => e.key === 'F2' && (naming = m.id)}
					>
						<span class="min-w-0 grow truncate">{m.name}</span>
						{#if m.template}<span class="text-[11px] text-dim" title="For new maps, no place of the game">template</span
							>{/if}
						<span class="font-mono text-[11px] text-dim">{m.bounds.w}×{m.bounds.h}</span>
					</button>
				</Context>
				{#if w.map?.id === m.id && !w.play.on}
					<Hint label="Set up {m.name}" class="button-plain pointer-coarse:hidden" onclick={() => w.openSheet()}>
						<Settings2 size={15} />
					</Hint>
					<Hint
						label="Delete map {m.name}"
						class="button-plain hover:text-brick pointer-coarse:hidden"
						onclick={() => w.removeMap(m.id)}
					>
						<Trash2 size={15} />
					</Hint>
				{/if}
			{/if}
		</li>
	{/each}
</ul>
