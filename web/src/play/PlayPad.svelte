<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down'
	import ChevronLeft from '@lucide/svelte/icons/chevron-left'
	import ChevronRight from '@lucide/svelte/icons/chevron-right'
	import ChevronUp from '@lucide/svelte/icons/chevron-up'
	import { workspace } from '../workspace/workspace.svelte'

	// What fingers play with: a pad over which the thumb slides, and a button that uses.
	let {
		jumps,
		swaps,
		skips,
		ends = false,
		words = {},
	}: {
		jumps: boolean
		swaps: boolean
		skips: boolean
		/** A turn can be ended. */
		ends?: boolean
		/** What the game calls them, where that is the player's. */
		words?: Record<string, string>
	} = $props()
	const w = workspace()
	let pad: HTMLButtonElement
	let way = $state(0)
	/** The button that is down. */
	let down = $state('')

	const ways = [
		{ bit: 1, icon: ChevronUp, class: 'top-0 left-1/2 -translate-x-1/2' },
		{ bit: 2, icon: ChevronRight, class: 'top-1/2 right-0 -translate-y-1/2' },
		{ bit: 4, icon: ChevronDown, class: 'bottom-0 left-1/2 -translate-x-1/2' },
		{ bit: 8, icon: ChevronLeft, class: 'top-1/2 left-0 -translate-y-1/2' },
	]

	/** Where the thumb lies: one way, two at a slant, none in the middle. */
	function slide(e: PointerEvent) {
		const r = pad.getBoundingClientRect()
		const [x, y] = [e.clientX - r.left - r.width / 2, e.clientY - r.top - r.height / 2]
		const [across, up] = [Math.abs(x), Math.abs(y)]
		way = 0
		if (Math.hypot(x, y) < 14) return lead()
		if (across > up * 0.42) way |= x > 0 ? 2 : 8
		if (up > across * 0.42) way |= y > 0 ? 4 : 1
		lead()
	}

	const lead = () => w.play.lean('pad', way)
	const buttons = $derived([
		{ by: 'use', name: words.use ?? 'Use', bit: 16, class: 'right-6 bottom-12' },
		...(jumps ? [{ by: 'jump', name: words.jump ?? 'Jump', bit: 32, class: 'right-30 bottom-8' }] : []),
		...(swaps ? [{ by: 'swap', name: words.swap ?? 'Next', bit: 128, class: 'right-6 bottom-36' }] : []),
		...(skips || ends
			? [
					{
						by: 'skip',
						name: skips ? (words.skip ?? 'Skip') : (words.endTurn ?? 'End turn'),
						bit: 8192,
						class: 'right-30 bottom-32',
					},
				]
			: []),
	])
	const push = (b: { by: string; bit: number }, on: boolean) => {
		if (on) down = b.by
		else if (down === b.by) down = ''
		w.play.lean(b.by, on ? b.bit : 0)
	}
	const stop = () => ((way = 0), lead())
	// pressing here leaves the focus on the map
	const stay = (e: Event) => e.preventDefault()

	$effect(() => () => {
		stop()
		for (const by of ['use', 'jump', 'swap', 'skip']) w.play.lean(by, 0)
	})
</script>

<button
	bind:this={pad}
	class="pointer-events-auto absolute bottom-6 left-6 size-36 touch-none rounded-full border-2 border-plaster/70 bg-ink/60 text-plaster select-none"
	tabindex="-1"
	aria-label="Pad: slide to walk"
	data-testid="pad"
	onmousedown={stay}
	onpointerdown={(e) => {
		pad.setPointerCapture(e.pointerId)
		slide(e)
	}}
	onpointermove={(e) => pad.hasPointerCapture(e.pointerId) && slide(e)}
	onpointerup={stop}
	onpointercancel={stop}
	oncontextmenu={stay}
>
	{#each ways as a (a.bit)}
		<span class="absolute flex size-12 items-center justify-center {a.class} {way & a.bit ? 'text-held' : ''}">
			<a.icon size={30} />
		</span>
	{/each}
</button>
{#each buttons as b (b.by)}
	<button
		class="pointer-events-auto absolute {b.class} size-20 touch-none rounded-full border-2 bg-ink/60 font-semibold select-none {down ===
		b.by
			? 'border-held text-held'
			: 'border-plaster/70 text-plaster'}"
		tabindex="-1"
		data-testid={b.by}
		onmousedown={stay}
		onpointerdown={(e) => {
			e.currentTarget.setPointerCapture(e.pointerId)
			push(b, true)
		}}
		onpointerup={() => push(b, false)}
		onpointercancel={() => push(b, false)}
		oncontextmenu={stay}>{b.name}</button
	>
{/each}
