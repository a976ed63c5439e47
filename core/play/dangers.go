package play

import (
	"azzel/core/kind"
	"azzel/core/world"
)

// Ray is a line that hurts, or that something turns by: from a place to another, in 1/256 map pixels.
type Ray struct {
	Of             world.Ref
	X, Y, ToX, ToY int64
}

// Rays are the beams and arms of the hero's map that are there now.
func (g *Game) Rays(m *world.Ground) []Ray {
	out := g.rays[:0]
	for _, r := range m.Dangers() {
		t := g.Stage.Thing(r)
		if !g.runs(r) {
			continue
		}
		at := g.Where(r)
		x, y := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
		switch t.Acts {
		case kind.Beam:
			if n := t.Doing.OnFor + t.Doing.OffFor; t.Doing.OnFor > 0 && t.Doing.OffFor > 0 && g.Tick%int64(n) >= int64(t.Doing.OnFor) {
				continue
			}
			dx, dy := t.Facing.Step()
			toX, toY := g.beam(m, x, y, int64(dx), int64(dy), t.Doing.RangeX, t.Doing.RangeY)
			out = append(out, Ray{r, x, y, toX, toY})
		case kind.Turner:
			for n := range t.Doing.Arms {
				dx, dy := t.Doing.Arm(g.Tick, n)
				out = append(out, Ray{r, x, y, x + dx, y + dy})
			}
		}
	}
	g.rays = out
	return out
}

// beam is how far a line comes, pixel by pixel, until something solid or a shut door stops it.
func (g *Game) beam(m *world.Ground, x, y, dx, dy, farX, farY int64) (toX, toY int64) {
	far := max(abs(dx)*farX, abs(dy)*farY)
	all := m.Area()
	for n := int64(0); n < far; n += Sub {
		toX, toY = x+dx*n, y+dy*n
		at := world.Box{Left: toX, Top: toY, Right: toX + 1, Bottom: toY + 1}
		if toX < all.Left || toX >= all.Right || toY < all.Top || toY >= all.Bottom || m.At(m.CellAt(toX, toY))&world.Whole != 0 || n > 0 && (g.thingIn(m, at, world.None) || g.firmIn(m, nil, at, at)) {
			return toX, toY
		}
	}
	return x + dx*far, y + dy*far
}

// strikes lets beings, rays and shots strike the hero.
func (g *Game) strikes(m *world.Ground, in world.Box) bool {
	g.findLively(m)
	for _, i := range g.lively {
		b := &g.Bodies[i]
		t := g.Stage.Thing(b.Of)
		if t.Doing.Harm > 0 && (t.Acts == kind.Walker || t.Acts == kind.Flyer) && !g.Disabled(b.Of) && meets(g.extent(b), in) {
			g.struck(g.extent(b), t.Name, t.Doing.Harm)
			return true
		}
	}
	for _, ray := range g.Rays(m) {
		if t := g.Stage.Thing(ray.Of); t.Doing.Harm > 0 && world.Crosses(world.Spot{X: ray.X, Y: ray.Y}, world.Spot{X: ray.ToX, Y: ray.ToY}, in) {
			g.struck(world.Box{Left: min(ray.X, ray.ToX), Top: min(ray.Y, ray.ToY), Right: max(ray.X, ray.ToX) + 1, Bottom: max(ray.Y, ray.ToY) + 1}, t.Name, t.Doing.Harm)
			return true
		}
	}
	for i, s := range g.Shots {
		if t := g.Stage.Thing(s.Of); t.Map == m.Ref && meets(shotBox(m, s), in) {
			g.Shots = append(g.Shots[:i:i], g.Shots[i+1:]...)
			g.struck(shotBox(m, s), t.Name, t.Doing.Harm)
			return true
		}
	}
	return false
}

// shotBox is a quarter of a cell around the middle of a shot.
func shotBox(m *world.Ground, s Shot) world.Box {
	w, h := m.Cell()
	return world.Box{Left: s.X - w/8, Top: s.Y - h/8, Right: s.X + w/8, Bottom: s.Y + h/8}
}

