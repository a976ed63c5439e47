package check_test

import (
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"azzel/core/shade"
	"strings"
	"testing"
)

// evenly is how a tile of one colour looks.
func evenly(v int) (out shade.Shade) {
	out = shade.Shade{Covers: 100, R: v, G: v, B: v, Light: shade.Luminance(uint8(v), uint8(v), uint8(v))}
	out.Bins[v>>4] = 100
	return out
}

// Where the ground is of the hero's colour it is told, once it is known how tiles look; and not where something lies between, the hero has an
// outline, or is drawn as a figure.
func TestTheHeroStandsOut(t *testing.T) {
	looks := edit.Set(edit.Ref{Type: edit.TypeProject}, "hero", document.Hero{Frames: [4][]cells.Cell{{}, {}, {cells.TileCell(1, 15)}, {}}, Speed: 5})
	grey := []edit.Primitive{looks, sample.Paint(sample.Quay, sample.Ground, region(grid.Rect{X: 0, Y: 0, W: 20, H: 12}), cells.TileCell(1, 12))}
	outlined := evenly(120)
	outlined.Bins = [16]uint8{0: 40, 7: 60}
	for name, c := range map[string]struct {
		hero  shade.Shade
		known bool
		do    []edit.Primitive
		says  string
	}{
		"grey on grey":            {evenly(120), true, grey, "from 180 cells of Quay, at 1, 1 first"},
		"not known how it looks":  {evenly(120), false, grey, ""},
		"white on grey":           {evenly(240), true, grey, ""},
		"with an outline":         {outlined, true, grey, ""},
		"a figure":                {evenly(120), true, grey[1:], ""},
		"grey on few grey cells":  {evenly(120), true, []edit.Primitive{looks, sample.Paint(sample.Quay, sample.Ground, region(grid.Rect{X: 0, Y: 0, W: 3, H: 1}), cells.TileCell(1, 12))}, ""},
		"something lies between":  {evenly(120), true, append(grey[:2:2], sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 1, Y: 1, W: 18, H: 10}), cells.TileCell(1, 13))), ""},
		"what lies there is thin": {evenly(120), true, append(grey[:2:2], sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 1, Y: 1, W: 18, H: 10}), cells.TileCell(1, 14))), "from 180 cells"},
	} {
		d := sample.With(sample.World(), c.do...)
		thin := evenly(250)
		thin.Covers = 20
		looked := 0
		checker := check.Checker{Shades: func(*document.Tileset) []shade.Shade {
			if looked++; !c.known {
				return nil
			}
			all := make([]shade.Shade, 40)
			all[12], all[13], all[14], all[15] = evenly(125), evenly(250), thin, c.hero
			return all
		}}
		ch := chart.New(d, nil)
		text := ""
		for _, f := range checker.Find(ch) {
			if f.What == check.HardToSee {
				text += f.Text
			}
		}
		if (text != "") != (c.says != "") || !strings.Contains(text, c.says) {
			t.Errorf("%s: %q", name, text)
		}
		// it is asked again only once more is known
		before := looked
		checker.Find(ch)
		again := looked - before
		checker.Known++
		before = looked
		if checker.Find(ch); c.says != "" && (again > 1 || looked-before < 2) {
			t.Errorf("%s: it was asked %d times, and once more was known %d", name, again, looked-before)
		}
	}
}

// Pictures that repeat quickly are no flicker where they are about equally light.
func TestWhatFlickersDiffersInLight(t *testing.T) {
	info := document.NewTileInfo(3)
	info.Frames = []document.Frame{{Tile: 3, Ms: 100}, {Tile: 4, Ms: 100}}
	d := sample.With(sample.World(), edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{info}))
	for _, c := range []struct {
		a, b  int
		tells bool
	}{{100, 110, false}, {20, 240, true}, {240, 20, true}} {
		checker := check.Checker{Shades: func(*document.Tileset) []shade.Shade { return []shade.Shade{{}, {}, {}, evenly(c.a), evenly(c.b)} }}
		n := 0
		for _, f := range checker.Find(chart.New(d, nil)) {
			if f.What == check.Flickers {
				n++
			}
		}
		if (n > 0) != c.tells {
			t.Errorf("from %d to %d there are %d", c.a, c.b, n)
		}
	}
}
