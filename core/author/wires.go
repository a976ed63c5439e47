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

// WireChoice is one of the things that a wire can do: what its rule does to where it ends, and how.
type WireChoice struct {
	// Word is the action of the rule.
	Word string `json:"word"`
	// How is empty where it is done each time, else one of the wires' hows.
	How string `json:"how"`
	// Label says it to people, and When it is done, the same for several of them.
	Label string `json:"label"`
	When  string `json:"when"`
}

// How a wire does something besides each time.
const (
	WireWhile = "while" // as long as where it begins is on, or somebody is there
	WireAll   = "all"   // as long as all are from which such a wire leads there
	WireAny   = "any"   // as long as one of them is
)

// verb is what a wire does, as people say it, and what undoes that.
type verb struct{ word, says, back string }

// verbsFor are what a wire can do to an entity of a kind, the likeliest first.
func verbsFor(k *kind.Kind) (out []verb) {
	takes := func(word string) bool { return rules.Find(word).Blanks[0].Fits(k) }
	for _, v := range []verb{{rules.WordOpen, "opens", rules.WordShut}, {rules.WordShut, "shuts", rules.WordOpen},
		{rules.WordTurnOn, "turns on", rules.WordTurnOff}, {rules.WordTurnOff, "turns off", rules.WordTurnOn}, {rules.WordFlip, "flips", ""}, {rules.WordMake, "lets make one:", ""},
		{rules.WordShow, "shows", rules.WordHide}, {rules.WordHide, "hides", rules.WordShow},
		{rules.WordBring, "brings", rules.WordRemove}, {rules.WordRemove, "takes away", rules.WordBring},
		{rules.WordEnable, "enables", rules.WordDisable}, {rules.WordDisable, "disables", rules.WordEnable}} {
		if takes(v.word) {
			out = append(out, v)
		}
	}
	return out
}

// source is where a wire begins: the happening that wakes its rule each time, those at both of its
// edges, and the conditions that tell between them; empty where there are none.
type source struct{ each, begins, ends, is, isNot, when string }

func sourceOf(k *kind.Kind) source {
	switch k.Acts() {
	case kind.Switch:
		return source{rules.WordUse, rules.WordTurnsOn, rules.WordTurnsOff, rules.WordIsOn, rules.WordIsOff, "each time it is used"}
	case kind.Sensor:
		return source{rules.WordEnter, rules.WordEnter, rules.WordLeave, rules.WordIsMet, rules.WordIsLeft, "each time somebody comes"}
	case kind.Timer:
		return source{each: rules.WordRings, when: "each time it rings"}
	}
	return source{each: rules.WordEnds, when: "when nothing of it is left"}
}

// wireEnds are the entities of a wire, with their kinds.
func wireEnds(d *document.Document, from, to document.End) (a, b *document.Entity, ka, kb *kind.Kind, err error) {
	a, b = d.Entity(from.Map, from.Entity), d.Entity(to.Map, to.Entity)
	if a == nil || b == nil {
		return nil, nil, nil, nil, errors.New("a wire leads from one entity to another, and one of them is no longer there")
	}
	ka, kb = d.Kind(document.ID(a.Kind)), d.Kind(document.ID(b.Kind))
	switch {
	case ka == nil || !ka.Wires:
		err = fmt.Errorf("no wire begins at %s: it begins at a switch, a sensor area, a timer or a source", a.Name)
	case kb == nil || !kb.Wired || from == to:
		err = fmt.Errorf("a wire to %s could do nothing", b.Name)
	}
	return a, b, ka, kb, err
}

// WireChoices are what a wire from one entity to another can do, by when it does it; the likeliest first.
func WireChoices(d *document.Document, from, to document.End) ([]WireChoice, error) {
	a, b, ka, kb, err := wireEnds(d, from, to)
	if err != nil {
		return []WireChoice{}, err
	}
	src := sourceOf(ka)
	var joined, each, during []WireChoice
	for _, v := range verbsFor(kb) {
		label := fmt.Sprintf("%s %s", v.says, b.Name)
		each = append(each, WireChoice{v.word, "", label, src.when})
		if src.begins == "" || v.back == "" {
			continue
		}
		during = append(during, WireChoice{v.word, WireWhile, label, "while " + isSo(a, ka)})
		if r, form := joint(d, to, v); r != nil && !waitsFor(r, from) {
			names := jointNames(d, r, a.Name)
			if form != WireAny {
				joined = append(joined, WireChoice{v.word, WireAll, label, "while all of " + names + " are on"})
			}
			if form != WireAll {
				joined = append(joined, WireChoice{v.word, WireAny, label, "while any of " + names + " is on"})
			}
		}
	}
	held := ka.Acts() == kind.Sensor || d.Value(a, "goesBack").Word() != "never" || d.Value(a, "workedBy").Word() == "weight"
	if held {
		return slices.Concat(joined, during, each), nil
	}
	return slices.Concat([]WireChoice{}, joined, each, during), nil
}

