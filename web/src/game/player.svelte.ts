import { untrack } from 'svelte'
import { CoreError } from '../core/module'
import type { ID, PlayEvent, PlayResult } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { Keeping, smallPicture, usual, type Progress, type Save, type Wants } from './keeping'

/** What is seen of the game besides the game itself. */
export type Screen = 'title' | 'play' | 'paused' | 'maps' | 'saves' | 'keep' | 'settings' | 'credits' | 'end'

/** Ticks after which a game that has just begun keeps itself. */
const settled = 60

/** Who plays a game from its title to its end: what is seen, what is kept, what was reached. */
export class Player {
	screen = $state<Screen>('title')
	/** Where “back” leads from settings, credits, and the like. */
	private before: Screen = 'title'
	wants = $state<Wants>({ ...usual })
	saves = $state.raw<(Save | null)[]>([])
	progress = $state.raw<Record<ID, Progress>>({})
	/** Something that is told for a while. */
	note = $state('')
	/** What was reached on the map that has just been finished, and whether that was never better. */
	result = $state.raw<PlayResult | null>(null)
	better = $state(false)
	private readonly keeping: Keeping
	/** The game that is played was begun here. */
	began = $state(false)
	/** The map on which the game goes that is played now. */
	private on: ID = ''
	private noted = 0

	/** What is around the maps, in the player's language. */
	readonly info = $derived.by(() => {
		void this.w.project.head
		return this.w.project.ask('gameInfo', { language: this.language })
	})

	constructor(
		private readonly w: Workspace,
		key: string,
		/** Takes a picture of the game. */
		private readonly picture: () => HTMLCanvasElement | undefined,
	) {
		this.keeping = new Keeping(`azzel.game.${key}`)
		const kept = this.keeping.read()
		this.wants = kept.wants
		this.saves = kept.saves
		this.progress = kept.progress
	}

	/** What is read in, empty for what the texts are written in. */
	get language(): string {
		const all = this.w.project.head.project.languages ?? []
		const { language } = this.wants
		if (language !== null) return all.includes(language) ? language : ''
		const own = this.w.project.head.project.language || 'en'
		for (const wanted of navigator.languages) {
			const tag = wanted.toLowerCase()
			if (tag.startsWith(own.toLowerCase().split('-')[0])) return ''
			const found = all.find((l) => tag === l.toLowerCase() || tag.split('-')[0] === l.toLowerCase().split('-')[0])
			if (found) return found
		}
		return ''
	}

	/** A word of the game, with what its braces stand for. */
	word(key: string, put: Record<string, string | number> = {}): string {
		return (this.info.words[key] ?? key).replace(/\{(\w+)\}/g, (all, name: string) => String(put[name] ?? all))
	}

	/** Nothing moves that need not. */
	get calm(): boolean {
		return this.wants.lessMotion || matchMedia('(prefers-reduced-motion: reduce)').matches
	}

	want(change: Partial<Wants>) {
		const next = { ...this.wants, ...change }
		this.wants = next
		this.store()
		if (change.language !== undefined && this.w.play.on && this.w.play.view?.language !== this.language)
			this.w.play.read(this.language)
	}

	private store(): boolean {
		return this.keeping.write({ wants: this.wants, saves: this.saves, progress: this.progress })
	}

	tell(text: string) {
		this.note = text
		clearTimeout(this.noted)
		this.noted = window.setTimeout(() => (this.note = ''), 4000)
	}

	/** Goes to a screen from which one comes back. */
	open(screen: Screen) {
		if (!['settings', 'credits', 'saves', 'keep', 'maps'].includes(this.screen)) this.before = this.screen
		this.screen = screen
	}

	back() {
		this.screen = this.before === 'play' && this.w.play.frozen ? 'paused' : this.before
	}

	/** The newest kept game, and its place. */
	readonly newest = $derived.by(() => {
		let found = -1
		this.saves.forEach((s, i) => {
			if (s && (found < 0 || s.at > this.saves[found]!.at)) found = i
		})
		return found
	})

	/** Begins a new game, on a map or where games begin. */
	begin(map: ID = ''): boolean {
		return this.enter(() => {
			this.w.play.start(map, undefined, { flags: [], taken: [], language: this.language })
			this.tried(this.w.play.view!.map)
		})
	}

