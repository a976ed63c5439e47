package play

import (
	"azzel/core/document"
	"azzel/core/world"
)

// course is what happened in a game, to be compared with: on which cell the hero was from
// which tick on, and what was told.
type course struct {
	from  int64
	marks []document.CourseMark
}

// note adds what the last tick brought.
func (c *course) note(g *Game) {
	mark, ok := c.stand(g)
	for _, e := range g.Told {
		if mark.Is, mark.Name = e.Is, e.Name; ok {
			c.marks = append(c.marks, mark)
		}
	}
}

// stand adds where the hero is, if that is another cell; it gives a mark of it.
func (c *course) stand(g *Game) (mark document.CourseMark, ok bool) {
	m := g.Ground()
	if m == nil {
		return mark, false
	}
	cell := g.HeroCell()
	mark = document.CourseMark{Tick: int(g.Tick - c.from), Map: m.ID, X: cell.X, Y: cell.Y}
	if n := len(c.marks); n == 0 || c.marks[n-1].Map != mark.Map || c.marks[n-1].X != mark.X || c.marks[n-1].Y != mark.Y {
		c.marks = append(c.marks, mark)
	}
	return mark, true
}

// cut forgets what came after a tick.
func (c *course) cut(tick int64) {
	for n := len(c.marks); n > 0 && int64(c.marks[n-1].Tick) > tick-c.from; n-- {
		c.marks = c.marks[:n-1]
	}
}

// HeldFor is what was held down, told by how long each was.
func HeldFor(keys []Input) []document.HeldFor {
	out := []document.HeldFor{}
	for _, in := range keys {
		if n := len(out); n > 0 && out[n-1].Held == int(in) {
			out[n-1].Ticks++
		} else {
			out = append(out, document.HeldFor{Held: int(in), Ticks: 1})
		}
	}
	return out
}

// Script is what a recording holds down in each of its ticks.
func Script(r *document.Recording) []Input {
	out := make([]Input, 0, r.Ticks())
	for _, k := range r.Keys {
		for range k.Ticks {
			out = append(out, Input(k.Held))
		}
	}
	return out
}

// Follower plays a recording on the present project, and finds out where it first goes
// otherwise than it did.
type Follower struct {
	game   *Game
	of     *document.Recording
	keys   []Input
	course course
	met    int
}

// Parting is where a recording first goes otherwise.
type Parting struct {
	// Tick is counted from the recording's beginning; Map, X and Y are where the hero is then.
	Tick int         `json:"tick"`
	Map  document.ID `json:"map"`
	X    int         `json:"x"`
	Y    int         `json:"y"`
	// Was is what happened in the recording then, Is what happens now; empty is a step to a cell.
	Was *document.CourseMark `json:"was,omitempty"`
	Is  *document.CourseMark `json:"is,omitempty"`
}

// Follow begins to play a recording.
func Follow(st *world.Stage, r *document.Recording) (*Follower, error) {
	g, err := Resume(st, r.Start)
	if err != nil {
		return nil, err
	}
	f := &Follower{game: g, of: r, keys: Script(r), course: course{from: g.Tick}}
	f.course.stand(g)
	return f, nil
}

// Step plays so many ticks; it is done where the recording ends or goes otherwise, which p tells.
func (f *Follower) Step(ticks int) (done bool, p *Parting) {
	for {
		if p := f.compare(); p != nil {
			return true, p
		}
		at := int(f.game.Tick - f.course.from)
		if at >= len(f.keys) {
			return true, f.missed(len(f.keys) + 1)
		}
		if ticks--; ticks < 0 {
			return false, nil
		}
		f.game.Step(f.keys[at])
		f.course.note(f.game)
	}
}

// compare holds what has happened since against what the recording says.
func (f *Follower) compare() *Parting {
	for ; f.met < len(f.course.marks); f.met++ {
		is := f.course.marks[f.met]
		if f.met >= len(f.of.Course) {
			return f.parts(is.Tick, nil, &is)
		}
		if was := f.of.Course[f.met]; was.Tick < is.Tick {
			return f.parts(was.Tick, &was, nil)
		} else if was.Tick > is.Tick {
			return f.parts(is.Tick, nil, &is)
		} else if was.Map != is.Map || was.X != is.X || was.Y != is.Y || was.Is != is.Is {
			return f.parts(is.Tick, &was, &is)
		}
	}
	return f.missed(int(f.game.Tick - f.course.from))
}

// missed tells of what should have happened before a tick, and did not.
func (f *Follower) missed(before int) *Parting {
	if f.met < len(f.of.Course) && f.of.Course[f.met].Tick < before {
		was := f.of.Course[f.met]
		return f.parts(was.Tick, &was, nil)
	}
	return nil
}

func (f *Follower) parts(tick int, was, is *document.CourseMark) *Parting {
	p := &Parting{Tick: tick, Was: was, Is: is}
	if m := f.game.Ground(); m != nil {
		cell := f.game.HeroCell()
		p.Map, p.X, p.Y = m.ID, cell.X, cell.Y
	}
	return p
}
