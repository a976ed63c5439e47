<script lang="ts">
	import { ContextMenu } from 'bits-ui'
	import { onMount, untrack } from 'svelte'
	import type { MapInfo, Point } from '../core/types'
	import { workspace } from '../workspace/workspace.svelte'
	import CanvasMenu from './CanvasMenu.svelte'
	import WireMenu from './WireMenu.svelte'
	import { layDarkness } from './darkness'
	import { drawOverlay } from './overlay'
	import { drawAboveDark, drawBelowDark } from './played'
	import { drawLinks } from './wires'
	import type { Gesture } from './gesture'
	import { Paint } from './paint'
	import { Pinch } from './pinch'
	import { Press } from './press.svelte'
	import { Rest } from './rest'

	const w = workspace()
	const { view } = w
	let holder: HTMLDivElement
	let base: HTMLCanvasElement
	let dark: HTMLCanvasElement
	let over: HTMLCanvasElement
	let dpr = $state(devicePixelRatio)
	let stale = $state(0)
	const press = new Press(w, () => dpr)
	const pinch = new Pinch(view, () => press.cancel())

	const rest = new Rest((p) =>
		over.dispatchEvent(new MouseEvent('contextmenu', { bubbles: true, cancelable: true, ...p })),
	)
	/** The last press came from a finger or the tip of a pen, which have no second button. */
	let single = $state(false)

	const at = (e: MouseEvent) => {
		const r = base.getBoundingClientRect()
		return { x: (e.clientX - r.left) * dpr, y: (e.clientY - r.top) * dpr }
	}

	/** Whether a press would be refused. */
	let refused = $state(false)
	const cursorStyle = $derived.by(() => {
		if (press.does.what === 'pan') return 'grabbing'
		if (press.spaceDown) return 'grab'
		if (w.picking) return 'crosshair'
		if (w.hand.holding) return refused ? 'not-allowed' : 'crosshair'
		return press.hover && !w.play.on ? 'pointer' : 'default'
	})

	// the map and what lies above it are drawn apart: the pointer changes only the latter
	let frame = 0
	let mapStale = true
	function plan(map: boolean) {
		mapStale ||= map
		if (!frame) frame = requestAnimationFrame(draw)
	}

	$effect(() =>
		w.play.draws(() => {
			if (!frame) return
			cancelAnimationFrame(frame)
			draw()
		}),
	)

	function draw() {
		frame = 0
		const m = w.map
		if (!view.width) return
		if (m) view.use(m)
		if (mapStale) {
			mapStale = false
			const ctx = base.getContext('2d')!
			ctx.clearRect(0, 0, base.width, base.height)
			if (m && w.play.shown) {
				// nothing of the page shines into the game
				ctx.fillStyle = '#0d1112'
				ctx.fillRect(0, 0, base.width, base.height)
				// what lies beyond open seams is seen as well
				for (const o of w.charting.beyond(m)) {
					const beside = view.displaced(o.dx, o.dy)
					if (!w.scene.draw(ctx, o.map, beside, { play: w.play.shown, heroless: true })) plan(true)
				}
			}
			if (m && !w.scene.draw(ctx, m, view, { play: w.play.shown ?? undefined, solo: w.solo, moves: w.depth }))
				plan(true)
			const game = w.play.shown
			if (m && game && outside(m, game)) {
				// one that stands across the edge is not cut off there
				w.scene.figures.heroAt(ctx, m, view, game.x, game.y, game.facing, game.steps, game.who, game.pose, game.beat)
			}
			if (m && game) drawBelowDark(ctx, w, m, view, game)
			const bright = !m || !game || !layDarkness(dark, view, game, m, w.wants?.flickers)
			if (dark.hidden !== bright) dark.hidden = bright
		}
		const top = over.getContext('2d')!
		top.clearRect(0, 0, over.width, over.height)
		if (!m) return
		if (w.play.shown) {
			drawAboveDark(top, w, m, view, w.play.shown, dpr, () => {
				if (w.hand.holding) drawOverlay(top, w, m, view, { ...press.doing(), hover: null, handles: [] }, dpr)
			})
		} else {
			moving = drawOverlay(top, w, m, view, press.doing(), dpr)
		}
		drawLinks(top, w, m, view)
	}

	/** What lies above the map moves by itself. */
	let moving = false

	const outside = (m: MapInfo, p: Point) =>
		p.x < m.bounds.x * m.cellWidth ||
		p.y < m.bounds.y * m.cellHeight ||
		p.x + m.cellWidth > (m.bounds.x + m.bounds.w) * m.cellWidth ||
		p.y + m.cellHeight > (m.bounds.y + m.bounds.h) * m.cellHeight

	// everything that is drawn is named here, and a frame is planned when it changes
	$effect(() => {
		void [view.x, view.y, view.scale, view.width, view.height, w.map, w.theme, stale]
		void [w.play.shown, w.project.head, w.project.entityTurn, w.solo, w.depth]
		plan(true)
	})
	$effect(() => {
		void [w.layout.grid, w.selected, w.cell, press.does, press.hover, press.cursor, w.hand.grip, w.active]
		void [
			w.project.turn,
			w.rule,
			w.wiring.links,
			w.picking,
			w.area,
			w.resizing,
			w.layout.screen,
			w.hand.mirrors,
			w.hand.seed,
			w.charting.info,
			press.ahead.warning,
			w.proving.checking.walk,
			w.proving.checking.trap,
			w.proving.checking.reach,
			w.proving.checking.reached,
			w.proving.checking.study,
			[...w.project.pointers.values()],
			w.play.pointed,
			w.play.before,
		]
		plan(false)
	})

	// the ghost is told in words as well, for who cannot see it; with the next frame, which draws it, so that a press is done before
	$effect(() => {
		void [w.cell, w.hand.grip, w.hand.holding, w.active, w.map, w.picking, w.project.turn, w.area]
		void [press.does, press.ahead.warning, w.hand.mirrors, w.hand.seed]
		const frame = requestAnimationFrame(inWords)
		return () => cancelAnimationFrame(frame)
	})

	function inWords() {
		const g = press.ahead.ghost()
		refused = !!g?.refusal
		w.drawn = []
		if (!g) w.ghost = ''
		else if (g.refusal) w.ghost = g.refusal
		else {
			const what = g.removing ? 'removes' : 'puts down'
			w.ghost = `${what} ${g.bounds.w} × ${g.bounds.h} on ${g.layerName}${distance(press.does)}${press.ahead.warning && `. ${press.ahead.warning}`}`
			w.drawn = g.drawn ?? []
		}
	}

	/** How far the press has come, in steps along the grid. */
	function distance(does: Gesture): string {
		if (!(does instanceof Paint) || does.way.length < 2) return ''
		const [a, b] = [does.way[0], does.way[does.way.length - 1]]
		return `, ${signed(b.x - a.x)}, ${signed(b.y - a.y)} from the start`
	}
	const signed = (n: number) => (n > 0 ? `+${n}` : String(n))

	// after an edit of this page is stored, what it touched is kept as a small picture
	const touched: { seq: number; rect: { x: number; y: number; w: number; h: number } }[] = []
	w.project.onStored = (seq) => {
		const g = press.last
		if (g && w.snaps.size < 400) touched.push({ seq, rect: g })
		else return
		// after the frame that draws it
		requestAnimationFrame(() =>
			requestAnimationFrame(() => {
				for (const t of touched.splice(0)) {
					const m = w.map
					if (!m) continue
					const r = view.cellRect(m, t.rect)
					const side = Math.max(r.w, r.h * 1.45, 48)
					const [x, y] = [r.x + r.w / 2 - side / 2, r.y + r.h / 2 - side / 2.9]
					createImageBitmap(base, x, y, side, side / 1.45, { resizeWidth: 64, resizeHeight: 44 }).then(
						(b) => w.snaps.set(t.seq, b),
						() => {}, // it lies outside what is seen
					)
				}
			}),
		)
	}

	let warming = 0
	$effect(() => {
		const id = w.mapId
		if (!view.width) return
		untrack(() => {
			const m = w.project.map(id)
			if (!m) return
			w.views.turnTo(m)
			clearTimeout(warming)
			warming = setTimeout(() => press.ahead.warm(), 1200)
		})
	})

	$effect(() => {
		const m = w.map
		if (m && !w.play.on) untrack(() => w.views.resized(m))
	})

	/** Where the canvas lay on the page when it got its size, and how wide the window was. */
	let place: (Point & { room: number }) | undefined

	onMount(() => {
		const told = () => stale++
		w.scene.onStale.add(told)
		const resized = new ResizeObserver(() => {
			dpr = devicePixelRatio
			const width = Math.round(holder.clientWidth * dpr)
			const height = Math.round(holder.clientHeight * dpr)
			for (const c of [base, over]) [c.width, c.height] = [width, height]
			const { left, top } = holder.getBoundingClientRect()
			// a game has a view of its own, and gives back the one before it
			const was = w.play.on ? undefined : place
			place = w.play.on ? undefined : { x: left, y: top, room: innerWidth }
			// a panel that opens leaves what is under the pointer where it is; with another window all is laid out anew
			if (was?.room === innerWidth && over.matches(':hover'))
				w.views.resizeUnderHand({ x: (left - was.x) * dpr, y: (top - was.y) * dpr }, width, height)
			else w.views.resize(w.play.on ? undefined : w.map, width, height)
			stale++
		})
		resized.observe(holder)
		w.canvas = {
			focus: () => over.focus({ preventScroll: true }),
			picture: () => base,
			cancel: () => press.cancel(),
			busy: () => press.does.what !== 'nothing',
			press: (remove) => press.byKey(remove),
			remove: (cell) => press.put([cell], true, false),
			point: (cell) => press.pointTo(cell),
			grab,
		}
		const clock = setInterval(() => {
			const drifts = w.map?.layers.some((l) => l.image && (l.image.driftX || l.image.driftY))
			if (w.animated && (w.scene.pictures.tick(performance.now()) || drifts)) plan(true)
			else if (moving) plan(false)
		}, 40)
		over.addEventListener('wheel', wheel, { passive: false })
		return () => {
			w.scene.onStale.delete(told)
			resized.disconnect()
			clearInterval(clock)
			cancelAnimationFrame(frame)
			clearTimeout(settling)
			clearTimeout(warming)
			w.canvas = null
			;[w.ghost, w.drawn] = ['', []]
		}
	})

	let zoomed = 0
	let settling = 0
	function wheel(e: WheelEvent) {
		e.preventDefault()
		const p = at(e)
		if (e.ctrlKey || e.metaKey) {
			// a trackpad's pinch comes in small parts
			zoomed += e.deltaY
			if (Math.abs(zoomed) < 20) return
			view.zoom(zoomed < 0 ? 1 : -1, p.x, p.y)
			zoomed = 0
		} else {
			const unit = e.deltaMode === 1 ? 24 : 1
			const [dx, dy] = e.shiftKey && !e.deltaX ? [e.deltaY, 0] : [e.deltaX, e.deltaY]
			view.pan(-dx * unit * dpr, -dy * unit * dpr)
		}
		// what a fill would do is worked out again once the map stands still
		clearTimeout(settling)
		if (w.hand.holding && ['fill', 'empties'].includes(w.hand.grip.shape))
			settling = setTimeout(() => press.point(p), 80)
		else press.point(p)
	}

	/** The pointer moved over the map since the focus last went elsewhere: who goes by keys presses buttons with Space. */
	let pointed = false

	function grab(on: boolean) {
		press.spaceDown = on && (document.activeElement === over || (pointed && over.matches(':hover')))
		return press.spaceDown
	}

	function keydown(e: KeyboardEvent) {
		if (w.play.on && w.play.key(e, true)) {
			e.preventDefault()
			e.stopPropagation()
			return
		}
		const step = { ArrowUp: [0, -1], ArrowRight: [1, 0], ArrowDown: [0, 1], ArrowLeft: [-1, 0] }[e.key]
		if (step && !e.ctrlKey && !e.metaKey) {
			e.preventDefault()
			const by = e.shiftKey ? 8 : 1
			if (e.altKey) press.moveBy(step[0] * by, step[1] * by)
			else press.step(step[0] * by, step[1] * by)
		} else if (e.key === 'Enter') {
			e.preventDefault()
			press.byKey(false)
		} else if ((e.key === 'Delete' || e.key === 'Backspace') && w.hand.holding) {
			e.preventDefault()
			e.stopPropagation()
			press.byKey(true)
		}
	}

	function keyup(e: KeyboardEvent) {
		w.play.key(e, false)
	}
