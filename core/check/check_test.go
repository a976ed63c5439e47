package check_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/check"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/rules"
	"azzel/core/sample"
	"fmt"
	"slices"
	"strings"
	"testing"
)

// found are the findings of a sort.
func found(d *document.Document, what string) (out []check.Finding) {
	var c check.Checker
	for _, f := range c.Find(chart.New(d, nil)) {
		if f.What == what {
			out = append(out, f)
		}
	}
	return out
}

// thing is an entity of a kind at a place of the Quay.
func thing(id document.ID, k string, x, y int, values ...kind.Value) edit.Primitive {
	return edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: id},
		document.Entity{ID: id, Layer: sample.Entities, Kind: k, Name: "Odd " + k, Facing: document.Down, X: x, Y: y, W: 16, H: 16, Values: values})
}

func team(name string) kind.Value { return kind.Value{Key: "team", Value: kind.Of(name)} }

// lime is a material with a tile for one form alone.
func lime() edit.Primitive {
	return edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: "limelimelime"}, document.Material{ID: "limelimelime", Name: "Lime", Number: 7, By: material.ByBoth,
		Tiles: []material.Tile{{Cell: cells.TileCell(1, 1), Form: 255, Odds: 1}}})
}

func region(of grid.Rect) *grid.Region {
	r := &grid.Region{}
	r.AddRect(of)
	return r
}

func rule(t *testing.T, d *document.Document, text string) *document.Document {
	t.Helper()
	r, err := rules.Read(d, text)
	if err != nil {
		t.Fatal(err)
	}
	c, err := author.AddRule(d, r.Copied())
	if err != nil {
		t.Fatal(err)
	}
	return sample.With(d, c.Do...)
}

