package play

import (
	"azzel/core/kind"
	"azzel/core/rules"
	"azzel/core/world"
	"slices"
)

// feel finds what the hero has come to and left since the tick before: what it stands on, or
// stands against.
func (g *Game) feel(m *world.Ground) {
	box := g.extent(g.Hero())
	box = world.Box{Left: box.Left - Sub, Top: box.Top - Sub, Right: box.Right + Sub, Bottom: box.Bottom + Sub}
	own := g.extent(g.Hero())
	// what is in the way is touched from beside
	now := slices.DeleteFunc(g.touched(m, box), func(r world.Ref) bool { return !m.Solid(&g.Stage.Things[r]) && !meets(own, g.boxOf(r)) })
	before := g.Touching
	g.Touching = now
	for _, r := range before {
		if _, still := slices.BinarySearch(now, r); !still {
			g.left(r)
		}
	}
	for _, r := range now {
		_, had := slices.BinarySearch(before, r)
		g.meetsThing(m, r, !had)
	}
	g.weigh(m)
	g.notice(m)
}

// notice tells rules of who has come into a sensor that watches; it is told again once all have left.
func (g *Game) notice(m *world.Ground) {
	for _, r := range m.Sensors() {
		if !g.There(r) {
			continue
		}
		at, sort := g.boxOf(r), g.Stage.Thing(r).Doing.Notices
		in := (sort == world.NoticesHero || sort == world.NoticesAnything) && meets(g.extent(g.Hero()), at)
		g.near(m, at, func(o world.Ref, t *world.Thing, _ world.Box) {
			if o == r || !t.Doing.Goes {
				return
			}
			being := t.Acts == kind.Walker || t.Acts == kind.Flyer || t.Acts == kind.Character
			block := t.Acts == kind.Block || t.Acts == kind.Faller
			in = in || sort == world.NoticesAnything || sort == world.NoticesBeings && being || sort == world.NoticesBlocks && block
		})
		if in = in && g.On(r); in == g.Is(r, Reached) {
			continue
		}
		if g.setThing(r, Reached, in); in {
			g.tell(rules.WordEnter, g.Stage.Thing(r).Name)
			g.happen(happening{rules.WordEnter, m.Ref, r})
		}
	}
}

// meetsThing is what a thing does that the hero stands on or against; comes tells that it came to it now.
func (g *Game) meetsThing(m *world.Ground, r world.Ref, comes bool) {
	t := g.Stage.Thing(r)
	switch t.Acts {
	case kind.Door:
		if !g.On(r) && g.opens(r, t) {
			g.tell(rules.WordOpen, t.Name)
		}
	case kind.Switch:
		if comes && t.Doing.Worked == world.ByStep {
			g.work(m, r)
		}
	case kind.Spring:
		g.throws(m, r, t)
	}
}

// left is what a thing does that the hero has left.
func (g *Game) left(r world.Ref) {
	switch t := g.Stage.Thing(r); {
	case t.Acts == kind.Door && t.Doing.Returns == world.WhenLeft && g.Is(r, Opened) && !t.Entity.On:
		g.setThing(r, Opened, false)
		g.tell("shuts", t.Name)
	case t.Acts == kind.Switch && t.Doing.Worked == world.ByStep && t.Doing.Returns == world.WhenLeft && g.Is(r, Switched):
		g.setThing(r, Switched, false)
	}
}

// work turns a switch to its other state, and wakes what waits for that.
func (g *Game) work(m *world.Ground, r world.Ref) {
	t := g.Stage.Thing(r)
	g.setThing(r, Switched, !g.Is(r, Switched))
	g.tell(rules.WordUse, t.Name)
	g.happen(happening{rules.WordUse, m.Ref, r})
	if t.Doing.Returns == world.AfterAWhile && t.Doing.After > 0 {
		g.Timers = slices.DeleteFunc(g.Timers, func(o Timer) bool { return o.Of == r })
		if g.Is(r, Switched) {
			g.Timers = append(g.Timers, Timer{r, t.Doing.After})
		}
	}
}

// returns lets go back what goes back after a while.
func (g *Game) returns() {
	timers := g.Timers[:0:0]
	for _, t := range g.Timers {
		if t.Left--; t.Left > 0 {
			timers = append(timers, t)
		} else {
			g.setThing(t.Of, Switched, false)
		}
	}
	g.Timers = timers
}

// weigh holds down the switches on which the hero, a block or somebody stands.
func (g *Game) weigh(m *world.Ground) {
	for _, r := range m.Scales() {
		t := g.Stage.Thing(r)
		if !g.There(r) {
			continue
		}
		at := g.boxOf(r)
		if m.Side {
			at.Top -= Sub
		}
		down := meets(g.extent(g.Hero()), at)
		g.findLively(m)
		for _, i := range g.lively {
			b := &g.Bodies[i]
			acts := g.Stage.Thing(b.Of).Acts
			down = down || b.Of != r && acts != kind.Flyer && acts != kind.Platform && meets(g.extent(b), at)
		}
		switch is := g.Is(r, Switched); {
		case down && !is:
			g.work(m, r)
		case !down && is && t.Doing.Returns != world.Never:
			g.setThing(r, Switched, false)
		}
	}
}

// opens opens a door whose key the hero has; a key that is used up is gone then.
func (g *Game) opens(r world.Ref, t *world.Thing) bool {
	word := t.Doing.Needs
	if word == "" || !g.Has(word) {
		return false
	}
	g.setThing(r, Opened, true)
	for k := range g.Stage.Things {
		o := &g.Stage.Things[k]
		if ref := world.Ref(k); o.Acts == kind.Key && o.Doing.Word == word && o.Doing.UsedUp && g.Is(ref, Taken) && !g.Is(ref, Spent) {
			g.setThing(ref, Spent, true)
			break
		}
	}
	return true
}

