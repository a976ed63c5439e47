package play

import "azzel/core/world"

// Heard is what the hero hears: of a sound place, or all over its map.
type Heard struct {
	// Of is the sound place, None for the map.
	Of world.Ref
	// Plays is what it is, Loud how loud, in thousandths, Side from where: −1000 is all left, 1000 all right.
	Plays      string
	Loud, Side int
}

// Heard lists what the hero hears: the nearer to a sound place, the louder, and from the side on which it lies.
func (g *Game) Heard() (out []Heard) {
	m := g.Ground()
	if m == nil {
		return nil
	}
	if g.Show.Bed != "" {
		out = append(out, Heard{Of: world.None, Plays: g.Show.Bed, Loud: 1000})
	} else if m.Plays() != "" {
		out = append(out, Heard{Of: world.None, Plays: m.Plays(), Loud: 1000})
	}
	box := g.extent(g.Hero())
	for _, r := range m.Sounds() {
		t := g.Stage.Thing(r)
		if !g.runs(r) || t.Doing.RangeX == 0 || t.Doing.RangeY == 0 {
			continue
		}
		at := g.Where(r)
		// in thousandths of how far it is heard
		x := ((at.Left + at.Right) - (box.Left + box.Right)) * 500 / t.Doing.RangeX
		y := ((at.Top + at.Bottom) - (box.Top + box.Bottom)) * 500 / t.Doing.RangeY
		if far := root(x*x + y*y); far < 1000 {
			out = append(out, Heard{r, t.Doing.Plays, int(1000-far) * t.Doing.Loud / 100, int(x)})
		}
	}
	return out
}
