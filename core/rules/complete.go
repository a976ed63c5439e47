package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
	"strings"
)

// Completion is what could be written at a place of a rule's text.
type Completion struct {
	// Insert is written from character From of the line (from 0) to where one is.
	Insert string `json:"insert"`
	From   int    `json:"from"`
	// Label is how it is offered, Detail what it is.
	Label  string `json:"label"`
	Detail string `json:"detail"`
}

// maxOffered is how many completions are offered.
const maxOffered = 200

// Complete lists what could be written in a line of a text, both counted from 1, at a character of it.
func Complete(d *document.Document, text string, line, at int) []Completion {
	raw := strings.Split(text, "\n")
	if line < 1 || line > len(raw) {
		return []Completion{}
	}
	chars := []rune(raw[line-1])
	chars = chars[:max(0, min(at-1, len(chars)))]
	c := completer{doc: d, out: []Completion{}, from: len(chars)}
	tokens := tokensOf(chars, 0)
	if n := len(tokens); n > 0 && tokens[n-1].to == len(chars) {
		// what is being written is offered whole
		c.from, c.begun = tokens[n-1].from, strings.ToLower(tokens[n-1].text)
		if tokens[n-1].is == tokenNote || tokens[n-1].is == tokenQuoted && !tokens[n-1].open {
			return c.out
		}
		tokens = tokens[:n-1]
	}
	slot, within := placeOf(lex(strings.Join(append(raw[:line-1:line-1], string(chars)+"x"), "\n")))
	if len(tokens) == 0 {
		for _, word := range document.Slots {
			c.add(word, "a heading")
		}
	}
	if slot == "" {
		return c.out
	}
	if len(tokens) > 0 && tokens[0].is == tokenWord && strings.EqualFold(tokens[0].text, textOff) {
		tokens = tokens[1:]
	}
	for _, a := range attempts(d, tokens, slot, within) {
		if a.at == len(tokens) && !a.whole {
			c.offer(a)
		}
	}
	slices.SortStableFunc(c.out, func(a, b Completion) int {
		return begins(b.Label, c.begun) - begins(a.Label, c.begun)
	})
	return c.out[:min(len(c.out), maxOffered)]
}

func begins(label, with string) int {
	if strings.HasPrefix(strings.ToLower(label), with) {
		return 1
	}
	return 0
}

type completer struct {
	doc   *document.Document
	from  int
	begun string
	out   []Completion
}

// add offers something that what was begun could become.
func (c *completer) add(insert, detail string) {
	label := strings.Trim(insert, `"`)
	if strings.EqualFold(strings.Trim(label, " "), strings.TrimLeft(c.begun, `"`)) && c.begun != "" {
		return // it stands there already, and Enter is to begin a new line
	}
	if c.begun != "" && !strings.Contains(strings.ToLower(label), strings.TrimLeft(c.begun, `"`)) ||
		slices.ContainsFunc(c.out, func(o Completion) bool { return o.Insert == insert }) {
		return
	}
	c.out = append(c.out, Completion{Insert: insert, From: c.from, Label: label, Detail: detail})
}

// offer offers what comes next in a line that is begun.
func (c *completer) offer(a attempt) {
	if b := a.wants.blank; b != nil {
		c.blank(a, b)
		return
	}
	// all words up to the next blank
	var words []string
	for _, p := range a.left {
		if p.blank != "" {
			c.add(strings.Join(words, " ")+" ", a.entry.Label)
			return
		}
		words = append(words, p.word)
	}
	c.add(strings.Join(words, " "), a.entry.Label)
}

