package edit_test

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/sample"
	"encoding/base64"
	"encoding/json"
	"flag"
	"fmt"
	"math/rand/v2"
	"os"
	"testing"
)

var writeGolden = flag.Bool("write-golden", false, "write the golden log of the present edit version, once, before it is released")

// TestWriteGolden writes a log that later versions have to read to the same document.
func TestWriteGolden(t *testing.T) {
	if !*writeGolden {
		t.Skip("only on demand")
	}
	d := document.New("Golden")
	world := sample.World()
	var out []byte
	put := func(n int, do ...edit.Primitive) {
		e := made(int64(n), do...)
		data, err := json.Marshal(e)
		if err != nil {
			t.Fatal(err)
		}
		d = edit.Apply(d, e).Doc
		out = append(append(out, data...), '\n')
	}
	var start []edit.Primitive
	for _, m := range world.Maps.All() {
		p := edit.Insert(edit.Ref{Type: edit.TypeMap, ID: m.ID}, m)
		p.Content = document.ContentOf(m)
		start = append(start, p)
	}
	put(1, start...)
	r := rand.New(rand.NewPCG(11, 11))
	for n := 2; n < 60; n++ {
		put(n, sample.Primitives(r, d)...)
	}
	out = append(out, fmt.Sprintf("%q\n", base64.StdEncoding.EncodeToString(cells.Pack(d.Encode())))...)
	if err := os.WriteFile(fmt.Sprintf("testdata/log-%d.jsonl", edit.Version), out, 0o644); err != nil {
		t.Fatal(err)
	}
}
