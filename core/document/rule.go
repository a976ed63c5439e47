package document

import (
	"azzel/core/kind"
	"fmt"
	"slices"
	"unicode/utf8"
)

// Rule is a sentence: When … If … Then … Otherwise …. What it says is its parts.
type Rule struct {
	ID    ID   `json:"id"`
	Order int  `json:"order"`
	Once  bool `json:"once"`
	// Off rules are never asked.
	Off bool `json:"off,omitempty"`
	// Name is what people call it; empty for most.
	Name string `json:"name,omitempty"`
	Note string `json:"note"`
	// Draft is its text as somebody is writing it and that cannot be read yet.
	Draft string          `json:"draft,omitempty"`
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
	// Off parts are passed over.
	Off bool `json:"off,omitempty"`
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

// MaxDeep limits how deep parts stand in one another.
const MaxDeep = 8

// MaxAnswers limits what can be answered to a question.
const MaxAnswers = 8

// MaxDraft limits the text of a rule, in characters.
const MaxDraft = 100_000

// MaxNumber is the largest number in a rule and of a counter.
const MaxNumber = 1_000_000

// With gives the rule with parts added.
func (r Rule) With(parts ...RulePart) Rule {
	all := r.Parts.All()
	for i := range parts {
		all = append(all, &parts[i])
	}
	r.Parts = TableOf(all, func(p *RulePart) ID { return p.ID })
	return r
}

// In lists the parts in a slot of the rule itself, in their order.
func (r *Rule) In(slot string) []*RulePart { return r.Under("", slot) }

// Under lists the parts in a slot of another part, in their order.
func (r *Rule) Under(parent ID, slot string) []*RulePart {
	return PartsInOrder(slices.DeleteFunc(r.Parts.All(), func(p *RulePart) bool { return p.Parent != parent }), slot)
}

// Whole lists a part and all that stands in it, in the order in which it is read.
func (r *Rule) Whole(p *RulePart) []*RulePart {
	out := []*RulePart{p}
	for i := 0; i < len(out) && len(out) <= MaxParts; i++ {
		for _, q := range r.Parts.All() {
			if q.Parent == out[i].ID {
				out = append(out, q)
			}
		}
	}
	return out
}

// Deep is in how many parts a part stands, itself counted.
func (r *Rule) Deep(p *RulePart) (n int) {
	for ; p != nil && n <= MaxDeep; p = r.Parts.Get(p.Parent) {
		n++
	}
	return n
}

// CopiedParts are parts with ids of their own, standing in one another as they did.
func CopiedParts(all []*RulePart) (out []RulePart) {
	ids := map[ID]ID{}
	for _, p := range all {
		ids[p.ID] = NewID()
	}
	for _, p := range all {
		q := *p
		q.ID = ids[p.ID]
		if in, ok := ids[p.Parent]; ok {
			q.Parent = in
		}
		out = append(out, q)
	}
	return out
}

// Copied is another rule that says the same.
func (r *Rule) Copied() Rule {
	out := *r
	out.Parts = Table[RulePart]{}
	return out.With(CopiedParts(r.InOrder())...)
}

// PartsInOrder are those of parts that stand in a slot, in their order.
func PartsInOrder(all []*RulePart, slot string) []*RulePart {
	all = slices.DeleteFunc(slices.Clone(all), func(p *RulePart) bool { return p.Slot != slot })
	return ordered(all, func(p *RulePart) int { return p.Order })
}

// InOrder lists all parts of the rule, slot by slot, those inside a part behind it.
func (r *Rule) InOrder() []*RulePart {
	var out []*RulePart
	var under func(parent ID, deep int)
	under = func(parent ID, deep int) {
		for _, slot := range Slots {
			for _, p := range r.Under(parent, slot) {
				if out = append(out, p); deep < MaxDeep {
					under(p.ID, deep+1)
				}
			}
		}
	}
	under("", 0)
	return out
}

// Blank is what a blank of a part says; empty when it says nothing.
func (p *RulePart) Blank(key string) kind.Datum {
	for _, b := range p.Blanks {
		if b.Key == key {
			return b.Value
		}
	}
	return ""
}

// TypeIt is what woke a rule, where a blank names that; it is no object of the project's.
const TypeIt = "it"

// TypeHero is the hero who is led, where a blank names that.
const TypeHero = "hero"

// TypeWho is who did what woke a rule: somebody who came to a place, else the hero.
const TypeWho = "who"

// Several things that a blank names at once: all whose kinds have a tag, and all that are in an area, which is an entity.
const (
	TypeTag    = "tag"
	TypeWithin = "within"
)

// Several reports whether an object stands for all things that are so, and not for one.
func (o Object) Several() bool {
	return o.Type == TypeKind || o.Type == TypeTag || o.Type == TypeWithin
}

// Covers reports whether all of a kind, or all that have a tag, are meant, as far as that follows from their kind.
func (d *Document) Covers(o Object, of ID) bool {
	if o.Type == TypeKind {
		return o.ID == of
	}
	k := d.Kind(of)
	return o.Type == TypeTag && k != nil && slices.Contains(k.Tags, string(o.ID))
}

func (r *Rule) references(f func(Reference)) {
	as := map[string]string{SlotWhen: AsWhen, SlotIf: AsIf, SlotThen: AsThen, SlotOtherwise: AsThen}
	for _, p := range r.InOrder() {
		for _, b := range p.Blanks {
			to, ok := Named(b.Value)
			if to.Type == TypeWithin {
				to.Type = TypeEntity
			}
			if ok && to.Type != TypeIt && to.Type != TypeHero && to.Type != TypeWho && to.Type != TypeTag {
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
	if r.Name != "" {
		if err := checkName(r.Name); err != nil {
			return err
		}
	}
	if !utf8.ValidString(r.Draft) || utf8.RuneCountInString(r.Draft) > MaxDraft {
		return fmt.Errorf("the text of a rule has at most %d characters", MaxDraft)
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