// Each sort is found where it is, and nowhere else; what can be mended at a press is not found afterwards.
func TestEverySortIsFoundAndMended(t *testing.T) {
	plain := func(*testing.T, *document.Document) *document.Document { return nil }
	do := func(all ...edit.Primitive) func(*testing.T, *document.Document) *document.Document {
		return func(_ *testing.T, d *document.Document) *document.Document { return sample.With(d, all...) }
	}
	ruled := func(texts ...string) func(*testing.T, *document.Document) *document.Document {
		return func(t *testing.T, d *document.Document) *document.Document {
			d = sample.With(d, sample.Drawn()...)
			for _, text := range texts {
				d = rule(t, d, text)
			}
			return d
		}
	}
	quay := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	for _, c := range []struct {
		what string
		make func(*testing.T, *document.Document) *document.Document
		says string
		mend bool
	}{
		{check.InWall, do(thing("inwallinwall", kind.Collectible, 0, 0)), "lies in something solid", true},
		{check.DoorInWall, do(thing("doorinwallin", kind.Door, 0, 0)), "nobody gets through it", false},
		{check.Outside, do(thing("outsideoutsi", kind.Sign, -80, -80)), "lies outside Quay", true},
		{check.OnEachOther, do(thing("oneachotherr", kind.Sign, 64, 64), thing("oneachothers", kind.Sign, 64, 64)), "lies on Odd sign", true},
		{check.WrongNumber, do(edit.Insert(edit.Ref{Type: edit.TypeKind, ID: "lanternlante"}, document.Kind{ID: "lanternlante", Name: "Lantern", Of: kind.Light, MapMost: 1, Tags: []string{}, Layers: []string{}}),
			thing("lanternonela", "lanternlante", 64, 64), thing("lanterntwola", "lanternlante", 96, 64)), "Quay has 2 of Lantern, and is to have at most 1", false},
		{check.OutOfView, do(edit.Set(quay, "values", []kind.Value{{Key: "screenWidth", Value: "4"}, {Key: "screenHeight", Value: "4"}}), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 0, W: 20, H: 12}), sample.Wall),
			sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 2, Y: 2, W: 1, H: 1}), 0), thing("outofviewout", kind.Sign, 17*16, 9*16)), "Odd sign on Quay lies where the camera never comes", false},
		{check.UnseenExit, do(thing("unseenexitun", kind.Exit, 13*16, 8*16)), "looks just like what is around it", false},
		{check.Flickers, func(t *testing.T, d *document.Document) *document.Document {
			info := document.NewTileInfo(3)
			info.Frames = []document.Frame{{Tile: 3, Ms: 100}, {Tile: 4, Ms: 100}}
			return sample.With(d, edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{info}))
		}, "Tile 3 of Coast repeats up to 5.0 times a second", false},
		{check.Flickers, do(thing("beambeambeam", kind.Beam, 64, 64, kind.Value{Key: "onFor", Value: "100"}, kind.Value{Key: "offFor", Value: "100"})), "goes on and off 5.0 times a second", false},
		{check.SpawnHurts, do(thing("hazardhazard", kind.Hazard, 32, 32)), "is hurt at once", true},
		{check.NoGround, do(edit.Set(quay, "values", []kind.Value{{Key: kind.MapView, Value: kind.Of(kind.FromSide)}}), edit.Set(quay, "sides", []string{"", "", "fall", ""}),
			sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 11, W: 20, H: 1}), 0)), "falls out of the map", false},
		{check.NothingSolid, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 0, W: 20, H: 12}), 0)), "Nothing on Quay is solid", false},
		{check.NothingSolid, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 0, W: 20, H: 12}), 0), edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: "skyskyskysky"},
			document.Layer{ID: "skyskyskysky", Name: "Sky", Kind: document.LayerPicture, Opacity: 100, Order: -1, Image: &document.LayerImage{From: "#102030", To: "#405060", Scale: 100}})), "Nothing on Quay is solid", false},
		{check.StarsOrder, do(edit.Set(quay, "values", []kind.Value{{Key: kind.MapStars, Value: kind.Of(kind.StarsMoves)}, {Key: kind.MapTwoStars, Value: "10"}, {Key: kind.MapThreeStars, Value: "12"}})), "three stars are easier than two", false},
		{check.FewMoves, do(edit.Set(quay, "values", []kind.Value{{Key: kind.MapStars, Value: kind.Of(kind.StarsMoves)}, {Key: kind.MapTwoStars, Value: "20"}, {Key: kind.MapThreeStars, Value: "12"}, {Key: kind.MapMoveLimit, Value: "8"}})), "lost after 8", false},
		{check.Unpainted, do(sample.Paint(sample.Quay, sample.Ground, region(grid.Rect{X: 3, Y: 3, W: 2, H: 1}), 0)), "2 cells of Quay", false},
		{check.TilesGone, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 3, Y: 3, W: 1, H: 1}), cells.TileCell(9, 1))), "One cell of the layer Things", false},
		{check.EmptyLayer, plain, "layer Things of Pans", true},
		{check.DiagonalGap, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 5, Y: 5, W: 1, H: 1}), sample.Wall), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 6, Y: 6, W: 1, H: 1}), sample.Wall)), "one place on Quay", false},
		{chart.Unused, do(thing("unusedunused", kind.Arrival, 64, 64)), "No passage leads to", true},
		{check.RuleEmpty, ruled("when\n\tthe hero uses Switch\nthen\n"), "does nothing yet", true},
		{check.RuleGone, func(t *testing.T, d *document.Document) *document.Document {
			return sample.With(rule(t, d, "when\n\tthe hero uses Switch\nthen\n\topen Door\n"), edit.Remove(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}))
		}, "names something that was removed", false},
		{check.RuleEndless, ruled("when\n\tsignal bell comes\nthen\n\tsend out drum\n", "when\n\tsignal drum comes\nthen\n\tsend out bell\n"), "wakes itself again and again", false},
		{check.PlainName, func(t *testing.T, d *document.Document) *document.Document {
			d = sample.With(d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Door}, "name", "Door 17"))
			return rule(t, d, "when\n\tthe hero uses Switch\nthen\n\topen \"Door 17\"\n")
		}, "names Door 17", false},
		{check.Pocket, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 12, Y: 6, W: 3, H: 3}), sample.Wall), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 13, Y: 7, W: 1, H: 1}), 0)), "shut in by walls", false},
		{check.OpenEdge, do(sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 0, W: 20, H: 1}), sample.Wall), sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 0, Y: 5, W: 1, H: 1}), 0)), "one cell at its edge", false},
		{check.LoneCell, do(lime(), sample.Paint(sample.Quay, sample.Ground, region(grid.Rect{X: 4, Y: 4, W: 1, H: 1}), cells.MaterialCell(7, 0)), sample.Paint(sample.Quay, sample.Ground, region(grid.Rect{X: 8, Y: 4, W: 2, H: 1}), cells.MaterialCell(7, 0))), "A single cell of a material on the layer", false},
		{check.MissingForms, do(lime()), "Lime lacks 46 of its 47 forms", false},
		{check.UnevenTeams, do(thing("redspawnreds", kind.Spawn, 64, 64, team("red")), thing("redspawntwos", kind.Spawn, 96, 64, team("red")), thing("bluespawnblu", kind.Spawn, 128, 64, team("blue"))), "one team has 2 places to begin, and another 1", false},
		{check.NothingToBuild, do(thing("entryentryen", kind.LaneEntry, 64, 64)), "no place to build on", false},
		{check.HardToRead, do(edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", []kind.Value{{Key: "textColour", Value: kind.Of("#777777")}, {Key: "textPaper", Value: kind.Of("#999999")}})), "contrast of 1.5 to 1", false},
		{check.RuleUndoes, ruled("when\n\tthe hero uses Switch\nthen\n\topen Door\n", "when\n\tthe hero uses Switch\nthen\n\tshut Door\n"), "takes back what", false},
		{check.FlagUnused, plain, "Nothing uses the flag Lit", true},
		{check.FlagNever, ruled("when\n\tthe hero uses Switch\nif\n\tFlag is set\nthen\n\topen Door\n"), "no rule sets it", false},
		{check.NoGoal, plain, "Nothing finishes the game", false},
		{check.LongWord, do(thing("signsignsign", kind.Sign, 64, 64, kind.Value{Key: "says", Value: kind.Of(strings.Repeat("salt", 20))})), "longer than a line", false},
	} {
		d := sample.World()
		if made := c.make(t, d); made != nil {
			if n := len(found(d, c.what)); n > 0 {
				t.Errorf("%s is found where it is not", c.what)
			}
			d = made
		}
		all := found(d, c.what)
		if len(all) == 0 || !slices.ContainsFunc(all, func(f check.Finding) bool { return strings.Contains(f.Text, c.says) }) {
			t.Errorf("%s: %+v, wanted %q", c.what, all, c.says)
			continue
		}
		if (all[0].Mend != "") != c.mend {
			t.Errorf("%s is mended by %q", c.what, all[0].Mend)
		}
		for n := 0; c.mend && len(all) > 0; n++ {
			change, err := check.Mend(d, all[0])
			if err != nil || n > 8 {
				t.Fatalf("%s: %v after %d", c.what, err, n)
			}
			d = sample.With(d, change.Do...)
			all = found(d, c.what)
		}
	}
}

