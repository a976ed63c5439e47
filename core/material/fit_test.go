package material

import (
	"azzel/core/cells"
	"azzel/core/grid"
	"fmt"
	"math/rand/v2"
	"testing"
)

var bounds = grid.Rect{X: -20, Y: -10, W: 100, H: 90}

// complete is a material with a tile for each of its forms: tile id = form.
func complete(number int, by string) Set {
	s := Set{Number: number, By: by}
	for _, f := range Keys(by) {
		s.Tiles = append(s.Tiles, Tile{Cell: cells.TileCell(number, int(f)), Form: f, Odds: 1})
	}
	return s
}

func TestKeys(t *testing.T) {
	for by, want := range map[string]int{BySides: 16, ByCorners: 16, ByBoth: 47} {
		keys := Keys(by)
		if len(keys) != want {
			t.Errorf("%s has %d forms", by, len(keys))
		}
		for _, k := range keys {
			if k.Key(by) != k && by != ByCorners {
				t.Errorf("%s: the key of %08b is %08b", by, k, k.Key(by))
			}
		}
	}
	if (N|NE|W).Key(ByBoth) != N|W || (N|NE|E).Key(ByBoth) != N|NE|E || (N|NE|E).Key(ByCorners) != NE || Whole.Key(BySides) != sides {
		t.Error("a key keeps what does not matter")
	}
}

// A form turns as the neighbours that it names.
func TestFormsTurn(t *testing.T) {
	for turn := grid.Turn(0); turn < 8; turn++ {
		for i, d := range around {
			r := turn.Rect(grid.Rect{X: d.X + 1, Y: d.Y + 1, W: 1, H: 1}, 3, 3)
			want := -1
			for k, e := range around {
				if e.X+1 == r.X && e.Y+1 == r.Y {
					want = k
				}
			}
			if got := Form(1 << i).Turned(turn); got != 1<<want {
				t.Errorf("turn %d brings neighbour %d to %08b, wanted %d", turn, i, got, want)
			}
		}
	}
}

// paint draws random areas of two materials, plain tiles, tiles of a material
// fixed by hand, and empties.
func paint(r *rand.Rand, p cells.Plane, fixed cells.Cell) cells.Plane {
	all := []cells.Cell{cells.MaterialCell(1, r.IntN(256)), cells.MaterialCell(2, r.IntN(256)), cells.TileCell(9, 4), fixed, 0}
	region := &grid.Region{}
	region.AddRect(grid.Rect{X: r.IntN(120) - 30, Y: r.IntN(110) - 20, W: 1 + r.IntN(30), H: 1 + r.IntN(30)})
	p, _ = cells.Paint(region, bounds, []cells.Cell{all[r.IntN(5)]}, 1, grid.Point{}).Apply(p)
	return p
}

// slow fits a cell from the definition.
func slow(sets map[int]Set, p cells.Plane, x, y int, fixed map[cells.Cell]int) cells.Cell {
	c := p.At(x, y)
	if !c.IsMaterial() {
		return c
	}
	s := sets[c.Tileset()]
	var form Form
	for i, d := range around {
		q := grid.Point{X: x + d.X, Y: y + d.Y}
		n := p.At(q.X, q.Y)
		same := n.IsMaterial() && n.Tileset() == s.Number || !n.IsMaterial() && fixed[n] == s.Number
		if !bounds.Contains(q) {
			same = s.Beyond
		}
		if same {
			form |= 1 << i
		}
	}
	return cells.TileCell(s.Number, int(form.Key(s.By)))
}

