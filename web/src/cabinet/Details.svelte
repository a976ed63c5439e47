<script lang="ts">
	import type { Args, EntityChange } from '../core/module'
	import CircleHelp from '@lucide/svelte/icons/circle-question-mark'
	import Copy from '@lucide/svelte/icons/copy'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Detail, Entity, Facing, ID } from '../core/types'
	import ArrangeRow from '../entities/ArrangeRow.svelte'
	import EntityLook from '../entities/EntityLook.svelte'
	import EntityPart from '../entities/EntityPart.svelte'
	import GuisePart from '../entities/GuisePart.svelte'
	import EntityWays from '../entities/EntityWays.svelte'
	import SettingRow from '../entities/SettingRow.svelte'
	import FacingPicker from '../passages/FacingPicker.svelte'
	import Hint from '../controls/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace/workspace.svelte'

	// Everything about the entities that are selected, one or many: where values
	// differ among them it says so, and what is set goes to all.
	const w = workspace()
	let { list }: { list: Entity[] } = $props()
	const one = $derived(list.length === 1 ? list[0] : null)
	const kind = $derived(w.project.kind(one?.kind ?? ''))
	const kinds = $derived([...new Set(list.map((e) => e.kind))].map((id) => w.project.kind(id)))
	const m = $derived(w.map!)
	const ids = $derived(list.map((e) => e.id))
	// of those that are alike in kind and settings one speaks for all
	const different = $derived.by(() => {
		const seen = new Map<string, ID>()
		for (const e of list) {
			const key = e.values?.length ? `${e.kind} ${JSON.stringify(e.values)}` : e.kind
			if (!seen.has(key)) seen.set(key, e.id)
		}
		return [...seen.values()]
	})
	const details = $derived.by(() => {
		void w.project.turn
		return w.project.ask('details', { map: m.id, ids: different, dx: 0, dy: 0 })
	})
	/** The settings that all of them have. */
	const common = $derived(details.filter((d) => kinds.every((k) => k?.settings?.some((s) => s.key === d.key))))
	const states = $derived(kinds.filter((k) => k?.state))
	const faces = $derived(kinds.some((k) => k?.faces))
	const facing = $derived(list.every((e) => e.facing === list[0].facing) ? list[0]?.facing : undefined)

	const change = <M extends EntityChange>(method: M, what: Args<M>['do']) =>
		w.project.try(method, { map: m.id, ids, do: what } as unknown as Args<M>)
	const set = (field: string, value: unknown) => change('setField', { field, value })
	const all = (field: 'on' | 'absent' | 'unseen' | 'disabled' | 'locked' | 'hidden') => list.every((e) => e[field])
	const some = (field: 'on' | 'absent' | 'unseen' | 'disabled' | 'locked' | 'hidden') => list.some((e) => e[field])

	function rename(e: Entity, input: HTMLInputElement) {
		if (input.value === e.name) return
		set('name', input.value)
		// a name that was refused or made unique shows as it is now
		input.value = w.project.entity(m.id, e.id)?.name ?? input.value
	}

	function moveTo(e: Entity, axis: 'x' | 'y', input: HTMLInputElement) {
		const size = axis === 'x' ? m.cellWidth : m.cellHeight
		const by = Math.round(Number(input.value)) * size - e[axis]
		if (by)
			w.project.try('moveEntities', { map: m.id, ids: [e.id], dx: axis === 'x' ? by : 0, dy: axis === 'y' ? by : 0 })
		input.value = String(Math.floor((w.project.entity(m.id, e.id)?.[axis] ?? 0) / size))
	}
</script>

