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

// A platform goes as far as it says, rests, comes back, and takes along what stands on it; one that
// is off stands still.
func TestPlatformsCarry(t *testing.T) {
	for _, c := range []struct {
		name, rows, view string
		x, y             int
		facing           document.Facing
		heroX, heroY     int64 // how far the hero was carried at the most, in sixteenths of a cell
	}{
		{"from above", "\n............\n............\n..@.........\n............", `view="above"`, 2, 2, document.Right, 48, 0},
		{"from above, over water", "\n............\n~~~~~~~~~~~~\n~~@~~~~~~~~~\n^^^^^^^^^^^^", `view="above"`, 2, 2, document.Right, 48, 0},
		{"from the side", "\n............\n............\n..@.........\n............\n............\n############", fromSide, 1, 3, document.Right, 48, 0},
		{"up", "\n......\n......\n......\n......\n..@...\n......\n######", fromSide, 1, 5, document.Up, 0, -48},
		{"down", "\n......\n..@...\n......\n......\n......\n......\n######", fromSide, 1, 2, document.Down, 0, 48},
	} {
		r := drawn(t, c.rows, c.view).with(kind.Platform, c.x, c.y, 3, 1, true, c.facing, value("range", "3"), value("speed", "2"), value("pause", "500"))
		x, y := r.hero().X, r.hero().Y
		var farX, farY int64
		for range 110 {
			r.hold(0, 1)
			farX, farY = r.hero().X-x, r.hero().Y-y
		}
		near := func(a, b int64) bool { return abs(a*16/cell-b) <= 1 }
		if !near(farX, c.heroX) || !near(farY, c.heroY) || r.g.Count(play.Hearts) != 3 {
			t.Errorf("%s: the hero was carried %d, %d, and has %d hearts", c.name, farX*16/cell, farY*16/cell, r.g.Count(play.Hearts))
		}
		r.hold(0, 110)
		if dx, dy := r.hero().X-x, r.hero().Y-y; !near(dx, 0) || !near(dy, 0) {
			t.Errorf("%s: it came back %d, %d off", c.name, dx, dy)
		}
		off := drawn(t, c.rows, c.view).with(kind.Platform, c.x, c.y, 3, 1, false, c.facing, value("range", "3"), value("speed", "2"))
		if a, b, c, d := off.swing(kind.Platform, 100); a != b || c != d {
			t.Error("one that is off moves")
		}
	}
}

// What is fixed to something that moves goes along, whatever it is, and can be taken there.
func TestWhatIsFixedGoesAlong(t *testing.T) {
	r := drawn(t, "\n..........\n@.........\n..........").with(kind.Platform, 2, 2, 1, 1, true, document.Right, value("range", "5"), value("speed", "5"), value("pause", "60000"))
	lift := r.g.Stage.Thing(r.thing(kind.Platform)).ID
	r.with(kind.Collectible, 2, 1, 1, 1, false, document.Down)
	pearl := r.g.Stage.Thing(r.thing(kind.Collectible)).ID
	r.d = apply(t, r.d, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.g.Ground().ID, ID: pearl}, "carrier", lift))
	r.hold(0, 90)
	if x, y := r.where(kind.Collectible); x != 7*16 || y != 16 {
		t.Fatalf("what is fixed to it is at %d, %d", x, y)
	}
	r.hold(play.InputRight, 30)
	if r.g.Is(r.thing(kind.Collectible), play.Taken) {
		t.Error("it was taken where it is not any more")
	}
	r.until(play.InputRight, func() bool { return r.g.Is(r.thing(kind.Collectible), play.Taken) })
	if x := r.hero().X; x < 5*cell {
		t.Errorf("it was taken at %d", x)
	}
}

