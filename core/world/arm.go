package world

// Turns is which way something turns.
type Turns uint8

// The ways of turning.
const (
	TurnsRight Turns = iota
	TurnsLeft
	ToAndFro
)

// sines are 65536·sin over a quarter of a turn, in 64 steps; TestSines holds them.
var sines = [65]int64{0, 1608, 3216, 4821, 6424, 8022, 9616, 11204, 12785, 14359, 15924, 17479, 19024, 20557, 22078, 23586, 25080, 26558, 28020, 29466, 30893, 32303, 33692,
	35062, 36410, 37736, 39040, 40320, 41576, 42806, 44011, 45190, 46341, 47464, 48559, 49624, 50660, 51665, 52639, 53581, 54491, 55368, 56212, 57022, 57798, 58538, 59244,
	59914, 60547, 61145, 61705, 62228, 62714, 63162, 63572, 63944, 64277, 64571, 64827, 65043, 65220, 65358, 65457, 65516, 65536}

// Arm is where the nth arm of something that turns ends at a tick, seen from its middle.
func (d *Doing) Arm(tick int64, n int) (dx, dy int64) {
	const whole = 256
	at := int64(0)
	if d.Every > 0 {
		at = tick % int64(d.Every) * whole / int64(d.Every)
	}
	switch d.Turns {
	case TurnsLeft:
		at = -at
	case ToAndFro:
		if at = at * 2; at > whole {
			at = 2*whole - at
		}
		at = at/2 - whole/4
	}
	at += int64(n) * whole / int64(max(1, d.Arms))
	return d.RangeX * sine(at+whole/4) >> 16, d.RangeY * sine(at) >> 16
}

// sine is 65536·sin of an angle in 256ths of a turn.
func sine(at int64) int64 {
	at &= 255
	switch at >> 6 {
	case 0:
		return sines[at]
	case 1:
		return sines[128-at]
	case 2:
		return -sines[at-128]
	}
	return -sines[256-at]
}
