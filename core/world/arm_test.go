package world

import (
	"math"
	"testing"
)

// The table of sines is what mathematics says, rounded, and goes round a whole turn.
func TestSines(t *testing.T) {
	for at := int64(-300); at < 600; at++ {
		want := math.Round(65536 * math.Sin(float64(at)*math.Pi/128))
		if got := sine(at); math.Abs(float64(got)-want) > 1 {
			t.Errorf("the sine of %d/256 of a turn is %d, wanted %.0f", at, got, want)
		}
	}
}

// Arms stand evenly around, turn once in the time that is set, either way, or to and fro.
func TestArms(t *testing.T) {
	const long = 1000
	arm := func(turns Turns, arms int, tick int64, n int) (x, y int64) {
		return (&Doing{RangeX: long, RangeY: long, Every: 240, Arms: arms, Turns: turns}).Arm(tick, n)
	}
	for _, c := range []struct {
		turns Turns
		arms  int
		tick  int64
		n     int
		x, y  int64
	}{
		{TurnsRight, 1, 0, 0, long, 0}, {TurnsRight, 1, 60, 0, 0, long}, {TurnsRight, 1, 120, 0, -long, 0}, {TurnsRight, 1, 240, 0, long, 0},
		{TurnsLeft, 1, 60, 0, 0, -long}, {TurnsLeft, 1, 180, 0, 0, long},
		{TurnsRight, 4, 0, 1, 0, long}, {TurnsRight, 4, 0, 2, -long, 0}, {TurnsRight, 2, 60, 1, 0, -long},
		{ToAndFro, 1, 0, 0, 0, -long}, {ToAndFro, 1, 60, 0, long, 0}, {ToAndFro, 1, 120, 0, 0, long}, {ToAndFro, 1, 180, 0, long, 0},
	} {
		if x, y := arm(c.turns, c.arms, c.tick, c.n); max(x-c.x, c.x-x, y-c.y, c.y-y) > 2 {
			t.Errorf("arm %d of %d, turning %d, is at %d, %d at tick %d, wanted %d, %d", c.n, c.arms, c.turns, x, y, c.tick, c.x, c.y)
		}
	}
	if x, y := (&Doing{RangeX: long, RangeY: long, Arms: 1}).Arm(99, 0); x != long || y > 1 {
		t.Errorf("one that takes no time to turn is at %d, %d", x, y)
	}
}