// A block is pushed by a cell, never into what is in its way; its weight holds a switch down.
func TestBlocks(t *testing.T) {
	r := drawn(t, "\n.......#\n@......#\n.......#").with(kind.Switch, 4, 1, 1, 1, false, document.Down, value("workedBy", `"weight"`), value("goesBack", `"whenLeft"`)).with(kind.Block, 2, 1, 1, 1, false, document.Down)
	scale := r.thing(kind.Switch)
	r.hold(play.InputRight, 40)
	if x, _ := r.where(kind.Block); x%16 != 0 && x < 32 {
		t.Errorf("a push brought it to %d", x)
	}
	r.until(play.InputRight, func() bool { x, _ := r.where(kind.Block); return x == 4*16 })
	r.hold(0, 2)
	if !r.g.On(scale) {
		t.Error("a block does not hold the switch down")
	}
	r.until(play.InputRight, func() bool { x, _ := r.where(kind.Block); return x == 6*16 })
	r.hold(play.InputRight, 60)
	if x, _ := r.where(kind.Block); x != 6*16 || r.hero().X > 6*cell-12*play.Sub {
		t.Errorf("against a wall it is at %d, the hero at %d", x, r.hero().X)
	}
	r.hold(play.InputLeft, 60)
	if r.g.On(scale) {
		t.Error("nothing holds the switch down any more")
	}
	// from the side it is pushed as far as one goes, falls off an edge, and is stood on
	r = drawn(t, "\n..........\n..........\n@.........\n#####.....\n##########", fromSide).with(kind.Block, 2, 2, 1, 1, false, document.Down)
	r.hold(play.InputRight, 150)
	if x, y := r.where(kind.Block); y != 3*16 || x < 5*16 {
		t.Errorf("over the edge it is at %d, %d", x, y)
	}
	// above, eight directions do not push it at a slant
	r = drawn(t, "\n......\n@.....\n......\n......").with(kind.Block, 1, 2, 1, 1, false, document.Down)
	r.hold(play.InputRight|play.InputDown, 10)
	if x, y := r.where(kind.Block); x != 16 && y != 32 {
		t.Errorf("pushed at a slant it is at %d, %d", x, y)
	}
}

// A falling block holds for a while, falls, and comes back.
func TestFallingBlocks(t *testing.T) {
	r := drawn(t, "\n......\n.@....\n......\n......\n......\n......\n######", fromSide).with(kind.Faller, 1, 2, 1, 1, false, document.Down, value("after", "500"), value("comesBackAfter", "1500"))
	r.hold(0, 20)
	if _, y := r.where(kind.Faller); y != 32 {
		t.Errorf("it fell at once, to %d", y)
	}
	r.hold(0, 40)
	if _, y := r.where(kind.Faller); y <= 32 {
		t.Error("it holds for ever")
	}
	r.hold(play.InputRight, 40)
	r.hold(0, 60)
	if x, y := r.where(kind.Faller); x != 16 || y != 32 {
		t.Errorf("it came back to %d, %d", x, y)
	}
}

// A spring throws as high as it says, from above as far ahead, over what hurts.
func TestSprings(t *testing.T) {
	for _, height := range []string{"2", "5", "7"} {
		r := drawn(t, "\n....\n....\n....\n....\n....\n....\n....\n....\n.@..\n....\n####", fromSide).with(kind.Spring, 1, 9, 1, 1, false, document.Up, value("height", height))
		r.until(0, func() bool { return r.hero().VY < 0 })
		from := r.feet()
		high := int64(0)
		for range 120 {
			r.hold(0, 1)
			high = max(high, from-r.feet())
			if r.hero().VY > 0 {
				break
			}
		}
		if want := kind.Datum(height).Thousandths() * cell / 1000; high < want-play.Sub || high > want+play.Sub {
			t.Errorf("a spring of %s cells throws %d units, wanted %d", height, high, want)
		}
	}
	down := drawn(t, "\n....\n....\n....\n....\n....\n.@..\n....\n####", fromSide).with(kind.Spring, 1, 5, 1, 1, false, document.Down, value("height", "3"))
	down.until(0, func() bool { return down.hero().VY < 0 })
	for _, e := range down.g.Ground().Entities.All() {
		if e.Kind == kind.Spring {
			if traces := play.Behaviour(down.g.Stage.Doc, down.g.Stage.Chart, down.g.Ground().Map, e); len(traces) != 1 || traces[0].Points[1].Y >= traces[0].Points[0].Y {
				t.Errorf("one that was put down as it comes is shown throwing %+v", traces)
			}
		}
	}
	r := drawn(t, "\n............\n.@...^^^....\n............").with(kind.Spring, 3, 1, 1, 1, false, document.Right, value("height", "6"))
	r.until(play.InputRight, func() bool { return r.hero().Push > 0 })
	r.hold(0, 60)
	if x := r.cell().X; x < 8 || x > 10 || r.g.Count(play.Hearts) != 3 {
		t.Errorf("thrown over what hurts it is at %d with %d hearts", x, r.g.Count(play.Hearts))
	}
}

