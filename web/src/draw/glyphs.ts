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
	// a standing figure with a lamp
	hero: {
		path: 'M8 1a2.8 2.8 0 1 1 0 5.6A2.8 2.8 0 0 1 8 1zM4 15v-4.4A2.6 2.6 0 0 1 6.6 8h2.8a2.6 2.6 0 0 1 2.6 2.6V15zM13 8h2v4h-2z',
		colour: '#0f6a6c',
	},
	// a pennon
	checkpoint: { path: 'M3 1h1.8v1.2L14 5.6 4.8 9v6H3z', colour: '#3d693b' },
	// a gate post with a band
	goal: { path: 'M1.5 15V3h3v3h7V3h3v12h-3V9h-7v6z', colour: '#3d693b' },
	// a bow and a bit
	key: {
		path: 'M5 2a4 4 0 0 1 3.8 5.2L15 13.4V15h-2.6v-2h-2v-2L7.2 9A4 4 0 1 1 5 2zm-.6 2.4a1.3 1.3 0 1 0 0 2.6 1.3 1.3 0 0 0 0-2.6z',
		colour: '#a06800',
	},
	// a pouch
	item: {
		path: 'M5.5 1.5h5L9.6 4c3 1.4 4.4 4 4.4 7 0 2.6-1.6 4-3.6 4H5.6C3.6 15 2 13.6 2 11c0-3 1.4-5.6 4.4-7z',
		colour: '#a06800',
	},
	// a coffer
	container: {
		path: 'M2 6.6A4.6 4.6 0 0 1 6.4 2h3.2A4.6 4.6 0 0 1 14 6.6V7H2zM2 8.2h4.4v2.2h3.2V8.2H14V15H2z',
		colour: '#8a4b22',
	},
	// a board on a post
	sign: { path: 'M1.5 2h13v7H9v6H7V9H1.5z', colour: '#6b5a3a' },
	// a flame
	light: {
		path: 'M8.4 1c.6 2.6 4.6 5 4.6 9a5 5 0 0 1-10 0c0-2 1-3.2 2-4.2.2 1.2.8 1.8 1.5 2C6.2 5 7 2.6 8.4 1z',
		colour: '#b06a00',
	},
	// waves from a point
	sound: {
		path: 'M2 6h2.6L8 3v10l-3.4-3H2zM10 5.2c1.6 1.6 1.6 4 0 5.6l-.9-1c1-1 1-2.6 0-3.6zM12.2 3c2.9 2.9 2.9 7.1 0 10l-1-1c2.3-2.3 2.3-5.7 0-8z',
		colour: '#4a6a3a',
	},
	// rising puffs
	emitter: {
		path: 'M5 12.5a2.5 2.5 0 1 1 5 0 2.5 2.5 0 0 1-5 0zM8 7.6a2 2 0 1 1 4 0 2 2 0 0 1-4 0zM4.6 4a1.6 1.6 0 1 1 3.2 0 1.6 1.6 0 0 1-3.2 0z',
		colour: '#5a5f66',
	},
	// a standing peg
	character: { path: 'M8 1a2.8 2.8 0 0 1 1.6 5.1L11.6 13H13v2H3v-2h1.4l2-6.9A2.8 2.8 0 0 1 8 1z', colour: '#7a4a9a' },
	// a hump on two feet
	walker: { path: 'M2 11.4C2 6 4.6 3 8 3s6 3 6 8.4h-2.2V14H9.6v-2.6H6.4V14H4.2v-2.6z', colour: '#a63d27' },
	// two wings
	flyer: {
		path: 'M8 11 5.4 8.6 1 10c.6-3.6 2.8-5.4 5.6-5L8 6.4 9.4 5c2.8-.4 5 1.4 5.6 5l-4.4-1.4z',
		colour: '#a63d27',
	},
	// a barrel with shot
	shooter: { path: 'M1.5 6h8v4h-8zM3 11h5v3H3zM11 7h1.6v2H11zM13.4 7H15v2h-1.6z', colour: '#a63d27' },
	// a slab with arrows
	platform: { path: 'M1 6h14v3.4H1zM4.4 11 2 13l2.4 2v-1.3h7.2V15L14 13l-2.4-2v1.3H4.4z', colour: '#7a4a9a' },
	// a belt on two rolls
	conveyor: {
		path: 'M4 5h8a3.5 3.5 0 0 1 0 7H4a3.5 3.5 0 0 1 0-7zm0 2.2a1.3 1.3 0 1 0 0 2.6h8a1.3 1.3 0 1 0 0-2.6zM7 1l3 1.8L7 4.6z',
		colour: '#7a4a9a',
	},
	// blades on a foot
	fan: {
		path: 'M8 5.4C6 3.6 6.4 1 8.6 1c2.4 0 2.6 2.8 1 4.6 2.4-.8 4.6.6 4 2.8-.7 2.2-3.4 1.5-4.6-.6V13h3v2H5v-2h2.4V8.4C6 10.2 3.2 10.6 2.6 8.4 2 6.2 4.4 4.8 6.8 5.8z',
		colour: '#2f6f9e',
	},
	// a coil
	spring: {
		path: 'M3 1.5h10v2H3zM3 13h10v2H3zM4 5l8 1.4v1.4L4 9.2V7.8l4.4-.7L4 6.4zM4 9.4l8 1.3v1.2H4z',
		colour: '#7a4a9a',
	},
	// a block with a push at its side
	block: { path: 'M5.4 3H15v10H5.4zM1 6.6h2V5l3 3-3 3V9.4H1z', colour: '#6b5a3a' },
	// a cracked block
	breakable: { path: 'M2 2h5l-1.4 4.4L8.6 8 6.4 14H2zM8.8 2H14v12H8.4l2.4-6.6L7.6 6z', colour: '#6b5a3a' },
	// a block that drops
	faller: { path: 'M2 1.5h12v6.4H2zM7.1 9h1.8v2.6H11L8 15l-3-3.4h2.1z', colour: '#6b5a3a' },
	// a sandglass
	timer: { path: 'M3 1.5h10v1.8L9.2 8l3.8 4.7v1.8H3v-1.8L6.8 8 3 3.3z', colour: '#7a4a9a' },
	// a mouth that gives
	source: { path: 'M1.5 2h6v12h-6zM9 7.1h3V5.4L15 8l-3 2.6V8.9H9z', colour: '#7a4a9a' },
	// a beaded line
	path: {
		path: 'M3 11a2 2 0 0 1 1.8 1.2l2-.9a2 2 0 0 1 1.6-2.6l.3-2A2 2 0 0 1 10 3.2a2 2 0 1 1-.4 3.9l-.3 2a2 2 0 0 1-.9 3.4 2 2 0 0 1-1.3-.1l-2 .9A2 2 0 1 1 3 11zM13 1.4A1.8 1.8 0 1 1 13 5a1.8 1.8 0 0 1 0-3.6z',
		colour: '#33509e',
	},
	// a ray between two ends
	beam: { path: 'M1 5h3v6H1zM12 5h3v6h-3zM5 7.2h6v1.6H5z', colour: '#a63d27' },
	// a saw edge
	hazard: { path: 'M1 14V9l2.4-6L6 9l2.2-6L10.6 9 13 3l2 6v5z', colour: '#a63d27' },
	// a keg with a burning cord
	charge: {
		path: 'M3 7h10l-.8 8H3.8zM7.2 6V4.4h1.6V6zM10 3.6 11.2 1l.6 1.8 1.8.6-1.8.7-.6 1.7-.6-1.7-1.4-.3z',
		colour: '#a63d27',
	},
	// an arm on a hub
	turner: {
		path: 'M5 8.6a3.2 3.2 0 1 1 2.2 4.3A3.2 3.2 0 0 1 5 8.6zM9 6.2 13.6 1 15 2.4 11 7.4zM1 12.4A8 8 0 0 1 6.4 2.6l.6 1.6a6.2 6.2 0 0 0-4.2 7.5z',
		colour: '#a63d27',
	},
	// four corner ticks
	sensor: {
		path: 'M1.5 1.5h4.4v2H3.5v2.4h-2zM10.1 1.5h4.4v4.4h-2V3.5h-2.4zM1.5 10.1h2v2.4h2.4v2H1.5zM12.5 10.1h2v4.4h-4.4v-2h2.4z',
		colour: '#33509e',
	},
	// a slope under a line
	groundLine: { path: 'M1 12.5 6 9l4 1.5L15 4v3L10.4 13 6 11.4 1 15z', colour: '#6b5a3a' },
	// rungs
	ladder: { path: 'M3.4 1h2v3h5.2V1h2v14h-2v-3H5.4v3h-2zm2 5v1.4h5.2V6zm0 3.2v1.2h5.2V9.2z', colour: '#855300' },
	// two waves
	water: {
		path: 'M1 6.4C2.8 4 5 4 7 5.6s4 1.6 6 0L15 4v2.8c-2.4 2.4-5 2.4-7.2.8C6 6.2 4 6.4 1 9zM1 11.4c1.8-2.4 4-2.4 6-.8s4 1.6 6 0l2-1.6v2.8c-2.4 2.4-5 2.4-7.2.8C6 11.2 4 11.4 1 14z',
		colour: '#2f6f9e',
	},
	// gusts
	wind: {
		path: 'M1 6h8a2 2 0 1 0-2-2H5.4A3.6 3.6 0 1 1 9 7.6H1zM1 9h10.6A2.7 2.7 0 1 1 9 12.4h1.6a1.1 1.1 0 1 0 1-1.8H1z',
		colour: '#2f6f9e',
	},
	// a gate with an arrow in
	entry: { path: 'M1.5 15V2h13v13H12V4.5H4V15zM6.6 6h2.8v4H12l-4 5-4-5h2.6z', colour: '#5c4a9e' },
	// a lane with marks
	lane: {
		path: 'M2 15 5.4 1h1.4L4.6 15zM11.4 15 9.2 1h1.4L14 15zM7.4 2h1.2v3H7.4zM7.3 7h1.4v3H7.3zM7.2 12h1.6v3H7.2z',
		colour: '#5c4a9e',
	},
	// a stone in a ring
	core: {
		path: 'M8 1a7 7 0 1 1 0 14A7 7 0 0 1 8 1zm0 2.2a4.8 4.8 0 1 0 0 9.6 4.8 4.8 0 0 0 0-9.6zM8 5l2.6 3L8 11 5.4 8z',
		colour: '#5c4a9e',
	},
	// a plot with a cross
	place: { path: 'M1.5 1.5h13v13h-13zm2 2v9h9v-9zM7 5h2v2h2v2H9v2H7V9H5V7h2z', colour: '#5c4a9e' },
}

