package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// Away is what was so of something that is not in the document any more; it comes back
// with it, by an undo.
type Away struct {
	// Of is an entity, a flag, a counter or a rule.
	Of document.Object
	// Bits are its bits, the lowest first; Own what it had of its own, other than at first.
	Bits uint16
	Own  []document.OwnSo
	// Count is what a counter was, or how many of Item rules had given.
	Count int
	Item  string
	// For is the thing for which a rule has run.
	For *document.End
}

// Enter brings a game to the stage of another version of the document: everything keeps
// what it was, what is gone is kept aside, and who stands in something solid moves out of it.
func (g *Game) Enter(next *world.Stage) {
	was := g.Stage
	if was == next {
		return
	}
	g.Stage = next
	g.enterSituation(was)
	s := g.State
	g.enterBodies(was)
	s.Entry.Map, s.Back.Map = movedMap(was, next, s.Entry.Map), movedMap(was, next, s.Back.Map)
	known := s.Known[:0:0]
	for _, k := range s.Known {
		if k.Map = movedMap(was, next, k.Map); k.Map >= 0 {
			known = append(known, k)
		}
	}
	s.Known, s.Looked.Map = known, world.None
	s.Round.Map = movedMap(was, next, s.Round.Map)
	s.Cam.Map = movedMap(was, next, s.Cam.Map)
	s.Inside = movedThing(was, next, s.Inside)
	s.Show.enter(was, next)
	if s.Sent >= 0 {
		s.Sent = movedThing(was, next, s.Sent)
	}
	if s.Leaving >= 0 {
		s.Leaving = next.WayOf(was.Ways[s.Leaving].ID)
	}
	threads := s.Threads[:0:0]
	for _, t := range s.Threads {
		if t, ok := movedThread(was, next, t); ok {
			threads = append(threads, t)
		}
	}
	if len(threads) < len(s.Threads) && !slices.ContainsFunc(threads, Thread.reads) {
		s.Lines = s.Lines[:0:0] // what a rule said that is gone waits for nobody
	}
	s.Threads = threads
	for i := range s.Lines {
		s.Lines[i].By = movedThing(was, next, s.Lines[i].By-1) + 1
	}
	g.askAnew()
	g.free()
}

// enterBodies brings what moves to the next stage: what was put elsewhere begins there anew.
func (g *Game) enterBodies(was *world.Stage) {
	s, next := g.State, g.Stage
	bodies := s.Bodies[:0:0]
	for i, b := range s.Bodies {
		before := was.Thing(b.Of)
		b.Of, b.Map = movedThing(was, next, b.Of), movedMap(was, next, b.Map)
		if i > 0 {
			now := next.Thing(b.Of)
			if now == nil || b.Map < 0 || !now.Doing.Goes || before.Body != now.Body {
				continue
			}
		}
		bodies = append(bodies, b)
	}
	slices.SortFunc(bodies[1:], func(a, b Body) int { return int(a.Of - b.Of) })
	s.Bodies = bodies
	moved := func(all []world.Ref, to func(was, next *world.Stage, r world.Ref) world.Ref) []world.Ref {
		out := all[:0:0]
		for _, r := range all {
			if r = to(was, next, r); r >= 0 {
				out = append(out, r)
			}
		}
		slices.Sort(out)
		return out
	}
	s.Facing, s.Glimpsed = nil, nil
	s.Entered, s.Touching = moved(s.Entered, movedMap), moved(s.Touching, movedThing)
	counts := func(all []Timer) []Timer {
		out := all[:0:0]
		for _, t := range all {
			if t.Of = movedThing(was, next, t.Of); t.Of >= 0 {
				out = append(out, t)
			}
		}
		slices.SortFunc(out, func(a, b Timer) int { return int(a.Of - b.Of) })
		return out
	}
	g.enterParty(was)
	tallies := s.Tallies[:0:0]
	for _, t := range s.Tallies {
		if t.Of = movedThing(was, next, t.Of); t.Of >= 0 {
			tallies = append(tallies, t)
		}
	}
	slices.SortFunc(tallies, func(a, b Tally) int { return int(a.Of - b.Of) })
	s.Tallies, s.Blasts = tallies, nil
	shots := s.Shots[:0:0]
	for _, o := range s.Shots {
		if o.Of = movedThing(was, next, o.Of); o.Of >= 0 {
			shots = append(shots, o)
		}
	}
	s.Timers, s.Worn, s.Shots = counts(s.Timers), counts(s.Worn), shots
	for _, m := range s.Entered {
		g.makeBodies(next.Ground(m))
	}
	g.livelyOf = world.None
}

