package session_test

import (
	"azzel/core/sample"
	"azzel/core/session"
	"testing"
)

// Whatever the page asks, the core answers or says what is wrong; it never panics
// and never makes a document that cannot be stored and read again.
func FuzzCall(f *testing.F) {
	for _, seed := range [][2]string{
		{"preview", `{"map":"quayquayquay","active":"groundground","grip":{"what":"tiles","cells":[65537],"width":1,"shape":"oval","size":3,"scatter":{"nothing":2,"apart":true}},"gesture":{"way":[{"x":1,"y":1},{"x":9,"y":7}],"even":true,"seed":3},"mirror":{"mode":"quarters","x":7,"y":4}}`},
		{"press", `{"map":"quayquayquay","active":"groundground","grip":{"what":"eraser","shape":"rim","inside":{"what":"eraser","shape":"box"}},"gesture":{"way":[{"x":-9,"y":1},{"x":900,"y":7}]},"mirror":{"mode":"both","x":-7,"y":4}}`},
		{"press", `{"map":"quayquayquay","active":"entitiesenti","grip":{"what":"entity","kind":"door","shape":"fill","turn":5},"gesture":{"way":[{"x":4,"y":4}]},"mirror":{"mode":"","x":0,"y":0}}`},
		{"select", `{"map":"quayquayquay","active":"thingsthings","picking":{"by":"area","way":[{"x":0,"y":0}],"mode":"replace"}}`},
		{"adoptPiece", `{"copied":{"piece":{"id":"","name":"","order":0,"w":2,"h":1,"cellWidth":16,"cellHeight":16,"parts":[{"layer":"Ground","kind":"tiles","cells":"AAEBAAD/AAE="}],"entities":[]},"from":{"tilesets":[],"materials":[],"zones":[]}},"numbers":[3]}`},
		{"addMaterial", `{"name":"Sea","number":9,"is":"water","tiles":[{"cell":65536,"form":255,"odds":1,"beside":0}]}`},
		{"markTiles", `{"id":"coastcoastco","tiles":[3],"mark":{"frames":[{"tile":1,"ms":0},{"tile":2,"ms":100}],"odds":-1}}`},
		{"recut", `{"id":"coastcoastco","recut":{"picture":"","width":0,"height":0,"cut":{"cellWidth":0,"cellHeight":0,"margin":0,"spacing":0},"match":[-1]}}`},
		{"resize", `{"map":"quayquayquay","bounds":{"x":0,"y":0,"w":5000,"h":0}}`},
		{"shift", `{"map":"panspanspans","dx":-19,"dy":11,"wrap":true}`},
		{"exchange", `{"map":"panspanspans","in":"map","swaps":[{"from":65536,"to":268500993}],"from":"","to":""}`},
		{"moveSheet", `{"map":"panspanspans","id":"groundground","lag":-5000}`},
	} {
		f.Add(seed[0], []byte(seed[1]))
	}
	state := sample.World().Encode()
	f.Fuzz(func(t *testing.T, method string, args []byte) {
		var s session.Session
		if err := s.Open(state, 0, "persona22222", "clienta22222"); err != nil {
			t.Fatal(err)
		}
		if _, err := s.Call("selectAll", []byte(`{"map":"quayquayquay"}`)); err != nil {
			t.Fatal(err)
		}
		if _, err := s.Call(method, args); err != nil {
			return
		}
		if _, err := s.Call("head", nil); err != nil {
			t.Fatal(err)
		}
		if err := s.Storable(); err != nil {
			t.Fatalf("%s made a document that cannot be read again: %v", method, err)
		}
	})
}
