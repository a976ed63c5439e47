<script lang="ts">
	import X from '@lucide/svelte/icons/x'
	import type { Layer } from '../core/types'
	import Hint from '../controls/Hint.svelte'
	import { workspace } from '../workspace/workspace.svelte'
	import LayerThumb from './LayerThumb.svelte'

	// The stack turned sideways: sheets from far behind the hero to near before it. Where a
	// sheet stands is its parallax, and among sheets its order.
	const w = workspace()
	const layers = $derived((w.map?.layers ?? []).filter((l) => l.kind !== 'group'))
	let track: HTMLDivElement
	let dragged = $state.raw<{ id: string; lag: number } | null>(null)
	const [far, near] = [100, -100]

	/** From 0, as far as the screen's back, to 1, near the eye. */
	const place = (lag: number) => (far - Math.max(near, Math.min(far, lag))) / (far - near)
	const lagOf = (l: Layer) => (dragged?.id === l.id ? dragged.lag : l.lagX)
	// sheets at one distance stand beside each other in their order
	const sheets = $derived.by(() => {
		const all: Record<number, number> = {}
		for (const l of layers) all[lagOf(l)] = (all[lagOf(l)] ?? 0) + 1
		const seen: Record<number, number> = {}
		return layers.map((l) => {
			const lag = lagOf(l)
			const nth = (seen[lag] ?? 0) - (all[lag] - 1) / 2
			seen[lag] = (seen[lag] ?? 0) + 1
			return { l, lag, at: place(lag), nth }
		})
	})

	function lagAt(clientX: number): number {
		const r = track.getBoundingClientRect()
		const share = Math.max(0, Math.min(1, (clientX - r.left) / r.width))
		return Math.round((far - share * (far - near)) / 5) * 5
	}

	function settle(l: Layer, lag: number) {
		if (lag === l.lagX && lag === l.lagY) return
		w.project.try('moveSheet', { map: w.map!.id, id: l.id, lag })
	}

	function keys(e: KeyboardEvent, l: Layer) {
		const by = { ArrowLeft: 5, ArrowRight: -5 }[e.key]
		if (!by) return
		e.preventDefault()
		settle(l, l.lagX + by)
	}
</script>

<section
	class="absolute inset-x-3 bottom-3 z-20 border border-dim bg-chalk px-4 pt-2 pb-3"
	aria-label="Depth view"
	data-testid="depth"
>
	<div class="flex items-center gap-3">
		<h2 class="font-semibold">Depth view</h2>
		<span class="grow truncate text-[12px] text-dim"
			>Drag a sheet nearer or farther: it sets order and parallax. Move the view to see it.</span
		>
		<Hint label="Turn the stack back" class="button-plain" onclick={() => (w.depth = false)}><X size={16} /></Hint>
	</div>
	<div class="relative mx-20 h-36" bind:this={track}>
		<div class="absolute inset-x-0 bottom-8 h-px bg-dim"></div>
		<div class="absolute bottom-4 left-1/2 h-32 border-l border-dashed border-glaze"></div>
		<span class="absolute bottom-0 left-1/2 -translate-x-1/2 text-[11px] whitespace-nowrap text-dim"
			>with the map and the hero, 100 %</span
		>
		<span class="absolute bottom-0 left-0 -translate-x-1/2 text-[11px] whitespace-nowrap text-dim">far, 0 %</span>
		<span class="absolute right-0 bottom-0 translate-x-1/2 text-[11px] whitespace-nowrap text-dim">near, 200 %</span>
		{#each sheets as s (s.l.id)}
			<button
				class="absolute top-3 origin-bottom touch-none border-2 bg-well shadow-none {w.active === s.l.id
					? 'border-glaze'
					: 'border-line'} {s.l.shown ? '' : 'opacity-40'}"
				style:left="calc({s.at * 100}% + {s.nth * 58 - 39}px)"
				style:transform="skewY(-14deg) scaleX(0.72)"
				aria-label="Sheet {s.l.name}: parallax {100 - s.lag} %, arrows move it"
				aria-pressed={w.active === s.l.id}
				onclick={() => w.hand.work(w.map!.id, s.l.id)}
				onkeydown={(e) => keys(e, s.l)}
				onpointerdown={(e) => {
					e.currentTarget.setPointerCapture(e.pointerId)
					w.hand.work(w.map!.id, s.l.id)
					dragged = { id: s.l.id, lag: s.l.lagX }
				}}
				onpointermove={(e) => {
					if (dragged?.id === s.l.id && e.buttons) dragged = { id: s.l.id, lag: lagAt(e.clientX) }
				}}
				onpointerup={() => {
					if (dragged?.id === s.l.id) settle(s.l, dragged.lag)
					dragged = null
				}}
			>
				{#if w.map}<LayerThumb map={w.map} layer={s.l} width={76} height={56} />{/if}
			</button>
			<span
				class="pointer-events-none absolute bottom-10 w-14 truncate text-center text-[11px] {w.active === s.l.id
					? 'font-semibold'
					: 'text-dim'}"
				style:left="calc({s.at * 100}% + {s.nth * 58 - 28}px)">{s.l.name}</span
			>
		{/each}
	</div>
</section>