// A conveyor takes along what stands on it while it goes.
func TestConveyors(t *testing.T) {
	for _, c := range []struct {
		rows, view string
		y          int
		on         bool
		want       int64
	}{{"\n.........\n...@.....\n.........", `view="above"`, 1, true, 1}, {"\n.........\n...@.....\n.........", `view="above"`, 1, false, 0},
		{"\n.........\n...@.....\n#########", fromSide, 2, true, 1}, {"\n.........\n...@.....\n#########", fromSide, 2, false, 0}} {
		r := drawn(t, c.rows, c.view).with(kind.Conveyor, 0, c.y, 9, 1, c.on, document.Right, value("speed", "3"))
		x := r.hero().X
		r.hold(0, 60)
		if sign(r.hero().X-x) != c.want || c.want > 0 && abs(r.hero().X-x-3*cell) > cell/4 {
			t.Errorf("%s, going %v: carried by %d", c.view, c.on, r.hero().X-x)
		}
	}
}

// A conveyor leaves alone who stands beside it, or above it in the air.
func TestConveyorsCarryOnlyWhatIsOnThem(t *testing.T) {
	r := drawn(t, "\n.........\n...@.....\n#########", fromSide).with(kind.Conveyor, 5, 2, 3, 1, true, document.Right, value("speed", "3")).with(kind.Sensor, 3, 2, 1, 1, true, document.Down)
	x := r.hero().X
	if r.hold(0, 60); r.hero().X != x {
		t.Errorf("beside a conveyor it was carried by %d", r.hero().X-x)
	}
}

// A door opens to who has its key; a key that is used up opens one of two; one falls shut again.
func TestKeysAndDoors(t *testing.T) {
	brass := value("needs", `"brass"`)
	build := func(usedUp string) *run {
		return drawn(t, "\n##########\n@.........\n##########").with("key", 2, 1, 1, 1, false, document.Down, value("opens", `"brass"`), value("usedUp", usedUp)).
			with(kind.Door, 4, 1, 1, 1, false, document.Down, brass, value("closesAgain", "true")).with(kind.Door, 7, 1, 1, 1, false, document.Down, brass)
	}
	r := build("false")
	r.hold(play.InputRight, 200)
	if r.cell().X != 9 {
		t.Errorf("with the key it came to %v", r.cell())
	}
	first := r.thing(kind.Door) - 1
	if r.g.Is(first, play.Opened) == r.g.Is(first+1, play.Opened) {
		t.Error("one door falls shut, the other stays open")
	}
	if r = build("true"); true {
		r.hold(play.InputRight, 200)
	}
	if r.cell().X != 6 || r.g.Has("brass") {
		t.Errorf("with a key for one door it came to %v, and has the key: %v", r.cell(), r.g.Has("brass"))
	}
	r = drawn(t, "\n##########\n@.........\n##########").with(kind.Door, 4, 1, 1, 1, false, document.Down, brass)
	r.hold(play.InputRight, 100)
	if r.cell().X != 3 {
		t.Errorf("without a key it came to %v", r.cell())
	}
	// what is in a container is had once it is open
	r = drawn(t, "\n..........\n@.........\n##########").with(kind.Container, 1, 0, 1, 1, false, document.Down, value("holds", `["brass","rope"]`))
	if r.g.Has("rope") {
		t.Error("what is in a shut container is had")
	}
	r.hold(play.InputRight, 14)
	r.hold(play.InputUp, 4)
	r.press(play.InputUse)
	if !r.g.Has("rope") || r.g.Has("pearl") {
		t.Error("what was in a container is not had")
	}
}

