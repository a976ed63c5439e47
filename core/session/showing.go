package session

import (
	"azzel/core/document"
	"azzel/core/play"
	"azzel/core/rules"
)

// ShowView is what is seen of a game because rules say so.
type ShowView struct {
	// Held tells that a scene holds the hero, Skips that it can be skipped.
	Held  bool `json:"held"`
	Skips bool `json:"skips"`
	Shake bool `json:"shake"`
	// Dark is how dark it is, 0 to 255.
	Dark int `json:"dark"`
	// Tint is a word of rules.Tints, TintWas the one before, and Tinted how far it has come to it, 0 to 1000.
	Tint    string `json:"tint"`
	TintWas string `json:"tintWas"`
	Tinted  int    `json:"tinted"`
	Caption string `json:"caption"`
	// Zoom is how near the view is, in hundredths.
	Zoom int `json:"zoom"`
	// Picture is shown large, nil for nothing.
	Picture *SpeakerView `json:"picture"`
	// Sound was heard last, or Plays, of the designer's own, and Sounds is how often something was.
	Sound    string        `json:"sound"`
	Plays    document.ID   `json:"plays"`
	Sounds   int64         `json:"sounds"`
	Thoughts []ThoughtView `json:"thoughts"`
	// Over is one of document.Ends, empty while it goes on; Ending is what is said then.
	Over   string `json:"over"`
	Ending string `json:"ending"`
}

// ThoughtView is a thought, and the middle of the head above which it is, in map pixels.
type ThoughtView struct {
	X    int    `json:"x"`
	Y    int    `json:"y"`
	Text string `json:"text"`
}

func showOf(g *play.Game) ShowView {
	s := &g.Show
	out := ShowView{Held: g.Held(), Skips: g.Skippable(), Shake: s.Shake > 0, Dark: int(s.Dark), Tint: rules.Tints[s.Tint], TintWas: rules.Tints[s.TintWas], Tinted: 1000,
		Caption: s.Caption, Thoughts: []ThoughtView{}, Ending: g.Ending}
	out.Zoom, out.Sound, out.Plays, out.Sounds = s.Nearness(), s.Sound, s.Plays, s.Sounds
	switch {
	case s.Picture > 0:
		out.Picture = lookOf(g, s.Picture-1, 0)
	case s.Picture < 0:
		if out.Picture = lookOf(g, g.Hero().Of, 0); out.Picture == nil {
			out.Picture = &SpeakerView{Kind: g.Stage.Doc.HeroKind()}
		}
	}
	if s.TintLeft > 0 {
		out.Tinted = int((s.TintAll - s.TintLeft) * 1000 / s.TintAll)
	}
	if g.Over != play.NotOver {
		out.Over = document.Ends[g.Over-1]
	}
	m := g.Ground()
	for _, t := range s.Thoughts {
		x, y := g.Picture()
		x += m.CellWidth / 2
		if t.Of >= 0 {
			if g.Stage.Thing(t.Of).Map != m.Ref {
				continue
			}
			at := g.Where(t.Of)
			x, y = int((at.Left+at.Right)/2/play.Sub), min(int(at.Top/play.Sub), int(at.Bottom/play.Sub)-m.CellHeight)
		}
		out.Thoughts = append(out.Thoughts, ThoughtView{x, y, t.Text})
	}
	return out
}
