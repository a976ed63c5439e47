package session_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/binary"
	"testing"
)

// Chunks that are asked for together are told as each alone is: empty, all alike, of many cells, and of layers that are not there.
func TestChunksAreToldTogether(t *testing.T) {
	all := &grid.Region{}
	all.AddRect(grid.Rect{W: 40, H: 33})
	d := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", map[string]int{"x": 0, "y": 0, "w": 64, "h": 64}),
		sample.Paint(sample.Quay, sample.Things, all, sample.Floor),
	}}).Doc
	var s session.Session
	if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
		t.Fatal(err)
	}
	layers := []document.ID{sample.Things, sample.Ground, "nolayernolay"}
	at := []session.ChunkPlace{{CX: 0, CY: 0}, {CX: 1, CY: 0}, {CX: 9, CY: -9}, {CX: 0, CY: 1}}
	out := make([]byte, len(at)*len(layers)*4100)
	words := out[:s.Chunks(sample.Quay, layers, at, 1, out)]
	next := func() (v uint32) {
		v, words = binary.LittleEndian.Uint32(words), words[4:]
		return v
	}
	short := 0
	for _, p := range at {
		for _, l := range layers {
			var alone [4096]byte
			there := s.Chunk(sample.Quay, l, p.CX, p.CY, &alone)
			n := int(next())
			if n != 0 && n != 1 && n != 1024 || there != (n > 0) {
				t.Fatalf("%v of %s is told as %d cells, alone it is %v", p, l, n, there)
			}
			if n == 1 {
				short++
			}
			var c uint32
			for i := range 1024 * min(n, 1) {
				if i < n {
					c = next()
				}
				if want := binary.LittleEndian.Uint32(alone[4*i:]); c != want {
					t.Fatalf("%v of %s: cell %d is %d, alone %d", p, l, i, c, want)
				}
			}
		}
	}
	if len(words) > 0 || short != 1 {
		t.Errorf("%d bytes are left over, %d chunks were all alike", len(words), short)
	}
	// with a step, one cell of so many
	for _, step := range []int{2, 8, 32} {
		words = out[:s.Chunks(sample.Quay, []document.ID{sample.Ground}, at[:1], step, out)]
		n := 32 / step
		if got := int(next()); got != n*n || len(words) != 4*n*n {
			t.Fatalf("with step %d it is told as %d cells", step, got)
		}
		var alone [4096]byte
		s.Chunk(sample.Quay, sample.Ground, 0, 0, &alone)
		for i := range n * n {
			x, y := i%n*step+step/2, i/n*step+step/2
			if c, want := next(), binary.LittleEndian.Uint32(alone[4*(y*32+x):]); c != want {
				t.Errorf("with step %d cell %d is %d, wanted %d", step, i, c, want)
			}
		}
	}
	if n := s.Chunks("nomapnomapno", layers, at, 1, out); n != 4*len(at)*len(layers) {
		t.Errorf("of no map %d bytes are told", n)
	}
}

// What a page draws again after a press is all that shows otherwise, materials that border on it with it, and nothing that lies in the
// middle of other chunks.
func TestWhatIsDrawnAgain(t *testing.T) {
	for _, at := range []struct {
		x, y   int
		chunks int
	}{{40, 40, 1}, {32, 40, 2}, {63, 40, 2}, {40, 63, 2}, {32, 32, 4}, {63, 63, 4}} {
		s := open(t)
		all := &grid.Region{}
		all.AddRect(grid.Rect{W: 96, H: 96})
		call[session.Outcome](t, s, "addMaterial", args{"name": "Sea", "number": 9, "is": "water", "by": "both"})
		d, err := document.Decode(s.Encode())
		if err != nil {
			t.Fatal(err)
		}
		d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
			edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", map[string]int{"x": 0, "y": 0, "w": 96, "h": 96}),
			sample.Paint(sample.Quay, sample.Ground, all, cells.MaterialCell(9, 0)),
		}}).Doc
		s = &session.Session{}
		if err := s.Open(d.Encode(), 0, "personperson", me); err != nil {
			t.Fatal(err)
		}
		o := call[session.Outcome](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "mirror": args{},
			"grip": args{"what": "eraser", "shape": "freehand"}, "gesture": args{"way": []args{{"x": at.x, "y": at.y}}}})
		if got := o.Change.Chunks; len(got) != 1 || len(got[0].At) != 2*at.chunks {
			t.Errorf("a cell at %d, %d has drawn again %v, wanted %d chunks", at.x, at.y, got, at.chunks)
		}
	}
}