// What a project says matters otherwise, or is silenced, is told so; what is not looked for is left out.
func TestFindingsMatterAsTheProjectSays(t *testing.T) {
	d := sample.World()
	f := found(d, check.EmptyLayer)[0]
	silent, err := check.Silence(d, document.Silence{What: f.What, Map: f.Map, ID: f.ID, Why: "for later"}, true)
	if err != nil {
		t.Fatal(err)
	}
	d = sample.With(d, silent.Do...)
	if f = found(d, check.EmptyLayer)[0]; !f.Silent || f.Silenced != "for later" {
		t.Errorf("it is %+v", f)
	}
	for _, as := range document.Severities {
		choose, err := check.Choose(d, check.EmptyLayer, as)
		if err != nil {
			t.Fatal(err)
		}
		d = sample.With(d, choose.Do...)
		all := found(d, check.EmptyLayer)
		if (len(all) == 0) != (as == document.Ignored) || len(all) > 0 && all[0].As != as {
			t.Errorf("%s: %+v", as, all)
		}
	}
	if _, err := check.Choose(d, "weather", document.Stops); err == nil {
		t.Error("there is a sort that there is not")
	}
	if _, err := check.Mend(d, check.Finding{What: check.InWall, Map: sample.Quay, ID: "gonegonegone"}); err == nil {
		t.Error("what is gone is mended")
	}
}

