<script lang="ts">
	import type { Pages } from '../core/types'
	import { workspace } from '../workspace.svelte'
	import MessageBox from './MessageBox.svelte'

	// Text that players read, written beside the real message box: what does not
	// fit on a page is told at once, and can be broken where the pages end.
	let { value, mixed = false, change }: { value: string; mixed?: boolean; change: (text: string) => void } = $props()
	const w = workspace()
	let writing = $state('')
	let focused = $state(false)
	let page = $state(0)
	const text = $derived(focused ? writing : value)
	const pages = $derived(w.project.ask<Pages>('pages', text))
	const shown = $derived(pages.pages[Math.min(page, pages.pages.length - 1)] ?? [])

	function breakIt() {
		writing = pages.broken
		change(writing)
	}

	function leave() {
		focused = false
		if (writing.trim() !== value) change(writing.trim())
	}
</script>

<div class="flex min-w-0 grow flex-col gap-1.5">
	<textarea
		class="field h-16 w-full resize-y py-1"
		aria-label="says"
		maxlength="500"
		placeholder={mixed ? 'differs' : 'What the player reads'}
		value={text}
		onfocus={() => ([writing, focused] = [value, true])}
		oninput={(e) => (writing = e.currentTarget.value)}
		onblur={leave}
		onkeydown={(e) => {
			e.stopPropagation()
			if (e.key === 'Escape') {
				writing = value
				e.currentTarget.blur()
			}
		}}></textarea>
	{#if pages.pages.length}
		<div class="overflow-x-auto" data-testid="message-preview">
			<MessageBox text={shown.join('\n')} columns={pages.columns} small />
		</div>
		<div class="flex flex-wrap items-center gap-1.5 text-[12px]">
			{#if pages.pages.length > 1}
				<button class="button h-6 px-1.5" disabled={page <= 0} aria-label="Page before" onclick={() => page--}>‹</button
				>
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
				<button class="button h-6" onmousedown={(e) => e.preventDefault()} onclick={breakIt}>Break it here</button>
			{:else if pages.long}
				<span class="truncate text-brick">“{pages.long}” is longer than a line</span>
			{/if}
		</div>
	{/if}
</div>
