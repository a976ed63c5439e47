package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
	"strconv"
	"strings"
)

// expected is what could stand at a place of a text: a word, or something of a blank.
type expected struct {
	word  string
	blank *Blank
	part  *document.RulePart
}

// attempt is how far a line was understood as one word of the vocabulary.
type attempt struct {
	entry  *Entry
	blanks []kind.Value
	// at is how many of its tokens were understood, wants what was to come there.
	at    int
	wants expected
	// left are the words and blanks of its pattern that are still to come.
	left []piece
	// unknown is a name that nothing has, at a token; the rest of the line was understood.
	unknown string
	badly   int
	// lost is the blank that it was to fill.
	lost  *Blank
	whole bool
}

// matcher understands the tokens of a line as words of the vocabulary.
type matcher struct {
	doc    *document.Document
	tokens []token
}

// says reports whether the words of a pattern are among the tokens, in their order: a line is nothing else that lacks one.
func (m *matcher) says(e *Entry) bool {
	at := 0
	for i, p := range e.pieces {
		if p.blank != "" {
			continue
		}
		for at < len(m.tokens) && (m.tokens[at].low != p.low) {
			if at++; i == 0 {
				return false // it begins with it
			}
		}
		if at++; at > len(m.tokens) {
			return false
		}
	}
	return true
}

// match tries one word.
func (m *matcher) match(e *Entry, slot string) attempt {
	if first := e.pieces[0]; first.blank == "" && (len(m.tokens) == 0 || m.tokens[0].low != first.low) {
		return attempt{entry: e, wants: expected{word: first.word}, left: e.pieces}
	}
	best := attempt{entry: e, at: -1}
	p := document.RulePart{Slot: slot, Word: e.Word}
	m.pieces(e, p, e.pieces, 0, nil, attempt{entry: e, badly: -1}, &best)
	return best
}

// better tells which of two attempts understood more.
func better(a, b attempt) bool {
	rank := func(t attempt) int {
		switch {
		case t.whole && t.unknown == "":
			return 2
		case t.whole:
			return 1
		}
		return 0
	}
	if rank(a) != rank(b) {
		return rank(a) > rank(b)
	}
	return a.at > b.at
}

func (m *matcher) pieces(e *Entry, p document.RulePart, left []piece, at int, late []*Blank, so attempt, best *attempt) {
	end := func(wants expected, whole bool) {
		so.at, so.wants, so.whole, so.blanks, so.left = at, wants, whole, p.Blanks, left
		if !whole && so.unknown != "" {
			// what is called by no name may be a word that is written otherwise
			so.at, so.wants = so.badly, expected{blank: so.lost}
		}
		if better(so, *best) {
			*best = so
		}
	}
	if len(left) == 0 {
		// what is something's own is found when it is known whose
		for _, b := range late {
			if value, ok := ownCalled(m.doc, b, p.Blank("what"), p.Blank(b.Key).Word()); ok {
				p.Blanks = slices.Clone(p.Blanks)
				p.Blanks[slices.IndexFunc(p.Blanks, func(v kind.Value) bool { return v.Key == b.Key })].Value = value
			}
		}
		p.Blanks = inOrder(e, p.Blanks)
		end(expected{}, at == len(m.tokens))
		return
	}
	next := left[0]
	if next.blank == "" {
		if at < len(m.tokens) && m.tokens[at].low == next.low {
			m.pieces(e, p, left[1:], at+1, late, so, best)
			return
		}
		end(expected{word: next.word}, false)
		return
	}
	b := e.Blank(next.blank)
	if at == len(m.tokens) {
		part := p
		end(expected{blank: b, part: &part}, false)
		return
	}
	found := false
	for _, r := range m.read(b, p.Slot, at) {
		found = true
		q, then, more := p, so, late
		q.Blanks = append(slices.Clone(p.Blanks), kind.Value{Key: b.Key, Value: r.value})
		if r.unknown != "" && then.badly < 0 {
			then.unknown, then.badly, then.lost = r.unknown, r.bad, b
		}
		if r.late {
			more = append(slices.Clone(late), b)
		}
		m.pieces(e, q, left[1:], r.to, more, then, best)
	}
	if !found {
		part := p
		end(expected{blank: b, part: &part}, false)
	}
}

