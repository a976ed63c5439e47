package play

import (
	"azzel/core/document"
	"azzel/core/rules"
	"azzel/core/world"
	"encoding/binary"
	"errors"
	"slices"
)

// Moment is the game as it stands, by ids.
func (g *Game) Moment() document.Moment {
	st, s := g.Stage, g.State
	out := document.Moment{Tick: s.Tick, Seed: s.Seed, Clock: s.Clock, Round: g.roundSo(), Hearts: int(s.Count(Hearts)), Lives: int(s.Count(Lives)), Points: int(s.Count(Points)), Hero: g.figure(g.Hero()),
		Entry: g.spot(s.Entry), Back: g.spot(s.Back), Fade: int(s.Fade), Held: int(s.Held), Hand: s.Hand, Language: s.Language, Side: s.Side, Roam: s.Roam}
	for _, p := range []*document.Spot{&out.Back, &out.Entry} {
		if p.Map == "" { // its map was removed
			*p = out.Hero.Spot
		}
	}
	for f, id := range st.Flags {
		if s.bit(flagSlot(world.Ref(f))) {
			out.Flags = append(out.Flags, id)
		}
	}
	if m := st.Ground(world.Ref(s.Count(CameFrom)) - 1); m != nil {
		out.CameFrom = m.ID
	}
	for c, counter := range st.Counters {
		if is := int(s.Count(counterAt(st, world.Ref(c)))); is != counter.Start {
			out.Counters = append(out.Counters, document.CounterSo{ID: counter.ID, Is: is})
		}
	}
	for i, word := range st.Given {
		if n := int(s.Count(givenAt(st, i))); n != 0 {
			out.Given = append(out.Given, document.GivenItem{Item: word, Amount: n})
		}
	}
	for d, die := range st.Dice {
		if n := s.Count(dieAt(st, world.Ref(d))); n > 0 {
			out.Drawn = append(out.Drawn, document.DrawnSo{Part: die.Part, Times: int(n)})
		}
	}
	out.Sheets = g.Turned()
	if out.Ending = s.Ending; s.Over != NotOver {
		out.Over = document.Ends[s.Over-1]
	}
	for _, sp := range s.RunsFor {
		out.Spent = append(out.Spent, document.SpentFor{Rule: st.Rules[sp.Rule].ID, For: st.End(sp.Of)})
	}
	out.Chosen = int(s.Chosen)
	for r, rule := range st.Rules {
		if s.bit(ruleSlot(st, world.Ref(r))) {
			out.Rules = append(out.Rules, rule.ID)
		}
	}
	for t := range st.Things {
		bits, own := s.bits(thingSlot(st, world.Ref(t), 0), int(bitsOfThing)), s.ownOf(st, world.Ref(t))
		if bits != 0 || len(own) > 0 {
			end := st.End(world.Ref(t))
			out.Things = append(out.Things, document.ThingSo{Map: end.Map, ID: end.Entity, Is: words(bits), Own: own})
		}
	}
	for _, a := range s.Away {
		if a.Item != "" {
			out.Given = append(out.Given, document.GivenItem{Item: a.Item, Amount: a.Count})
			continue
		}
		switch a.Of.Type {
		case document.TypeLayer:
			out.Sheets = append(out.Sheets, document.LayerAt{Map: a.Of.Map, Layer: a.Of.ID})
		case document.TypePart:
			out.Drawn = append(out.Drawn, document.DrawnSo{Part: a.Of.ID, Times: a.Count})
		case document.TypeFlag:
			out.Flags = append(out.Flags, a.Of.ID)
		case document.TypeRule:
			if a.For != nil {
				out.Spent = append(out.Spent, document.SpentFor{Rule: a.Of.ID, For: *a.For})
				continue
			}
			out.Rules = append(out.Rules, a.Of.ID)
		case document.TypeCounter:
			out.Counters = append(out.Counters, document.CounterSo{ID: a.Of.ID, Is: a.Count})
		default:
			out.Things = append(out.Things, document.ThingSo{Map: a.Of.Map, ID: a.Of.ID, Is: words(a.Bits), Own: a.Own})
		}
	}
	g.momentOfBodies(&out)
	for _, k := range s.Known {
		if m := st.Ground(k.Map); m != nil {
			out.Known = append(out.Known, document.Known{Map: m.ID, Box: k.Box, Bits: bytesOf(k.Bits, k.Box.W*k.Box.H)})
		}
	}
	if s.Inside >= 0 {
		end := st.End(s.Inside)
		out.Inside = &end
	}
	if s.Leaving >= 0 {
		out.Leaving = st.Ways[s.Leaving].ID
	}
	if s.Sent >= 0 {
		end := st.End(s.Sent)
		out.Sent = &end
	}
	if s.Fade > 0 && s.Veil > 0 {
		out.Veil = document.Transitions[s.Veil]
	}
	if s.Lost != NotLost {
		out.Lost = document.Losses[s.Lost-1]
	}
	for _, l := range s.Lines {
		spoken := document.SpokenLine{Text: l.Text, Resumes: l.Resumes, Answers: l.Answers, As: int(l.As)}
		if l.By > 0 {
			end := st.End(l.By - 1)
			spoken.By = &end
		}
		out.Lines = append(out.Lines, spoken)
	}
	for _, t := range s.Threads {
		if t.Till > 0 {
			continue // what is only tried is kept by nothing
		}
		rule := st.Rules[t.Rule]
		tree := rules.TreeOf(rule)
		wait := document.RuleWait{Rule: rule.ID, Ticks: int(t.Wait), Next: tree.Steps[t.Next].ID(), Op: int(tree.Steps[t.Next].Op)}
		if s := t.within(st); s != nil {
			wait.Next, wait.Op = s.ID(), int(s.Op)
		}
		wait.For, wait.Far, wait.Pace = document.Waits[t.For], t.Far, int(t.Pace)
		if t.Fork > 0 && int(t.Fork) <= len(tree.Steps) {
			wait.Fork = tree.Steps[t.Fork-1].ID()
		}
		if t.It >= 0 {
			end := st.End(t.It)
			wait.It = &end
		}
		if t.By > 0 {
			end := st.End(t.By - 1)
			wait.By = &end
		}
		for d, n := range t.Left {
			if n != 0 {
				wait.Left = append(append(wait.Left, make([]int, d-len(wait.Left))...), int(n))
			}
		}
		out.Waits = append(out.Waits, wait)
	}
	return out
}

