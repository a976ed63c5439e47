<script lang="ts" module>
	import type { LayerImage } from '../core/types'

	export const emptyImage: LayerImage = {
		picture: '',
		width: 0,
		height: 0,
		from: '',
		to: '',
		across: false,
		x: 0,
		y: 0,
		scale: 100,
		repeatX: false,
		repeatY: false,
		stretch: false,
		driftX: 0,
		driftY: 0,
	}
</script>

<script lang="ts">
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import Copy from '@lucide/svelte/icons/copy'
	import Merge from '@lucide/svelte/icons/merge'
	import Settings2 from '@lucide/svelte/icons/settings-2'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import { Popover } from 'bits-ui'
	import type { Layer, Taken } from '../core/types'
	import { send } from '../live/http'
	import { accepted } from '../tilesets/intake.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// All that can be set of a layer, without leaving the map.
	let { layer: l }: { layer: Layer } = $props()
	const w = workspace()
	let open = $state(false)
	const groups = $derived(w.map!.layers.filter((o) => o.kind === 'group'))

	const set = (field: string, value: unknown) =>
		w.project.try('set', {
			ref: { type: 'layer', map: w.map!.id, id: l.id },
			field,
			value,
			text: `Changed layer ${l.name}`,
		})
	const image = (change: Partial<LayerImage>) => set('image', { ...l.image!, ...change })
	let choose = $state<HTMLInputElement>()
	let turn = $state(0)
	$effect(() => {
		const again = () => turn++
		w.scene.onPictures.add(again)
		return () => void w.scene.onPictures.delete(again)
	})
	const missing = $derived(!!l.image?.picture && w.scene.pictures.isMissing(l.image.picture, turn))

	/** Puts another picture in the place of the layer's. */
	async function supply(file: File | undefined) {
		if (!file) return
		try {
			const { picture, width, height } = await send<Taken>(`/api/projects/${w.project.id}/pictures`, file)
			w.scene.pictures.retry(picture)
			image({ picture, width, height })
		} catch (e) {
			w.notices.wrong(e)
		}
	}

	const whole = (e: { currentTarget: HTMLInputElement }) => Math.trunc(e.currentTarget.valueAsNumber) || 0

	function act(method: 'duplicateLayer' | 'mergeDown' | 'removeLayer') {
		const made = w.project.try(method, { map: w.map!.id, id: l.id })
		if (made?.made) w.hand.work(w.map!.id, made.made)
		if (made) open = false
	}
</script>

