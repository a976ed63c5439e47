package document

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/kind"
	"slices"
	"strings"
)

// Project is what holds for the whole game.
type Project struct {
	Name string `json:"name"`
	// CellWidth and CellHeight are the cell size, in pixels, that new maps start with.
	CellWidth  int  `json:"cellWidth"`
	CellHeight int  `json:"cellHeight"`
	Hero       Hero `json:"hero"`
	// Screen is what the player sees at once, in cells; nought is not set.
	Screen Size `json:"screen"`
	// Presets are sizes of maps that are offered besides multiples of the screen.
	Presets []Preset `json:"presets"`
	// Plan is the layers that a new map starts with, from the bottom; empty is LayerPlan.
	Plan []PlanLayer `json:"plan"`
	// Looks are the tiles that entities of a kind are drawn as unless they have their own.
	Looks []KindLook `json:"looks"`
	// Pins are the kinds that are offered first.
	Pins []ID `json:"pins,omitempty"`
	// MapValues are the settings of maps that differ from the built-in defaults;
	// MapProperties are settings of the designer's own.
	MapValues     []kind.Value   `json:"mapValues,omitempty"`
	MapProperties []kind.Setting `json:"mapProperties,omitempty"`
	// Language is what the texts are written in, empty for OwnLanguage; Languages are those that they are said in besides.
	Language  string   `json:"language,omitempty"`
	Languages []string `json:"languages,omitempty"`
	// GameValues are the settings of the game as a whole that differ from the defaults, Words what the game itself says
	// otherwise.
	GameValues []kind.Value `json:"gameValues,omitempty"`
	Words      []WordChange `json:"words,omitempty"`
	// Checks are how much findings matter, Silenced those that are not told, Expectations what is expected of the game.
	Checks       []CheckChoice `json:"checks,omitempty"`
	Silenced     []Silence     `json:"silenced,omitempty"`
	Expectations []Expectation `json:"expectations,omitempty"`
	// OwnChecks are those of the designer's own.
	OwnChecks []OwnCheck `json:"ownChecks,omitempty"`
	// Kept are fields of its files that nothing here knows.
	Kept []Kept `json:"kept,omitempty" jsonschema:"-"`
}

// Size is a width and a height in cells.
type Size struct {
	W int `json:"w"`
	H int `json:"h"`
}

// Preset is a size of maps with a name.
type Preset struct {
	Name string `json:"name"`
	Size
}

// PlanLayer is a layer that a new map starts with.
type PlanLayer struct {
	Name  string `json:"name"`
	Kind  string `json:"kind"`
	Front bool   `json:"front"`
	// What follows is as of a layer; Opacity 0 is 100.
	Hidden  bool   `json:"hidden,omitempty"`
	Locked  bool   `json:"locked,omitempty"`
	Opacity int    `json:"opacity,omitempty"`
	Foot    bool   `json:"foot,omitempty"`
	Tint    string `json:"tint,omitempty"`
	OffsetX int    `json:"offsetX,omitempty"`
	OffsetY int    `json:"offsetY,omitempty"`
	LagX    int    `json:"lagX,omitempty"`
	LagY    int    `json:"lagY,omitempty"`
}

// Layer is the layer that the plan gives a new map, without an id.
func (p PlanLayer) Layer() Layer {
	l := Layer{Name: p.Name, Kind: p.Kind, Front: p.Front, Hidden: p.Hidden, Locked: p.Locked, Opacity: p.Opacity, Foot: p.Foot, Tint: p.Tint,
		OffsetX: p.OffsetX, OffsetY: p.OffsetY, LagX: p.LagX, LagY: p.LagY}
	if l.Opacity == 0 {
		l.Opacity = 100
	}
	return l
}

// Planned is what a plan remembers of a layer.
func (l *Layer) Planned() PlanLayer {
	p := PlanLayer{Name: l.Name, Kind: l.Kind, Front: l.Front, Hidden: l.Hidden, Locked: l.Locked, Opacity: l.Opacity, Foot: l.Foot, Tint: l.Tint,
		OffsetX: l.OffsetX, OffsetY: l.OffsetY, LagX: l.LagX, LagY: l.LagY}
	if p.Opacity == 100 {
		p.Opacity = 0
	}
	return p
}

