// Package kind is the registry of kinds of entities that come with Azzel, one file
// a family, and of what can be set of each of them and of maps. A setting is called
// by a key that never changes; what people read is apart from it.
package kind

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"azzel/core/id"
	"slices"
)

// Kind is what all entities of one kind have in common. Built-in kinds are
// called by a word, those of the designer's own by an id.
type Kind struct {
	ID       id.ID  `json:"id"`
	Name     string `json:"name"`
	Help     string `json:"help"`
	Category string `json:"category"`
	Order    int    `json:"order"`
	// Of is the built-in kind that an own one behaves as; empty for one from nothing.
	Of id.ID `json:"of"`
	// Glyph is that of a built-in kind, by its word; Colour is empty for the glyph's own.
	Glyph  string `json:"glyph"`
	Colour string `json:"colour"`
	// Area kinds cover any rectangle of cells, so a dragged box makes one of them.
	Area bool `json:"area"`
	// Faces tells whether a facing can be set; Resizes whether its box can be
	// dragged larger, Turns whether it can be turned and flipped, Tints whether it
	// can be tinted and made fainter.
	Faces   bool `json:"faces"`
	Resizes bool `json:"resizes"`
	Turns   bool `json:"turns"`
	Tints   bool `json:"tints"`
	// Ways kinds have points that something follows.
	Ways bool `json:"ways"`
	// Solid kinds stop the hero with their body.
	Solid bool `json:"solid"`
	// Moves kinds can carry others along, Taken ones are picked up; Veiled ones
	// are shown to the player only where they have a picture.
	Moves  bool `json:"moves"`
	Taken  bool `json:"taken"`
	Veiled bool `json:"veiled"`
	// Wires kinds have a nub from which a wire is drawn; Wired ones are where one can end.
	Wires bool `json:"wires"`
	Wired bool `json:"wired"`
	// Wakes is the happening at it that a rule begins with; empty for none.
	Wakes string `json:"wakes"`
	// Leads is LeadsOn where a passage is to begin at it, MayLead where one can.
	Leads string `json:"leads"`
	// Met kinds are where a passage can end; Heroic ones where the hero stands.
	Met    bool `json:"met"`
	Heroic bool `json:"heroic"`
	// Counted kinds are what passages can ask a number of; Opens ones are out of the
	// way while they are on.
	Counted bool `json:"counted"`
	Opens   bool `json:"opens"`
	// State names what "on" means for it; empty when it has no state.
	State string `json:"state"`
	// W and H are the box, in map pixels; 0 is a cell.
	W int `json:"w"`
	H int `json:"h"`
	// Body is what of the box stops and is touched, in pixels of it; empty is all.
	Body grid.Rect `json:"body"`
	// AnchorX and AnchorY say, in percent, which point of the box comes to lie on
	// the same point of the cell that it is placed on.
	AnchorX int `json:"anchorX"`
	AnchorY int `json:"anchorY"`
	// Look is the tile that it is drawn as, LookOn while it is on or open.
	Look   cells.Cell `json:"look"`
	LookOn cells.Cell `json:"lookOn"`
	// Frames are pictures by facing, in the order up, right, down, left, the
	// first standing; FrameMs is how long each of the others is shown.
	Frames  [4][]cells.Cell `json:"frames"`
	FrameMs int             `json:"frameMs"`
	// Poses are pictures of what else it does; an own kind has them.
	Poses []Pose `json:"poses,omitempty"`
	// Guises are other ways in which all of an own kind can be.
	Guises []Guise `json:"guises,omitempty"`
	// Across and Down are how many tiles each of its pictures is across and down, from the
	// one that is named; 0 is one.
	Across int `json:"across,omitempty"`
	Down   int `json:"down,omitempty"`
	// How many there are at least and at most on a map and in the project; 0 is any number.
	MapLeast     int `json:"mapLeast"`
	MapMost      int `json:"mapMost"`
	ProjectLeast int `json:"projectLeast"`
	ProjectMost  int `json:"projectMost"`
	// Tags are words to find and ask it by.
	Tags []string `json:"tags"`
	// Layers are the names of the layers on which it may stand; none is all of entities.
	Layers []string `json:"layers"`
	// Settings are what can be set of each entity, with defaults.
	Settings []Setting `json:"settings"`
}

// What Leads can be.
const (
	LeadsOn = "on"
	MayLead = "may"
)

// Categories of built-in kinds, in the order in which they are offered.
var Categories = []string{"ways", "things", "beings", "works", "dangers", "areas", "lanes"}

// All lists the built-in kinds in the order in which they are offered.
var All = slices.Concat(family("ways", ways), family("things", things), family("beings", beings), family("works", works),
	family("dangers", dangers), family("areas", areas), family("lanes", lanes))

// family fills in what all built-in kinds have.
func family(category string, all []Kind) []Kind {
	out := slices.Clone(all)
	for i := range out {
		k := &out[i]
		k.Category, k.Glyph, k.AnchorX, k.AnchorY, k.FrameMs = category, string(k.ID), anchorX, anchorY, frameMs
		k.Tags, k.Layers = []string{}, []string{}
		k.Resizes = k.Resizes || k.Area
		k.Wired = !slices.Contains([]id.ID{Hero, Spawn, Arrival, Path, Lane}, k.ID)
		if k.Settings == nil {
			k.Settings = []Setting{}
		}
	}
	return out
}

// What kinds have that say nothing else: the box stands in the middle of its cell's
// lower edge, and a picture is shown for 150 ms.
const (
	anchorX = 50
	anchorY = 100
	frameMs = 150
)

var byWord = words()

func words() map[id.ID]*Kind {
	out := map[id.ID]*Kind{}
	for i := range All {
		out[All[i].ID] = &All[i]
	}
	return out
}

// Find gives the built-in kind of a word, nil when there is none.
func Find(word id.ID) *Kind { return byWord[word] }

// Blank is what a kind from nothing is before anything is said of it.
func Blank() *Kind {
	return &Kind{Wired: true, AnchorX: anchorX, AnchorY: anchorY, FrameMs: frameMs, Tags: []string{}, Layers: []string{}, Settings: []Setting{}}
}

// BuiltIn reports whether the kind comes with Azzel.
func (k *Kind) BuiltIn() bool { return Find(k.ID) != nil }

// Acts is the word of the built-in kind that a kind behaves as, empty for none.
func (k *Kind) Acts() string {
	if k.BuiltIn() {
		return string(k.ID)
	}
	return string(k.Of)
}

// StartsOn tells whether one that is put down works from the start: what lights, hurts or
// watches does, until somebody turns it off.
func (k *Kind) StartsOn() bool {
	switch k.Acts() {
	case Light, Sound, Emitter, Shooter, Beam, Hazard, Turner, Wind, Sensor, Platform, Conveyor, Timer, Source, LaneEntry, Fan:
		return true
	}
	return false
}

// StandsFreely tells whether it is put where the press is, not in the cell.
func (k *Kind) StandsFreely() bool { return k.Acts() == Decoration || k.Acts() == GroundLine }

// Setting finds a setting by its key, nil when there is none.
func (k *Kind) Setting(key string) *Setting { return Keyed(k.Settings, key) }

// Box is the size of a new entity of the kind where cells are of this size, in pixels.
func (k *Kind) Box(cellWidth, cellHeight int) (w, h int) {
	w, h = k.W, k.H
	if w == 0 {
		w = cellWidth
	}
	if h == 0 {
		h = cellHeight
	}
	return w, h
}
