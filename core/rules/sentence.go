package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"fmt"
	"slices"
	"strings"
)

// Said is a word of a rule's sentence. What can be changed by pressing it is told by
// Part and Blank: a blank of a part, its verb where Blank is empty, or without a part
// a slot or “once” of the rule. Plain words have neither.
type Said struct {
	Text  string      `json:"text"`
	Part  document.ID `json:"part,omitempty"`
	Blank string      `json:"blank,omitempty"`
	// Writes tells that it is text that is written.
	Writes bool `json:"writes,omitempty"`
	// Written is that text.
	Written string `json:"written,omitempty"`
	// Number tells that what is written is a number, Line that it is a line of text and no word; Read that the player
	// reads it.
	Number bool `json:"number,omitempty"`
	Line   bool `json:"line,omitempty"`
	Read   bool `json:"read,omitempty"`
	// Missing marks a name that refers to nothing.
	Missing bool `json:"missing,omitempty"`
}

// BlankOnce is the word of a rule that says whether it runs once.
const BlankOnce = "once"

// Sentence says a rule in words: When …, if …, then …, otherwise ….
func Sentence(d *document.Document, r *document.Rule) []Said {
	s := speaker{doc: d, rule: r}
	if when := r.In(document.SlotWhen); len(when) > 0 {
		s.parts(when[:1], "When", "")
		// names on this map need not say so once more
		if o, ok := document.Named(when[0].Blank("what")); ok {
			s.here = o.Map
			if o.Type == document.TypeMap {
				s.here = o.ID
			}
		}
		s.parts(when[1:], "or when", "or when")
	} else {
		s.say("When")
		s.out = append(s.out, Said{Text: emptySays[document.SlotWhen], Blank: document.SlotWhen, Missing: true})
	}
	s.parts(r.In(document.SlotIf), ", if", "and")
	if then := r.In(document.SlotThen); len(then) > 0 {
		s.parts(then, ", then", ", and")
	} else {
		s.say(", then")
		s.out = append(s.out, emptySaid(r, document.SlotThen, emptySays[document.SlotThen]))
	}
	s.parts(r.In(document.SlotOtherwise), ", otherwise", "and")
	s.say(",")
	once := "each time"
	if r.Once {
		once = "once"
	}
	s.out = append(s.out, Said{Text: once, Blank: BlankOnce})
	return s.out
}

type speaker struct {
	doc  *document.Document
	rule *document.Rule
	here document.ID
	out  []Said
}

// say adds plain words, to those before where these are plain as well.
func (s *speaker) say(text string) {
	if text = strings.TrimSpace(text); text == "" {
		return
	}
	if n := len(s.out) - 1; n >= 0 && s.out[n].Part == "" && s.out[n].Blank == "" {
		s.out[n].Text += " " + text
		return
	}
	s.out = append(s.out, Said{Text: text})
}

func (s *speaker) parts(all []*document.RulePart, first, next string) {
	for i, p := range all {
		if i == 0 {
			s.say(first)
		} else {
			s.say(next)
		}
		s.part(p)
		if s.rule != nil {
			s.inside(p)
		}
	}
}

// inside says what stands in a part.
func (s *speaker) inside(p *document.RulePart) {
	e := Find(p.Word)
	if e == nil {
		return
	}
	for _, slot := range e.Holds {
		all := s.rule.Under(p.ID, slot)
		if len(all) == 0 {
			continue
		}
		first := map[string]string{document.SlotIf: "–", document.SlotThen: ":", document.SlotOtherwise: ", otherwise:"}[slot]
		next := "and"
		if p.Word == WordAnyOf || p.Word == WordNoneOf {
			next = "or"
		}
		s.parts(all, first, next)
		s.say(";")
	}
}

// part says one part by the pattern of its word.
func (s *speaker) part(p *document.RulePart) {
	e := Find(p.Word)
	if e == nil {
		s.out = append(s.out, Said{Text: "something that this version does not know", Part: p.ID, Missing: true})
		return
	}
	rest := e.Pattern
	for rest != "" {
		at := strings.IndexAny(rest, "[{")
		if at < 0 {
			s.say(rest)
			return
		}
		s.say(rest[:at])
		end := at + strings.IndexAny(rest[at:], "]}")
		if inside := rest[at+1 : end]; rest[at] == '[' {
			s.out = append(s.out, Said{Text: inside, Part: p.ID})
		} else {
			s.out = append(s.out, s.blank(p, e.Blank(inside)))
		}
		rest = rest[end+1:]
	}
}

