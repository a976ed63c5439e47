package rules

import (
	"azzel/core/document"
	"azzel/core/kind"
	"slices"
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
	// Parent is the part in which it is added, or moved; empty for the rule itself.
	Parent document.ID `json:"parent,omitempty"`
	// Move puts the part into Slot of Parent, before another one there, or behind all where Before is empty.
	Move   bool        `json:"move,omitempty"`
	Before document.ID `json:"before,omitempty"`
	// Copy makes another one like it, with all that stands in it, behind it.
	Copy bool `json:"copy,omitempty"`
	// Off has it passed over, or not any more; without a part, the whole rule.
	Off *bool `json:"off,omitempty"`
	// Name is what the rule is called.
	Name *string `json:"name,omitempty"`
	// Blank is what is filled, with what Entity, Map, Flag or Text says. Without one the
	// first thing that fits is taken.
	Blank  string      `json:"blank,omitempty"`
	Map    document.ID `json:"map,omitempty"`
	Entity document.ID `json:"entity,omitempty"`
	Flag   document.ID `json:"flag,omitempty"`
	Sound  document.ID `json:"sound,omitempty"`
	Layer  document.ID `json:"layer,omitempty"`
	// Counter fills it with a counter, Kind with all of a kind, It with what woke the rule, Hero with who is led.
	Counter document.ID `json:"counter,omitempty"`
	Kind    document.ID `json:"kind,omitempty"`
	// Tag fills it with all that have a tag, Within with all that are in the entity.
	Tag    string  `json:"tag,omitempty"`
	Within bool    `json:"within,omitempty"`
	It     bool    `json:"it,omitempty"`
	Hero   bool    `json:"hero,omitempty"`
	Who    bool    `json:"who,omitempty"`
	Text   *string `json:"text,omitempty"`
	// NewFlag fills it with a flag that is made for it.
	NewFlag bool `json:"newFlag,omitempty"`
	// NewCounter fills it with a counter that is made for it.
	NewCounter bool `json:"newCounter,omitempty"`
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
	// Also are other words by which it is looked for.
	Also string `json:"also,omitempty"`
	// Points lists the kinds of which one is to be pointed at on the map, and What says so;
	// it is the Wish's entity then.
	Points []document.ID `json:"points,omitempty"`
	What   string        `json:"what,omitempty"`
	Wish   Wish          `json:"wish"`
}

