// The shapes of what the core answers, field for field.

export type ID = string
export type Facing = 'up' | 'right' | 'down' | 'left'

export interface Point {
	x: number
	y: number
}

export interface Rect extends Point {
	w: number
	h: number
}

export interface Cut {
	cellWidth: number
	cellHeight: number
	margin: number
	spacing: number
}

export interface Size {
	w: number
	h: number
}

export interface PlanLayer {
	name: string
	kind: Layer['kind']
	front: boolean
}

export interface Loss {
	cells: number
	entities: number
	spans: Span[]
}

export interface KindLook {
	kind: string
	look: number
	lookOn: number
}

export interface ProjectInfo {
	name: string
	cellWidth: number
	cellHeight: number
	hero: { frames: (number[] | null)[]; speed: number }
	screen: Size
	presets: (Size & { name: string })[] | null
	looks: KindLook[] | null
	/** The kinds that are offered first. */
	pins?: ID[]
	mapProperties?: Setting[]
}

export interface Tileset {
	id: ID
	name: string
	order: number
	number: number
	picture: string
	width: number
	height: number
	cut: Cut
	solid: number[] | null
	infos: TileInfo[] | null
	properties: Property[] | null
	columns: number
	rows: number
}

export interface Frame {
	tile: number
	ms: number
}

/** What is set up for one tile. */
export interface TileInfo {
	tile: number
	odds: number
	partner: number
	part: string
	/** The outlines of its own solid part. */
	own: Point[][] | null
	oneWay: Facing | ''
	is: string
	/** The zone that the tile counts as, or empty. */
	zone: ID
	tags: string[] | null
	frames: Frame[] | null
	values: { name: string; value: string }[] | null
}

/** Something of the designer's own that tiles or zones have. */
export interface Property {
	name: string
	type: string
	default: string
	choices: string[] | null
}

export interface Layer {
	id: ID
	name: string
	order: number
	kind: 'tiles' | 'entities' | 'zones' | 'picture' | 'group'
	hidden: boolean
	locked: boolean
	opacity: number
	front: boolean
	foot: boolean
	group: ID
	tint: string
	offsetX: number
	offsetY: number
	lagX: number
	lagY: number
	image: LayerImage | null
	/** Whether, its group considered, it is shown and can be worked on. */
	shown: boolean
	open: boolean
}

/** A picture, or a gradient of two colours where picture is ''. */
export interface LayerImage {
	picture: string
	width: number
	height: number
	from: string
	to: string
	across: boolean
	x: number
	y: number
	scale: number
	repeatX: boolean
	repeatY: boolean
	stretch: boolean
	driftX: number
	driftY: number
}

/** A map with its layers, the lowest first. */
export interface MapInfo {
	id: ID
	name: string
	order: number
	bounds: Rect
	cellWidth: number
	cellHeight: number
	/** Square cells, or diamonds as wide and high as a cell. */
	grid: '' | 'diamond'
	folder?: string
	tags?: string[]
	/** Finishing it starts the next one. */
	next?: boolean
	template?: boolean
	/** What its edges are: up, right, down, left; '' is a wall. */
	sides: string[]
	layers: Layer[]
	/** What is seen in play where nothing is painted. */
	background: string
}

/** Positions and sizes are in map pixels. */
export interface Entity {
	id: ID
	layer: ID
	kind: string
	name: string
	x: number
	y: number
	w: number
	h: number
	facing: Facing
	look: number
	lookOn: number
	on: boolean
	absent?: boolean
	unseen?: boolean
	values?: { name: string; value: string }[]
	order?: number
	locked?: boolean
	hidden?: boolean
	group?: string
	turn?: number
	tint?: string
	faint?: number
	/** From its own middle. */
	points?: Point[]
	carrier?: ID
	variants?: { look: number; odds: number }[]
}

export interface End {
	map: ID
	entity: ID
	/** The edge of the map that one leaves over, instead of an entity. */
	side?: Facing
}

