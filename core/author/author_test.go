package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/sample"
	"strings"
	"testing"
)

func apply(t *testing.T, d *document.Document, c author.Change, err error) *document.Document {
	t.Helper()
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: c.Do})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc
}

func TestCheckPlace(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	if p := author.CheckPlace(d, m, grid.Point{X: 3, Y: 3}); !p.Free {
		t.Errorf("free cell: %+v", p)
	}
	// what stands before the hero is in nobody's way
	front := apply(t, d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Things}, "front", true)}}, nil)
	if p := author.CheckPlace(front, front.Maps.Get(sample.Quay), grid.Point{X: 0, Y: 5}); !p.Free {
		t.Errorf("under a wall that is before the hero: %+v", p)
	}
	p := author.CheckPlace(d, m, grid.Point{X: 0, Y: 5})
	if p.Free || !strings.Contains(p.Reason, "tile 1 of Coast on layer Things is solid") || *p.Nearest != (grid.Point{X: 1, Y: 5}) {
		t.Errorf("in the wall: %+v", p)
	}
	p = author.CheckPlace(d, m, grid.Point{X: 40, Y: 5})
	if p.Free || p.Reason != "That lies outside Quay." || *p.Nearest != (grid.Point{X: 18, Y: 5}) {
		t.Errorf("outside: %+v", p)
	}
}

func TestJoin(t *testing.T) {
	d := sample.World()
	way := author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 1, Y: 5}, Facing: document.Right, Back: true}
	c, err := author.Join(d, way)
	d = apply(t, d, c, err)
	if d.Passages.Len() != 2 {
		t.Fatalf("%d passages", d.Passages.Len())
	}
	for _, p := range d.Passages.All() {
		from, to := d.Entity(p.From.Map, p.From.Entity), d.Entity(p.To.Map, p.To.Entity)
		if p.From.Map == sample.Quay {
			if to.X != 16 || to.Y != 80 || to.Facing != document.Right || to.Kind != kind.Arrival {
				t.Errorf("arrives at %+v", to)
			}
			continue
		}
		if from.X != 0 || from.Y != 80 || from.H != 32 || from.Kind != kind.Exit {
			t.Errorf("the way back starts at %+v, wanted two cells behind the arrival", from)
		}
		if to.X != 272 || to.Y != 80 || to.Facing != document.Left {
			t.Errorf("the way back ends at %+v, wanted left of the exit", to)
		}
	}
	// joined again without a way back, the one that is there goes
	way.At, way.Back = grid.Point{X: 8, Y: 8}, false
	c, err = author.Join(d, way)
	d = apply(t, d, c, err)
	pans := d.Maps.Get(sample.Pans)
	if arrivals := ofKind(pans, kind.Arrival); d.Passages.Len() != 1 || len(arrivals) != 1 || arrivals[0].Box(pans) != (grid.Rect{X: 8, Y: 8, W: 1, H: 1}) || len(ofKind(pans, kind.Exit)) != 0 {
		t.Errorf("%d passages and %v after joining anew", d.Passages.Len(), arrivals)
	}
	if _, err := author.Join(d, way); err == nil {
		t.Error("joined to where it leads already")
	}
	for name, change := range map[string]func(*author.Way){
		"outside": func(w *author.Way) { w.At = grid.Point{X: -1} },
		"in wall": func(w *author.Way) { w.To, w.At = sample.Quay, grid.Point{} },
		"no map":  func(w *author.Way) { w.To = "gonegonegone" },
		"no exit": func(w *author.Way) { w.From.Entity = sample.Switch },
		"facing":  func(w *author.Way) { w.Facing = "north" },
	} {
		bad := way
		change(&bad)
		if _, err := author.Join(d, bad); err == nil {
			t.Errorf("%s: was joined", name)
		}
	}
	// removing the exit removes its passage, and undo brings both back
	gone, err := author.RemoveEntities(d, d.Maps.Get(sample.Quay), []document.ID{sample.Exit})
	if err != nil {
		t.Fatal(err)
	}
	res := edit.Apply(d, &edit.Edit{Do: gone.Do})
	if res.Doc.Passages.Len() != 0 {
		t.Errorf("%d passages left", res.Doc.Passages.Len())
	}
	if back := edit.Apply(res.Doc, &edit.Edit{Do: res.Revert}); back.Doc.Hash() != d.Hash() {
		t.Error("undo did not bring exit and passage back")
	}
}

