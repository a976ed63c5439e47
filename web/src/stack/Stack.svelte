<script lang="ts">
	import { roving } from '../controls/roving'
	import ChevronsLeft from '@lucide/svelte/icons/chevrons-left'
	import Eye from '@lucide/svelte/icons/eye'
	import EyeOff from '@lucide/svelte/icons/eye-off'
	import Lock from '@lucide/svelte/icons/lock'
	import LockOpen from '@lucide/svelte/icons/lock-open'
	import Plus from '@lucide/svelte/icons/plus'
	import { DropdownMenu } from 'bits-ui'
	import Focus from '@lucide/svelte/icons/focus'
	import Layers from '@lucide/svelte/icons/layers'
	import type { Layer, Taken } from '../core/types'
	import { send } from '../live/http'
	import EntityList from '../entities/EntityList.svelte'
	import Context from '../controls/Context.svelte'
	import NameField from '../controls/NameField.svelte'
	import Hint from '../controls/Hint.svelte'
	import Menu, { type Choice } from '../controls/Menu.svelte'
	import Splitter from '../controls/Splitter.svelte'
	import { accepted } from '../tilesets/intake.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { guideSize, saveGuide } from '../share/guide'
	import LayerSettings, { emptyImage } from './LayerSettings.svelte'
	import { layerMenu, toggleLayer } from './layerMenu'
	import LayerThumb from './LayerThumb.svelte'
	import MapList from './MapList.svelte'

	const w = workspace()
	const layers = $derived([...(w.map?.layers ?? [])].reverse())
	let dragged = $state<string | null>(null)
	let over = $state(-1)
	let naming = $state('')
	let choose: HTMLInputElement
	/** Whether the picture that is chosen was painted over a guide. */
	let back = false

	async function bringPicture(file: File | undefined) {
		const m = w.map
		const aligned = back
		back = false
		if (!file || !m) return
		try {
			const taken = await send<Taken>(`/api/projects/${w.project.id}/pictures`, file)
			const name = file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Picture'
			const image = { ...emptyImage, picture: taken.picture, width: taken.width, height: taken.height }
			const wide = m.bounds.w * m.cellWidth
			if (aligned) {
				const shape = (taken.width * m.bounds.h * m.cellHeight) / (taken.height * wide)
				if (Math.abs(shape - 1) > 0.02)
					return w.notices.say(
						'That picture has another shape than this map’s guide: save the guide and paint over it.',
						'wrong',
					)
				image.stretch = true
			}
			image.x = m.bounds.x * m.cellWidth
			image.y = m.bounds.y * m.cellHeight
			const made = w.project.try('addPictureLayer', { map: m.id, name, image, above: '' })
			if (!made?.made) return
			w.hand.work(m.id, made.made)
			w.hand.letGo()
			w.notices.say('The picture lies below what is painted: drag it to its place.', 'done', w.project.undoOf(made))
		} catch (e) {
			w.notices.wrong(e)
		}
	}

	const ref = (l: Layer) => ({ type: 'layer', map: w.map!.id, id: l.id })

	function set(l: Layer, field: string, value: unknown, text: string) {
		w.project.try('set', { ref: ref(l), field, value, text })
	}

	function add(kind: string) {
		const made = w.project.try('addLayer', { map: w.map!.id, kind, above: w.active })
		if (made?.made) w.hand.work(w.map!.id, made.made)
	}

	function addGradient() {
		const image = { ...emptyImage, from: '#23415c', to: '#e9b98a', stretch: true }
		const made = w.project.try('addPictureLayer', { map: w.map!.id, name: 'Sky', image, above: '' })
		if (made?.made) w.hand.work(w.map!.id, made.made)
	}

	const kinds = $derived<Choice[]>([
		{ label: 'Tiles', hint: 'painted cells', run: () => add('tiles') },
		{ label: 'Entities', hint: 'things that stand on the map', run: () => add('entities') },
		{ label: 'Zones', hint: 'what the ground is', run: () => add('zones') },
		{ label: 'Picture…', hint: 'an image, tiled or drifting', run: () => choose.click() },
		{ label: 'Gradient', hint: 'two colours', run: addGradient },
		{
			label: 'Group of this layer',
			hint: 'hidden and locked together',
			run: () => w.project.try('groupLayer', { map: w.map!.id, id: w.active }),
		},
		{ heading: 'For painters' },
		...[1, 2, 4, 8].map((scale) => ({
			label: `Save a guide of the map, ${scale} ×`,
			hint: guideSize(w, scale),
			run: () => void saveGuide(w, scale),
		})),
		{
			label: 'Put a painted picture back…',
			hint: 'same shape as the guide',
			run: () => ((back = true), choose.click()),
		},
	])

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
		} else if (e.key === 'F2') naming = l.id
	}
