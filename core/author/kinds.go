package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
)

// AddKind makes a kind of the designer's own: from another one, which it is
// like in everything, or from nothing.
func AddKind(d *document.Document, from document.ID, name string) (Change, error) {
	return addKind(d, from, name, nil)
}

// AddVariant makes a kind of the designer's own from a ready-made one of a built-in kind, by its name.
func AddVariant(d *document.Document, from document.ID, name string) (Change, error) {
	for _, v := range kind.Variants(string(from)) {
		if v.Name == name {
			return addKind(d, from, name, &v)
		}
	}
	return Change{}, fmt.Errorf("there is no ready-made kind called “%.40s”", name)
}

func addKind(d *document.Document, from document.ID, name string, as *kind.Variant) (Change, error) {
	k := *kind.Blank()
	k.Help = "A kind of your own"
	if from != "" {
		of := d.Kind(from)
		if of == nil {
			return Change{}, errors.New("the kind is no longer there")
		}
		k = *of
		k.Of = document.ID(of.Acts())
		k.Settings = slices.Clone(k.Settings)
	}
	if as != nil {
		k.Help = as.Help
		for _, v := range as.Values {
			k.Setting(v.Key).Default = v.Value
		}
	}
	k.ID, k.Name, k.Order = document.NewID(), name, orderStep
	if name == "" && from != "" {
		k.Name = d.Kind(from).Name
	} else if name == "" {
		k.Name = "Kind"
	}
	for _, o := range d.Kinds.All() {
		k.Order = max(k.Order, o.Order+orderStep)
	}
	var names document.Names
	for _, o := range d.KindsInOrder() {
		names.Add(o.Name)
	}
	k.Name = names.Free(k.Name)
	own := document.Lean(&k)
	if err := own.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New kind "+k.Name, edit.Insert(edit.Ref{Type: edit.TypeKind, ID: k.ID}, own))
	c.Made = k.ID
	return c, nil
}

// ChangeKind writes what differs between a kind as it is and as it should be.
// Settings of entities that are no longer there, or do not fit any more, go with it.
func ChangeKind(d *document.Document, plain PlainKind) (Change, error) {
	old := d.Kinds.Get(plain.ID)
	if old == nil {
		return Change{}, errors.New("a built-in kind stays as it is: make one of your own from it")
	}
	whole, err := plain.whole(old.Whole())
	if err != nil {
		return Change{}, err
	}
	next := document.Lean(whole)
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	c := changed("Changed kind " + old.Name)
	for _, name := range document.FieldNames(old) {
		was, err := document.Field(old, name)
		if err != nil {
			return Change{}, fmt.Errorf("compare a kind: %w", err)
		}
		is, err := document.Field(next, name)
		if err != nil {
			return Change{}, fmt.Errorf("compare a kind: %w", err)
		}
		if string(was) != string(is) {
			c.Do = append(c.Do, edit.Primitive{Op: edit.OpSet, Ref: edit.Ref{Type: edit.TypeKind, ID: old.ID}, Field: name, Value: is})
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the kind is like that already")
	}
	c.Do = append(c.Do, refit(d, old.ID, next.Whole(), "")...)
	if len(c.Do) > edit.MaxPrimitives {
		return Change{}, errors.New("too many entities have this setting to change it in one step")
	}
	return c, nil
}

// refit lets the entities of a kind fit another state of it, or another kind.
func refit(d *document.Document, of document.ID, next *kind.Kind, becomes document.ID) (do []edit.Primitive) {
	for _, m := range d.MapsInOrder() {
		for _, e := range m.Entities.All() {
			if document.ID(e.Kind) != of {
				continue
			}
			ref := edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: e.ID}
			if becomes != "" {
				do = append(do, edit.Set(ref, "kind", string(becomes)))
			}
			left := slices.DeleteFunc(slices.Clone(e.Values), func(v kind.Value) bool {
				s := next.Setting(v.Key)
				return s == nil || s.Fits(v.Value) != nil
			})
			if len(left) < len(e.Values) {
				do = append(do, edit.Set(ref, "values", left))
			}
		}
	}
	return do
}

