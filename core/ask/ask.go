// Package ask answers what people ask of a thing, a flag or a counter: what changes it, who needs it, and, in a game, how
// it is and which of what is asked is so now.
package ask

import (
	"azzel/core/document"
	"azzel/core/kind"
	"azzel/core/play"
	"azzel/core/rules"
	"azzel/core/world"
	"fmt"
	"slices"
	"strings"
)

// Answer is what is known of what was asked about.
type Answer struct {
	// Of is how it is called, Now how it is in the game; empty where none is played.
	Of     string     `json:"of"`
	Now    string     `json:"now"`
	Groups []Question `json:"groups"`
	Links  []Link     `json:"links"`
}

// Question is a question and its answers; without lines, Nothing says so.
type Question struct {
	Title   string  `json:"title"`
	Nothing string  `json:"nothing"`
	Lines   []Reply `json:"lines"`
}

// Reply is one answer: a sentence, and where it leads.
type Reply struct {
	Text string      `json:"text"`
	Rule document.ID `json:"rule"`
	// Map and Entity are where it leads to instead of a rule.
	Map    document.ID `json:"map"`
	Entity document.ID `json:"entity"`
	// Asks are what has to be so for it, and whether it is in the game.
	Asks []Need `json:"asks"`
}

// Need is something that has to be so; Is is yes, no, or empty where no game is played.
type Need struct {
	Text string `json:"text"`
	Is   string `json:"is"`
}

type asker struct {
	doc  *document.Document
	of   document.Object
	kind document.ID
	// game is nil where none is played; it is the thing in it.
	game *play.Game
	it   world.Ref
}

// About answers about an entity, a layer, a flag or a counter; game is nil where none is played. An object that is not there
// gives an answer without groups.
func About(d *document.Document, of document.Object, game *play.Game) Answer {
	a := asker{doc: d, of: of, game: game, it: world.None}
	out := a.about()
	out.Links = a.links(out.Groups)
	return out
}

func (a *asker) about() Answer {
	d, of, game := a.doc, a.of, a.game
	switch of.Type {
	case document.TypeEntity:
		if e := d.Entity(of.Map, of.ID); e != nil {
			a.kind = document.ID(e.Kind)
			return a.thing(e)
		}
	case document.TypeFlag:
		if f := d.Flags.Get(of.ID); f != nil {
			out := Answer{Of: f.Name, Groups: []Question{a.changes("What sets or clears it", "No rule sets it: it is never set."), a.needs()}}
			if game != nil {
				out.Now = map[bool]string{true: "is set", false: "is not set"}[game.Flag(f.ID)]
			}
			return out
		}
	case document.TypeLayer:
		if m := d.Maps.Get(of.Map); m != nil && m.Layers.Get(of.ID) != nil {
			first := map[bool]string{true: "No rule lays it, so it is never there in a game.", false: "No rule lifts it: it always lies there."}[m.Layers.Get(of.ID).Absent]
			out := Answer{Of: m.Layers.Get(of.ID).Name, Groups: []Question{a.changes("What lays and lifts it", first), a.needs()}}
			if game != nil {
				out.Now = map[bool]string{true: "lies there", false: "does not lie there"}[game.Lies(of)]
			}
			return out
		}
	case document.TypeCounter:
		if c := d.Counters.Get(of.ID); c != nil {
			out := Answer{Of: c.Name, Groups: []Question{a.changes("What changes it", fmt.Sprintf("No rule changes it: it is always %d.", c.Start)), a.needs()}}
			if game != nil {
				out.Now = fmt.Sprintf("is %d", game.Counter(c.ID))
			}
			return out
		}
	}
	return Answer{Of: "something that was removed", Groups: []Question{}}
}

func (a *asker) thing(e *document.Entity) Answer {
	out := Answer{Of: e.Name}
	title, nothing := "What changes it", "No rule changes it."
	switch a.doc.Acts(e) {
	case kind.Door, kind.Container:
		title, nothing = "What opens or shuts it", "No rule opens it."
	case kind.Switch:
		title = "What turns it, besides being used"
	}
	if a.game != nil {
		if a.it = a.game.Stage.ThingOf(a.of.Map, a.of.ID); a.it >= 0 {
			_, out.Now, _ = strings.Cut(a.game.AboutThing(a.it), ": ")
		}
	}
	changes := a.changes(title, nothing)
	if key := a.key(e); key != nil {
		changes.Lines = slices.Insert(changes.Lines, 0, *key)
	}
	out.Groups = []Question{changes, a.needs()}
	return out
}

// key is what is said of the key that a thing asks for; nil where it asks for none.
func (a *asker) key(e *document.Entity) *Reply {
	word := a.doc.Value(e, "needs").Word()
	if word == "" {
		return nil
	}
	l := Reply{Text: fmt.Sprintf("a key or item called “%s” opens it", word), Asks: []Need{}}
	for _, m := range a.doc.MapsInOrder() {
		for _, o := range m.Entities.All() {
			if acts := a.doc.Acts(o); (acts == kind.Key || acts == kind.Item) && a.doc.Word(o) == word {
				l.Map, l.Entity = m.ID, o.ID
				l.Text = fmt.Sprintf("%s opens it, which lies on %s", o.Name, m.Name)
			}
		}
	}
	if a.game != nil {
		l.Asks = append(l.Asks, Need{fmt.Sprintf("the hero has %s", word), yesNo(a.game.Has(word))})
	}
	return &l
}

