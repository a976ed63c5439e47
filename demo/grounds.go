package demo

import "image/color"

func speckled(c, hi, lo color.NRGBA, seed, often int) (p pic) {
	p.rect(0, 0, side, side, c)
	for y := range side {
		for x := range side {
			switch noise(x, y, seed, often) {
			case 0:
				p.set(x, y, hi)
			case 1:
				p.set(x, y, lo)
			}
		}
	}
	return
}

func sandTile(seed int) pic {
	p := speckled(sand, sandHi, sandLo, seed, 22)
	if seed == 3 {
		p.rect(4, 6, 2, 1, shell)
		p.set(5, 5, salt)
		p.rect(10, 11, 2, 1, sandLo)
	}
	if seed == 4 {
		for i := range 5 {
			p.set(3+i, 4+i%2, sandLo)
			p.set(8+i, 11+i%2, sandHi)
		}
	}
	return p
}

func mudTile(seed int) pic {
	p := speckled(mud, sandLo, mudLo, seed, 14)
	for i := range 4 {
		y := 2 + i*4
		for x := range 5 {
			p.set((x+noise(i, 0, seed, 16))%side, y, mudLo)
			p.set((x+noise(i, 1, seed, 16))%side, y+1, sandLo)
		}
	}
	return p
}

// seaTile has short waves in rows.
// seaTile is open water; its glints drift from phase to phase and back.
func seaTile(seed, phase int) (p pic) {
	p.rect(0, 0, side, side, sea)
	for row := range 4 {
		y := row*4 + noise(row, 2, seed, 2)
		x := noise(row, 3, seed, 16) + []int{0, 1, 2, 1}[phase]*(1-2*(row%2)) + side
		for i := range 4 + noise(row, 4, seed, 3) {
			p.set((x+i)%side, y, seaHi)
			p.set((x+i+1)%side, y+1, seaLo)
		}
	}
	return
}

func deepTile(seed int) (p pic) {
	p.rect(0, 0, side, side, seaLo)
	for row := range 3 {
		x, y := noise(row, 5, seed, 16), row*5+2
		for i := range 4 {
			p.set((x+i)%side, y, sea)
			p.set((x+i+2)%side, y+1, seaDeep)
		}
	}
	return
}

func grassTile(seed int) pic {
	p := speckled(grass, grassHi, grassLo, seed, 18)
	for i := range 5 {
		x, y := noise(i, 6, seed, 14)+1, noise(i, 7, seed, 13)+1
		p.set(x, y, grassHi)
		p.set(x, y+1, grassLo)
		p.set(x+1, y+1, grassLo)
	}
	return p
}

// panTile is the shallow brine of a salt pan, with crusts as it dries.
func panTile(seed int) pic {
	p := speckled(pan, panHi, panLo, seed, 20)
	for i := range 3 {
		x, y := noise(i, 8, seed, 11), noise(i, 9, seed, 14)
		p.rect(x, y, 4, 1, panHi)
		if seed > 1 {
			p.rect(x+1, y+1, 3, 1, salt)
		}
	}
	return p
}

func saltTile(seed int) pic {
	p := speckled(salt, color.NRGBA{R: 255, G: 255, B: 255, A: 255}, shell, seed, 7)
	for i := range 3 {
		x, y := noise(i, 10, seed, 12), noise(i, 11, seed, 14)
		p.rect(x, y, 3, 1, shell)
		p.set(x+3, y+1, panHi)
	}
	return p
}

// planks run across; joints differ by seed.
func planks(seed int) (p pic) {
	for row := range 4 {
		y := row * 4
		p.rect(0, y, side, 4, wood)
		p.rect(0, y, side, 1, woodHi)
		p.rect(0, y+3, side, 1, woodLo)
		joint := noise(row, 12, seed, side)
		p.rect(joint, y, 1, 4, woodLo)
		p.set((joint+2)%side, y+1, woodDark)
		for i := range 3 {
			x := noise(row*3+i, 13, seed, side)
			p.rect(x, y+2, 2, 1, woodLo)
		}
	}
	return
}