// RemoveKind removes a kind of the designer's own. Entities of it become what
// it was made from; what has no such kind becomes decoration.
func RemoveKind(d *document.Document, id document.ID) (Change, error) {
	k := d.Kinds.Get(id)
	if k == nil {
		return Change{}, errors.New("a built-in kind cannot be removed")
	}
	of := d.Kind(k.Of)
	if of == nil {
		of = d.Kind(kind.Decoration)
	}
	c := changed("Removed kind "+k.Name, refit(d, id, of, of.ID)...)
	c.Do = append(c.Do, reshared(d, id, of.ID)...)
	if at := slices.Index(d.Project.Pins, id); at >= 0 {
		c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeProject}, "pins", slices.Delete(slices.Clone(d.Project.Pins), at, at+1)))
	}
	if d.GameValue(kind.GameWonWith).Word() == string(id) {
		next, _ := withValue(d.Project.GameValues, kind.GameWonWith, kind.Of(string(of.ID)), "")
		c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeProject}, "gameValues", next))
	}
	checks := slices.Clone(d.Project.OwnChecks)
	for i := range checks {
		for _, k := range []*string{&checks[i].Every, &checks[i].Has} {
			if *k == string(id) {
				*k = string(of.ID)
			}
		}
	}
	if !slices.Equal(checks, d.Project.OwnChecks) {
		c.Do = append(c.Do, edit.Set(edit.Ref{Type: edit.TypeProject}, "ownChecks", checks))
	}
	c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeKind, ID: id}))
	if len(c.Do) > edit.MaxPrimitives {
		return Change{}, fmt.Errorf("too many entities are of kind %s to change them in one step", k.Name)
	}
	return c, nil
}

// reshared lets settings that list a kind with odds list another one.
func reshared(d *document.Document, from, to document.ID) (do []edit.Primitive) {
	d.References(func(r document.Reference) {
		if r.As != document.AsSetting || r.To != (document.Object{Type: document.TypeKind, ID: from}) {
			return
		}
		e := d.Entity(r.By.Map, r.By.ID)
		if document.ID(e.Kind) == from {
			return // it becomes another itself, and what does not fit went
		}
		shares := d.Value(e, r.Setting).Shares()
		for i := range shares {
			if shares[i].Of == string(from) {
				shares[i].Of = string(to)
			}
		}
		next, _ := withValue(e.Values, r.Setting, kind.Of(shares), "")
		do = append(do, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: r.By.Map, ID: e.ID}, "values", next))
	})
	return do
}

// PinKind lets a kind be offered first, or no longer.
func PinKind(d *document.Document, id document.ID, pinned bool) (Change, error) {
	k := d.Kind(id)
	if k == nil {
		return Change{}, errors.New("the kind is no longer there")
	}
	next := slices.DeleteFunc(append([]document.ID{}, d.Project.Pins...), func(o document.ID) bool { return o == id })
	text := "Offered " + k.Name + " in its place"
	if pinned {
		next, text = append(next, id), "Offered "+k.Name+" first"
	}
	return changed(text, edit.Set(edit.Ref{Type: edit.TypeProject}, "pins", next)), nil
}

// KindUse is how many entities of a kind stand on a map.
type KindUse struct {
	Map   document.ID `json:"map"`
	Name  string      `json:"name"`
	Count int         `json:"count"`
	// First is one of them, to be shown.
	First document.ID `json:"first"`
}

// KindUses counts the entities of a kind by map, and names what the counts break.
func KindUses(d *document.Document, id document.ID) (uses []KindUse, wrong []string) {
	uses, wrong = []KindUse{}, []string{}
	k := d.Kind(id)
	if k == nil {
		return uses, wrong
	}
	sum := 0
	for _, m := range d.MapsInOrder() {
		u := KindUse{Map: m.ID, Name: m.Name}
		for _, e := range m.Entities.All() {
			if document.ID(e.Kind) == id {
				if u.Count++; u.First == "" {
					u.First = e.ID
				}
			}
		}
		sum += u.Count
		if u.Count > 0 {
			uses = append(uses, u)
		}
		if !m.Template && (u.Count < k.MapLeast || k.MapMost > 0 && u.Count > k.MapMost) {
			wrong = append(wrong, fmt.Sprintf("%s has %d; it is to have %s.", m.Name, u.Count, Between(k.MapLeast, k.MapMost)))
		}
	}
	if sum < k.ProjectLeast || k.ProjectMost > 0 && sum > k.ProjectMost {
		wrong = append(wrong, fmt.Sprintf("The project has %d; it is to have %s.", sum, Between(k.ProjectLeast, k.ProjectMost)))
	}
	return uses, wrong
}

// Between says how many there are to be; 0 as the most is no limit.
func Between(least, most int) string {
	switch {
	case most == 0:
		return fmt.Sprintf("at least %d", least)
	case least == 0:
		return fmt.Sprintf("at most %d", most)
	}
	return fmt.Sprintf("%d to %d", least, most)
}
