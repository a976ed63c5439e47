package document_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"strings"
	"testing"
)

const someID = document.ID("abcdefgh2345")

func TestIDs(t *testing.T) {
	for id, want := range map[document.ID]bool{
		someID: true, "zzzzzzzzzzzz": true, "aaaaaaaaaaa2": true, "": false, "abcdefgh234": false, "abcdefgh23456": false, "Abcdefgh2345": false,
		"abcdefgh2341": false, "abcdefgh2348": false, "abcdefgh234 ": false, "abcdefgh234-": false, "abcdefgh234{": false, "abcdefgh234`": false, "äbcdefgh234": false,
	} {
		if id.Valid() != want {
			t.Errorf("%q: %v", id, !want)
		}
	}
	seen := map[document.ID]bool{}
	for range 1000 {
		id := document.NewID()
		if !id.Valid() || seen[id] {
			t.Fatalf("drew %q", id)
		}
		seen[id] = true
	}
}

// A kind has 64 settings of its own at most.
func TestManySettings(t *testing.T) {
	own := document.Kind{ID: someID, Of: kind.Door, Name: "Gate", Tags: []string{}, Layers: []string{}}
	for n := range 65 {
		if err := own.Check(); (err == nil) != (n <= 64) {
			t.Errorf("with %d settings: %v", n, err)
		}
		key := strings.Repeat("x", n+1)
		own.Settings = append(own.Settings, kind.Setting{Key: key, Name: key, Type: kind.YesNo, Default: "true"})
	}
	if own.Check() == nil {
		t.Error("65 settings pass")
	}
}

// one is an object with one thing changed, and whether it still passes.
type one struct {
	name string
	o    document.Checked
	ok   bool
}

func with[T any](o T, change func(*T)) *T {
	change(&o)
	return &o
}

