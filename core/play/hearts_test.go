package play_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/world"
	"fmt"
	"os"
	"strings"
	"testing"
)

// What hurts takes one heart, throws back, and then nothing for as long as the kind says;
// without hearts the hero comes back, with all of them, where the game began.
func TestHazardsHurt(t *testing.T) {
	for _, settings := range [][]string{{"hero.blink=500"}, {"hero.blink=500", fromSide}} {
		r := drawn(t, `
..........
.@..^^^^..
##########`, settings...)
		from := r.hero().X
		n := 0
		for ; n < 200 && r.g.Count(play.Hearts) == 3; n++ {
			r.hold(play.InputRight, 1)
		}
		if r.g.Count(play.Hearts) != 2 || r.hero().Push == 0 {
			t.Fatalf("%v: after %d ticks it has %d hearts", settings, n, r.g.Count(play.Hearts))
		}
		x := r.hero().X
		r.hold(0, 5)
		if r.hero().X >= x {
			t.Errorf("%v: it is not thrown back", settings)
		}
		r.hold(play.InputRight, 20)
		if r.g.Count(play.Hearts) != 2 {
			t.Errorf("%v: it is struck again at once", settings)
		}
		for n := 0; n < 600 && r.g.Count(play.Hearts) < 3; n++ {
			r.hold(play.InputRight, 1)
		}
		r.hold(0, 40)
		if r.g.Count(play.Hearts) != 3 || r.hero().X != from {
			t.Errorf("%v: struck out it is at %d with %d hearts, it began at %d", settings, r.hero().X, r.g.Count(play.Hearts), from)
		}
	}
}

func TestRoamIsUnhurtAndGoesThroughWalls(t *testing.T) {
	r := drawn(t, `
..........
.@.^^##...
##########`)
	r.hold(play.InputRight|play.InputRoam, 120)
	if r.g.Count(play.Hearts) != 3 || r.cell().X < 7 {
		t.Errorf("roaming it came to %v with %d hearts", r.cell(), r.g.Count(play.Hearts))
	}
	r.hold(play.InputDown|play.InputRoam, 30)
	r.at("in the wall", r.cell().X, 2)
	r.hold(0, 1)
	r.at("let go of", r.cell().X, 1)
}

// lamp is the sample with all that the memory table is about: a checkpoint, a switch that
// opens a door and sets a flag once, a pearl.
func lamp(t *testing.T, afresh bool) *run {
	t.Helper()
	check := document.Entity{ID: "checkpointch", Layer: sample.Entities, Kind: kind.Checkpoint, Name: "Pennon", Facing: document.Down, X: 64, Y: 96, W: 16, H: 16, Rank: 50}
	values := []kind.Value{}
	if afresh {
		values = append(values, kind.Value{Key: kind.MapEnteredAgain, Value: kind.Of(kind.Afresh)})
	}
	d := apply(t, sample.World(), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: check.ID}, check), edit.Set(quayRef, "values", values))
	for i, k := range []string{kind.Block, kind.Character, kind.Key} {
		e := document.Entity{ID: document.ID(strings.Repeat(k, 12)[:12]), Layer: sample.Entities, Kind: k, Name: k, Facing: document.Down, X: 208 + 16*i, Y: 144, W: 16, H: 16, Rank: 60 + i}
		d = apply(t, d, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e))
	}
	sign := document.Entity{ID: "signsignsign", Layer: sample.Entities, Kind: "jarjarjarjar", Name: "Jar", Facing: document.Down, X: 256, Y: 144, W: 16, H: 16, Rank: 70}
	d = apply(t, d, append(sample.Drawn(), edit.Insert(edit.Ref{Type: edit.TypeKind, ID: "jarjarjarjar"}, jar(kind.Sign)), edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sign.ID}, sign))...)
	add := rules.Part(rules.WordAdd, document.Naming(document.Object{Type: document.TypeCounter, ID: sample.DrawnCounter}))
	add.Blanks = append(add.Blanks, kind.Value{Key: "number", Value: "5"})
	coins := rules.Part(rules.WordGive, `"coin"`)
	coins.Blanks = append(coins.Blanks, kind.Value{Key: "number", Value: "3"})
	draw := rules.Part(rules.WordDraw, document.Naming(document.Object{Type: document.TypeCounter, ID: sample.DrawnOther}))
	draw.Blanks = append(draw.Blanks, kind.Value{Key: "number", Value: "1"}, kind.Value{Key: "most", Value: "9"})
	once := rules.Of(rules.Use(sample.Quay, sample.Switch), rules.Open(sample.Quay, sample.Door), rules.Set(sample.Lit), add, coins, draw, rules.Part(rules.WordLift, document.Naming(document.Object{Type: document.TypeLayer, Map: sample.Quay, ID: sample.Things})))
	once.Once = true
	d = withRule(t, d, once)
	d = sample.With(d, warden(kind.Value{Key: kind.HeroLives, Value: "2"}))
	r := begin(t, join(t, d, true))
	r.hold(play.InputRight, 100) // the pearl
	r.hero().X, r.hero().Y = 96*play.Sub, 33*play.Sub
	r.hold(play.InputUp, 1)
	r.press(play.InputUse)
	r.hero().X, r.hero().Y = 66*play.Sub, 98*play.Sub
	r.hold(0, 2)
	r.g.Hero().VX = 5
	for i := range r.g.Bodies[1:] {
		if b := &r.g.Bodies[i+1]; r.g.Stage.Thing(b.Of).Acts == kind.Block {
			b.Y -= 16 * play.Sub
		}
	}
	r.g.Mark(r.thing(kind.Key), play.Spent)
	for _, b := range []play.Bit{play.Gone, play.Brought, play.Veiled, play.Disabled} {
		r.g.Mark(r.thing(kind.Character), b)
	}
	r.g.Party = []play.Member{{Of: world.None, Place: play.Place{Map: r.hero().Map, X: 5 * play.Sub}}}
	r.g.Tallies = []play.Tally{{Of: r.thing(kind.Character), Made: 2}}
	r.g.Comes(r.g.Stage.MapOf(sample.Pans))
	r.g.Hand = "oil"
	r.g.SetOwn(r.thing(kind.Sign), "full", 4)
	return r
}

