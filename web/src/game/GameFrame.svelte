<script lang="ts">
	import PauseIcon from '@lucide/svelte/icons/pause'
	import { onMount } from 'svelte'
	import MapCanvas from '../canvas/MapCanvas.svelte'
	import PlayScreen from '../play/PlayScreen.svelte'
	import SoundTick from '../play/SoundTick.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { directionOf } from '../rules/languages'
	import Backdrop from './Backdrop.svelte'
	import Credits from './Credits.svelte'
	import Ended from './Ended.svelte'
	import { MenuPad, pressOn, type Press } from './presses'
	import MapChoice from './MapChoice.svelte'
	import Paused from './Paused.svelte'
	import { Player } from './player.svelte'
	import SavedGames from './SavedGames.svelte'
	import PlayerSettings from './PlayerSettings.svelte'
	import TitleScreen from './TitleScreen.svelte'

	// A game as its player sees it, from the title to the end: in the page that plays, and beside what is set of it.
	let { key, grabs = false }: { key: string; /** The keys are this game's alone. */ grabs?: boolean } = $props()
	const w = workspace()
	let holder: HTMLElement
	const canvas = () => holder?.querySelector('canvas') ?? undefined
	// svelte-ignore state_referenced_locally
	const player = new Player(w, key, canvas)
	const view = $derived(w.play.view)
	const tongue = $derived(player.language || player.info.language)
	const over = $derived((player.began && view?.show.over) || '')

	onMount(() => {
		const unfollow = player.follow()
		const pad = new MenuPad()
		let frame = requestAnimationFrame(function look() {
			frame = requestAnimationFrame(look)
			for (const press of pad.pressed()) padded(press)
		})
		return () => {
			unfollow()
			cancelAnimationFrame(frame)
			// a game of the map stands still as it was left
			if (player.began && w.play.on) w.playing.stopPlay()
		}
	})

	// the game ends otherwise: by the editor, or because its map is gone
	$effect(() => {
		if (w.play.on || !player.began) return
		player.began = false
		if (['play', 'paused'].includes(player.screen)) player.screen = 'title'
	})
	$effect(() => {
		w.wants = {
			calm: player.calm,
			flickers: !player.wants.noFlicker,
			music: player.wants.music / 10,
			surroundings: player.wants.surroundings / 10,
			sounds: player.wants.sounds / 10,
		}
		return () => (w.wants = null)
	})

	/** Escape: a pause, and out of what is open. */
	function back() {
		if (player.screen === 'play' && !over) player.pause()
		else if (player.screen === 'paused') player.goOn()
		else if (player.screen !== 'title' && player.screen !== 'play') player.back()
	}

	function padded(press: Press) {
		// beside the settings a pad is the game's only while that has the focus
		if (!grabs && !holder.contains(document.activeElement)) return
		const plate = holder.querySelector<HTMLElement>('[data-plate]')
		if (!plate) {
			// a scene that can be skipped is skipped by the same button
			if (press === 'pause' && player.screen === 'play' && !view?.show.skips) back()
			return
		}
		if (press === 'back' || press === 'pause') back()
		else pressOn(plate, press)
		w.play.letGo = true
	}

	function keydown(e: KeyboardEvent) {
		if (e.key === 'Escape') {
			e.preventDefault()
			e.stopPropagation()
			back()
			return
		}
		if (player.screen !== 'play') return
		const pressed = e.target instanceof Element && e.target.closest('button, input, select')
		if (!pressed && w.play.key(e, true)) {
			e.preventDefault()
			e.stopPropagation()
		}
	}
</script>

<svelte:window
	onkeydown={(e) => grabs && keydown(e)}
	onkeyup={(e) => w.play.key(e, false)}
	onblur={() => player.screen === 'play' && !over && player.pause()}
/>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<section
	bind:this={holder}
	class="@container relative isolate h-full overflow-hidden bg-night"
	aria-label={player.info.title}
	lang={tongue}
	dir={directionOf(tongue)}
	onkeydown={(e) => !grabs && keydown(e)}
	data-testid="game"
>
	<MapCanvas />
	{#if w.play.on && player.began}
		<PlayScreen alone letters={player.wants.letters} />
		<div class="absolute top-3 right-3 flex gap-1 {player.screen === 'play' && !over ? '' : 'invisible'}">
			<SoundTick done={() => w.canvas?.focus()} says={player.word('sounds')} />
			<button class="button w-9 px-0" aria-label={player.word('pause')} onclick={() => player.pause()}
				><PauseIcon size={15} /></button
			>
		</div>
	{/if}
	{#if !w.play.on || !player.began}<Backdrop map={player.info.behind} moves={!player.calm} />{/if}
	{#if player.screen === 'title'}<TitleScreen {player} />
	{:else if player.screen === 'paused'}<Paused {player} />
	{:else if player.screen === 'maps'}<MapChoice {player} />
	{:else if player.screen === 'saves' || player.screen === 'keep'}<SavedGames
			{player}
			keeps={player.screen === 'keep'}
		/>
	{:else if player.screen === 'settings'}<PlayerSettings {player} />
	{:else if player.screen === 'credits'}<Credits {player} />
	{:else if over}<Ended {player} {over} />{/if}
	{#if player.note}
		<p
			class="absolute inset-x-0 bottom-6 z-10 mx-auto w-fit max-w-[90%] bg-ink px-5 py-2 text-center text-plaster"
			role="status"
			data-testid="note"
		>
			{player.note}
		</p>
	{/if}
</section>
