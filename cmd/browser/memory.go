//go:build js && wasm

package main

import (
	"azzel/cmd/browser/room"
	"math"
	"runtime"
	"runtime/debug"
	"runtime/metrics"
)

// inUse is what was in use when the runtime last looked for what is not, and what came since, in bytes.
func inUse() (live, since uint64) {
	all := []metrics.Sample{{Name: "/gc/heap/live:bytes"}, {Name: "/memory/classes/heap/objects:bytes"}}
	metrics.Read(all)
	live = all[0].Value.Uint64()
	return live, max(live, all[1].Value.Uint64()) - live
}

// keepRoom has the runtime look for what is not used any more when the room beside what is in use is full, from now on: after each time it is
// reckoned anew.
func keepRoom() {
	live, _ := inUse()
	makeRoom(live)
	runtime.AddCleanup(new([16]byte), func(int) { keepRoom() }, 0)
}

// makeRoom is for so many bytes in use, or that are going to be. Should they become far more before that is reckoned anew, as in a single call, it
// is looked for earlier.
func makeRoom(live uint64) {
	percent, limit := room.Percent(live), int64(math.MaxInt64)
	if percent > 100 {
		limit = room.Limit
	}
	debug.SetGCPercent(percent)
	debug.SetMemoryLimit(limit)
}

// tidy looks for memory that is not used any more, if that will be asked for soon anyway. It reports whether it did.
func tidy() bool {
	if !room.Due(inUse()) {
		return false
	}
	runtime.GC()
	return true
}
