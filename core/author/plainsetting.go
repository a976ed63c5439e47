package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"errors"
	"fmt"
	"slices"
	"strings"
)

// PlainSetting is a setting as a person writes it: its default as text, its choices as
// words, its range in the setting's unit.
type PlainSetting struct {
	// Key is empty for one that is new.
	Key     string   `json:"key"`
	Name    string   `json:"name"`
	Type    string   `json:"type"`
	Default string   `json:"default"`
	Choices []string `json:"choices"`
	Unit    string   `json:"unit"`
	Help    string   `json:"help"`
	Least   int      `json:"least"`
	Most    int      `json:"most"`
	Handle  string   `json:"handle"`
	// Varies tells that it changes in play: a flag or a counter of each entity's own.
	Varies bool `json:"varies"`
	// Group is the heading under which a setting of a kind stands; Idle tells that it does nothing, as the
	// others are. Both are told only.
	Group string `json:"group"`
	Idle  bool   `json:"idle"`
	// Given tells that it comes with the kind that a kind behaves as: only its default
	// can be changed.
	Given bool `json:"given"`
}

// Plain is a setting as a person reads it.
func Plain(s *kind.Setting, given bool) PlainSetting {
	p := PlainSetting{Key: s.Key, Name: s.Name, Type: s.Type, Default: s.Text(s.Default), Choices: []string{},
		Unit: s.Unit, Help: s.Help, Least: s.Least / s.Scale(), Most: s.Most / s.Scale(), Handle: s.Handle, Varies: s.Varies, Given: given}
	for _, c := range s.Choices {
		p.Choices = append(p.Choices, c.Name)
		if kind.Of(c.Key) == s.Default {
			p.Default = c.Name
		}
	}
	return p
}

// settingsOf reads settings as a person wrote them; those that have a key keep what
// is not written, and given ones only take another default.
func settingsOf(all []PlainSetting, old []kind.Setting) ([]kind.Setting, error) {
	var out []kind.Setting
	keys := map[string]bool{}
	for _, p := range all {
		keys[p.Key] = true
	}
	for i, p := range all {
		if p.Key == "" && p.Name == "" {
			p.Name = unnamed("Setting", i, func(name string) bool {
				return slices.ContainsFunc(all, func(o PlainSetting) bool { return strings.EqualFold(o.Name, name) }) ||
					slices.ContainsFunc(out, func(o kind.Setting) bool { return strings.EqualFold(o.Name, name) })
			})
		}
		was := kind.Keyed(old, p.Key)
		s := kind.Setting{Key: p.Key, Name: strings.TrimSpace(p.Name), Type: p.Type, Unit: p.Unit, Help: p.Help, Handle: p.Handle, Varies: p.Varies}
		s.Least, s.Most = p.Least*s.Scale(), p.Most*s.Scale()
		if p.Given && was != nil {
			s = *was
		} else {
			s.Choices = choicesOf(p.Choices, was)
		}
		if s.Key == "" {
			for s.Key = s.Name; keys[s.Key]; {
				s.Key += "+"
			}
			keys[s.Key] = true
		}
		if err := s.Named(); err != nil {
			return nil, err
		}
		var err error
		if s.Default, err = s.Read(p.Default); err != nil {
			return nil, err
		}
		out = append(out, s)
	}
	return out, nil
}

// unnamed is the name of something new that stands at a place in a list: the first
// number from there on that is free.
func unnamed(word string, at int, taken func(string) bool) string {
	for n := at + 1; ; n++ {
		if name := fmt.Sprint(word, " ", n); !taken(name) {
			return name
		}
	}
}

// namedProperties gives those without a name one that is free.
func namedProperties(all []document.Property) []document.Property {
	out := slices.Clone(all)
	for i := range out {
		if out[i].Name == "" {
			out[i].Name = unnamed("Property", i, func(name string) bool {
				return slices.ContainsFunc(out, func(o document.Property) bool { return strings.EqualFold(o.Name, name) })
			})
		}
	}
	return out
}

// choicesOf gives words their keys: those that they had, or themselves.
func choicesOf(words []string, was *kind.Setting) (out []kind.Choice) {
	for _, word := range words {
		c := kind.Choice{Key: word, Name: word}
		if was != nil {
			if i := slices.IndexFunc(was.Choices, func(o kind.Choice) bool { return o.Name == word }); i >= 0 {
				c = was.Choices[i]
			}
		}
		out = append(out, c)
	}
	return out
}

// SetMapProperties sets what maps have of the designer's own.
func SetMapProperties(d *document.Document, all []PlainSetting) (Change, error) {
	next, err := settingsOf(all, d.Project.MapProperties)
	if err != nil {
		return Change{}, err
	}
	probe := *d.Project
	probe.MapProperties = next
	if err := probe.Check(); err != nil {
		return Change{}, err
	}
	if string(edit.JSON(next)) == string(edit.JSON(d.Project.MapProperties)) {
		return Change{}, errors.New("they are like that already")
	}
	return changed("Changed the settings of maps", edit.Set(edit.Ref{Type: edit.TypeProject}, "mapProperties", next)), nil
}

// PlainKind is a kind whose settings are as a person writes them.
type PlainKind struct {
	kind.Kind
	Settings []PlainSetting `json:"settings"`
	// Own tells that the designer made it, Free that it is put where the press is, not
	// in the cell; both are told only.
	Own  bool `json:"own"`
	Free bool `json:"free"`
	// Makeable kinds are what sources can make: told only.
	Makeable bool `json:"makeable"`
	// Variants are the ready-made ones of a built-in kind: told only.
	Variants []PlainVariant `json:"variants"`
}

// PlainVariant is a ready-made kind.
type PlainVariant struct {
	Name string `json:"name"`
	Help string `json:"help"`
}

// PlainKindOf is a kind as a person reads it.
func PlainKindOf(k *kind.Kind) PlainKind {
	out := PlainKind{Kind: *k, Settings: []PlainSetting{}, Own: !k.BuiltIn(), Free: k.StandsFreely(), Makeable: kind.Makeable(k), Variants: []PlainVariant{}}
	for _, v := range kind.Variants(string(k.ID)) {
		out.Variants = append(out.Variants, PlainVariant{v.Name, v.Help})
	}
	of := kind.Find(document.ID(k.Acts()))
	is := func(key string) kind.Datum {
		if s := k.Setting(key); s != nil {
			return s.Default
		}
		return ""
	}
	for i := range k.Settings {
		s := &k.Settings[i]
		p := Plain(s, of != nil && of.Setting(s.Key) != nil)
		p.Group, p.Idle = k.Group(s.Key), !k.Matters(s.Key, is)
		out.Settings = append(out.Settings, p)
	}
	return out
}

// whole reads a kind as a person wrote it, on top of what it was.
func (p PlainKind) whole(old *kind.Kind) (*kind.Kind, error) {
	out := p.Kind
	var err error
	if out.Settings, err = settingsOf(p.Settings, old.Settings); err != nil {
		return nil, err
	}
	for _, s := range out.Settings {
		if b := kind.Find(out.Of); b != nil && b.Setting(s.Key) == nil && slices.ContainsFunc(b.Settings, func(o kind.Setting) bool { return strings.EqualFold(o.Name, s.Name) }) {
			return nil, fmt.Errorf("there are two settings called %s: give one another name", s.Name)
		}
	}
	return &out, nil
}
