package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
)

// Wish is how a rule is to be changed, in one way.
type Wish struct {
	Rule document.ID `json:"rule"`
	// Part is what is changed; empty adds one, to the slot of Word, or sets Once.
	Part document.ID `json:"part,omitempty"`
	// Word is what the part is to be; empty leaves it what it is. Slot is where it is added, where
	// that is not where its word says.
	Word string `json:"word,omitempty"`
	Slot string `json:"slot,omitempty"`
	// Blank is what is filled, with what Entity, Map, Flag or Text says. Without one the
	// first thing that fits is taken.
	Blank  string      `json:"blank,omitempty"`
	Map    document.ID `json:"map,omitempty"`
	Entity document.ID `json:"entity,omitempty"`
	Flag   document.ID `json:"flag,omitempty"`
	Text   *string     `json:"text,omitempty"`
	// NewFlag fills it with a flag that is made for it.
	NewFlag bool `json:"newFlag,omitempty"`
	// Remove takes the part away.
	Remove bool `json:"remove,omitempty"`
	// Once is whether the rule runs once.
	Once *bool `json:"once,omitempty"`
}

// Choice is one thing that pressing a word of a sentence offers.
type Choice struct {
	Label string `json:"label"`
	// Heading has nothing to choose: it says where the next ones are.
	Heading bool `json:"heading,omitempty"`
	// Points lists the kinds of which one is to be pointed at on the map, and What says so;
	// it is the Wish's entity then.
	Points []document.ID `json:"points,omitempty"`
	What   string        `json:"what,omitempty"`
	Wish   Wish          `json:"wish"`
}

// Choices are what pressing a word of a rule's sentence offers, as Said names it.
// With an empty part, blank is a slot, to which something is added, or BlankOnce.
func Choices(d *document.Document, r *document.Rule, part document.ID, blank string) []Choice {
	c := chooser{d, r, []Choice{}}
	p := r.Parts.Get(part)
	switch {
	case part == "" && blank == BlankOnce:
		yes, no := true, false
		c.add("once", Wish{Once: &yes})
		c.add("each time", Wish{Once: &no})
	case part == "":
		c.words(blank, "")
	case p == nil:
	case blank == "":
		c.words(p.Slot, p.ID)
		if p.Slot != document.SlotWhen {
			c.add("remove this", Wish{Part: p.ID, Remove: true})
		}
	default:
		if e := Find(p.Word); e != nil && e.Blank(blank) != nil {
			c.blank(p, e.Blank(blank))
		}
	}
	return c.out
}

type chooser struct {
	doc  *document.Document
	rule *document.Rule
	out  []Choice
}

func (c *chooser) add(label string, w Wish) {
	w.Rule = c.rule.ID
	c.out = append(c.out, Choice{Label: label, Wish: w})
}

// words offers what can stand in a slot.
func (c *chooser) words(slot string, part document.ID) {
	of := slot
	if slot == document.SlotOtherwise {
		of = document.SlotThen
	}
	heading := ""
	for _, e := range Vocabulary {
		if e.Slot == of {
			if e.Group != heading {
				heading = e.Group
				c.out = append(c.out, Choice{Label: heading, Heading: true})
			}
			w := Wish{Part: part, Word: e.Word}
			if part == "" && of != slot {
				w.Slot = slot
			}
			c.add(e.Label, w)
		}
	}
}

func (c *chooser) blank(p *document.RulePart, b *Blank) {
	at := Wish{Part: p.ID, Blank: b.Key}
	switch b.Type {
	case BlankEntity:
		c.entities(b, at)
	case BlankMap:
		for _, m := range c.doc.MapsInOrder() {
			at.Map = m.ID
			c.add(m.Name, at)
		}
	case BlankFlag:
		for _, f := range c.doc.FlagsByName() {
			at.Flag = f.ID
			c.add(f.Name, at)
		}
		at.Flag, at.NewFlag = "", true
		c.add("A new flag", at)
	case BlankItem:
		for _, word := range Items(c.doc, b.Keys) {
			at.Text = &word
			c.add(word, at)
		}
	case BlankOwnFlag, BlankOwnCounter:
		for _, s := range b.OwnChoices(c.doc, p.Blank("what")) {
			at.Text = &s.Key
			c.add(s.Name, at)
		}
	}
	if p.Slot == document.SlotIf {
		c.add("remove this condition", Wish{Part: p.ID, Remove: true})
	}
}

// entities offers pointing at one, and then every one that fits, by map.
func (c *chooser) entities(b *Blank, at Wish) {
	fits := fitting(c.doc, b)
	at.Rule = c.rule.ID
	point := Choice{Label: "Point at it on the map…", What: "a " + b.Wants, Wish: at, Points: []document.ID{}}
	for _, k := range c.doc.KindsInOrder() {
		if fits[k.ID] {
			point.Points = append(point.Points, k.ID)
		}
	}
	c.out = append(c.out, point)
	for _, m := range c.doc.MapsInOrder() {
		headed := false
		m.Entities.Each(func(e *document.Entity) {
			if !fits[document.ID(e.Kind)] {
				return
			}
			if !headed {
				headed = true
				c.out = append(c.out, Choice{Label: m.Name, Heading: true})
			}
			at.Map, at.Entity = m.ID, e.ID
			c.add(e.Name, at)
		})
	}
}

// fitting are the kinds that an entity of a blank can be of.
func fitting(d *document.Document, b *Blank) map[document.ID]bool {
	out := map[document.ID]bool{}
	for _, k := range d.KindsInOrder() {
		if b.Fits == nil || b.Fits(k) {
			out[k.ID] = true
		}
	}
	return out
}

// First is what fits a blank first, beginning with what stands on a map; empty when
// nothing does.
//
// What is what the blank “what” of the same part names.
func First(d *document.Document, b *Blank, what kind.Datum, here document.ID) kind.Datum {
	switch b.Type {
	case BlankNumber:
		return kind.Of(1)
	case BlankItem:
		for _, word := range Items(d, b.Keys) {
			return kind.Of(word)
		}
		return ""
	case BlankOwnFlag, BlankOwnCounter:
		for _, s := range b.OwnChoices(d, what) {
			return kind.Of(s.Key)
		}
		return ""
	case BlankText:
		return kind.Of(b.First)
	case BlankFlag:
		for _, f := range d.FlagsByName() {
			return document.Naming(document.Object{Type: document.TypeFlag, ID: f.ID})
		}
		return ""
	}
	maps := d.MapsInOrder()
	if m := d.Maps.Get(here); m != nil {
		maps = append([]*document.Map{m}, maps...)
	}
	fits := fitting(d, b)
	for _, m := range maps {
		if b.Type == BlankMap {
			return document.Naming(document.Object{Type: document.TypeMap, ID: m.ID})
		}
		for _, e := range m.Entities.All() {
			if fits[document.ID(e.Kind)] {
				return document.Naming(document.Object{Type: document.TypeEntity, Map: m.ID, ID: e.ID})
			}
		}
	}
	return ""
}
