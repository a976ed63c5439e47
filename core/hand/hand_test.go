package hand_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/kind"
	"azzel/core/sample"
	"errors"
	"fmt"
	"strings"
	"testing"
)

func way(p ...int) (out []grid.Point) {
	for i := 0; i < len(p); i += 2 {
		out = append(out, grid.Point{X: p[i], Y: p[i+1]})
	}
	return
}

func at(d *document.Document, m *document.Map) hand.Work {
	return hand.Work{Doc: d, Map: m, Active: sample.Ground}
}

func sized(shape string, size int, round bool) hand.Grip {
	g := tile(shape)
	if shape == hand.Rim {
		g.Depth, g.Oval = size, round
		g.Size, g.Round = 9, !round // a brush is another thing
	} else {
		g.Size, g.Round = size, round
		g.Depth, g.Oval = 9, !round
	}
	return g
}

func tile(shape string) hand.Grip {
	return hand.Grip{What: hand.Tiles, Cells: []cells.Cell{sample.Wall}, Width: 1, Shape: shape}
}

// What the ghost shows is what the edit does, for each shape.
func TestPlanIsWhatHappens(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Pans)
	for _, c := range []struct {
		name  string
		grip  hand.Grip
		ges   hand.Gesture
		cells int
		text  string
	}{
		{"freehand", tile(hand.Freehand), hand.Gesture{Way: way(2, 2, 5, 2, 5, 4)}, 6, "Painted 6 cells"},
		{"line", tile(hand.Line), hand.Gesture{Way: way(0, 0, 9, 9, 4, 0)}, 5, "Painted 5 cells"},
		{"box", tile(hand.Box), hand.Gesture{Way: way(6, 5, 3, 2)}, 16, "Painted 16 cells"},
		{"box over the edge", tile(hand.Box), hand.Gesture{Way: way(18, 10, 90, 90)}, 4, "Painted 4 cells"},
		{"fill", tile(hand.Fill), hand.Gesture{Way: way(5, 5)}, 240, "Painted 240 cells"},
		{"even box", tile(hand.Box), hand.Gesture{Way: way(2, 2, 4, 3), Even: true}, 9, "Painted 9 cells"},
		{"even line", tile(hand.Line), hand.Gesture{Way: way(2, 2, 9, 4), Even: true}, 8, "Painted 8 cells"},
		{"rim", tile(hand.Rim), hand.Gesture{Way: way(2, 2, 6, 6)}, 16, "Painted 16 cells"},
		{"deep rim", sized(hand.Rim, 2, false), hand.Gesture{Way: way(2, 2, 6, 6)}, 24, "Painted 24 cells"},
		{"rim of an oval", sized(hand.Rim, 1, true), hand.Gesture{Way: way(0, 0, 6, 6)}, 16, "Painted 16 cells"},
		{"oval", tile(hand.Oval), hand.Gesture{Way: way(0, 0, 6, 6)}, 37, "Painted 37 cells"},
		{"empties", tile(hand.Empties), hand.Gesture{Way: way(0, 0)}, 0, "no cell of Ground is empty"},
		{"broad stroke", sized(hand.Freehand, 3, false), hand.Gesture{Way: way(5, 5, 8, 5)}, 18, "Painted 18 cells"},
		{"broad round line", sized(hand.Line, 3, true), hand.Gesture{Way: way(5, 5, 8, 5)}, 18, "Painted 18 cells"},
		{"removing", tile(hand.Box), hand.Gesture{Way: way(0, 0, 1, 1), Remove: true}, 4, "Erased 4 cells"},
		{"eraser", hand.Grip{What: hand.Eraser, Shape: hand.Freehand}, hand.Gesture{Way: way(3, 3)}, 1, "Erased 1 cell"},
	} {
		p, err := hand.Resolve(at(d, m), c.grip, c.ges)
		if err != nil {
			if err.Error() != c.text {
				t.Errorf("%s: %v", c.name, err)
			}
			continue
		}
		do, label := p.Edit(d, m, c.grip)
		res := edit.Apply(d, &edit.Edit{Do: do})
		after := res.Doc.Maps.Get(sample.Pans).Layers.Get(sample.Ground).Cells
		want := sample.Wall
		if p.Removing {
			want = 0
		}
		if p.Region.Count() != c.cells || label.Text != c.text {
			t.Errorf("%s: %d cells, %q", c.name, p.Region.Count(), label.Text)
		}
		for y := range 12 {
			for x := range 20 {
				if in := p.Region.Has(grid.Point{X: x, Y: y}); (after.At(x, y) == want) != in {
					t.Errorf("%s: cell %d,%d", c.name, x, y)
				}
			}
		}
	}
}