func TestWireAndSentence(t *testing.T) {
	d := sample.World()
	from, to := document.End{Map: sample.Quay, Entity: sample.Switch}, document.End{Map: sample.Quay, Entity: sample.Door}
	c, err := author.Wire(d, from, to, rules.WordOpen, "")
	d = apply(t, d, c, err)
	wires := author.Wires(d)
	if len(wires) != 1 || wires[0].From != from || wires[0].To != to {
		t.Fatalf("wires: %+v", wires)
	}
	text := func() string {
		var words []string
		for _, w := range rules.Sentence(d, d.Rules.Get(c.Made)) {
			words = append(words, w.Text)
		}
		return strings.Join(words, " ")
	}
	if got := text(); got != "When the hero uses Switch on Quay , then open Door , each time" {
		t.Errorf("sentence: %s", got)
	}
	if _, err := author.Wire(d, from, to, rules.WordOpen, ""); err == nil {
		t.Error("the same wire twice")
	}
	if _, err := author.Wire(d, to, from, rules.WordOpen, ""); err == nil {
		t.Error("a wire from a door")
	}
	yes, line := true, "Open."
	for _, w := range []rules.Wish{{Once: &yes}, {Word: rules.WordIsNotSet}, {Word: rules.WordSay, Blank: "text", Text: &line}, {Word: rules.WordSet, Blank: "what", Flag: sample.Lit}} {
		w.Rule = c.Made
		changed, err := author.ChangeRule(d, w)
		d = apply(t, d, changed, err)
	}
	if got := text(); got != "When the hero uses Switch on Quay , if Lit is not set , then open Door , and say “Open.” , and set Lit , once" {
		t.Errorf("sentence: %s", got)
	}
	if _, err := author.ChangeRule(d, rules.Wish{Rule: c.Made, Once: &yes}); err == nil {
		t.Error("a change of nothing")
	}
	d = apply(t, d, author.Change{Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door})}}, nil)
	missing := false
	for _, w := range rules.Sentence(d, d.Rules.Get(c.Made)) {
		missing = missing || w.Missing && w.Text == "something that was removed"
	}
	if !missing {
		t.Error("a removed door is not marked in the sentence")
	}
}

func TestMapsAndLayers(t *testing.T) {
	d := document.New("Empty")
	c, err := author.NewMap(d, " Pump Shaft ", 30, 40)
	d = apply(t, d, c, err)
	m := d.Maps.Get(c.Made)
	if m.Name != "Pump Shaft" || m.Layers.Len() != len(document.LayerPlan) || m.LayersInOrder()[0].Name != "Ground" {
		t.Errorf("new map %+v", m)
	}
	for _, size := range [][2]int{{0, 5}, {5, 5000}, {-1, 1}} {
		if _, err := author.NewMap(d, "M", size[0], size[1]); err == nil {
			t.Errorf("a map of %v", size)
		}
	}
	// what is seen as all maps are says nothing of its own
	for seen, own := range map[string]int{kind.FromAbove: 0, kind.FromSide: 1, "": 0} {
		c, err := author.NewMapSeen(d, "Seen", 9, 9, seen)
		m := apply(t, d, c, err).Maps.Get(c.Made)
		if len(m.Values) != own || d.FromSide(m) != (seen == kind.FromSide) {
			t.Errorf("a new map seen from %q has %v of its own", seen, m.Values)
		}
	}
	first := m.LayersInOrder()[0].ID
	l, err := author.AddLayer(m, document.LayerTiles, first)
	d = apply(t, d, l, err)
	if got := d.Maps.Get(c.Made).LayersInOrder()[1].ID; got != l.Made {
		t.Error("the new layer does not lie above the one it was added on")
	}
	moved, err := author.MoveLayer(d.Maps.Get(c.Made), first, 2)
	d = apply(t, d, moved, err)
	if got := d.Maps.Get(c.Made).LayersInOrder()[2].ID; got != first {
		t.Error("the layer was not moved")
	}
	if _, err := author.MoveLayer(d.Maps.Get(c.Made), first, 2); err == nil {
		t.Error("moved to where it is")
	}
	d = apply(t, d, author.RemoveMap(d, d.Maps.Get(c.Made)), nil)
	if d.Maps.Len() != 0 {
		t.Error("the map is still there")
	}
}

