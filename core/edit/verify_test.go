package edit_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"
)

// What is checked is checked where an edit is taken up; the log is replayed without.
func TestVerify(t *testing.T) {
	d := sample.World()
	gone := document.ID("gonegonegone")
	quay := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	holder := edit.Insert(edit.Ref{Type: edit.TypeMap, ID: gone}, document.Map{ID: gone, Name: "M", Bounds: grid.Rect{W: 9, H: 9}, CellWidth: 16, CellHeight: 16})
	holder.Content = &document.Content{Layers: []document.LayerContent{{Layer: &document.Layer{ID: sample.Ground, Name: "L", Kind: "clouds"}}}}
	for name, c := range map[string]struct {
		p    edit.Primitive
		want string
	}{
		"range":      {edit.Set(quay, "bounds", grid.Rect{W: 5000, H: 1}), "must be 1 to 2048"},
		"no name":    {edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: gone}, document.Flag{ID: gone}), "name cannot be empty"},
		"long name":  {edit.Set(quay, "name", strings.Repeat("x", 10_000)), "at most 80 characters"},
		"two lines":  {edit.Set(quay, "name", "a\nb"), "one line"},
		"turned":     {edit.Set(quay, "name", "a\u202eb"), "hidden characters"},
		"isolated":   {edit.Set(quay, "name", "\u2066a"), "hidden characters"},
		"project":    {edit.Set(edit.Ref{Type: edit.TypeProject}, "cellWidth", 0), "the cell width"},
		"what holds": {holder, "a layer holds"},
		"fine":       {edit.Set(quay, "name", "Quai d’été — 港"), ""},
	} {
		e := made(1, c.p)
		res := edit.Apply(d, e)
		err := edit.Verify(e, res)
		if len(res.Dropped) > 0 || (err == nil) != (c.want == "") || err != nil && !strings.Contains(err.Error(), c.want) {
			t.Errorf("%s: %v, dropped %q, wanted %q", name, err, res.Dropped, c.want)
		}
	}
}

// box paints with another tile in every other cell, so that no chunk is of one value.
func box(m, layer document.ID, r grid.Rect, tile int) edit.Primitive {
	region := &grid.Region{}
	region.AddRect(r)
	return edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: m, ID: layer},
		Cells: cells.PaintEach(region, r, func(x, y int) (cells.Cell, bool) { return cells.TileCell(1, tile+(x^y)&1), true })}
}

