package cut

import (
	"azzel/core/document"
	"azzel/core/material"
)

// zone is the mean colour of a part of a tile: red, green, blue and alpha,
// the first three weighted by the last.
type zone [4]int

// near is how far, summed over the four parts, two means may lie apart to count
// as the same ground; textures differ that much from tile to tile.
const near = 44

func (a zone) like(b zone) bool {
	d := 0
	for i := range a {
		d += max(a[i]-b[i], b[i]-a[i])
	}
	return d <= near
}

// Marked is a tile with the neighbours on whose side it shows a material.
type Marked struct {
	Tile int           `json:"tile"`
	Form material.Form `json:"form"`
}

// Recognise finds, on a sheet, the tiles of the material that the tile full
// shows all over: from it on over neighbouring tiles that show some of it, each
// with the sides and corners that look like those of full.
func Recognise(p Picture, c document.Cut, full int, by string) []Marked {
	columns, rows := c.Tiles(p.Width, p.Height)
	if full < 0 || full >= columns*rows {
		return nil
	}
	want := zones(p, c, full, columns)
	form := func(tile int) (f material.Form, any bool) {
		got := zones(p, c, tile, columns)
		for i := range 8 {
			if got[i].like(want[i]) {
				f |= 1 << i
			}
		}
		return f, tidy(f, by) != 0 || by != material.ByCorners && got[8].like(want[8])
	}
	var out []Marked
	seen := make([]bool, columns*rows)
	todo := []int{full}
	seen[full] = true
	for len(todo) > 0 {
		tile := todo[0]
		todo = todo[1:]
		f, any := form(tile)
		if !any {
			continue
		}
		if tile == full {
			f = material.Whole
		}
		out = append(out, Marked{tile, f})
		x, y := tile%columns, tile/columns
		for _, d := range [4][2]int{{0, -1}, {1, 0}, {0, 1}, {-1, 0}} {
			nx, ny := x+d[0], y+d[1]
			if next := ny*columns + nx; nx >= 0 && ny >= 0 && nx < columns && ny < rows && !seen[next] {
				seen[next] = true
				todo = append(todo, next)
			}
		}
	}
	for i := range out {
		out[i].Form = tidy(out[i].Form, by)
	}
	return out
}

// tidy leaves what a material that follows by can have: sides that only touch
// a corner, or corners without their sides, are art.
func tidy(f material.Form, by string) material.Form {
	if by == material.ByCorners {
		return f & (material.NE | material.SE | material.SW | material.NW)
	}
	return f.Key(by)
}

// zones are the means of the eight outer parts of a tile, clockwise from the
// top, and of its middle.
func zones(p Picture, c document.Cut, tile, columns int) [9]zone {
	r := c.Tile(tile, columns)
	w, h := r.W, r.H
	dx, dy := max(1, w/5), max(1, h/5) // how deep a part is
	mx, my := w/2-max(1, w/8), h/2-max(1, h/8)
	mw, mh := max(1, w-2*mx), max(1, h-2*my)
	mean := func(x, y, w, h int) zone { return meanOf(p, r.X+x, r.Y+y, w, h) }
	return [9]zone{
		mean(mx, 0, mw, dy), mean(w-dx, 0, dx, dy), mean(w-dx, my, dx, mh), mean(w-dx, h-dy, dx, dy),
		mean(mx, h-dy, mw, dy), mean(0, h-dy, dx, dy), mean(0, my, dx, mh), mean(0, 0, dx, dy), mean(mx, my, mw, mh),
	}
}

func meanOf(p Picture, x, y, w, h int) zone {
	var sum zone
	for j := y; j < y+h; j++ {
		for i := x; i < x+w; i++ {
			at := (j*p.Width + i) * 4
			a := int(p.Pix[at+3])
			for k := range 3 {
				sum[k] += int(p.Pix[at+k]) * a / 255
			}
			sum[3] += a
		}
	}
	for k := range sum {
		sum[k] /= w * h
	}
	return sum
}

// RecogniseBest recognises by sides, by corners and by both, and gives what tells the most
// tiles apart: the fewest that look the same to it, then the simplest.
func RecogniseBest(p Picture, c document.Cut, full int) (by string, best []Marked) {
	most := 0
	for _, way := range []string{material.BySides, material.ByCorners, material.ByBoth} {
		found := Recognise(p, c, full, way)
		forms := map[material.Form]bool{}
		for _, m := range found {
			if m.Form != 0 {
				forms[m.Form] = true
			}
		}
		// a tile more that looks like another one speaks a little against a way
		if score := 4*len(forms) - (len(found) - len(forms)); by == "" || score > most {
			most, by, best = score, way, found
		}
	}
	return by, best
}