// LayerPlan is the plan of a project that has none of its own.
var LayerPlan = []PlanLayer{
	{Name: "Ground", Kind: LayerTiles},
	{Name: "Things", Kind: LayerTiles},
	{Name: "Entities", Kind: LayerEntities},
	{Name: "Overhead", Kind: LayerTiles, Front: true},
}

// LayerPlan is the layers that a new map starts with, from the bottom.
func (p *Project) LayerPlan() []PlanLayer {
	if len(p.Plan) > 0 {
		return p.Plan
	}
	return LayerPlan
}

// KindLook is the tile of a kind, and the tile while it is on or open.
type KindLook struct {
	Kind   string     `json:"kind"`
	Look   cells.Cell `json:"look"`
	LookOn cells.Cell `json:"lookOn"`
}

// Hero is how the hero looks and walks.
type Hero struct {
	// Frames are the pictures by facing, in the order up, right, down, left.
	// Where a facing has none the hero is drawn as a figure.
	Frames [4][]cells.Cell `json:"frames"`
	// Speed, in cells a second, is what former versions walked with; what counts is HeroValue.
	Speed int `json:"speed"`
}

// Tileset is a picture cut into tiles, numbered by row from its top left.
type Tileset struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Order int    `json:"order"`
	// Number is what cells call the tileset by: 1 to 4095, given by the server.
	Number int `json:"number"`
	// Picture is the SHA-256 of the stored PNG, in hexadecimal; Width and Height its size in pixels.
	Picture string `json:"picture"`
	Width   int    `json:"width"`
	Height  int    `json:"height"`
	Cut     Cut    `json:"cut"`
	// Solid lists the tiles that stop the hero all over, ascending.
	Solid []int `json:"solid"`
	// Infos is what else is set up for single tiles, by tile, ascending.
	Infos []TileInfo `json:"infos"`
	// Properties are what tiles have of the designer's own.
	Properties []Property `json:"properties"`
}

// Cut says how a picture is cut into tiles, in pixels.
type Cut struct {
	CellWidth  int `json:"cellWidth"`
	CellHeight int `json:"cellHeight"`
	// Margin is left out at all four sides, Spacing between cells.
	Margin  int `json:"margin"`
	Spacing int `json:"spacing"`
	// Left and Top are left out besides, at these two sides alone.
	Left int `json:"left,omitempty"`
	Top  int `json:"top,omitempty"`
}

// Map is one place of the game. Its cells are stored in a fixed frame; Bounds
// says which of them belong to the map now, so that resizing moves no data.
type Map struct {
	ID         ID        `json:"id"`
	Name       string    `json:"name"`
	Order      int       `json:"order"`
	Bounds     grid.Rect `json:"bounds"`
	CellWidth  int       `json:"cellWidth"`
	CellHeight int       `json:"cellHeight"`
	// Grid is how cells are drawn: GridSquare or GridDiamond. Whatever it is, cells,
	// entities and the hero live on the square ground plane.
	Grid string `json:"grid"`
	// Chart is where its top left lies on the chart, in pixels; nil is not placed yet.
	Chart *grid.Point `json:"chart,omitempty"`
	// Folder and Tags are for people to find it by.
	Folder string   `json:"folder,omitempty"`
	Tags   []string `json:"tags,omitempty"`
	// Next says that finishing the map starts the one after it.
	Next bool `json:"next,omitempty"`
	// Template maps are no places of the game: new maps are made from them.
	Template bool `json:"template,omitempty"`
	// Sides is what its edges are, in the order up, right, down, left; empty is a wall.
	Sides [4]string `json:"sides"`
	// Seams is what was decided about seams, on that map of two with the smaller id.
	Seams []SeamRule `json:"seams,omitempty"`
	// Values are the settings that differ from the project's.
	Values []kind.Value `json:"values,omitempty"`

	Layers   Table[Layer]  `json:"-"`
	Entities Table[Entity] `json:"-"`
}

