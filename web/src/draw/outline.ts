import type { Selected } from '../core/types'

/** The edges of selected cells as a path, in cells. */
export function outlineOf(s: Selected): Path2D {
	const rows = new Map<number, [number, number][]>()
	for (const { y, x0, x1 } of s.spans) {
		const row = rows.get(y) ?? []
		rows.set(y, row)
		row.push([x0, x1])
	}
	for (const row of rows.values()) row.sort((a, b) => a[0] - b[0])
	const joined = new Map<number, [number, number][]>()
	for (const [y, row] of rows) {
		const out: [number, number][] = []
		for (const [x0, x1] of row) {
			const last = out[out.length - 1]
			// runs end at chunks; they go on here
			if (last && last[1] >= x0) last[1] = Math.max(last[1], x1)
			else out.push([x0, x1])
		}
		joined.set(y, out)
	}
	const path = new Path2D()
	const edge = (y: number, at: number, x0: number, x1: number) => {
		// the part of an edge that the row beside it does not share
		let from = x0
		for (const [a, b] of joined.get(y) ?? []) {
			if (b <= from || a >= x1) continue
			if (a > from) [path.moveTo(from, at), path.lineTo(a, at)]
			from = Math.max(from, b)
		}
		if (from < x1) [path.moveTo(from, at), path.lineTo(x1, at)]
	}
	for (const [y, row] of joined) {
		for (const [x0, x1] of row) {
			path.moveTo(x0, y)
			path.lineTo(x0, y + 1)
			path.moveTo(x1, y)
			path.lineTo(x1, y + 1)
			edge(y - 1, y, x0, x1)
			edge(y + 1, y + 1, x0, x1)
		}
	}
	return path
}
