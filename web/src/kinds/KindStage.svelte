<script lang="ts">
	import { onDestroy, untrack } from 'svelte'
	import type { Kind } from '../core/types'
	import SeenChoice from '../controls/SeenChoice.svelte'
	import { View } from '../draw/view.svelte'
	import { gameKeys, keyWord } from '../workspace/gameKeys.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import { drawStage } from './stagePicture'
	import { Trying, type Would } from './trial.svelte'

	// A kind acting on a small piece of ground, with the hero to try it, while its numbers are changed.
	let { kind: k, would }: { kind: Kind; would: Would | null } = $props()
	const w = workspace()
	const trying = new Trying(w.project)
	const view = new View()
	const walks = $derived((['up', 'left', 'down', 'right'] as const).map((i) => keyWord(gameKeys.of(i)[0])).join(''))
	let seen = $state('')
	let canvas = $state<HTMLCanvasElement>()
	let width = $state(0)

	$effect(() => {
		void [w.project.turn, w.project.head]
		const [id, from, now] = [k.id, seen, would]
		untrack(() => trying.take(id, from, now))
	})
	trying.run()
	onDestroy(() => trying.end())

	$effect(() => {
		void [width, w.project.turn]
		const { trial, view: play } = trying
		if (!canvas || !trial || !play) return
		const dpr = devicePixelRatio
		const [cols, rows] = [trial.rows[0].length, trial.rows.length]
		const wide = Math.round(canvas.clientWidth * dpr)
		view.scale = wide / (cols * trial.cellWidth)
		const high = Math.round(rows * trial.cellHeight * view.scale)
		if (canvas.width !== wide || canvas.height !== high) [canvas.width, canvas.height] = [wide, high]
		;[view.width, view.height, view.x, view.y] = [wide, high, 0, 0]
		const ctx = canvas.getContext('2d')!
		ctx.imageSmoothingEnabled = false
		drawStage(ctx, w.scene.figures, view, trial, play, w.theme)
	})

	/** A finger or the pointer leads the hero to where it is held. */
	function toward(e: PointerEvent) {
		const play = trying.view
		if (!play || !canvas) return
		const r = canvas.getBoundingClientRect()
		const p = view.at((e.clientX - r.left) * devicePixelRatio, (e.clientY - r.top) * devicePixelRatio)
		const { cellWidth: cw, cellHeight: ch, side } = trying.trial!
		const [dx, dy] = [p.x - play.x - cw / 2, p.y - play.y - ch / 2]
		let bits = 0
		if (Math.abs(dx) > cw / 3) bits |= dx > 0 ? 2 : 8
		if (Math.abs(dy) > ch / 3) bits |= dy > 0 ? 4 : side ? 32 : 1
		trying.lean('pointer', bits)
	}
</script>

<div class="flex flex-col gap-1.5" role="group" aria-label="Try it">
	{#if trying.error}
		<p class="text-brick">{trying.error}</p>
	{:else}
		<!-- the stage is an application of its own: keys of the game go to it while it has the focus -->
		<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
		<canvas
			bind:this={canvas}
			bind:clientWidth={width}
			class="w-full max-w-[78vh] touch-none self-center border border-line outline-none focus-visible:outline-2 focus-visible:outline-glaze"
			tabindex="0"
			role="application"
			aria-label="{k.name} at work. {trying.trial?.says ?? ''}"
			data-testid="stage"
			data-tick={trying.view?.tick ?? 0}
			data-hero={trying.view?.x ?? 0}
			onpointerdown={(e) => {
				canvas?.focus()
				canvas?.setPointerCapture(e.pointerId)
				toward(e)
			}}
			onpointermove={(e) => e.buttons && toward(e)}
			onpointerup={() => trying.lean('pointer', 0)}
			onpointercancel={() => trying.lean('pointer', 0)}
			onkeydown={(e) => {
				if (e.key === 'Escape') canvas?.blur()
				else if (!trying.key(e, true)) return
				e.preventDefault()
				e.stopPropagation()
			}}
			onkeyup={(e) => trying.key(e, false)}
			onblur={() => trying.release()}
		></canvas>
		{#if trying.view?.line}
			<p class="bg-ink px-3 py-1 whitespace-pre-line text-plaster" role="status">
				{trying.view.line} <span class="key">{keyWord(gameKeys.of('use')[0])}</span>
			</p>
		{/if}
		<div class="flex flex-wrap items-center gap-1.5">
			<SeenChoice bind:seen={() => (trying.trial?.side ? 'side' : 'above'), (way) => (seen = way)} />
			<button class="button" onclick={() => trying.take(k.id, seen, would, true)}>Again</button>
			<button class="button" aria-pressed={trying.frozen} onclick={() => (trying.frozen = !trying.frozen)}
				>{trying.frozen ? 'Go on' : 'Freeze'}</button
			>
			{#each trying.view?.heard ?? [] as h (h.by + h.plays)}
				<span class="text-[12px] text-dim" data-testid="heard">{h.plays}, {Math.round(h.loud / 10)} % loud</span>
			{/each}
			<span class="min-w-0 grow truncate text-right text-[12px] text-dim"
				>Press it, then walk with {walks}; {keyWord(gameKeys.of('use')[0])} uses</span
			>
		</div>
	{/if}
</div>