func TestChunksAgainstDefinition(t *testing.T) {
	for _, by := range []string{BySides, ByCorners, ByBoth} {
		a, b := complete(1, by), complete(2, ByBoth)
		b.Beyond = true
		hand := a.Tiles[3].Cell
		f := NewFitter([]Set{a, b})
		sets, fixed := map[int]Set{1: a, 2: b}, map[cells.Cell]int{hand: 1}
		r := rand.New(rand.NewPCG(3, 3))
		var p cells.Plane
		for range 25 {
			p = paint(r, p, hand)
		}
		for cy := -1; cy < 3; cy++ {
			for cx := -1; cx < 3; cx++ {
				var out [side * side]Shown
				if !f.Chunk(p, bounds, cx, cy, &out) {
					for i := range out {
						out[i] = Shown{Cell: p.At(cx*side+i%side, cy*side+i/side)}
					}
				}
				for i, got := range out {
					x, y := cx*side+i%side, cy*side+i/side
					if !bounds.Contains(grid.Point{X: x, Y: y}) {
						continue
					}
					want := slow(sets, p, x, y, fixed)
					if got.Cell != want || f.At(p, bounds, x, y) != got {
						t.Fatalf("%s: %d,%d shows %x, wanted %x", by, x, y, got.Cell, want)
					}
				}
			}
		}
	}
}

// Whatever the order of edits, and whatever was painted over, the same cells
// show the same tiles.
func TestAnyOrderOfEditsGivesTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(4, 4))
	f := NewFitter([]Set{complete(1, ByBoth), complete(2, ByCorners)})
	for range 20 {
		var p cells.Plane
		for range 15 {
			p = paint(r, p, 0)
		}
		// the same cells from nothing, one by one, in another order
		var again cells.Plane
		points := p.Region(bounds, func(c cells.Cell) bool { return c != 0 }).Points()
		r.Shuffle(len(points), func(i, j int) { points[i], points[j] = points[j], points[i] })
		for _, at := range points {
			one := &grid.Region{}
			one.Add(at)
			again, _ = cells.Paint(one, bounds, []cells.Cell{p.At(at.X, at.Y)}, 1, grid.Point{}).Apply(again)
		}
		for _, at := range points {
			if a, b := f.At(p, bounds, at.X, at.Y), f.At(again, bounds, at.X, at.Y); a != b {
				t.Fatalf("%v shows %+v and %+v", at, a, b)
			}
		}
	}
}

// A sparse set is filled by turns, then by quarters; what is still missing is a gap.
func TestSparseSets(t *testing.T) {
	s := Set{Number: 1, By: BySides, Tiles: []Tile{
		{Cell: cells.TileCell(1, 0), Form: 0, Odds: 1},
		{Cell: cells.TileCell(1, 1), Form: N, Odds: 1},
		{Cell: cells.TileCell(1, 2), Form: N | S, Odds: 1},
		{Cell: cells.TileCell(1, 3), Form: N | E, Odds: 1},
		{Cell: cells.TileCell(1, 4), Form: N | E | S, Odds: 1},
		{Cell: cells.TileCell(1, 5), Form: sides, Odds: 1},
	}}
	how := func(s Set) map[string]int {
		out := map[string]int{}
		for _, c := range Covers(s) {
			out[c.How]++
		}
		return out
	}
	if got := how(s); got[Has] != 6 || got[Lacks] != 10 {
		t.Errorf("without help: %v", got)
	}
	s.Turns = true
	if got := how(s); got[Has] != 6 || got[Turns] != 10 {
		t.Errorf("with turns: %v", got)
	}
	// five tiles compose all 47: alone, whole, a row, a column and a crossing
	five := Set{Number: 1, By: ByBoth, Composes: true, Tiles: []Tile{
		{Cell: cells.TileCell(1, 0), Form: 0, Odds: 1}, {Cell: cells.TileCell(1, 1), Form: Whole, Odds: 1},
		{Cell: cells.TileCell(1, 2), Form: E | W, Odds: 1}, {Cell: cells.TileCell(1, 3), Form: N | S, Odds: 1},
		{Cell: cells.TileCell(1, 4), Form: sides, Odds: 1},
	}}
	if got := how(five); got[Lacks] != 0 || got[Composes] != 42 {
		t.Errorf("composed: %v", got)
	}
	f := NewFitter([]Set{five})
	line := &grid.Region{}
	line.AddRect(grid.Rect{X: 0, Y: 0, W: 3, H: 2})
	p, _ := cells.Paint(line, bounds, []cells.Cell{cells.MaterialCell(1, 0)}, 1, grid.Point{}).Apply(cells.Plane{})
	got := f.At(p, bounds, 0, 0) // neighbours right, below and between
	want := [4]cells.Cell{cells.TileCell(1, 0), cells.TileCell(1, 2), cells.TileCell(1, 3), cells.TileCell(1, 1)}
	if got.Quarters == nil || *got.Quarters != want {
		t.Errorf("the corner is put together of %+v", got)
	}
	if lone := NewFitter([]Set{{Number: 1, By: ByBoth}}).At(p, bounds, 1, 1); !lone.Gap() {
		t.Errorf("a material without tiles shows %+v", lone)
	}
}

