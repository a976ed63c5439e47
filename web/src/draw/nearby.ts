import type { Entity, MapInfo, Rect } from '../core/types'
import { extentOf } from './points'
import type { View } from './view.svelte'

/** How many map pixels wide and high the squares are in which entities are looked up. */
const side = 512

interface Index {
	squares: Map<number, number[]>
	/** Those that are too large for squares. */
	large: number[]
}

const square = (x: number, y: number) => y * 0x10000 + x

const indexes = new WeakMap<Entity[], Index>()

function indexOf(list: Entity[]): Index {
	let index = indexes.get(list)
	if (index) return index
	index = { squares: new Map(), large: [] }
	list.forEach((one, i) => {
		const e = extentOf(one)
		const [x0, y0] = [Math.floor(e.x / side), Math.floor(e.y / side)]
		const [x1, y1] = [Math.floor((e.x + e.w) / side), Math.floor((e.y + e.h) / side)]
		if ((x1 - x0 + 1) * (y1 - y0 + 1) > 16) return void index!.large.push(i)
		for (let y = y0; y <= y1; y++) {
			for (let x = x0; x <= x1; x++) {
				const all = index!.squares.get(square(x, y))
				if (all) all.push(i)
				else index!.squares.set(square(x, y), [i])
			}
		}
	})
	indexes.set(list, index)
	return index
}

/** The entities of a map that may be seen; where all of it is, none has to be looked up. */
export function inSight(list: Entity[], view: View, m: MapInfo): Entity[] {
	return view.shows(m) ? list : nearby(list, view.seen())
}

/** The entities of a list that may lie in a rectangle of the map, in the list's order. */
export function nearby(list: Entity[], r: Rect): Entity[] {
	if (list.length < 200) return list
	const index = indexOf(list)
	const [x0, y0] = [Math.floor(r.x / side), Math.floor(r.y / side)]
	const [x1, y1] = [Math.floor((r.x + r.w) / side), Math.floor((r.y + r.h) / side)]
	if ((x1 - x0 + 1) * (y1 - y0 + 1) >= index.squares.size) return list
	const found = new Set(index.large)
	for (let y = y0; y <= y1; y++) {
		for (let x = x0; x <= x1; x++) for (const i of index.squares.get(square(x, y)) ?? []) found.add(i)
	}
	return [...found].sort((a, b) => a - b).map((i) => list[i])
}
