import type { Loss } from '../core/types'
import { counted } from '../project/counted'

/** What other bounds would take away, in words; '' when nothing. */
export function lossWords(l: Loss): string {
	const parts = []
	if (l.cells) parts.push(counted(l.cells, 'painted cell'))
	if (l.entities) parts.push(l.entities === 1 ? '1 entity' : `${l.entities} entities`)
	return parts.length ? `${parts.join(' and ')} would lie outside. They are kept, and are back when the map grows.` : ''
}
