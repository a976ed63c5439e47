package session

import "azzel/core/play"

// HeardView is what is heard: how loud, and from which side, −1000 to 1000, in thousandths; By is the name of a sound
// place, empty for a map's.
type HeardView struct {
	Plays string `json:"plays"`
	Loud  int    `json:"loud"`
	Side  int    `json:"side"`
	By    string `json:"by"`
}

func heardOf(g *play.Game) []HeardView {
	out := []HeardView{}
	for _, h := range g.Heard() {
		v := HeardView{Plays: h.Plays, Loud: h.Loud, Side: h.Side}
		if t := g.Stage.Thing(h.Of); t != nil {
			v.By = t.Name
		}
		out = append(out, v)
	}
	return out
}
