package demo

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
)

// pumpShaft is seen from the side: gantries over black water, a ladder, a lift.
func pumpShaft(s *Sheet) *canvas {
	c := newCanvas(s, 22, 30)
	c.box(c.ground, 0, 0, c.w, c.h, "shaft back", "shaft back", "shaft back 2")
	inside := func(x, y int) bool {
		left, right := 2+noise(0, y/4, 61, 2), c.w-3-noise(1, y/5, 62, 2)
		return y > 1 && y < c.h-1 && x >= left && x <= right
	}
	for y := range c.h {
		for x := range c.w {
			if !inside(x, y) {
				c.put(c.things, x, y, []string{"shaft rock", "shaft rock 2"}[noise(x, y, 63, 2)])
			}
		}
	}
	shelf := func(x, y, w int) { c.box(c.things, x, y, w, 1, "shaft rock", "shaft rock 2") }
	// the way in above, from the house
	shelf(2, 6, 6)
	shelf(14, 9, 6)
	shelf(2, 14, 5)
	shelf(13, 19, 7)
	shelf(2, 24, 9)
	for _, g := range [][3]int{{9, 11, 4}, {8, 17, 3}, {6, 20, 4}} {
		c.box(c.things, g[0], g[1], g[2], 1, "gantry")
	}
	// through the shelves
	for _, l := range [][3]int{{5, 6, 14}, {4, 14, 24}} {
		for y := l[1]; y < l[2]; y++ {
			c.put(c.things, l[0], y, "rungs")
		}
	}
	for y := 2; y < 27; y++ {
		if y != 12 && y != 22 {
			c.put(c.above, 11, y, "pipe")
		}
	}
	c.put(c.above, 11, 12, "pipe foot")
	c.put(c.above, 11, 22, "pipe foot")
	for x := range c.w {
		if inside(x, 27) && c.things[27*c.w+x] == 0 {
			c.put(c.ground, x, 27, "sump top")
			c.put(c.ground, x, 28, "sump")
		}
	}
	for _, x := range []int{15, 16} {
		c.put(c.things, x, 18, "saw")
	}
	c.entity("ladder", "Upper ladder", 5, 6, 1, 8, document.Down)
	c.entity("ladder", "Lower ladder", 4, 14, 1, 10, document.Down)
	way := c.entity(kind.Path, "Way of the lift", 12, 25, 1, 1, document.Down)
	way.Points = []grid.Point{{Y: -4 * side}, {X: 4 * side, Y: -4 * side}}
	along := []kind.Value{{Key: "path", Value: kind.Of(way.ID)}}
	lift := c.entity(kind.Platform, "Lift", 12, 25, 2, 1, document.Up)
	lift.Values = along
	carrier := lift.ID
	c.entity("hazard", "Saw", 15, 18, 2, 1, document.Down)
	c.entity("water", "Sump", 4, 27, 14, 2, document.Down).Values = []kind.Value{{Key: "does", Value: kind.Of("drowns")}}
	c.entity(kind.Collectible, "Salt crystal", 17, 8, 1, 1, document.Down)
	ride := c.entity(kind.Collectible, "Salt crystal 2", 12, 24, 1, 1, document.Down)
	ride.Carrier = carrier
	c.entity(lanternKind, "Lantern", 3, 3, 1, 1, document.Down)
	c.entity(lanternKind, "Lantern 2", 18, 16, 1, 1, document.Down)
	c.entity(kind.Exit, "Up to the lamp", 18, 18, 1, 1, document.Down)
	c.entity(kind.Exit, "Out by the hatch", 3, 5, 1, 1, document.Down)
	c.entity("checkpoint", "Landing", 15, 8, 1, 1, document.Down)
	return c
}

// lampRoom is the end: the great lamp, and who keeps it.
func lampRoom(s *Sheet) *canvas {
	c := newCanvas(s, 16, 12)
	c.box(c.things, 0, 0, c.w, c.h, "inner top")
	for y := 2; y < 10; y++ {
		in := max(0, 4-y) + max(0, y-8)
		for x := 2 + in; x < 14-in; x++ {
			c.things[y*c.w+x] = 0
			c.put(c.ground, x, y, "cobbles 2")
			if y == 2 || c.things[(y-1)*c.w+x] != 0 && y < 5 {
				c.put(c.things, x, y, "stone")
			}
		}
	}
	c.box(c.ground, 6, 5, 4, 3, "rug")
	c.put(c.things, 7, 4, "lens left")
	c.put(c.things, 8, 4, "lens right")
	c.put(c.things, 3, 7, "shelf")
	c.put(c.things, 12, 7, "barrel")
	c.entity("goal", "The lamp is lit", 7, 5, 2, 1, document.Down).Disabled = true // until both beacons burn
	foot := c.entity(kind.Sensor, "Foot of the lamp", 7, 5, 2, 1, document.Down)
	foot.On = true
	keeper := c.entity(keeperKind, "Lamp keeper", 10, 6, 1, 1, document.Left)
	keeper.Values = []kind.Value{{Key: "says", Value: kind.Of("You are late, warden. The water is already at the second step. Give me the crystals, and hold the lantern while I trim the wick.")}}
	keeper.Guises = []document.Guise{{Number: 1, Name: "Hopeful", Says: "The yard stands open? Then there is a chance yet, warden. Up with you."}}
	c.entity(lanternKind, "Lantern", 4, 5, 1, 1, document.Down)
	c.entity(lanternKind, "Lantern 2", 11, 7, 1, 1, document.Down)
	return c
}

// ownKinds are those of the demo that Azzel does not bring: like a built-in one
// in everything but look and what is set.
func ownKinds(s *Sheet) []document.Kind {
	like := func(id, of, name, tile, help string, tags ...string) document.Kind {
		return document.Kind{ID: document.ID(id), Of: document.ID(of), Name: name, Look: s.Cell(number, tile), Help: &help, Tags: append([]string{}, tags...), Layers: []string{}}
	}
	keeper := like(keeperKind, kind.Character, "Keeper", "keeper", "The lamp keeper; there is only one")
	keeper.ProjectMost = 1
	apprentice := like(apprenticeKind, kind.Hero, "Apprentice", "apprentice down 0", "Comes along with the warden")
	apprentice.Look, apprentice.Frames = 0, s.Frames(number, "apprentice")
	apprentice.Order = 1
	warden := like(wardenKind, kind.Hero, "Warden", "hero down 0", "The night warden, whom the player is")
	warden.Look, warden.Frames = 0, s.Frames(number, "hero")
	jar := like(jarKind, kind.Sign, "Jar", "jar", "Counts what is put into it")
	jar.Settings = []kind.Setting{{Key: grainsKey, Name: "grains", Type: kind.Number, Default: "0", Most: 3, Help: "How much is in it", Varies: true}}
	beacon := like(beaconKind, kind.Switch, "Beacon", "beacon", "Burns once it is lit with a pot of oil", "fire")
	solid := true
	beacon.LookOn, beacon.Solid = s.Cell(number, "beacon lit"), &solid
	return []document.Kind{warden, apprentice, jar, beacon, like(lanternKind, "light", "Lantern", "lantern", "Burns all night", "lamp"),
		like(crabKind, "walker", "Shore crab", "crab", "Goes sideways and pinches", "shore"), keeper}
}

// The ids of the demo's own kinds.
const (
	lanternKind    = "lanternlante"
	crabKind       = "crabcrabcrab"
	keeperKind     = "keeperkeeper"
	wardenKind     = "wardenwarden"
	jarKind        = "saltjarsaltj"
	beaconKind     = "beaconbeacon"
	apprenticeKind = "apprenticeap"
)