// At a limit an object passes, and one beyond it does not.
func TestLimitsOfObjects(t *testing.T) {
	long := func(n int) string { return strings.Repeat("x", n) }
	m := document.Map{ID: someID, Name: "M", Bounds: grid.Rect{W: 9, H: 9}, CellWidth: 16, CellHeight: 16}
	l := document.Layer{ID: someID, Name: "L", Kind: document.LayerTiles, Opacity: 100}
	e := document.Entity{ID: someID, Layer: someID, Kind: "door", Name: "E", Facing: document.Up, W: 1, H: 1}
	r := document.Rule{ID: someID}
	part := func(change func(*document.RulePart)) *document.RulePart {
		return with(document.RulePart{ID: someID, Slot: document.SlotThen, Word: "say"}, change)
	}
	p := document.Passage{ID: someID, From: document.End{Map: someID, Entity: someID}, To: document.End{Map: someID, Entity: "bbbbbbbbbbbb"}}
	f := document.Flag{ID: someID, Name: "F"}
	rule := func(change func(*document.Rule)) *document.Rule { return with(r, change) }
	entity := func(change func(*document.Entity)) *document.Entity { return with(e, change) }
	layer := func(change func(*document.Layer)) *document.Layer { return with(l, change) }
	place := func(change func(*document.Map)) *document.Map { return with(m, change) }
	way := func(change func(*document.Passage)) *document.Passage { return with(p, change) }
	for _, c := range []one{
		{"map", &m, true},
		{"map's id", place(func(o *document.Map) { o.ID = "Abcdefgh2345" }), false},
		{"map's name", place(func(o *document.Map) { o.Name = long(80) }), true},
		{"map's long name", place(func(o *document.Map) { o.Name = long(81) }), false},
		{"map's blank name", place(func(o *document.Map) { o.Name = "  " }), false},
		{"map's broken name", place(func(o *document.Map) { o.Name = "a\xff" }), false},
		{"map's size", place(func(o *document.Map) { o.Bounds.W, o.Bounds.H = 2048, 2048 }), true},
		{"map too wide", place(func(o *document.Map) { o.Bounds.W = 2049 }), false},
		{"map too high", place(func(o *document.Map) { o.Bounds.H = 2049 }), false},
		{"map of nothing", place(func(o *document.Map) { o.Bounds.W = 0 }), false},
		{"map far left", place(func(o *document.Map) { o.Bounds.X = -2048 * 16 }), true},
		{"map too far left", place(func(o *document.Map) { o.Bounds.X = -2048*16 - 1 }), false},
		{"map too far down", place(func(o *document.Map) { o.Bounds.Y = 2048*16 + 1 }), false},
		{"map's cells", place(func(o *document.Map) { o.CellWidth = 512 }), true},
		{"map's large cells", place(func(o *document.Map) { o.CellWidth = 513 }), false},
		{"map's flat cells", place(func(o *document.Map) { o.CellHeight = 0 }), false},
		{"map's grid", place(func(o *document.Map) { o.Grid = "hexagon" }), false},
		{"map's order", place(func(o *document.Map) { o.Order = 1 << 48 }), true},
		{"map's high order", place(func(o *document.Map) { o.Order = 1<<48 + 1 }), false},
		{"map's side", place(func(o *document.Map) { o.Sides[2] = "door" }), false},
		{"map's seam with nobody", place(func(o *document.Map) { o.Seams = []document.SeamRule{{}} }), false},
		{"map's seam twice", place(func(o *document.Map) { o.Seams = []document.SeamRule{{With: someID}, {With: someID}} }), false},
		{"map's value twice", place(func(o *document.Map) { o.Values = []kind.Value{{Key: "a"}, {Key: "a"}} }), false},
		{"map on the chart", place(func(o *document.Map) { o.Chart = &grid.Point{X: 1 << 30} }), true},
		{"map off the chart", place(func(o *document.Map) { o.Chart = &grid.Point{X: 1<<30 + 1} }), false},

		{"layer", &l, true},
		{"layer's kind", layer(func(o *document.Layer) { o.Kind = "clouds" }), false},
		{"layer's opacity", layer(func(o *document.Layer) { o.Opacity = 101 }), false},
		{"layer's clear opacity", layer(func(o *document.Layer) { o.Opacity = 0 }), true},
		{"layer's tint", layer(func(o *document.Layer) { o.Tint = "#12345g" }), false},
		{"layer's good tint", layer(func(o *document.Layer) { o.Tint = "#12345f" }), true},
		{"layer in itself", layer(func(o *document.Layer) { o.Group = o.ID }), false},
		{"group in a group", layer(func(o *document.Layer) { o.Kind, o.Group = document.LayerGroup, "bbbbbbbbbbbb" }), false},
		{"layer's lag", layer(func(o *document.Layer) { o.LagX = 400 }), true},
		{"layer's long lag", layer(func(o *document.Layer) { o.LagY = -401 }), false},
		{"layer with an image", layer(func(o *document.Layer) { o.Image = &document.LayerImage{From: "#000000", To: "#ffffff", Scale: 100} }), false},
		{"picture without one", layer(func(o *document.Layer) { o.Kind = document.LayerPicture }), false},
		{"picture", layer(func(o *document.Layer) {
			o.Kind, o.Image = document.LayerPicture, &document.LayerImage{From: "#000000", To: "#ffffff", Scale: 100}
		}), true},
		{"picture of no size", layer(func(o *document.Layer) {
			o.Kind, o.Image = document.LayerPicture, &document.LayerImage{Picture: long(64), Scale: 100}
		}), false},

		{"entity", &e, true},
		{"entity's kind", entity(func(o *document.Entity) { o.Kind = "ghost" }), false},
		{"entity of an own kind", entity(func(o *document.Entity) { o.Kind = string(someID) }), true},
		{"entity's layer", entity(func(o *document.Entity) { o.Layer = "x" }), false},
		{"entity's facing", entity(func(o *document.Entity) { o.Facing = "north" }), false},
		{"entity's look", entity(func(o *document.Entity) { o.Look = cells.Cell(7) }), false},
		{"entity's other look", entity(func(o *document.Entity) { o.LookOn = cells.Cell(7) }), false},
		{"entity of no width", entity(func(o *document.Entity) { o.W = 0 }), false},
		{"entity of no height", entity(func(o *document.Entity) { o.H = 0 }), false},
		{"entity's faintness", entity(func(o *document.Entity) { o.Faint = 101 }), false},
		{"entity on itself", entity(func(o *document.Entity) { o.Carrier = o.ID }), false},
		{"entity's turn", entity(func(o *document.Entity) { o.Turn = 8 }), false},
		{"entity's points", entity(func(o *document.Entity) { o.Points = make([]grid.Point, document.MaxPoints) }), true},
		{"entity's many points", entity(func(o *document.Entity) { o.Points = make([]grid.Point, document.MaxPoints+1) }), false},
		{"entity's far point", entity(func(o *document.Entity) { o.Points = []grid.Point{{Y: 1 << 28}} }), false},
		{"entity's variants", entity(func(o *document.Entity) { o.Variants = make([]document.Variant, document.MaxVariants+1) }), false},
		{"entity's odds", entity(func(o *document.Entity) { o.Variants = []document.Variant{{Odds: document.MaxOdds + 1}} }), false},
		{"entity's good odds", entity(func(o *document.Entity) { o.Variants = []document.Variant{{Odds: document.MaxOdds}} }), true},

		{"rule", &r, true},
		{"smallest entity", entity(func(o *document.Entity) { o.W, o.H = 1, 1 }), true},
		{"entity without width", entity(func(o *document.Entity) { o.W = 0 }), false},
		{"entity without height", entity(func(o *document.Entity) { o.H = 0 }), false},
		{"entity's rank", entity(func(o *document.Entity) { o.Rank = 1 << 50 }), false},
		{"part", part(func(*document.RulePart) {}), true},
		{"part's id", part(func(o *document.RulePart) { o.ID = "part" }), false},
		{"part's place", part(func(o *document.RulePart) { o.Slot = "someday" }), false},
		{"part in itself", part(func(o *document.RulePart) { o.Parent = o.ID }), false},
		{"part in another", part(func(o *document.RulePart) { o.Parent = "bbbbbbbbbbbb" }), true},
		{"part without a word", part(func(o *document.RulePart) { o.Word = "" }), false},
		{"part's blank twice", part(func(o *document.RulePart) { o.Blanks = []kind.Value{{Key: "a", Value: "1"}, {Key: "a", Value: "2"}} }), false},
		{"part's full blanks", part(func(o *document.RulePart) {
			for i := range document.MaxBlanks {
				o.Blanks = append(o.Blanks, kind.Value{Key: long(i + 1), Value: "1"})
			}
		}), true},
		{"part's many blanks", part(func(o *document.RulePart) { o.Blanks = make([]kind.Value, document.MaxBlanks+1) }), false},
		{"rule's note", rule(func(o *document.Rule) { o.Note = long(501) }), false},

		{"passage", &p, true},
		{"passage to itself", way(func(o *document.Passage) { o.To = o.From }), false},
		{"passage over a side", way(func(o *document.Passage) { o.From = document.End{Map: someID, Side: document.Up} }), true},
		{"passage over both", way(func(o *document.Passage) { o.From.Side = document.Up }), false},
		{"passage to a side", way(func(o *document.Passage) { o.To = document.End{Map: someID, Side: document.Up} }), false},
		{"passage's transition", way(func(o *document.Passage) { o.Transition = "wipe" }), false},
		{"passage's gate", way(func(o *document.Passage) { o.If = []document.Gate{{Asks: document.GateFlag, Flag: someID}} }), true},
		{"passage's gate of nothing", way(func(o *document.Passage) { o.If = []document.Gate{{Asks: document.GateFlag}} }), false},
		{"passage's count", way(func(o *document.Passage) { o.If = []document.Gate{{Asks: document.GateCount, Kind: "key", Count: 1}} }), true},
		{"passage's count of none", way(func(o *document.Passage) { o.If = []document.Gate{{Asks: document.GateCount, Kind: "key"}} }), false},
		{"passage's count of what", way(func(o *document.Passage) { o.If = []document.Gate{{Asks: document.GateCount, Kind: "keys", Count: 1}} }), false},
		{"passage's many gates", way(func(o *document.Passage) { o.If = make([]document.Gate, document.MaxGates+1) }), false},

		{"flag", &f, true},
		{"flag's id", with(f, func(o *document.Flag) { o.ID = "x" }), false},
	} {
		if err := c.o.Check(); (err == nil) != c.ok {
			t.Errorf("%s: %v", c.name, err)
		}
	}
}

