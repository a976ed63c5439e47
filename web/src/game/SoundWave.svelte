<script lang="ts">
	import type { Sound } from '../core/contract.gen'
	import { OwnSounds } from '../play/ownSounds'

	// The wave of a sound, and the part of it that is heard: its two ends are dragged, or moved by arrows.
	let {
		sound,
		at,
		set,
	}: {
		sound: Sound
		/** What is heard now, in milliseconds; −1 is nothing. */ at: number
		set: (from: number, to: number) => void
	} = $props()
	let canvas: HTMLCanvasElement
	let wrong = $state(false)
	let dragged = $state<[number, number] | null>(null)
	const from = $derived(dragged?.[0] ?? sound.from ?? 0)
	const to = $derived(dragged?.[1] ?? (sound.to || sound.lasts))
	const part = (ms: number) => `${(100 * ms) / sound.lasts}%`
	const seconds = (ms: number) => `${(ms / 1000).toFixed(2)} s`

	$effect(() => {
		const { file } = sound
		void OwnSounds.decoded(file).then((buffer) => {
			wrong = !buffer
			if (buffer && canvas) draw(buffer)
		})
	})

	function draw(buffer: AudioBuffer) {
		const by = devicePixelRatio
		const [w, h] = [(canvas.width = canvas.clientWidth * by), (canvas.height = canvas.clientHeight * by)]
		const c = canvas.getContext('2d')!
		c.fillStyle = getComputedStyle(canvas).color
		const samples = buffer.getChannelData(0)
		for (let x = 0; x < w; x++) {
			const [a, b] = [Math.floor((x * samples.length) / w), Math.floor(((x + 1) * samples.length) / w)]
			let most = 0
			// some of many are enough to see how loud it is
			for (let i = a; i < b; i += Math.max(1, (b - a) >> 5)) most = Math.max(most, Math.abs(samples[i]))
			const tall = Math.max(by, most * h)
			c.fillRect(x, (h - tall) / 2, 1, tall)
		}
	}

	const least = 10
	const bounded = (end: 0 | 1, ms: number): [number, number] =>
		end === 0
			? [Math.round(Math.max(0, Math.min(ms, to - least))), to]
			: [from, Math.round(Math.min(sound.lasts, Math.max(ms, from + least)))]

	function drag(e: PointerEvent, end: 0 | 1) {
		const box = canvas.getBoundingClientRect()
		const handle = e.currentTarget as HTMLElement
		handle.setPointerCapture(e.pointerId)
		handle.onpointermove = (m) => (dragged = bounded(end, ((m.clientX - box.left) / box.width) * sound.lasts))
		handle.onpointerup = handle.onpointercancel = (m) => {
			handle.onpointermove = handle.onpointerup = handle.onpointercancel = null
			if (dragged && m.type === 'pointerup') set(...dragged)
			dragged = null
		}
	}

	function keydown(e: KeyboardEvent, end: 0 | 1) {
		const by = { ArrowLeft: -1, ArrowRight: 1, PageDown: -10, PageUp: 10 }[e.key]
		if (!by) return
		e.preventDefault()
		e.stopPropagation()
		set(...bounded(end, (end ? to : from) + by * Math.max(10, Math.round(sound.lasts / 200))))
	}
</script>

<div class="relative h-12 bg-well" data-testid="wave">
	<canvas bind:this={canvas} class="absolute inset-0 size-full text-glaze"></canvas>
	{#if wrong}<p class="absolute inset-0 flex items-center justify-center text-brick">
			This browser cannot read it: what Azzel has is heard in its place.
		</p>{/if}
	<div class="absolute inset-y-0 left-0 bg-plaster/75" style:width={part(from)}></div>
	<div class="absolute inset-y-0 right-0 bg-plaster/75" style:width={part(sound.lasts - to)}></div>
	{#if at >= 0}<div class="absolute inset-y-0 w-px bg-brick" style:left={part(at)}></div>{/if}
	{#each [['Begins', from], ['Ends', to]] as [name, ms], end (name)}
		<button
			class="absolute inset-y-0 w-6 -translate-x-1/2 cursor-ew-resize touch-none"
			style:left={part(ms as number)}
			role="slider"
			aria-label="{name} at"
			aria-valuemin="0"
			aria-valuemax={sound.lasts}
			aria-valuenow={ms as number}
			aria-valuetext={seconds(ms as number)}
			title="{name} at {seconds(ms as number)}: drag, or press arrows"
			onpointerdown={(e) => drag(e, end as 0 | 1)}
			onkeydown={(e) => keydown(e, end as 0 | 1)}
			><span class="mx-auto block h-full w-1 border-x border-chalk bg-ink"></span></button
		>
	{/each}
</div>
