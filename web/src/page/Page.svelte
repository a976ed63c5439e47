<script lang="ts">
	import { Tooltip } from 'bits-ui'
	import { Core } from '../core/module'
	import { Pictures } from '../draw/pictures'
	import { OwnSounds } from '../play/ownSounds'
	import { Notices } from '../project/notices.svelte'
	import { offline } from '../project/offline'
	import { Workspace } from '../workspace/workspace.svelte'
	import Game from './Game.svelte'
	import Loading from './Loading.svelte'
	import { brought, moduleOf, pictureOf, soundOf, stateOf } from './game'

	const notices = new Notices()

	async function open(): Promise<Workspace> {
		const b = brought()
		Pictures.source = async (sha) => pictureOf(b, sha)
		OwnSounds.source = async (file) => soundOf(b, file)
		const [core, state] = await Promise.all([Core.load(moduleOf()), stateOf(b)])
		const w = new Workspace(offline(core, state, notices), notices)
		Object.assign(globalThis, {
			azzel: {
				hero: () => `${w.play.view?.x} ${w.play.view?.y} ${w.play.view?.facing}`,
				opened: performance.now(),
				feed: (inputs: number[]) => (w.play.fed = inputs),
			},
		})
		return w
	}
	const opened = open()
</script>

<Tooltip.Provider delayDuration={500}>
	{#await opened}
		<Loading />
	{:then w}
		<Game {w} />
	{:catch error}
		<main class="flex h-full items-center justify-center p-6">
			<p class="max-w-md text-center" role="alert">{error.message}</p>
		</main>
	{/await}
</Tooltip.Provider>