// What a layer or a map holds is checked with it.
func TestContentIsChecked(t *testing.T) {
	good := document.LayerContent{Layer: &document.Layer{ID: someID, Name: "L", Kind: document.LayerTiles}}
	e := &document.Entity{ID: someID, Layer: someID, Kind: "door", Name: "E", Facing: document.Up, W: 1, H: 1}
	bad := *e
	bad.W = 0
	for name, c := range map[string]struct {
		content document.Content
		whole   bool
		ok      bool
	}{
		"good":           {document.Content{Layers: []document.LayerContent{good}, Entities: []*document.Entity{e}}, true, true},
		"layer":          {document.Content{Layers: []document.LayerContent{{Layer: &document.Layer{}}}}, true, false},
		"entity":         {document.Content{Entities: []*document.Entity{e, &bad}}, true, false},
		"missing layer":  {document.Content{Layers: make([]document.LayerContent, 1)}, false, false},
		"missing entity": {document.Content{Entities: make([]*document.Entity, 1)}, false, false},
		"layers":         {document.Content{Layers: make([]document.LayerContent, document.MaxLayers+1)}, false, false},
	} {
		if c.content.Whole() != c.whole {
			t.Errorf("%s: whole is %v", name, !c.whole)
		}
		if c.whole && (c.content.Check() == nil) != c.ok {
			t.Errorf("%s: %v", name, c.content.Check())
		}
	}
}

