<script lang="ts">
	import { roving } from '../controls/roving'
	import Settings2 from '@lucide/svelte/icons/settings-2'
	import Context from '../controls/Context.svelte'
	import { kindMenu } from '../kinds/kindMenu'
	import Hint from '../controls/Hint.svelte'
	import { groupsOf } from '../kinds/groups'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const groups = $derived(groupsOf(w.project.head, wanted))
	const counts = $derived.by(() => {
		const out: Record<string, number> = {}
		for (const e of w.map ? w.project.entities(w.map.id) : []) out[e.kind] = (out[e.kind] ?? 0) + 1
		return out
	})
</script>

<div {@attach roving}>
	{#each groups as g (g.name)}
		<h3 class="px-2.5 pt-2 heading">{g.name}</h3>
		<ul class="flex flex-col p-1" aria-label="Kinds: {g.name}">
			{#each g.kinds as k (k.id)}
				{@const held = w.hand.grip.what === 'entity' && w.hand.grip.kind === k.id}
				<li class="flex items-center">
					<Context choices={() => kindMenu(w, k, true)} class="flex min-w-0 grow"
						><button
							class="flex min-w-0 grow items-center gap-2.5 p-1.5 text-left hover:bg-well {held
								? 'bg-chalk outline-2 -outline-offset-2 outline-held'
								: ''}"
							aria-pressed={held}
							onclick={() => {
								w.hold({ what: 'entity', kind: k.id })
								w.canvas?.focus()
							}}
						>
							<GripPicture grip={{ what: 'entity', kind: k.id, shape: 'freehand' }} size={28} />
							<span class="min-w-0 grow leading-tight">
								<span class="block font-semibold">{k.name}</span>
								<span class="block text-[12px] text-dim">{k.help}</span>
							</span>
							<span class="font-mono text-[11px] text-dim" title="On this map">{counts[k.id] ?? ''}</span>
						</button></Context
					>
					<Hint
						label="Set up kind {k.name}"
						class="button-plain"
						onclick={() => {
							w.kindId = k.id
							w.kindBeside = w.kindBeside === k.id ? '' : k.id
						}}><Settings2 size={15} /></Hint
					>
				</li>
			{/each}
		</ul>
	{/each}
</div>
