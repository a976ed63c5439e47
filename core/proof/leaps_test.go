package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	drawing "azzel/core/sample/drawn"
	"azzel/core/world"
	"bytes"
	"fmt"
	"math/rand/v2"
	"os"
	"slices"
	"strconv"
	"strings"
	"testing"
)

// strewn is a world seen from the side in which some cells are slopes, ladders, water, things that hurt, half cells and one-way ones.
func strewn(r *rand.Rand) string {
	all := []byte(sideWorld(r))
	for n := r.IntN(12); n > 0; n-- {
		if i := r.IntN(len(all)); all[i] == '.' || all[i] == '#' {
			all[i] = `-H^/\~_"D#`[r.IntN(10)]
		}
	}
	return string(all)
}

// Wherever somebody comes who presses keys at random is where one could come to. 150 worlds in the normal run, AZZEL_WORLDS=n for more.
func TestNobodyComesFartherThanJumpsLead(t *testing.T) {
	roams(t, 150, func(r *rand.Rand) (*document.Document, string) {
		text := strewn(r)
		values := []kind.Value{fromSide}
		if r.IntN(3) == 0 {
			values = append(values, kind.Value{Key: kind.MapGravity, Value: kind.Of(float64(20 + r.IntN(60)))})
		}
		d := drawn(text, values...)
		if r.IntN(2) == 0 {
			d = fallsOut(d)
		}
		return d, text
	})
}

