// An example of a program that reads a project: with what Node brings alone it draws a map and lists what is solid on it, where
// its exits are and which rules the project has. The project is the folder that a ZIP was unpacked to.
//
//     node read.js saltworks/ quay quay.png        (after: npx tsc read.ts)

import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { crc32, deflateSync, inflateSync } from 'node:zlib'

interface Picture {
	w: number
	h: number
	/** Red, green, blue and opacity of each pixel. */
	data: Uint8Array
}

interface Tileset {
	number: number
	picture: string
	cut: { cellWidth: number; cellHeight: number; margin: number; spacing: number; left?: number; top?: number }
	img: Picture
}

interface MapFile {
	map: { name: string; bounds: { w: number; h: number }; cellWidth: number; cellHeight: number }
	layers: {
		kind: string
		order?: number
		hidden?: boolean
		absent?: boolean
		cells?: { file: string; x?: number; y?: number }
	}[]
	entities: { name: string; kind: string; x: number; y: number }[]
}

const parse = <T>(...path: string[]) => JSON.parse(readFileSync(join(...path), 'utf8')) as T

/** Reads a PNG of eight bits a colour (ISO/IEC 15948), as projects have them. */
function decode(file: Uint8Array): Picture {
	const view = new DataView(file.buffer, file.byteOffset, file.byteLength)
	const packed: Uint8Array[] = []
	let palette = new Uint8Array()
	let clear = new Uint8Array()
	for (let at = 8; at < file.length; at += 12 + view.getUint32(at)) {
		const name = String.fromCharCode(...file.subarray(at + 4, at + 8))
		const body = file.subarray(at + 8, at + 8 + view.getUint32(at))
		if (name === 'IDAT') packed.push(body)
		if (name === 'PLTE') palette = new Uint8Array(body)
		if (name === 'tRNS') clear = new Uint8Array(body)
	}
	const [w, h, type] = [view.getUint32(16), view.getUint32(20), file[25]]
	const each = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 }[type]!
	const raw = inflateSync(Buffer.concat(packed))
	const data = new Uint8Array(w * h * 4)
	let before = new Uint8Array(w * each)
	for (let y = 0; y < h; y++) {
		const filter = raw[y * (w * each + 1)]
		const row = new Uint8Array(raw.subarray(y * (w * each + 1) + 1, (y + 1) * (w * each + 1)))
		for (let i = 0; i < row.length; i++) {
			const [a, b, c] = [i < each ? 0 : row[i - each], before[i], i < each ? 0 : before[i - each]]
			const p = a + b - c
			const [pa, pb, pc] = [Math.abs(p - a), Math.abs(p - b), Math.abs(p - c)]
			row[i] += [0, a, b, (a + b) >> 1, pa <= pb && pa <= pc ? a : pb <= pc ? b : c][filter]
		}
		for (let x = 0; x < w; x++) {
			const v = row.subarray(x * each, (x + 1) * each)
			const rgb = type === 3 ? palette.subarray(v[0] * 3, v[0] * 3 + 3) : type & 2 ? v.subarray(0, 3) : [v[0], v[0], v[0]]
			const opacity = type === 3 ? (clear[v[0]] ?? 255) : type & 4 ? v[each - 1] : 255
			data.set([...rgb, opacity], (y * w + x) * 4)
		}
		before = row
	}
	return { w, h, data }
}

/** Writes a PNG. */
function encode({ w, h, data }: Picture): Uint8Array {
	const chunk = (name: string, body: Uint8Array) => {
		const out = Buffer.concat([Buffer.alloc(4), Buffer.from(name), body, Buffer.alloc(4)])
		out.writeUInt32BE(body.length, 0)
		out.writeUInt32BE(crc32(out.subarray(4, -4)), out.length - 4)
		return out
	}
	const head = Buffer.alloc(13)
	head.writeUInt32BE(w, 0)
	head.writeUInt32BE(h, 4)
	head.set([8, 6, 0, 0, 0], 8)
	const rows = Buffer.alloc(h * (w * 4 + 1))
	for (let y = 0; y < h; y++) rows.set(data.subarray(y * w * 4, (y + 1) * w * 4), y * (w * 4 + 1) + 1)
	const mark = Buffer.from([137, 80, 78, 71, 13, 10, 26, 10])
	return Buffer.concat([mark, chunk('IHDR', head), chunk('IDAT', deflateSync(rows)), chunk('IEND', Buffer.alloc(0))])
}

