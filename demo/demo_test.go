package demo

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/texts"
	"fmt"
	"testing"
)

// The demo has no exit without a passage and nothing standing in a wall.
func TestProjectIsSound(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	if d.Maps.Len() != 10 || d.Passages.Len() != 12 || d.Rules.Len() != 39 || d.Materials.Len() != 3 || d.Motifs.Len() != 2 {
		t.Fatalf("%d maps, %d passages, %d rules", d.Maps.Len(), d.Passages.Len(), d.Rules.Len())
	}
	for _, m := range d.Maps.All() {
		for _, e := range m.Entities.All() {
			b := e.Box(m)
			if p := author.CheckPlace(d, m, grid.Point{X: b.X, Y: b.Y}); !p.Free && e.Kind != kind.Switch && e.Kind != "water" {
				t.Errorf("%s on %s: %s", e.Name, m.Name, p.Reason)
			}
		}
		if play.Warning(d, m.ID) != "" {
			t.Errorf("nothing on %s is solid", m.Name)
		}
	}
	c := chart.New(d, nil)
	for _, f := range c.Findings() {
		t.Error(f.Text)
	}
	if s := c.Seams(); len(s) != 1 || len(s[0].Open) == 0 || s[0].Why != "" {
		t.Errorf("the seams are %+v", s)
	}
	if again, err := document.Decode(d.Encode()); err != nil || again.Hash() != d.Hash() {
		t.Errorf("the demo does not survive being stored: %v", err)
	}
}

// Everything that counts in the demo can be walked to, with all doors open.
func TestEverythingIsReachable(t *testing.T) {
	d := Project(Coast(), fmt.Sprintf("%064x", 1))
	for _, m := range d.MapsInOrder() {
		for _, l := range m.LayersInOrder() {
			if l.Covers { // and the water gone
				d = do(d, author.Change{Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, "absent", true)}}, nil)
			}
		}
	}
	solids := d.Solids()
	for _, m := range d.Maps.All() {
		var start grid.Point
		for _, e := range m.Entities.All() {
			if e.Kind == kind.Spawn || e.Kind == kind.Arrival && m.Name != "Quay" {
				start = grid.Point{X: e.X / side, Y: e.Y / side}
			}
		}
		reached := map[grid.Point]bool{start: true}
		for todo := []grid.Point{start}; len(todo) > 0; todo = todo[1:] {
			for _, f := range document.Facings {
				dx, dy := f.Step()
				next := grid.Point{X: todo[0].X + dx, Y: todo[0].Y + dy}
				if m.Bounds.Contains(next) && !reached[next] && !solids.At(m, next) {
					reached[next] = true
					todo = append(todo, next)
				}
			}
		}
		for _, e := range m.Entities.All() {
			if !reached[grid.Point{X: e.X / side, Y: e.Y / side}] {
				t.Errorf("%s on %s cannot be reached", e.Name, m.Name)
			}
		}
	}
}

func TestSheetsAreCutWhole(t *testing.T) {
	for _, s := range []*Sheet{Coast(), Starter()} {
		ts := s.Tileset(1, fmt.Sprintf("%064x", 1))
		ts.ID = document.NewID()
		if err := ts.Check(); err != nil {
			t.Error(err)
		}
		if right, bottom := ts.Cut.Unused(ts.Width, ts.Height); right+bottom != 0 {
			t.Errorf("%s leaves %d and %d pixels", ts.Name, right, bottom)
		}
		for _, l := range s.Looks(1) {
			if !l.Look.Valid() {
				t.Errorf("the look of %s is no tile", l.Kind)
			}
		}
	}
}

// What is told in German stands in the game, and has room.
func TestTheStoryInGerman(t *testing.T) {
	l := texts.Of(Project(Coast(), fmt.Sprintf("%064x", 1)))
	if len(l.Lost) > 0 || len(l.Texts)-l.Missing[0]-itself(l) != len(german) {
		t.Errorf("of %d texts %d are told, lost are %v", len(german), len(l.Texts)-l.Missing[0]-itself(l), l.Lost)
	}
	for _, o := range l.Texts {
		if o.Is == texts.Said && o.In[0].Room.Long != "" {
			t.Errorf("“%s” has a word that is too long", o.In[0].Says)
		}
	}
}
