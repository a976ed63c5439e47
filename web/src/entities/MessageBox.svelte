<script lang="ts">
	// The message box of the game: what the player reads, folded by the core. A
	// small one is as large as its place lets all columns be seen.
	import type { ID } from '../core/types'
	import GripPicture from '../hand/GripPicture.svelte'
	import { gripOf } from '../hand/looks'

	let {
		text,
		columns = 38,
		small = false,
		speaker = null,
	}: {
		text: string
		columns?: number
		small?: boolean
		/** Who says it. */
		speaker?: { name: string; kind: ID; look: number } | null
	} = $props()
</script>

<div class={small ? '@container' : ''}>
	{#if speaker}
		<div
			class="relative z-10 -mb-1 ml-3 flex w-fit items-center gap-2 bg-ink py-1 pr-3 pl-1 text-plaster"
			data-testid="speaker"
		>
			<GripPicture grip={gripOf(speaker)} size={32} />
			<b class="text-[15px]">{speaker.name}</b>
		</div>
	{/if}
	<div class="cut {small ? 'text-[min(12px,calc((100cqw-20px)/23))]' : ''}">
		<div class="relative {small ? 'px-2 py-2' : 'flex items-end gap-2 px-5 py-4 text-[min(16px,3.5vw)]'}">
			<p class="min-h-[3.9em] font-mono leading-[1.3] whitespace-pre" style:width="{columns}ch">{text}</p>
			<span class="key text-dim {small ? 'absolute right-1 bottom-1' : ''}">E</span>
		</div>
	</div>
</div>
