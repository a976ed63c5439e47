package demo

import "image/color"

// roof is part of a tiled roof: column 0 to 2 from the left, row 0 the ridge.
func roof(column, row int) (p pic) {
	for y := range side {
		for x := range side {
			c := clay
			switch {
			case y%5 == 4:
				c = clayLo
			case (x+y/5*3)%6 == 0:
				c = clayLo
			case y%5 == 0:
				c = clayHi
			}
			p.set(x, y, c)
		}
	}
	if row == 0 {
		p.rect(0, 0, side, 2, clayHi)
		p.rect(0, 2, side, 1, clayLo)
	}
	if row == 2 {
		p.rect(0, 13, side, 1, clayLo)
		p.rect(0, 14, side, 2, woodDark)
	}
	if column == 0 {
		p.rect(0, 0, 1, side, clayHi)
	}
	if column == 2 {
		p.rect(14, 0, 2, side, clayLo)
	}
	return
}

// wall is the plastered front of a house.
func wall(column int) (p pic) {
	p = speckled(shell, salt, sandLo, 5, 30)
	p.rect(0, 0, side, 2, color.NRGBA{R: 150, G: 140, B: 122, A: 255})
	p.rect(0, 13, side, 3, stone)
	for x := 0; x < side; x += 5 {
		p.rect(x, 13, 4, 1, ash)
		p.rect(x+4, 13, 1, 3, slate)
	}
	if column == 0 {
		p.rect(0, 0, 2, 13, wood)
		p.rect(0, 0, 1, 13, woodHi)
	}
	if column == 2 {
		p.rect(14, 0, 2, 13, woodLo)
	}
	return
}

func window() pic {
	p := wall(1)
	p.block(4, 3, 8, 8, glow, salt, coat, woodDark)
	p.rect(7, 4, 1, 6, woodLo)
	p.rect(5, 7, 6, 1, woodLo)
	p.rect(3, 11, 10, 1, woodHi)
	return p
}

func houseDoor(open bool) pic {
	p := wall(1)
	p.rect(3, 2, 10, 14, woodDark)
	if open {
		p.rect(4, 3, 8, 13, night)
		p.rect(4, 13, 8, 3, slate)
		p.rect(4, 3, 2, 13, wood)
		return p
	}
	p.rect(4, 3, 8, 13, wood)
	for x := 4; x < 12; x += 3 {
		p.rect(x, 3, 1, 13, woodHi)
	}
	p.rect(4, 6, 8, 1, woodLo)
	p.rect(4, 12, 8, 1, woodLo)
	p.rect(10, 9, 1, 2, coatHi)
	return p
}

func stoneWall(top bool) (p pic) {
	if top {
		p = speckled(ash, shell, stone, 8, 9)
		p.rect(0, 0, side, 1, shell)
		p.rect(0, 15, side, 1, slate)
		return p
	}
	p.rect(0, 0, side, side, slate)
	for row := range 3 {
		for col := -1; col < 3; col++ {
			x := col*8 + row%2*4
			p.rect(x, row*5+1, 7, 4, stone)
			p.rect(x, row*5+1, 7, 1, ash)
		}
	}
	p.rect(0, 15, side, 1, night)
	return p
}

func rock() (p pic) {
	p.shadow(1, 13, 14)
	p.disc(7.5, 8, 6.4, stone, ash, slate)
	p.rect(4, 5, 3, 1, shell)
	p.rect(8, 9, 3, 1, slate)
	return
}

func crate() (p pic) {
	p.shadow(1, 14, 14)
	p.block(1, 2, 14, 13, wood, woodHi, woodLo, woodDark)
	p.rect(2, 6, 12, 1, woodLo)
	p.rect(2, 10, 12, 1, woodLo)
	for i := range 9 {
		p.set(3+i, 4+i, woodHi)
		p.set(4+i, 4+i, woodDark)
	}
	return
}

func barrel() (p pic) {
	p.shadow(2, 14, 12)
	p.rect(3, 2, 10, 13, woodDark)
	p.rect(4, 1, 8, 14, wood)
	p.rect(5, 3, 2, 11, woodHi)
	p.rect(10, 3, 2, 11, woodLo)
	p.rect(3, 5, 10, 1, iron)
	p.rect(3, 11, 10, 1, iron)
	p.rect(4, 1, 8, 2, woodLo)
	p.rect(5, 1, 6, 1, woodHi)
	return
}

func heap() (p pic) {
	p.shadow(1, 14, 14)
	for y := range 12 {
		w := y + 3
		p.rect(8-w/2, y+3, w, 1, salt)
		p.rect(8+w/6, y+3, w-w/2-w/6, 1, shell)
	}
	p.rect(8, 3, 1, 1, color.NRGBA{R: 255, G: 255, B: 255, A: 255})
	for i := range 6 {
		p.set(4+i*2, 12-i%3*2, ash)
	}
	return
}

func bollard() (p pic) {
	p.shadow(4, 13, 9)
	p.block(5, 4, 6, 10, iron, ash, slate, night)
	p.rect(4, 3, 8, 3, night)
	p.rect(5, 3, 6, 1, ash)
	p.rect(5, 9, 6, 1, sandHi)
	p.rect(5, 11, 6, 1, sandLo)
	return
}

func tuft(seed int) (p pic) {
	for i := range 7 {
		x := 3 + i + noise(i, 15, seed, 3)
		h := 3 + noise(i, 16, seed, 6)
		p.rect(x, 14-h, 1, h, grass)
		p.set(x, 14-h, grassHi)
		p.set(x+1, 13, grassLo)
	}
	return
}

