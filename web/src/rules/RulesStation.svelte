<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Hint from '../controls/Hint.svelte'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'
	import RuleCard from './RuleCard.svelte'

	const w = workspace()
	const rules = $derived(w.project.head.rules)
	const flags = $derived(w.project.head.flags)
	const maps = $derived(w.project.head.maps)
	const uses = $derived.by(() => {
		void w.project.turn
		return w.project.ask('flagUses')
	})

	function addRule(map: string) {
		const made = w.project.try('startRule', { map })
		if (made?.made) w.rule = made.made
	}

	function addFlag() {
		w.project.try('addFlag', { name: 'Flag 1' })
	}

	function rename(id: string, input: HTMLInputElement, before: string) {
		if (input.value === before) return
		w.project.try('set', {
			ref: { type: 'flag', id },
			field: 'name',
			value: input.value,
			text: `Renamed flag ${before}`,
		})
		input.value = w.project.head.flags.find((f) => f.id === id)?.name ?? before
	}
</script>

<div class="grid min-h-0 grid-cols-[1fr_280px]">
	<main class="min-h-0 overflow-y-auto p-4" aria-label="Rules">
		{#each maps as m (m.id)}
			{@const here = rules.filter((r) => r.place === m.id)}
			<section class="mb-6">
				<div class="mb-2 flex items-center gap-3">
					<h2 class="text-[15px] font-semibold">{m.name}</h2>
					<span class="h-px grow bg-line"></span>
					<button class="button" onclick={() => addRule(m.id)}><Plus size={15} /> New rule</button>
				</div>
				{#if here.length}
					<div class="grid grid-cols-2 items-start gap-3">
						{#each here as rule (rule.id)}<RuleCard {rule} />{/each}
					</div>
				{:else}
					<p class="text-dim">
						Nothing happens here by rule yet. On the map, drag from a switch’s nub to a door, or press New rule.
					</p>
				{/if}
			</section>
		{:else}
			<p class="mb-3">Rules say what happens on a map, so a map comes first.</p>
			<button class="button button-main" onclick={() => w.open('map')}>Go to Map</button>
		{/each}
		{#each rules.filter((r) => !maps.some((m) => m.id === r.place)) as rule (rule.id)}<RuleCard {rule} />{/each}
	</main>
	<aside class="min-h-0 overflow-y-auto border-l border-line p-3" aria-label="Flags">
		<div class="mb-1 flex items-center">
			<h2 class="grow heading">Flags</h2>
			<Hint label="New flag" class="button-plain" onclick={addFlag}><Plus size={16} /></Hint>
		</div>
		<p class="mb-2 text-[12px] text-dim">
			A flag is a yes or no that rules set and ask. All are “no” when the game starts.
		</p>
		<ul class="flex flex-col gap-1">
			{#each flags as f (f.id)}
				<li class="flex items-center gap-1">
					<input
						class="field grow"
						value={f.name}
						maxlength="80"
						aria-label="Name of the flag"
						onblur={(e) => rename(f.id, e.currentTarget, f.name)}
						onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
					/>
					<span class="w-14 text-right text-[12px] text-dim" title={uses[f.id]?.map((u) => u.text).join(', ')}
						>{counted(uses[f.id]?.length ?? 0, 'use')}</span
					>
					<Hint
						label="Delete flag {f.name}"
						class="button-plain hover:text-brick"
						onclick={() => w.project.try('remove', { ref: { type: 'flag', id: f.id }, text: `Deleted flag ${f.name}` })}
					>
						<Trash2 size={15} />
					</Hint>
				</li>
			{/each}
		</ul>
	</aside>
</div>
