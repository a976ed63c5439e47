package material

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"slices"
)

// Set is what a material's tiles are.
type Set struct {
	Number int
	By     string
	// Beyond says what lies outside the map: the same material, or none.
	Beyond bool
	// Turns fills missing forms with tiles turned and flipped, Composes with
	// quarters of several tiles.
	Turns, Composes bool
	Tiles           []Tile
}

// Tile is one tile of a material.
type Tile struct {
	Cell cells.Cell `json:"cell"`
	Form Form       `json:"form"`
	// Odds is its weight among the tiles of the same form.
	Odds int `json:"odds"`
	// Beside is the number of the material beyond its edges, 0 for any.
	Beside int `json:"beside"`
}

// Shown is how a cell is drawn: one tile, or four quarters (top left, top
// right, bottom left, bottom right) of different ones. Nothing is a gap: the
// material has no tile of this form.
type Shown struct {
	Cell     cells.Cell
	Quarters *[4]cells.Cell
}

// Gap reports whether there is nothing to show.
func (s Shown) Gap() bool { return s.Cell == 0 && s.Quarters == nil }

// Fitter fits the cells of layers. It keeps what it looked up, so make one for
// each state of the materials.
type Fitter struct {
	sets map[int]*fitted
	// recent are those that were asked for last, by the last bits of their numbers.
	recent [recent]*fitted
	// none stands for materials that are not there.
	none *fitted
	// only is kept once a chunk is asked for.
	only *only
	// of says which material a tile belongs to, though it was fixed by hand.
	of map[cells.Cell]uint16
}

// recent is how many materials are found by the last bits of their numbers.
const recent = 16

type fitted struct {
	set    Set
	plain  [256]*offer // what was looked up for any neighbour, by form
	looked map[wish]*offer
	// besides lists the materials that some tile has its edges to.
	besides map[int]bool
	// borders tells that there are some, and keys are the forms by all that lies around.
	borders bool
	keys    [256]Form
}

type wish struct {
	key    Form
	beside int
}

// offer is the tiles that fit a form as well.
type offer struct {
	shown []Shown
	odds  []int
	sum   int
}

// NewFitter makes the fitter of these materials; where two share a tile, it
// counts as the first one's.
func NewFitter(sets []Set) *Fitter {
	f := &Fitter{sets: map[int]*fitted{}, none: &fitted{looked: map[wish]*offer{}}, of: map[cells.Cell]uint16{}}
	for i := range f.recent {
		f.recent[i] = f.none
	}
	for _, s := range sets {
		f.sets[s.Number] = newFitted(s)
		for _, t := range s.Tiles {
			plain := t.Cell &^ cells.TurnBits
			if _, ok := f.of[plain]; !ok {
				f.of[plain] = uint16(s.Number)
			}
		}
	}
	return f
}

func newFitted(s Set) *fitted {
	m := &fitted{set: s, looked: map[wish]*offer{}, besides: map[int]bool{}}
	for form := range m.keys {
		m.keys[form] = Form(form).Key(s.By)
	}
	for _, t := range s.Tiles {
		m.besides[t.Beside] = true
		m.borders = m.borders || t.Beside != 0
	}
	return m
}

// Any reports whether there are materials at all.
func (f *Fitter) Any() bool { return len(f.sets) > 0 }

// outside marks what lies outside the map; bit 14 is in no material's number.
const outside = 1<<15 - 1

// number is the material that a cell counts as, 0 for none.
func (f *Fitter) number(c cells.Cell) uint16 {
	if c == 0 {
		return 0
	}
	if c.IsMaterial() {
		return uint16(c.Tileset())
	}
	return f.of[c&^cells.TurnBits]
}

// At fits one cell of a layer of a map with these bounds.
func (f *Fitter) At(p cells.Plane, bounds grid.Rect, x, y int) Shown {
	c := p.At(x, y)
	if !c.IsMaterial() {
		return Shown{Cell: c}
	}
	var beside [8]uint16
	for i, d := range around {
		q := grid.Point{X: x + d.X, Y: y + d.Y}
		beside[i] = outside
		if bounds.Contains(q) {
			beside[i] = f.number(p.At(q.X, q.Y))
		}
	}
	return f.set(c.Tileset()).fit(c, &beside)
}

// set is what is known of a material by its number.
func (f *Fitter) set(number int) *fitted {
	one := f.recent[number%recent]
	if one.set.Number != number {
		if one = f.sets[number]; one == nil {
			return f.none
		}
		f.recent[number%recent] = one
	}
	return one
}

// fit fits a cell of the material by what its eight neighbours count as.
func (m *fitted) fit(c cells.Cell, beside *[8]uint16) Shown {
	var form Form
	for i, n := range beside {
		if n == uint16(m.set.Number) || n == outside && m.set.Beyond {
			form |= 1 << i
		}
	}
	return m.offer(m.keys[form], m.other(uint16(m.set.Number), beside)).pick(c.Tile())
}

