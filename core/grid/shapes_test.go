package grid

import (
	"math/rand/v2"
	"testing"
)

// An oval is exactly the cells that the equation of the ellipse allows.
func TestOvalAgainstEquation(t *testing.T) {
	for w := 1; w < 40; w++ {
		for h := 1; h < 40; h++ {
			got := Oval(Rect{-7, 5, w, h})
			n := 0
			for j := range h {
				for i := range w {
					dx, dy := 2*i+1-w, 2*j+1-h
					in := dx*dx*h*h+dy*dy*w*w <= w*w*h*h
					if in != got.Has(Point{i - 7, j + 5}) {
						t.Fatalf("oval of %d × %d at %d,%d", w, h, i, j)
					}
					if in {
						n++
					}
				}
			}
			if got.Count() != n {
				t.Fatalf("oval of %d × %d has %d cells, wanted %d", w, h, got.Count(), n)
			}
		}
	}
	if got := Oval(Rect{W: 2048, H: 2048}).Bounds(); got != (Rect{W: 2048, H: 2048}) {
		t.Errorf("the largest circle covers %v", got)
	}
}

// zingl draws the outline of an ellipse in a rectangle after A. Zingl,
// "A Rasterizing Algorithm for Drawing Curves" (2012).
func zingl(r Rect, put func(x, y int)) {
	x0, y0, x1, y1 := r.X, r.Y, r.X+r.W-1, r.Y+r.H-1
	a, b := x1-x0, y1-y0
	b1 := b & 1
	dx, dy := 4*(1-a)*b*b, 4*(b1+1)*a*a
	slip := dx + dy + b1*a*a
	y0 += (b + 1) / 2
	y1 = y0 - b1
	a, b1 = 8*a*a, 8*b*b
	for {
		put(x1, y0)
		put(x0, y0)
		put(x0, y1)
		put(x1, y1)
		twice := 2 * slip
		if twice <= dy {
			y0++
			y1--
			dy += a
			slip += dy
		}
		if twice >= dx || 2*slip > dy {
			x0++
			x1--
			dx += b1
			slip += dx
		}
		if x0 > x1 {
			break
		}
	}
}

// The rim of an oval runs where the published outline does, a cell at most aside.
func TestOvalNearPublishedOutline(t *testing.T) {
	for w := 5; w < 60; w += 3 {
		for h := 5; h < 60; h += 2 {
			box := Rect{0, 0, w, h}
			rim := Rim(Oval(box), 1)
			zingl(box, func(x, y int) {
				near := false
				for dy := -1; dy <= 1; dy++ {
					for dx := -1; dx <= 1; dx++ {
						near = near || rim.Has(Point{x + dx, y + dy})
					}
				}
				if !near {
					t.Fatalf("oval of %d × %d is far from the outline at %d,%d", w, h, x, y)
				}
			})
		}
	}
}

func TestRootAndEven(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	for range 3000 {
		n := r.Uint64N(1 << 46)
		if q := Root(n); q*q > n || (q+1)*(q+1) <= n {
			t.Fatalf("the root of %d is not %d", n, q)
		}
	}
	for _, c := range []struct{ to, line, box Point }{
		{Point{10, 3}, Point{10, 0}, Point{10, 10}},
		{Point{-9, 8}, Point{-9, 9}, Point{-9, 9}},
		{Point{2, -30}, Point{0, -30}, Point{30, -30}},
	} {
		if got := EvenLine(Point{}, c.to); got != c.line {
			t.Errorf("even line to %v ends at %v", c.to, got)
		}
		if got := EvenEnd(Point{}, c.to); got != c.box {
			t.Errorf("even box to %v ends at %v", c.to, got)
		}
	}
}

func random(r *rand.Rand) (*Region, map[Point]bool) {
	region, set := &Region{}, map[Point]bool{}
	for range 1 + r.IntN(6) {
		b := Rect{r.IntN(90) - 45, r.IntN(90) - 45, r.IntN(40), r.IntN(40)}
		region.AddRect(b)
		for y := range b.H {
			for x := range b.W {
				set[Point{b.X + x, b.Y + y}] = true
			}
		}
	}
	return region, set
}

// Set operations, the rim and a swept tip against plain sets.
func TestSetsAgainstPlainSets(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 8))
	for range 60 {
		a, as := random(r)
		b, bs := random(r)
		union, less, both := a.Clone(), a.Clone(), a.Clone()
		union.Union(b)
		less.Subtract(b)
		both.Intersect(b)
		rim := Rim(a, 1)
		for y := -50; y < 90; y++ {
			for x := -50; x < 90; x++ {
				p := Point{x, y}
				edge := as[p] && !(as[Point{x - 1, y}] && as[Point{x + 1, y}] && as[Point{x, y - 1}] && as[Point{x, y + 1}])
				if union.Has(p) != (as[p] || bs[p]) || less.Has(p) != (as[p] && !bs[p]) || both.Has(p) != (as[p] && bs[p]) || rim.Has(p) != edge {
					t.Fatalf("cell %v is in the wrong sets", p)
				}
			}
		}
		if both.Empty() != (both.Count() == 0) {
			t.Fatal("empty is not empty")
		}
	}
	way := Freehand([]Point{{0, 0}, {9, 4}})
	for _, tip := range []Tip{{1, false}, {2, false}, {5, false}, {4, true}, {7, true}} {
		swept := Swept(way, tip)
		want := &Region{}
		shape := &Region{}
		before := (tip.Size - 1) / 2
		shape.AddRect(Rect{-before, -before, tip.Size, tip.Size})
		if tip.Round {
			shape.Intersect(Oval(Rect{-before, -before, tip.Size, tip.Size}))
		}
		for _, p := range way.Points() {
			for _, q := range shape.Points() {
				want.Add(Point{p.X + q.X, p.Y + q.Y})
			}
		}
		want.Subtract(swept)
		if !want.Empty() || swept.Count() == 0 {
			t.Errorf("tip %+v leaves cells out", tip)
		}
	}
}
