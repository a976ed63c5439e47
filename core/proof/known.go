package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/world"
	"slices"
)

// holds reports whether all that is asked could be so.
func (f *May) holds(asks []document.Gate) bool {
	for _, a := range asks {
		could := a.Not // what is not had at first could stay so
		switch a.Asks {
		case document.GateFlag:
			if i := f.st.FlagOf(a.Flag); i >= 0 {
				could = f.yes[i] && !a.Not || f.no[i] && a.Not
			}
		case document.GateItem:
			r := f.st.ThingOf(a.Map, a.Entity)
			could = could || r >= 0 && f.taken[r]
		case document.GateCount:
			n := 0
			for r := range f.st.Things {
				if f.taken[r] && document.ID(f.st.Things[r].Entity.Kind) == a.Kind {
					n++
				}
			}
			could = could || n >= a.Count
		}
		if !could {
			return false
		}
	}
	return true
}

// has reports whether what is called by a word could be had: a key, an item, something of a
// container, or what a hero begins with.
func (f *May) has(word string) bool {
	if word == f.bareWord && word != "" {
		return false
	}
	return f.keys(word) > 0 || f.hasOtherwise(word)
}

// hasOtherwise reports whether what is called by a word could be had from something else than a key.
func (f *May) hasOtherwise(word string) bool {
	for r := range f.st.Things {
		t := &f.st.Things[r]
		switch t.Acts {
		case kind.Item:
			if f.taken[r] && t.Doing.Word == word {
				return true
			}
		case kind.Breakable:
			if t.Doing.Word == word {
				return true // it may be broken
			}
		case kind.Walker, kind.Flyer, kind.Shooter:
			if slices.Contains(t.Doing.Holds, word) {
				return true // it may be defeated
			}
		case kind.Container:
			if (f.opened[r] || f.on(world.Ref(r))) && slices.Contains(t.Doing.Holds, word) {
				return true
			}
		case kind.Hero:
			if slices.Contains(f.st.Carries(world.Ref(r)), word) {
				return true
			}
		}
	}
	if _, gives := slices.BinarySearch(f.gives, word); gives || f.now != nil && f.now.Amount(word) > int64(f.inHand(word)) {
		return true
	}
	return slices.Contains(f.st.Carries(world.None), word)
}

// whole reports whether on a map the hero is in one cell whenever it rests, and touches nothing besides: it goes from each to the next one,
// never aslant, is no larger, and begins in the middle of one.
func (f *May) whole(g *world.Ground) bool {
	w, h := g.Cell()
	if gait := f.st.Gait(g, world.None); g.Side || !gait.Cells || gait.Eight || gait.W > w || gait.H > h || len(f.st.Heroes) > 1 || f.lined[g.Ref] != nil {
		return false
	}
	for r := g.First; r < g.After; r++ {
		switch t := f.st.Thing(r); t.Acts {
		case kind.Spawn, kind.Hero, kind.Arrival:
			if t.W != g.CellWidth || t.H != g.CellHeight || grid.Mod(t.X, t.W) != 0 || grid.Mod(t.Y, t.H) != 0 {
				return false
			}
		}
	}
	return true
}

// near reports whether the hero could come within so many cells of what a thing covers.
func (f *May) near(t *world.Thing, cells int) bool {
	if t.Doing.Goes {
		return f.arrived[t.Map] // it may come anywhere
	}
	g := f.st.Grounds[t.Map]
	from, to := g.CellAt(t.Body.Left, t.Body.Top), g.CellAt(t.Body.Right-1, t.Body.Bottom-1)
	// a box of the hero reaches over the side of its middle's cell, where it does not go from one to the next
	if cells > 0 || !f.exact[t.Map] {
		cells++
	}
	for y := from.Y - cells; y <= to.Y+cells; y++ {
		for x := from.X - cells; x <= to.X+cells; x++ {
			if f.reached[t.Map].has(grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}

// stepsInto reports whether the hero's middle could be in a thing: only so does it lead on.
func (f *May) stepsInto(t *world.Thing) bool {
	g := f.st.Grounds[t.Map]
	if t.Doing.Goes || g.Side || f.lined[t.Map] != nil {
		return f.near(t, 0)
	}
	from, to := g.CellAt(int64(t.X)*world.Unit, int64(t.Y)*world.Unit), g.CellAt(int64(t.X+t.W)*world.Unit-1, int64(t.Y+t.H)*world.Unit-1)
	for y := from.Y; y <= to.Y; y++ {
		for x := from.X; x <= to.X; x++ {
			if f.reached[t.Map].has(grid.Point{X: x, Y: y}) {
				return true
			}
		}
	}
	return false
}
