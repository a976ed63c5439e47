<script lang="ts">
	import { tick } from 'svelte'
	import NameField from '../controls/NameField.svelte'
	import Context from '../controls/Context.svelte'
	import { roving } from '../controls/roving'
	import type { Version } from './named'
	import { whenOf } from './when'

	// The versions, the latest first.
	interface Props {
		all: Version[]
		chosen: string
		/** The number of the project's last edit. */
		head: number
		choose: (id: string) => void
		rename: (v: Version, to: string) => void
		forget: (v: Version) => void
	}
	let { all, chosen, head, choose, rename, forget }: Props = $props()
	let naming = $state('')
	let list = $state<HTMLElement>()

	function named(v: Version, to: string) {
		naming = ''
		if (to.trim() && to.trim() !== v.name) rename(v, to.trim())
	}

	/** The keys go on from the row that had a field. */
	const goOnFrom = (v: Version) =>
		void tick().then(() => list?.querySelector<HTMLElement>(`[data-version="${v.id}"]`)?.focus())

	const since = (v: Version) => {
		const n = head - v.seq
		return n === 0 ? 'as it is now' : n === 1 ? '1 step ago' : `${n.toLocaleString('en-GB')} steps ago`
	}
	const menu = (v: Version) => [
		{ label: 'Rename', keys: 'F2', run: () => (naming = v.id) },
		{ label: 'Remove the name', run: () => forget(v) },
	]
</script>

<ol
	class="-mx-4 min-h-0 overflow-y-auto border-t border-line"
	aria-label="Versions, the latest first"
	bind:this={list}
	{@attach roving}
>
	{#each all as v (v.id)}
		<li class="border-b border-line {chosen === v.id ? 'bg-chalk' : ''}">
			{#if naming === v.id}
				<NameField
					name={v.name}
					label="Name of the version"
					class="m-2 w-[calc(100%-16px)]"
					named={(name) => named(v, name)}
					after={() => goOnFrom(v)}
				/>
			{:else}
				<Context choices={() => menu(v)}>
					<button
						class="flex w-full flex-col px-4 py-1.5 text-left hover:bg-well"
						data-version={v.id}
						aria-current={chosen === v.id ? 'true' : undefined}
						title="Double press or F2 renames"
						onclick={() => choose(v.id)}
						ondblclick={() => (naming = v.id)}
						onkeydown={(e) => {
							if (e.key === 'F2') naming = v.id
							if (e.key === 'Delete') forget(v)
						}}
					>
						<span class="w-full truncate {chosen === v.id ? 'font-semibold' : ''}">{v.name}</span>
						<span class="w-full truncate text-[12px] text-dim tabular-nums">{v.by} · {whenOf(v.at)} · {since(v)}</span>
					</button>
				</Context>
			{/if}
		</li>
	{/each}
</ol>
