package author

import (
	"azzel/core/document"
	"azzel/core/edit"
	"azzel/core/rules"
	"errors"
	"slices"
)

// PartText is a part of a rule as text, with all that stands in it, below the word of where it stands.
func PartText(d *document.Document, rule, part document.ID) (string, error) {
	r := d.Rules.Get(rule)
	if r == nil {
		return "", errRuleGone
	}
	p := r.Parts.Get(part)
	if p == nil {
		return "", errPartGone
	}
	if e := rules.Find(p.Word); e == nil || e.Within != "" {
		return "", errors.New("an answer is copied with its question, or below itself")
	}
	return rules.PrintPart(d, r, p), nil
}

var errPartGone = errors.New("this part of the rule is no longer there")

// PasteParts puts what a text has of lines into a rule: behind a part where that can be, else at the end of what they belong
// to. The text is that of a part, or of a whole rule.
func PasteParts(d *document.Document, rule, behind document.ID, text string) (Change, error) {
	r := d.Rules.Get(rule)
	if r == nil {
		return Change{}, errRuleGone
	}
	from, err := rules.Read(d, text)
	if err != nil {
		return Change{}, err
	}
	c := changed("Pasted lines into a rule")
	for _, slot := range document.Slots {
		all := from.In(slot)
		if len(all) == 0 {
			continue
		}
		do, err := pasted(r, &from, all, slot, r.Parts.Get(behind))
		if err != nil {
			return Change{}, err
		}
		c.Do = append(c.Do, do...)
	}
	if r.Parts.Len()+from.Parts.Len() > document.MaxParts {
		return Change{}, errManyParts
	}
	return c, nil
}

// pasted puts parts of one rule into another one: behind a part in its slot, or at the end of the rule's own.
func pasted(r, from *document.Rule, all []*document.RulePart, slot string, behind *document.RulePart) (do []edit.Primitive, err error) {
	acts := func(slot string) bool { return slot == document.SlotThen || slot == document.SlotOtherwise }
	parent := document.ID("")
	if behind != nil && (behind.Slot == slot || acts(behind.Slot) && acts(slot)) {
		parent, slot = behind.Parent, behind.Slot
	}
	beside := r.Under(parent, slot)
	at := len(beside)
	if i := slices.Index(beside, behind); i >= 0 {
		at = i + 1
	}
	last, room := 0, orderStep*(len(all)+1)
	if at > 0 {
		last = beside[at-1].Order
	}
	if at < len(beside) {
		room = beside[at].Order - last
	}
	if room <= len(all) { // what comes behind makes room
		room = orderStep * (len(all) + 1)
		for i, q := range beside[at:] {
			do = append(do, edit.Set(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: q.ID}, "order", last+room+i*orderStep))
		}
	}
	for i, p := range all {
		whole, high := from.Whole(p), 1
		for _, q := range whole {
			high = max(high, from.Deep(q)-from.Deep(p)+1)
		}
		if err := checkPlace(r, p, parent, slot, high); err != nil {
			return nil, err
		}
		for k, q := range document.CopiedParts(whole) {
			if k == 0 {
				q.Parent, q.Slot, q.Order = parent, slot, last+room*(i+1)/(len(all)+1)
			}
			do = append(do, edit.Insert(edit.Ref{Type: edit.TypePart, Rule: r.ID, ID: q.ID}, q))
		}
	}
	return do, nil
}