// other is the material beyond its edges that all around is of which is not its own, where it has tiles for that, else 0.
func (m *fitted) other(own uint16, beside *[8]uint16) int {
	if !m.borders {
		return 0
	}
	other := uint16(0)
	for _, n := range beside {
		switch {
		case n == outside || n == own:
		case n == 0 || other != 0 && n != other:
			return 0
		default:
			other = n
		}
	}
	if !m.besides[int(other)] {
		return 0
	}
	return int(other)
}

// pick chooses by a cell's variant, so that what was drawn stays as it is.
func (o *offer) pick(variant int) Shown {
	if len(o.shown) == 1 {
		return o.shown[0]
	}
	n := variant * o.sum / (cells.MaxVariant + 1)
	for i, w := range o.odds {
		if n < w {
			return o.shown[i]
		}
		n -= w
	}
	return o.shown[0]
}

// offer finds the tiles of a form: exactly, turned, or put together.
func (m *fitted) offer(key Form, beside int) *offer {
	if beside == 0 && m.plain[key] != nil {
		return m.plain[key]
	}
	w := wish{key, beside}
	if o, ok := m.looked[w]; ok {
		return o
	}
	o := &offer{}
	m.looked[w] = o
	if beside == 0 {
		m.plain[key] = o
	}
	for _, level := range []int{beside, 0, anyBeside} {
		if m.exact(o, key, level) || m.set.Turns && m.turned(o, key, level) || m.set.Composes && m.composed(o, key, level) {
			return o
		}
	}
	o.shown = []Shown{{}}
	return o
}

const anyBeside = -1

// follows reports whether a tile's edges are those that are asked for.
func follows(t *Tile, beside int) bool { return beside == anyBeside || t.Beside == beside }

func (o *offer) add(s Shown, odds int) {
	o.shown = append(o.shown, s)
	o.odds = append(o.odds, odds)
	o.sum += odds
}

func (m *fitted) exact(o *offer, key Form, beside int) bool {
	for i := range m.set.Tiles {
		if t := &m.set.Tiles[i]; t.Form.own(m.set.By) == key && follows(t, beside) && t.Odds > 0 {
			o.add(Shown{Cell: t.Cell}, t.Odds)
		}
	}
	return len(o.shown) > 0
}

// turned takes the first turn, quarters before flips, in which some tiles fit.
func (m *fitted) turned(o *offer, key Form, beside int) bool {
	for turn := grid.Quarter; turn < 8; turn++ {
		for i := range m.set.Tiles {
			if t := &m.set.Tiles[i]; t.Form.Turned(turn).own(m.set.By) == key && follows(t, beside) && t.Odds > 0 {
				o.add(Shown{Cell: t.Cell.Turned(turn)}, t.Odds)
			}
		}
		if len(o.shown) > 0 {
			return true
		}
	}
	return false
}

// composed takes each quarter from the tile that agrees with the form in most
// of its neighbours among those that agree in all that the quarter follows.
func (m *fitted) composed(o *offer, key Form, beside int) bool {
	var parts [4]cells.Cell
	for q, follow := range quarters {
		best := -1
		for i := range m.set.Tiles {
			t := &m.set.Tiles[i]
			form := t.Form.own(m.set.By)
			if (form^key)&follow != 0 || !follows(t, beside) {
				continue
			}
			if near := same(form, key); near > best {
				best, parts[q] = near, t.Cell
			}
		}
		if best < 0 {
			return false
		}
	}
	o.add(Shown{Quarters: &parts}, 1)
	return true
}

func same(a, b Form) int {
	n := 8
	for d := a ^ b; d != 0; d &= d - 1 {
		n--
	}
	return n
}

// How a form is filled.
const (
	Has      = "has"      // there is a tile for it
	Turns    = "turned"   // a tile is turned or flipped
	Composes = "composed" // quarters of several tiles
	Lacks    = "lacks"    // drawn as a gap
)

// Cover is a form and how it is filled.
type Cover struct {
	Form Form   `json:"form"`
	How  string `json:"how"`
}

// Covers lists all forms of a material with how they are filled.
func Covers(s Set) []Cover {
	m := &fitted{set: s, looked: map[wish]*offer{}}
	var out []Cover
	for _, key := range Keys(s.By) {
		how := Lacks
		switch {
		case m.exact(&offer{}, key, anyBeside):
			how = Has
		case s.Turns && m.turned(&offer{}, key, anyBeside):
			how = Turns
		case s.Composes && m.composed(&offer{}, key, anyBeside):
			how = Composes
		}
		out = append(out, Cover{key, how})
	}
	return out
}

// Holds reports whether a tile is one of the material's.
func (s *Set) Holds(c cells.Cell) bool {
	return slices.ContainsFunc(s.Tiles, func(t Tile) bool { return t.Cell&^cells.TurnBits == c&^cells.TurnBits })
}
