package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"slices"
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
	c := changed("New rule", edit.InsertRule(r))
	c.Made = r.ID
	return c, nil
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
	if w.Part == "" {
		return changeWhole(d, r, w)
	}
	p := r.Parts.Get(w.Part)
	ref := edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: w.Part}
	switch {
	case p == nil:
		return Change{}, errPartGone
	case w.Remove:
		return changed("Removed a part of a rule", removeParts(r, r.Whole(p))...), nil
	case w.Off != nil && *w.Off == p.Off:
		return Change{}, errLikeThat
	case w.Off != nil:
		return changed(map[bool]string{true: "Switched off a part of a rule", false: "Switched on a part of a rule"}[*w.Off], edit.Set(ref, "off", *w.Off)), nil
	case w.Move:
		return movePart(r, p, w)
	case w.Copy:
		return copyPart(r, p)
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
		// what has no place in what it is now goes
		for _, q := range r.InOrder() {
			if q.Parent == p.ID && !standsIn(&next, q) {
				c.Do = append(c.Do, removeParts(r, r.Whole(q))...)
			}
		}
	}
	if !slices.Equal(next.Blanks, p.Blanks) {
		c.Do = append(c.Do, edit.Set(ref, "blanks", next.Blanks))
	}
	if len(c.Do) == 0 {
		return Change{}, errLikeThat
	}
	return c, rules.Check(&next)
}

var errLikeThat = errors.New("the rule is like that already")

// changeWhole changes what is the rule's and no part's, or adds a part.
func changeWhole(d *document.Document, r *document.Rule, w rules.Wish) (Change, error) {
	ref := edit.Ref{Type: edit.TypeRule, ID: r.ID}
	set := func(text, field string, is, wanted bool) (Change, error) {
		if is == wanted {
			return Change{}, errLikeThat
		}
		return changed(text, edit.Set(ref, field, wanted)), nil
	}
	switch {
	case w.Once != nil:
		return set("Changed a rule", "once", r.Once, *w.Once)
	case w.Off != nil:
		return set(map[bool]string{true: "Switched off a rule", false: "Switched on a rule"}[*w.Off], "off", r.Off, *w.Off)
	case w.Copy:
		return AddRule(d, r.Copied())
	case w.Name != nil:
		name := strings.TrimSpace(*w.Name)
		if name == r.Name {
			return Change{}, errLikeThat
		}
		next := *r
		next.Name = name
		return changed("Named a rule", edit.Set(ref, "name", name)), next.Check()
	}
	return addPart(d, r, w)
}

func removeParts(r *document.Rule, all []*document.RulePart) (do []edit.Primitive) {
	for _, p := range all {
		do = append(do, edit.Remove(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}))
	}
	return do
}

// standsIn reports whether a part has a place in another one, by their words.
func standsIn(in, p *document.RulePart) bool {
	e, of := rules.Find(in.Word), rules.Find(p.Word)
	return e != nil && of != nil && slices.Contains(e.Holds, p.Slot) && (of.Within == "" && in.Word != rules.WordAsk || of.Within == in.Word)
}

// place finds the order of a part that comes before another one in a slot, or behind all where that is empty, and
// numbers the others afresh where there is no room.
func place(r *document.Rule, parent document.ID, slot string, before document.ID) (order int, renumbered []edit.Primitive) {
	all := r.Under(parent, slot)
	at := slices.IndexFunc(all, func(p *document.RulePart) bool { return p.ID == before })
	switch {
	case at < 0 && len(all) == 0:
		return orderStep, nil
	case at < 0:
		return all[len(all)-1].Order + orderStep, nil
	}
	last := 0
	if at > 0 {
		last = all[at-1].Order
	}
	if gap := all[at].Order - last; gap > 1 {
		return last + gap/2, nil
	}
	for i, p := range all {
		to := (i + 1) * orderStep
		if i >= at {
			to += orderStep
		}
		if to != p.Order {
			renumbered = append(renumbered, edit.Set(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}, "order", to))
		}
	}
	return (at + 1) * orderStep, renumbered
}

// checkPlace finds why a part cannot stand in a slot of another one, or of the rule.
func checkPlace(r *document.Rule, p *document.RulePart, parent document.ID, slot string, high int) error {
	e := rules.Find(p.Word)
	if parent == "" {
		if e != nil && e.Within != "" {
			return errors.New("an answer stands only in a question")
		}
		return nil
	}
	in := r.Parts.Get(parent)
	if in == nil {
		return errPartGone
	}
	moved := *p
	moved.Slot = slot
	if !standsIn(in, &moved) {
		return errors.New("that has no place there")
	}
	if r.Deep(in)+high > document.MaxDeep {
		return fmt.Errorf("parts stand in one another at most %d deep: let another rule do the rest, by a signal", document.MaxDeep)
	}
	return nil
}

