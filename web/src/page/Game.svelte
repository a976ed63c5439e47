<script lang="ts">
	import Pause from '@lucide/svelte/icons/pause'
	import Play from '@lucide/svelte/icons/play'
	import MapCanvas from '../canvas/MapCanvas.svelte'
	import NoticeList from '../frame/NoticeList.svelte'
	import PlayScreen from '../play/PlayScreen.svelte'
	import SoundTick from '../play/SoundTick.svelte'
	import { giveWorkspace, type Workspace } from '../workspace/workspace.svelte'
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'

	// A game alone: what it is called, then nothing but the game.
	let { w }: { w: Workspace } = $props()
	// svelte-ignore state_referenced_locally
	giveWorkspace(w)
	let wrong = $state('')
	let first = $state<HTMLButtonElement>()
	const walks = $derived((['up', 'left', 'down', 'right'] as const).map((i) => keyWord(gameKeys.of(i)[0])))
	const name = $derived(w.project.head.project.name)

	$effect(() => {
		document.title = name
		first?.focus()
	})

	function begin() {
		wrong = ''
		if (w.playing.begin(() => w.play.start(''))) return
		wrong = w.notices.shown.at(-1)?.text ?? 'There is no map yet, so there is nothing to play.'
		for (const n of w.notices.shown) w.notices.drop(n.id)
	}

	function pause() {
		if (w.play.frozen) {
			w.play.frozen = false
			w.canvas?.focus()
		} else w.play.stand()
	}

	function keydown(e: KeyboardEvent) {
		if (!w.play.on) return
		if (e.key === 'Escape') {
			e.preventDefault()
			return pause()
		}
		const pressed = e.target instanceof Element && e.target.closest('button')
		if (!pressed && w.play.key(e, true)) e.preventDefault()
	}
</script>

<svelte:window
	onkeydown={keydown}
	onkeyup={(e) => w.play.key(e, false)}
	onblur={() => w.play.on && w.play.stand()}
	onpointerdowncapture={(e) => (w.touch = e.pointerType === 'touch')}
/>

<main class="relative h-full overflow-hidden bg-night" aria-label={name}>
	<MapCanvas />
	{#if w.play.on}
		<PlayScreen alone />
		<div class="absolute top-3 right-3 flex gap-1">
			<SoundTick done={() => w.canvas?.focus()} />
			<button class="button w-9 px-0" aria-label="Pause" onclick={pause}><Pause size={15} /></button>
		</div>
		{#if w.play.frozen}
			<div class="absolute inset-0 flex items-center justify-center bg-night/70">
				<div class="cut w-[22rem] max-w-[90%]">
					<div class="flex flex-col items-stretch gap-3 p-6">
						<h1 class="text-center text-[22px] font-semibold">Paused</h1>
						<!-- svelte-ignore a11y_autofocus -->
						<button class="button h-10 button-main" autofocus onclick={pause}>Go on</button>
						<button class="button h-10" onclick={begin}>Begin anew</button>
					</div>
				</div>
			</div>
		{/if}
	{:else}
		<div class="absolute inset-0 flex items-center justify-center bg-night">
			<div class="cut w-[30rem] max-w-[92%]">
				<div class="flex flex-col items-center gap-5 px-8 py-9">
					<h1 class="text-center text-[30px] leading-tight font-semibold text-balance">{name}</h1>
					<button bind:this={first} class="button h-11 button-main px-8 text-[16px]" onclick={begin}
						><Play size={17} /> Play</button
					>
					{#if wrong}<p class="border-l-2 border-brick pl-2 text-brick" role="alert">{wrong}</p>{/if}
					<p class="flex flex-wrap justify-center gap-x-2 gap-y-1 text-dim">
						{#if w.touch}
							Press the ground to walk there, or use the pad.
						{:else}
							{#each walks as k (k)}<span class="key">{k}</span>{/each} walk
							<span class="key">{keyWord(gameKeys.of('use')[0])}</span> use
							<span class="key">Esc</span> pause
						{/if}
					</p>
				</div>
			</div>
		</div>
	{/if}
	<NoticeList notices={w.notices} />
</main>
