<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import { pinReach } from './pins'
	import { solidHere } from './solid'
	import { keys } from '../controls/keys.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	const w = workspace()
	const one = $derived(w.selection.length === 1 ? w.selection[0] : null)
	/** Where the menu was opened. */
	let at = $state.raw(w.cell)

	interface Item {
		label: string
		keys?: string
		run: () => void
	}

	function items(): Item[] {
		const out: Item[] = []
		const m = w.map
		if (!m) return out
		if (w.hand.holding) {
			out.push({ label: 'Remove what is here', keys: 'Del', run: () => at && w.canvas?.remove(at) })
			out.push({ label: 'Let go of what is held', keys: 'Esc', run: () => w.hand.letGo() })
		}
		if (one && w.leads(one))
			out.push({ label: 'Choose where it leads…', run: () => (w.joining = { map: m.id, entity: one.id }) })
		if (one) {
			out.push({
				label: `Ask ${one.name}`,
				keys: 'A',
				run: () => (w.asking = { type: 'entity', map: m.id, id: one.id }),
			})
		}
		if (one && w.project.kind(one.kind)?.wakes) {
			out.push({ label: 'New rule for it', run: () => w.chosen.newRuleFor(one) })
		}
		for (const b of one ? w.project.ask('bundles', { map: m.id, entity: one.id }) : [])
			out.push({ label: `Ready-made: ${b.label}`, run: () => w.chosen.makeBundle(one!, b.key) })
		if (w.selection.length) {
			if (one && w.pile.length > 1) {
				for (const e of w.pile.filter((o) => o.id !== one.id).slice(0, 6))
					out.push({ label: `Select ${e.name} beneath`, run: () => w.select([e.id], true) })
			}
			out.push({ label: 'Select all of the same kind', keys: 'Ctrl+Shift+K', run: () => w.chosen.selectAlike('kind') })
			out.push({ label: 'To the front', keys: 'Shift+PageUp', run: () => w.chosen.changeEntities('toFront', true) })
			out.push({ label: 'To the back', keys: 'Shift+PageDown', run: () => w.chosen.changeEntities('toFront', false) })
			if (w.selected.length > 1)
				out.push({ label: 'Group', keys: 'Ctrl+G', run: () => w.chosen.changeEntities('group', 'Group') })
			if (w.selection.some((e) => e.group))
				out.push({ label: 'Ungroup', run: () => w.chosen.changeEntities('group', '') })
			out.push({
				label: w.selection.every((e) => e.locked) ? 'Unlock' : 'Lock',
				run: () => w.chosen.changeEntities('setField', { field: 'locked', value: !w.selection.every((e) => e.locked) }),
			})
			out.push({ label: 'Hide', run: () => w.chosen.changeEntities('setField', { field: 'hidden', value: true }) })
			out.push({ label: 'Duplicate', keys: 'Ctrl+D', run: () => w.chosen.duplicateSelected() })
			out.push({ label: 'Copy', keys: 'Ctrl+C', run: () => void w.clipboard.copySelected() })
			out.push({ label: 'Delete', keys: 'Del', run: () => w.chosen.removeSelected() })
		}
		if (w.area) {
			out.push({ label: 'Hold a copy of the selection', keys: 'Ctrl+D', run: () => w.areas.holdArea() })
			out.push({ label: 'Copy the selection', keys: 'Ctrl+C', run: () => void w.clipboard.copyArea() })
			out.push({ label: 'Cut the selection', keys: 'Ctrl+X', run: () => void w.clipboard.cut() })
			out.push({ label: 'Empty the selection', keys: 'Del', run: () => w.areas.emptyArea() })
			out.push({ label: 'Turn to the right', keys: 'R', run: () => w.areas.turnArea(1) })
			out.push({ label: 'Flip left–right', keys: 'M', run: () => w.areas.turnArea(4) })
			out.push({ label: 'Keep as a motif', keys: 'Ctrl+M', run: () => w.areas.makeMotif() })
			out.push({ label: 'Turn back here', keys: 'Ctrl+B', run: () => w.areas.turnBackHere() })
			out.push({ label: 'Drop the selection', keys: 'Ctrl+Shift+A', run: () => w.areas.dropArea() })
		}
		out.push({ label: 'Pick up what is here', keys: 'I', run: () => w.pickUp(at) })
		const solid = at && solidHere(w, at)
		if (solid) out.push(solid)
		out.push({ label: 'Go to a cell…', keys: 'J', run: () => (w.seeking = true) })
		out.push({ label: 'Exchange tiles…', run: () => w.openSheet('Exchange tiles') })
		const spot = w.pixel
		const pin = spot && w.moments.near(m.id, spot.x, spot.y, pinReach / w.view.scale)
		if (pin) out.push({ label: `Go on from pin ${pin.name}`, run: () => w.moments.resume(pin.id) })
		out.push({ label: 'Play from here', keys: 'Shift+P', run: () => w.playing.togglePlay(at) })
		out.push({
			label: w.layout.grid ? 'Hide the grid' : 'Show the grid',
			keys: 'G',
			run: () => (w.layout.grid = !w.layout.grid),
		})
		return out
	}
</script>

<ContextMenu.Portal>
	<ContextMenu.Content class="menu-list" preventScroll={false} onOpenAutoFocus={() => (at = w.cell)}>
		{#each items() as item (item.label)}
			<ContextMenu.Item class="menu-item" onSelect={item.run}>
				<span class="grow">{item.label}</span>
				{#if item.keys}<span class="key">{keys.now(item.keys)}</span>{/if}
			</ContextMenu.Item>
		{/each}
	</ContextMenu.Content>
</ContextMenu.Portal>
