package session

import (
	"azzel/core/author"
	"azzel/core/document"
	"azzel/core/grid"
	"azzel/core/kind"
	"azzel/core/play"
	"errors"
	"slices"
)

// onEntities makes a method from a function about entities of a map.
func onEntities[A any](f func(d *document.Document, m *document.Map, ids []document.ID, a A) (author.Change, error)) method {
	return with(func(s *Session, a struct {
		Map document.ID   `json:"map"`
		IDs []document.ID `json:"ids"`
		Do  A             `json:"do"`
	}) (Outcome, error) {
		return s.authored(onMap(s.doc(), a.Map, func(m *document.Map) (author.Change, error) { return f(s.doc(), m, a.IDs, a.Do) }))
	})
}

type settingArgs struct {
	Key string `json:"key"`
	// Value is what a person wrote, nil to put back what the kind or the project says.
	Value *string `json:"value"`
}

// shownTicks is how long the motion of an entity is shown before it begins anew.
const shownTicks = 10 * play.TicksPerSecond

func init() {
	if !designs {
		return
	}
	register(map[string]method{
		"moveEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.MoveEntities(m, a.IDs, a.DX, a.DY) })
		}),
		"removeEntities": authored(func(d *document.Document, a entitiesArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.RemoveEntities(d, m, a.IDs) })
		}),
		"copyEntities": with((*Session).copyEntities),
		"setSetting": onEntities(func(d *document.Document, m *document.Map, ids []document.ID, a settingArgs) (author.Change, error) {
			return author.SetSetting(d, m, ids, a.Key, a.Value)
		}),
		"setField": onEntities(func(d *document.Document, m *document.Map, ids []document.ID, a struct {
			Field string `json:"field"`
			Value any    `json:"value"`
		}) (author.Change, error) {
			return author.SetField(d, m, ids, a.Field, a.Value)
		}),
		"arrange": onEntities(func(_ *document.Document, m *document.Map, ids []document.ID, how string) (author.Change, error) {
			return author.Arrange(m, ids, how)
		}),
		"toFront": onEntities(func(_ *document.Document, m *document.Map, ids []document.ID, front bool) (author.Change, error) {
			return author.ToFront(m, ids, front)
		}),
		"group": onEntities(func(_ *document.Document, m *document.Map, ids []document.ID, name string) (author.Change, error) {
			return author.GroupEntities(m, ids, name)
		}),
		"turnEntities": onEntities(author.TurnEntities),
		"resizeEntity": onEntities(func(d *document.Document, m *document.Map, ids []document.ID, box grid.Rect) (author.Change, error) {
			if len(ids) != 1 {
				return author.Change{}, errors.New("one entity is resized at a time")
			}
			return author.ResizeEntity(d, m, ids[0], box)
		}),
		"setPoints": onEntities(func(d *document.Document, m *document.Map, ids []document.ID, points []grid.Point) (author.Change, error) {
			if len(ids) != 1 {
				return author.Change{}, errors.New("one path is changed at a time")
			}
			return author.SetPoints(d, m, ids[0], points)
		}),
		"renameGroup": authored(func(d *document.Document, a struct {
			Map  document.ID `json:"map"`
			From string      `json:"from"`
			To   string      `json:"to"`
		}) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.RenameGroup(m, a.From, a.To) })
		}),
		"thinPiles": authored(func(d *document.Document, a mapArgs) (author.Change, error) {
			return onMap(d, a.Map, func(m *document.Map) (author.Change, error) { return author.ThinPiles(d, m) })
		}),
		"grouped": with(func(s *Session, a entitiesArgs) ([]document.ID, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return m.Grouped(a.IDs), nil
		}),
		"alike": with(func(s *Session, a struct {
			entitiesArgs
			By string `json:"by"`
		}) ([]document.ID, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			return s.doc().Alike(m, a.IDs, a.By), nil
		}),
		"details":   with((*Session).details),
		"behaviour": with((*Session).behaviour),
		"motion": with(func(s *Session, a struct {
			Map document.ID `json:"map"`
			ID  document.ID `json:"id"`
		}) ([]play.Pose, error) {
			if _, err := s.mapOf(a.Map); err != nil {
				return nil, err
			}
			st := s.stage()
			return append([]play.Pose{}, play.Motion(st, st.ThingOf(a.Map, a.ID), shownTicks)...), nil
		}),
		"uses": with(func(s *Session, a entitiesArgs) ([]document.Use, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return nil, err
			}
			ids := map[document.ID]bool{}
			for _, id := range a.IDs {
				ids[id] = true
			}
			return s.doc().Uses(m, ids), nil
		}),
		"stand": with(func(s *Session, a struct {
			Map document.ID `json:"map"`
			At  grid.Point  `json:"at"`
			// Kind is the hero that is held.
			Kind document.ID `json:"kind"`
		}) (play.Standing, error) {
			m, err := s.mapOf(a.Map)
			if err != nil {
				return play.Standing{}, err
			}
			if k := s.doc().Kind(a.Kind); k == nil || k.Acts() != kind.Hero {
				a.Kind = s.doc().HeroKind() // a spawn is held
			}
			return play.Stand(s.stage(), s.stage().Ground(s.stage().MapOf(m.ID)), a.Kind, a.At), nil
		}),
		"pages": with(func(_ *Session, text string) (play.Pages, error) { return play.PagesOf(text), nil }),

		"addVariant": authored(func(d *document.Document, a struct {
			From document.ID `json:"from"`
			Name string      `json:"name"`
		}) (author.Change, error) {
			return author.AddVariant(d, a.From, a.Name)
		}),
		"addKind": authored(func(d *document.Document, a struct {
			From document.ID `json:"from"`
			Name string      `json:"name"`
		}) (author.Change, error) {
			return author.AddKind(d, a.From, a.Name)
		}),
		"changeKind": authored(author.ChangeKind),
		"cutFigures": authored(author.CutFigures),
		"removeKind": authored(func(d *document.Document, id document.ID) (author.Change, error) { return author.RemoveKind(d, id) }),
		"pinKind": authored(func(d *document.Document, a struct {
			ID     document.ID `json:"id"`
			Pinned bool        `json:"pinned"`
		}) (author.Change, error) {
			return author.PinKind(d, a.ID, a.Pinned)
		}),
		"kindUses": with(func(s *Session, id document.ID) (KindUses, error) {
			uses, wrong := author.KindUses(s.doc(), id)
			return KindUses{append([]author.KindUse{}, uses...), append([]string{}, wrong...)}, nil
		}),
	})
}

