<script lang="ts">
	import { Dialog } from 'bits-ui'
	import { workspace } from '../workspace/workspace.svelte'
	import { actions } from './actions'

	// The keys that work here and now, and what the mouse does.
	const w = workspace()
	const order = ['Hand', 'Selection', 'Map', 'Entities', 'Play', 'View', 'Project'] as const
	const groups = $derived.by(() => {
		if (!w.keysOpen) return []
		const now = actions(w).filter(
			(a) => a.keys && (a.when?.() ?? true) && !/^(Hold|Keep what is held in) slot/.test(a.name),
		)
		return order.map((g) => ({
			name: g as string,
			keys: now.filter((a) => a.group === g).map((a) => [a.keys!.join(' / '), a.name]),
		}))
	})
	const canvas = [
		['Arrows', 'Move the cell cursor (Shift: by 8)'],
		['Enter', 'Put down at the cursor; lines and boxes begin and end'],
		['Del', 'Remove at the cursor, with the same shape'],
		['Alt+Arrows', 'Move what is selected'],
		['Shift+drag', 'Square boxes, round ovals, straight lines'],
		['Alt+press', 'Pick up what is there'],
		['1 – 0', 'Hold a slot of the tray (Shift+1 – 5 keeps)'],
		['Space+drag', 'Move the view; so does the middle button'],
		['Ctrl+wheel', 'Zoom at the pointer'],
		['Esc', 'Cancel the press, close, let go'],
	]
	const playing = [
		['Arrows or WASD', 'Walk'],
		['E, Space or Enter', 'Use, and read on'],
		['P or Esc', 'Back to the map'],
	]
</script>

<Dialog.Root bind:open={w.keysOpen}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-40 bg-[#0b1011]/55" />
		<Dialog.Content
			class="cut fixed top-1/2 left-1/2 z-50 max-h-[86vh] w-[min(860px,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto outline-none"
			preventScroll={false}
		>
			<div class="p-5">
				<Dialog.Title class="text-[16px] font-semibold">Keys that work here</Dialog.Title>
				<Dialog.Description class="text-dim">
					{w.keysAnywhere
						? 'Single keys work wherever nothing is typed and no menu is open.'
						: 'Single keys work while the map has the focus.'}
				</Dialog.Description>
				<label class="mb-3 flex items-center gap-2">
					<input
						type="checkbox"
						class="accent-glaze"
						checked={!w.keysAnywhere}
						onchange={(e) => w.setKeys(!e.currentTarget.checked)}
					/>
					single keys only on the map
				</label>
				<div class="columns-2 gap-8">
					{#each [w.play.on ? { name: 'In the game', keys: playing } : { name: 'On the map', keys: canvas }, ...groups] as g (g.name)}
						{#if g.keys.length}
							<section class="mb-4 break-inside-avoid">
								<h3 class="mb-1 heading">{g.name}</h3>
								<dl>
									{#each g.keys as [keys, what] (what)}
										<div class="flex items-baseline gap-3 py-0.5">
											<dt class="w-36 shrink-0">
												{#each keys.split(' / ') as k (k)}<span class="mr-1 inline-block key">{k}</span>{/each}
											</dt>
											<dd>{what}</dd>
										</div>
									{/each}
								</dl>
							</section>
						{/if}
					{/each}
				</div>
				<Dialog.Close class="button">Close</Dialog.Close>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
