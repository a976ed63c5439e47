<script lang="ts">
	import { workspace } from '../workspace/workspace.svelte'

	// A text as it is written in the list: kept when one leaves it, taken back by Escape.
	let {
		text,
		room,
		is,
		label,
		fixed = false,
		unsure = false,
		keep,
	}: {
		text: string
		room: { pages: number; over: boolean; long: string }
		is: string
		label: string
		/** It cannot be written here. */
		fixed?: boolean
		/** What it is of was changed since. */
		unsure?: boolean
		/** Takes what was written; false where that was refused. */
		keep: (text: string) => boolean
	} = $props()
	const w = workspace()
	let writing = $state<string | null>(null)
	const now = $derived(writing ?? text)
	const lies = $derived.by(() => {
		if (writing === null || is !== 'said' || !writing) return room
		const p = w.project.ask('pages', writing)
		return { pages: p.pages.length, over: p.over, long: p.long }
	})
	const note = $derived(
		lies.long
			? `“${lies.long.slice(0, 20)}…” is longer than a line`
			: lies.over
				? 'goes on with another page by itself'
				: lies.pages > 1
					? `${lies.pages} pages`
					: '',
	)

	function leave() {
		const wrote = writing
		writing = null
		if (wrote !== null && wrote !== text) keep(wrote)
	}
</script>

{#if fixed}
	<p class="px-2 py-1">{text}</p>
{:else}
	<textarea
		class="block [field-sizing:content] field h-auto w-full resize-none py-1 leading-snug {unsure
			? 'border-saffron'
			: ''}"
		rows={1}
		maxlength="10000"
		aria-label={label}
		value={now}
		oninput={(e) => (writing = e.currentTarget.value)}
		onblur={leave}
		onkeydown={(e) => {
			if (e.key !== 'Escape' || writing === null) return
			e.stopPropagation()
			writing = null
		}}></textarea>
{/if}
{#if note || unsure}
	<p class="flex gap-2 text-[12px] {lies.over || lies.long || unsure ? 'text-saffron' : 'text-dim'}">
		{#if unsure}<button class="underline" onclick={() => keep(text)}>changed since: it is right so</button>
		{/if}<span>{note}</span>
	</p>
{/if}
