package proof_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/proof"
	"azzel/core/sample"
	"strings"
	"testing"
)

// wonBy has a project be won otherwise than by goals.
func wonBy(t *testing.T, d *document.Document, by, with, text string) *document.Document {
	t.Helper()
	d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: kind.GameGoal, Value: kind.Of(by)}, {Key: kind.GameWonWith, Value: kind.Of(with)}}))
	if text == "" {
		return d
	}
	change, err := author.TextRule(d, text)
	if err != nil {
		t.Fatal(err)
	}
	return sample.With(d, change.Do...)
}

// What a game is won by is the project's to say: all of what can be collected, all of a kind, a flag, rules alone.
func TestAims(t *testing.T) {
	for _, c := range []struct {
		name, rows, by, with, rule string
		is                         proof.Is
		fewest                     int
		why                        string
	}{
		{"all of two", "#######\n#@.c.c#\n#######", kind.GoalCollects, "", "", proof.Can, 3, ""},
		{"the goal is none then", "#######\n#c@.G.#\n#######", kind.GoalCollects, "", "", proof.Can, 0, ""},
		{"one of them lies behind a wall", "########\n#@.c.#c#\n########", kind.GoalCollects, "", "", proof.Cannot, 0, "cannot be collected"},
		{"one of them lies behind a door", "########\n#@.c.Dc#\n########", kind.GoalCollects, "", "", proof.Cannot, 0, "door"},
		{"nothing to collect", "#######\n#@..G.#\n#######", kind.GoalCollects, "", "", proof.Nothing, 0, "nothing to collect"},
		{"nothing of that kind", "#######\n#@..c.#\n#######", kind.GoalCollects, "gonegonegone", "", proof.Nothing, 0, "nothing to collect"},
		{"a flag that a switch sets", "#######\n#@..s.#\n#######", kind.GoalFlag, string(sample.Lit), "when\n\tthe hero uses \"switch 2\"\nthen\n\tset Lit", proof.Can, 2, ""},
		{"a flag that a switch behind a wall sets", "########\n#@.##s.#\n########", kind.GoalFlag, string(sample.Lit), "when\n\tthe hero uses \"switch 2\"\nthen\n\tset Lit", proof.Cannot, 0, "can never be set"},
		{"a flag that nothing sets", "#######\n#@..G.#\n#######", kind.GoalFlag, string(sample.Lit), "", proof.Cannot, 0, "can never be set"},
		{"no flag", "#######\n#@..G.#\n#######", kind.GoalFlag, "", "", proof.Nothing, 0, "no flag is chosen"},
		{"rules alone, and none", "#######\n#@..G.#\n#######", kind.GoalGoesOn, "", "", proof.Nothing, 0, "no rule"},
		{"a rule that wins", "#######\n#@..s.#\n#######", kind.GoalGoesOn, "", "when\n\tthe hero uses \"switch 2\"\nthen\n\twin the game \"Done.\"", proof.Can, 2, ""},
		{"a block that shuts one of them in", "#######\n#@.bc##\n###c###\n#######", kind.GoalCollects, "", "", proof.Cannot, 0, ""},
	} {
		d := wonBy(t, drawn(c.rows, byCells), c.by, c.with, c.rule)
		s := studied(t, d)
		a := s.Answer
		if a == nil || a.Is != c.is || !strings.Contains(a.Why, c.why) || a.Steps != c.fewest && c.fewest > 0 {
			t.Errorf("%s: %+v, wanted %s, %q, %d steps", c.name, a, c.is, c.why, c.fewest)
			continue
		}
		if a.Is == proof.Nothing {
			want := map[string]string{kind.GoalCollects: kind.Collectible, kind.GoalFlag: "game", kind.GoalGoesOn: "game"}[c.by]
			if got := proof.Wants(s.Stage(), func() (*play.Game, error) { return play.Start(s.Stage(), "", 1) }); got != want {
				t.Errorf("%s: it wants %s first", c.name, got)
			}
		}
		if a.Is != proof.Can {
			continue
		}
		g, err := play.Start(s.Stage(), "", proof.Seed)
		if err != nil {
			t.Fatal(err)
		}
		for i, in := range a.Walk {
			if g.Over != play.NotOver {
				t.Errorf("%s: it is over as %d before tick %d of %d", c.name, g.Over, i, len(a.Walk))
				break
			}
			g.Step(in)
		}
		for range 30 {
			if g.Over == play.NotOver {
				g.Step(0)
			}
		}
		if g.Over != play.OverWon {
			t.Errorf("%s: played to its end it is over as %d", c.name, g.Over)
		}
	}
}
