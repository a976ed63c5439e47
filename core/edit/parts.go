package edit

import (
	"azzel/core/document"
	"encoding/json"
	"errors"
	"fmt"
)

// slot is the parts in a slot of a rule, as a list: so format 1 had them as a field.
func (a *applier) slot(rule document.ID, slot string) (json.RawMessage, error) {
	r := a.w.doc.Rules.Get(rule)
	if r == nil {
		return nil, errors.New("the rule is no longer there")
	}
	return JSON(append([]*document.RulePart{}, r.In(slot)...)), nil
}

// writeSlot sets the parts in a slot of a rule, if may, told what they are, does not say otherwise.
func (a *applier) writeSlot(p *Primitive, may func(was json.RawMessage) bool) (c change, err error) {
	if c.was, err = a.slot(p.Ref.ID, p.Field); err != nil {
		return c, err
	}
	if may != nil && !may(c.was) {
		c.kept = true
		return c, nil
	}
	if err = a.setSlot(p.Ref.ID, p.Field, p.Value); err == nil {
		c.now, err = a.slot(p.Ref.ID, p.Field)
	}
	return c, err
}

// setSlot puts other parts into a slot of a rule.
func (a *applier) setSlot(rule document.ID, slot string, value json.RawMessage) error {
	var parts []*document.RulePart
	if err := document.Strict(value, &parts); err != nil {
		return fmt.Errorf("the value of “%s” is not of its type", slot)
	}
	if c := (&document.Content{Parts: parts}); !c.Whole() {
		return fmt.Errorf("a rule has at most %d parts, and none of them is missing", document.MaxParts)
	}
	r := a.w.doc.Rules.Get(rule)
	if r == nil {
		return errors.New("the rule is no longer there")
	}
	now := r.Parts
	for _, p := range r.In(slot) {
		now = now.Without(p.ID)
	}
	for _, p := range parts {
		if now.Get(p.ID) != nil || p.Slot != slot || p.Parent != "" {
			return errors.New("a part of the rule stands somewhere else already")
		}
		now = now.With(p.ID, p)
	}
	if now.Len() > document.MaxParts {
		return fmt.Errorf("a rule has at most %d parts", document.MaxParts)
	}
	a.w.editRule(rule, func(r *document.Rule) { r.Parts = now })
	return nil
}

func partsOf(all []*document.RulePart) (t document.Table[document.RulePart]) {
	for _, p := range all {
		t = t.With(p.ID, p)
	}
	return t
}

// sameContent reports whether what an object holds is what it held when it was
// inserted. Only of rules that is told: what maps and layers hold keeps them.
func sameContent(now, was *document.Content) bool {
	if now == nil || was == nil {
		return now == was
	}
	return len(now.Layers)+len(now.Entities)+len(was.Layers)+len(was.Entities) == 0 && sameJSON(JSON(partsOf(now.Parts).All()), JSON(partsOf(was.Parts).All()))
}

func (w *working) editRule(id document.ID, change func(*document.Rule)) {
	if r := w.doc.Rules.Get(id); r != nil {
		next := *r
		change(&next)
		w.doc.Rules = w.doc.Rules.With(id, &next)
	}
}
