package play

import (
	"azzel/core/document"
	"azzel/core/world"
	"slices"
)

const (
	// Every is how many ticks lie between two snapshots at the most.
	Every = 8
	// Longest is how many ticks are kept: two minutes.
	Longest = 120 * TicksPerSecond
	// MaxRecord is how many bytes of snapshots are kept; beyond, the earliest go.
	MaxRecord = 64 << 20
	// maxEvents bounds what is told of one game.
	maxEvents = 2000
)

// Record keeps a game as it went: what was held down in every tick, and a snapshot, with the
// stage that it was on, at most every 8 ticks.
type Record struct {
	snaps  []snapshot
	inputs []Input
	// from is the tick after which the first input was held.
	from   int64
	bytes  int
	Events []Event
	// began is how the game was when it began to be kept, all what was held since; none of it
	// is forgotten before the longest recording is full.
	began  document.Moment
	all    []Input
	course course
}

type snapshot struct {
	tick  int64
	stage *world.Stage
	state *State
	bytes int
}

// NewRecord begins to keep a game.
func NewRecord(g *Game) *Record {
	r := &Record{from: g.Tick, began: g.Moment(), course: course{from: g.Tick}}
	r.course.stand(g)
	r.keep(g)
	return r
}

// Step plays a tick and keeps it.
func (r *Record) Step(g *Game, in Input) {
	if last := &r.snaps[len(r.snaps)-1]; last.stage != g.Stage || g.Tick-last.tick >= Every {
		r.keep(g)
	}
	r.inputs = append(r.inputs, in)
	g.Step(in)
	r.Events = append(r.Events, g.Told...)
	if len(r.all) < document.MaxRecorded {
		r.all = append(r.all, in)
		r.course.note(g)
	}
	if len(r.Events) > maxEvents {
		r.Events = slices.Clone(r.Events[len(r.Events)-maxEvents/2:])
	}
}

func (r *Record) keep(g *Game) {
	s := snapshot{tick: g.Tick, stage: g.Stage, state: g.clone()}
	s.bytes = 512 + 160*len(s.state.Bodies) + 8*len(s.state.Bits)
	if n := len(r.snaps); n > 0 && slices.Equal(r.snaps[n-1].state.Bits, s.state.Bits) {
		s.state.Bits = r.snaps[n-1].state.Bits // nobody changes what is kept
		s.bytes -= 8 * len(s.state.Bits)
	}
	r.snaps = append(r.snaps, s)
	r.bytes += s.bytes
	for len(r.snaps) > 2 && (r.bytes > MaxRecord || g.Tick-r.snaps[1].tick >= Longest) {
		r.bytes -= r.snaps[0].bytes
		r.snaps = slices.Delete(r.snaps, 0, 1)
		r.inputs = slices.Delete(r.inputs, 0, int(r.snaps[0].tick-r.from))
		r.from = r.snaps[0].tick
	}
}

// From and To bound the ticks that can be gone back to.
func (r *Record) From() int64 { return r.from }

// To is the last tick that was played.
func (r *Record) To() int64 { return r.from + int64(len(r.inputs)) }

// At is the game as it was after a tick, on the stage of that time.
func (r *Record) At(tick int64) *Game {
	tick = max(r.from, min(tick, r.To()))
	i := len(r.snaps) - 1
	for i > 0 && r.snaps[i].tick > tick {
		i--
	}
	s := r.snaps[i]
	g := gameOf(s.stage, s.state.clone())
	for g.Tick < tick {
		g.Step(r.inputs[g.Tick-r.from])
	}
	return g
}

// Cut forgets what came after a tick and gives the inputs that were held since; from here on
// the game goes on.
func (r *Record) Cut(g *Game) []Input {
	after := slices.Clone(r.inputs[g.Tick-r.from:])
	r.inputs = r.inputs[:g.Tick-r.from]
	r.snaps = slices.DeleteFunc(r.snaps, func(s snapshot) bool { return s.tick > g.Tick })
	r.Events = slices.DeleteFunc(r.Events, func(e Event) bool { return e.Tick > g.Tick })
	r.all = r.all[:min(len(r.all), int(g.Tick-r.course.from))]
	r.course.cut(g.Tick)
	r.bytes = 0
	for _, s := range r.snaps {
		r.bytes += s.bytes
	}
	return after
}

// Whole is the game as it was played from its beginning, as far as a recording holds it.
func (r *Record) Whole() document.Recording {
	return document.Recording{Start: r.began, Keys: HeldFor(r.all), Course: append([]document.CourseMark{}, r.course.marks...)}
}

// Spot is where the hero was.
type Spot struct {
	Map document.ID `json:"map"`
	X   int         `json:"x"`
	Y   int         `json:"y"`
}

// Walk is where the hero's middle was from a tick on, in map pixels, as far as it moved.
func (r *Record) Walk(from int64) []Spot {
	out := []Spot{}
	for g := r.At(from); ; g.Step(r.inputs[g.Tick-r.from]) {
		if m := g.Ground(); m != nil {
			box := g.extent(g.Hero())
			at := Spot{m.ID, int((box.Left + box.Right) / 2 / Sub), int((box.Top + box.Bottom) / 2 / Sub)}
			if len(out) == 0 || out[len(out)-1] != at {
				out = append(out, at)
			}
		}
		if g.Tick >= r.To() {
			return out
		}
	}
}
