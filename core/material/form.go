// Package material fits the tiles of materials: paint whose edges follow from
// what lies beside it. The tile of a cell is a pure function of the 3×3 cells
// around it, whatever the order in which they were painted.
package material

import "azzel/core/grid"

// Form says which of a cell's eight neighbours are of its material.
type Form uint8

// The neighbours, clockwise from the one above.
const (
	N Form = 1 << iota
	NE
	E
	SE
	S
	SW
	W
	NW

	Whole   Form = 255
	sides        = N | E | S | W
	corners      = NE | SE | SW | NW
)

// What the edges of a material follow.
const (
	BySides   = "sides"   // the four sides: paths, fences; 16 forms
	ByCorners = "corners" // the four corners: ground that blends; 16 forms
	ByBoth    = "both"    // sides and corners: walls, cliffs, water; 47 forms
)

// around are the steps to the neighbours, in the order of the bits.
var around = [8]grid.Point{{X: 0, Y: -1}, {X: 1, Y: -1}, {X: 1, Y: 0}, {X: 1, Y: 1}, {X: 0, Y: 1}, {X: -1, Y: 1}, {X: -1, Y: 0}, {X: -1, Y: -1}}

// Key leaves of a form only what matters: a corner counts where both of its
// sides do, and sides or corners alone where the material follows only these.
func (f Form) Key(by string) Form {
	out := f & sides
	for i := 1; i < 8; i += 2 {
		beside := Form(1)<<(i-1) | Form(1)<<((i+1)&7)
		if f&beside == beside {
			out |= f & (1 << i)
		}
	}
	switch by {
	case BySides:
		return out & sides
	case ByCorners:
		return out & corners
	}
	return out
}

// own is the key of a tile: one that follows corners has them marked by themselves.
func (f Form) own(by string) Form {
	if by == ByCorners {
		return f & corners
	}
	return f.Key(by)
}

// Keys lists the forms that a material can take, from the lone cell to the whole.
func Keys(by string) []Form {
	var seen [256]bool
	var out []Form
	for f := range 256 {
		seen[Form(f).Key(by)] = true
	}
	for f, ok := range seen {
		if ok {
			out = append(out, Form(f))
		}
	}
	return out
}

// Turned is the form of a tile when it is turned.
func (f Form) Turned(t grid.Turn) Form {
	if t&4 != 0 { // left–right: NE↔NW, E↔W, SE↔SW
		var out Form
		for i := range 8 {
			if f&(1<<i) != 0 {
				out |= 1 << ((8 - i) & 7)
			}
		}
		f = out
	}
	n := 2 * int(t&3)
	return f<<n | f>>(8-n)
}

// quarters are the neighbours that each quarter of a cell follows: top left,
// top right, bottom left, bottom right.
var quarters = [4]Form{N | W | NW, N | E | NE, S | W | SW, S | E | SE}
