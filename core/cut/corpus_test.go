package cut

import (
	"azzel/core/document"
	"image"
	"image/color"
	"image/draw"
)

// strange is a sheet with the one cut that is right for it.
type strange struct {
	name string
	cut  document.Cut
	draw func(a *art)
	w, h int
}

// art draws sheets, the same ones each time.
type art struct {
	*image.NRGBA
	seed uint32
}

func (a *art) next(n int) int {
	a.seed = a.seed*1664525 + 1013904223
	return int(a.seed>>16) % n
}

func rgb(r, g, b int) color.NRGBA { return color.NRGBA{uint8(r), uint8(g), uint8(b), 255} }

var (
	grass = rgb(98, 142, 62)
	sand  = rgb(214, 186, 128)
	stone = rgb(120, 124, 132)
	water = rgb(44, 112, 134)
	wood  = rgb(142, 94, 52)
	brick = rgb(168, 70, 52)
	dark  = rgb(34, 36, 44)
	pale  = rgb(228, 222, 206)
	many  = []color.NRGBA{grass, sand, stone, water, wood, brick}
)

func (a *art) shade(c color.NRGBA, by int) color.NRGBA {
	f := func(v uint8) uint8 { return uint8(max(0, min(255, int(v)+by))) }
	return color.NRGBA{f(c.R), f(c.G), f(c.B), c.A}
}

func (a *art) box(x, y, w, h int, c color.NRGBA) {
	draw.Draw(a, image.Rect(x, y, x+w, y+h), image.NewUniform(c), image.Point{}, draw.Src)
}

// texture fills a box with a ground: a colour with sparse lighter and darker specks.
func (a *art) texture(x, y, w, h int, c color.NRGBA) {
	a.box(x, y, w, h, c)
	for range w * h / 9 {
		a.SetNRGBA(x+a.next(w), y+a.next(h), a.shade(c, a.next(3)*14-14))
	}
}

// oval fills an oval with an outline.
func (a *art) oval(x, y, w, h int, c color.NRGBA) {
	for j := range h {
		for i := range w {
			dx, dy := 2*i+1-w, 2*j+1-h
			if d := dx*dx*h*h + dy*dy*w*w; d <= w*w*h*h {
				at := c
				if d > (w-3)*(w-3)*h*h {
					at = a.shade(c, -60)
				} else if i+j < (w+h)/3 {
					at = a.shade(c, 26)
				}
				a.SetNRGBA(x+i, y+j, at)
			}
		}
	}
}

// tile draws one cell of a ground sheet: plain ground, a wall with an edge, or planks.
func (a *art) tile(x, y, w, h, kind int) {
	c := many[kind%len(many)]
	a.texture(x, y, w, h, c)
	switch kind / len(many) % 4 {
	case 1: // a lit upper edge
		a.box(x, y, w, max(1, h/6), a.shade(c, 30))
		a.box(x, y+h-max(1, h/8), w, max(1, h/8), a.shade(c, -40))
	case 2: // bricks
		step := max(3, h/4)
		for j := 0; j < h; j += step {
			a.box(x, y+j, w, 1, a.shade(c, -46))
			for i := j / step % 2 * step; i < w; i += 2 * step {
				a.box(x+i, y+j, 1, min(step, h-j), a.shade(c, -46))
			}
		}
	case 3: // a frame
		a.box(x, y, w, 1, a.shade(c, 40))
		a.box(x, y, 1, h, a.shade(c, 40))
		a.box(x, y+h-1, w, 1, a.shade(c, -50))
		a.box(x+w-1, y, 1, h, a.shade(c, -50))
	}
}

// grounds draws a sheet full of grounds.
func grounds(c document.Cut) func(a *art) { return groundsBeyond(c, 0) }

// groundsBeyond draws grounds, and some columns and rows more of which the sheet shows only a part.
func groundsBeyond(c document.Cut, more int) func(a *art) {
	return func(a *art) {
		columns, rows := c.Tiles(a.Rect.Dx(), a.Rect.Dy())
		for j := range rows + more {
			for i := range columns + more {
				a.tile(c.First().X+i*(c.CellWidth+c.Spacing), c.First().Y+j*(c.CellHeight+c.Spacing), c.CellWidth, c.CellHeight, j*7+i*3+a.next(5))
			}
		}
	}
}