// Choices are what pressing a word of a rule's sentence offers, as Said names it.
// With an empty part, or one in which others stand, blank is a slot, to which something is added, or BlankOnce.
func Choices(d *document.Document, r *document.Rule, part document.ID, blank string) []Choice {
	c := chooser{d, r, []Choice{}}
	p := r.Parts.Get(part)
	switch {
	case part == "" && blank == BlankOnce:
		yes, no := true, false
		c.add("once", Wish{Once: &yes})
		c.add("each time", Wish{Once: &no})
	case part == "":
		c.words(blank, "", "")
	case p == nil:
	case blank == "":
		c.words(p.Slot, p.ID, p.Parent)
		if p.Slot != document.SlotWhen {
			c.add("remove this", Wish{Part: p.ID, Remove: true})
		}
	case slices.Contains(document.Slots, blank):
		c.words(blank, "", p.ID)
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

// words offers what can stand in a slot of the rule, or of a part of it; for a part that is there, in its place.
func (c *chooser) words(slot string, part, parent document.ID) {
	of, within := slot, ""
	if in := c.rule.Parts.Get(parent); in != nil && in.Word == WordAsk {
		within = WordAsk
	}
	if slot == document.SlotOtherwise {
		of = document.SlotThen
	}
	heading := ""
	for _, e := range Vocabulary {
		if e.Slot == of && e.Within == within {
			if e.Group != heading {
				heading = e.Group
				c.out = append(c.out, Choice{Label: heading, Heading: true})
			}
			w := Wish{Part: part, Word: e.Word}
			if part == "" {
				w.Parent = parent
				if of != slot {
					w.Slot = slot
				}
			}
			c.add(e.Label, w)
			c.out[len(c.out)-1].Also = e.Also
		}
	}
}

func (c *chooser) blank(p *document.RulePart, b *Blank) {
	at := Wish{Part: p.ID, Blank: b.Key}
	switch b.Type {
	case BlankEntity:
		c.entities(p, b, at)
	case BlankMap:
		for _, m := range c.doc.MapsInOrder() {
			at.Map = m.ID
			c.add(m.Name, at)
		}
	case BlankLayer:
		for _, m := range c.doc.MapsInOrder() {
			c.out = append(c.out, Choice{Label: m.Name, Heading: true})
			for _, l := range laidLayers(m) {
				at.Map, at.Layer = m.ID, l.ID
				c.add(l.Name, at)
			}
		}
	case BlankSound:
		for _, o := range c.doc.SoundsByName() {
			at.Sound = o.ID
			c.add(o.Name, at)
		}
	case BlankFlag:
		for _, f := range c.doc.FlagsByName() {
			at.Flag = f.ID
			c.add(f.Name, at)
		}
		at.Flag, at.NewFlag = "", true
		c.add("A new flag", at)
	case BlankCounter:
		for _, o := range c.doc.CountersByName() {
			at.Counter = o.ID
			c.add(o.Name, at)
		}
		at.Counter, at.NewCounter = "", true
		c.add("A new counter", at)
	case BlankKind:
		for _, k := range used(c.doc, b) {
			at.Kind = k.ID
			c.add(k.Name, at)
			if b.Tags {
				c.tags(textThing+" ", k, at)
			}
		}
	case BlankNumber:
		for _, o := range c.doc.CountersByName() {
			at.Text = &o.Name
			c.add(o.Name, at)
		}
	case BlankSignal:
		for _, word := range Signals(c.doc) {
			at.Text = &word
			c.add(word, at)
		}
	case BlankChoice:
		for _, word := range b.Of {
			at.Text = &word
			c.add(word, at)
		}
	case BlankItem:
		for _, word := range Items(c.doc, b.Keys) {
			at.Text = &word
			c.add(word, at)
		}
	case BlankOwnFlag, BlankOwnCounter, BlankGuise:
		for _, s := range b.OwnChoices(c.doc, p.Blank("what")) {
			at.Text = &s.Key
			c.add(s.Name, at)
		}
	}
	typed := b.Type == BlankNumber || b.Type == BlankSignal || b.Free
	if p.Slot == document.SlotIf && !typed {
		c.add("remove this condition", Wish{Part: p.ID, Remove: true})
	}
}

// tags offers what has a tag of a kind, once.
func (c *chooser) tags(things string, k *kind.Kind, at Wish) {
	for _, tag := range k.Tags {
		at.Kind, at.Tag = "", tag
		if !slices.ContainsFunc(c.out, func(o Choice) bool { return o.Wish == at }) {
			c.add(things+textTagged+" "+tag, at)
		}
	}
}

// entities offers pointing at one, and then every one that fits, by map.
func (c *chooser) entities(p *document.RulePart, b *Blank, at Wish) {
	fits := fitting(c.doc, b)
	at.Rule = c.rule.ID
	point := Choice{Label: "Point at it on the map…", What: "a " + b.Wants, Wish: at, Points: []document.ID{}}
	for _, k := range c.doc.KindsInOrder() {
		if fits[k.ID] {
			point.Points = append(point.Points, k.ID)
		}
	}
	c.out = append(c.out, point)
	if b.Hero {
		hero := at
		hero.Hero = true
		c.add(textHero, hero)
		if p.Slot != document.SlotWhen && slices.ContainsFunc(TreeOf(c.rule).When, func(n *Node) bool { return doneBy[n.Word] }) {
			who := at
			who.Who = true
			c.add("who did it (who)", who)
		}
	}
	if p.Slot != document.SlotWhen && slices.ContainsFunc(TreeOf(c.rule).When, (*Node).gives) {
		it := at
		it.It = true
		c.add("what woke the rule (it)", it)
	}
	for _, k := range used(c.doc, b) {
		all := at
		all.Kind = k.ID
		c.add(everyOf(p)+" "+k.Name, all)
		c.tags(everyOf(p)+textThing+" ", k, at)
	}
	if p.Slot != document.SlotWhen && b.Key == "what" {
		c.within(p, at)
	}
	for _, m := range c.doc.MapsInOrder() {
		headed := false
		m.Entities.Each(func(e *document.Entity) {
			if !fits[document.ID(e.Kind)] || b.Wears && len(c.doc.GuisesOf(e)) == 0 {
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

// within offers all that are in an area, by map.
func (c *chooser) within(p *document.RulePart, at Wish) {
	at.Within = true
	for _, m := range c.doc.MapsInOrder() {
		for _, e := range document.InRank(m.Entities.All()) {
			if c.doc.Acts(e) == kind.Sensor {
				at.Map, at.Entity = m.ID, e.ID
				c.add(everyOf(p)+"thing "+textIn+" "+e.Name, at)
			}
		}
	}
}

// everyOf is how a part says that it means all of a kind.
func everyOf(p *document.RulePart) string {
	if p.Slot == document.SlotWhen {
		return "any"
	}
	return "every"
}

// gives tells of what wakes a rule that it is a thing, which the rest of the rule can call it.
func (n *Node) gives() bool {
	e := Find(n.Word)
	return e != nil && len(e.Blanks) > 0 && e.Blanks[0].Type == BlankEntity
}

// used are the kinds that fit a blank and of which there is something, by their names.
func used(d *document.Document, b *Blank) (out []*kind.Kind) {
	fits, there := fitting(d, b), map[document.ID]bool{}
	d.Maps.Each(func(m *document.Map) {
		m.Entities.Each(func(e *document.Entity) { there[document.ID(e.Kind)] = true })
	})
	for _, k := range d.KindsInOrder() {
		if fits[k.ID] && there[k.ID] {
			out = append(out, k)
		}
	}
	return out
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
