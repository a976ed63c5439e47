package cut

import (
	"azzel/core/document"
	"reflect"
	"testing"
)

// plain draws tiles of 4×4 in plain colours, with their numbers as red; tile −1 is clear.
func drawn(columns int, gap int, tiles ...int) Picture {
	rows := (len(tiles) + columns - 1) / columns
	p := Picture{Width: columns*(4+gap) - gap, Height: rows*(4+gap) - gap}
	p.Pix = make([]byte, p.Width*p.Height*4)
	for i, n := range tiles {
		for y := range 4 {
			for x := range 4 {
				at := ((i/columns*(4+gap)+y)*p.Width + i%columns*(4+gap) + x) * 4
				if n >= 0 {
					shade := byte(x)
					if n >= 100 { // the mirror image of tile n−100
						shade = byte(3 - x)
					}
					copy(p.Pix[at:], []byte{byte(n % 100), shade, 0, 255})
				} else {
					p.Pix[at] = byte(i) // clear, whatever its colour
				}
			}
		}
	}
	return p
}

func TestMatchBySight(t *testing.T) {
	four := document.Cut{CellWidth: 4, CellHeight: 4}
	spaced := document.Cut{CellWidth: 4, CellHeight: 4, Spacing: 1}
	for _, c := range []struct {
		name     string
		old      Picture
		oldCut   document.Cut
		next     Picture
		nextCut  document.Cut
		expected []int
	}{
		{"sorted anew", drawn(4, 0, 1, 2, 3, 4), four, drawn(2, 0, 4, 3, 2, 1), four, []int{3, 2, 1, 0}},
		{"the same place first", drawn(4, 0, 1, 2, 1, 4), four, drawn(4, 0, 1, 2, 1, 4), four, []int{0, 1, 2, 3}},
		{"gutters put in", drawn(2, 0, 1, 2, 3, 4), four, drawn(2, 1, 1, 2, 3, 4), spaced, []int{0, 1, 2, 3}},
		{"retouched at its place", drawn(2, 0, 1, 2), four, drawn(2, 0, 9, 2), four, []int{0, 1}},
		{"gone", drawn(3, 0, 1, 2, 3), four, drawn(2, 0, 1, 2), four, []int{0, 1, -1}},
		{"moved over another", drawn(3, 0, 1, 2, 3), four, drawn(2, 0, 2, 3), four, []int{-1, 0, 1}},
		{"clear ones stay at their place", drawn(2, 0, -1, 1, -1, 2), four, drawn(2, 0, -1, 1), four, []int{0, 1, -1, -1}},
	} {
		if got := Match(c.old, c.oldCut, c.next, c.nextCut); !reflect.DeepEqual(got, c.expected) {
			t.Errorf("%s: %v, wanted %v", c.name, got, c.expected)
		}
	}
}

func TestPartners(t *testing.T) {
	p := drawn(3, 0, 1, 101, 2, -1, 102, 3)
	want := [][2]int{{0, 1}, {1, 0}, {2, 4}, {4, 2}}
	if got := Partners(p, document.Cut{CellWidth: 4, CellHeight: 4}); !reflect.DeepEqual(got, want) {
		t.Errorf("the partners are %v, wanted %v", got, want)
	}
}
