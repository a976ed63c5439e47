package session_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"math/rand/v2"
	"slices"
	"testing"
)

// FuzzTwoSenders puts three edits of two designers, whatever they are, into a
// project as the server does, and then does with it what a page does: opens and
// draws it, finds what is solid, plays, and turns everything back.
func FuzzTwoSenders(f *testing.F) {
	r := rand.New(rand.NewPCG(5, 12))
	for range 12 {
		d := sample.World()
		f.Add([]byte(edit.JSON(sample.Primitives(r, d))), []byte(edit.JSON(sample.Primitives(r, d))), []byte(edit.JSON(sample.Primitives(r, d))))
	}
	quay := edit.Ref{Type: edit.TypeMap, ID: sample.Quay}
	one := func(p ...edit.Primitive) []byte { return edit.JSON(p) }
	f.Add(one(edit.Remove(quay)), one(edit.Set(quay, "bounds", grid.Rect{X: -5, Y: -5, W: 3, H: 3})), one(edit.Set(quay, "cellWidth", 1)))
	f.Add(one(edit.Set(quay, "bounds", grid.Rect{X: 30000, Y: 3, W: 2, H: 2})), one(edit.Remove(edit.Ref{Type: edit.TypeLayer, Map: sample.Quay, ID: sample.Entities})), one())
	f.Add(one(edit.Insert(edit.Ref{Type: edit.TypePassage, ID: "passpasspass"}, document.Passage{ID: "passpasspass",
		From: document.End{Map: sample.Quay, Entity: sample.Exit}, To: document.End{Map: "nomapnomapno", Entity: "noentitynoen"}})),
		one(edit.Set(edit.Ref{Type: edit.TypeEntity, Map: sample.Quay, ID: sample.Exit}, "kind", "lane")), one(edit.Remove(edit.Ref{Type: edit.TypeTileset, ID: sample.Coast})))
	f.Fuzz(func(t *testing.T, a, b, c []byte) {
		d := sample.World()
		var hashes []string
		var reverts [][]edit.Primitive
		for i, do := range [][]byte{a, b, c} {
			client := []string{"clientaaaaaa", "clientbbbbbb"}[i%2]
			data, err := json.Marshal(map[string]any{"v": edit.Version, "client": client, "number": i + 1,
				"label": map[string]any{"kind": "do", "text": ""}, "do": json.RawMessage(do)})
			if err != nil {
				continue // no JSON
			}
			e, err := edit.Decode(data)
			if err != nil {
				continue
			}
			res := edit.Apply(d, e)
			if edit.Verify(e, res) != nil || edit.Fits(res) != nil {
				continue
			}
			hashes, reverts = append(hashes, d.Hash()), append(reverts, slices.Clone(res.Revert))
			d = res.Doc
		}
		s := &session.Session{}
		if err := s.Open(d.Encode(), 3, "persona22222", "clientclient"); err != nil {
			t.Fatalf("what was taken in cannot be opened: %v", err)
		}
		for _, name := range []string{"head", "headChange", "chart"} {
			if _, err := s.Call(name, nil); err != nil {
				t.Fatalf("%s: %v", name, err)
			}
		}
		var chunk [4096]byte
		for _, m := range d.MapsInOrder() {
			for _, l := range m.LayersInOrder() {
				for _, at := range l.Cells.Chunks()[:min(len(l.Cells.Chunks()), 9)] {
					s.Chunk(m.ID, l.ID, at.CX, at.CY, &chunk)
				}
			}
			ids := []document.ID{}
			for _, e := range m.Entities.All() {
				ids = append(ids, e.ID)
			}
			for _, method := range []string{"solids", "entityChange", "mapDetails", "mapUses", "warning", "zoneAreas"} {
				if _, err := s.Call(method, edit.JSON(args{"map": m.ID})); err != nil {
					t.Fatalf("%s: %v", method, err)
				}
			}
			for _, method := range []string{"details", "behaviour", "uses"} {
				if _, err := s.Call(method, edit.JSON(args{"map": m.ID, "ids": ids, "dx": 0, "dy": 0})); err != nil {
					t.Fatalf("%s: %v", method, err)
				}
			}
			if _, err := s.Call("play", edit.JSON(args{"map": m.ID, "seed": 1})); err != nil {
				continue // nowhere to begin
			}
			for tick := range 60 {
				input := []play.Input{play.InputRight, play.InputDown | play.InputUse, play.InputLeft, play.InputUp}[tick/8%4]
				if _, err := s.Call("step", edit.JSON(args{"input": input, "ticks": 15})); err != nil {
					t.Fatal(err)
				}
			}
		}
		for i := len(reverts) - 1; i >= 0; i-- {
			if len(reverts[i]) > 0 {
				d = edit.Apply(d, &edit.Edit{Do: reverts[i]}).Doc
			}
			if d.Hash() != hashes[i] {
				t.Fatalf("edit %d was not turned back", i)
			}
		}
	})
}
