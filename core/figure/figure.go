// Package figure draws figures out of parts: heads, hair, coats, tools in colours of one's choice, looking four ways, standing
// and in two steps; and houses, trees and rocks of some cells. The same wish gives the same pixels.
package figure

import (
	"fmt"
	"slices"
	"strconv"
)

// Wish is how a figure is to look: its parts by their names, its colours as #rrggbb.
type Wish struct {
	Hair string `json:"hair"`
	Coat string `json:"coat"`
	Tool string `json:"tool"`
	Skin string `json:"skin"`
	// HairColour is that of the hair or the hat.
	HairColour string `json:"hairColour"`
	CoatColour string `json:"coatColour"`
	LegColour  string `json:"legColour"`
	ToolColour string `json:"toolColour"`
	// Size is how large a picture is, in pixels: 16 or 32.
	Size int `json:"size"`
}

// Parts are what there is to choose of, by their names.
type Parts struct {
	Hairs []string `json:"hairs"`
	Coats []string `json:"coats"`
	Tools []string `json:"tools"`
	Sizes []int    `json:"sizes"`
}

// Side is how large a figure is drawn, in pixels; Frames how many pictures of a facing there are.
const (
	Side   = 16
	Frames = 3
	large  = 32
)

// All lists what there is to choose of.
func All() (out Parts) {
	for _, o := range hairs {
		out.Hairs = append(out.Hairs, o.name)
	}
	for _, o := range coats {
		out.Coats = append(out.Coats, o.name)
	}
	for _, o := range tools {
		out.Tools = append(out.Tools, o.name)
	}
	out.Sizes = []int{Side, large}
	return out
}

// Sheet is a picture of all pictures of a figure: three beside each other, standing and two steps, of looking up, right, down
// and left below each other.
type Sheet struct {
	Width, Height int
	// Pixels are red, green, blue and opacity, row by row.
	Pixels []byte
}

// pixel is a colour; none of it is nothing.
type pixel [4]byte

type pic [Side][Side]pixel

// Draw draws a figure.
func Draw(w Wish) (Sheet, error) {
	hair := slices.IndexFunc(hairs, func(o struct {
		name string
		facings
	}) bool {
		return o.name == w.Hair
	})
	tool := slices.IndexFunc(tools, func(o struct {
		name string
		facings
	}) bool {
		return o.name == w.Tool
	})
	coat := -1
	for i := range coats {
		if coats[i].name == w.Coat {
			coat = i
		}
	}
	if hair < 0 || tool < 0 || coat < 0 || w.Size != Side && w.Size != large {
		return Sheet{}, fmt.Errorf("a figure has no such parts as %.20s, %.20s and %.20s of %d pixels", w.Hair, w.Coat, w.Tool, w.Size)
	}
	colours, err := coloursOf(w)
	if err != nil {
		return Sheet{}, err
	}
	out := Sheet{Width: Frames * w.Size, Height: 4 * w.Size}
	out.Pixels = make([]byte, 4*out.Width*out.Height)
	for row, look := range []func(f *facings) []string{
		func(f *facings) []string { return f.up }, func(f *facings) []string { return f.right },
		func(f *facings) []string { return f.down }, func(f *facings) []string { return f.right },
	} {
		for frame := range Frames {
			var p pic
			p.shadow()
			steps := legs.front
			if row%2 == 1 {
				steps = legs.side
			}
			if !coats[coat].long {
				p.letters(colours, steps[frame], 0)
			}
			// who steps goes up and down by a pixel
			bob := 0
			if frame > 0 && !coats[coat].long {
				bob = 1
			}
			for _, part := range [][]string{look(&coats[coat].facings), look(&head), look(&hairs[hair].facings), look(&tools[tool].facings)} {
				p.letters(colours, part, bob)
			}
			if row == 3 {
				p = p.turned()
			}
			out.put(p, frame, row, w.Size)
		}
	}
	return out, nil
}

// letters draws rows of letters, so many pixels lower as bob; what would go over the legs is left out.
func (p *pic) letters(colours map[byte]pixel, rows []string, bob int) {
	for y, row := range rows {
		for x := range len(row) {
			if c, ok := colours[row[x]]; ok && y+bob < Side && (bob == 0 || y+bob < 14 || y >= 14) {
				p[y+bob][x] = c
			}
		}
	}
}

// shadow darkens the ground under the feet.
func (p *pic) shadow() {
	for x := 3; x < 13; x++ {
		p[15][x] = pixel{20, 30, 35, 80}
	}
}

func (p pic) turned() (out pic) {
	for y := range p {
		for x := range p[y] {
			out[y][Side-1-x] = p[y][x]
		}
	}
	return out
}

// put lays a picture into the sheet.
func (s *Sheet) put(p pic, frame, row, size int) {
	at := func(x, y int) pixel {
		if x < 0 || y < 0 || x >= Side || y >= Side {
			return pixel{}
		}
		return p[y][x]
	}
	set := func(x, y int, c pixel) {
		copy(s.Pixels[4*((row*size+y)*s.Width+frame*size+x):], c[:])
	}
	for y := range Side {
		for x := range Side {
			c := at(x, y)
			if size == Side {
				set(x, y, c)
				continue
			}
			for i, o := range twice(at, x, y) {
				set(2*x+i%2, 2*y+i/2, o)
			}
		}
	}
}

// twice are the four pixels that one becomes twice as large: its corners are rounded as the neighbours ask (Scale2x, Mazzoleni 2001).
func twice(at func(x, y int) pixel, x, y int) [4]pixel {
	c := at(x, y)
	up, right, left, down := at(x, y-1), at(x+1, y), at(x-1, y), at(x, y+1)
	four := [4]pixel{c, c, c, c}
	if left == up && left != down && up != right {
		four[0] = up
	}
	if up == right && up != left && right != down {
		four[1] = right
	}
	if down == left && down != right && left != up {
		four[2] = left
	}
	if right == down && right != up && down != left {
		four[3] = right
	}
	return four
}

// coloursOf are the colours of the letters, lighter and darker ones with them.
func coloursOf(w Wish) (map[byte]pixel, error) {
	out := map[byte]pixel{'o': {31, 42, 51, 255}}
	for _, o := range []struct {
		text          string
		is, light, lo byte
	}{{w.Skin, 's', 0, 'S'}, {w.HairColour, 'h', 'H', 'l'}, {w.CoatColour, 'c', 'C', 'd'}, {w.LegColour, 'b', 0, 'B'}, {w.ToolColour, 'T', 0, 't'}} {
		c, err := colourOf(o.text)
		if err != nil {
			return nil, err
		}
		out[o.is], out[o.lo] = c, c.shaded(-1)
		if o.light != 0 {
			out[o.light] = c.shaded(1)
		}
	}
	return out, nil
}

func colourOf(text string) (pixel, error) {
	n, err := strconv.ParseUint(text[min(1, len(text)):], 16, 32)
	if err != nil || len(text) != 7 || text[0] != '#' {
		return pixel{}, fmt.Errorf("“%.20s” is no colour: give six digits, as #e3a52f", text)
	}
	return pixel{byte(n >> 16), byte(n >> 8), byte(n), 255}, nil
}

// shaded is a colour in more light, or in less, which is colder.
func (c pixel) shaded(by int) pixel {
	part := func(v byte, to, of int) byte { return byte(int(v) + (to-int(v))*of/100) }
	if by > 0 {
		return pixel{part(c[0], 255, 38), part(c[1], 246, 34), part(c[2], 214, 26), 255}
	}
	return pixel{part(c[0], 24, 34), part(c[1], 26, 36), part(c[2], 44, 26), 255}
}
