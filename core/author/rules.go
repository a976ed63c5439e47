package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"strings"
)

var errRuleGone = errors.New("the rule is no longer there")

// AddRule puts a rule behind the others.
func AddRule(d *document.Document, r document.Rule) (Change, error) {
	r.ID, r.Order = document.NewID(), orderStep
	for _, o := range d.RulesInOrder() {
		r.Order = o.Order + orderStep
	}
	if err := r.Check(); err != nil {
		return Change{}, err
	}
	for _, p := range r.Parts.All() {
		if err := rules.Check(p); err != nil {
			return Change{}, err
		}
	}
	c := changed("New rule", insertRule(r))
	c.Made = r.ID
	return c, nil
}

// insertRule inserts a rule with its parts.
func insertRule(r document.Rule) edit.Primitive {
	p := edit.Insert(edit.Ref{Type: edit.TypeRule, ID: r.ID}, r)
	if r.Parts.Len() > 0 {
		p.Content = &document.Content{Parts: r.Parts.All()}
	}
	return p
}

// StartRule makes a rule that waits for what can happen at an entity, or for an
// arrival on the map where there is none.
func StartRule(d *document.Document, at document.End) (Change, error) {
	if d.Maps.Get(at.Map) == nil {
		return Change{}, errors.New("the map is no longer there")
	}
	if at.Entity == "" {
		return AddRule(d, rules.Of(rules.Arrive(at.Map)))
	}
	e := d.Entity(at.Map, at.Entity)
	if e == nil {
		return Change{}, errors.New("it is no longer there")
	}
	k := d.Kind(document.ID(e.Kind))
	if k == nil || k.Wakes == "" {
		return Change{}, fmt.Errorf("nothing happens at %s that a rule could wait for", e.Name)
	}
	return AddRule(d, rules.Of(rules.Part(k.Wakes, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))))
}

// ChangeRule changes a rule in one way.
func ChangeRule(d *document.Document, w rules.Wish) (Change, error) {
	r := d.Rules.Get(w.Rule)
	if r == nil {
		return Change{}, errRuleGone
	}
	if w.Once != nil {
		if *w.Once == r.Once {
			return Change{}, errors.New("the rule is like that already")
		}
		return changed("Changed a rule", edit.Set(edit.Ref{Type: edit.TypeRule, ID: r.ID}, "once", *w.Once)), nil
	}
	if w.Part == "" {
		return addPart(d, r, w)
	}
	p := r.Parts.Get(w.Part)
	ref := edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: w.Part}
	switch {
	case p == nil:
		return Change{}, errors.New("this part of the rule is no longer there")
	case w.Remove:
		c := changed("Removed a part of a rule")
		for _, o := range r.InOrder() {
			if o == p || o.Parent == p.ID {
				c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: o.ID}))
			}
		}
		return c, nil
	}
	next := *p
	if w.Word != "" {
		next.Word = w.Word
	}
	c := changed("Changed a rule")
	if err := fill(d, r, &next, w, &c); err != nil {
		return Change{}, err
	}
	if next.Word != p.Word {
		c.Do = append(c.Do, edit.Set(ref, "word", next.Word))
	}
	if !slices.Equal(next.Blanks, p.Blanks) {
		c.Do = append(c.Do, edit.Set(ref, "blanks", next.Blanks))
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the rule is like that already")
	}
	return c, rules.Check(&next)
}

// addPart puts a part behind the others of its slot.
func addPart(d *document.Document, r *document.Rule, w rules.Wish) (Change, error) {
	e := rules.Find(w.Word)
	if e == nil {
		return Change{}, fmt.Errorf("there is no word “%.40s” for rules", w.Word)
	}
	if r.Parts.Len() >= document.MaxParts {
		return Change{}, fmt.Errorf("a rule has at most %d parts: make another one for the rest", document.MaxParts)
	}
	p := document.RulePart{ID: document.NewID(), Slot: e.Slot, Word: e.Word, Order: orderStep}
	if w.Slot != "" {
		p.Slot = w.Slot
	}
	for _, o := range r.In(p.Slot) {
		p.Order = o.Order + orderStep
	}
	c := changed("Changed a rule")
	if err := fill(d, r, &p, w, &c); err != nil {
		return Change{}, err
	}
	c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}, p))
	c.Made = p.ID
	return c, rules.Check(&p)
}

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
			value = wished(b, w)
			if w.NewFlag {
				made, err := AddFlag("Flag 1")
				if err != nil {
					return err
				}
				c.Do = append(c.Do, made.Do...)
				value = document.Naming(document.Object{Type: document.TypeFlag, ID: made.Made})
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
		case b.Type == rules.BlankEntity:
			if b.Lack != "" {
				return fmt.Errorf("there is no %s yet: %s", b.Wants, b.Lack)
			}
			return fmt.Errorf("there is no %s yet: place one on a map first", b.Wants)
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
func wished(b *rules.Blank, w rules.Wish) kind.Datum {
	switch b.Type {
	case rules.BlankNumber:
		if w.Text != nil {
			if n, err := strconv.Atoi(strings.TrimSpace(*w.Text)); err == nil {
				return kind.Of(n)
			}
			return kind.Of(*w.Text) // which is no number, and refused so
		}
		return ""
	case rules.BlankText, rules.BlankItem, rules.BlankOwnFlag, rules.BlankOwnCounter:
		if w.Text != nil {
			return kind.Of(*w.Text)
		}
		return ""
	case rules.BlankFlag:
		return document.Naming(document.Object{Type: document.TypeFlag, ID: w.Flag})
	case rules.BlankMap:
		return document.Naming(document.Object{Type: document.TypeMap, ID: w.Map})
	}
	return document.Naming(document.Object{Type: document.TypeEntity, Map: w.Map, ID: w.Entity})
}

// fitsBlank reports whether what a blank says is of its type, and there, and of a kind
// that it takes.
func fitsBlank(d *document.Document, b *rules.Blank, value, what kind.Datum) bool {
	switch b.Type {
	case rules.BlankText:
		return value != "" && value == kind.Of(value.Word())
	case rules.BlankNumber:
		return value != "" && value == kind.Of(value.Thousandths()/1000)
	case rules.BlankItem:
		return slices.Contains(rules.Items(d, b.Keys), value.Word())
	case rules.BlankOwnFlag, rules.BlankOwnCounter:
		return slices.ContainsFunc(b.OwnChoices(d, what), func(s kind.Setting) bool { return s.Key == value.Word() })
	}
	o, ok := document.Named(value)
	if !ok || o.Type != b.Type {
		return false
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

// AddFlag makes a flag.
func AddFlag(name string) (Change, error) {
	f := document.Flag{ID: document.NewID(), Name: name}
	if err := f.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New flag "+f.Name, edit.Insert(edit.Ref{Type: edit.TypeFlag, ID: f.ID}, f))
	c.Made = f.ID
	return c, nil
}
