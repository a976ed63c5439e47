<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down'
	import ArrowUp from '@lucide/svelte/icons/arrow-up'
	import X from '@lucide/svelte/icons/x'
	import { roving } from '../controls/roving'
	import { workspace } from '../workspace/workspace.svelte'

	// The layers that a new map starts with, the top one first as in the stack.
	const w = workspace()
	const plan = $derived(w.project.head.plan)
	type Planned = (typeof plan)[number]
	const rows = $derived(plan.map((l, i) => ({ l, i })).reverse())

	const put = (next: Planned[]) =>
		w.project.try('set', { ref: { type: 'project' }, field: 'plan', value: next, text: 'Changed the layer plan' })

	function move(i: number, by: number) {
		const next = [...plan]
		next.splice(i + by, 0, ...next.splice(i, 1))
		put(next)
	}

	/** What of a layer's settings differs from a plain one. */
	function told(l: Planned): string {
		const out: string[] = [l.kind]
		if (l.front) out.push('before the hero')
		if (l.foot) out.push('by foot')
		if (l.opacity) out.push(`${l.opacity} %`)
		if (l.tint) out.push(`tinted ${l.tint}`)
		if (l.lagX || l.lagY) out.push(`parallax ${100 - (l.lagX ?? 0)} %`)
		if (l.offsetX || l.offsetY) out.push(`by ${l.offsetX ?? 0}, ${l.offsetY ?? 0}`)
		if (l.hidden) out.push('hidden')
		if (l.locked) out.push('locked')
		return out.join(', ')
	}
</script>

<ol class="flex flex-col" aria-label="Layers of new maps, the top one first" {@attach roving}>
	{#each rows as { l, i } (i)}
		<li class="flex items-center gap-1 border-b border-line">
			<span class="min-w-0 grow py-1 leading-tight">
				<span class="block truncate font-semibold">{l.name}</span>
				<span class="block truncate text-[11px] text-dim">{told(l)}</span>
			</span>
			<button
				class="button-plain w-6"
				aria-label="Move {l.name} up"
				disabled={i === plan.length - 1}
				onclick={() => move(i, 1)}><ArrowUp size={14} /></button
			>
			<button class="button-plain w-6" aria-label="Move {l.name} down" disabled={i === 0} onclick={() => move(i, -1)}
				><ArrowDown size={14} /></button
			>
			<button
				class="button-plain w-6 hover:text-brick"
				aria-label="Leave {l.name} out"
				disabled={plan.length === 1}
				onclick={() => put(plan.filter((_, k) => k !== i))}><X size={14} /></button
			>
		</li>
	{/each}
</ol>
