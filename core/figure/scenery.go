package figure

import (
	"azzel/core/chance"
	"fmt"
	"slices"
)

// The things of a landscape that are drawn.
const (
	House = "house"
	Tree  = "tree"
	Rock  = "rock"
)

// SceneryWish is what is to be drawn for a landscape: so many cells wide and tall, in two colours, one of many alike.
type SceneryWish struct {
	What string `json:"what"`
	Wide int    `json:"wide"`
	Tall int    `json:"tall"`
	// Colour is that of the roof, the leaves or the stone, Second that of the wall, the trunk or the moss; as #rrggbb.
	Colour string `json:"colour"`
	Second string `json:"second"`
	// Size is how large a cell is, in pixels: 16 or 32. Seed tells alike ones apart.
	Size int   `json:"size"`
	Seed int64 `json:"seed"`
}

// MaxScenery is how many cells a thing of a landscape has on a side, at most.
const MaxScenery = 8

// Scenery lists what there is.
var Scenery = []string{House, Tree, Rock}

// painting is a picture that is being drawn, in pixels of which a cell has 16.
type painting struct {
	w, h int
	all  []pixel
	seed int64
}

func (p *painting) at(x, y int) pixel {
	if x < 0 || y < 0 || x >= p.w || y >= p.h {
		return pixel{}
	}
	return p.all[y*p.w+x]
}

func (p *painting) set(x, y int, c pixel) {
	if x >= 0 && y >= 0 && x < p.w && y < p.h {
		p.all[y*p.w+x] = c
	}
}

func (p *painting) box(x, y, w, h int, c pixel) {
	for j := range h {
		for i := range w {
			p.set(x+i, y+j, c)
		}
	}
}

// dice is a number below n for a place, the same each time.
func (p *painting) dice(x, y, what, n int) int {
	return chance.Below(chance.At(p.seed, x, y, what), n)
}

// DrawScenery draws a thing of a landscape, with the light from the top left.
func DrawScenery(w SceneryWish) (Sheet, error) {
	if !slices.Contains(Scenery, w.What) || w.Size != Side && w.Size != large {
		return Sheet{}, fmt.Errorf("there is no “%.20s” of %d pixels to be drawn", w.What, w.Size)
	}
	if w.Wide < 1 || w.Tall < 1 || w.Wide > MaxScenery || w.Tall > MaxScenery || w.What == House && (w.Wide < 2 || w.Tall < 2) {
		return Sheet{}, fmt.Errorf("it is 1 to %d cells wide and tall, a house at least 2", MaxScenery)
	}
	colour, err := colourOf(w.Colour)
	if err != nil {
		return Sheet{}, err
	}
	second, err := colourOf(w.Second)
	if err != nil {
		return Sheet{}, err
	}
	p := &painting{w: w.Wide * Side, h: w.Tall * Side, all: make([]pixel, w.Wide*w.Tall*Side*Side), seed: w.Seed}
	switch w.What {
	case House:
		p.house(colour, second)
	case Tree:
		p.tree(colour, second)
	default:
		p.rock(colour, second)
	}
	by := w.Size / Side
	out := Sheet{Width: by * p.w, Height: by * p.h, Pixels: make([]byte, 4*by*by*p.w*p.h)}
	for y := range p.h {
		for x := range p.w {
			four := [4]pixel{p.at(x, y)}
			if by == 2 {
				four = twice(p.at, x, y)
			}
			for i := range by * by {
				copy(out.Pixels[4*((by*y+i/by)*out.Width+by*x+i%by):], four[i][:])
			}
		}
	}
	return out, nil
}

var (
	dark  = pixel{31, 42, 51, 255}
	shade = pixel{20, 30, 35, 80}
	glass = pixel{255, 226, 140, 255}
)

