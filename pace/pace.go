// Package pace tells how fast the machine is at a moment, for what is measured just then: machines that others use as well are not of the
// same pace for two minutes.
package pace

import (
	"fmt"
	"slices"
	"testing"
	"time"
)

// Unit is the unit in which a bench tells what Write took beside it.
const Unit = "ms/write"

// Write is what a plain write of a million cells takes now, in milliseconds: the one in the middle of some.
func Write() float64 {
	cells := make([]uint32, 1<<20)
	var took [7]time.Duration
	for n := range took {
		from := time.Now()
		for i := range cells {
			cells[i] = uint32(n)
		}
		took[n] = time.Since(from)
	}
	slices.Sort(took[:])
	return float64(took[len(took)/2].Microseconds()) / 1000
}

// Beside has a bench tell it as well: in the middle between its beginning and its end, which is told by calling what is given back.
func Beside(b *testing.B) (end func()) {
	b.Helper()
	b.StopTimer()
	before := Write()
	b.StartTimer()
	return func() {
		b.StopTimer()
		b.ReportMetric((before+Write())/2, Unit)
	}
}

// Told is the same at the end of a line that is printed.
func Told() string { return fmt.Sprintf("; a plain write %.2f ms", Write()) }
