<script lang="ts">
	import { Command, Popover } from 'bits-ui'
	import type { Snippet } from 'svelte'
	import type { Offer } from './choices'

	// A list of what a word can be, that is searched by typing: by what it is called, and by what it means.
	let {
		offers,
		label,
		class: classes,
		children,
	}: { offers: () => Offer[]; label: string; class: string; children: Snippet } = $props()
	const most = 150
	let open = $state(false)
	/** The list is made when it is opened first: a rule has dozens of words that nobody presses. */
	let used = $state(false)
	let query = $state('')
	let button = $state<HTMLElement | null>(null)
	const id = $props.id()

	const all = $derived(open ? offers() : [])
	const found = $derived.by(() => {
		const words = query.toLowerCase().split(/\s+/).filter(Boolean)
		if (!words.length) return all.slice(0, most)
		const hits = all.filter((o) =>
			words.every((word) => `${o.group} ${o.label} ${o.also}`.toLowerCase().includes(word)),
		)
		// what is called so comes before what only means it
		const rank = (o: Offer) => (o.label.toLowerCase().includes(words[0]) ? 0 : 1)
		return hits.sort((a, b) => rank(a) - rank(b)).slice(0, most)
	})

	function choose(o: Offer) {
		open = false
		o.run()
	}
</script>

<button
	bind:this={button}
	class={classes}
	aria-label={label || undefined}
	aria-haspopup="dialog"
	aria-expanded={open}
	onclick={() => ([used, open] = [true, !open])}>{@render children()}</button
>
{#if used}
	<Popover.Root bind:open onOpenChange={() => (query = '')}>
		<Popover.Portal>
			<Popover.Content
				class="menu-list w-72 !p-0"
				customAnchor={button}
				side="bottom"
				align="start"
				sideOffset={4}
				preventScroll={false}
				onCloseAutoFocus={(e) => {
					e.preventDefault()
					button?.focus()
				}}
			>
				<Command.Root shouldFilter={false} label="Choose" loop>
					{#if all.length > 8}
						<Command.Input
							class="h-9 w-full border-b border-line bg-transparent px-2 outline-none placeholder:text-dim"
							placeholder="Type to find…"
							aria-controls={id}
							bind:value={query}
						/>
					{:else}
						<!-- svelte-ignore a11y_autofocus -->
						<Command.Input class="sr-only" aria-label="Choose" aria-controls={id} autofocus bind:value={query} />
					{/if}
					<Command.List class="max-h-80 overflow-y-auto p-1" {id} tabindex={0} aria-label="What it can be">
						{#each found as o, i (i + o.label)}
							{#if o.group && o.group !== found[i - 1]?.group && !query}<div class="menu-heading">{o.group}</div>{/if}
							<Command.Item
								value="{i} {o.label}"
								class="menu-item data-[selected]:bg-glaze data-[selected]:text-on-glaze"
								onSelect={() => choose(o)}
							>
								<span class="grow">{o.label}</span>
								{#if query && o.group}<span class="text-[12px] opacity-75">{o.group}</span>{/if}
							</Command.Item>
						{:else}
							<p class="px-2 py-3 text-dim">{query ? 'Nothing here means that.' : 'There is nothing to choose yet.'}</p>
						{/each}
					</Command.List>
				</Command.Root>
			</Popover.Content>
		</Popover.Portal>
	</Popover.Root>
{/if}
