package play

import (
	"azzel/core/document"
	"azzel/core/world"
)

// ground is a map by its number as it is now, with what rules laid over it and lifted off it; nil for None.
func (g *Game) ground(r world.Ref) *world.Ground {
	if m := g.Stage.Ground(r); m == nil || m.Fixed() {
		return m
	}
	return g.laid(g.Stage.Ground(r))
}

// laid is a map with its sheets as they are now.
func (g *Game) laid(m *world.Ground) *world.Ground {
	var turned uint32
	first, after := m.Sheets()
	for n := first; n < after; n++ {
		if g.bit(sheetSlot(g.Stage, n)) {
			turned |= 1 << (n - first)
		}
	}
	return m.As(turned)
}

// Lies reports whether a layer of a map is there; one that was removed is not.
func (g *Game) Lies(o document.Object) bool {
	if n := g.Stage.SheetOf(o.Map, o.ID); n >= 0 {
		return g.Stage.Sheets[n].Absent == g.bit(sheetSlot(g.Stage, int(n)))
	}
	m := g.Stage.Ground(g.Stage.MapOf(o.Map))
	return m != nil && m.Layers.Get(o.ID) != nil && !m.Layers.Get(o.ID).Absent
}

// lays has a layer be there from now on, or not any more; who stands in what it brings moves out of it.
func (g *Game) lays(word string, o document.Object, there bool) {
	n := g.Stage.SheetOf(o.Map, o.ID)
	if n < 0 {
		g.Notice = "A rule wanted to change a layer that was removed."
		return
	}
	slot, to := sheetSlot(g.Stage, int(n)), g.Stage.Sheets[n].Absent == there
	if g.bit(slot) == to {
		return
	}
	g.set(slot, to)
	m := g.Stage.Ground(g.Stage.MapOf(o.Map))
	g.tell(word, m.Layers.Get(o.ID).Name)
	if m.Ref == g.Hero().Map {
		g.free()
	}
}

// firstSheets has the layers of a map be as they are at first.
func (g *Game) firstSheets(m *world.Ground) {
	first, after := m.Sheets()
	for n := first; n < after; n++ {
		g.set(sheetSlot(g.Stage, n), false)
	}
}

// Lifted lists the layers that rules lay and lift and that do not lie there now.
func (g *Game) Lifted() (out []document.LayerAt) {
	for n, o := range g.Stage.Sheets {
		if o.Absent != g.bit(sheetSlot(g.Stage, n)) {
			out = append(out, document.LayerAt{Map: o.Map, Layer: o.Layer})
		}
	}
	return out
}

// Turned lists the layers that are otherwise than at first.
func (g *Game) Turned() (out []document.LayerAt) {
	for n, o := range g.Stage.Sheets {
		if g.bit(sheetSlot(g.Stage, n)) {
			out = append(out, document.LayerAt{Map: o.Map, Layer: o.Layer})
		}
	}
	return out
}