/** Something that has to hold for a way to be open. */
export interface Gate {
	asks: 'flag' | 'item' | 'count'
	not?: boolean
	flag?: ID
	map?: ID
	entity?: ID
	kind?: ID
	count?: number
}

export interface Passage {
	id: ID
	from: End
	to: End
	transition?: string
	sound?: string
	if?: Gate[]
	shut?: string
}

/** A property with a unit, a range and help. */
export interface Setting extends Property {
	unit: string
	help: string
	least: number
	most: number
	handle: '' | 'round' | 'ahead' | 'both' | 'up'
}

/** A setting as it stands for what is selected. */
export interface Detail extends Setting {
	value: string
	mixed: boolean
	differs: boolean
	shared: number
}

/** Something that refers to an entity or a map. */
export interface Use {
	what: 'passage' | 'rule' | 'gate' | 'carrier' | 'setting'
	map?: ID
	id: ID
	text: string
}

/** A part of what an entity does, in map pixels. */
export interface Trace {
	is: 'way' | 'ring' | 'shot' | 'tied'
	points: Point[]
	closed: boolean
	radius: number
	setting: string
}

export interface Standing {
	free: boolean
	why: string
	reach: Span[]
}

/** A text as the message box shows it. */
export interface Pages {
	pages: string[][]
	over: boolean
	long: string
	broken: string
	columns: number
	rows: number
}

export interface Seam {
	a: ID
	b: ID
	side: Facing
	open: { from: number; to: number }[]
	closed: boolean
	if: Gate[]
	why: string
}

export interface Finding {
	what: string
	map: ID
	entity?: ID
	passage?: ID
	text: string
	serious: boolean
}

export interface ChartInfo {
	places: (Rect & { map: ID })[]
	seams: Seam[]
	findings: Finding[]
}

export interface Flag {
	id: ID
	name: string
}

export interface Condition {
	id: ID
	flag: ID
	is: boolean
}

export interface Step {
	id: ID
	do: 'open' | 'set' | 'say'
	map?: ID
	entity?: ID
	flag?: ID
	to?: boolean
	text?: string
}

export interface Word {
	text: string
	slot?: string
	missing?: boolean
}

export interface Rule {
	id: ID
	order: number
	when: { on: 'use' | 'take' | 'arrive'; map: ID; entity: ID }
	if: Condition[]
	then: Step[]
	once: boolean
	note: string
}

export type ToldRule = Rule & { sentence: Word[] }

export interface Wire {
	rule: ID
	from: End
	to: End
}

export interface Kind {
	id: ID
	name: string
	help: string
	category: string
	order: number
	/** The built-in kind that it behaves as; '' for built-in ones and those from nothing. */
	of: ID
	glyph: string
	colour: string
	area: boolean
	faces: boolean
	resizes: boolean
	turns: boolean
	tints: boolean
	ways: boolean
	solid: boolean
	/** Can carry others along; is picked up; is seen by the player only with a picture. */
	moves: boolean
	taken: boolean
	veiled: boolean
	state: string
	w: number
	h: number
	body: Rect
	anchorX: number
	anchorY: number
	look: number
	lookOn: number
	frames: (number[] | null)[]
	frameMs: number
	mapLeast: number
	mapMost: number
	projectLeast: number
	projectMost: number
	tags: string[]
	layers: string[]
	settings: Setting[]
}

/** A tile of a material; form has a bit for each neighbour, clockwise from the one above. */
export interface MaterialTile {
	cell: number
	form: number
	odds: number
	beside: number
}

export interface Cover {
	form: number
	how: 'has' | 'turned' | 'composed' | 'lacks'
}

export interface Material {
	id: ID
	name: string
	number: number
	is: string
	by: 'sides' | 'corners' | 'both'
	beyond: boolean
	turns: boolean
	composes: boolean
	tiles: MaterialTile[] | null
	covers: Cover[]
	/** A tile that shows what it is; 0 while there is none. */
	sample: number
}

/** A motif without its cells. */
export interface MotifInfo {
	id: ID
	name: string
	w: number
	h: number
}