// Of very many findings of a sort some are told one by one, and of the others how many there are: no press mends those.
func TestManyOfASortAreCounted(t *testing.T) {
	d := sample.World()
	m := *d.Maps.Get(sample.Quay)
	before := len(found(d, check.InWall))
	for i := range 50 {
		e := document.Entity{ID: document.NewID(), Layer: sample.Entities, Kind: kind.Collectible, Name: fmt.Sprint("Pearl ", i), Facing: document.Down, X: i % 20 * 16, Y: i / 20 * 176, W: 16, H: 16}
		if i >= 40 {
			e.X, e.Y = 0, (i-39)*16
		}
		m.Entities = m.Entities.With(e.ID, &e)
	}
	d.Maps = d.Maps.With(m.ID, &m)
	all, counted := found(d, check.InWall), 0
	for _, f := range all {
		if strings.Contains(f.Text, "10 more on Quay") {
			if counted++; f.Mend != "" || f.Map != sample.Quay {
				t.Errorf("they are told as %+v", f)
			}
		}
	}
	if before != 0 || len(all) != 41 || counted != 1 {
		t.Errorf("%d are told, and %d times how many more there are (%d before)", len(all), counted, before)
	}
}

// On a map that nobody has begun to paint no layer is told to be empty.
func TestNothingIsSaidOfLayersOfANewMap(t *testing.T) {
	d := sample.World()
	bare := sample.With(d, sample.Paint(sample.Pans, d.Maps.Get(sample.Pans).LayersInOrder()[0].ID, region(d.Maps.Get(sample.Pans).Bounds), 0))
	if n := len(found(d, check.EmptyLayer)); n != 1 {
		t.Fatalf("%d layers are empty", n)
	}
	if all := found(bare, check.EmptyLayer); len(all) > 0 {
		t.Errorf("of a map without anything it is said %+v", all)
	}
}

// On the chart a finding is as serious as the project says, and not drawn where it is silenced.
func TestOnTheChart(t *testing.T) {
	d := sample.World()
	d = sample.With(d, thing("unusedunused", kind.Arrival, 64, 64))
	on := func() (out []chart.Finding) {
		for _, f := range check.OnChart(d.Project, chart.New(d, nil).Findings()) {
			if f.What == chart.Unused {
				out = append(out, f)
			}
		}
		return out
	}
	if all := on(); len(all) != 1 || all[0].Serious {
		t.Fatalf("there is %+v", all)
	}
	for _, as := range document.Severities {
		choose, err := check.Choose(d, chart.Unused, as)
		if err != nil {
			t.Fatal(err)
		}
		d = sample.With(d, choose.Do...)
		if all := on(); (len(all) == 0) != (as == document.Ignored) || len(all) > 0 && all[0].Serious != (as == document.Stops) {
			t.Errorf("%s: %+v", as, all)
		}
	}
	choose, err := check.Choose(d, chart.Unused, document.Stops)
	if err != nil {
		t.Fatal(err)
	}
	d = sample.With(d, choose.Do...)
	silent, err := check.Silence(d, document.Silence{What: chart.Unused, Map: sample.Quay, ID: "unusedunused"}, true)
	if err != nil {
		t.Fatal(err)
	}
	if d = sample.With(d, silent.Do...); len(on()) > 0 {
		t.Errorf("what is silenced is drawn: %+v", on())
	}
}

// A checker that goes on finds what one finds that begins.
func TestCheckingGoesOn(t *testing.T) {
	d := sample.World()
	var goes check.Checker
	var ch *chart.Chart
	for i := range 30 {
		p := sample.Paint(sample.Quay, sample.Things, region(grid.Rect{X: 1 + i*7%17, Y: 1 + i*5%9, W: 1, H: 1}), sample.Wall)
		if i%5 == 4 {
			p = thing(document.ID(fmt.Sprintf("thingthing%02d", i)), kind.Collectible, i*8, i*4)
		}
		d = sample.With(d, p)
		ch = chart.New(d, ch)
		var anew check.Checker
		if a, b := fmt.Sprint(strip(goes.Find(ch))), fmt.Sprint(strip(anew.Find(chart.New(d, nil)))); a != b {
			t.Fatalf("after %d: %s\n%s", i, a, b)
		}
	}
}

func strip(all []check.Finding) (out []string) {
	for _, f := range all {
		out = append(out, f.Text)
	}
	return out
}
