package author

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"strings"
)

// fill fills the blanks of a part as its word wants them: one as wished, others as
// they were where that still fits, else with what comes first.
func fill(d *document.Document, r *document.Rule, p *document.RulePart, w rules.Wish, c *Change) error {
	e := rules.Find(p.Word)
	if e == nil {
		return fmt.Errorf("there is no word “%.40s” for rules", p.Word)
	}
	var next []kind.Value
	for i := range e.Blanks {
		b := &e.Blanks[i]
		value := p.Blank(b.Key)
		what := kind.Datum("")
		if i > 0 {
			what = next[0].Value // comes first where there are several
		}
		if b.Key == w.Blank {
			value = wished(d, b, w)
			if w.NewFlag || w.NewCounter {
				value = "" // made below
			}
		} else if !fitsBlank(d, b, value, what) {
			value = rules.First(d, b, what, rules.Place(r))
		}
		switch {
		case value != "":
		case b.Type == rules.BlankFlag:
			made, err := AddFlag("Flag 1")
			if err != nil {
				return err
			}
			c.Do = append(c.Do, made.Do...)
			value = document.Naming(document.Object{Type: document.TypeFlag, ID: made.Made})
		case b.Type == rules.BlankCounter:
			made, err := AddCounter("Counter 1")
			if err != nil {
				return err
			}
			c.Do = append(c.Do, made.Do...)
			value = document.Naming(document.Object{Type: document.TypeCounter, ID: made.Made})
		case b.Type == rules.BlankKind:
			return errors.New("there is nothing on a map yet: place something first")
		case b.Type == rules.BlankEntity:
			if b.Lack != "" {
				return fmt.Errorf("there is no %s yet: %s", b.Wants, b.Lack)
			}
			return fmt.Errorf("there is no %s yet: place one on a map first", b.Wants)
		case b.Type == rules.BlankSound:
			return errors.New("there is no sound of yours yet: bring one in under Game first")
		case b.Type == rules.BlankLayer:
			return errors.New("there is no layer to lay yet: add one to a map first")
		case b.Type == rules.BlankItem:
			return errors.New("there is no item yet: place one on a map first")
		default:
			return errors.New("there is no map yet: make one first")
		}
		next = append(next, kind.Value{Key: b.Key, Value: value})
	}
	p.Blanks = next
	return nil
}

// wished is what a wish fills a blank with.
func wished(d *document.Document, b *rules.Blank, w rules.Wish) kind.Datum {
	named := func(typ string, id document.ID) kind.Datum {
		return document.Naming(document.Object{Type: typ, ID: id})
	}
	switch b.Type {
	case rules.BlankNumber:
		if w.Text == nil {
			return ""
		}
		text := strings.TrimSpace(*w.Text)
		for _, c := range d.CountersByName() {
			if strings.EqualFold(c.Name, text) {
				return named(document.TypeCounter, c.ID)
			}
		}
		if n, err := strconv.Atoi(strings.Replace(text, "−", "-", 1)); err == nil {
			return kind.Of(n)
		}
		return kind.Of(text) // which is no number, and refused so
	case rules.BlankText, rules.BlankSignal, rules.BlankItem, rules.BlankChoice, rules.BlankOwnFlag, rules.BlankOwnCounter, rules.BlankGuise:
		if w.Text != nil {
			return kind.Of(*w.Text)
		}
		return ""
	case rules.BlankFlag:
		return named(document.TypeFlag, w.Flag)
	case rules.BlankSound:
		return named(document.TypeSound, w.Sound)
	case rules.BlankCounter:
		return named(document.TypeCounter, w.Counter)
	case rules.BlankMap:
		return named(document.TypeMap, w.Map)
	case rules.BlankLayer:
		return document.Naming(document.Object{Type: document.TypeLayer, Map: w.Map, ID: w.Layer})
	}
	switch {
	case w.Kind != "":
		return named(document.TypeKind, w.Kind)
	case w.Tag != "":
		return named(document.TypeTag, document.ID(w.Tag))
	case w.Within:
		return document.Naming(document.Object{Type: document.TypeWithin, Map: w.Map, ID: w.Entity})
	case w.It:
		return named(document.TypeIt, "")
	case w.Hero:
		return named(document.TypeHero, "")
	case w.Who:
		return named(document.TypeWho, "")
	}
	return document.Naming(document.Object{Type: document.TypeEntity, Map: w.Map, ID: w.Entity})
}

// fitsBlank reports whether what a blank says is of its type, and there, and of a kind
// that it takes.
func fitsBlank(d *document.Document, b *rules.Blank, value, what kind.Datum) bool {
	switch b.Type {
	case rules.BlankText, rules.BlankSignal:
		return value != "" && value == kind.Of(value.Word())
	case rules.BlankNumber:
		if o, ok := document.Named(value); ok {
			return d.Counters.Get(o.ID) != nil
		}
		return value != "" && value == kind.Of(value.Thousandths()/1000)
	case rules.BlankChoice:
		return slices.Contains(b.Of, value.Word()) && value == kind.Of(value.Word())
	case rules.BlankItem:
		return b.Free && value.Word() != "" && value == kind.Of(value.Word()) || slices.Contains(rules.Items(d, b.Keys), value.Word())
	case rules.BlankOwnFlag, rules.BlankOwnCounter, rules.BlankGuise:
		return slices.ContainsFunc(b.OwnChoices(d, what), func(s kind.Setting) bool { return s.Key == value.Word() })
	}
	o, ok := document.Named(value)
	if ok && (b.Type == rules.BlankEntity || b.Type == rules.BlankKind) {
		switch o.Type {
		case document.TypeIt:
			return b.Type == rules.BlankEntity
		case document.TypeHero, document.TypeWho:
			return b.Hero
		case document.TypeTag:
			return b.Type == rules.BlankEntity || b.Tags
		case document.TypeWithin:
			return b.Type == rules.BlankEntity && d.Entity(o.Map, o.ID) != nil
		case document.TypeKind:
			k := d.Kind(o.ID)
			return k != nil && (b.Fits == nil || b.Fits(k))
		}
	}
	if !ok || o.Type != b.Type {
		return false
	}
	if o.Type == document.TypeLayer {
		m := d.Maps.Get(o.Map)
		return m != nil && m.Layers.Get(o.ID) != nil
	}
	if o.Type != document.TypeEntity {
		return true
	}
	e := d.Entity(o.Map, o.ID)
	if e == nil {
		return false
	}
	k := d.Kind(document.ID(e.Kind))
	return k != nil && (b.Fits == nil || b.Fits(k))
}