// momentOfBodies adds what moves besides the hero.
func (g *Game) momentOfBodies(out *document.Moment) {
	st, s := g.Stage, g.State
	for i := 1; i < len(s.Bodies); i++ {
		out.Bodies = append(out.Bodies, g.figure(&s.Bodies[i]))
	}
	for _, m := range s.Entered {
		out.Entered = append(out.Entered, st.Grounds[m].ID)
	}
	for _, r := range s.Touching {
		out.Touching = append(out.Touching, st.End(r))
	}
	for _, t := range s.Timers {
		out.Timers = append(out.Timers, document.GoesBack{Of: st.End(t.Of), Left: int(t.Left)})
	}
	for _, t := range s.Worn {
		out.Worn = append(out.Worn, document.GoesBack{Of: st.End(t.Of), Left: int(t.Left)})
	}
	for _, w := range s.Party {
		if p := g.spot(w.Place); p.Map != "" {
			waits := document.Waiting{Side: w.Side, Tread: document.Tread{Spot: p, Facing: document.Facings[w.Facing&3]}}
			if w.Of >= 0 {
				end := st.End(w.Of)
				waits.Of = &end
			}
			out.Party = append(out.Party, waits)
		}
	}
	for _, t := range s.Trail {
		if p := g.spot(t.Place); p.Map != "" {
			out.Trail = append(out.Trail, document.Tread{Spot: p, Facing: document.Facings[t.Facing&3]})
		}
	}
	for _, t := range s.Tallies {
		out.Made = append(out.Made, document.MadeSoFar{Of: st.End(t.Of), All: int(t.Made), Wave: int(t.Wave), Part: int(t.Part)})
	}
	for _, o := range s.Shots {
		out.Shots = append(out.Shots, document.FlyingShot{Of: st.End(o.Of), X: o.X, Y: o.Y, VX: o.VX, VY: o.VY, Left: int(o.Left)})
	}
}

// words are the bits of a thing as documents call them: in the same order.
func words(bits uint16) []string {
	out := []string{}
	for b, word := range document.Sos {
		if bits>>b&1 != 0 {
			out = append(out, word)
		}
	}
	return out
}

func bytesOf(all []uint64, bits int) []byte {
	out := make([]byte, 8*len(all))
	for i, w := range all {
		binary.LittleEndian.PutUint64(out[8*i:], w)
	}
	return out[:(bits+7)/8]
}

