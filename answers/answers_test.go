package answers_test

import (
	"azzel/answers"
	"encoding/json"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"
)

func TestAroundGoesALittleBeside(t *testing.T) {
	var got []string
	for _, raw := range answers.Around(json.RawMessage(`{"n":3,"list":["a",true]}`)) {
		got = append(got, string(raw))
	}
	for _, want := range []string{`{"n":3,"list":["a",true]}`, `{"list":["a",true],"n":2}`, `{"list":["a",true],"n":4}`, `{"list":["a",true],"n":0}`,
		`{"list":[],"n":3}`, `{"list":["a"],"n":3}`, `{"list":["",true],"n":3}`, `{"list":["a",false],"n":3}`} {
		if !slices.Contains(got, want) {
			t.Errorf("%s is not asked", want)
		}
	}
}

// failing counts what a test was told to be wrong.
type failing struct {
	testing.TB
	said []string
}

func (f *failing) Helper() {}
func (f *failing) Errorf(format string, args ...any) {
	f.said = append(f.said, format)
}

func TestAnswersThatChangeFail(t *testing.T) {
	path := filepath.Join(t.TempDir(), "answers.txt")
	if err := os.WriteFile(path, []byte("first aa bb\nsecond cc ~\n"), 0o600); err != nil {
		t.Fatal(err)
	}
	t.Setenv("AZZEL_ANSWERS", "")
	for _, c := range []struct {
		question, marks string
		wrong           int
	}{{"first", "aa bb", 0}, {"first", "aa cc", 1}, {"first", "aa", 1}, {"second", "cc xx", 0}, {"second", "dd xx", 1}, {"third", "aa", 1}} {
		f := &failing{TB: t}
		answers.Read(f, path).Are(c.question, strings.Fields(c.marks), func(int) string { return c.question })
		if len(f.said) != c.wrong {
			t.Errorf("%s %s: %d are wrong, wanted %d", c.question, c.marks, len(f.said), c.wrong)
		}
	}
	t.Setenv("AZZEL_ANSWERS", "1")
	list := answers.Read(t, path)
	list.Are("third", []string{"ee"}, func(int) string { return "" })
	list.Write()
	if text, err := os.ReadFile(path); err != nil || string(text) != "third ee\n" {
		t.Errorf("written is %q, %v", text, err)
	}
}
