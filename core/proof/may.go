// Package proof tells by computation whether a game can be finished. What could be, from
// above (MAY), says soundly that it cannot; what can be done (MUST) is searched for in the
// engine that plays, so that every answer of “can” has a walk that plays.
package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
)

// May is what could come about in a game: one least fixpoint of facts, to which events only
// add. Where it errs, it is for more: moves are steps from cell to cell whatever falls, and
// nothing that once could be is taken back.
type May struct {
	st *world.Stage
	// reached are the cells that the hero's middle could be in, by map.
	reached []cellSet
	yes, no []bool               // what flags could be
	taken   []bool               // things that could be had
	opened  []bool               // what could come to be open, or on
	shuts   []bool               // what could come to be shut, or off
	away    []bool               // what could be taken away
	ran     []bool               // rules that could have begun
	came    map[document.ID]bool // parts of rules that could have been come to
	beaten  []bool               // what rules could defeat
	turns   []bool               // layers that could lie otherwise than at first
	won     bool                 // a rule could win the game
	done    []bool               // which maps could be finished, by their numbers
	// least and most are what counters could be; added are the parts of rules that have added what they do once.
	least, most []int64
	added       map[added]bool
	tallies     []tally                 // by counter
	ruled       *deeds                  // what rules do, nil until it is asked
	paid        map[document.ID]repeats // parts of rules that are done for a payment
	enabled     []bool                  // what rules could have enabled
	signals     []string                // that could be sent out, ascending
	gives       []string                // items that rules could give, ascending
	given       map[string]int64        // how many of each
	arrived     []bool                  // maps that could have been entered
	queue       []spot
	// shut are the cells that only a thing that is in the way keeps the hero from.
	shut map[world.Ref][]spot
	// gates are ways that ask for something that could not be so yet.
	gates []gate
	// lined are the maps whose cells are divided by ground that is drawn freely, nil for all others.
	lined []*lined
	// leaps are the maps on which jumps say what is come to, nil for all others.
	leaps []*leaps
	// exact are the maps on which the hero touches the cell in which it is, and no other.
	exact []bool
	// pushed are blocks that only the hero moves, settled the maps on which that is so of all, barred the cells of blocks that no push moves yet.
	pushed  []pushed
	settled []bool
	barred  []*cellSet
	// now is the game from which on it is looked at what could be; nil is how a game begins.
	now *play.Game
	// unlocked are doors that are taken to be open, free the ways that are taken to ask for nothing: what would be if they were.
	unlocked []bool
	free     []bool
	// kept are locks on which no key is spent; nil for none.
	kept []bool
	// What is taken never to be: one more than a flag that is set, a map that is come to, a thing that is open, and an item.
	bareFlag, bareMap, bareThing world.Ref
	bareWord                     string
}

type spot struct {
	m world.Ref
	p grid.Point
	// part is one of those into which its cell is divided; 0 where it is whole.
	part uint8
}

type gate struct {
	asks []document.Gate
	to   spot
	way  world.Ref
}

// cellSet holds cells of one map: a bit a cell, each row in whole words.
type cellSet struct {
	box   grid.Rect
	words int
	bits  []uint64
}

func newCells(b grid.Rect) cellSet {
	words := (b.W + 63) / 64
	return cellSet{b, words, make([]uint64, words*b.H)}
}

func (c *cellSet) at(p grid.Point) (int, bool) {
	return (p.Y-c.box.Y)*c.words*64 + p.X - c.box.X, c.box.Contains(p)
}

func (c *cellSet) has(p grid.Point) bool {
	i, in := c.at(p)
	return in && c.bits[i>>6]>>(i&63)&1 != 0
}

func (c *cellSet) add(p grid.Point) bool {
	i, in := c.at(p)
	if !in || c.bits[i>>6]>>(i&63)&1 != 0 {
		return false
	}
	c.bits[i>>6] |= 1 << (i & 63)
	return true
}

func (c *cellSet) remove(p grid.Point) {
	if i, in := c.at(p); in {
		c.bits[i>>6] &^= 1 << (i & 63)
	}
}

// Could computes what could come about from a cell of a map on.
func Could(st *world.Stage, m world.Ref, from grid.Point) *May {
	return could(st, spot{m: m, p: from})
}

// CouldFrom computes what could come about in a new game from where its hero is set down.
func CouldFrom(g *play.Game) *May { return could(g.Stage, heroSpot(g)) }

