<script lang="ts">
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { Growing } from '../controls/growing.svelte'
	import Hint from '../controls/Hint.svelte'
	import type { Counter, Flag } from '../core/types'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// The flags or the counters of the project: their names, what counters start with, where they are used.
	let { of, all }: { of: 'flag' | 'counter'; all: (Flag | Counter)[] } = $props()
	const w = workspace()
	const rows = new Growing(30, () => all.length)
	const names = { flag: 'Flag', counter: 'Counter' }
	const uses = $derived.by(() => {
		void w.project.turn
		return w.project.ask('flagUses')
	})

	/** The one that was just made: its name is written at once. */
	let fresh = $state('')
	function add() {
		const made = w.project.try(of === 'flag' ? 'addFlag' : 'addCounter', { name: `${names[of]} 1` })
		if (!made?.made) return
		fresh = made.made
		rows.many = Math.max(rows.many, all.findIndex((f) => f.id === fresh) + 1)
	}

	const named = (input: HTMLInputElement) => {
		input.focus()
		input.select()
		fresh = ''
	}

	function rename(id: string, input: HTMLInputElement, before: string) {
		if (input.value === before) return
		w.project.try('set', { ref: { type: of, id }, field: 'name', value: input.value, text: `Renamed ${of} ${before}` })
		input.value = all.find((f) => f.id === id)?.name ?? before
	}

	function start(c: Counter, input: HTMLInputElement) {
		const value = Math.trunc(input.valueAsNumber)
		if (value === c.start) return
		if (Number.isFinite(value))
			w.project.try('set', {
				ref: { type: 'counter', id: c.id },
				field: 'start',
				value,
				text: `Changed the start of ${c.name}`,
			})
		input.value = String(w.project.head.counters.find((o) => o.id === c.id)?.start ?? c.start)
	}
</script>

<section class="mb-5" aria-label="{names[of]}s">
	<div class="mb-1 flex items-center">
		<h2 class="grow heading">{names[of]}s</h2>
		<Hint label="New {of}" class="button-plain" onclick={add}><Plus size={16} /></Hint>
	</div>
	<p class="mb-2 text-[12px] text-dim">
		{of === 'flag'
			? 'A flag is a yes or no that rules set and ask. All are “no” when the game starts.'
			: 'A counter is a number that rules change and ask. The game starts with what stands here.'}
	</p>
	<ul class="flex flex-col gap-1">
		{#each all.slice(0, rows.many) as f (f.id)}
			<li class="flex items-center gap-1">
				<input
					class="field min-w-0 grow"
					value={f.name}
					maxlength="80"
					aria-label="Name of the {of}"
					{@attach f.id === fresh ? named : null}
					onblur={(e) => rename(f.id, e.currentTarget, f.name)}
					onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
				/>
				{#if 'start' in f}
					<input
						class="field w-16 shrink-0 text-right font-mono"
						type="number"
						min="-1000000"
						max="1000000"
						value={f.start}
						aria-label="{f.name} starts with"
						onblur={(e) => start(f, e.currentTarget)}
						onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
					/>
				{/if}
				<Hint
					label="Ask {f.name}"
					class="button-plain shrink-0"
					onclick={() => (w.asking = { type: of, map: '', id: f.id })}
				>
					<CircleHelp size={15} />
				</Hint>
				<span
					class="w-12 shrink-0 text-right text-[12px] {uses[f.id]?.length ? 'text-dim' : 'text-saffron'}"
					title={uses[f.id]?.map((u) => u.text).join(', ')}
					>{uses[f.id]?.length ? counted(uses[f.id].length, 'use') : 'unused'}</span
				>
				<Hint
					label="Delete {of} {f.name}"
					class="button-plain shrink-0 hover:text-brick"
					onclick={() => w.project.try('remove', { ref: { type: of, id: f.id }, text: `Deleted ${of} ${f.name}` })}
				>
					<Trash2 size={15} />
				</Hint>
			</li>
		{/each}
	</ul>
	<div {@attach rows.end}></div>
</section>
