<script lang="ts">
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace.svelte'

	let { wanted = '' }: { wanted?: string } = $props()
	const w = workspace()
	const kinds = $derived(w.project.head.kinds.filter((k) => `${k.name} ${k.help}`.toLowerCase().includes(wanted)))
	const counts = $derived.by(() => {
		const out: Record<string, number> = {}
		for (const e of w.map ? w.project.entities(w.map.id) : []) out[e.kind] = (out[e.kind] ?? 0) + 1
		return out
	})
</script>

{#if kinds.length}
	<ul class="flex flex-col p-1" aria-label="Kinds">
		{#each kinds as k (k.id)}
			{@const held = w.hand.grip.what === 'entity' && w.hand.grip.kind === k.id}
			<li>
				<button
					class="flex w-full items-center gap-2.5 p-1.5 text-left hover:bg-well {held
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
					<span class="font-mono text-[11px] text-dim" title="On this map">{counts[k.id] ?? 0}</span>
				</button>
			</li>
		{/each}
	</ul>
{/if}
