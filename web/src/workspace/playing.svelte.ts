import type { Given, ID, MapInfo, PlayView, Point, WalkArgs } from '../core/types'
import { View } from '../draw/view.svelte'
import { CoreError } from '../core/module'
import type { Station, Workspace } from './workspace.svelte'

/** Beginning and ending to play in the same canvas. */
export class Playing {
	private before: { map: ID; view: ReturnType<View['save']>; station: Station } | null = null
	private warned = ''
	/** How broad the view was when the game came near. */
	private wide = 0

	/** What is so from the beginning, where that was chosen. */
	given = $state<Given>({ flags: [], taken: [], language: '' })

	constructor(private readonly w: Workspace) {}

	togglePlay(at?: Point | null) {
		if (this.w.play.on) return this.stopPlay()
		const m = this.w.map
		if (!m || !this.begin(() => this.w.play.start(m.id, at ?? undefined))) return
		const warning = this.w.project.ask('warning', { map: m.id })
		if (warning) this.w.notices.say(warning, 'wrong', { label: 'Open Tilesets', run: () => this.w.open('tilesets') })
	}

	/** Begins a game in some way, on the map or here, and says what the core has against it. */
	begin(start: () => void, here = false): boolean {
		this.near = 1
		if (this.w.play.on) this.stopPlay()
		const m = this.w.map
		if (!m) return false
		this.w.canvas?.cancel()
		// one that is played elsewhere leads back to nowhere
		const station = here ? 'map' : this.w.station
		const view = this.w.view.save()
		if (!here) this.w.station = 'map'
		try {
			this.before = { map: this.w.mapId, view, station }
			this.comeNear(m)
			start()
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			this.w.view.restore(view)
			if (!here) this.w.station = station
			this.before = null
			const place = { label: 'Place a spawn', run: () => this.placeSpawn() }
			this.w.notices.say(e.message, 'wrong', e.code === 'noSpawn' ? place : undefined)
			return false
		}
		this.w.layout.folded = !here
		this.warned = ''
		queueMicrotask(() => this.w.canvas?.focus())
		return true
	}

	/** Near enough to feel like the game, and never farther than it was seen. */
	private comeNear(m: MapInfo) {
		this.wide = this.w.view.width
		const near = Math.max(1, Math.floor(this.w.view.width / (22 * m.cellWidth)))
		this.w.view.scale = Math.max(this.w.view.scale, near)
	}

	/** Plays the walk that was found, from the beginning. */
	async showWalk(of: Partial<WalkArgs> = {}) {
		const walk = await this.w.proving.walk(of)
		if (walk) this.begin(() => this.w.play.showWalk(walk))
	}

	private placeSpawn() {
		this.w.hold({ what: 'entity', kind: 'spawn', shape: 'freehand' })
		this.w.layout.show('kinds')
		this.w.notices.say('Holding a spawn: press the cell where the hero begins.')
		this.w.canvas?.focus()
	}

	played() {
		const { view, shown } = this.w.play
		const m = this.w.map
		if (!view || !shown || !m) return
		this.film(m, shown)
		if (view.notice && view.notice !== this.warned) this.w.notices.say(view.notice, 'wrong')
		this.warned = view.notice
	}

	/** How near rules let the view be that was shown last. */
	private near = 1

	/** Shows what the player sees, as large as whole pixels let it be. */
	private film(m: MapInfo, { camera, show, tick }: PlayView) {
		const { view } = this.w
		if (show.shake && this.w.animated && (this.w.wants?.flickers ?? true) && !this.w.wants?.calm)
			camera = { ...camera, x: camera.x + 2 * Math.sin(tick * 1.9), y: camera.y + 1.5 * Math.cos(tick * 2.3) }
		// the panels stand aside only after the game has begun
		if (view.width !== this.wide) this.comeNear(m)
		const near = show.zoom / 100
		if (camera.whole) {
			view.fit(m, 8)
			if (near === 1) return
			view.scale *= near
		} else if (camera.w) {
			const fits = Math.min(view.width / camera.w, view.height / camera.h)
			view.scale = (fits >= 1 ? Math.floor(fits) : fits) * near
		} else view.scale *= near / this.near
		this.near = near
		view.use(m)
		if (camera.w || !camera.ends) view.centre(camera.x, camera.y)
		else view.follow(m, camera.x, camera.y, this.w.charting.around(m))
	}

	stopPlay() {
		this.w.moments.noting = null
		this.w.play.stop()
		this.w.layout.folded = false
		if (this.before) {
			if (this.w.project.map(this.before.map)) this.w.mapId = this.before.map
			this.w.view.restore(this.before.view)
			// whoever went elsewhere meanwhile stays there
			if (this.w.station === 'map') this.w.station = this.before.station
		}
		this.before = null
	}
}
