package id

import (
	"sync"
	"testing"
)

// Ids are of the form that is asked for and all different, however many draw them at the same time.
func TestIdsAreDifferent(t *testing.T) {
	var all sync.Map
	var drawing sync.WaitGroup
	for range 8 {
		drawing.Go(func() {
			for range 2000 {
				n := New()
				if _, twice := all.LoadOrStore(n, true); twice || !n.Valid() {
					t.Errorf("%q was drawn twice, or is none", n)
				}
			}
		})
	}
	drawing.Wait()
}
