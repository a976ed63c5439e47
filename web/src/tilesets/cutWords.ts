import type { Cut } from '../core/types'

/** What the edges of a material can follow. */
export const follows: Record<string, string> = {
	sides: 'its four sides',
	corners: 'its four corners',
	both: 'sides and corners',
}

/** A cut in words. */
export function words(c: Cut): string {
	let out = `${c.cellWidth} × ${c.cellHeight}`
	if (c.margin) out += `, margin ${c.margin}`
	if (c.spacing) out += `, spacing ${c.spacing}`
	if (c.left || c.top) out += `, from ${c.margin + (c.left ?? 0)}, ${c.margin + (c.top ?? 0)}`
	return out
}
