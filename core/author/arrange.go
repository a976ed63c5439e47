package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"errors"
	"fmt"
	"slices"
)

// Ways to bring entities into line, and to space them evenly.
const (
	AlignLeft   = "left"
	AlignMiddle = "middle" // on one upright line through their middles
	AlignRight  = "right"
	AlignTop    = "top"
	AlignLevel  = "level" // on one level line through their middles
	AlignBottom = "bottom"
	SpaceAcross = "across"
	SpaceDown   = "down"
)

// Arrange brings entities into line or spaces them evenly between the outermost.
func Arrange(m *document.Map, ids []document.ID, how string) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if all, err = unlocked(all); err != nil {
		return Change{}, err
	}
	if how == SpaceAcross || how == SpaceDown {
		return space(m, all, how)
	}
	if len(all) < 2 {
		return Change{}, errors.New("select two or more entities that are not locked")
	}
	box := around(all)
	c := changed(fmt.Sprintf("Aligned %s: %s", called(all), how))
	for _, e := range all {
		x, y := e.X, e.Y
		switch how {
		case AlignLeft:
			x = box.X
		case AlignMiddle:
			x = box.X + (box.W-e.W)/2
		case AlignRight:
			x = box.X + box.W - e.W
		case AlignTop:
			y = box.Y
		case AlignLevel:
			y = box.Y + (box.H-e.H)/2
		case AlignBottom:
			y = box.Y + box.H - e.H
		default:
			return Change{}, fmt.Errorf("there is no way to align called “%.40s”", how)
		}
		c.Do = append(c.Do, placedAt(m, e, x, y)...)
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("they stand like that already")
	}
	return c, nil
}

func around(all []*document.Entity) grid.Rect {
	var box grid.Rect
	for _, e := range all {
		box = box.Union(grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H})
	}
	return box
}

func placedAt(m *document.Map, e *document.Entity, x, y int) (do []edit.Primitive) {
	ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
	if x != e.X {
		do = append(do, edit.Set(ref, "x", x))
	}
	if y != e.Y {
		do = append(do, edit.Set(ref, "y", y))
	}
	return do
}

// space makes the gaps between entities equal; the first and the last stay.
func space(m *document.Map, all []*document.Entity, how string) (Change, error) {
	if len(all) < 3 {
		return Change{}, errors.New("select three or more entities that are not locked")
	}
	at := func(e *document.Entity) (from, size int) {
		if how == SpaceAcross {
			return e.X, e.W
		}
		return e.Y, e.H
	}
	slices.SortStableFunc(all, func(a, b *document.Entity) int {
		p, _ := at(a)
		q, _ := at(b)
		return p - q
	})
	start, _ := at(all[0])
	last, lastSize := at(all[len(all)-1])
	room := last + lastSize - start
	for _, e := range all {
		_, size := at(e)
		room -= size
	}
	c := changed(fmt.Sprintf("Spaced %s evenly", called(all)))
	sum := 0
	for i, e := range all {
		_, size := at(e)
		p := start + sum + grid.FloorDiv(room*i, len(all)-1)
		sum += size
		if how == SpaceAcross {
			c.Do = append(c.Do, placedAt(m, e, p, e.Y)...)
		} else {
			c.Do = append(c.Do, placedAt(m, e, e.X, p)...)
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("they stand like that already")
	}
	return c, nil
}

// ToFront draws entities above all others of their layers, else below.
func ToFront(m *document.Map, ids []document.ID, front bool) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	low, high := 0, 0
	for _, e := range m.Entities.All() {
		low, high = min(low, e.Order), max(high, e.Order)
	}
	slices.SortStableFunc(all, func(a, b *document.Entity) int { return a.Order - b.Order })
	c := changed(called(all) + " to the back")
	next := low - len(all)
	if front {
		c, next = changed(called(all)+" to the front"), high+1
	}
	for i, e := range all {
		c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "order", next+i))
	}
	return c, nil
}

// GroupEntities gives entities a group, named by the first free number; an
// empty name takes them out of theirs.
func GroupEntities(m *document.Map, ids []document.ID, name string) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if len(all) < 2 && name != "" {
		return Change{}, errors.New("select two or more entities to group them")
	}
	taken := m.Entities.Names(func(e *document.Entity) string { return e.Group })
	c := changed("Took " + called(all) + " out of the group")
	if name != "" {
		name = taken.Free(name)
		c = changed(fmt.Sprintf("Grouped %s as %s", called(all), name))
	}
	for _, e := range all {
		if e.Group != name {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "group", name))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("they are in no group")
	}
	return c, nil
}

// RenameGroup gives a group of a map another name.
func RenameGroup(m *document.Map, from, to string) (Change, error) {
	c := changed("Renamed group " + from)
	for _, e := range m.Entities.All() {
		if e.Group == to && to != "" {
			return Change{}, fmt.Errorf("there is a group called %s already", to)
		}
		if e.Group == from && from != "" {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "group", to))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the group is no longer there")
	}
	if to == "" {
		return Change{}, errors.New("a name cannot be empty")
	}
	return c, nil
}

