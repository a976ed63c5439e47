package chart_test

import (
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/sample"
	"slices"
	"testing"
)

// What cannot act where it stands is found, with its place; put right, it is not any more.
func TestWhatCannotAct(t *testing.T) {
	word := func(key, v string) []kind.Value { return []kind.Value{{Key: key, Value: kind.Of(v)}} }
	at := func(id, k string, x, y int, values []kind.Value) edit.Primitive {
		e := document.Entity{ID: document.ID(id), Layer: sample.Entities, Kind: k, Name: k, Facing: document.Down, X: x * 16, Y: y * 16, W: 16, H: 16, Values: values}
		return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: e.ID}, e)
	}
	set := func(id, field string, v any) edit.Primitive {
		return edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: document.ID(id)}, field, v)
	}
	walkers := []kind.Value{{Key: "makes", Value: `[{"of":"walker","odds":1}]`}}
	for _, c := range []struct {
		what  string
		wrong []edit.Primitive
		of    string
		mend  []edit.Primitive
	}{
		{chart.CannotMove, []edit.Primitive{at("crabcrabcrab", kind.Walker, 0, 0, nil)}, "crabcrabcrab", []edit.Primitive{set("crabcrabcrab", "x", 80), set("crabcrabcrab", "y", 80)}},
		{chart.NoLength, []edit.Primitive{at("beambeambeam", kind.Beam, 3, 3, []kind.Value{{Key: "length", Value: "0"}})}, "beambeambeam", []edit.Primitive{set("beambeambeam", "values", []kind.Value{})}},
		{chart.NoPath, []edit.Primitive{at("pathpathpath", kind.Path, 3, 3, nil), at("liftliftlift", kind.Platform, 4, 4, word("path", "pathpathpath"))}, "liftliftlift", []edit.Primitive{set("pathpathpath", "points", []grid.Point{{X: 16}})}},
		{chart.InCircle, []edit.Primitive{at("liftliftlift", kind.Platform, 4, 4, nil), at("raftraftraft", kind.Platform, 5, 4, nil), set("liftliftlift", "carrier", "raftraftraft"), set("raftraftraft", "carrier", "liftliftlift")}, "raftraftraft", []edit.Primitive{set("liftliftlift", "carrier", "")}},
		{chart.NoKey, []edit.Primitive{set(string(sample.Door), "values", word("needs", "brass"))}, string(sample.Door), []edit.Primitive{at("keykeykeykey", kind.Key, 4, 4, word("opens", "brass"))}},
		{chart.NoKey, []edit.Primitive{at("chestchestch", kind.Container, 5, 5, word("needs", "bone"))}, "chestchestch", []edit.Primitive{at("boneboneboneb"[:12], kind.Item, 4, 4, word("is", "bone"))}},
		{chart.NoMakes, []edit.Primitive{at("sourcesource", kind.Source, 5, 5, nil)}, "sourcesource", []edit.Primitive{set("sourcesource", "values", walkers)}},
		{chart.NoMakes, []edit.Primitive{at("sourcesource", kind.Source, 5, 5, []kind.Value{{Key: "makes", Value: `[{"of":"source","odds":1}]`}})}, "sourcesource", []edit.Primitive{set("sourcesource", "values", walkers)}},
		{chart.NoMakes, []edit.Primitive{at("sourcesource", kind.Source, 5, 5, []kind.Value{{Key: "makes", Value: `[{"of":"gonegonegone","odds":1}]`}})}, "sourcesource", []edit.Primitive{set("sourcesource", "values", walkers)}},
		{chart.NoMakes, []edit.Primitive{at("plotplotplot", kind.Plot, 5, 5, nil)}, "plotplotplot", []edit.Primitive{set("plotplotplot", "values", []kind.Value{{Key: "takes", Value: `[{"of":"light","odds":3}]`}})}},
		{chart.NoTime, []edit.Primitive{at("timertimerti", kind.Timer, 5, 5, []kind.Value{{Key: "every", Value: "0"}})}, "timertimerti", []edit.Primitive{set("timertimerti", "values", []kind.Value{})}},
		{chart.NoLength, []edit.Primitive{at("fanfanfanfan", kind.Fan, 3, 3, []kind.Value{{Key: "reach", Value: "0"}})}, "fanfanfanfan", []edit.Primitive{set("fanfanfanfan", "values", []kind.Value{})}},
		{chart.NoLane, []edit.Primitive{at("entryentryen", kind.LaneEntry, 3, 3, walkers)}, "entryentryen", []edit.Primitive{at("lanelanelane", kind.Lane, 4, 4, nil), set("lanelanelane", "points", []grid.Point{{X: 16}})}},
		{chart.NoPath, []edit.Primitive{at("entryentryen", kind.LaneEntry, 3, 3, walkers), at("lanelanelane", kind.Lane, 4, 4, nil)}, "entryentryen", []edit.Primitive{set("lanelanelane", "points", []grid.Point{{X: 16}})}},
	} {
		has := func(d *document.Document, before *chart.Chart) (bool, *chart.Chart) {
			now := chart.New(d, before)
			return slices.ContainsFunc(now.Findings(), func(f chart.Finding) bool {
				return f.What == c.what && f.Entity == document.ID(c.of) && f.Map == sample.Quay && !f.Serious && f.Idle && f.Text != ""
			}), now
		}
		d := sample.World()
		first, before := has(d, nil)
		d = sample.With(d, c.wrong...)
		wrong, before := has(d, before)
		d = sample.With(d, c.mend...)
		mended, _ := has(d, before)
		if first || !wrong || mended {
			t.Errorf("%s: at first %v, then %v, mended %v", c.what, first, wrong, mended)
		}
	}
}