// What names an object is written alike, whether in short or by the encoder.
func TestNaming(t *testing.T) {
	for _, o := range []document.Object{{Type: document.TypeEntity, Map: someID, ID: "bbbbbbbbbbbb"}, {Type: document.TypeMap, ID: someID}, {Type: document.TypeFlag, ID: someID},
		{Type: document.TypeCounter, ID: someID}, {Type: document.TypeKind, ID: someID}, {Type: document.TypeKind, ID: "door"}, {Type: document.TypeEntity, Map: "a\"b", ID: someID}, {Type: document.TypeIt}, {Type: document.TypeHero},
		{Type: document.TypeLayer, Map: someID, ID: "bbbbbbbbbbbb"}, {Type: document.TypeLayer, Map: "a\"b", ID: someID}} {
		var want kind.Datum
		switch o.Type {
		case document.TypeEntity:
			want = kind.Of(map[string]document.ID{"map": o.Map, "entity": o.ID})
		case document.TypeLayer:
			want = kind.Of(map[string]document.ID{"map": o.Map, "layer": o.ID})
		case document.TypeIt, document.TypeHero:
			want = kind.Of(map[string]bool{o.Type: true})
		default:
			want = kind.Of(map[string]document.ID{o.Type: o.ID})
		}
		got := document.Naming(o)
		if back, ok := document.Named(got); got != want || !ok || back != o {
			t.Errorf("%+v is written %s, wanted %s, and read as %+v", o, got, want, back)
		}
	}
	if document.Naming(document.Object{Type: document.TypePart, ID: someID}) != "" {
		t.Error("a part is named by a rule")
	}
}

// What names an object in other orders, or with more in it, is read as it was without the short way.
func TestNamedOtherwise(t *testing.T) {
	const b = "bbbbbbbbbbbb"
	for text, want := range map[string]document.Object{
		`{"map":"aaaaaaaaaaaa","entity":"bbbbbbbbbbbb"}`:             {Type: document.TypeEntity, Map: "aaaaaaaaaaaa", ID: b},
		`{"entity":"bbbbbbbbbbbb"}`:                                  {Type: document.TypeEntity, ID: b},
		`{"flag":"bbbbbbbbbbbb","map":"aaaaaaaaaaaa"}`:               {Type: document.TypeFlag, ID: b},
		`{"map":"aaaaaaaaaaaa","within":"bbbbbbbbbbbb"}`:             {Type: document.TypeWithin, Map: "aaaaaaaaaaaa", ID: b},
		`{"tag":"bbbbbbbbbbbb"}`:                                     {Type: document.TypeTag, ID: b},
		`{"kind":"door"}`:                                            {Type: document.TypeKind, ID: "door"},
		`{"it":true}`:                                                {Type: document.TypeIt},
		`{"passage":"bbbbbbbbbbbb"}`:                                 {},
		`{"map":"aaaaaaaaaaaa","entity":"bbbbbbbbbbbb","hero":true}`: {Type: document.TypeEntity, Map: "aaaaaaaaaaaa", ID: b},
		`{"map":"aaaaaaaaaaaa",}`:                                    {},
		`{}`:                                                         {},
		`{`:                                                          {},
		`"map"`:                                                      {},
	} {
		if got, ok := document.Named(kind.Datum(text)); got != want || ok != (want != document.Object{}) {
			t.Errorf("%s names %+v, %v", text, got, ok)
		}
	}
}
