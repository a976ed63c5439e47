package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
)

// plays begins a scene of some lines on the map of stepping, whose hero stands at its upper left.
func plays(t *testing.T, lines string) *run {
	t.Helper()
	r := stepping(t).reads(uses + "then\n\tscene that can be skipped\n" + block(lines, 2) + "\tset Lit")
	r.press(play.InputUse)
	return r
}

// A scene holds the hero and shields it, while what else moves goes on; what takes it away lets the hero go.
func TestScenesHoldTheHero(t *testing.T) {
	r := plays(t, "wait 2 s")
	hearts := r.g.Count(play.Hearts)
	r.hold(play.InputRight, 30)
	r.g.Strike()
	if r.cell().X != 0 || r.g.Count(play.Hearts) != hearts {
		t.Errorf("the hero is in cell %v with %d hearts", r.cell(), r.g.Count(play.Hearts))
	}
	rule := r.d.RulesInOrder()[0].ID
	r.d = apply(t, r.d, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: rule}))
	r.g.Enter(stage(r.d))
	if r.hold(play.InputRight, 30); r.cell().X == 0 || r.g.Held() {
		t.Errorf("the rule is gone and the hero is still held, in cell %v", r.cell())
	}
}

// Skipping does what is left at once, says nothing, and stops at a question; a scene that cannot be skipped goes on.
func TestScenesAreSkipped(t *testing.T) {
	const long = "say \"A long time ago.\"\nwalk character 3 cells right waiting where blocked\nat the same time\n\twalk walker 2 cells left waiting where blocked\n\tsay \"The tide came.\"\nmove the view to door in 3 s\nadd 5 to Salt\n"
	end := func(r *run) [3]int64 {
		return [3]int64{r.g.Where(r.thing(kind.Character)).Left, r.g.Where(r.called("walker")).Left, r.g.Counter(sample.DrawnCounter)}
	}
	seen, skipped := plays(t, long), plays(t, long)
	for n := 0; n < 2000 && !seen.g.Flag(sample.Lit); n++ {
		seen.press([]play.Input{0, play.InputUse}[n%2])
	}
	skipped.press(play.InputSkip)
	if !seen.g.Flag(sample.Lit) || !skipped.g.Flag(sample.Lit) || end(seen) != end(skipped) || len(skipped.g.Lines) > 0 {
		t.Errorf("seen it ends at %v, skipped at %v, with %v said", end(seen), end(skipped), skipped.g.Lines)
	}
	r := plays(t, "wait 9 s\nadd 5 to Salt\nask \"Well?\"\n\tanswer \"Yes\"\n\t\tadd 10 to Salt\nwait 9 s")
	r.press(play.InputSkip)
	if len(r.g.Lines) != 1 || r.g.Counter(sample.DrawnCounter) != 7 || !r.g.Held() {
		t.Fatalf("what is asked was skipped: %v, %d", r.g.Lines, r.g.Counter(sample.DrawnCounter))
	}
	r.press(play.InputUse)
	r.hold(0, 60)
	if r.g.Counter(sample.DrawnCounter) != 17 || r.g.Flag(sample.Lit) {
		t.Errorf("after the answer it is %d, and went on %t", r.g.Counter(sample.DrawnCounter), r.g.Flag(sample.Lit))
	}
	fixed := stepping(t).reads(uses + "then\n\tscene that cannot be skipped\n\t\twait 1 s\n\tset Lit")
	fixed.press(play.InputUse)
	if fixed.press(play.InputSkip); fixed.g.Skippable() || fixed.g.Flag(sample.Lit) {
		t.Error("a scene that cannot be skipped was")
	}
}

// Somebody who walks and finds the way blocked waits, gives up or passes, as is said.
func TestWalkersThatAreBlocked(t *testing.T) {
	for _, c := range []struct {
		blocked string
		x       int64 // of the character, in pixels
		done    bool
	}{{"waiting", 0, false}, {"stopping", 0, true}, {"passing", 48, true}} {
		r := stepping(t).with(kind.Block, 1, 1, 1, 1, false, document.Down).reads(uses + "then\n\twalk character 3 cells right " + c.blocked + " where blocked\n\tset Lit")
		r.press(play.InputUse)
		r.hold(0, 90)
		if at := r.g.Where(r.thing(kind.Character)).Left / play.Sub; at != c.x || r.g.Flag(sample.Lit) != c.done {
			t.Errorf("%s: it is at %d, done %t", c.blocked, at, r.g.Flag(sample.Lit))
		}
	}
	// who finds a way goes round what stands there, and as near as he comes
	r := stepping(t).with(kind.Block, 1, 1, 1, 1, false, document.Down).with(kind.Block, 1, 2, 1, 1, false, document.Down).reads(uses + "then\n\tlead character to door\n\tset Lit")
	r.press(play.InputUse)
	r.hold(0, 300)
	if at := r.g.Where(r.thing(kind.Character)); !r.g.Flag(sample.Lit) || at.Left/play.Sub/16 != 2 && at.Top/play.Sub/16 != 2 {
		t.Errorf("it came to %d, %d", at.Left/play.Sub, at.Top/play.Sub)
	}
}

