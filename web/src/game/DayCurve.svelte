<script lang="ts">
	import type { Detail } from '../core/types'

	// How dark it is over a day: a line through eight points, which are dragged up and down or moved by arrows.
	let { detail, set }: { detail: Detail; set: (value: string | null) => void } = $props()
	const [w, h, pad] = [320, 84, 10]
	const kept = $derived(detail.value.split(',').map((n) => Number(n.trim()) || 0))
	let dragged = $state<{ i: number; to: number } | null>(null)
	const all = $derived(kept.map((n, i) => (dragged?.i === i ? dragged.to : n)))
	const x = (i: number) => pad + (i * (w - 2 * pad)) / all.length
	const y = (n: number) => pad + (n * (h - 2 * pad)) / 100
	const line = $derived([...all, all[0]].map((n, i) => `${x(i).toFixed(1)},${y(n).toFixed(1)}`).join(' '))
	let svg: SVGSVGElement

	const write = (i: number, to: number) => {
		const next = kept.map((n, k) => (k === i ? Math.max(0, Math.min(100, Math.round(to))) : n))
		if (next[i] !== kept[i]) set(next.join(', '))
	}

	function move(e: PointerEvent) {
		if (!dragged) return
		const r = svg.getBoundingClientRect()
		const at = ((e.clientY - r.top) / r.height) * h
		dragged = { i: dragged.i, to: Math.max(0, Math.min(100, Math.round(((at - pad) / (h - 2 * pad)) * 100))) }
	}

	function drop() {
		if (dragged) write(dragged.i, dragged.to)
		dragged = null
	}
</script>

<div class="flex flex-col gap-0.5" title={detail.help}>
	<span class="leading-tight {detail.differs ? 'font-semibold' : 'text-dim'}">{detail.name}</span>
	<svg
		bind:this={svg}
		viewBox="0 0 {w} {h}"
		class="w-full touch-none border border-line bg-chalk"
		role="group"
		aria-label="How dark it is over a day"
	>
		<polygon points="{x(0)},{pad} {line} {x(all.length)},{pad}" class="fill-cobalt/20" />
		<polyline points={line} fill="none" class="stroke-cobalt" stroke-width="2" />
		{#each all as n, i (i)}
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<circle
				cx={x(i)}
				cy={y(n)}
				r="7"
				class="cursor-ns-resize fill-chalk stroke-cobalt outline-offset-2 focus-visible:outline-2"
				stroke-width="2"
				tabindex="0"
				role="slider"
				aria-label="At {i * 3} o’clock"
				aria-orientation="vertical"
				aria-valuemin="0"
				aria-valuemax="100"
				aria-valuenow={n}
				aria-valuetext="{n} percent dark"
				onpointerdown={(e) => {
					e.currentTarget.setPointerCapture(e.pointerId)
					dragged = { i, to: n }
				}}
				onpointermove={move}
				onpointerup={drop}
				onpointercancel={() => (dragged = null)}
				onkeydown={(e) => {
					const by = { ArrowUp: -5, ArrowDown: 5, PageUp: -20, PageDown: 20 }[e.key]
					if (!by) return
					e.preventDefault()
					e.stopPropagation()
					write(i, n + by)
				}}
			/>
		{/each}
	</svg>
	<div class="flex justify-between px-1 text-[11px] text-dim tabular-nums">
		<span>0</span><span>6</span><span>12</span><span>18</span><span>24 o’clock</span>
	</div>
</div>