// inOrder are the values of blanks in the order in which a word declares them.
func inOrder(e *Entry, values []kind.Value) (out []kind.Value) {
	for _, b := range e.Blanks {
		for _, v := range values {
			if v.Key == b.Key {
				out = append(out, v)
			}
		}
	}
	return out
}

// reading is one way of understanding tokens as what fills a blank.
type reading struct {
	value kind.Datum
	to    int
	// unknown is a name that nothing has; late is one that is looked for when all is known.
	unknown string
	bad     int // the token that is the name
	late    bool
}

// read gives the ways in which tokens from one on fill a blank, the likelier first.
func (m *matcher) read(b *Blank, slot string, at int) []reading {
	t := m.tokens[at]
	if t.is == tokenNote || t.open {
		return nil
	}
	plain := t.is == tokenQuoted || t.is == tokenWord && !reserved[t.low]
	one := func(value kind.Datum) []reading { return []reading{{value: value, to: at + 1}} }
	unknown := []reading{{value: "0", to: at + 1, unknown: t.text, bad: at}}
	switch b.Type {
	case BlankText:
		if t.is == tokenQuoted {
			return one(kind.Of(t.text))
		}
		return nil
	case BlankChoice:
		if t.is == tokenWord && slices.Contains(b.Of, t.low) {
			return one(kind.Of(t.low))
		}
		return nil
	case BlankSignal, BlankItem:
		if plain || t.is == tokenNumber {
			return one(kind.Of(t.text))
		}
		return nil
	case BlankOwnFlag, BlankOwnCounter, BlankGuise:
		if plain || t.is == tokenNumber {
			return []reading{{value: kind.Of(t.text), to: at + 1, late: true}}
		}
		return nil
	case BlankNumber:
		switch {
		case t.is == tokenNumber:
			n, err := strconv.ParseInt(strings.Replace(t.text, "−", "-", 1), 10, 64)
			if err != nil || max(n, -n) > document.MaxNumber {
				return unknown
			}
			return one(kind.Of(n))
		case t.is == tokenID:
			return one(valueOf(document.TypeCounter, "", document.ID(t.text)))
		case plain:
			return m.oneOf(document.TypeCounter, countersCalled(m.doc, t.text), at)
		}
		return nil
	case BlankEntity:
		return m.entity(b, slot, at)
	case BlankLayer:
		return m.onMap(document.TypeLayer, at, layersCalled(m.doc, t.text))
	}
	typ := map[string]string{BlankMap: document.TypeMap, BlankFlag: document.TypeFlag, BlankCounter: document.TypeCounter, BlankKind: document.TypeKind, BlankSound: document.TypeSound}[b.Type]
	if t.is == tokenID {
		return one(valueOf(typ, "", document.ID(t.text)))
	}
	if b.Tags && at+1 < len(m.tokens) && t.low == textThing && m.tokens[at+1].low == textTagged {
		return slices.DeleteFunc(m.several(slot, at+1), func(r reading) bool {
			o, _ := document.Named(r.value)
			return o.Type != document.TypeTag
		})
	}
	if !plain {
		return nil
	}
	called := map[string]func(*document.Document, string) []document.ID{BlankMap: mapsCalled, BlankFlag: flagsCalled, BlankCounter: countersCalled, BlankKind: kindsCalled, BlankSound: soundsCalled}[b.Type]
	return m.oneOf(typ, called(m.doc, t.text), at)
}

// oneOf is the first of objects that have the name of a token.
func (m *matcher) oneOf(typ string, all []document.ID, at int) []reading {
	if len(all) == 0 {
		return []reading{{value: "0", to: at + 1, unknown: m.tokens[at].text, bad: at}}
	}
	return []reading{{value: valueOf(typ, "", all[0]), to: at + 1}}
}