// movePart puts a part elsewhere in its rule, with all that stands in it.
func movePart(r *document.Rule, p *document.RulePart, w rules.Wish) (Change, error) {
	ref := edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}
	slot := w.Slot
	if slot == "" {
		slot = p.Slot
	}
	acts := func(slot string) bool { return slot == document.SlotThen || slot == document.SlotOtherwise }
	whole := r.Whole(p)
	high := 0
	for _, q := range whole {
		if q.ID == w.Parent || q.ID == w.Before {
			return Change{}, errors.New("a part cannot stand in itself")
		}
		high = max(high, r.Deep(q)-r.Deep(p)+1)
	}
	if slot != p.Slot && !(acts(slot) && acts(p.Slot)) {
		return Change{}, errors.New("that has no place there")
	}
	if err := checkPlace(r, p, w.Parent, slot, high); err != nil {
		return Change{}, err
	}
	order, renumbered := place(r, w.Parent, slot, w.Before)
	c := changed("Moved a part of a rule", renumbered...)
	if slot != p.Slot {
		c.Do = append(c.Do, edit.Set(ref, "slot", slot))
	}
	if w.Parent != p.Parent {
		c.Do = append(c.Do, edit.Set(ref, "parent", w.Parent))
	}
	c.Do = append(c.Do, edit.Set(ref, "order", order))
	return c, nil
}

// copyPart puts another part like one behind it.
func copyPart(r *document.Rule, p *document.RulePart) (Change, error) {
	whole := r.Whole(p)
	if r.Parts.Len()+len(whole) > document.MaxParts {
		return Change{}, errManyParts
	}
	next := document.ID("")
	all := r.Under(p.Parent, p.Slot)
	if i := slices.Index(all, p); i+1 < len(all) {
		next = all[i+1].ID
	}
	order, renumbered := place(r, p.Parent, p.Slot, next)
	c := changed("Copied a part of a rule", renumbered...)
	for _, q := range document.CopiedParts(whole) {
		if q.Parent == p.Parent {
			q.Order, c.Made = order, q.ID
		}
		c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: q.ID}, q))
	}
	return c, nil
}

var errManyParts = fmt.Errorf("a rule has at most %d parts: make another one for the rest", document.MaxParts)

// addPart puts a part behind the others of its slot; a question begins with two answers.
func addPart(d *document.Document, r *document.Rule, w rules.Wish) (Change, error) {
	e := rules.Find(w.Word)
	if e == nil {
		return Change{}, fmt.Errorf("there is no word “%.40s” for rules", w.Word)
	}
	if r.Parts.Len()+3 > document.MaxParts {
		return Change{}, errManyParts
	}
	p := document.RulePart{ID: document.NewID(), Parent: w.Parent, Slot: e.Slot, Word: e.Word}
	if w.Slot != "" {
		p.Slot = w.Slot
	}
	if err := checkPlace(r, &p, w.Parent, p.Slot, 1); err != nil {
		return Change{}, err
	}
	if in := r.Parts.Get(w.Parent); e.Word == rules.WordAnswer && in != nil && len(r.Under(in.ID, document.SlotThen)) >= document.MaxAnswers {
		return Change{}, fmt.Errorf("a question has at most %d answers", document.MaxAnswers)
	}
	c := changed("Changed a rule")
	var renumbered []edit.Primitive
	p.Order, renumbered = place(r, w.Parent, p.Slot, w.Before)
	c.Do = append(c.Do, renumbered...)
	if err := fill(d, r, &p, w, &c); err != nil {
		return Change{}, err
	}
	add := func(p document.RulePart) {
		c.Do = append(c.Do, edit.Insert(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}, p))
	}
	add(p)
	if e.Word == rules.WordAsk {
		for i, text := range []string{"Yes", "No"} {
			a := rules.Part(rules.WordAnswer, kind.Of(text))
			a.Parent, a.Order = p.ID, (i+1)*orderStep
			add(a)
		}
	}
	c.Made = p.ID
	return c, rules.Check(&p)
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

// AddCounter makes a counter that starts with nothing.
func AddCounter(name string) (Change, error) {
	o := document.Counter{ID: document.NewID(), Name: name}
	if err := o.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New counter "+o.Name, edit.Insert(edit.Ref{Type: edit.TypeCounter, ID: o.ID}, o))
	c.Made = o.ID
	return c, nil
}
