package demo

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
)

// values are settings that differ, as key and value in turn.
func values(pairs ...string) (out []kind.Value) {
	for i := 0; i < len(pairs); i += 2 {
		out = append(out, kind.Value{Key: pairs[i], Value: kind.Datum(pairs[i+1])})
	}
	return out
}

// show puts down something at work, as it is drawn, and a sign before it that says what it is.
func (c *canvas) show(k, name string, x, y int, facing document.Facing, look, says string, set ...string) *document.Entity {
	e := c.entity(k, name, x, y, 1, 1, facing)
	e.On = true
	if look != "" {
		e.Look = c.sheet.Cell(number, look)
	}
	e.Values = values(set...)
	if says != "" {
		c.says(x, y+2, says)
	}
	return e
}

func (c *canvas) says(x, y int, text string) {
	e := c.entity(kind.Sign, "Board", x, y, 1, 1, document.Down)
	e.Look = c.sheet.Cell(number, "sign")
	e.Values = []kind.Value{{Key: "says", Value: kind.Of(text)}}
}

// tideYard is where everything that acts is tried out, from above.
func tideYard(s *Sheet) *canvas {
	c := newCanvas(s, 62, 20)
	c.box(c.ground, 0, 0, c.w, c.h, "sand 1", "sand 2", "sand 3", "sand 4")
	c.box(c.ground, 1, 6, c.w-2, 1, "cobbles", "cobbles", "cobbles 2")
	c.box(c.ground, 1, 13, c.w-2, 1, "cobbles", "cobbles", "cobbles 2")
	c.box(c.things, 0, 0, c.w, 1, "inner top")
	c.box(c.things, 0, c.h-1, c.w, 1, "inner top")
	c.box(c.things, 0, 0, 1, c.h, "inner top")
	c.box(c.things, c.w-1, 0, 1, c.h, "inner top")
	for _, x := range []int{10, 21, 32, 43, 52} {
		c.box(c.things, x, 1, 1, 4, "stone top")
		c.put(c.things, x, 5, "stone")
	}
	// who walks and flies
	c.show(kind.Character, "Rake hand", 5, 2, document.Down, "keeper", "A rake hand on her round: she wanders two cells around her place, and speaks when spoken to.", "does", `"wanders"`, "roams", "2", "says", `"The salt comes up by itself. I only tell it where."`)
	c.show(crabKind, "Yard crab", 15, 2, document.Right, "", "A crab paces three cells to either side. It pinches.", "range", "3", "speed", "3")
	c.show(kind.Flyer, "Gull", 25, 2, document.Right, "gull", "A gull flies over walls, and comes for whoever it sees.", "range", "3", "sight", "3", "seeing", `"follows"`, "harm", "0")
	// what is pushed, carried and opened
	c.box(c.things, 8, 8, 1, 2, "stone top")
	c.box(c.things, 8, 11, 1, 2, "stone top")
	c.show(kind.Block, "Salt crate", 3, 10, document.Down, "crate", "")
	plate := c.show(kind.Switch, "Weigh plate", 5, 10, document.Down, "plate", "Push the crate onto the plate: its weight keeps the gate open.", "workedBy", `"weight"`, "goesBack", `"whenLeft"`)
	plate.On, plate.LookOn = false, s.Cell(number, "plate down")
	c.entity(kind.Door, "Weigh gate", 8, 10, 1, 1, document.Down)
	c.show(kind.Key, "Yard key", 11, 9, document.Down, "key", "The key opens the gate beside it, once, and the gate falls shut behind you.", "opens", `"yard"`, "usedUp", "true")
	c.box(c.things, 14, 8, 1, 2, "stone top")
	c.box(c.things, 14, 11, 1, 2, "stone top")
	gate := c.entity(kind.Door, "Key gate", 14, 10, 1, 1, document.Down)
	gate.Values = values("needs", `"yard"`, "closesAgain", "true")
	box := c.show(kind.Container, "Chest", 12, 11, document.Down, "chest", "", "holds", `["rope","yard"]`)
	box.On, box.LookOn = false, s.Cell(number, "chest open")
	c.box(c.ground, 18, 8, 11, 3, "sump")
	water := c.entity("water", "Basin", 18, 8, 11, 3, document.Down)
	water.Values = values("does", `"drowns"`)
	raft := c.show(kind.Platform, "Raft", 17, 9, document.Right, "raft", "A raft carries whoever stands on it over water that drowns.", "range", "11", "speed", "3", "pause", "1000")
	raft.W = 2 * side
	// what hurts, and what throws
	c.show(kind.Beam, "Burning glass", 2, 15, document.Right, "eye", "A beam, one second on and one off, as far as nothing solid stops it.", "length", "5", "onFor", "1000", "offFor", "1000")
	c.show(kind.Breakable, "Barrel", 9, 15, document.Down, "barrel", "A barrel breaks after three blows: use it.", "health", "3")
	c.show(kind.Turner, "Salt arm", 12, 15, document.Down, "axle", "An arm that turns once in four seconds.", "arm", "2")
	c.show(kind.Shooter, "Spout", 17, 15, document.Right, "spout", "A spout spits brine every two seconds.", "reach", "5", "shotSpeed", "4")
	belt := c.show(kind.Conveyor, "Belt", 23, 15, document.Right, "belt", "A belt takes along what stands on it.", "speed", "2")
	belt.W = 4 * side
	c.show(kind.Spring, "Throw", 29, 15, document.Up, "spring", "A throw: five cells up the yard, over whatever lies there.", "height", "5")
	c.makers()
	c.east()
	c.entity(kind.Exit, "To the gallery", 60, 6, 1, 1, document.Right)
	return c
}

