import type { Cut } from '../core/types'

/** A cut in words. */
export function words(c: Cut): string {
	let out = `${c.cellWidth} × ${c.cellHeight}`
	if (c.margin) out += `, margin ${c.margin}`
	if (c.spacing) out += `, spacing ${c.spacing}`
	return out
}
