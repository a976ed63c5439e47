package play

import "azzel/core/grid"

// Route is the shortest way of the hero over cells to one of them, the first of them its own;
// nil where there is none, or seen from the side. (Breadth first: every step costs the same;
// corners are not cut.)
func (g *Game) Route(to grid.Point) []grid.Point {
	m := g.Ground()
	if m == nil || m.Side || !m.Bounds.Contains(to) {
		return nil
	}
	w := g.gait()
	cw, ch := m.Cell()
	known := map[grid.Point]bool{}
	free := func(p grid.Point) bool {
		is, ok := known[p]
		if !ok {
			box := boxAt(w, 0, int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2)
			is = m.Bounds.Contains(p) && (g.Roam || !g.blocked(m, box, box))
			known[p] = is
		}
		return is
	}
	from := g.HeroCell()
	if !free(to) || from == to {
		return nil
	}
	came := map[grid.Point]grid.Point{from: from}
	for queue := []grid.Point{from}; len(queue) > 0; queue = queue[1:] {
		p := queue[0]
		if p == to {
			break
		}
		for _, way := range [8][2]int{{0, -1}, {1, 0}, {0, 1}, {-1, 0}, {1, -1}, {1, 1}, {-1, 1}, {-1, -1}} {
			slant := way[0] != 0 && way[1] != 0
			q := grid.Point{X: p.X + way[0], Y: p.Y + way[1]}
			if _, seen := came[q]; seen || slant && !w.Eight || !free(q) {
				continue
			}
			if slant && !(free(grid.Point{X: q.X, Y: p.Y}) && free(grid.Point{X: p.X, Y: q.Y})) {
				continue
			}
			came[q] = p
			queue = append(queue, q)
		}
	}
	if _, ok := came[to]; !ok {
		return nil
	}
	var out []grid.Point
	for p := to; p != from; p = came[p] {
		out = append(out, p)
	}
	out = append(out, from)
	for i, k := 0, len(out)-1; i < k; i, k = i+1, k-1 {
		out[i], out[k] = out[k], out[i]
	}
	return out
}

// Toward is what has to be held to come to the middle of a cell; there is true where it is.
func (g *Game) Toward(p grid.Point) (in Input, there bool) {
	m, b, w := g.Ground(), g.Hero(), g.gait()
	cw, ch := m.Cell()
	x, y := int64(p.X)*cw+(cw-w.W)/2, int64(p.Y)*ch+(ch-w.H)/2
	if b.Flags&Stepping != 0 {
		x, y = b.GoalX, b.GoalY
	}
	near := func(v, goal, pace int64) int64 {
		if abs(goal-v) <= pace/2+Sub/2 {
			return 0
		}
		return sign(goal - v)
	}
	in |= [3]Input{InputLeft, 0, InputRight}[near(b.X, x, w.RunX)+1]
	in |= [3]Input{InputUp, 0, InputDown}[near(b.Y, y, w.RunY)+1]
	return in, in == 0 && b.Flags&Stepping == 0
}
