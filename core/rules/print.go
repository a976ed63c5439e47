package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"fmt"
	"strings"
)

// Print writes a rule as text: what wakes it, what it asks and does, a part a line, with what stands in a part below it,
// farther in. Parse reads it again.
func Print(d *document.Document, r *document.Rule) string {
	w := printer{doc: d, rule: r}
	head := []string{textRule}
	if r.Name != "" {
		head = append(head, quote(r.Name))
	}
	if r.Once {
		head = append(head, textOnce)
	}
	if r.Off {
		head = append(head, textOff)
	}
	if len(head) > 1 {
		w.line(0, strings.Join(head, " "))
	}
	for _, slot := range document.Slots {
		all := r.In(slot)
		if len(all) == 0 && slot != document.SlotWhen && slot != document.SlotThen {
			continue
		}
		w.line(0, slot)
		w.parts(all, 1)
	}
	return w.out.String()
}

// PrintPart writes a part with what stands in it, below the word of where it stands in its rule.
func PrintPart(d *document.Document, r *document.Rule, p *document.RulePart) string {
	w := printer{doc: d, rule: r}
	w.line(0, p.Slot)
	w.part(p, 1)
	return w.out.String()
}

type printer struct {
	doc  *document.Document
	rule *document.Rule
	out  strings.Builder
}

func (w *printer) line(deep int, text string) {
	w.out.WriteString(strings.Repeat("\t", deep))
	w.out.WriteString(text)
	w.out.WriteByte('\n')
}

func (w *printer) parts(all []*document.RulePart, deep int) {
	for _, p := range all {
		w.part(p, deep)
	}
}

func (w *printer) part(p *document.RulePart, deep int) {
	e := Find(p.Word)
	if e == nil {
		return // another version's; it stays where it is
	}
	text := printedPart(w.doc, p, e)
	if p.Off {
		text = textOff + " " + text
	}
	w.line(deep, text)
	if deep > document.MaxDeep {
		return
	}
	for i, slot := range e.Holds {
		all := w.rule.Under(p.ID, slot)
		if i > 0 && (len(all) > 0 || slot == document.SlotThen) {
			w.line(deep, slot)
		}
		w.parts(all, deep+1)
	}
}

// printedPart is a part by itself.
func printedPart(d *document.Document, p *document.RulePart, e *Entry) string {
	if text := p.Blank("text").Word(); e.Word == WordNote && text != "" && text == strings.TrimSpace(text) && !strings.ContainsAny(text, "\n\r") {
		return "# " + text
	}
	var words []string
	for _, x := range e.pieces {
		if x.blank == "" {
			words = append(words, x.word)
		} else {
			words = append(words, printedBlank(d, p, e.Blank(x.blank)))
		}
	}
	return strings.Join(words, " ")
}

func printedBlank(d *document.Document, p *document.RulePart, b *Blank) string {
	value := p.Blank(b.Key)
	o, isNamed := document.Named(value)
	switch b.Type {
	case BlankText:
		return quote(value.Word())
	case BlankSignal, BlankItem:
		return named(value.Word())
	case BlankChoice:
		return value.Word()
	case BlankOwnFlag, BlankOwnCounter, BlankGuise:
		for _, own := range b.OwnChoices(d, p.Blank("what")) {
			if own.Key == value.Word() {
				return named(own.Name)
			}
		}
		return named(value.Word())
	case BlankNumber:
		if !isNamed {
			return fmt.Sprint(value.Thousandths() / 1000)
		}
	}
	return printedName(d, p, o, b.Type)
}

// NameOf is how the text of a rule names an object.
func NameOf(d *document.Document, o document.Object) string {
	typ := BlankEntity
	if o.Type == document.TypeKind {
		typ = BlankKind
	}
	return printedName(d, &document.RulePart{}, o, typ)
}

// printedName is what a blank names, so that it is found again: by its map where its name alone would not do, by its id
// where it has gone or shares its name.
func printedName(d *document.Document, p *document.RulePart, o document.Object, typ string) string {
	one := func(name string, alike []document.ID) string {
		if name == "" || len(alike) > 1 {
			return "@" + string(o.ID)
		}
		return named(name)
	}
	switch o.Type {
	case document.TypeIt:
		return textIt
	case document.TypeHero:
		return textHero
	case document.TypeWho:
		return textWho
	case document.TypeKind:
		name := ""
		if k := d.Kind(o.ID); k != nil {
			name = k.Name
		}
		text := one(name, kindsCalled(d, name))
		if typ != BlankKind {
			text = everyOf(p) + " " + text
		}
		return text
	case document.TypeTag:
		if typ == BlankKind {
			return textThing + " " + textTagged + " " + named(string(o.ID))
		}
		return everyOf(p) + textThing + " " + textTagged + " " + named(string(o.ID))
	case document.TypeWithin:
		return everyOf(p) + textThing + " " + textIn + " " + printedName(d, p, document.Object{Type: document.TypeEntity, Map: o.Map, ID: o.ID}, typ)
	case document.TypeFlag:
		name := ""
		if f := d.Flags.Get(o.ID); f != nil {
			name = f.Name
		}
		return one(name, flagsCalled(d, name))
	case document.TypeSound:
		name := ""
		if s := d.Sounds.Get(o.ID); s != nil {
			name = s.Name
		}
		return one(name, soundsCalled(d, name))
	case document.TypeCounter:
		name := ""
		if c := d.Counters.Get(o.ID); c != nil {
			name = c.Name
		}
		return one(name, countersCalled(d, name))
	case document.TypeMap:
		name := ""
		if m := d.Maps.Get(o.ID); m != nil {
			name = m.Name
		}
		return one(name, mapsCalled(d, name))
	}
	m := d.Maps.Get(o.Map)
	name, all := "", []document.Object(nil)
	if o.Type == document.TypeLayer {
		if m != nil && m.Layers.Get(o.ID) != nil {
			name = m.Layers.Get(o.ID).Name
		}
		all = layersCalled(d, name)
	} else if e := d.Entity(o.Map, o.ID); e != nil {
		name, all = e.Name, entitiesCalled(d, e.Name)
	}
	alike := 0
	for _, one := range all {
		if one.Map == o.Map {
			alike++
		}
	}
	switch {
	case m == nil || name == "" || alike != 1:
	case len(all) == 1:
		return named(name)
	case len(mapsCalled(d, m.Name)) == 1:
		return named(name) + " " + textOn + " " + named(m.Name)
	}
	return "@" + string(o.Map) + "." + string(o.ID)
}

// valueOf is the value of a blank that names an object.
func valueOf(typ string, m, id document.ID) kind.Datum {
	return document.Naming(document.Object{Type: typ, Map: m, ID: id})
}
