package cli_test

import (
	"azzel/cli"
	"bytes"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// A sound lies beside what is said of it, and goes along with the project, on its page too; called otherwise, its old files are gone.
func TestSoundsAsFiles(t *testing.T) {
	dir := t.TempDir()
	at := func(name ...string) string { return filepath.Join(append([]string{dir}, name...)...) }
	run := func(code int, text string, args ...string) {
		t.Helper()
		if out, is := says(t, args...); is != code || !strings.Contains(out, text) {
			t.Fatalf("%v: %d, want %d with %q:\n%.300s", args, is, code, text, out)
		}
	}
	run(cli.Well, "", "new", at("one"), "--starter")
	bell, err := os.ReadFile("../server/testdata/bell.ogg")
	if err != nil {
		t.Fatal(err)
	}
	put := func(path string, data []byte) {
		t.Helper()
		if err := os.MkdirAll(filepath.Dir(path), 0o750); err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(path, data, 0o600); err != nil {
			t.Fatal(err)
		}
	}
	put(at("one", "sounds", "bell.json"), []byte(`{"sound": {"id": "bellbellbell", "name": "Bell", "file": "bell.ogg", "as": [{"when": "take"}]}}`))
	run(cli.Found, "sounds/bell.json: the file “bell.ogg” that it names is missing", "validate", at("one"))
	put(at("one", "sounds", "bell.ogg"), []byte("OggS"))
	run(cli.Found, "sounds/bell.json: its file: that OGG file is damaged", "validate", at("one"))
	put(at("one", "sounds", "bell.ogg"), bell)
	run(cli.Well, "is a project", "validate", at("one"))
	run(cli.Well, "", "export", at("one"), at("two"))
	if data, err := os.ReadFile(at("two", "sounds", "bell.ogg")); err != nil || !bytes.Equal(data, bell) {
		t.Errorf("the sound is %d bytes, %v", len(data), err)
	}
	change(t, at("one", "sounds", "bell.json"), `"name": "Bell"`, `"name": "Tide bell"`)
	run(cli.Well, "", "export", at("one"), at("two"))
	if _, err := os.Stat(at("two", "sounds", "bell.ogg")); err == nil {
		t.Error("the old file is still there")
	}
	if _, err := os.Stat(at("two", "sounds", "tide-bell.ogg")); err != nil {
		t.Error(err)
	}
}
