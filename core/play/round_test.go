package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"testing"
)

// two is a map, drawn as text, that another one follows: the goal finishes it.
func two(t *testing.T, rows string, settings ...string) *run {
	t.Helper()
	r := drawn(t, rows, settings...)
	first := r.d.Maps.Get(r.mapID())
	other := *first
	other.ID, other.Name, other.Order = otherMap, "Second", first.Order+1
	r.d = apply(t, r.d, edit.Insert(edit.Ref{Type: edit.TypeMap, ID: otherMap}, other),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: first.ID}, "next", true), edit.Set(edit.Ref{Type: edit.TypeMap, ID: first.ID}, "order", -5),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: otherMap}, "order", -4))
	r.d = apply(t, r.d, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: otherMap, ID: "otherlayerot"}, document.Layer{ID: "otherlayerot", Name: "Things", Kind: document.LayerEntities, Opacity: 100}),
		edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: otherMap, ID: "otherspawnot"}, document.Entity{ID: "otherspawnot", Kind: kind.Spawn, Name: "spawn", Layer: "otherlayerot", X: 16, Y: 16, W: 16, H: 16, Facing: document.Down}))
	g, err := play.Start(stage(r.d), r.mapID(), 1)
	if err != nil {
		t.Fatal(err)
	}
	r.g = g
	return r
}

// A goal finishes its map, and what follows begins anew; the last one wins the game. A rule that waits for the goal has it
// to itself.
func TestGoals(t *testing.T) {
	r := two(t, "\n@.G.....\n........")
	r.hold(play.InputRight, 60)
	if r.g.Over != play.OverDone || r.mapID() == otherMap {
		t.Fatalf("at the goal the game is over as %d", r.g.Over)
	}
	r.hold(0, 1)
	if r.press(play.InputUse); r.mapID() != otherMap || r.g.Over != play.NotOver || r.g.Round.Ticks > 2 {
		t.Fatalf("it goes on on %s, over as %d, after %d ticks", r.mapID(), r.g.Over, r.g.Round.Ticks)
	}
	won := drawn(t, "\n@.G.....\n........")
	if won.hold(play.InputRight, 60); won.g.Over != play.OverWon {
		t.Errorf("a goal that nothing follows leaves the game at %d", won.g.Over)
	}
	ruled := drawn(t, "\n@.G.....\n........")
	if ruled.reads("when\n\tsomebody comes to any Goal\nthen\n\tgive the hero 1 coin").hold(play.InputRight, 60); ruled.g.Over != play.NotOver {
		t.Error("a goal that a rule waits for ended the game")
	}
	ruled.d = apply(t, ruled.d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{value(kind.GameGoal, `"goesOn"`)}))
	left := drawn(t, "\n@.G.....\n........")
	left.d = apply(t, left.d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{value(kind.GameGoal, `"goesOn"`)}))
	if left.hold(play.InputRight, 60); left.g.Over != play.NotOver || !left.toldOf("goal") {
		t.Error("a goal that is left to rules ended the game")
	}
}

// Moves are counted as the game says, and end it where they are limited; so does time. The last move counts still.
func TestLimits(t *testing.T) {
	for _, c := range []struct {
		name     string
		settings []string
		moves    string
		do       func(r *run)
		over     play.Over
		counted  int32
	}{
		{"time", []string{"timeLimit=1000"}, "", func(r *run) { r.hold(0, 59) }, play.NotOver, 0},
		{"time is over", []string{"timeLimit=1000"}, "", func(r *run) { r.hold(0, 60) }, play.OverLost, 0},
		{"cells", []string{"moveLimit=9"}, kind.MovesCells, func(r *run) { r.hold(play.InputDown, 40) }, play.NotOver, 3},
		{"too many cells", []string{"moveLimit=3"}, kind.MovesCells, func(r *run) { r.hold(play.InputDown, 40) }, play.OverLost, 3},
		{"the last cell is the goal", []string{"moveLimit=2"}, kind.MovesCells, func(r *run) { r.hold(play.InputRight, 40) }, play.OverWon, 1},
		{"presses", []string{"moveLimit=9"}, kind.MovesPresses, func(r *run) { r.press(play.InputUse); r.press(play.InputUse); r.hold(play.InputDown, 30) }, play.NotOver, 2},
		{"pushes", []string{"moveLimit=9"}, kind.MovesPushes, func(r *run) {
			r.with(kind.Block, 0, 1, 1, 1, true, document.Down)
			r.hold(play.InputDown, 40)
		}, play.NotOver, 3},
		{"pushes, cell by cell", []string{"moveLimit=9", `walking="cells"`}, kind.MovesPushes, func(r *run) {
			r.with(kind.Block, 0, 1, 1, 1, true, document.Down)
			r.hold(play.InputDown, 90)
		}, play.NotOver, 3},
		{"nothing counts them", nil, kind.MovesCells, func(r *run) { r.hold(play.InputDown, 40) }, play.NotOver, 0},
	} {
		r := drawn(t, "\n@.G...\n......\n......\n......\n......", c.settings...)
		if c.moves != "" {
			r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{value(kind.GameMoves, `"`+c.moves+`"`)}))
			r.g.Enter(stage(r.d))
		}
		if c.do(r); r.g.Over != c.over || r.g.Round.Moves != c.counted {
			t.Errorf("%s: over as %d after %d moves, wanted %d after %d", c.name, r.g.Over, r.g.Round.Moves, c.over, c.counted)
		}
	}
}

