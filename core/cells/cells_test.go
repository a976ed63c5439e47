package cells

import (
	"azzel/core/grid"
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"testing"
)

var bounds = grid.Rect{X: -40, Y: -40, W: 120, H: 100}

func noisy(r *rand.Rand, colours int) Plane {
	var p Plane
	for range 60 {
		region := &grid.Region{}
		region.AddRect(grid.Rect{X: r.IntN(120) - 40, Y: r.IntN(100) - 40, W: 1 + r.IntN(50), H: 1 + r.IntN(50)})
		p, _ = Paint(region, bounds, []Cell{TileCell(1, r.IntN(colours)) * Cell(r.IntN(2))}, 1, grid.Point{}).Apply(p)
	}
	return p
}

func same(t *testing.T, a, b Plane) {
	t.Helper()
	if !reflect.DeepEqual(a.Chunks(), b.Chunks()) {
		t.Fatal("planes differ")
	}
}

func randomPatch(r *rand.Rand) Patch {
	region := &grid.Region{}
	for range 1 + r.IntN(4) {
		region.AddRect(grid.Rect{X: r.IntN(120) - 40, Y: r.IntN(100) - 40, W: 1 + r.IntN(60), H: 1 + r.IntN(60)})
	}
	block := make([]Cell, 4)
	for i := range block {
		block[i] = TileCell(1+r.IntN(2), r.IntN(3))
	}
	if r.IntN(2) == 0 {
		block = []Cell{TileCell(1, r.IntN(3))}
		return Paint(region, bounds, block, 1, grid.Point{})
	}
	return Paint(region, bounds, block, 2, grid.Point{X: r.IntN(9), Y: r.IntN(9)})
}

func TestPatchWritesAndInverts(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 1))
	for range 60 {
		before := noisy(r, 3)
		patch := randomPatch(r)
		after, inverse := patch.Apply(before)
		want := map[grid.Point]Cell{}
		patch.Each(func(p grid.Point, c Cell) { want[p] = c })
		if len(want) != patch.Count() {
			t.Fatalf("patch counts %d cells and has %d", patch.Count(), len(want))
		}
		for y := -45; y < 65; y++ {
			for x := -45; x < 85; x++ {
				c, ok := want[grid.Point{X: x, Y: y}]
				if !ok {
					c = before.At(x, y)
				}
				if got := after.At(x, y); got != c {
					t.Fatalf("cell %d,%d is %x, wanted %x", x, y, got, c)
				}
			}
		}
		back, _ := inverse.Apply(after)
		same(t, back, before)
		restored, _, _, done, kept := Revert(after, patch, inverse)
		same(t, restored, before)
		if done != patch.Count() || kept != 0 {
			t.Fatalf("revert restored %d and kept %d of %d", done, kept, patch.Count())
		}
	}
}

// What somebody else painted since is kept, cell by cell, and the way back of
// an undo gives the plane before it.
func TestRevertKeepsLaterWork(t *testing.T) {
	r := rand.New(rand.NewPCG(2, 1))
	for range 60 {
		start := noisy(r, 3)
		mine, theirs := randomPatch(r), randomPatch(r)
		first, inverse := mine.Apply(start)
		second, _ := theirs.Apply(first)
		got, wrote, old, done, kept := Revert(second, mine, inverse)
		want := map[grid.Point]Cell{}
		n := 0
		mine.Each(func(p grid.Point, c Cell) {
			want[p] = second.At(p.X, p.Y)
			if second.At(p.X, p.Y) == c {
				want[p] = start.At(p.X, p.Y)
				n++
			}
		})
		if done != n || kept != mine.Count()-n {
			t.Fatalf("restored %d and kept %d, wanted %d of %d", done, kept, n, mine.Count())
		}
		for p, c := range want {
			if got.At(p.X, p.Y) != c {
				t.Fatalf("cell %v is %x, wanted %x", p, got.At(p.X, p.Y), c)
			}
		}
		again, _, _, _, _ := Revert(got, wrote, old)
		same(t, again, second)
	}
}

func TestPatchTravels(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 1))
	for range 200 {
		p := randomPatch(r)
		data, err := json.Marshal(p)
		if err != nil {
			t.Fatal(err)
		}
		var got Patch
		if err := json.Unmarshal(data, &got); err != nil {
			t.Fatal(err)
		}
		a, _ := p.Apply(Plane{})
		b, _ := got.Apply(Plane{})
		same(t, a, b)
		if !SameCells(p, got) {
			t.Fatal("the masks differ")
		}
	}
}

