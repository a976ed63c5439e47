import { hatchOf } from '../draw/hatches'
import type { Cut, Facing, Head, ID, TileInfo } from '../core/types'
import { hatch } from './marks'

/** What can be painted over the sheet. */
export type SheetMark =
	| { kind: 'solid' }
	| { kind: 'part'; part: string }
	| { kind: 'oneWay'; side: Facing }
	| { kind: 'is'; is: string }
	| { kind: 'zone'; zone: ID }
	| { kind: 'tag'; tag: string }
	| { kind: 'odds'; odds: number }
	| { kind: 'value'; name: string; value: string }

export const hatches: Record<string, string> = { ladder: 'rungs', water: 'waves', hazard: 'teeth' }
const colours: Record<string, string> = { ladder: '#855300', water: '#2f6f9e', hazard: '#b0226a' }

/** What a mark sets on tiles that are painted over, or takes away again. */
export function valueOf(mark: SheetMark, on: boolean): object {
	switch (mark.kind) {
		case 'solid':
			return { solid: on }
		case 'part':
			return { part: on ? mark.part : '' }
		case 'oneWay':
			return { oneWay: on ? mark.side : '' }
		case 'is':
			return { is: on ? mark.is : '' }
		case 'zone':
			return { zone: on ? mark.zone : '' }
		case 'tag':
			return on ? { tag: mark.tag } : { untag: mark.tag }
		case 'odds':
			return { odds: on ? mark.odds : 1 }
		case 'value':
			return on ? { value: { name: mark.name, value: mark.value } } : { reset: mark.name }
	}
}

export function hasMark(mark: SheetMark, info: TileInfo | undefined, solid: boolean): boolean {
	switch (mark.kind) {
		case 'solid':
			return solid
		case 'part':
			return info?.part === mark.part
		case 'oneWay':
			return info?.oneWay === mark.side
		case 'is':
			return info?.is === mark.is
		case 'zone':
			return info?.zone === mark.zone
		case 'tag':
			return !!info?.tags?.includes(mark.tag)
		case 'odds':
			return info?.odds === mark.odds
		case 'value':
			return info?.values?.some((v) => v.name === mark.name && v.value === mark.value) ?? false
	}
}

/** What the sheet says on a tile while a mark is in the hand that has no sign of its own. */
export function wordOf(mark: SheetMark, info: TileInfo | undefined): string {
	if (!info) return ''
	if (mark.kind === 'tag') return info.tags?.join(', ') ?? ''
	if (mark.kind === 'odds') return info.odds === 1 ? '' : String(info.odds)
	if (mark.kind === 'value') return info.values?.find((v) => v.name === mark.name)?.value ?? ''
	return ''
}

/** Writes a word on the lower edge of a tile, as much of it as fits. */
export function drawWord(ctx: CanvasRenderingContext2D, word: string, x: number, y: number, w: number, h: number) {
	const size = Math.max(9, Math.min(h / 3, 14 * devicePixelRatio))
	ctx.save()
	ctx.beginPath()
	ctx.rect(x, y, w, h)
	ctx.clip()
	ctx.font = `600 ${size}px "Sometype Mono Variable", monospace`
	const wide = Math.min(w, ctx.measureText(word).width + 4)
	ctx.fillStyle = '#fcfaf5'
	ctx.fillRect(x, y + h - size - 3, wide, size + 3)
	ctx.fillStyle = '#1e2a2e'
	ctx.fillText(word, x + 2, y + h - 4)
	ctx.restore()
}

export const sameMark = (a: SheetMark, b: SheetMark) => JSON.stringify(a) === JSON.stringify(b)

/** Draws what is set up for a tile. */
export function drawMarks(
	ctx: CanvasRenderingContext2D,
	parts: Head['parts'],
	cut: Cut,
	info: TileInfo | undefined,
	solid: boolean,
	x: number,
	y: number,
	w: number,
	h: number,
) {
	if (solid) hatch(ctx, x, y, w, h)
	if (!info) return
	const part = parts.find((p) => p.name === info.part)
	if (part) drawPart(ctx, part.area ?? [], x, y, w, h)
	// own outlines are in pixels of the tile: brought to halves of it
	else if (info.part === 'own')
		for (const own of info.own ?? []) {
			const area = own.map((p) => ({ x: (2 * p.x) / cut.cellWidth, y: (2 * p.y) / cut.cellHeight }))
			drawPart(ctx, area, x, y, w, h)
		}
	if (info.oneWay) drawOneWay(ctx, info.oneWay, x, y, w, h)
	if (info.is) {
		ctx.save()
		ctx.beginPath()
		ctx.rect(x, y, w, h)
		ctx.clip()
		ctx.beginPath()
		hatchOf(ctx, hatches[info.is], x, y, w, h)
		ctx.lineWidth = Math.max(2.5, w / 8)
		ctx.strokeStyle = 'rgb(252 250 245 / 0.75)'
		ctx.stroke()
		ctx.lineWidth = Math.max(1.5, w / 14)
		ctx.strokeStyle = colours[info.is]
		ctx.stroke()
		ctx.restore()
	}
	if (info.frames?.length) drawFlag(ctx, x + w - 2, y + 2, w, '#33509e')
	if (info.odds !== 1) drawFlag(ctx, x + w - 2, y + h - w / 4 - 2, w, '#855300')
}

/** A part of a tile that is solid: hatched inside its outline. */
export function drawPart(
	ctx: CanvasRenderingContext2D,
	area: { x: number; y: number }[],
	x: number,
	y: number,
	w: number,
	h: number,
) {
	ctx.save()
	ctx.beginPath()
	area.forEach((p, i) => ctx[i ? 'lineTo' : 'moveTo'](x + (p.x * w) / 2, y + (p.y * h) / 2))
	ctx.closePath()
	ctx.lineWidth = 3
	ctx.strokeStyle = '#b1442c'
	ctx.stroke()
	ctx.clip()
	hatch(ctx, x, y, w, h)
	ctx.restore()
}

/** A bar on the side that cannot be crossed from outside, with a wedge that shows which way one may go. */
export function drawOneWay(ctx: CanvasRenderingContext2D, side: Facing, x: number, y: number, w: number, h: number) {
	ctx.save()
	ctx.translate(x + w / 2, y + h / 2)
	ctx.rotate((['up', 'right', 'down', 'left'].indexOf(side) * Math.PI) / 2)
	ctx.beginPath()
	ctx.moveTo(-w / 2 + 2, -h / 2 + 2)
	ctx.lineTo(w / 2 - 2, -h / 2 + 2)
	ctx.moveTo(-w / 6, 0)
	ctx.lineTo(0, -h / 5)
	ctx.lineTo(w / 6, 0)
	for (const [width, colour] of [
		[5, '#fcfaf5'],
		[2.5, '#33509e'],
	] as const) {
		ctx.lineWidth = width
		ctx.strokeStyle = colour
		ctx.stroke()
	}
	ctx.restore()
}

function drawFlag(ctx: CanvasRenderingContext2D, right: number, top: number, w: number, colour: string) {
	const s = w / 4
	ctx.beginPath()
	ctx.moveTo(right, top)
	ctx.lineTo(right, top + s)
	ctx.lineTo(right - s, top)
	ctx.closePath()
	ctx.fillStyle = colour
	ctx.fill()
	ctx.lineWidth = 1
	ctx.strokeStyle = '#fcfaf5'
	ctx.stroke()
}
