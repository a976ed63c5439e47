<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import { contextMenu } from './contextMenu.svelte'
	import MenuLines from './MenuLines.svelte'

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
			<MenuLines choices={list} />
		</ContextMenu.Content>
	</ContextMenu.Portal>
</ContextMenu.Root>