func (g *Game) spot(p Place) document.Spot {
	out := document.Spot{X: p.X, Y: p.Y}
	if m := g.Stage.Ground(p.Map); m != nil {
		out.Map = m.ID
	}
	return out
}

func (g *Game) figure(b *Body) document.Figure {
	out := document.Figure{Spot: g.spot(Place{b.Map, b.X, b.Y}), VX: b.VX, VY: b.VY, GoalX: b.GoalX, GoalY: b.GoalY, Facing: b.Look(), Steps: int(b.Steps),
		Grace: int(b.Grace), Early: int(b.Early), Blink: int(b.Blink), Push: int(b.Push),
		Rising: b.Flags&Rising != 0, Doubled: b.Flags&Doubled != 0, Ducked: b.Flags&Ducked != 0, Stepping: b.Flags&Stepping != 0, Thrown: b.Flags&Thrown != 0, Sunk: b.Flags&Sunk != 0,
		Way: int(b.Way), Next: int(b.Next), Timer: int(b.Timer), Drawn: int(b.Drawn), Hearts: int(b.Hearts)}
	if b.Mode != Walking {
		out.Mode = document.Modes[b.Mode]
	}
	if b.Of >= 0 {
		end := g.Stage.End(b.Of)
		out.Of = &end
	}
	return out
}

// ErrPlaceGone is given for a moment on a map that is not there any more.
var ErrPlaceGone = errors.New("the map that this was on is no longer there: undo its removal, or begin elsewhere")

// Resume is the game that stood so, on a stage. What is not there any more is kept aside, as
// when it is removed while one plays; who stands in something solid moves out of it.
func Resume(st *world.Stage, at document.Moment) (*Game, error) {
	if st.MapOf(at.Hero.Map) < 0 {
		return nil, ErrPlaceGone
	}
	s := &State{Tick: at.Tick, Seed: at.Seed, Clock: at.Clock, Leaving: world.None, Sent: world.None, Inside: world.None, Fade: int16(at.Fade), Held: Input(at.Held), Hand: at.Hand, Language: at.Language, Side: at.Side, Roam: at.Roam}
	g := gameOf(st, s)
	g.room(st)
	s.setCount(Hearts, int32(at.Hearts))
	s.setCount(Lives, int32(at.Lives))
	s.setCount(Points, int32(at.Points))
	s.setCount(CameFrom, int32(st.MapOf(at.CameFrom))+1)
	s.Bodies = []Body{bodyOf(st, at.Hero)}
	s.resumeRound(st, at)
	s.Entry, s.Back = placeOf(st, at.Entry), placeOf(st, at.Back)
	s.Cam.Map, s.Looked.Map = world.None, world.None
	for _, id := range at.Flags {
		s.so(st, document.Object{Type: document.TypeFlag, ID: id}, 1)
	}
	for _, c := range at.Counters {
		s.counted(st, c.ID, c.Is, c.Is+1)
	}
	for _, o := range at.Given {
		s.given(st, o.Item, int32(o.Amount))
	}
	for _, o := range at.Sheets {
		s.so(st, document.Object{Type: document.TypeLayer, Map: o.Map, ID: o.Layer}, 1)
	}
	for _, o := range at.Drawn {
		s.drew(st, o.Part, int32(o.Times))
	}
	s.Over, s.Ending = Over(slices.Index(document.Ends, at.Over)+1), at.Ending
	for _, sp := range at.Spent {
		s.ranFor(st, sp.Rule, sp.For)
	}
	s.Chosen = int8(at.Chosen)
	for _, id := range at.Rules {
		s.so(st, document.Object{Type: document.TypeRule, ID: id}, 1)
	}
	for _, t := range at.Things {
		var bits uint16
		for _, is := range t.Is {
			if i := slices.Index(document.Sos, is); i >= 0 {
				bits |= 1 << i
			}
		}
		s.so(st, document.Object{Type: document.TypeEntity, Map: t.Map, ID: t.ID}, bits)
		s.own(st, document.End{Map: t.Map, Entity: t.ID}, t.Own)
	}
	for _, k := range at.Known {
		if m := st.MapOf(k.Map); m >= 0 {
			s.Known = append(s.Known, Known{m, k.Box, wordsOf(k.Bits)})
		}
	}
	if at.Inside != nil {
		s.Inside = st.ThingOf(at.Inside.Map, at.Inside.Entity)
	}
	if at.Sent != nil {
		s.Sent = st.ThingOf(at.Sent.Map, at.Sent.Entity)
	}
	if s.Leaving = world.None; at.Leaving != "" {
		s.Leaving = st.WayOf(at.Leaving)
	}
	s.Veil = uint8(max(0, slices.Index(document.Transitions, at.Veil)))
	s.Lost = Loss(slices.Index(document.Losses, at.Lost) + 1)
	s.resumeLines(st, at)
	g.resumeBodies(at)
	g.free()
	g.watch()
	return g, nil
}

