package document

import "azzel/core/grid"

// Part is a part of a tile that is solid: a convex outline, in halves of the
// tile's width and height, clockwise.
type Part struct {
	Name string  `json:"name"`
	Help string  `json:"help"`
	Area Outline `json:"area"`
}

// PartOwn is made of outlines of the designer's own.
const PartOwn = "own"

func outline(p ...int) (out Outline) {
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

// Shape is a convex piece of what of a cell stops the hero, in half pixels of the cell.
type Shape []grid.Point

// Overlaps reports whether an outline and a box share more than an edge, by
// the separating axis theorem for convex outlines; all in the same units.
func (s Shape) Overlaps(left, top, right, bottom int64) bool {
	corners := [4][2]int64{{left, top}, {right, top}, {right, bottom}, {left, bottom}}
	minX, minY, maxX, maxY := int64(s[0].X), int64(s[0].Y), int64(s[0].X), int64(s[0].Y)
	for _, p := range s {
		minX, maxX = min(minX, int64(p.X)), max(maxX, int64(p.X))
		minY, maxY = min(minY, int64(p.Y)), max(maxY, int64(p.Y))
	}
	if right <= minX || left >= maxX || bottom <= minY || top >= maxY {
		return false
	}
	for i, a := range s {
		b := s[(i+1)%len(s)]
		nx, ny := int64(b.Y-a.Y), int64(a.X-b.X)
		// the outline lies on one side of its edge; where the box lies wholly on the other, they are apart
		inside := int64(0)
		for _, p := range s {
			if d := nx*int64(p.X-a.X) + ny*int64(p.Y-a.Y); d != 0 {
				inside = d
				break
			}
		}
		apart := true
		for _, c := range corners {
			d := nx*(c[0]-int64(a.X)) + ny*(c[1]-int64(a.Y))
			if inside > 0 && d > 0 || inside < 0 && d < 0 {
				apart = false
				break
			}
		}
		if apart {
			return false
		}
	}
	return true
}