// deckEdge is the front of the quay: planks end, piles stand in the water.
func deckEdge() pic {
	p := seaTile(2, 0)
	top := planks(3)
	for y := range 7 {
		p[y] = top[y]
	}
	p.rect(0, 7, side, 2, woodDark)
	for _, x := range []int{2, 10} {
		p.rect(x, 8, 4, 7, woodLo)
		p.rect(x, 8, 1, 7, wood)
		p.rect(x+3, 8, 1, 7, woodDark)
		p.rect(x-1, 14, 6, 1, foam)
	}
	return p
}

func cobbles(seed int) (p pic) {
	p.rect(0, 0, side, side, slate)
	for row := range 4 {
		for col := -1; col < 3; col++ {
			x, y := col*6+row%2*3, row*4
			c := stone
			if noise(col+2, row, seed, 3) == 0 {
				c = ash
			}
			p.rect(x, y, 5, 3, c)
			p.rect(x, y, 5, 1, ash)
			p.rect(x+1, y+2, 4, 1, stone)
		}
	}
	return
}

func floorBoards() (p pic) {
	for col := range 4 {
		p.rect(col*4, 0, 4, side, woodLo)
		p.rect(col*4, 0, 1, side, woodDark)
		p.rect(col*4+1, 0, 1, side, wood)
		p.rect(col*4+1, noise(col, 14, 1, 12), 3, 1, woodDark)
	}
	return
}

// cliffTop is bare rock seen from above.
func cliffTop() pic { return speckled(ash, shell, stone, 21, 7) }

// cliffFace is the side of a cliff: left, middle or right.
func cliffFace(part int) (p pic) {
	p.rect(0, 0, side, side, stone)
	for y := range side {
		for x := range side {
			if noise(x/3, y/4, 61+part, 4) == 0 {
				p.set(x, y, slate)
			}
			if y%5 == 0 && noise(x/2, y, 62, 3) > 0 {
				p.set(x, y, ash)
			}
		}
	}
	if part == 0 {
		p.rect(0, 0, 2, side, slate)
	}
	if part == 2 {
		p.rect(14, 0, 2, side, night)
	}
	return
}

// sky is one of four bands of an evening sky, from the top.
func sky(band int) (p pic) {
	shades := [5]color.NRGBA{rgb(0x2b4a66), rgb(0x4a6c86), rgb(0x86929a), rgb(0xc9a58a), rgb(0xe6bd92)}
	for y := range side {
		for x := range side {
			// bands run into each other in a woven pattern
			c := shades[band]
			if (x+y)%4 < y/4 {
				c = shades[band+1]
			}
			p.set(x, y, c)
		}
	}
	return
}

// hills is half of a far ridge, clear above.
func hills(half int) (p pic) {
	for x := range side {
		top := 12 - x/2
		if half == 1 {
			top = 5 + x/2
		}
		for y := max(0, top+noise(x/3, half, 63, 2)); y < side; y++ {
			p.set(x, y, seaLo)
		}
	}
	return
}

// pathTile is a way over grass that reaches the sides of a mask: above, right,
// below, left.
func pathTile(mask int) pic {
	p, way := grassTile(1), sandTile(1)
	var on [side][side]bool
	for y := range side {
		for x := range side {
			round := (x-7)*(x-8)+(y-7)*(y-8) <= 24
			middleX, middleY := x > 2 && x < 13, y > 2 && y < 13
			on[y][x] = round || middleX && (mask&1 != 0 && y < 8 || mask&4 != 0 && y >= 8) || middleY && (mask&2 != 0 && x >= 8 || mask&8 != 0 && x < 8)
		}
	}
	at := func(x, y int) bool {
		return on[max(0, min(side-1, y))][max(0, min(side-1, x))]
	}
	for y := range side {
		for x := range side {
			switch {
			case !on[y][x]:
			case !at(x, y+1) || !at(x+1, y):
				p.set(x, y, sandLo)
			case !at(x, y-1) || !at(x-1, y):
				p.set(x, y, grassLo)
			default:
				p.set(x, y, way[y][x])
			}
		}
	}
	return p
}
