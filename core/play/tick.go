package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
)

// Step plays one tick: input, movement, contacts, happenings first in first out, rules.
func (g *Game) Step(in Input) {
	s := g.State
	pressed := in &^ s.Held
	s.Held = in
	s.Tick++
	g.Told = g.Told[:0]
	if pressed&InputLanguage != 0 {
		g.nextLanguage()
	}
	m := g.Ground()
	g.stood = s.Hero().Map + 1
	if roam := in&InputRoam != 0; m != nil && roam != s.Roam {
		g.setRoam(roam)
	}
	switch {
	case m == nil:
		s.Notice = "The map that was played on was removed."
		return
	case s.Over != NotOver:
		if pressed&(InputUse|InputJump) != 0 {
			if s.Over == OverDone {
				g.onward()
			} else {
				g.anew()
			}
		}
		return
	case s.Leaving >= 0 || s.Sent >= 0 || s.Fade > 0 || s.Lost != NotLost:
		g.fade()
	case len(s.Lines) > 0:
		s.Hero().Steps = 0
		switch {
		case len(s.Lines[0].Answers) > 0:
			if g.answer(pressed) {
				g.read()
			}
		case pressed&InputSkip != 0:
			g.skip()
		case pressed&(InputUse|InputJump) != 0:
			g.read()
		}
		g.walkOn()
	default:
		s.Notice = ""
		if g.Held() {
			if pressed&InputSkip != 0 {
				g.skip()
			}
			in, pressed = 0, 0
		}
		if pressed&InputSwap != 0 && len(s.Party) > 0 {
			g.swap()
			m = g.Ground()
		}
		g.takeInHand(pressed)
		if !m.Watched() && s.Round.Map == m.Ref {
			g.act(m, in, pressed)
			s.Round.Ticks++
		} else {
			from := g.standing(m)
			g.act(m, in, pressed)
			g.counting(m, from, pressed)
		}
		if g.Stage.Book.Day > 0 {
			g.dayPasses(m)
		}
		g.rounds()
		g.walkOn()
		g.wait()
	}
	g.settle()
	g.wins()
	if g.last {
		g.outOfMoves()
	}
	if len(g.Stage.Guised) > 0 && g.turnsInto() {
		g.settle()
	}
	g.showOn()
	g.watch()
}

// act moves the hero, and does what it touches and uses.
func (g *Game) act(m *world.Ground, in, pressed Input) {
	hero, turns := g.Hero(), !m.Side && g.gait().Turns
	stepped := hero.Flags&Stepping != 0
	moves := !turns || stepped || hero.Push > 0
	points := turns && g.pointsOn(m) > 0
	if points {
		moves = g.worldsTurn(&in, &pressed) || g.Hero().Push > 0
		stepped = g.Hero().Flags&Stepping != 0
	}
	quiet := g.quiet(m)
	if moves && !quiet {
		g.ticks(m)
		g.fades()
		g.carriers(m)
	}
	if m.Side {
		g.side(m, in, pressed)
	} else {
		g.above(m, in, quiet)
	}
	if points && !stepped && g.Hero().Flags&Stepping != 0 {
		g.spends(1)
	}
	if len(g.Party) > 0 {
		g.treads()
	}
	b := g.Hero()
	box := g.extent(b)
	if !onMap(m, box) {
		g.cross(m)
		box = g.extent(b)
	}
	if b.Map != m.Ref || g.Lost != NotLost {
		return // it is on another map from the next tick on
	}
	if moves && !quiet {
		g.beings(m)
		g.shoots(m)
		g.blocks(m)
	}
	if b = g.Hero(); !quiet {
		box = g.extent(b)
	}
	// nothing to come to, to take or to go through
	alone := quiet && len(g.Touching) == 0 && g.bumpAt != g.Tick && m.Bare(around(box))
	if alone {
		g.Touching = nil
	} else {
		g.feel(m, box)
		g.weigh(m)
		g.notice(m)
	}
	g.looks(m)
	g.glimpses(m)
	if b.Timer > 0 {
		b.Timer--
	}
	if pressed&InputUse != 0 || pressed&InputJump != 0 && !m.Side {
		if points {
			g.spends(1)
		}
		g.use(m)
	}
	if alone {
		g.Inside = world.None
	} else {
		g.touch(m)
		box = g.extent(g.Hero())
	}
	g.hurts(m, box, quiet)
}

// quiet reports whether nothing moves on a map but the hero who is led, and nothing waits there for its time: most of a
// tick is then left out. It changes nothing that happens.
func (g *Game) quiet(m *world.Ground) bool {
	if !m.Quiet() || len(g.Timers)+len(g.Blasts)+len(g.Shots) > 0 {
		return false
	}
	return g.lonely(m)
}

// setDown puts the hero into a rectangle of cells: on its floor seen from the side, else
// into its middle.
func (g *Game) setDown(m *world.Ground, box grid.Rect, facing document.Facing) {
	b := g.Hero()
	*b = Body{Of: b.Of, Map: m.Ref, Blink: b.Blink}
	b.turn(facing)
	w := g.gait()
	cw, ch := m.Cell()
	b.X = (int64(box.X)*cw*2 + int64(box.W)*cw - w.W) / 2
	b.Y = (int64(box.Y)*ch*2 + int64(box.H)*ch - w.H) / 2
	if m.Side {
		b.Y = int64(box.Y+box.H)*ch - w.H
	}
	g.Entry = Place{m.Ref, b.X, b.Y}
	g.Inside = g.exitUnder(m)
}
