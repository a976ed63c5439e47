package play

import "azzel/core/world"

// lineStops reports whether ground that is drawn freely, and stops from all sides, touches a box.
func (g *Game) lineStops(m *world.Ground, box world.Box) (in bool) {
	if !m.HasLines() {
		return false
	}
	m.Segments(box, func(s *world.Segment) bool {
		in = !s.Above && world.Crosses(s.A, s.B, box) && g.There(s.Of)
		return !in
	})
	return in
}

// lineBelow reports whether a box that comes from where was lies comes down on ground that stops only
// from above.
func (g *Game) lineBelow(m *world.Ground, was, box world.Box) (in bool) {
	if !m.HasLines() || !m.Side {
		return false
	}
	m.Segments(box, func(s *world.Segment) bool {
		in = s.Above && world.Crosses(s.A, s.B, box) && !world.Crosses(s.A, s.B, was) && above(was, s) && g.There(s.Of)
		return !in
	})
	return in
}

// above reports whether a box lies above a segment, as far as both reach, or above its nearer end.
func above(was world.Box, s *world.Segment) bool {
	return was.Bottom <= s.Y(was.Left)+Sub && was.Bottom <= s.Y(was.Right-1)+Sub
}
