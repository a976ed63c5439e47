package session_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/material"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/session"
	"bytes"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"
)

// full is the sample world with something of everything on it.
func full(t *testing.T) *document.Document {
	t.Helper()
	d := sample.World()
	quay := d.Maps.Get(sample.Quay)
	area := func(r grid.Rect) *grid.Region {
		out := &grid.Region{}
		out.AddRect(r)
		return out
	}
	tile := func(n int) cells.Cell { return cells.TileCell(1, n) }
	pane := func(r grid.Rect, c cells.Cell) cells.Patch {
		return cells.Paint(area(r), r, []cells.Cell{c}, 1, grid.Point{})
	}
	mat := document.Material{ID: "seaseaseasea", Name: "Sea", Number: 9, Is: "water", By: material.ByCorners, Turns: true, Composes: true}
	for i, form := range []material.Form{0, 0b1000100, 0b10001, 0b11111111, 0b1010101, 0b11111} {
		mat.Tiles = append(mat.Tiles, material.Tile{Cell: tile(20 + i), Form: form, Odds: 1 + i%2})
	}
	own := *kind.Find(kind.Door)
	own.ID, own.Of, own.Name, own.Order = "gategategate", kind.Door, "Gate", 5
	rule := rules.Of(rules.Use(sample.Quay, sample.Switch), rules.IsNotSet(sample.Lit), rules.Open(sample.Quay, sample.Door), rules.Say("Open."))
	rule.ID, rule.Order = "rulerulerule", 10
	layers := []document.Layer{
		{ID: "zoneslayerzo", Name: "Zones", Kind: document.LayerZones, Order: 40, Opacity: 100},
		{ID: "overheadover", Name: "Overhead", Kind: document.LayerTiles, Order: 50, Opacity: 80, Front: true, Group: "groupgroupgr"},
		{ID: "groupgroupgr", Name: "Roofs", Kind: document.LayerGroup, Order: 60, Opacity: 100},
		{ID: "skyskyskysky", Name: "Sky", Kind: document.LayerPicture, Order: 70, Opacity: 50, Image: &document.LayerImage{From: "#102030", To: "#405060", Scale: 100}},
		{ID: "lockedlocked", Name: "Shut", Kind: document.LayerTiles, Order: 80, Opacity: 100, Locked: true},
	}
	entities := []document.Entity{
		{ID: "arrivearrive", Kind: kind.Arrival, Name: "Landing", X: 48, Y: 128},
		{ID: "pathpathpath", Kind: kind.Path, Name: "Round", X: 80, Y: 96, Points: []grid.Point{{X: 0, Y: 0}, {X: 64, Y: 0}, {X: 64, Y: 32}}},
		{ID: "liftliftlift", Kind: kind.Platform, Name: "Lift", X: 208, Y: 96, W: 32},
		{ID: "crabcrabcrab", Kind: kind.Character, Name: "Keeper", X: 208, Y: 64, Group: "Staff", Carrier: "liftliftlift"},
		{ID: "gateentityga", Kind: "gategategate", Name: "Gate", X: 224, Y: 128, H: 32, Group: "Staff"},
		{ID: "pilepilepile", Kind: kind.Collectible, Name: "Pearl 2", X: 64, Y: 32, Values: []kind.Value{{Key: "amount", Value: kind.Of("3")}}},
	}
	do := []edit.Primitive{
		edit.Insert(edit.Ref{Type: edit.TypeZone, ID: "zonezonezone"}, document.Zone{ID: "zonezonezone", Name: "Marsh", Number: 7, Is: document.ZoneWater, Hatch: "waves", Colour: "#2f6f8f"}),
		edit.Insert(edit.Ref{Type: edit.TypeMaterial, ID: mat.ID}, mat),
		edit.Insert(edit.Ref{Type: edit.TypeKind, ID: own.ID}, document.Lean(&own)),
		edit.Set(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast}, "infos", []document.TileInfo{
			{Tile: 2, Odds: 3, Partner: 3, Part: "upper half", Tags: []string{"edge"}}, {Tile: 4, Odds: 1, Partner: -1, OneWay: document.Up},
			{Tile: 5, Odds: 1, Partner: -1, Frames: []document.Frame{{Tile: 5, Ms: 200}, {Tile: 6, Ms: 100}}}}),
	}
	town := *d.Tilesets.Get(sample.Coast)
	town.ID, town.Name, town.Number, town.Order, town.Height, town.Width, town.Solid, town.Infos = "townstownsto", "Town", 31, 9, 32, 48, nil, nil
	do = append(do, edit.Insert(edit.Ref{Type: edit.TypeTileset, ID: town.ID}, town))
	for i := range layers {
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeLayer, Map: quay.ID, ID: layers[i].ID}, layers[i]))
	}
	for i, e := range entities {
		e.Layer, e.Facing, e.W, e.H, e.Rank = sample.Entities, document.Right, max(16, e.W), max(16, e.H), 10+i
		do = append(do, edit.Insert(edit.Ref{Type: edit.TypeEntity, Map: quay.ID, ID: e.ID}, e))
	}
	do = append(do,
		sample.Paint(quay.ID, "zoneslayerzo", area(grid.Rect{X: 12, Y: 8, W: 4, H: 2}), cells.TileCell(7, 0)),
		sample.Paint(quay.ID, "overheadover", area(grid.Rect{X: 8, Y: 3, W: 3, H: 2}), tile(2)|cells.MirrorX),
		sample.Paint(quay.ID, sample.Ground, area(grid.Rect{X: 3, Y: 6, W: 4, H: 3}), cells.MaterialCell(9, 3)),
		sample.Paint(quay.ID, sample.Things, area(grid.Rect{X: 14, Y: 3, W: 2, H: 2}), tile(4)),
		sample.Paint(sample.Pans, sample.Things, area(grid.Rect{X: 4, Y: 4, W: 3, H: 1}), tile(5)),
		edit.Insert(edit.Ref{Type: edit.TypePassage, ID: "passpasspass"}, document.Passage{ID: "passpasspass", From: document.End{Map: quay.ID, Entity: sample.Exit}, To: document.End{Map: quay.ID, Entity: "arrivearrive"},
			If: []document.Gate{{Asks: document.GateFlag, Flag: sample.Lit}}, Shut: "It is shut."}),
		edit.Insert(edit.Ref{Type: edit.TypeMotif, ID: "motifmotifmo"}, document.Motif{ID: "motifmotifmo", Name: "House", W: 3, H: 2, CellWidth: 16, CellHeight: 16,
			Parts:    []document.MotifPart{{Layer: "Things", Kind: document.LayerTiles, Cells: pane(grid.Rect{W: 3, H: 2}, tile(3))}},
			Entities: []*document.Entity{{Kind: kind.Sign, Name: "Board", X: 16, Y: 16, W: 16, H: 16, Facing: document.Down, Layer: sample.Entities}}}),
		edit.Set(edit.Ref{Type: edit.TypeMap, ID: sample.Pans}, "bounds", grid.Rect{X: -2, Y: 1, W: 18, H: 10}),
	)
	p := edit.Insert(edit.Ref{Type: edit.TypeRule, ID: rule.ID}, rule)
	p.Content = &document.Content{Parts: rule.Parts.All()}
	res := edit.Apply(d, &edit.Edit{Do: append(do, p)})
	if len(res.Dropped) > 0 {
		t.Fatal(res.Dropped)
	}
	return res.Doc
}

