package document

import "azzel/core/grid"

// Part is a part of a tile that is solid: a convex outline, in halves of the
// tile's width and height, clockwise.
type Part struct {
	Name string       `json:"name"`
	Help string       `json:"help"`
	Area []grid.Point `json:"area"`
}

// PartOwn is an outline of the designer's own.
const PartOwn = "own"

func outline(p ...int) (out []grid.Point) {
	for i := 0; i < len(p); i += 2 {
		out = append(out, grid.Point{X: p[i], Y: p[i+1]})
	}
	return out
}

// Parts lists the parts in the order in which they are offered. Slopes are named
// by the side that is solid and by the direction in which they rise.
var Parts = []Part{
	{"upper half", "solid above", outline(0, 0, 2, 0, 2, 1, 0, 1)},
	{"right half", "solid at the right", outline(1, 0, 2, 0, 2, 2, 1, 2)},
	{"lower half", "solid below", outline(0, 1, 2, 1, 2, 2, 0, 2)},
	{"left half", "solid at the left", outline(0, 0, 1, 0, 1, 2, 0, 2)},
	{"upper left quarter", "a quarter", outline(0, 0, 1, 0, 1, 1, 0, 1)},
	{"upper right quarter", "a quarter", outline(1, 0, 2, 0, 2, 1, 1, 1)},
	{"lower right quarter", "a quarter", outline(1, 1, 2, 1, 2, 2, 1, 2)},
	{"lower left quarter", "a quarter", outline(0, 1, 1, 1, 1, 2, 0, 2)},
	{"ground rising right", "a slope of one in one", outline(2, 0, 2, 2, 0, 2)},
	{"ground rising left", "a slope of one in one", outline(0, 0, 2, 2, 0, 2)},
	{"ceiling falling right", "a slope of one in one", outline(0, 0, 2, 0, 2, 2)},
	{"ceiling falling left", "a slope of one in one", outline(0, 0, 2, 0, 0, 2)},
	{"gentle right, lower", "a slope of one in two", outline(2, 1, 2, 2, 0, 2)},
	{"gentle right, upper", "a slope of one in two", outline(0, 1, 2, 0, 2, 2, 0, 2)},
	{"gentle left, upper", "a slope of one in two", outline(0, 0, 2, 1, 2, 2, 0, 2)},
	{"gentle left, lower", "a slope of one in two", outline(0, 1, 2, 2, 0, 2)},
}

// PartOf finds a part by name, nil when there is none.
func PartOf(name string) *Part {
	for i := range Parts {
		if Parts[i].Name == name {
			return &Parts[i]
		}
	}
	return nil
}
