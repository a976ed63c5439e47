package session_test

import (
	"azzel/answers"
	"azzel/core/edit"
	"azzel/core/sample"
	"azzel/core/session"
	"encoding/json"
	"fmt"
	"os"
	"regexp"
	"strings"
	"testing"
)

// written is the format that edits are written in, which is no answer.
var written = regexp.MustCompile(`"v":\d+`)

var ids = regexp.MustCompile(`"[a-z2-7]{12}"`)

// named calls the ids that a call made by the order in which they come.
func named(known, text string) string {
	made := map[string]string{}
	return ids.ReplaceAllStringFunc(written.ReplaceAllString(text, ""), func(id string) string {
		if strings.Contains(known, id) {
			return id
		}
		if made[id] == "" {
			made[id] = fmt.Sprintf("\"#%d\"", len(made)+1)
		}
		return made[id]
	})
}

// Each method answers what it did when its line was written, to what a person may ask
// for and to everything a little beside it. After a wanted change: AZZEL_ANSWERS=1 go
// test ./core/session -run AnswersStay, and look at which lines changed.
func TestAnswersStay(t *testing.T) {
	text, err := os.ReadFile("testdata/calls.txt")
	if err != nil {
		t.Fatal(err)
	}
	world := sample.Full().Encode()
	known := string(text) + string(edit.JSON(sample.Full()))
	answer := func(before []string, method string, args json.RawMessage) (mark string, refused bool) {
		var s session.Session
		if err := s.Open(world, 0, "personperson", me); err != nil {
			t.Fatal(err)
		}
		for _, b := range before {
			method, a, _ := strings.Cut(b, " ")
			if _, err := s.Call(method, json.RawMessage(a)); err != nil {
				t.Fatalf("%s: %v", b, err)
			}
		}
		raw, err := s.Call(method, args)
		pending, _ := s.Call("pending", nil)
		return answers.Sum(fmt.Sprint(err, named(known, string(raw)+string(pending)))), err != nil
	}
	list := answers.Read(t, "testdata/answers.txt")
	var before []string
	tried := map[string]int{}
	for _, line := range strings.Split(strings.TrimSpace(string(text)), "\n") {
		if first, ok := strings.CutPrefix(line, "> "); ok { // comes before the next call
			before = append(before, first)
			continue
		}
		method, a, _ := strings.Cut(line, " ")
		tried[method]++
		all := answers.Around(json.RawMessage(a))
		marks, refused, loose := make([]string, len(all)), make([]bool, len(all)), false
		for k, args := range all {
			marks[k], refused[k] = answer(before, method, args)
			for n := 0; list.Writing && n < 4 && !loose; n++ {
				again, _ := answer(before, method, args)
				loose = again != marks[k] // the order of new ids decides
			}
		}
		for k := range marks {
			if loose && !refused[k] {
				marks[k] = "~"
			}
		}
		list.Are(fmt.Sprintf("%s.%d", method, tried[method]), marks, func(k int) string { return method + " " + string(all[k]) })
		before = nil
	}
	for _, m := range session.Signatures() {
		if tried[m.Name] == 0 {
			t.Errorf("%s is not among the calls", m.Name)
		}
	}
	list.Write()
}
