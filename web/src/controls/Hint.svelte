<script lang="ts">
	import { Tooltip } from 'bits-ui'
	import type { Snippet } from 'svelte'
	import { keys as chosen } from './keys.svelte'

	// A button with a tooltip that also tells its shortcut; the name is for screen readers too.
	let {
		label,
		keys = '',
		side = 'bottom',
		class: classes = '',
		disabled = false,
		expanded,
		pressed,
		onclick,
		oncontextmenu,
		children,
	}: {
		label: string
		keys?: string
		side?: 'top' | 'bottom' | 'left' | 'right'
		class?: string
		disabled?: boolean
		expanded?: boolean
		pressed?: boolean
		onclick: () => void
		oncontextmenu?: (e: MouseEvent) => void
		children: Snippet
	} = $props()
	// what it says is made once it is wanted: most buttons of a panel are never pointed at
	let wanted = $state(false)
</script>

<Tooltip.Root onOpenChange={(on) => (wanted ||= on)}>
	<Tooltip.Trigger
		class={classes}
		{disabled}
		{onclick}
		{oncontextmenu}
		aria-label={label}
		aria-expanded={expanded}
		aria-pressed={pressed}
	>
		{@render children()}
	</Tooltip.Trigger>
	{#if wanted}
		<Tooltip.Portal>
			<Tooltip.Content {side} sideOffset={6} class="z-60 flex items-center gap-2 bg-ink px-2 py-1 text-plaster">
				{label}
				{#if keys}<span class="key">{chosen.now(keys)}</span>{/if}
			</Tooltip.Content>
		</Tooltip.Portal>
	{/if}
</Tooltip.Root>
