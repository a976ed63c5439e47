package session

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"slices"
)

// Moved is where an entity that moves is: its top left, in map pixels.
type Moved struct {
	Map    document.ID     `json:"map"`
	ID     document.ID     `json:"id"`
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
	Steps  int32           `json:"steps"`
	// Pose is what its pictures show being done, empty for standing and walking, and Beat for how many ticks.
	Pose string `json:"pose,omitempty"`
	Beat int64  `json:"beat,omitempty"`
}

// EmitterView is a box, in map pixels, out of which come so many particles of a sort a second; Seed
// tells one from another.
type EmitterView struct {
	Map   document.ID `json:"map"`
	X     int         `json:"x"`
	Y     int         `json:"y"`
	W     int         `json:"w"`
	H     int         `json:"h"`
	Gives string      `json:"gives"`
	Rate  int         `json:"rate"`
	Seed  int         `json:"seed"`
}

// Companion is a hero who is not led: its name, its kind, and the map pixel at the top left of its picture.
type Companion struct {
	Name   string          `json:"name"`
	Kind   document.ID     `json:"kind"`
	Map    document.ID     `json:"map"`
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
}

// party adds who is led, and who is not.
func (v *View) party(g *play.Game) {
	if t := g.Stage.Thing(g.Hero().Of); t != nil {
		v.Led, v.Who = t.ID, document.ID(t.Kind)
	}
	if t := g.Stage.Thing(g.Hero().Of); t == nil {
		// one that was placed nowhere looks like its kind, where that has pictures
		if k := g.Stage.Doc.Kind(g.Stage.Doc.HeroKind()); k.Look != 0 || slices.ContainsFunc(k.Frames[:], func(all []cells.Cell) bool { return len(all) > 0 }) {
			v.Who = k.ID
		}
	}
	for _, c := range g.Companions() {
		on := g.Stage.Ground(c.Map)
		out := Companion{Name: "The hero", Map: on.ID, Facing: document.Facings[c.Facing&3]}
		if c.Side != "" {
			out.Name = c.Side
		}
		if t := g.Stage.Thing(c.Of); t != nil {
			out.Name, out.Kind = t.Name, document.ID(t.Kind)
		}
		out.X, out.Y = g.PictureOf(c)
		v.Party = append(v.Party, out)
	}
}

// MadeView is an entity that something has made in the game.
type MadeView struct {
	Moved
	Layer document.ID `json:"layer"`
	Kind  document.ID `json:"kind"`
	W     int         `json:"w"`
	H     int         `json:"h"`
}

// BlastView is something that has just gone off: its middle and how far it reaches, in map pixels, and
// how much of it is still seen, in thousandths.
type BlastView struct {
	grid.Point
	Radius int `json:"radius"`
	Left   int `json:"left"`
}

// RayView is a line from one map pixel to another.
type RayView struct {
	From grid.Point `json:"from"`
	To   grid.Point `json:"to"`
}

// LightView is a light that shines: its middle and how far it does, in map pixels.
type LightView struct {
	Map     document.ID `json:"map"`
	X       int         `json:"x"`
	Y       int         `json:"y"`
	Radius  int         `json:"radius"`
	Colour  string      `json:"colour"`
	Flicker string      `json:"flicker"`
}

type drawnLook struct {
	ID   document.ID `json:"id"`
	Look cells.Cell  `json:"look"`
}

// pixel is the map pixel of a place in 1/256 pixels.
func pixel(x, y int64) grid.Point {
	return grid.Point{X: grid.FloorDiv(int(x), play.Sub), Y: grid.FloorDiv(int(y), play.Sub)}
}

// dangers adds what strikes from afar.
func (v *View) dangers(g *play.Game, m *world.Ground, framed bool) {
	if !framed {
		for _, ray := range g.Rays(m) {
			v.Rays = append(v.Rays, RayView{pixel(ray.X, ray.Y), pixel(ray.ToX, ray.ToY)})
		}
		for _, s := range g.Shots {
			v.Shots = append(v.Shots, pixel(s.X, s.Y))
		}
	}
	for _, b := range g.Blasts {
		if t := g.Stage.Thing(b.Of); t.Map == m.Ref {
			v.Blasts = append(v.Blasts, BlastView{pixel(b.X, b.Y), int(t.Doing.RangeX / play.Sub), int(b.Left) * 1000 / play.BlastTicks})
		}
	}
}

