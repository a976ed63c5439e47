<script lang="ts">
	import Undo from '@lucide/svelte/icons/undo'
	import { workspace } from '../workspace/workspace.svelte'

	// What the game itself says, each changed by writing over it.
	const w = workspace()
	const words = $derived.by(() => {
		void w.project.head
		return w.project.ask('gameWords')
	})

	function write(key: string, input: HTMLInputElement, was: string) {
		if (input.value.trim() === was) return
		w.project.try('setGameWord', { key, says: input.value })
		queueMicrotask(() => (input.value = w.project.ask('gameWords').find((o) => o.key === key)?.says ?? was))
	}
</script>

<p class="text-dim">
	In other languages it is said under <button
		class="text-glaze underline"
		onclick={() => ((w.layout.ruling = 'texts'), w.open('rules'))}>Texts</button
	>.
</p>
{#each words as o (o.key)}
	<div class="flex items-center gap-1">
		<input
			class="field min-w-0 grow {o.differs ? 'font-semibold' : ''}"
			value={o.says}
			maxlength="80"
			aria-label="The game says: {o.says}"
			onblur={(e) => write(o.key, e.currentTarget, o.says)}
			onkeydown={(e) => {
				e.stopPropagation()
				if (e.key === 'Escape') e.currentTarget.value = o.says
				if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
			}}
		/>
		{#if o.differs}<button
				class="button-plain w-6"
				aria-label="Put back what it says by itself"
				title="Put back what it says by itself"
				onclick={() => w.project.try('setGameWord', { key: o.key, says: '' })}><Undo size={14} /></button
			>{/if}
	</div>
{/each}
