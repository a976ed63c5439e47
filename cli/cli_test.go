package cli_test

import (
	"azzel/cli"
	"bytes"
	"encoding/json"
	"image/png"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/spf13/cobra"
)

// says runs a command line, and gives what it prints and its exit code.
func says(t *testing.T, args ...string) (string, int) {
	t.Helper()
	root := &cobra.Command{Use: "azzel", SilenceErrors: true, SilenceUsage: true}
	root.AddCommand(cli.Commands()...)
	var out bytes.Buffer
	root.SetOut(&out)
	root.SetErr(&out)
	root.SetArgs(args)
	err := root.Execute()
	if err != nil && !cli.Quiet(err) {
		out.WriteString(err.Error())
	}
	return out.String(), cli.Code(err)
}

// change replaces a text in a file once.
func change(t *testing.T, path, old, by string) {
	t.Helper()
	data, err := os.ReadFile(path)
	if err != nil || !strings.Contains(string(data), old) {
		t.Fatalf("%s has no %q, %v", path, old, err)
	}
	if err := os.WriteFile(path, []byte(strings.Replace(string(data), old, by, 1)), 0o600); err != nil {
		t.Fatal(err)
	}
}

// The demo is made, checked, drawn, changed by two people, compared and merged, all of it as files.
func TestTheCommandLine(t *testing.T) {
	dir := t.TempDir()
	at := func(name string) string { return filepath.Join(dir, name) }
	want := func(code int, text string, args ...string) string {
		t.Helper()
		out, is := says(t, args...)
		if is != code || !strings.Contains(out, text) {
			t.Fatalf("%v: %d, want %d with %q:\n%s", args, is, code, text, out)
		}
		return out
	}
	want(cli.Well, "", "new", at("base"), "--demo")
	want(cli.Wrong, "is there already", "new", at("base"))
	want(cli.Well, "is a project", "validate", at("base"))
	var checked struct {
		Findings []struct{ Serious bool }
		Finish   struct {
			Is    string
			Steps int
		}
	}
	if err := json.Unmarshal([]byte(want(cli.Well, "", "check", at("base"), "--json")), &checked); err != nil || checked.Finish.Is != "can" || checked.Finish.Steps == 0 {
		t.Errorf("the demo: %+v, %v", checked, err)
	}
	want(cli.Well, "It is not decided", "check", at("base"), "--effort", "100")
	want(cli.Well, "the hero speaks to \"Lamp keeper\"", "rules", at("base"))
	want(cli.Well, "keeps no recordings", "replay", at("base"))
	want(cli.Wrong, "no recording called", "replay", at("base"), "West")

	// a folder, a ZIP and a folder again are the same
	want(cli.Well, "", "export", at("base"), at("mine.zip"))
	want(cli.Well, "", "export", at("mine.zip"), at("mine"))
	want(cli.Well, "", "export", at("mine.zip"), at("hers"))
	want(cli.Well, "They are the same", "diff", at("base"), at("mine"))
	if err := os.MkdirAll(at("other"), 0o755); err != nil || os.WriteFile(at("other/notes.txt"), []byte("salt"), 0o600) != nil {
		t.Fatal(err)
	}
	want(cli.Wrong, "holds something else", "export", at("mine.zip"), at("other"))

	// what a project has no more is taken away, what is not its own stays
	stray, notes := at("mine/rules/gone.txt"), at("mine/notes.txt")
	if os.WriteFile(stray, nil, 0o600) != nil || os.WriteFile(notes, nil, 0o600) != nil {
		t.Fatal("no file can be written")
	}
	want(cli.Well, "", "export", at("mine.zip"), at("mine"))
	if _, err := os.Stat(stray); err == nil {
		t.Error("a file of a rule that is gone stays")
	}
	if _, err := os.Stat(notes); err != nil {
		t.Error("what is not the project's is taken away")
	}

	change(t, at("mine/maps/quay.json"), `"name": "Quay"`, `"name": "Old quay"`)
	change(t, at("hers/maps/pans.json"), `"name": "Pans"`, `"name": "Salt pans"`)
	want(cli.Found, "map  Old quay", "diff", at("base"), at("mine"), "--pictures", at("changed"))
	for _, name := range []string{"Quay before.png", "Old quay after.png"} {
		if _, err := os.Stat(filepath.Join(at("changed"), name)); err != nil {
			t.Error(err)
		}
	}
	want(cli.Well, "All of both is in it", "merge", at("base"), at("mine"), at("hers"), "--out", at("both.zip"))
	if both := want(cli.Found, "map  Salt pans", "diff", at("base"), at("both.zip")); !strings.Contains(both, "map  Old quay") {
		t.Errorf("both is %s", both)
	}
	change(t, at("hers/maps/quay.json"), `"name": "Quay"`, `"name": "New quay"`)
	want(cli.Found, "Old quay, name: we set it otherwise", "merge", at("base"), at("mine"), at("hers"))
	want(cli.Found, "map  Old quay", "diff", at("base"), at("mine"))

	change(t, at("hers/maps/quay.json"), `"name": "New quay"`, `"name": 3`)
	want(cli.Found, "“name” cannot be a number", "validate", at("hers"))
	want(cli.Wrong, "there is no project", "check", at("nowhere"))
	want(cli.Wrong, "is no address", "import", at("base"), "nowhere")

	// parts by themselves
	want(cli.Well, "<node id=", "export", at("base"), "-", "--as", "graphml")
	want(cli.Well, "Brine House", "export", at("base"), "-", "--as", "maps")
	want(cli.Wrong, "is no form", "export", at("base"), "-", "--as", "xls")

	// to a translator and back
	po := want(cli.Well, "msgid \"The beacon yard stands open.\"", "texts", at("base"), "--language", "de")
	if err := os.WriteFile(at("de.po"), []byte(strings.Replace(po, "Language: de", "Language: sv", 1)), 0o600); err != nil {
		t.Fatal(err)
	}
	want(cli.Well, "texts in sv.", "texts", at("base"), "--take", at("de.po"))
	want(cli.Wrong, "so already", "texts", at("base"), "--take", at("de.po"))
	want(cli.Well, "Language: sv", "texts", at("base"), "--language", "sv")

	// drawn, twice as large
	want(cli.Well, "", "render", at("base"), "--map", "Lamp Room", "--scale", "2", "--out", at("lamp.png"))
	f, err := os.Open(at("lamp.png"))
	if err != nil {
		t.Fatal(err)
	}
	defer f.Close()
	img, err := png.Decode(f)
	if err != nil || img.Bounds().Dx() != 2*16*16 {
		t.Errorf("drawn: %v, %v", img.Bounds(), err)
	}
	want(cli.Wrong, "no layer called", "render", at("base"), "--map", "Lamp Room", "--layer", "Sky", "--out", at("lamp.png"))
	want(cli.Wrong, "no map called", "render", at("base"), "--map", "Attic", "--out", at("attic.png"))
}

// An empty project and one with the starter set say what is missing.
func TestNewProjects(t *testing.T) {
	dir := t.TempDir()
	for name, c := range map[string]struct {
		args []string
		says string
	}{"empty.zip": {nil, "There is no goal yet"}, "starter.zip": {[]string{"--starter", "--name", "Low Tide"}, "the hero has nowhere to begin"}} {
		path := filepath.Join(dir, name)
		if out, code := says(t, append([]string{"new", path}, c.args...)...); code != cli.Well {
			t.Fatalf("%s: %d %s", name, code, out)
		}
		if out, _ := says(t, "check", path); !strings.Contains(out, c.says) {
			t.Errorf("%s: %s", name, out)
		}
	}
}
