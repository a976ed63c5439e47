package play_test

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"testing"
)

const cell = 16 * play.Sub

// value is a setting that differs.
func value(key, v string) kind.Value { return kind.Value{Key: key, Value: kind.Datum(v)} }

// thing is the last entity of a kind on the drawn map.
func (r *run) thing(k string) world.Ref {
	r.t.Helper()
	m := r.g.Ground()
	for ref := m.After - 1; ref >= m.First; ref-- {
		if r.g.Stage.Thing(ref).Acts == k {
			return ref
		}
	}
	r.t.Fatalf("there is no %s", k)
	return world.None
}

// where is the top left of a thing's box, in sixteenths of a cell.
func (r *run) where(k string) (x, y int64) {
	r.t.Helper()
	ref := r.thing(k)
	for i := 1; i < len(r.g.Bodies); i++ {
		if b := r.g.Bodies[i]; b.Of == ref {
			return b.X * 16 / cell, b.Y * 16 / cell
		}
	}
	b := r.g.Stage.Thing(ref).Body
	return b.Left * 16 / cell, b.Top * 16 / cell
}

// swing plays for a while and gives how far a thing went to either side.
func (r *run) swing(k string, ticks int) (left, right, top, bottom int64) {
	r.t.Helper()
	left, top = 1<<40, 1<<40
	right, bottom = -1<<40, -1<<40
	for range ticks {
		r.hold(0, 1)
		x, y := r.where(k)
		left, right, top, bottom = min(left, x), max(right, x), min(top, y), max(bottom, y)
	}
	return left, right, top, bottom
}

// Somebody who goes to and fro comes as far as it says, and no farther than walls and edges let it.
func TestPatrols(t *testing.T) {
	for _, c := range []struct {
		name, kind, rows string
		x, y             int
		facing           document.Facing
		values           []kind.Value
		settings         []string
		left, right      int64 // in sixteenths of a cell
		top, bottom      int64
	}{
		{"a walker from above", kind.Walker, "............\n@...........\n............", 5, 2, document.Right, []kind.Value{value("range", "2"), value("speed", "4")}, nil, 48, 112, 32, 32},
		{"up and down", kind.Walker, "@....\n.....\n.....\n.....\n.....\n.....", 3, 2, document.Down, []kind.Value{value("range", "1.5"), value("speed", "4")}, nil, 48, 48, 8, 56},
		{"between walls", kind.Walker, "@...........\n............\n...#....#...", 5, 2, document.Right, []kind.Value{value("range", "9"), value("speed", "4")}, nil, 64, 112, 32, 32},
		{"a range of nothing", kind.Walker, "@.....\n......\n......", 3, 2, document.Right, []kind.Value{value("range", "0")}, nil, 48, 48, 32, 32},
		{"no speed", kind.Walker, "@.....\n......\n......", 3, 2, document.Right, []kind.Value{value("speed", "0")}, nil, 48, 48, 32, 32},
		{"a flyer over walls", kind.Flyer, "@...........\n............\n...#....#...", 5, 2, document.Right, []kind.Value{value("range", "4"), value("speed", "6")}, nil, 16, 144, 32, 32},
		{"a flyer at the edge", kind.Flyer, "@...........\n............\n............", 5, 2, document.Left, []kind.Value{value("range", "9"), value("speed", "9")}, nil, 0, 176, 32, 32},
		{"from the side between edges", kind.Walker, "@...........\n#...........\n....@.......\n..######....\n............", 4, 2, document.Right, []kind.Value{value("range", "9"), value("speed", "4")}, []string{fromSide}, 32, 112, 32, 32},
		{"from the side within its range", kind.Walker, "@...........\n#...........\n............\n############", 5, 2, document.Left, []kind.Value{value("range", "1"), value("speed", "4")}, []string{fromSide}, 64, 96, 32, 32},
		{"it falls first", kind.Walker, "@...........\n#...........\n............\n.....#......\n############", 5, 0, document.Right, []kind.Value{value("range", "0")}, []string{fromSide}, 80, 80, 0, 32},
	} {
		r := drawn(t, "\n"+c.rows, c.settings...).with(c.kind, c.x, c.y, 1, 1, true, c.facing, append(c.values, value("seeing", `"goesOn"`))...)
		left, right, top, bottom := r.swing(c.kind, 900)
		if left != c.left || right != c.right || top != c.top || bottom != c.bottom {
			t.Errorf("%s: it went from %d to %d and from %d to %d, wanted %d to %d and %d to %d", c.name, left, right, top, bottom, c.left, c.right, c.top, c.bottom)
		}
	}
}

