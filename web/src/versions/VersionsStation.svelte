<script lang="ts">
	import Bookmark from '@lucide/svelte/icons/bookmark'
	import History from '@lucide/svelte/icons/history'
	import { workspace } from '../workspace/workspace.svelte'
	import Comparison from './Comparison.svelte'
	import VersionList from './VersionList.svelte'
	import { forgetVersion, nameVersion, renameVersion, versionsOf, type Version } from './named'

	// Moments of the project that have names: compared with one another, and gone back to.
	const w = workspace()
	const p = w.project
	let all = $state.raw<Version[] | null>(null)
	let chosen = $state('')
	let name = $state('')
	let field = $state<HTMLInputElement>()
	let busy = $state(false)
	const one = $derived(all?.find((v) => v.id === chosen) ?? all?.[0])
	/** The number of the project's last edit that is stored. */
	const head = $derived.by(() => {
		void p.turn
		return p.seq
	})
	/** What is not stored yet has no number. */
	const waits = $derived(p.saved !== 'saved')

	// what others name is there as well, once something of theirs is
	$effect(() => {
		void p.turn
		const timer = setTimeout(() => void look(), all ? 400 : 0)
		return () => clearTimeout(timer)
	})

	async function look() {
		try {
			all = await versionsOf(p)
		} catch (e) {
			if (!all) w.notices.wrong(e)
		}
	}

	/** Does something at the server, and shows what is there after it; false where it was refused. */
	async function done(what: () => Promise<unknown>): Promise<boolean> {
		busy = true
		try {
			await what()
			await look()
			return true
		} catch (e) {
			w.notices.wrong(e)
			return false
		} finally {
			busy = false
		}
	}

	async function add() {
		const called = name.trim()
		if (!called) return field?.focus()
		if (await done(async () => (chosen = await nameVersion(p, called, head)))) name = ''
	}

	async function forget(v: Version) {
		if (!(await done(() => forgetVersion(p, v.id)))) return
		const back = () => void done(async () => (chosen = await nameVersion(p, v.name, v.seq)))
		w.notices.say(`${v.name} has no name any more. The history keeps what it was.`, 'done', {
			label: 'Bring it back',
			run: back,
		})
	}
</script>

<main
	class="grid min-h-0 grid-cols-[340px_1fr] max-[900px]:grid-cols-1 max-[900px]:content-start max-[900px]:overflow-y-auto"
	aria-label="Versions"
>
	<section
		class="flex min-h-0 flex-col gap-3 border-r border-line bg-plaster p-4 max-[900px]:border-r-0 max-[900px]:border-b"
		aria-labelledby="named-versions"
		data-region
	>
		<h2 id="named-versions" class="heading">Versions</h2>
		<form
			class="flex flex-col gap-1.5"
			onsubmit={(e) => {
				e.preventDefault()
				void add()
			}}
		>
			<label class="text-dim" for="version-name">The project as it is now is called</label>
			<div class="flex gap-2">
				<input
					id="version-name"
					class="field min-w-0 grow"
					maxlength="80"
					placeholder="Before the flood"
					autocomplete="off"
					bind:this={field}
					bind:value={name}
				/>
				<button class="button button-main" disabled={busy || waits}>Name it</button>
			</div>
			{#if waits}<p class="text-[12px] text-dim" role="status">
					What is not saved yet is in no version: wait a moment.
				</p>{/if}
		</form>
		{#if all?.length}
			<VersionList
				{all}
				chosen={one?.id ?? ''}
				{head}
				choose={(id) => (chosen = id)}
				rename={(v, to) => void done(() => renameVersion(p, v.id, to))}
				forget={(v) => void forget(v)}
			/>
		{/if}
		<button
			class="mt-auto button self-start"
			onclick={() => {
				w.layout.show('history')
				w.open('map')
			}}><History size={15} /> Every step, beside the map</button
		>
	</section>
	{#if all && one}
		<Comparison {all} of={one} {head} />
	{:else if all}
		<div class="flex flex-col items-center justify-center gap-4 p-6 text-center" data-testid="no-versions">
			<Bookmark size={40} class="text-dim" />
			<p class="max-w-[420px] text-[15px]">
				No moment of the project has a name yet. Name one before you try something large: later you see what differs,
				map by map, and can go back to it.
			</p>
			<button class="button button-main" onclick={() => field?.focus()}>Name the project as it is now</button>
		</div>
	{/if}
</main>