/** A motif or an arrangement that is held, for drawing: x, y, cell by turns. */
export interface Piece {
	w: number
	h: number
	cellWidth: number
	cellHeight: number
	cells: number[]
	entities: Entity[] | null
}

export interface Zone {
	id: ID
	name: string
	number: number
	is: string
	hatch: string
	colour: string
	properties: Property[] | null
}

export interface ZoneWord {
	is: string
	help: string
	hatch: string
	colour: string
}

export interface Head {
	project: ProjectInfo
	tilesets: Tileset[]
	maps: MapInfo[]
	passages: Passage[]
	rules: ToldRule[]
	flags: Flag[]
	parts: { name: string; help: string; area: Point[] }[]
	grounds: string[]
	propertyTypes: string[]
	materials: Material[]
	materialWords: { is: string; by: Material['by']; help: string }[]
	motifs: MotifInfo[]
	zones: Zone[]
	zoneWords: ZoneWord[]
	hatches: string[]
	plan: PlanLayer[]
	wires: Wire[]
	kinds: Kind[]
	categories: string[]
	transitions: string[]
	sideWords: string[]
	canUndo: string
	canRedo: string
}

export type Shape = 'freehand' | 'line' | 'box' | 'rim' | 'oval' | 'fill' | 'empties'

export interface Scatter {
	odds?: number[]
	nothing?: number
	apart?: boolean
}

export interface Grip {
	what: 'nothing' | 'tiles' | 'material' | 'motif' | 'zone' | 'eraser' | 'entity'
	cells?: number[]
	width?: number
	number?: number
	motif?: ID
	kind?: string
	look?: number
	lookOn?: number
	shape: Shape
	size?: number
	round?: boolean
	corners?: boolean
	shown?: boolean
	aligned?: boolean
	replace?: boolean
	inside?: Grip
	turn?: number
	scatter?: Scatter
}

export type MirrorMode = '' | 'left–right' | 'up–down' | 'both' | 'quarters'

/** x and y are in half cells: 2n lies before cell n. */
export interface Mirror {
	mode: MirrorMode
	x: number
	y: number
}

export interface Span {
	y: number
	x0: number
	x1: number
}

/** The selected cells of a map. */
export interface Selected {
	map: ID
	count: number
	bounds: Rect
	spans: Span[]
}

export interface ChunkAt {
	map: ID
	layer: ID
	cx: number
	cy: number
}

export interface Outcome {
	/** The edit as it has to be sent; absent when none was made. */
	edit?: unknown
	change: { head: boolean; entities: ID[] | null; chunks: ChunkAt[] | null }
	dropped?: string[]
	text?: string
	made?: ID
	ids?: ID[]
	restored?: number
	kept?: number
	fetch?: number
	canUndo: string
	canRedo: string
	pending: number
}

export interface Ghost {
	layer: ID
	layerName: string
	bounds: Rect
	count: number
	removing: boolean
	/** x, y, cell by turns. */
	cells?: number[]
	spans?: Span[]
	entities?: Entity[]
	take?: ID[]
	/** Of a scatter, how often each choice comes, then nothing. */
	drawn?: number[]
	refusal?: string
}

export interface Place {
	free: boolean
	reason: string
	nearest: Point | null
}

export interface PlayView {
	map: ID
	x: number
	y: number
	facing: Facing
	steps: number
	tick: number
	dark: number
	line: string
	notice: string
	taken: number
	total: number
	cell: Point
	gone: ID[]
	on: ID[]
	/** The variants that were drawn when the game began. */
	looks: { id: ID; look: number }[]
}

export interface Guess {
	cut: Cut
	why: string
}

export interface Lost {
	tiles: number[]
	used: number[]
	cells: number
}

/** What is solid, in few pieces: cells, and parts of tiles in half pixels. */
export interface Merged {
	rects: Rect[]
	parts: Rect[]
	segments: { a: Point; b: Point }[]
}

export interface Taken {
	picture: string
	width: number
	height: number
	number: number
	guesses: Guess[] | null
}
