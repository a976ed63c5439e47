<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import { keys } from './keys.svelte'
	import type { Choice } from './Menu.svelte'

	// The lines of a menu, whatever opens it.
	let { choices }: { choices: Choice[] } = $props()
</script>

{#each choices as c, i (i)}
	{#if c.heading}
		<div class="menu-heading">{c.heading}</div>
	{:else}
		<DropdownMenu.Item class="menu-item" onSelect={() => c.run?.()} textValue={c.label}>
			<span class="grow {c.chosen ? 'font-semibold' : ''}">{c.label}</span>
			{#if c.hint}<span class="opacity-75">{c.hint}</span>{/if}
			{#if c.keys}<span class="key">{keys.now(c.keys)}</span>{/if}
		</DropdownMenu.Item>
	{/if}
{/each}
