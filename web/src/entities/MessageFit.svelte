<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'
	import MessageBox from './MessageBox.svelte'

	// A text in the real message box, page by page: what does not fit on a page is
	// told at once, and can be broken where the pages end.
	let { text, change }: { text: string; change: (text: string) => void } = $props()
	const w = workspace()
	let page = $state(0)
	const pages = $derived(w.project.ask('pages', text))
	const shown = $derived(pages.pages[Math.min(page, pages.pages.length - 1)] ?? [])
</script>

{#if pages.pages.length}
	<div class="overflow-x-auto" data-testid="message-preview">
		<MessageBox text={shown.join('\n')} columns={pages.columns} small />
	</div>
	<div class="flex flex-wrap items-center gap-1.5 text-[12px]">
		{#if pages.pages.length > 1}
			<button class="button h-6 px-1.5" disabled={page <= 0} aria-label="Page before" onclick={() => page--}>‹</button>
			<span class="font-mono text-dim">{Math.min(page, pages.pages.length - 1) + 1} of {pages.pages.length}</span>
			<button
				class="button h-6 px-1.5"
				disabled={page >= pages.pages.length - 1}
				aria-label="Page after"
				onclick={() => page++}>›</button
			>
		{/if}
		{#if pages.over}
			<span class="text-brick">does not fit on one page</span>
			<button class="button h-6" onmousedown={(e) => e.preventDefault()} onclick={() => change(pages.broken)}
				>Break it here</button
			>
		{:else if pages.long}
			<span class="truncate text-brick">“{pages.long}” is longer than a line</span>
		{/if}
	</div>
{/if}
