package session_test

import (
	"azzel/core/author"
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/hand"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"strings"
	"testing"
)

// docOf is the document that a session shows.
func docOf(t *testing.T, s *session.Session) *document.Document {
	t.Helper()
	d, err := document.Decode(s.Encode())
	if err != nil {
		t.Fatal(err)
	}
	return d
}

// Every method that makes an edit does what its name says, and undone and done
// again it leaves nothing behind.
func TestWishes(t *testing.T) {
	quay, pans := sample.Quay, sample.Pans
	entity := func(d *document.Document, id document.ID) *document.Entity { return d.Entity(quay, id) }
	on := func(ids ...document.ID) func(do any) args {
		return func(do any) args { return args{"map": quay, "ids": ids, "do": do} }
	}
	type prepared struct {
		name   string
		method string
		before []args // calls that come first, as method and args
		args   func(made map[string]document.ID) any
		want   func(d *document.Document, made document.ID) string
	}
	first := func(method string, a any) args { return args{"method": method, "args": a} }
	all := first("select", args{"map": quay, "active": sample.Ground, "picking": args{"by": "box", "way": []grid.Point{{X: 2, Y: 2}, {X: 4, Y: 3}}, "mode": "replace"}})
	same := func(v any) func(map[string]document.ID) any {
		return func(map[string]document.ID) any { return v }
	}
	is := func(got, want any) string {
		if fmt.Sprint(got) != fmt.Sprint(want) {
			return fmt.Sprintf("%v, wanted %v", got, want)
		}
		return ""
	}
	cell := func(d *document.Document, x, y int) int {
		return int(d.Maps.Get(quay).Layers.Get(sample.Ground).Cells.At(x, y))
	}
	for _, c := range []prepared{
		{"own kind", "addKind", nil, same(args{"from": "sign", "name": "Board"}), func(d *document.Document, made document.ID) string {
			k := d.Kind(made)
			return is(fmt.Sprint(k.Name, k.Of, len(k.Settings)), "Boardsign1")
		}},
		{"pinned kind", "pinKind", nil, same(args{"id": "sign", "pinned": true}), func(d *document.Document, _ document.ID) string { return is(d.Project.Pins, []document.ID{"sign"}) }},
		{"kind taken away", "removeKind", []args{first("addKind", args{"from": "sign", "name": "Board"})}, func(m map[string]document.ID) any { return m["addKind"] },
			func(d *document.Document, _ document.ID) string { return is(d.Kinds.Len(), 0) }},
		{"zone", "addZone", nil, same(args{"name": "Marsh", "number": 7, "is": "water"}), func(d *document.Document, made document.ID) string {
			return is(d.Zones.Get(made).Number, 7)
		}},
		{"marked material", "markMaterial", []args{first("addMaterial", args{"name": "Sea", "number": 9, "is": "water", "composes": true})},
			func(m map[string]document.ID) any {
				return args{"id": m["addMaterial"], "tiles": []any{args{"cell": sample.Floor, "form": 255, "odds": 2, "beside": 0}}}
			}, func(d *document.Document, _ document.ID) string { return is(len(d.Materials.All()[0].Tiles), 1) }},
		{"left in line", "arrange", nil, same(on(sample.Switch, sample.Door)("left")), func(d *document.Document, _ document.ID) string {
			return is(entity(d, sample.Door).X, entity(d, sample.Switch).X)
		}},
		{"to the front", "toFront", nil, same(on(sample.Door)(true)), func(d *document.Document, _ document.ID) string { return is(entity(d, sample.Door).Order, 1) }},
		{"group", "group", nil, same(on(sample.Switch, sample.Door)("Works")), func(d *document.Document, _ document.ID) string { return is(entity(d, sample.Door).Group, "Works") }},
		{"renamed group", "renameGroup", []args{first("group", on(sample.Switch, sample.Door)("Works"))}, same(args{"map": quay, "from": "Works", "to": "Yard"}),
			func(d *document.Document, _ document.ID) string { return is(entity(d, sample.Switch).Group, "Yard") }},
		{"field", "setField", nil, same(on(sample.Door)(args{"field": "on", "value": true})), func(d *document.Document, _ document.ID) string { return is(entity(d, sample.Door).On, true) }},
		{"setting", "setSetting", nil, same(on(sample.Pearl)(args{"key": "amount", "value": "7"})), func(d *document.Document, _ document.ID) string {
			return is(d.Value(entity(d, sample.Pearl), "amount"), "7")
		}},
		{"box", "resizeEntity", nil, same(on(sample.Door)(grid.Rect{X: 160, Y: 32, W: 32, H: 16})), func(d *document.Document, _ document.ID) string { return is(entity(d, sample.Door).W, 32) }},
		{"turned entities", "turnEntities", nil, same(on(sample.Spawn)(1)), func(d *document.Document, _ document.ID) string {
			return is(entity(d, sample.Spawn).Facing, document.Left)
		}},
		{"map's setting", "setMapSetting", nil, same(args{"map": quay, "key": "darkness", "value": "40"}), func(d *document.Document, _ document.ID) string {
			return is(d.MapValue(d.Maps.Get(quay), "darkness")+d.MapValue(d.Maps.Get(pans), "darkness"), "400")
		}},
		{"all maps' setting", "setMapSetting", nil, same(args{"map": "", "key": "darkness", "value": "40"}), func(d *document.Document, _ document.ID) string {
			return is(d.MapValue(d.Maps.Get(pans), "darkness"), "40")
		}},
		{"side", "setSide", nil, same(args{"map": quay, "side": "up", "is": "wrap"}), func(d *document.Document, _ document.ID) string {
			return is(d.Maps.Get(quay).Side(document.Up), "wrap")
		}},
		{"seam", "setSeam", nil, same(args{"a": quay, "b": pans, "closed": true, "if": []any{}}), func(d *document.Document, _ document.ID) string {
			return is(len(d.Maps.Get(quay).Seams)+len(d.Maps.Get(pans).Seams), 1)
		}},
		{"place on the chart", "placeMaps", nil, same(args{"maps": []any{args{"map": pans, "at": grid.Point{X: 5000, Y: 64}}}, "within": 0}), func(d *document.Document, _ document.ID) string {
			return is(*d.Maps.Get(pans).Chart, grid.Point{X: 5000, Y: 64})
		}},
		{"order of maps", "reorderMap", nil, same(args{"map": pans, "to": 0}), func(d *document.Document, _ document.ID) string { return is(d.MapsInOrder()[0].ID, pans) }},
		{"copied map", "copyMap", nil, same(args{"map": quay, "name": "Quay by night", "passages": false}), func(d *document.Document, made document.ID) string {
			m := d.Maps.Get(made)
			return is(fmt.Sprint(m.Name, m.Entities.Len(), m.Layers.Len()), "Quay by night5 3")
		}},
		{"a spawn offered", "offerStart", nil, same(args{"map": pans}), func(d *document.Document, _ document.ID) string { return is(d.Maps.Get(pans).Entities.Len(), 1) }},
		{"cell size", "setCellSize", nil, same(args{"map": quay, "w": 32, "h": 32}), func(d *document.Document, _ document.ID) string { return is(d.Maps.Get(quay).CellWidth, 32) }},
		{"diamonds", "setGrid", nil, same(args{"map": quay, "grid": "diamond"}), func(d *document.Document, _ document.ID) string { return is(d.Maps.Get(quay).Grid, "diamond") }},
		{"plan", "planOf", nil, same(args{"map": quay}), func(d *document.Document, _ document.ID) string { return is(len(d.Project.Plan), 3) }},
		{"cleared layer", "clear", nil, same(args{"map": quay, "layer": sample.Ground}), func(d *document.Document, _ document.ID) string { return is(cell(d, 3, 3), 0) }},
		{"cropped", "crop", []args{all}, same(args{"map": quay}), func(d *document.Document, _ document.ID) string {
			return is(d.Maps.Get(quay).Bounds, grid.Rect{X: 2, Y: 2, W: 3, H: 2})
		}},
		{"emptied area", "emptyArea", []args{all}, same(args{"map": quay, "layer": sample.Ground}), func(d *document.Document, _ document.ID) string {
			return is(fmt.Sprint(cell(d, 3, 3) == 0, cell(d, 5, 3) == 0), "true false")
		}},
		{"moved area", "moveArea", []args{all}, same(args{"map": quay, "layer": sample.Ground, "dx": 0, "dy": 4}), func(d *document.Document, _ document.ID) string {
			return is(fmt.Sprint(cell(d, 3, 3) == 0, cell(d, 3, 7) == int(sample.Floor)), "true true")
		}},
		{"turned area", "turnArea", []args{all}, same(args{"map": quay, "layer": sample.Ground, "turn": 1}), func(d *document.Document, _ document.ID) string {
			empty := 0
			for i := range 6 {
				if cell(d, 2+i%3, 2+i/3) == 0 {
					empty++
				}
			}
			return is(empty, 2)
		}},
		{"motif", "addMotif", []args{all}, same(args{"map": quay, "layer": "", "name": "Corner"}), func(d *document.Document, made document.ID) string {
			return is(fmt.Sprint(d.Motifs.Get(made).W, d.Motifs.Get(made).H), "3 2")
		}},
		{"replaced motif", "replaceMotif", []args{all, first("addMotif", args{"map": quay, "layer": "", "name": "Corner"}),
			first("select", args{"map": quay, "active": sample.Ground, "picking": args{"by": "box", "way": []grid.Point{{X: 2, Y: 2}, {X: 7, Y: 3}}, "mode": "replace"}})},
			func(m map[string]document.ID) any {
				return args{"map": quay, "layer": "", "id": m["addMotif"], "update": false}
			}, func(d *document.Document, _ document.ID) string { return is(d.Motifs.All()[0].W, 6) }},
		{"copied layer", "duplicateLayer", nil, same(args{"map": quay, "id": sample.Ground}), func(d *document.Document, made document.ID) string {
			return is(int(d.Maps.Get(quay).Layers.Get(made).Cells.At(3, 3)), int(sample.Floor))
		}},
		{"merged layers", "mergeDown", nil, same(args{"map": quay, "id": sample.Things}), func(d *document.Document, _ document.ID) string {
			return is(fmt.Sprint(d.Maps.Get(quay).Layers.Len(), cell(d, 0, 0)), fmt.Sprint(2, int(sample.Wall)))
		}},
		{"layer taken away", "removeLayer", nil, same(args{"map": quay, "id": sample.Entities}), func(d *document.Document, _ document.ID) string {
			return is(fmt.Sprint(d.Maps.Get(quay).Layers.Len(), d.Maps.Get(quay).Entities.Len()), "2 0")
		}},
		{"grouped layer", "groupLayer", nil, same(args{"map": quay, "id": sample.Ground}), func(d *document.Document, _ document.ID) string {
			return is(d.Maps.Get(quay).Layers.Get(sample.Ground).Group != "", true)
		}},
		{"picture layer", "addPictureLayer", nil, same(args{"map": quay, "name": "Sky", "above": "", "image": document.LayerImage{From: "#102030", To: "#405060", Scale: 100}}),
			func(d *document.Document, made document.ID) string {
				return is(d.Maps.Get(quay).Layers.Get(made).Image.To, "#405060")
			}},
		{"properties", "setProperties", nil, same(args{"id": sample.Coast, "properties": []any{args{"name": "noise", "type": "text", "default": "thud", "choices": []any{}}}}),
			func(d *document.Document, _ document.ID) string {
				return is(d.Tilesets.Get(sample.Coast).Properties[0].Name, "noise")
			}},
		{"partners", "setPartners", nil, same(args{"id": sample.Coast, "pairs": [][2]int{{2, 3}}}), func(d *document.Document, _ document.ID) string {
			return is(len(d.Tilesets.Get(sample.Coast).Infos) > 0, true)
		}},
		{"starter set", "setStarter", nil, same(author.Kit{Tileset: document.Tileset{Name: "Starter", Number: 5, Picture: strings.Repeat("ab", 32), Width: 32, Height: 32,
			Cut: document.Cut{CellWidth: 16, CellHeight: 16}}, Hero: document.Hero{Speed: 5}}), func(d *document.Document, _ document.ID) string { return is(d.Tilesets.Len(), 2) }},
		{"thinned piles", "thinPiles", []args{first("copyEntities", args{"map": quay, "dx": 0, "dy": 0, "entities": []document.Entity{
			{ID: "pearlpearl22", Layer: sample.Entities, Kind: "collectible", Name: "Pearl", X: 64, Y: 32, W: 16, H: 16, Facing: "down"}}})},
			same(args{"map": quay}), func(d *document.Document, _ document.ID) string { return is(d.Maps.Get(quay).Entities.Len(), 5) }},
	} {
		s := open(t)
		made := map[string]document.ID{}
		for _, b := range c.before {
			o := call[session.Outcome](t, s, b["method"].(string), b["args"])
			made[b["method"].(string)] = o.Made
		}
		before := s.Hash()
		o := call[session.Outcome](t, s, c.method, c.args(made))
		after := s.Hash()
		if wrong := c.want(docOf(t, s), o.Made); wrong != "" || after == before || o.Text == "" {
			t.Errorf("%s: %s; it is called %q", c.name, wrong, o.Text)
		}
		call[session.Outcome](t, s, "undo", args{})
		if s.Hash() != before {
			t.Errorf("%s: undone it leaves something behind", c.name)
		}
		call[session.Outcome](t, s, "redo", args{})
		if s.Hash() != after {
			t.Errorf("%s: done again it is another", c.name)
		}
	}
}

