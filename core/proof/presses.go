package proof

import (
	"azzel/core/play"
	"azzel/core/world"
)

// press is what a hero could do next, seen from the side: an input, for how many ticks it jumps with it, and for how many it is held
// at the most.
type press struct {
	in         play.Input
	jump, hold int
	// atEdge it jumps only as it leaves the ground, with all the speed that it got; late it goes to a side only when it rises no more.
	atEdge, late bool
	again        again
}

// again is when a hero that can jump in the air, or from walls, does.
type again uint8

// The moments: never, when it rises no more, when it falls fast, at each wall it comes to, going back from there or on toward it.
const (
	notAgain again = iota
	atTop
	falling
	offWalls
	upWalls
)

// presses are tried from wherever the hero rests, in this order; doubles and walls by who can, finer where nothing else led on.
var (
	presses = []press{
		{in: play.InputLeft, hold: 6}, {in: play.InputRight, hold: 6}, {in: play.InputUp, hold: 8}, {in: play.InputDown, hold: 8},
		{in: play.InputRight, jump: 40, hold: 90}, {in: play.InputLeft, jump: 40, hold: 90},
		{in: play.InputRight, jump: 5, hold: 90}, {in: play.InputLeft, jump: 5, hold: 90},
		{jump: 40, hold: 90}, {in: play.InputDown, jump: 2, hold: 60}, {in: play.InputUp, jump: 40, hold: 90}, {in: play.InputUse, hold: 2},
		{in: play.InputRight, jump: 40, hold: 200, atEdge: true}, {in: play.InputLeft, jump: 40, hold: 200, atEdge: true},
	}
	doubles = []press{
		{in: play.InputRight, jump: 90, hold: 180, again: atTop}, {in: play.InputLeft, jump: 90, hold: 180, again: atTop}, {jump: 90, hold: 180, again: atTop},
		{in: play.InputRight, jump: 90, hold: 290, atEdge: true, again: falling}, {in: play.InputLeft, jump: 90, hold: 290, atEdge: true, again: falling},
	}
	walls = []press{
		{in: play.InputRight, jump: 300, hold: 300, again: offWalls}, {in: play.InputLeft, jump: 300, hold: 300, again: offWalls},
		{in: play.InputRight, jump: 300, hold: 300, again: upWalls}, {in: play.InputLeft, jump: 300, hold: 300, again: upWalls},
	}
	finer = []press{
		{in: play.InputRight, jump: 40, hold: 90, late: true}, {in: play.InputLeft, jump: 40, hold: 90, late: true},
		{in: play.InputRight, jump: 10, hold: 90}, {in: play.InputLeft, jump: 10, hold: 90}, {in: play.InputRight, jump: 18, hold: 90}, {in: play.InputLeft, jump: 18, hold: 90},
		{in: play.InputRight, jump: 12, hold: 200, atEdge: true}, {in: play.InputLeft, jump: 12, hold: 200, atEdge: true},
		{in: play.InputRight, hold: 2}, {in: play.InputLeft, hold: 2},
	}
)

// pressesOf are those of the hero of a game.
func (s *Search) pressesOf(g *play.Game) []press {
	w := s.st.GaitOn(g.Hero().Map, g.Hero().Of)
	key := 0
	if w.Double {
		key++
	}
	if w.Wall {
		key += 2
	}
	if s.finer {
		key += 4
	}
	if s.pressed[key] == nil {
		all := append([]press(nil), presses...)
		if w.Double {
			all = append(all, doubles...)
		}
		if w.Wall {
			all = append(all, walls...)
		}
		if s.finer {
			all = append(all, finer...)
		}
		s.pressed[key] = all
	}
	return s.pressed[key]
}

// refines has what was come to on maps that are seen from the side gone on from more finely; false where there is nothing more to try.
func (s *Search) refines() bool {
	if s.finer || s.whole {
		return false
	}
	s.finer = true
	for _, n := range s.kept {
		if n.game.Ground().Side {
			s.open.push(n)
		}
	}
	return s.open.size > 0
}

// trySide tries the next that a hero could do on a map that is seen from the side.
func (s *Search) trySide(n *node) {
	all := s.pressesOf(n.game)
	if n.tried == len(all) {
		s.swap(n)
		if s.patient {
			s.waitSide(n)
		}
		return
	}
	try := all[n.tried]
	n.tried++
	s.open.push(n)
	w := s.from(n)
	w.presses(try, n.game.Hero().Map, n.game.Hash)
	w.hold(0) // a key that is pressed next is pressed anew
	if w.rest() && w.game.Count(play.Hearts) >= n.game.Count(play.Hearts) {
		s.add(w)
	}
}

// presses holds keys until the hero is on the ground again, or something came about.
func (w *walk) presses(try press, m world.Ref, hash [2]uint64) {
	from, air := 0, w.game.Stage.GaitOn(m, w.game.Hero().Of) // from is the tick in which it jumps
	if try.atEdge {
		from = try.hold
	}
	in, lets, more := try.in, -1, try.again
	for tick := range try.hold {
		g := w.game
		b := g.Hero()
		if try.atEdge && from == try.hold && b.Mode == play.Airborne {
			from = tick
		}
		if tick == lets+1 && more == offWalls && lets > 0 {
			in ^= play.InputLeft | play.InputRight // away from the wall that it jumps off
		}
		now := in
		if try.late && b.VY < 0 {
			now = 0
		}
		if tick >= from && tick < from+try.jump && tick != lets {
			now |= play.InputJump
		}
		x := b.X
		w.hold(now)
		if stopped(g, m) || g.Hash != hash {
			return
		}
		if tick > from+4 && try.jump > 0 && b.Mode != play.Airborne {
			return
		}
		if try.atEdge && tick > 2 && tick < from && b.X == x {
			return // it came to a wall
		}
		switch up := tick > from+4 && b.Mode == play.Airborne; {
		case up && more == atTop && b.VY >= 0, up && more == falling && b.VY >= air.Jump*3/4:
			more, lets = notAgain, tick+1
		case up && more >= offWalls && b.X == x && tick > lets+3:
			lets = tick + 1 // the key is let go for a tick, and pressed anew
		}
	}
}

// swap leads another hero, where there is one.
func (s *Search) swap(n *node) {
	if len(n.game.Party) == 0 {
		return
	}
	w := s.from(n)
	w.hold(play.InputSwap)
	w.hold(0)
	if w.rest() {
		s.add(w)
	}
}