// bodies adds what moves on a map.
func (v *View) bodies(g *play.Game, m *world.Ground) {
	for i := 1; i < len(g.Bodies); i++ {
		if b := &g.Bodies[i]; b.Map == m.Ref {
			t := g.Stage.Thing(b.Of)
			at := pixel(b.X-t.Body.Left, b.Y-t.Body.Top)
			moved := Moved{Map: m.ID, ID: t.ID, X: t.X + at.X, Y: t.Y + at.Y, Facing: b.Look(), Steps: b.Steps}
			moved.Pose, moved.Beat = g.Pose(b)
			if t.Doing.By < 0 {
				v.Moved = append(v.Moved, moved)
			} else if g.There(b.Of) {
				v.Made = append(v.Made, MadeView{moved, t.Layer, document.ID(t.Kind), t.W, t.H})
			}
		}
	}
}

// things adds how the things of a map are: which are not seen, which are on, what shines and smokes.
func (v *View) things(g *play.Game, m *world.Ground) {
	for r := m.First; r < m.After; r++ {
		t := g.Stage.Thing(r)
		if g.Untouched(r) && t.Plain() {
			continue
		}
		if in := g.Appears(r); in != nil && in.Look != 0 {
			v.Looks = append(v.Looks, drawnLook{t.ID, in.Look})
		} else if look, there := g.Look(r); there && look != 0 {
			v.Looks = append(v.Looks, drawnLook{t.ID, look})
		}
		there, on := g.There(r), g.On(r)
		if t.Doing.By >= 0 {
			if !there {
				continue
			}
			if !t.Doing.Goes {
				v.Made = append(v.Made, MadeView{Moved{Map: m.ID, ID: t.ID, X: t.X, Y: t.Y, Facing: t.Facing}, t.Layer, document.ID(t.Kind), t.W, t.H})
			}
		}
		if !there || !g.Shown(r) {
			v.Gone = append(v.Gone, t.ID)
		}
		if on {
			v.On = append(v.On, t.ID)
		}
		if !there || !on {
			continue
		}
		if t.Light != nil && v.Darkness > 0 && g.Burns(t.Light) {
			at := middleOf(g, r)
			v.Lights = append(v.Lights, LightView{m.ID, at.X, at.Y, t.Light.Radius, t.Light.Colour, t.Light.Flicker})
		}
		if t.Acts == kind.Emitter && t.Doing.Rate > 0 {
			at := middleOf(g, r)
			v.Emitters = append(v.Emitters, EmitterView{m.ID, at.X - t.W/2, at.Y - t.H/2, t.W, t.H, t.Doing.Gives, t.Doing.Rate, int(r)})
		}
	}
}

// middleOf is the map pixel in the middle of a thing, wherever it has gone.
func middleOf(g *play.Game, r world.Ref) grid.Point {
	t := g.Stage.Thing(r)
	if !t.Doing.Goes {
		return grid.Point{X: t.X + t.W/2, Y: t.Y + t.H/2}
	}
	box := g.Where(r)
	return pixel((box.Left+box.Right)/2, (box.Top+box.Bottom)/2)
}

// inSight is a map and those beyond its seams, which are seen with it.
func inSight(st *world.Stage, m *world.Ground) []*world.Ground {
	out := []*world.Ground{m}
	for _, seam := range st.Chart.SeamsOf(m.ID) {
		switch {
		case seam.Why != "" || seam.Closed:
		case seam.A == m.ID:
			out = append(out, st.Ground(st.MapOf(seam.B)))
		case seam.B == m.ID:
			out = append(out, st.Ground(st.MapOf(seam.A)))
		}
	}
	return out
}