// What is only asked changes nothing and says what is there.
func TestQuestions(t *testing.T) {
	s := open(t)
	quay := sample.Quay
	whole := s.Hash()
	asks := func(method string, a any) string {
		t.Helper()
		raw, err := s.Call(method, mustJSON(t, a))
		if err != nil {
			t.Fatalf("%s: %v", method, err)
		}
		return string(raw)
	}
	area := args{"map": quay, "active": sample.Ground, "picking": args{"by": "box", "way": []grid.Point{{X: 2, Y: 2}, {X: 4, Y: 3}}, "mode": "replace"}}
	if got := call[session.Selected](t, s, "previewSelect", area); got.Count != 6 {
		t.Errorf("six cells would be selected, told %d", got.Count)
	}
	if got := call[session.Selected](t, s, "selection", args{}); got.Count != 0 {
		t.Errorf("what is only shown is selected: %d", got.Count)
	}
	call[session.Selected](t, s, "select", area)
	lifted := call[session.Copied](t, s, "liftArea", args{"map": quay, "layer": ""})
	if lifted.Piece.W != 3 || lifted.Piece.H != 2 || len(lifted.From.Tilesets) != 1 {
		t.Errorf("lifted is %+v", lifted.Piece)
	}
	held := call[document.ID](t, s, "keepSelected", args{"map": quay, "layer": ""})
	if piece := call[session.Piece](t, s, "motifOf", args{"id": held}); piece.W != 3 || len(piece.Cells) < 18 {
		t.Errorf("what is kept is drawn as %+v", piece)
	}
	if got := call[session.Selected](t, s, "deselect", args{}); got.Count != 0 {
		t.Error("something is still selected")
	}
	for _, c := range []struct {
		method string
		args   any
		want   string
	}{
		{"choices", args{"grip": args{"what": "tiles", "cells": []int{int(sample.Floor), int(sample.Wall)}, "width": 2, "shape": "box"}}, fmt.Sprintf(`{"cell":%d,"odds":`, int(sample.Floor))},
		{"kindUses", "collectible", `"name":"Quay","count":1`},
		{"lossOf", args{"map": quay, "bounds": grid.Rect{W: 10, H: 12}}, `"cells":150`},
		{"changesBy", args{"id": sample.Coast, "match": []int{-1, -1}}, `"tiles":[`},
		{"oddLayers", args{"map": quay}, `[]`},
		{"pages", "One line", `["One line"]`},
		{"snapped", args{"map": sample.Pans, "at": grid.Point{X: 321, Y: 1}, "within": 8}, `"x":320`},
		{"stand", args{"map": quay, "kind": "hero", "at": grid.Point{X: 3, Y: 3}}, `"free":true`},
		{"stand", args{"map": quay, "kind": "hero", "at": grid.Point{X: 0, Y: 0}}, `"free":false`},
		{"under", args{"map": quay, "active": "", "at": grid.Point{X: 4, Y: 2}}, `{"layer":"Entities","what":"Pearl"}`},
		{"under", args{"map": quay, "active": "", "at": grid.Point{X: 0, Y: 0}}, `{"layer":"Things","what":"tile 1 of Coast"}`},
		{"composed", args{"from": 0}, `[]`},
		{"sketch", edit.Sketch{Map: quay, W: 2, H: 2, Step: 1}, `"w":2`},
		{"uses", args{"map": quay, "ids": []document.ID{sample.Door}, "dx": 0, "dy": 0}, `[]`},
	} {
		if got := asks(c.method, c.args); !strings.Contains(got, c.want) {
			t.Errorf("%s %v said %.300s, wanted %s", c.method, c.args, got, c.want)
		}
	}
	if s.Hash() != whole {
		t.Error("asking changed something")
	}
}

