package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
)

// AddPin keeps a moment of a game; an empty name is made of where it was.
func AddPin(d *document.Document, p document.Pin) (Change, error) {
	p.ID, p.Order = document.NewID(), orderStep
	for _, o := range d.PinsInOrder() {
		p.Order = o.Order + orderStep
	}
	if p.Name == "" {
		p.Name = "On " + mapName(d, p.At.Map)
	}
	if err := p.Check(); err != nil {
		return Change{}, err
	}
	c := changed("Pinned "+p.Name, edit.Insert(edit.Ref{Type: edit.TypePin, ID: p.ID}, p))
	c.Made = p.ID
	return c, nil
}

// AddRecording keeps a game as it was played.
func AddRecording(d *document.Document, r document.Recording) (Change, error) {
	if len(r.Keys) == 0 {
		return Change{}, errors.New("nothing has been played yet that could be kept")
	}
	r.ID, r.Order = document.NewID(), orderStep
	for _, o := range d.RecordingsInOrder() {
		r.Order = o.Order + orderStep
	}
	if r.Name == "" {
		r.Name = "Played from " + mapName(d, r.Start.Hero.Map)
	}
	if err := r.Check(); err != nil {
		return Change{}, err
	}
	c := changed("Kept a recording", edit.Insert(edit.Ref{Type: edit.TypeRecording, ID: r.ID}, r))
	c.Made = r.ID
	return c, nil
}

func mapName(d *document.Document, id document.ID) string {
	if m := d.Maps.Get(id); m != nil {
		return m.Name
	}
	return "a removed map"
}
