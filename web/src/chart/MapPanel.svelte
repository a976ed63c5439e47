<script lang="ts">
	import Copy from '@lucide/svelte/icons/copy'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Facing, ID, MapInfo, Property } from '../core/types'
	import EntityPart from '../entities/EntityPart.svelte'
	import PropertyList from '../tilesets/PropertyList.svelte'
	import MapSettings from '../stack/MapSettings.svelte'
	import { edgeOf } from '../project/edges'
	import { workspace } from '../workspace/workspace.svelte'

	// One map, or without one what holds for all of them.
	let { map: m, gone, made }: { map?: MapInfo; gone: () => void; made: (id: ID) => void } = $props()
	const w = workspace()
	const findings = $derived(m ? w.charting.of(m.id) : [])
	const starts = $derived(findings.some((f) => f.what === 'no way in' || f.what === 'no start'))
	const leads = $derived(m ? w.project.head.passages.filter((p) => p.from.map === m.id) : [])
	const comes = $derived(m ? w.project.head.passages.filter((p) => p.to.map === m.id && p.from.map !== m.id) : [])
	const sides: { id: Facing; label: string }[] = [
		{ id: 'up', label: 'Top' },
		{ id: 'right', label: 'Right' },
		{ id: 'down', label: 'Bottom' },
		{ id: 'left', label: 'Left' },
	]
	const words: Record<string, string> = {
		wall: 'a wall',
		fall: 'a fall',
		wrap: 'comes in again opposite',
		exit: 'an exit',
	}

	const own = $derived(w.project.head.mapProperties)

	function setOwn(properties: Property[]) {
		const blank = {
			group: '',
			idle: false,
			varies: false,
			key: '',
			unit: '',
			help: '',
			least: 0,
			most: 0,
			handle: '' as const,
			given: false,
		}
		const all = properties.map((p) => ({ ...blank, ...p, choices: p.choices ?? [] }))
		w.project.try('setMapProperties', all)
	}

	const set = (field: string, value: unknown, text: string) =>
		m && w.project.try('set', { ref: { type: 'map', id: m.id }, field, value, text })

	function copy(passages: boolean) {
		const done = m && w.project.try('copyMap', { map: m.id, name: '', passages, w: 0, h: 0 })
		if (done?.made) made(done.made)
	}

	function remove() {
		if (!m) return
		const uses = w.project.ask('mapUses', { map: m.id })
		const name = m.name
		w.removeMap(m.id)
		if (uses.length)
			w.notices.say(`${uses.length} ${uses.length === 1 ? 'way or rule' : 'ways and rules'} referred to ${name}.`)
		gone()
	}
</script>

