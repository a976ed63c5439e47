package play_test

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"testing"
)

// What happens where two things meet.
func TestPairs(t *testing.T) {
	free := "\n............\n@...........\n............"
	shut := "\n############\n@...........\n############"
	still := []kind.Value{value("range", "0"), value("sight", "0"), value("harm", "0")}
	gone := func(r *run, k string) bool { return !r.g.There(r.thing(k)) }
	hearts := func(r *run) int32 { return r.g.Count(play.Hearts) }
	for _, c := range []struct {
		name string
		is   bool
		meet func() bool
	}{
		{"a shot ends at a shut door", true, func() bool {
			r := drawn(t, free).with(kind.Shooter, 9, 1, 1, 1, true, document.Left, value("every", "300"), value("reach", "12")).with(kind.Door, 5, 1, 1, 1, false, document.Down)
			r.hold(0, 120)
			return hearts(r) == 3
		}},
		{"a shot flies through an open door", true, func() bool {
			r := drawn(t, free).with(kind.Shooter, 9, 1, 1, 1, true, document.Left, value("every", "300"), value("reach", "12")).with(kind.Door, 5, 1, 1, 1, true, document.Down)
			r.hold(0, 120)
			return hearts(r) < 3
		}},
		{"a shot ends at a block", true, func() bool {
			r := drawn(t, free).with(kind.Shooter, 9, 1, 1, 1, true, document.Left, value("every", "300"), value("reach", "12")).with(kind.Block, 5, 1, 1, 1, false, document.Down)
			before := hearts(r)
			r.hero().Blink = 0
			r.hold(0, 120)
			return hearts(r) == before
		}},
		{"a beam ends at a block that is pushed into it", true, func() bool {
			r := drawn(t, shut).with(kind.Beam, 10, 1, 1, 1, true, document.Left).with(kind.Block, 3, 1, 1, 1, false, document.Down)
			r.hero().Blink = 0
			before := hearts(r)
			r.hold(0, 60)
			return hearts(r) == before
		}},
		{"a platform carries a block", true, func() bool {
			r := drawn(t, free).with(kind.Block, 4, 1, 1, 1, false, document.Down).with(kind.Platform, 4, 1, 1, 1, true, document.Right, value("range", "4"), value("speed", "4"))
			x, _ := r.where(kind.Block)
			r.hold(0, 50)
			to, _ := r.where(kind.Block)
			return to > x+30
		}},
		{"a spring on a platform goes along and throws", true, func() bool {
			r := drawn(t, "\n............\n............\n............\n............\n@...........\n............\n############", fromSide).
				with(kind.Platform, 0, 5, 4, 1, true, document.Right, value("range", "3"), value("speed", "3"), value("pause", "60000"))
			lift := r.end(kind.Platform).Entity
			r.with(kind.Spring, 2, 4, 1, 1, false, document.Up, value("height", "3"))
			r.carried(kind.Spring, lift)
			r.hold(0, 80)
			high := false
			for range 60 {
				r.hold(play.InputRight, 1)
				high = high || r.cell().Y <= 2
			}
			x, _ := r.where(kind.Spring)
			return high && x >= 5*16-2
		}},
		{"who stands in something walks out of it, and through no wall", true, func() bool {
			r := drawn(t, "\n######\n#@..##\n######").with(kind.Door, 1, 1, 1, 1, false, document.Down)
			x, y := r.hero().X, r.hero().Y
			for _, in := range []play.Input{play.InputLeft, play.InputUp, play.InputDown} {
				r.hold(in, 40)
			}
			in := max(r.hero().X-x, x-r.hero().X, r.hero().Y-y, y-r.hero().Y) < 4*play.Sub
			r.hold(play.InputRight, 60)
			return in && r.cell().X == 3
		}},
		{"who stands in a door that falls shut goes through no other", true, func() bool {
			r := drawn(t, "\n#######\n#@...##\n#######").with(kind.Door, 2, 1, 1, 1, true, document.Down).with(kind.Door, 3, 1, 1, 1, false, document.Down).
				with(kind.Sensor, 2, 1, 1, 1, true, document.Down).reads("when\n\tsomebody comes to any \"Sensor area\"\nthen\n\tshut every Door")
			r.hold(play.InputRight, 60)
			in := r.cell().X == 2
			r.hold(play.InputLeft, 60)
			return in && r.cell().X == 1
		}},
		{"a belt takes a block along", true, func() bool {
			r := drawn(t, free).with(kind.Conveyor, 3, 1, 6, 1, true, document.Right, value("speed", "2")).with(kind.Block, 4, 1, 1, 1, false, document.Down)
			x, _ := r.where(kind.Block)
			r.hold(0, 60)
			to, _ := r.where(kind.Block)
			return to > x+20
		}},
		{"a fan blows a walker away", true, func() bool {
			r := drawn(t, free).with(kind.Fan, 3, 1, 1, 1, true, document.Right, value("reach", "6"), value("force", "3")).with(kind.Walker, 5, 1, 1, 1, true, document.Right, still...)
			x, _ := r.where(kind.Walker)
			r.hold(0, 40)
			to, _ := r.where(kind.Walker)
			return to > x+16
		}},
		{"a charge breaks no shut door", true, func() bool {
			r := drawn(t, free).with(kind.Door, 4, 1, 1, 1, false, document.Down).with(kind.Charge, 5, 1, 1, 1, true, document.Down, value("after", "100"))
			r.hold(0, 20)
			return r.g.There(r.thing(kind.Door)) && !r.g.On(r.thing(kind.Door))
		}},
		{"a charge works a switch that a blow works", true, func() bool {
			r := drawn(t, free).with(kind.Switch, 6, 1, 1, 1, false, document.Down, value("workedBy", `"blow"`)).with(kind.Charge, 5, 1, 1, 1, true, document.Down, value("after", "100"))
			r.hold(0, 20)
			return r.g.On(r.thing(kind.Switch))
		}},
		{"a walker steps on no switch for steps of the hero", true, func() bool {
			r := drawn(t, free).with(kind.Switch, 6, 1, 1, 1, false, document.Down, value("workedBy", `"step"`)).with(kind.Walker, 6, 1, 1, 1, true, document.Right, still...)
			r.hold(0, 5)
			return !r.g.On(r.thing(kind.Switch))
		}},
		{"a walker weighs on a plate", true, func() bool {
			r := drawn(t, free).with(kind.Switch, 6, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`)).with(kind.Walker, 6, 1, 1, 1, true, document.Right, still...)
			r.hold(0, 5)
			return r.g.On(r.thing(kind.Switch))
		}},
		{"a flyer does not", true, func() bool {
			r := drawn(t, free).with(kind.Switch, 6, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`)).with(kind.Flyer, 6, 1, 1, 1, true, document.Right, still...)
			r.hold(0, 5)
			return !r.g.On(r.thing(kind.Switch))
		}},
		{"a sensor for blocks notices a pushed one", true, func() bool {
			r := drawn(t, free).with(kind.Sensor, 5, 1, 1, 1, true, document.Down, value("notices", `"blocks"`)).with(kind.Block, 3, 1, 1, 1, false, document.Down).with(kind.Door, 11, 0, 1, 1, false, document.Down)
			r.does(rules.WordEnter, r.end(kind.Sensor), rules.WordOpen, r.end(kind.Door))
			r.hold(play.InputRight, 120)
			return r.g.On(r.thing(kind.Door))
		}},
		{"a source makes what a sensor notices", true, func() bool {
			r := drawn(t, free).with(kind.Sensor, 6, 0, 3, 3, true, document.Down, value("notices", `"beings"`)).with(kind.Source, 7, 1, 1, 1, false, document.Left, value("makes", walkers)).with(kind.Door, 11, 0, 1, 1, false, document.Down).
				with(kind.Switch, 0, 1, 1, 1, false, document.Down)
			r.does(rules.WordEnter, r.end(kind.Sensor), rules.WordOpen, r.end(kind.Door)).does(rules.WordUse, r.end(kind.Switch), rules.WordMake, r.end(kind.Source))
			r.hold(0, 5)
			before := r.g.On(r.thing(kind.Door))
			r.press(play.InputUse)
			r.hold(0, 5)
			return !before && r.g.On(r.thing(kind.Door))
		}},
		{"what falls strikes through no platform", true, func() bool {
			r := drawn(t, "\n@.......\n#.......\n........\n........\n########", fromSide).with(kind.Platform, 4, 2, 1, 1, false, document.Right).with(kind.Walker, 4, 3, 1, 1, true, document.Left, append(still, value("defeatedBy", `["fall"]`))...).
				with(kind.Block, 4, 0, 1, 1, false, document.Down)
			r.hold(0, 60)
			return !gone(r, kind.Walker)
		}},
		{"a timer turns off the fan that blows", true, func() bool {
			r := drawn(t, free).with(kind.Fan, 0, 1, 1, 1, true, document.Right, value("force", "1")).with(kind.Timer, 11, 0, 1, 1, true, document.Down, value("every", "500"), value("again", "false"))
			r.does(rules.WordRings, r.end(kind.Timer), rules.WordTurnOff, r.end(kind.Fan))
			r.hold(0, 40)
			x := r.hero().X
			r.hold(0, 40)
			return x > 0 && r.hero().X == x
		}},
		{"a container that was taken away is not opened", true, func() bool {
			r := drawn(t, free).with(kind.Container, 1, 1, 1, 1, false, document.Down, value("holds", `["rope"]`)).with(kind.Switch, 0, 1, 1, 1, false, document.Down)
			r.does(rules.WordUse, r.end(kind.Switch), rules.WordRemove, r.end(kind.Container))
			r.press(play.InputUse)
			r.press(play.InputRight)
			r.press(play.InputUse)
			return !r.g.Has("rope")
		}},
		{"a goal that a rule brings is reached", true, func() bool {
			r := drawn(t, free).with(kind.Goal, 2, 1, 1, 1, false, document.Down).with(kind.Switch, 0, 1, 1, 1, false, document.Down)
			r.absent(kind.Goal)
			r.does(rules.WordUse, r.end(kind.Switch), rules.WordBring, r.end(kind.Goal))
			r.hold(play.InputRight, 30)
			before := r.g.Is(r.thing(kind.Goal), play.Reached)
			r.until(play.InputLeft, func() bool { return r.cell().X == 0 })
			r.press(play.InputUse)
			r.hold(play.InputRight, 30)
			return !before && r.g.Is(r.thing(kind.Goal), play.Reached)
		}},
	} {
		if got := c.meet(); got != c.is {
			t.Errorf("%s: it is not so", c.name)
		}
	}
}
