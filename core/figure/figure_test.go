package figure

import (
	"slices"
	"testing"
)

var warden = Wish{Hair: "hood", Coat: "coat", Tool: "lantern", Skin: "#e8b48c", HairColour: "#e3a52f", CoatColour: "#e3a52f", LegColour: "#4a3024", ToolColour: "#ffe9a3", Size: 16}

// Every part is drawn as rows of 16 letters that have a colour.
func TestPartsFit(t *testing.T) {
	colours, err := coloursOf(warden)
	if err != nil {
		t.Fatal(err)
	}
	all := map[string][][]string{"legs": append(legs.front[:], legs.side[:]...), "head": {head.down, head.up, head.right}}
	for _, o := range hairs {
		all[o.name] = [][]string{o.down, o.up, o.right}
	}
	for _, o := range coats {
		all[o.name] = [][]string{o.down, o.up, o.right}
	}
	for _, o := range tools {
		all[o.name] = [][]string{o.down, o.up, o.right}
	}
	for name, looks := range all {
		for i, rows := range looks {
			if len(rows) > Side {
				t.Errorf("%s, way %d, has %d rows", name, i, len(rows))
			}
			for y, row := range rows {
				if len(row) != Side {
					t.Errorf("%s, way %d, row %d is %d wide", name, i, y, len(row))
				}
				for x := range len(row) {
					if _, ok := colours[row[x]]; !ok && row[x] != '.' {
						t.Errorf("%s, way %d, row %d has the letter %c", name, i, y, row[x])
					}
				}
			}
		}
	}
}

// Figures look four ways, left being right turned round, step, and are as large as is wanted; the same wish is the same figure,
// and every part makes another one.
func TestFigures(t *testing.T) {
	one, err := Draw(warden)
	if err != nil || one.Width != 48 || one.Height != 64 || len(one.Pixels) != 4*48*64 {
		t.Fatalf("%d × %d, %v", one.Width, one.Height, err)
	}
	again, _ := Draw(warden)
	if !slices.Equal(one.Pixels, again.Pixels) {
		t.Error("the same wish is another figure")
	}
	at := func(s Sheet, frame, row, x, y int) [4]byte {
		size := s.Width / Frames
		return [4]byte(s.Pixels[4*((row*size+y)*s.Width+frame*size+x):])
	}
	for y := range Side {
		for x := range Side {
			if at(one, 1, 1, x, y) != at(one, 1, 3, Side-1-x, y) {
				t.Fatalf("what looks left is not what looks right turned round, at %d, %d", x, y)
			}
		}
	}
	if at(one, 0, 2, 6, 4) != [4]byte{31, 42, 51, 255} {
		t.Error("it has no eye")
	}
	seen := [][]byte{one.Pixels}
	parts := All()
	for _, change := range []func(w *Wish, name string){func(w *Wish, n string) { w.Hair = n }, func(w *Wish, n string) { w.Coat = n }, func(w *Wish, n string) { w.Tool = n }} {
		for _, names := range [][]string{parts.Hairs, parts.Coats, parts.Tools} {
			for _, name := range names {
				w := warden
				change(&w, name)
				s, err := Draw(w)
				if err != nil || slices.ContainsFunc(seen, func(o []byte) bool { return slices.Equal(o, s.Pixels) }) {
					continue
				}
				seen = append(seen, s.Pixels)
			}
		}
	}
	if want := len(parts.Hairs) + len(parts.Coats) + len(parts.Tools) - 2; len(seen) != want {
		t.Errorf("changing one part gives %d figures, wanted %d", len(seen), want)
	}
	w := warden
	if w.Size = 32; true {
		big, err := Draw(w)
		if err != nil || big.Width != 96 || big.Height != 128 {
			t.Errorf("a large one is %d × %d: %v", big.Width, big.Height, err)
		}
	}
	for _, change := range []func(w *Wish){func(w *Wish) { w.Hair = "wig" }, func(w *Wish) { w.Size = 20 }, func(w *Wish) { w.Skin = "red" }, func(w *Wish) { w.Skin = "" }, func(w *Wish) { w.CoatColour = "#12345g" }} {
		w := warden
		if change(&w); true {
			if _, err := Draw(w); err == nil {
				t.Errorf("%+v is drawn", w)
			}
		}
	}
}
