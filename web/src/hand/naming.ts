import { tileOf, tilesetOf } from '../canvas/pictures'
import type { Grip, Shape } from '../core/types'
import type { Project } from '../project/project.svelte'

export const shapes: { id: Shape; key: string; help: string }[] = [
	{ id: 'freehand', key: 'H', help: 'follows the pointer' },
	{ id: 'line', key: 'L', help: 'from the press to the release' },
	{ id: 'box', key: 'B', help: 'all cells between two corners' },
	{ id: 'fill', key: 'F', help: 'the connected area of the same' },
]

/** What a grip holds, in words. */
export function nameOf(project: Project, grip: Grip): string {
	switch (grip.what) {
		case 'tiles': {
			const cells = grip.cells ?? []
			const width = grip.width ?? 1
			const set = project.tileset(tilesetOf(cells.find((c) => c) ?? 0))?.name ?? 'a removed tileset'
			return cells.length === 1
				? `tile ${tileOf(cells[0])} of ${set}`
				: `${width} × ${cells.length / width} tiles of ${set}`
		}
		case 'entity':
			return (project.head.kinds.find((k) => k.id === grip.kind)?.name ?? 'entity').toLowerCase()
		case 'eraser':
			return 'the eraser'
		default:
			return 'nothing'
	}
}

const turns = ['not turned', 'turned right', 'turned around', 'turned left']

export function turnOf(grip: Grip): string {
	const turn = grip.turn ?? 0
	return turns[turn & 3] + (turn & 4 ? ', mirrored' : '')
}