// Stars are for finishing a map and for what it asks besides; thresholds that are out of order ask the harder one.
func TestStars(t *testing.T) {
	for _, c := range []struct {
		by         string
		two, three string
		tries      int
		stars      int
	}{
		{"nothing", "5", "3", 1, 0},
		{"moves", "5", "1", 1, 3}, {"moves", "1", "0", 1, 2}, {"moves", "0", "0", 1, 1}, {"moves", "0", "9", 1, 1},
		{"time", "9", "2", 1, 3}, {"time", "9", "0", 1, 2},
		{"tries", "3", "1", 1, 3}, {"tries", "3", "1", 2, 2}, {"tries", "3", "1", 4, 1},
		{"collected", "1", "2", 1, 2}, {"collected", "0", "1", 1, 3},
	} {
		r := drawn(t, "\n@.G...\n......", `stars="`+c.by+`"`, "twoStars="+c.two, "threeStars="+c.three)
		r.with(kind.Collectible, 1, 0, 1, 1, false, document.Down).with(kind.Collectible, 5, 1, 1, 1, false, document.Down)
		r.hold(play.InputRight, 60)
		total := 2
		if c.by == "nothing" { // the game's, with that of the other map
			total = 3
		}
		if got := r.g.Reached(c.tries); got.Stars != c.stars || got.Taken != 1 || got.Total != total {
			t.Errorf("stars for %s at %s and %s: %+v, wanted %d of %d", c.by, c.two, c.three, got, c.stars, total)
		}
	}
}

// The hours of a day come one after another, dark and light lie on a line between what the curve says, and a map can stand
// still in time or not show it.
func TestDays(t *testing.T) {
	r := stepping(t)
	day(r)
	if r.g.Minute() != 8*60 || r.g.Night() != 9 {
		t.Fatalf("it begins at minute %d, %d dark", r.g.Minute(), r.g.Night())
	}
	r.hold(0, 60*10)
	if r.g.Minute() != 18*60 || r.g.Night() != 20 {
		t.Errorf("ten hours later it is minute %d, %d dark", r.g.Minute(), r.g.Night())
	}
	if r.hold(0, 60*6); r.g.Minute() != 0 || r.g.Night() != 70 {
		t.Errorf("at midnight it is minute %d, %d dark", r.g.Minute(), r.g.Night())
	}
	for days, want := range map[string][2]int{kind.DaysStand: {0, 70}, kind.DaysInside: {60, 0}} {
		s := clone(r)
		s.d = apply(t, s.d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: s.mapID()}, "values", []kind.Value{value(kind.MapDays, `"`+days+`"`)}))
		if s.hold(0, 60); s.g.Minute() != want[0] || s.g.Night() != want[1] {
			t.Errorf("where days %s an hour later it is minute %d, %d dark", days, s.g.Minute(), s.g.Night())
		}
	}
	none := stepping(t)
	none.reads(uses + "then\n\tset the clock to hour 3")
	if none.hold(play.InputUse, 1); none.g.Minute() != -1 || none.g.Notice == "" {
		t.Errorf("without days it is minute %d, and the designer is told %q", none.g.Minute(), none.g.Notice)
	}
}

// A game that was kept is gone on with where it was; what is gone since is counted, and without its map it cannot be.
func TestKeptGames(t *testing.T) {
	r := stepping(t)
	day(r)
	r.hold(play.InputRight, 90)
	at := r.g.Moment()
	g, gone, err := play.Load(r.g.Stage, at)
	if err != nil || gone != 0 || g.Clock != r.g.Clock || g.Round != r.g.Round || g.HeroCell() != r.cell() {
		t.Fatalf("%d gone, %v: %+v at %v, it was %+v at %v", gone, err, g.Round, g.HeroCell(), r.g.Round, r.cell())
	}
	at.Things = append(at.Things, document.ThingSo{Map: r.mapID(), ID: "gonegonegone", Is: []string{"taken"}})
	if _, gone, err = play.Load(r.g.Stage, at); err != nil || gone != 1 {
		t.Errorf("%d things are gone: %v", gone, err)
	}
	at.Hero.Map = sample.Pans
	lone := edit.Apply(r.d, &edit.Edit{Do: []edit.Primitive{edit.Remove(edit.Ref{Type: edit.TypeMap, ID: sample.Pans})}}).Doc
	if _, _, err = play.Load(stage(lone), at); err == nil {
		t.Error("a game goes on on a map that was removed")
	}
}

// day lets a day of the game last 24 s.
func day(r *run) {
	r.d = apply(r.t, r.d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{value(kind.GameDay, "24000")}))
	r.g.Enter(stage(r.d))
}

// clone is the same game, to be looked at.
func clone(r *run) *run { return &run{t: r.t, d: r.d, g: r.g.Clone()} }
