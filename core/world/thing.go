package world

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
)

// compiler makes the things of a stage out of entities. Most of a thing follows from its kind and from what is set of it otherwise, which takes
// long to be looked up: so what things have in common is made once, and what the stage before had is taken over.
type compiler struct {
	*Stage
	// before is an earlier stage with the same kinds, or nil.
	before *Stage
	bare   map[bareKey]conduct
}

// bareKey is what things of which nothing is set have in common: their kind and the size of a cell.
type bareKey struct {
	kind          string
	width, height int
}

// conduct is what of a thing follows from its settings.
type conduct struct {
	light *Light
	doing Doing
}

func (c *compiler) thing(in *document.Map, e *document.Entity, m Ref) Thing {
	t := Thing{Entity: e, Map: m, Acts: c.Doc.Acts(e), Guises: c.Doc.GuisesOf(e)}
	does := c.conductOf(in, e, t.Acts)
	t.Light, t.Doing, t.Area = does.light, does.doing, c.areaOf(in, e, t.Acts)
	if k := c.Doc.Kind(document.ID(e.Kind)); k != nil {
		t.Solid = k.Solid || t.Acts == kind.Door
	}
	b := c.Doc.Body(e)
	t.Body = Box{Left: int64(b.X) * Unit, Top: int64(b.Y) * Unit, Right: int64(b.X+b.W) * Unit, Bottom: int64(b.Y+b.H) * Unit}
	return t
}

func (c *compiler) conductOf(in *document.Map, e *document.Entity, acts string) conduct {
	anew := func() conduct { return conduct{c.lightOf(in, e, acts), c.doingOf(in, e, acts)} }
	if acts == kind.GroundLine || c.Doc.Value(e, "path").Word() != "" {
		return anew() // follows from where points lie as well
	}
	if len(e.Values) > 0 {
		if does, ok := c.former(in, e); ok {
			return does
		}
		return anew()
	}
	key := bareKey{e.Kind, in.CellWidth, in.CellHeight}
	does, ok := c.bare[key]
	if !ok {
		does = anew()
		c.bare[key] = does
	}
	return does
}

// former is the conduct that an entity had on the stage before, where nothing else is set of it now. What others have to do with it is not taken over.
func (c *compiler) former(in *document.Map, e *document.Entity) (zero conduct, ok bool) {
	if c.before == nil {
		return zero, false
	}
	r := c.before.ThingOf(in.ID, e.ID)
	if r < 0 {
		return zero, false
	}
	t := &c.before.Things[r]
	if g := c.before.Grounds[t.Map]; t.Kind != e.Kind || len(t.Values) != len(e.Values) || &t.Values[0] != &e.Values[0] ||
		g.CellWidth != in.CellWidth || g.CellHeight != in.CellHeight {
		return zero, false
	}
	does := conduct{t.Light, t.Doing}
	does.doing.Carrier, does.doing.Carries, does.doing.Makes, does.doing.Goes = None, nil, nil, slices.Contains(goers, t.Acts)
	return does, true
}