func netTile() (p pic) {
	for y := range side {
		for x := range side {
			if (x+y)%4 == 0 || (x-y+16)%4 == 0 {
				p.set(x, y, sandLo)
			}
		}
	}
	p.rect(0, 0, side, 1, woodLo)
	for x := 1; x < side; x += 5 {
		p.rect(x, 1, 2, 2, clay)
	}
	return
}

func rope() (p pic) {
	p.disc(7.5, 8.5, 6, sandLo, sand, mud)
	p.disc(7.5, 8.5, 4, sand, sandHi, sandLo)
	p.disc(7.5, 8.5, 2, mudLo, mud, woodDark)
	return
}

// boat is drawn in two tiles, bow first.
func boat(half int) (p pic) {
	for y := 3; y < 14; y++ {
		for x := range side {
			in := x
			if half == 1 {
				in = side - 1 - x
			}
			bend := (8 - y) * (8 - y) / 5
			if in < bend {
				continue
			}
			c := wood
			switch {
			case in < bend+1 || y == 3 || y == 13:
				c = woodDark
			case y < 6:
				c = woodHi
			case y > 5 && y < 11 && in > 4:
				c = woodLo
			}
			p.set(x, y, c)
		}
	}
	p.rect(9-half*4, 5, 2, 7, woodHi)
	return
}

// beacon is an iron basket on a post.
func beacon(lit bool) (p pic) {
	p.shadow(4, 14, 9)
	p.rect(7, 8, 3, 7, woodDark)
	p.rect(7, 8, 1, 7, wood)
	p.rect(4, 5, 9, 4, iron)
	p.rect(5, 5, 1, 4, night)
	p.rect(8, 5, 1, 4, night)
	p.rect(11, 5, 1, 4, night)
	if lit {
		p.disc(8, 3.5, 3.4, coat, coatHi, clayHi)
		p.disc(8, 4, 1.6, glow, salt, coatHi)
		p.set(6, 0, coatHi)
	} else {
		p.rect(5, 4, 7, 1, woodDark)
		p.rect(6, 3, 3, 1, woodLo)
	}
	return
}

// wheel turns a sluice.
func wheel(on bool) (p pic) {
	p.shadow(2, 14, 12)
	p.block(5, 10, 6, 5, stone, ash, slate, night)
	p.disc(7.5, 6, 5.6, iron, ash, slate)
	p.disc(7.5, 6, 3.8, clear, clear, clear)
	for i := -4; i <= 4; i++ {
		if on {
			p.set(7+i, 6+i, coat)
			p.set(7+i, 6-i, coat)
		} else {
			p.set(7+i, 6, clay)
			p.set(7, 6+i, clay)
		}
	}
	p.rect(6, 5, 3, 3, woodDark)
	if on {
		p.set(7, 6, glow)
	}
	return
}

// gate closes a way between posts.
func gate(open bool) (p pic) {
	if open {
		p.block(0, 2, 4, 13, wood, woodHi, woodLo, woodDark)
		p.block(12, 2, 4, 13, wood, woodHi, woodLo, woodDark)
		return
	}
	p.shadow(0, 14, 16)
	p.rect(0, 4, side, 10, woodDark)
	for x := 0; x < side; x += 4 {
		p.rect(x, 3, 3, 11, wood)
		p.rect(x, 3, 1, 11, woodHi)
		p.set(x+1, 2, woodHi)
	}
	p.rect(0, 6, side, 2, iron)
	p.rect(0, 11, side, 2, iron)
	p.rect(7, 8, 3, 3, coat)
	return
}

func crystalTile() (p pic) {
	p.shadow(4, 13, 8)
	for y := range 12 {
		w := y + 1
		if y > 6 {
			w = (12 - y) + 1
		}
		p.rect(8-w/2, y+1, w, 1, crystal)
		p.rect(8-w/2, y+1, (w+2)/3, 1, crysHi)
		p.rect(8+w/4, y+1, w-w/2-w/4, 1, crysLo)
	}
	p.set(3, 3, salt)
	p.set(12, 10, salt)
	p.rect(2, 3, 3, 1, salt)
	p.rect(3, 2, 1, 3, salt)
	return
}

func sign() (p pic) {
	p.shadow(5, 14, 7)
	p.rect(7, 8, 2, 7, woodDark)
	p.block(2, 2, 12, 7, wood, woodHi, woodLo, woodDark)
	p.rect(4, 4, 7, 1, woodDark)
	p.rect(4, 6, 5, 1, woodDark)
	return
}

func rake() (p pic) {
	for i := range 12 {
		p.set(2+i, 13-i, woodHi)
		p.set(3+i, 13-i, woodLo)
	}
	p.rect(10, 0, 5, 1, iron)
	p.rect(14, 0, 1, 5, iron)
	return
}

// dyke is the clay bank between pans: seen from the top, or along its front.
func dyke(front bool) pic {
	p := speckled(mud, sandLo, mudLo, 9, 12)
	p.rect(0, 0, side, 1, sandLo)
	if front {
		p.rect(0, 9, side, 7, mudLo)
		for x := 0; x < side; x += 4 {
			p.rect(x, 10, 1, 5, woodDark)
			p.rect(x+1, 10, 1, 4, mud)
		}
		p.rect(0, 9, side, 1, woodDark)
	}
	return p
}