// makers are what makes, rings, blows and bursts, in the east of the yard.
func (c *canvas) makers() {
	c.show(kind.Source, "Crab pot", 34, 2, document.Right, "pot", "A crab pot: it lets out a crab every three seconds, two at a time. Strike them, and more come.", "makes", `[{"of":"`+crabKind+`","odds":1}]`, "every", "3000", "atOnce", "2")
	c.show(kind.Timer, "Night bell", 40, 2, document.Down, "bell", "A bell rings every two seconds, and the gate beside it opens and shuts.", "every", "2000")
	c.entity(kind.Door, "Bell gate", 41, 2, 1, 1, document.Down)
	c.show(kind.Fan, "Bellows", 34, 10, document.Right, "bellows", "Bellows blow seven cells far, up to what is solid. The wheel stops them.", "reach", "7", "force", "3")
	c.show(kind.Switch, "Bellows wheel", 36, 12, document.Down, "wheel", "").On = false
	keg := c.show(kind.Charge, "Brine keg", 35, 15, document.Down, "keg", "A keg: light it, and step back. It breaks barrels, and lights other kegs.", "after", "2000", "reach", "2")
	keg.On, keg.LookOn = false, c.sheet.Cell(number, "keg lit")
	for _, p := range [][2]int{{36, 14}, {36, 15}, {36, 16}, {39, 14}, {39, 15}, {39, 16}} {
		c.show(kind.Breakable, "Barrel", p[0], p[1], document.Down, "barrel", "")
	}
	second := c.show(kind.Charge, "Second keg", 37, 15, document.Down, "keg", "", "goesOff", `"rule"`, "reach", "3")
	second.On, second.LookOn = false, c.sheet.Cell(number, "keg lit")
}

// gallery is the same from the side.
func gallery(s *Sheet) *canvas {
	c := newCanvas(s, 44, 14)
	c.box(c.ground, 0, 0, c.w, c.h, "shaft back", "shaft back", "shaft back 2")
	rock := func(x, y, w, h int) { c.box(c.things, x, y, w, h, "shaft rock", "shaft rock 2") }
	rock(0, 0, c.w, 1)
	rock(0, 0, 1, c.h)
	rock(c.w-1, 0, 1, c.h)
	rock(0, 11, 27, 3)
	rock(32, 11, 12, 3)
	rock(27, 13, 5, 1)
	// a crab on its ledge
	rock(5, 8, 5, 1)
	c.show(crabKind, "Ledge crab", 7, 7, document.Right, "", "", "range", "9")
	c.says(6, 10, "A crab turns at the edges of its ledge. Jump on it, and it is gone.")
	c.show(kind.Spring, "Spring", 12, 10, document.Up, "spring", "", "height", "6")
	c.says(13, 10, "A spring throws six cells up.")
	rock(14, 5, 4, 1)
	lift := c.show(kind.Platform, "Lift", 19, 10, document.Up, "raft", "", "range", "5", "speed", "2", "pause", "1000")
	lift.W = 2 * side
	c.says(18, 10, "A lift: up five cells, and down again. From below one comes through it.")
	c.show(kind.Flyer, "Gull", 22, 3, document.Right, "gull", "", "range", "4", "harm", "0")
	for x := 27; x < 32; x++ {
		c.show(kind.Faller, "Loose plank", x, 11, document.Down, "loose plank", "", "after", "400", "comesBackAfter", "3000")
	}
	c.says(26, 10, "Loose planks hold for less than half a second, and come back.")
	belt := c.show(kind.Conveyor, "Belt", 33, 10, document.Left, "belt", "", "speed", "2")
	belt.W = 3 * side
	c.says(32, 10, "A belt runs against you.")
	c.show(kind.Block, "Salt crate", 38, 10, document.Down, "crate", "")
	c.says(37, 10, "A crate is pushed, falls, and is stood on.")
	c.show(kind.Fan, "Bellows", 41, 10, document.Up, "bellows", "", "reach", "7", "force", "16")
	c.says(40, 10, "Bellows from below: they carry you up seven cells.")
	// a bank that is drawn and not tiled
	bank := c.show(kind.GroundLine, "Salt bank", 34, 6, document.Down, "", "", "stops", `"above"`, "colour", `"#d8cfc0"`, "thickness", "4")
	bank.On = false
	bank.Points = []grid.Point{{X: 20, Y: -6}, {X: 44, Y: -18}, {X: 70, Y: -14}, {X: 96, Y: -22}}
	return c
}