// The grids: a diamond is as wide as CellWidth and as high as CellHeight.
const (
	GridSquare  = ""
	GridDiamond = "diamond"
)

// Layer kinds.
const (
	LayerTiles    = "tiles"
	LayerEntities = "entities"
	LayerZones    = "zones"
	LayerPicture  = "picture" // one picture or gradient
	LayerGroup    = "group"   // holds other layers
)

// Layer is one sheet of a map. Layers are drawn by ascending Order, then id.
type Layer struct {
	ID     ID     `json:"id"`
	Name   string `json:"name"`
	Order  int    `json:"order"`
	Kind   string `json:"kind"`
	Hidden bool   `json:"hidden"`
	Locked bool   `json:"locked"`
	// Opacity is in percent.
	Opacity int `json:"opacity"`
	// Front layers are drawn before the hero; their tiles stop nobody.
	Front bool `json:"front"`
	// Foot sorts the rows of a layer of tiles among entities by their lower edges.
	Foot bool `json:"foot"`
	// Absent layers are not there in a game until a rule lays them.
	Absent bool `json:"absent,omitempty"`
	// Covers has tiles and zones below count for nothing where the layer has a tile.
	Covers bool `json:"covers,omitempty"`
	// Group is the group that the layer belongs to; empty for none.
	Group ID `json:"group"`
	// Tint is multiplied with what is drawn; empty changes nothing.
	Tint string `json:"tint"`
	// OffsetX and OffsetY displace what is drawn, in map pixels.
	OffsetX int `json:"offsetX"`
	OffsetY int `json:"offsetY"`
	// LagX and LagY say, in percent, how much of the camera's way the layer goes
	// along: 0 stands with the map, 100 with the screen, below 0 is nearer.
	LagX int `json:"lagX"`
	LagY int `json:"lagY"`
	// Image is what a layer of a picture shows.
	Image *LayerImage `json:"image"`

	Cells cells.Plane `json:"-"`
}

// LayerImage is a picture, or a gradient of two colours where Picture is empty.
type LayerImage struct {
	// Picture is the SHA-256 of the stored PNG; Width and Height its size in pixels.
	Picture string `json:"picture"`
	Width   int    `json:"width"`
	Height  int    `json:"height"`
	// From and To are the gradient's colours, from the top, or with Across from the left.
	From   string `json:"from"`
	To     string `json:"to"`
	Across bool   `json:"across"`
	// X and Y are its top left in map pixels, Scale its size in percent.
	X     int `json:"x"`
	Y     int `json:"y"`
	Scale int `json:"scale"`
	// RepeatX and RepeatY tile it; Stretch lays it over all of the map.
	RepeatX bool `json:"repeatX"`
	RepeatY bool `json:"repeatY"`
	Stretch bool `json:"stretch"`
	// DriftX and DriftY move it by itself, in pixels a second.
	DriftX int `json:"driftX"`
	DriftY int `json:"driftY"`
}

// Painted reports whether the layer holds cells.
func (l *Layer) Painted() bool { return l.Kind == LayerTiles || l.Kind == LayerZones }

