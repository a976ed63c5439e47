package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// AddSound makes a sound of a file that was taken in.
func AddSound(d *document.Document, s document.Sound) (Change, error) {
	if d.Sounds.Len() >= document.MaxSounds {
		return Change{}, fmt.Errorf("a project has at most %d sounds: remove one that is not heard", document.MaxSounds)
	}
	names := &document.Names{}
	for _, o := range d.Sounds.All() {
		names.Add(o.Name)
	}
	name := []rune(strings.TrimSpace(s.Name))
	if len(name) == 0 {
		name = []rune("Sound")
	}
	s.ID, s.Name = document.NewID(), names.Free(string(name[:min(len(name), document.MaxName-4)]))
	if err := s.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New sound "+s.Name, edit.Insert(edit.Ref{Type: edit.TypeSound, ID: s.ID}, s))
	c.Made = s.ID
	return c, nil
}

// HearSound has a sound be heard as something, or not any more.
func HearSound(d *document.Document, id document.ID, as document.Hearing, on bool) (Change, error) {
	s := d.Sounds.Get(id)
	if s == nil {
		return Change{}, errors.New("that sound is no longer there")
	}
	i := slices.Index(s.As, as)
	if on == (i >= 0) {
		return Change{}, errors.New("it is like that already")
	}
	next := slices.Clone(s.As)
	label := s.Name + " is heard as something else"
	if on {
		next = append(next, as)
	} else {
		next = slices.Delete(next, i, i+1)
		label = s.Name + " is heard as one thing less"
	}
	return changed(label, edit.Set(edit.Ref{Type: edit.TypeSound, ID: id}, "as", next)), nil
}
