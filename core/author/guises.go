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
)

// AddGuise gives an entity another guise, looking as it does by itself.
func AddGuise(m *document.Map, id document.ID) (Change, error) {
	e := m.Entities.Get(id)
	if e == nil {
		return Change{}, errors.New("the entity is no longer there")
	}
	if len(e.Guises) >= document.MaxGuises {
		return Change{}, fmt.Errorf("an entity has at most %d guises", document.MaxGuises)
	}
	name := ""
	for n := 1; name == "" || slices.ContainsFunc(e.Guises, func(g document.Guise) bool { return g.Name == name }); n++ {
		name = fmt.Sprintf("Guise %d", n)
	}
	next := append(slices.Clone(e.Guises), document.Guise{Number: e.NextGuise(), Name: name, Look: e.Look})
	return changed("New guise of "+e.Name, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: m.ID, ID: id}, "guises", next)), nil
}

// RemoveGuise takes a guise away, with the rules that do nothing but lead to it or from it.
func RemoveGuise(d *document.Document, at document.End, number int) (Change, error) {
	e := d.Entity(at.Map, at.Entity)
	if e == nil || e.Guise(number) == nil {
		return Change{}, errors.New("the guise is no longer there")
	}
	next := slices.DeleteFunc(slices.Clone(e.Guises), func(g document.Guise) bool { return g.Number == number })
	c := changed("Removed the guise "+e.Guise(number).Name+" of "+e.Name, edit.Set(edit.Ref{Type: edit.TypeEntity, Map: at.Map, ID: at.Entity}, "guises", next))
	for _, w := range GuiseWays(d, at) {
		if r := d.Rules.Get(w.Rule); (w.From == number || w.To == number) && len(r.In(document.SlotWhen)) == 1 && len(r.In(document.SlotThen)) == 0 {
			c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: r.ID}))
		}
	}
	return c, nil
}

// GuiseWay is a rule that leads from one guise of an entity to another.
type GuiseWay struct {
	Rule document.ID `json:"rule"`
	From int         `json:"from"`
	To   int         `json:"to"`
	// If is what it asks, in words; empty for nothing.
	If []string `json:"if"`
	// Does tells that it does something besides.
	Does bool `json:"does"`
}

// GuiseWays are the ways between the guises of an entity, in the order in which they are tried.
func GuiseWays(d *document.Document, at document.End) []GuiseWay {
	out := []GuiseWay{}
	e := d.Entity(at.Map, at.Entity)
	if e == nil {
		return out
	}
	happens := rules.Happening{Word: rules.WordTurnsInto, At: document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}, Kind: document.ID(e.Kind)}
	for _, r := range rules.Waiting(d, happens) {
		tree := rules.TreeOf(r)
		for _, n := range tree.When {
			about := n.At.ID == at.Entity || d.Covers(n.At, document.ID(e.Kind))
			if n.Word != rules.WordTurnsInto || !about {
				continue
			}
			w := GuiseWay{Rule: r.ID, If: []string{}, Does: len(tree.Then) > 0}
			w.From, _ = strconv.Atoi(n.Blank("from").Word())
			w.To, _ = strconv.Atoi(n.Blank("guise").Word())
			for _, asked := range tree.If {
				w.If = append(w.If, rules.Clause(d, asked.RulePart))
			}
			out = append(out, w)
		}
	}
	return out
}

// AddGuiseWay makes a rule by which an entity goes over from one guise to another, once a flag is set.
func AddGuiseWay(d *document.Document, at document.End, from, to int) (Change, error) {
	e := d.Entity(at.Map, at.Entity)
	switch {
	case e == nil:
		return Change{}, errors.New("the entity is no longer there")
	case from == to || from != 0 && e.Guise(from) == nil || to != 0 && e.Guise(to) == nil:
		return Change{}, errors.New("a way leads from one guise to another that is there")
	}
	when := rules.Part(rules.WordTurnsInto, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))
	when.Blanks = append(when.Blanks, kind.Value{Key: "from", Value: kind.Of(strconv.Itoa(from))}, kind.Value{Key: "guise", Value: kind.Of(strconv.Itoa(to))})
	asked := document.RulePart{ID: document.NewID(), Slot: document.SlotIf, Word: rules.WordIsSet}
	var c Change
	if err := fill(d, &document.Rule{}, &asked, rules.Wish{}, &c); err != nil {
		return Change{}, err
	}
	made, err := AddRule(d, rules.Of(when, asked))
	if err != nil {
		return Change{}, err
	}
	made.Do = append(c.Do, made.Do...)
	return made, nil
}