// A material whose forms are put together of quarters can be drawn: each cell of it
// names a place in the list of such forms.
func TestQuartersAreTold(t *testing.T) {
	s := open(t)
	made := call[session.Outcome](t, s, "addMaterial", args{"name": "Sea", "number": 9, "is": "water", "by": "both", "composes": true})
	var tiles []any
	for i, form := range []int{0, 0b1000100, 0b10001, 0b11111111, 0b1010101} { // alone, across, down, all over, without corners
		tiles = append(tiles, args{"cell": int(sample.Floor) + 20 + i, "form": form, "odds": 1, "beside": 0})
	}
	call[session.Outcome](t, s, "markMaterial", args{"id": made.Made, "tiles": tiles})
	call[session.Outcome](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "grip": args{"what": "material", "number": 9, "shape": "freehand"},
		"gesture": args{"way": []grid.Point{{X: 3, Y: 3}, {X: 4, Y: 3}, {X: 4, Y: 4}, {X: 4, Y: 5}}}, "mirror": args{"mode": "", "x": 0, "y": 0}})
	var out [4096]byte
	if !s.Chunk(sample.Quay, sample.Ground, 0, 0, &out) {
		t.Fatal("nothing is drawn")
	}
	composed := call[[][4]int](t, s, "composed", args{"from": 0})
	found := 0
	for i := range 1024 {
		code := uint32(out[i*4]) | uint32(out[i*4+1])<<8 | uint32(out[i*4+2])<<16 | uint32(out[i*4+3])<<24
		if code&(1<<28) == 0 {
			continue
		}
		found++
		if place := int(code &^ (1 << 28)); place >= len(composed) {
			t.Errorf("cell %d is drawn of quarters %d, and %d are told", i, place, len(composed))
		}
	}
	if found == 0 {
		t.Error("no cell is put together of quarters")
	}
}