// ResizeEntity gives an entity another box, in map pixels.
func ResizeEntity(d *document.Document, m *document.Map, id document.ID, box grid.Rect) (Change, error) {
	e := m.Entities.Get(id)
	if e == nil {
		return Change{}, errors.New("the entity is no longer there")
	}
	if k := d.Kind(document.ID(e.Kind)); k == nil || !k.Resizes {
		return Change{}, fmt.Errorf("%s has the size of its kind", e.Name)
	}
	if box.W < 1 || box.H < 1 {
		return Change{}, errors.New("an entity is at least a pixel wide and high")
	}
	all := grid.Rect{X: m.Bounds.X * m.CellWidth, Y: m.Bounds.Y * m.CellHeight, W: m.Bounds.W * m.CellWidth, H: m.Bounds.H * m.CellHeight}
	if box.Intersect(all) != box {
		return Change{}, fmt.Errorf("that reaches beyond %s", m.Name)
	}
	ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
	c := changed("Resized "+e.Name, placedAt(m, e, box.X, box.Y)...)
	if box.W != e.W {
		c.Do = append(c.Do, edit.Set(ref, "w", box.W))
	}
	if box.H != e.H {
		c.Do = append(c.Do, edit.Set(ref, "h", box.H))
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("it is like that already")
	}
	return c, nil
}

// SetPoints gives a path other points, in map pixels from the entity's middle.
func SetPoints(d *document.Document, m *document.Map, id document.ID, points []grid.Point) (Change, error) {
	e := m.Entities.Get(id)
	if e == nil {
		return Change{}, errors.New("the entity is no longer there")
	}
	if k := d.Kind(document.ID(e.Kind)); k == nil || !k.Ways {
		return Change{}, fmt.Errorf("%s has no points", e.Name)
	}
	switch {
	case len(points) == 0:
		return Change{}, errors.New("a path has two points or more: its beginning and another one")
	case len(points) > document.MaxPoints:
		return Change{}, fmt.Errorf("a path has at most %d points", document.MaxPoints+1)
	}
	return changed("Changed the way of "+e.Name, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "points", points)), nil
}

// TurnEntities turns and flips entities about their common middle, with what they look like.
func TurnEntities(d *document.Document, m *document.Map, ids []document.ID, t grid.Turn) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if !t.Valid() {
		return Change{}, errors.New("entities are turned by quarters")
	}
	if all, err = unlocked(all); err != nil {
		return Change{}, err
	}
	box := around(all)
	w, h := t.Size(box.W, box.H)
	left, top := box.X+(box.W-w)/2, box.Y+(box.H-h)/2
	c := changed("Turned " + called(all))
	for _, e := range all {
		ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		r := t.Rect(grid.Rect{X: e.X - box.X, Y: e.Y - box.Y, W: e.W, H: e.H}, box.W, box.H)
		c.Do = append(c.Do, placedAt(m, e, left+r.X, top+r.Y)...)
		if r.W != e.W {
			c.Do = append(c.Do, edit.Set(ref, "w", r.W), edit.Set(ref, "h", r.H))
		}
		if next := e.Facing.Turned(t); next != e.Facing {
			c.Do = append(c.Do, edit.Set(ref, "facing", next))
		}
		if k := d.Kind(document.ID(e.Kind)); k != nil && k.Turns {
			c.Do = append(c.Do, edit.Set(ref, "turn", e.Turn.Then(t)))
		}
		if len(e.Points) > 0 {
			c.Do = append(c.Do, edit.Set(ref, "points", turnedPoints(e.Points, t)))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("turned it is the same")
	}
	return c, nil
}

func turnedPoints(all []grid.Point, t grid.Turn) []grid.Point {
	out := make([]grid.Point, len(all))
	for i, p := range all {
		out[i] = t.Around(p)
	}
	return out
}

// ThinPiles removes entities of a map that stand on another one of the same
// kind in exactly the same place; the first by id stays.
func ThinPiles(d *document.Document, m *document.Map) (Change, error) {
	type place struct {
		kind string
		box  grid.Rect
	}
	seen := map[place]bool{}
	var double []*document.Entity
	for _, e := range m.Entities.All() {
		p := place{e.Kind, grid.Rect{X: e.X, Y: e.Y, W: e.W, H: e.H}}
		if seen[p] && !e.Locked {
			double = append(double, e)
		}
		seen[p] = true
	}
	if len(double) == 0 {
		return Change{}, errors.New("nothing stands twice in the same place")
	}
	return changed(fmt.Sprintf("Thinned out %s", called(double)), hand.Removal(d, m, double)...), nil
}