// part gives what a part of the memory table is at the moment, as a word.
func part(r *run, name string) any {
	g := r.g
	switch name {
	case "flags":
		return g.Flag(sample.Lit)
	case "rules that run once":
		return g.Ran(g.Stage.Rules[0].ID)
	case "switches":
		return r.is(sample.Switch, play.Switched)
	case "doors that rules opened":
		return r.is(sample.Door, play.Opened)
	case "what rules brought, took away, showed, hid, enabled, disabled":
		character := r.thing(kind.Character)
		return [3]bool{g.Is(character, play.Brought), g.Is(character, play.Veiled), g.Is(character, play.Disabled)}
	case "where other heroes wait":
		return fmt.Sprint(g.Party)
	case "timers, and how much sources have made":
		return len(g.Tallies)
	case "what was taken":
		return r.is(sample.Pearl, play.Taken)
	case "checkpoints reached":
		return r.is("checkpointch", play.Reached)
	case "hearts":
		return g.Count(play.Hearts)
	case "lives":
		return g.Count(play.Lives)
	case "keys that were used up":
		return g.Is(r.thing(kind.Key), play.Spent)
	case "who was defeated":
		return g.Is(r.thing(kind.Character), play.Gone)
	case "where things moved to":
		_, y := r.where(kind.Block)
		return y
	case "the map that the hero came from":
		return g.Count(play.CameFrom)
	case "the hero's place":
		return [2]int64{g.Hero().X, g.Hero().Y}
	case "the hero's speed":
		return g.Hero().VX
	case "items that rules gave or took":
		return g.Amount("coin")
	case "counters":
		return g.Counter(sample.DrawnCounter)
	case "layers that rules laid or lifted":
		return len(r.g.Turned())
	case "how often rules asked chance":
		return g.Lucky()
	case "the time of day":
		return g.Clock > 0
	case "time and moves of the map to be finished":
		return g.Round.Ticks > 0
	case "points of a turn":
		return g.Count(play.Points)
	case "what is in hand":
		return g.Hand
	case "flags and counters of things' own":
		is, _ := g.Own(r.thing(kind.Sign), "full")
		return is
	}
	r.t.Fatalf("nothing looks at %s", name)
	return nil
}

