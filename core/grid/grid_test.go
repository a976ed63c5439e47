package grid

import (
	"math/rand/v2"
	"testing"
)

func TestLine(t *testing.T) {
	for _, c := range []struct {
		a, b Point
		want []Point
	}{
		{Point{2, 3}, Point{2, 3}, []Point{{2, 3}}},
		{Point{0, 0}, Point{3, 0}, []Point{{0, 0}, {1, 0}, {2, 0}, {3, 0}}},
		{Point{0, 0}, Point{0, -2}, []Point{{0, 0}, {0, -1}, {0, -2}}},
		{Point{0, 0}, Point{-3, 3}, []Point{{0, 0}, {-1, 1}, {-2, 2}, {-3, 3}}},
		{Point{0, 0}, Point{4, 2}, []Point{{0, 0}, {1, 1}, {2, 1}, {3, 2}, {4, 2}}},
	} {
		got := Line(c.a, c.b)
		if len(got) != len(c.want) {
			t.Errorf("line %v to %v: %v, wanted %v", c.a, c.b, got, c.want)
			continue
		}
		for i := range got {
			if got[i] != c.want[i] {
				t.Errorf("line %v to %v: %v, wanted %v", c.a, c.b, got, c.want)
				break
			}
		}
	}
}

// A line touches every column or row between its ends once and leaves no gap.
func TestLineHasNoGaps(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	for range 2000 {
		a, b := Point{r.IntN(200) - 100, r.IntN(200) - 100}, Point{r.IntN(200) - 100, r.IntN(200) - 100}
		got := Line(a, b)
		if got[0] != a || got[len(got)-1] != b || len(got) != max(abs(a.X-b.X), abs(a.Y-b.Y))+1 {
			t.Fatalf("line %v to %v has the wrong ends or length", a, b)
		}
		for i := 1; i < len(got); i++ {
			if abs(got[i].X-got[i-1].X) > 1 || abs(got[i].Y-got[i-1].Y) > 1 {
				t.Fatalf("line %v to %v has a gap at %v", a, b, got[i])
			}
		}
	}
}

// A region holds exactly the cells of a plain set.
func TestRegionAgainstSet(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	for range 200 {
		var region Region
		want := map[Point]bool{}
		for range 1 + r.IntN(5) {
			b := Rect{r.IntN(200) - 100, r.IntN(200) - 100, r.IntN(70), r.IntN(70)}
			region.AddRect(b)
			for y := range b.H {
				for x := range b.W {
					want[Point{b.X + x, b.Y + y}] = true
				}
			}
			p := Point{r.IntN(200) - 100, r.IntN(200) - 100}
			region.Add(p)
			want[p] = true
		}
		clip := Rect{-70, -70, 130, 140}
		region.Clip(clip)
		var bounds Rect
		for p := range want {
			if !clip.Contains(p) {
				delete(want, p)
				continue
			}
			bounds = bounds.Union(Rect{p.X, p.Y, 1, 1})
		}
		points := region.Points()
		if len(points) != len(want) || region.Count() != len(want) || region.Bounds() != bounds {
			t.Fatalf("region has %d cells in %v, wanted %d in %v", len(points), region.Bounds(), len(want), bounds)
		}
		for _, p := range points {
			if !want[p] || !region.Has(p) {
				t.Fatalf("region has %v", p)
			}
		}
	}
}

func TestFloorDiv(t *testing.T) {
	for _, c := range [][4]int{{7, 4, 1, 3}, {-1, 4, -1, 3}, {-4, 4, -1, 0}, {-5, 4, -2, 3}, {0, 4, 0, 0}} {
		if FloorDiv(c[0], c[1]) != c[2] || Mod(c[0], c[1]) != c[3] {
			t.Errorf("%d by %d: %d rest %d", c[0], c[1], FloorDiv(c[0], c[1]), Mod(c[0], c[1]))
		}
	}
}
