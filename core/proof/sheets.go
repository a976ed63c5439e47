package proof

import (
	"azzel/core/grid"
	"azzel/core/rules"
	"azzel/core/world"
)

// maxTurned is of how many layers of a map all ways of lying are looked at; with more, nothing there is in the way.
const maxTurned = 5

// walled reports whether a cell is solid, however the layers could lie that rules lay and lift.
func (f *May) walled(g *world.Ground, p grid.Point) bool {
	first, after := g.Sheets()
	var turned []int
	for n := first; n < after; n++ {
		if f.turns[n] {
			turned = append(turned, n-first)
		}
	}
	if len(turned) > maxTurned {
		return false
	}
	for some := range 1 << len(turned) {
		var bits uint32
		for i, n := range turned {
			bits |= uint32(some>>i&1) << n
		}
		if g.As(bits).At(p)&world.Whole == 0 {
			return false
		}
	}
	return true
}

// turn takes over that a layer could be laid or lifted; where that is new, the way may lead on from everywhere on its map.
func (f *May) turn(n *rules.Node, set func(*bool)) {
	s := f.st.SheetOf(n.At.Map, n.At.ID)
	if s < 0 || f.turns[s] || f.st.Sheets[s].Absent != (n.Word == rules.WordLay) {
		return
	}
	set(&f.turns[s])
	m := f.st.MapOf(n.At.Map)
	if f.anyhow(m) {
		return
	}
	b := f.reached[m].box
	for y := b.Y; y < b.Y+b.H; y++ {
		for x := b.X; x < b.X+b.W; x++ {
			if p := (grid.Point{X: x, Y: y}); f.reached[m].has(p) {
				f.queue = append(f.queue, spot{m: m, p: p})
			}
		}
	}
}

// lies tells of a condition about a layer whether it could be so, and whether it could not.
func (f *May) lies(n *rules.Node) (could, fails bool) {
	lies := n.Word == rules.WordLies
	s := f.st.SheetOf(n.At.Map, n.At.ID)
	if s < 0 {
		m := f.st.Ground(f.st.MapOf(n.At.Map))
		is := m != nil && m.Layers.Get(n.At.ID) != nil && !m.Layers.Get(n.At.ID).Absent
		return is == lies, is != lies
	}
	first := f.st.Sheets[s].Absent != lies
	return first || f.turns[s], !first || f.turns[s]
}
