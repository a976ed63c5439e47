package author

import (
	"azzel/core/cells"
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/kind"
	"azzel/core/rules"
	"errors"
	"fmt"
	"slices"
	"strconv"
)

// worn is who has guises: an entity, or a kind of the designer's own, which gives them to all of it.
type worn struct {
	ref  edit.Ref
	name string
	look cells.Cell
	// own are those that can be changed here; all are also those that its kind gives to an entity.
	own, all []document.Guise
	// from is the least number of one of its own.
	from int
	// kind is the kind of an entity, or the kind itself.
	kind document.ID
}

// wears finds who has guises by what it is called.
func wears(d *document.Document, at document.Object) (worn, error) {
	if at.Type == document.TypeKind {
		k := d.Kinds.Get(at.ID)
		if k == nil {
			return worn{}, errors.New("a built-in kind stays as it is: make one of your own from it")
		}
		return worn{edit.Ref{Type: edit.TypeKind, ID: k.ID}, k.Name, k.Look, k.Guises, k.Guises, kind.KindGuises, k.ID}, nil
	}
	e := d.Entity(at.Map, at.ID)
	if e == nil {
		return worn{}, errors.New("the entity is no longer there")
	}
	return worn{edit.Ref{Type: edit.TypeEntity, Map: at.Map, ID: at.ID}, e.Name, e.Look, e.Guises, d.GuisesOf(e), 1, document.ID(e.Kind)}, nil
}

// has reports whether it has a guise; 0 is the first, which everything has.
func (w *worn) has(number int) bool { return number == 0 || document.GuiseIn(w.all, number) != nil }

// AddGuise gives an entity, or all of a kind, another guise, looking as it does by itself.
func AddGuise(d *document.Document, at document.Object) (Change, error) {
	w, err := wears(d, at)
	if err != nil {
		return Change{}, err
	}
	if len(w.own) >= document.MaxGuises {
		return Change{}, fmt.Errorf("there are at most %d guises of one", document.MaxGuises)
	}
	name := ""
	for n := 1; name == "" || slices.ContainsFunc(w.all, func(g document.Guise) bool { return g.Name == name }); n++ {
		name = fmt.Sprintf("Guise %d", n)
	}
	next := append(slices.Clone(w.own), document.Guise{Number: kind.NextGuise(w.own, w.from), Name: name, Look: w.look})
	return changed("New guise of "+w.name, edit.Set(w.ref, "guises", next)), nil
}

// ChangeGuise lets a guise be called, look and say otherwise.
func ChangeGuise(d *document.Document, at document.Object, to document.Guise) (Change, error) {
	w, err := wears(d, at)
	if err != nil {
		return Change{}, err
	}
	i := slices.IndexFunc(w.own, func(g document.Guise) bool { return g.Number == to.Number })
	if i < 0 {
		return Change{}, errors.New("the guise is no longer there")
	}
	next := slices.Clone(w.own)
	next[i] = to
	return changed("Changed a guise of "+w.name, edit.Set(w.ref, "guises", next)), nil
}

// RemoveGuise takes a guise away, with the rules that do nothing but lead to it or from it.
func RemoveGuise(d *document.Document, at document.Object, number int) (Change, error) {
	w, err := wears(d, at)
	if err != nil {
		return Change{}, err
	}
	gone := document.GuiseIn(w.own, number)
	if gone == nil {
		return Change{}, errors.New("the guise is no longer there")
	}
	next := slices.DeleteFunc(slices.Clone(w.own), func(g document.Guise) bool { return g.Number == number })
	c := changed("Removed the guise "+gone.Name+" of "+w.name, edit.Set(w.ref, "guises", next))
	ways, err := GuiseWays(d, at)
	for _, way := range ways {
		if r := d.Rules.Get(way.Rule); (way.From == number || way.To == number) && len(r.In(document.SlotWhen)) == 1 && len(r.In(document.SlotThen)) == 0 {
			c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: r.ID}))
		}
	}
	return c, err
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

// GuiseWays are the ways between the guises of an entity or a kind, in the order in which they are tried.
func GuiseWays(d *document.Document, at document.Object) ([]GuiseWay, error) {
	out := []GuiseWay{}
	w, err := wears(d, at)
	if err != nil {
		return nil, err
	}
	for _, r := range rules.Waiting(d, rules.Happening{Word: rules.WordTurnsInto, At: at, Kind: w.kind}) {
		tree := rules.TreeOf(r)
		for _, n := range tree.When {
			if n.Word != rules.WordTurnsInto || n.At.ID != at.ID && !d.Covers(n.At, w.kind) {
				continue
			}
			way := GuiseWay{Rule: r.ID, If: []string{}, Does: len(tree.Then) > 0}
			way.From, _ = strconv.Atoi(n.Blank("from").Word())
			way.To, _ = strconv.Atoi(n.Blank("guise").Word())
			for _, asked := range tree.If {
				way.If = append(way.If, rules.Clause(d, asked.RulePart))
			}
			out = append(out, way)
		}
	}
	return out, nil
}

// AddGuiseWay makes a rule by which an entity, or each of a kind, goes over from one guise to another, once a flag is set.
func AddGuiseWay(d *document.Document, at document.Object, from, to int) (Change, error) {
	w, err := wears(d, at)
	if err != nil {
		return Change{}, err
	}
	if from == to || !w.has(from) || !w.has(to) {
		return Change{}, errors.New("a way leads from one guise to another that is there")
	}
	when := rules.Part(rules.WordTurnsInto, document.Naming(at))
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