func slowFill(p Plane, b grid.Rect, start grid.Point, reach Reach) map[grid.Point]bool {
	out := map[grid.Point]bool{}
	value := p.At(start.X, start.Y)
	todo := []grid.Point{start}
	for len(todo) > 0 {
		q := todo[len(todo)-1]
		todo = todo[:len(todo)-1]
		if out[q] || !b.Contains(q) || p.At(q.X, q.Y) != value || reach.Within != nil && !reach.Within.Has(q) {
			continue
		}
		out[q] = true
		for dy := -1; dy <= 1; dy++ {
			for dx := -1; dx <= 1; dx++ {
				if reach.Corners || dx*dy == 0 {
					todo = append(todo, grid.Point{X: q.X + dx, Y: q.Y + dy})
				}
			}
		}
	}
	return out
}

func TestFillAgainstSlow(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 1))
	for i := range 120 {
		p := noisy(r, 2)
		if i%4 > 1 { // single cells, so that areas touch at corners
			p, _ = PaintEach(everywhere(), bounds, func(x, y int) (Cell, bool) { return TileCell(1, r.IntN(2)), true }).Apply(p)
		}
		start := grid.Point{X: r.IntN(120) - 40, Y: r.IntN(100) - 40}
		reach := Reach{Corners: i%2 == 1}
		if i%3 == 0 {
			reach.Within = randomPatch(r).Region()
		}
		got := Fill(p, bounds, start, reach)
		want := slowFill(p, bounds, start, reach)
		if got.Count() != len(want) {
			t.Fatalf("filled %d cells from %v, wanted %d", got.Count(), start, len(want))
		}
		for q := range want {
			if !got.Has(q) {
				t.Fatalf("%v is not filled", q)
			}
		}
	}
	if Fill(Plane{}, bounds, grid.Point{X: 500}, Reach{}).Count() != 0 {
		t.Error("filled outside the bounds")
	}
}

// A chunk of one value goes on over its corners to chunks that only touch it there.
func TestWholeChunksFillOverTheirCorners(t *testing.T) {
	in := grid.Rect{X: -side, Y: -side, W: 3 * side, H: 3 * side}
	r := rand.New(rand.NewPCG(8, 3))
	for n := range 40 {
		cells := map[grid.Point]Cell{}
		for y := range side {
			for x := range side {
				cells[grid.Point{X: x, Y: y}] = TileCell(1, 1)
			}
		}
		for _, at := range []grid.Point{{X: -1, Y: -1}, {X: side, Y: -1}, {X: -1, Y: side}, {X: side, Y: side}} {
			for range r.IntN(4) {
				cells[grid.Point{X: at.X + r.IntN(3) - 1, Y: at.Y + r.IntN(3) - 1}] = TileCell(1, 1)
			}
		}
		all := &grid.Region{}
		all.AddRect(in)
		p, _ := PaintEach(all, in, func(x, y int) (Cell, bool) { return cells[grid.Point{X: x, Y: y}], true }).Apply(Plane{})
		for _, reach := range []Reach{{}, {Corners: true}} {
			got, want := Fill(p, in, grid.Point{X: 5, Y: 5}, reach), slowFill(p, in, grid.Point{X: 5, Y: 5}, reach)
			if got.Count() != len(want) {
				t.Fatalf("%d: filled %d cells over %v, wanted %d", n, got.Count(), reach.Corners, len(want))
			}
		}
	}
}

func everywhere() *grid.Region {
	all := &grid.Region{}
	all.AddRect(bounds)
	return all
}