{#snippet pair(
	label: string,
	x: string,
	y: string,
	unit: string,
	values: [number, number],
	change: (i: 0 | 1, v: number) => void,
)}
	<div class="flex items-center gap-1.5">
		<span class="w-16 text-dim">{label}</span>
		{#each [x, y] as axis, i (axis)}
			<input
				class="field w-16 font-mono"
				type="number"
				aria-label="{label} {axis}"
				value={values[i]}
				onchange={(e) => change(i as 0 | 1, whole(e))}
			/>
		{/each}
		<span class="text-dim">{unit}</span>
	</div>
{/snippet}

<Popover.Root bind:open>
	<Popover.Trigger class="button-plain" aria-label="Settings of layer {l.name}"><Settings2 size={15} /></Popover.Trigger
	>
	<Popover.Portal>
		<Popover.Content
			class="z-60 max-h-[80vh] w-[290px] overflow-y-auto border border-dim bg-chalk p-3 outline-none"
			side="right"
			role="dialog"
			aria-label="Settings of layer {l.name}"
			align="start"
			sideOffset={8}
		>
			<div class="flex flex-col gap-2" role="group" aria-label="Layer settings">
				{#key l.name}
					<input
						class="field font-semibold"
						value={l.name}
						maxlength="80"
						aria-label="Name of the layer"
						onchange={(e) => set('name', e.currentTarget.value)}
					/>
				{/key}
				<label class="flex items-center gap-2"
					><input
						type="checkbox"
						class="accent-glaze"
						checked={l.front}
						onchange={(e) => set('front', e.currentTarget.checked)}
					/> before the hero, stopping nobody</label
				>
				{#if l.kind === 'tiles'}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="accent-glaze"
							checked={l.foot}
							onchange={(e) => set('foot', e.currentTarget.checked)}
						/> rows sorted with entities by their feet</label
					>
				{/if}
				{#if l.kind !== 'entities' && l.kind !== 'group'}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="accent-glaze"
							checked={l.absent ?? false}
							onchange={(e) => set('absent', e.currentTarget.checked)}
						/> in play only once a rule lays it</label
					>
				{/if}
				{#if l.kind === 'tiles'}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="accent-glaze"
							checked={l.covers ?? false}
							onchange={(e) => set('covers', e.currentTarget.checked)}
						/> its tiles count in place of what is below</label
					>
				{/if}
				{#if l.kind !== 'entities' && l.kind !== 'group'}
					<button
						class="button"
						onclick={() => {
							open = false
							w.asking = { type: 'layer', map: w.map!.id, id: l.id }
						}}><CircleHelp size={15} /> Ask what lays and lifts it</button
					>
				{/if}
				<div class="flex items-center gap-1.5">
					<span class="w-16 text-dim">Tint</span>
					<input
						type="color"
						class="h-7 w-16"
						aria-label="Tint"
						value={l.tint || '#ffffff'}
						onchange={(e) => set('tint', e.currentTarget.value === '#ffffff' ? '' : e.currentTarget.value)}
					/>
					{#if l.tint}<button class="button" onclick={() => set('tint', '')}>None</button>{/if}
				</div>
				{@render pair('Offset', 'right', 'down', 'px', [l.offsetX, l.offsetY], (i, v) =>
					set(i ? 'offsetY' : 'offsetX', v),
				)}
				{@render pair('Parallax', 'across', 'down', '%', [100 - l.lagX, 100 - l.lagY], (i, v) =>
					set(i ? 'lagY' : 'lagX', 100 - v),
				)}
				<p class="text-[12px] text-dim">100 % stands with the map, 0 % with the screen, above is nearer.</p>
				{#if groups.length && l.kind !== 'group'}
					<label class="flex items-center gap-1.5"
						><span class="w-16 text-dim">Group</span>
						<select class="field grow" value={l.group} onchange={(e) => set('group', e.currentTarget.value)}>
							<option value="">none</option>
							{#each groups as g (g.id)}<option value={g.id}>{g.name}</option>{/each}
						</select></label
					>
				{/if}
				{#if l.image}
					{@const i = l.image}
					<div class="flex flex-col gap-2 border-t border-line pt-2">
						{#if i.picture}
							{#if missing}
								<p class="border-l-2 border-brick pl-2 text-brick">
									The picture is missing: brick and chalk squares stand for it.
								</p>
							{/if}
							<input
								bind:this={choose}
								type="file"
								accept={accepted}
								class="hidden"
								aria-label="Another picture for the layer"
								onchange={(e) => {
									void supply(e.currentTarget.files?.[0])
									e.currentTarget.value = ''
								}}
							/>
							<button class="button" onclick={() => choose?.click()}
								>{missing ? 'Supply the picture…' : 'New picture…'}</button
							>
							{@render pair('Place', 'x', 'y', 'px', [i.x, i.y], (k, v) => image(k ? { y: v } : { x: v }))}
							<label class="flex items-center gap-1.5"
								><span class="w-16 text-dim">Size</span><input
									class="field w-16 font-mono"
									type="number"
									min="1"
									max="3200"
									value={i.scale}
									onchange={(e) => image({ scale: whole(e) })}
								/><span class="text-dim">%</span></label
							>
							<div class="flex flex-wrap gap-x-3 gap-y-1">
								{#each [['repeatX', 'tiled across'], ['repeatY', 'tiled down'], ['stretch', 'stretched']] as const as [key, label] (key)}
									<label class="flex items-center gap-1.5"
										><input
											type="checkbox"
											class="accent-glaze"
											checked={i[key]}
											onchange={(e) => image({ [key]: e.currentTarget.checked })}
										/>{label}</label
									>
								{/each}
							</div>
							{@render pair('Drift', 'across', 'down', 'px/s', [i.driftX, i.driftY], (k, v) =>
								image(k ? { driftY: v } : { driftX: v }),
							)}
						{:else}
							<div class="flex items-center gap-1.5">
								<span class="w-16 text-dim">Colours</span>
								<input
									type="color"
									class="h-7 w-14"
									aria-label="First colour"
									value={i.from}
									onchange={(e) => image({ from: e.currentTarget.value })}
								/>
								<input
									type="color"
									class="h-7 w-14"
									aria-label="Second colour"
									value={i.to}
									onchange={(e) => image({ to: e.currentTarget.value })}
								/>
								<label class="flex items-center gap-1.5"
									><input
										type="checkbox"
										class="accent-glaze"
										checked={i.across}
										onchange={(e) => image({ across: e.currentTarget.checked })}
									/>across</label
								>
							</div>
						{/if}
					</div>
				{/if}
				<div class="grid grid-cols-2 gap-1 border-t border-line pt-2">
					<button class="button" disabled={l.kind === 'group'} onclick={() => act('duplicateLayer')}
						><Copy size={14} /> Duplicate</button
					>
					<button class="button" onclick={() => act('mergeDown')}><Merge size={14} /> Merge down</button>
					<button class="col-span-2 button hover:text-brick" onclick={() => act('removeLayer')}
						><Trash2 size={14} /> Delete this layer</button
					>
				</div>
			</div>
		</Popover.Content>
	</Popover.Portal>
</Popover.Root>
