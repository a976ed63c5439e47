package demo

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// brineHouse is the warden's house inside: vats along the wall, a hearth, a bed.
func brineHouse(s *Sheet) *canvas {
	c := newCanvas(s, 24, 16)
	c.box(c.things, 0, 0, c.w, c.h, "inner top")
	room := func(x, y, w, h int) {
		c.box(c.ground, x, y, w, h, "boards")
		for j := range h {
			for i := range w {
				c.things[(y+j)*c.w+x+i] = 0
			}
		}
		for i := range w {
			c.put(c.things, x+i, y, "inner wall")
		}
	}
	room(2, 2, 13, 11)
	room(16, 5, 6, 8)
	// the way between the two rooms, and the door
	for _, at := range [][2]int{{15, 9}, {15, 10}, {8, 13}} {
		c.things[at[1]*c.w+at[0]] = 0
		c.put(c.ground, at[0], at[1], "boards")
	}
	c.put(c.things, 8, 2, "hearth")
	c.put(c.things, 4, 2, "window")
	c.put(c.things, 12, 2, "window")
	c.put(c.things, 19, 5, "window")
	for _, x := range []int{10, 11} {
		c.put(c.things, x, 3, "shelf")
	}
	for _, y := range []int{5, 8} {
		for i, part := range []string{"vat left", "vat mid", "vat mid", "vat right"} {
			c.put(c.things, 3+i, y, part)
		}
	}
	c.box(c.ground, 7, 10, 3, 2, "rug")
	c.put(c.things, 12, 6, "table")
	c.put(c.things, 20, 7, "bed head")
	c.put(c.things, 20, 8, "bed foot")
	c.put(c.things, 17, 6, "shelf")
	c.put(c.things, 13, 11, "barrel")
	c.put(c.things, 12, 11, "crate")
	c.put(c.things, 3, 11, "heap")
	c.put(c.ground, 18, 9, "rungs")
	c.entity(kind.Exit, "Hatch", 18, 9, 1, 1, document.Down)
	c.entity(lanternKind, "Lantern", 14, 4, 1, 1, document.Down)
	// three plates, to be stepped on as salt is made
	for _, p := range []struct {
		name string
		x, y int
	}{{"Brine plate", 8, 7}, {"Fire plate", 8, 3}, {"Salt plate", 4, 10}} {
		plate := c.entity(kind.Switch, p.name, p.x, p.y, 1, 1, document.Down)
		plate.Look, plate.LookOn = s.Cell(number, "plate"), s.Cell(number, "plate down")
		plate.Values = values("workedBy", `"step"`, "goesBack", `"whenLeft"`)
	}
	c.says(6, 3, "First the brine, then the fire, and last the salt. So it was always done.")
	for i, at := range [][2]int{{5, 11}, {21, 11}} {
		c.entity(kind.Collectible, []string{"Salt crystal", "Salt crystal 2"}[i], at[0], at[1], 1, 1, document.Down)
	}
	return c
}