</script>

<svelte:window onfocusin={() => (pointed = false)} />

<ContextMenu.Root>
	<ContextMenu.Trigger disabled={(w.hand.holding && !single) || w.play.on} class="absolute inset-0">
		<div bind:this={holder} class="absolute inset-0 overflow-hidden bg-well">
			<canvas bind:this={base} class="absolute inset-0 size-full" aria-hidden="true"></canvas>
			<canvas
				bind:this={dark}
				class="absolute inset-0 size-full [image-rendering:pixelated]"
				data-testid="dark"
				aria-hidden="true"
				hidden
			></canvas>
			<!-- the canvas is an application of its own: what it shows is told by the status line -->
			<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_interactive_element_to_noninteractive_role -->
			<canvas
				bind:this={over}
				class="absolute inset-0 size-full touch-none outline-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-glaze"
				style:cursor={cursorStyle}
				tabindex="0"
				role="application"
				aria-label="Map {w.map?.name ?? ''}"
				aria-describedby="status"
				data-testid="map"
				onpointerdown={(e) => {
					over.focus({ preventScroll: true })
					single = e.pointerType !== 'mouse' && e.button === 0
					rest.down(e)
					if (e.button !== 2 || w.hand.holding) over.setPointerCapture(e.pointerId)
					if (e.button === 1) e.preventDefault()
					if (e.pointerType === 'touch') pinch.down(e.pointerId, at(e))
					if (pinch.on) rest.end()
					else press.down(e, at(e))
				}}
				onpointermove={(e) => {
					pointed = true
					rest.move(e)
					if (e.pointerType === 'touch') pinch.move(e.pointerId, at(e))
					if (!pinch.on) press.move(at(e), e.shiftKey, e.ctrlKey || e.metaKey)
				}}
				onpointerup={(e) => {
					rest.end()
					if (!pinch.on) press.up()
					pinch.up(e.pointerId)
				}}
				onpointercancel={(e) => {
					rest.end()
					press.cancel()
					pinch.up(e.pointerId)
				}}
				onpointerleave={() => press.does.what === 'nothing' && !press.cursor && press.point(null)}
				oncontextmenu={(e) => {
					if (single && !w.play.on) return press.rest(at(e))
					if (!w.hand.holding && !w.play.on && !press.tookPoint) return
					e.preventDefault()
					e.stopPropagation()
				}}
				onkeydown={keydown}
				onkeyup={keyup}
				onblur={() => w.play.release()}
			></canvas>
		</div>
	</ContextMenu.Trigger>
	<CanvasMenu />
</ContextMenu.Root>
<WireMenu />
