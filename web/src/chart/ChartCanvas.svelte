<script lang="ts">
	import { onMount, untrack } from 'svelte'
	import { View } from '../draw/view.svelte'
	import type { LayerChunks, Pin, Point } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import Context from '../controls/Context.svelte'
	import { chartMenu } from './chartMenu'
	import { Handling } from './handling.svelte'
	import { drawPlane } from './plane'
	import { type OnChart, placesOf } from './places'
	import { hitOn, pinOn } from './hits'
	import { Sheets } from './sheets'
	import { Thumbs } from './thumbnails'

	// All maps at true scale on one plane, with passages and seams drawn between them.
	let { chosen = $bindable(), view, make }: { chosen: OnChart; view: View; make: () => void } = $props()
	const w = workspace()
	const thumbs = new Thumbs()
	const sheets = new Sheets()
	let holder: HTMLDivElement
	let canvas: HTMLCanvasElement
	let dpr = $state(devicePixelRatio)
	let turn = $state(0)
	/** The pin for which the menu was asked. */
	let pin: Pin | undefined
	const handling = new Handling(
		w,
		// svelte-ignore state_referenced_locally
		view,
		{
			get chosen() {
				return chosen
			},
			set chosen(on) {
				chosen = on
			},
		},
		() => dpr,
		(at) => canvas.dispatchEvent(new MouseEvent('contextmenu', { bubbles: true, cancelable: true, ...at })),
	)
	const plane = $derived(handling.plane)

	const at = (e: MouseEvent): Point => {
		const r = canvas.getBoundingClientRect()
		return { x: (e.clientX - r.left) * dpr, y: (e.clientY - r.top) * dpr }
	}

	let frame = 0
	$effect(() => {
		void [
			plane,
			view.x,
			view.y,
			view.scale,
			view.width,
			view.height,
			w.theme,
			turn,
			w.project.head,
			w.project.entityTurn,
			w.wiring.links,
			w.proving.checking.reach,
			w.proving.checking.reached,
		]
		if (!frame) frame = requestAnimationFrame(draw)
	})

	function draw() {
		frame = 0
		if (!view.width) return
		const ctx = canvas.getContext('2d')!
		ctx.clearRect(0, 0, canvas.width, canvas.height)
		if (!drawPlane(ctx, w, view, plane, thumbs, sheets, dpr)) requestAnimationFrame(() => turn++)
	}

	onMount(() => {
		const told = (changed?: LayerChunks[]) => {
			const ids = changed?.map((c) => c.map)
			thumbs.forget(ids)
			sheets.forget(ids)
			turn++
		}
		w.scene.onStale.add(told)
		let first = !view.width
		const resized = new ResizeObserver(() => {
			dpr = devicePixelRatio
			view.width = canvas.width = Math.round(holder.clientWidth * dpr)
			view.height = canvas.height = Math.round(holder.clientHeight * dpr)
			if (first && view.width) fit()
			first = false
			turn++ // a canvas that got a size is empty
		})
		resized.observe(holder)
		canvas.addEventListener('wheel', wheel, { passive: false })
		return () => {
			w.scene.onStale.delete(told)
			resized.disconnect()
			cancelAnimationFrame(frame)
		}
	})

	// entities that moved are drawn anew
	$effect(() => {
		void w.project.entityTurn
		thumbs.forget()
		sheets.forget()
		untrack(() => turn++)
	})

	/** Shows all maps. */
	export function fit() {
		const all = [...placesOf(plane).values()]
		if (!all.length) return
		const x = Math.min(...all.map((r) => r.x))
		const y = Math.min(...all.map((r) => r.y))
		const right = Math.max(...all.map((r) => r.x + r.w))
		const bottom = Math.max(...all.map((r) => r.y + r.h))
		const room = 60 * dpr
		const scale = Math.min((view.width - room) / (right - x), (view.height - room) / (bottom - y))
		view.scale = view.scales.findLast((s) => s <= scale && s <= 2) ?? view.scales[0]
		view.centre((x + right) / 2, (y + bottom) / 2)
	}

	let zoomed = 0
	function wheel(e: WheelEvent) {
		e.preventDefault()
		const p = at(e)
		if (e.ctrlKey || e.metaKey) {
			zoomed += e.deltaY
			if (Math.abs(zoomed) < 20) return
			view.zoom(zoomed < 0 ? 1 : -1, p.x, p.y)
			zoomed = 0
		} else {
			const [dx, dy] = e.shiftKey && !e.deltaX ? [e.deltaY, 0] : [e.deltaX, e.deltaY]
			view.pan(-dx * dpr, -dy * dpr)
		}
	}
</script>

<Context class="absolute inset-0" choices={() => chartMenu(w, chosen, pin, fit, make)}>
	<div bind:this={holder} class="absolute inset-0 overflow-hidden bg-well">
		<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
		<canvas
			bind:this={canvas}
			class="absolute inset-0 size-full touch-none outline-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-glaze"
			tabindex="0"
			role="application"
			aria-label="Chart: drag maps, arrows move what is chosen, Enter opens a map"
			data-testid="chart"
			onpointerdown={(e) => {
				if (e.button !== 2) canvas.setPointerCapture(e.pointerId)
				canvas.focus({ preventScroll: true })
				handling.down(e, at(e))
			}}
			onpointermove={(e) => (canvas.style.cursor = handling.move(e, at(e)) ?? canvas.style.cursor)}
			oncontextmenu={(e) => (pin = pinOn(w, view, plane, at(e), dpr))}
			onpointerup={(e) => handling.up(e)}
			onpointercancel={(e) => handling.lost(e)}
			onpointerleave={() => (handling.hover = '')}
			ondblclick={(e) => {
				const pressed = pinOn(w, view, plane, at(e), dpr)
				if (pressed) return w.moments.resume(pressed.id)
				const hit = hitOn(w, view, plane, at(e), dpr)
				if (hit.is === 'maps') w.show(hit.ids[0])
			}}
			onkeydown={(e) => {
				if (!handling.key(e, fit)) return
				e.preventDefault()
				e.stopPropagation()
			}}
			onkeyup={(e) => e.code === 'Space' && (handling.space = false)}
		></canvas>
	</div>
</Context>
