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
	// from and to are cells at its ends.
	from, to grid.Point
	// wide and high are how much it is too much, in 1/256 pixels; one of them is 0.
	wide, high int64
}

// maxShort is how many jumps that fall short are tried, those that lack least first.
const maxShort = 24

// level is level ground, or what lies beside it where something moves: known tells that one comes to it.
type level struct {
	world.Run
	known bool
}

// maxLevels is how many levels of a map are held against each other at the most.
const maxLevels = 1500

// levels are all level ground of a map, that on which something moves cut where one comes to a part of it alone.
func (l *leaps) levels(g *world.Ground) (out []level) {
	for n, r := range l.Runs {
		out = append(out, level{r, l.run[n]})
	}
	b := g.Bounds
	w, h := g.Cell()
	for y := range b.H {
		for x := range b.W {
			at := grid.Point{X: b.X + x, Y: b.Y + y}
			i := y*b.W + x
			if l.Of[i] != world.Odd || g.At(at)&world.Whole != 0 || g.At(grid.Point{X: at.X, Y: at.Y + 1})&world.Whole == 0 {
				continue
			}
			if n := len(out) - 1; n >= len(l.Runs) && out[n].Row == y && out[n].To == x-1 && out[n].known == (l.rested[i] != 0) {
				out[n].To, out[n].Right = x, int64(at.X+1)*w
				continue
			}
			out = append(out, level{world.Run{Left: int64(at.X) * w, Right: int64(at.X+1) * w, Feet: int64(at.Y+1) * h, Row: y, From: x, To: x}, l.rested[i] != 0})
		}
	}
	return out[:min(len(out), maxLevels)]
}

// hanging are the goals on a map that nobody touches and that stand on no ground, as ground that is as low as the feet of whoever touches them with its head.
func (f *May) hanging(g *world.Ground) (out []level) {
	h := f.st.Gait(g, world.None).H
	for _, r := range Goals(f.st) {
		if t := f.st.Thing(r); t.Map == g.Ref && !f.Reaches(r) {
			from, to := g.CellAt(t.Body.Left, t.Body.Top), g.CellAt(t.Body.Right-1, t.Body.Bottom-1)
			if f.leaps[g.Ref].onRun(g, to) >= 0 {
				continue
			}
			out = append(out, level{world.Run{Left: t.Body.Left, Right: t.Body.Right, Feet: t.Body.Bottom + h, Row: to.Y - g.Bounds.Y, From: from.X - g.Bounds.X, To: to.X - g.Bounds.X}, false})
		}
	}
	return out
}

// short finds the jumps that fall short of ground that nobody comes to, one for each.
func (f *May) short() (out []shortJump) {
	for m, l := range f.leaps {
		if l == nil || !f.arrived[m] {
			continue
		}
		g := f.st.Grounds[m]
		all := append(l.levels(g), f.hanging(g)...)
		for _, to := range all {
			if to.known {
				continue
			}
			best := shortJump{m: world.None}
			for _, from := range all {
				if !from.known {
					continue
				}
				one := shortJump{m: world.Ref(m), from: nearest(g, from.Run, to.Run), to: nearest(g, to.Run, from.Run)}
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
				if best.m < 0 || one.lacks() < best.lacks() {
					best = one
				}
			}
			if best.m >= 0 {
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
