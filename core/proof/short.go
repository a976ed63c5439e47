package proof

import (
	"azzel/core/grid"
	"azzel/core/world"
	"cmp"
	"fmt"
	"slices"
)

// shortJump is a jump that is too wide or too high, from level ground that could be come to.
type shortJump struct {
	m world.Ref
	// from and to are cells at its ends, run the number of the ground beyond.
	from, to grid.Point
	run      int
	// wide and high are how much it is too much, in 1/256 pixels; one of them is 0.
	wide, high int64
}

// maxShort is how many jumps that fall short are tried, those that lack least first.
const maxShort = 24

// short finds the jumps that fall short of ground that nobody comes to, one for each.
func (f *May) short() (out []shortJump) {
	for m, l := range f.leaps {
		if l == nil || !f.arrived[m] {
			continue
		}
		g := f.st.Grounds[m]
		for n, to := range l.Runs {
			if l.run[n] {
				continue
			}
			best := shortJump{run: -1}
			for k, from := range l.Runs {
				if !l.run[k] {
					continue
				}
				one := shortJump{m: world.Ref(m), run: n, from: nearest(g, from, to), to: nearest(g, to, from)}
				higher := from.Feet - to.Feet
				apart := max(0, to.Left-from.Right, from.Left-to.Right)
				switch far := l.Far(higher); {
				case far < 0:
					one.high = higher - l.Best[l.Top]
				case apart > far:
					one.wide = apart - far
				default:
					continue // something else is in the way
				}
				if best.run < 0 || one.lacks() < best.lacks() {
					best = one
				}
			}
			if best.run >= 0 {
				out = append(out, best)
			}
		}
	}
	slices.SortStableFunc(out, func(a, b shortJump) int { return cmp.Compare(a.lacks(), b.lacks()) })
	return out[:min(len(out), maxShort)]
}

func (j shortJump) lacks() int64 { return j.wide + j.high }

// nearest is the cell of level ground that lies nearest to other ground.
func nearest(g *world.Ground, of, to world.Run) grid.Point {
	return grid.Point{X: g.Bounds.X + min(max(of.From, to.From), of.To), Y: g.Bounds.Y + of.Row}
}

// text says of a jump how much it is too wide or too high.
func (j shortJump) text(st *world.Stage) string {
	g := st.Grounds[j.m]
	w, h := g.Cell()
	by, size, what := j.wide, w, "wide"
	if j.high > 0 {
		by, size, what = j.high, h, "high"
	}
	tenths := (by*10 + size - 1) / size
	return fmt.Sprintf("the jump from %d, %d to %d, %d on %s is %s too %s", j.from.X-g.Bounds.X, j.from.Y-g.Bounds.Y, j.to.X-g.Bounds.X, j.to.Y-g.Bounds.Y, g.Name, inCells(tenths), what)
}

func inCells(tenths int64) string {
	switch {
	case tenths == 10:
		return "a cell"
	case tenths%10 == 0:
		return fmt.Sprintf("%d cells", tenths/10)
	}
	return fmt.Sprintf("%d.%d cells", tenths/10, tenths%10)
}