func (c *completer) blank(a attempt, b *Blank) {
	p := a.wants.part
	switch b.Type {
	case BlankText:
		c.add(quote(b.First), b.called())
	case BlankSignal:
		for _, word := range Signals(c.doc) {
			c.add(named(word), "a signal")
		}
		c.add(named(b.First), "a signal")
	case BlankNumber:
		c.add("1", "a number")
		for _, o := range c.doc.CountersByName() {
			c.add(named(o.Name), "a counter")
		}
	case BlankChoice:
		for _, word := range b.Of {
			c.add(word, b.called())
		}
	case BlankItem:
		for _, word := range Items(c.doc, b.Keys) {
			c.add(named(word), "an item")
		}
	case BlankGuise:
		for _, s := range b.OwnChoices(c.doc, p.Blank("what")) {
			c.add(named(s.Name), "a guise")
		}
	case BlankOwnFlag, BlankOwnCounter:
		for _, k := range c.doc.KindsInOrder() {
			for _, s := range ownOf(k, ownType(b)) {
				c.add(named(s.Name), "of "+k.Name)
			}
		}
	case BlankFlag:
		for _, f := range c.doc.FlagsByName() {
			c.add(named(f.Name), "a flag")
		}
	case BlankSound:
		for _, o := range c.doc.SoundsByName() {
			c.add(named(o.Name), "a sound")
		}
	case BlankCounter:
		for _, o := range c.doc.CountersByName() {
			c.add(named(o.Name), "a counter")
		}
	case BlankMap:
		for _, m := range c.doc.MapsInOrder() {
			c.add(named(m.Name), "a map")
		}
	case BlankLayer:
		for _, m := range c.doc.MapsInOrder() {
			for _, l := range laidLayers(m) {
				c.add(printedName(c.doc, p, document.Object{Type: document.TypeLayer, Map: m.ID, ID: l.ID}, BlankLayer), "on "+m.Name)
			}
		}
	case BlankKind:
		for _, k := range used(c.doc, b) {
			c.add(named(k.Name), "a kind")
			for _, tag := range k.Tags {
				if b.Tags {
					c.add(textThing+" "+textTagged+" "+named(tag), "all that are tagged so")
				}
			}
		}
	case BlankEntity:
		if b.Hero {
			c.add(textHero, "who is led")
			if p.Slot != document.SlotWhen {
				c.add(textWho, "who did what woke the rule")
			}
		}
		if p.Slot != document.SlotWhen {
			c.add(textIt, "what woke the rule")
		}
		for _, k := range used(c.doc, b) {
			c.add(everyOf(p)+" "+named(k.Name), "all of a kind")
			for _, tag := range k.Tags {
				c.add(everyOf(p)+textThing+" "+textTagged+" "+named(tag), "all with a tag")
			}
		}
		fits := fitting(c.doc, b)
		for _, m := range c.doc.MapsInOrder() {
			m.Entities.Each(func(e *document.Entity) {
				if c.doc.Acts(e) == kind.Sensor && b.Key == "what" && p.Slot != document.SlotWhen && len(c.out) <= maxOffered {
					c.add(everyOf(p)+"thing "+textIn+" "+printedName(c.doc, p, document.Object{Type: document.TypeEntity, Map: m.ID, ID: e.ID}, BlankEntity), "all that is there")
				}
				if fits[document.ID(e.Kind)] && len(c.out) <= maxOffered {
					c.add(printedName(c.doc, p, document.Object{Type: document.TypeEntity, Map: m.ID, ID: e.ID}, BlankEntity), "on "+m.Name)
				}
			})
		}
	}
}

// placeOf is the slot in which the last line of a text stands, and the word in which it stands that allows only some.
func placeOf(lines []textLine) (slot, within string) {
	type level struct {
		indent       int
		slot, within string
	}
	var open []level
	for i, l := range lines {
		for len(open) > 0 && open[len(open)-1].indent >= l.indent {
			open = open[:len(open)-1]
		}
		slot, within = "", ""
		if len(open) > 0 {
			slot, within = open[len(open)-1].slot, open[len(open)-1].within
		}
		if i == len(lines)-1 {
			return slot, within
		}
		if s := slotWord(l); s != "" {
			open = append(open, level{l.indent, s, ""})
			continue
		}
		in := level{l.indent, slot, ""}
		switch {
		case isWord(l, 0, "ask"):
			in.within = WordAsk
		case isWord(l, 0, "if") || isWord(l, 0, "as") && isWord(l, 1, "long") || isWord(l, 0, "wait") && isWord(l, 1, "until"):
			in.slot = document.SlotIf
		}
		open = append(open, in)
	}
	return "", ""
}
