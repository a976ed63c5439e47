package session

import (
	"azzel/core/document"
	"azzel/core/play"
)

// SlotView is an item that is carried: what it is called by, how many there are, and the entity that it is drawn as, of
// a kind; empty for one that came out of something.
type SlotView struct {
	Word   string      `json:"word"`
	Amount int         `json:"amount"`
	Map    document.ID `json:"map"`
	ID     document.ID `json:"id"`
	Kind   document.ID `json:"kind"`
}

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

func slotsOf(g *play.Game) []SlotView {
	out := []SlotView{}
	for _, c := range g.Carried() {
		v := SlotView{Word: c.Word, Amount: c.Amount}
		if t := g.Stage.Thing(c.Of); t != nil {
			end := g.Stage.End(c.Of)
			v.Map, v.ID, v.Kind = end.Map, end.Entity, document.ID(t.Kind)
		}
		out = append(out, v)
	}
	return out
}
