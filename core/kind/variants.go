package kind

// Variant is a ready-made kind to begin from: a built-in one with some defaults of its own.
type Variant struct {
	Name   string
	Help   string
	Values []Value
}

// Variants are the ready-made ones of a built-in kind, by its word.
func Variants(word string) []Variant { return variants[word] }

func variant(name, help string, pairs ...string) Variant {
	out := Variant{Name: name, Help: help}
	for i := 0; i < len(pairs); i += 2 {
		out.Values = append(out.Values, Value{Key: pairs[i], Value: Datum(pairs[i+1])})
	}
	return out
}

var variants = map[string][]Variant{
	Hero: {
		variant("Runner", "Fast, and not high", "speed", "8", "jump", "2.5"),
		variant("Leaper", "Jumps twice, and off walls", "jump", "4", HeroAbilities, `["double jump","wall jump"]`),
		variant("Companion", "Follows the one who is led", HeroMeanwhile, `"follows"`),
	},
	Walker: {
		variant("Guard", "Paces far, and comes for whoever it sees", "range", "6", "speed", "2.5", "sight", "6", "seeing", `"follows"`, "health", "2"),
		variant("Runaway", "Flees, and harms nobody", "range", "3", "speed", "5", "sight", "6", "seeing", `"flees"`, "harm", "0"),
		variant("Brute", "Slow, takes five hits and takes two hearts; no jump hurts it", "range", "3", "speed", "1.5", "sight", "4", "seeing", `"follows"`, "health", "5", "harm", "2", "defeatedBy", `["blow","fall","blast"]`),
	},
	Flyer: {
		variant("Hunter", "Comes for whoever it sees", "sight", "7", "seeing", `"follows"`, "speed", "4"),
		variant("Drifter", "Slow and wide, in nobody's way", "range", "8", "speed", "1.5", "harm", "0", "sight", "0"),
	},
	Character: {
		variant("Stroller", "Wanders about its place", "does", `"wanders"`, "roams", "4", "speed", "2"),
		variant("Watcher", "Looks around", "does", `"looksAround"`),
		variant("Shy one", "Keeps four cells away from the hero", "does", `"flees"`, "roams", "4", "speed", "4"),
		variant("Follower", "Comes along with the hero", "does", `"follows"`, "speed", "4"),
	},
	Shooter: {
		variant("Marksman", "Shoots at the hero it sees", "aims", `"atHero"`, "sight", "8", "every", "1500", "shotSpeed", "8"),
		variant("Fountain", "Shoots all around, slowly", "aims", `"allAround"`, "every", "3000", "shotSpeed", "3", "reach", "5"),
	},
	Beam: {
		variant("Blinking beam", "A second on, a second off", "onFor", "1000", "offFor", "1000"),
		variant("Short beam", "Three cells", "length", "3"),
	},
	Turner: {
		variant("Cross", "Four arms", "arms", "4", "turnTakes", "6000"),
		variant("Pendulum", "To and fro", "turns", `"toAndFro"`, "turnTakes", "3000"),
	},
	Charge: {
		variant("Mine", "Goes off at once when it is touched", "goesOff", `"touch"`, "after", "100"),
		variant("Great charge", "Burns long, and reaches far", "after", "3000", "reach", "4", "harm", "2"),
	},
	Breakable: {
		variant("Cracked floor", "Broken only by something heavy that falls on it", "brokenBy", `["fall"]`, "heavy", "3"),
		variant("Target", "Shot to pieces", "brokenBy", `["shot"]`),
	},
	Switch: {
		variant("Plate", "Held down by weight", "workedBy", `"weight"`, "goesBack", `"whenLeft"`),
		variant("Push button", "Goes back after two seconds", "goesBack", `"afterAWhile"`, "after", "2000"),
		variant("Target", "Worked by a blow", "workedBy", `"blow"`),
	},
	Door: {
		variant("Locked door", "Asks for a key", "needs", `"key"`),
		variant("Swinging door", "Falls shut behind the hero", "closesAgain", "true"),
	},
	Platform: {
		variant("Ferry", "Far and slow", "range", "10", "speed", "2", "pause", "1500"),
		variant("Shuttle", "Short and quick", "range", "3", "speed", "6", "pause", "300"),
	},
	Block: {
		variant("Raft block", "Floats", "inWater", `"floats"`),
		variant("Heavy block", "Weighs three", "weight", "3"),
	},
	Source: {
		variant("Nest", "Two at a time, for ever", "atOnce", "2", "every", "3000"),
		variant("Ambush", "Three waves", "waves", "[2,3,5]", "every", "4000"),
	},
	Timer:  {variant("Fuse", "Rings once, after ten seconds", "every", "10000", "again", "false")},
	Light:  {variant("Candle", "Small and flickering", "radius", "2", "flicker", `"flickering"`), variant("Beacon", "Far and pulsing", "radius", "9", "flicker", `"pulsing"`)},
	Water:  {variant("Deep water", "Drowns", "does", `"drowns"`), variant("Mud", "Slows", "does", `"slows"`), variant("Stream", "Carries to the right", "flows", `"right"`)},
	Spring: {variant("High spring", "Ten cells", "height", "10")},
	Sensor: {variant("Block sensor", "Notices blocks", "notices", `"blocks"`)},

	Spawn:       {variant("Second spawn", "Where one comes back who was lost", "turn", "2"), variant("Red spawn", "A team of its own", "team", `"red"`)},
	Collectible: {variant("Heap", "Counts five", "amount", "5")},
	Key:         {variant("Brittle key", "Opens one door, once", "opens", `"key"`, "usedUp", "true")},
	Item:        {variant("Supplies", "Five, each used up", "amount", "5", "usedUp", "true")},
	Container:   {variant("Locked chest", "Asks for a key", "needs", `"key"`)},
	Sign:        {variant("Warning", "Says to mind the step", "says", `"Mind the step."`)},
	Sound:       {variant("Dripping cave", "Heard near it", "plays", `"drips"`, "radius", "4"), variant("Engine", "Hums far and loud", "plays", `"hum"`, "radius", "10", "loudness", "100")},
	Emitter:     {variant("Cloud", "Much rain", "gives", `"rain"`, "perSecond", "40"), variant("Grinder", "Sparks", "gives", `"sparks"`, "perSecond", "20")},
	Conveyor:    {variant("Fast belt", "Six cells a second", "speed", "6")},
	Fan:         {variant("Gale", "Far and strong", "reach", "12", "force", "12")},
	Faller:      {variant("Loose plank", "Gives way at once, and comes back", "after", "200", "comesBackAfter", "3000")},
	Path:        {variant("Ring", "Round and round", "goes", `"round"`), variant("One way", "Once, to its end", "goes", `"once"`)},
	Hazard:      {variant("Deadly ground", "Takes all hearts at once", "harm", "99")},
	GroundLine:  {variant("Ledge", "Only from above", "stops", `"above"`), variant("Hill", "A shape with an inside", "closed", "true")},
	Wind:        {variant("Storm", "Nine cells a second", "force", "9")},
	LaneEntry:   {variant("Siege", "Three waves, ever larger", "waves", "[3,6,12]", "every", "4000")},
	Lane:        {variant("North lane", "For entries of that name", "lane", `"north"`)},
	Core:        {variant("Fragile core", "Falls at the first touch", "health", "1")},
	Plot:        {variant("Lamp place", "A light for three", "takes", `[{"odds":3,"of":"light"}]`)},
}