// What shows of several planes, the cells of a kind and patches put over each
// other, against cell by cell.
func TestFlattenedAndRegions(t *testing.T) {
	r := rand.New(rand.NewPCG(9, 1))
	for range 30 {
		top, low := noisy(r, 3), noisy(r, 2)
		shown := Flattened([]Plane{top, low})
		kind := shown.Region(bounds, func(c Cell) bool { return c == TileCell(1, 1) })
		p, q := randomPatch(r), randomPatch(r)
		over, _ := p.Over(q).Apply(low)
		after, _ := p.Apply(low)
		after, _ = q.Apply(after)
		same(t, over, after)
		for y := -45; y < 65; y++ {
			for x := -45; x < 85; x++ {
				want := top.At(x, y)
				if want == 0 {
					want = low.At(x, y)
				}
				at := grid.Point{X: x, Y: y}
				if shown.At(x, y) != want || kind.Has(at) != (want == TileCell(1, 1) && bounds.Contains(at)) {
					t.Fatalf("%d,%d shows %x, wanted %x", x, y, shown.At(x, y), want)
				}
			}
		}
	}
}

func TestChangedFindsTheChunks(t *testing.T) {
	r := rand.New(rand.NewPCG(6, 1))
	for range 100 {
		a := noisy(r, 3)
		b, _ := randomPatch(r).Apply(a)
		got := map[[2]int]bool{}
		for _, c := range a.Changed(b) {
			got[c] = true
		}
		for cy := -3; cy < 4; cy++ {
			for cx := -3; cx < 4; cx++ {
				if (a.Chunk(cx, cy) != b.Chunk(cx, cy)) != got[[2]int{cx, cy}] {
					t.Fatalf("chunk %d,%d: changed is %v", cx, cy, got[[2]int{cx, cy}])
				}
			}
		}
	}
}

func FuzzDecodePatch(f *testing.F) {
	r := rand.New(rand.NewPCG(7, 1))
	for range 4 {
		f.Add(randomPatch(r).Encode())
	}
	f.Add([]byte{})
	f.Add([]byte{255, 255, 255, 255, 255, 255, 255, 255, 255, 1})
	f.Fuzz(func(t *testing.T, data []byte) {
		p, err := DecodePatch(data)
		if err != nil {
			return
		}
		again, err := DecodePatch(p.Encode())
		if err != nil || !SameCells(p, again) {
			t.Fatalf("a patch that was read does not travel: %v", err)
		}
		after, inverse := p.Apply(Plane{})
		if back, _ := inverse.Apply(after); !back.Empty() {
			t.Fatal("the inverse leaves cells")
		}
	})
}

func plane1M(r *rand.Rand, noise int) (Plane, grid.Rect) {
	b := grid.Rect{W: 1024, H: 1024}
	all := &grid.Region{}
	all.AddRect(b)
	p, _ := Paint(all, b, []Cell{TileCell(1, 1)}, 1, grid.Point{}).Apply(Plane{})
	some := &grid.Region{}
	for range noise {
		some.Add(grid.Point{X: r.IntN(1024), Y: r.IntN(1024)})
	}
	p, _ = Paint(some, b, []Cell{TileCell(1, 2)}, 1, grid.Point{}).Apply(p)
	return p, b
}

// BenchmarkFillMillion fills a million cells with their inverse; the baseline
// is a plain write of as many.
func BenchmarkFillMillion(b *testing.B) {
	flat := make([]Cell, 1<<20)
	b.Run("baseline-write", func(b *testing.B) {
		for b.Loop() {
			for i := range flat {
				flat[i] = 7
			}
		}
	})
	for name, noise := range map[string]int{"uniform": 0, "noisy": 100_000} {
		p, bounds := plane1M(rand.New(rand.NewPCG(1, 1)), noise)
		b.Run(name, func(b *testing.B) {
			for b.Loop() {
				region := Fill(p, bounds, grid.Point{X: 500, Y: 500}, Reach{})
				Paint(region, bounds, []Cell{TileCell(1, 9)}, 1, grid.Point{}).Apply(p)
			}
		})
	}
}

// Any of a plane is whether anything is in the region of the same.
func TestAnyIsARegionThatIsNotEmpty(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 2))
	p, _ := plane1M(r, 40)
	for n := range 300 {
		b := grid.Rect{X: r.IntN(1100) - 40, Y: r.IntN(1100) - 40, W: r.IntN(200), H: r.IntN(200)}
		v := []Cell{TileCell(1, 1), TileCell(1, 2), TileCell(1, 3), 0}[n%4]
		f := func(c Cell) bool { return c != 0 && c == v }
		if got, want := p.Any(b, f), !p.Region(b, f).Empty(); got != want {
			t.Errorf("%v in %v: %v, wanted %v", v, b, got, want)
		}
	}
}
