import type { Piece } from '../core/types'
import type { Workspace } from '../workspace/workspace.svelte'
import { drawCell } from './ghost'

/** How many widths of a cell an arrangement is across and down. */
export const spanOf = (p: Piece) => ({ across: p.w, down: (p.h * p.cellHeight) / p.cellWidth })

/** Draws an arrangement of cells and entities in cells of a width. */
export function drawPiece(
	ctx: CanvasRenderingContext2D,
	w: Workspace,
	piece: Piece,
	left: number,
	top: number,
	cell: number,
) {
	const high = (cell * piece.cellHeight) / piece.cellWidth
	for (let i = 0; i < piece.cells.length; i += 3) {
		const [x, y] = [left + piece.cells[i] * cell, top + piece.cells[i + 1] * high]
		drawCell(ctx, w, piece.cells[i + 2], { x, y, w: cell, h: high })
	}
	const [sx, sy] = [cell / piece.cellWidth, high / piece.cellHeight]
	for (const e of piece.entities ?? []) {
		const look = w.scene.figures.picture(e, false)
		const [x, y] = [left + e.x * sx, top + e.y * sy]
		if (look.cell) w.scene.pictures.drawMany(ctx, look, x, y, e.w * sx, e.h * sy)
		else w.scene.figures.glyph(ctx, e.kind, x, y, Math.min(e.w * sx, e.h * sy))
	}
}