/** What is drawn for a kind that has no glyph, or is no longer there. */
const plainGlyph: Glyph = { path: 'M3 3h10v10H3z', colour: '#566067' }

const paths = new Map<string, Path2D>()
/** A kind's glyph, drawn once. */
interface Sprite {
	kind: string
	colour: string
	whole: number
	sprite: OffscreenCanvas
}

const sprites = new Map<string, Sprite>()
/** The one that was drawn last: a crowd has many of the same. */
let last: Sprite | undefined
/** Glyphs of so many sizes and colours are kept drawn. */
const maxSprites = 400

/** Draws a kind's glyph into a square on the canvas; of a kind that has none, or is gone, a plain block. */
export function drawGlyph(
	ctx: CanvasRenderingContext2D,
	kind: string,
	x: number,
	y: number,
	size: number,
	colour = '',
) {
	const whole = Math.round(size)
	if (whole < 1) return
	if (last?.kind !== kind || last.colour !== colour || last.whole !== whole) last = spriteOf(kind, colour, whole)
	ctx.drawImage(last.sprite, Math.round(x) - 2, Math.round(y) - 2)
}

function spriteOf(kind: string, colour: string, whole: number): Sprite {
	const key = `${kind} ${colour} ${whole}`
	let is = sprites.get(key)
	if (!is) {
		if (sprites.size >= maxSprites) sprites.clear()
		const sprite = new OffscreenCanvas(whole + 4, whole + 4)
		paintGlyph(sprite.getContext('2d')!, glyphs[kind] ?? plainGlyph, kind, whole, colour)
		sprites.set(key, (is = { kind, colour, whole, sprite }))
	}
	return is
}

function paintGlyph(ctx: OffscreenCanvasRenderingContext2D, g: Glyph, kind: string, size: number, colour: string) {
	let path = paths.get(kind)
	if (!path) paths.set(kind, (path = new Path2D(g.path)))
	ctx.translate(2, 2)
	ctx.scale(size / 16, size / 16)
	ctx.lineJoin = 'round'
	ctx.lineWidth = 2.6
	ctx.strokeStyle = '#fcfaf5'
	ctx.stroke(path)
	ctx.fillStyle = colour || g.colour
	ctx.fill(path, 'evenodd')
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
