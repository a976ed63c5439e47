<script lang="ts">
	import OwnChecks from './OwnChecks.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// How much each sort of finding matters in this project.
	const w = workspace()
	const { checking } = w.proving
	const ways = [
		{ as: 'stops', name: 'stops a player' },
		{ as: 'matters', name: 'matters' },
		{ as: 'note', name: 'worth a look' },
		{ as: 'off', name: 'is not looked for' },
	]
	/** How much a check of one's own matters is said where it stands. */
	const sorts = $derived(checking.info.sorts.filter((s) => s.what !== 'own check'))
	const groups = $derived([...new Set(sorts.map((s) => s.group))])
</script>

<div class="cut" data-testid="sorts">
	<OwnChecks {ways} />
	<div class="grid grid-cols-[repeat(auto-fit,minmax(300px,1fr))] gap-4 p-4">
		{#each groups as g (g)}
			<fieldset class="flex flex-col gap-1">
				<legend class="pb-1 font-semibold">{g}</legend>
				{#each sorts.filter((s) => s.group === g) as s (s.what)}
					<label class="flex items-center gap-2">
						<span class="min-w-0 grow {s.as === s.usual ? '' : 'font-semibold'}">{s.name}</span>
						<select
							class="field w-36 shrink-0"
							value={s.as}
							onchange={(e) => w.project.try('matters', { what: s.what, as: e.currentTarget.value })}
						>
							{#each ways as way (way.as)}<option value={way.as}>{way.name}</option>{/each}
						</select>
					</label>
				{/each}
			</fieldset>
		{/each}
	</div>
</div>