// enterParty brings the heroes that are not led to the next stage: who was removed is gone, and who is new waits.
func (g *Game) enterParty(was *world.Stage) {
	s, next := g.State, g.Stage
	var party []Member
	for _, m := range s.Party {
		of := movedThing(was, next, m.Of)
		if m.Map = movedMap(was, next, m.Map); m.Map >= 0 && (m.Of < 0 || of >= 0) {
			m.Of = of
			party = append(party, m)
		}
	}
	for _, r := range next.Heroes {
		had := r == s.Hero().Of || slices.ContainsFunc(party, func(m Member) bool { return m.Of == r })
		if !had && g.There(r) {
			party = append(party, g.member(r))
		}
	}
	trail := s.Trail[:0:0]
	for _, t := range s.Trail {
		if t.Map = movedMap(was, next, t.Map); t.Map >= 0 {
			trail = append(trail, t)
		}
	}
	s.Party, s.Trail = party, trail
}

func movedMap(was, next *world.Stage, r world.Ref) world.Ref {
	if m := was.Ground(r); m != nil {
		return next.MapOf(m.ID)
	}
	return world.None
}

func movedThing(was, next *world.Stage, r world.Ref) world.Ref {
	if was.Thing(r) == nil {
		return world.None
	}
	end := was.End(r)
	return next.ThingOf(end.Map, end.Entity)
}

// movedThread finds the step that comes next by its id: one that has vanished is passed
// over, with a rule all is over.
func movedThread(was, next *world.Stage, t Thread) (Thread, bool) {
	before, within := was.Rules[t.Rule], t.within(was)
	t.Rule = next.RuleOf(before.ID)
	if t.Rule < 0 {
		return t, false
	}
	t.It, t.By = movedThing(was, next, t.It), movedThing(was, next, t.By-1)+1
	then, now := rules.TreeOf(before), rules.TreeOf(next.Rules[t.Rule])
	if then == now {
		return t, true
	}
	if t.Till > 0 {
		return t, false // what was tried of it is over
	}
	if t.Fork > 0 {
		t.Fork = movedStep(then, now, t.Fork-1) + 1
	}
	if within != nil {
		// what it waits at goes on as it is now
		if n := movedStep(then, now, t.Next-1); n >= 0 {
			t.Next = n + 1
			return t, true
		}
		t.For, t.Wait = ForTime, 1
	}
	for _, s := range then.Steps[min(int(t.Next), len(then.Steps)):] {
		if s.Op == rules.OpEnd && s.Node == nil {
			break
		}
		for i, q := range now.Steps {
			if s.Node.ID == q.ID() && s.Op == q.Op {
				t.Next = int32(i)
				return t, true
			}
		}
	}
	t.Next = now.Else - 1
	return t, true
}

// movedStep is where a step of a rule is now; −1 where it is not any more.
func movedStep(then, now *rules.Tree, at int32) int32 {
	s := then.Steps[at]
	for i, q := range now.Steps {
		if s.ID() == q.ID() && s.Op == q.Op && s.Node != nil && s.Node.Word == q.Node.Word {
			return int32(i)
		}
	}
	return -1
}

// enterSituation gives every slot its place on the new stage.
func (g *Game) enterSituation(was *world.Stage) {
	s, next := g.State, g.Stage
	if sameSlots(was, next) {
		return
	}
	old := s.Situation
	away := s.Away
	s.Away = nil
	s.room(next)
	for k := range countsOfAll {
		s.setCount(k, old.Counts[k])
	}
	runs := s.RunsFor
	s.RunsFor = nil
	for _, r := range runs {
		s.ranFor(next, was.Rules[r.Rule].ID, was.End(r.Of))
	}
	put := func(of document.Object, bits uint16) { s.so(next, of, bits) }
	for _, a := range away {
		if a.Of.Type == document.TypePart {
			s.drew(next, a.Of.ID, int32(a.Count))
			continue
		}
		if a.Of.Type == document.TypeCounter {
			s.counted(next, a.Of.ID, a.Count, a.Count+1)
			continue
		}
		if a.Item != "" {
			s.given(next, a.Item, int32(a.Count))
			continue
		}
		if a.For != nil {
			s.ranFor(next, a.Of.ID, *a.For)
			continue
		}
		put(a.Of, a.Bits)
		s.own(next, document.End{Map: a.Of.Map, Entity: a.Of.ID}, a.Own)
	}
	if from := movedMap(was, next, world.Ref(old.Count(CameFrom))-1); from >= 0 {
		s.setCount(CameFrom, int32(from)+1)
	}
	for f := range was.Flags {
		put(document.Object{Type: document.TypeFlag, ID: was.Flags[f]}, old.bits(flagSlot(world.Ref(f)), 1))
	}
	for c := range was.Counters {
		s.counted(next, was.Counters[c].ID, int(old.Count(counterAt(was, world.Ref(c)))), was.Counters[c].Start)
	}
	for i, d := range was.Dice {
		s.drew(next, d.Part, old.Count(dieAt(was, world.Ref(i))))
	}
	for i, word := range was.Given {
		s.given(next, word, old.Count(givenAt(was, i)))
	}
	for r := range was.Rules {
		put(document.Object{Type: document.TypeRule, ID: was.Rules[r].ID}, old.bits(ruleSlot(was, world.Ref(r)), 1))
	}
	for n, o := range was.Sheets {
		put(document.Object{Type: document.TypeLayer, Map: o.Map, ID: o.Layer}, old.bits(sheetSlot(was, n), 1))
	}
	for t := range was.Things {
		bits := old.bits(thingSlot(was, world.Ref(t), 0), int(bitsOfThing))
		end := was.End(world.Ref(t))
		if bits != 0 {
			put(document.Object{Type: document.TypeEntity, Map: end.Map, ID: end.Entity}, bits)
		}
		s.own(next, end, old.ownOf(was, world.Ref(t)))
	}
}

