package proof_test

import (
	"azzel/core/chart"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
	"math/rand/v2"
	"os"
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
	worlds := 150
	if n, err := strconv.Atoi(os.Getenv("AZZEL_WORLDS")); err == nil {
		worlds = n / 4
	}
	all, come, weighed := 0, 0, 0
	for seed := range worlds {
		r := rand.New(rand.NewPCG(uint64(seed), 33))
		text := strewn(r)
		values := []kind.Value{fromSide}
		if r.IntN(3) == 0 {
			values = append(values, kind.Value{Key: kind.MapGravity, Value: kind.Of(float64(20 + r.IntN(60)))})
		}
		d := drawn(text, values...)
		if r.IntN(2) == 0 {
			d = fallsOut(d)
		}
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
			if r.IntN(7) == 0 {
				in = play.Input(0)
				for _, key := range []play.Input{play.InputLeft, play.InputRight, play.InputUp, play.InputDown, play.InputJump, play.InputJump, play.InputUse} {
					if r.IntN(3) == 0 {
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