// entity reads an entity, all of a kind, it, or the hero.
func (m *matcher) entity(b *Blank, slot string, at int) (out []reading) {
	t := m.tokens[at]
	if b.Hero && at+1 < len(m.tokens) && t.low != "" && m.tokens[at+1].low != "" && t.low+" "+m.tokens[at+1].low == textHero {
		return []reading{{value: valueOf(document.TypeHero, "", ""), to: at + 2}}
	}
	if t.is == tokenWord {
		switch word := t.low; {
		case word == textWho && b.Hero && slot != document.SlotWhen:
			return []reading{{value: valueOf(document.TypeWho, "", ""), to: at + 1}}
		case word == textIt && slot != document.SlotWhen:
			return []reading{{value: valueOf(document.TypeIt, "", ""), to: at + 1}}
		case word == textAny || word == textEvery:
			if at+1 == len(m.tokens) {
				return nil
			}
			k := m.tokens[at+1]
			if k.is == tokenID {
				return []reading{{value: valueOf(document.TypeKind, "", document.ID(k.text)), to: at + 2}}
			}
			return m.oneOf(document.TypeKind, kindsCalled(m.doc, k.text), at+1)
		case (word == textAnything || word == textEverything) && at+1 < len(m.tokens):
			return m.several(slot, at+1)
		}
	}
	return m.onMap(document.TypeEntity, at, entitiesCalled(m.doc, t.text))
}

// several reads what all things are that are meant: tagged so, or in an area.
func (m *matcher) several(slot string, at int) (out []reading) {
	t := m.tokens[at]
	if t.is != tokenWord || at+1 >= len(m.tokens) {
		return nil
	}
	switch word := t.low; {
	case word == textTagged:
		if tag := m.tokens[at+1]; tag.is == tokenWord || tag.is == tokenQuoted {
			return []reading{{value: valueOf(document.TypeTag, "", document.ID(tag.text)), to: at + 2}}
		}
	case word == textIn && slot != document.SlotWhen:
		for _, r := range m.onMap(document.TypeEntity, at+1, entitiesCalled(m.doc, m.tokens[at+1].text)) {
			if o, ok := document.Named(r.value); ok {
				r.value = valueOf(document.TypeWithin, o.Map, o.ID)
			}
			out = append(out, r)
		}
	}
	return out
}

// onMap reads what lies on a map, of all that are called so: by its id, by its name alone, or with that of the map.
func (m *matcher) onMap(typ string, at int, all []document.Object) (out []reading) {
	t := m.tokens[at]
	if t.is == tokenID {
		on, id, _ := strings.Cut(t.text, ".")
		return []reading{{value: valueOf(typ, document.ID(on), document.ID(id)), to: at + 1}}
	}
	if t.is != tokenQuoted && (t.is != tokenWord || reserved[t.low]) {
		return nil
	}
	if at+2 < len(m.tokens) && m.tokens[at+1].low == textOn {
		on := m.tokens[at+2]
		if on.is == tokenQuoted || on.is == tokenWord && !reserved[on.low] {
			maps := mapsCalled(m.doc, on.text)
			r := reading{value: "0", to: at + 3, unknown: t.text, bad: at}
			if len(maps) == 0 {
				r.unknown, r.bad = on.text, at+2
			} else if i := slices.IndexFunc(all, func(o document.Object) bool { return o.Map == maps[0] }); i >= 0 {
				r = reading{value: document.Naming(all[i]), to: at + 3}
			}
			out = append(out, r)
		}
	}
	if len(all) == 0 {
		return append(out, reading{value: "0", to: at + 1, unknown: t.text, bad: at})
	}
	return append(out, reading{value: document.Naming(all[0]), to: at + 1})
}

// ownCalled is the key of what something has of its own and calls so.
func ownCalled(d *document.Document, b *Blank, what kind.Datum, name string) (kind.Datum, bool) {
	all := b.OwnChoices(d, what)
	for _, by := range []func(kind.Setting) bool{func(s kind.Setting) bool { return s.Name == name }, func(s kind.Setting) bool { return s.Key == name }} {
		if i := slices.IndexFunc(all, by); i >= 0 {
			return kind.Of(all[i].Key), true
		}
	}
	return "", false
}
