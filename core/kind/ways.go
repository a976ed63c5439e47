package kind

// The built-in kinds that play, passages and rules know by name.
const (
	Hero        = "hero"
	Spawn       = "spawn"
	Arrival     = "arrival"
	Exit        = "exit"
	Collectible = "collectible"
	Switch      = "switch"
	Door        = "door"
	Decoration  = "decoration"
	Path        = "path"
	Platform    = "platform"
	Sign        = "sign"
	Character   = "character"
)

// ways are where the hero begins, comes from and goes.
var ways = []Kind{
	{ID: Hero, Name: "Hero", Help: "Somebody whom the player can be", Faces: true, Veiled: true, Heroic: true, Settings: settings(
		number("speed", "5", "cells/s", 1, 50, "How fast it walks"), number("jump", "3", "cells", 0, 50, "How high it jumps, seen from the side"),
		listed("abilities", Words, "Words that rules ask for, with commas between"), listed("carries", Words, "Items that it starts with, with commas between"),
		number("health", "3", "", 1, 9999, "How many hits it takes"))},
	{ID: Spawn, Name: "Spawn", Help: "Where the hero begins", Faces: true, Veiled: true, Heroic: true, Met: true, Settings: settings(
		written("team", "For games with several sides"), number("turn", "1", "", 1, 999, "Which of several comes first"))},
	{ID: Exit, Name: "Exit", Help: "Leads to a place on another map", Area: true, Veiled: true, Leads: LeadsOn},
	{ID: Arrival, Name: "Arrival", Help: "Where a passage sets the hero down", Faces: true, Veiled: true, Met: true},
	{ID: "checkpoint", Name: "Checkpoint", Help: "Where the hero comes back to", State: "Reached at the start"},
	{ID: "goal", Name: "Goal", Help: "Reaching it finishes the map", Area: true},
}
