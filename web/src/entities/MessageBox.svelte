<script lang="ts">
	// The message box of the game: what the player reads, folded by the core.
	let { text, columns = 38, small = false }: { text: string; columns?: number; small?: boolean } = $props()
</script>

<div class="cut {small ? '' : 'shadow-none'}">
	<div class="flex items-end gap-2 {small ? 'px-2.5 py-2 text-[11px]' : 'px-5 py-4 text-[16px]'}">
		<p class="min-h-[3.9em] font-mono leading-[1.3] whitespace-pre" style:width="{columns}ch">{text}</p>
		<span class="key text-dim">E</span>
	</div>
</div>
