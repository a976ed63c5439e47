package document

import (
	"slices"
	"strings"
)

// The built-in kinds that play, passages and rules know by name.
const (
	KindHero        = "hero"
	KindSpawn       = "spawn"
	KindArrival     = "arrival"
	KindExit        = "exit"
	KindCollectible = "collectible"
	KindSwitch      = "switch"
	KindDoor        = "door"
	KindDecoration  = "decoration"
	KindPath        = "path"
	KindPlatform    = "platform"
	KindSign        = "sign"
	KindCharacter   = "character"
)

// Categories of built-in kinds, in the order in which they are offered.
var Categories = []string{"ways", "things", "beings", "works", "dangers", "areas", "lanes"}

func number(name, def, unit string, least, most int, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyNumber, Default: def, Choices: []string{}}, Unit: unit, Least: least, Most: most, Help: help}
}

// dragged is a number of cells that has a handle on the map.
func dragged(name, def string, most int, handle, help string) Setting {
	s := number(name, def, "cells", 0, most, help)
	s.Handle = handle
	return s
}

// counted is a number from one on with a knob on the map.
func counted(name string, most int, help string) Setting {
	s := number(name, "1", "", 1, most, help)
	s.Handle = HandleUp
	return s
}

func yesno(name, def, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyYesNo, Default: def, Choices: []string{}}, Help: help}
}

func text(name, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyText, Choices: []string{}}, Help: help}
}

// choice is one of several words, the first of which is the default.
func choice(name, words, help string) Setting {
	all := strings.Split(words, ", ")
	return Setting{Property: Property{Name: name, Type: PropertyChoice, Default: all[0], Choices: all}, Help: help}
}

func colour(name, def, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyColour, Default: def, Choices: []string{}}, Help: help}
}

func file(name, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyFile, Choices: []string{}}, Help: help}
}

func other(name, help string) Setting {
	return Setting{Property: Property{Name: name, Type: PropertyEntity, Choices: []string{}}, Help: help}
}

func settings(all ...Setting) []Setting { return append([]Setting{}, all...) }

var (
	speed  = number("speed", "3", "cells/s", 0, 50, "How fast it goes")
	health = number("health", "1", "", 1, 9999, "How many hits it takes")
	harm   = number("harm", "1", "", 0, 9999, "What a touch takes away")
	every  = number("every", "2", "seconds", 0, 3600, "How long from one time to the next")
	along  = other("path", "A path that it goes along instead")
	sight  = dragged("sight", "5", 200, HandleRound, "How far it sees the hero; 0 is blind")
)

