package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Of is a rule of parts, in the order in which they are given.
func Of(parts ...document.RulePart) document.Rule {
	for i := range parts {
		parts[i].Order = (i + 1) * orderStep
	}
	return document.Rule{}.With(parts...)
}

const orderStep = 1 << 16

// Part is a new part of a rule with one blank filled; the word is one that there is.
func Part(word string, value kind.Datum) document.RulePart {
	e := Find(word)
	p := document.RulePart{ID: document.NewID(), Slot: e.Slot, Word: word}
	if len(e.Blanks) > 0 {
		p.Blanks = []kind.Value{{Key: e.Blanks[0].Key, Value: value}}
	}
	return p
}

// Holding puts parts into another one, which comes first, in their order.
func Holding(p document.RulePart, in ...document.RulePart) []document.RulePart {
	out := []document.RulePart{p}
	for _, q := range in {
		if q.Parent == "" {
			q.Parent = p.ID
		}
		out = append(out, q)
	}
	return out
}

func ofEntity(word string, m, e document.ID) document.RulePart {
	return Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: m, ID: e}))
}

func ofFlag(word string, flag document.ID) document.RulePart {
	return Part(word, document.Naming(document.Object{Type: document.TypeFlag, ID: flag}))
}

// Use waits for the hero to use an entity.
func Use(m, e document.ID) document.RulePart { return ofEntity(WordUse, m, e) }

// Take waits for the hero to take an entity.
func Take(m, e document.ID) document.RulePart { return ofEntity(WordTake, m, e) }

// Enter waits for somebody to come to an entity.
func Enter(m, e document.ID) document.RulePart { return ofEntity(WordEnter, m, e) }

// Arrive waits for the hero to arrive on a map.
func Arrive(m document.ID) document.RulePart {
	return Part(WordArrive, document.Naming(document.Object{Type: document.TypeMap, ID: m}))
}

// IsSet asks for a flag, and IsNotSet for its not being set.
func IsSet(flag document.ID) document.RulePart    { return ofFlag(WordIsSet, flag) }
func IsNotSet(flag document.ID) document.RulePart { return ofFlag(WordIsNotSet, flag) }

// Open opens a door.
func Open(m, e document.ID) document.RulePart { return ofEntity(WordOpen, m, e) }

// Set sets a flag, and Clear clears it.
func Set(flag document.ID) document.RulePart   { return ofFlag(WordSet, flag) }
func Clear(flag document.ID) document.RulePart { return ofFlag(WordClear, flag) }

// Say says a line.
func Say(text string) document.RulePart { return Part(WordSay, kind.Of(text)) }
