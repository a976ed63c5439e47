import { tilesetOf } from '../draw/pictures'
import type { Grip, MirrorMode, Shape } from '../core/types'
import type { Project } from '../project/project.svelte'

export const shapes: { id: Shape; key: string; help: string }[] = [
	{ id: 'freehand', key: 'H', help: 'follows the pointer' },
	{ id: 'line', key: 'L', help: 'from the press to the release' },
	{ id: 'box', key: 'B', help: 'all cells between two corners' },
	{ id: 'rim', key: 'W', help: 'the outline, and its inside apart' },
	{ id: 'oval', key: 'O', help: 'all cells of an oval or circle' },
	{ id: 'fill', key: 'F', help: 'the connected area of the same' },
	{ id: 'empties', key: 'E', help: 'every empty cell' },
]

/** What a grip holds, in words. */
export function nameOf(project: Project, grip: Grip): string {
	switch (grip.what) {
		case 'tiles': {
			const cells = grip.cells ?? []
			const width = grip.width ?? 1
			void project.head // what a tile is called changes with its tileset
			if (cells.length === 1) return project.ask('tileName', { cell: cells[0] })
			const set = project.tileset(tilesetOf(cells.find((c) => c) ?? 0))?.name ?? 'a removed tileset'
			return `${width} × ${cells.length / width} tiles of ${set}`
		}
		case 'entity':
			return (project.head.kinds.find((k) => k.id === grip.kind)?.name ?? 'entity').toLowerCase()
		case 'material':
			return project.head.materials.find((m) => m.number === grip.number)?.name ?? 'a removed material'
		case 'zone':
			return `zone ${project.head.zones.find((z) => z.number === grip.number)?.name ?? 'that was removed'}`
		case 'motif':
			return project.head.motifs.find((m) => m.id === grip.motif)?.name ?? 'what was copied'
		case 'eraser':
			return 'the eraser'
		default:
			return 'nothing'
	}
}

const turns = ['not turned', 'turned right', 'turned around', 'turned left']

export function turnOf(grip: Grip): string {
	const turn = grip.turn ?? 0
	return turns[turn & 3] + (turn & 4 ? ', flipped' : '')
}

/** How a shape is drawn out, in words. */
export function mannerOf(grip: Grip): string {
	const size = grip.size ?? 1
	switch (grip.shape) {
		case 'freehand':
		case 'line':
			return size === 1 ? '1 broad' : `${size} broad, ${grip.round ? 'round' : 'square'}`
		case 'rim':
			return `${grip.depth ?? 1} deep, of ${grip.oval ? 'an oval' : 'a box'}`
		case 'fill':
			return `over ${grip.corners ? 'corners' : 'sides'}, by ${grip.shown ? 'what shows' : 'this layer'}`
		default:
			return ''
	}
}

export const mirrors: { mode: MirrorMode; label: string; hint: string }[] = [
	{ mode: '', label: 'off', hint: '' },
	{ mode: 'left–right', label: 'left–right', hint: 'about an upright line' },
	{ mode: 'up–down', label: 'up–down', hint: 'about a level line' },
	{ mode: 'both', label: 'both ways', hint: 'about two lines' },
	{ mode: 'quarters', label: 'quarter turns', hint: 'about a point' },
]
