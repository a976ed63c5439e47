package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
)

// Who came to a place can be said in the rest of the rule, over waits, pins and edits: a being, or the hero.
func TestWhoCameThere(t *testing.T) {
	for _, c := range []struct {
		name string
		in   play.Input
		hero bool
	}{{"a being", 0, false}, {"the hero", play.InputRight, true}} {
		r := drawn(t, "\n@.........\n..........\n..........").with(kind.Sensor, 4, 0, 2, 3, true, document.Down, value("notices", `"anything"`)).
			with(kind.Walker, 8, 1, 1, 1, true, document.Left, value("range", "8"), value("speed", "3"))
		if c.hero {
			r.g.Bodies = r.g.Bodies[:1] // nobody else
		}
		r.d = apply(t, r.d, sample.Drawn()...)
		r.reads("when\n\tsomebody comes to sensor\nif\n\twho is within 3 cells of sensor\nthen\n\twait 1 s\n\twho thinks \"Oh\"\n\twho says \"It is me.\"\n\tset Flag")
		r.hold(c.in, 60)
		r = r.again()
		r.reads("when\n\ta new game begins\nthen\n\tset Lit")
		r.hold(0, 70)
		of := world.None
		if !c.hero {
			of = r.called("walker")
		}
		if thoughts := r.g.Show.Thoughts; len(thoughts) != 1 || thoughts[0].Of != of {
			t.Errorf("%s: thoughts are %+v", c.name, thoughts)
		}
		if len(r.g.Lines) != 1 || !c.hero && r.g.Lines[0].By != of+1 {
			t.Errorf("%s: lines are %+v", c.name, r.g.Lines)
		}
	}
}
