<script lang="ts">
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import MapPin from '@lucide/svelte/icons/map-pin'
	import { Growing } from '../controls/growing.svelte'
	import Hint from '../controls/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { gripOf } from '../hand/looks'
	import { counted } from '../project/counted'
	import { workspace } from '../workspace/workspace.svelte'

	// Who speaks, or can be spoken to: how they look and what they are called, which is what the player reads beside them.
	const w = workspace()
	const all = $derived.by(() => {
		void w.project.turn
		return w.project.ask('characters')
	})

	const rows = new Growing(30, () => all.length)

	function rename(map: string, id: string, input: HTMLInputElement, before: string) {
		if (input.value.trim() !== before && input.value.trim())
			w.project.try('setField', { map, ids: [id], do: { field: 'name', value: input.value.trim() } })
		queueMicrotask(() => (input.value = w.project.ask('characters').find((c) => c.id === id)?.name ?? before))
	}
</script>

{#if all.length}
	<section class="mb-5" aria-label="Characters">
		<h2 class="mb-1 heading">Characters</h2>
		<p class="mb-2 text-[12px] text-dim">
			Who speaks or can be spoken to, as the player sees them beside what they say.
		</p>
		<ul class="flex flex-col gap-1">
			{#each all.slice(0, rows.many) as c (c.map + c.id)}
				<li class="flex items-center gap-1">
					{#key `${c.kind} ${c.look}`}<GripPicture grip={gripOf(c)} size={26} />{/key}
					<input
						class="field min-w-0 grow"
						value={c.name}
						maxlength="80"
						aria-label="Name of the character"
						title="{c.on}: {counted(c.lines, 'line')}{c.guises ? `, ${counted(c.guises, 'guise')}` : ''}"
						onblur={(e) => rename(c.map, c.id, e.currentTarget, c.name)}
						onkeydown={(e) => e.key === 'Enter' && e.currentTarget.blur()}
					/>
					<span class="w-12 shrink-0 text-right text-[12px] {c.lines ? 'text-dim' : 'text-saffron'}"
						>{c.lines ? counted(c.lines, 'line') : 'silent'}</span
					>
					<Hint
						label="Ask {c.name}"
						class="button-plain shrink-0"
						onclick={() => (w.asking = { type: 'entity', map: c.map, id: c.id })}><CircleHelp size={15} /></Hint
					>
					<Hint label="Show {c.name} on {c.on}" class="button-plain shrink-0" onclick={() => w.goTo(c.map, c.id)}
						><MapPin size={15} /></Hint
					>
				</li>
			{/each}
		</ul>
		<div {@attach rows.end}></div>
	</section>
{/if}
