<script lang="ts">
	import type { Detail, ID } from '../core/types'

	// A setting of the game that names something of the project.
	let {
		detail: d,
		all,
		none,
		set,
	}: { detail: Detail; all: readonly { id: ID; name: string }[]; none: string; set: (id: ID | null) => void } = $props()
</script>

<label class="flex min-h-7 items-center gap-1.5" title={d.help}>
	<span class="w-[84px] shrink-0 leading-tight {d.differs ? 'font-semibold' : 'text-dim'}">{d.name}</span>
	<select
		aria-label={d.name}
		class="field min-w-0 grow"
		value={all.some((one) => one.id === d.value) ? d.value : ''}
		onchange={(e) => set((e.currentTarget.value as ID) || null)}
	>
		<option value="">{none}</option>
		{#each all as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
	</select>
</label>
