<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import type { Snippet } from 'svelte'
	import { keys } from './keys.svelte'
	import type { Choice } from './Menu.svelte'

	// What lies in it has a menu: by the secondary button, a long press, or the menu key.
	let {
		choices,
		class: classes = '',
		children,
	}: { choices: () => Choice[]; class?: string; children: Snippet } = $props()
	let open = $state(false)
	const list = $derived(open ? choices() : [])
</script>

<ContextMenu.Root bind:open>
	<ContextMenu.Trigger class={classes}>{@render children()}</ContextMenu.Trigger>
	<ContextMenu.Portal>
		<ContextMenu.Content class="menu-list" preventScroll={false}>
			{#each list as c, i (i)}
				{#if c.heading}
					<div class="menu-heading">{c.heading}</div>
				{:else}
					<ContextMenu.Item class="menu-item" onSelect={() => c.run?.()} textValue={c.label}>
						<span class="grow {c.chosen ? 'font-semibold' : ''}">{c.label}</span>
						{#if c.hint}<span class="opacity-75">{c.hint}</span>{/if}
						{#if c.keys}<span class="key">{keys.now(c.keys)}</span>{/if}
					</ContextMenu.Item>
				{/if}
			{/each}
		</ContextMenu.Content>
	</ContextMenu.Portal>
</ContextMenu.Root>
