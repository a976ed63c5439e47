package check

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// ErrNoMend is given where a finding cannot be mended by a press.
var ErrNoMend = errors.New("that cannot be mended by a press: go to it")

// Mend does what a press can do about a finding of a sort.
func Mend(d *document.Document, f Finding) (author.Change, error) {
	gone := errors.New("what it is about is no longer there")
	m := d.Maps.Get(f.Map)
	if s := sortOf[f.What]; s == nil || s.mend == "" {
		return author.Change{}, ErrNoMend
	}
	switch f.What {
	case RuleEmpty:
		if d.Rules.Get(f.ID) == nil {
			return author.Change{}, gone
		}
		return author.Change{Label: edit.Label{Text: "Removed a rule that does nothing"}, Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypeRule, ID: f.ID})}}, nil
	case FlagUnused:
		if d.Flags.Get(f.ID) == nil {
			return author.Change{}, gone
		}
		return author.Change{Label: edit.Label{Text: "Removed a flag that nothing uses"}, Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypeFlag, ID: f.ID})}}, nil
	case PinGone:
		if d.Pins.Get(f.ID) == nil {
			return author.Change{}, gone
		}
		return author.Change{Label: edit.Label{Text: "Removed a pin whose map is gone"}, Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypePin, ID: f.ID})}}, nil
	case EmptyLayer:
		if m == nil || m.Layers.Get(f.ID) == nil {
			return author.Change{}, gone
		}
		return author.RemoveLayer(d, m, f.ID)
	case chart.Lost:
		if d.Passages.Get(f.ID) == nil {
			return author.Change{}, gone
		}
		return author.Change{Label: edit.Label{Text: "Removed a passage that had lost an end"}, Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypePassage, ID: f.ID})}}, nil
	}
	if m == nil || m.Entities.Get(f.ID) == nil {
		return author.Change{}, gone
	}
	e := m.Entities.Get(f.ID)
	if f.What == chart.Unused || f.What == OnEachOther {
		return author.RemoveEntities(d, m, []document.ID{e.ID})
	}
	return free(d, m, e, f.What == SpawnHurts)
}

// free moves an entity to the nearest place that is free; away from where it hurts, where it is said.
func free(d *document.Document, m *document.Map, e *document.Entity, hurts bool) (author.Change, error) {
	solids := d.Solids()
	box := e.Box(m)
	from := grid.Point{X: box.X, Y: box.Y}
	best, where := -1, grid.Point{}
	const within = 64
	for y := max(m.Bounds.Y, from.Y-within); y < min(m.Bounds.Y+m.Bounds.H, from.Y+within+1); y++ {
		for x := max(m.Bounds.X, from.X-within); x < min(m.Bounds.X+m.Bounds.W, from.X+within+1); x++ {
			p := grid.Point{X: x, Y: y}
			far := (x-from.X)*(x-from.X) + (y-from.Y)*(y-from.Y)
			if far == 0 || best >= 0 && far >= best || solids.At(m, p) || solids.Water(m, p) || taken(m, e, p) {
				continue
			}
			if _, danger := solids.Here(m, p); danger && hurts {
				continue
			}
			best, where = far, p
		}
	}
	if best < 0 {
		return author.Change{}, fmt.Errorf("there is no free place near %s", e.Name)
	}
	return author.MoveEntities(m, []document.ID{e.ID}, where.X*m.CellWidth-e.X, where.Y*m.CellHeight-e.Y)
}

// taken reports whether something else lies in a cell.
func taken(m *document.Map, but *document.Entity, p grid.Point) bool {
	for _, e := range m.Entities.All() {
		if e.ID != but.ID && e.Box(m).Contains(p) {
			return true
		}
	}
	return false
}

// Silence has a finding not be told any more, with a reason, or be told again.
func Silence(d *document.Document, s document.Silence, on bool) (author.Change, error) {
	if sortOf[s.What] == nil {
		return author.Change{}, errors.New("there is no such sort of finding")
	}
	next := []document.Silence{}
	for _, o := range d.Project.Silenced {
		if o.What != s.What || o.Map != s.Map || o.ID != s.ID {
			next = append(next, o)
		}
	}
	label := "A finding is told again"
	if on {
		next, label = append(next, s), "Silenced a finding"
	}
	return author.Change{Label: edit.Label{Text: label}, Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "silenced", next)}}, nil
}

// Choose says how much findings of a sort matter in a project.
func Choose(d *document.Document, what, as string) (author.Change, error) {
	s := sortOf[what]
	if s == nil {
		return author.Change{}, errors.New("there is no such sort of finding")
	}
	next := []document.CheckChoice{}
	for _, o := range d.Project.Checks {
		if o.What != what {
			next = append(next, o)
		}
	}
	if as != s.Usual {
		next = append(next, document.CheckChoice{What: what, As: as})
	}
	return author.Change{Label: edit.Label{Text: fmt.Sprintf("“%s” matters otherwise", s.Name)}, Do: []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "checks", next)}}, nil
}