// Entity is a thing that stands on a map.
type Entity struct {
	ID    ID     `json:"id"`
	Layer ID     `json:"layer"`
	Kind  string `json:"kind"`
	Name  string `json:"name"`
	// X and Y are the top-left corner of its box, W and H the box, in map pixels.
	X int `json:"x"`
	Y int `json:"y"`
	W int `json:"w"`
	H int `json:"h"`
	// Facing matters for spawns and arrivals.
	Facing Facing `json:"facing"`
	// Look is the tile that it is drawn as, LookOn while it is on or open; 0 draws its glyph.
	Look   cells.Cell `json:"look"`
	LookOn cells.Cell `json:"lookOn"`
	// On is its state when the game starts: a switch is on, a door open.
	On bool `json:"on"`
	// Absent entities are not there when the game starts, until a rule brings
	// them; Unseen ones are there without being shown; Disabled ones stand there and do nothing.
	Absent   bool `json:"absent,omitempty"`
	Unseen   bool `json:"unseen,omitempty"`
	Disabled bool `json:"disabled,omitempty"`
	// Values are the settings that differ from the kind's.
	Values []kind.Value `json:"values,omitempty"`
	// Order decides which of two on the same layer lies above; the higher does.
	Order int `json:"order,omitempty"`
	// Rank decides which of two acts first: the lower, and of equal ones the smaller id.
	// Copies have ranks in the order of what they were made from.
	Rank int `json:"rank,omitempty"`
	// Locked and Hidden are for the designer only: not to be touched, not to be seen.
	Locked bool `json:"locked,omitempty"`
	Hidden bool `json:"hidden,omitempty"`
	// Group is the name of the group that it is selected and moved with.
	Group string `json:"group,omitempty"`
	// Turn, Tint and Faint change its picture; Faint is in percent, 100 is not to be seen.
	Turn  grid.Turn `json:"turn,omitempty"`
	Tint  string    `json:"tint,omitempty"`
	Faint int       `json:"faint,omitempty"`
	// Points are where a path leads, in map pixels from its own middle.
	Points []grid.Point `json:"points,omitempty"`
	// Carrier is the entity of the same map that it travels along with.
	Carrier ID `json:"carrier,omitempty"`
	// Variants are other pictures, one of which is drawn when a game starts.
	Variants []Variant `json:"variants,omitempty"`
	// Memory is how long what becomes of it in a game stays so: one of Memories.
	Memory string `json:"memory,omitempty"`
	// Guises are the other ways in which it can be.
	Guises []Guise `json:"guises,omitempty"`
}

// Variant is a picture that is drawn by odds; Look 0 is not being there at all.
type Variant struct {
	Look cells.Cell `json:"look"`
	Odds int        `json:"odds"`
}

// MaxPoints and MaxVariants limit what an entity has.
const (
	MaxPoints   = 1_000
	MaxVariants = 32
)

// Own reports whether a setting differs from the kind's.
func (e *Entity) Own(key string) bool {
	return slices.ContainsFunc(e.Values, func(v kind.Value) bool { return v.Key == key })
}

// Box is the cells that the entity's box touches.
func (e *Entity) Box(m *Map) grid.Rect {
	x, y := grid.FloorDiv(e.X, m.CellWidth), grid.FloorDiv(e.Y, m.CellHeight)
	return grid.Rect{X: x, Y: y,
		W: grid.FloorDiv(e.X+e.W-1, m.CellWidth) - x + 1,
		H: grid.FloorDiv(e.Y+e.H-1, m.CellHeight) - y + 1}
}

// Standing lists the entities whose box lies over a cell, by id.
func (m *Map) Standing(p grid.Point) (out []*Entity) {
	left, top := p.X*m.CellWidth, p.Y*m.CellHeight
	right, bottom := left+m.CellWidth, top+m.CellHeight
	// in no order at first: a table that was just changed would be sorted for the few that lie here
	m.Entities.Sum(func(e *Entity) int {
		if e.X < right && e.Y < bottom && e.X+e.W > left && e.Y+e.H > top {
			out = append(out, e)
		}
		return 0
	})
	slices.SortFunc(out, func(a, b *Entity) int { return strings.Compare(string(a.ID), string(b.ID)) })
	return out
}

// Flag is a yes/no that rules set and ask.
type Flag struct {
	ID   ID     `json:"id"`
	Name string `json:"name"`
}

// Counter is a whole number that rules change and ask; Start is what it is when a game begins.
type Counter struct {
	ID    ID     `json:"id"`
	Name  string `json:"name"`
	Start int    `json:"start"`
	// Shown is where it is on the player's screen: one of Corners, empty for nowhere.
	Shown string `json:"shown,omitempty"`
}
