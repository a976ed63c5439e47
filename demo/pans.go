package demo

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// pans is the field of salt pans between clay dykes, with the first beacon
// behind a gate.
func pans(s *Sheet) *canvas {
	c := newCanvas(s, 44, 28)
	c.box(c.ground, 0, 0, c.w, c.h, "mud", "mud", "mud 2")
	// six pans in two rows
	type field struct{ x, y, w, h, stage int }
	fields := []field{{5, 3, 9, 8, 0}, {17, 3, 9, 8, 1}, {29, 3, 6, 8, 2}, {5, 17, 9, 8, 2}, {17, 17, 9, 8, 0}, {29, 17, 6, 8, 1}}
	c.paint(panPaint, func(x, y int) bool {
		for _, f := range fields {
			if x > f.x && x < f.x+f.w && y > f.y && y < f.y+f.h {
				return true
			}
		}
		return false
	})
	for _, f := range fields {
		if f.stage == 2 {
			for y := f.y + 1; y < f.y+f.h-1; y++ {
				for x := f.x + 1; x < f.x+f.w-1; x++ {
					if noise(x/2, y/2, 51, 5) > 1 {
						c.put(c.ground, x, y, []string{"salt", "salt 2"}[noise(x, y, 52, 2)])
					}
				}
			}
		}
		c.box(c.ground, f.x, f.y-1, f.w, 1, "dyke")
		c.box(c.ground, f.x, f.y+f.h, f.w, 1, "dyke front")
	}
	// the sea lies north and east
	water := func(x, y int) bool { return y < 1 || x > 41-noise(0, y/3, 53, 2) }
	for y := range c.h {
		for x := range c.w {
			if water(x, y) && water(x+1, y) && water(x, y+1) {
				c.put(c.ground, x, y, []string{"sea 1", "sea 2"}[noise(x, y, 54, 2)])
			}
		}
	}
	c.box(c.ground, 0, 13, 38, 2, "cobbles", "cobbles", "cobbles 2")
	// the yard of the beacon
	c.box(c.ground, 36, 10, 5, 8, "cobbles", "cobbles 2")
	for y := 9; y < 19; y++ {
		if y != 13 && y != 14 {
			c.put(c.things, 35, y, "stone top")
		}
	}
	c.put(c.things, 35, 12, "stone")
	c.put(c.things, 35, 18, "stone")
	for x := 36; x < 41; x++ {
		c.put(c.things, x, 9, "stone")
		c.put(c.things, x, 18, "stone")
	}
	for y := 9; y < 19; y++ {
		c.put(c.things, 41, y, "stone top")
	}
	for _, at := range [][2]int{{3, 5}, {3, 6}, {15, 4}, {27, 8}, {15, 20}, {27, 22}, {3, 22}, {28, 20}} {
		c.put(c.things, at[0], at[1], "heap")
	}
	for _, at := range [][2]int{{8, 6}, {20, 20}, {31, 6}} {
		c.put(c.things, at[0], at[1], "rake")
	}
	for _, at := range [][2]int{{2, 10}, {16, 26}, {1, 18}, {33, 26}} {
		c.put(c.things, at[0], at[1], "rock")
	}
	c.put(c.things, 16, 11, "crate")
	c.put(c.things, 15, 11, "barrel")
	c.put(c.things, 2, 12, "sign")

	c.entity(kind.Switch, "Yard wheel", 21, 8, 1, 1, document.Down)
	c.entity(kind.Door, "Beacon gate", 35, 13, 1, 2, document.Down)
	pot := c.entity(kind.Item, "Pot of oil", 14, 11, 1, 1, document.Down)
	pot.Values, pot.Look = values("is", `"oil"`, "usedUp", "true"), c.sheet.Cell(number, "can")
	c.entity(beaconKind, "Pan beacon", 39, 13, 1, 1, document.Down)
	for i, at := range [][2]int{{9, 8}, {31, 21}, {22, 22}, {38, 16}} {
		name := "Salt crystal"
		if i > 0 {
			name = "Salt crystal " + string(rune('1'+i))
		}
		c.entity(kind.Collectible, name, at[0], at[1], 1, 1, document.Down)
	}
	return c
}
