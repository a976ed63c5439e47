<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis'
	import { DropdownMenu } from 'bits-ui'
	import { onMount } from 'svelte'
	import Context from '../controls/Context.svelte'
	import FileButton from '../controls/FileButton.svelte'
	import Menu, { type Choice } from '../controls/Menu.svelte'
	import Cover from './Cover.svelte'
	import NameField from '../controls/NameField.svelte'
	import { ask, greet, read, send } from '../live/http'
	import { asProject } from '../share/exchange'

	interface Listed {
		id: string
		name: string
		/** The number of its last edit. */
		head: number
		changed: string
		removed: string | null
	}

	let all = $state.raw<Listed[] | null>(null)
	const projects = $derived(all?.filter((p) => !p.removed))
	const removed = $derived(all?.filter((p) => p.removed) ?? [])
	let naming = $state('')
	/** What was just removed, for the way back. */
	let gone = $state.raw<Listed | null>(null)
	/** The project that is about to be deleted for good. */
	let deleting = $state('')
	let name = $state('')
	let wrong = $state('')

	onMount(async () => {
		document.title = 'Azzel'
		try {
			await greet()
			await look()
		} catch (e) {
			wrong = (e as Error).message
		}
	})

	const look = async () => (all = await read<Listed[]>('/api/projects'))

	/** Asks something of a project, and shows what there is then. */
	async function act(p: Listed, what: string, body = '{}') {
		wrong = ''
		try {
			await ask('POST', `/api/projects/${p.id}/${what}`, body)
			await look()
			return true
		} catch (e) {
			wrong = (e as Error).message
			return false
		}
	}

	async function rename(p: Listed, written: string) {
		naming = ''
		const name = written.trim()
		if (name !== p.name) await act(p, 'name', JSON.stringify({ name }))
	}

	async function remove(p: Listed) {
		if (await act(p, 'remove')) gone = p
	}

	const menu = (p: Listed): Choice[] => [
		{ label: 'Open', run: () => location.assign(`/p/${p.id}`) },
		{ label: 'Rename', keys: 'F2', run: () => (naming = p.id) },
		{ label: 'Copy', run: () => void act(p, 'copy') },
		{ label: 'Remove', run: () => void remove(p) },
	]

	async function make(e: Event) {
		e.preventDefault()
		try {
			const made = await send<Listed>('/api/projects', JSON.stringify({ name: name.trim() || 'New project' }))
			location.assign(`/p/${made.id}`)
		} catch (e) {
			wrong = (e as Error).message
		}
	}

	/** The file that is being read. */
	let reading = $state('')

	async function bring(file: File) {
		;[reading, wrong] = [file.name, '']
		try {
			location.assign(`/p/${await asProject(file)}`)
		} catch (e) {
			;[reading, wrong] = ['', (e as Error).message]
		}
	}

	const when = (t: string) =>
		new Date(t).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<main class="h-full overflow-y-auto">
	<div class="mx-auto flex max-w-[800px] flex-col gap-6 px-6 py-16">
		<div class="flex items-center gap-4">
			<img src="/icon.svg" alt="" width="44" height="44" />
			<div>
				<h1 class="text-[26px] leading-tight font-semibold">Azzel</h1>
				<p class="text-dim">Paint maps, join them, say what happens, walk through.</p>
			</div>
		</div>
		{#if gone}
			<p class="flex items-center gap-3 border-l-2 border-glaze pl-2" role="status">
				<span class="grow">{gone.name} is removed.</span>
				<button
					class="button"
					onclick={async () => {
						if (gone && (await act(gone, 'bring-back'))) gone = null
					}}>Undo</button
				>
			</p>
		{/if}
		{#if wrong}<p class="border-l-2 border-brick pl-2 text-brick" role="alert">{wrong}</p>{/if}
		<form class="flex gap-2" onsubmit={make}>
			<input
				class="field h-9 grow"
				placeholder="Name of a new project"
				aria-label="Name of a new project"
				maxlength="80"
				bind:value={name}
			/>
			<button class="button h-9 button-main">New project</button>
			<FileButton
				says={reading ? 'Reading…' : 'Bring in a ZIP…'}
				label="A ZIP of a project"
				accept=".zip,application/zip"
				class="button h-9"
				disabled={!!reading}
				chosen={(file) => void bring(file)}
			/>
		</form>
		<section class="flex shrink-0 flex-col gap-2" aria-labelledby="projects">
			<h2 class="heading" id="projects">Projects</h2>
			<ul class="grid grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-4">
				{#each projects ?? [] as p (p.id)}
					<li>
						<Context choices={() => menu(p)} class="cut hover:[--edge:var(--glaze)]">
							{#if naming === p.id}
								<Cover project={p.id} edit={p.head} />
								<div class="flex h-12 items-center px-2">
									<NameField
										name={p.name}
										label="Name of the project"
										class="min-w-0 grow font-semibold"
										named={(name) => void rename(p, name)}
									/>
								</div>
							{:else}
								<a
									class="block"
									href="/p/{p.id}"
									draggable="false"
									onkeydown={(e) => e.key === 'F2' && (naming = p.id)}
								>
									<Cover project={p.id} edit={p.head} />
									<span class="flex h-12 flex-col justify-center pr-10 pl-3">
										<span class="truncate font-semibold" title={p.name}>{p.name}</span>
										<span class="text-[12px] text-dim">{when(p.changed)}</span>
									</span>
								</a>
								<span class="absolute right-1.5 bottom-2.5">
									<Menu choices={menu(p)} side="bottom">
										{#snippet trigger()}
											<DropdownMenu.Trigger class="button-plain" aria-label="What to do with {p.name}"
												><Ellipsis size={16} /></DropdownMenu.Trigger
											>
										{/snippet}
									</Menu>
								</span>
							{/if}
						</Context>
					</li>
				{:else}
					<li class="col-span-full text-dim">{projects ? 'None yet: name one above.' : 'Looking…'}</li>
				{/each}
			</ul>
		</section>
		{#if removed.length}
			<details class="shrink-0">
				<summary class="cursor-pointer heading">Removed ({removed.length})</summary>
				<ul class="flex flex-col gap-1 pt-2">
					{#each removed as p (p.id)}
						<li class="flex min-h-8 items-center gap-2 px-4">
							{#if deleting === p.id}
								<span class="grow text-brick">{p.name} and all of its history go for good.</span>
								<button
									class="button text-brick"
									onclick={() => {
										deleting = ''
										void act(p, 'delete')
									}}>Delete it</button
								>
								<button class="button" onclick={() => (deleting = '')}>Keep it</button>
							{:else}
								<span class="min-w-0 grow truncate">{p.name}</span>
								<button class="button" onclick={() => void act(p, 'bring-back')}>Bring back</button>
								<button class="button hover:text-brick" onclick={() => (deleting = p.id)}>Delete for good…</button>
							{/if}
						</li>
					{/each}
				</ul>
			</details>
		{/if}
	</div>
</main>
