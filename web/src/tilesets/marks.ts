/** Slanting lines and a frame: what is marked so does not show by colour alone. */
export function hatch(ctx: CanvasRenderingContext2D, x: number, y: number, w: number, h: number, colour = '#b1442c') {
	ctx.save()
	ctx.beginPath()
	ctx.rect(x, y, w, h)
	ctx.clip()
	ctx.beginPath()
	const gap = Math.max(8, w / 2)
	for (let d = -h; d < w; d += gap) {
		ctx.moveTo(x + d, y + h)
		ctx.lineTo(x + d + h, y)
	}
	ctx.lineWidth = 3
	ctx.strokeStyle = 'rgb(252 250 245 / 0.6)'
	ctx.stroke()
	ctx.lineWidth = 1.5
	ctx.strokeStyle = colour
	ctx.stroke()
	ctx.lineWidth = 3
	ctx.strokeRect(x, y, w, h)
	ctx.restore()
}

/** Where the nine parts of a tile lie, in thirds: around clockwise from the top, then the middle. */
export const partAt = [
	[1, 0],
	[2, 0],
	[2, 1],
	[2, 2],
	[1, 2],
	[0, 2],
	[0, 1],
	[0, 0],
	[1, 1],
]

/** The sides and corners of a tile that belong to a material, as filled ninths. */
export function drawForm(
	ctx: CanvasRenderingContext2D,
	form: number,
	x: number,
	y: number,
	w: number,
	h: number,
	strength = 0.62,
) {
	const [tw, th] = [w / 3, h / 3]
	for (let i = 0; i < 9; i++) {
		if (i < 8 && !(form & (1 << i))) continue
		const [cx, cy] = partAt[i]
		ctx.fillStyle = i === 8 ? `rgb(226 165 42 / ${strength})` : `rgb(15 106 108 / ${strength})`
		ctx.fillRect(x + cx * tw, y + cy * th, tw + 0.5, th + 0.5)
	}
	ctx.lineWidth = 2
	ctx.strokeStyle = '#fcfaf5'
	ctx.strokeRect(x + 1, y + 1, w - 2, h - 2)
	ctx.lineWidth = 1
	ctx.strokeStyle = '#0f6a6c'
	ctx.strokeRect(x + 1, y + 1, w - 2, h - 2)
}