func TestTargetLayer(t *testing.T) {
	d := sample.World()
	set := func(layer document.ID, field string) *document.Map {
		d := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: layer}, field, true)}}).Doc
		return d.Maps.Get(sample.Quay)
	}
	door := hand.Grip{What: hand.Entity, Kind: kind.Door}
	painted, erased := tile(hand.Box), hand.Grip{What: hand.Eraser}
	for _, c := range []struct {
		name   string
		m      *document.Map
		grip   hand.Grip
		active document.ID
		want   document.ID
	}{
		{"active fits", d.Maps.Get(sample.Quay), painted, sample.Ground, sample.Ground},
		{"nearest tiles", d.Maps.Get(sample.Quay), painted, sample.Entities, sample.Things},
		{"entity", d.Maps.Get(sample.Quay), door, sample.Ground, sample.Entities},
		{"locked", set(sample.Things, "locked"), painted, sample.Things, sample.Ground},
		{"hidden", set(sample.Ground, "hidden"), painted, sample.Ground, sample.Things},
		{"eraser stays", d.Maps.Get(sample.Quay), erased, sample.Entities, sample.Entities},
	} {
		if l := hand.Target(sample.World(), c.m, &c.grip, c.active); l == nil || l.ID != c.want {
			t.Errorf("%s: %+v", c.name, l)
		}
	}
	if hand.Target(sample.World(), set(sample.Entities, "locked"), &door, sample.Entities) != nil {
		t.Error("a locked layer was taken")
	}
	m := set(sample.Entities, "locked")
	if _, err := hand.Resolve(at(d, m), door, hand.Gesture{Way: way(3, 3)}); err == nil || !strings.Contains(err.Error(), "layer of entities") {
		t.Errorf("the refusal is %v", err)
	}
}

func TestPlacingEntities(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	pearl := hand.Grip{What: hand.Entity, Kind: kind.Collectible, Shape: hand.Line}
	p, err := hand.Resolve(at(d, m), pearl, hand.Gesture{Way: way(3, 2, 6, 2)})
	if err != nil || len(p.Place) != 3 { // one stands at 4,2 already
		t.Fatalf("%v %+v", err, p)
	}
	if p.Place[0].Name != "Collectible" || p.Place[1].Name != "Collectible 2" || p.Place[1].X != 80 {
		t.Errorf("%+v %+v", p.Place[0], p.Place[1])
	}
	wide := *d.Maps.Get(sample.Pans)
	wide.Bounds = grid.Rect{W: 200, H: 11}
	pearl.Shape = hand.Box
	if p, err := hand.Resolve(at(d, &wide), pearl, hand.Gesture{Way: way(0, 0, 199, 9)}); err != nil || len(p.Place) != 2000 {
		t.Errorf("two thousand at once: %v, %d", err, len(p.Place))
	}
	if _, err := hand.Resolve(at(d, &wide), pearl, hand.Gesture{Way: way(0, 0, 199, 10)}); err == nil || !strings.Contains(err.Error(), "more than 2000") {
		t.Errorf("more than two thousand: %v", err)
	}
	pearl.Shape = hand.Line
	exit := hand.Grip{What: hand.Entity, Kind: kind.Exit, Shape: hand.Freehand}
	p, _ = hand.Resolve(at(d, m), exit, hand.Gesture{Way: way(2, 2, 4, 7)})
	if len(p.Place) != 1 || p.Place[0].W != 48 || p.Place[0].H != 96 || p.Place[0].Name != "Exit 2" {
		t.Errorf("a dragged exit is %+v", p.Place)
	}
	p, _ = hand.Resolve(at(d, m), pearl, hand.Gesture{Way: way(2, 2, 10, 2), Remove: true})
	if len(p.Take) != 1 || p.Take[0].ID != sample.Pearl { // and not the spawn and the door beside it
		t.Errorf("takes %d away", len(p.Take))
	}
	for name, g := range map[string]hand.Grip{
		"no block": {What: hand.Tiles, Shape: hand.Box}, "bad width": {What: hand.Tiles, Cells: make([]cells.Cell, 5), Width: 2},
		"no kind": {What: hand.Entity, Kind: "dragon"}, "nothing": {What: hand.Nothing}, "turn": {What: hand.Eraser, Turn: 9}, "what": {What: "cloud"},
	} {
		if _, err := hand.Resolve(at(d, m), g, hand.Gesture{Way: way(1, 1)}); err == nil {
			t.Errorf("%s: was taken", name)
		}
	}
	if _, err := hand.Resolve(at(d, m), tile(hand.Box), hand.Gesture{Way: way(90, 90)}); err == nil {
		t.Error("worked outside the map")
	}
	if _, err := hand.Resolve(at(d, m), tile(hand.Box), hand.Gesture{}); err == nil {
		t.Error("worked nowhere")
	}
}

// Four quarter turns, and two mirrors, are no turn; a block turns with its tiles.
func TestTurns(t *testing.T) {
	sheets := sample.World().Sheets()
	g := hand.Grip{What: hand.Tiles, Cells: []cells.Cell{1 << 16, 1<<16 + 1, 1<<16 + 2, 1<<16 + 3, 1<<16 + 4, 1<<16 + 5}, Width: 3}
	g.Turn = 1
	block, w := g.Block(sheets)
	want := []int{3, 0, 4, 1, 5, 2}
	for i, c := range block {
		if c.Tile() != want[i] || c&cells.TurnBits != cells.Exchange|cells.MirrorX {
			t.Fatalf("turned block is %x, %d wide", block, w)
		}
	}
	for range 3 {
		next := hand.Grip{What: hand.Tiles, Cells: block, Width: w, Turn: 1}
		block, w = next.Block(sheets)
	}
	for i, c := range block {
		if c != g.Cells[i] || w != 3 {
			t.Fatalf("four turns give %x", block)
		}
	}
	mirrored := hand.Grip{What: hand.Tiles, Cells: g.Cells, Width: 3, Turn: 4}
	block, w = mirrored.Block(sheets)
	again := hand.Grip{What: hand.Tiles, Cells: block, Width: w, Turn: 4}
	block, _ = again.Block(sheets)
	for i, c := range block {
		if c != g.Cells[i] {
			t.Fatalf("two mirrors give %x", block)
		}
	}
}

