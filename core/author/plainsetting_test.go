package author_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/sample"
	"reflect"
	"testing"
)

// What a person reads of settings and writes again changes nothing, and a setting that
// is renamed keeps what was set.
func TestPlainSettings(t *testing.T) {
	for i := range kind.All {
		plain := author.PlainKindOf(&kind.All[i])
		for _, s := range plain.Settings {
			if !s.Given || s.Choices == nil {
				t.Errorf("%s of %s does not come with its kind", s.Key, plain.ID)
			}
		}
	}
	after := author.Plain(kind.Find(kind.Switch).Setting("after"), true)
	if after.Default != "3" || after.Most != 3600 || after.Unit != "seconds" {
		t.Errorf("a duration reads %+v", after)
	}
	if back := author.Plain(kind.Find(kind.Switch).Setting("goesBack"), true); back.Default != "never" || !reflect.DeepEqual(back.Choices, []string{"never", "when left", "after a while"}) {
		t.Errorf("a choice reads %+v", back)
	}
	d := sample.World()
	set := func(all ...author.PlainSetting) {
		t.Helper()
		c, err := author.SetMapProperties(d, all)
		d = apply(t, d, c, err)
	}
	mood := author.PlainSetting{Name: "mood", Type: kind.Chosen, Default: "dim", Choices: []string{"dim", "dark"}}
	wait := author.PlainSetting{Name: "wait", Type: kind.Duration, Default: "1.5", Least: 1, Most: 9}
	set(mood, wait)
	c, err := author.SetMapSetting(d, d.Maps.Get(sample.Pans), "mood", say("dark"))
	d = apply(t, d, c, err)
	own := d.Project.MapProperties
	if own[1].Default != "1500" || own[1].Least != 1000 || own[1].Most != 9000 || own[0].Choices[1] != (kind.Choice{Key: "dark", Name: "dark"}) {
		t.Errorf("they are stored as %+v", own)
	}
	// renamed, with another word first
	again := author.Plain(&own[0], false)
	again.Name, again.Choices, again.Default = "feel", []string{"bright", "dark"}, "bright"
	other := wait
	other.Name = "mood" // a new one of the old name has a key of its own
	set(again, author.Plain(&own[1], false), other)
	own = d.Project.MapProperties
	if own[0].Key != "mood" || own[0].Name != "feel" || own[0].Default != kind.Of("bright") || own[2].Key == "mood" {
		t.Errorf("renamed they are %+v", own)
	}
	if got := d.MapValue(d.Maps.Get(sample.Pans), "mood").Word(); got != "dark" {
		t.Errorf("what was set is %q now", got)
	}
	// what is new is named by itself
	c, err = author.SetMapProperties(d, []author.PlainSetting{{Name: "setting 2", Type: kind.Text}, {Type: kind.Text}, {Type: kind.Text}})
	if all := apply(t, d, c, err).Project.MapProperties; all[1].Name != "Setting 3" || all[2].Name == all[1].Name {
		t.Errorf("they are called %s and %s", all[1].Name, all[2].Name)
	}
	for name, bad := range map[string][]author.PlainSetting{
		"no name":       {{Type: kind.Text, Name: " "}},
		"twice":         {mood, {Name: "Mood", Type: kind.Text}},
		"as a map's":    {{Name: "gravity", Type: kind.Text}},
		"type":          {{Name: "tune", Type: "tune"}},
		"default":       {{Name: "n", Type: kind.Number, Default: "many"}},
		"out of range":  {{Name: "n", Type: kind.Duration, Default: "10", Least: 1, Most: 9}},
		"word twice":    {{Name: "n", Type: kind.Chosen, Default: "a", Choices: []string{"a", "a"}}},
		"nothing there": {{Name: "n", Type: kind.Chosen}},
	} {
		if _, err := author.SetMapProperties(d, bad); err == nil {
			t.Errorf("%s: was set", name)
		}
	}
	if _, err := author.SetMapProperties(d, []author.PlainSetting{author.Plain(&own[0], false), author.Plain(&own[1], false), author.Plain(&own[2], false)}); err == nil {
		t.Error("what is there already was set")
	}
}

// A kind lists others with odds: they are called by name, and follow their kinds.
func TestShares(t *testing.T) {
	d := sample.World()
	c, err := author.AddKind(d, "walker", "Shore crab")
	d = apply(t, d, c, err)
	crab := c.Made
	d, spring := stand(t, d, "source", "Spring", 96, 96)
	m := d.Maps.Get(sample.Quay)
	c, err = author.SetSetting(d, m, []document.ID{spring}, "makes", say("shore crab 3, Flying enemy, key 2"))
	d = apply(t, d, c, err)
	want := []kind.Share{{Of: string(crab), Odds: 3}, {Of: "flyer", Odds: 1}, {Of: "key", Odds: 2}}
	if got := d.Value(d.Entity(sample.Quay, spring), "makes").Shares(); !reflect.DeepEqual(got, want) {
		t.Errorf("it makes %v", got)
	}
	if _, err := author.SetSetting(d, d.Maps.Get(sample.Quay), []document.ID{spring}, "makes", say("dragon 2")); err == nil {
		t.Error("it makes dragons")
	}
	found := false
	d.References(func(r document.Reference) {
		found = found || r.By.ID == spring && r.To == (document.Object{Type: document.TypeKind, ID: crab}) && r.Setting == "makes"
	})
	if !found {
		t.Error("no reference tells what it makes")
	}
	c, err = author.RemoveKind(d, crab)
	d = apply(t, d, c, err)
	if got := d.Value(d.Entity(sample.Quay, spring), "makes").Shares(); got[0] != (kind.Share{Of: "walker", Odds: 3}) {
		t.Errorf("after the kind is gone it makes %v", got)
	}
}
