package play_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"strings"
	"testing"
)

// tileOf is what the letters of a drawn map stand for.
var tileOf = map[rune]cells.Cell{'#': sample.Wall, '/': cells.TileCell(1, 20), '\\': cells.TileCell(1, 21), '-': cells.TileCell(1, 22),
	'H': cells.TileCell(1, 23), '~': cells.TileCell(1, 24), '^': cells.TileCell(1, 25), '_': cells.TileCell(1, 26), '"': cells.TileCell(1, 27)}

// drawn is a game on a map that is drawn as text: # is solid, / and \ are slopes, - lets up
// through, H is a ladder, ~ water, ^ hurts, _ is solid below and \" above, @ is where the hero begins.
// Settings are key=value, of the map; those that begin with hero. are the hero's kind's.
func drawn(t *testing.T, rows string, settings ...string) *run {
	t.Helper()
	lines := strings.Split(strings.Trim(rows, "\n"), "\n")
	d := sample.World()
	c, err := author.NewMap(d, "Drawn", len([]rune(lines[0])), len(lines))
	if err != nil {
		t.Fatal(err)
	}
	d = apply(t, d, c.Do...)
	infos := []document.TileInfo{}
	for tile, set := range map[int]func(*document.TileInfo){
		20: func(i *document.TileInfo) { i.Part = "ground rising right" }, 21: func(i *document.TileInfo) { i.Part = "ground rising left" },
		22: func(i *document.TileInfo) { i.OneWay = document.Up }, 23: func(i *document.TileInfo) { i.Is = document.GroundLadder },
		24: func(i *document.TileInfo) { i.Is = document.GroundWater }, 25: func(i *document.TileInfo) { i.Is = document.GroundHazard },
		26: func(i *document.TileInfo) { i.Part = "lower half" }, 27: func(i *document.TileInfo) { i.Part = "upper half" },
	} {
		info := document.NewTileInfo(tile)
		set(&info)
		infos = append(infos, info)
	}
	sortInfos(infos)
	do := []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", infos)}
	layer := ground(d, c.Made)
	at := grid.Point{}
	for y, line := range lines {
		for x, letter := range []rune(line) {
			if letter == '@' {
				at = grid.Point{X: x, Y: y}
			}
			if cell, ok := tileOf[letter]; ok {
				r := &grid.Region{}
				r.Add(grid.Point{X: x, Y: y})
				do = append(do, sample.Paint(c.Made, layer, r, cell))
			}
		}
	}
	var values, hero []kind.Value
	for _, s := range settings {
		key, value, _ := strings.Cut(s, "=")
		if strings.HasPrefix(key, "hero.") {
			hero = append(hero, kind.Value{Key: key[5:], Value: kind.Datum(value)})
			continue
		}
		values = append(values, kind.Value{Key: key, Value: kind.Datum(value)})
	}
	do = append(do, edit.Set(edit.Ref{Type: edit.TypeMap, ID: c.Made}, "values", values))
	if len(hero) > 0 {
		k := *kind.Find(kind.Hero)
		k.ID, k.Of, k.Name = "ownheroownhe", kind.Hero, "Warden"
		k.Settings = append([]kind.Setting{}, k.Settings...)
		for i, s := range k.Settings {
			for _, v := range hero {
				if v.Key == s.Key {
					k.Settings[i].Default = v.Value
				}
			}
		}
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, document.Lean(&k)))
	}
	d = apply(t, d, do...)
	g, err := play.StartAt(stage(d), c.Made, at, 1)
	if err != nil {
		t.Fatal(err)
	}
	return &run{t, d, g}
}

func ground(d *document.Document, m document.ID) document.ID {
	for _, l := range d.Maps.Get(m).LayersInOrder() {
		if l.Kind == document.LayerTiles {
			return l.ID
		}
	}
	return ""
}

func sortInfos(all []document.TileInfo) {
	for i := range all {
		for k := i; k > 0 && all[k].Tile < all[k-1].Tile; k-- {
			all[k], all[k-1] = all[k-1], all[k]
		}
	}
}

// px are pixels from units.
func px(v int64) int64 { return v / play.Sub }

// feet is the lower edge of the hero's box in sixteenths of a pixel over the top of a row.
func (r *run) feet() int64 { return r.hero().Y + 12*play.Sub }

// at checks which cell the hero is in.
func (r *run) at(what string, x, y int) {
	r.t.Helper()
	if got := r.cell(); got != (grid.Point{X: x, Y: y}) {
		r.t.Errorf("%s: the hero is at %v, wanted %d,%d", what, got, x, y)
	}
}
