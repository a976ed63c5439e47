package cut

import (
	"azzel/core/document"
	"azzel/core/material"
	"testing"
)

// standard draws a sheet of all forms of a material, 8 tiles across, sand on
// blue: a side or corner that is of the material reaches the edge there.
func standard(by string, size int) (Picture, []material.Form) {
	forms := material.Keys(by)
	rows := (len(forms) + 7) / 8
	p := Picture{Width: 8 * size, Height: rows * size, Pix: make([]byte, 8*size*rows*size*4)}
	for n := range 8 * rows {
		for y := range size {
			for x := range size {
				at := ((n/8*size+y)*p.Width + n%8*size + x) * 4
				sand := false
				if n < len(forms) {
					sand = covered(forms[n], by, x, y, size)
				}
				c := [4]byte{40, 90, 170, 255}
				if sand {
					c = [4]byte{230, 200, 140, 255}
				}
				if (x*7+y*3+n)%5 == 0 { // some texture
					c[0] -= 20
				}
				copy(p.Pix[at:], c[:])
			}
		}
	}
	return p, forms
}

func covered(f material.Form, by string, x, y, size int) bool {
	edge := size / 4
	left, right, top, bottom := x < edge, x >= size-edge, y < edge, y >= size-edge
	if by == material.ByCorners {
		bit := map[[2]bool]material.Form{{false, false}: material.SE, {true, false}: material.SW, {false, true}: material.NE, {true, true}: material.NW}[[2]bool{x < size/2, y < size/2}]
		return f&bit != 0
	}
	need := material.Form(0)
	switch {
	case top && left:
		need = material.NW
	case top && right:
		need = material.NE
	case bottom && left:
		need = material.SW
	case bottom && right:
		need = material.SE
	case top:
		need = material.N
	case bottom:
		need = material.S
	case left:
		need = material.W
	case right:
		need = material.E
	}
	return f&need == need
}

// A standard sheet is recognised from its whole tile alone, at several sizes.
func TestRecogniseStandardSheets(t *testing.T) {
	for _, by := range []string{material.BySides, material.ByCorners, material.ByBoth} {
		for _, size := range []int{12, 16, 32} {
			p, forms := standard(by, size)
			full := 0
			for i, f := range forms {
				if f == material.Whole || by == material.ByCorners && f == material.NE|material.SE|material.SW|material.NW || by == material.BySides && f == material.N|material.E|material.S|material.W {
					full = i
				}
			}
			found, got := RecogniseBest(p, document.Cut{CellWidth: size, CellHeight: size}, full)
			if found != by {
				t.Errorf("%s at %d was taken to follow %s", by, size, found)
			}
			of := map[int]material.Form{}
			for _, m := range got {
				of[m.Tile] = m.Form
			}
			set := material.Set{Number: 1, By: by}
			for i, f := range forms {
				got, ok := of[i]
				if f == 0 && by == material.ByCorners {
					continue // nothing of the material is on it
				}
				if !ok || got != f {
					t.Errorf("%s at %d: tile %d is taken for %08b, it is %08b", by, size, i, got, f)
				}
				set.Tiles = append(set.Tiles, material.Tile{Form: of[i], Odds: 1, Cell: 1 << 16})
			}
			for _, c := range material.Covers(set) {
				if c.How != material.Has && c.Form != 0 {
					t.Errorf("%s at %d: form %08b is %s", by, size, c.Form, c.How)
				}
			}
		}
	}
	// a sheet of one ground is that ground all over
	plain := Picture{Width: 64, Height: 48, Pix: make([]byte, 64*48*4)}
	if by, got := RecogniseBest(plain, document.Cut{CellWidth: 16, CellHeight: 16}, 0); by != material.BySides || len(got) != 12 {
		t.Errorf("of one ground %d tiles are recognised by %q", len(got), by)
	}
	p, _ := standard(material.ByBoth, 16)
	if by, _ := RecogniseBest(p, document.Cut{CellWidth: 16, CellHeight: 16}, 900); by != material.BySides {
		t.Errorf("outside the sheet by %s", by)
	}
	if Recognise(p, document.Cut{CellWidth: 16, CellHeight: 16}, 900, material.ByBoth) != nil {
		t.Error("a tile outside the sheet was recognised")
	}
}
