// Made from the Go declarations by “go generate ./core/session”; change those.

export type ID = string
export type Facing = 'up' | 'right' | 'down' | 'left'
export type Code = 'refused' | 'nothing' | 'gap' | 'args' | 'method' | 'closed' | 'noSpawn'

/** Something of which parts are left out. */
export type Draft<T> = T extends (infer U)[] ? Draft<U>[] : T extends object ? { [K in keyof T]?: Draft<T[K]> } : T

export interface Point {
	x: number
	y: number
}

export interface Outcome {
	edit?: Mark
	change: Change
	dropped?: string[]
	text?: string
	made?: ID
	ids?: ID[]
	restored?: number
	kept?: number
	fetch?: number
	renamed?: string[][]
	canUndo: string
	canRedo: string
	pending: number
}

export interface Wearer {
	map: ID
	entity: ID
	kind: ID
}

export interface GuiseArgs {
	from: number
	to: number
	map: ID
	entity: ID
	kind: ID
}

export interface LanguageArgs {
	language: string
}

export interface Material {
	id: ID
	name: string
	order: number
	number: number
	is: string
	by: 'sides' | 'corners' | 'both'
	beyond: boolean
	turns: boolean
	composes: boolean
	tiles: Tile[] | null
}

export interface AreaOutcome {
	selected: Selected
	edit?: Mark
	change: Change
	dropped?: string[]
	text?: string
	made?: ID
	ids?: ID[]
	restored?: number
	kept?: number
	fetch?: number
	renamed?: string[][]
	canUndo: string
	canRedo: string
	pending: number
}

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

export interface Sound {
	id: ID
	name: string
	file: string
	form: string
	lasts: number
	from?: number
	to?: number
	loud?: number
	as?: Hearing[]
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
}

export interface Zone {
	id: ID
	name: string
	order: number
	number: number
	is: string
	hatch: string
	colour: string
	properties: Property[] | null
}

export interface Adopted {
	needs: number
	held: ID
	edit?: Mark
	change: Change
	dropped?: string[]
	text?: string
	made?: ID
	ids?: ID[]
	restored?: number
	kept?: number
	fetch?: number
	renamed?: string[][]
	canUndo: string
	canRedo: string
	pending: number
}

export interface TickArgs {
	tick: number
}

export interface Again {
	view: View
	before: Spot[]
}

export interface Answer {
	of: string
	now: string
	groups: Question[]
	links: Link[]
}

export interface View {
	map: ID
	place: string
	x: number
	y: number
	facing: Facing
	steps: number
	does: string
	low: boolean
	unhurt: number
	pose: string
	beat: number
	tick: number
	from: number
	to: number
	events: Event[]
	dark: number
	veil: string
	coming: boolean
	line: string
	answers: string[]
	chosen: number
	notice: string
	speaker: SpeakerView
	hearts: number
	most: number
	lives: number
	points: number
	mostPoints: number
	roam: boolean
	side: boolean
	slots?: SlotView[]
	hand: string
	language: string
	taken: number
	total: number
	cell: Point
	camera: Camera
	darkness: number
	night: number
	minute: number
	nightColour: string
	weather: string
	under: string
	music: string
	key: number
	counts: CountsView
	shown?: ShownCounter[]
	wave: number
	waves: number
	tolls?: TollView[]
	lights?: LightView[]
	seen: SightView
	goals: Point[]
	way: Point[]
	shows: string
	gone?: ID[]
	on?: ID[]
	strikes: number
	blowRests: number
	blowWaits: boolean
	moved: Moved[]
	named: Named[]
	renamed: boolean
	led: ID
	who: ID
	party: Companion[]
	made: MadeView[]
	blasts: BlastView[]
	rays: RayView[]
	shots: Point[]
	heard?: HeardView[]
	emitters?: EmitterView[]
	show: ShowView
	guises?: GuiseView[]
	lifted?: LayerAt[]
	looks?: DrawnLook[]
}

export interface MapArgs {
	map: ID
}

export interface Beginnings {
	here: string
	ways: BeginningWay[]
	taken: Takeable[]
}

export interface EntitiesArgs {
	map: ID
	ids: ID[]
	dx: number
	dy: number
}

export interface Trace {
	is: 'way' | 'ring' | 'shot' | 'tied'
	points: Point[]
	closed: boolean
	radius: number
	setting: string
}

export interface End {
	map: ID
	entity: ID
	side?: 'up' | 'right' | 'down' | 'left'
}

export interface Bundle {
	key: string
	label: string
	help: string
}

export interface GuiseChange {
	guise: Guise
	map: ID
	entity: ID
	kind: ID
}

