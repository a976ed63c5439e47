package rules

import (
	"azzel/core/document"
	"slices"
)

// Line is a rule's part as a card shows it, or a heading in it: a part a line, what stands in it below it, farther in.
type Line struct {
	// Deep is in how many parts it stands.
	Deep int `json:"deep"`
	// Lead is said before it: when, or, if, and, then …; by itself where Part is empty.
	Lead string `json:"lead"`
	// Part is empty for a heading. Parent and Slot are where it stands, or what a heading heads.
	Part   document.ID `json:"part"`
	Parent document.ID `json:"parent"`
	Slot   string      `json:"slot"`
	Words  []Said      `json:"words"`
	Off    bool        `json:"off"`
	// Adds is the slot of this part, or of Parent where it is a heading, to which something can be added from here;
	// empty for none.
	Adds string `json:"adds"`
}

// Lines are the lines of a rule's card.
func Lines(d *document.Document, r *document.Rule) []Line {
	w := liner{speaker: speaker{doc: d, rule: r, here: Place(r)}}
	for _, slot := range document.Slots {
		lead, next := slotLeads(slot)
		all := r.In(slot)
		if empty, missing := emptySays[slot]; missing && len(all) == 0 {
			w.lines = append(w.lines, Line{Lead: lead, Slot: slot, Words: []Said{emptySaid(r, slot, empty)}})
		}
		w.parts(all, lead, next, 0)
	}
	return w.lines
}

// emptySays are what is said of slots in which there is nothing yet.
var emptySays = map[string]string{document.SlotWhen: "something happens", document.SlotThen: "do nothing yet"}

// emptySaid is what is said of a slot in which there is nothing yet. Who goes over into another guise need do nothing besides.
func emptySaid(r *document.Rule, slot, empty string) Said {
	if slot == document.SlotThen && slices.ContainsFunc(r.In(document.SlotWhen), func(p *document.RulePart) bool { return p.Word == WordTurnsInto }) {
		return Said{Text: "do nothing besides", Blank: slot}
	}
	return Said{Text: empty, Blank: slot, Missing: true}
}

// slotLeads are what is said before the first part of a slot, and before the others.
func slotLeads(slot string) (first, next string) {
	switch slot {
	case document.SlotWhen:
		return "When", "or"
	case document.SlotIf:
		return "If", "and"
	case document.SlotThen:
		return "Then", ""
	}
	return "Otherwise", ""
}

type liner struct {
	speaker
	lines []Line
}

func (w *liner) parts(all []*document.RulePart, lead, next string, deep int) {
	for _, p := range all {
		w.part(p, lead, deep)
		lead = next
	}
}

func (w *liner) part(p *document.RulePart, lead string, deep int) {
	w.out = nil
	w.speaker.part(p)
	l := Line{Deep: deep, Lead: lead, Part: p.ID, Parent: p.Parent, Slot: p.Slot, Words: w.out, Off: p.Off}
	e := Find(p.Word)
	if e == nil || deep > document.MaxDeep {
		w.lines = append(w.lines, l)
		return
	}
	if len(e.Holds) > 0 {
		l.Adds = e.Holds[0]
	}
	w.lines = append(w.lines, l)
	for i, slot := range e.Holds {
		if i > 0 {
			w.lines = append(w.lines, Line{Deep: deep, Lead: slot, Parent: p.ID, Slot: slot, Words: []Said{}, Adds: slot})
		}
		next := ""
		if slot == document.SlotIf {
			next = "and"
			if p.Word == WordAnyOf || p.Word == WordNoneOf {
				next = "or"
			}
		}
		w.parts(w.rule.Under(p.ID, slot), "", next, deep+1)
	}
}
