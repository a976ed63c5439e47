package demo

// vat is a third of a broad tub of brine: left, middle and right.
func vat(part int) (p pic) {
	p.shadow(0, 14, side)
	p.rect(0, 3, side, 11, wood)
	p.rect(0, 3, side, 1, woodHi)
	p.rect(0, 5, side, 3, sea)
	p.rect(0, 5, side, 1, seaLo)
	for x := 2; x < side; x += 5 {
		p.set(x, 6, seaHi)
		p.set(x+1, 6, foam)
	}
	for x := 0; x < side; x += 4 {
		p.rect(x, 8, 1, 6, woodLo)
	}
	p.rect(0, 10, side, 1, iron)
	p.rect(0, 13, side, 1, woodDark)
	if part == 0 {
		p.rect(0, 3, 2, 11, woodHi)
		p.rect(0, 3, 1, 11, woodDark)
	}
	if part == 2 {
		p.rect(14, 3, 1, 11, woodLo)
		p.rect(15, 3, 1, 11, woodDark)
	}
	return
}

// shelf holds sacks and a jar of salt.
func shelf() (p pic) {
	p.rect(1, 1, 14, 14, woodDark)
	p.rect(2, 2, 12, 12, woodLo)
	for _, y := range []int{5, 10} {
		p.rect(1, y+1, 14, 1, woodHi)
	}
	p.rect(3, 3, 3, 3, salt)
	p.rect(7, 4, 2, 2, crystal)
	p.rect(10, 3, 3, 3, shell)
	p.rect(3, 8, 4, 3, sandLo)
	p.rect(9, 9, 3, 2, clay)
	p.rect(4, 12, 2, 2, salt)
	p.rect(8, 12, 4, 2, woodHi)
	return
}

func table() (p pic) {
	p.shadow(1, 14, 14)
	p.block(1, 4, 14, 6, wood, woodHi, woodLo, woodDark)
	p.rect(2, 10, 2, 4, woodLo)
	p.rect(12, 10, 2, 4, woodLo)
	p.rect(5, 5, 4, 2, salt)
	p.set(11, 5, glow)
	p.set(11, 6, coat)
	return
}

func bed(part int) (p pic) {
	p.rect(2, 0, 12, side, woodLo)
	if part == 0 {
		p.rect(2, 1, 12, 2, woodDark)
		p.rect(3, 3, 10, 5, salt)
		p.rect(3, 7, 10, 1, shell)
		p.rect(3, 8, 10, 8, coat)
		p.rect(3, 8, 10, 1, coatHi)
		return
	}
	p.rect(3, 0, 10, 12, coat)
	p.rect(11, 0, 2, 12, coatLo)
	p.rect(2, 12, 12, 3, wood)
	p.rect(2, 15, 12, 1, woodDark)
	return
}

// hearth burns in an inner wall.
func hearth() pic {
	p := wall(1)
	p.rect(2, 2, 12, 14, stone)
	p.rect(3, 3, 10, 1, ash)
	p.rect(4, 6, 8, 10, night)
	p.rect(5, 11, 6, 4, clay)
	p.rect(6, 9, 4, 5, coat)
	p.rect(7, 8, 2, 5, glow)
	return p
}

func rug() (p pic) {
	p.rect(0, 0, side, side, clayLo)
	for y := range side {
		for x := range side {
			if (x+y)%8 < 2 {
				p.set(x, y, clay)
			}
			if (x-y+32)%8 == 0 {
				p.set(x, y, coatLo)
			}
		}
	}
	return
}

// innerTop is the top of a wall seen from above, inside a house.
func innerTop() (p pic) {
	p.rect(0, 0, side, side, night)
	for x := 1; x < side; x += 4 {
		p.set(x, 3+x%5, slate)
		p.set(x+1, 11-x%3, slate)
	}
	return
}