// Who sees the hero follows it, flees from it or stands still, as far as it sees and no wall hides it.
func TestBeingsSeeTheHero(t *testing.T) {
	const open, wall = "\n.............\n@...........\n............", "\n....#.......\n@...#.......\n....#......."
	for _, c := range []struct {
		name, rows, seeing, sight string
		kind                      string
		nearer                    int64 // −1 comes nearer, 1 goes away, 0 stays
	}{
		{"follows", open, "follows", "9", kind.Walker, -1}, {"too far", open, "follows", "5", kind.Walker, 0}, {"behind a wall", wall, "follows", "9", kind.Walker, 0},
		{"flees", open, "flees", "9", kind.Walker, 1}, {"stops", open, "stops", "9", kind.Walker, 0}, {"flies after it", open, "follows", "9", kind.Flyer, -1},
		{"is blind", open, "follows", "0", kind.Walker, 0},
	} {
		for _, view := range []string{`view="above"`, fromSide} {
			if view == fromSide && c.kind == kind.Flyer {
				continue
			}
			r := drawn(t, c.rows+"\n#############"[:len("\n############")], view).with(c.kind, 7, 1, 1, 1, true, document.Right, value("range", "0"), value("sight", c.sight), value("seeing", `"`+c.seeing+`"`))
			r.hold(0, 40)
			x, _ := r.where(c.kind)
			r.hold(0, 20)
			now, _ := r.where(c.kind)
			if c.name == "flees" {
				x = 7 * 16
			}
			if sign(now-x) != c.nearer {
				t.Errorf("%s, %s: it went from %d to %d", c.name, view, x, now)
			}
		}
	}
}

// A touch takes a heart; who jumps on a head is thrown up again, and its owner is gone with the last hit.
func TestTouchingAndJumpingOnBeings(t *testing.T) {
	r := drawn(t, "\n........\n@.......\n........").with(kind.Walker, 3, 1, 1, 1, true, document.Right, value("range", "0"), value("harm", "2"), value("sight", "0"))
	r.hold(play.InputRight, 40)
	if h := r.g.Count(play.Hearts); h != 1 {
		t.Errorf("after a touch of two it has %d hearts", h)
	}
	for _, c := range []struct {
		health, by string
		gone       int // after how many jumps
	}{{"1", "jump", 1}, {"2", "jump", 2}, {"1", "nothing", 0}} {
		r := drawn(t, "\n..@.....\n........\n........\n........\n########", fromSide).with(kind.Walker, 2, 3, 1, 1, true, document.Right, value("range", "0"), value("health", c.health), value("defeatedBy", `"`+c.by+`"`))
		hits, defeats := 0, 0
		for range 80 {
			r.hold(0, 1)
			for _, e := range r.g.Told {
				switch e.Is {
				case "hit":
					hits++
				case "defeat":
					defeats++
				}
			}
			if defeats > 0 {
				break
			}
		}
		there := r.g.There(r.thing(kind.Walker))
		if there != (c.gone == 0) || c.gone > 0 && (hits != c.gone-1 || r.hero().VY >= 0 || r.g.Count(play.Hearts) != 3) || c.gone == 0 && r.g.Count(play.Hearts) == 3 {
			t.Errorf("%s hits by %s: there %v after %d hits, the hero goes %d and has %d hearts", c.health, c.by, there, hits, r.hero().VY, r.g.Count(play.Hearts))
		}
	}
}

// Characters stand, look around, wander within their reach, come along; they turn to the hero and speak.
func TestCharacters(t *testing.T) {
	rows := "\n.........\n.........\n@........\n.........\n........."
	with := func(does string) *run {
		return drawn(t, rows).with(kind.Character, 4, 2, 1, 1, true, document.Down, value("does", `"`+does+`"`), value("roams", "1"), value("says", `"Low water at six."`), value("speed", "4"))
	}
	r := with("stands")
	if a, b, c, d := r.swing(kind.Character, 400); a != 64 || b != 64 || c != 32 || d != 32 {
		t.Errorf("one that stands went to %d, %d, %d, %d", a, b, c, d)
	}
	r.until(play.InputRight, func() bool { return r.cell().X == 3 })
	r.hold(play.InputRight, 20)
	r.press(play.InputUse)
	ref := r.thing(kind.Character)
	if len(r.g.Lines) == 0 || r.g.Lines[0].Text != "Low water at six." {
		t.Errorf("it says %v", r.g.Lines)
	}
	for _, b := range r.g.Bodies[1:] {
		if b.Of == ref && b.Look() != document.Left {
			t.Errorf("spoken to from the left it looks %s", b.Look())
		}
	}
	r = with("wanders")
	a, b, c, d := r.swing(kind.Character, 3000)
	if a != 48 || b != 80 || c != 16 || d != 48 {
		t.Errorf("one that wanders a cell around was from %d to %d and %d to %d", a, b, c, d)
	}
	r = with("looksAround")
	seen := map[document.Facing]bool{}
	for range 2000 {
		r.hold(0, 1)
		seen[r.g.Bodies[1].Look()] = true
	}
	if len(seen) != 4 {
		t.Errorf("it looks %v", seen)
	}
	r = with("follows")
	r.hold(play.InputDown, 60)
	r.hold(0, 200)
	if x, y := r.where(kind.Character); x > 24 || y < 48 {
		t.Errorf("one that comes along is at %d, %d", x, y)
	}
	// nobody walks into the hero, and the hero into nobody
	r.hold(play.InputRight, 300)
	if r.g.Is(ref, play.Gone) || r.hero().X > 6*cell {
		t.Errorf("the hero went through somebody, to %d", r.hero().X)
	}
}

