package play_test

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"fmt"
	"strings"
	"testing"
)

const fromSide = kind.MapView + `="side"`

var hall = `
....................
....................
....................
....................
....................
....................
..@.................
####################`

// highest plays until the hero stands again and gives how high its feet came, in units.
func (r *run) highest(in func(tick int) play.Input) (high int64) {
	from := r.feet()
	for n := range 400 {
		r.hold(in(n), 1)
		high = max(high, from-r.feet())
		if n > 2 && r.hero().Mode == play.Walking {
			return high
		}
	}
	r.t.Error("it never stood again")
	return high
}

// A jump of so many cells is so many cells high: never less, and less than a sixteenth more,
// whatever the gravity.
func TestAJumpIsAsHighAsItSays(t *testing.T) {
	for _, cells := range []string{"1", "2", "3", "4.5"} {
		for _, gravity := range []string{"10", "30", "77", "200"} {
			r := drawn(t, hall, fromSide, "jump="+cells, "gravity="+gravity)
			high := r.highest(func(int) play.Input { return play.InputJump })
			want := kind.Datum(cells).Thousandths() * 16 * play.Sub / 1000
			if high < want || high > want+play.Sub {
				t.Errorf("a jump of %s cells at %s cells/s² is %d units high, wanted %d", cells, gravity, high, want)
			}
		}
	}
}

func TestAJumpIsShorterWhenItsKeyIsLetGo(t *testing.T) {
	whole := drawn(t, hall, fromSide).highest(func(int) play.Input { return play.InputJump })
	short := drawn(t, hall, fromSide).highest(func(n int) play.Input {
		if n < 3 {
			return play.InputJump
		}
		return 0
	})
	if short >= whole*2/3 || short < 8*play.Sub {
		t.Errorf("held it is %d units high, hit %d", whole, short)
	}
}

// Speed grows to what the kind says within the time it says, and is gone as fast.
func TestRunningStartsAndStops(t *testing.T) {
	r := drawn(t, hall, fromSide, "hero.starts=200", "hero.stops=100", "run=6")
	full := int64(6 * 16 * play.Sub / 60)
	r.hold(play.InputRight, 6)
	if v := r.hero().VX; v < full/3 || v > full*2/3 {
		t.Errorf("after half the time it goes %d, of %d", v, full)
	}
	r.hold(play.InputRight, 8)
	if v := r.hero().VX; v != full {
		t.Errorf("after all of it it goes %d, of %d", v, full)
	}
	x := r.hero().X
	r.hold(play.InputRight, 30)
	if got := r.hero().X - x; got != 30*full {
		t.Errorf("in half a second it goes %d, wanted %d", got, 30*full)
	}
	r.hold(0, 7)
	if v := r.hero().VX; v != 0 {
		t.Errorf("let go it still goes %d", v)
	}
	r.hold(play.InputLeft, 1)
	if r.hero().Look() != document.Left {
		t.Error("it does not look where it goes")
	}
}

// A press a little after the edge, or a little before the ground, is a jump as well.
func TestGraceAndEarlyPress(t *testing.T) {
	for _, c := range []struct {
		grace string
		jumps bool
	}{{"100", true}, {"0", false}} {
		r := drawn(t, `
..........
..........
@.........
##........
##........
##........
##........
##########`, fromSide, "hero.grace="+c.grace)
		for n := 0; n < 200 && r.hero().Mode == play.Walking; n++ {
			r.hold(play.InputRight, 1)
		}
		r.hold(play.InputRight, 2)
		r.hold(play.InputRight|play.InputJump, 2)
		if jumps := r.hero().VY < 0; jumps != c.jumps {
			t.Errorf("with %s ms of grace it jumps: %v", c.grace, jumps)
		}
	}
	for _, c := range []struct {
		early string
		jumps bool
	}{{"150", true}, {"0", false}} {
		r := drawn(t, hall, fromSide, "hero.early="+c.early)
		r.hold(play.InputJump, 1)
		for n := 0; n < 200 && (r.hero().VY <= 0 || r.feet() < (7*16-12)*play.Sub); n++ {
			r.hold(0, 1)
		}
		r.hold(play.InputJump, 12)
		if jumps := r.hero().VY < 0; jumps != c.jumps {
			t.Errorf("pressed before the ground, kept for %s ms, it jumps: %v", c.early, jumps)
		}
	}
}