// A scene that begins while the hero is between two cells lets it come to the next one first, also where it is skipped.
func TestScenesBeginBetweenCells(t *testing.T) {
	for _, skips := range []bool{false, true} {
		r := drawn(t, "\n.....\n.....\n.....\n@....", `walking="cells"`).with(kind.Sensor, 1, 3, 1, 1, true, document.Down)
		r.d = apply(t, r.d, sample.Drawn()...)
		r.reads("when\n\tsomebody comes to sensor\nthen\n\tscene that can be skipped\n\t\twalk the hero 2 cells up waiting where blocked\n\tset Lit")
		for n := 0; n < 60 && !r.g.Held() && !r.g.Flag(sample.Lit); n++ {
			r.hold(play.InputRight, 1)
		}
		if skips {
			r.press(play.InputSkip)
		}
		r.hold(0, 120)
		if b := r.hero(); r.cell() != (grid.Point{X: 1, Y: 1}) || (b.X/play.Sub)%16 != (16-r.g.Stage.Gait(r.g.Ground(), b.Of).W/play.Sub)/2 || !r.g.Flag(sample.Lit) {
			t.Errorf("skipped %t: the hero is in cell %v, at %d", skips, r.cell(), b.X/play.Sub)
		}
	}
}

// While something is said only who walks in its scene moves; others stand.
func TestWalkingWhileItIsSaid(t *testing.T) {
	r := plays(t, "at the same time\n\tsay \"Come.\"\n\twalk character 2 cells right waiting where blocked")
	r.hold(0, 60)
	if at := r.g.Where(r.thing(kind.Character)).Left / play.Sub; at != 32 || len(r.g.Lines) != 1 {
		t.Errorf("it is at %d while %d lines are said", at, len(r.g.Lines))
	}
}

// A scene ends as it does without, also over a pin or an edit at any tick of it, and where its actor is gone.
func TestScenesOverPinsAndEdits(t *testing.T) {
	const long = "walk character 2 cells right waiting where blocked\nat the same time\n\twait 1 s\n\twalk character 1 cells down waiting where blocked\nwait until all of this is so\n\tSalt is exactly 2\nlead character to arrival"
	want := plays(t, long)
	want.hold(0, 600)
	if !want.g.Flag(sample.Lit) {
		t.Fatal("it does not end")
	}
	for at := 0; at < 400; at += 37 {
		r := plays(t, long)
		r.hold(0, at)
		r = r.again()
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeRule, ID: r.d.RulesInOrder()[0].ID}, "note", "changed"))
		r.g.Enter(stage(r.d))
		r.hold(0, 600-at)
		if r.g.Where(r.thing(kind.Character)) != want.g.Where(want.thing(kind.Character)) || !r.g.Flag(sample.Lit) || r.g.Hash != want.g.Hash {
			t.Errorf("over a pin at %d it ends at %v", at, r.g.Where(r.thing(kind.Character)))
		}
	}
	r := plays(t, long)
	r.hold(0, 10)
	r.leaves(kind.Character)
	r.hold(0, 100)
	if !r.g.Flag(sample.Lit) || r.g.Held() {
		t.Error("without its actor it does not end")
	}
}

// What a scene did to the view comes back when it ends; what a rule outside of one does stays.
func TestTheViewComesBack(t *testing.T) {
	r := plays(t, "move the view to door in 0 s\ndarken the view in 0 s\nwait 1 s")
	own := r.g.Show.Own
	r.hold(0, 30)
	if r.g.Cam == own || r.g.Show.Dark != 255 {
		t.Fatalf("the view is at %v, dark %d", r.g.Cam, r.g.Show.Dark)
	}
	r.hold(0, 120)
	if r.g.Cam != own || r.g.Show.Dark != 0 || r.g.Show.Moves {
		t.Errorf("after the scene the view is at %v, dark %d", r.g.Cam, r.g.Show.Dark)
	}
	r = stepping(t).reads(uses + "then\n\tdarken the view in 0 s")
	r.press(play.InputUse)
	if r.hold(0, 200); r.g.Show.Dark != 255 {
		t.Error("what no scene made dark became light by itself")
	}
}

// What chance gives a rule follows from the seed and from how often it asked, is kept by pins, and looking changes nothing.
func TestDiceOfRules(t *testing.T) {
	r := stepping(t).reads(uses+"then\n\tdraw Salt from 1 to 1000", "when\n\tswitch is turned on\nif\n\twith a chance of 50 percent\nthen\n\tadd 1 to Tide")
	draw := func(r *run) int64 {
		r.press(play.InputUse)
		return r.g.Counter(sample.DrawnCounter)
	}
	first, second := draw(r), draw(r)
	pinned := r.again()
	if a, b := draw(r), draw(pinned); first == second || a != b || !r.g.Lucky() {
		t.Errorf("it drew %d and %d, then %d, and from a pin %d", first, second, a, b)
	}
	hash := r.g.Hash
	for _, n := range rules.TreeOf(r.g.Stage.Rules[1]).If {
		if r.g.IsSo(n, world.None); r.g.Hash != hash {
			t.Error("looking asked chance")
		}
	}
	for range 200 {
		draw(r)
	}
	if n := r.g.Counter(sample.DrawnOther); n < 30 || n > 72 {
		t.Errorf("of about 102 times with a chance of 50 percent it was so %d times", n)
	}
}