func TestMoveAndCopyEntities(t *testing.T) {
	d := sample.World()
	m := d.Maps.Get(sample.Quay)
	ids := []document.ID{sample.Door, sample.Pearl}
	c, err := author.MoveEntities(m, ids, 10_000, 16)
	moved := apply(t, d, c, err)
	if door, pearl := moved.Entity(sample.Quay, sample.Door), moved.Entity(sample.Quay, sample.Pearl); door.X != 304 || door.Y != 48 || pearl.X != 304-96 {
		t.Errorf("moved to %d,%d and %d", door.X, door.Y, pearl.X)
	}
	all := []*document.Entity{m.Entities.Get(sample.Door), m.Entities.Get(sample.Pearl)}
	copies, made, err := author.CopyEntities(d, m, all, 16, 0)
	d = apply(t, d, copies, err)
	if e := d.Entity(sample.Quay, made[0]); len(made) != 2 || e.Name != "Door 2" || e.X != 176 {
		t.Errorf("copied to %+v", e)
	}
	if _, _, err := author.CopyEntities(d, m, all, 99_999, 0); err == nil {
		t.Error("copied to outside the map")
	}
	if _, err := author.MoveEntities(m, nil, 1, 1); err == nil {
		t.Error("moved nothing")
	}
}

func TestTilesets(t *testing.T) {
	d := sample.World()
	coast := d.Tilesets.Get(sample.Coast)
	c, err := author.MarkSolid(coast, []int{5, 3, 1}, true)
	d = apply(t, d, c, err)
	c, err = author.MarkSolid(d.Tilesets.Get(sample.Coast), []int{1}, false)
	d = apply(t, d, c, err)
	if got := d.Tilesets.Get(sample.Coast); got.IsSolid(1) || !got.IsSolid(3) || !got.IsSolid(5) {
		t.Errorf("solid tiles are %v", got.Solid)
	}
	if _, err := author.MarkSolid(coast, []int{64}, true); err == nil {
		t.Error("a tile outside the tileset")
	}
	next := *coast
	if _, err := author.AddTileset(d, next); err == nil {
		t.Error("a number that is taken")
	}
	next.Number = 2
	c, err = author.AddTileset(d, next)
	d = apply(t, d, c, err)
	if got := d.Tilesets.Get(c.Made); got.Name != "Coast 2" {
		t.Errorf("named %q", got.Name)
	}
	for name, cut := range map[string]document.Cut{
		"zero": {}, "too large": {CellWidth: 129, CellHeight: 16}, "negative": {CellWidth: 16, CellHeight: 16, Margin: -1},
		"margin": {CellWidth: 100, CellHeight: 100, Margin: 20},
	} {
		next.Cut, next.Number = cut, 3
		if _, err := author.AddTileset(d, next); err == nil {
			t.Errorf("a cut that is %s", name)
		}
	}
	cut := document.Cut{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 2}
	if columns, rows := cut.Tiles(128, 100); columns != 7 || rows != 5 {
		t.Errorf("%d × %d tiles", columns, rows)
	}
	if right, bottom := cut.Unused(128, 100); right != 2 || bottom != 10 {
		t.Errorf("%d and %d pixels unused", right, bottom)
	}
}
