package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"errors"
	"fmt"
)

// AddPictureLayer puts a layer of a picture or gradient above another, or below all that
// is painted where none is named.
func AddPictureLayer(m *document.Map, name string, image document.LayerImage, above document.ID) (Change, error) {
	at, order := orderAbove(m, above)
	if above == "" {
		at, order = orderBelow(m) // under what is painted
	}
	l := document.Layer{ID: document.NewID(), Kind: document.LayerPicture, Opacity: 100, Name: name, Image: &image, Order: at}
	if err := l.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New layer "+name, append(order, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: l.ID}, l))...)
	c.Made = l.ID
	return c, nil
}

// GroupLayers makes a group of a layer, above it; others are put in later.
func GroupLayers(m *document.Map, id document.ID) (Change, error) {
	l := m.Layers.Get(id)
	if l == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	if l.Kind == document.LayerGroup {
		return Change{}, errors.New("a group belongs to no other group")
	}
	at, order := orderAbove(m, id)
	g := document.Layer{ID: document.NewID(), Kind: document.LayerGroup, Opacity: 100, Name: "Group", Order: at}
	c := changed("Grouped "+l.Name, append(order, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: g.ID}, g),
		edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: id}, "group", g.ID))...)
	c.Made = g.ID
	return c, nil
}

// RemoveLayer removes a layer; of a group the layers in it stay.
func RemoveLayer(d *document.Document, m *document.Map, id document.ID) (Change, error) {
	l := m.Layers.Get(id)
	if l == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	c := changed("Deleted layer " + l.Name)
	for _, o := range m.LayersInOrder() {
		if o.Group == id {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: o.ID}, "group", document.ID("")))
		}
	}
	var ids []document.ID
	for _, e := range m.Entities.All() {
		if e.Layer == id {
			ids = append(ids, e.ID)
		}
	}
	if len(ids) > 0 { // with the passages at them
		gone, err := RemoveEntities(d, m, ids)
		if err != nil {
			return Change{}, err
		}
		c.Do = append(c.Do, gone.Do...)
	}
	c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: id}))
	return c, nil
}

// DuplicateLayer puts a copy of a layer, with all that lies on it, right above.
func DuplicateLayer(m *document.Map, id document.ID) (Change, error) {
	l := m.Layers.Get(id)
	if l == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	next := *l
	at, order := orderAbove(m, id)
	next.ID, next.Order, next.Cells = document.NewID(), at, cells.Plane{}
	ref := edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: next.ID}
	c := changed("Duplicated layer "+l.Name, append(order, edit.Insert(ref, next))...)
	c.Made = next.ID
	if l.Painted() {
		c.Do = append(c.Do, painted(m, l, &next)...)
	}
	rank := m.NextRank()
	for _, e := range document.InRank(m.Entities.All()) {
		if e.Layer == id {
			copied := *e
			copied.ID, copied.Layer, copied.Rank = document.NewID(), next.ID, rank
			rank++
			c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: copied.ID}, copied))
		}
	}
	return c, nil
}

// painted writes all painted cells of a layer onto another.
func painted(m *document.Map, l, onto *document.Layer) []edit.Primitive {
	full := l.Cells.Region(l.Cells.Extent(), func(c cells.Cell) bool { return c != 0 })
	return putEverywhere(m, onto, full, l.Cells.At)
}

// unlike says in what two layers are drawn so differently that they cannot become one
// without looking otherwise; empty where they can.
func unlike(upper, lower *document.Layer) string {
	told := func(l *document.Layer, what string) string { return fmt.Sprintf("%s is drawn %s", l.Name, what) }
	tint := func(l *document.Layer) string {
		if l.Tint == "" {
			return "without a tint"
		}
		return "tinted " + l.Tint
	}
	side := func(l *document.Layer) string {
		if l.Front {
			return "before the hero"
		}
		return "behind the hero"
	}
	for _, pair := range [][2]string{
		{fmt.Sprintf("at %d %%", upper.Opacity), fmt.Sprintf("at %d %%", lower.Opacity)},
		{tint(upper), tint(lower)}, {side(upper), side(lower)},
		{fmt.Sprintf("off by %d, %d pixels", upper.OffsetX, upper.OffsetY), fmt.Sprintf("off by %d, %d pixels", lower.OffsetX, lower.OffsetY)},
		{fmt.Sprintf("going %d, %d %% with the view", upper.LagX, upper.LagY), fmt.Sprintf("going %d, %d %% with the view", lower.LagX, lower.LagY)},
		{fmt.Sprintf("sorted by foot: %t", upper.Foot), fmt.Sprintf("sorted by foot: %t", lower.Foot)},
		{fmt.Sprintf("laid by rules: %t", upper.Absent), fmt.Sprintf("laid by rules: %t", lower.Absent)},
		{fmt.Sprintf("counting in place of what lies below: %t", upper.Covers), fmt.Sprintf("counting in place of what lies below: %t", lower.Covers)},
	} {
		if pair[0] != pair[1] {
			return told(upper, pair[0]) + " and " + told(lower, pair[1])
		}
	}
	return ""
}