// repeatedEdges draws grounds whose outermost pixels are repeated around them.
func repeatedEdges(size, by int) func(a *art) {
	return func(a *art) {
		step := size + 2*by
		for j := range a.Rect.Dy() / step {
			for i := range a.Rect.Dx() / step {
				x, y := i*step+by, j*step+by
				a.tile(x, y, size, size, j*5+i*3+a.next(5))
				for k := -by; k < size+by; k++ {
					for d := 1; d <= by; d++ {
						at := func(v, from int) int { return from + max(0, min(size-1, v)) }
						a.SetNRGBA(x+k, y-d, a.NRGBAAt(at(k, x), y))
						a.SetNRGBA(x+k, y+size-1+d, a.NRGBAAt(at(k, x), y+size-1))
						a.SetNRGBA(x-d, y+k, a.NRGBAAt(x, at(k, y)))
						a.SetNRGBA(x+size-1+d, y+k, a.NRGBAAt(x+size-1, at(k, y)))
					}
				}
			}
		}
	}
}

// walking draws a figure at a step of its walk, looking to a side.
func (a *art) walking(x, y, w, h, frame, side int, coat color.NRGBA) {
	swing := []int{0, 1, 0, -1}[frame%4]
	leg := max(2, h/6)
	a.box(x+w/3+swing, y+h-leg-1, max(2, w/7), leg, dark)
	a.box(x+w*2/3-max(2, w/7)-swing, y+h-leg-1, max(2, w/7), leg, dark)
	bob := frame % 2
	a.oval(x+w/5, y+h*2/5-bob, w*3/5, h-leg-h*2/5, coat)
	a.oval(x+w/4, y+h/10-bob, w/2, h*2/5, rgb(216, 170, 128))
	a.box(x+w/4, y+h/10-bob, w/2, max(1, h/9), dark)
	if side != 3 { // eyes
		a.box(x+w*2/5+(side-1)*w/8, y+h/4-bob, max(1, w/16), max(1, h/16), dark)
	}
}

// figuresOf draws rows of walking figures, on clear or on a key colour.
func figuresOf(w, h int, key color.NRGBA) func(a *art) {
	return func(a *art) {
		if key.A > 0 {
			a.box(0, 0, a.Rect.Dx(), a.Rect.Dy(), key)
		}
		for j := range a.Rect.Dy() / h {
			for i := range a.Rect.Dx() / w {
				a.walking(i*w, j*h, w, h, i, j%4, many[(j/4+3)%len(many)])
			}
		}
	}
}

// object draws one thing that fills a part of its cell.
func (a *art) object(x, y, size, kind int) {
	c := many[kind%len(many)]
	switch kind % 5 {
	case 0: // a barrel
		a.oval(x+size/6, y+size/8, size*2/3, size*3/4, c)
	case 1: // a chest
		a.box(x+1, y+size/3, size-2, size*2/3-1, a.shade(c, -50))
		a.box(x+2, y+size/3+1, size-4, size*2/3-3, c)
		a.box(x+size/2-1, y+size/2, 2, 3, pale)
	case 2: // a bush
		a.oval(x, y+size/4, size, size*3/4, c)
		a.oval(x+size/4, y+1, size/2, size/2, a.shade(c, 16))
	case 3: // a gem
		a.oval(x+size/3, y+size/3, size/3+1, size/3+1, c)
	case 4: // a post
		a.box(x+size/2-2, y+2, 4, size-3, a.shade(c, -30))
		a.box(x+size/2-1, y+2, 2, size-3, c)
	}
}

// titled draws something with room for a title of two lines above it and a caption below, each so high.
func titled(high int, ground color.NRGBA, cells func(a *art)) func(a *art) {
	return func(a *art) {
		w, h := a.Rect.Dx(), a.Rect.Dy()
		sheet := &art{NRGBA: image.NewNRGBA(image.Rect(0, 0, w, h-2*high)), seed: a.seed}
		sheet.box(0, 0, w, h, ground)
		cells(sheet)
		a.box(0, 0, w, h, ground)
		draw.Draw(a, image.Rect(0, high, w, h-high), sheet, image.Point{}, draw.Src)
		for _, y := range []int{2, high/2 + 1, h - high + 4} {
			for x := 3; x < w*2/3; x += 2 {
				a.box(x, y+a.next(3), 1, high/2-4, wood)
			}
		}
	}
}