export interface PlainKind {
	settings: PlainSetting[]
	own: boolean
	free: boolean
	makeable: boolean
	variants: PlainVariant[]
	id: ID
	name: string
	help: string
	category: string
	order: number
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
	moves: boolean
	taken: boolean
	veiled: boolean
	wires: boolean
	wired: boolean
	wakes: string
	leads: string
	met: boolean
	heroic: boolean
	counted: boolean
	opens: boolean
	state: string
	w: number
	h: number
	body: Rect
	anchorX: number
	anchorY: number
	look: number
	lookOn: number
	frames: number[][]
	frameMs: number
	poses?: KindPose[]
	guises?: Guise[]
	across?: number
	down?: number
	mapLeast: number
	mapMost: number
	projectLeast: number
	projectMost: number
	tags: string[] | null
	layers: string[] | null
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

export interface Wish {
	rule: ID
	part?: ID
	word?: string
	slot?: string
	parent?: ID
	move?: boolean
	before?: ID
	copy?: boolean
	off?: boolean
	name?: string
	blank?: string
	map?: ID
	entity?: ID
	flag?: ID
	sound?: ID
	layer?: ID
	counter?: ID
	kind?: ID
	tag?: string
	within?: boolean
	it?: boolean
	hero?: boolean
	who?: boolean
	text?: string
	newFlag?: boolean
	newCounter?: boolean
	remove?: boolean
	once?: boolean
}

export interface Changes {
	cells: number
	beyond: number
	tiles: number[] | null
	used: number[] | null
	emptied: number
	joined: number[][] | null
	joinedCells: number
	moved: number[] | null
	movedCells: number
}

export interface None {}

export interface Character {
	map: ID
	id: ID
	name: string
	on: string
	kind: ID
	look: number
	lines: number
	guises: number
}

export interface ChartInfo {
	places: Placed[]
	seams: Seam[]
	findings: Finding[]
	returning: ID[]
}

export interface ChartChange {
	places?: {
		from: number
		cut: number
		put: Placed[]
	}
	seams?: {
		from: number
		cut: number
		put: Seam[]
	}
	findings?: {
		from: number
		cut: number
		put: Finding[]
	}
	returning?: {
		from: number
		cut: number
		put: ID[]
	}
}

export interface PointArgs {
	map: ID
	active: ID
	at: Point
}

export interface Place {
	free: boolean
	reason: string
	nearest: Point | null
}

export interface CheckInfo {
	findings: CheckFinding[]
	sorts: SortInfo[]
	pars: ID[]
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
	shape: 'freehand' | 'line' | 'box' | 'rim' | 'oval' | 'fill' | 'empties'
	size?: number
	round?: boolean
	depth?: number
	oval?: boolean
	corners?: boolean
	shown?: boolean
	aligned?: boolean
	inside?: Grip
	replace?: boolean
	turn?: number
	scatter?: Scatter
}

export interface Choice {
	cell: number
	odds: number
}

export interface Completion {
	insert: string
	from: number
	label: string
	detail: string
}

export interface CopyArgs {
	map: ID
	entities: Entity[]
	dx: number
	dy: number
}

export interface Cut {
	cellWidth: number
	cellHeight: number
	margin: number
	spacing: number
	left?: number
	top?: number
}

export interface CutUp {
	columns: number
	rows: number
	right: number
	bottom: number
}

export interface Rect {
	x: number
	y: number
	w: number
	h: number
}

export interface FigureSheet {
	kind: ID
	tileset: ID
	from: number
	across: number
	down: number
	frames: number
	rows: string[] | null
	does: string[] | null
}

export interface Selected {
	map: ID
	count: number
	bounds: Rect
	spans: Span[]
}

export interface Detail {
	key: string
	name: string
	type: string
	choices: KindChoice[]
	unit: string
	help: string
	handle: '' | 'round' | 'ahead' | 'both' | 'up'
	value: string
	mixed: boolean
	differs: boolean
	zero: string
	group: string
	shared: number
}

export interface RuleTextArgs {
	rule: ID
	text: string
}

export interface FigureWish {
	hair: string
	coat: string
	tool: string
	skin: string
	hairColour: string
	coatColour: string
	legColour: string
	toolColour: string
	size: number
}

export interface DrawnFigure {
	width: number
	height: number
	pixels: string
}

export interface SceneryWish {
	what: string
	wide: number
	tall: number
	colour: string
	second: string
	size: number
	seed: number
}

export interface AreaArgs {
	map: ID
	layer: ID
}

export interface EntityChange {
	set: Entity[]
	gone: ID[]
}

export interface Swap {
	from: number
	to: number
}

export interface Expectation {
	id: ID
	is: string
	says: string
}

export interface ExpectationInfo {
	verdict: string
	why: string
	walks: boolean
	spoken: string
	id: ID
	is: string
	says: string
}

export interface FigureParts {
	hairs: string[]
	coats: string[]
	tools: string[]
	sizes: number[]
}

export interface NamedTile {
	cell: number
	name: string
}

export interface TableArgs {
	findings: CheckFinding[]
}

export interface Use {
	what: 'passage' | 'rule' | 'gate' | 'carrier' | 'setting'
	map?: ID
	id: ID
	text: string
}

export interface Follows {
	done: boolean
	why: string
	parts: Parting
}

export interface Pressed {
	would: unknown
}

export interface Foreseen {
	text: string
}

export interface GameInfo {
	title: string
	line: string
	credits: string
	behind: ID
	languages: string[]
	language: string
	words: Record<string, string>
	is: Record<string, string>
	courses: Course[]
	slots: number
	sides: boolean
	heroes: boolean
}

export interface OwnWord {
	key: string
	says: string
	differs: boolean
}

export interface Ground {
	oneWay: Facing
	is: string
	x: number
	y: number
	w: number
	h: number
}

export interface GuiseWay {
	rule: ID
	from: number
	to: number
	if: string[] | null
	does: boolean
}

export interface Head {
	project: Project
	tilesets: TilesetInfo[]
	maps: MapInfo[]
	passages: Passage[]
	rules: ToldRule[]
	flags: Flag[]
	counters: Counter[]
	sounds: Sound[]
	pins: PinInfo[]
	recordings: RecordingInfo[]
	parts: Part[]
	grounds: string[]
	propertyTypes: string[]
	settingTypes: string[]
	settingGroups: string[]
	poses: string[]
	mapProperties: PlainSetting[]
	materials: MaterialInfo[]
	materialWords: MaterialWord[]
	motifs: MotifInfo[]
	zones: Zone[]
	zoneWords: ZoneWord[]
	hatches: string[]
	plan: PlanLayer[]
	wires: Drawn[]
	kinds: PlainKind[]
	categories: string[]
	transitions: string[]
	sideWords: string[]
}

export interface HeadChange {
	project?: Project
	plan?: PlanLayer[]
	tilesets?: {
		set?: TilesetInfo[]
		gone?: ID[]
		order?: ID[]
	}
	maps?: {
		set?: MapInfo[]
		gone?: ID[]
		order?: ID[]
	}
	passages?: {
		set?: Passage[]
		gone?: ID[]
		order?: ID[]
	}
	rules?: {
		set?: ToldRule[]
		gone?: ID[]
		order?: ID[]
	}
	flags?: {
		set?: Flag[]
		gone?: ID[]
		order?: ID[]
	}
	counters?: {
		set?: Counter[]
		gone?: ID[]
		order?: ID[]
	}
	sounds?: {
		set?: Sound[]
		gone?: ID[]
		order?: ID[]
	}
	materials?: {
		set?: MaterialInfo[]
		gone?: ID[]
		order?: ID[]
	}
	motifs?: {
		set?: MotifInfo[]
		gone?: ID[]
		order?: ID[]
	}
	zones?: {
		set?: Zone[]
		gone?: ID[]
		order?: ID[]
	}
	kinds?: {
		set?: PlainKind[]
		gone?: ID[]
		order?: ID[]
	}
	pins?: {
		set?: PinInfo[]
		gone?: ID[]
		order?: ID[]
	}
	recordings?: {
		set?: RecordingInfo[]
		gone?: ID[]
		order?: ID[]
	}
	mapProperties?: PlainSetting[]
	wires?: Drawn[]
}

export interface Hearing {
	when: string
	kind?: ID
	map?: ID
}

export interface Step {
	mark: Mark
	seq: number
	text: string
	tool?: string
	revert: unknown[] | null
}

export interface Way {
	from: End
	to: ID
	at: Point
	facing: Facing
	arrival?: ID
	back: boolean
}

export interface Joined {
	passage: ID
	to: ID
	at: Point
	facing: Facing
	back: ID
}

export interface Kept {
	data: string
	map: string
	seconds: number
}

export interface WalkKeys {
	from: ID
	keys: number[]
}

export interface KindUses {
	uses: KindUse[]
	wrong: string[]
}

export interface Copied {
	piece: Motif
	from: Foreign
}

export interface Loaded {
	view: View
	gone: number
}

export interface BoundsArgs {
	map: ID
	bounds: Rect
}

export interface Loss {
	cells: number
	entities: number
	spans: Span[] | null
}

export interface Tile {
	cell: number
	form: number
	odds: number
	beside: number
}

export interface TileMark {
	solid?: boolean
	odds?: number
	partner?: number
	part?: string
	oneWay?: Facing
	is?: string
	zone?: ID
	tags?: string[]
	frames?: Frame[]
	tag?: string
	untag?: string
	value?: Value
	reset?: string
	own?: Point[][]
}

export interface FindingArgs {
	what: string
	map: ID
	id: ID
	why: string
	on: boolean
}

export interface Piece {
	w: number
	h: number
	cellWidth: number
	cellHeight: number
	cells: number[]
	entities: Entity[]
}

export interface Pose {
	x: number
	y: number
	facing: Facing
}

export interface OwnCheck {
	id: ID
	every: string
	where?: string
	has: string
	most?: boolean
	number: number
	within?: number
	as: string
}

export interface Pages {
	pages: string[][]
	over: boolean
	long: string
	broken: string
	columns: number
	rows: number
}

export interface ParInfo {
	done: boolean
	moves: number
	fewest: boolean
	why: string
	three: number
	two: number
}

export interface PickedUp {
	grip: Grip
	layer: ID
}

export interface Placing {
	map: ID
	at: Point
}

export interface DocumentPlacing {
	id: ID
	motif: ID
	map: ID
	x: number
	y: number
	turn: number
	layers: ID[] | null
	entities: ID[] | null
}

export interface Given {
	flags: ID[]
	taken: End[]
	language: string
}

export interface PressArgs {
	map: ID
	active: ID
	grip: Grip
	gesture: Gesture
	mirror: Mirror
	known?: number[]
	of?: number
	after?: number
}

export interface Ghost {
	layer: ID
	layerName: string
	bounds: Rect
	count: number
	removing: boolean
	number?: number
	same?: boolean
	more?: boolean
	covered?: boolean
	lost?: boolean
	cells?: number[]
	rects?: Rect[]
	entities?: Entity[]
	take?: ID[]
	drawn?: number[]
	refusal?: string
	shut?: ID
	hidden?: boolean
}

export interface SelectArgs {
	map: ID
	active: ID
	picking: Picking
}

export interface Proof {
	is: string
	steps: number
	moves: number
	fewest: boolean
	lucky: boolean
	why: string
	more: boolean
	wants: string
	map: ID
	entity: ID
}

export interface Pull {
	map: ID
	entity: ID
	is: 'size' | 'facing' | 'setting' | 'point' | 'between'
	dx: number
	dy: number
	index: number
	setting: string
	from: Point
	to: Point
	snap: number
}

export interface Pulled {
	entity: Entity
	name: string
	text: string
	traces: Trace[]
}

export interface ReachArgs {
	map: ID
	from: ID
}

export interface ReachInfo {
	box: Rect
	runs: number[]
	most: number
}

export interface Result {
	moves: number
	seconds: number
	tries: number
	taken: number
	total: number
	stars: number
	score: number
	ticks: number
}

export interface ReadText {
	faults: Fault[]
	marks: RulesMark[]
}

export interface Row {
	seq: number
	person: ID
	mark: Mark
	edit?: unknown
}

export interface Recut {
	picture: string
	width: number
	height: number
	cut: Cut
	match: number[] | null
}

export interface Mark {
	client: ID
	number: number
}

export interface Ref {
	type: string
	map?: ID
	rule?: ID
	id?: ID
}

export interface IdArgs {
	id: ID
}

export interface RulesChoice {
	label: string
	heading?: boolean
	also?: string
	points?: ID[]
	what?: string
	wish: Wish
}

export interface UsedWord {
	word: string
	rules: string[] | null
	things: number
	note: string
}

export interface SetArgs {
	ref: Ref
	field: string
	value: unknown
	text: string
}

export interface SettingArgs {
	key: string
	value: string | null
}

export interface PlainSetting {
	key: string
	name: string
	type: string
	default: string
	choices: string[]
	unit: string
	help: string
	least: number
	most: number
	handle: '' | 'round' | 'ahead' | 'both' | 'up'
	varies: boolean
	group: string
	idle: boolean
	given: boolean
}

export interface Property {
	name: string
	type: string
	default: string
	choices: string[] | null
}

export interface Gate {
	asks: 'flag' | 'item' | 'count'
	flag?: ID
	not?: boolean
	map?: ID
	entity?: ID
	kind?: ID
	count?: number
}

export interface Kit {
	tileset: Tileset
	hero: Hero
	looks: KindLook[] | null
	materials: Material[] | null
}

export interface Sketch {
	about: string
	kind?: string
	map?: ID
	w?: number
	h?: number
	step?: number
	parts?: SketchPart[]
}

export interface GripArgs {
	grip: Grip
}

export interface Solidity {
	tiles: number
	solid: number
}

export interface Merged {
	rects: Rect[] | null
	parts: Rect[] | null
	segments: Segment[] | null
}

export interface SoundWord {
	word: string
	name: string
	group: string
	ofKind: boolean
}

export interface SoundingArgs {
	when: string
	kind: ID
	on: ID
}

export interface Standing {
	free: boolean
	why: string
	reach: Span[]
}

export interface Beginning {
	id: ID
	name: string
	pin: boolean
}

export interface StudyInfo {
	from: ID
	done: boolean
	all: boolean
	tried: number
	missing: MissingInfo[]
	together?: boolean
	traps: TrapInfo[]
	jumps: JumpInfo[]
	walk: CourseMark[]
	seconds: number
	is: string
	steps: number
	moves: number
	fewest: boolean
	lucky: boolean
	why: string
	more: boolean
	wants: string
	map: ID
	entity: ID
}

export interface Wanted {
	words: string
	only: string
	most: number
}

export interface List {
	language: string
	languages: string[]
	texts: Told[]
	all: number
	found: number
	missing: number[]
	lacks: string[][]
	lost: Lost[]
}

export interface Trial {
	rows: string[]
	cellWidth: number
	cellHeight: number
	side: boolean
	entities: Entity[]
	view: View
	says: string
}

export interface Found {
	layer: string
	what: string
}

export interface WalkArgs {
	from: ID
	trap: number
	expectation: ID
}

export interface Warmth {
	left: number
}

export interface Return {
	exit: Rect
	at: Point
	facing: Facing
	stays: boolean
}

export interface WireChoice {
	word: string
	how: string
	label: string
	when: string
}

export interface GuideArea {
	zone: number
	rects: Rect[] | null
}

export interface Guess {
	cut: Cut
	why: string
	sure: boolean
	over: number
}

export interface Seam {
	a: ID
	b: ID
	side: Facing
	open: Stretch[]
	closed: boolean
	if: Gate[]
	why: string
}

export interface Taken {
	picture: string
	width: number
	height: number
	number: number
	guesses: Guess[] | null
}

export interface Change {
	head: boolean
	entities: ID[] | null
	chunks: LayerChunks[] | null
}

export interface TileInfo {
	tile: number
	odds: number
	partner: number
	part: string
	own: Point[][] | null
	oneWay: '' | 'up' | 'right' | 'down' | 'left'
	is: string
	zone: ID
	tags: string[] | null
	frames: Frame[] | null
	values: Value[] | null
}

export interface Spot {
	map: ID
	x: number
	y: number
}

export interface Question {
	title: string
	nothing: string
	lines: Reply[]
}

export interface Link {
	from: End
	to: End
}

export interface Event {
	tick: number
	is: string
	name: string
	kind?: ID
	map: ID
	x: number
	y: number
	rule?: ID
	part?: ID
	counted?: number
	why?: string
}

export interface SpeakerView {
	name: string
	kind: ID
	look: number
}

export interface SlotView {
	word: string
	name: string
	amount: number
	rests: number
	map: ID
	id: ID
	kind: ID
}

export interface Camera {
	x: number
	y: number
	w: number
	h: number
	whole: boolean
	ends: boolean
}

export interface CountsView {
	seconds: number
	moves: number
	secondsLeft: number
	movesLeft: number
}

export interface ShownCounter {
	id: ID
	name: string
	is: number
	where: string
}

export interface TollView {
	id: ID
	left: number
	all: number
	name?: string
}

export interface LightView {
	map: ID
	x: number
	y: number
	radius: number
	colour: string
	flicker: string
}

export interface SightView {
	now: Span[]
	known: Span[]
}

export interface Moved {
	map: ID
	id: ID
	x: number
	y: number
	facing: Facing
	steps: number
	pose?: string
	beat?: number
}

export interface Named {
	number: number
	map: ID
	id: ID
	layer?: ID
	kind?: ID
	w?: number
	h?: number
}

export interface Companion {
	name: string
	kind: ID
	map: ID
	x: number
	y: number
	facing: Facing
}

export interface MadeView {
	layer: ID
	kind: ID
	w: number
	h: number
	map: ID
	id: ID
	x: number
	y: number
	facing: Facing
	steps: number
	pose?: string
	beat?: number
}

export interface BlastView {
	radius: number
	left: number
	x: number
	y: number
}

export interface RayView {
	from: Point
	to: Point
}

export interface HeardView {
	plays: string
	own?: ID
	loud: number
	side: number
	by: string
}

export interface EmitterView {
	map: ID
	x: number
	y: number
	w: number
	h: number
	gives: string
	rate: number
	seed: number
}

export interface ShowView {
	held: boolean
	skips: boolean
	shake: boolean
	dark: number
	tint: string
	tintWas: string
	tinted: number
	caption: string
	zoom: number
	picture: SpeakerView
	sound: string
	plays: ID
	sounds: number
	thoughts: ThoughtView[]
	over: string
	ending: string
}

export interface GuiseView {
	map: ID
	id: ID
	number: number
}

export interface LayerAt {
	map: ID
	layer: ID
}

export interface DrawnLook {
	id: ID
	look: number
}

export interface BeginningWay {
	id: ID
	from: string
	to: string
}

export interface Takeable {
	of: End
	name: string
	on: string
}

export interface Guise {
	number: number
	name: string
	look?: number
	says?: string
}

export interface PlainVariant {
	name: string
	help: string
}

export interface KindPose {
	does: string
	frames: number[][]
	ms: number
}

export interface Setting {
	key: string
	name?: string
	type?: string
	default?: unknown
	choices?: KindChoice[]
	unit?: string
	help?: string
	least?: number
	most?: number
	handle?: '' | 'round' | 'ahead' | 'both' | 'up'
	varies?: boolean
}

export interface Placed {
	map: ID
	x: number
	y: number
	w: number
	h: number
}

export interface Finding {
	what: string
	map: ID
	entity?: ID
	passage?: ID
	text: string
	serious: boolean
	idle: boolean
}

export interface CheckFinding {
	what: string
	of: string
	map: ID
	id: ID
	at: Point | null
	text: string
	as: string
	mend: string
	silenced: string
	silent: boolean
}

export interface SortInfo {
	as: string
	what: string
	name: string
	usual: string
	group: string
}

export interface Scatter {
	odds?: number[]
	nothing?: number
	apart?: boolean
}

export interface Entity {
	id: ID
	layer: ID
	kind: string
	name: string
	x: number
	y: number
	w: number
	h: number
	facing: 'up' | 'right' | 'down' | 'left'
	look: number
	lookOn: number
	on: boolean
	absent?: boolean
	unseen?: boolean
	disabled?: boolean
	values?: KindValue[]
	order?: number
	rank?: number
	locked?: boolean
	hidden?: boolean
	group?: string
	turn?: number
	tint?: string
	faint?: number
	points?: Point[]
	carrier?: ID
	variants?: Variant[]
	memory?: string
	guises?: Guise[]
}

export interface Span {
	y: number
	x0: number
	x1: number
}

export interface KindChoice {
	key: string
	name: string
}

export interface Parting {
	tick: number
	map: ID
	x: number
	y: number
	was?: CourseMark
	is?: CourseMark
}

export interface Course {
	maps: CourseMap[]
}

export interface Project {
	name: string
	cellWidth: number
	cellHeight: number
	hero: Hero
	screen: Size
	presets: Preset[] | null
	plan: PlanLayer[] | null
	looks: KindLook[] | null
	pins?: ID[]
	mapValues?: KindValue[]
	mapProperties?: Setting[]
	language?: string
	languages?: string[]
	gameValues?: KindValue[]
	words?: WordChange[]
	checks?: CheckChoice[]
	silenced?: Silence[]
	expectations?: Expectation[]
	ownChecks?: OwnCheck[]
	kept?: DocumentKept[]
}

export interface TilesetInfo {
	columns: number
	rows: number
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
}

export interface MapInfo {
	layers: LayerInfo[]
	background: string
	id: ID
	name: string
	order: number
	bounds: Rect
	cellWidth: number
	cellHeight: number
	grid: '' | 'diamond'
	chart?: Point
	folder?: string
	tags?: string[]
	next?: boolean
	template?: boolean
	sides: string[]
	seams?: SeamRule[]
	values?: KindValue[]
}

export interface ToldRule {
	place: ID
	asks: boolean
	names: ID[]
	maps: ID[]
	kinds: ID[]
	sentence: Said[]
	after: string
	lines: Line[]
	id: ID
	order: number
	once: boolean
	off?: boolean
	name?: string
	note: string
	draft?: string
}

export interface Flag {
	id: ID
	name: string
}

export interface Counter {
	id: ID
	name: string
	start: number
	shown?: string
}

export interface PinInfo {
	id: ID
	name: string
	note: string
	at: PinPlace
	tick: number
}

export interface RecordingInfo {
	id: ID
	name: string
	note: string
	map: ID
	ticks: number
	row: number
}

export interface Part {
	name: string
	help: string
	area: Point[] | null
}

export interface MaterialInfo {
	covers: Cover[]
	sample: number
	id: ID
	name: string
	order: number
	number: number
	is: string
	by: 'sides' | 'corners' | 'both'
	beyond: boolean
	turns: boolean
	composes: boolean
	tiles: Tile[] | null
}

export interface MaterialWord {
	is: string
	by: 'sides' | 'corners' | 'both'
	help: string
}

export interface MotifInfo {
	id: ID
	name: string
	w: number
	h: number
}

export interface ZoneWord {
	is: string
	help: string
	hatch: string
	colour: string
}

export interface PlanLayer {
	name: string
	kind: 'tiles' | 'entities' | 'zones' | 'picture' | 'group'
	front: boolean
	hidden?: boolean
	locked?: boolean
	opacity?: number
	foot?: boolean
	tint?: string
	offsetX?: number
	offsetY?: number
	lagX?: number
	lagY?: number
}

export interface Drawn {
	rule: ID
	from: End
	to: End
	word: string
	how: string
	says: string
}

export interface KindUse {
	map: ID
	name: string
	count: number
	first: ID
}

export interface Motif {
	id: ID
	name: string
	order: number
	w: number
	h: number
	cellWidth: number
	cellHeight: number
	parts: MotifPart[] | null
	entities: Entity[] | null
	rules?: MotifRule[]
}

export interface Foreign {
	tilesets: Tileset[] | null
	materials: Material[] | null
	zones: Zone[] | null
}

export interface Frame {
	tile: number
	ms: number
}

export interface Value {
	name: string
	value: string
}

export interface Gesture {
	way: Point[] | null
	remove: boolean
	even?: boolean
	seed?: number
	at?: Point
	trace?: Point[]
}

export interface Mirror {
	mode: '' | 'left–right' | 'up–down' | 'both' | 'quarters'
	x: number
	y: number
}

export interface Picking {
	by: string
	through: boolean
	corners: boolean
	way: Point[] | null
	even: boolean
	mode: string
}

export interface Fault {
	line: number
	from: number
	to: number
	text: string
}

export interface RulesMark {
	line: number
	from: number
	to: number
	is: string
}

export interface Hero {
	frames: number[][]
	speed: number
}

export interface KindLook {
	kind: string
	look: number
	lookOn: number
}

export interface SketchPart {
	layer: ID
	cells: string
}

export interface Segment {
	a: Point
	b: Point
}

export interface MissingInfo {
	map: ID
	entity: ID
	text: string
	at: Point
	rule: ID
}

export interface TrapInfo {
	map: ID
	x: number
	y: number
	steps: number
	sure: boolean
	text: string
}

export interface JumpInfo {
	map: ID
	x: number
	y: number
	ticks: number
	tight: boolean
	text: string
}

export interface CourseMark {
	tick: number
	map: ID
	x: number
	y: number
	is?: string
	name?: string
}

export interface Told {
	text: string
	is: string
	where: string[]
	room: Room
	in: Spoken[]
	fixed: boolean
}

export interface Lost {
	id: ID
	language: string
	of: string
	says: string
}

export interface Stretch {
	from: number
	to: number
}

export interface LayerChunks {
	map: ID
	layer: ID
	at: number[]
}

export interface Reply {
	text: string
	rule: ID
	map: ID
	entity: ID
	asks: Need[]
}

export interface ThoughtView {
	x: number
	y: number
	text: string
}

export interface KindValue {
	key: string
	value: unknown
}

export interface Variant {
	look: number
	odds: number
}

export interface CourseMap {
	id: ID
	name: string
	stars: string
}

export interface Size {
	w: number
	h: number
}

export interface Preset {
	name: string
	w: number
	h: number
}

export interface WordChange {
	key: string
	says: string
}

export interface CheckChoice {
	what: string
	as: string
}

export interface Silence {
	what: string
	map?: ID
	id?: ID
	why: string
}

export interface DocumentKept {
	of: string
	at?: string[]
	name: string
	value: string
}

export interface LayerInfo {
	shown: boolean
	open: boolean
	id: ID
	name: string
	order: number
	kind: 'tiles' | 'entities' | 'zones' | 'picture' | 'group'
	hidden: boolean
	locked: boolean
	opacity: number
	front: boolean
	foot: boolean
	absent?: boolean
	covers?: boolean
	group: ID
	tint: string
	offsetX: number
	offsetY: number
	lagX: number
	lagY: number
	image: LayerImage | null
}

export interface SeamRule {
	with: ID
	closed?: boolean
	if?: Gate[]
}

export interface Said {
	text: string
	part?: ID
	blank?: string
	writes?: boolean
	written?: string
	number?: boolean
	line?: boolean
	read?: boolean
	missing?: boolean
}

export interface Line {
	deep: number
	lead: string
	part: ID
	parent: ID
	slot: string
	words: Said[]
	off: boolean
	adds: string
}

export interface PinPlace {
	map: ID
	x: number
	y: number
}

export interface Cover {
	form: number
	how: 'has' | 'turned' | 'composed' | 'lacks'
}

export interface MotifPart {
	layer: string
	kind: string
	cells: string
}

export interface MotifRule {
	name?: string
	note?: string
	once?: boolean
	off?: boolean
	parts: RulePart[] | null
}

export interface Room {
	pages: number
	over: boolean
	long: string
}

export interface Spoken {
	says: string
	unsure: boolean
	room: Room
}

export interface Need {
	text: string
	is: string
}

export interface RulePart {
	id: ID
	parent?: ID
	slot: string
	order: number
	word: string
	blanks?: KindValue[]
	off?: boolean
}

/** What the core can be asked, and what it answers. */
export interface Methods {
	about: { args: {
		at: Point
		tick: number
	}; answer: string }
	addCounter: { args: {
		name: string
	}; answer: Outcome }
	addFigure: { args: {
		number: number
		picture: string
		width: number
		height: number
		size: number
		as: string
		name: string
	}; answer: Outcome }
	addFlag: { args: {
		name: string
	}; answer: Outcome }
	addGuise: { args: Wearer; answer: Outcome }
	addGuiseWay: { args: GuiseArgs; answer: Outcome }
	addKind: { args: {
		from: ID
		name: string
	}; answer: Outcome }
	addLanguage: { args: LanguageArgs; answer: Outcome }
	addLayer: { args: {
		map: ID
		kind: string
		above: ID
	}; answer: Outcome }
	addMaterial: { args: Draft<Material>; answer: Outcome }
	addMotif: { args: {
		name: string
		map: ID
		layer: ID
	}; answer: AreaOutcome }
	addPictureLayer: { args: {
		map: ID
		name: string
		image: LayerImage
		above: ID
	}; answer: Outcome }
	addPin: { args: {
		name: string
		note: string
		tick: number
	}; answer: Outcome }
	addRecording: { args: {
		name: string
	}; answer: Outcome }
	addScenery: { args: {
		number: number
		picture: string
		width: number
		height: number
		size: number
		what: string
		name: string
	}; answer: Outcome }
	addSound: { args: Draft<Sound>; answer: Outcome }
	addTileset: { args: Draft<Tileset>; answer: Outcome }
	addVariant: { args: {
		from: ID
		name: string
	}; answer: Outcome }
	addZone: { args: Draft<Zone>; answer: Outcome }
	adopt: { args: {
		edits: unknown[] | null
	}; answer: Outcome }
	adoptPiece: { args: {
		copied: unknown
		numbers: number[] | null
	}; answer: Adopted }
	again: { args: TickArgs; answer: Again }
	alike: { args: {
		by: string
		map: ID
		ids: ID[]
		dx: number
		dy: number
	}; answer: ID[] }
	arrange: { args: {
		map: ID
		ids: ID[] | null
		do: string
	}; answer: Outcome }
	ask: { args: {
		type: string
		map: ID
		id: ID
		tick: number
	}; answer: Answer }
	back: { args: TickArgs; answer: View }
	beginnings: { args: MapArgs; answer: Beginnings }
	behaviour: { args: EntitiesArgs; answer: Trace[] }
	bundles: { args: Draft<End>; answer: Bundle[] }
	changeGuise: { args: GuiseChange; answer: Outcome }
	changeKind: { args: PlainKind; answer: Outcome }
	changePassage: { args: Draft<Passage>; answer: Outcome }
	changeRule: { args: Wish; answer: Outcome }
	changesBy: { args: {
		id: ID
		match: number[] | null
	}; answer: Changes }
	characters: { args: None; answer: Character[] }
	chart: { args: None; answer: ChartInfo }
	chartChange: { args: None; answer: ChartChange }
	checkPlace: { args: PointArgs; answer: Place }
	checks: { args: None; answer: CheckInfo }
	choices: { args: {
		grip: Grip
	}; answer: Choice[] }
	clear: { args: {
		map: ID
		layer: ID
	}; answer: Outcome }
	completions: { args: {
		text: string
		line: number
		at: number
	}; answer: Completion[] }
	composed: { args: {
		from: number
	}; answer: number[][] }
	copyEntities: { args: CopyArgs; answer: Outcome }
	copyMap: { args: {
		map: ID
		name: string
		passages: boolean
		w: number
		h: number
	}; answer: Outcome }
	crop: { args: MapArgs; answer: Outcome }
	cut: { args: {
		cut: Cut
		width: number
		height: number
	}; answer: CutUp }
	cutDragged: { args: {
		tile: Rect
		width: number
		height: number
	}; answer: Cut }
	cutFigures: { args: FigureSheet; answer: Outcome }
	deselect: { args: None; answer: Selected }
	details: { args: EntitiesArgs; answer: Detail[] }
	doNow: { args: {
		rule: ID
		part: ID
	}; answer: View }
	draftRule: { args: RuleTextArgs; answer: Outcome }
	drawFigure: { args: FigureWish; answer: DrawnFigure }
	drawScenery: { args: SceneryWish; answer: DrawnFigure }
	dropLanguage: { args: LanguageArgs; answer: Outcome }
	dropWordings: { args: {}; answer: Outcome }
	duplicateLayer: { args: {
		map: ID
		id: ID
	}; answer: Outcome }
	emptyArea: { args: AreaArgs; answer: AreaOutcome }
	entityChange: { args: MapArgs; answer: EntityChange }
	exchange: { args: {
		map: ID
		in: string
		swaps: Swap[] | null
		from: ID
		to: ID
		laid: boolean
	}; answer: Outcome }
	expect: { args: Draft<Expectation>; answer: Outcome }
	expectations: { args: {
		ticks: number
	}; answer: ExpectationInfo[] }
	figureParts: { args: None; answer: FigureParts }
	findTiles: { args: {
		words: string[] | null
	}; answer: NamedTile[] }
	findingsTable: { args: TableArgs; answer: string }
	flagUses: { args: None; answer: Record<string, Use[]> }
	follow: { args: {
		id: ID
		ticks: number
	}; answer: Follows }
	foresee: { args: Pressed; answer: Foreseen }
	gameDetails: { args: None; answer: Detail[] }
	gameInfo: { args: {
		language: string
	}; answer: GameInfo }
	gameWords: { args: None; answer: OwnWord[] }
	goOn: { args: TickArgs; answer: View }
	grounds: { args: MapArgs; answer: Ground[] }
	group: { args: {
		map: ID
		ids: ID[] | null
		do: string
	}; answer: Outcome }
	groupLayer: { args: {
		map: ID
		id: ID
	}; answer: Outcome }
	grouped: { args: EntitiesArgs; answer: ID[] }
	guiseWays: { args: Wearer; answer: GuiseWay[] }
	head: { args: None; answer: Head }
	headChange: { args: None; answer: HeadChange }
	hearSound: { args: {
		id: ID
		as: Hearing
		on: boolean
	}; answer: Outcome }
	history: { args: {
		undo: Step[] | null
		redo: Step[] | null
	}; answer: Outcome }
	holdText: { args: {
		rule: ID
	}; answer: boolean }
	join: { args: Way; answer: Outcome }
	joined: { args: Draft<End>; answer: Joined }
	keepGame: { args: None; answer: Kept }
	keepSelected: { args: AreaArgs; answer: ID }
	keepWalk: { args: WalkKeys; answer: Outcome }
	kindUses: { args: ID; answer: KindUses }
	liftArea: { args: AreaArgs; answer: Copied }
	linePulled: { args: {
		at: number
		cell: number
	}; answer: number }
	loadGame: { args: {
		data: string
	}; answer: Loaded }
	look: { args: None; answer: View }
	lossOf: { args: BoundsArgs; answer: Loss }
	makeBundle: { args: {
		map: ID
		entity: ID
		key: string
	}; answer: Outcome }
	makeSolid: { args: {
		grip: Grip
		solid: boolean
	}; answer: Outcome }
	mapDetails: { args: MapArgs; answer: Detail[] }
	mapUses: { args: MapArgs; answer: Use[] }
	markMaterial: { args: {
		id: ID
		tiles: Tile[] | null
		by: string
	}; answer: Outcome }
	markSolid: { args: {
		id: ID
		tiles: number[] | null
		solid: boolean
	}; answer: Outcome }
	markTiles: { args: {
		id: ID
		tiles: number[] | null
		mark: TileMark
	}; answer: Outcome }
	matters: { args: {
		what: string
		as: string
	}; answer: Outcome }
	mend: { args: FindingArgs; answer: Outcome }
	mergeDown: { args: {
		map: ID
		id: ID
	}; answer: Outcome }
	motifOf: { args: {
		id: ID
	}; answer: Piece }
	motion: { args: {
		map: ID
		id: ID
	}; answer: Pose[] }
	moveArea: { args: {
		dx: number
		dy: number
		map: ID
		layer: ID
	}; answer: AreaOutcome }
	moveEntities: { args: EntitiesArgs; answer: Outcome }
	moveLayer: { args: {
		map: ID
		id: ID
		to: number
	}; answer: Outcome }
	moveSheet: { args: {
		map: ID
		id: ID
		lag: number
	}; answer: Outcome }
	newMap: { args: {
		name: string
		w: number
		h: number
		seen?: string
	}; answer: Outcome }
	oddLayers: { args: MapArgs; answer: ID[] }
	offerStart: { args: MapArgs; answer: Outcome }
	ownCheck: { args: Draft<OwnCheck>; answer: Outcome }
	pages: { args: string; answer: Pages }
	par: { args: {
		map: ID
		ticks: number
	}; answer: ParInfo }
	partText: { args: {
		rule: ID
		part: ID
	}; answer: string }
	pasteParts: { args: {
		rule: ID
		behind: ID
		text: string
	}; answer: Outcome }
	pending: { args: None; answer: unknown[] }
	pickUp: { args: PointArgs; answer: PickedUp }
	pinKind: { args: {
		id: ID
		pinned: boolean
	}; answer: Outcome }
	placeMaps: { args: {
		maps: Placing[] | null
		within: number
	}; answer: Outcome }
	placings: { args: {
		id: ID
	}; answer: DocumentPlacing[] }
	planOf: { args: MapArgs; answer: Outcome }
	play: { args: {
		given: Given
		seed: number
		map: ID
	}; answer: View }
	playAt: { args: {
		given: Given
		seed: number
		map: ID
		active: ID
		at: Point
	}; answer: View }
	playThrough: { args: {
		passage: ID
		given: Given
		seed: number
	}; answer: View }
	press: { args: PressArgs; answer: Outcome }
	pressed: { args: PressArgs; answer: Pressed }
	preview: { args: PressArgs; answer: Ghost }
	previewSelect: { args: SelectArgs; answer: Selected }
	prove: { args: {
		ticks: number
	}; answer: Proof }
	pulling: { args: Pull; answer: Pulled }
	reach: { args: ReachArgs; answer: ReachInfo }
	reached: { args: {
		tries: number
	}; answer: Result }
	read: { args: {
		language: string
	}; answer: View }
	readAhead: { args: None; answer: number }
	readText: { args: {
		text: string
	}; answer: ReadText }
	receive: { args: {
		rows: Row[] | null
	}; answer: Outcome }
	recut: { args: {
		id: ID
		recut: Recut
	}; answer: Outcome }
	redo: { args: None; answer: Outcome }
	refuse: { args: Mark; answer: Outcome }
	remove: { args: {
		ref: Ref
		text: string
	}; answer: Outcome }
	removeEntities: { args: EntitiesArgs; answer: Outcome }
	removeGuise: { args: GuiseArgs; answer: Outcome }
	removeKind: { args: ID; answer: Outcome }
	removeLayer: { args: {
		map: ID
		id: ID
	}; answer: Outcome }
	removeMap: { args: MapArgs; answer: Outcome }
	renameGroup: { args: {
		map: ID
		from: string
		to: string
	}; answer: Outcome }
	renameWord: { args: {
		what: string
		from: string
		to: string
	}; answer: Outcome }
	reorderMap: { args: {
		map: ID
		to: number
	}; answer: Outcome }
	replaceMotif: { args: {
		id: ID
		update: boolean
		map: ID
		layer: ID
	}; answer: AreaOutcome }
	resize: { args: BoundsArgs; answer: Outcome }
	resizeEntity: { args: {
		map: ID
		ids: ID[] | null
		do: Rect
	}; answer: Outcome }
	resume: { args: IdArgs; answer: View }
	rewriteRule: { args: RuleTextArgs; answer: Outcome }
	rewriteText: { args: {
		of: string
		to: string
	}; answer: Outcome }
	roam: { args: {
		on: boolean
	}; answer: View }
	ruleChoices: { args: {
		rule: ID
		part: ID
		blank: string
	}; answer: RulesChoice[] }
	ruleText: { args: {
		rule: ID
	}; answer: string }
	ruleWords: { args: {
		what: string
	}; answer: UsedWord[] }
	seen: { args: {
		picture: string
		png: string
	}; answer: None }
	select: { args: SelectArgs; answer: Selected }
	selectAll: { args: {
		map: ID
		invert: boolean
	}; answer: Selected }
	selection: { args: None; answer: Selected }
	set: { args: SetArgs; answer: Outcome }
	setBeside: { args: {
		id: ID
		beside: number
	}; answer: Outcome }
	setCellSize: { args: {
		map: ID
		w: number
		h: number
	}; answer: Outcome }
	setField: { args: {
		map: ID
		ids: ID[] | null
		do: {
			field: string
			value: unknown
		}
	}; answer: Outcome }
	setGame: { args: SettingArgs; answer: Outcome }
	setGameWord: { args: {
		key: string
		says: string
	}; answer: Outcome }
	setGrid: { args: {
		map: ID
		grid: string
	}; answer: Outcome }
	setMapProperties: { args: PlainSetting[]; answer: Outcome }
	setMapSetting: { args: {
		map: ID
		key: string
		value: string | null
	}; answer: Outcome }
	setPartners: { args: {
		id: ID
		pairs: number[][] | null
	}; answer: Outcome }
	setPoints: { args: {
		map: ID
		ids: ID[] | null
		do: Point[] | null
	}; answer: Outcome }
	setProperties: { args: {
		id: ID
		properties: Property[] | null
	}; answer: Outcome }
	setSeam: { args: {
		a: ID
		b: ID
		closed: boolean
		if: Gate[] | null
	}; answer: Outcome }
	setSetting: { args: {
		map: ID
		ids: ID[] | null
		do: SettingArgs
	}; answer: Outcome }
	setSide: { args: {
		map: ID
		side: Facing
		is: string
	}; answer: Outcome }
	setStarter: { args: Kit; answer: Outcome }
	setZoneProperties: { args: {
		id: ID
		properties: Property[] | null
	}; answer: Outcome }
	shift: { args: {
		map: ID
		dx: number
		dy: number
		wrap: boolean
	}; answer: Outcome }
	showCounter: { args: {
		id: ID
		where: string
	}; answer: Outcome }
	showWalk: { args: WalkKeys; answer: View }
	sidePulled: { args: {
		map: ID
		side: Facing
		to: Point
	}; answer: Rect }
	silence: { args: FindingArgs; answer: Outcome }
	sketch: { args: Sketch; answer: Piece }
	snapMove: { args: {
		map: ID
		by: Point
		snap: number
	}; answer: Point }
	snapped: { args: {
		within: number
		map: ID
		at: Point
	}; answer: Point }
	solidity: { args: GripArgs; answer: Solidity }
	solids: { args: MapArgs; answer: Merged }
	soundWords: { args: None; answer: SoundWord[] }
	sounding: { args: SoundingArgs; answer: ID[] }
	stand: { args: {
		map: ID
		at: Point
		kind: ID
	}; answer: Standing }
	startRule: { args: Draft<End>; answer: Outcome }
	step: { args: {
		input: number
		ticks: number
	}; answer: View }
	stop: { args: None; answer: None }
	stopTrying: { args: None; answer: None }
	studiedFrom: { args: None; answer: Beginning[] }
	study: { args: {
		from: ID
		ticks: number
	}; answer: StudyInfo }
	supply: { args: {
		seq: number
		revert: unknown[] | null
	}; answer: None }
	takePO: { args: {
		text: string
	}; answer: Outcome }
	takePar: { args: {
		map: ID
		moves: number
	}; answer: Outcome }
	takeWording: { args: {
		id: ID
		to: string
	}; answer: Outcome }
	target: { args: {
		map: ID
		active: ID
		grip: Grip
	}; answer: ID }
	textIndent: { args: {
		text: string
	}; answer: number }
	textRule: { args: {
		text: string
	}; answer: Outcome }
	texts: { args: Wanted; answer: List }
	textsAsPO: { args: LanguageArgs; answer: string }
	thinPiles: { args: MapArgs; answer: Outcome }
	tileName: { args: {
		cell: number
	}; answer: string }
	toFront: { args: {
		map: ID
		ids: ID[] | null
		do: boolean
	}; answer: Outcome }
	tryKind: { args: {
		kind: ID
		seen: string
		again: boolean
		key: string
		text: string
	}; answer: Trial }
	tryStep: { args: {
		input: number
		ticks: number
	}; answer: View }
	turnArea: { args: {
		turn: number
		map: ID
		layer: ID
	}; answer: AreaOutcome }
	turnBackHere: { args: MapArgs; answer: Outcome }
	turnEntities: { args: {
		map: ID
		ids: ID[] | null
		do: number
	}; answer: Outcome }
	under: { args: PointArgs; answer: Found[] }
	undo: { args: None; answer: Outcome }
	undoOf: { args: Mark; answer: Outcome }
	unseen: { args: None; answer: string[] }
	unwire: { args: {
		rule: ID
		from: End
		to: End
	}; answer: Outcome }
	uses: { args: EntitiesArgs; answer: Use[] }
	walk: { args: WalkArgs; answer: WalkKeys }
	walkTo: { args: {
		at: Point
	}; answer: View }
	warm: { args: None; answer: Warmth }
	warning: { args: MapArgs; answer: string }
	watch: { args: IdArgs; answer: View }
	wayBack: { args: Way; answer: Return }
	wire: { args: {
		from: End
		to: End
		word: string
		how: string
	}; answer: Outcome }
	wireChoices: { args: {
		from: End
		to: End
	}; answer: WireChoice[] }
	wordText: { args: {
		language: string
		of: string
		says: string
	}; answer: Outcome }
	writtenIn: { args: LanguageArgs; answer: Outcome }
	zoneAreas: { args: MapArgs; answer: GuideArea[] }
}
