// Package room says when the browser module looks for memory that is not used any more. There is one thread for that and for all else, so that it
// holds up whatever is done just then, by some 3 ms for each megabyte in use.
package room

// Sizes are in bytes.
const (
	// least is how much is taken beside what is in use, at the least, before it is looked for.
	least = 64 << 20
	// start is what the runtime takes to be in use of a heap that is smaller.
	start = 4 << 20
	// most is how much may be in use where it is looked for while nothing is done: more would hold up for too long who goes on just then.
	most = 64 << 20
	// Limit is for debug.SetMemoryLimit where more than 100 percent may come.
	Limit = 256 << 20
	// inMemory is how many bytes one byte of a state comes to, about.
	inMemory = 4
)

// OfState is how much is going to be in use of a project, from the length of its state.
func OfState(length int) uint64 { return inMemory * uint64(length) }

// Percent is for debug.SetGCPercent while so many bytes are in use. Of large projects memory matters more than time.
func Percent(live uint64) int { return max(100, int(least*100/max(live, start))) }

// Due reports whether what is not used any more should be looked for while nothing is done: so many bytes are in use, and so many came since that was
// known. It is where a quarter of what may come has come.
func Due(live, since uint64) bool {
	return live <= most && since >= max(live, start)*uint64(Percent(live))/400
}
