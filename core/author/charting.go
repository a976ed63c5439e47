package author

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// PlaceMaps lays maps on the chart as it is; one alone snaps to the edges of others. Maps
// that were never placed get the place that they have now, so that they stay.
func PlaceMaps(plane *chart.Chart, at map[document.ID]grid.Point, within int) (Change, error) {
	c := changed("Moved maps on the chart")
	for _, m := range plane.Doc().MapsInOrder() {
		p, moved := at[m.ID]
		switch {
		case moved && len(at) == 1:
			p = plane.Snapped(m.ID, p, within)
			c = changed("Moved "+m.Name+" on the chart", c.Do...)
		case !moved && m.Chart == nil:
			p = grid.Point{X: plane.Place(m.ID).X, Y: plane.Place(m.ID).Y}
		case !moved:
			continue
		}
		if m.Chart == nil || *m.Chart != p {
			next := *m
			next.Chart = &p
			if err := next.Check(); err != nil {
				return Change{}, err
			}
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "chart", p))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("they lie there already")
	}
	return c, nil
}

// CopyMap copies a map with all that is on it and the rules that wait for something there, and its passages where wanted:
// those within it lead within the copy, others from the copy to where they led. The
// copy has another size, in cells from its top left, where one is given.
func CopyMap(d *document.Document, m *document.Map, name string, size grid.Point, passages bool) (Change, error) {
	next := *m
	next.ID, next.Name, next.Order, next.Chart, next.Template, next.Seams = document.NewID(), strings.TrimSpace(name), orderStep, nil, false, nil
	if next.Name == "" {
		next.Name = m.Name
	}
	if size.X > 0 {
		next.Bounds.W = size.X
	}
	if size.Y > 0 {
		next.Bounds.H = size.Y
	}
	for _, o := range d.MapsInOrder() {
		next.Order = max(next.Order, o.Order+orderStep)
	}
	layers, entities := map[document.ID]document.ID{}, map[document.ID]document.ID{}
	content := document.ContentOf(m)
	for i := range content.Layers {
		l := *content.Layers[i].Layer
		layers[l.ID] = document.NewID()
		content.Layers[i].Layer = &l
	}
	for i := range content.Layers {
		l := content.Layers[i].Layer
		l.ID, l.Group = layers[l.ID], layers[l.Group]
	}
	for _, e := range content.Entities {
		entities[e.ID] = document.NewID()
	}
	// whatever the new ids are, the copies act in the order of what they were made from
	content.Entities = document.InRank(content.Entities)
	for i, e := range content.Entities {
		o := *e
		o.Rank = i + 1
		o.ID, o.Layer, o.Carrier = entities[e.ID], layers[e.Layer], entities[e.Carrier]
		o.Values = slices.Clone(e.Values)
		for k, v := range o.Values {
			s := d.Setting(e, v.Key)
			if id, ok := entities[document.ID(v.Value.Word())]; ok && s != nil && s.Type == kind.Entity {
				o.Values[k].Value = kind.Of(id)
			}
		}
		content.Entities[i] = &o
	}
	p := edit.Insert(edit.Ref{Type: edit.TypeMap, ID: next.ID}, next)
	p.Content = content
	c := changed("Copied map "+m.Name, p)
	c.Made = next.ID
	c.Do = append(c.Do, copyPlacings(d, m.ID, next.ID, layers, entities)...)
	c.Do = append(c.Do, copiedRules(d, func(o document.Object) (document.Object, bool) {
		switch {
		case o.Type == document.TypeMap && o.ID == m.ID:
			return document.Object{Type: o.Type, ID: next.ID}, true
		case o.Type == document.TypeEntity && o.Map == m.ID:
			to, is := entities[o.ID]
			return document.Object{Type: o.Type, Map: next.ID, ID: to}, is
		}
		return o, false
	})...)
	if !passages {
		return c, next.Check()
	}
	for _, o := range d.Passages.All() {
		if o.From.Map != m.ID {
			continue
		}
		way := *o
		way.ID, way.From.Map, way.From.Entity = document.NewID(), next.ID, entities[o.From.Entity]
		if o.To.Map == m.ID {
			way.To.Map, way.To.Entity = next.ID, entities[o.To.Entity]
		}
		if way.Check() == nil {
			c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypePassage, ID: way.ID}, way))
		}
	}
	return c, next.Check()
}

