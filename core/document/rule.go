package document

import (
	"azzel/core/kind"
	"encoding/json"
	"fmt"
	"slices"
	"unicode/utf8"
)

// Rule is a sentence: When … If … Then … Otherwise …. What it says is its parts.
type Rule struct {
	ID    ID     `json:"id"`
	Order int    `json:"order"`
	Once  bool   `json:"once"`
	Note  string `json:"note"`

	Parts Table[RulePart] `json:"-"`
}

// RulePart is one happening, condition or action of a rule. Each is an object of its
// own, so that two people change two of them at once.
type RulePart struct {
	ID ID `json:"id"`
	// Parent is the part that it stands in; empty for the rule itself.
	Parent ID `json:"parent,omitempty"`
	// Slot is where it stands: one of Slots. Order is its place there.
	Slot  string `json:"slot"`
	Order int    `json:"order"`
	// Word says what it is; Blanks are what the word leaves open.
	Word   string       `json:"word"`
	Blanks []kind.Value `json:"blanks,omitempty"`
}

// The slots of a rule.
const (
	SlotWhen      = "when"      // what wakes it, any of several
	SlotIf        = "if"        // what is asked, all of it
	SlotThen      = "then"      // what is done, in this order
	SlotOtherwise = "otherwise" // what is done where not all is so that was asked
)

// Slots lists the slots in the order in which they are read.
var Slots = []string{SlotWhen, SlotIf, SlotThen, SlotOtherwise}

// MaxParts limits the parts of a rule.
const MaxParts = 400

// MaxBlanks limits what a part leaves open.
const MaxBlanks = 16

// With gives the rule with parts added.
func (r Rule) With(parts ...RulePart) Rule {
	for i := range parts {
		r.Parts = r.Parts.With(parts[i].ID, &parts[i])
	}
	return r
}

// In lists the parts in a slot of the rule itself, in their order.
func (r *Rule) In(slot string) []*RulePart { return r.Under("", slot) }

// Under lists the parts in a slot of another part, in their order.
func (r *Rule) Under(parent ID, slot string) []*RulePart {
	all := slices.DeleteFunc(r.Parts.All(), func(p *RulePart) bool { return p.Slot != slot || p.Parent != parent })
	return ordered(all, func(p *RulePart) int { return p.Order })
}

// InOrder lists all parts of the rule, slot by slot, those inside a part behind it.
func (r *Rule) InOrder() []*RulePart {
	var out []*RulePart
	var under func(parent ID, deep int)
	under = func(parent ID, deep int) {
		for _, slot := range Slots {
			for _, p := range r.Under(parent, slot) {
				if out = append(out, p); deep < maxDeep {
					under(p.ID, deep+1)
				}
			}
		}
	}
	under("", 0)
	return out
}

// maxDeep limits how deep parts stand in one another.
const maxDeep = 8

// Blank is what a blank of a part says; empty when it says nothing.
func (p *RulePart) Blank(key string) kind.Datum {
	for _, b := range p.Blanks {
		if b.Key == key {
			return b.Value
		}
	}
	return ""
}

// Named is what a blank names: an object that is one of the project's. Its type is
// told by what it says.
func Named(d kind.Datum) (Object, bool) {
	var n struct {
		Map    ID `json:"map"`
		Entity ID `json:"entity"`
		Flag   ID `json:"flag"`
	}
	if d == "" || d[0] != '{' || json.Unmarshal([]byte(d), &n) != nil {
		return Object{}, false
	}
	switch {
	case n.Flag != "":
		return Object{Type: TypeFlag, ID: n.Flag}, true
	case n.Entity != "":
		return Object{Type: TypeEntity, Map: n.Map, ID: n.Entity}, true
	case n.Map != "":
		return Object{Type: TypeMap, ID: n.Map}, true
	}
	return Object{}, false
}

// Naming is the value of a blank that names an object.
func Naming(o Object) kind.Datum {
	switch o.Type {
	case TypeEntity:
		return kind.Of(map[string]ID{"map": o.Map, "entity": o.ID})
	case TypeMap, TypeFlag:
		return kind.Of(map[string]ID{o.Type: o.ID})
	}
	return ""
}

func (r *Rule) references(f func(Reference)) {
	as := map[string]string{SlotWhen: AsWhen, SlotIf: AsIf, SlotThen: AsThen, SlotOtherwise: AsThen}
	for _, p := range r.InOrder() {
		for _, b := range p.Blanks {
			if to, ok := Named(b.Value); ok {
				f(Reference{By: Object{Type: TypeRule, ID: r.ID}, As: as[p.Slot], To: to, Setting: b.Key})
			}
		}
	}
}

// Check finds what is wrong with a rule's own fields.
func (r *Rule) Check() error {
	if utf8.RuneCountInString(r.Note) > MaxText {
		return fmt.Errorf("a note has at most %d characters", MaxText)
	}
	return first(checkID("the rule", r.ID), checkOrder(r.Order))
}

// Check finds what is wrong with the form of a part; whether its word and blanks fit
// together is for package rules to tell.
func (p *RulePart) Check() error {
	if p.Parent != "" && (!p.Parent.Valid() || p.Parent == p.ID) {
		return fmt.Errorf("a part of a rule stands in the rule or in another part")
	}
	if !slices.Contains(Slots, p.Slot) {
		return fmt.Errorf("a rule has no place called “%.40s”", p.Slot)
	}
	if len(p.Blanks) > MaxBlanks {
		return fmt.Errorf("a part of a rule has at most %d blanks", MaxBlanks)
	}
	return first(checkID("the part", p.ID), checkOrder(p.Order), checkName(p.Word), checkPlainValues(p.Blanks))
}