func TestPickUp(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	g, layer, ok := hand.PickUp(d, m, grid.Point{X: 0, Y: 0})
	if !ok || g.What != hand.Tiles || g.Cells[0] != sample.Wall || layer != sample.Things {
		t.Errorf("picked %+v from %s", g, layer)
	}
	g, layer, ok = hand.PickUp(d, m, grid.Point{X: 10, Y: 2})
	if !ok || g.What != hand.Entity || g.Kind != kind.Door || layer != sample.Entities {
		t.Errorf("picked %+v from %s", g, layer)
	}
	if _, _, ok = hand.PickUp(d, d.Maps.Get(sample.Pans), grid.Point{X: -1, Y: 2}); ok {
		t.Error("picked something outside the map")
	}
}

// Where the layer that is worked on takes what is held but is hidden or locked, nothing
// goes to another one; what belongs elsewhere still finds its layer.
func TestShutLayers(t *testing.T) {
	base := sample.World()
	layer := func(d *document.Document, id document.ID, change func(*document.Layer)) *document.Document {
		m := *d.Maps.Get(sample.Quay)
		l := *m.Layers.Get(id)
		change(&l)
		m.Layers = m.Layers.With(id, &l)
		next := *d
		next.Maps = d.Maps.With(m.ID, &m)
		return &next
	}
	lock := func(l *document.Layer) { l.Locked = true }
	hide := func(l *document.Layer) { l.Hidden = true }
	group := layer(base, sample.Things, func(l *document.Layer) { l.Group = "groupgroupgr" })
	m := *group.Maps.Get(sample.Quay)
	m.Layers = m.Layers.With("groupgroupgr", &document.Layer{ID: "groupgroupgr", Name: "Props", Kind: document.LayerGroup, Hidden: true})
	group.Maps = group.Maps.With(m.ID, &m)
	for _, c := range []struct {
		name   string
		d      *document.Document
		active document.ID
		grip   hand.Grip
		want   string
	}{
		{"open", base, sample.Ground, tile(hand.Freehand), ""},
		{"locked", layer(base, sample.Ground, lock), sample.Ground, tile(hand.Freehand), "Ground is locked"},
		{"hidden", layer(base, sample.Ground, hide), sample.Ground, tile(hand.Freehand), "Ground is hidden"},
		{"both", layer(layer(base, sample.Ground, hide), sample.Ground, lock), sample.Ground, tile(hand.Freehand), "Ground is hidden"},
		{"its group", group, sample.Things, tile(hand.Freehand), "Props is hidden"},
		{"the eraser", layer(base, sample.Ground, lock), sample.Ground, hand.Grip{What: hand.Eraser, Shape: hand.Freehand}, "Ground is locked"},
		{"another is locked", layer(base, sample.Things, lock), sample.Ground, tile(hand.Freehand), ""},
		{"what goes elsewhere", layer(base, sample.Ground, lock), sample.Ground, hand.Grip{What: hand.Entity, Kind: "key", Shape: hand.Freehand}, ""},
	} {
		_, err := hand.Resolve(hand.Work{Doc: c.d, Map: c.d.Maps.Get(sample.Quay), Active: c.active}, c.grip, hand.Gesture{Way: way(5, 5)})
		var shut *hand.Shut
		if c.want == "" && err != nil || c.want != "" && (!errors.As(err, &shut) || !strings.HasPrefix(err.Error(), c.want) || shut.Hidden != strings.Contains(c.want, "hidden")) {
			t.Errorf("%s: %v, wanted %q", c.name, err, c.want)
		}
	}
	// what is erased is counted by what was there
	work := hand.Work{Doc: base, Map: base.Maps.Get(sample.Quay), Active: sample.Things}
	g := hand.Grip{What: hand.Eraser, Shape: hand.Box}
	p, err := hand.Resolve(work, g, hand.Gesture{Way: way(0, 0, 4, 4)})
	if err != nil {
		t.Fatal(err)
	}
	filled := base.Maps.Get(sample.Quay).Layers.Get(sample.Things).Cells.Region(grid.Rect{W: 5, H: 5}, func(c cells.Cell) bool { return c != 0 }).Count()
	if _, label := p.Edit(base, work.Map, g); filled == 25 || label.Text != fmt.Sprintf("Erased %d cells", filled) {
		t.Errorf("%d of 25 cells were filled, and it says %q", filled, label.Text)
	}
}