// The same where the hero jumps low, and things carry, throw, blow and strike it, from which it comes farther.
func TestNobodyComesFartherThanWhatMovesLeads(t *testing.T) {
	roams(t, 100, func(r *rand.Rand) (*document.Document, string) {
		const w, h = 24, 14
		rows := make([][]byte, h)
		for y := range rows {
			rows[y] = []byte(strings.Repeat(".", w))
			for x := range rows[y] {
				if y == h-3 && r.IntN(8) > 0 || y > 2 && y < h-4 && r.IntN(14) == 0 {
					rows[y][x] = '#'
				}
			}
		}
		for n := r.IntN(10); n > 0; n-- {
			rows[h-4-r.IntN(4)][3+r.IntN(w-4)] = `-H^/\~_"#/\`[r.IntN(11)]
		}
		rows[h-4][2], rows[h-3][2], rows[0][w-1] = '@', '#', 'G'
		text := string(bytes.Join(rows, []byte("\n")))
		values := []kind.Value{fromSide, {Key: kind.MapJump, Value: kind.Of(1.2)}}
		switch r.IntN(6) {
		case 0:
			values = append(values, kind.Value{Key: kind.MapWind, Value: kind.Of([]string{"left", "right", "down"}[r.IntN(3)])}, kind.Value{Key: kind.MapWindForce, Value: kind.Of(float64(1 + r.IntN(9)))})
		case 1:
			values = append(values, kind.Value{Key: kind.MapAir, Value: kind.Of(kind.AirSlowFall)})
		}
		d := fallsOut(drawn(text, values...))
		number := func(key string, most int) string { return fmt.Sprintf("%s=%d", key, r.IntN(most)) }
		var carrier document.ID
		for n := 1 + r.IntN(4); n > 0; n-- {
			k := []string{kind.Platform, kind.Walker, kind.Flyer, kind.Spring, kind.Fan, kind.Conveyor, kind.Faller, kind.Beam, kind.Turner, kind.Shooter, kind.Wind, kind.Block, kind.Block, kind.Character}[r.IntN(14)]
			wide, facing := 1, document.Facings[r.IntN(4)]
			seeing := fmt.Sprintf("seeing=%q", []string{"goesOn", "follows", "flees"}[r.IntN(3)])
			sight := "sight=0"
			if k == kind.Walker && r.IntN(2) == 0 {
				sight = "sight=8"
			}
			values := []string{number("range", 8), number("speed", 6), number("pause", 1000), number("height", 9), number("reach", 9), number("force", 24), number("length", 8), number("arm", 4), "harm=1", sight, seeing, "health=99",
				fmt.Sprintf("inWater=%q", []string{"sinks", "floats"}[r.IntN(2)]), fmt.Sprintf("does=%q", []string{"wanders", "follows", "flees"}[r.IntN(3)])}
			switch k {
			case kind.Platform, kind.Conveyor:
				wide += r.IntN(3)
			case kind.Spring:
				if r.IntN(3) > 0 {
					facing = document.Up
				}
			case kind.Block:
				wide += r.IntN(2)
			}
			x, y := 1+r.IntN(9), h-4-r.IntN(3)
			values = slices.DeleteFunc(values, func(v string) bool {
				key, _, _ := strings.Cut(v, "=")
				return kind.Keyed(kind.Find(document.ID(k)).Settings, key) == nil
			})
			d = put(d, k, x, y, wide, 1, facing, values...)
			if carrier != "" && r.IntN(3) == 0 {
				d = along(d, carrier)
			}
			if k == kind.Platform {
				carrier = last(d).ID
			}
			text += fmt.Sprintf("\n%s at %d, %d, %d wide, facing %s, %v", k, x, y, wide, facing, values)
		}
		for n := r.IntN(3); n > 0; n-- {
			x, y, points := 16*r.IntN(w-6), 16*(4+r.IntN(h-6)), []grid.Point(nil)
			for k := 1 + r.IntN(3); k > 0; k-- {
				points = append(points, grid.Point{X: r.IntN(96) - 16, Y: r.IntN(64) - 32})
			}
			d = line(d, x, y, r.IntN(4) == 0, []string{"all", "all", "above"}[r.IntN(3)], points...)
			text += fmt.Sprintf("\nline at %d, %d with %v", x, y, points)
		}
		if r.IntN(3) == 0 {
			x, y := 2+r.IntN(16), 4+r.IntN(h-6)
			row := strings.Repeat(".", x) + []string{"####", "#..#", "pppp"}[r.IntN(3)]
			d = drawing.Sheet(d, d.MapsInOrder()[0].ID, document.Layer{ID: "iceiceiceice", Name: "Ice", Absent: r.IntN(2) == 0, Covers: r.IntN(2) == 0}, strings.Repeat(" \n", y)+row)
			d = ruled(d, "rule\nwhen\n\tevery 1 s\nthen\n\t"+[]string{"lay", "lift"}[r.IntN(2)]+" layer Ice\n")
			text += fmt.Sprintf("\na layer at row %d: %s", y, row)
		}
		return sturdy(d), text
	})
}

// line draws ground freely from a place on by so much each, in pixels.
func line(d *document.Document, x, y int, closed bool, stops string, points ...grid.Point) *document.Document {
	d = put(d, kind.GroundLine, 0, 0, 1, 1, document.Down, fmt.Sprintf("closed=%t", closed), fmt.Sprintf("stops=%q", stops))
	e := *last(d)
	e.X, e.Y, e.W, e.H, e.Points = x, y, 1, 1, points
	ref := edit.Ref{Type: edit.TypeEntity, Map: d.MapsInOrder()[0].ID, ID: e.ID}
	return sample.With(sample.With(d, edit.Remove(ref)), edit.Insert(ref, e))
}

// last is what was put down last on the drawn map, along has it travel along with something.
func last(d *document.Document) *document.Entity {
	all := document.InRank(d.MapsInOrder()[0].Entities.All())
	return all[len(all)-1]
}

func along(d *document.Document, to document.ID) *document.Document {
	e := *last(d)
	e.Carrier = to
	ref := edit.Ref{Type: edit.TypeEntity, Map: d.MapsInOrder()[0].ID, ID: e.ID}
	return sample.With(sample.With(d, edit.Remove(ref)), edit.Insert(ref, e))
}

// roams presses keys at random on worlds in which it is known where one could come to.
func roams(t *testing.T, worlds int, draw func(*rand.Rand) (*document.Document, string)) {
	t.Helper()
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n / 4
	}
	all, come, weighed := 0, 0, 0
	for seed := range worlds {
		r := rand.New(rand.NewPCG(uint64(seed), 33))
		d, text := draw(r)
		st := world.New(d, chart.New(d, nil), nil)
		g, err := play.Start(st, "", proof.Seed)
		if err != nil {
			continue
		}
		m := g.Ground()
		if m.Footing() == nil {
			continue
		}
		weighed++
		may := proof.CouldFrom(g)
		seen := map[string]bool{}
		in := play.Input(0)
		for tick := range 4000 {
			if r.IntN(10) == 0 {
				in = []play.Input{0, play.InputLeft, play.InputRight, play.InputRight}[r.IntN(4)]
				for i, key := range []play.Input{play.InputJump, play.InputUp, play.InputDown, play.InputUse} {
					if r.IntN(2+2*i) == 0 {
						in |= key
					}
				}
			}
			g.Step(in)
			if g.Ground() == nil || g.Over != play.NotOver {
				break
			}
			p := g.HeroCell()
			seen[fmt.Sprint(p)] = true
			if m.Bounds.Contains(p) && !may.Reached(m.Ref, p) {
				t.Fatalf("seed %d, tick %d: the hero is at %d, %d, where nobody could come to\n%s", seed, tick, p.X, p.Y, text)
			}
		}
		for _, g := range proof.Rests(st, 10_000) {
			p := g.HeroCell()
			seen[fmt.Sprint(p)] = true
			if !may.Reached(m.Ref, p) {
				t.Fatalf("seed %d: the search has the hero at %d, %d, where nobody could come to\n%s", seed, p.X, p.Y, text)
			}
		}
		come += len(seen)
		for y := range m.Bounds.H {
			for x := range m.Bounds.W {
				if may.Reached(m.Ref, grid.Point{X: m.Bounds.X + x, Y: m.Bounds.Y + y}) {
					all++
				}
			}
		}
	}
	if weighed < worlds/2 {
		t.Errorf("of %d worlds %d have ground that is jumped from", worlds, weighed)
	}
	t.Logf("%d cells could be come to, %d were", all, come)
}

// A jump that is too high or too wide by little is said to be, by how much; one that is not is found.
func TestAJumpFallsShort(t *testing.T) {
	up := ".......G\n....####\n........\n........\n@.......\n########"
	across := "..............\n..............\n..............\n..............\n@............G\n####....######"
	gravity := kind.Value{Key: kind.MapGravity, Value: kind.Of(60.0)}
	for _, c := range []struct {
		name, rows string
		values     []kind.Value
		is         proof.Is
		why        string
	}{
		{"as high as it is", up, []kind.Value{{Key: kind.MapJump, Value: kind.Of(4.0)}}, proof.Can, ""},
		{"a sixteenth too high", up, []kind.Value{{Key: kind.MapJump, Value: kind.Of(3.937)}}, proof.Cannot, "the jump from 3, 4 to 3, 0 on Drawn is 0.1 cells too high"},
		{"across", across, []kind.Value{gravity}, proof.Can, ""},
		{"too wide", across, []kind.Value{gravity, {Key: kind.MapRun, Value: kind.Of(4.0)}}, proof.Cannot, "too wide"},
	} {
		d := fallsOut(drawn(c.rows, append(c.values, fromSide)...))
		s := studied(t, d)
		if s.Answer.Is != c.is || !strings.Contains(s.Answer.Why, c.why) {
			t.Errorf("%s: %s, %q; wanted %s, %q", c.name, s.Answer.Is, s.Answer.Why, c.is, c.why)
		}
		if c.is == proof.Cannot && (len(s.Missing) == 0 || s.Missing[0].Map < 0 || s.Missing[0].Thing >= 0) {
			t.Errorf("%s: %+v is missing", c.name, s.Missing)
		}
	}
}

// As far as a running jump goes, and not much farther, is said to be come to, at every height.
func TestFarIsAsFarAsAJump(t *testing.T) {
	rows := []string{strings.Repeat(".", 40), strings.Repeat(".", 40), strings.Repeat(".", 40), strings.Repeat(".", 40), "@" + strings.Repeat(".", 39), strings.Repeat("#", 20) + strings.Repeat(".", 20)}
	d := fallsOut(drawn(strings.Join(rows, "\n")+strings.Repeat("\n"+strings.Repeat(".", 40), 6), fromSide))
	st := world.New(d, chart.New(d, nil), nil)
	g, err := play.Start(st, "", proof.Seed)
	if err != nil {
		t.Fatal(err)
	}
	f := g.Ground().Footing()
	for g.HeroCell().X < 10 {
		g.Step(play.InputRight)
	}
	fromX, fromY := g.Hero().X, g.Hero().Y
	for tick := range 50 {
		g.Step(play.InputRight | play.InputJump)
		high, far := fromY-g.Hero().Y, g.Hero().X-fromX
		if said := f.Far(high) - f.Pace*(f.Late+2); tick >= f.Top && (said < far || said > far+f.Pace) {
			t.Fatalf("after %d ticks the hero is %d high and came %d far; it is said that it comes %d far", tick, high, far, said)
		}
		if high > f.Best[f.Top] {
			t.Fatalf("the hero is %d high, and %d is the most", high, f.Best[f.Top])
		}
	}
}

// What moves on the near side, or elsewhere, helps nobody over a gap; what carries, throws or strikes in it may.
func TestAGapWithWhatMoves(t *testing.T) {
	const gap = "..............................\n..............................\n..............................\n..............................\n@............................G\n############............######\n############............######"
	for _, c := range []struct {
		name   string
		with   func(*document.Document) *document.Document
		cannot bool
	}{
		{"nothing", func(d *document.Document) *document.Document { return d }, true},
		{"somebody who walks on this side", func(d *document.Document) *document.Document {
			return put(d, kind.Walker, 4, 4, 1, 1, document.Left, "range=2", "sight=0")
		}, true},
		{"somebody who walks beyond", func(d *document.Document) *document.Document {
			return put(d, kind.Walker, 26, 4, 1, 1, document.Left, "range=1", "sight=0")
		}, true},
		{"a platform behind the hero, a spring, a beam", func(d *document.Document) *document.Document {
			d = put(d, kind.Spring, 2, 4, 1, 1, document.Up, "height=1")
			return put(put(d, kind.Platform, 0, 3, 2, 1, document.Up, "range=2"), kind.Beam, 5, 0, 1, 1, document.Down, "length=5")
		}, true},
		{"a platform in the gap", func(d *document.Document) *document.Document {
			return put(d, kind.Platform, 14, 5, 2, 1, document.Right, "range=8")
		}, false},
		{"a spring at its edge", func(d *document.Document) *document.Document {
			return put(d, kind.Spring, 11, 4, 1, 1, document.Up, "height=30")
		}, false},
		{"somebody who flies over it", func(d *document.Document) *document.Document {
			return put(d, kind.Flyer, 17, 5, 1, 1, document.Left, "range=3", "sight=0", "health=99")
		}, false},
		{"somebody who comes after the hero", func(d *document.Document) *document.Document {
			return put(d, kind.Flyer, 4, 2, 1, 1, document.Left, `seeing="follows"`)
		}, false},
	} {
		a := studied(t, fallsOut(c.with(drawn(gap, fromSide)))).Answer
		if is := a.Is == proof.Cannot; is != c.cannot || is && !strings.Contains(a.Why, "too wide") {
			t.Errorf("%s: %s, %q; wanted cannot: %t", c.name, a.Is, a.Why, c.cannot)
		}
	}
}
