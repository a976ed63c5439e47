package proof_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/world"
	"fmt"
	"strings"
	"testing"
)

// studied studies a project to its end.
func studied(t *testing.T, d *document.Document) *proof.Study {
	t.Helper()
	s := proof.NewStudy(world.New(d, chart.New(d, nil), nil), nil)
	for n := 0; !s.Step(5000); n++ {
		if n > 20_000 {
			t.Fatal("it comes to no end")
		}
	}
	return s
}

var byCells = kind.Value{Key: kind.MapWalking, Value: kind.Of(kind.WalksCells)}

var fourWays = kind.Value{Key: kind.MapWays, Value: kind.Of("four")}

// Worlds with known answers: what can be done, in how few steps, and where one is stuck for good.
func TestStudiedWorlds(t *testing.T) {
	for _, c := range []struct {
		name, rows string
		is         proof.Is
		fewest     int    // 0 for not known
		why        string // a part of it
		traps      string // the cells of them, nearest first
		all        bool   // there are no others
	}{
		{"straight on", "#######\n#@...G#\n#######", proof.Can, 3, "", "", true},
		{"round a wall", "#######\n#@#..G#\n#.#.###\n#...###\n#######", proof.Can, 0, "", "", true},
		{"a block on a plate", "########\n#@.....#\n#.b.p..#\n####D###\n####G###\n########", proof.Can, 0, "", "some", true},
		{"a block that closes the way for good", "#######\n#@b..G#\n#######", proof.Cannot, 0, "", "", true},
		{"a block that can be pushed into a corner", "########\n#......#\n#@.b.p.#\n#......#\n######D#\n######G#\n########", proof.Can, 0, "", "some", true},
		{"one key, two doors, one of them the wrong one", "#########\n#k@..K..#\n#.....###\n##K######\n##G######\n#########", proof.Can, 0, "", "some", true},
		{"the key lies behind its door", "########\n#@.K.kG#\n########", proof.Cannot, 0, "key 3 lies behind door 2, which it opens", "", false},
		{"no key at all", "########\n#@.K..G#\n########", proof.Cannot, 0, "nothing that opens it", "", false},
		{"a switch behind its door", "########\n#@.D.sG#\n########", proof.Cannot, 0, "switch 3 lies behind door 2, which it opens", "", false},
		{"the switch is just behind its door", "#######\n#@.DsG#\n#######", proof.Cannot, 0, "every situation was tried", "", true},
		{"a way that leads down only", "#######\n#@...G#\n#-#####\n#....##\n#######", proof.Can, 3, "", "", true},
		{"two doors, one after the other", "##########\n#@.D.K..G#\n##########", proof.Cannot, 0, "", "", false},
	} {
		s := studied(t, drawn(c.rows, byCells))
		a := s.Answer
		if a == nil || a.Is != c.is || !strings.Contains(a.Why, c.why) {
			t.Errorf("%s: %+v, wanted %s, %q", c.name, a, c.is, c.why)
			continue
		}
		if c.fewest > 0 && (!a.Fewest || a.Steps != c.fewest) {
			t.Errorf("%s: in %d steps (fewest: %t), wanted %d", c.name, a.Steps, a.Fewest, c.fewest)
		}
		if a.Is == proof.Can {
			if _, ok := proof.Replay(s.Stage(), a.Walk); !ok {
				t.Errorf("%s: its walk does not play", c.name)
			}
		}
		if s.All != c.all {
			t.Errorf("%s: all was gone through: %t", c.name, s.All)
		}
		if (len(s.Traps) > 0) != (c.traps != "") {
			t.Errorf("%s: traps %+v", c.name, s.Traps)
		}
		for _, trap := range s.Traps {
			falls(t, c.name, s.Stage(), trap)
		}
	}
}

