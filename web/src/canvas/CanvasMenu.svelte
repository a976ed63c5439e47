<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import { workspace } from '../workspace.svelte'

	const w = workspace()
	const one = $derived(w.selection.length === 1 ? w.selection[0] : null)
	let at = w.cell

	interface Item {
		label: string
		keys?: string
		run: () => void
	}

	function items(): Item[] {
		const out: Item[] = []
		const m = w.map
		if (!m) return out
		if (one?.kind === 'exit')
			out.push({ label: 'Choose where it leads…', run: () => (w.joining = { map: m.id, entity: one.id }) })
		if (one?.kind === 'switch' || one?.kind === 'collectible') {
			out.push({
				label: 'New rule for it',
				run: () => {
					const on = one.kind === 'switch' ? 'use' : 'take'
					const made = w.project.try('addRule', { when: { on, map: m.id, entity: one.id } })
					if (made?.made) [w.rule, w.drawer] = [made.made, 'rules']
				},
			})
		}
		if (w.selection.length) {
			out.push({ label: 'Duplicate', keys: 'Ctrl+D', run: () => w.duplicateSelected() })
			out.push({ label: 'Copy', keys: 'Ctrl+C', run: () => void w.copySelected() })
			out.push({ label: 'Delete', keys: 'Del', run: () => w.removeSelected() })
		}
		out.push({ label: 'Pick up what is here', keys: 'I', run: () => w.pickUp(at) })
		out.push({ label: 'Play from here', keys: 'Shift+P', run: () => w.togglePlay(at) })
		out.push({ label: w.grid ? 'Hide the grid' : 'Show the grid', keys: 'G', run: () => (w.grid = !w.grid) })
		return out
	}
</script>

<ContextMenu.Portal>
	<ContextMenu.Content class="menu-list" preventScroll={false} onOpenAutoFocus={() => (at = w.cell)}>
		{#each items() as item (item.label)}
			<ContextMenu.Item class="menu-item" onSelect={item.run}>
				<span class="grow">{item.label}</span>
				{#if item.keys}<span class="key">{item.keys}</span>{/if}
			</ContextMenu.Item>
		{/each}
	</ContextMenu.Content>
</ContextMenu.Portal>
