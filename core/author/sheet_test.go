package author_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"strings"
	"testing"
)

func TestCutFigures(t *testing.T) {
	d := sample.World() // its sheet has 8 × 8 tiles
	c, err := author.AddKind(d, kind.Character, "Keeper")
	d = done(t, d, c, err)
	own := c.Made
	sheet := author.FigureSheet{Kind: own, Tileset: sample.Coast, From: 9, Across: 1, Down: 2, Frames: 3, Rows: []string{"down", "", "left"}}
	c, err = author.CutFigures(d, sheet)
	k := done(t, d, c, err).Kind(own)
	tiles := func(all ...int) (out []cells.Cell) {
		for _, n := range all {
			out = append(out, cells.TileCell(1, n))
		}
		return out
	}
	if k.Across != 1 || k.Down != 2 || !slices.Equal(k.Frames[2], tiles(9, 10, 11)) || !slices.Equal(k.Frames[3], tiles(41, 42, 43)) || len(k.Frames[0])+len(k.Frames[1]) != 0 {
		t.Errorf("cut are %v, %d × %d tiles each", k.Frames, k.Across, k.Down)
	}
	for why, change := range map[string]func(*author.FigureSheet){
		"reach 1 tiles past the right side": func(f *author.FigureSheet) { f.From = 14 },
		"reach 2 tiles past the right side": func(f *author.FigureSheet) { f.Across = 3 },
		"reach 1 tiles past the lower side": func(f *author.FigureSheet) { f.From = 25 },
		"Coast has no tile 64":              func(f *author.FigureSheet) { f.From = 64 },
		"Coast has no tile -1":              func(f *author.FigureSheet) { f.From = -1 },
		"at least one row, and one frame":   func(f *author.FigureSheet) { f.Frames = 0 },
		"two rows look down":                func(f *author.FigureSheet) { f.Rows = []string{"down", "down"} },
		"which way it looks":                func(f *author.FigureSheet) { f.Rows = []string{""} },
		"up, right, down or left":           func(f *author.FigureSheet) { f.Rows = []string{"north"} },
		"the tileset is no longer there":    func(f *author.FigureSheet) { f.Tileset = "gonegonegone" },
		"the kind is no longer there":       func(f *author.FigureSheet) { f.Kind = document.ID(kind.Character) },
	} {
		bad := sheet
		change(&bad)
		if _, err := author.CutFigures(d, bad); err == nil || !strings.Contains(err.Error(), why) {
			t.Errorf("wanted a refusal with %q, it says %v", why, err)
		}
	}
	fits := sheet // to the last tile
	fits.From, fits.Rows = 13, []string{"down", "up", "left", "right"}
	fits.Down = 1
	if _, err := author.CutFigures(d, fits); err != nil {
		t.Errorf("what ends at the right side: %v", err)
	}
}
