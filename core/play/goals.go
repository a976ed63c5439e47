package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
)

// Goals are where the player is pointed to, in map pixels: the goals of the map that are not reached yet; where there are none, what
// leads to the nearest map that has one.
func (g *Game) Goals() []grid.Point {
	m := g.Ground()
	if m == nil {
		return nil
	}
	on := map[document.ID][]world.Ref{}
	for _, r := range g.Stage.Goals {
		if g.acts(r) && !g.Is(r, Reached) {
			at := g.Stage.Ground(g.Stage.Things[r].Map).ID
			on[at] = append(on[at], r)
		}
	}
	var out []grid.Point
	if here := on[m.ID]; len(here) > 0 {
		for _, r := range here {
			out = append(out, middleOf(g.Where(r)))
		}
		return out
	}
	// from the maps with goals back over all passages, the map of each step before the next
	next, queue := map[document.ID]bool{}, []document.ID{}
	for _, o := range g.Stage.Grounds {
		if len(on[o.ID]) > 0 {
			next[o.ID], queue = true, append(queue, o.ID)
		}
	}
	for len(queue) > 0 && len(out) == 0 {
		var further []document.ID
		for _, to := range queue {
			for _, way := range g.Stage.Ways {
				if way.To.Map != to {
					continue
				}
				if way.From.Map == m.ID {
					if at := g.Stage.ThingOf(m.ID, way.From.Entity); at >= 0 && g.There(at) {
						out = append(out, middleOf(g.Where(at)))
					}
				} else if !next[way.From.Map] {
					next[way.From.Map], further = true, append(further, way.From.Map)
				}
			}
		}
		queue = further
	}
	return out
}

func middleOf(b world.Box) grid.Point {
	return grid.Point{X: int((b.Left + b.Right) / 2 / Sub), Y: int((b.Top + b.Bottom) / 2 / Sub)}
}
