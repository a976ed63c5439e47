<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'

	// The counters that the player sees, and where.
	const w = workspace()
	const corners = [
		['', 'off'],
		['topLeft', 'top left'],
		['top', 'top middle'],
		['topRight', 'top right'],
		['bottomLeft', 'bottom left'],
		['bottomRight', 'bottom right'],
	] as const
</script>

{#each w.project.head.counters as c (c.id)}
	<label class="flex min-h-7 items-center gap-1.5" title="A counter of rules, on the player’s screen">
		<span class="w-[84px] shrink-0 truncate leading-tight {c.shown ? 'font-semibold' : 'text-dim'}">{c.name}</span>
		<select
			class="field min-w-0 grow"
			value={c.shown ?? ''}
			onchange={(e) => w.project.try('showCounter', { id: c.id, where: e.currentTarget.value })}
		>
			{#each corners as [key, name] (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
{/each}
