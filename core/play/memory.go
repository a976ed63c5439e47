package play

// Kept says what becomes of a part of a game.
type Kept string

// What can become of it.
const (
	Stays    Kept = "stays"
	AtFirst  Kept = "as at first"
	OfPlace  Kept = "as the place says"
	ThatTime Kept = "as it was then"
)

// Memory is a part of a game and what becomes of it: when the hero leaves a map and comes
// again, to one that remembers or to one that starts afresh; when it loses a heart; when it
// comes back at the checkpoint; when a new game begins; when the bar is pulled back.
type Memory struct {
	Part                                           string
	Again, Afresh, Heart, Checkpoint, Anew, Rewind Kept
}

// Remembered is the memory table. Only place, speed and hearts are turned back by a loss;
// only loading and pulling back turn back more.
var Remembered = []Memory{
	{"flags", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"counters", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"items that rules gave or took", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"how often rules asked chance", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"rules that run once", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"switches", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"doors that rules opened", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"what rules brought, took away, showed, hid, enabled, disabled", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"layers that rules laid or lifted", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"flags and counters of things' own", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"what is in hand", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"timers, and how much sources have made", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"what was taken", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"keys that were used up", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"who was defeated", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"where things moved to", Stays, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"checkpoints reached", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"the time of day", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"time and moves of the map to be finished", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"hearts", Stays, Stays, Stays, AtFirst, AtFirst, ThatTime},
	{"lives", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"points of a turn", AtFirst, AtFirst, Stays, Stays, AtFirst, ThatTime},
	{"where other heroes wait", Stays, Stays, Stays, Stays, AtFirst, ThatTime},
	{"the map that the hero came from", OfPlace, OfPlace, Stays, Stays, AtFirst, ThatTime},
	{"the hero's place", OfPlace, OfPlace, Stays, OfPlace, AtFirst, ThatTime},
	{"the hero's speed", AtFirst, AtFirst, Stays, AtFirst, AtFirst, ThatTime},
}

// afresh are the bits of things that a map which starts afresh forgets.
var afresh = []Bit{Switched, Opened, Gone, Brought, Veiled, Disabled}
