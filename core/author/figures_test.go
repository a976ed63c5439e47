package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/figure"
	"azzel/core/kind"
	"azzel/core/sample"
	"strings"
	"testing"
)

// A figure becomes a tileset and a kind that looks and walks as it does, in one step.
func TestFigures(t *testing.T) {
	sheet := func(size int) document.Tileset {
		return document.Tileset{Number: 44, Picture: strings.Repeat("ab", 32), Width: figure.Frames * size, Height: 4 * size, Cut: document.Cut{CellWidth: size, CellHeight: size}}
	}
	d := sample.World()
	c, err := author.AddFigure(d, sheet(16), kind.Character, "Rake hand")
	d = apply(t, d, c, err)
	k, set := d.Kind(c.Made), d.TilesetByNumber(44)
	if k == nil || set == nil || k.Acts() != kind.Character || k.Name != "Rake hand" || set.Name != "Rake hand" || k.Look != cells.TileCell(44, 6) || k.Frames[1][2] != cells.TileCell(44, 5) {
		t.Fatalf("it is %+v of %+v", k, set)
	}
	for name, try := range map[string]func() (author.Change, error){
		"a door":         func() (author.Change, error) { return author.AddFigure(d, sheet(16), kind.Door, "x") },
		"without a name": func() (author.Change, error) { return author.AddFigure(d, sheet(16), kind.Hero, "") },
		"a number twice": func() (author.Change, error) { return author.AddFigure(d, sheet(32), kind.Hero, "x") },
		"no figure sheet": func() (author.Change, error) {
			s := sheet(16)
			s.Width = 64
			return author.AddFigure(d, s, kind.Hero, "x")
		},
	} {
		if _, err := try(); err == nil {
			t.Errorf("%s is made", name)
		}
	}
}
