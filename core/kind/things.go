package kind

import "strings"

// ambience is what can be heard all the time.
const ambience = "surf, wind, drips, hum, fire, insects"

// Ambience lists them.
var Ambience = strings.Split(ambience, ", ")

// things are taken, opened, read, or only seen and heard.
var things = []Kind{
	{ID: Collectible, Name: "Collectible", Help: "Taken and counted when touched", Taken: true, Counted: true, Wakes: "take", Settings: settings(
		counted("amount", 9999, "How much it counts"), called("counts as", written("countsAs", "What it is counted with; empty is its own kind")),
		called("gives points", none("none", number("points", "0", "", 0, 99, "Of the turn, where the hero goes by points"))))},
	{ID: Key, Name: "Key", Help: "Opens a door that asks for it", Taken: true, Wakes: "take", Settings: settings(
		written("opens", "The word that doors ask for"), called("used up", yesno("usedUp", "false", "Whether it is gone after opening")))},
	{ID: Item, Name: "Item", Help: "Something that is carried and used", Taken: true, Wakes: "take", Settings: settings(
		written("is", "The word by which rules call it; empty is its kind's name"), counted("amount", 9999, "How many of it"),
		called("used up", yesno("usedUp", "false", "Whether there is one fewer after it was used on something")),
		called("ready again after", none("at once", Setting{Key: "readyAfter", Name: "readyAfter", Type: Duration, Default: "0", Unit: "seconds", Most: 600_000, Help: "How long it cannot be used again, once it was picked up and used"})))},
	{ID: Container, Name: "Container", Help: "Opened once, holds something", State: "Open at the start", Solid: true, Settings: settings(
		listed("holds", Words, "Items in it, with commas between"), written("needs", "The key that opens it"))},
	{ID: Sign, Name: "Sign", Help: "Says something when it is read", Solid: true, Settings: settings(written("says", "What the player reads"))},
	{ID: Light, Name: "Light", Help: "Lights up what lies around it", State: "Lit at the start", Settings: settings(
		dragged("radius", "3", 200, HandleRound, "How far it shines"), colour("colour", "#ffd890", "Its colour"),
		chosen("flicker", "steady, flickering, pulsing", "How it burns"),
		chosen("shines", "always, night=when it is dark", "By the time of day, where one passes"))},
	{ID: Sound, Name: "Sound place", Help: "Something that is heard near it", State: "Heard at the start", Veiled: true, Settings: settings(
		chosen("plays", ambience, "What is heard"), dragged("radius", "6", 200, HandleRound, "How far it is heard"),
		number("loudness", "80", "percent", 0, 100, "How loud it is in its middle"))},
	{ID: Emitter, Name: "Emitter", Help: "Smoke, rain or sparks", State: "Going at the start", Resizes: true, Veiled: true, Settings: settings(
		chosen("gives", "smoke, rain, snow, sparks, leaves, bubbles", "What comes out of it"), called("a second", number("perSecond", "10", "", 0, 500, "How many")))},
	{ID: Decoration, Name: "Decoration", Help: "A tile placed freely, in nobody's way", Resizes: true, Turns: true, Tints: true},
}