func TestOddsAndWhatLiesBeside(t *testing.T) {
	s := complete(1, BySides)
	s.Tiles = append(s.Tiles, Tile{Cell: cells.TileCell(1, 300), Form: sides, Odds: 3}, Tile{Cell: cells.TileCell(1, 400), Form: E, Odds: 1, Beside: 2})
	f := NewFitter([]Set{s, complete(2, BySides)})
	n := 0
	for v := range 256 {
		block := &grid.Region{}
		block.AddRect(grid.Rect{X: 0, Y: 0, W: 3, H: 3})
		p, _ := cells.Paint(block, bounds, []cells.Cell{cells.MaterialCell(1, v)}, 1, grid.Point{}).Apply(cells.Plane{})
		if f.At(p, bounds, 1, 1).Cell.Tile() == 300 {
			n++
		}
	}
	if n != 192 {
		t.Errorf("a tile of odds 3 in 4 came %d times of 256", n)
	}
	pair := &grid.Region{}
	pair.AddRect(grid.Rect{X: 0, Y: 0, W: 2, H: 1})
	all := &grid.Region{}
	all.AddRect(grid.Rect{X: -3, Y: -3, W: 9, H: 9})
	p, _ := cells.Paint(all, bounds, []cells.Cell{cells.MaterialCell(2, 0)}, 1, grid.Point{}).Apply(cells.Plane{})
	p, _ = cells.Paint(pair, bounds, []cells.Cell{cells.MaterialCell(1, 0)}, 1, grid.Point{}).Apply(p)
	if got := f.At(p, bounds, 0, 0).Cell.Tile(); got != 400 {
		t.Errorf("inside the other material it shows tile %d", got)
	}
	if got := f.At(p, bounds, 1, 0).Cell.Tile(); got != int(W) {
		t.Errorf("where there is no tile for the other material it shows %d", got)
	}
}

func BenchmarkRefitMillion(b *testing.B) {
	all := grid.Rect{W: 1024, H: 1024}
	r := rand.New(rand.NewPCG(1, 1))
	region := &grid.Region{}
	region.AddRect(all)
	p, _ := cells.PaintEach(region, all, func(x, y int) (cells.Cell, bool) { return cells.MaterialCell(1+r.IntN(2), 0), true }).Apply(cells.Plane{})
	flat := make([]cells.Cell, 1<<20)
	b.Run("baseline-write", func(b *testing.B) {
		for b.Loop() {
			for i := range flat {
				flat[i] = 7
			}
		}
	})
	for _, by := range []string{BySides, ByBoth} {
		f := NewFitter([]Set{complete(1, by), complete(2, by)})
		b.Run(fmt.Sprint(by), func(b *testing.B) {
			for b.Loop() {
				var out [side * side]Shown
				for cy := range 32 {
					for cx := range 32 {
						f.Chunk(p, all, cx, cy, &out)
					}
				}
			}
		})
	}
}
