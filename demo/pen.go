// Package demo holds the demo project, The Saltworks at Low Tide, the starter
// set, and the code that draws the art of both: tiles of 16×16 pixels, one
// palette, light from the top left.
package demo

import (
	"image/color"
	"math"
)

// side is the size of a tile in pixels.
const side = 16

// The palette that all art shares.
var (
	clear    = color.NRGBA{}
	night    = rgb(0x1f2a33)
	slate    = rgb(0x3a4650)
	stone    = rgb(0x6b7378)
	ash      = rgb(0x9aa09d)
	salt     = rgb(0xf3efe4)
	shell    = rgb(0xd9d3c3)
	sandHi   = rgb(0xe9d3a0)
	sand     = rgb(0xdcc088)
	sandLo   = rgb(0xc4a46c)
	mud      = rgb(0x8f7650)
	mudLo    = rgb(0x755f42)
	seaHi    = rgb(0x4f9aa3)
	sea      = rgb(0x2f7d8b)
	seaLo    = rgb(0x22636f)
	seaDeep  = rgb(0x1b4f5d)
	foam     = rgb(0xcfe6df)
	panHi    = rgb(0xe8b9ac)
	pan      = rgb(0xd59a93)
	panLo    = rgb(0xb97c7c)
	grassHi  = rgb(0xa3b35f)
	grass    = rgb(0x86994c)
	grassLo  = rgb(0x677c3e)
	wood     = rgb(0x9c6b43)
	woodHi   = rgb(0xbd8a58)
	woodLo   = rgb(0x6f482f)
	woodDark = rgb(0x4a3024)
	clay     = rgb(0xb7553a)
	clayHi   = rgb(0xd57a52)
	clayLo   = rgb(0x863a2c)
	coat     = rgb(0xe3a52f)
	coatHi   = rgb(0xf4ca5c)
	coatLo   = rgb(0xb0741f)
	skin     = rgb(0xe8b48c)
	glow     = rgb(0xffe9a3)
	iron     = rgb(0x50585c)
	crystal  = rgb(0x9fd7e6)
	crysHi   = rgb(0xe6fbff)
	crysLo   = rgb(0x5d9fc4)
)

func rgb(v uint32) color.NRGBA {
	return color.NRGBA{R: uint8(v >> 16), G: uint8(v >> 8), B: uint8(v), A: 255}
}

// pic is one tile being drawn.
type pic [side][side]color.NRGBA

// noise is a repeatable number from 0 to n−1 for a place.
func noise(x, y, seed, n int) int {
	h := uint32(x)*374761393 + uint32(y)*668265263 + uint32(seed)*2246822519
	h = (h ^ h>>13) * 1274126177
	return int((h ^ h>>16) % uint32(n))
}

func (p *pic) set(x, y int, c color.NRGBA) {
	if x >= 0 && y >= 0 && x < side && y < side {
		p[y][x] = c
	}
}

func (p *pic) rect(x, y, w, h int, c color.NRGBA) {
	for j := y; j < y+h; j++ {
		for i := x; i < x+w; i++ {
			p.set(i, j, c)
		}
	}
}

// block is a rectangle lit from the top left, with an outline.
func (p *pic) block(x, y, w, h int, c, hi, lo, line color.NRGBA) {
	p.rect(x, y, w, h, line)
	p.rect(x+1, y+1, w-2, h-2, c)
	p.rect(x+1, y+1, w-2, 1, hi)
	p.rect(x+1, y+1, 1, h-2, hi)
	p.rect(x+2, y+h-2, w-3, 1, lo)
	p.rect(x+w-2, y+2, 1, h-3, lo)
}

// disc is a filled circle with a lighter top left.
func (p *pic) disc(cx, cy, r float64, c, hi, lo color.NRGBA) {
	for y := range side {
		for x := range side {
			dx, dy := float64(x)-cx, float64(y)-cy
			if dx*dx+dy*dy > r*r {
				continue
			}
			switch slope := dx + dy; {
			case slope < -r*0.6:
				p.set(x, y, hi)
			case slope > r*0.7:
				p.set(x, y, lo)
			default:
				p.set(x, y, c)
			}
		}
	}
}

// shadow darkens the ground under a thing: a flat oval at the foot.
func (p *pic) shadow(x, y, w int) {
	for i := range w {
		p.set(x+i, y, color.NRGBA{R: 20, G: 30, B: 35, A: 90})
		if i > 0 && i < w-1 {
			p.set(x+i, y+1, color.NRGBA{R: 20, G: 30, B: 35, A: 60})
		}
	}
}

// letters draws from rows of letters; a dot or a space leaves the pixel clear.
func (p *pic) letters(colours map[byte]color.NRGBA, rows ...string) {
	for y, row := range rows {
		for x := range len(row) {
			if c, ok := colours[row[x]]; ok {
				p.set(x, y, c)
			}
		}
	}
}

func (p pic) mirrored() pic {
	var out pic
	for y := range side {
		for x := range side {
			out[y][side-1-x] = p[y][x]
		}
	}
	return out
}

// corners draws ground a with ground b at the marked corners (1 top left, 2 top
// right, 4 bottom left, 8 bottom right): rim lies on b's side of the border,
// bank on a's. All sixteen fit each other.
func corners(a, b pic, mask int, rim, bank color.NRGBA) pic {
	bit := func(n int) float64 { return float64(mask >> n & 1) }
	var out pic
	for y := range side {
		for x := range side {
			u, v := (float64(x)+0.5)/side, (float64(y)+0.5)/side
			f := bit(0)*(1-u)*(1-v) + bit(1)*u*(1-v) + bit(2)*(1-u)*v + bit(3)*u*v
			calm := math.Min(math.Min(float64(x), float64(side-1-x)), math.Min(float64(y), float64(side-1-y))) / 8
			f += (float64(noise(x/2, y/2, mask, 9)) - 4) / 32 * calm
			switch {
			case f > 0.64:
				out[y][x] = b[y][x]
			case f > 0.5:
				out[y][x] = rim
			case f > 0.4:
				out[y][x] = bank
			default:
				out[y][x] = a[y][x]
			}
		}
	}
	return out
}