func isSo(e *document.Entity, k *kind.Kind) string {
	if k.Acts() == kind.Sensor {
		return "somebody is at " + e.Name
	}
	return e.Name + " is on"
}

// Wire makes the rule that a wire from one entity to another stands for, or joins it to the one
// that does the same as long as others are on.
func Wire(d *document.Document, from, to document.End, word, how string) (Change, error) {
	a, b, ka, kb, err := wireEnds(d, from, to)
	if err != nil {
		return Change{}, err
	}
	all := verbsFor(kb)
	i := slices.IndexFunc(all, func(v verb) bool { return v.word == word })
	src := sourceOf(ka)
	if i < 0 || how != "" && (src.begins == "" || all[i].back == "") {
		return Change{}, fmt.Errorf("a wire from %s to %s cannot do that", a.Name, b.Name)
	}
	v := all[i]
	label := edit.Shortened(fmt.Sprintf("%s %s %s", a.Name, v.says, b.Name))
	end := func(word string, at document.End) document.RulePart {
		return rules.Part(word, document.Naming(document.Object{Type: document.TypeEntity, Map: at.Map, ID: at.Entity}))
	}
	for _, w := range Wires(d) {
		if w.From == from && w.To == to && w.Word == word && (w.How != "") == (how != "") {
			return Change{}, fmt.Errorf("%s %s %s already", a.Name, v.says, b.Name)
		}
	}
	var c Change
	switch how {
	case "":
		c, err = AddRule(d, rules.Of(end(src.each, from), end(word, to)))
	case WireWhile:
		back := end(v.back, to)
		back.Slot = document.SlotOtherwise
		c, err = AddRule(d, rules.Of(end(src.begins, from), end(src.ends, from), end(src.is, from), end(word, to), back))
	case WireAll, WireAny:
		c, err = joinWire(d, v, src, how, to, []document.RulePart{end(src.begins, from), end(src.ends, from), end(src.is, from)})
	default:
		err = fmt.Errorf("a wire does nothing “%.40s”", how)
	}
	c.Label.Text = label
	return c, err
}

// joint is the rule that does something to an entity as long as others are on, and how it asks for
// several of them: WireAll, WireAny, or neither where there is but one.
func joint(d *document.Document, to document.End, v verb) (*document.Rule, string) {
	does := func(r *document.Rule, slot, word string) bool {
		all := r.In(slot)
		if len(all) != 1 || all[0].Word != word {
			return false
		}
		o, _ := document.Named(all[0].Blank("what"))
		return o.Map == to.Map && o.ID == to.Entity
	}
	asks := func(r *document.Rule, words ...string) bool {
		all := r.In(document.SlotIf)
		return len(all) > 0 && !r.Once && !slices.ContainsFunc(all, func(p *document.RulePart) bool { return !slices.Contains(words, p.Word) })
	}
	for _, r := range d.RulesInOrder() {
		switch n := len(r.In(document.SlotIf)); {
		case does(r, document.SlotThen, v.word) && does(r, document.SlotOtherwise, v.back) && asks(r, rules.WordIsOn, rules.WordIsMet):
			if n == 1 {
				return r, ""
			}
			return r, WireAll
		case does(r, document.SlotThen, v.back) && does(r, document.SlotOtherwise, v.word) && asks(r, rules.WordIsOff, rules.WordIsLeft):
			return r, WireAny
		}
	}
	return nil, ""
}

// waitsFor reports whether a rule waits for something at an entity.
func waitsFor(r *document.Rule, at document.End) bool {
	return slices.ContainsFunc(r.In(document.SlotWhen), func(p *document.RulePart) bool {
		o, _ := document.Named(p.Blank("what"))
		return o.Map == at.Map && o.ID == at.Entity
	})
}

// jointNames are the names of what a joint rule asks for, and one more.
func jointNames(d *document.Document, r *document.Rule, more string) string {
	var out []string
	for _, p := range r.In(document.SlotIf) {
		o, _ := document.Named(p.Blank("what"))
		if e := d.Entity(o.Map, o.ID); e != nil {
			out = append(out, e.Name)
		}
	}
	return strings.Join(append(out, more), ", ")
}

// opposite are the conditions that are so where the others are not.
var opposite = map[string]string{rules.WordIsOn: rules.WordIsOff, rules.WordIsOff: rules.WordIsOn, rules.WordIsMet: rules.WordIsLeft, rules.WordIsLeft: rules.WordIsMet}

