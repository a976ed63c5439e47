package edit_test

import (
	"azzel/core/cells"
	"azzel/core/chart"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// goldenRow is a row of a log as it was stored.
type goldenRow struct {
	Format int             `json:"format"`
	Edit   json.RawMessage `json:"edit"`
	Revert json.RawMessage `json:"revert"`
}

func state(t *testing.T, path string) *document.Document {
	t.Helper()
	data, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	raw, err := cells.Unpack(data, 1<<24)
	if err != nil {
		t.Fatal(err)
	}
	d, err := document.Decode(raw)
	if err != nil {
		t.Fatalf("%s: %v", path, err)
	}
	return d
}

// A project of every format that was ever released (its first state, the log with
// the stored inverses, and its last state) opens, gives the same when its log is
// replayed, is turned back wholly by its inverses, and is played.
func TestGoldenProjects(t *testing.T) {
	folders, err := filepath.Glob("testdata/format-*")
	if err != nil || len(folders) == 0 {
		t.Fatalf("no golden projects: %v", err)
	}
	for _, folder := range folders {
		start, end := state(t, folder+"/start"), state(t, folder+"/end")
		data, err := os.ReadFile(folder + "/log.jsonl")
		if err != nil {
			t.Fatal(err)
		}
		d, number := start, int64(0)
		var reverts [][]edit.Primitive
		var hashes []string
		for _, line := range strings.Split(strings.TrimSpace(string(data)), "\n") {
			var row goldenRow
			if err := json.Unmarshal([]byte(line), &row); err != nil {
				t.Fatal(err)
			}
			e, err := edit.Read(row.Edit)
			if err != nil {
				t.Fatalf("%s: edit %d: %v", folder, number+1, err)
			}
			revert, err := edit.ReadSteps(row.Revert, row.Format)
			if err != nil {
				t.Fatalf("%s: the inverse of edit %d: %v", folder, number+1, err)
			}
			hashes, reverts = append(hashes, d.Hash()), append(reverts, revert)
			d = edit.Apply(d, e).Doc
			if number++; e.Number != number {
				t.Fatalf("%s: edit %d is numbered %d", folder, number, e.Number)
			}
		}
		if d.Hash() != end.Hash() {
			t.Errorf("%s: its log gives another project than was stored", folder)
		}
		for i := len(reverts) - 1; i >= 0; i-- {
			if len(reverts[i]) > 0 {
				d = edit.Apply(d, made(1, reverts[i]...)).Doc
			}
			if d.Hash() != hashes[i] {
				t.Fatalf("%s: turning back edit %d gives another project than before it", folder, i+1)
			}
		}
		stage := world.New(end, chart.New(end, nil), nil)
		for _, m := range end.MapsInOrder() {
			game, err := play.StartAt(stage, m.ID, grid.Point{X: m.Bounds.X + m.Bounds.W/2, Y: m.Bounds.Y + m.Bounds.H/2}, play.Given{}, 1)
			if err != nil {
				continue // something stands there
			}
			for tick := range 240 {
				game.Step([]play.Input{play.InputRight, play.InputDown, play.InputUse, play.InputLeft, play.InputUp}[tick/20%5])
			}
		}
	}
}

// TestWriteGolden writes a project of the present format for later ones, where there
// is none yet: AZZEL_GOLDEN=1 go test ./core/edit -run TestWriteGolden
func TestWriteGolden(t *testing.T) {
	folder := fmt.Sprintf("testdata/format-%d", edit.Version)
	if _, err := os.Stat(folder); err == nil || os.Getenv("AZZEL_GOLDEN") == "" {
		t.Skip("only when a format is released")
	}
	if err := os.Mkdir(folder, 0o755); err != nil {
		t.Fatal(err)
	}
	store := func(name string, d *document.Document) {
		if err := os.WriteFile(folder+"/"+name, cells.Pack(d.Encode()), 0o644); err != nil {
			t.Fatal(err)
		}
	}
	d := state(t, fmt.Sprintf("testdata/format-%d/end", edit.Version-1))
	store("start", d)
	var log strings.Builder
	r := rand.New(rand.NewPCG(uint64(edit.Version), 2))
	var back []edit.Primitive
	for n := 1; n <= 400; n++ {
		do := sample.Primitives(r, d)
		if n%7 == 0 && len(back) > 0 {
			do = back
		}
		e := made(int64(n), do...)
		res := edit.Apply(d, e)
		if edit.Verify(e, res) != nil || res.Doc.Maps.Len() < min(4, d.Maps.Len()) {
			e = made(int64(n), edit.Set(edit.Ref{Type: edit.TypeProject}, "name", fmt.Sprint("P", n)))
			res = edit.Apply(d, e)
		}
		back = res.Revert
		row, err := json.Marshal(goldenRow{Format: edit.Version, Edit: edit.JSON(e), Revert: edit.JSON(append([]edit.Primitive{}, res.Revert...))})
		if err != nil {
			t.Fatal(err)
		}
		log.Write(append(row, '\n'))
		d = res.Doc
	}
	store("end", d)
	if err := os.WriteFile(folder+"/log.jsonl", []byte(log.String()), 0o644); err != nil {
		t.Fatal(err)
	}
}