// The memory table is true: every part is looked at after everything that can happen to it.
func TestTheMemoryTableIsTrue(t *testing.T) {
	leave := func(r *run) {
		for _, to := range []document.ID{sample.Pans, sample.Quay} {
			for _, p := range r.d.Passages.All() {
				if p.To.Map == to {
					if err := r.g.GoThrough(p.ID); err != nil {
						t.Fatal(err)
					}
				}
			}
			r.hold(0, 60)
			if r.mapID() != to {
				t.Fatalf("it did not come to %s", to)
			}
		}
	}
	for _, row := range play.Remembered {
		for _, c := range []struct {
			name   string
			what   play.Kept
			afresh bool
			happen func(r *run)
		}{
			{"again", row.Again, false, leave},
			{"afresh", row.Afresh, true, leave},
			{"a heart", row.Heart, false, func(r *run) { r.g.Strike() }},
			{"the checkpoint", row.Checkpoint, false, func(r *run) {
				for range 3 {
					r.hero().Blink = 0
					r.g.Strike()
				}
				r.hold(0, 60)
			}},
			{"a new game", row.Anew, false, func(r *run) {
				g, err := play.Start(r.g.Stage, sample.Quay, 1)
				if err != nil {
					t.Fatal(err)
				}
				r.g = g
			}},
		} {
			r := lamp(t, c.afresh)
			first := begin(t, r.d)
			if c.name == "the checkpoint" && row.Part == "lives" {
				continue // one is spent
			}
			was := part(r, row.Part)
			if row.Part == "hearts" && c.name != "a new game" {
				r.g.Strike()
				r.hero().Blink = 0
				was = part(r, row.Part)
			}
			c.happen(r)
			is, begun := part(r, row.Part), part(first, row.Part)
			switch c.what {
			case play.Stays:
				if c.name == "a heart" && (row.Part == "hearts" || row.Part == "the hero's speed" || row.Part == "the hero's place") {
					continue // this is what it takes and how it throws
				}
				if is != was {
					t.Errorf("%s after %s: %v, it was %v", row.Part, c.name, is, was)
				}
			case play.AtFirst:
				if is != begun {
					t.Errorf("%s after %s: %v, at first it is %v", row.Part, c.name, is, begun)
				}
			}
		}
	}
	text, err := os.ReadFile("../../docs/play.md")
	if err != nil {
		t.Fatal(err)
	}
	for _, row := range play.Remembered {
		line := "| " + strings.Join([]string{row.Part, string(row.Again), string(row.Afresh), string(row.Heart), string(row.Checkpoint), string(row.Anew), string(row.Rewind)}, " | ") + " |"
		if !strings.Contains(string(text), line) {
			t.Errorf("docs/play.md lacks the line %s", line)
		}
	}
}

func TestTheLastLifeEndsTheGame(t *testing.T) {
	r := lamp(t, false)
	if r.g.Count(play.Lives) != 2 {
		t.Fatalf("it has %d lives", r.g.Count(play.Lives))
	}
	out := func() {
		for r.g.Count(play.Hearts) > 0 {
			r.hero().Blink = 0
			r.g.Strike()
		}
		for n := 0; n < 60 && r.g.Lost != play.NotLost; n++ {
			r.hold(0, 1)
		}
	}
	out()
	if r.g.Count(play.Lives) != 1 || !r.g.Flag(sample.Lit) || r.cell() != (grid.Point{X: 4, Y: 6}) {
		t.Fatalf("after the first loss: %d lives, at %v", r.g.Count(play.Lives), r.cell())
	}
	r.hold(0, 20)
	out()
	if r.g.Count(play.Lives) != 2 || r.g.Flag(sample.Lit) || !strings.Contains(r.g.Notice, "last life") {
		t.Errorf("after the last: %d lives, lit %v, %q", r.g.Count(play.Lives), r.g.Flag(sample.Lit), r.g.Notice)
	}
}

// A map that starts afresh forgets what is its own, and nothing of the maps beside it in the project.
func TestOnlyTheMapEnteredStartsAfresh(t *testing.T) {
	for _, back := range []bool{false, true} {
		r := lamp(t, true)
		first, second := r.g.Stage.Grounds[0], r.g.Stage.Grounds[1]
		if second.First >= second.After {
			t.Fatal("there is nothing on the other map")
		}
		if back { // the other way round, what was before it
			first, second = second, first
		}
		r.g.Mark(second.First, play.Disabled)
		r.g.Mark(second.After-1, play.Disabled)
		r.g.Mark(first.First, play.Disabled)
		r.g.Mark(first.After-1, play.Disabled)
		m := *first.Map
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: m.ID}, "values", []kind.Value{{Key: kind.MapEnteredAgain, Value: kind.Of(kind.Afresh)}}))
		r.g.Enter(world.New(r.d, chart.New(r.d, nil), r.g.Stage))
		r.g.Hero().Map = r.g.Stage.MapOf(m.ID)
		r.g.EnterMap()
		if !r.g.Is(second.First, play.Disabled) || !r.g.Is(second.After-1, play.Disabled) {
			t.Errorf("back %t: the other map forgot what was its own", back)
		}
		if r.g.Is(first.First, play.Disabled) || r.g.Is(first.After-1, play.Disabled) {
			t.Errorf("back %t: the map remembers", back)
		}
	}
}
