<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import { workspace } from '../workspace/workspace.svelte'

	// A list of kinds, each with a number, which is what the unit says: its odds, or what it costs.
	let {
		name,
		value,
		mixed = false,
		unit = '',
		set,
	}: { name: string; value: string; mixed?: boolean; unit?: string; set: (value: string) => void } = $props()
	const w = workspace()
	const shares = $derived(
		(mixed ? '' : value)
			.split(',')
			.map((s) => s.trim().match(/^(.*\S) (\d+)$/))
			.flatMap((m) => (m ? [{ of: m[1], n: Number(m[2]) }] : [])),
	)
	const others = $derived(
		w.project.head.kinds.filter((k) => k.makeable && !shares.some((s) => s.of === k.name || s.of === k.id)),
	)
	/** Kinds are called by their names, or by their ids where they are defaults. */
	const called = (of: string) => w.project.kind(of)?.name ?? of
	const put = (all: { of: string; n: number }[]) => set(all.map((s) => `${s.of} ${s.n}`).join(', '))
</script>

<div class="flex min-w-0 grow flex-col gap-1" role="group" aria-label={name}>
	{#if mixed}<span class="text-dim">differs</span>{/if}
	{#each shares as s, i (s.of)}
		<div class="flex items-center gap-1">
			<span class="min-w-0 grow truncate">{called(s.of)}</span>
			{#if unit}<span class="text-[11px] text-dim">{unit}</span>{/if}
			<input
				class="field w-14 px-1.5 font-mono"
				type="number"
				min="0"
				value={s.n}
				aria-label="{called(s.of)}: {unit || 'number'}"
				onchange={(e) => {
					const n = Math.max(0, Math.round(Number(e.currentTarget.value)) || 0)
					put(shares.map((o, k) => (k === i ? { ...o, n } : o)))
				}}
			/>
			<button
				class="button-plain w-6"
				aria-label="Take {called(s.of)} out"
				onclick={() => put(shares.filter((_, k) => k !== i))}><X size={14} /></button
			>
		</div>
	{/each}
	<select
		class="field w-full"
		aria-label="Add a kind to {name}"
		value=""
		onchange={(e) => {
			put([...shares, { of: e.currentTarget.value, n: 1 }])
			e.currentTarget.value = ''
		}}
	>
		<option value="" disabled>add a kind…</option>
		{#each others as k (k.id)}<option value={k.id}>{k.name}</option>{/each}
	</select>
</div>