// Shot is something that flies, as large as a quarter of a cell.
type Shot struct {
	// Of is who shot it; X and Y are its middle.
	Of           world.Ref
	X, Y, VX, VY int64
	Left         int32 // ticks
}

// maxShots is how many shots fly at once.
const maxShots = 500

// shoots lets shooters shoot, and shots fly until they meet something solid.
func (g *Game) shoots(m *world.Ground) {
	shots := g.Shots[:0:0]
	for _, s := range g.Shots {
		s.X, s.Y, s.Left = s.X+s.VX, s.Y+s.VY, s.Left-1
		if s.Left <= 0 || g.Stage.Thing(s.Of).Map != m.Ref {
			continue
		}
		at := shotBox(m, s)
		if !g.shotHits(m, s, at) && m.Over(at)&world.Whole == 0 && !g.thingIn(m, at, s.Of) && !g.firmIn(m, nil, at, at) {
			shots = append(shots, s)
		}
	}
	g.Shots = shots
	for _, r := range m.Dangers() {
		t := g.Stage.Thing(r)
		if t.Acts != kind.Shooter || !g.runs(r) || t.Doing.Every == 0 || g.Tick%int64(t.Doing.Every) != 0 || len(g.Shots) >= maxShots {
			continue
		}
		g.shoot(m, r, t)
	}
}

// shotHits lets a shot strike a being that shots defeat, but for who shot it, or what they break.
func (g *Game) shotHits(m *world.Ground, s Shot, at world.Box) bool {
	g.doer = s.Of + 1
	defer func() { g.doer = 0 }()
	if hit := g.shotAt(m, s, at); hit >= 0 {
		g.hits(g.Bodies[hit].Of, g.Stage.Thing(g.Bodies[hit].Of))
		return true
	}
	for _, r := range g.touched(m, at) {
		if t := g.Stage.Thing(r); t.Acts == kind.Breakable && t.Doing.Beaten&world.ByAShot != 0 && !g.Disabled(r) {
			g.hits(r, t)
			return true
		}
	}
	return false
}

// shotAt is the first of the bodies that shots defeat which a shot meets, but for who shot it; −1 is none.
func (g *Game) shotAt(m *world.Ground, s Shot, at world.Box) (hit int32) {
	hit = -1
	g.findLively(m)
	g.around.near(m, at, func(i int32) bool {
		b := &g.Bodies[i]
		if (hit < 0 || i < hit) && b.Of != s.Of && g.Stage.Thing(b.Of).Doing.Beaten&world.ByAShot != 0 && meets(g.extent(b), at) && g.There(b.Of) {
			hit = i
		}
		return true
	})
	return hit
}

func (g *Game) shoot(m *world.Ground, r world.Ref, t *world.Thing) {
	d, at := &t.Doing, g.Where(r)
	x, y := (at.Left+at.Right)/2, (at.Top+at.Bottom)/2
	add := func(dx, dy int64) {
		far := max(1, root(dx*dx+dy*dy))
		g.Shots = append(g.Shots, Shot{r, x, y, dx * d.ShotSpeed / far, dy * d.ShotSpeed / far, int32(max(1, d.RangeX/max(1, d.ShotSpeed)))})
	}
	switch d.Aims {
	case world.AtHero:
		hero := g.extent(g.Hero())
		dx, dy := (hero.Left+hero.Right)/2-x, (hero.Top+hero.Bottom)/2-y
		cw, ch := m.Cell()
		if a, b := dx*1000/cw, dy*1000/ch; a*a+b*b > d.Sight*d.Sight || !m.Clear(x, y, dx, dy) {
			return
		}
		add(dx, dy)
	case world.AllAround:
		for _, way := range [8][2]int64{{0, -1}, {1, -1}, {1, 0}, {1, 1}, {0, 1}, {-1, 1}, {-1, 0}, {-1, -1}} {
			add(way[0]*Sub, way[1]*Sub)
		}
	default:
		dx, dy := t.Facing.Step()
		add(int64(dx)*Sub, int64(dy)*Sub)
	}
}
