package play

import (
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/world"
	"slices"
)

// Pose is where something that moves is at a moment: its top left, in map pixels.
type Pose struct {
	X      int             `json:"x"`
	Y      int             `json:"y"`
	Facing document.Facing `json:"facing"`
}

// PoseTicks is how many ticks lie between two poses of a motion.
const PoseTicks = 4

// Motion is what a thing does in its place when no hero is near, pose by pose for so many ticks, by
// the code that plays: it, and what carries it, on a stage of their own. Empty for what does not move.
func Motion(st *world.Stage, r world.Ref, ticks int) []Pose {
	t := st.Thing(r)
	if t == nil || !t.Doing.Goes {
		return nil
	}
	m := st.Grounds[t.Map]
	g := gameOf(st, &State{Seed: 1, Leaving: world.None, Sent: world.None, Inside: world.None, Roam: true, Bodies: []Body{{Of: world.None, Map: m.Ref}}})
	g.room(st)
	for c := r; c >= 0; c = st.Things[c].Doing.Carrier {
		g.Bodies = slices.Insert(g.Bodies, g.placeOf(c), g.newBody(m, c))
	}
	g.livelyOf = world.None
	out := make([]Pose, 0, ticks/PoseTicks+1)
	for n := range ticks {
		if n%PoseTicks == 0 {
			b := g.bodyOf(r)
			out = append(out, Pose{t.X + grid.FloorDiv(int(b.X-t.Body.Left), Sub), t.Y + grid.FloorDiv(int(b.Y-t.Body.Top), Sub), b.Look()})
		}
		g.Tick++
		g.carriers(m)
		g.beings(m)
		g.blocks(m)
	}
	return out
}