func yesNo(is bool) string { return map[bool]string{true: "yes", false: "no"}[is] }

// names reports whether a part names what is asked about: itself, all of its kind, or what woke the rule where that can
// be it.
func (a *asker) names(n *rules.Node, tree *rules.Tree) bool {
	switch {
	case n.At == a.of || a.of.Type == document.TypeCounter && n.By == a.of.ID:
		return true
	case a.kind == "":
		return false
	case n.At.Type == document.TypeKind || n.At.Type == document.TypeTag:
		return a.doc.Covers(n.At, a.kind)
	case n.At.Type == document.TypeWithin:
		return n.At.Map == a.of.Map && (n.At.ID == a.of.ID || a.lies(n.At))
	}
	return n.At.Type == document.TypeIt && slices.ContainsFunc(tree.When, func(w *rules.Node) bool {
		return w.At == a.of || a.doc.Covers(w.At, a.kind)
	})
}

// lies reports whether what was asked about stands in an area, as it is put down.
func (a *asker) lies(area document.Object) bool {
	e, in := a.doc.Entity(a.of.Map, a.of.ID), a.doc.Entity(area.Map, area.ID)
	return e != nil && in != nil && e.X < in.X+in.W && e.X+e.W > in.X && e.Y < in.Y+in.H && e.Y+e.H > in.Y
}

// changes are the rules that do something to it.
func (a *asker) changes(title, nothing string) Question {
	out := Question{Title: title, Nothing: nothing, Lines: []Reply{}}
	for _, r := range a.doc.RulesInOrder() {
		tree := rules.TreeOf(r)
		for _, w := range tree.When {
			if w.Word == rules.WordTurnsInto && a.names(w, tree) {
				l := a.line(r, tree, w)
				l.Text = rules.Clause(a.doc, w.RulePart)
				out.Lines = append(out.Lines, l)
			}
		}
		for _, slot := range [][]*rules.Node{tree.Then, tree.Otherwise} {
			rules.Each(slot, func(n *rules.Node) {
				if e := rules.Find(n.Word); e == nil || e.Slot != document.SlotThen || !a.names(n, tree) || n.By == a.of.ID && n.At != a.of {
					return
				}
				out.Lines = append(out.Lines, a.line(r, tree, n))
			})
		}
	}
	return out
}

// line says what a part of a rule does, when, and what is asked for it.
func (a *asker) line(r *document.Rule, tree *rules.Tree, n *rules.Node) Reply {
	l := Reply{Text: rules.Clause(a.doc, n.RulePart) + ", " + a.when(tree), Rule: r.ID, Asks: []Need{}}
	if r.Off {
		l.Text += " (the rule is switched off)"
	}
	for _, c := range tree.If {
		is := ""
		if a.game != nil {
			is = yesNo(a.game.IsSo(c, a.it))
		}
		l.Asks = append(l.Asks, Need{rules.Clause(a.doc, c.RulePart) + a.value(c), is})
	}
	return l
}

// value is what a condition is about at the moment, where that is a number.
func (a *asker) value(n *rules.Node) string {
	if a.game == nil || n.At.Type != document.TypeCounter {
		return ""
	}
	return fmt.Sprintf(" (it is %d)", a.game.Counter(n.At.ID))
}

func (a *asker) when(tree *rules.Tree) string {
	var all []string
	for _, w := range tree.When {
		all = append(all, rules.Clause(a.doc, w.RulePart))
	}
	if len(all) == 0 {
		return "but nothing wakes the rule"
	}
	return "when " + strings.Join(all, ", or ")
}

// needs are the rules that wait for it or ask about it, and what else refers to it.
func (a *asker) needs() Question {
	out := Question{Title: "Who needs it", Nothing: "Nothing waits for it or asks about it.", Lines: []Reply{}}
	add := func(l Reply) {
		if !slices.ContainsFunc(out.Lines, func(o Reply) bool { return o.Text == l.Text && o.Rule == l.Rule }) {
			l.Asks = []Need{}
			out.Lines = append(out.Lines, l)
		}
	}
	for _, r := range a.doc.RulesInOrder() {
		tree := rules.TreeOf(r)
		for _, w := range tree.When {
			if w.Word != rules.WordTurnsInto && a.names(w, tree) {
				add(Reply{Text: "a rule waits until " + rules.Clause(a.doc, w.RulePart), Rule: r.ID})
			}
		}
		rules.Each(slices.Concat(tree.If, tree.Then, tree.Otherwise), func(n *rules.Node) {
			if e := rules.Find(n.Word); e != nil && e.Slot == document.SlotIf && a.names(n, tree) || n.By != "" && n.By == a.of.ID {
				add(Reply{Text: "a rule asks: " + rules.Clause(a.doc, n.RulePart), Rule: r.ID})
			}
		})
	}
	for _, u := range a.uses() {
		if u.What != "rule" {
			add(Reply{Text: u.Text, Map: u.Map, Entity: u.ID})
		}
	}
	return out
}

func (a *asker) uses() []document.Use {
	if a.of.Type != document.TypeEntity {
		return a.doc.FlagUses()[a.of.ID]
	}
	return a.doc.Uses(a.doc.Maps.Get(a.of.Map), map[document.ID]bool{a.of.ID: true})
}
