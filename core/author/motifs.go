package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
	"strings"
)

// KeepMotif keeps what lies in an area as a motif; it is the first place where that stands.
func KeepMotif(d *document.Document, name string, a Area) (Change, error) {
	piece, err := LiftAll(d, a)
	if err != nil {
		return Change{}, err
	}
	c, err := AddMotif(d, name, piece)
	if err == nil {
		c.Do = append(c.Do, a.remembered(d, c.Made)...)
	}
	return c, err
}

// RemakeMotif makes a motif of what lies in an area; see ReplaceMotif.
func RemakeMotif(d *document.Document, id document.ID, a Area, update bool) (Change, error) {
	piece, err := LiftAll(d, a)
	if err != nil {
		return Change{}, err
	}
	c, err := ReplaceMotif(d, id, piece, update)
	if err == nil {
		c.Do = append(c.Do, a.remembered(d, id)...)
	}
	return c, err
}

// AddMotif keeps an arrangement under a name.
func AddMotif(d *document.Document, name string, piece *document.Motif) (Change, error) {
	m := *piece
	m.ID, m.Name, m.Order = document.NewID(), strings.TrimSpace(name), orderStep
	for _, o := range d.MotifsInOrder() {
		m.Order = o.Order + orderStep
	}
	if err := m.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New motif "+m.Name, edit.Insert(edit.Ref{Type: edit.TypeMotif, ID: m.ID}, m))
	c.Made = m.ID
	return c, nil
}

func layerNamed(m *document.Map, p document.MotifPart) *document.Layer {
	for _, l := range m.LayersInOrder() {
		if l.Name == p.Layer && l.Kind == p.Kind {
			return l
		}
	}
	return nil
}

// ReplaceMotif gives a motif another content; with update, wherever it was put down
// and stands as it is, the new content comes in its place.
func ReplaceMotif(d *document.Document, id document.ID, piece *document.Motif, update bool) (Change, error) {
	old := d.Motifs.Get(id)
	if old == nil {
		return Change{}, errors.New("the motif is no longer there")
	}
	next := *piece
	next.ID, next.Name, next.Order = old.ID, old.Name, old.Order
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	ref := edit.Ref{Type: edit.TypeMotif, ID: id}
	// first as large as both, so that each step holds by itself
	c := changed("Changed motif "+old.Name, edit.Set(ref, "w", max(old.W, next.W)), edit.Set(ref, "h", max(old.H, next.H)),
		edit.Set(ref, "parts", next.Parts), edit.Set(ref, "entities", next.Entities), edit.Set(ref, "rules", next.Rules), edit.Set(ref, "w", next.W), edit.Set(ref, "h", next.H),
		edit.Set(ref, "cellWidth", next.CellWidth), edit.Set(ref, "cellHeight", next.CellHeight))
	if !update {
		return c, nil
	}
	all := d.Standing(old)
	b := bringer{d: d, names: map[document.ID]*document.Names{}, ranks: map[document.ID]int{}}
	for _, p := range all {
		b.bring(p, old.Turned(p.Turn, d.Sheets()), next.Turned(p.Turn, d.Sheets()))
	}
	c.Do = append(c.Do, b.do...)
	c.Label.Text = fmt.Sprintf("%s in %d places", c.Label.Text, len(all))
	return c, nil
}
