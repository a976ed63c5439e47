package e2e

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/sample"
	"context"
	"encoding/json"
	"errors"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	"github.com/jackc/pgx/v5"
)

// Projects that released formats stored, with their logs, are opened in the page,
// changed, turned back and jumped in, as if nothing had happened.
func TestGoldenProjectsInThePage(t *testing.T) {
	folders, err := filepath.Glob("../core/edit/testdata/format-*")
	if err != nil || len(folders) < 2 {
		t.Fatalf("golden projects: %v, %v", folders, err)
	}
	for _, folder := range folders {
		t.Run(filepath.Base(folder), func(t *testing.T) {
			r := startWith(t, sample.World())
			r.golden(folder)
			packed, err := os.ReadFile(folder + "/end")
			must(t, err)
			raw, err := cells.Unpack(packed, 1<<24)
			must(t, err)
			end, err := document.Decode(raw)
			must(t, err)
			if r.doc().Hash() != end.Hash() {
				t.Fatal("the log gives another project than was stored")
			}
			k := r.open()
			k.same()
			// whoever opens it first is its designer, so that all of it is theirs to turn back
			r.exec("UPDATE edits SET person_id = (SELECT id FROM people ORDER BY created_at DESC LIMIT 1)")
			k.visit("/p/" + r.project)
			k.ready()
			k.same()
			k.focusMap()
			for range 3 {
				before := r.doc().Hash()
				k.with(input.ControlLeft, input.KeyZ)
				k.stored(func(d *document.Document) error {
					if d.Hash() == before {
						return errors.New("nothing was turned back")
					}
					return nil
				})
			}
			k.same()
			k.pressIn("nav button", "Rules")
			k.see("main[aria-label=Rules]", "When")
			k.pressIn("nav button", "Kinds")
			k.see("aside[aria-label=Kinds]", "Hero")
			// a jump in history replays the log of its format
			k.pressIn("nav button", "Map")
			k.focusMap()
			k.with(input.ControlLeft, input.KeyH)
			k.see("[data-testid=history]", "Golden")
			k.unfold()
			k.pressIn("[data-testid=history] li:nth-child(40) button", "Golden")
			k.see("[data-testid=history]", "Back to")
			k.same()
		})
	}
}

// golden puts a project of a released format in the place of the rig's.
func (r *rig) golden(folder string) {
	r.t.Helper()
	ctx := context.Background()
	conn, err := pgx.Connect(ctx, r.dsn)
	must(r.t, err)
	defer conn.Close(ctx)
	do := func(sql string, args ...any) {
		r.t.Helper()
		_, err := conn.Exec(ctx, sql, args...)
		must(r.t, err)
	}
	start, err := os.ReadFile(folder + "/start")
	must(r.t, err)
	log, err := os.ReadFile(folder + "/log.jsonl")
	must(r.t, err)
	do("DELETE FROM snapshots")
	do("DELETE FROM edits")
	do("INSERT INTO snapshots (project_id, seq, state) VALUES ($1, 0, $2)", r.project, start)
	lines := strings.Split(strings.TrimSpace(string(log)), "\n")
	for i, line := range lines {
		var row struct {
			Format       int
			Edit, Revert json.RawMessage
		}
		must(r.t, json.Unmarshal([]byte(line), &row))
		do(`INSERT INTO edits (project_id, seq, person_id, client, number, format, kind, label, edit, revert, changes)
			VALUES ($1, $2, (SELECT id FROM people LIMIT 1), 'clientgolden', $2, $3, 'do', 'Golden', $4, $5, true)`,
			r.project, i+1, row.Format, []byte(row.Edit), []byte(row.Revert))
	}
	do("UPDATE projects SET head = $1", len(lines))
}
