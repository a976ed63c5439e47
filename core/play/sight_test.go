package play_test

import (
	"azzel/core/grid"
	"azzel/core/play"
	"testing"
)

// One sees so far, walls hide what lies behind them, and what was seen is remembered as the map says;
// pulled back it is not yet known.
func TestSight(t *testing.T) {
	rows := `
............
.@....#.....
......#.....
............
............`
	sees := func(r *run, x, y int) (now, known bool) {
		a, b, ok := r.g.Sight()
		if !ok {
			t.Fatal("everything is seen")
		}
		return a.Has(grid.Point{X: x, Y: y}), b.Has(grid.Point{X: x, Y: y})
	}
	r := drawn(t, rows, "sight=8")
	for p, want := range map[grid.Point]bool{{X: 1, Y: 1}: true, {X: 5, Y: 1}: true, {X: 6, Y: 1}: true, {X: 7, Y: 1}: false, {X: 9, Y: 1}: false, {X: 0, Y: 4}: true, {X: 11, Y: 4}: false} {
		if now, _ := sees(r, p.X, p.Y); now != want {
			t.Errorf("%v is seen: %v", p, now)
		}
	}
	rec := play.NewRecord(r.g)
	for range 60 {
		rec.Step(r.g, play.InputRight)
	}
	if now, known := sees(r, 0, 0); !known || now != (r.cell().X <= 8) {
		t.Errorf("the corner is seen %v, known %v", now, known)
	}
	for n := 0; n < 300 && r.cell() != (grid.Point{X: 9, Y: 4}); n++ {
		in, _ := r.g.Toward(grid.Point{X: 9, Y: 4})
		rec.Step(r.g, in|play.InputDown)
	}
	if now, known := sees(r, 0, 0); now || !known {
		t.Errorf("from afar the corner is seen %v, known %v", now, known)
	}
	was := &run{t: t, d: r.d, g: rec.At(0)}
	if _, known := sees(was, 11, 4); known {
		t.Error("pulled back it knows what it saw later")
	}
	r = drawn(t, rows, "sight=3", "sightRemembers=false")
	r.hold(play.InputRight, 60)
	if _, known := sees(r, 0, 1); known {
		t.Error("what is not remembered is known")
	}
	if _, _, ok := drawn(t, rows).g.Sight(); ok {
		t.Error("without a sight not everything is seen")
	}
	// whoever is seen sees back
	for _, a := range []grid.Point{{X: 2, Y: 0}, {X: 5, Y: 3}, {X: 9, Y: 2}, {X: 7, Y: 4}} {
		for _, b := range []grid.Point{{X: 1, Y: 1}, {X: 8, Y: 1}, {X: 4, Y: 4}, {X: 10, Y: 3}} {
			at := func(p grid.Point) *run {
				r := drawn(t, rows, "sight=20")
				r.hero().X, r.hero().Y = int64(p.X*16+2)*play.Sub, int64(p.Y*16+2)*play.Sub
				return r
			}
			x, _ := sees(at(a), b.X, b.Y)
			y, _ := sees(at(b), a.X, a.Y)
			if x != y {
				t.Errorf("%v sees %v: %v, back: %v", a, b, x, y)
			}
		}
	}
}