func TestDoubleAndWallJumps(t *testing.T) {
	again := func(n int) play.Input {
		if n < 14 || n > 20 {
			return play.InputJump
		}
		return 0
	}
	one := drawn(t, hall, fromSide, "jump=2").highest(again)
	two := drawn(t, hall, fromSide, "jump=2", `hero.abilities=["double jump"]`).highest(again)
	if two < one+16*play.Sub {
		t.Errorf("with a double jump it comes %d high, without %d", two, one)
	}
	shaft := `
......#
......#
......#
......#
......#
.....@#
#######`
	up := func(r *run) int64 {
		high := int64(0)
		from := r.feet()
		for n := range 60 {
			in := play.InputRight
			if n%24 < 20 {
				in |= play.InputJump
			}
			r.hold(in, 1)
			high = max(high, from-r.feet())
		}
		return high
	}
	if plain, wall := up(drawn(t, shaft, fromSide, "jump=2")), up(drawn(t, shaft, fromSide, "jump=2", `hero.abilities=["wall jump"]`)); wall < plain+8*play.Sub {
		t.Errorf("with a wall jump it comes %d high, without %d", wall, plain)
	}
}

// Slopes are walked up and down without leaving the ground, and steps of half a cell; those
// of a whole one stop.
func TestSlopesAndSteps(t *testing.T) {
	r := drawn(t, `
..............
...../##\.....
..@./####\....
##############`, fromSide)
	high := r.feet()
	for range 160 {
		r.hold(play.InputRight, 1)
		high = min(high, r.feet())
		if r.hero().Mode != play.Walking {
			t.Fatalf("it leaves the ground at %d, %d", px(r.hero().X), px(r.hero().Y))
		}
	}
	if high != 1*16*play.Sub {
		t.Errorf("its feet came up to %d units", high)
	}
	if r.feet() != 3*16*play.Sub || r.cell().X < 11 {
		t.Errorf("behind the hill it is at %v, its feet at %d", r.cell(), r.feet())
	}
	r = drawn(t, `
..........
..@._#....
##########`, fromSide)
	r.hold(play.InputRight, 21)
	if r.feet() != 24*play.Sub {
		t.Errorf("on the half step its feet are at %d", r.feet())
	}
	r.hold(play.InputRight, 60)
	if r.feet() != 2*16*play.Sub || r.cell().X < 6 {
		t.Errorf("over the stairs it came to %v, feet at %d", r.cell(), r.feet())
	}
	r = drawn(t, `
..........
..@..#....
##########`, fromSide)
	r.hold(play.InputRight, 90)
	r.at("before a whole step", 4, 1)
}

func TestOneWaySidesLetUpAndDown(t *testing.T) {
	r := drawn(t, `
.....
.....
.....
--.--
.@...
#####`, fromSide)
	r.hold(play.InputJump, 40)
	r.hold(0, 40)
	if r.feet() != 3*16*play.Sub || r.hero().Mode != play.Walking {
		t.Fatalf("it does not stand on it: feet at %d", r.feet())
	}
	r.hold(play.InputDown, 20)
	if r.feet() != 3*16*play.Sub {
		t.Error("ducking lets it through")
	}
	r.hold(play.InputDown|play.InputJump, 1)
	r.hold(0, 60)
	if r.feet() != 5*16*play.Sub {
		t.Errorf("down and jump do not let it through: feet at %d", r.feet())
	}
}

func TestLaddersAreClimbed(t *testing.T) {
	r := drawn(t, `
.......
.......
##H####
..H....
..H....
..@....
#######`, fromSide)
	r.hold(play.InputUp, 10)
	r.at("beside", 2, 5)
	r = drawn(t, `
.......
.......
##H####
..H....
..H....
@.H....
#######`, fromSide)
	r.hold(play.InputRight, 26)
	r.at("before the ladder", 2, 5)
	r.hold(0, 10)
	r.hold(play.InputUp, 8)
	if r.hero().Mode != play.Climbing {
		t.Fatalf("it does not climb: %+v", r.hero())
	}
	y := r.hero().Y
	r.hold(0, 30)
	if r.hero().Y != y {
		t.Error("it slides down by itself")
	}
	r.hold(play.InputUp, 120)
	r.hold(0, 10)
	if r.feet() != 2*16*play.Sub || r.hero().Mode != play.Walking {
		t.Errorf("on the top its feet are at %d, it %v", r.feet(), r.hero().Mode)
	}
	r.hold(play.InputRight, 20)
	if r.feet() != 2*16*play.Sub || r.cell().X < 3 {
		t.Errorf("from the top it walks to %v, feet at %d", r.cell(), r.feet())
	}
	for r.cell().X > 2 {
		r.hold(play.InputLeft, 1)
	}
	r.hold(0, 10)
	r.hold(play.InputDown, 200)
	if r.feet() != 6*16*play.Sub {
		t.Errorf("down again its feet are at %d", r.feet())
	}
}

