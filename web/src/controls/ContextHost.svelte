<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import { contextMenu } from './contextMenu.svelte'
	import { keys } from './keys.svelte'

	// The menu of all that lies in a Context: it is asked what is in it when it opens.
	let open = $state(false)
	let host = $state<HTMLElement | null>(null)
	const list = $derived(open ? contextMenu.choices() : [])

	$effect(() => {
		contextMenu.host = host ?? undefined
	})
</script>

<ContextMenu.Root bind:open>
	<ContextMenu.Trigger bind:ref={host} class="fixed top-0 left-0 size-0" />
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