{#snippet tick(field: 'absent' | 'unseen' | 'disabled' | 'locked' | 'hidden', label: string)}
	<label class="flex items-center gap-2">
		<input
			type="checkbox"
			class="accent-glaze"
			checked={all(field)}
			indeterminate={some(field) && !all(field)}
			onchange={(e) => set(field, e.currentTarget.checked)}
		/>
		{label}
	</label>
{/snippet}

{#snippet setting(d: Detail)}
	<SettingRow
		detail={d}
		set={(value) => change('setSetting', { key: d.key, value })}
		reset={() => change('setSetting', { key: d.key, value: null })}
	/>
{/snippet}

<section class="cut mx-2 mt-1 mb-2 flex max-h-[56%] shrink-0 flex-col" aria-label="Details" data-testid="details">
	<div class="flex min-h-0 flex-col gap-1.5 overflow-y-auto p-3 [&>*]:shrink-0">
		{#if one}
			<div class="flex items-center gap-2 pr-2">
				<GripPicture
					grip={{ what: 'entity', kind: one.kind, look: one.look, lookOn: one.lookOn, shape: 'freehand' }}
					size={26}
				/>
				{#key one.id + one.name}
					<input
						class="field grow font-semibold"
						value={one.name}
						maxlength="80"
						aria-label="Name"
						onblur={(e) => rename(one, e.currentTarget)}
						onkeydown={(e) => {
							e.stopPropagation()
							if (e.key === 'Escape') e.currentTarget.value = one.name
							if (e.key === 'Enter' || e.key === 'Escape') {
								e.currentTarget.blur()
								w.canvas?.focus()
							}
						}}
					/>
				{/key}
				<Hint
					label="Ask what changes it and who needs it"
					keys="A"
					class="button-plain shrink-0"
					onclick={() => (w.asking = { type: 'entity', map: m.id, id: one.id })}><CircleHelp size={15} /></Hint
				>
			</div>
			<div class="flex items-center gap-1.5 text-dim">
				<span class="min-w-0 grow truncate">{kind?.name ?? 'a kind that was removed'}</span>
				{#key `${one.id} ${one.x} ${one.y}`}
					{#each ['x', 'y'] as const as axis (axis)}
						<label class="flex items-center gap-1 font-mono">
							{axis}
							<input
								class="field w-12 px-1.5 font-mono"
								type="number"
								value={Math.floor(one[axis] / (axis === 'x' ? m.cellWidth : m.cellHeight))}
								onchange={(e) => moveTo(one, axis, e.currentTarget)}
							/>
						</label>
					{/each}
				{/key}
				{#if kind?.area}<span class="font-mono"
						>{Math.round(one.w / m.cellWidth)}×{Math.round(one.h / m.cellHeight)}</span
					>{/if}
			</div>
		{:else}
			<b>{list.length} entities{kinds.length === 1 ? ` of ${kinds[0]?.name}` : ''}</b>
			<ArrangeRow />
		{/if}
		{#if faces}
			<FacingPicker value={facing} change={(f: Facing) => set('facing', f)} />
		{/if}
		{#if states.length}
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					class="accent-glaze"
					checked={all('on')}
					indeterminate={some('on') && !all('on')}
					onchange={(e) => set('on', e.currentTarget.checked)}
				/>
				{states.length === 1 ? states[0]!.state : 'On or open at the start'}
			</label>
		{/if}
		{#if one}
			{#each w.charting.of(m.id).filter((f) => f.entity === one.id && f.idle) as f (f.what + f.text)}
				<p class="border-l-2 border-saffron pl-2 text-saffron" role="note">{f.text}</p>
			{/each}
			<EntityWays {one} />
		{/if}
		{#if common.length}
			<div class="flex flex-col gap-1 border-t border-line pt-1.5" role="group" aria-label="Settings">
				{#each common as d (d.key)}{@render setting(d)}{/each}
			</div>
		{/if}
		{#if details.length > common.length}
			<EntityPart title="Settings of some of them ({details.length - common.length})">
				{#each details.filter((d) => !common.includes(d)) as d (d.key)}{@render setting(d)}{/each}
			</EntityPart>
		{/if}
		<EntityPart title="At the start">
			{@render tick('absent', 'is not there until a rule brings it')}
			{@render tick('unseen', 'is there without being shown')}
			{@render tick('disabled', 'is disabled: it stands there and does nothing')}
			<label class="flex flex-col gap-0.5">
				<span class="text-dim">What becomes of it stays so</span>
				<select
					class="field"
					value={list.every((e) => (e.memory ?? '') === (list[0].memory ?? '')) ? (list[0]?.memory ?? '') : 'differs'}
					onchange={(e) => set('memory', e.currentTarget.value)}
				>
					<option value="differs" disabled hidden>differs</option>
					<option value="">as its map says</option>
					<option value="kept">for all of the game</option>
					<option value="left">until one comes to the map again</option>
					<option value="lost">until the hero comes back after a loss</option>
				</select>
			</label>
		</EntityPart>
		<EntityPart title="Look">
			<EntityLook {list} {set} turn={(t) => change('turnEntities', t)} />
		</EntityPart>
		{#if one && kind?.wired}
			<EntityPart title="Guises ({1 + (one.guises?.length ?? 0) + (kind.guises?.length ?? 0)})">
				<GuisePart
					at={{ map: w.map!.id, entity: one.id, kind: '' }}
					kind={one.kind}
					look={one.look}
					own={one.guises ?? []}
					shared={kind.guises ?? []}
				/>
			</EntityPart>
		{/if}
		<EntityPart title="While designing">
			{@render tick('locked', 'locked: cannot be moved or swept away')}
			{@render tick('hidden', 'hidden from the map')}
			<label class="flex items-center gap-2"
				><span class="w-16 text-dim">Layer</span>
				<select
					class="field min-w-0 grow"
					value={list.every((e) => e.layer === list[0].layer) ? list[0]?.layer : ''}
					onchange={(e) => set('layer', e.currentTarget.value)}
				>
					<option value="" disabled>differs</option>
					{#each m.layers.filter((l) => l.kind === 'entities') as l (l.id)}<option value={l.id}>{l.name}</option>{/each}
				</select>
			</label>
		</EntityPart>
	</div>
	<div class="flex gap-1 border-t border-line p-2">
		<Hint label="Duplicate" keys="Ctrl+D" class="button grow" onclick={() => w.chosen.duplicateSelected()}>
			<Copy size={14} /> Duplicate
		</Hint>
		<Hint label="Delete" keys="Del" class="button grow hover:text-brick" onclick={() => w.chosen.removeSelected()}>
			<Trash2 size={14} /> Delete
		</Hint>
	</div>
</section>
