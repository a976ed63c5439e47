import { tick } from 'svelte'
import type { Detail, Grip, MapInfo } from '../core/types'
import { bringSetting } from '../controls/setting'
import type { Workspace } from '../workspace/workspace.svelte'

/** Something that the search over everything finds. */
export interface Found {
	name: string
	group: string
	keys?: string
	run: () => void
	shows?: Grip
	/** What it is about, shown beside it. */
	says?: string
	/** What it is found by besides. */
	also?: string
}

/** All that can be set, where it is set: found by what it is about as well. */
export function settings(w: Workspace): Found[] {
	const setting = (d: Detail, of: string, group: string, bring: () => void): Found => ({
		name: `${d.name}, ${of}…`,
		says: d.help,
		also: d.choices.map((c) => c.name).join(' '),
		group,
		run: () => {
			w.layout.parts[d.group] = true
			bring()
		},
	})
	const ofMap = (m: MapInfo) =>
		w.project.ask('mapDetails', { map: m.id }).map((d) =>
			setting(d, `on ${m.name}`, 'Map', () => {
				w.open('map')
				w.openSheet(d.key)
			}),
		)
	const ofGame = w.project.ask('gameDetails').map((d) =>
		setting(d, 'in the game', 'Game', () => {
			w.open('game')
			void tick().then(() => bringSetting(document.querySelector('main[aria-label=Game]'), d.key))
		}),
	)
	const ofKinds = w.project.head.kinds.map((k): Found => ({
		name: `Settings of each ${k.name}…`,
		also: k.settings.map((s) => `${s.name} ${s.help}`).join(' '),
		group: 'Kinds',
		run: () => {
			w.kindId = k.id
			w.open('kinds')
		},
	}))
	return [...ofGame, ...(w.map ? [...ofMap(w.map), ...ofLayers(w, w.map)] : []), ...ofKinds]
}

/** What can be set of a layer opens beside it, in the stack. */
const ofLayers = (w: Workspace, m: MapInfo) =>
	m.layers.map((l): Found => ({
		name: `Settings of layer ${l.name}…`,
		also: 'parallax drift offset tint place tiled sorted by foot absent covers',
		group: 'Map',
		run: () => {
			w.open('map')
			w.layout.listing = false
			w.layout.fold('stack', true)
			w.hand.work(m.id, l.id)
			void tick().then(() =>
				[...document.querySelectorAll<HTMLElement>('button[aria-label^="Settings of layer"]')]
					.find((b) => b.ariaLabel === `Settings of layer ${l.name}`)
					?.click(),
			)
		},
	}))
