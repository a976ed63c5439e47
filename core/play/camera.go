package play

import (
	"azzel/core/kind"
)

// slideTicks is how long the view takes from one screen to the next.
const slideTicks = 20

// film moves the view after the hero. It is never read by what is played.
func (g *Game) film() {
	m := g.Ground()
	if m == nil {
		return
	}
	lens, box, all := m.Lens(), g.extent(g.Hero()), m.Area()
	x, y := (box.Left+box.Right)/2+lens.DX, (box.Top+box.Bottom)/2+lens.DY
	fresh := g.Cam.Map != m.Ref
	switch lens.Mode {
	case kind.CameraWhole:
		x, y = (all.Left+all.Right)/2, (all.Top+all.Bottom)/2
	case kind.CameraScreens:
		x = all.Left + floorDiv(x-lens.DX-all.Left, lens.W)*lens.W + lens.W/2
		y = all.Top + floorDiv(y-lens.DY-all.Top, lens.H)*lens.H + lens.H/2
		if !fresh {
			x, y = toward(g.Cam.X, x, lens.W/slideTicks), toward(g.Cam.Y, y, lens.H/slideTicks)
		}
	default:
		if !fresh {
			x, y = max(x-lens.FreeX, min(g.Cam.X, x+lens.FreeX)), max(y-lens.FreeY, min(g.Cam.Y, y+lens.FreeY))
		}
		if lens.Ends && lens.W > 0 {
			x, y = held(x, all.Left, all.Right, lens.W), held(y, all.Top, all.Bottom, lens.H)
		}
	}
	g.Cam = Place{m.Ref, x, y}
}

// held keeps the middle of what is seen so that nothing beyond the ends is, or in the middle
// between them where more fits.
func held(v, from, to, size int64) int64 {
	if to-from <= size {
		return (from + to) / 2
	}
	return max(from+size/2, min(v, to-size/2))
}
