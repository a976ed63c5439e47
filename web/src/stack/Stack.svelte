<script lang="ts">
	import ChevronsLeft from '@lucide/svelte/icons/chevrons-left'
	import Eye from '@lucide/svelte/icons/eye'
	import EyeOff from '@lucide/svelte/icons/eye-off'
	import Lock from '@lucide/svelte/icons/lock'
	import LockOpen from '@lucide/svelte/icons/lock-open'
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { DropdownMenu } from 'bits-ui'
	import type { Layer } from '../core/types'
	import Hint from '../frame/Hint.svelte'
	import Menu, { type Choice } from '../frame/Menu.svelte'
	import { workspace } from '../workspace.svelte'
	import LayerThumb from './LayerThumb.svelte'
	import MapList from './MapList.svelte'

	const w = workspace()
	const layers = $derived([...(w.map?.layers ?? [])].reverse())
	let dragged = $state<string | null>(null)
	let over = $state(-1)
	let naming = $state('')

	const ref = (l: Layer) => ({ type: 'layer', map: w.map!.id, id: l.id })

	function set(l: Layer, field: string, value: unknown, text: string) {
		w.project.try('set', { ref: ref(l), field, value, text })
	}

	function add(kind: string) {
		const made = w.project.try('addLayer', { map: w.map!.id, kind, above: w.active })
		if (made?.made) w.hand.work(w.map!.id, made.made)
	}

	const kinds: Choice[] = [
		{ label: 'Tiles', hint: 'painted cells', run: () => add('tiles') },
		{ label: 'Entities', hint: 'things that stand on the map', run: () => add('entities') },
		{ label: 'Zones', hint: 'what the ground is', run: () => add('zones') },
	]

	/** Moves a layer to a row of the list, the top one being 0. */
	function moveTo(id: string, row: number) {
		const to = layers.length - 1 - Math.max(0, Math.min(layers.length - 1, row))
		if (layers[layers.length - 1 - to]?.id !== id) w.project.try('moveLayer', { map: w.map!.id, id, to })
	}

	function keys(e: KeyboardEvent, l: Layer, row: number) {
		const step = e.key === 'ArrowUp' ? -1 : e.key === 'ArrowDown' ? 1 : 0
		if (step && e.altKey) {
			e.preventDefault()
			moveTo(l.id, row + step)
		} else if (step) {
			e.preventDefault()
			const next = layers[row + step]
			if (next) document.getElementById(`layer-${next.id}`)?.focus()
		} else if (e.key === 'F2') naming = l.id
	}
</script>

<aside class="flex min-h-0 flex-col border-r border-line bg-plaster" aria-label="Stack">
	<MapList />
	<div class="flex h-8 items-center border-t border-line pl-2">
		<h2 class="grow heading">Stack</h2>
		<Menu choices={kinds} side="bottom">
			{#snippet trigger()}
				<DropdownMenu.Trigger class="button-plain" aria-label="Add a layer" disabled={!w.map}
					><Plus size={16} /></DropdownMenu.Trigger
				>
			{/snippet}
		</Menu>
		<Hint label="Fold the stack away" keys="Ctrl+[" class="button-plain" onclick={() => (w.stackOpen = false)}
			><ChevronsLeft size={16} /></Hint
		>
	</div>
	<ul class="min-h-0 grow overflow-y-auto" aria-label="Layers, the top one first">
		{#each layers as l, row (l.id)}
			{@const active = w.active === l.id}
			<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
			<li
				class="group relative border-b border-line {active ? 'bg-chalk' : ''} {over === row && dragged
					? 'border-t-2 border-t-glaze'
					: ''}"
				draggable="true"
				ondragstart={() => (dragged = l.id)}
				ondragend={() => ([dragged, over] = [null, -1])}
				ondragover={(e) => {
					e.preventDefault()
					over = row
				}}
				ondrop={(e) => {
					e.preventDefault()
					if (dragged) moveTo(dragged, row)
				}}
			>
				{#if active}<span class="absolute inset-y-0 left-0 w-1 bg-glaze"></span>{/if}
				<div class="flex items-center gap-2 py-1 pr-1 pl-2.5">
					{#if w.map}<LayerThumb map={w.map} layer={l} />{/if}
					{#if naming === l.id}
						<!-- svelte-ignore a11y_autofocus -->
						<input
							class="field w-full"
							value={l.name}
							aria-label="Name of the layer"
							autofocus
							onblur={(e) => {
								naming = ''
								if (e.currentTarget.value !== l.name) set(l, 'name', e.currentTarget.value, 'Renamed a layer')
							}}
							onkeydown={(e) => {
								e.stopPropagation()
								if (e.key === 'Enter') e.currentTarget.blur()
								if (e.key === 'Escape') {
									e.currentTarget.value = l.name
									e.currentTarget.blur()
								}
							}}
						/>
					{:else}
						<button
							id="layer-{l.id}"
							class="min-w-0 grow py-1 text-left leading-tight"
							aria-pressed={active}
							onclick={() => w.hand.work(w.map!.id, l.id)}
							ondblclick={() => (naming = l.id)}
							onkeydown={(e) => keys(e, l, row)}
						>
							<span class="block truncate {active ? 'font-semibold' : ''} {l.hidden ? 'text-dim line-through' : ''}"
								>{l.name}</span
							>
							<span class="block truncate text-[11px] text-dim">{l.kind}{l.front ? ', before the hero' : ''}</span>
						</button>
					{/if}
				</div>
				{#if active}
					<div class="flex items-center pb-1 pl-2">
						<Hint
							label={l.hidden ? 'Show this layer' : 'Hide this layer'}
							class="button-plain"
							onclick={() => set(l, 'hidden', !l.hidden, l.hidden ? 'Showed a layer' : 'Hid a layer')}
						>
							{#if l.hidden}<EyeOff size={15} />{:else}<Eye size={15} />{/if}
						</Hint>
						<Hint
							label={l.locked ? 'Unlock this layer' : 'Lock this layer'}
							class="button-plain"
							onclick={() => set(l, 'locked', !l.locked, l.locked ? 'Unlocked a layer' : 'Locked a layer')}
						>
							{#if l.locked}<Lock size={15} class="text-brick" />{:else}<LockOpen size={15} />{/if}
						</Hint>
						<label class="flex grow items-center gap-1 text-[11px] text-dim">
							<input
								type="range"
								min="0"
								max="100"
								step="5"
								value={l.opacity}
								class="w-full min-w-0 accent-glaze"
								aria-label="Opacity of {l.name} in percent"
								onchange={(e) => set(l, 'opacity', Number(e.currentTarget.value), 'Changed a layer’s opacity')}
							/>
						</label>
						<Hint
							label="Delete this layer"
							class="button-plain hover:text-brick"
							onclick={() => w.project.try('remove', { ref: ref(l), text: `Deleted layer ${l.name}` })}
						>
							<Trash2 size={15} />
						</Hint>
					</div>
				{/if}
			</li>
		{/each}
	</ul>
</aside>
