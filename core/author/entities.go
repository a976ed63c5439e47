package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/hand"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
)

func found(m *document.Map, ids []document.ID) ([]*document.Entity, error) {
	var out []*document.Entity
	for _, id := range ids {
		if e := m.Entities.Get(id); e != nil {
			out = append(out, e)
		}
	}
	if len(out) == 0 {
		return nil, errors.New("nothing is selected")
	}
	return out, nil
}

func called(all []*document.Entity) string {
	if len(all) == 1 {
		return all[0].Name
	}
	return fmt.Sprintf("%d entities", len(all))
}

// MoveEntities moves entities by pixels; they stay where the map's bounds end.
func MoveEntities(m *document.Map, ids []document.ID, dx, dy int) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if all, err = unlocked(all); err != nil {
		return Change{}, err
	}
	left, top := m.Bounds.X*m.CellWidth, m.Bounds.Y*m.CellHeight
	right, bottom := left+m.Bounds.W*m.CellWidth, top+m.Bounds.H*m.CellHeight
	for _, e := range all {
		dx = max(left-e.X, min(dx, right-e.X-e.W))
		dy = max(top-e.Y, min(dy, bottom-e.Y-e.H))
	}
	c := changed("Moved " + called(all))
	c.Do = make([]edit.Primitive, 0, 2*len(all))
	for _, e := range all {
		ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
		if dx != 0 {
			c.Do = append(c.Do, edit.Set(ref, "x", e.X+dx))
		}
		if dy != 0 {
			c.Do = append(c.Do, edit.Set(ref, "y", e.Y+dy))
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the edge of the map is in the way")
	}
	return c, nil
}

// RemoveEntities removes entities and the passages at them.
func RemoveEntities(d *document.Document, m *document.Map, ids []document.ID) (Change, error) {
	all, err := found(m, ids)
	if err != nil {
		return Change{}, err
	}
	if all, err = unlocked(all); err != nil {
		return Change{}, err
	}
	return changed("Removed "+called(all), hand.Removal(d, m, all)...), nil
}

// unlocked leaves out what is locked.
func unlocked(all []*document.Entity) ([]*document.Entity, error) {
	name := called(all)
	all = slices.DeleteFunc(all, func(e *document.Entity) bool { return e.Locked })
	if len(all) == 0 {
		return nil, fmt.Errorf("%s is locked: unlock it under Details first", name)
	}
	return all, nil
}

// relinked is what a copy of an entity travels along with and its settings: they
// name the copies where these were copied as well, else what stands on the map.
func relinked(d *document.Document, m *document.Map, e *document.Entity, copies map[document.ID]document.ID) (carrier document.ID, values []kind.Value) {
	link := func(id document.ID) document.ID {
		if to, ok := copies[id]; ok {
			return to
		}
		if m.Entities.Get(id) != nil {
			return id
		}
		return ""
	}
	for _, v := range e.Values {
		if s := d.Setting(e, v.Key); s != nil && s.Type == kind.Entity {
			to := link(document.ID(v.Value.Word()))
			if to == "" {
				continue
			}
			v.Value = kind.Of(to)
		}
		values = append(values, v)
	}
	return link(e.Carrier), values
}

// CopyEntities puts copies on a map, moved by pixels, with names and ids of
// their own; on a map that lacks the layer they go to its nearest that fits. Rules that wait for
// them are copied for the copies.
func CopyEntities(d *document.Document, m *document.Map, all []*document.Entity, dx, dy int) (Change, []document.ID, error) {
	if len(all) == 0 {
		return Change{}, nil, errors.New("there is nothing to copy")
	}
	names := m.Entities.Names(func(e *document.Entity) string { return e.Name })
	c := changed("Copied " + called(all))
	var ids []document.ID
	copies := map[document.ID]document.ID{}
	for _, e := range all {
		copies[e.ID] = document.NewID()
	}
	rank := m.NextRank()
	for _, e := range document.InRank(all) {
		next := *e
		next.Rank = rank + len(ids)
		next.ID, next.X, next.Y = copies[e.ID], e.X+dx, e.Y+dy
		next.Carrier, next.Values = relinked(d, m, e, copies)
		if l := m.Layers.Get(e.Layer); l == nil {
			l = hand.Target(d, m, &hand.Grip{What: hand.Entity, Kind: e.Kind}, "")
			if l == nil {
				return Change{}, nil, errors.New("this map has no layer of entities that is shown and unlocked")
			}
			next.Layer = l.ID
		}
		if !next.Box(m).Intersect(m.Bounds).Empty() {
			next.Name = names.Take(e.Name)
			c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: next.ID}, next))
			ids = append(ids, next.ID)
		}
	}
	if len(ids) == 0 {
		return Change{}, nil, errors.New("the copies would lie outside the map")
	}
	c.Do = append(c.Do, copiedRules(d, func(o document.Object) (document.Object, bool) {
		to, is := copies[o.ID]
		return document.Object{Type: o.Type, Map: m.ID, ID: to}, is && o.Type == document.TypeEntity && slices.Contains(ids, to)
	})...)
	return c, ids, nil
}
