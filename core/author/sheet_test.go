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
	first := c
	k := done(t, d, first, err).Kind(own)
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
	// rows that show something else being done are added to what is there, and take the place of the like
	more := sheet
	more.From, more.Rows, more.Does = 32, []string{"right", "down"}, []string{kind.Jumps, kind.Swims}
	d = done(t, d, first, nil)
	c, err = author.CutFigures(d, more)
	d = done(t, d, c, err)
	k = d.Kind(own)
	if len(k.Poses) != 2 || !slices.Equal(k.Pose(kind.Jumps).Frames[1], tiles(32, 33, 34)) || !slices.Equal(k.Pose(kind.Swims).Frames[2], tiles(48, 49, 50)) || k.Poses[0].Ms != k.FrameMs || len(k.Frames[2]) != 3 {
		t.Errorf("the poses are %+v beside %v", k.Poses, k.Frames)
	}
	more.From, more.Rows, more.Does = 0, []string{"left"}, []string{kind.Jumps}
	c, err = author.CutFigures(d, more)
	if k = done(t, d, c, err).Kind(own); len(k.Poses) != 2 || len(k.Pose(kind.Jumps).Frames[1]) != 0 || !slices.Equal(k.Pose(kind.Jumps).Frames[3], tiles(0, 1, 2)) {
		t.Errorf("cut anew they are %+v", k.Poses)
	}
	for why, change := range map[string]func(*author.FigureSheet){
		"other pictures are of 1 × 2 tiles": func(f *author.FigureSheet) { f.Down = 1 },
		"there are no pictures of “dances”": func(f *author.FigureSheet) { f.Does = []string{"dances"} },
		"two rows look left and do the same": func(f *author.FigureSheet) {
			f.Rows, f.Does = []string{"left", "left"}, []string{kind.Jumps, kind.Jumps}
		},
	} {
		bad := more
		change(&bad)
		if _, err := author.CutFigures(d, bad); err == nil || !strings.Contains(err.Error(), why) {
			t.Errorf("wanted a refusal with %q, it says %v", why, err)
		}
	}
	fits := sheet // to the last tile
	fits.From, fits.Rows = 13, []string{"down", "up", "left", "right"}
	fits.Down = 2
	fits.Rows = fits.Rows[:2]
	if _, err := author.CutFigures(d, fits); err != nil {
		t.Errorf("what ends at the right side: %v", err)
	}
}
