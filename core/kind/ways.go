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
	Checkpoint  = "checkpoint"
	Goal        = "goal"
	Hazard      = "hazard"
	Light       = "light"
	Ladder      = "ladder"
	Water       = "water"
	Wind        = "wind"
	Walker      = "walker"
	Flyer       = "flyer"
	Shooter     = "shooter"
	Beam        = "beam"
	Turner      = "turner"
	Block       = "block"
	Faller      = "faller"
	Conveyor    = "conveyor"
	Spring      = "spring"
	Key         = "key"
	Item        = "item"
	Container   = "container"
	Breakable   = "breakable"
	Emitter     = "emitter"
	Sensor      = "sensor"
	Timer       = "timer"
	Source      = "source"
	Charge      = "charge"
	Fan         = "fan"
	LaneEntry   = "entry"
	Lane        = "lane"
	Core        = "core"
	Plot        = "place"
	GroundLine  = "groundLine"
	Sound       = "sound"
)

// Keys of what a hero is like in moving and being struck; its speed and jump are told by
// package document, since maps have a say in them.
const (
	HeroStarts    = "starts"
	HeroStops     = "stops"
	HeroAir       = "airControl"
	HeroFall      = "fall"
	HeroGrace     = "grace"
	HeroEarly     = "early"
	HeroBlink     = "blink"
	HeroHealth    = "health"
	HeroLives     = "lives"
	HeroPoints    = "points"
	HeroAbilities = "abilities"
	HeroBlow      = "blow"
	HeroBlowWith  = "blowWith"
	HeroBlowRests = "blowRests"
	HeroMeanwhile = "meanwhile"
	BlowAhead     = "ahead"
)

// ways are where the hero begins, comes from and goes.
var ways = []Kind{
	{ID: Hero, Name: "Hero", Help: "Somebody whom the player can be", Faces: true, Veiled: true, Heroic: true, Settings: settings(
		number("speed", "5", "cells/s", 1, 50, "How fast it walks"), number("jump", "3", "cells", 0, 50, "How high it jumps, seen from the side"),
		called("starts within", lasting(HeroStarts, "100", 5, "How long it takes to run at full speed, seen from the side")),
		called("stops within", lasting(HeroStops, "80", 5, "How long it takes to stand still, seen from the side")),
		called("control in the air", number(HeroAir, "70", "percent", 0, 100, "How much of that it has while it jumps or falls")),
		called("falls at most", number(HeroFall, "18", "cells/s", 1, 100, "How fast it falls at the most")),
		called("grace after an edge", lasting(HeroGrace, "100", 2, "How long a jump still counts after it has left the ground")),
		called("early press kept", lasting(HeroEarly, "100", 2, "How long a jump is kept that is pressed before the ground is there")),
		listed(HeroAbilities, Words, "Words that rules ask for, with commas between; double jump and wall jump are known"), listed("carries", Words, "Items that it starts with, with commas between"),
		chosen(HeroBlow, BlowAhead+"=strikes ahead, none=cannot strike", "What it does when there is nothing to use"),
		called("strikes with", written(HeroBlowWith, "The item that it needs to strike; empty is none")),
		called("strikes again after", none("at once", Setting{Key: HeroBlowRests, Name: HeroBlowRests, Type: Duration, Default: "0", Unit: "seconds", Most: 60_000, Help: "How long it waits between two blows"})),
		called("while another is led", chosen(HeroMeanwhile, "waits=waits where it is, follows", "What it does while the player leads another hero")),
		called("hearts", number(HeroHealth, "3", "", 1, 9999, "How many hits it takes")),
		called("unhurt after a hit", lasting(HeroBlink, "1200", 10, "How long nothing strikes it again; it blinks")),
		none("endless", number(HeroLives, "0", "", 0, 999, "How often it comes back at the checkpoint")),
		called("points a turn", none("one step", number(HeroPoints, "0", "", 0, 99, "How many steps and uses it has where one goes turn by turn, before the world moves"))))},
	{ID: Spawn, Name: "Spawn", Help: "Where the hero begins", Faces: true, Veiled: true, Heroic: true, Met: true, Settings: settings(
		written("team", "Whose it is: each team has a hero of its own, led in turn"), number("turn", "1", "", 1, 999, "Which of several comes first; who is lost comes back at the next"))},
	{ID: Exit, Name: "Exit", Help: "Leads to a place on another map", Area: true, Veiled: true, Leads: LeadsOn},
	{ID: Arrival, Name: "Arrival", Help: "Where a passage sets the hero down", Faces: true, Veiled: true, Met: true},
	{ID: Checkpoint, Name: "Checkpoint", Help: "Where the hero comes back to", State: "Reached at the start", Wakes: "enter"},
	{ID: Goal, Name: "Goal", Help: "Reaching it finishes the map", Area: true, Wakes: "enter"},
}