// objects draws things on clear ground or on a key colour, with gaps among them; large
// ones take four cells.
func objects(size int, key color.NRGBA, gaps, large bool) func(a *art) {
	return func(a *art) {
		if key.A > 0 {
			a.box(0, 0, a.Rect.Dx(), a.Rect.Dy(), key)
		}
		columns, rows := a.Rect.Dx()/size, a.Rect.Dy()/size
		taken := map[int]bool{}
		for j := range rows {
			for i := range columns {
				switch {
				case taken[j*columns+i] || gaps && a.next(4) == 0:
				case large && i+1 < columns && j+1 < rows && a.next(5) == 0 && !taken[j*columns+i+1]:
					a.oval(i*size+2, j*size+1, 2*size-4, size+size/2, grass)
					a.box(i*size+size-3, j*size+size+size/2-2, 6, size/2, wood)
					for _, k := range []int{1, columns, columns + 1} {
						taken[j*columns+i+k] = true
					}
				default:
					a.object(i*size, j*size, size, a.next(30))
				}
			}
		}
	}
}

// sparse draws tiles into a corner of a large clear sheet.
func sparse(size, columns, rows int) func(a *art) {
	return func(a *art) {
		for j := range rows {
			for i := range columns {
				a.tile(i*size, j*size, size, size, i+j*5)
			}
		}
	}
}

// blobs draws patches of three by three cells: a ground with a rim of another one, as
// materials are drawn.
func blobs(size int) func(a *art) {
	return func(a *art) {
		patch := 3 * size
		for j := range a.Rect.Dy() / patch {
			for i := range a.Rect.Dx() / patch {
				x, y := i*patch, j*patch
				inner, outer := many[(i+2*j)%6], many[(i+2*j+1)%6]
				a.texture(x, y, patch, patch, outer)
				rim := size / 3
				a.texture(x+rim, y+rim, patch-2*rim, patch-2*rim, inner)
				for k := rim; k < patch-rim; k++ { // an uneven, shaded edge
					for _, p := range [][2]int{{k, rim - a.next(2)}, {k, patch - rim - 1 + a.next(2)}, {rim - a.next(2), k}, {patch - rim - 1 + a.next(2), k}} {
						a.SetNRGBA(x+p[0], y+p[1], a.shade(inner, -52))
					}
				}
			}
		}
	}
}

// onebit draws small tiles of two colours.
func onebit(size int, ground color.NRGBA) func(a *art) {
	return func(a *art) {
		a.box(0, 0, a.Rect.Dx(), a.Rect.Dy(), ground)
		for j := range a.Rect.Dy() / size {
			for i := range a.Rect.Dx() / size {
				x, y := i*size, j*size
				switch a.next(6) {
				case 0: // a frame
					for k := range size {
						for _, p := range [][2]int{{k, 0}, {k, size - 1}, {0, k}, {size - 1, k}} {
							a.SetNRGBA(x+p[0], y+p[1], pale)
						}
					}
				case 1: // bricks
					for k := 0; k < size; k += size / 4 {
						a.box(x, y+k, size, 1, pale)
						a.box(x+(k%(size/2))*2, y+k, 1, size/4, pale)
					}
				case 2: // a letter
					a.box(x+size/4, y+1, size/5, size-3, pale)
					a.box(x+size/4, y+1, size/2, size/6+1, pale)
					a.box(x+size/4, y+size/2, size/2, size/6+1, pale)
				case 3: // dots
					for range size {
						a.SetNRGBA(x+a.next(size), y+a.next(size), pale)
					}
				case 4: // a figure
					a.oval(x+size/4, y+1, size/2, size/2, pale)
					a.box(x+size/3, y+size/2, size/3, size/2-1, pale)
				}
			}
		}
	}
}

// diamonds draws blocks on a grid of diamonds, each in its cell.
func diamonds(w, h int) func(a *art) {
	return func(a *art) {
		for j := range a.Rect.Dy() / h {
			for i := range a.Rect.Dx() / w {
				c := many[(i+j*2)%6]
				for y := range h {
					for x := range w {
						top := w / 2
						dx, dy := max(x-w/2, w/2-1-x), max(2*(y-top/2), 2*(top/2-1-y))
						switch {
						case dx+dy < w/2 && y < top:
							a.SetNRGBA(i*w+x, j*h+y, a.shade(c, a.next(3)*6))
						case y >= top/2 && 2*(y-h+top/2)+dx < w/2:
							a.SetNRGBA(i*w+x, j*h+y, a.shade(c, -30+x*30/w-a.next(2)*6))
						}
					}
				}
			}
		}
	}
}

