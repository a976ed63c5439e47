<script lang="ts">
	// A handle beside a number: dragged to the sides it changes it, a pixel a step; with the keys it is a slider.
	let {
		name,
		value,
		least,
		most,
		step,
		drag,
		done,
	}: {
		name: string
		value: string
		least: number
		most: number
		step: number
		drag: (text: string | null) => void
		done: (text: string) => void
	} = $props()
	let from: { x: number; value: number } | null = null
	let now = $state<number | null>(null)
	const is = $derived(now ?? (Number(value) || 0))

	const bounded = (n: number) => {
		const at = Math.round(n / step) * step
		const within = most > least ? Math.max(least, Math.min(most, at)) : at
		return Number(within.toFixed(3))
	}

	function move(e: PointerEvent) {
		if (!from) return
		now = bounded(from.value + ((e.clientX - from.x) * step) / 3)
		drag(String(now))
	}

	function end(keep: boolean) {
		if (from && now !== null && keep && String(now) !== value) done(String(now))
		if (from) drag(null)
		from = now = null
	}

	function key(e: KeyboardEvent) {
		const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[e.key]
		if (e.key === 'Escape' && from) {
			e.stopPropagation()
			end(false)
		}
		if (!by || e.ctrlKey || e.metaKey) return
		e.preventDefault()
		e.stopPropagation()
		done(String(bounded(is + by * step * (e.shiftKey ? 10 : 1))))
	}
</script>

<span
	class="flex h-6 min-w-6 shrink-0 cursor-ew-resize touch-none items-center justify-center border border-line px-1 font-mono text-[11px] text-dim select-none hover:bg-well"
	role="slider"
	tabindex="0"
	aria-label="Drag {name}"
	aria-valuenow={is}
	aria-valuemin={most > least ? least : undefined}
	aria-valuemax={most > least ? most : undefined}
	title="Drag to the sides, or press the arrow keys"
	onpointerdown={(e) => {
		if (e.button) return
		e.currentTarget.setPointerCapture(e.pointerId)
		from = { x: e.clientX, value: Number(value) || 0 }
	}}
	onpointermove={move}
	onpointerup={() => end(true)}
	onpointercancel={() => end(false)}
	onkeydown={key}>{now === null ? '‹›' : now}</span
>
