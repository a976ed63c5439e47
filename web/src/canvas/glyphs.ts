/**
 * Our glyphs for the kinds of entity, in a box of 16 by 16: the path is filled
 * in the kind's colour on a casing of chalk. Shape and colour both carry meaning.
 */
export interface Glyph {
	path: string
	colour: string
}

export const glyphs: Record<string, Glyph> = {
	// a plumb bob that points at its cell
	spawn: { path: 'M7 1h2v4h3v3l-4 7-4-7V5h3z', colour: '#0f6a6c' },
	// an arch
	exit: { path: 'M2 15V7.5a6 6 0 0 1 12 0V15h-3.5V7.5a2.5 2.5 0 0 0-5 0V15z', colour: '#33509e' },
	// an arch with a notch cut inward
	arrival: { path: 'M2 15V7.5a6 6 0 0 1 12 0V15h-3.5l-2.5-4-2.5 4z', colour: '#33509e' },
	// a lozenge
	collectible: { path: 'M8 1l5.5 7L8 15 2.5 8z', colour: '#a06800' },
	// a rocker
	switch: { path: 'M1.5 12h13v2.5h-13zM3 9.5 12.5 4l1.5 2.6-7 4.4H3z', colour: '#7a4a9a' },
	// a leaf on a stalk
	decoration: {
		path: 'M7.2 15V10C3 10 2 6.5 2 2c6 0 8 2 7.4 6.2C10.5 6.5 12 5.5 14 5.5c0 4-2 6-5.2 6V15z',
		colour: '#3d693b',
	},
	// two leaves
	door: { path: 'M2 2h5.2v13H2zM8.8 2H14v13H8.8z', colour: '#8a4b22' },
}

const paths = new Map<string, Path2D>()

/** Draws a kind's glyph into a square on the canvas. */
export function drawGlyph(ctx: CanvasRenderingContext2D, kind: string, x: number, y: number, size: number) {
	const g = glyphs[kind]
	if (!g) return
	let path = paths.get(kind)
	if (!path) paths.set(kind, (path = new Path2D(g.path)))
	ctx.save()
	ctx.translate(x, y)
	ctx.scale(size / 16, size / 16)
	ctx.lineJoin = 'round'
	ctx.lineWidth = 2.6
	ctx.strokeStyle = '#fcfaf5'
	ctx.stroke(path)
	ctx.fillStyle = g.colour
	ctx.fill(path)
	ctx.restore()
}

// A standing figure, drawn where the hero has no pictures: head, coat, and a
// lighter side towards which it looks.
const figure = new Path2D(
	'M8 1.2a3 3 0 1 1 0 6 3 3 0 0 1 0-6zM4 15V10.4A2.6 2.6 0 0 1 6.6 8h2.8a2.6 2.6 0 0 1 2.6 2.4V15z',
)
const noses: Record<string, string> = {
	up: 'M6.5 2.2h3L8 .2z',
	right: 'M10.6 3v3l2-1.5z',
	down: 'M6.5 6.4h3L8 8.4z',
	left: 'M5.4 3v3l-2-1.5z',
}

export function drawFigure(ctx: CanvasRenderingContext2D, facing: string, x: number, y: number, w: number, h: number) {
	ctx.save()
	ctx.translate(x, y)
	ctx.scale(w / 16, h / 16)
	ctx.lineWidth = 1.6
	ctx.strokeStyle = '#fcfaf5'
	ctx.stroke(figure)
	ctx.fillStyle = '#1e2a2e'
	ctx.fill(figure)
	ctx.fillStyle = '#e2a52a'
	ctx.fill(new Path2D(noses[facing] ?? noses.down))
	ctx.restore()
}
