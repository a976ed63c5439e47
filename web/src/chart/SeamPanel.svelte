<script lang="ts">
	import type { Gate, Seam } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import GateList from './GateList.svelte'

	// Where two maps touch: whether the hero can walk across, and when.
	let { seam: s }: { seam: Seam } = $props()
	const w = workspace()
	const cells = $derived(s.open.reduce((n, o) => n + o.to - o.from, 0))
	const put = (closed: boolean, gates: Gate[]) => {
		w.project.try('setSeam', { a: s.a, b: s.b, closed, if: gates })
		w.charting.refresh()
	}
</script>

<div class="flex flex-col gap-2">
	<h2 class="text-[15px] font-semibold">Seam of {w.project.map(s.a)?.name} and {w.project.map(s.b)?.name}</h2>
	{#if s.why}
		<p class="text-brick">No seam forms here: {s.why}.</p>
	{:else}
		<p>
			{cells ? `Open on both sides along ${cells} ${cells === 1 ? 'cell' : 'cells'}.` : 'Nowhere are both sides open.'}
		</p>
		<label class="flex items-center gap-2">
			<input
				type="checkbox"
				class="accent-glaze"
				checked={s.closed}
				onchange={(e) => put(e.currentTarget.checked, s.if)}
			/>
			closed: nobody walks across
		</label>
		{#if !s.closed}
			<h3 class="pt-1 heading">Opens if</h3>
			<GateList gates={s.if} change={(gates) => put(false, gates)} />
		{/if}
	{/if}
</div>