// Has reports whether the hero has what is called by a word: a key, an item, something that
// was in a container or was left of what it broke, or what it began with.
func (g *Game) Has(word string) bool {
	for k := range g.Stage.Things {
		t := &g.Stage.Things[k]
		switch r := world.Ref(k); t.Acts {
		case kind.Key, kind.Item:
			if t.Doing.Word == word && g.Is(r, Taken) && !g.Is(r, Spent) {
				return true
			}
		case kind.Breakable:
			if t.Doing.Word == word && g.Is(r, Gone) {
				return true
			}
		case kind.Container:
			if g.On(r) && slices.Contains(t.Doing.Holds, word) {
				return true
			}
		}
	}
	return slices.Contains(g.Stage.Carries(g.Hero().Of), word)
}

// use does what can be done with what the hero stands on or looks at, within a cell: the first
// thing that does anything.
func (g *Game) use(m *world.Ground) {
	dx, dy := g.Hero().Look().Step()
	box := g.extent(g.Hero())
	w, h := m.Cell()
	for _, reach := range []int64{0, 1} {
		x, y := reach*int64(dx)*w*3/4, reach*int64(dy)*h*3/4
		for _, r := range g.touched(m, world.Box{Left: box.Left + x, Top: box.Top + y, Right: box.Right + x, Bottom: box.Bottom + y}) {
			if g.usesThing(m, r) {
				return
			}
		}
	}
	g.blow(m)
}

// BlowTicks is how long a blow takes.
const BlowTicks = 16

// blow strikes what lies ahead, within three quarters of a cell.
func (g *Game) blow(m *world.Ground) {
	b, w := g.Hero(), g.gait()
	if !w.Blow || w.BlowWith != "" && !g.Has(w.BlowWith) || b.Timer > 0 {
		return
	}
	b.Timer = BlowTicks
	for _, r := range g.touched(m, g.Reach()) {
		switch t := g.Stage.Thing(r); t.Acts {
		case kind.Walker, kind.Flyer, kind.Shooter:
			g.hits(r, t)
		case kind.Breakable:
			if t.Doing.Needs == "" || g.Has(t.Doing.Needs) {
				g.hits(r, t)
			}
		case kind.Switch:
			if t.Doing.Worked == world.ByBlow {
				g.work(m, r)
			}
		}
	}
}

// Striking is how many ticks of a blow are left.
func (g *Game) Striking() int32 { return g.Hero().Timer }

// Reach is what a blow of the hero strikes.
func (g *Game) Reach() world.Box {
	m, box := g.Ground(), g.extent(g.Hero())
	w, h := m.Cell()
	dx, dy := g.Hero().Look().Step()
	x, y := int64(dx)*w*3/4, int64(dy)*h*3/4
	return world.Box{Left: box.Left + x, Top: box.Top + y, Right: box.Right + x, Bottom: box.Bottom + y}
}

func (g *Game) usesThing(m *world.Ground, r world.Ref) bool {
	t := g.Stage.Thing(r)
	switch t.Acts {
	case kind.Switch:
		if t.Doing.Worked != world.ByUse {
			return false
		}
		g.work(m, r)
		return true
	case kind.Sign, kind.Character:
		if t.Doing.Says == "" {
			return false
		}
		if b := g.bodyOf(r); b != nil {
			dx, dy := g.toHero(b)
			if abs(dx) >= abs(dy) {
				b.turn(facingOf(dx, 0))
			} else {
				b.turn(facingOf(0, dy))
			}
		}
		g.tell("read", t.Name)
		g.says(t.Doing.Says, false)
		return true
	case kind.Container:
		if g.On(r) || t.Doing.Needs != "" && !g.opens(r, t) {
			return false
		}
		g.setThing(r, Opened, true)
		g.tell(rules.WordOpen, t.Name)
		return true
	}
	return false
}

// throws throws the hero, seen from above along the ground and over what hurts there.
func (g *Game) throws(m *world.Ground, r world.Ref, t *world.Thing) {
	b, w := g.Hero(), g.gait()
	cw, ch := m.Cell()
	at, box := g.boxOf(r), g.extent(b)
	dx, dy := t.Facing.Step()
	if g.Roam {
		return
	}
	if m.Side && dy != 0 { // there is no throwing into the ground
		if b.VY < 0 || box.Bottom > at.Bottom || !meets(lower(box, Sub), at) {
			return
		}
		b.VY, b.Mode, b.Grace, b.Early = -world.JumpSpeed(t.Doing.RangeY, w.Gravity), Airborne, 0, 0
		b.Flags &^= Rising | Doubled
		g.tell("spring", t.Name)
		return
	}
	x, y := (box.Left+box.Right)/2, (box.Top+box.Bottom)/2
	if b.Push > 0 || x < at.Left || x >= at.Right || y < at.Top || y >= at.Bottom && !m.Side {
		return
	}
	const quick = 3 // times as fast as one runs
	b.VX, b.VY = int64(dx)*w.RunX*quick, int64(dy)*w.RunY*quick
	far := max(t.Doing.RangeX*abs(int64(dx))/max(1, cw/16), t.Doing.RangeY*abs(int64(dy))/max(1, ch/16)) // sixteenths of a cell
	b.Push = int16(min(1<<13, far*max(cw, ch)/16/max(1, w.RunX*quick)))
	b.Flags |= Thrown
	b.Flags &^= Stepping
	g.tell("spring", t.Name)
}
