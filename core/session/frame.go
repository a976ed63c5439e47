package session

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
	"encoding/binary"
	"slices"
)

// A frame is what moves in a game as it was shown last, in bytes, since JSON of as much costs many times what playing
// does. All numbers are little-endian and of 32 bits, places in 1/256 map pixels:
//
//	how many bodies, others of the party, shots, and lines that hurt there are
//	the top left of the hero's picture; the middle of what the player sees
//	of each body: its number, the place of its box, steps, for how many ticks it does what it does, and a word of
//	its facing in the lowest byte and what its pictures show being done in the next, from 1 on in the order of kind.Poses
//	of each other of the party: the top left of its picture
//	of each shot: its middle, and how far it goes in a tick
//	of each line that hurts: from where it goes, and where to
//
// Bodies are told apart by numbers; whose they are was told once, by View.Named.

// frameHead is the size of all counts and of the two places after them, in bytes.
const frameHead = 8 * 4

// Named is whose body a number is: an entity of a map. One that was made in the game is of a layer and a kind, and as large
// as is said.
type Named struct {
	Number int         `json:"number"`
	Map    document.ID `json:"map"`
	ID     document.ID `json:"id"`
	Layer  document.ID `json:"layer,omitempty"`
	Kind   document.ID `json:"kind,omitempty"`
	W      int         `json:"w,omitempty"`
	H      int         `json:"h,omitempty"`
}

// framed is the frame of a game that is played, who was named of it on which stage, and the lists of the view that was told last.
type framed struct {
	bytes []byte
	of    *world.Stage
	named []bool // by the number of a thing
	told  View
}

// since leaves out of a view the lists that are as they were told last: most stay for many ticks, and telling them takes longer
// than the tick.
func (f *framed) since(v *View) {
	leave(&f.told.Gone, &v.Gone)
	leave(&f.told.On, &v.On)
	leave(&f.told.Looks, &v.Looks)
	leave(&f.told.Lights, &v.Lights)
	leave(&f.told.Emitters, &v.Emitters)
	leave(&f.told.Slots, &v.Slots)
	leave(&f.told.Shown, &v.Shown)
	leave(&f.told.Heard, &v.Heard)
	leave(&f.told.Guises, &v.Guises)
	leave(&f.told.Tolls, &v.Tolls)
	leave(&f.told.Lifted, &v.Lifted)
}

// leave forgets a list that is as it was told, and remembers one that is not.
func leave[T comparable](told, now *[]T) {
	if *told != nil && slices.Equal(*told, *now) {
		*now = nil
	} else {
		*told = *now
	}
}

// take writes the frame of a game, and tells who is named anew.
func (f *framed) take(g *play.Game, v *View) {
	st := g.Stage
	if f.of != st {
		f.of, f.named, v.Renamed = st, make([]bool, len(st.Things)), true
	}
	f.bytes = append(f.bytes[:0], make([]byte, frameHead)...)
	put := func(all ...int64) {
		for _, n := range all {
			f.bytes = binary.LittleEndian.AppendUint32(f.bytes, uint32(int32(n)))
		}
	}
	m := g.Ground()
	if m == nil {
		return
	}
	bodies := int64(0)
	seen := inSight(st, m)
	for i := 1; i < len(g.Bodies); i++ {
		b := &g.Bodies[i]
		t := st.Thing(b.Of)
		if !slices.ContainsFunc(seen, func(m *world.Ground) bool { return m.Ref == b.Map }) || t.Doing.By >= 0 && !g.There(b.Of) {
			continue
		}
		if !f.named[b.Of] {
			f.named[b.Of] = true
			v.Named = append(v.Named, nameOf(st, b.Of))
		}
		does, beat := g.Pose(b)
		bodies++
		put(int64(b.Of), int64(t.X)*play.Sub+b.X-t.Body.Left, int64(t.Y)*play.Sub+b.Y-t.Body.Top-g.Hop(b), int64(b.Steps), beat,
			int64(max(0, b.Look().Index()))|int64(slices.Index(kind.Poses, does)+1)<<8)
	}
	companions := g.Companions()
	for _, c := range companions {
		x, y := g.PlaceOf(c)
		put(x, y)
	}
	for _, s := range g.Shots {
		put(s.X, s.Y, s.VX, s.VY)
	}
	rays := g.Rays(m)
	for _, r := range rays {
		put(r.X, r.Y, r.ToX, r.ToY)
	}
	x, y := g.Place()
	y -= g.Hop(g.Hero())
	for i, n := range []int64{bodies, int64(len(companions)), int64(len(g.Shots)), int64(len(rays)), x, y, g.Cam.X, g.Cam.Y} {
		binary.LittleEndian.PutUint32(f.bytes[4*i:], uint32(int32(n)))
	}
}

func nameOf(st *world.Stage, r world.Ref) Named {
	t := st.Thing(r)
	out := Named{Number: int(r), Map: st.Grounds[t.Map].ID, ID: t.ID}
	if t.Doing.By >= 0 {
		out.Layer, out.Kind, out.W, out.H = t.Layer, document.ID(t.Kind), t.W, t.H
	}
	return out
}

// Frame copies the frame of the game as it was shown last, if there is room; it gives how many bytes that are, 0 where
// nothing is played.
func (s *Session) Frame(into []byte) int {
	if s.play == nil || s.play.framed == nil {
		return 0
	}
	if all := s.play.framed.bytes; len(all) <= len(into) {
		copy(into, all)
	}
	return len(s.play.framed.bytes)
}
