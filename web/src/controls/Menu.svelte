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
	import MenuLines from './MenuLines.svelte'

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
			<MenuLines {choices} />
		</DropdownMenu.Content>
	</DropdownMenu.Portal>
</DropdownMenu.Root>
