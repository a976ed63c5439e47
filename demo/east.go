package demo

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/rules"
)

// east is what shines, smokes, counts and is used on something, in the far east of the yard, and the heroes who come along.
func (c *canvas) east() {
	c.show(lanternKind, "Yard lantern", 45, 2, document.Down, "", "A lantern shines three cells far.")
	c.show(kind.Emitter, "Steam", 48, 2, document.Down, "", "Steam: ten puffs a second.", "gives", `"smoke"`)
	c.show(kind.Sound, "Surf", 50, 2, document.Down, "", "The surf is heard here, the louder the nearer one comes.", "plays", `"surf"`)
	c.show(kind.Switch, "Whistle", 54, 2, document.Down, "bell", "Whistle, and the apprentice comes along: same way, a cell behind. Lead her instead, and you follow.").On = false
	apprentice := c.show(apprenticeKind, "Apprentice", 56, 2, document.Left, "", "", "meanwhile", `"follows"`)
	apprentice.On, apprentice.Absent = false, true
	c.show(jarKind, "Salt jar", 58, 2, document.Down, "", "A jar that counts: three scoops fill it, and that opens its lid.")
	c.show(kind.Switch, "Scoop", 60, 2, document.Down, "wheel", "").On = false
	// what is used on something, and what carries
	can := c.show(kind.Item, "Oil can", 45, 9, document.Down, "can", "Take the can in hand, and use it on the winch.", "is", `"oil"`, "usedUp", "true")
	can.On = false
	c.show(kind.Sign, "Dry winch", 48, 9, document.Down, "wheel", "", "says", `"The winch is dry and will not turn."`)
	c.entity(kind.Door, "Winch gate", 49, 9, 1, 1, document.Down)
	c.box(c.ground, 52, 8, 5, 3, "sump")
	stream := c.entity(kind.Water, "Stream", 52, 8, 5, 3, document.Down)
	stream.Values = values("flows", `"right"`)
	c.says(51, 11, "A stream carries along whoever is in it.")
	wind := c.entity(kind.Wind, "Draught", 58, 8, 2, 4, document.Up)
	wind.On, wind.Values = true, values("force", "2")
	c.says(60, 11, "A draught blows up the yard.")
	c.show(kind.Item, "Hand bell", 54, 12, document.Down, "bell", "Take the bell in hand and ring it wherever you stand. It is ready again after three seconds.", "is", `"bell"`, "readyAfter", "3000").On = false
	// what hurts, notices and keeps
	c.show(kind.Hazard, "Nails", 45, 15, document.Down, "saw", "Nails: whoever steps on them loses a heart.")
	c.show(kind.Sensor, "Mat", 48, 15, document.Down, "", "While somebody stands on the mat, the lamp beside it burns.")
	c.box(c.ground, 48, 15, 1, 1, "planks")
	c.show(lanternKind, "Mat lamp", 49, 15, document.Down, "", "").On = false
	c.show(kind.Checkpoint, "Flag", 51, 15, document.Down, "", "Who is lost comes back at this flag.").On = false
	c.lane()
}

// lane is a lane along which crabs come once its wheel is turned, to what they want to reach.
func (c *canvas) lane() {
	c.show(kind.Switch, "Tide wheel", 54, 17, document.Down, "wheel", "").On = false
	entry := c.show(kind.LaneEntry, "Tide gate", 54, 15, document.Right, "", "", "lane", `"tide"`, "makes", `[{"of":"`+crabKind+`","odds":1}]`, "waves", "[2,3]", "every", "2500")
	entry.On = false
	c.says(55, 17, "Turn the wheel: two waves of crabs come along the lane. Put up a spout for a crystal, to stop them.")
	lane := c.entity(kind.Lane, "Tide lane", 54, 15, 1, 1, document.Right)
	lane.Values = values("lane", `"tide"`)
	lane.Points = []grid.Point{{X: 6 * side}}
	c.show(kind.Core, "Salt store", 60, 15, document.Down, "heap", "", "health", "9").On = false
	plot := c.show(kind.Plot, "Spout place", 57, 14, document.Down, "", "", "takes", `[{"of":"shooter","odds":1}]`)
	plot.On = false
}

// eastRules are what happens there.
func eastRules(yard *canvas) []document.Rule {
	at := func(word, name string, blanks ...kind.Value) document.RulePart {
		e := end(yard, name)
		p := rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: e.Map, ID: e.Entity}))
		p.Blanks = append(p.Blanks, blanks...)
		return p
	}
	grains := kind.Value{Key: "own", Value: kind.Of(grainsKey)}
	number := func(n int) kind.Value { return kind.Value{Key: "number", Value: kind.Of(n)} }
	return []document.Rule{
		rules.Of(at(rules.WordUse, "Whistle"), at(rules.WordBring, "Apprentice"), rules.Say("Coming, warden.")),
		rules.Of(at(rules.WordUse, "Scoop"), at(rules.WordOwnAdd, "Salt jar", grains, number(1))),
		rules.Of(at(rules.WordReaches, "Salt jar", grains, number(3)), rules.Say("The jar is full.")),
		rules.Of(at(rules.WordUseOn, "Dry winch", kind.Value{Key: "item", Value: kind.Of("oil")}), at(rules.WordOpen, "Winch gate"), rules.Say("The winch turns, and a gate opens.")),
		rules.Of(at(rules.WordEnter, "Mat"), at(rules.WordTurnOn, "Mat lamp")),
		rules.Of(at(rules.WordLeave, "Mat"), at(rules.WordTurnOff, "Mat lamp")),
		rules.Of(at(rules.WordUse, "Tide wheel"), at(rules.WordFlip, "Tide gate")),
	}
}

// grainsKey is what the jar counts.
const grainsKey = "grains"
