package cli_test

import (
	"azzel/cli"
	"encoding/csv"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// The demo is proven, its walk kept as a CSV and as a recording that plays, findings as SARIF and CSV; what cannot be finished, or has
// nothing to be finished, ends with 1.
func TestProving(t *testing.T) {
	dir := t.TempDir()
	at := func(name string) string { return filepath.Join(dir, name) }
	want := func(code int, text string, args ...string) string {
		t.Helper()
		out, is := says(t, args...)
		if is != code || !strings.Contains(out, text) {
			t.Fatalf("%v: %d, want %d with %q:\n%.600s", args, is, code, text, out)
		}
		return out
	}
	want(cli.Well, "", "new", at("base.zip"), "--demo")
	want(cli.Well, "It can be finished, in at most", "prove", at("base.zip"), "--walk", at("walk.csv"), "--keep", at("proven.zip"), "--findings", at("found.sarif"))
	f, err := os.Open(at("walk.csv"))
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	rows, err := csv.NewReader(f).ReadAll()
	if err != nil || len(rows) < 300 || rows[1][1] != "Quay" {
		t.Fatalf("the walk has %d lines, %v, %v", len(rows), rows[:min(len(rows), 3)], err)
	}
	want(cli.Well, "The walk that was found: as it was", "replay", at("proven.zip"), "The walk that was found")
	var log struct {
		Version string
		Runs    []struct {
			Results []struct{ RuleID, Level string }
		}
	}
	data, err := os.ReadFile(at("found.sarif"))
	if err != nil || json.Unmarshal(data, &log) != nil || log.Version != "2.1.0" || len(log.Runs) != 1 {
		t.Errorf("the findings are %.200s, %v", data, err)
	}
	want(cli.Well, "", "prove", at("base.zip"), "--findings", at("found.csv"))
	if data, err := os.ReadFile(at("found.csv")); err != nil || !strings.HasPrefix(string(data), "what,map,thing,text,serious\n") {
		t.Errorf("as a CSV they are %.100s, %v", data, err)
	}
	var answer struct {
		Is   string
		Walk []struct{ Seconds, Map string }
	}
	if err := json.Unmarshal([]byte(want(cli.Well, `"can"`, "prove", at("base.zip"), "--json")), &answer); err != nil || len(answer.Walk) != len(rows)-1 {
		t.Errorf("as JSON the walk has %d steps of %d, %v", len(answer.Walk), len(rows)-1, err)
	}
	want(cli.Wrong, "as .sarif or as .csv", "prove", at("base.zip"), "--findings", at("found.txt"))
	want(cli.Found, "not decided", "prove", at("base.zip"), "--effort", "10")
	want(cli.Well, "", "new", at("empty.zip"))
	want(cli.Found, "There is no goal yet", "prove", at("empty.zip"), "--walk", at("none.csv"))
	if _, err := os.Stat(at("none.csv")); err == nil {
		t.Error("a walk that there is not was kept")
	}
}