// falls plays into a trap, and looks from there whether there is a way on after all.
func falls(t *testing.T, name string, st *world.Stage, trap proof.Trap) {
	t.Helper()
	start := func() (*play.Game, error) {
		g, err := play.Start(st, "", proof.Seed)
		for _, in := range trap.Walk {
			if err == nil {
				g.Step(in)
			}
		}
		return g, err
	}
	g, err := start()
	if err != nil || g.HeroCell() != trap.At || g.Hero().Map != trap.Map {
		t.Errorf("%s: the walk into the trap at %v ends at %v: %v", name, trap.At, g.HeroCell(), err)
		return
	}
	out := proof.NewSteps(st, start, nil)
	for !out.Step(10_000) {
	}
	if out.Found != nil {
		t.Errorf("%s: out of the trap at %v it goes on in %d steps", name, trap.At, out.Found.Steps)
	}
}

// What nobody comes to is told: a map, a thing, a rule.
func TestNever(t *testing.T) {
	s := studied(t, drawn("########\n#@..#.c#\n#...#.s#\n#..G####\n#D######\n########"))
	var out []string
	for _, n := range s.Never {
		name := ""
		if n.Thing >= 0 {
			name = s.Stage().Thing(n.Thing).Name
		}
		out = append(out, strings.TrimSpace(n.What+" "+name))
	}
	if got := fmt.Sprint(out); got != "[thing collectible 2 thing switch 3 rule]" {
		t.Errorf("never is %s", got)
	}
}

// From a game in which a key was used up on the wrong door what could still be has no goal in it, and before that it has; a door that
// falls open again by itself is none that keeps one in.
func TestWhatCouldStillBe(t *testing.T) {
	d := drawn("#########\n#k@..K..#\n#.....###\n##K######\n##G######\n#########", byCells, fourWays)
	st := world.New(d, chart.New(d, nil), nil)
	g, err := play.Start(st, "", proof.Seed)
	if err != nil {
		t.Fatal(err)
	}
	walk := func(in play.Input, ticks int) {
		for range ticks {
			g.Step(in)
		}
		g.Step(0)
	}
	still := func() bool {
		f := proof.Later(g)
		for !f.GoOn(1 << 16) {
		}
		return f.Reaches(proof.Goals(st)[0])
	}
	walk(play.InputLeft, 20)
	if !g.Has("brass") || !still() {
		t.Errorf("with the key in hand (%t) the goal could be reached: %t", g.Has("brass"), still())
	}
	walk(play.InputRight, 120)
	if g.Has("brass") || still() {
		t.Errorf("with the key used up (%t) at %v the goal could be reached: %t", !g.Has("brass"), g.HeroCell(), still())
	}
}

// Ground that nobody comes to is told with where it lies: behind what stays shut, where blocks cannot be pushed aside, too high to be jumped to; none
// is what walls close in, what something solid stands on, and what one comes to late.
func TestGroundThatNobodyComesTo(t *testing.T) {
	for _, c := range []struct {
		name string
		d    *document.Document
		want string
	}{
		{"behind a door that stays shut", drawn("########\n#@G.D..#\n########"), "2 from 5,1"},
		{"behind one that is opened", drawn("########\n#@GsD..#\n########"), ""},
		{"behind one that a key opens", drawn("########\n#@GkK..#\n########"), ""},
		{"closed in by walls", drawn("########\n#@G.#..#\n########"), ""},
		{"below something solid", put(drawn("########\n#@G....#\n#......#\n########"), kind.Decoration, 4, 1, 1, 1, document.Down, "solid=true"), ""},
		{"two pieces", drawn("#########\n#.D@G.D.#\n#########"), "1 from 1,1; 1 from 7,1"},
		{"from the side, too high", drawn("..........\n.......##.\n..........\n..........\n..........\n..........\n@G........\n##########", fromSide), "2 from 7,0"},
		{"from the side, high enough", drawn("..........\n..........\n..........\n..........\n.......##.\n..........\n@G........\n##########", fromSide), ""},
	} {
		var out []string
		for _, n := range studied(t, c.d).Never {
			for _, piece := range n.Ground {
				at := piece.Points()[0]
				out = append(out, fmt.Sprintf("%d from %d,%d", piece.Count(), at.X, at.Y))
			}
		}
		if got := strings.Join(out, "; "); got != c.want {
			t.Errorf("%s: %q, wanted %q", c.name, got, c.want)
		}
	}
}
