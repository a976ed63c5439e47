<script lang="ts">
	import Copy from '@lucide/svelte/icons/copy'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import type { Entity, Facing } from '../core/types'
	import FacingPicker from '../passages/FacingPicker.svelte'
	import Hint from '../frame/Hint.svelte'
	import GripPicture from '../hand/GripPicture.svelte'
	import { workspace } from '../workspace.svelte'

	const w = workspace()
	const list = $derived(w.selection)
	const one = $derived(list.length === 1 ? list[0] : null)
	const kind = $derived(w.project.head.kinds.find((k) => k.id === one?.kind))
	const m = $derived(w.map!)
	const leads = $derived(w.project.head.passages.find((p) => p.from.map === m.id && p.from.entity === one?.id))
	const comes = $derived(w.project.head.passages.filter((p) => p.to.map === m.id && p.to.entity === one?.id))
	const about = $derived(
		one ? w.project.head.rules.filter((r) => r.when.entity === one.id || r.then.some((s) => s.entity === one.id)) : [],
	)

	function set(e: Entity, field: string, value: unknown, text: string) {
		w.project.try('set', { ref: { type: 'entity', map: m.id, id: e.id }, field, value, text })
	}

	function rename(e: Entity, input: HTMLInputElement) {
		if (input.value === e.name) return
		set(e, 'name', input.value, `Renamed ${e.name}`)
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

	function rule(e: Entity) {
		const on = e.kind === 'switch' ? 'use' : 'take'
		const made = w.project.try('addRule', { when: { on, map: m.id, entity: e.id } })
		if (made?.made) [w.rule, w.drawer] = [made.made, 'rules']
	}
</script>

<section class="cut mx-2 mt-1 mb-2 flex max-h-[56%] shrink-0 flex-col" aria-label="Details" data-testid="details">
	<div class="flex min-h-0 flex-col gap-2 overflow-y-auto p-3">
		{#if one && kind}
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
			</div>
			<div class="flex items-center gap-1.5 text-dim">
				<span class="grow">{kind.name}</span>
				{#key `${one.id} ${one.x} ${one.y}`}
					{#each ['x', 'y'] as const as axis (axis)}
						<label class="flex items-center gap-1 font-mono">
							{axis}
							<input
								class="field w-14 font-mono"
								type="number"
								value={Math.floor(one[axis] / (axis === 'x' ? m.cellWidth : m.cellHeight))}
								onchange={(e) => moveTo(one, axis, e.currentTarget)}
							/>
						</label>
					{/each}
				{/key}
				{#if kind.area}<span class="font-mono"
						>{Math.round(one.w / m.cellWidth)}×{Math.round(one.h / m.cellHeight)}</span
					>{/if}
			</div>
			{#if kind.faces}
				<FacingPicker value={one.facing} change={(f: Facing) => set(one, 'facing', f, `Turned ${one.name}`)} />
			{/if}
			{#if kind.state}
				<label class="flex items-center gap-2">
					<input
						type="checkbox"
						class="accent-glaze"
						checked={one.on}
						onchange={(e) => set(one, 'on', e.currentTarget.checked, `Changed how ${one.name} starts`)}
					/>
					{kind.state}
				</label>
			{/if}
			{#if one.kind === 'exit'}
				<div class="flex items-center gap-2">
					{#if leads}
						<button
							class="min-w-0 grow truncate text-left text-cobalt underline"
							onclick={() => w.goTo(leads.to.map, leads.to.entity)}
						>
							leads to {w.project.map(leads.to.map)?.name ?? 'a map that was removed'}
						</button>
					{:else}
						<span class="grow text-brick">leads nowhere yet</span>
					{/if}
					<button
						class="button {leads ? '' : 'button-main'}"
						onclick={() => (w.joining = { map: m.id, entity: one.id })}
					>
						{leads ? 'Change…' : 'Choose where…'}
					</button>
				</div>
			{/if}
			{#each comes as p (p.id)}
				<button class="truncate text-left text-cobalt underline" onclick={() => w.goTo(p.from.map, p.from.entity)}>
					comes from {w.project.entity(p.from.map, p.from.entity)?.name ?? 'an exit that was removed'} on {w.project.map(
						p.from.map,
					)?.name}
				</button>
			{/each}
			{#if one.kind === 'switch'}
				<p class="text-[12px] text-dim">Drag its round nub to a door to wire them.</p>
			{/if}
			{#each about as r (r.id)}
				<button
					class="border-l-2 border-cobalt pl-2 text-left hover:bg-well"
					onclick={() => ([w.rule, w.drawer, w.cabinetOpen] = [r.id, 'rules', true])}
				>
					{r.sentence
						.map((s) => s.text)
						.join(' ')
						.replaceAll(' ,', ',')}
				</button>
			{/each}
			{#if one.kind === 'switch' || one.kind === 'collectible'}
				<button class="button" onclick={() => rule(one)}>New rule for it</button>
			{/if}
		{:else}
			<b>{list.length} entities</b>
			<p class="text-dim">Drag or press Alt with the arrows to move them together.</p>
		{/if}
	</div>
	<div class="flex gap-1 border-t border-line p-2">
		<Hint label="Duplicate" keys="Ctrl+D" class="button grow" onclick={() => w.duplicateSelected()}>
			<Copy size={14} /> Duplicate
		</Hint>
		<Hint label="Delete" keys="Del" class="button grow hover:text-brick" onclick={() => w.removeSelected()}>
			<Trash2 size={14} /> Delete
		</Hint>
	</div>
</section>
