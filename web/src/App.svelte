<script lang="ts">
	import ContextHost from './controls/ContextHost.svelte'
	import { Notices } from './project/notices.svelte'
	import Workbench from './frame/Workbench.svelte'
	import Home from './home/Home.svelte'
	import { Project } from './project/project.svelte'
	import { Workspace } from './workspace/workspace.svelte'

	const id = /^\/p\/([a-z2-7]{12})\/?$/.exec(location.pathname)?.[1]
	const notices = new Notices()

	async function open(id: string): Promise<Workspace> {
		const w = new Workspace(await Project.open(id, notices), notices)
		// for tests: the state hash, which the server computes as well, and where things are on the screen
		Object.assign(globalThis, {
			azzel: {
				hash: () => w.project.core.hash(),
				held: () => w.project.core.held,
				tidied: () => w.project.core.tidied,
				left: () => w.charting.left,
				warmed: () => w.proving.thinker.warmed,
				opened: performance.now(),
				view: () => w.view.save(),
				chart: () => w.chartView.save(),
				hero: () => `${w.play.view?.x} ${w.play.view?.y} ${w.play.view?.facing}`,
				pointers: () => [...w.project.pointers.values()],
			},
		})
		return w
	}
</script>

<ContextHost />
{#if id}
	{#await open(id)}
		<main class="flex h-full items-center justify-center gap-3 text-dim">
			<img src="/icon.svg" alt="" width="32" height="32" />
			<span role="status">Opening the project…</span>
		</main>
	{:then w}
		<Workbench {w} />
	{:catch error}
		<main class="flex h-full flex-col items-center justify-center gap-4">
			<h1 class="max-w-md text-center text-[15px]"><span role="alert">{error.message}</span></h1>
			<div class="flex gap-2">
				<button class="button button-main" onclick={() => location.reload()}>Try again</button>
				<a class="button" href="/">All projects</a>
			</div>
		</main>
	{/await}
{:else if location.pathname === '/'}
	<Home />
{:else}
	<main class="flex h-full flex-col items-center justify-center gap-4">
		<h1>There is no project at this address.</h1>
		<a class="button" href="/">All projects</a>
	</main>
{/if}