// Kinds lists the built-in kinds in the order in which they are offered.
var Kinds = builtIns([]Kind{
	{ID: KindHero, Category: "ways", Name: "Hero", Help: "Somebody whom the player can be", Faces: true, Settings: settings(
		number("speed", "5", "cells/s", 1, 50, "How fast it walks"), number("jump", "3", "cells", 0, 50, "How high it jumps, seen from the side"),
		text("abilities", "Words that rules ask for, with commas between"), text("carries", "Items that it starts with, with commas between"), number("health", "3", "", 1, 9999, "How many hits it takes"))},
	{ID: KindSpawn, Category: "ways", Name: "Spawn", Help: "Where the hero begins", Faces: true, Settings: settings(
		text("team", "For games with several sides"), number("turn", "1", "", 1, 999, "Which of several comes first"))},
	{ID: KindExit, Category: "ways", Name: "Exit", Help: "Leads to a place on another map", Area: true},
	{ID: KindArrival, Category: "ways", Name: "Arrival", Help: "Where a passage sets the hero down", Faces: true},
	{ID: "checkpoint", Category: "ways", Name: "Checkpoint", Help: "Where the hero comes back to", State: "Reached at the start"},
	{ID: "goal", Category: "ways", Name: "Goal", Help: "Reaching it finishes the map", Area: true},

	{ID: KindCollectible, Category: "things", Name: "Collectible", Help: "Taken and counted when touched", Settings: settings(
		counted("amount", 9999, "How much it counts"), text("counts as", "What it is counted with; empty is its own kind"))},
	{ID: "key", Category: "things", Name: "Key", Help: "Opens a door that asks for it", Settings: settings(text("opens", "The word that doors ask for"), yesno("used up", "no", "Whether it is gone after opening"))},
	{ID: "item", Category: "things", Name: "Item", Help: "Something that is carried and used", Settings: settings(text("is", "The word by which rules call it"), counted("amount", 9999, "How many of it"))},
	{ID: "container", Category: "things", Name: "Container", Help: "Opened once, holds something", State: "Open at the start", Solid: true, Settings: settings(text("holds", "Items in it, with commas between"), text("needs", "The key that opens it"))},
	{ID: KindSign, Category: "things", Name: "Sign", Help: "Says something when it is read", Solid: true, Settings: settings(text("says", "What the player reads"))},
	{ID: "light", Category: "things", Name: "Light", Help: "Lights up what lies around it", State: "Lit at the start", Settings: settings(dragged("radius", "3", 200, HandleRound, "How far it shines"), colour("colour", "#ffd890", "Its colour"), choice("flicker", "steady, flickering, pulsing", "How it burns"))},
	{ID: "sound", Category: "things", Name: "Sound place", Help: "Something that is heard near it", State: "Heard at the start", Settings: settings(file("file", "What is heard"), dragged("radius", "6", 200, HandleRound, "How far it is heard"), number("loudness", "80", "percent", 0, 100, "How loud it is in its middle"))},
	{ID: "emitter", Category: "things", Name: "Emitter", Help: "Smoke, rain or sparks", State: "Going at the start", Resizes: true, Settings: settings(choice("gives", "smoke, rain, snow, sparks, leaves, bubbles", "What comes out of it"), number("a second", "10", "", 0, 500, "How many"))},
	{ID: KindDecoration, Category: "things", Name: "Decoration", Help: "A tile placed freely, in nobody's way", Resizes: true, Turns: true, Tints: true},

	{ID: KindCharacter, Category: "beings", Name: "Character", Help: "Somebody to talk to", Faces: true, Solid: true, Settings: settings(text("says", "What the player reads"), choice("does", "stands, looks around, wanders, follows", "What it does by itself"), dragged("roams", "3", 200, HandleRound, "How far it goes from its place"), speed, along)},
	{ID: "walker", Category: "beings", Name: "Walking enemy", Help: "Goes to and fro on the ground", Faces: true, Settings: settings(dragged("range", "4", 500, HandleBoth, "How far it goes to either side"), speed, sight, choice("seeing", "goes on, follows, flees, stops", "What it does when it sees the hero"), health, harm, along)},
	{ID: "flyer", Category: "beings", Name: "Flying enemy", Help: "Flies over walls and gaps", Faces: true, Settings: settings(dragged("range", "4", 500, HandleBoth, "How far it flies to either side"), speed, sight, choice("seeing", "goes on, follows, flees, stops", "What it does when it sees the hero"), health, harm, along)},
	{ID: "shooter", Category: "beings", Name: "Shooter", Help: "Shoots where it looks, or at the hero", Faces: true, State: "Shooting at the start", Settings: settings(dragged("reach", "8", 500, HandleAhead, "How far its shots go"), every, choice("aims", "ahead, at the hero, all around", "Where it shoots"), number("shot speed", "6", "cells/s", 1, 100, "How fast its shots fly"), sight, health, harm)},

	{ID: KindSwitch, Category: "works", Name: "Switch", Help: "Used by the hero; rules follow it", State: "On at the start", Settings: settings(choice("worked by", "use, stepping on it, weight on it, a blow", "What works it"), choice("goes back", "never, when left, after a while", "When it goes back by itself"), number("after", "3", "seconds", 0, 3600, "The while after which it goes back"))},
	{ID: KindDoor, Category: "works", Name: "Door", Help: "Stops the hero until it is opened", Area: true, State: "Open at the start", Settings: settings(text("needs", "The key that opens it"), yesno("closes again", "no", "Whether it falls shut behind the hero"))},
	{ID: KindPlatform, Category: "works", Name: "Moving platform", Help: "Carries what stands on it", Area: true, Faces: true, State: "Moving at the start", Settings: settings(dragged("range", "4", 500, HandleAhead, "How far it goes"), speed, number("pause", "0.5", "seconds", 0, 3600, "How long it waits at its ends"), along)},
	{ID: "conveyor", Category: "works", Name: "Conveyor", Help: "Pushes along what stands on it", Area: true, Faces: true, State: "Going at the start", Settings: settings(speed)},
	{ID: "spring", Category: "works", Name: "Spring", Help: "Throws up what steps on it", Faces: true, Settings: settings(dragged("height", "5", 200, HandleAhead, "How far it throws"))},
	{ID: "block", Category: "works", Name: "Push-block", Help: "Pushed a cell at a time", Solid: true, Settings: settings(number("weight", "1", "", 1, 99, "What it counts on a switch"), yesno("falls", "yes", "Whether it falls into gaps"))},
	{ID: "breakable", Category: "works", Name: "Breakable", Help: "Broken by a blow", Area: true, Solid: true, Settings: settings(health, text("by", "What breaks it; empty is anything"), text("leaves", "What it leaves behind"))},
	{ID: "faller", Category: "works", Name: "Falling block", Help: "Falls once it is stepped on", Area: true, Solid: true, Settings: settings(number("after", "0.5", "seconds", 0, 60, "How long it still holds"), number("comes back after", "0", "seconds", 0, 3600, "0 is never"))},
	{ID: "timer", Category: "works", Name: "Timer", Help: "Something that rules wait for", State: "Going at the start", Settings: settings(every, yesno("again", "yes", "Whether it begins anew"))},
	{ID: "source", Category: "works", Name: "Source", Help: "Makes entities from a list", State: "Going at the start", Faces: true, Settings: settings(text("makes", "Kinds and their weights, as walker 3, flyer 1"), every, counted("at once", 500, "At most that many are there at a time"), number("in all", "0", "", 0, 9999, "How many it makes; 0 has no end"), text("waves", "How many in each wave, as 3, 5, 8"))},
	{ID: KindPath, Category: "works", Name: "Path", Help: "A way that movers go along", Ways: true, Settings: settings(choice("goes", "there and back, round, once", "What comes after its end"), number("speed", "3", "cells/s", 0, 50, "How fast one goes along it"), number("pause", "0", "seconds", 0, 3600, "How long one waits at each point"))},

	{ID: "beam", Category: "dangers", Name: "Beam", Help: "A line that hurts, up to what is solid", Faces: true, State: "On at the start", Settings: settings(dragged("length", "12", 500, HandleAhead, "How far it goes at most"), harm, number("on for", "0", "seconds", 0, 3600, "0 is always"), number("off for", "0", "seconds", 0, 3600, "How long it pauses"))},
	{ID: "hazard", Category: "dangers", Name: "Hazard area", Help: "Hurts whoever is in it", Area: true, State: "On at the start", Settings: settings(harm)},
	{ID: "turner", Category: "dangers", Name: "Turning hazard", Help: "An arm that turns and hurts", State: "On at the start", Settings: settings(dragged("arm", "3", 100, HandleRound, "How long its arm is"), number("a turn takes", "4", "seconds", 0, 3600, "How long it takes for one turn"), choice("turns", "to the right, to the left, to and fro", "Which way"), number("arms", "1", "", 1, 8, "How many arms"), harm)},

	{ID: "sensor", Category: "areas", Name: "Sensor area", Help: "Rules notice who comes into it", Area: true, State: "Watching at the start", Settings: settings(choice("notices", "the hero, beings, blocks, anything", "Whom it notices"))},
	{ID: "ladder", Category: "areas", Name: "Ladder area", Help: "Can be climbed", Area: true},
	{ID: "water", Category: "areas", Name: "Water area", Help: "Is swum in, or drowned in", Area: true, Settings: settings(choice("does", "lets swim, drowns, slows", "What it does"), choice("flows", "nowhere, up, right, down, left", "Where it carries one"))},
	{ID: "wind", Category: "areas", Name: "Wind area", Help: "Blows along what is in it", Area: true, Faces: true, State: "Blowing at the start", Settings: settings(number("force", "3", "cells/s", 0, 50, "How strongly it blows"))},

	{ID: "entry", Category: "lanes", Name: "Lane entry", Help: "Where waves come in", Faces: true, Settings: settings(text("lane", "The lane that it begins"), text("waves", "How many in each wave, as 3, 5, 8"), every)},
	{ID: "lane", Category: "lanes", Name: "Lane", Help: "The way that waves go", Ways: true, Settings: settings(text("lane", "Its name"))},
	{ID: "core", Category: "lanes", Name: "Core", Help: "What waves want to reach", Area: true, Settings: settings(number("health", "10", "", 1, 99999, "How much gets through before it falls"))},
	{ID: "place", Category: "lanes", Name: "Buildable place", Help: "Something can be built here", Area: true, Settings: settings(text("takes", "What can be built; empty is anything"))},
})

// Built-in kinds that carry others along, that are picked up, and that the
// player sees only where they have a picture.
var (
	moving = []ID{KindPlatform, "walker", "flyer", "turner", KindCharacter, "faller", "block"}
	picked = []ID{KindCollectible, "key", "item"}
	veiled = []ID{KindSpawn, KindArrival, KindExit, KindHero, KindPath, "lane", "entry", "sensor", "ladder", "water", "wind", "timer", "source", "sound", "place"}
)

// builtIns fills in what all built-in kinds have.
func builtIns(all []Kind) []Kind {
	for i := range all {
		k := &all[i]
		k.Moves, k.Taken, k.Veiled = slices.Contains(moving, k.ID), slices.Contains(picked, k.ID), slices.Contains(veiled, k.ID)
		k.Glyph, k.AnchorX, k.AnchorY, k.FrameMs = string(k.ID), 50, 100, 150
		k.Tags, k.Layers = []string{}, []string{}
		k.Resizes = k.Resizes || k.Area
		if k.Settings == nil {
			k.Settings = []Setting{}
		}
	}
	return all
}