/** Draws a cell as “3:17 mirrored turned 90”, or the nth quarter of it, at a place in pixels. */
function put(on: Picture, sets: Map<number, Tileset>, cell: string, px: number, py: number, quarter: number) {
	const [place, ...how] = cell.split(' ')
	const [number, tile] = place.split(':').map(Number)
	const t = sets.get(number)
	if (!t) return
	const { cellWidth: w, cellHeight: h, margin, spacing, left: more = 0, top: above = 0 } = t.cut
	const columns = Math.floor((t.img.w - 2 * margin - more + spacing) / (w + spacing))
	const left = margin + more + (tile % columns) * (w + spacing)
	const top = margin + above + Math.floor(tile / columns) * (h + spacing)
	const turns = how.includes('turned') ? Number(how.at(-1)) / 90 : 0
	for (let y = 0; y < h; y++) {
		for (let x = 0; x < w; x++) {
			if (quarter >= 0 && (x < w / 2 ? 0 : 1) + (y < h / 2 ? 0 : 2) !== quarter) continue
			let [sx, sy] = [x, y]
			for (let n = 0; n < turns; n++) [sx, sy] = [sy, h - 1 - sx]
			if (how[0] === 'mirrored') sx = w - 1 - sx
			const from = t.img.data.subarray(((top + sy) * t.img.w + left + sx) * 4)
			const at = ((py + y) * on.w + px + x) * 4
			const under = 1 - from[3] / 255
			for (let i = 0; i < 3; i++) on.data[at + i] = Math.round(from[i] * (from[3] / 255) + on.data[at + i] * under)
			on.data[at + 3] = Math.round(from[3] + on.data[at + 3] * under)
		}
	}
}

const [folder, name, picture] = process.argv.slice(2)
const sets = new Map<number, Tileset>()
for (const file of readdirSync(join(folder, 'tilesets')).filter((f) => f.endsWith('.json'))) {
	const { tileset } = parse<{ tileset: Tileset }>(folder, 'tilesets', file)
	sets.set(tileset.number, { ...tileset, img: decode(readFileSync(join(folder, 'tilesets', tileset.picture))) })
}
const { map, layers, entities } = parse<MapFile>(folder, 'maps', `${name}.json`)
const [w, h] = [map.bounds.w * map.cellWidth, map.bounds.h * map.cellHeight]
const on: Picture = { w, h, data: new Uint8Array(w * h * 4) }
for (const l of layers.sort((a, b) => (a.order ?? 0) - (b.order ?? 0))) {
	if (l.kind !== 'tiles' || l.hidden || l.absent || !l.cells) continue
	const fitted = join(folder, 'derived', l.cells.file) // materials as the tiles that are drawn
	const has = existsSync(fitted)
	const [x0, y0] = has ? [0, 0] : [l.cells.x ?? 0, l.cells.y ?? 0]
	const rows = readFileSync(has ? fitted : join(folder, 'maps', l.cells.file), 'utf8').trimEnd().split('\n')
	rows.forEach((row, y) =>
		row.split(',').forEach((cell, x) => {
			const quarters = cell.split('+') // one tile, or a quarter of each of four
			const at = [(x + x0) * map.cellWidth, (y + y0) * map.cellHeight] as const
			quarters.forEach((q, i) => put(on, sets, q, ...at, quarters.length === 4 ? i : -1))
		}),
	)
}
writeFileSync(picture, encode(on))
const solids = parse<{ cells: unknown[] }>(folder, 'derived', name, 'solids.json')
console.log(`${map.name}: ${map.bounds.w} × ${map.bounds.h} cells, solid in ${solids.cells.length} rectangles`)
for (const e of entities.filter((e) => e.kind === 'exit'))
	console.log(`exit ${e.name} at cell ${Math.floor(e.x / map.cellWidth)}, ${Math.floor(e.y / map.cellHeight)}`)
console.log(`${readdirSync(join(folder, 'rules')).filter((f) => f.endsWith('.txt')).length} rules`)
