<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus'
	import Trash2 from '@lucide/svelte/icons/trash-2'
	import Hint from '../frame/Hint.svelte'
	import { workspace } from '../workspace.svelte'

	const w = workspace()
	const maps = $derived(w.project.head.maps)
	let making = $state(false)
	let naming = $state('')
	let name = $state('')
	let width = $state(32)
	let height = $state(24)

	function make(e: Event) {
		e.preventDefault()
		const made = w.project.try('newMap', {
			name: name.trim() || `Map ${maps.length + 1}`,
			w: width || 0,
			h: height || 0,
		})
		if (!made?.made) return
		making = false
		name = ''
		w.show(made.made)
	}

	function rename(id: string, before: string, next: string) {
		naming = ''
		if (next !== before)
			w.project.try('set', { ref: { type: 'map', id }, field: 'name', value: next, text: 'Renamed a map' })
	}
</script>

<div class="flex h-8 items-center pl-2">
	<h2 class="grow heading">Maps</h2>
	<Hint label="New map" class="button-plain" expanded={making} onclick={() => (making = !making)}
		><Plus size={16} /></Hint
	>
</div>
{#if making}
	<form class="flex flex-col gap-1.5 border-y border-line bg-chalk p-2" onsubmit={make} novalidate>
		<!-- svelte-ignore a11y_autofocus -->
		<input class="field w-full" placeholder="Name" aria-label="Name of the new map" bind:value={name} autofocus />
		<div class="flex items-center gap-1">
			<input
				class="field w-full font-mono"
				type="number"
				min="1"
				max="2048"
				aria-label="Width in cells"
				bind:value={width}
			/>
			×
			<input
				class="field w-full font-mono"
				type="number"
				min="1"
				max="2048"
				aria-label="Height in cells"
				bind:value={height}
			/>
		</div>
		<button class="button button-main">Make the map</button>
	</form>
{/if}
<ul class="max-h-40 shrink-0 overflow-y-auto pb-1" aria-label="Maps">
	{#each maps as m (m.id)}
		<li class="flex {w.map?.id === m.id ? 'bg-well' : ''}">
			{#if naming === m.id}
				<!-- svelte-ignore a11y_autofocus -->
				<input
					class="field w-full"
					value={m.name}
					aria-label="Name of the map"
					autofocus
					onblur={(e) => rename(m.id, m.name, e.currentTarget.value)}
					onkeydown={(e) => {
						e.stopPropagation()
						if (e.key === 'Escape') e.currentTarget.value = m.name
						if (e.key === 'Enter' || e.key === 'Escape') e.currentTarget.blur()
					}}
				/>
			{:else}
				<button
					class="flex h-7 w-full min-w-0 items-center gap-2 px-2.5 text-left hover:bg-well {w.map?.id === m.id
						? 'font-semibold'
						: ''}"
					title="Double press or F2 renames"
					aria-current={w.map?.id === m.id ? 'true' : undefined}
					onclick={() => w.show(m.id)}
					ondblclick={() => (naming = m.id)}
					onkeydown={(e) => e.key === 'F2' && (naming = m.id)}
				>
					<span class="min-w-0 grow truncate">{m.name}</span>
					<span class="font-mono text-[11px] text-dim">{m.bounds.w}×{m.bounds.h}</span>
				</button>
				{#if w.map?.id === m.id && !w.play.on}
					<Hint label="Delete map {m.name}" class="button-plain hover:text-brick" onclick={() => w.removeMap(m.id)}>
						<Trash2 size={15} />
					</Hint>
				{/if}
			{/if}
		</li>
	{/each}
</ul>