// A switch is worked by a step or by use, and goes back as it says; what waits for it is woken.
func TestSwitchesAreWorked(t *testing.T) {
	rows := "\n..........\n@.........\n.........."
	states := func(by, back string, tail int) (was []bool) {
		r := drawn(t, rows).with(kind.Switch, 3, 1, 1, 1, false, document.Down, value("workedBy", `"`+by+`"`), value("goesBack", `"`+back+`"`), value("after", "1000"))
		ref := r.thing(kind.Switch)
		r.until(play.InputRight, func() bool { return r.cell().X == 3 })
		if by == "use" {
			r.press(play.InputUse)
		}
		was = append(was, r.g.On(ref))
		r.until(play.InputRight, func() bool { return r.cell().X == 5 })
		was = append(was, r.g.On(ref))
		r.hold(0, tail)
		return append(was, r.g.On(ref))
	}
	for _, c := range []struct {
		by, back string
		want     [3]bool
	}{{"use", "never", [3]bool{true, true, true}}, {"step", "never", [3]bool{true, true, true}}, {"step", "whenLeft", [3]bool{true, false, false}},
		{"step", "afterAWhile", [3]bool{true, true, false}}, {"use", "afterAWhile", [3]bool{true, true, false}}, {"weight", "whenLeft", [3]bool{true, false, false}}, {"weight", "never", [3]bool{true, true, true}}} {
		if got := states(c.by, c.back, 60); got[0] != c.want[0] || got[1] != c.want[1] || got[2] != c.want[2] {
			t.Errorf("worked by %s, back %s: on %v", c.by, c.back, got)
		}
	}
	r := drawn(t, "\n..........\n@.....D...\n..........").with(kind.Switch, 3, 1, 1, 1, false, document.Down, value("workedBy", `"step"`))
	m, plate := r.g.Ground().ID, r.g.Stage.Thing(r.thing(kind.Switch)).ID
	c, err := author.AddRule(r.d, rules.Of(rules.Use(m, plate), rules.Open(m, r.g.Stage.Thing(r.thing(kind.Door)).ID)))
	if err != nil {
		t.Fatal(err)
	}
	r.d = apply(t, r.d, c.Do...)
	r.hold(play.InputRight, 160)
	if r.cell().X < 8 {
		t.Errorf("the plate did not open the door: %v", r.cell())
	}
}

