package rules

import (
	"azzel/core/document"
	"slices"
)

// What has a name, by it: how the text of a rule finds what it names.

// entitiesOf are the entities of a map by their names.
func entitiesOf(m *document.Map) map[string][]document.ID {
	return m.Entities.Derived(func() any {
		out := map[string][]document.ID{}
		m.Entities.Each(func(e *document.Entity) { out[e.Name] = append(out[e.Name], e.ID) })
		return out
	}).(map[string][]document.ID)
}

// entitiesCalled are the entities of all maps that have a name.
func entitiesCalled(d *document.Document, name string) (out []document.Object) {
	order := map[document.ID]int{}
	d.Maps.Each(func(m *document.Map) {
		for _, id := range entitiesOf(m)[name] {
			out = append(out, document.Object{Type: document.TypeEntity, Map: m.ID, ID: id})
			order[m.ID] = m.Order
		}
	})
	if len(out) > 1 {
		slices.SortStableFunc(out, func(a, b document.Object) int { return order[a.Map] - order[b.Map] })
	}
	return out
}

// laidLayers are the layers that rules can lay and lift, by map: those that show something.
func laidLayers(m *document.Map) (out []*document.Layer) {
	for _, l := range m.LayersInOrder() {
		if l.Kind == document.LayerTiles || l.Kind == document.LayerZones || l.Kind == document.LayerPicture {
			out = append(out, l)
		}
	}
	return out
}

// layersCalled are the layers of all maps that have a name.
func layersCalled(d *document.Document, name string) (out []document.Object) {
	for _, m := range d.MapsInOrder() {
		for _, l := range laidLayers(m) {
			if l.Name == name {
				out = append(out, document.Object{Type: document.TypeLayer, Map: m.ID, ID: l.ID})
			}
		}
	}
	return out
}

func mapsCalled(d *document.Document, name string) (out []document.ID) {
	d.Maps.Each(func(m *document.Map) {
		if m.Name == name {
			out = append(out, m.ID)
		}
	})
	return out
}

func flagsCalled(d *document.Document, name string) (out []document.ID) {
	d.Flags.Each(func(f *document.Flag) {
		if f.Name == name {
			out = append(out, f.ID)
		}
	})
	return out
}

func soundsCalled(d *document.Document, name string) (out []document.ID) {
	d.Sounds.Each(func(s *document.Sound) {
		if s.Name == name {
			out = append(out, s.ID)
		}
	})
	return out
}

func countersCalled(d *document.Document, name string) (out []document.ID) {
	d.Counters.Each(func(c *document.Counter) {
		if c.Name == name {
			out = append(out, c.ID)
		}
	})
	return out
}

func kindsCalled(d *document.Document, name string) (out []document.ID) {
	for _, k := range d.KindsInOrder() {
		if k.Name == name {
			out = append(out, k.ID)
		}
	}
	return out
}
