package room

import "testing"

func TestRoom(t *testing.T) {
	const mb = 1 << 20
	for _, c := range []struct {
		live       uint64
		percent    int
		since, due uint64 // how much may come before it is due while nothing is done; 0 for never
	}{
		{0, 1600, 16*mb - 1, 16 * mb},
		{4 * mb, 1600, 16*mb - 1, 16 * mb},
		{16 * mb, 400, 16*mb - 1, 16 * mb},
		{64 * mb, 100, 16*mb - 1, 16 * mb},
		{65 * mb, 100, 1000 * mb, 0},
		{1000 * mb, 100, 4000 * mb, 0},
	} {
		if got := Percent(c.live); got != c.percent {
			t.Errorf("with %d MB in use: %d %%, want %d", c.live/mb, got, c.percent)
		}
		if Due(c.live, c.since) {
			t.Errorf("with %d MB in use it is due after %d bytes", c.live/mb, c.since)
		}
		if c.due > 0 && !Due(c.live, c.due) {
			t.Errorf("with %d MB in use it is not due after %d bytes", c.live/mb, c.due)
		}
	}
}
