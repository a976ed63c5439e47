package world

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Area is what a thing does to whoever is in it.
type Area struct {
	Is Terrain
	// Flow is how far it carries one in a tick, in 1/256 pixels.
	FlowX, FlowY int64
	// Below tells that it acts on what stands on it as well.
	Below bool
	// Always tells that it needs not be on.
	Always bool
	// Harm is how many hearts it takes.
	Harm int32
}

// flowSpeed is how fast water carries, in cells a second.
const flowSpeed = 2

// areaOf is what an entity does to whoever is in it; nil where it does nothing.
func (s *Stage) areaOf(m *document.Map, e *document.Entity, acts string) *Area {
	d := s.Doc
	along := func(f document.Facing, thousandths int64) (x, y int64) {
		dx, dy := f.Step()
		return int64(dx) * thousandths * int64(m.CellWidth) * Unit / (1000 * TicksPerSecond), int64(dy) * thousandths * int64(m.CellHeight) * Unit / (1000 * TicksPerSecond)
	}
	switch acts {
	case kind.Ladder:
		return &Area{Is: Ladder, Always: true}
	case kind.Hazard:
		return &Area{Is: Hazard, Harm: int32(d.Value(e, "harm").Thousandths() / 1000)}
	case kind.Water:
		out := &Area{Is: Water, Always: true}
		if f := document.Facing(d.Value(e, "flows").Word()); f.Index() >= 0 {
			out.FlowX, out.FlowY = along(f, flowSpeed*1000)
		}
		switch d.Value(e, "does").Word() {
		case "drowns":
			out.Is, out.Harm = Water|Hazard, 1<<20
		case "slows":
			out.Is = Slow
		}
		return out
	case kind.Conveyor:
		out := &Area{Below: true}
		out.FlowX, out.FlowY = along(e.Facing, d.Value(e, "speed").Thousandths())
		return out
	case kind.Wind:
		out := &Area{}
		out.FlowX, out.FlowY = along(e.Facing, d.Value(e, "force").Thousandths())
		return out
	}
	return nil
}