// around gives a call's arguments, and each with one value a little off: numbers one
// less, one more, none, far away; yes for no; another word; a list without its last.
func around(raw json.RawMessage) (out []json.RawMessage) {
	out = append(out, raw)
	var whole any
	dec := json.NewDecoder(bytes.NewReader(raw))
	dec.UseNumber()
	if dec.Decode(&whole) != nil {
		return out
	}
	also := func() {
		if text, err := json.Marshal(whole); err == nil && !bytes.Equal(text, raw) {
			out = append(out, text)
		}
	}
	var walk func(v any, put func(any))
	walk = func(v any, put func(any)) {
		try := func(others ...any) {
			for _, o := range others {
				put(o)
				also()
			}
			put(v)
		}
		switch v := v.(type) {
		case json.Number:
			if n, err := v.Int64(); err == nil {
				try(n-1, n+1, 0, -n-1, n*2, 70_000)
			}
		case bool:
			try(!v)
		case string:
			try("", v+"x")
		case []any:
			if len(v) > 0 {
				try([]any{}, v[:len(v)-1], append(v[:len(v):len(v)], v[0]))
			}
			for i := range v {
				walk(v[i], func(o any) { v[i] = o })
			}
		case map[string]any:
			keys := []string{}
			for k := range v {
				keys = append(keys, k)
			}
			slices.Sort(keys)
			for _, k := range keys {
				walk(v[k], func(o any) { v[k] = o })
			}
		}
	}
	walk(whole, func(o any) { whole = o })
	return out
}

