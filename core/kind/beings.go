package kind

var (
	speed  = number("speed", "3", "cells/s", 0, 50, "How fast it goes")
	health = number("health", "1", "", 1, 9999, "How many hits it takes")
	harm   = number("harm", "1", "", 0, 9999, "What a touch takes away")
	every  = lasting("every", "2000", 3600, "How long from one time to the next")
	along  = other("path", "A path that it goes along instead")
	sight  = dragged("sight", "5", 200, HandleRound, "How far it sees the hero; 0 is blind")
	beaten = called("defeated by", several("defeatedBy", "jump=a jump on it, blow=a blow, shot=a shot, fall=what falls on it, hazard=a hazard, blast=a blast", "What defeats it; nothing is only by a rule", "jump", "blow", "blast"))
	leaves = listed("leaves", Words, "Items that are had once it is defeated, with commas between")
	seeing = chosen("seeing", "goesOn=goes on, follows, flees, stops", "What it does when it sees the hero")
)

// beings do something by themselves.
var beings = []Kind{
	{ID: Character, Name: "Character", Help: "Somebody to talk to", Faces: true, Solid: true, Moves: true, Settings: settings(
		written("says", "What the player reads"), chosen("does", "stands, looksAround=looks around, wanders, follows, flees", "What it does by itself"),
		dragged("roams", "3", 200, HandleRound, "How far it goes from its place; how near the hero may come to one that flees"),
		called("rests for", lasting("rests", "850", 600, "About how long it rests before it goes on")), called("goes at once", number("strolls", "2", "cells", 1, 200, "How far it goes at the most before it rests")), speed, along)},
	{ID: Walker, Name: "Walking enemy", Help: "Goes to and fro on the ground", Faces: true, Moves: true, Settings: settings(
		dragged("range", "4", 500, HandleBoth, "How far it goes to either side"), speed, sight, seeing, health, harm, beaten, leaves, along)},
	{ID: Flyer, Name: "Flying enemy", Help: "Flies over walls and gaps", Faces: true, Moves: true, Settings: settings(
		dragged("range", "4", 500, HandleBoth, "How far it flies to either side"), speed, sight, seeing, health, harm, beaten, leaves, along)},
	{ID: Shooter, Name: "Shooter", Help: "Shoots where it looks, or at the hero", Faces: true, State: "Shooting at the start", Settings: settings(
		dragged("reach", "8", 500, HandleAhead, "How far its shots go"), every, chosen("aims", "ahead, atHero=at the hero, allAround=all around", "Where it shoots"),
		called("shot speed", number("shotSpeed", "6", "cells/s", 1, 100, "How fast its shots fly")), sight, health, harm, beaten, leaves)},
}
