package session

import (
	"azzel/core/document"
	"azzel/core/play"
)

// SlotView is an item that is carried: what it is called by, how many there are, and the entity that it is drawn as, of
// a kind; empty for one that came out of something.
type SlotView struct {
	Word   string `json:"word"`
	Name   string `json:"name"` // in the language that is read in
	Amount int    `json:"amount"`
	// Rests is how long it is not ready again, in thousandths of all of that.
	Rests int         `json:"rests"`
	Map   document.ID `json:"map"`
	ID    document.ID `json:"id"`
	Kind  document.ID `json:"kind"`
}

func slotsOf(g *play.Game) []SlotView {
	out := []SlotView{}
	for _, c := range g.Carried() {
		v := SlotView{Word: c.Word, Name: g.Stage.Doc.Says(g.Language, c.Word), Amount: c.Amount, Rests: g.Rests(c.Word)}
		if t := g.Stage.Thing(c.Of); t != nil {
			end := g.Stage.End(c.Of)
			v.Map, v.ID, v.Kind = end.Map, end.Entity, document.ID(t.Kind)
		}
		out = append(out, v)
	}
	return out
}
