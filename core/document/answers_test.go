package document_test

import (
	"azzel/answers"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/sample"
	"encoding/json"
	"fmt"
	"testing"
)

// checked is an object that can be read and checked.
type checked interface{ Check() error }

// What is wrong with objects, and with all that lie a little beside them, is said as it
// was. After a wanted change: AZZEL_ANSWERS=1 go test ./core/document -run AnswersStay.
func TestAnswersStay(t *testing.T) {
	d := sample.Full()
	list := answers.Read(t, "testdata/answers.txt")
	ask := func(name string, o any, next func() checked) {
		all := answers.Around(edit.JSON(o))
		var marks []string
		for _, raw := range all {
			into := next()
			err := document.Strict(raw, into)
			if err == nil {
				err = into.Check()
			}
			marks = append(marks, answers.Sum(fmt.Sprint(err)))
		}
		list.Are(name, marks, func(k int) string { return name + " " + string(all[k]) })
	}
	quay := d.Maps.Get(sample.Quay)
	ask("project", d.Project, func() checked { return &document.Project{} })
	ask("map", quay, func() checked { return &document.Map{} })
	for _, l := range quay.LayersInOrder() {
		ask("layer-"+string(l.ID), l, func() checked { return &document.Layer{} })
	}
	for _, e := range document.InRank(quay.Entities.All()) {
		ask("entity-"+string(e.ID), e, func() checked { return &document.Entity{} })
	}
	for _, o := range d.TilesetsInOrder() {
		ask("tileset-"+string(o.ID), o, func() checked { return &document.Tileset{} })
	}
	for _, o := range d.ZonesInOrder() {
		ask("zone", o, func() checked { return &document.Zone{} })
	}
	for _, o := range d.MaterialsInOrder() {
		ask("material", o, func() checked { return &document.Material{} })
	}
	for _, o := range d.MotifsInOrder() {
		ask("motif", o, func() checked { return &document.Motif{} })
	}
	for _, o := range d.Kinds.All() {
		ask("kind", o, func() checked { return &document.Kind{} })
	}
	for _, o := range d.Rules.All() {
		ask("rule-"+string(o.ID), o, func() checked { return &document.Rule{} })
		for _, p := range o.Parts.All() {
			ask("part-"+p.Word+string(p.Parent), p, func() checked { return &document.RulePart{} })
		}
	}
	for _, o := range d.Passages.All() {
		ask("passage", o, func() checked { return &document.Passage{} })
	}
	for _, o := range d.Counters.All() {
		ask("counter", o, func() checked { return &document.Counter{} })
	}
	for _, o := range d.Flags.All() {
		ask("flag", o, func() checked { return &document.Flag{} })
	}
	list.Write()
}

// Every part of a tile, however it is turned, is as solid as it was, alone and merged,
// for what stands in it and for what comes past it.
func TestSolidPartsStay(t *testing.T) {
	list := answers.Read(t, "testdata/solids.txt")
	infos := []document.TileInfo{{Odds: 1, Partner: -1, OneWay: document.Up}, {Odds: 1, Partner: -1, OneWay: document.Left}, {Odds: 1, Partner: -1, Is: "water"}}
	names := []string{"from above", "from the left", "water"}
	for _, p := range document.Parts {
		infos, names = append(infos, document.TileInfo{Odds: 1, Partner: -1, Part: p.Name}), append(names, p.Name)
	}
	infos = append(infos, document.TileInfo{Odds: 1, Partner: -1, Part: document.PartOwn,
		Own: document.Outlines{{{X: 2, Y: 3}, {X: 13, Y: 3}, {X: 9, Y: 12}}, {{X: 0, Y: 14}, {X: 16, Y: 14}, {X: 16, Y: 16}, {X: 0, Y: 16}}}})
	names = append(names, "own")
	for i, info := range infos {
		info.Tile = 2
		var marks []string
		turns := []cells.Cell{0, cells.MirrorX, cells.MirrorY, cells.MirrorX | cells.MirrorY, cells.Exchange, cells.Exchange | cells.MirrorX}
		for _, turn := range turns {
			r := &grid.Region{}
			r.AddRect(grid.Rect{X: 4, Y: 4, W: 2, H: 2})
			res := edit.Apply(sample.World(), &edit.Edit{Do: []edit.Primitive{
				edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{info}),
				sample.Paint(sample.Pans, sample.Things, r, cells.TileCell(1, 2)|turn)}})
			d := res.Doc
			m, s := d.Maps.Get(sample.Pans), d.Solids()
			said := fmt.Sprint(res.Dropped)
			merged, err := json.Marshal(s.Merged(m))
			said += fmt.Sprint(string(merged), err, s.Any(m))
			for y := 3; y < 7; y++ {
				for x := 3; x < 7; x++ {
					p := grid.Point{X: x, Y: y}
					said += fmt.Sprint(s.At(m, p), s.Water(m, p))
				}
			}
			for y := int64(40); y < 110; y += 3 {
				for x := int64(40); x < 110; x += 3 {
					was := document.Extent{Left: x * 256, Top: (y - 5) * 256, Right: (x + 9) * 256, Bottom: (y + 4) * 256}
					now := document.Extent{Left: x * 256, Top: y * 256, Right: (x + 9) * 256, Bottom: (y + 9) * 256}
					said += fmt.Sprint(s.Stops(m, was, now), s.Stops(m, now, was))
				}
			}
			marks = append(marks, answers.Sum(said))
		}
		list.Are(fmt.Sprintf("%d", i), marks, func(k int) string { return fmt.Sprintf("%s turned by %x", names[i], turns[k]) })
	}
	list.Write()
}