func could(st *world.Stage, at spot) *May {
	f := begin(st, at)
	for !f.goOn(1 << 20) {
	}
	return f
}

// begin is what is so at the beginning.
func begin(st *world.Stage, at spot) *May {
	f := facts(st)
	for i := range f.no {
		f.no[i] = true
	}
	for i, c := range st.Counters {
		f.least[i], f.most[i] = int64(c.Start), int64(c.Start)
	}
	return f.fromHere(at)
}

// facts are none yet.
func facts(st *world.Stage) *May {
	f := &May{st: st, exact: make([]bool, len(st.Grounds)), settled: make([]bool, len(st.Grounds)), barred: make([]*cellSet, len(st.Grounds)), yes: make([]bool, len(st.Flags)), no: make([]bool, len(st.Flags)), taken: make([]bool, len(st.Things)),
		opened: make([]bool, len(st.Things)), shuts: make([]bool, len(st.Things)), away: make([]bool, len(st.Things)), ran: make([]bool, len(st.Rules)), beaten: make([]bool, len(st.Things)), turns: make([]bool, len(st.Sheets)), arrived: make([]bool, len(st.Grounds)), done: make([]bool, len(st.Grounds)), shut: map[world.Ref][]spot{}, came: map[document.ID]bool{}, added: map[added]bool{}, given: map[string]int64{}, tallies: make([]tally, len(st.Counters)), paid: map[document.ID]repeats{}, enabled: make([]bool, len(st.Things)),
		least: make([]int64, len(st.Counters)), most: make([]int64, len(st.Counters))}
	for _, g := range st.Grounds {
		f.reached = append(f.reached, newCells(g.Bounds))
		l := divided(st, g)
		if first, after := g.Sheets(); first < after {
			l = nil // what divides its cells changes
		}
		f.lined, f.leaps = append(f.lined, l), append(f.leaps, leapsOf(g, g.Footing()))
	}
	return f
}

// fromHere has the hero be in a cell, and whoever can be led instead where that one waits.
func (f *May) fromHere(at spot) *May {
	st := f.st
	for m, g := range st.Grounds {
		f.exact[m] = f.whole(g)
	}
	f.takeBlocks()
	f.enter(at)
	// whoever can be led may be led from where it waits, and who is lost comes back in turn; one that is not there may be brought
	for _, r := range append(play.Others(st, st.Grounds[at.m]), st.Heroes...) {
		if !f.missing(r) {
			f.leads(r)
		}
	}
	return f
}

// leads has somebody be led from where it waits.
func (f *May) leads(r world.Ref) {
	t := f.st.Thing(r)
	box := t.Box(f.st.Grounds[t.Map].Map)
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			f.enter(spot{m: t.Map, p: grid.Point{X: x, Y: y}, part: f.stands(t.Map)})
		}
	}
}

// goOn goes on for so many cells; true when there is nothing more to add.
func (f *May) goOn(cells int) bool {
	for f.flood(&cells) {
		if !f.events() {
			return true
		}
	}
	return false
}

// enter reaches a cell, whatever stands there: all parts of it.
func (f *May) enter(s spot) {
	if s.m == f.bareMap-1 {
		return
	}
	if f.leaps[s.m] != nil {
		f.rest(s)
		return
	}
	if l := f.lined[s.m]; l != nil {
		f.enterParts(s, l.at(s.p).all())
		return
	}
	if f.reached[s.m].add(s.p) {
		f.queue = append(f.queue, s)
		f.arrived[s.m] = true
	}
}

// over goes over an edge of a map: through a seam, round to the other side.
func (f *May) over(g *world.Ground, m world.Ref, p grid.Point, way document.Facing) {
	if o, q, s := f.st.Chart.Beyond(g.Map, p); o != nil {
		f.pass(gate{s.If, spot{m: f.st.MapOf(o.ID), p: q}, world.None})
		return
	}
	switch g.Map.Side(way) {
	case document.SideWrap:
		b := g.Bounds
		f.enterFree(spot{m: m, p: grid.Point{X: b.X + grid.Mod(p.X-b.X, b.W), Y: b.Y + grid.Mod(p.Y-b.Y, b.H)}})
	case document.SideExit:
		f.through(f.st.WayFrom(document.End{Map: g.ID, Side: way}))
	}
}

func (f *May) enterFree(s spot) {
	if g := f.st.Grounds[s.m]; !f.walled(g, s.p) {
		f.enter(s)
	}
}