// MergeDown brings what lies on a layer onto the next one below of its kind and
// removes it; cells of the upper one win. Layers that are drawn differently are not
// merged, since the upper one would look otherwise.
func MergeDown(m *document.Map, id document.ID) (Change, error) {
	var lower *document.Layer
	upper := m.Layers.Get(id)
	if upper == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	switch upper.Kind {
	case document.LayerPicture:
		return Change{}, fmt.Errorf("%s shows a picture, and pictures are not merged", upper.Name)
	case document.LayerGroup:
		return Change{}, fmt.Errorf("%s is a group: merge the layers in it one by one", upper.Name)
	}
	for _, l := range m.LayersInOrder() {
		if l.ID == id {
			break
		}
		if l.Kind == upper.Kind {
			lower = l
		}
	}
	if lower == nil {
		return Change{}, fmt.Errorf("below %s there is no other layer of %s to merge it with", upper.Name, upper.Kind)
	}
	for _, l := range []*document.Layer{upper, lower} {
		switch {
		case !m.Shown(l):
			return Change{}, fmt.Errorf("%s is hidden: show it first", l.Name)
		case !m.Open(l):
			return Change{}, fmt.Errorf("%s is locked: unlock it first", l.Name)
		}
	}
	if why := unlike(upper, lower); why != "" {
		return Change{}, fmt.Errorf("%s: make both alike first, else it would look otherwise", why)
	}
	c := changed(fmt.Sprintf("Merged %s with %s", upper.Name, lower.Name))
	if upper.Painted() {
		c.Do = append(c.Do, painted(m, upper, lower)...)
	}
	for _, e := range m.Entities.All() {
		if e.Layer == id {
			c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}, "layer", lower.ID))
		}
	}
	c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: id}))
	c.Made = lower.ID
	return c, nil
}

// MoveSheet sets how far a layer goes with the camera, and with it its place:
// farther layers are drawn first. Among layers of the same lag the order stays;
// a layer that is nearer than the map stands before the hero.
func MoveSheet(m *document.Map, id document.ID, lag int) (Change, error) {
	moved := m.Layers.Get(id)
	if moved == nil {
		return Change{}, errors.New("the layer is no longer there")
	}
	lag = max(-maxSheetLag, min(lag, maxSheetLag))
	ref := edit.Ref{Type: edit.TypeLayer, Map: m.ID, ID: id}
	c := changed(fmt.Sprintf("Moved %s to %d %% parallax", moved.Name, 100-lag))
	for _, field := range []string{"lagX", "lagY"} {
		c.Do = append(c.Do, edit.Set(ref, field, lag))
	}
	if front := lag < 0; front != moved.Front && (front || moved.LagX < 0) {
		c.Do = append(c.Do, edit.Set(ref, "front", front))
	}
	// only as far up or down as farther and nearer layers make it go
	layers := m.LayersInOrder()
	at, to := 0, 0
	for i, l := range layers {
		if l.ID == id {
			at = i
		}
	}
	to = at
	for i, l := range layers {
		if i > at && l.LagX > lag {
			to = i
		}
	}
	if to == at {
		for i := len(layers) - 1; i >= 0; i-- {
			if i < at && layers[i].LagX < lag {
				to = i
			}
		}
	}
	if to != at {
		order, err := MoveLayer(m, id, to)
		if err == nil {
			c.Do = append(c.Do, order.Do...)
		}
	}
	return c, nil
}

// maxSheetLag is how far the depth view reaches, in percent.
const maxSheetLag = 100

// GuideArea is what a guide for painters outlines: see document.Merged.
type GuideArea struct {
	Zone  int         `json:"zone"`
	Rects []grid.Rect `json:"rects"`
}

// ZoneAreas are the zones of a map, each as few rectangles, for a guide.
func ZoneAreas(d *document.Document, m *document.Map) []GuideArea {
	out := []GuideArea{}
	for _, z := range d.ZonesInOrder() {
		all := &grid.Region{}
		for _, l := range m.LayersInOrder() {
			if l.Kind == document.LayerZones {
				l.Cells.Mark(all, m.Bounds, func(c cells.Cell) bool { return c != 0 && c.Tileset() == z.Number })
			}
		}
		if !all.Empty() {
			out = append(out, GuideArea{z.Number, all.Rects()})
		}
	}
	return out
}