// A path is gone along: there and back, round, or once, with rests.
func TestPaths(t *testing.T) {
	for _, c := range []struct {
		goes string
		want []int64 // where it is, in sixteenths across, after each second
	}{
		// the path goes from 3 to 5 cells in a second at 2 cells/s
		{"thereAndBack", []int64{80, 48, 80, 48}}, {"round", []int64{80, 48, 80, 48}}, {"once", []int64{80, 80, 80, 80}},
	} {
		r := drawn(t, "\n.........\n.........\n@........\n.........")
		r.with(kind.Path, 3, 1, 1, 1, false, document.Down, value("goes", `"`+c.goes+`"`), value("speed", "2"))
		ref := r.thing(kind.Path)
		path := r.g.Stage.Thing(ref).ID
		m := r.g.Ground().ID
		r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m, ID: path}, "points", []map[string]int{{"x": 32, "y": 0}}))
		r.with(kind.Flyer, 3, 1, 1, 1, true, document.Right, value("path", `"`+string(path)+`"`))
		var got []int64
		for range c.want {
			r.hold(0, 61)
			x, _ := r.where(kind.Flyer)
			got = append(got, x)
		}
		for i := range got {
			if d := got[i] - c.want[i]; d < -6 || d > 6 {
				t.Errorf("%s: it was at %v, wanted %v", c.goes, got, c.want)
				break
			}
		}
	}
}

func abs(v int64) int64 { return max(v, -v) }

// A sensor that watches tells rules of whom it notices, once until all have left; so do goals
// and checkpoints.
func TestSensors(t *testing.T) {
	for _, c := range []struct {
		notices, comes string
		on             bool
		want           int
	}{{"hero", "", true, 2}, {"hero", "", false, 0}, {"beings", "", true, 0}, {"anything", "", true, 2}, {"beings", kind.Walker, true, 1}, {"blocks", kind.Walker, true, 0}, {"blocks", kind.Block, true, 1}, {"anything", kind.Block, true, 1}} {
		r := drawn(t, "\n..........\n@.........\n..........\n..........").with(kind.Sensor, 4, 1, 2, 1, c.on, document.Down, value("notices", `"`+c.notices+`"`))
		if c.comes != "" {
			r.with(c.comes, 4, 1, 1, 1, true, document.Down, value("range", "0"))
		}
		told := 0
		count := func() {
			for _, e := range r.g.Told {
				if e.Is == "enter" {
					told++
				}
			}
		}
		if c.comes != "" { // it is there already
			r.hold(0, 3)
			told = 0
			if r.g.Is(r.thing(kind.Sensor), play.Reached) {
				told = 1
			}
		} else {
			for _, in := range []play.Input{play.InputRight, play.InputLeft} {
				for range 110 {
					r.hold(in, 1)
					count()
				}
			}
		}
		if told != c.want {
			t.Errorf("one that notices %s, watching %v, with %q: told %d times, wanted %d", c.notices, c.on, c.comes, told, c.want)
		}
	}
	for _, k := range []string{kind.Goal, kind.Checkpoint, kind.Sensor} {
		r := drawn(t, "\n..........\n@.....D...\n..........").with(k, 3, 1, 1, 1, true, document.Down)
		m := r.g.Ground().ID
		c, err := author.AddRule(r.d, rules.Of(rules.Enter(m, r.g.Stage.Thing(r.thing(k)).ID), rules.Open(m, r.g.Stage.Thing(r.thing(kind.Door)).ID)))
		if err != nil {
			t.Fatal(err)
		}
		r.d = apply(t, r.d, c.Do...)
		r.hold(play.InputRight, 160)
		if r.cell().X < 8 {
			t.Errorf("coming to a %s does not open the door: %v", k, r.cell())
		}
	}
}
