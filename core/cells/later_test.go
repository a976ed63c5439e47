package cells_test

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"bytes"
	"testing"
)

// A plane that is read when it is needed is in every way the plane that it stands for.
func TestPlanesAreReadWhenNeeded(t *testing.T) {
	region := &grid.Region{}
	region.AddRect(grid.Rect{X: -40, Y: 3, W: 90, H: 50})
	patch := cells.PaintEach(region, grid.Rect{X: -64, Y: -64, W: 200, H: 200}, func(x, y int) (cells.Cell, bool) {
		return cells.TileCell(1, (x*x+y)&7), true
	})
	plain, _ := patch.Apply(cells.Plane{})
	encoded := cells.WholePatch(plain).Encode()
	dot := &grid.Region{}
	dot.Add(grid.Point{X: 5, Y: 5})
	stroke := cells.Paint(dot, grid.Rect{W: 64, H: 64}, []cells.Cell{cells.TileCell(1, 9)}, 1, grid.Point{})
	a, b := func() (int, int) { return plain.Size() }, func(p cells.Plane) (int, int) { return p.Size() }
	for name, same := range map[string]func(p cells.Plane) bool{
		"cell":   func(p cells.Plane) bool { return p.At(7, 9) == plain.At(7, 9) && p.At(500, 9) == 0 },
		"chunks": func(p cells.Plane) bool { return len(p.Chunks()) == len(plain.Chunks()) },
		"size":   func(p cells.Plane) bool { n, m := b(p); x, y := a(); return n == x && m == y },
		"empty":  func(p cells.Plane) bool { return !p.Empty() },
		"changed": func(p cells.Plane) bool {
			return len(p.Changed(p)) == 0 && len(p.Changed(cells.Plane{})) == len(plain.Chunks())
		},
		"region": func(p cells.Plane) bool {
			all := func(cells.Cell) bool { return true }
			return p.Region(grid.Rect{W: 9, H: 9}, all).Count() == 81
		},
		"written": func(p cells.Plane) bool {
			got, _ := stroke.Apply(p)
			want, _ := stroke.Apply(plain)
			return bytes.Equal(cells.EncodeWhole(got), cells.EncodeWhole(want)) && got.Read()
		},
	} {
		p := cells.Later(encoded)
		if p.Read() || !bytes.Equal(cells.EncodeWhole(p), encoded) {
			t.Fatalf("%s: it was read before it was needed, or is written otherwise", name)
		}
		if !same(p) {
			t.Errorf("%s is not that of the plane", name)
		}
		if !p.Read() || !bytes.Equal(cells.EncodeWhole(p), encoded) {
			t.Errorf("%s: it was not read, or is written otherwise afterwards", name)
		}
	}
	if p := cells.Later(cells.Patch{}.Encode()); !p.Read() || !p.Empty() {
		t.Error("an empty plane has something to be read")
	}
	if p := cells.Later([]byte{9, 9, 9}); !p.Empty() {
		t.Error("what cannot be read is not empty")
	}
}
