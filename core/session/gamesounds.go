package session

import (
	"azzel/core/document"
	"azzel/core/play"
	"slices"
)

// HeardView is what is heard: how loud, and from which side, −1000 to 1000, in thousandths; By is the name of a sound
// place, empty for a map's.
type HeardView struct {
	Plays string `json:"plays"`
	// Own is the sound of the designer's own that is heard in its place, empty for none.
	Own  document.ID `json:"own,omitempty"`
	Loud int         `json:"loud"`
	Side int         `json:"side"`
	By   string      `json:"by"`
}

// heardOf is what the hero hears all the time: of sound places, of the map, and its music where that is the designer's own.
func heardOf(g *play.Game) []HeardView {
	out := []HeardView{}
	m := g.Ground()
	if m == nil {
		return out
	}
	d := g.Stage.Doc
	own := func(all []*document.Sound) document.ID {
		if len(all) == 0 {
			return ""
		}
		return all[0].ID
	}
	around := d.HeardAs(document.SoundAround, "", m.ID)
	whole := false
	for _, h := range g.Heard() {
		v := HeardView{Plays: h.Plays, Loud: h.Loud, Side: h.Side}
		if t := g.Stage.Thing(h.Of); t != nil {
			of := document.ID(t.Kind)
			v.By, v.Own = t.Name, own(d.HeardAs(h.Plays, of, m.ID))
			// what is all the surroundings is a place's only where its kind is meant
			if a := own(d.HeardAs(document.SoundAround, of, m.ID)); a != "" && a != own(around) {
				v.Own = a
			}
		} else if whole = true; g.Show.Bed != "" {
			v.Own = own(d.HeardAs(h.Plays, "", m.ID))
		} else {
			v.Own = own(slices.Concat(around, d.HeardAs(h.Plays, "", m.ID)))
		}
		out = append(out, v)
	}
	if !whole && len(around) > 0 {
		out = append(out, HeardView{Plays: document.SoundAround, Own: own(around), Loud: 1000})
	}
	if music := own(d.HeardAs(document.SoundMusic, "", m.ID)); music != "" {
		out = append(out, HeardView{Plays: document.SoundMusic, Own: music, Loud: 1000})
	}
	return out
}
