package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"testing"
)

// What is tried is done at once, with what stands in it and nothing behind it, whatever the rule waits for and asks; pulling
// back comes to before, and the game goes on from it alike.
func TestTryingRules(t *testing.T) {
	r := stepping(t).reads("when\n\tsignal bell comes\nif\n\tFlag is set\nthen\n\tadd 1 to Tide\n\trepeat 3 times\n\t\tadd 10 to Tide\n\t\tif all of this is so\n\t\t\tSalt is exactly 2\n\t\tthen\n\t\t\tadd 100 to Tide\n\twalk character 2 cells right waiting where blocked\n\tadd 1000 to Tide")
	rule := r.g.Stage.Rules[0]
	part := func(word string) document.ID {
		for _, s := range rules.TreeOf(rule).Steps {
			if s.Node != nil && s.Node.Word == word {
				return s.ID()
			}
		}
		t.Fatalf("there is no “%s”", word)
		return ""
	}
	rec := play.NewRecord(r.g)
	tide := func() int64 { return r.g.Counter(sample.DrawnOther) }
	try := func(id document.ID) {
		t.Helper()
		if err := r.g.Try(rule.ID, id); err != nil {
			t.Fatal(err)
		}
		rec.Tried(r.g)
	}
	for range 5 {
		rec.Step(r.g, 0)
	}
	before := r.g.Tick
	try(part(rules.WordRepeat))
	if tide() != 330 {
		t.Errorf("three times it came to %d", tide())
	}
	try(part(rules.WordWalk))
	for range 60 {
		rec.Step(r.g, 0)
	}
	if at := r.g.Where(r.thing(kind.Character)).Left / play.Sub; at != 32 || tide() != 330 || len(r.g.Threads) != 0 {
		t.Errorf("it walked to %d, and what is behind it came to %d", at, tide())
	}
	try("")
	for range 60 {
		rec.Step(r.g, 0)
	}
	if tide() != 1661 {
		t.Errorf("all of it came to %d", tide())
	}
	if was := rec.At(before - 1); was.Counter(sample.DrawnOther) != 0 || was.Tick != before-1 {
		t.Errorf("before it was %d", was.Counter(sample.DrawnOther))
	}
	if again := rec.At(r.g.Tick); again.Hash != r.g.Hash {
		t.Error("looked at again, the game is another")
	}
	if r.g.Try(rule.ID, "gonegonegone") == nil || r.g.Try("gonegonegone", "") == nil {
		t.Error("what is not there was tried")
	}
}
