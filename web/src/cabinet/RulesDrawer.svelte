<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import { Growing } from '../controls/growing.svelte'
	import RuleCard from '../rules/RuleCard.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const text = (r: (typeof w.project.head.rules)[number]) =>
		r.sentence
			.map((s) => s.text)
			.join(' ')
			.toLowerCase()
	const rules = $derived(
		w.project.head.rules.filter((r) =>
			// the one that is chosen stays while its words are changed, whatever it is about then
			wanted ? text(r).includes(wanted) : !w.map || r.maps.includes(w.map.id) || r.id === w.rule,
		),
	)
	const everywhere = $derived(wanted ? [] : w.project.head.rules.filter((r) => !r.maps.length && r.id !== w.rule))

	const cards = new Growing(8, () => rules.length)
	const all = new Growing(8, () => everywhere.length)
	let ofAll = $state(false)

	function add() {
		const made = w.project.try('startRule', { map: w.map!.id })
		if (made?.made) w.rule = made.made
	}
</script>

<section class="flex flex-col gap-2 p-2" aria-label="Rules of this map">
	{#each rules.slice(0, Math.max(cards.many, rules.findIndex((r) => r.id === w.rule) + 1)) as rule (rule.id)}
		<RuleCard {rule} />
	{/each}
	<div {@attach cards.end}></div>
	{#if !wanted && w.map}
		{#if !rules.length}
			<p class="text-dim">
				No rule is about {w.map.name} yet. Drag from a switch’s round nub to a door, or write one here.
			</p>
		{/if}
		<button class="button" onclick={add}><Plus size={15} /> New rule on {w.map.name}</button>
	{/if}
	{#if everywhere.length}
		<details bind:open={ofAll}>
			<summary class="cursor-pointer py-1 text-dim">Of the whole game: {everywhere.length}</summary>
			<div class="flex flex-col gap-2 pt-1">
				{#if ofAll}
					{#each everywhere.slice(0, all.many) as rule (rule.id)}
						<RuleCard {rule} />
					{/each}
					<div {@attach all.end}></div>
				{/if}
			</div>
		</details>
	{/if}
</section>
