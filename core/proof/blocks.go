package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// maxPushed is how many blocks of a game are told apart in what could be.
const maxPushed = 64

// pushed is where a block could lie: in its first cell, where it is in the way until some push of it is possible, and from then on wherever
// pushes lead.
type pushed struct {
	of, m world.Ref
	first grid.Point
	stuck bool
	at    cellSet
	cells []grid.Point
}

// still are the kinds beside which a block lies where it was pushed.
var still = []string{kind.Spawn, kind.Hero, kind.Exit, kind.Arrival, kind.Checkpoint, kind.Goal, kind.Switch, kind.Door, kind.Collectible, kind.Key, kind.Item, kind.Container,
	kind.Sign, kind.Light, kind.Sound, kind.Emitter, kind.Decoration, kind.Sensor, kind.Block, kind.Breakable, kind.Timer}

// pushedOnly reports whether on a map, seen from above, nothing but the hero moves blocks.
func (f *May) pushedOnly(g *world.Ground) bool {
	first, after := g.Sheets()
	if g.Side || g.Template || first < after || f.lined[g.Ref] != nil || len(g.Areas()) > 0 || len(g.Fans()) > 0 || g.Bounds.W*g.Bounds.H > MaxCells/8 {
		return false
	}
	for r := g.First; r < g.After; r++ {
		if t := f.st.Thing(r); !slices.Contains(still, t.Acts) || t.Acts == kind.Block && t.Doing.Carrier >= 0 {
			return false
		}
	}
	return true
}

// ruledBlocks reports whether rules name blocks, or whoever wakes them, so that they may do anything with these.
func ruledBlocks(st *world.Stage) bool {
	named := func(o document.Object) bool {
		switch o.Type {
		case document.TypeWho, document.TypeIt, document.TypeWithin:
			return true
		case document.TypeEntity:
			t := st.Thing(st.ThingOf(o.Map, o.ID))
			return t != nil && t.Acts == kind.Block
		case document.TypeKind, document.TypeTag:
			return slices.ContainsFunc(st.Things, func(t world.Thing) bool { return t.Acts == kind.Block && st.Doc.Covers(o, document.ID(t.Kind)) })
		}
		return false
	}
	for _, r := range st.Rules {
		tree, is := rules.TreeOf(r), false
		rules.Each(slices.Concat(tree.When, tree.If, tree.Then, tree.Otherwise), func(n *rules.Node) { is = is || n.Who || named(n.At) || named(n.To) })
		if is && !r.Off {
			return true
		}
	}
	return false
}

// takeBlocks notes where blocks lie, on maps where it is known what moves them.
func (f *May) takeBlocks() {
	all := 0
	for i := range f.st.Things {
		if f.st.Things[i].Acts == kind.Block {
			all++
		}
	}
	if all == 0 || all > maxPushed || ruledBlocks(f.st) {
		return
	}
	for m, g := range f.st.Grounds {
		f.settled[m] = f.pushedOnly(g)
	}
	for i := range f.st.Things {
		t, r := &f.st.Things[i], world.Ref(i)
		if t.Acts != kind.Block || !f.settled[t.Map] || f.missing(r) {
			continue
		}
		g := f.st.Grounds[t.Map]
		w, h := g.Cell()
		box := t.Body
		sunk := false
		if f.now != nil {
			box = f.now.Where(r)
			for k := range f.now.Bodies {
				sunk = sunk || f.now.Bodies[k].Of == r && f.now.Bodies[k].Flags&play.Sunk != 0
			}
		}
		first := g.CellAt(box.Left, box.Top)
		if sunk || f.now != nil && f.forgets(r) || box.Left != int64(first.X)*w || box.Top != int64(first.Y)*h || box.Right-box.Left != w || box.Bottom-box.Top != h || !g.Bounds.Contains(first) {
			f.settled[t.Map] = false // it is not known where it is in the way
			continue
		}
		f.pushed = append(f.pushed, pushed{of: r, m: t.Map, first: first, stuck: true, at: newCells(g.Bounds)})
	}
	f.pushed = slices.DeleteFunc(f.pushed, func(b pushed) bool { return !f.settled[b.m] })
	for i := range f.pushed {
		b := &f.pushed[i]
		if f.barred[b.m] == nil {
			set := newCells(f.st.Grounds[b.m].Bounds)
			f.barred[b.m] = &set
		}
		f.barred[b.m].add(b.first)
		b.at.add(b.first)
		b.cells = []grid.Point{b.first}
	}
}

// bars reports whether a block lies in a cell that no push moves yet.
func (f *May) bars(m world.Ref, p grid.Point) bool { return f.barred[m] != nil && f.barred[m].has(p) }

// push moves blocks wherever the hero could push them; true when that is more than before.
func (f *May) push() (more bool) {
	for again := true; again; {
		again = false
		for i := range f.pushed {
			b := &f.pushed[i]
			g := f.st.Grounds[b.m]
			for k := 0; k < len(b.cells); k++ {
				for _, way := range document.Facings {
					dx, dy := way.Step()
					at := b.cells[k]
					stand, next := grid.Point{X: at.X - dx, Y: at.Y - dy}, grid.Point{X: at.X + dx, Y: at.Y + dy}
					if !f.reached[b.m].has(stand) || !g.Bounds.Contains(next) || b.at.has(next) || f.walled(g, next) || f.bars(b.m, next) {
						continue
					}
					if by := f.fills(g, next); by != world.None {
						continue
					}
					again, more = true, true
					if b.stuck {
						b.stuck = false
						f.barred[b.m].remove(b.first)
						f.enter(spot{m: b.m, p: b.first}) // whoever pushes it goes after it
					}
					b.at.add(next)
					b.cells = append(b.cells, next)
				}
			}
		}
	}
	return more
}

// weighs reports whether the hero, or a block, could stand on a switch of a map on which nothing else moves.
func (f *May) weighs(t *world.Thing) bool {
	g := f.st.Grounds[t.Map]
	from, to := g.CellAt(t.Body.Left, t.Body.Top), g.CellAt(t.Body.Right-1, t.Body.Bottom-1)
	for i := range f.pushed {
		if b := &f.pushed[i]; b.m == t.Map && slices.ContainsFunc(b.cells, func(p grid.Point) bool { return p.X >= from.X && p.Y >= from.Y && p.X <= to.X && p.Y <= to.Y }) {
			return f.arrived[t.Map]
		}
	}
	return f.near(t, 0)
}