{#if m}
	<div class="flex flex-col gap-1.5">
		{#key m.name}
			<input
				class="field w-full text-[15px] font-semibold"
				value={m.name}
				maxlength="80"
				aria-label="Name of the map"
				onkeydown={(e) => {
					e.stopPropagation()
					if (e.key === 'Escape') e.currentTarget.value = m.name
					if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
				}}
				onblur={(e) => {
					const input = e.currentTarget
					if (input.value !== m.name) set('name', input.value, `Renamed map ${m.name}`)
					queueMicrotask(() => (input.value = w.project.map(m.id)?.name ?? input.value))
				}}
			/>
		{/key}
		<p class="text-dim">{m.bounds.w} × {m.bounds.h} cells of {m.cellWidth} × {m.cellHeight} pixels</p>
		<div class="flex gap-1">
			<button class="button grow button-main" onclick={() => w.show(m.id)}>Open</button>
			<button class="button" onclick={() => copy(false)}><Copy size={14} /> Copy</button>
			<button class="button hover:text-brick" aria-label="Delete map {m.name}" onclick={remove}
				><Trash2 size={14} /></button
			>
		</div>
		{#if leads.length}<button class="min-h-6 self-start text-glaze underline" onclick={() => copy(true)}
				>Copy with its passages</button
			>{/if}
		{#each findings as f, i (i)}
			<p class={f.serious ? 'text-brick' : 'text-dim'}>{f.text}</p>
		{/each}
		{#if starts}
			<button class="button self-start" onclick={() => w.project.try('offerStart', { map: m.id })}
				>Place a spawn on it</button
			>
		{/if}
		<EntityPart
			title={leads.length + comes.length ? `Passages (${leads.length + comes.length})` : 'Passages'}
			open={leads.length + comes.length > 0}
		>
			{#each leads as p (p.id)}
				<button class="min-h-6 truncate text-left text-cobalt underline" onclick={() => w.goTo(p.to.map, p.to.entity)}>
					{p.from.side ? edgeOf(p.from.side) : (w.project.entity(m.id, p.from.entity)?.name ?? '?')} → {w.project.map(
						p.to.map,
					)?.name ?? 'removed'}
				</button>
			{/each}
			{#each comes as p (p.id)}
				<button
					class="min-h-6 truncate text-left text-cobalt underline"
					onclick={() => (p.from.entity ? w.goTo(p.from.map, p.from.entity) : w.show(p.from.map))}
				>
					from {w.project.map(p.from.map)?.name ?? 'removed'}
				</button>
			{/each}
		</EntityPart>
		<EntityPart title="Edges" open>
			{#each sides as s, i (s.id)}
				{@const is = m.sides?.[i] || 'wall'}
				<label class="flex items-center gap-1.5"
					><span class="w-14 text-dim">{s.label}</span>
					<select
						class="field min-w-0 grow"
						value={is}
						onchange={(e) => w.project.try('setSide', { map: m.id, side: s.id, is: e.currentTarget.value })}
					>
						{#each w.project.head.sideWords as word (word)}<option value={word}>{words[word] ?? word}</option>{/each}
					</select>
					{#if is === 'exit'}
						<button class="button px-2" onclick={() => (w.joining = { map: m.id, entity: '', side: s.id })}
							>Where…</button
						>
					{/if}
				</label>
			{/each}
			<p class="text-[12px] text-dim">Where a seam leads on, the seam counts.</p>
		</EntityPart>
		<EntityPart title="Order and folder">
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					class="accent-glaze"
					checked={m.next ?? false}
					onchange={(e) => set('next', e.currentTarget.checked, `Changed what follows ${m.name}`)}
				/> finishing it starts the next map
			</label>
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					class="accent-glaze"
					checked={m.template ?? false}
					onchange={(e) =>
						set(
							'template',
							e.currentTarget.checked,
							`${e.currentTarget.checked ? 'Kept' : 'No longer keeps'} ${m.name} as a template`,
						)}
				/> a template for new maps, no place of the game
			</label>
			<label class="flex items-center gap-1.5"
				><span class="w-14 text-dim">Folder</span>
				<input
					class="field min-w-0 grow"
					value={m.folder ?? ''}
					onchange={(e) => set('folder', e.currentTarget.value.trim(), `Put ${m.name} into a folder`)}
				/>
			</label>
			<label class="flex items-center gap-1.5"
				><span class="w-14 text-dim">Tags</span>
				<input
					class="field min-w-0 grow"
					value={(m.tags ?? []).join(', ')}
					placeholder="words, with commas between"
					onchange={(e) =>
						set(
							'tags',
							[
								...new Set(
									e.currentTarget.value
										.split(',')
										.map((s) => s.trim())
										.filter(Boolean),
								),
							],
							`Tagged ${m.name}`,
						)}
				/>
			</label>
		</EntityPart>
	</div>
{:else}
	<h2 class="text-[15px] font-semibold">All maps</h2>
	<p class="pb-2 text-dim">
		Choose a map, a passage or a seam to set it up. What is set here holds for every map that does not differ.
	</p>
{/if}
<MapSettings map={m} />
{#if !m}
	<div class="mt-3 border-t border-line pt-2">
		<PropertyList
			properties={own}
			title="Own settings of maps"
			change={setOwn}
			types={w.project.head.settingTypes}
			word="setting"
		/>
	</div>
{/if}
