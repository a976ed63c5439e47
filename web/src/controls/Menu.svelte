<script lang="ts" module>
	/** A line of a menu: a heading when it only has one, else something to do. */
	export interface Choice {
		heading?: string
		label?: string
		hint?: string
		keys?: string
		chosen?: boolean
		run?: () => void
	}
</script>

<script lang="ts">
	import { DropdownMenu } from 'bits-ui'
	import type { Snippet } from 'svelte'
	import { keys } from './keys.svelte'

	let {
		choices,
		trigger,
		side = 'top',
	}: { choices: Choice[]; trigger: Snippet; side?: 'top' | 'bottom' | 'left' | 'right' } = $props()
</script>

<DropdownMenu.Root>
	{@render trigger()}
	<DropdownMenu.Portal>
		<DropdownMenu.Content class="menu-list" {side} align="start" sideOffset={4} preventScroll={false}>
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
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
