package check_test

import (
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/proof"
	"azzel/core/sample"
	"azzel/core/world"
	"slices"
	"strings"
	"testing"
)

// Checks of the designer's own: on which maps, of which kind, how many of which other one, and how near.
func TestOwnChecks(t *testing.T) {
	dark := edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Quay}, "values", []kind.Value{{Key: kind.MapDarkness, Value: "60"}})
	lamp := thing("lamplamplamp", kind.Light, 32+5*16, 32) // the spawn of the Quay is at 32, 32
	for _, c := range []struct {
		name string
		o    document.OwnCheck
		do   []edit.Primitive
		says string // a part of the one finding, empty for none
	}{
		{"no light near the spawn of a dark map", document.OwnCheck{Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1, Within: 5}, []edit.Primitive{dark}, "on Quay has 0, and at least 1 Light within 5 cells is wanted."},
		{"on a map that is not dark", document.OwnCheck{Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1, Within: 5}, nil, ""},
		{"a light just near enough", document.OwnCheck{Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1, Within: 5}, []edit.Primitive{dark, lamp}, ""},
		{"and just too far", document.OwnCheck{Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1, Within: 4}, []edit.Primitive{dark, lamp}, "within 4 cells"},
		{"anywhere on the map", document.OwnCheck{Every: kind.Spawn, Where: document.WhereDark, Has: kind.Light, Number: 1}, []edit.Primitive{dark, lamp}, ""},
		{"too many on a map", document.OwnCheck{Every: document.EveryMap, Has: kind.Light, Most: true, Number: 0}, []edit.Primitive{lamp}, "Quay has 1, and at the most 0 Light are wanted."},
		{"seen from the side", document.OwnCheck{Every: document.EveryMap, Where: document.WhereSide, Has: kind.Light, Number: 1}, nil, ""},
		{"where a game begins", document.OwnCheck{Every: document.EveryMap, Where: document.WhereBegins, Has: kind.Goal, Number: 1}, nil, "Quay has 0, and at least 1 Goal is wanted."},
		{"a kind that is gone", document.OwnCheck{Every: document.EveryMap, Has: "gonegonegone", Number: 1}, nil, "names a kind that was removed"},
	} {
		c.o.ID, c.o.As = "checkcheckch", document.Stops
		d := sample.With(sample.World(), append(c.do, edit.Set(edit.Ref{Type: edit.TypeProject}, "ownChecks", []document.OwnCheck{c.o}))...)
		all := found(d, check.OwnCheck)
		if c.says == "" && len(all) > 0 || c.says != "" && (len(all) != 1 || !strings.Contains(all[0].Text, c.says) || all[0].As != document.Stops) {
			t.Errorf("%s: %+v", c.name, all)
		}
		c.o.As = document.Ignored
		if all := found(sample.With(d, edit.Set(edit.Ref{Type: edit.TypeProject}, "ownChecks", []document.OwnCheck{c.o})), check.OwnCheck); len(all) > 0 {
			t.Errorf("%s: looked for, though it is not to be: %+v", c.name, all)
		}
	}
}

// They are made, changed and removed; a kind that is removed is replaced in them by what it was made from.
func TestOwnChecksAreMade(t *testing.T) {
	d := sample.World()
	do := func(o document.OwnCheck) {
		t.Helper()
		c, err := check.Own(d, o)
		if err != nil {
			t.Fatal(err)
		}
		d = sample.With(d, c.Do...)
	}
	o := document.OwnCheck{Every: kind.Spawn, Has: kind.Light, Number: 1, As: document.Matters}
	do(o)
	o.ID = d.Project.OwnChecks[0].ID
	if _, err := check.Own(d, o); err == nil {
		t.Error("what is so already is changed")
	}
	o.Number = 2
	if do(o); d.Project.OwnChecks[0].Number != 2 {
		t.Errorf("it is %+v", d.Project.OwnChecks)
	}
	if _, err := check.Own(d, document.OwnCheck{Every: "nothing", Has: kind.Light, As: document.Noted}); err == nil {
		t.Error("a kind that there is not is checked")
	}
	if o.Has = ""; true {
		do(o)
	}
	if len(d.Project.OwnChecks) != 0 {
		t.Errorf("there is still %+v", d.Project.OwnChecks)
	}
}

// What the proof has found out is a finding, also where nothing in particular stands in the way.
func TestProvenFindings(t *testing.T) {
	for _, c := range []struct {
		name string
		do   []edit.Primitive
		says string
	}{
		{"a goal behind a wall", []edit.Primitive{thing("goalgoalgoal", kind.Goal, 256, 96), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 12, Y: 1, W: 1, H: 10}), sample.Wall)}, "It cannot be finished"},
		{"a flag that nothing sets", []edit.Primitive{edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: kind.GameGoal, Value: kind.Of(kind.GoalFlag)}, {Key: kind.GameWonWith, Value: kind.Of(string(sample.Lit))}})}, "Lit can never be set"},
		{"something behind a wall", []edit.Primitive{thing("goalgoalgoal", kind.Goal, 160, 96), thing("keykeykeykey", kind.Key, 256, 96), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 12, Y: 1, W: 1, H: 10}), sample.Wall)}, "Nobody ever comes to Odd key"},
	} {
		d := sample.With(sample.World(), c.do...)
		s := proof.NewStudy(world.New(d, chart.New(d, nil), nil), nil)
		for !s.Step(8000) {
		}
		if all := check.Proven(s); !slices.ContainsFunc(all, func(f check.Finding) bool { return strings.Contains(f.Text, c.says) }) {
			t.Errorf("%s: %+v", c.name, all)
		}
	}
}
