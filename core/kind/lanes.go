package kind

import "slices"

// lanes are what waves come along.
var lanes = []Kind{
	{ID: LaneEntry, Name: "Lane entry", Help: "Where waves come in", Faces: true, Veiled: true, State: "Going at the start", Wires: true, Wakes: "ends", Settings: settings(
		written("lane", "The name of the lane that they go along"), makes, waves, every)},
	{ID: Lane, Name: "Lane", Help: "The way that waves go", Ways: true, Veiled: true, Settings: settings(written("lane", "Its name"))},
	{ID: Core, Name: "Core", Help: "What waves want to reach", Area: true, Settings: settings(number("health", "10", "", 1, 99999, "How much gets through before it falls, and the game is lost"))},
	{ID: Plot, Name: "Buildable place", Help: "The hero puts something up here", Area: true, Settings: settings(
		shared("takes", "costs", "Kinds that are put up here, one after the other, and how many collectibles each costs, as lamp 3, wall 1"))},
}

// Makeable reports whether entities of a kind can be made while one plays: not what makes others
// itself, leads elsewhere or is where the hero stands.
func Makeable(k *Kind) bool {
	return k != nil && !k.Heroic && !k.Ways && k.Leads != LeadsOn && k.Acts() != "" &&
		!slices.Contains([]string{Source, LaneEntry, Plot, Arrival, Core}, k.Acts())
}
