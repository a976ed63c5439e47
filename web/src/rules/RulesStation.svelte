<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import ClipboardPaste from '@lucide/svelte/icons/clipboard-paste'
	import { Growing } from '../controls/growing.svelte'
	import SearchField from '../controls/SearchField.svelte'
	import type { ToldRule } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import AskPanel from './AskPanel.svelte'
	import RuleCard from './RuleCard.svelte'
	import TextsTable from './TextsTable.svelte'
	import CharacterList from './CharacterList.svelte'
	import ValueList from './ValueList.svelte'
	import WordList from './WordList.svelte'

	const w = workspace()
	let wanted = $state('')
	const maps = $derived(w.project.head.maps)
	const text = (r: ToldRule) => [r.name ?? '', ...r.sentence.map((s) => s.text)].join(' ').toLowerCase()
	const rules = $derived.by(() => {
		const words = wanted.toLowerCase().split(/\s+/).filter(Boolean)
		return w.project.head.rules.filter((r) => {
			const said = words.length ? text(r) : ''
			return words.every((word) => said.includes(word))
		})
	})
	/** The rules by the map on which they are; those that are bound to none by ''. */
	const places = $derived.by(() => {
		const out = new Map<string, ToldRule[]>([['', []], ...maps.map((m): [string, ToldRule[]] => [m.id, []])])
		for (const r of rules) (out.get(r.place ?? '') ?? out.get('')!).push(r)
		return out
	})
	const elsewhere = $derived(places.get('')!)
	/** The rules in the order in which their cards stand. */
	const order = $derived([...places.values()].flat())
	const cards = new Growing(8, () => order.length)
	// one that is gone to is there as well
	const there = $derived(new Set(order.slice(0, Math.max(cards.many, order.findIndex((r) => r.id === w.rule) + 8))))
	const parts = new Growing(20, () => maps.length)
	const last = $derived(maps.findLastIndex((m) => places.get(m.id)!.some((r) => r.id === w.rule || there.has(r))))

	function made(id: string | undefined) {
		if (id) w.rule = id
	}

	/** A rule that is bound to no map: it begins with a new game, until its words are changed. */
	const addEverywhere = () => made(w.project.try('textRule', { text: 'when\n\ta new game begins\nthen\n' })?.made)

	async function paste() {
		try {
			made(w.project.try('textRule', { text: await navigator.clipboard.readText() })?.made)
		} catch {
			w.notices.say('The browser did not let the clipboard be read.', 'wrong')
		}
	}
</script>

{#snippet grid(all: ToldRule[])}
	<div class="grid grid-cols-2 items-start gap-3">
		{#each all as rule (rule.id)}{#if there.has(rule)}<RuleCard {rule} />{/if}{/each}
	</div>
{/snippet}

<div class="relative grid min-h-0 grid-cols-[1fr_300px]">
	<main class="min-h-0 overflow-y-auto p-4" aria-label="Rules">
		<div class="mb-4 flex gap-4 border-b border-line" role="tablist" aria-label="What is shown of the rules">
			{#each [['rules', 'Rules'], ['texts', 'Texts and languages']] as [key, name] (key)}
				<button
					role="tab"
					aria-selected={w.layout.ruling === key}
					class="-mb-px border-b-2 px-1 py-1.5 text-[15px] font-semibold {w.layout.ruling === key
						? 'border-glaze'
						: 'border-transparent text-dim'}"
					onclick={() => (w.layout.ruling = key as typeof w.layout.ruling)}>{name}</button
				>
			{/each}
		</div>
		{#if w.layout.ruling === 'texts'}
			<TextsTable />
		{:else}
			<div class="mb-4 flex items-center gap-2">
				<SearchField bind:value={wanted} label="Find a rule by what it says" class="w-72" />
				<span class="grow"></span>
				<button class="button" onclick={paste}><ClipboardPaste size={15} /> Paste a rule</button>
			</div>
			{#if !wanted || elsewhere.length}
				<section class="mb-6">
					<div class="mb-2 flex items-center gap-3">
						<h2 class="text-[15px] font-semibold">Everywhere</h2>
						<span class="h-px grow bg-line"></span>
						<button class="button" onclick={addEverywhere}><Plus size={15} /> New rule</button>
					</div>
					{#if elsewhere.length}
						{@render grid(elsewhere)}
					{:else}
						<p class="text-dim">
							Rules that are bound to no map: what happens when a game begins, when a counter reaches a number, whatever
							happens to any of a kind.
						</p>
					{/if}
				</section>
			{/if}
			{#each maps.slice(0, Math.max(parts.many, last + 1)) as m (m.id)}
				{@const here = places.get(m.id)!}
				{#if !wanted || here.length}
					<section class="mb-6">
						<div class="mb-2 flex items-center gap-3">
							<h2 class="text-[15px] font-semibold">{m.name}</h2>
							<span class="h-px grow bg-line"></span>
							<button class="button" onclick={() => made(w.project.try('startRule', { map: m.id })?.made)}
								><Plus size={15} /> New rule</button
							>
						</div>
						{#if here.length}
							{@render grid(here)}
						{:else}
							<p class="text-dim">
								Nothing happens here by rule yet. On the map, drag from a switch’s nub to a door, or press New rule.
							</p>
						{/if}
					</section>
				{/if}
			{:else}
				<p class="mb-3">Most rules say what happens on a map, so a map comes first.</p>
				<button class="button button-main" onclick={() => w.open('map')}>Go to Map</button>
			{/each}
			{#if wanted && !rules.length}<p class="text-dim">No rule says that.</p>{/if}
			<div {@attach cards.end} {@attach parts.end}></div>
		{/if}
	</main>
	<aside class="min-h-0 overflow-y-auto border-l border-line p-3" aria-label="Flags and counters">
		<CharacterList />
		<ValueList of="flag" all={w.project.head.flags} />
		<ValueList of="counter" all={w.project.head.counters} />
		<WordList what="item" />
		<WordList what="signal" />
	</aside>
	<AskPanel />
</div>
