<script lang="ts">
	import type { Beside, Differing } from './exchange'

	// What would be otherwise, by what it is; maps as they are and as they would be.
	interface Props {
		changes: Differing[]
		maps?: Beside[]
		/** What the two are called, as they are and as they would be. */
		words?: [string, string]
		/** Both are there by now: all of it is shown, not a part that is scrolled. */
		whole?: boolean
	}
	let { changes, maps = [], words = ['now', 'after it'], whole = false }: Props = $props()

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

	const signs = $derived<Record<string, [string, string, string]>>({
		new: ['+', 'text-sage', 'new'],
		gone: ['−', 'text-brick', whole ? 'gone' : 'goes'],
		changed: ['~', 'text-cobalt', 'changed'],
	})

	function detail(c: Differing): string {
		const of = (n: number | undefined, one: string) =>
			n ? [`${n.toLocaleString('en-GB')} ${one}${n === 1 ? '' : 's'}`] : []
		return [...of(c.cells, 'cell'), ...of(c.entities, 'thing')].join(', ')
	}

	/** Shows a picture for as long as it is there. */
	function shows(img: HTMLImageElement, data: string) {
		const url = URL.createObjectURL(
			new Blob([Uint8Array.from(atob(data), (c) => c.charCodeAt(0))], { type: 'image/png' }),
		)
		img.src = url
		return { destroy: () => URL.revokeObjectURL(url) }
	}
</script>

{#snippet picture(data: string | null, says: string)}
	<figure class="flex min-w-0 flex-1 flex-col gap-0.5">
		{#if data}
			<img
				use:shows={data}
				alt={says}
				class="max-w-full self-start border border-line object-contain {whole ? 'max-h-[320px]' : 'max-h-[160px]'}"
			/>
		{:else}
			<span class="flex h-16 items-center justify-center border border-dashed border-line text-dim">not there</span>
		{/if}
		<figcaption class="text-[12px] text-dim">{says}</figcaption>
	</figure>
{/snippet}

<dl class="flex flex-col gap-2 {whole ? '' : 'max-h-[44vh] overflow-y-auto'}">
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
{#if maps.length}
	<ul
		class="flex flex-col gap-3 {whole ? 'mt-4' : 'max-h-[40vh] overflow-y-auto'}"
		aria-label="Maps that differ, {words.join(' and ')}"
	>
		{#each maps as m, i (i)}
			<li class="flex gap-3">
				{@render picture(m.before, `${m.name}, ${words[0]}`)}
				{@render picture(m.after, words[1])}
			</li>
		{/each}
	</ul>
{/if}