func square(size int) document.Cut { return document.Cut{CellWidth: size, CellHeight: size} }

func cell(w, h int) document.Cut { return document.Cut{CellWidth: w, CellHeight: h} }

// corpus is sheets as strangers draw them.
func corpus() []strange {
	key, green, none := rgb(255, 0, 255), rgb(0, 160, 0), color.NRGBA{}
	gutter := document.Cut{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 1}
	wide := document.Cut{CellWidth: 32, CellHeight: 32, Margin: 4, Spacing: 4}
	odd := document.Cut{CellWidth: 13, CellHeight: 11, Margin: 3, Spacing: 1}
	aside := document.Cut{CellWidth: 16, CellHeight: 16, Left: 5, Top: 4, Spacing: 1}
	ex16 := document.Cut{CellWidth: 16, CellHeight: 16, Margin: 1, Spacing: 2}
	ex32 := document.Cut{CellWidth: 32, CellHeight: 32, Margin: 2, Spacing: 4}
	return []strange{
		{"grounds-16", square(16), grounds(square(16)), 128, 128},
		{"grounds-22", square(22), grounds(square(22)), 176, 110},
		{"grounds-18", square(18), grounds(square(18)), 180, 162},
		{"grounds-80", square(80), grounds(square(80)), 480, 320},
		{"grounds-rest", square(24), grounds(square(24)), 250, 203},
		{"gutters-1", gutter, grounds(gutter), 2 + 10*17 - 1, 2 + 6*17 - 1},
		{"gutters-4", wide, grounds(wide), 8 + 6*36 - 4, 8 + 4*36 - 4},
		{"gutters-cropped", odd, groundsBeyond(odd, 1), 131, 77},
		{"aside-16", aside, grounds(aside), 5 + 8*17 - 1, 4 + 5*17 - 1},
		{"extruded-16", ex16, repeatedEdges(16, 1), 8 * 18, 6 * 18},
		{"extruded-32", ex32, repeatedEdges(32, 2), 6 * 36, 5 * 36},
		{"figures-16x24", cell(16, 24), figuresOf(16, 24, none), 48, 96},
		{"figures-24x32", cell(24, 32), figuresOf(24, 32, none), 96, 128},
		{"figures-32x48", cell(32, 48), figuresOf(32, 48, none), 128, 192},
		{"figures-many", cell(16, 32), figuresOf(16, 32, none), 64, 256},
		{"figures-key", cell(24, 32), figuresOf(24, 32, green), 72, 128},
		{"objects-16", square(16), objects(16, none, false, false), 160, 96},
		{"objects-32", square(32), objects(32, none, true, false), 256, 160},
		{"objects-large", square(16), objects(16, none, true, true), 192, 128},
		{"objects-key", square(16), objects(16, key, false, false), 128, 128},
		{"objects-key-24", square(24), objects(24, key, true, false), 192, 144},
		{"sparse-16", square(16), sparse(16, 5, 2), 256, 256},
		{"sparse-32", square(32), sparse(32, 3, 3), 512, 384},
		{"strip-16", square(16), grounds(square(16)), 192, 16},
		{"strip-down-32", square(32), grounds(square(32)), 32, 256},
		{"strip-figures", square(24), figuresOf(24, 24, none), 144, 24},
		{"blob-one", square(16), blobs(16), 48, 48},
		{"blobs-16", square(16), blobs(16), 192, 144},
		{"blobs-32", square(32), blobs(32), 288, 192},
		{"one-bit-8", square(8), onebit(8, dark), 128, 64},
		{"one-bit-16", square(16), onebit(16, dark), 160, 112},
		{"titled-24", document.Cut{CellWidth: 24, CellHeight: 24, Margin: 3, Spacing: 2, Top: 20}, titled(20, pale, grounds(document.Cut{CellWidth: 24, CellHeight: 24, Margin: 3, Spacing: 2})), 6 + 7*26 - 2, 40 + 6 + 5*26 - 2},
		{"titled-tight", document.Cut{CellWidth: 16, CellHeight: 16, Top: 18}, titled(18, none, grounds(square(16))), 160, 36 + 7*16},
		{"diamonds-32x32", cell(32, 32), diamonds(32, 32), 192, 96},
	}
}

// picture draws a sheet.
func (s strange) picture() *image.NRGBA {
	a := &art{NRGBA: image.NewNRGBA(image.Rect(0, 0, s.w, s.h)), seed: 11}
	s.draw(a)
	return a.NRGBA
}
