package play

import (
	"azzel/core/rules"
	"azzel/core/world"
	"math/bits"
)

// goesAlong goes along a path: from point to point, resting at each. What is stopped waits.
func (g *Game) goesAlong(b *Body, p *world.Way, stopped bool) {
	if b.Timer > 0 {
		b.Timer--
		b.Steps = 0
		return
	}
	if int(b.Next) >= len(p.Points) {
		b.Next = 0
	}
	at := g.extent(b)
	x, y := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
	goal := p.Points[b.Next]
	dx, dy := goal.X-x, goal.Y-y
	far := root(dx*dx + dy*dy)
	if far > p.Speed {
		dx, dy = dx*p.Speed/far, dy*p.Speed/far
	}
	if stopped {
		wasX, wasY := b.X, b.Y
		g.goes(b, dx, dy)
		if far > p.Speed || b.X-wasX != dx || b.Y-wasY != dy {
			return
		}
	} else {
		b.X, b.Y = b.X+dx, b.Y+dy
		if b.Steps++; abs(dx) >= abs(dy) && dx != 0 {
			b.turn(facingOf(dx, 0))
		} else if dy != 0 {
			b.turn(facingOf(0, dy))
		}
		if far > p.Speed {
			return
		}
	}
	g.nextPoint(b, p)
}

// nextPoint chooses where a path goes on.
func (g *Game) nextPoint(b *Body, p *world.Way) {
	if stays := p.Once && b.Next == int16(len(p.Points)-1); !stays || b.Way != 0 {
		g.happen(happening{on: rules.WordPoint, m: b.Map, thing: b.Of, exact: true, is: int32(b.Next) + 1})
	}
	last := int16(len(p.Points) - 1)
	b.Timer = p.Pause
	switch {
	case p.Round:
		b.Next = (b.Next + 1) % (last + 1)
	case p.Once && b.Next == last:
		b.Timer, b.Way = 1, 0 // it stays
	case b.Way > 0 && b.Next == last || b.Way < 0 && b.Next == 0:
		b.Way = -b.Way
		b.Next = max(0, min(b.Next+int16(b.Way), last))
	default:
		b.Next += int16(b.Way)
	}
}

// root is the whole part of a square root (Newton's method on whole numbers).
func root(n int64) int64 {
	if n < 2 {
		return max(n, 0)
	}
	x := int64(1) << ((bits.Len64(uint64(n)) + 1) / 2) // never below it
	for x > n/x {
		x = (x + n/x) / 2
	}
	return x
}