func (s *speaker) blank(p *document.RulePart, b *Blank) Said {
	out := Said{Part: p.ID, Blank: b.Key}
	value := p.Blank(b.Key)
	if b.Type == BlankText || b.Type == BlankSignal {
		text := value.Word()
		out.Text, out.Writes, out.Written, out.Missing = fmt.Sprintf("“%s”", text), true, text, text == ""
		out.Line = b.Type == BlankText
		out.Read = out.Line && p.Word != WordNote
		return out
	}
	switch b.Type {
	case BlankNumber:
		out.Text, out.Missing = s.number(value)
		out.Writes, out.Number, out.Written = true, true, out.Text
	case BlankChoice:
		out.Text = value.Word()
		out.Missing = !slices.Contains(b.Of, out.Text)
	case BlankItem:
		out.Text = value.Word()
		out.Missing = !b.Free && !slices.Contains(Items(s.doc, b.Keys), out.Text)
		if b.Free {
			out.Writes, out.Written = true, out.Text
		}
	case BlankOwnFlag, BlankOwnCounter, BlankGuise:
		out.Text, out.Missing = "something that was removed", true
		for _, own := range b.OwnChoices(s.doc, p.Blank("what")) {
			if own.Key == value.Word() {
				out.Text, out.Missing = own.Name, false
			}
		}
	default:
		out.Text, out.Missing = s.name(p, value, b.Type)
	}
	return out
}

// number is how people say a number: by itself, or the counter that it is.
func (s *speaker) number(value kind.Datum) (text string, missing bool) {
	o, named := document.Named(value)
	if !named {
		return fmt.Sprint(value.Thousandths() / 1000), false
	}
	if c := s.doc.Counters.Get(o.ID); c != nil {
		return c.Name, false
	}
	return "a counter that was removed", true
}

// name is how people call what a blank of a part names.
func (s *speaker) name(p *document.RulePart, value kind.Datum, typ string) (text string, missing bool) {
	o, _ := document.Named(value)
	switch o.Type {
	case document.TypeIt:
		return "it", false
	case document.TypeHero:
		return textHero, false
	case document.TypeWho:
		return textWho, false
	case document.TypeKind:
		name, gone := "a kind that was removed", true
		if k := s.doc.Kind(o.ID); k != nil {
			name, gone = k.Name, false
		}
		if typ == BlankKind || gone {
			return name, gone
		}
		return everyOf(p) + " " + name, false
	case document.TypeTag:
		every := everyOf(p)
		if typ == BlankKind {
			every = ""
		}
		return every + textThing + " " + textTagged + " " + string(o.ID), !slices.ContainsFunc(s.doc.KindsInOrder(), func(k *kind.Kind) bool { return s.doc.Covers(o, k.ID) })
	case document.TypeWithin:
		name, gone := "something that was removed", true
		if e := s.doc.Entity(o.Map, o.ID); e != nil {
			name, gone = e.Name, false
		}
		return everyOf(p) + textThing + " " + textIn + " " + name, gone
	}
	switch typ {
	case BlankCounter:
		return s.number(value)
	case BlankKind:
		return "a kind that was removed", true
	case BlankFlag:
		if f := s.doc.Flags.Get(o.ID); f != nil {
			return f.Name, false
		}
		return "a flag that was removed", true
	case BlankSound:
		if f := s.doc.Sounds.Get(o.ID); f != nil {
			return f.Name, false
		}
		return "a sound that was removed", true
	case BlankMap:
		if m := s.doc.Maps.Get(o.ID); m != nil {
			return m.Name, false
		}
		return "a map that was removed", true
	}
	where := s.doc.Maps.Get(o.Map)
	if where == nil {
		return "something on a map that was removed", true
	}
	if typ == BlankLayer {
		switch l := where.Layers.Get(o.ID); {
		case l == nil:
			return "a layer that was removed", true
		case o.Map == s.here:
			return l.Name, false
		default:
			return l.Name + " on " + where.Name, false
		}
	}
	e := where.Entities.Get(o.ID)
	switch {
	case e == nil:
		return "something that was removed", true
	case o.Map == s.here:
		return e.Name, false
	}
	return e.Name + " on " + where.Name, false
}

// Clause says one part of a rule as plain text.
func Clause(d *document.Document, p *document.RulePart) string {
	s := speaker{doc: d}
	if o, ok := document.Named(p.Blank("what")); ok {
		s.here = o.Map
	}
	s.part(p)
	words := make([]string, len(s.out))
	for i, said := range s.out {
		words[i] = said.Text
	}
	return strings.Join(words, " ")
}

// Place is the map that a rule is about: where it waits for something first; empty for none.
func Place(r *document.Rule) document.ID {
	for _, p := range r.In(document.SlotWhen) {
		if o, ok := document.Named(p.Blank("what")); ok {
			if o.Type == document.TypeMap {
				return o.ID
			}
			if o.Map != "" {
				return o.Map
			}
		}
	}
	return ""
}