</script>

<aside class="relative flex min-h-0 min-w-0 flex-col border-r border-line bg-plaster" aria-label="Stack">
	<Splitter panel="stack" layout={w.layout} />
	<input
		bind:this={choose}
		type="file"
		accept={accepted}
		class="hidden"
		aria-label="Picture for a layer"
		onchange={(e) => {
			void bringPicture(e.currentTarget.files?.[0])
			e.currentTarget.value = ''
		}}
	/>
	<MapList />
	<div class="flex min-h-8 shrink-0 flex-wrap items-center border-t border-line pl-1.5">
		<div class="flex grow gap-1.5" role="group" aria-label="What is listed">
			<button
				class="h-7 heading {w.layout.listing
					? 'text-dim'
					: 'underline decoration-glaze decoration-2 underline-offset-4'}"
				aria-pressed={!w.layout.listing}
				onclick={() => (w.layout.listing = false)}>Stack</button
			>
			<button
				class="h-7 heading {w.layout.listing
					? 'underline decoration-glaze decoration-2 underline-offset-4'
					: 'text-dim'}"
				aria-pressed={w.layout.listing}
				title="The entities of this map as a list"
				onclick={() => (w.layout.listing = true)}>Entities</button
			>
		</div>
		<Menu choices={kinds} side="bottom">
			{#snippet trigger()}
				<DropdownMenu.Trigger class="button-plain" aria-label="Add a layer" disabled={!w.map}
					><Plus size={16} /></DropdownMenu.Trigger
				>
			{/snippet}
		</Menu>
		<Hint
			label="Turn the stack sideways: the depth view"
			class="button-plain {w.depth ? 'text-glaze' : ''}"
			expanded={w.depth}
			disabled={!w.map}
			onclick={() => (w.depth = !w.depth)}><Layers size={16} /></Hint
		>
		<Hint label="Fold the stack away" keys="Ctrl+[" class="button-plain" onclick={() => w.layout.fold('stack')}
			><ChevronsLeft size={16} /></Hint
		>
	</div>
	{#if w.layout.listing}
		<EntityList />
	{:else}
		<ul class="min-h-0 grow overflow-y-auto" aria-label="Layers, the top one first" {@attach roving}>
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
					<Context
						choices={() => layerMenu(w, w.map!, l, () => (naming = l.id))}
						class="flex items-center gap-2 py-1 pr-1 {l.group ? 'pl-5' : 'pl-2.5'}"
					>
						{#if w.map}<LayerThumb map={w.map} layer={l} />{/if}
						{#if naming === l.id}
							<NameField
								name={l.name}
								label="Name of the layer"
								class="w-full"
								named={(name) => {
									naming = ''
									if (name !== l.name) set(l, 'name', name, `Renamed layer ${l.name}`)
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
								<span class="block truncate {active ? 'font-semibold' : ''} {l.shown ? '' : 'text-dim line-through'}"
									>{l.name}</span
								>
								<span class="block truncate text-[11px] text-dim"
									>{l.kind}{l.front ? ', before the hero' : ''}{l.foot ? ', by foot' : ''}{l.absent
										? ', laid by rules'
										: ''}{l.covers ? ', covers' : ''}</span
								>
							</button>
						{/if}
					</Context>
					{#if active}
						<div class="flex flex-wrap items-center pr-1 pb-1 pl-2">
							<Hint
								label={l.hidden ? 'Show this layer' : 'Hide this layer'}
								class="button-plain"
								onclick={() => toggleLayer(w, w.map!, l, 'hidden')}
							>
								{#if l.hidden}<EyeOff size={15} />{:else}<Eye size={15} />{/if}
							</Hint>
							<Hint
								label={l.locked ? 'Unlock this layer' : 'Lock this layer'}
								class="button-plain"
								onclick={() => toggleLayer(w, w.map!, l, 'locked')}
							>
								{#if l.locked}<Lock size={15} class="text-brick" />{:else}<LockOpen size={15} />{/if}
							</Hint>
							<label class="flex w-10 grow items-center gap-1 text-[11px] text-dim">
								<input
									type="range"
									min="0"
									max="100"
									step="5"
									value={l.opacity}
									class="w-full min-w-0 accent-glaze"
									aria-label="Opacity of {l.name} in percent"
									onchange={(e) => set(l, 'opacity', Number(e.currentTarget.value), `Opacity of layer ${l.name}`)}
								/>
							</label>
							<Hint
								label={w.solo === l.id ? 'Show the others again' : 'Show this layer alone'}
								class="button-plain {w.solo === l.id ? 'text-glaze' : ''}"
								onclick={() => (w.solo = w.solo === l.id ? undefined : l.id)}><Focus size={15} /></Hint
							>
							<LayerSettings layer={l} />
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
</aside>
