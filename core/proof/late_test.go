package proof_test

import (
	"azzel/core/author"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"strings"
	"testing"
)

// What lies too far for a limit is known from its distance; what can just be come to in time never is “cannot”.
func TestTooFarForTheLimit(t *testing.T) {
	const corridor, field = "@............G", "@........\n.........\n.........\n.........\n........G"
	eight := kind.Value{Key: kind.MapWays, Value: kind.Of(kind.EightWays)}
	turns := kind.Value{Key: kind.MapWalking, Value: kind.Of(kind.WalksTurns)}
	side := kind.Value{Key: kind.MapView, Value: kind.Of(kind.FromSide)}
	collects := func(d *document.Document) *document.Document {
		return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: kind.GameGoal, Value: kind.Of(kind.GoalCollects)}, {Key: kind.GameWonWith, Value: kind.Of(kind.Collectible)}}))
	}
	for _, c := range []struct {
		name, rows string
		holds      play.Input
		change     func(*document.Document) *document.Document
		values     []kind.Value
	}{
		{"freely", corridor, play.InputRight, nil, nil},
		{"freely, aslant", field, play.InputRight | play.InputDown, nil, []kind.Value{eight}},
		{"from cell to cell", corridor, play.InputRight, nil, []kind.Value{byCells, fourWays}},
		{"from cell to cell, aslant", field, play.InputRight | play.InputDown, nil, []kind.Value{byCells, eight}},
		{"turn by turn", corridor, play.InputRight, nil, []kind.Value{turns, fourWays}},
		{"from the side", corridor + "\n##############", play.InputRight, nil, []kind.Value{side}},
		{"to the farthest that is collected", "@..c.........c", play.InputRight, collects, nil},
	} {
		t.Run(c.name, func(t *testing.T) {
			limited := func(ms int64) (*document.Document, *world.Stage) {
				values := append([]kind.Value{{Key: kind.MapTimeLimit, Value: kind.Of(int(ms))}}, c.values...)
				d := drawn(c.rows, values...)
				if c.change != nil {
					d = c.change(d)
				}
				return d, world.New(d, chart.New(d, nil), nil)
			}
			_, st := limited(0)
			g, err := play.Start(st, "", proof.Seed)
			if err != nil {
				t.Fatal(err)
			}
			ticks := int64(0)
			for ; g.Over == play.NotOver && ticks < 2000; ticks++ {
				g.Step(c.holds)
			}
			if g.Over != play.OverWon {
				t.Fatalf("whoever goes straight there does not win in %d ticks", ticks)
			}
			d, _ := limited(ticks * 1000 / world.TicksPerSecond)
			if a := studied(t, d).Answer; a.Is == proof.Cannot {
				t.Errorf("it can be done in %d ticks, and is said not to: %s", ticks, a.Why)
			}
			d, _ = limited(ticks * 1000 / world.TicksPerSecond / 2)
			if a := studied(t, d).Answer; a.Is != proof.Cannot || !strings.Contains(a.Why, "it takes at least") {
				t.Errorf("in half of %d ticks it is said: %s, %q", ticks, a.Is, a.Why)
			}
		})
	}
}

// Where something else could bring the hero there, or it can leave the map, nothing is said of how far it is.
func TestTooFarIsOnlyForItsOwnLegs(t *testing.T) {
	limit := kind.Value{Key: kind.MapTimeLimit, Value: kind.Of(500)}
	sides := func(side string) func(*document.Document) *document.Document {
		return func(d *document.Document) *document.Document {
			return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeMap, ID: d.MapsInOrder()[0].ID}, "sides", []string{"", side, "", side}))
		}
	}
	for _, c := range []struct {
		name   string
		values []kind.Value
		change func(*document.Document) *document.Document
		is     bool
	}{
		{"nothing", nil, nil, true},
		{"wind", []kind.Value{{Key: kind.MapWind, Value: kind.Of(string(document.Right))}, {Key: kind.MapWindForce, Value: kind.Of(4)}}, nil, false},
		{"one comes in again on the other side", nil, sides(document.SideWrap), false},
		{"one falls", nil, sides(document.SideFall), true},
		{"a checkpoint", nil, func(d *document.Document) *document.Document {
			return put(d, kind.Checkpoint, 11, 0, 1, 1, document.Down)
		}, true},
		{"one comes back at another spawn, after a turn", nil, func(d *document.Document) *document.Document {
			return put(d, kind.Spawn, 11, 0, 1, 1, document.Down, "turn=2")
		}, false},
		{"another team begins nearer", nil, func(d *document.Document) *document.Document {
			return put(d, kind.Spawn, 11, 0, 1, 1, document.Down, `team="other"`)
		}, false},
	} {
		d := drawn("@............G", append(c.values, limit)...)
		if c.change != nil {
			d = c.change(d)
		}
		a := studied(t, d).Answer
		if is := a.Is == proof.Cannot && strings.Contains(a.Why, "it takes at least"); is != c.is {
			t.Errorf("%s: %s, %q", c.name, a.Is, a.Why)
		}
	}
}

// Of maps that follow each other the limit of each counts: the later one is looked at from where one begins there.
func TestTooFarOnALaterMap(t *testing.T) {
	for _, c := range []struct {
		first, second int // their limits in milliseconds, 0 is none
		late          string
	}{{0, 0, ""}, {0, 500, "Later"}, {500, 0, "Drawn"}, {60_000, 60_000, ""}, {60_000, 500, "Later"}} {
		d := drawn("@............G")
		first := d.MapsInOrder()[0]
		change, err := author.CopyMap(d, first, "Later", grid.Point{X: 100, Y: 0}, false)
		if err != nil {
			t.Fatal(err)
		}
		d = sample.With(d, change.Do...)
		limit := func(m document.ID, ms int) edit.Primitive {
			return edit.Set(edit.Ref{Type: edit.TypeMap, ID: m}, "values", []kind.Value{byCells, fourWays, {Key: kind.MapTimeLimit, Value: kind.Of(ms)}})
		}
		d = sample.With(d, limit(first.ID, c.first), limit(change.Made, c.second), edit.Set(edit.Ref{Type: edit.TypeMap, ID: first.ID}, "next", true))
		a := studied(t, d).Answer
		if is := a.Is == proof.Cannot; is != (c.late != "") || is && !strings.Contains(a.Why, c.late+" is lost after 0.5 seconds") {
			t.Errorf("%d, %d: %s, %q", c.first, c.second, a.Is, a.Why)
		}
	}
}
