// Package rules shows rules as sentences and tells which of them answer a happening.
package rules

import (
	"azzel/core/document"
	"fmt"
)

// Word is a part of a rule's sentence. Slot names what would be changed by
// pressing it; plain words have none. Missing marks a name that refers to nothing.
type Word struct {
	Text    string `json:"text"`
	Slot    string `json:"slot,omitempty"`
	Missing bool   `json:"missing,omitempty"`
}

// Sentence says a rule in words: When …, if …, then ….
func Sentence(d *document.Document, r *document.Rule) []Word {
	var out []Word
	say := func(text string) { out = append(out, Word{Text: text}) }
	slot := func(slot, text string, missing bool) { out = append(out, Word{text, slot, missing}) }
	say("When the hero")
	switch r.When.On {
	case document.WhenUse:
		slot("when.on", "uses", false)
	case document.WhenTake:
		slot("when.on", "takes", false)
	default:
		slot("when.on", "arrives on", false)
	}
	if r.When.On == document.WhenArrive {
		m := d.Maps.Get(r.When.Map)
		if m == nil {
			slot("when.what", "a map that was removed", true)
		} else {
			slot("when.what", m.Name, false)
		}
	} else {
		text, missing := entityName(d, r.When.Map, r.When.Entity, "")
		slot("when.what", text, missing)
	}
	for i, c := range r.If {
		if i == 0 {
			say(", if")
		} else {
			say("and")
		}
		text, missing := flagName(d, c.Flag)
		slot("if."+string(c.ID)+".flag", text, missing)
		if c.Is {
			slot("if."+string(c.ID)+".is", "is set", false)
		} else {
			slot("if."+string(c.ID)+".is", "is not set", false)
		}
	}
	say(", then")
	for i, s := range r.Then {
		if i > 0 {
			say(", and")
		}
		at := "then." + string(s.ID)
		switch s.Do {
		case document.DoOpen:
			slot(at+".do", "open", false)
			text, missing := entityName(d, s.Map, s.Entity, r.When.Map)
			slot(at+".what", text, missing)
		case document.DoSet:
			slot(at+".do", setWord(s.To), false)
			text, missing := flagName(d, s.Flag)
			slot(at+".what", text, missing)
		case document.DoSay:
			slot(at+".do", "say", false)
			slot(at+".text", fmt.Sprintf("“%s”", s.Text), s.Text == "")
		}
	}
	if len(r.Then) == 0 {
		slot("then", "do nothing yet", true)
	}
	if r.Once {
		say(",")
		slot("once", "once", false)
	} else {
		say(",")
		slot("once", "each time", false)
	}
	return out
}

func setWord(to bool) string {
	if to {
		return "set"
	}
	return "clear"
}

func entityName(d *document.Document, m, id document.ID, here document.ID) (string, bool) {
	where := d.Maps.Get(m)
	if where == nil {
		return "something on a map that was removed", true
	}
	e := where.Entities.Get(id)
	if e == nil {
		return "something that was removed", true
	}
	if m == here {
		return e.Name, false
	}
	return e.Name + " on " + where.Name, false
}

func flagName(d *document.Document, id document.ID) (string, bool) {
	if f := d.Flags.Get(id); f != nil {
		return f.Name, false
	}
	return "a flag that was removed", true
}

// Answers reports whether a rule waits for a happening: on, at an entity of a map.
func Answers(r *document.Rule, on string, m, entity document.ID) bool {
	return r.When.On == on && r.When.Map == m && (on == document.WhenArrive || r.When.Entity == entity)
}
