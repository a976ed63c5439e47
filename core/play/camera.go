package play

import "azzel/core/world"

// slideTicks is how long the view takes from one screen to the next.
const slideTicks = 20

// watch has the view and what one knows of a map be as the hero is.
func (g *Game) watch() {
	if m := g.Ground(); m != nil {
		g.lookAround(m)
		g.film(m)
	}
}

// film moves the view after the hero. It is never read by what is played.
func (g *Game) film(m *world.Ground) {
	lens, box, all := m.Lens(), g.extent(g.Hero()), m.Area()
	was := g.Cam
	if g.Show.Moves {
		was = g.Show.Own
	}
	x, y := (box.Left+box.Right)/2+lens.DX, (box.Top+box.Bottom)/2+lens.DY
	fresh := was.Map != m.Ref
	switch {
	case lens.Whole:
		x, y = (all.Left+all.Right)/2, (all.Top+all.Bottom)/2
	case lens.Screens:
		x = all.Left + floorDiv(x-lens.DX-all.Left, lens.W)*lens.W + lens.W/2
		y = all.Top + floorDiv(y-lens.DY-all.Top, lens.H)*lens.H + lens.H/2
		if !fresh {
			x, y = toward(was.X, x, lens.W/slideTicks), toward(was.Y, y, lens.H/slideTicks)
		}
	default:
		if !fresh {
			x, y = max(x-lens.FreeX, min(was.X, x+lens.FreeX)), max(y-lens.FreeY, min(was.Y, y+lens.FreeY))
		}
		if lens.Ends && lens.W > 0 {
			x, y = held(x, all.Left, all.Right, lens.W), held(y, all.Top, all.Bottom, lens.H)
		}
	}
	g.Cam = Place{m.Ref, x, y}
	if g.Show.Moves {
		g.aside(m, lens)
	}
}

// aside is what is seen where a rule moved the view: on its way from where it was.
func (g *Game) aside(m *world.Ground, lens *world.Lens) {
	s, own := &g.Show, g.Cam
	s.Own = own
	if s.From.Map != m.Ref {
		s.Moves = false // the hero has come onto another map
		return
	}
	to := own
	if s.Watch >= 0 {
		at, all := g.Where(s.Watch), m.Area()
		to.X, to.Y = (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
		if lens.Ends && lens.W > 0 {
			to.X, to.Y = held(to.X, all.Left, all.Right, lens.W), held(to.Y, all.Top, all.Bottom, lens.H)
		}
	}
	done, whole := int64(s.All-s.Left), int64(max(1, s.All))
	if s.All == 0 {
		done = 1
	}
	g.Cam.X, g.Cam.Y = s.From.X+(to.X-s.From.X)*done/whole, s.From.Y+(to.Y-s.From.Y)*done/whole
}

// held keeps the middle of what is seen so that nothing beyond the ends is, or in the middle
// between them where more fits.
func held(v, from, to, size int64) int64 {
	if to-from <= size {
		return (from + to) / 2
	}
	return max(from+size/2, min(v, to-size/2))
}