// resumeBodies takes what moves: what is not there any more is left out, what is new stands where
// it is put.
func (g *Game) resumeBodies(at document.Moment) {
	st, s := g.Stage, g.State
	thing := func(e document.End) world.Ref { return st.ThingOf(e.Map, e.Entity) }
	for _, f := range at.Bodies {
		if r := thing(*f.Of); g.being(r) && st.Things[r].Map == st.MapOf(f.Map) && g.bodyOf(r) == nil {
			s.Bodies = slices.Insert(s.Bodies, g.placeOf(r), bodyOf(st, f))
		}
	}
	for _, id := range at.Entered {
		if m := st.MapOf(id); m >= 0 && !slices.Contains(s.Entered, m) {
			s.Entered = append(s.Entered, m)
		}
	}
	slices.Sort(s.Entered)
	for _, m := range s.Entered {
		g.makeBodies(st.Ground(m))
	}
	for _, e := range at.Touching {
		if r := thing(e); r >= 0 {
			s.Touching = append(s.Touching, r)
		}
	}
	slices.Sort(s.Touching)
	for _, t := range at.Timers {
		if r := thing(t.Of); r >= 0 {
			g.setTimer(r, int32(t.Left))
		}
	}
	for _, t := range at.Worn {
		if r := thing(t.Of); r >= 0 {
			s.Worn = append(s.Worn, Timer{r, int32(t.Left)})
		}
	}
	for _, w := range at.Party {
		p, of := placeOf(st, w.Spot), world.None
		if w.Of != nil {
			if of = thing(*w.Of); of < 0 {
				continue // a hero that was removed
			}
		}
		if p.Map >= 0 {
			s.Party = append(s.Party, Member{of, p, uint8(max(0, w.Facing.Index())), w.Side})
		}
	}
	for _, t := range at.Trail {
		if p := placeOf(st, t.Spot); p.Map >= 0 && len(s.Trail) < farthest {
			s.Trail = append(s.Trail, Tread{p, uint8(max(0, t.Facing.Index()))})
		}
	}
	for _, t := range at.Made {
		if r := thing(t.Of); r >= 0 {
			g.setTally(Tally{r, int32(t.All), int32(t.Wave), int32(t.Part)})
		}
	}
	for _, o := range at.Shots {
		if r := thing(o.Of); r >= 0 && len(s.Shots) < maxShots {
			s.Shots = append(s.Shots, Shot{r, o.X, o.Y, o.VX, o.VY, int32(o.Left)})
		}
	}
}

func placeOf(st *world.Stage, p document.Spot) Place { return Place{st.MapOf(p.Map), p.X, p.Y} }

func bodyOf(st *world.Stage, f document.Figure) Body {
	b := Body{Of: world.None, Map: st.MapOf(f.Map), X: f.X, Y: f.Y, VX: f.VX, VY: f.VY, GoalX: f.GoalX, GoalY: f.GoalY, Steps: int32(f.Steps),
		Mode: Mode(max(0, slices.Index(document.Modes, f.Mode))), Grace: int16(f.Grace), Early: int16(f.Early), Blink: int16(f.Blink), Push: int16(f.Push),
		Way: int8(f.Way), Next: int16(f.Next), Timer: int32(f.Timer), Drawn: int32(f.Drawn), Hearts: int32(f.Hearts)}
	b.turn(f.Facing)
	for i, is := range []bool{f.Rising, f.Doubled, f.Ducked, f.Stepping, f.Thrown, f.Sunk} {
		if is {
			b.Flags |= Rising << i
		}
	}
	if f.Of != nil {
		b.Of = st.ThingOf(f.Of.Map, f.Of.Entity)
	}
	return b
}

func wordsOf(bits []byte) []uint64 {
	out := make([]uint64, (len(bits)+7)/8)
	for i, b := range bits {
		out[i/8] |= uint64(b) << (i % 8 * 8)
	}
	return out
}