// house has a roof of shingles over a wall with a door and windows.
func (p *painting) house(roof, wall pixel) {
	eaves := max(p.h*11/20, p.h-26)
	wood := pixel{110, 72, 48, 255}
	// the wall, with stones at its foot
	p.box(1, eaves, p.w-2, p.h-eaves-1, wall)
	for x := 1; x < p.w-1; x++ {
		for y := eaves; y < p.h-1; y++ {
			switch {
			case x < 3:
				p.set(x, y, wall.shaded(1))
			case x >= p.w-3 || y < eaves+3:
				p.set(x, y, wall.shaded(-1))
			case p.dice(x, y, 1, 19) == 0:
				p.set(x, y, wall.shaded(-1))
			}
		}
		stone := pixel{128, 128, 124, 255}
		if x%6 == 0 {
			stone = stone.shaded(-1)
		}
		p.set(x, p.h-4, stone.shaded(1))
		p.set(x, p.h-3, stone)
		p.set(x, p.h-2, stone.shaded(-1))
	}
	// a door in the middle, a window in each other cell
	door := p.w/2 - 4
	for cell := range p.w / Side {
		x := cell*Side + 4
		if x+8 > door-1 && x < door+9 {
			continue
		}
		y := eaves + max(4, (p.h-4-eaves)/2-4)
		p.box(x, y, 8, 8, wood.shaded(-1))
		p.box(x+1, y+1, 6, 6, glass)
		p.box(x+4, y+1, 1, 6, wood)
		p.box(x+1, y+4, 6, 1, wood)
		p.set(x+1, y+1, pixel{255, 248, 214, 255})
	}
	p.box(door-1, p.h-14, 10, 13, wood.shaded(-1))
	p.box(door, p.h-13, 8, 12, wood)
	for x := door + 1; x < door+8; x += 3 {
		p.box(x, p.h-13, 1, 12, wood.shaded(-1))
	}
	p.set(door+6, p.h-7, glass)
	// shingles in rows, each row set off against the last
	for y := range eaves {
		in := 0
		if y < 3 {
			in = 3 - y
		}
		for x := in; x < p.w-in; x++ {
			c := roof
			switch row, of := y/4, y%4; {
			case y < 2:
				c = roof.shaded(1)
			case of == 3, (x+row%2*4)%8 == 7:
				c = roof.shaded(-1)
			case of == 0 && p.dice(x/8, row, 2, 3) == 0, x < in+2:
				c = roof.shaded(1)
			}
			p.set(x, y, c)
		}
	}
	p.box(0, eaves, p.w, 1, dark)
	p.outline()
}

// round tells how far a place is from the middle of an oval, in thousandths of its edge, squared.
func round(x, y, mx, my, rx, ry int) int {
	dx, dy := (2*(x-mx)+1)*500/max(1, rx), (2*(y-my)+1)*500/max(1, ry)
	return (dx*dx + dy*dy) / 1000
}

// tree has a crown of tufts over a trunk.
func (p *painting) tree(leaves, trunk pixel) {
	crown := p.h - 6
	if p.h > Side {
		crown = p.h - 12
	}
	wide := max(4, p.w/6)
	for x := range p.w * 3 / 5 {
		p.set(p.w/5+x, p.h-1, shade)
	}
	for y := crown - 6; y < p.h-1; y++ {
		for i := range wide {
			c := trunk
			if i == 0 {
				c = trunk.shaded(1)
			} else if i >= wide*2/3 {
				c = trunk.shaded(-1)
			}
			p.set((p.w-wide)/2+i, y, c)
		}
	}
	mx, my := p.w/2, crown/2
	for y := range crown {
		for x := range p.w {
			// the edge is of tufts
			tuft := p.dice(x/4, y/4, 3, 240)
			far := round(x, y, mx, my, p.w/2, crown/2)
			if far > 1000-tuft {
				continue
			}
			light := round(x, y, p.w*2/5, crown/3, p.w/2, crown/2)
			c := leaves
			switch spot := p.dice(x/2, y/2, 4, 10); {
			case light < 260 && spot < 7, light < 520 && spot < 2:
				c = leaves.shaded(1)
			case light > 780 || light > 520 && spot < 4:
				c = leaves.shaded(-1)
			}
			p.set(x, y, c)
		}
	}
	p.outline()
}

// rock is a stone of facets, with moss where the light does not come.
func (p *painting) rock(stone, moss pixel) {
	for x := range p.w * 4 / 5 {
		p.set(p.w/10+x, p.h-1, shade)
	}
	mx, my := p.w/2, p.h/2
	for y := range p.h - 1 {
		for x := range p.w {
			if round(x, y, mx, my, p.w/2, p.h/2) > 1000-p.dice(x/3, y/3, 5, 180) {
				continue
			}
			c := stone
			// facets lie across each other
			side := (x*3+y*5)/11 + (x*5-y*2)/13
			switch light := x*p.h + y*p.w; {
			case light < p.w*p.h*3/5 && side%3 != 0:
				c = stone.shaded(1)
			case light > p.w*p.h*13/10 || side%5 == 0:
				c = stone.shaded(-1)
			}
			if y > p.h*3/5 && p.dice(x/2, y/2, 6, 5) == 0 {
				c = moss
			}
			p.set(x, y, c)
		}
	}
	p.outline()
}

// outline darkens the edge of what was drawn, so that it stands out from any ground.
func (p *painting) outline() {
	was := slices.Clone(p.all)
	solid := func(x, y int) bool { return x >= 0 && y >= 0 && x < p.w && y < p.h && was[y*p.w+x][3] == 255 }
	for y := range p.h {
		for x := range p.w {
			if solid(x, y) && !(solid(x-1, y) && solid(x+1, y) && solid(x, y-1) && solid(x, y+1)) {
				p.set(x, y, dark)
			}
		}
	}
}
