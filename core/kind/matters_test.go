package kind_test

import (
	"azzel/core/id"
	"azzel/core/kind"
	"slices"
	"testing"
)

// What does nothing as the others are is told, and comes back when these change.
func TestMatters(t *testing.T) {
	for _, c := range []struct {
		of, key string
		is      map[string]kind.Datum
		want    bool
	}{
		{kind.Walker, "seeing", map[string]kind.Datum{"sight": "0"}, false},
		{kind.Walker, "seeing", map[string]kind.Datum{"sight": "3"}, true},
		{kind.Walker, "range", map[string]kind.Datum{"path": `"pathpathpath"`}, false},
		{kind.Walker, "range", map[string]kind.Datum{"path": `""`}, true},
		{kind.Walker, "speed", map[string]kind.Datum{"range": "0", "seeing": `"goesOn"`}, false},
		{kind.Walker, "speed", map[string]kind.Datum{"range": "0", "seeing": `"follows"`}, true},
		{kind.Shooter, "sight", map[string]kind.Datum{"aims": `"ahead"`}, false},
		{kind.Shooter, "sight", map[string]kind.Datum{"aims": `"atHero"`}, true},
		{kind.Character, "roams", map[string]kind.Datum{"does": `"stands"`}, false},
		{kind.Character, "roams", map[string]kind.Datum{"does": `"wanders"`}, true},
		{kind.Character, "speed", map[string]kind.Datum{"does": `"stands"`}, false},
		{kind.Switch, "after", map[string]kind.Datum{"goesBack": `"never"`}, false},
		{kind.Switch, "after", map[string]kind.Datum{"goesBack": `"afterAWhile"`}, true},
		{kind.Faller, "after", map[string]kind.Datum{}, true},
		{kind.Beam, "offFor", map[string]kind.Datum{"onFor": "0"}, false},
		{kind.Beam, "offFor", map[string]kind.Datum{"onFor": "500"}, true},
		{kind.Source, "inAll", map[string]kind.Datum{"waves": "[3,4]"}, false},
		{kind.Source, "inAll", map[string]kind.Datum{"waves": "[]"}, true},
		{kind.Hero, kind.HeroBlowWith, map[string]kind.Datum{kind.HeroBlow: `"none"`}, false},
		{kind.Hero, kind.HeroBlowWith, map[string]kind.Datum{kind.HeroBlow: `"ahead"`}, true},
	} {
		if got := kind.Find(id.ID(c.of)).Matters(c.key, func(key string) kind.Datum { return c.is[key] }); got != c.want {
			t.Errorf("%s of a %s with %v matters: %v", c.key, c.of, c.is, got)
		}
	}
}

// Every setting stands under one of the headings, and what comes with Azzel under none of the designer's own.
func TestGroups(t *testing.T) {
	all := kind.Groups()
	if all[len(all)-1] != "Your own" || len(all) < 5 {
		t.Errorf("the headings are %v", all)
	}
	for i := range kind.All {
		for _, s := range kind.All[i].Settings {
			if g := kind.All[i].Group(s.Key); !slices.Contains(all[:len(all)-1], g) {
				t.Errorf("%s of %s stands under %q", s.Key, kind.All[i].Name, g)
			}
		}
	}
	own := *kind.Find(kind.Walker)
	own.ID, own.Of = "crabcrabcrab", kind.Walker
	if own.Group("mood") != "Your own" || own.Group("speed") != "Moving" || own.Group("says") != "Your own" {
		t.Errorf("a setting of one's own stands under %s", own.Group("mood"))
	}
}