// Beams, arms and shots strike, up to what is solid, and only while they are there.
func TestDangers(t *testing.T) {
	hearts := func(rows string, ticks int, k string, x, y int, on bool, f document.Facing, values ...kind.Value) int32 {
		r := drawn(t, rows).with(k, x, y, 1, 1, on, f, values...)
		r.hold(0, ticks)
		return r.g.Count(play.Hearts)
	}
	open, wall := "\n........\n@.......\n........", "\n........\n@..#....\n........"
	for _, c := range []struct {
		name string
		got  int32
		want int32
	}{
		{"a beam", hearts(open, 20, kind.Beam, 6, 1, true, document.Left, value("length", "9")), 2},
		{"a short beam", hearts(open, 20, kind.Beam, 6, 1, true, document.Left, value("length", "3")), 3},
		{"a beam behind a wall", hearts(wall, 20, kind.Beam, 6, 1, true, document.Left, value("length", "9")), 3},
		{"a beam that is off", hearts(open, 20, kind.Beam, 6, 1, false, document.Left, value("length", "9")), 3},
		{"a beam that pauses", hearts(open, 40, kind.Beam, 6, 1, true, document.Left, value("length", "9"), value("onFor", "10"), value("offFor", "60000")), 3},
		{"an arm", hearts(open, 60, kind.Turner, 2, 1, true, document.Left, value("arm", "2"), value("turnTakes", "1000")), 2},
		{"a short arm", hearts(open, 60, kind.Turner, 3, 1, true, document.Left, value("arm", "1"), value("turnTakes", "1000")), 3},
		{"an arm to and fro", hearts(open, 60, kind.Turner, 2, 1, true, document.Left, value("arm", "2"), value("turnTakes", "1000"), value("turns", `"toAndFro"`)), 3},
		{"a shot ahead", hearts(open, 100, kind.Shooter, 6, 1, true, document.Left, value("reach", "9"), value("every", "500"), value("shotSpeed", "9")), 2},
		{"a shot the other way", hearts(open, 100, kind.Shooter, 6, 1, true, document.Right, value("reach", "9"), value("every", "500")), 3},
		{"a shot that ends before", hearts(open, 100, kind.Shooter, 6, 1, true, document.Left, value("reach", "3"), value("every", "500")), 3},
		{"a shot against a wall", hearts(wall, 100, kind.Shooter, 6, 1, true, document.Left, value("reach", "9"), value("every", "500")), 3},
		{"a shot at the hero", hearts("\n........\n@.......\n........\n........", 100, kind.Shooter, 4, 3, true, document.Right, value("reach", "9"), value("every", "500"), value("aims", `"atHero"`), value("sight", "6")), 2},
		{"a shot at a hero far away", hearts(open, 60, kind.Shooter, 6, 1, true, document.Right, value("reach", "9"), value("every", "500"), value("aims", `"atHero"`), value("sight", "3")), 3},
		{"shots all around", hearts("\n....\n@...\n....\n....", 60, kind.Shooter, 2, 3, true, document.Right, value("reach", "9"), value("every", "500"), value("aims", `"allAround"`)), 2},
	} {
		if c.got != c.want {
			t.Errorf("%s: %d hearts, wanted %d", c.name, c.got, c.want)
		}
	}
}

// What moves is brought along when the project changes meanwhile: removed, put elsewhere, let go of.
func TestWhatMovesComesAlong(t *testing.T) {
	r := drawn(t, "\n............\n............\n..@.........\n............").with(kind.Platform, 1, 1, 3, 3, true, document.Right, value("range", "6"), value("speed", "2"))
	lift := r.g.Stage.Thing(r.thing(kind.Platform)).ID
	ref := edit.Ref{Type: edit.TypeEntity, Map: r.g.Ground().ID, ID: lift}
	r.hold(0, 60)
	was, on := r.hero().X, r.d
	r.d = apply(t, r.d, edit.Set(ref, "name", "Ferry"))
	r.hold(0, 30)
	if r.hero().X <= was {
		t.Error("an edit of something else put it back")
	}
	r.d = apply(t, on, edit.Remove(ref))
	was = r.hero().X
	r.hold(0, 30)
	if r.hero().X != was || len(r.g.Bodies) != 1 {
		t.Error("what was removed carries on")
	}
	r.d = on
	r.hold(0, 1)
	if x, _ := r.where(kind.Platform); x > 20 || len(r.g.Bodies) != 2 {
		t.Errorf("back again it stands at %d", x)
	}
	var none world.Ref = world.None
	if r.g.Is(none, play.Gone) {
		t.Error("nothing is gone")
	}
}

