package hand_test

import (
	"azzel/answers"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"
)

// grips is one of each thing that can be held, the ways in which it can be turned and drawn.
func grips() map[string]hand.Grip {
	block := []cells.Cell{cells.TileCell(1, 2), 0, cells.TileCell(1, 3), cells.TileCell(1, 4), cells.TileCell(1, 5) | cells.MirrorX, cells.TileCell(1, 6)}
	return map[string]hand.Grip{
		"a tile":            {What: hand.Tiles, Cells: block[:1], Width: 1},
		"a broad tile":      {What: hand.Tiles, Cells: block[:1], Width: 1, Size: 3, Depth: 2},
		"a round tile":      {What: hand.Tiles, Cells: block[:1], Width: 1, Size: 5, Round: true, Depth: 3, Oval: true, Inside: &hand.Grip{What: hand.Material, Number: 9}},
		"a block":           {What: hand.Tiles, Cells: block, Width: 3},
		"a turned block":    {What: hand.Tiles, Cells: block, Width: 3, Turn: 5, Aligned: true},
		"a scatter":         {What: hand.Tiles, Cells: block, Width: 3, Scatter: &hand.Scatter{Odds: []int{3, 1, 2, 0, 1}, Nothing: 2, Apart: true}},
		"a material":        {What: hand.Material, Number: 9, Corners: true},
		"a motif":           {What: hand.Motif, Motif: "motifmotifmo"},
		"a turned motif":    {What: hand.Motif, Motif: "motifmotifmo", Turn: 3, Aligned: true},
		"a zone":            {What: hand.Zone, Number: 7, Shown: true},
		"the eraser":        {What: hand.Eraser, Size: 2, Inside: &hand.Grip{What: hand.Eraser}},
		"a pearl":           {What: hand.Entity, Kind: "collectible"},
		"pearls in place":   {What: hand.Entity, Kind: "collectible", Replace: true, Scatter: &hand.Scatter{Nothing: 1}},
		"an exit":           {What: hand.Entity, Kind: "exit", Turn: 2},
		"a path":            {What: hand.Entity, Kind: "path"},
		"a decoration":      {What: hand.Entity, Kind: "decoration", Look: cells.TileCell(1, 4), Turn: 6},
		"nothing":           {What: hand.Nothing},
		"a removed motif":   {What: hand.Motif, Motif: "nothingofit0"},
		"a removed zone":    {What: hand.Zone, Number: 99},
		"a wrong block":     {What: hand.Tiles, Cells: block, Width: 4},
		"too broad a brush": {What: hand.Eraser, Size: hand.MaxSize + 1},
	}
}

// What each thing would do with each shape, put down or taken away, mirrored or within a
// selection, is as it was. After a wanted change: AZZEL_ANSWERS=1 go test ./core/hand.
func TestPlansStay(t *testing.T) {
	list := answers.Read(t, "testdata/answers.txt")
	d := sample.Full()
	within := &grid.Region{}
	within.AddRect(grid.Rect{X: 2, Y: 2, W: 9, H: 7})
	ways := [][]grid.Point{way(4, 4), way(3, 3, 6, 5), way(9, 7, 9, 2, 4, 2), way(-3, 1, 30, 9), way(0, 0, 19, 11), way(17, 9, 18, 10)}
	all := grips()
	for _, name := range slices.Sorted(maps.Keys(all)) {
		g := all[name]
		marks := []string{}
		for _, shape := range []string{hand.Freehand, hand.Line, hand.Box, hand.Rim, hand.Oval, hand.Fill, hand.Empties, "star"} {
			for k, gone := range ways {
				for n := range 6 {
					g := g
					g.Shape = shape
					m := d.Maps.Get([]document.ID{sample.Quay, sample.Pans}[n%2])
					w := hand.Work{Doc: d, Map: m, Active: []document.ID{sample.Ground, sample.Things, sample.Entities}[n%3]}
					ges := hand.Gesture{Way: gone, Remove: n == 2 || n == 5, Even: n == 1, Seed: int64(k * n), At: &grid.Point{X: gone[0].X*16 + 5, Y: gone[0].Y*16 + 11}}
					switch n {
					case 3:
						w.Within = within
					case 4:
						w.Mirror = grid.Mirror{Mode: []string{"left–right", "up–down", "both", "quarters"}[k%4], X: 19, Y: 12}
					}
					marks = append(marks, answers.Sum(planned(d, m, w, g, ges)))
				}
			}
		}
		list.Are(strings.ReplaceAll(name, " ", "-"), marks, func(k int) string { return fmt.Sprintf("%s, %d", name, k) })
	}
	list.Write()
}

// planned is a plan in words: what it touches, and the edit that it makes, without new ids.
func planned(d *document.Document, m *document.Map, w hand.Work, g hand.Grip, ges hand.Gesture) string {
	p, err := hand.Resolve(w, g, ges)
	if err != nil {
		return err.Error()
	}
	said := fmt.Sprint(p.Layer, p.Removing, p.Region.Count(), p.Region.Bounds(), p.Count(), p.Changes(), len(p.Take), len(p.Stamps))
	for _, e := range p.Place {
		one := *e
		one.ID = ""
		raw, _ := json.Marshal(one)
		said += string(raw)
	}
	do, label := p.Edit(d, m, g)
	said += label.Text
	for _, one := range do {
		if one.Op == edit.OpCells {
			said += string(one.Ref.Map) + string(edit.JSON(one.Cells))
		}
	}
	return said
}
