package demo

import "image/color"

// gull flies with its wings up or down.
func gull(down bool) (p pic) {
	p.shadow(5, 14, 6)
	rows := []string{"................", "................", "..s..........s..", "..ss........ss..", "...sss....sss...", "....ssswwsss....", "......wwww......", "......wwwko.....", ".......ww.......", "........a......."}
	if down {
		rows = []string{"................", "................", "................", "................", "................", "......wwww......", "..sssswwwwssss..", ".ss...wwwko..ss.", ".s.....ww.....s.", "........a......."}
	}
	p.letters(map[byte]color.NRGBA{'s': stone, 'w': salt, 'k': night, 'o': clayHi, 'a': ash}, rows...)
	return
}

func springPad() (p pic) {
	p.shadow(2, 14, 12)
	p.rect(2, 13, 12, 2, iron)
	for i := range 3 {
		p.rect(4+i%2, 7+2*i, 7, 1, ash)
	}
	p.block(2, 4, 12, 3, coat, coatHi, coatLo, woodDark)
	return
}

// plate is stepped on, or held down by what stands on it.
func plate(down bool) (p pic) {
	h := 3
	if down {
		h = 1
	}
	p.rect(2, 13, 12, 2, iron)
	p.rect(3, 13-h, 10, h, ash)
	p.rect(3, 13-h, 10, 1, salt)
	return
}

func brassKey() (p pic) {
	p.shadow(3, 13, 10)
	p.disc(4.5, 8, 3, coat, coatHi, coatLo)
	p.rect(4, 8, 1, 1, night)
	p.rect(7, 7, 7, 2, coat)
	p.rect(7, 7, 7, 1, coatHi)
	p.rect(10, 9, 1, 2, coatLo)
	p.rect(13, 9, 1, 2, coatLo)
	return
}

func chest(open bool) (p pic) {
	p.shadow(2, 14, 12)
	p.block(2, 7, 12, 7, wood, woodHi, woodDark, night)
	if open {
		p.block(2, 2, 12, 4, wood, woodHi, woodDark, night)
		p.rect(3, 6, 10, 2, night)
		return
	}
	p.block(2, 4, 12, 4, wood, woodHi, woodDark, night)
	p.rect(7, 7, 2, 3, glow)
	return
}

// spout throws salt water, eye shines with a hot light.
func spout() (p pic) {
	p.block(3, 3, 10, 10, stone, ash, iron, night)
	p.disc(8, 8, 3, seaDeep, sea, night)
	return
}

func eye() (p pic) {
	p.block(3, 3, 10, 10, iron, ash, night, night)
	p.disc(8, 8, 3, clay, glow, clayLo)
	return
}

func raft() (p pic) {
	p.rect(0, 3, side, 10, wood)
	for y := 3; y < 13; y += 3 {
		p.rect(0, y, side, 1, woodHi)
		p.rect(0, y+2, side, 1, woodDark)
	}
	p.rect(2, 3, 2, 10, ash)
	p.rect(12, 3, 2, 10, ash)
	return
}

func belt() (p pic) {
	p.rect(0, 2, side, 12, iron)
	for x := 0; x < side; x += 4 {
		for y := range 10 {
			d := y
			if d > 4 {
				d = 9 - d
			}
			p.rect((x+d)%side, 3+y, 2, 1, ash)
		}
	}
	return
}

func loosePlank() (p pic) {
	p.rect(0, 1, side, 5, wood)
	p.rect(0, 1, side, 1, woodHi)
	p.rect(0, 5, side, 1, woodDark)
	for _, x := range []int{3, 9, 12} {
		p.rect(x, 2, 1, 4, woodDark)
	}
	return
}

func axle() (p pic) {
	p.disc(8, 8, 5, stone, ash, iron)
	p.disc(8, 8, 2, clay, clayHi, clayLo)
	return
}

// pot is where crabs come out of.
func pot() (p pic) {
	p.shadow(2, 14, 12)
	p.disc(8, 9, 6, wood, woodHi, woodDark)
	p.disc(8, 8, 3, night, night, night)
	for _, x := range []int{3, 6, 9, 12} {
		p.rect(x, 5, 1, 8, woodDark)
	}
	return
}

func bell() (p pic) {
	p.rect(3, 2, 10, 2, woodDark)
	p.rect(3, 2, 10, 1, woodHi)
	p.block(5, 5, 6, 6, coat, coatHi, coatLo, woodDark)
	p.rect(4, 11, 8, 2, coat)
	p.rect(7, 13, 2, 2, iron)
	return
}

// bellows blow, keg bursts.
func bellows() (p pic) {
	p.block(2, 3, 9, 10, clay, clayHi, clayLo, night)
	for _, y := range []int{5, 8, 11} {
		p.rect(3, y, 7, 1, clayLo)
	}
	p.rect(11, 6, 4, 4, iron)
	p.rect(11, 6, 4, 1, ash)
	return
}

func keg(lit bool) (p pic) {
	p.shadow(3, 14, 10)
	p.block(3, 5, 10, 9, clay, clayHi, clayLo, night)
	p.rect(3, 7, 10, 1, iron)
	p.rect(3, 11, 10, 1, iron)
	p.rect(8, 2, 1, 3, ash)
	if lit {
		p.rect(7, 0, 3, 3, glow)
	}
	return
}

// jar counts salt, can holds oil.
func jar() (p pic) {
	p.shadow(4, 14, 8)
	p.block(4, 5, 8, 9, crystal, crysHi, crysLo, night)
	p.rect(5, 9, 6, 4, salt)
	p.rect(4, 3, 8, 2, woodDark)
	p.rect(4, 3, 8, 1, woodHi)
	return
}

func can() (p pic) {
	p.shadow(4, 13, 8)
	p.block(5, 6, 6, 7, iron, ash, night, night)
	p.rect(7, 3, 2, 3, iron)
	p.rect(10, 3, 3, 1, ash)
	p.rect(11, 4, 1, 4, ash)
	p.rect(5, 9, 6, 1, coat)
	return
}

// yardRow puts what stands in the Tide Yard into a sheet.
func (s *Sheet) yardRow() {
	s.row()
	s.put("gull", false, gull(false))
	s.put("gull down", false, gull(true))
	s.put("spring", false, springPad())
	s.put("plate", false, plate(false))
	s.put("plate down", false, plate(true))
	s.put("key", false, brassKey())
	s.put("chest", false, chest(false))
	s.put("chest open", false, chest(true))
	s.put("spout", false, spout())
	s.put("eye", false, eye())
	s.put("raft", false, raft())
	s.put("belt", false, belt())
	s.put("loose plank", false, loosePlank())
	s.put("axle", false, axle())
	s.put("pot", false, pot())
	s.put("bell", false, bell())
	s.put("bellows", false, bellows())
	s.put("keg", false, keg(false))
	s.put("keg lit", false, keg(true))
	s.put("jar", false, jar())
	s.put("can", false, can())
	s.heroRow("apprentice", apprenticeColours)
}