// Seen from the side one goes past signs, characters and containers, and uses them there.
func TestPassingBySeenFromTheSide(t *testing.T) {
	for _, k := range []string{kind.Sign, kind.Character, kind.Container} {
		for view, want := range map[string]int{fromSide: 7, `view="above"`: 2} {
			r := drawn(t, "\n........\n@.......\n########", view).with(k, 3, 1, 1, 1, false, document.Down, value("says", `"Hello."`))
			r.hold(play.InputRight, 150)
			if got := r.cell().X; got != want {
				t.Errorf("past a %s, %s: it came to %d", k, view, got)
			}
		}
	}
	r := drawn(t, "\n........\n@.......\n########", fromSide).with(kind.Sign, 3, 1, 1, 1, false, document.Down, value("says", `"Hello."`))
	r.until(play.InputRight, func() bool { return r.cell().X == 3 })
	r.press(play.InputUse)
	if len(r.g.Lines) != 1 {
		t.Error("a sign that one stands at is not read")
	}
}

// Where there is nothing to use, using strikes ahead: beings, what breaks, switches that wait for
// a blow; with the item that it takes, and no more often than a blow is long.
func TestBlows(t *testing.T) {
	rows := "\n......\n@.....\n......"
	for _, c := range []struct {
		name, kind string
		values     []kind.Value
		hero       []string
		blows      int
		gone       bool
	}{
		{"a walker", kind.Walker, []kind.Value{value("range", "0"), value("harm", "0"), value("sight", "0")}, nil, 1, true},
		{"one that takes two", kind.Walker, []kind.Value{value("range", "0"), value("harm", "0"), value("health", "2"), value("sight", "0")}, nil, 1, false},
		{"one that takes two, twice", kind.Walker, []kind.Value{value("range", "0"), value("harm", "0"), value("health", "2"), value("sight", "0")}, nil, 2, true},
		{"a jar", kind.Breakable, nil, nil, 1, true},
		{"a wall of three", kind.Breakable, []kind.Value{value("health", "3")}, nil, 2, false},
		{"a wall of three, thrice", kind.Breakable, []kind.Value{value("health", "3")}, nil, 3, true},
		{"what a hammer breaks", kind.Breakable, []kind.Value{value("by", `"hammer"`)}, nil, 1, false},
		{"what a hammer breaks, with one", kind.Breakable, []kind.Value{value("by", `"hammer"`)}, []string{`hero.carries=["hammer"]`}, 1, true},
		{"one who cannot strike", kind.Breakable, nil, []string{`hero.blow="none"`}, 1, false},
		{"one who needs a stick", kind.Breakable, nil, []string{`hero.blowWith="stick"`}, 1, false},
		{"one who has a stick", kind.Breakable, nil, []string{`hero.blowWith="stick"`, `hero.carries=["stick"]`}, 1, true},
		{"a shooter", kind.Shooter, []kind.Value{value("every", "60000")}, nil, 1, true},
	} {
		r := drawn(t, rows, c.hero...).with(c.kind, 1, 1, 1, 1, true, document.Up, c.values...)
		r.hero().Facing = 1
		for range c.blows {
			r.press(play.InputUse)
			r.press(play.InputUse) // too early
			r.hold(0, play.BlowTicks)
		}
		if there := r.g.There(r.thing(c.kind)); there == c.gone {
			t.Errorf("%s after %d blows: there %v", c.name, c.blows, there)
		}
	}
	r := drawn(t, rows).with(kind.Switch, 1, 1, 1, 1, false, document.Down, value("workedBy", `"blow"`))
	r.hero().Facing = 1
	r.press(play.InputUse)
	if !r.g.On(r.thing(kind.Switch)) {
		t.Error("a blow does not work the switch")
	}
	r = drawn(t, rows).with(kind.Breakable, 1, 1, 1, 1, false, document.Down, value("leaves", `"bone"`))
	r.hero().Facing = 1
	if r.g.Has("bone") {
		t.Error("what is left of it is had before")
	}
	r.press(play.InputUse)
	if !r.g.Has("bone") {
		t.Error("what is left of it is not had")
	}
}