var ids = regexp.MustCompile(`"[a-z2-7]{12}"`)

// named calls the ids that a call made by the order in which they come.
func named(known, text string) string {
	made := map[string]string{}
	return ids.ReplaceAllStringFunc(text, func(id string) string {
		if strings.Contains(known, id) {
			return id
		}
		if made[id] == "" {
			made[id] = fmt.Sprintf("\"#%d\"", len(made)+1)
		}
		return made[id]
	})
}

// Each method answers what it did when its line was written, to what a person may ask
// for and to everything a little beside it. After a wanted change: AZZEL_ANSWERS=1 go
// test ./core/session -run AnswersStay, and look at which lines changed.
func TestAnswersStay(t *testing.T) {
	const calls, answers = "testdata/calls.txt", "testdata/answers.txt"
	text, err := os.ReadFile(calls)
	if err != nil {
		t.Fatal(err)
	}
	world := full(t).Encode()
	known := string(text) + string(edit.JSON(full(t)))
	answer := func(before []string, method string, args json.RawMessage) string {
		var s session.Session
		if err := s.Open(world, 0, "personperson", me); err != nil {
			t.Fatal(err)
		}
		for _, b := range before {
			method, a, _ := strings.Cut(b, " ")
			if _, err := s.Call(method, json.RawMessage(a)); err != nil {
				t.Fatalf("%s: %v", b, err)
			}
		}
		raw, err := s.Call(method, args)
		pending, _ := s.Call("pending", nil)
		h := fnv.New32a()
		_, _ = fmt.Fprint(h, err, named(known, string(raw)+string(pending)))
		return fmt.Sprintf("%08x", h.Sum32())
	}
	had := map[string][]string{}
	if old, err := os.ReadFile(answers); err == nil {
		for _, line := range strings.Split(string(old), "\n") {
			if f := strings.Fields(line); len(f) > 1 {
				had[f[0]] = f[1:]
			}
		}
	}
	var out strings.Builder
	var before []string
	tried := map[string]int{}
	for _, line := range strings.Split(strings.TrimSpace(string(text)), "\n") {
		if first, ok := strings.CutPrefix(line, "> "); ok { // comes before the next call
			before = append(before, first)
			continue
		}
		method, a, _ := strings.Cut(line, " ")
		tried[method]++
		name := fmt.Sprintf("%s.%d", method, tried[method])
		_, _ = fmt.Fprint(&out, name)
		for k, args := range around(json.RawMessage(a)) {
			got := answer(before, method, args)
			if os.Getenv("AZZEL_ANSWERS") != "" {
				for range 4 {
					if answer(before, method, args) != got {
						got = "~" // the order of new ids decides
						break
					}
				}
				_, _ = fmt.Fprint(&out, " ", got)
				continue
			}
			if was := had[name]; k >= len(was) || was[k] != got && was[k] != "~" {
				t.Errorf("%s %s answers otherwise than it did", method, args)
			}
		}
		_, _ = fmt.Fprintln(&out)
		before = nil
	}
	for _, m := range session.Signatures() {
		if tried[m.Name] == 0 {
			t.Errorf("%s is not among the calls", m.Name)
		}
	}
	if os.Getenv("AZZEL_ANSWERS") != "" {
		if err := os.WriteFile(answers, []byte(out.String()), 0o644); err != nil {
			t.Fatal(err)
		}
	}
}