// Whatever is pressed, the hero is never in anything solid.
func TestNeverInsideSolids(t *testing.T) {
	for seed := range uint64(6) {
		r := drawn(t, `
##############
#....--......#
#./#\....H...#
#/###\...H.._#
#.....-..H..##
#.@......H..~#
#...####.H/#~#
##############`, fromSide, "run=12", "jump=4")
		for n := range 1500 {
			in := play.Input(seed*7+uint64(n/(5+int(seed)*3))*2654435761>>7) & 63
			r.hold(in, 1)
			h := r.hero()
			box := document.Extent{Left: h.X, Top: h.Y, Right: h.X + 12*play.Sub, Bottom: h.Y + 12*play.Sub}
			if h.Flags&play.Ducked != 0 {
				box.Top += 6 * play.Sub
			}
			if r.g.Ground().Stops(box, box) {
				t.Fatalf("seed %d, tick %d: it is inside at %d, %d (%v)", seed, n, px(h.X), px(h.Y), in)
			}
		}
	}
}

// What is shown of a jump before is what play does.
func TestShownJumpsAreThosePlayed(t *testing.T) {
	for _, cells := range []string{"1", "2", "3"} {
		r := drawn(t, hall, fromSide, "jump="+cells)
		reach := play.Jump(r.g.Stage, r.g.Ground(), r.g.Stage.Doc.HeroKind(), grid.Point{X: 2, Y: 6})
		r.hold(0, 2)
		for n := range 120 {
			r.hold(play.InputRight|play.InputJump, 1)
			if n > 1 && r.hero().Mode == play.Walking {
				break
			}
			if !reach.Has(r.cell()) {
				t.Errorf("a jump of %s cells comes through %v, which was not shown", cells, r.cell())
			}
		}
	}
}

// A jump at full speed is as wide as the sum over its ticks says, whatever the height, gravity and speed.
func TestAJumpIsAsWideAsItsTimeInTheAir(t *testing.T) {
	row := strings.Repeat(".", 60)
	rows := "\n" + strings.Repeat(row+"\n", 9) + "@" + row[1:] + "\n" + strings.Repeat("#", 60)
	for _, cells := range []int64{1, 2, 4} {
		for _, gravity := range []int64{20, 30, 90} {
			for _, run := range []int64{3, 6, 11} {
				// by hand: the least speed whose sum reaches the height, then up and down until the feet are back
				// within a pixel of the ground
				pull, high := gravity*16*play.Sub/3600, cells*16*play.Sub
				rise := func(v int64) (sum int64) {
					for v -= pull; v > 0; v -= pull {
						sum += v
					}
					return sum
				}
				v := int64(1)
				for rise(v) < high {
					v++
				}
				ticks := int64(0)
				for y := int64(0); v > 0 || y <= -play.Sub; ticks++ {
					v -= pull
					y -= max(v, -18*16*play.Sub/60)
				}
				r := drawn(t, rows, fromSide, fmt.Sprint("jump=", cells), fmt.Sprint("gravity=", gravity), fmt.Sprint("run=", run))
				r.hold(play.InputRight, 30)
				from := r.hero().X
				r.hold(play.InputRight|play.InputJump, 1)
				for n := 0; n < 600 && r.hero().Mode == play.Airborne; n++ {
					r.hold(play.InputRight|play.InputJump, 1)
				}
				wide, want := r.hero().X-from, ticks*run*16*play.Sub/60
				if abs(wide-want) > play.Sub {
					t.Errorf("a jump of %d cells at %d cells/s² and %d cells/s is %d units wide, wanted %d", cells, gravity, run, wide, want)
				}
			}
		}
	}
}
