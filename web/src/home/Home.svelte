<script lang="ts">
	import { onMount } from 'svelte'
	import { greet, read, send } from '../live/http'

	interface Listed {
		id: string
		name: string
		changed: string
	}

	let projects = $state.raw<Listed[] | null>(null)
	let name = $state('')
	let wrong = $state('')

	onMount(async () => {
		document.title = 'Azzel'
		try {
			await greet()
			projects = await read<Listed[]>('/api/projects')
		} catch (e) {
			wrong = (e as Error).message
		}
	})

	async function make(e: Event) {
		e.preventDefault()
		try {
			const made = await send<Listed>('/api/projects', JSON.stringify({ name: name.trim() || 'New project' }))
			location.assign(`/p/${made.id}`)
		} catch (e) {
			wrong = (e as Error).message
		}
	}

	const when = (t: string) =>
		new Date(t).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<main class="mx-auto flex h-full max-w-2xl flex-col gap-6 overflow-y-auto px-6 py-16">
	<div class="flex items-center gap-4">
		<img src="/icon.svg" alt="" width="44" height="44" />
		<div>
			<h1 class="text-[26px] leading-tight font-semibold">Azzel</h1>
			<p class="text-dim">Paint maps, join them, say what happens, walk through.</p>
		</div>
	</div>
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
	</form>
	<section class="cut shrink-0">
		<h2 class="px-4 pt-3 pb-1 heading">Projects</h2>
		<ul class="pb-2">
			{#each projects ?? [] as p (p.id)}
				<li>
					<a class="flex h-10 items-center gap-3 px-4 hover:bg-well" href="/p/{p.id}">
						<span class="grow truncate font-semibold">{p.name}</span>
						<span class="text-dim">{when(p.changed)}</span>
					</a>
				</li>
			{:else}
				<li class="px-4 py-2 text-dim">{projects ? 'None yet: name one above.' : 'Looking…'}</li>
			{/each}
		</ul>
	</section>
</main>
