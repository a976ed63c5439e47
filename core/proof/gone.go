package proof

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/world"
)

// fewCells is over how many cells a thing lies at the most for them to be gone over once it is gone.
const fewCells = 16

// cover notes what lies over cells on which there is nothing else, neither of the ground nor of what could move near them.
func (p *plains) cover(g *play.Game) {
	m := p.m
	b, open := m.Bounds, m.Open()
	large := make([]bool, len(p.free))
	for r := m.First; r < m.After; r++ {
		t := g.Stage.Thing(r)
		if t.Doing.Goes {
			continue
		}
		cells := m.CellsOf(r)
		for y := cells.Y; y < cells.Y+cells.H; y++ {
			for x := cells.X; x < cells.X+cells.W; x++ {
				i := int32((y-b.Y)*b.W + x - b.X)
				if cells.W*cells.H > fewCells {
					large[i] = true
				} else if open.IsOdd(x-b.X, y-b.Y) && m.At(grid.Point{X: x, Y: y}) == 0 && !p.beside[i] {
					p.over[i] = append(p.over[i], r)
				}
			}
		}
	}
	for i, is := range large {
		if is {
			delete(p.over, int32(i))
		}
	}
}

// emptied reports whether all that lay over a cell is gone in a game, so that the hero goes through it as over plain ground.
func (p *plains) emptied(g *play.Game, i int32) bool {
	all := p.over[i]
	for _, r := range all {
		if g.There(r) {
			return false
		}
	}
	return len(all) > 0
}

// beyond is the cell beside one, −1 outside.
func (p *plains) beyond(i int32, way document.Facing) int32 {
	c := p.cell(i)
	dx, dy := way.Step()
	return p.at(grid.Point{X: c.X + dx, Y: c.Y + dy})
}

// through goes on from a cell that the hero came into after all that lay over it was gone: over plain ground, and into others that are so,
// it is known; gives the ways that have to be tried, and whether what is used has.
func (s *Steps) through(n int32, p *plains, i int32, looks uint8) (goes uint8, uses bool) {
	g := s.classes[s.all[n].class].game
	for way, facing := range document.Facings {
		k := p.beyond(i, facing)
		switch {
		case k >= 0 && p.free[k]:
			s.come(n, k, arrives, 1)
		case p.emptied(g, k):
			s.come(n, k, uint8(way), 1)
		case k >= 0 && p.walled(k):
		default:
			goes |= 1 << way
			uses = uses || uint8(way) == looks
		}
	}
	return goes, uses
}

// into goes from a cell of plain ground into those beside it out of which things are gone; gives the other ways that have to be tried.
func (s *Steps) into(n int32, p *plains, i int32) (goes uint8) {
	g := s.classes[s.all[n].class].game
	goes = p.border[i]
	for way, facing := range document.Facings {
		if k := p.beyond(i, facing); goes>>way&1 != 0 && p.emptied(g, k) {
			s.come(n, k, uint8(way), 1)
			goes &^= 1 << way
		}
	}
	return goes
}

// walled reports whether a cell is a wall and nothing else.
func (p *plains) walled(i int32) bool {
	c := p.cell(i)
	return p.m.At(c) == world.Whole && !touched(p.m, c)
}