// joinWire adds what wakes it and what it asks for to a joint rule. One that asks for any of several
// asks whether all are off, and does the opposite then.
func joinWire(d *document.Document, v verb, src source, how string, to document.End, parts []document.RulePart) (Change, error) {
	r, form := joint(d, to, v)
	if r == nil || form != "" && form != how {
		return Change{}, errors.New("there is no such wire that it could join any more")
	}
	c := changed("")
	ref := func(id document.ID) edit.Ref { return edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: id} }
	if how == WireAny {
		parts[2].Word = src.isNot
	}
	if how == WireAny && form == "" {
		for _, p := range r.In(document.SlotIf) {
			c.Do = append(c.Do, edit.Set(ref(p.ID), "word", opposite[p.Word]))
		}
		c.Do = append(c.Do, edit.Set(ref(r.In(document.SlotThen)[0].ID), "word", v.back), edit.Set(ref(r.In(document.SlotOtherwise)[0].ID), "word", v.word))
	}
	if r.Parts.Len()+len(parts) > document.MaxParts {
		return Change{}, fmt.Errorf("a rule has at most %d parts: make another one for the rest", document.MaxParts)
	}
	for i := range parts {
		p := parts[i]
		p.Order = orderStep
		for _, o := range r.In(p.Slot) {
			p.Order = max(p.Order, o.Order+orderStep)
		}
		p.Order += i
		c.Do = append(c.Do, edit.Insert(ref(p.ID), p))
	}
	c.Made = r.ID
	return c, nil
}

// Unwire takes a wire away: the rule that it stands for, or of one that does more only that: what it does
// where the wire ends, or what it asks of where it begins.
func Unwire(d *document.Document, rule document.ID, from, to document.End) (Change, error) {
	r := d.Rules.Get(rule)
	if r == nil {
		return Change{}, errRuleGone
	}
	at := func(p *document.RulePart, end document.End) bool {
		o, _ := document.Named(p.Blank("what"))
		return o.Map == end.Map && o.ID == end.Entity
	}
	var does, asks []*document.RulePart
	other, wakes := false, false
	for _, p := range r.InOrder() {
		switch p.Slot {
		case document.SlotThen, document.SlotOtherwise:
			if at(p, to) && wireSays[p.Word] != "" {
				does = append(does, p)
			} else {
				other = true
			}
		case document.SlotWhen:
			wakes = wakes || !at(p, from)
			fallthrough
		case document.SlotIf:
			if at(p, from) {
				asks = append(asks, p)
			}
		}
	}
	c := changed("Removed a wire")
	gone := does
	if !other && wakes {
		gone = asks
	}
	switch {
	case len(does) == 0 || len(asks) == 0:
		return Change{}, errors.New("there is no such wire any more")
	case !other && !wakes:
		c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypeRule, ID: r.ID}))
	default:
		for _, p := range gone {
			c.Do = append(c.Do, edit.Remove(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: p.ID}))
		}
	}
	return c, nil
}

// Drawn is a rule seen as a wire from what it waits for to what it changes.
type Drawn struct {
	Rule document.ID  `json:"rule"`
	From document.End `json:"from"`
	To   document.End `json:"to"`
	// Word is what is done where it ends, Says that in words; How is not empty where it is done as
	// long as something is so.
	Word string `json:"word"`
	How  string `json:"how"`
	Says string `json:"says"`
}

// wireSays are what the words of wires are called.
var wireSays = map[string]string{rules.WordOpen: "opens", rules.WordShut: "shuts", rules.WordTurnOn: "turns on", rules.WordTurnOff: "turns off", rules.WordFlip: "flips",
	rules.WordMake: "makes one", rules.WordShow: "shows", rules.WordHide: "hides", rules.WordBring: "brings", rules.WordRemove: "takes away",
	rules.WordEnable: "enables", rules.WordDisable: "disables"}

// Wires lists every way from an entity to another one that a rule changes.
func Wires(d *document.Document) []Drawn {
	var out []Drawn
	for _, r := range d.RulesInOrder() {
		first := len(out)
		if r.Off {
			continue
		}
		for _, from := range r.In(document.SlotWhen) {
			a, ok := document.Named(from.Blank("what"))
			if !ok || a.Type != document.TypeEntity {
				continue
			}
			for _, p := range r.In(document.SlotThen) {
				b, ok := document.Named(p.Blank("what"))
				says := wireSays[p.Word]
				if !ok || b.Type != document.TypeEntity || says == "" {
					continue
				}
				w := Drawn{Rule: r.ID, From: document.End{Map: a.Map, Entity: a.ID}, To: document.End{Map: b.Map, Entity: b.ID}, Word: p.Word, Says: says}
				w.asLong(r)
				if w.From != w.To && !slices.Contains(out[first:], w) {
					out = append(out, w)
				}
			}
		}
	}
	return out
}

// asLong tells how a wire does it whose rule does something as long as something is so.
func (w *Drawn) asLong(r *document.Rule) {
	asks := r.In(document.SlotIf)
	if len(r.In(document.SlotOtherwise)) == 0 || len(asks) == 0 {
		return
	}
	w.How, w.Says = WireWhile, w.Says+" while on"
	if negative := asks[0].Word == rules.WordIsOff || asks[0].Word == rules.WordIsLeft; negative {
		w.How, w.Word = WireAny, r.In(document.SlotOtherwise)[0].Word
		w.Says = wireSays[w.Word] + " while any is on"
	} else if len(asks) > 1 {
		w.How, w.Says = WireAll, wireSays[w.Word]+" while all are on"
	}
}
