<script lang="ts">
	// The message box of the game: what the player reads, folded by the core. A
	// small one is as large as its place lets all columns be seen.
	let { text, columns = 38, small = false }: { text: string; columns?: number; small?: boolean } = $props()
</script>

<div class={small ? '@container' : ''}>
	<div class="cut {small ? 'text-[min(12px,calc((100cqw-20px)/23))]' : ''}">
		<div class="relative {small ? 'px-2 py-2' : 'flex items-end gap-2 px-5 py-4 text-[16px]'}">
			<p class="min-h-[3.9em] font-mono leading-[1.3] whitespace-pre" style:width="{columns}ch">{text}</p>
			<span class="key text-dim {small ? 'absolute right-1 bottom-1' : ''}">E</span>
		</div>
	</div>
</div>
