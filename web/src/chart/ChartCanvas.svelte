<script lang="ts">
	import { onMount, untrack } from 'svelte'
	import { View } from '../draw/view.svelte'
	import type { ChunkAt, ID, Point } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import { drawPlane } from './plane'
	import { type OnChart, placesOf, type Plane } from './places'
	import { hitOn } from './hits'
	import { Sheets } from './sheets'
	import { Thumbs } from './thumbnails'

	// All maps at true scale on one plane, with passages and seams drawn between them.
	let { chosen = $bindable(), view }: { chosen: OnChart; view: View } = $props()
	const w = workspace()
	const thumbs = new Thumbs()
	const sheets = new Sheets()
	let holder: HTMLDivElement
	let canvas: HTMLCanvasElement
	let dpr = $state(devicePixelRatio)
	let moved = $state.raw(new Map<ID, Point>())
	let hover = $state<ID>('')
	let turn = $state(0)
	let drag: { is: 'pan' | 'maps'; from: Point; start: Map<ID, Point>; far: boolean } | null = null
	let space = $state(false)
	const plane = $derived<Plane>({ info: w.charting.info, chosen, moved, hover })

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
		const told = (changed?: ChunkAt[]) => {
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

	function down(e: PointerEvent) {
		canvas.setPointerCapture(e.pointerId)
		canvas.focus({ preventScroll: true })
		const p = at(e)
		const hit = hitOn(w, view, plane, p, dpr)
		if (e.button === 1 || space || (e.button === 0 && hit.is === 'nothing')) {
			drag = { is: 'pan', from: p, start: new Map(), far: false }
			if (e.button === 0 && !space) chosen = hit
			return
		}
		if (hit.is !== 'maps') {
			chosen = hit
			return
		}
		const id = hit.ids[0]
		const now = chosen.is === 'maps' ? chosen.ids : []
		if (e.shiftKey) chosen = { is: 'maps', ids: now.includes(id) ? now.filter((o) => o !== id) : [...now, id] }
		else if (!now.includes(id)) chosen = hit
		if (e.button !== 0 || chosen.is !== 'maps') return
		const places = placesOf(plane)
		const ids = chosen.ids
		drag = { is: 'maps', from: view.at(p.x, p.y), start: new Map(ids.map((o) => [o, places.get(o)!])), far: false }
	}

	function move(e: PointerEvent) {
		const p = at(e)
		if (!drag) {
			const hit = hitOn(w, view, plane, p, dpr)
			hover = hit.is === 'maps' ? hit.ids[0] : ''
			canvas.style.cursor = hit.is === 'nothing' ? (space ? 'grab' : 'default') : 'pointer'
			return
		}
		if (drag.is === 'pan') {
			view.pan(p.x - drag.from.x, p.y - drag.from.y)
			drag.from = p
			return
		}
		const q = view.at(p.x, p.y)
		const [dx, dy] = [Math.round(q.x - drag.from.x), Math.round(q.y - drag.from.y)]
		drag.far ||= Math.hypot(dx, dy) * view.scale > 4 * dpr
		if (!drag.far) return
		const next = new Map<ID, Point>()
		for (const [id, r] of drag.start) next.set(id, { x: r.x + dx, y: r.y + dy })
		if (next.size === 1) {
			const [[id, to]] = next
			next.set(id, w.project.ask('snapped', { map: id, at: to, within: within(e) }))
		}
		moved = next
	}

	/** Edges draw maps to them from so many pixels; a held Ctrl lets go. */
	const within = (e: { ctrlKey: boolean; metaKey: boolean }) =>
		e.ctrlKey || e.metaKey ? 0 : Math.min(200, Math.round((14 * dpr) / view.scale))

	function up() {
		if (drag?.is === 'maps' && drag.far) place(moved)
		drag = null
		moved = new Map()
	}

	function place(to: Map<ID, Point>) {
		const maps = [...to].map(([map, p]) => ({ map, at: { x: p.x, y: p.y } }))
		if (maps.length && w.project.try('placeMaps', { maps, within: 0 })) w.charting.refresh()
	}

	function keydown(e: KeyboardEvent) {
		if (e.code === 'Space') {
			space = true
			e.preventDefault()
			return
		}
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		if (e.key === 'Escape') {
			drag = null
			moved = new Map()
			chosen = { is: 'nothing' }
		} else if (e.key === 'Enter' && chosen.is === 'maps' && chosen.ids.length === 1) w.show(chosen.ids[0])
		else if (e.key === '+' || e.key === '=') view.zoom(1)
		else if (e.key === '-') view.zoom(-1)
		else if (e.key === 'Home') fit()
		else if (e.key === 'Delete' && chosen.is === 'passage') {
			w.project.try('remove', { ref: { type: 'passage', id: chosen.id }, text: 'Removed a passage' })
			chosen = { is: 'nothing' }
		} else if (step && chosen.is === 'maps') {
			const places = placesOf(plane)
			const to = new Map<ID, Point>()
			for (const id of chosen.ids) {
				const [m, r] = [w.project.map(id), places.get(id)]
				const by = e.shiftKey ? 8 : 1
				if (m && r) to.set(id, { x: r.x + step[0] * m.cellWidth * by, y: r.y + step[1] * m.cellHeight * by })
			}
			place(to)
		} else if (step) view.pan(-step[0] * 60, -step[1] * 60)
		else return
		e.preventDefault()
		e.stopPropagation()
	}
</script>

<div bind:this={holder} class="absolute inset-0 overflow-hidden bg-well">
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
	<canvas
		bind:this={canvas}
		class="absolute inset-0 size-full touch-none outline-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-glaze"
		tabindex="0"
		role="application"
		aria-label="Chart: drag maps, arrows move what is chosen, Enter opens a map"
		data-testid="chart"
		onpointerdown={down}
		onpointermove={move}
		onpointerup={up}
		onpointercancel={() => ((drag = null), (moved = new Map()))}
		onpointerleave={() => (hover = '')}
		ondblclick={(e) => {
			const hit = hitOn(w, view, plane, at(e), dpr)
			if (hit.is === 'maps') w.show(hit.ids[0])
		}}
		oncontextmenu={(e) => e.preventDefault()}
		onkeydown={keydown}
		onkeyup={(e) => e.code === 'Space' && (space = false)}
	></canvas>
</div>