// A map that is filled and moved over its frame again and again, as whoever resizes
// it does, stays within what can be stored, and turned back it is what it was.
func TestLayersStayWithinBounds(t *testing.T) {
	d := sample.World()
	side := document.MaxSide
	var reverts [][]edit.Primitive
	var hashes []string
	for i := range 7 {
		hashes = append(hashes, d.Hash())
		at := grid.Rect{X: i%3*side - side - 5, Y: i/3*side - side - 5, W: side, H: side}
		fill := sample.Paint(sample.Quay, sample.Ground, &grid.Region{}, sample.Wall)
		region := &grid.Region{}
		region.AddRect(at)
		fill.Cells = cells.Paint(region, at, []cells.Cell{cells.TileCell(1, i)}, 1, grid.Point{})
		res := edit.Apply(d, made(1, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", at), fill))
		d, reverts = res.Doc, append(reverts, res.Revert)
		l := d.Maps.Get(sample.Quay).Layers.Get(sample.Ground)
		if chunks, _ := l.Cells.Size(); chunks > cells.MaxChunks {
			t.Fatalf("after %d fills the layer has %d chunks", i+1, chunks)
		}
		if l.Cells.At(at.X, at.Y) != cells.TileCell(1, i) || l.Cells.At(at.X+side-1, at.Y+side-1) != cells.TileCell(1, i) {
			t.Fatalf("fill %d does not show", i)
		}
		if again, err := document.Decode(d.Encode()); err != nil || again.Hash() != d.Hash() {
			t.Fatalf("after %d fills the project cannot be read: %v", i+1, err)
		}
	}
	for i := len(reverts) - 1; i >= 0; i-- {
		data := edit.JSON(made(1, reverts[i]...))
		e, err := edit.Decode(data)
		if err != nil {
			t.Fatalf("undo %d cannot be sent: %v", i, err)
		}
		if d = edit.Apply(d, e).Doc; d.Hash() != hashes[i] {
			t.Fatalf("undo %d did not bring back what was there", i)
		}
	}
}

// Whatever edits come, in whatever order, what they make can be stored and read.
func TestWhatIsMadeCanBeRead(t *testing.T) {
	for seed := range uint64(6) {
		r := rand.New(rand.NewPCG(seed, 77))
		d := sample.World()
		var back []edit.Primitive
		for n := range 60 {
			var do []edit.Primitive
			switch r.IntN(8) {
			case 0:
				at := grid.Rect{X: (r.IntN(9) - 4) * 2048, Y: (r.IntN(9) - 4) * 2048, W: 1 + r.IntN(2048), H: 1 + r.IntN(2048)}
				do = append(do, edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "bounds", at), box(sample.Quay, sample.Ground, grid.Rect{X: at.X, Y: at.Y, W: min(at.W, 200), H: min(at.H, 200)}, r.IntN(9)))
			case 1:
				do = back
			default:
				do = sample.Primitives(r, d)
			}
			if len(do) == 0 {
				continue
			}
			e, err := edit.Decode(edit.JSON(made(int64(n+1), do...)))
			if err != nil {
				t.Fatal(err)
			}
			res := edit.Apply(d, e)
			d, back = res.Doc, res.Revert
			if inverse, err := edit.ReadSteps(edit.JSON(append([]edit.Primitive{}, back...)), edit.Version); err != nil || len(inverse) != len(back) {
				t.Fatalf("seed %d: an inverse cannot be read: %v", seed, err)
			}
		}
		if again, err := document.Decode(d.Encode()); err != nil || again.Hash() != d.Hash() {
			t.Fatalf("seed %d: %v", seed, err)
		}
	}
}

func TestFits(t *testing.T) {
	d := sample.World()
	one := edit.Apply(d, made(1, box(sample.Quay, sample.Ground, grid.Rect{W: 20, H: 12}, 3)))
	if err := edit.Fits(one); err != nil {
		t.Error(err)
	}
	m := *d.Maps.Get(sample.Quay)
	for i := range document.MaxEntities {
		e := document.Entity{ID: document.ID(fmt.Sprintf("entity%06d", i)), Layer: sample.Entities}
		m.Entities = m.Entities.With(e.ID, &e)
	}
	for i := range 20 {
		next := m
		next.ID = document.ID(fmt.Sprintf("many%08d", i))
		d.Maps = d.Maps.With(next.ID, &next)
	}
	res := edit.Apply(d, made(1, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Pans, ID: "aaaaaaaaaaaa"},
		document.Entity{ID: "aaaaaaaaaaaa", Layer: sample.Entities, Kind: kind.Sign, Name: "One more", Facing: document.Down, W: 1, H: 1})))
	if err := edit.Fits(res); err == nil || !strings.Contains(err.Error(), "200,000 entities") {
		t.Errorf("one entity too many gave %v", err)
	}
	if err := edit.Fits(edit.Apply(d, made(1, edit.Set(edit.Ref{Type: edit.TypeProject}, "name", "Still")))); err != nil {
		t.Errorf("what adds nothing was refused: %v", err)
	}
}

// A few bytes may not stand for what no machine holds.
func TestHeavyEditsAreRefused(t *testing.T) {
	chunk := make([]cells.Cell, 1024)
	for i := range chunk {
		chunk[i] = cells.TileCell(1, i&1)
	}
	heavy := func(chunks int) cells.Patch {
		var p cells.Patch
		for i := range chunks {
			p = append(p, cells.ChunkPatch{CX: i % 128, CY: i / 128, Cells: chunk})
		}
		return p
	}
	paint := func(n, chunks int) []byte {
		p := edit.Primitive{Op: edit.OpCells, Ref: edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, Cells: heavy(chunks)}
		one := string(edit.JSON(p))
		return []byte(`{"v":1,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[` + strings.Repeat(one+",", n-1) + one + `]}`)
	}
	many := func(field, item string, n int) []byte {
		return []byte(`{"v":1,"client":"clientclient","number":1,"label":{"kind":"do","text":""},"do":[{"op":"insert","ref":{"type":"map","id":"aaaaaaaaaaaa"},"value":{},"content":{"` +
			field + `":[` + strings.Repeat(item+",", n) + item + `]}}]}`)
	}
	for name, data := range map[string][]byte{
		"one heavy patch":  paint(1, 12_000),
		"many":             paint(40, 400),
		"entities":         many("entities", "{}", 2_000_000),
		"layers":           many("layers", "{}", 2_000_000),
		"deep":             []byte(strings.Repeat("[", 1_000_000)),
		"numbers":          many("entities", "0", 3_900_000),
		"no cells at all":  []byte(`{"v":1,"do":[{"cells":"AQ=="}]}`),
		"cells cut off":    []byte(`{"v":1,"do":[{"cells":"` + string(paint(1, 3))[200:230] + `"}]}`),
		"a bomb of a bomb": []byte(`{"v":1,"was":"` + strings.Repeat("A", 4<<20) + `"}`),
	} {
		if _, err := edit.Decode(data); err == nil {
			t.Errorf("%s: %d bytes were taken", name, len(data))
		}
	}
	// the largest that a person makes: a scatter over a scatter on the largest map, turned back
	e := made(1, edit.Primitive{Op: edit.OpCellsBack, Ref: edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Ground}, Cells: heavy(4096), Was: heavy(4096)})
	if _, err := edit.Decode(edit.JSON(e)); err != nil {
		t.Error(err)
	}
}