// through goes through a passage, if what it asks for could be so.
func (f *May) through(way world.Ref) {
	if way < 0 {
		return
	}
	p := f.st.Ways[way]
	to := f.st.Thing(f.st.ThingOf(p.To.Map, p.To.Entity))
	if to == nil {
		return
	}
	f.setDown(to, gate{asks: p.If, way: way})
}

// setAt sets the hero down where a thing is, or, where something stands there, within two cells of it.
func (f *May) setAt(to *world.Thing) {
	g := f.st.Grounds[to.Map]
	box := to.Box(g.Map)
	for y := box.Y - 2; y < box.Y+box.H+2; y++ {
		for x := box.X - 2; x < box.X+box.W+2; x++ {
			if p := (grid.Point{X: x, Y: y}); g.Bounds.Contains(p) {
				f.enterFree(spot{m: to.Map, p: p})
			}
		}
	}
}

func (f *May) setDown(to *world.Thing, through gate) {
	g := f.st.Grounds[to.Map]
	box := to.Box(g.Map)
	// the hero is set into the middle of it, or onto its floor
	if f.leaps[to.Map] != nil {
		box.Y, box.H = box.Y+box.H-1, 1
	}
	for y := box.Y; y < box.Y+box.H; y++ {
		for x := box.X; x < box.X+box.W; x++ {
			through.to = spot{m: to.Map, p: grid.Point{X: x, Y: y}, part: f.stands(to.Map)}
			f.pass(through)
		}
	}
}

func (f *May) pass(g gate) {
	if f.leaps[g.to.m] == nil && f.reached[g.to.m].has(g.to.p) && (f.lined[g.to.m] == nil || f.lined[g.to.m].at(g.to.p).left() == 0) {
		return
	}
	if f.free != nil && g.way >= 0 && f.free[g.way] || f.holds(g.asks) {
		f.enter(g.to)
	} else {
		f.gates = append(f.gates, g)
	}
}

// fills is a thing that is in the way and fills a cell so that no middle of the hero fits in;
// None where there is none.
func (f *May) fills(g *world.Ground, p grid.Point) world.Ref {
	w, h := g.Cell()
	cell := world.Box{Left: int64(p.X) * w, Top: int64(p.Y) * h, Right: int64(p.X+1) * w, Bottom: int64(p.Y+1) * h}
	out := world.None
	g.Near(cell, func(r world.Ref, t *world.Thing) {
		covers := t.Body.Left <= cell.Left && t.Body.Top <= cell.Top && t.Body.Right >= cell.Right && t.Body.Bottom >= cell.Bottom
		if g.Solid(t) && t.Acts != kind.Breakable && t.Acts != kind.Charge && covers && !f.missing(r) && !f.away[r] && len(t.Variants) == 0 && !(t.Acts == kind.Door && (f.on(r) || f.opened[r])) {
			out = r
		}
	})
	return out
}

// events lets happen what could; false when that adds nothing.
func (f *May) events() bool {
	before := len(f.queue)
	more := false
	set := func(is *bool) {
		more = more || !*is
		*is = true
	}
	if len(f.pushed) > 0 {
		more = f.push()
	}
	for r := range f.st.Things {
		t := &f.st.Things[r]
		f.happens(world.Ref(r), t, set)
	}
	for m := range f.arrived {
		if f.arrived[m] {
			for _, word := range []string{rules.WordArrive, rules.WordGoes} {
				f.wakeAll(rules.Happening{Word: word, At: document.Object{Type: document.TypeMap, ID: f.st.Grounds[m].ID}}, world.None, set)
			}
		}
	}
	f.always(set)
	gates := f.gates
	f.gates = nil
	for _, g := range gates {
		f.pass(g)
	}
	for r := range f.opened {
		if f.opened[r] || f.away[r] {
			for _, s := range f.shut[world.Ref(r)] {
				f.enter(s)
			}
			delete(f.shut, world.Ref(r))
		}
	}
	return more || len(f.queue) > before
}

// Reaches reports whether the hero could touch a thing.
func (f *May) Reaches(r world.Ref) bool { return f.near(f.st.Thing(r), 0) }

// Reached reports whether the hero could be in a cell of a map.
func (f *May) Reached(m world.Ref, p grid.Point) bool {
	// who ducks has its middle lower, which may be in the cell below
	return f.reached[m].has(p) || f.lined[m] != nil && f.reached[m].has(grid.Point{X: p.X, Y: p.Y - 1})
}
