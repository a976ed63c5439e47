<script lang="ts">
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// In how few moves a map is finished, and its stars for that.
	const w = workspace()
	const { checking } = w.proving
	const maps = $derived(w.project.head.maps.filter((m) => checking.info.pars.includes(m.id)))
	const par = $derived(checking.par)
	const best = $derived(
		Math.min(...w.project.head.recordings.filter((r) => r.map === checking.parOf).map((r) => Math.ceil(r.ticks / 60))),
	)

	function take() {
		const made = w.project.try('takePar', { map: checking.parOf, moves: par?.moves ?? 0 })
		if (made) w.notices.say(`Three stars for ${par?.three} moves, two for ${par?.two}.`, 'done', w.project.undoOf(made))
	}
</script>

{#if maps.length}
	<section class="cut" aria-labelledby="par">
		<div class="flex flex-col gap-3 p-5">
			<h2 id="par" class="heading">Fewest moves, and stars</h2>
			<label class="flex items-center gap-2">
				<span class="text-dim">Map</span>
				<select
					class="field min-w-0 grow"
					value={checking.parOf}
					onchange={(e) => checking.seek(e.currentTarget.value)}
				>
					<option value="">Choose a map</option>
					{#each maps as m (m.id)}<option value={m.id}>{m.name}</option>{/each}
				</select>
			</label>
			{#if checking.parOf && par}
				<div data-testid="par" role="status">
					{#if par.moves}
						<p>
							<b>{par.fewest ? '' : 'At most '}{counted(par.moves, 'move')}</b>{par.fewest
								? ', and there is no way in fewer.'
								: par.done
									? '.'
									: ', so far.'}
							{Number.isFinite(best) ? ` The quickest recording takes ${best} s.` : ''}
						</p>
						{#if par.done}
							<p class="flex items-center gap-2 pt-2">
								<span class="text-dim">Three stars for {par.three}, two for {par.two}</span>
								<button class="button" onclick={take}>Take them over</button>
							</p>
						{/if}
					{:else}
						<p class="text-dim">{par.done ? par.why[0].toUpperCase() + par.why.slice(1) + '.' : 'Looking…'}</p>
					{/if}
				</div>
			{/if}
		</div>
	</section>
{/if}
