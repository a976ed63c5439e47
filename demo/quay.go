package demo

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// quay is the landing place: a deck on the sea, the warden's house, a wall with
// a gate towards the pans.
func quay(s *Sheet) *canvas {
	c := newCanvas(s, 44, 28)
	water := func(x, y int) bool {
		west := 9 + noise(0, y/3, 41, 3) - y/9
		south := 22 + noise(x/4, 0, 42, 2)
		if x > 30 {
			south++
		}
		return x < west || y > south || y < 2 && x < 16+noise(x, 0, 43, 2)
	}
	c.box(c.ground, 0, 0, c.w, c.h, "sand 1", "sand 1", "sand 2", "sand 1", "sand 4", "sand 1", "sand 3")
	c.paint(seaPaint, water)
	c.paint(grassPaint, func(x, y int) bool {
		if water(x, y) || water(x-1, y) || water(x, y-1) || water(x+1, y+1) {
			return false
		}
		hill := y < 7+noise(x/3, 1, 44, 3) && x > 17
		return hill || x > 27 && x < 38 && y > 16 && y < 21
	})
	for y := range c.h {
		for x := range c.w {
			if x < 5-noise(0, y/2, 45, 2) || y > 25 {
				c.put(c.ground, x, y, []string{"deep", "deep 2"}[noise(x, y, 46, 2)])
			}
		}
	}
	// the deck, on piles in the sea
	c.box(c.ground, 2, 12, 12, 6, "planks", "planks 2")
	c.box(c.ground, 2, 18, 12, 1, "deck edge")
	for _, x := range []int{2, 6, 13} {
		c.put(c.things, x, 17, "bollard")
	}
	c.put(c.things, 2, 12, "bollard")
	c.put(c.things, 4, 13, "crate")
	c.put(c.things, 5, 13, "barrel")
	c.put(c.things, 4, 12, "crate")
	c.put(c.things, 8, 16, "rope")
	c.put(c.things, 11, 12, "barrel")
	c.put(c.things, 4, 20, "bow")
	c.put(c.things, 5, 20, "stern")
	// ways of cobbles
	c.box(c.ground, 14, 14, 28, 2, "cobbles", "cobbles", "cobbles 2")
	c.box(c.ground, 22, 10, 2, 4, "cobbles", "cobbles 2")
	c.box(c.ground, 42, 13, 2, 3, "cobbles")
	c.house(19, 6, 7, 3)
	c.house(30, 7, 5, 2)
	c.box(c.ground, 32, 11, 1, 3, "cobbles", "cobbles 2")
	// the wall to the pans
	for y := range 24 {
		if y < 14 || y > 15 {
			top := y != 13 && y != 23
			if top {
				c.put(c.things, 40, y, "stone top")
			} else {
				c.put(c.things, 40, y, "stone")
			}
		}
	}
	for _, at := range [][2]int{{28, 3}, {37, 5}, {26, 19}, {18, 20}, {35, 22}, {16, 9}, {43, 20}, {42, 6}} {
		c.put(c.things, at[0], at[1], "rock")
	}
	for _, at := range [][2]int{{20, 4}, {24, 3}, {33, 4}, {35, 3}, {29, 18}, {34, 18}, {31, 20}, {27, 6}, {38, 8}, {18, 12}} {
		c.put(c.things, at[0], at[1], []string{"tuft", "tuft 2"}[at[0]%2])
	}
	for _, at := range [][2]int{{27, 11}, {28, 11}, {28, 12}} {
		c.put(c.things, at[0], at[1], "crate")
	}
	c.box(c.things, 20, 17, 3, 1, "net")
	c.put(c.things, 36, 12, "sign")
	c.put(c.things, 29, 11, "barrel")

	c.entity(kind.Spawn, "Warden", 21, 11, 1, 1, document.Down)
	c.entity(kind.Switch, "Sluice wheel", 9, 13, 1, 1, document.Down)
	c.entity(kind.Door, "Pan gate", 40, 14, 1, 2, document.Down)
	c.entity(kind.Exit, "To the brine house", 22, 10, 1, 1, document.Up)
	c.entity(kind.Exit, "To the tide yard", 32, 11, 1, 1, document.Up)
	c.entity(kind.Exit, "To the pans", 43, 14, 1, 2, document.Right)
	for i, at := range [][2]int{{12, 16}, {3, 15}, {24, 20}, {37, 19}, {36, 4}} {
		name := "Salt crystal"
		if i > 0 {
			name = "Salt crystal " + string(rune('1'+i))
		}
		c.entity(kind.Collectible, name, at[0], at[1], 1, 1, document.Down)
	}
	c.entity(beaconKind, "Quay beacon", 16, 17, 1, 1, document.Down)
	pot := c.entity(kind.Item, "Pot of oil", 29, 12, 1, 1, document.Down)
	pot.Values, pot.Look = values("is", `"oil"`, "usedUp", "true"), c.sheet.Cell(number, "can")
	smoke := c.entity("emitter", "Smoke", 20, 6, 1, 1, document.Down)
	smoke.Values = values("gives", `"smoke"`, "perSecond", "6")
	for i, at := range [][2]int{{19, 10}, {25, 10}, {15, 14}, {35, 11}, {17, 18}} {
		e := c.entity(lanternKind, "Quay lantern "+string(rune('1'+i)), at[0], at[1], 1, 1, document.Down)
		e.Values = values("shines", `"night"`)
	}
	c.entity(crabKind, "Crab", 13, 20, 1, 1, document.Right).Values = []kind.Value{{Key: "range", Value: "2"}}
	c.entity(crabKind, "Crab 2", 30, 21, 1, 1, document.Left)
	return c
}
