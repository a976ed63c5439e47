package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"errors"
	"fmt"
)

// AddRule puts a rule behind the others. Steps and conditions get their ids.
func AddRule(d *document.Document, r document.Rule) (Change, error) {
	r.ID, r.Order = document.NewID(), orderStep
	for _, o := range d.RulesInOrder() {
		r.Order = o.Order + orderStep
	}
	WithIDs(&r)
	if err := r.Check(); err != nil {
		return Change{}, err
	}
	c := changed("New rule", edit.Insert(edit.Ref{Type: edit.TypeRule, ID: r.ID}, r))
	c.Made = r.ID
	return c, nil
}

// WithIDs gives ids to the steps and conditions of a rule that lack one.
func WithIDs(r *document.Rule) {
	if r.If == nil {
		r.If = []document.Condition{}
	}
	if r.Then == nil {
		r.Then = []document.Step{}
	}
	for i := range r.If {
		if r.If[i].ID == "" {
			r.If[i].ID = document.NewID()
		}
	}
	for i := range r.Then {
		if r.Then[i].ID == "" {
			r.Then[i].ID = document.NewID()
		}
	}
}

// ChangeRule writes what differs between a rule as it is and as it should be.
func ChangeRule(old *document.Rule, next document.Rule) (Change, error) {
	next.ID = old.ID
	WithIDs(&next)
	if err := next.Check(); err != nil {
		return Change{}, err
	}
	c := changed("Changed a rule")
	for _, field := range []string{"order", "when", "if", "then", "once", "note"} {
		a, err := document.Field(old, field)
		if err != nil {
			return Change{}, err
		}
		b, err := document.Field(&next, field)
		if err != nil {
			return Change{}, err
		}
		if string(a) != string(b) {
			c.Do = append(c.Do, edit.Primitive{Op: edit.OpSet, Ref: edit.Ref{Type: edit.TypeRule, ID: old.ID}, Field: field, Value: b})
		}
	}
	if len(c.Do) == 0 {
		return Change{}, errors.New("the rule is like that already")
	}
	return c, nil
}

// Wire makes the rule that a wire from a switch to a door stands for: when the
// hero uses the switch, the door opens.
func Wire(d *document.Document, from, to document.End) (Change, error) {
	a, b := d.Entity(from.Map, from.Entity), d.Entity(to.Map, to.Entity)
	if a == nil || b == nil || d.Acts(a) != document.KindSwitch || d.Acts(b) != document.KindDoor {
		return Change{}, errors.New("a wire leads from a switch to a door")
	}
	for _, w := range Wires(d) {
		if w.From == from && w.To == to {
			return Change{}, fmt.Errorf("%s opens %s already", a.Name, b.Name)
		}
	}
	c, err := AddRule(d, document.Rule{
		When: document.When{On: document.WhenUse, Map: from.Map, Entity: from.Entity},
		Then: []document.Step{{Do: document.DoOpen, Map: to.Map, Entity: to.Entity}},
	})
	c.Label.Text = clip(fmt.Sprintf("%s opens %s", a.Name, b.Name))
	return c, err
}

// Drawn is a rule seen as a wire from what it waits for to a door that it opens.
type Drawn struct {
	Rule document.ID  `json:"rule"`
	From document.End `json:"from"`
	To   document.End `json:"to"`
}

// Wires lists every way from an entity to a door that a rule opens.
func Wires(d *document.Document) []Drawn {
	var out []Drawn
	for _, r := range d.RulesInOrder() {
		if r.When.Entity == "" {
			continue
		}
		for _, s := range r.Then {
			if s.Do == document.DoOpen {
				out = append(out, Drawn{r.ID, document.End{Map: r.When.Map, Entity: r.When.Entity}, document.End{Map: s.Map, Entity: s.Entity}})
			}
		}
	}
	return out
}
