package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/figure"
	"azzel/core/sample"
	"fmt"
	"strings"
	"testing"
)

// A house, a tree and a rock become a tileset, solid where one cannot pass, and a motif of all of it, in one step.
func TestScenery(t *testing.T) {
	for what, solid := range map[string]string{figure.House: "[3 4 5 6 7 8]", figure.Tree: "[7]", figure.Rock: "[0 1 2 3 4 5 6 7 8]"} {
		d := sample.World()
		set := document.Tileset{Number: 44, Picture: strings.Repeat("ab", 32), Width: 48, Height: 48, Cut: document.Cut{CellWidth: 16, CellHeight: 16}}
		c, err := author.AddScenery(d, set, what, "By the quay")
		d = apply(t, d, c, err)
		is, m := d.TilesetByNumber(44), d.Motifs.Get(c.Made)
		if is == nil || m == nil || m.Name != "By the quay" || m.W != 3 || m.H != 3 || len(m.Parts) != 1 || m.Parts[0].Cells.Region().Count() != 9 {
			t.Fatalf("%s: it is %+v of %+v", what, m, is)
		}
		if got := fmt.Sprint(is.Solid); got != solid {
			t.Errorf("of a %s %s are solid, want %s", what, got, solid)
		}
		set.Number, set.Width = 45, 40
		if _, err := author.AddScenery(d, set, what, "x"); err == nil {
			t.Error("a picture of broken cells is taken")
		}
		set.Width = 48
		if _, err := author.AddScenery(d, set, "boat", "x"); err == nil {
			t.Error("a boat is made")
		}
	}
}