// Errors carry what the interface tells apart.
func TestCodes(t *testing.T) {
	s := open(t)
	call[session.Outcome](t, s, "removeEntities", args{"map": sample.Quay, "ids": []document.ID{sample.Spawn}, "dx": 0, "dy": 0})
	for _, c := range []struct {
		method string
		args   string
		code   string
	}{
		{"dance", `{}`, session.CodeMethod},
		{"head", `{"colour":1}`, session.CodeArgs},
		{"redo", ``, session.CodeNothing},
		{"receive", `{"rows":[{"seq":9}]}`, session.CodeGap},
		{"play", `{"map":"panspanspans","seed":1}`, session.CodeNoSpawn},
		{"crop", `{"map":"quayquayquay"}`, session.CodeRefused},
	} {
		_, err := s.Call(c.method, json.RawMessage(c.args))
		if err == nil || session.CodeOf(err) != c.code {
			t.Errorf("%s %s gave %v with the code %q, wanted %q", c.method, c.args, err, session.CodeOf(err), c.code)
		}
	}
	var none session.Session
	if _, err := none.Call("head", nil); session.CodeOf(err) != session.CodeClosed {
		t.Errorf("without a project: %v", err)
	}
}

// A ghost that is known is not told again from another cell that would do the same, and anew once something changed.
func TestTheSameGhostIsToldOnce(t *testing.T) {
	s := open(t)
	ask := func(x, y int, known ...int) session.Ghost {
		return call[session.Ghost](t, s, "preview", args{"map": sample.Quay, "active": sample.Ground, "known": known, "mirror": args{},
			"grip": args{"what": "tiles", "shape": "fill", "cells": []any{sample.Floor}, "width": 1}, "gesture": args{"way": []args{{"x": x, "y": y}}, "seed": 1}})
	}
	first := ask(3, 3)
	if first.Refusal != "" || first.Number == 0 || first.Same {
		t.Fatalf("the first is %+v", first)
	}
	if same := ask(4, 3, first.Number); !same.Same || same.Number != first.Number {
		t.Errorf("from beside it is %+v", same)
	}
	if anew := ask(4, 3); anew.Same || anew.Count != first.Count {
		t.Errorf("told anew it is %+v", anew)
	}
	call[any](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "mirror": args{},
		"grip": args{"what": "eraser", "shape": "freehand"}, "gesture": args{"way": []args{{"x": 9, "y": 9}}}})
	after := ask(4, 3, first.Number)
	if after.Same || after.Count == 0 {
		t.Errorf("after a press it is %+v", after)
	}
	// of two areas that the pointer goes over by turns both are known
	for y := range 12 {
		call[any](t, s, "press", args{"map": sample.Quay, "active": sample.Ground, "mirror": args{},
			"grip": args{"what": "tiles", "shape": "freehand", "cells": []any{sample.Wall}, "width": 1}, "gesture": args{"way": []args{{"x": 6, "y": y}}}})
	}
	left, right := ask(3, 3), ask(7, 3)
	if left.Number == right.Number || left.Count == right.Count {
		t.Fatalf("the areas are %+v and %+v", left, right)
	}
	for _, x := range []int{4, 8, 5} {
		want := left.Number
		if x > 6 {
			want = right.Number
		}
		if again := ask(x, 4, left.Number, right.Number); !again.Same || again.Number != want {
			t.Errorf("from %d it is %+v", x, again)
		}
	}
}

