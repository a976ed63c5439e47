<script lang="ts">
	import AlignCenterH from '@lucide/svelte/icons/align-center-horizontal'
	import AlignCenterV from '@lucide/svelte/icons/align-center-vertical'
	import AlignEndH from '@lucide/svelte/icons/align-end-horizontal'
	import AlignEndV from '@lucide/svelte/icons/align-end-vertical'
	import AlignStartH from '@lucide/svelte/icons/align-start-horizontal'
	import AlignStartV from '@lucide/svelte/icons/align-start-vertical'
	import SpaceH from '@lucide/svelte/icons/align-horizontal-space-around'
	import SpaceV from '@lucide/svelte/icons/align-vertical-space-around'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// Brings what is selected into line, spaces it evenly, and groups it.
	const w = workspace()
	const grouped = $derived(w.selection[0]?.group ?? '')
	const one = $derived(grouped !== '' && w.selection.every((e) => e.group === grouped))
	const ways = [
		{ how: 'left', label: 'Align left sides', icon: AlignStartV },
		{ how: 'middle', label: 'Align middles on an upright line', icon: AlignCenterV },
		{ how: 'right', label: 'Align right sides', icon: AlignEndV },
		{ how: 'top', label: 'Align tops', icon: AlignStartH },
		{ how: 'level', label: 'Align middles on a level line', icon: AlignCenterH },
		{ how: 'bottom', label: 'Align bottoms', icon: AlignEndH },
		{ how: 'across', label: 'Space evenly across', icon: SpaceH },
		{ how: 'down', label: 'Space evenly down', icon: SpaceV },
	]
</script>

<div class="flex flex-wrap" role="group" aria-label="Arrange">
	{#each ways as o (o.how)}
		<Hint label={o.label} class="button-plain w-[27px]" onclick={() => w.chosen.changeEntities('arrange', o.how)}
			><o.icon size={15} /></Hint
		>
	{/each}
</div>
<div class="flex items-center gap-1">
	{#if one}
		{#key grouped}
			<input
				class="field min-w-0 grow"
				value={grouped}
				maxlength="80"
				aria-label="Name of the group"
				onkeydown={(e) => {
					e.stopPropagation()
					if (e.key === 'Enter') e.currentTarget.blur()
				}}
				onblur={(e) => {
					if (e.currentTarget.value !== grouped)
						w.project.try('renameGroup', { map: w.map!.id, from: grouped, to: e.currentTarget.value })
				}}
			/>
		{/key}
		<button class="button" onclick={() => w.chosen.changeEntities('group', '')}>Ungroup</button>
	{:else}
		<Hint
			label="Group what is selected"
			keys="Ctrl+G"
			class="button"
			onclick={() => w.chosen.changeEntities('group', 'Group')}>Group</Hint
		>
	{/if}
</div>