	private enter(start: () => void): boolean {
		let why = ''
		this.result = null
		const before = this.w.notices.shown.length
		const began = this.w.playing.begin(() => {
			try {
				start()
			} catch (e) {
				if (e instanceof CoreError) why = e.message
				throw e
			}
		}, true)
		for (const n of this.w.notices.shown.slice(before)) this.w.notices.drop(n.id)
		if (!began) {
			this.tell(why || 'There is no map yet, so there is nothing to play.')
			return false
		}
		this.on = this.w.play.view?.map ?? ''
		this.began = true
		this.screen = 'play'
		return true
	}

	/** Counts a try of a map. */
	private tried(map: ID) {
		const was = this.progress[map] ?? { tries: 0, finished: false, best: null }
		this.on = map
		this.progress = { ...this.progress, [map]: { ...was, tries: was.tries + 1 } }
		this.store()
	}

	/** Goes on with the game that was kept last. */
	goOnWith(place: number) {
		const save = this.saves[place]
		if (!save) return
		let gone = 0
		const went = this.enter(() => (gone = this.w.play.load(save.data)))
		const why = this.note.replace(/\.$/, '')
		if (!went) this.tell(this.word('cannotLoad', { why: why.charAt(0).toLowerCase() + why.slice(1) }))
		else if (gone) this.tell(this.word('lostSince', { n: gone }))
		if (went) this.w.play.read(this.language)
	}

	/** Keeps the game at a place; 0 is what keeps itself. */
	keep(place: number, quiet = false) {
		try {
			const { data, map, seconds } = this.w.project.ask('keepGame')
			const before = this.saves
			const next = [...before]
			while (next.length <= place) next.push(null)
			next[place] = { data, map, seconds, at: Date.now(), picture: smallPicture(this.picture()) }
			this.saves = next
			if (this.store()) {
				if (!quiet) this.tell(this.word('saved'))
				return
			}
			this.saves = before
			this.tell(this.word('cannotSave'))
		} catch (e) {
			if (!(e instanceof CoreError)) throw e
			if (!quiet) this.tell(e.message)
		}
	}

	drop(place: number) {
		this.saves = this.saves.map((s, i) => (i === place ? null : s))
		this.store()
	}

	/** Takes note of what happened in the game. */
	told = (events: PlayEvent[], tick: number) => {
		const { view } = this.w.play
		if (!view || !this.began) return
		for (const e of events) {
			if (e.is === 'save') this.keep(0, true)
			else if (this.info.is.keepsItself === 'true' && tick > settled && ['checkpoint', 'arrive'].includes(e.is))
				queueMicrotask(() => this.keep(0, true))
		}
		// who read on in another language wants that from now on
		if (view.language !== this.language) this.want({ language: view.language })
		const over = view.show.over
		if (over && !this.result) this.ended(over, view.map)
		else if (!over && this.result) {
			this.result = null
			if (view.map !== this.on || tick > settled) this.tried(view.map)
		}
	}

	private ended(over: string, map: ID) {
		const was = this.progress[map] ?? { tries: 1, finished: false, best: null }
		const result = this.w.project.ask('reached', { tries: was.tries })
		this.result = result
		this.better = false
		if (over === 'lost') return
		const better = !was.best || result.stars > was.best.stars || result.score > was.best.score
		this.better = better && was.best !== null && result.stars > 0
		this.progress = {
			...this.progress,
			[map]: {
				...was,
				finished: true,
				best: better ? { ...result, stars: Math.max(result.stars, was.best?.stars ?? 0) } : was.best,
			},
		}
		this.store()
	}

	pause() {
		if (!this.w.play.on) return
		this.w.play.stand()
		this.screen = 'paused'
	}

	goOn() {
		this.w.play.frozen = false
		this.screen = 'play'
		this.w.canvas?.focus()
	}

	/** Once more: the map, where maps follow each other, else the game. */
	again() {
		const follows = this.info.courses.some((c) => c.maps.some((m) => m.id === this.on))
		this.begin(follows ? this.on : '')
	}

	toTitle() {
		if (this.began && this.w.play.on) this.w.playing.stopPlay()
		this.began = false
		this.result = null
		this.screen = 'title'
	}

	/** Whether a map can be chosen: the first of those that follow each other, and what finishing one has opened. */
	opened(course: { maps: { id: ID }[] }, i: number): boolean {
		if (i === 0 || this.info.is.choose === 'all') return true
		const { id } = course.maps[i]
		return (this.progress[course.maps[i - 1].id]?.finished ?? false) || (this.progress[id]?.tries ?? 0) > 0
	}

	/** Follows a game as it goes. */
	follow() {
		this.w.play.told = this.told
		return () => untrack(() => (this.w.play.told = null))
	}
}
