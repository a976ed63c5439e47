<script lang="ts">
	import type { Differing } from './exchange'

	// What would be otherwise, by what it is.
	let { changes }: { changes: Differing[] } = $props()

	const groups: [string, string][] = [
		['project', 'The project'],
		['map', 'Maps'],
		['passage', 'Passages'],
		['tileset', 'Tilesets'],
		['material', 'Materials'],
		['zone', 'Zones'],
		['kind', 'Kinds'],
		['motif', 'Motifs'],
		['placing', 'Motifs on maps'],
		['rule', 'Rules'],
		['flag', 'Flags'],
		['counter', 'Counters'],
		['wording', 'Texts'],
		['pin', 'Pins'],
		['recording', 'Recordings'],
	]
	/** More of a sort are counted, not listed. */
	const most = 12

	const signs: Record<string, [string, string, string]> = {
		new: ['+', 'text-sage', 'new'],
		gone: ['−', 'text-brick', 'goes'],
		changed: ['~', 'text-cobalt', 'changed'],
	}

	function detail(c: Differing): string {
		const of = (n: number | undefined, one: string) =>
			n ? [`${n.toLocaleString('en-GB')} ${one}${n === 1 ? '' : 's'}`] : []
		return [...of(c.cells, 'cell'), ...of(c.entities, 'thing')].join(', ')
	}
</script>

<dl class="flex max-h-[44vh] flex-col gap-2 overflow-y-auto">
	{#each groups as [what, name] (what)}
		{@const of = changes.filter((c) => c.what === what)}
		{#if of.length}
			<div>
				<dt class="heading">{name}</dt>
				{#each of.slice(0, most) as c, i (i)}
					{@const [sign, colour, word] = signs[c.how]}
					<dd class="flex items-baseline gap-2">
						<span class="w-3 text-center font-mono font-semibold {colour}" aria-hidden="true">{sign}</span>
						<span class="min-w-0 grow truncate">{c.name}</span>
						<span class="shrink-0 text-dim tabular-nums">{detail(c) || word}</span>
					</dd>
				{/each}
				{#if of.length > most}<dd class="pl-5 text-dim">and {of.length - most} more</dd>{/if}
			</div>
		{/if}
	{/each}
</dl>
