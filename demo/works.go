package demo

import "image/color"

// The tiles of the Pump Shaft and the Lamp Room, and of who lives there.

// shaftRock is the rock that the shaft is cut into.
func shaftRock(seed int) (p pic) {
	p = speckled(slate, stone, night, seed, 11)
	for i := range 3 {
		x, y := noise(i, 1, seed, 10)+1, noise(i, 2, seed, 11)+2
		p.rect(x, y, 4, 1, stone)
		p.rect(x+1, y+1, 4, 1, night)
	}
	return
}

// shaftBack is the bricked wall behind everything in the shaft.
func shaftBack(seed int) (p pic) {
	dark, joint := rgb(0x2b343b), rgb(0x232b31)
	p.rect(0, 0, side, side, dark)
	for row := range 4 {
		p.rect(0, row*4+3, side, 1, joint)
		p.rect((row%2*4+3)%side, row*4, 1, 3, joint)
		p.rect((row%2*4+11)%side, row*4, 1, 3, joint)
		if noise(row, 4, seed, 3) == 0 {
			p.rect(noise(row, 5, seed, 10), row*4, 4, 1, rgb(0x343f47))
		}
	}
	return
}

// gantry is a plank on brackets, to be stood on.
func gantry() (p pic) {
	p.rect(0, 0, side, 4, wood)
	p.rect(0, 0, side, 1, woodHi)
	p.rect(0, 3, side, 1, woodDark)
	for x := 3; x < side; x += 6 {
		p.rect(x, 1, 1, 2, woodLo)
	}
	p.rect(2, 4, 2, 4, iron)
	p.rect(12, 4, 2, 4, iron)
	return
}

func rungs() (p pic) {
	p.rect(3, 0, 2, side, woodLo)
	p.rect(11, 0, 2, side, woodLo)
	p.rect(3, 0, 1, side, wood)
	p.rect(11, 0, 1, side, wood)
	for y := 1; y < side; y += 5 {
		p.rect(2, y, 12, 2, wood)
		p.rect(2, y, 12, 1, woodHi)
	}
	return
}

// pipe runs upright; its foot is a valve.
func pipe(foot bool) (p pic) {
	p.rect(5, 0, 6, side, iron)
	p.rect(5, 0, 2, side, ash)
	p.rect(10, 0, 1, side, night)
	p.rect(4, 3, 8, 2, stone)
	p.rect(4, 12, 8, 2, stone)
	if foot {
		p.disc(7.5, 8, 4.4, clay, clayHi, clayLo)
		p.rect(7, 3, 1, 10, woodDark)
		p.rect(3, 8, 10, 1, woodDark)
	}
	return
}

// sump is the black water at the bottom.
func sump(top bool) (p pic) {
	p.rect(0, 0, side, side, seaDeep)
	for i := range 3 {
		p.rect(noise(i, 3, 9, 12), 6+i*3, 4, 1, seaLo)
	}
	if top {
		p.rect(0, 0, side, 3, color.NRGBA{})
		for x := range side {
			if x%8 < 5 {
				p.set(x, 3, foam)
			}
		}
		p.rect(0, 4, side, 1, seaHi)
	}
	return
}

func saw() (p pic) {
	for x := 0; x < side; x += 4 {
		for y := range 8 {
			p.rect(x+y/4, 8+y-0, 4-y/4*2, 1, ash)
		}
		p.rect(x+1, 6, 2, 2, shell)
	}
	p.rect(0, 14, side, 2, iron)
	return
}

func lantern() (p pic) {
	p.rect(7, 1, 2, 2, iron)
	p.block(4, 3, 8, 9, coat, coatHi, coatLo, woodDark)
	p.rect(6, 5, 4, 5, glow)
	p.rect(7, 6, 2, 3, salt)
	p.rect(5, 12, 6, 1, iron)
	return
}

func crab() (p pic) {
	p.shadow(3, 13, 10)
	p.disc(7.5, 9, 4, clay, clayHi, clayLo)
	p.letters(map[byte]color.NRGBA{'c': clay, 'h': clayHi, 'e': salt, 'n': night},
		"................", "................", "..hh........hh..", ".hc.h......h.ch.", ".cc..........cc.", "..cc..n..n..cc..", "...c..e..e..c...")
	for _, x := range []int{2, 4, 11, 13} {
		p.rect(x, 12, 1, 2, clayLo)
	}
	return
}

// keeper is the lamp keeper, in a blue coat.
func keeper() (p pic) {
	p.shadow(4, 14, 8)
	p.letters(map[byte]color.NRGBA{'k': night, 's': skin, 'w': salt, 'b': sea, 'd': seaLo, 'h': seaHi, 'o': woodDark},
		"................", ".....kkkk.......", "....khhhhk......", "....kbbbbk......", "...kkkkkkkk.....", "....kssssk......",
		"....ksksks......", "....kwwwwk......", "...kkwwwwkk.....", "..khbbwwbbdk....", "..khbbbbbbdk....", "..ksbbbbbbsk....",
		"...kbbbbbbk.....", "...kbbddbbk.....", "...koo..ook.....", "................")
	return
}

// lens is a quarter of the great lamp.
func lens(part int) (p pic) {
	p.rect(0, 0, side, side, iron)
	p.rect(1, 1, 14, 14, crystal)
	for i := range 14 {
		p.rect(1, 1+i, 14-i, 1, crysHi)
	}
	for i := 3; i < 14; i += 4 {
		p.rect(i, 1, 1, 14, crysLo)
	}
	if part == 1 {
		p = p.mirrored()
	}
	return
}

// worksRow puts them all into a sheet.
func (s *Sheet) worksRow() {
	s.row()
	s.put("shaft rock", true, shaftRock(1))
	s.put("shaft rock 2", true, shaftRock(5))
	s.put("shaft back", false, shaftBack(1))
	s.put("shaft back 2", false, shaftBack(4))
	s.put("gantry", false, gantry())
	s.put("rungs", false, rungs())
	s.put("pipe", false, pipe(false))
	s.put("pipe foot", false, pipe(true))
	s.put("sump top", false, sump(true))
	s.put("sump", false, sump(false))
	s.put("saw", false, saw())
	s.put("lantern", false, lantern())
	s.put("crab", false, crab())
	s.put("keeper", false, keeper())
	s.put("lens left", true, lens(0))
	s.put("lens right", true, lens(1))
}
