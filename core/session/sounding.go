package session

import (
	"azzel/core/author"
	"azzel/core/document"
)

// soundingArgs is something that is to be heard: of a kind, on a map; both may be empty.
type soundingArgs struct {
	When string      `json:"when"`
	Kind document.ID `json:"kind"`
	On   document.ID `json:"on"`
}

// sounding are the sounds of the designer's own that are heard for it, one after the other; none is Azzel's own.
func (s *Session) sounding(a soundingArgs) ([]document.ID, error) {
	out := []document.ID{}
	for _, o := range s.doc().HeardAs(a.When, a.Kind, a.On) {
		out = append(out, o.ID)
	}
	return out, nil
}

func init() {
	register(map[string]method{"sounding": with((*Session).sounding)})
	if !designs {
		return
	}
	register(map[string]method{
		"soundWords": with(func(*Session, none) ([]document.SoundWord, error) { return document.SoundWords, nil }),
		"addSound":   authored(author.AddSound),
		"hearSound": authored(func(d *document.Document, a struct {
			ID document.ID      `json:"id"`
			As document.Hearing `json:"as"`
			On bool             `json:"on"`
		}) (author.Change, error) {
			return author.HearSound(d, a.ID, a.As, a.On)
		}),
	})
}
