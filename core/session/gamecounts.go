package session

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/world"
)

// CountsView is what is counted since the hero began on the map that it is to finish; what is limited is told as what is left.
type CountsView struct {
	Seconds int `json:"seconds"`
	Moves   int `json:"moves"`
	// SecondsLeft and MovesLeft are −1 where there is no limit.
	SecondsLeft int `json:"secondsLeft"`
	MovesLeft   int `json:"movesLeft"`
}

func countsOf(g *play.Game) CountsView {
	r := g.Round
	out := CountsView{int(r.Ticks / play.TicksPerSecond), int(r.Moves), -1, -1}
	if m := g.Stage.Ground(r.Map); m != nil {
		if limit := m.TimeLimit(); limit > 0 {
			out.SecondsLeft = int((max(0, limit-r.Ticks) + play.TicksPerSecond - 1) / play.TicksPerSecond)
		}
		if limit := m.MoveLimit(); limit > 0 {
			out.MovesLeft = int(max(0, limit-r.Moves))
		}
	}
	return out
}

// ShownCounter is a counter on the player's screen.
type ShownCounter struct {
	ID    document.ID `json:"id"`
	Name  string      `json:"name"`
	Is    int64       `json:"is"`
	Where string      `json:"where"`
}

func shownOf(g *play.Game) []ShownCounter {
	out := []ShownCounter{}
	for _, c := range g.Stage.Doc.CountersByName() {
		if c.Shown != "" {
			out = append(out, ShownCounter{c.ID, g.Stage.Doc.Says(g.Language, c.Name), g.Counter(c.ID), c.Shown})
		}
	}
	return out
}

// TollView is how many hits a thing takes still, of how many. Name is what it is called, in the language that is read in, of a core.
type TollView struct {
	ID   document.ID `json:"id"`
	Left int         `json:"left"`
	All  int         `json:"all"`
	Name string      `json:"name,omitempty"`
}

// tolls adds what the player sees of how much things take still.
func (v *View) tolls(g *play.Game, m *world.Ground) {
	show := g.Stage.Doc.GameValue(kind.GameShowLeft).Word()
	if show == kind.LeftOff {
		return
	}
	for _, o := range g.Tolls(m, show == kind.LeftHit) {
		t := g.Stage.Thing(o.Of)
		told := TollView{ID: t.ID, Left: int(o.Left), All: int(o.All)}
		if t.Acts == kind.Core {
			told.Name = g.Stage.Doc.Says(g.Language, t.Name)
		}
		v.Tolls = append(v.Tolls, told)
	}
}