// SetSeam says whether the seam between two maps is closed, and what it asks for.
func SetSeam(d *document.Document, a, b document.ID, closed bool, gates []document.Gate) (Change, error) {
	m, o := d.Maps.Get(min(a, b)), d.Maps.Get(max(a, b))
	if m == nil || o == nil || m == o {
		return Change{}, errors.New("a map of this seam is no longer there")
	}
	next := slices.DeleteFunc(append([]document.SeamRule{}, m.Seams...), func(r document.SeamRule) bool { return r.With == o.ID })
	if closed || len(gates) > 0 {
		next = append(next, document.SeamRule{With: o.ID, Closed: closed, If: gates})
	}
	text := fmt.Sprintf("Opened the seam of %s and %s", m.Name, o.Name)
	if closed {
		text = fmt.Sprintf("Closed the seam of %s and %s", m.Name, o.Name)
	}
	probe := *m
	probe.Seams = next
	return changed(text, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "seams", next)), probe.Check()
}

// SetSide says what an edge of a map is where no seam leads on.
func SetSide(m *document.Map, side document.Facing, is string) (Change, error) {
	i := side.Index()
	if i < 0 {
		return Change{}, errors.New("a side is up, right, down or left")
	}
	next := m.Sides
	if next[i] = is; is == document.SideWall {
		next[i] = ""
	}
	probe := *m
	probe.Sides = next
	if err := probe.Check(); err != nil {
		return Change{}, err
	}
	if next == m.Sides {
		return Change{}, errors.New("it is like that already")
	}
	return changed(fmt.Sprintf("The %s of %s is a %s", side.Edge(), m.Name, is), edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "sides", next)), nil
}

// OfferStart places a spawn on the free cell nearest to the middle of a map.
func OfferStart(d *document.Document, m *document.Map) (Change, error) {
	middle := grid.Point{X: m.Bounds.X + m.Bounds.W/2, Y: m.Bounds.Y + m.Bounds.H/2}
	place := CheckPlace(d, m, middle)
	if !place.Free {
		if place.Nearest == nil {
			return Change{}, fmt.Errorf("there is no free cell near the middle of %s", m.Name)
		}
		middle = *place.Nearest
	}
	j := joiner{doc: d, solids: d.Solids(), change: changed("Placed a spawn on " + m.Name), placed: map[document.ID]*document.Names{}}
	id, err := j.put(m, kind.Spawn, grid.Rect{X: middle.X, Y: middle.Y, W: 1, H: 1}, document.Down)
	j.change.Made = id
	return j.change, err
}

// ReorderMaps puts a map at a place in the order of play.
func ReorderMaps(d *document.Document, id document.ID, to int) (Change, error) {
	maps := d.MapsInOrder()
	i := slices.IndexFunc(maps, func(m *document.Map) bool { return m.ID == id })
	if i < 0 {
		return Change{}, errors.New("the map is no longer there")
	}
	m := maps[i]
	maps = slices.Insert(slices.Delete(maps, i, i+1), max(0, min(to, len(maps)-1)), m)
	c := changed("Moved " + m.Name + " in the order of maps")
	for k, o := range maps {
		if order := (k + 1) * orderStep; order != o.Order {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeMap, ID: o.ID}, "order", order))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("it stands there already")
	}
	return c, nil
}

// ChangePassage sets what is seen and heard in a passage and what it asks for.
func ChangePassage(d *document.Document, next document.Passage) (Change, error) {
	old := d.Passages.Get(next.ID)
	if old == nil {
		return Change{}, errors.New("the passage is no longer there")
	}
	next.From, next.To = old.From, old.To
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	ref := edit.Ref{Type: edit.TypePassage, ID: old.ID}
	c := changed("Changed the passage " + joining(d, old))
	for _, field := range []string{"transition", "sound", "if", "shut"} {
		was, errA := document.Field(old, field)
		is, errB := document.Field(&next, field)
		if err := errors.Join(errA, errB); err != nil {
			return Change{}, fmt.Errorf("compare a passage: %w", err)
		}
		if string(was) != string(is) {
			c.Do = append(c.Do, edit.Primitive{Op: edit.OpSet, Ref: ref, Field: field, Value: is})
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the passage is like that already")
	}
	return c, nil
}

// joining names the maps that a passage joins.
func joining(d *document.Document, p *document.Passage) string {
	name := func(id document.ID) string {
		if m := d.Maps.Get(id); m != nil {
			return m.Name
		}
		return "a removed map"
	}
	return "from " + name(p.From.Map) + " to " + name(p.To.Map)
}
