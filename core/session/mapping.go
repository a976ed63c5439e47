package session

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"errors"
)

type boundsArgs struct {
	Map    document.ID `json:"map"`
	Bounds grid.Rect   `json:"bounds"`
}

func (s *Session) lossOf(a boundsArgs) (zero author.Loss, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	out := author.LossOf(m, a.Bounds)
	out.Spans = out.Spans[:min(len(out.Spans), maxGhostSpans)]
	return out, nil
}

// crop gives a map the bounds of what is selected on it.
func (s *Session) crop(a mapArgs) (zero Outcome, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	r := s.within(m.ID)
	if r == nil {
		return zero, errors.New("no cells are selected")
	}
	c, err := author.Resize(m, r.Bounds())
	if err != nil {
		return zero, err
	}
	return s.make(c.Do, c.Label)
}

// Where an exchange of tiles works.
const (
	inSelection = "selection"
	inMap       = "map"
	inProject   = "project"
)

func (s *Session) exchange(a struct {
	Map   document.ID   `json:"map"`
	In    string        `json:"in"`
	Swaps []author.Swap `json:"swaps"`
	// From and To are tilesets of the same arrangement, instead of single tiles.
	From document.ID `json:"from"`
	To   document.ID `json:"to"`
	// Laid puts one tile on a layer of its own that rules lay, and leaves the map as it is.
	Laid bool `json:"laid"`
}) (zero Outcome, err error) {
	d := s.doc()
	from, to := d.Tilesets.Get(a.From), d.Tilesets.Get(a.To)
	if a.From != "" && (from == nil || to == nil || from == to) {
		return zero, errors.New("choose two tilesets that are there")
	}
	var m *document.Map
	var region *grid.Region
	if a.In != inProject {
		var err error
		if m, err = s.mapOf(a.Map); err != nil {
			return zero, err
		}
	}
	if a.In == inSelection {
		if region = s.within(a.Map); region == nil {
			return zero, errors.New("no cells are selected")
		}
	}
	var c author.Change
	if a.Laid {
		if m == nil || len(a.Swaps) != 1 {
			return zero, errors.New("a layer for rules is of one map, and exchanges one tile for another")
		}
		if c, err = author.LayExchanged(m, region, a.Swaps[0]); err != nil {
			return zero, err
		}
		out, err := s.make(c.Do, c.Label)
		out.Made = c.Made
		return out, err
	}
	if a.From != "" {
		c, err = author.ExchangeSets(d, m, region, from, to)
	} else {
		c, err = author.Exchange(d, m, region, a.Swaps)
	}
	if err != nil {
		return zero, err
	}
	return s.make(c.Do, c.Label)
}

// merged is what is solid on a map in few pieces, for the overlay.
func (s *Session) merged(a mapArgs) (zero document.Merged, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	out := s.ground().Merged(m)
	out.Rects = out.Rects[:min(len(out.Rects), maxGhostSpans)]
	return out, nil
}

// under names what lies on each layer under a cell, the top one first.
func (s *Session) under(a pointArgs) (zero []Found, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	d, out := s.doc(), []Found{}
	layers := m.LayersInOrder()
	for i := len(layers) - 1; i >= 0; i-- {
		l := layers[i]
		what := ""
		if l.Kind == document.LayerEntities {
			for _, e := range m.Standing(a.At) {
				if e.Layer == l.ID {
					if what != "" {
						what += ", "
					}
					what += e.Name
				}
			}
		} else if c := l.Cells.At(a.At.X, a.At.Y); c != 0 {
			what = s.nameOf(d, l, c)
		}
		if what != "" {
			out = append(out, Found{l.Name, what})
		}
	}
	return out, nil
}

// Found is what lies on a layer.
type Found struct {
	Layer string `json:"layer"`
	What  string `json:"what"`
}

func (s *Session) nameOf(d *document.Document, l *document.Layer, c cells.Cell) string {
	switch {
	case l.Kind == document.LayerZones:
		if z := d.ZoneByNumber(c.Tileset()); z != nil {
			return "zone " + z.Name
		}
		return "a removed zone"
	case c.IsMaterial():
		if m := d.MaterialByNumber(c.Tileset()); m != nil {
			return m.Name
		}
		return "a removed material"
	}
	return d.TileName(c)
}