// KindUses is where a kind is used, and what is wrong with how many of it there are.
type KindUses struct {
	Uses  []author.KindUse `json:"uses"`
	Wrong []string         `json:"wrong"`
}

// Detail is a setting as it stands for what is selected.
type Detail struct {
	Key     string        `json:"key"`
	Name    string        `json:"name"`
	Type    string        `json:"type"`
	Choices []kind.Choice `json:"choices"`
	Unit    string        `json:"unit"`
	Help    string        `json:"help"`
	Handle  string        `json:"handle"`
	// Value is that of all that is selected, as a person writes it, or the key of a choice
	// or an entity; Mixed tells that it differs among them.
	Value string `json:"value"`
	Mixed bool   `json:"mixed"`
	// Differs tells that it is not what the kind says.
	Differs bool `json:"differs"`
	// Zero says what 0 means; Group is the heading under which a setting of maps stands.
	Zero  string `json:"zero"`
	Group string `json:"group"`
	// Shared is how many of what is selected have it.
	Shared int `json:"shared"`
}

func detailOf(s *kind.Setting, value string) Detail {
	return Detail{Key: s.Key, Name: s.Name, Type: s.Type, Choices: append([]kind.Choice{}, s.Choices...), Unit: s.Unit, Help: s.Help, Handle: s.Handle, Zero: s.Zero, Value: value, Shared: 1}
}

// details lists the settings of what is selected, those that all have first.
func (s *Session) details(a entitiesArgs) (zero []Detail, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	out := []Detail{}
	at := map[string]int{}
	matters := map[string]bool{}
	add := func(set *kind.Setting, value string, own bool, times int, does bool) {
		matters[set.Key] = matters[set.Key] || does || own
		i, ok := at[set.Key]
		if !ok {
			at[set.Key] = len(out)
			d := detailOf(set, value)
			d.Differs, d.Shared = own, times
			out = append(out, d)
			return
		}
		d := &out[i]
		d.Mixed = d.Mixed || d.Value != value || d.Type != set.Type
		d.Differs = d.Differs || own
		d.Shared += times
	}
	// those that differ in nothing from their kind are all alike
	plain := map[string]int{}
	var kinds []string
	for _, id := range a.IDs {
		e := m.Entities.Get(id)
		if e == nil {
			continue
		}
		if len(e.Values) == 0 {
			if plain[e.Kind]++; plain[e.Kind] == 1 {
				kinds = append(kinds, e.Kind)
			}
			continue
		}
		if k := s.doc().Kind(document.ID(e.Kind)); k != nil {
			for i := range k.Settings {
				set := &k.Settings[i]
				does := k.Matters(set.Key, func(key string) kind.Datum { return s.doc().Value(e, key) })
				add(set, s.shown(set, s.doc().Value(e, set.Key)), e.Own(set.Key), 1, does)
			}
		}
	}
	for _, of := range kinds {
		if k := s.doc().Kind(document.ID(of)); k != nil {
			for i := range k.Settings {
				does := k.Matters(k.Settings[i].Key, func(key string) kind.Datum { return s.doc().Value(&document.Entity{Kind: of}, key) })
				add(&k.Settings[i], s.shown(&k.Settings[i], k.Settings[i].Default), false, plain[of], does)
			}
		}
	}
	// what does nothing as the others are comes when it does
	return slices.DeleteFunc(out, func(d Detail) bool { return !matters[d.Key] }), nil
}

// shown is a value as a person reads it: kinds are called by their names.
func (s *Session) shown(set *kind.Setting, value kind.Datum) string {
	if set.Type == kind.Shares {
		all := value.Shares()
		for i := range all {
			if k := s.doc().Kind(document.ID(all[i].Of)); k != nil {
				all[i].Of = k.Name
			}
		}
		value = kind.Of(append([]kind.Share{}, all...))
	}
	return set.Text(value)
}

func (s *Session) behaviour(a entitiesArgs) (zero []play.Trace, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	out := []play.Trace{}
	for _, id := range a.IDs {
		if e := m.Entities.Get(id); e != nil {
			out = append(out, play.Behaviour(s.doc(), s.plane(), m, e)...)
		}
	}
	return out, nil
}

type copyArgs struct {
	// Entities are copied onto Map; they may come from another map or tab.
	Map      document.ID        `json:"map"`
	Entities []*document.Entity `json:"entities"`
	DX       int                `json:"dx"`
	DY       int                `json:"dy"`
}

func (s *Session) copyEntities(a copyArgs) (zero Outcome, err error) {
	m, err := s.mapOf(a.Map)
	if err != nil {
		return zero, err
	}
	for _, e := range a.Entities {
		if e == nil || e.Check() != nil {
			return zero, errors.New("what is on the clipboard is not an entity")
		}
	}
	c, ids, err := author.CopyEntities(s.doc(), m, a.Entities, a.DX, a.DY)
	if err != nil {
		return zero, err
	}
	o, err := s.make(c.Do, c.Label)
	o.Ids = ids
	return o, err
}
