// Package play runs a game: 60 fixed steps a second, in whole numbers of 1/256
// pixel, from the same document that is being edited. The state is plain data
// without pointers, so that it can be kept, compared and resumed.
package play

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
)

const (
	// TicksPerSecond is the fixed rate of steps.
	TicksPerSecond = 60
	// Sub is the fixed-point unit: 256 make a pixel.
	Sub = document.Unit
	// FadeTicks is how long a passage takes to darken, and again to lighten.
	FadeTicks = 12
	// MaxHappenings stops rules that keep waking each other within one tick.
	MaxHappenings = 1000
)

// Input is what is held down in a tick, as bits.
type Input uint8

// The inputs. Use counts when it goes down.
const (
	InputUp Input = 1 << iota
	InputRight
	InputDown
	InputLeft
	InputUse
)

// State is a game being played.
type State struct {
	Tick int64       `json:"tick"`
	Map  document.ID `json:"map"`
	// X and Y are the top-left corner of the hero's box, in 1/256 map pixels.
	X      int64           `json:"x"`
	Y      int64           `json:"y"`
	Facing document.Facing `json:"facing"`
	// Hero is the placed hero that walks; empty where it began at a spawn or on a cell.
	Hero document.End `json:"hero,omitzero"`
	// Steps counts ticks of walking without a stop, for the picture.
	Steps int64 `json:"steps"`
	// Held is the input of the tick before.
	Held Input `json:"held"`
	// Taken, Switched, Opened and Flags are what has happened: ids of collectibles,
	// switches not in their first state, doors opened, flags set. Only for lookup.
	Taken    map[document.ID]bool `json:"taken"`
	Switched map[document.ID]bool `json:"switched"`
	Opened   map[document.ID]bool `json:"opened"`
	Flags    map[document.ID]bool `json:"flags"`
	// Gone are entities that are not there, Looks the variants that were drawn.
	Gone  map[document.ID]bool       `json:"gone"`
	Looks map[document.ID]cells.Cell `json:"looks"`
	// Done are the rules with "once" that have run.
	Done map[document.ID]bool `json:"done"`
	// Inside is the exit that the hero stands in and has to leave before it works.
	Inside document.ID `json:"inside"`
	// Entry is where the hero came onto the map.
	Entry Entry `json:"entry"`
	// Leaving is the passage being gone through, Fade the ticks until its end.
	Leaving document.ID `json:"leaving"`
	Fade    int         `json:"fade"`
	// Lines are what is being said; the first is shown and waits for Use.
	Lines []Line `json:"lines"`
	// Running are the rules that wait for their line to be read.
	Running []Running `json:"running"`
	// Notice tells the designer, not the player, of something that does not work.
	Notice string `json:"notice"`
}

// Line is a page of what is said.
type Line struct {
	Text string `json:"text"`
	// Resumes tells that the rule that said it goes on once it is read.
	Resumes bool `json:"resumes"`
}

// Entry is a place of the hero's box on a map, in 1/256 map pixels.
type Entry struct {
	Map document.ID `json:"map"`
	X   int64       `json:"x"`
	Y   int64       `json:"y"`
}

// Running is a rule that has begun: the steps still to do.
type Running struct {
	Rule document.ID   `json:"rule"`
	Left []document.ID `json:"left"`
}

type happening struct {
	on     string
	m      document.ID
	entity document.ID
}

// heroBox is the hero's box in pixels: three quarters of a cell, so that it
// passes a door of one cell with ease.
func heroBox(m *document.Map) (w, h int64) {
	return int64(max(1, m.CellWidth*3/4)), int64(max(1, m.CellHeight*3/4))
}

// HeroCell is the cell under the middle of the hero's box.
func (s *State) HeroCell(m *document.Map) grid.Point {
	w, h := heroBox(m)
	x, y := int(s.X/Sub+w/2), int(s.Y/Sub+h/2)
	if s.X < 0 {
		x = int((s.X-Sub+1)/Sub + w/2)
	}
	if s.Y < 0 {
		y = int((s.Y-Sub+1)/Sub + h/2)
	}
	return grid.Point{X: grid.FloorDiv(x, m.CellWidth), Y: grid.FloorDiv(y, m.CellHeight)}
}

// Picture is the map pixel at the top left of the hero's picture, which is a
// cell large: the box stands in the middle of its lower side.
func (s *State) Picture(m *document.Map) (x, y int) {
	w, h := heroBox(m)
	x, y = grid.FloorDiv(int(s.X)+Sub/2, Sub), grid.FloorDiv(int(s.Y)+Sub/2, Sub)
	return x - (m.CellWidth-int(w))/2, y - (m.CellHeight - int(h))
}
