package author_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"testing"
)

func ofKind(m *document.Map, kind string) (out []*document.Entity) {
	for _, e := range m.Entities.All() {
		if e.Kind == kind {
			out = append(out, e)
		}
	}
	return out
}

// joined is the sample world with its exit led to a cell of the Pans, and back.
func joined(t *testing.T) (*document.Document, *document.Passage, *document.Passage) {
	t.Helper()
	d := sample.World()
	c, err := author.Join(d, author.Way{From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: sample.Pans, At: grid.Point{X: 1, Y: 5}, Facing: document.Right, Back: true})
	d = apply(t, d, c, err)
	p := d.Passages.Get(c.Made)
	p2 := *p
	p2.Transition, p2.Sound, p2.Shut, p2.If = "iris", "door.ogg", "It is shut.", []document.Gate{{Asks: document.GateFlag, Flag: sample.Lit}}
	c, err = author.ChangePassage(d, p2)
	d = apply(t, d, c, err)
	p = d.Passages.Get(p.ID)
	back := chart.Back(d, p)
	if back == nil || chart.Back(d, back) != p {
		t.Fatal("the two ways are not a pair")
	}
	return d, p, back
}

// Leading a passage elsewhere changes its end and nothing else; its way back comes along.
func TestLeadElsewhere(t *testing.T) {
	d, p, back := joined(t)
	from := p.From
	now, err := author.JoinedAt(d, from)
	if want := (author.Joined{Passage: p.ID, To: sample.Pans, At: grid.Point{X: 1, Y: 5}, Facing: document.Right, Back: back.ID}); err != nil || now != want {
		t.Errorf("it leads %+v now, %v", now, err)
	}
	same := func(name string, d *document.Document, to grid.Point, exit grid.Rect) {
		t.Helper()
		pans := d.Maps.Get(sample.Pans)
		q, b := d.Passages.Get(p.ID), d.Passages.Get(back.ID)
		if q == nil || b == nil || d.Passages.Len() != 2 {
			t.Fatalf("%s: %d passages", name, d.Passages.Len())
		}
		if q.Transition != "iris" || q.Sound != "door.ogg" || q.Shut != "It is shut." || len(q.If) != 1 || q.From != from || b.To != back.To {
			t.Errorf("%s: the passage is %+v, its way back %+v", name, q, b)
		}
		if got := d.Entity(sample.Pans, q.To.Entity).Box(pans); got != (grid.Rect{X: to.X, Y: to.Y, W: 1, H: 1}) {
			t.Errorf("%s: arrives at %v", name, got)
		}
		if got := d.Entity(sample.Pans, b.From.Entity).Box(pans); got != exit {
			t.Errorf("%s: the way back begins at %v", name, got)
		}
		if len(ofKind(pans, kind.Arrival)) != 1 || len(ofKind(pans, kind.Exit)) != 1 {
			t.Errorf("%s: something was left behind", name)
		}
	}
	way := author.Way{From: from, To: sample.Pans, At: grid.Point{X: 2, Y: 5}, Facing: document.Right, Back: true}
	c, err := author.Join(d, way)
	same("a step on", apply(t, d, c, err), way.At, grid.Rect{X: 0, Y: 5, W: 1, H: 2})
	way.At = grid.Point{X: 12, Y: 8}
	c, err = author.Join(d, way)
	same("far", apply(t, d, c, err), way.At, grid.Rect{X: 11, Y: 8, W: 1, H: 2})

	// to another map: the exit of the way back goes with it, the arrival stays, since it may be of use
	c, err = author.Join(d, author.Way{From: from, To: sample.Quay, At: grid.Point{X: 4, Y: 8}, Facing: document.Left, Back: true})
	here := apply(t, d, c, err)
	pans := here.Maps.Get(sample.Pans)
	if b := here.Passages.Get(back.ID); len(ofKind(pans, kind.Exit)) != 0 || len(ofKind(pans, kind.Arrival)) != 1 || b == nil || b.From.Map != sample.Quay || b.To != back.To {
		t.Errorf("on another map the way back is %+v", b)
	}

	// an arrival that was placed by hand, or that another way uses, is never moved
	other := document.Passage{ID: "otherotherot", From: document.End{Map: sample.Pans, Side: document.Up}, To: p.To}
	shared := edit.Apply(d, &edit.Edit{Do: []edit.Primitive{edit.Insert(edit.Ref{Type: edit.TypePassage, ID: other.ID}, other)}}).Doc
	c, err = author.Join(shared, way)
	shared = apply(t, shared, c, err)
	if e := shared.Entity(sample.Pans, p.To.Entity); e.X != 16 || shared.Passages.Get(p.ID).To.Entity == e.ID {
		t.Errorf("the shared arrival lies at %d", e.X)
	}
}

// From a map's edge the way back is as large as what fits where one arrives, and never
// a strip across the other map.
func TestWayBackFits(t *testing.T) {
	d := sample.World()
	edge := document.End{Map: sample.Quay, Side: document.Down}
	way := author.Way{From: edge, To: sample.Pans, At: grid.Point{X: 8, Y: 5}, Facing: document.Down, Back: true}
	r, err := author.WayBack(d, way)
	if want := (grid.Rect{X: 7, Y: 4, W: 3, H: 1}); err != nil || r.Exit != want || r.Facing != document.Up || !d.Maps.Get(sample.Quay).Bounds.Contains(r.At) {
		t.Errorf("in the open the way back is %+v, %v", r, err)
	}
	// a lane of four cells between walls
	wall := box(5, 4, 1, 1)
	wall.AddRect(grid.Rect{X: 10, Y: 4, W: 1, H: 1})
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{sample.Paint(sample.Pans, sample.Things, wall, sample.Wall)}}).Doc
	if r, err = author.WayBack(d, way); err != nil || r.Exit != (grid.Rect{X: 6, Y: 4, W: 4, H: 1}) {
		t.Errorf("in a lane the way back is %+v, %v", r, err)
	}
	c, err := author.Join(d, way)
	d = apply(t, d, c, err)
	exits := ofKind(d.Maps.Get(sample.Pans), kind.Exit)
	if len(exits) != 1 || exits[0].Box(d.Maps.Get(sample.Pans)) != r.Exit {
		t.Errorf("made are %v", exits)
	}
	if _, err := author.WayBack(d, author.Way{From: edge, To: "gonegonegone", Facing: document.Up}); err == nil {
		t.Error("a way back from nowhere")
	}
}

// Two ways are one there and back only where each begins beside the end of the other.
func TestOneWayIsNotTwoWay(t *testing.T) {
	d, p, back := joined(t)
	far := document.Passage{ID: "farfarfarfar", From: document.End{Map: sample.Pans, Side: document.Down}, To: back.To}
	d = edit.Apply(d, &edit.Edit{Do: []edit.Primitive{
		edit.Remove(edit.Ref{Type: edit.TypePassage, ID: back.ID}), edit.Insert(edit.Ref{Type: edit.TypePassage, ID: far.ID}, far)}}).Doc
	if got := chart.Back(d, d.Passages.Get(p.ID)); got != nil {
		t.Errorf("%+v is taken for the way back", got)
	}
}