// A plan that was kept is made anew for another hand: held, layer, mirror, side of the press.
func TestGhostOfAFillFollowsTheHand(t *testing.T) {
	for name, change := range map[string]func(a, gesture args){
		"another tile": func(a, _ args) {
			a["grip"] = hand.Grip{What: hand.Tiles, Shape: hand.Fill, Width: 1, Cells: []cells.Cell{cells.TileCell(1, 7)}}
		},
		"another layer": func(a, _ args) { a["active"] = sample.Things },
		"removing":      func(_, g args) { g["remove"] = true },
		"a mirror":      func(a, _ args) { a["mirror"] = args{"mode": "left-right", "x": 20, "y": 12} },
	} {
		press := func() (args, args) {
			gesture := args{"way": way(2, 2), "remove": false}
			return args{"map": sample.Pans, "active": sample.Ground, "grip": tile(hand.Fill), "gesture": gesture}, gesture
		}
		kept, fresh := open(t), open(t)
		first, _ := press()
		was := call[session.Ghost](t, kept, "preview", first)
		other, gesture := press()
		change(other, gesture)
		asked := func(s *session.Session) []byte {
			g := call[session.Ghost](t, s, "preview", other)
			g.Number = 0 // how many were asked for before
			return mustJSON(t, g)
		}
		was.Number = 0
		got, want := asked(kept), asked(fresh)
		if string(got) != string(want) {
			t.Errorf("%s: the ghost is %s, wanted %s", name, got, want)
		}
		if name != "a mirror" && string(got) == string(mustJSON(t, was)) {
			t.Errorf("%s: the ghost is what it was", name)
		}
	}
}