// so sets what is so of something, the lowest bit first, or keeps it aside where it is not there.
func (s *State) so(st *world.Stage, of document.Object, bits uint16) {
	first, n := slotsOf(st, of)
	switch {
	case bits == 0:
	case first < 0:
		s.Away = append(s.Away, Away{Of: of, Bits: bits})
	default:
		for b := range n {
			if bits>>b&1 != 0 {
				s.set(first+b, true)
			}
		}
	}
}

// given sets how many of an item rules have given, or keeps that aside where none does now.
func (s *State) given(st *world.Stage, word string, n int32) {
	i, has := slices.BinarySearch(st.Given, word)
	switch {
	case n == 0:
	case !has:
		s.Away = append(s.Away, Away{Item: word, Count: int(n)})
	default:
		s.setCount(givenAt(st, i), n)
	}
}

// counted sets a counter to what it is, or keeps that aside where it is not there; one that is what it
// started with starts with what it does now.
func (s *State) counted(st *world.Stage, id document.ID, is, first int) {
	c := st.CounterOf(id)
	switch {
	case is == first:
	case c < 0:
		s.Away = append(s.Away, Away{Of: document.Object{Type: document.TypeCounter, ID: id}, Count: is})
	default:
		s.setCount(counterAt(st, c), int32(is))
	}
}

// bits are n bits from a slot on.
func (s *Situation) bits(slot, n int) (out uint16) {
	for b := range n {
		if s.bit(slot + b) {
			out |= 1 << b
		}
	}
	return out
}

// sameSlots reports whether two stages number everything alike.
func sameSlots(a, b *world.Stage) bool {
	return len(a.Things) == len(b.Things) && len(a.Flags) == len(b.Flags) && len(a.Counters) == len(b.Counters) && len(a.Dice) == len(b.Dice) && slices.Equal(a.Sheets, b.Sheets) && len(a.Rules) == len(b.Rules) &&
		(len(a.Things) == 0 || &a.Things[0] == &b.Things[0]) &&
		(len(a.Counters) == 0 || &a.Counters[0] == &b.Counters[0]) && (len(a.Flags) == 0 || &a.Flags[0] == &b.Flags[0]) && (len(a.Rules) == 0 || &a.Rules[0] == &b.Rules[0])
}

// slotsOf is where the bits of something begin on a stage, and how many there are; −1
// when it is not there.
func slotsOf(st *world.Stage, of document.Object) (first, n int) {
	switch of.Type {
	case document.TypeFlag:
		if f := st.FlagOf(of.ID); f >= 0 {
			return flagSlot(f), 1
		}
	case document.TypeRule:
		if r := st.RuleOf(of.ID); r >= 0 {
			return ruleSlot(st, r), 1
		}
	case document.TypeLayer:
		if n := st.SheetOf(of.Map, of.ID); n >= 0 {
			return sheetSlot(st, int(n)), 1
		}
	default:
		if t := st.ThingOf(of.Map, of.ID); t >= 0 {
			return thingSlot(st, t, 0), int(bitsOfThing)
		}
	}
	return -1, 0
}

// farthestOut is how far somebody who finds himself in something solid is moved, in cells.
const farthestOut = 2

// free brings the hero out of what has come to lie on it: to the nearest place within two
// cells, whole pixels away, straight or at a slant; if there is none it waits and says so.
func (g *Game) free() {
	b, m := g.Hero(), g.Ground()
	if m == nil || g.Roam || !g.blockedAt(b, b.X, b.Y) {
		return
	}
	far := int64(farthestOut * max(m.CellWidth, m.CellHeight))
	for n := int64(1); n <= far; n++ {
		for _, way := range [8][2]int64{{0, -1}, {1, 0}, {0, 1}, {-1, 0}, {1, -1}, {1, 1}, {-1, 1}, {-1, -1}} {
			if x, y := b.X+way[0]*n*Sub, b.Y+way[1]*n*Sub; !g.blockedAt(b, x, y) {
				b.X, b.Y = x, y
				b.Flags &^= Stepping
				return
			}
		}
	}
	g.Notice = "The hero stands in something solid and waits until there is room."
}
