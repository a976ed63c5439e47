package play_test

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/sample"
	"azzel/core/world"
	"testing"
)

// salty is a map with two kinds that have a tag, switches and doors, two of each, beside a door without.
func salty(t *testing.T) *run {
	t.Helper()
	r := drawn(t, "\n@.........\n..........\n..........").with(kind.Sensor, 4, 0, 3, 3, true, document.Down)
	tagged := func(id document.ID, of document.ID) {
		k := document.Kind{ID: id, Of: of, Name: string(id), Tags: []string{"salty"}, Layers: []string{}, Settings: []kind.Setting{}}
		r.d = apply(t, r.d, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: id}, k))
	}
	tagged("leverleverle", kind.Switch)
	tagged("gatesgatesga", kind.Door)
	r.d = apply(t, r.d, sample.Drawn()...)
	r.g.Enter(stage(r.d))
	return r.with("leverleverle", 0, 0, 1, 1, false, document.Down).with("gatesgatesga", 2, 2, 1, 1, false, document.Down).
		with("leverleverle", 0, 2, 1, 1, false, document.Down).with("gatesgatesga", 5, 1, 1, 1, false, document.Down).with(kind.Door, 6, 2, 1, 1, false, document.Down)
}

// open tells which doors are open, by their places across.
func (r *run) open() (out string) {
	for i := range r.g.Stage.Things {
		if t := &r.g.Stage.Things[i]; t.Acts == kind.Door && t.Map == r.hero().Map {
			out += map[bool]string{true: "o", false: "-"}[r.g.On(world.Ref(i))]
		}
	}
	return out
}

// All that have a tag are meant, of those that the word takes; a rule of a tag is each one's.
func TestAllThatAreTagged(t *testing.T) {
	r := salty(t).reads("rule once\nwhen\n\tanything tagged salty is turned on\nthen\n\topen everything tagged salty\n\tadd 1 to Salt\n\tdisable it")
	uses := func(row int64) {
		r.hero().X, r.hero().Y = 0, row*cell
		r.hold(0, 1)
		r.press(play.InputUse)
		r.hold(0, 2)
	}
	uses(0)
	if r.open() != "oo-" || r.g.Counter(sample.DrawnCounter) != 3 || r.g.Disabled(r.called("leverleverle")) == false {
		t.Fatalf("open are %s, it has come to %d", r.open(), r.g.Counter(sample.DrawnCounter))
	}
	uses(2)
	if got := r.g.Counter(sample.DrawnCounter); got != 4 {
		t.Errorf("once for each it comes to %d", got)
	}
	r = salty(t).reads("when\n\ta new game begins\nthen\n\tset Lit", uses2+"if\n\teverything tagged salty is shut\nthen\n\tset Flag")
	r.press(play.InputUse)
	if !r.g.Flag(sample.DrawnFlag) {
		t.Error("all that are tagged are shut, but the rule says no")
	}
}

const uses2 = "when\n\tanything tagged salty is turned on\n"

// All that are in an area now are meant, of those that the word takes.
func TestAllThatAreInAnArea(t *testing.T) {
	r := salty(t).with(kind.Walker, 8, 1, 1, 1, true, document.Left, value("range", "0")).
		reads(uses2 + "then\n\topen everything in sensor\n\thide everything in sensor")
	r.press(play.InputUse)
	if r.open() != "-oo" || r.g.Shown(r.called("walker")) == false {
		t.Fatalf("open are %s; the walker outside is shown: %v", r.open(), r.g.Shown(r.called("walker")))
	}
	for i := range r.g.Bodies {
		if b := &r.g.Bodies[i]; b.Of == r.called("walker") {
			b.X -= 2 * cell
		}
	}
	r.hold(0, 1)
	r.press(play.InputUse) // off
	r.press(play.InputUse)
	if r.g.Shown(r.called("walker")) {
		t.Error("the walker that has come into the area is shown still")
	}
}
